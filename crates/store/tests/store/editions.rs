//! Curricula change only from the version that was read; editions never change.

use crate::academy::{Academy, academy, at, called, edition, id, new, plan, publishes_winter, wishes};
use jogo_core::delivery::Outcome;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::log::BlockSaid;
use jogo_core::fact::Fact;
use jogo_core::plan::{Block, BlockId};
use jogo_core::units::Minutes;
use jogo_store::StoreError;
use jogo_store::delivery::log::{LogEntries, OutcomeEntry};
use jogo_store::plan::{Change, Draft};
use rstest::rstest;

const BLOCK: BlockId = BlockId(uuid::Uuid::from_u128(80));

#[tokio::test]
async fn of_two_changes_of_one_version_the_second_is_stale() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store
        .add_curriculum(id(50), &wishes("Winter", "2031-01-06"), &plan(), *coach, at("09:00:00"))
        .await
        .unwrap();
    let change = |what, time| Change { what, by: *coach, at: at(time) };
    let (mine_said, yours_said) = (Fact::written("mine"), Fact::written("yours"));
    let read = store.curriculum(id(50)).await.unwrap().unwrap();
    let mine = wishes("Mine", "2031-01-06");
    assert_eq!(
        store.change_curriculum(&read, &mine, &plan(), change(&mine_said, "09:01:00")).await.unwrap(),
        2
    );
    let yours = wishes("Yours", "2031-01-06");
    let refused = store.change_curriculum(&read, &yours, &plan(), change(&yours_said, "09:02:00")).await;
    assert!(matches!(refused, Err(StoreError::Stale)));
    assert_eq!(store.curriculum(id(50)).await.unwrap().unwrap().curriculum.name, "Mine");
}

#[tokio::test]
async fn changes_are_taken_back_one_by_one_in_their_order() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store
        .add_curriculum(id(50), &wishes("Winter", "2031-01-06"), &plan(), *coach, at("09:00:00"))
        .await
        .unwrap();
    let read = async || store.curriculum(id(50)).await.unwrap().unwrap();
    for what in ["longer", "shorter"] {
        let said = Fact::written(what);
        let change = Change { what: &said, by: *coach, at: at("09:01:00") };
        let draft = read().await;
        store.change_curriculum(&draft, &wishes(what, "2031-01-06"), &plan(), change).await.unwrap();
    }
    let stale = Draft { version: 1, ..read().await };
    assert!(matches!(store.take_back(&stale, *coach, at("09:02:00")).await, Err(StoreError::Stale)));
    let mut taken = Vec::new();
    while let Some(what) = store.take_back(&read().await, *coach, at("09:02:00")).await.unwrap() {
        taken.push((what, read().await.curriculum.name, store.last_change(id(50)).await.unwrap()));
    }
    let back = |what: &str, name: &str, last: Option<&str>| {
        (Fact::written(what), name.to_owned(), last.map(Fact::written))
    };
    assert_eq!(taken, [back("shorter", "longer", Some("longer")), back("longer", "Winter", None)]);
    assert_eq!(read().await.version, 5, "taking back is a change like any other");
}

#[tokio::test]
async fn curricula_are_listed_page_by_page_the_latest_first() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    // Two begin on one day: the later id comes first.
    for (n, start) in [(1, "2030-08-05"), (2, "2031-01-06"), (3, "2031-01-06"), (4, "2029-08-06")] {
        let wishes = wishes(&format!("Curriculum {n}"), start);
        store.add_curriculum(id(n), &wishes, &plan(), *coach, at("09:00:00")).await.unwrap();
    }
    let page = async |after: Option<u128>, most| -> Vec<String> {
        let lines = store.curriculum_lines(after.map(id), most).await.unwrap();
        lines.into_iter().map(|line| line.name.replace("Curriculum ", "")).collect()
    };
    assert_eq!(page(None, 9).await, ["3", "2", "1", "4"]);
    assert_eq!(page(None, 2).await, ["3", "2"]);
    assert_eq!(page(Some(3), 2).await, ["2", "1"]);
    assert_eq!(page(Some(1), 2).await, ["4"]);
    assert!(page(Some(4), 2).await.is_empty());
    assert!(page(Some(77), 2).await.is_empty(), "nothing comes after what is not there");
    let plan_weeks = wishes("", "2031-01-06").weeks;
    let line = &store.curriculum_lines(None, 1).await.unwrap()[0];
    assert_eq!((line.start.to_string().as_str(), line.weeks, line.edition), ("2031-01-06", plan_weeks, None));
}

