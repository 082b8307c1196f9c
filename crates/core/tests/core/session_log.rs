//! What is known of a session from what several coaches said, and which block an entry from a phone is about.

use jiff::civil::{Date, date};
use jogo_core::delivery::Outcome;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::log::{BlockSaid, Blocks, Named, Saying, SessionLog, Told, Unclear};
use jogo_core::plan::{Block, BlockId, Plan};
use jogo_core::units::Minutes;
use proptest::prelude::*;
use rstest::rstest;

use crate::demo::{self, called};

fn block(n: u128) -> BlockId {
    BlockId(uuid::Uuid::from_u128(n))
}

fn at<T>(minute: u8, by: &str, what: T) -> Saying<T> {
    Saying { what, by: by.to_owned(), at: format!("2031-02-10T18:{minute:02}:00Z").parse().unwrap() }
}

fn outcome(n: u128, outcome: Outcome) -> BlockSaid {
    BlockSaid { block: block(n), outcome, minutes: None, success: None, ran: None }
}

#[test]
fn the_last_word_counts_and_every_word_is_kept() {
    let log = SessionLog::of(
        vec![
            at(5, "Orla", outcome(1, Outcome::Skipped)),
            at(9, "Tam", outcome(1, Outcome::Done)),
            at(7, "Orla", outcome(2, Outcome::Short)),
        ],
        vec![at(1, "Orla", ('a', true)), at(1, "Orla", ('b', true)), at(6, "Tam", ('b', false))],
        vec![at(8, "Orla", "Balls were flat".to_owned()), at(20, "Tam", String::new())],
    );
    assert_eq!(log.blocks, [outcome(1, Outcome::Done), outcome(2, Outcome::Short)]);
    assert_eq!(log.missing, Some(vec!['b']));
    assert_eq!(log.note, "");
    let told: Vec<(&Told<char>, &str)> = log.history.iter().map(|s| (&s.what, s.by.as_str())).collect();
    assert_eq!(
        told,
        [
            (&Told::Block(outcome(1, Outcome::Skipped)), "Orla"),
            (&Told::Player('b', false), "Tam"),
            (&Told::Block(outcome(2, Outcome::Short)), "Orla"),
            (&Told::Note("Balls were flat".to_owned()), "Orla"),
            (&Told::Block(outcome(1, Outcome::Done)), "Tam"),
            (&Told::Note(String::new()), "Tam"),
        ]
    );
}

#[test]
fn nobody_is_missing_until_somebody_says_who_was_there() {
    let silent = SessionLog::<char>::of(vec![], vec![], vec![]);
    assert_eq!(silent.missing, None);
    let all_there = SessionLog::of(vec![], vec![at(1, "Orla", ('a', true))], vec![]);
    assert_eq!((all_there.missing, all_there.history), (Some(vec![]), vec![]));
}

/// Two sessions on 6 and 9 January with the blocks 1, 2 and 3, 4.
fn two_sessions() -> Edition {
    let mut curriculum = demo::curriculum();
    curriculum.weeks = 1;
    curriculum.minutes.truncate(2);
    let two = || {
        let of = |variant| Block::of(&called(variant), Minutes(8));
        vec![of("wall-of-two@form"), of("pairs-receive-and-set@form")]
    };
    Edition { curriculum, ..demo::edition(demo::named(Plan { sessions: vec![two(), two()] }, 0)) }
}

const SECOND_DAY: Option<Date> = Some(date(2031, 1, 9));

#[rstest]
#[case::by_id_where_it_is(None, 0, Named::Id(block(3)), Ok((1, 3)))]
#[case::on_a_day_of_its_own(Some(date(2031, 1, 6)), 1, Named::Id(block(3)), Ok((0, 3)))]
#[case::on_a_day_without_a_session(Some(date(2031, 1, 7)), 0, Named::Id(block(3)), Ok((1, 3)))]
#[case::taken_out_since(None, 1, Named::Id(block(9)), Ok((1, 9)))]
#[case::taken_out_since_on_a_day(SECOND_DAY, 0, Named::Id(block(9)), Ok((1, 9)))]
#[case::taken_out_and_nobody_knows_when(None, 5, Named::Id(block(9)), Err(Unclear::NoSession(2)))]
#[case::never_there(None, 0, Named::Id(block(77)), Err(Unclear::NoBlock))]
#[case::by_its_place(None, 1, Named::Place(1), Ok((1, 4)))]
#[case::past_the_last_place(None, 1, Named::Place(2), Err(Unclear::NoPlace(2)))]
#[case::past_the_last_session(None, 2, Named::Place(0), Err(Unclear::NoSession(2)))]
fn an_entry_is_about_the_block_that_was_run(
    #[case] day: Option<Date>,
    #[case] session: usize,
    #[case] named: Named,
    #[case] meant: Result<(usize, u128), Unclear>,
) {
    let edition = two_sessions();
    let earlier = demo::named(
        Plan { sessions: vec![vec![], vec![Block::of(&called("wall-of-two@form"), Minutes(8))]] },
        8,
    );
    let blocks = Blocks { now: &edition, others: vec![&earlier] };
    assert_eq!(blocks.meant(day, session, named), meant.map(|(session, n)| (session, block(n))));
}

proptest! {
    #[test]
    fn a_log_loses_nothing(
        words in prop::collection::vec((0_u8..60, 1_u128..4, any::<bool>()), 0..12),
        there in prop::collection::vec((0_u8..60, 0_u8..4, any::<bool>()), 0..12),
    ) {
        let word = |(minute, n, done): &(u8, u128, bool)| {
            at(*minute, "Orla", outcome(*n, if *done { Outcome::Done } else { Outcome::Short }))
        };
        let blocks: Vec<_> = words.iter().map(word).collect();
        let presence: Vec<_> = there.iter().map(|(minute, who, here)| at(*minute, "Tam", (*who, *here))).collect();
        let log = SessionLog::of(blocks.clone(), presence, vec![]);
        let told = log.history.iter().filter(|s| matches!(s.what, Told::Block(_))).count();
        prop_assert_eq!(told, words.len());
        for said in &log.blocks {
            let last = blocks.iter().rfind(|saying| saying.what.block == said.block).unwrap();
            prop_assert_eq!(last.what, *said);
        }
        for who in log.missing.iter().flatten() {
            prop_assert!(!there.iter().rfind(|(_, player, _)| player == who).unwrap().2);
        }
        prop_assert!(log.history.is_sorted_by_key(|saying| saying.at));
    }
}
