//! The running order of an evening: minutes, kit, stations, touches and the clock.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

mod demo;

use demo::called;
use jogo_core::delivery::edition::Edition;
use jogo_core::drill::timing::{FootTouches, PhaseKind};
use jogo_core::plan::{Block, Plan, solve};
use jogo_core::technique::skill::{Stage, Strand};
use jogo_core::units::{Minutes, Pace, Seconds};
use rstest::rstest;

/// The demo's curriculum with its plan.
fn solved() -> Edition {
    demo::edition(solve(&demo::problem(), 7, 2_000).unwrap().plan)
}

fn first_evening(blocks: &[(&str, u32)]) -> Edition {
    let block = |(variant, minutes): &(&str, u32)| Block::of(&called(variant), Minutes(*minutes));
    demo::edition(Plan { sessions: vec![blocks.iter().map(block).collect()] })
}

// By hand, for 14 players in the hall of 18 × 12 m with a margin of 1 m and a run-off of 0.5 m: a station of two
// markers six paces apart is 4.5 m long; ⌊19 ÷ 2⌋ × ⌊13 ÷ 6.5⌋ = 18 fit, and 7 pairs keep all 14 at work. A block of
// 6 min holds 60 s of explaining and 3 sets a side: 6 × 30 s of work with 5 × 20 s of rest between, 280 s. 0.5
// touches a second × 180 s = 90, half of them with each foot; 1 − 180 ÷ 280 = 36 % of the time is waiting.
#[test]
fn pairs_at_the_wall_of_two() {
    let edition = first_evening(&[("wall-of-two@form", 6)]);
    let evening = edition.evening(&edition.problem().unwrap(), 0, Pace::default()).unwrap();
    let block = &evening.blocks[0];
    assert_eq!((block.laid.stage, block.strand), (Stage::Form, Strand::Passing));
    assert_eq!(block.laid.station_sizes, [2; 7]);
    assert_eq!(
        (block.laid.timing.bouts, block.laid.timing.work, block.laid.timing.rest),
        (6, Seconds(30.0), Seconds(20.0))
    );
    assert_eq!(block.laid.timing.touches, FootTouches { strong: 45, other: 45 });
    assert!((block.laid.timing.waiting_share.0 - (1.0 - 180.0 / 280.0)).abs() < 1e-12);
    assert_eq!(block.laid.timing.work_to_rest.as_deref(), Some("3:2"));
    assert_eq!(evening.kit, [("white".to_owned(), 14)].into());
    assert_eq!((evening.unused, block.starts, block.laying_out), (Minutes(34), Minutes(0), Minutes(0)));
}

// By hand: 14 white markers for the first, 14 blue for the second; 14 × 6 s ÷ 2 adults = 42 s, one minute of laying
// out.
#[test]
fn the_kit_is_the_most_of_each_colour_and_changes_take_time() {
    let edition =
        first_evening(&[("wall-of-two@form", 6), ("pairs-receive-and-set@form", 8), ("wall-of-two@form", 5)]);
    let evening = edition.evening(&edition.problem().unwrap(), 0, Pace::default()).unwrap();
    assert_eq!(evening.kit, [("blue".to_owned(), 14), ("white".to_owned(), 14)].into());
    let times: Vec<_> = evening.blocks.iter().map(|b| (b.starts.0, b.laying_out.0, b.minutes.0)).collect();
    assert_eq!(times, [(0, 0, 6), (6, 1, 8), (15, 1, 5)]);
    assert_eq!(evening.unused, Minutes(19));
}