#[tokio::test]
async fn editions_are_numbered_and_a_team_works_by_the_latest_of_each_curriculum() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    for (n, name, start) in [(50, "Autumn", "2030-10-07"), (51, "Winter", "2031-01-06")] {
        store.add_curriculum(id(n), &wishes(name, start), &plan(), *coach, at("09:00:00")).await.unwrap();
    }
    let autumn = edition(&academy, wishes("Autumn", "2030-10-07")).await;
    let winter = edition(&academy, wishes("Winter", "2031-01-06")).await;
    let publish = async |n, curriculum, edition: &Edition| {
        store.publish(new(n, curriculum, edition), &[], *coach, at("10:00:00")).await
    };
    assert_eq!(publish(60, 50, &autumn).await.unwrap(), 1);
    assert_eq!(publish(61, 51, &winter).await.unwrap(), 1);
    assert_eq!(publish(62, 50, &autumn).await.unwrap(), 2);
    assert_eq!(publish(62, 50, &autumn).await.unwrap(), 2, "sent twice, published once");
    assert!(matches!(publish(62, 51, &winter).await, Err(StoreError::Taken(_))));
    let works_by: Vec<_> = store
        .editions_of_team(*team)
        .await
        .unwrap()
        .into_iter()
        .map(|assigned| (assigned.edition.curriculum.name, assigned.published.number))
        .collect();
    assert_eq!(works_by, [("Winter".to_owned(), 1), ("Autumn".to_owned(), 2), ("Autumn".to_owned(), 1)]);
    let numbers: Vec<_> = store.editions(id(50)).await.unwrap().into_iter().map(|e| e.number).collect();
    assert_eq!(numbers, [2, 1]);
}

#[tokio::test]
async fn a_team_that_joins_later_has_no_earlier_edition() {
    let academy = academy().await;
    let Academy { store, .. } = &academy;
    publishes_winter(&academy).await;
    store.add_team(id(22), id(10), &called("u8-u9"), "Tern Cove Red", &[]).await.unwrap();
    assert!(store.editions_of_team(id(22)).await.unwrap().is_empty());
}

#[rstest]
#[case::in_their_order([0, 1, 2])]
#[case::turned([2, 1, 0])]
#[case::mixed([1, 2, 0])]
#[tokio::test]
async fn the_latest_saying_counts_whatever_the_order(#[case] order: [usize; 3]) {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    publishes_winter(&academy).await;
    let saying = |n, outcome, minutes: Option<u32>, said: &str| OutcomeEntry {
        id: id(n),
        edition: id(60),
        session: 0,
        said: BlockSaid { block: BLOCK, outcome, minutes: minutes.map(Minutes), success: None, ran: None },
        said_at: at(said),
    };
    let of = |entry: &OutcomeEntry| LogEntries { outcomes: vec![entry.clone()], ..LogEntries::default() };
    // The last two were said in the same moment: of these the larger id counts.
    let all = [
        saying(70, Outcome::Done, None, "18:01:00"),
        saying(71, Outcome::Skipped, None, "18:02:00"),
        saying(72, Outcome::Short, Some(4), "18:02:00"),
    ];
    for i in order {
        store.add_log(*team, &of(&all[i]), *coach, at("19:00:00")).await.unwrap();
    }
    let said = store.said(*team, id(60)).await.unwrap();
    let block = Block { id: Some(BLOCK), ..Block::of(&called("taps@form"), Minutes(8)) };
    assert_eq!(said.of(0, &block), Some(&(Outcome::Short, Some(Minutes(4)))));
    let elsewhere = store.add_log(academy.other_team, &of(&all[0]), *coach, at("19:00:00")).await;
    assert!(matches!(elsewhere, Err(StoreError::Taken(_))), "an id belongs to one team");
}
