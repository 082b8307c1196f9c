//! Planned against delivered, week by week.

use jiff::civil::{Date, date};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::{Outcome, Said, WeekTally, Worked};
use jogo_core::plan::{Block, Plan, score, solve};
use jogo_core::units::Minutes;
use proptest::prelude::*;
use rstest::rstest;

use crate::demo::{self, called};

/// Two weeks of two sessions on 6, 9, 13 and 16 January; each has 8 min of passing and 10 of receiving with passing
/// (6 : 4).
fn two_weeks() -> Edition {
    let mut curriculum = demo::curriculum();
    curriculum.weeks = 2;
    curriculum.minutes.truncate(4);
    let session = || {
        [("wall-of-two@form", 8), ("pairs-receive-and-set@form", 10)]
            .map(|(variant, minutes)| Block::of(&called(variant), Minutes(minutes)))
            .to_vec()
    };
    let plan = demo::named(Plan { sessions: (0..4).map(|_| session()).collect() }, 0);
    Edition { curriculum, ..demo::edition(plan) }
}

fn tallied(said: &Said, today: Date) -> Vec<WeekTally> {
    let edition = two_weeks();
    let problem = edition.problem().unwrap();
    Worked { published: &edition.plan, edition: &edition, problem: &problem, said }.tally(today, &|_| true)
}

fn close(found: [f64; 4], wanted: [f64; 4]) -> bool {
    found.iter().zip(wanted).all(|(f, w)| (f - w).abs() < 1e-9)
}

// By hand: a week plans 2 × (8 + 4) = 24 min of passing and 2 × 6 = 12 of receiving. Said of its first session: the
// passing done, the receiving cut short at 5 min, of which 3 count as receiving and 2 as passing.
#[test]
fn minutes_count_for_their_strands() {
    let said = demo::said(
        &two_weeks().plan,
        [((0, 0), (Outcome::Done, None)), ((0, 1), (Outcome::Short, Some(Minutes(5))))],
    );
    let weeks = tallied(&said, date(2031, 1, 10));
    assert!(close(weeks[0].planned, [0.0, 0.0, 12.0, 24.0]), "{:?}", weeks[0]);
    assert!(close(weeks[0].delivered, [0.0, 0.0, 3.0, 10.0]), "{:?}", weeks[0]);
    assert!(close(weeks[1].delivered, [0.0; 4]));
}

#[rstest]
#[case::before_the_first_session(date(2031, 1, 5), [0, 0], [true, true], [0.0, 0.0])]
#[case::on_the_first_session(date(2031, 1, 6), [0, 0], [false, true], [0.0, 0.0])]
#[case::the_day_after(date(2031, 1, 7), [1, 0], [false, true], [18.0, 0.0])]
#[case::long_after(date(2031, 2, 1), [2, 2], [false, false], [36.0, 36.0])]
fn logs_are_missed_from_the_day_after(
    #[case] today: Date,
    #[case] missing: [u32; 2],
    #[case] ahead: [bool; 2],
    #[case] due: [f64; 2],
) {
    let weeks = tallied(&Said::default(), today);
    assert_eq!([weeks[0].logs_missing, weeks[1].logs_missing], missing);
    assert_eq!([weeks[0].ahead, weeks[1].ahead], ahead);
    assert_eq!([weeks[0].due, weeks[1].due], due);
}

#[test]
fn a_skipped_session_has_a_log() {
    let said = demo::said(
        &two_weeks().plan,
        [((0, 0), (Outcome::Skipped, None)), ((0, 1), (Outcome::Skipped, None))],
    );
    let weeks = tallied(&said, date(2031, 1, 6));
    assert_eq!((weeks[0].logs_missing, weeks[0].delivered, weeks[0].due), (0, [0.0; 4], 18.0));
}

proptest! {
    #[test]
    fn nothing_is_delivered_beyond_the_plan(
        entries in proptest::collection::btree_map(
            (0usize..4, 0usize..2), (0u8..3, proptest::option::of(0u32..240)), 0..8,
        )
    ) {
        let outcome = |n| [Outcome::Done, Outcome::Short, Outcome::Skipped][usize::from(n)];
        let plan = two_weeks().plan;
        let named = |(s, b): (usize, usize)| (s, plan.sessions[s][b].id.unwrap());
        let said: Said = entries.into_iter().map(|(at, (n, m))| (named(at), (outcome(n), m.map(Minutes)))).collect();
        for week in tallied(&said, date(2031, 2, 1)) {
            for (planned, delivered) in week.planned.iter().zip(week.delivered) {
                prop_assert!(delivered <= planned + 1e-9);
            }
        }
    }
}

// What is frozen measures its challenge by the same easiest rungs as the whole library does.
#[test]
fn a_published_edition_scores_as_its_draft_did() {
    let draft = demo::edition(solve(&demo::problem(), 7, 2_000).unwrap().plan);
    let frozen = draft.clone().trimmed();
    assert!(frozen.drills.len() < draft.drills.len());
    let scored = |edition: &Edition| score(&edition.problem().unwrap(), &edition.plan);
    assert_eq!(scored(&frozen), scored(&draft));
}
