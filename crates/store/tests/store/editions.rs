//! Curricula change only from the version that was read; editions never change.

use crate::academy::{Academy, academy, at, called, edition, id, new, plan, publishes_winter, wishes};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::log::BlockSaid;
use jogo_core::delivery::{Outcome, Went};
use jogo_core::fact::Fact;
use jogo_core::plan::curriculum::{Curriculum, Goal};
use jogo_core::plan::{Block, BlockId};
use jogo_core::technique::skill::Stage;
use jogo_core::units::Minutes;
use jogo_store::StoreError;
use jogo_store::delivery::log::{Delivered, LogEntries, OutcomeEntry};
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
        .map(|assigned| (assigned.edition.curriculum.name.clone(), assigned.published.number))
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
    assert_eq!(said.of(0, &block), Some(&Went::from((Outcome::Short, Some(Minutes(4))))));
    let elsewhere = store.add_log(academy.other_team, &of(&all[0]), *coach, at("19:00:00")).await;
    assert!(matches!(elsewhere, Err(StoreError::Taken(_))), "an id belongs to one team");
}

/// Wishes with goals of these skills.
fn with_goals(name: &str, start: &str, skills: &[&str]) -> Curriculum {
    let goal = |skill: &&str| Goal::new(called(skill), None, Stage::Flow);
    Curriculum { goals: skills.iter().map(goal).collect(), ..wishes(name, start) }
}

#[rstest]
#[case::the_year_around_it("2030-08-01", "2031-07-31", &["cut", "turn", "wall-pass"])]
#[case::from_the_day_on_which_one_begins("2030-10-07", "2030-10-07", &["turn", "wall-pass"])]
#[case::from_the_day_after("2030-10-08", "2031-07-31", &["cut"])]
#[case::before_all_of_them("2029-01-01", "2029-07-31", &[])]
#[tokio::test]
async fn goals_beside_a_curriculum_are_those_of_its_band_that_begin_between_two_days(
    #[case] first: &str,
    #[case] last: &str,
    #[case] skills: &[&str],
) {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let others = Curriculum { band: called("u6-u7"), ..with_goals("Others", "2031-01-06", &["roll"]) };
    for (n, wishes) in [
        (50, with_goals("This", "2031-01-06", &["tap"])),
        (51, with_goals("Autumn", "2030-10-07", &["turn", "wall-pass"])),
        (52, with_goals("Spring", "2031-04-07", &["cut"])),
        (53, others),
    ] {
        store.add_curriculum(id(n), &wishes, &plan(), *coach, at("09:00:00")).await.unwrap();
    }
    let (first, last) = (first.parse().unwrap(), last.parse().unwrap());
    let beside = store.goals_beside(id(50), &called("u8-u9"), (first, last)).await.unwrap();
    assert_eq!(beside.iter().map(|skill| skill.as_str()).collect::<Vec<_>>(), skills);
}

#[tokio::test]
async fn what_was_promised_is_read_from_the_latest_edition_of_each_curriculum_of_a_band() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let others = Curriculum { band: called("u6-u7"), ..wishes("Others", "2031-01-06") };
    for (n, wishes) in
        [(50, wishes("Winter", "2031-01-06")), (51, others), (52, wishes("Draft", "2031-04-07"))]
    {
        store.add_curriculum(id(n), &wishes, &plan(), *coach, at("09:00:00")).await.unwrap();
    }
    let promised = async |band| -> Vec<String> {
        let wishes = store.published_wishes(&called(band)).await.unwrap();
        wishes.into_iter().map(|wishes| wishes.name).collect()
    };
    assert!(promised("u8-u9").await.is_empty(), "a draft promises nothing");
    let publish = async |n, curriculum, wishes: Curriculum| {
        let edition = edition(&academy, wishes).await;
        store.publish(new(n, curriculum, &edition), &[], *coach, at("10:00:00")).await.unwrap();
    };
    publish(60, 50, wishes("Winter", "2031-01-06")).await;
    publish(61, 50, wishes("Winter, with more", "2031-01-06")).await;
    publish(62, 51, Curriculum { band: called("u6-u7"), ..wishes("Others", "2031-01-06") }).await;
    assert_eq!(promised("u8-u9").await, ["Winter, with more"]);
    assert_eq!(promised("u6-u7").await, ["Others"]);
}

// Of a block each team's last word counts: run by one team, skipped by the other, and in session 2 cut short by one.
#[tokio::test]
async fn what_was_delivered_counts_each_teams_last_word_of_a_block() {
    let academy = academy().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    publishes_winter(&academy).await;
    assert!(store.delivered(id(50)).await.unwrap().is_empty());
    let saying = |n, session, block, outcome, said: &str| OutcomeEntry {
        id: id(n),
        edition: id(60),
        session,
        said: BlockSaid { block: BlockId(id(block)), outcome, minutes: None, success: None, ran: None },
        said_at: at(said),
    };
    let ours = [
        saying(70, 0, 80, Outcome::Skipped, "18:01:00"),
        saying(71, 0, 80, Outcome::Done, "18:02:00"),
        saying(72, 2, 82, Outcome::Short, "18:03:00"),
    ];
    let theirs = [saying(73, 0, 80, Outcome::Skipped, "18:01:00")];
    for (team, outcomes) in [(team, ours.to_vec()), (other_team, theirs.to_vec())] {
        let entries = LogEntries { outcomes, ..LogEntries::default() };
        store.add_log(*team, &entries, *coach, at("19:00:00")).await.unwrap();
    }
    let delivered = store.delivered(id(50)).await.unwrap();
    let of = |session, said, run| Delivered { session, said, run };
    assert_eq!(delivered, [of(0, 2, 1), of(2, 1, 1)]);
    assert!(store.delivered(id(51)).await.unwrap().is_empty(), "of another curriculum");
}
