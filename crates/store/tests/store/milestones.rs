//! Milestones keep their order; a coach's word is kept once, with its reason.

use crate::academy::{Academy, at, called, id, milestone, with_squads, word_on};
use jogo_core::assessment::milestones::Verdict;
use jogo_store::StoreError;
use jogo_store::assessment::milestones::NewWord;

async fn says(academy: &Academy) -> Vec<String> {
    academy.store.milestones().await.unwrap().into_iter().map(|one| one.says).collect()
}

async fn with_a_milestone() -> Academy {
    let academy = with_squads().await;
    let store = &academy.store;
    store.put_milestone(&milestone("sole-turn", "I can turn")).await.unwrap();
    academy
}

#[tokio::test]
async fn a_new_one_comes_last_and_a_changed_one_stays_in_its_place() {
    let academy = with_a_milestone().await;
    academy.store.put_milestone(&milestone("a-later-one", "I can stop")).await.unwrap();
    academy.store.put_milestone(&milestone("sole-turn", "I can turn both ways")).await.unwrap();
    assert_eq!(says(&academy).await, ["I can turn both ways", "I can stop"]);
}

#[tokio::test]
async fn one_of_which_a_coach_has_spoken_stays() {
    let academy = with_a_milestone().await;
    let Academy { store, coach, team, .. } = &academy;
    store.put_milestone(&milestone("unspoken", "I can stop")).await.unwrap();
    store.add_words(*team, &[word_on(800, 100, "sole-turn")], *coach, at("18:00:00")).await.unwrap();
    assert!(!store.drop_milestone(&called("sole-turn")).await.unwrap());
    assert!(store.drop_milestone(&called("unspoken")).await.unwrap());
    assert!(!store.drop_milestone(&called("nowhere")).await.unwrap());
    assert_eq!(says(&academy).await, ["I can turn"]);
}

#[tokio::test]
async fn words_are_kept_once_in_the_order_in_which_they_were_said() {
    let academy = with_a_milestone().await;
    let Academy { store, coach, team, .. } = &academy;
    let early = NewWord { said_at: at("17:00:00"), ..word_on(801, 101, "sole-turn") };
    let mut late = word_on(800, 100, "sole-turn");
    (late.word.verdict, late.word.reason) = (Verdict::NotYet, "Only to the left".into());
    for _ in 0..2 {
        store.add_words(*team, &[late.clone(), early.clone()], *coach, at("19:00:00")).await.unwrap();
    }
    let words = store.words(*team).await.unwrap();
    let said: Vec<_> =
        words.iter().map(|known| (known.player, known.word.verdict, known.word.by.as_str())).collect();
    assert_eq!(said, [(id(101), Verdict::Met, "Una Skar"), (id(100), Verdict::NotYet, "Una Skar")]);
    assert_eq!(words[1].word.reason, "Only to the left");
    assert!(store.words(academy.other_team).await.unwrap().is_empty());
}

#[tokio::test]
async fn a_word_on_a_player_of_another_team_keeps_all_out() {
    let academy = with_a_milestone().await;
    let Academy { store, coach, team, .. } = &academy;
    let both = [word_on(800, 100, "sole-turn"), word_on(801, 200, "sole-turn")];
    let refused = store.add_words(*team, &both, *coach, at("19:00:00")).await;
    assert!(matches!(refused, Err(StoreError::Taken(_))));
    assert!(store.words(*team).await.unwrap().is_empty());
    let unknown = [word_on(802, 100, "nowhere")];
    assert!(store.add_words(*team, &unknown, *coach, at("19:00:00")).await.is_err());
    assert!(store.words(*team).await.unwrap().is_empty());
}