#[test]
fn every_evening_of_the_demo_can_be_run() {
    let problem = demo::problem();
    let plan = solve(&problem, 7, 2_000).unwrap().plan;
    let edition = demo::edition(plan);
    for session in 0..problem.sessions.len() {
        let evening = edition.evening(&problem, session, Pace::default()).unwrap();
        let used: u32 = evening.blocks.iter().map(|b| b.laying_out.0 + b.minutes.0).sum();
        assert_eq!(used + evening.unused.0, evening.minutes.0, "session {session}");
        for block in &evening.blocks {
            let clock: Seconds = block.laid.timing.phases.iter().map(|p| p.lasts).sum();
            assert!(clock <= block.minutes.seconds(), "{}: the clock runs over", block.title);
            let work = block.laid.timing.phases.iter().filter(|p| p.kind == PhaseKind::Work).count() as u32;
            assert_eq!(work, block.laid.timing.bouts, "{}", block.title);
            assert_eq!(
                block.laid.station_sizes.iter().sum::<u32>(),
                14,
                "{}: nobody is left out",
                block.title
            );
            assert!((0.0..=1.0).contains(&block.laid.timing.waiting_share.0), "{}", block.title);
            assert!(block.laid.timing.touches.strong > 0, "{}", block.title);
            for (colour, count) in &block.laid.markers {
                assert!(evening.kit[colour] >= *count, "{}", block.title);
            }
            assert!(roxmltree::Document::parse(&block.laid.drawing).is_ok(), "{}", block.title);
        }
    }
}

#[rstest]
#[case::session_beyond_the_last(99)]
#[case::session_without_a_plan(3)]
fn there_is_no_evening_where_nothing_is_laid(#[case] session: usize) {
    let edition = first_evening(&[("wall-of-two@form", 6)]);
    assert!(edition.evening(&edition.problem().unwrap(), session, Pace::default()).is_none());
}

#[test]
fn a_block_calls_only_where_its_levers_ask_for_an_answer_and_within_its_bout() {
    let edition = solved();
    let problem = edition.problem().unwrap();
    let mut called = 0;
    for session in 0..problem.sessions.len() {
        for block in edition.evening(&problem, session, Pace::default()).unwrap().blocks {
            let cues = edition.drill(&block.drill).unwrap().cues.is_some();
            assert_eq!(
                !block.laid.calls.is_empty(),
                cues && block.laid.stage == Stage::Scan,
                "{}",
                block.title
            );
            assert!(block.laid.calls.iter().all(|call| call.at < block.laid.timing.work), "{}", block.title);
            called += block.laid.calls.len();
        }
    }
    assert!(called > 0, "no evening of the demo calls anything");
}

#[test]
fn a_longer_pace_lays_a_larger_floor_and_says_where_it_no_longer_fits() {
    let edition = solved();
    let problem = edition.problem().unwrap();
    let blocks = |pace| edition.evening(&problem, 0, Pace(jogo_core::units::Metres(pace))).unwrap().blocks;
    for (usual, long) in blocks(0.75).iter().zip(blocks(1.5)) {
        assert!(long.laid.footprint.depth >= usual.laid.footprint.depth, "{}", usual.title);
        assert_eq!(usual.laid.misfit, None);
    }
    assert!(blocks(1.5).iter().any(|block| block.laid.misfit.is_some()));
}

// By hand: on half of the hall, 9 × 12 m, with half of the 14 players: each rung has seven players, and the
// kit holds the markers of both at once.
#[test]
fn where_the_squad_is_split_both_rungs_are_laid_on_half_of_the_floor() {
    let mut edition = first_evening(&[("wall-of-two@form", 6)]);
    edition.plan.sessions[0][0].beside = Some(called("wall-of-two@flow"));
    let problem = edition.problem().unwrap();
    let evening = edition.evening(&problem, 0, Pace::default()).unwrap();
    let block = &evening.blocks[0];
    let beside = block.beside.as_ref().unwrap();
    assert_eq!(
        (block.laid.station_sizes.iter().sum::<u32>(), beside.station_sizes.iter().sum::<u32>()),
        (7, 7)
    );
    assert_eq!((block.laid.stage, beside.stage), (Stage::Form, Stage::Flow));
    let markers: u32 = block.laid.markers.values().chain(beside.markers.values()).sum();
    assert_eq!(evening.kit.values().sum::<u32>(), markers);
    assert!(edition.evening(&problem, 0, Pace::default()).unwrap().blocks[0].laid.misfit.is_none());
}
