//! Drills and skills are kept with every state that they ever had.

use crate::academy::{Academy, academy, at, called};
use jogo_core::academy::language::Language;
use jogo_core::academy::phrases::Phrases;
use jogo_core::drill::Drill;
use jogo_core::technique::skill::Skill;
use jogo_store::StoreError;
use jogo_store::library::Library;
use jogo_store::progression::SkillChange;

fn drill(id: &str, title: &str) -> Drill {
    let mut drill: Drill =
        serde_json::from_str(include_str!("../../../../demo/drills/weave-six.json")).unwrap();
    (drill.id, drill.title) = (called(id), title.into());
    drill
}

fn skill(id: &str, name: &str) -> Skill {
    let json =
        format!(r#"{{"id": "{id}", "name": "{name}", "strand": "passing", "band": "u8-u9", "needs": []}}"#);
    serde_json::from_str(&json).unwrap()
}

#[tokio::test]
async fn a_translation_is_kept_by_its_language_replaced_and_taken_back() {
    let Academy { store, .. } = &academy().await;
    let puts = async |book: &str| {
        let phrases = vec![serde_json::from_str(book).unwrap()];
        store.put_library(&Library { phrases, ..Library::default() }, at("09:00:00")).await.unwrap();
        let book = store.phrases(Language::German).await.unwrap();
        (book.texts.into_values().collect::<Vec<_>>(), book.calls.into_values().collect::<Vec<_>>())
    };
    let first =
        r#"{"language": "de", "texts": {"left": "Links", "Toe taps": "Tippen"}, "calls": {"left": "links"}}"#;
    assert_eq!(puts(first).await, (vec!["Tippen".into(), "Links".into()], vec!["links".into()]));
    let next = r#"{"language": "de", "texts": {"left": "", "Toe taps": "Sohlentippen"}}"#;
    assert_eq!(puts(next).await, (vec!["Sohlentippen".into()], vec!["links".into()]));
    assert_eq!(store.phrases(Language::English).await.unwrap(), Phrases::default());
}

#[tokio::test]
async fn what_is_put_in_again_unchanged_makes_no_new_state() {
    let academy = academy().await;
    let Academy { store, .. } = &academy;
    let both = [drill("a", "A"), drill("b", "B")];
    assert_eq!(store.put_drills(&both, None, at("09:00:00")).await.unwrap(), 2);
    let again = [drill("a", "A"), drill("b", "Another")];
    assert_eq!(store.put_drills(&again, None, at("10:00:00")).await.unwrap(), 1);
    let states = async |id| store.drill_history(id).await.unwrap().len();
    assert_eq!((states(&called("a")).await, states(&called("b")).await), (1, 2));
    assert_eq!(store.drill_version(&called("b"), 1).await.unwrap().unwrap().title, "B");
}

#[tokio::test]
async fn a_name_that_is_taken_is_not_overwritten_and_of_two_changes_the_second_is_stale() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store.add_drill(&drill("a", "A"), *coach, at("09:00:00")).await.unwrap();
    let taken = store.add_drill(&drill("a", "Mine"), *coach, at("09:01:00")).await.unwrap_err();
    assert!(matches!(&taken, StoreError::Taken(taken) if taken.code == "taken-drill-name"), "{taken}");
    store.change_drill(&drill("a", "First"), 1, *coach, at("09:02:00")).await.unwrap();
    let stale = store.change_drill(&drill("a", "Second"), 1, *coach, at("09:03:00")).await;
    assert!(matches!(stale, Err(StoreError::Stale)));
    assert_eq!(store.kept_drill(&called("a")).await.unwrap().unwrap().drill.title, "First");
}

#[tokio::test]
async fn what_is_put_away_is_found_no_more_and_comes_back() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store.add_drill(&drill("a", "A"), *coach, at("09:00:00")).await.unwrap();
    let listed = async |away| store.kept_drills(away).await.unwrap().len();
    let found = async || (store.drills().await.unwrap().len(), listed(false).await, listed(true).await);
    assert!(store.archive_drill(&called("a"), Some(at("10:00:00"))).await.unwrap());
    assert_eq!(found().await, (0, 0, 1));
    assert!(store.archive_drill(&called("a"), None).await.unwrap());
    assert_eq!(found().await, (1, 1, 0));
    assert!(!store.archive_drill(&called("nowhere"), None).await.unwrap());
}

#[tokio::test]
async fn the_map_stands_as_it_stood_at_any_moment() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let change = async |changes: &[SkillChange], version, time| {
        store.change_map(changes, version, *coach, at(time)).await
    };
    change(&[SkillChange::Put(skill("give", "Give")), SkillChange::Put(skill("go", "Go"))], 0, "09:00:00")
        .await
        .unwrap();
    let version = store.map_version().await.unwrap();
    change(
        &[SkillChange::Put(skill("give", "Give it")), SkillChange::TakeOut(called("go"))],
        version,
        "10:00:00",
    )
    .await
    .unwrap();
    let stale = change(&[SkillChange::TakeOut(called("give"))], version, "11:00:00").await;
    assert!(matches!(stale, Err(StoreError::Stale)));
    let names =
        async |time| store.skills_at(at(time)).await.unwrap().into_iter().map(|s| s.name).collect::<Vec<_>>();
    assert_eq!(names("08:59:59").await, Vec::<String>::new());
    assert_eq!(names("09:30:00").await, ["Give", "Go"]);
    assert_eq!(names("10:00:00").await, ["Give it"]);
    assert_eq!(store.skills().await.unwrap().len(), 1);
}
