//! The running order of a session: minutes, kit, stations, touches and the clock.

use jiff::civil::{Date, date};
use jogo_core::assessment::milestones::{Evidence, Milestone, Seen};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::session::Gear;
use jogo_core::drill::dose::{Dose, SideRule};
use jogo_core::drill::levers::Sides;
use jogo_core::drill::timing::{FootTouches, PhaseKind};
use jogo_core::ground::layout::Layout;
use jogo_core::plan::curriculum::Sitting;
use jogo_core::plan::{Block, Plan, solve};
use jogo_core::technique::skill::{Foot, SidePolicy, Stage, Strand};
use jogo_core::units::{Minutes, Pace, Seconds};
use rstest::rstest;

use crate::demo::{self, called};

/// The demo's curriculum with its plan.
fn solved() -> Edition {
    demo::edition(solve(&demo::problem(), 7, 2_000).unwrap().plan)
}

fn first_session(blocks: &[(&str, u32)]) -> Edition {
    let block = |(variant, minutes): &(&str, u32)| Block::of(&called(variant), Minutes(*minutes));
    demo::edition(Plan { sessions: vec![blocks.iter().map(block).collect()] })
}

// By hand, for 14 players in the hall of 18 × 12 m with a margin of 1 m and a run-off of 0.5 m: a station of two
// markers six paces apart is 4.5 m long; ⌊19 ÷ 2⌋ × ⌊13 ÷ 6.5⌋ = 18 fit, and 7 pairs keep all 14 at work. A block of
// 6 min holds 60 s of explaining and 3 sets a side: 6 × 30 s of work with 5 × 20 s of rest between, 280 s. 0.5
// touches a second × 180 s = 90, half of them with each foot; 1 − 180 ÷ 280 = 36 % of the time is waiting.
#[test]
fn pairs_at_the_wall_of_two() {
    let edition = first_session(&[("wall-of-two@form", 6)]);
    let order = edition.running_order(&edition.problem().unwrap(), 0, Pace::default()).unwrap();
    let block = &order.blocks[0];
    assert_eq!((block.laid.stage, block.strand), (Stage::Form, Strand::Passing));
    assert_eq!(block.laid.station_sizes, [2; 7]);
    assert_eq!(
        (block.laid.timing.bouts, block.laid.timing.work, block.laid.timing.rest),
        (6, Seconds(30.0), Seconds(20.0))
    );
    assert_eq!(block.laid.timing.touches, FootTouches { strong: 45, other: 45 });
    // Each foot has bouts of its own, the other one first.
    let feet: Vec<_> = block.laid.timing.phases.iter().filter_map(|phase| phase.foot).collect();
    assert_eq!(feet, [Foot::Other, Foot::Strong].repeat(3));
    // Ten passes of three seconds in a set.
    let [once, rest] = [Seconds(3.0), Seconds(20.0)];
    let dose = Dose::Reps { reps: 10, each: Some(once), rest, sets: 3, sides: SideRule::Each };
    assert_eq!((block.laid.timing.dose, block.laid.timing.once), (dose, once));
    assert!((block.laid.timing.waiting_share.0 - (1.0 - 180.0 / 280.0)).abs() < 1e-12);
    assert_eq!(block.laid.timing.work_to_rest.as_deref(), Some("3:2"));
    assert_eq!(order.kit, [("white".to_owned(), 14)].into());
    // Each pair has one ball, and nobody defends.
    assert_eq!(order.gear, Gear { balls: 7, ..Gear::default() });
    assert_eq!((order.unused, block.starts, block.laying_out), (Minutes(34), Minutes(0), Minutes(0)));
}

// Strong foot first: the taps alone with the other foot, and so at the next rung.
#[test]
fn whoever_works_with_one_foot_goes_on_with_it() {
    let mut edition = first_session(&[("toe-taps-rounds@form-other", 6)]);
    edition.curriculum.side = Some(SidePolicy::StrongFirst);
    let order = edition.running_order(&edition.problem().unwrap(), 0, Pace::default()).unwrap();
    let block = &order.blocks[0];
    let up = block.one_up.as_ref().unwrap();
    for laid in [&block.laid, up] {
        assert_eq!((laid.foot, laid.levers.side), (Some(Foot::Other), Sides::Other));
        assert!(
            laid.timing.touches.strong == 0 && laid.timing.touches.other > 0,
            "{:?}",
            laid.timing.touches
        );
    }
    assert_eq!((block.laid.stage, block.skills.as_slice()), (Stage::Form, &["Toe taps".to_owned()][..]));
    assert!(block.one_down.is_none(), "it is the easiest rung");
    assert_ne!(up.levers, block.laid.levers);
}

// By hand: 14 white markers for the first, 14 blue for the second; 14 × 6 s ÷ 2 adults = 42 s, one minute of laying
// out.
#[test]
fn the_kit_is_the_most_of_each_colour_and_changes_take_time() {
    let edition =
        first_session(&[("wall-of-two@form", 6), ("pairs-receive-and-set@form", 8), ("wall-of-two@form", 5)]);
    let order = edition.running_order(&edition.problem().unwrap(), 0, Pace::default()).unwrap();
    assert_eq!(order.kit, [("blue".to_owned(), 14), ("white".to_owned(), 14)].into());
    assert_eq!(order.gear.balls, 7, "the same balls for all blocks");
    let times: Vec<_> = order.blocks.iter().map(|b| (b.starts.0, b.laying_out.0, b.minutes.0)).collect();
    assert_eq!(times, [(0, 0, 6), (6, 1, 8), (15, 1, 5)]);
    assert_eq!(order.unused, Minutes(19));
}

#[test]
fn every_session_of_the_demo_can_be_run() {
    let problem = demo::problem();
    let plan = solve(&problem, 7, 2_000).unwrap().plan;
    let edition = demo::edition(plan);
    for session in 0..problem.sessions.len() {
        let order = edition.running_order(&problem, session, Pace::default()).unwrap();
        let used: u32 = order.blocks.iter().map(|b| b.laying_out.0 + b.minutes.0).sum();
        assert_eq!(used + order.unused.0, order.minutes.0, "session {session}");
        for block in &order.blocks {
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
            let FootTouches { strong, other } = block.laid.timing.touches;
            assert!(strong + other > 0, "{}", block.title);
            let defenders = Layout::read(&block.layout, Pace::default()).unwrap().roles().defenders;
            assert!(block.laid.gear.bibs >= defenders * block.laid.station_sizes.len() as u32);
            assert!(order.gear.bibs >= block.laid.gear.bibs && order.gear.balls >= block.laid.gear.balls);
            for (colour, count) in &block.laid.markers {
                assert!(order.kit[colour] >= *count, "{}", block.title);
            }
            assert!(roxmltree::Document::parse(&block.laid.drawing).is_ok(), "{}", block.title);
        }
    }
}

// The second rung of Flow is done with the other foot alone: none of its touches is the strong foot's.
#[test]
fn a_block_is_run_at_the_rung_that_the_plan_says() {
    let edition = first_session(&[("pairs-change-the-foot@flow", 6), ("pairs-change-the-foot@flow-2", 6)]);
    let order = edition.running_order(&edition.problem().unwrap(), 0, Pace::default()).unwrap();
    let [easier, harder] = &order.blocks[..] else { panic!("{} blocks", order.blocks.len()) };
    assert_eq!((easier.laid.levers.side, harder.laid.levers.side), (Sides::Alternate, Sides::Other));
    assert_eq!((easier.laid.stage, harder.laid.stage), (Stage::Flow, Stage::Flow));
    assert!(easier.laid.timing.touches.strong > 0);
    assert_eq!(harder.laid.timing.touches.strong, 0);
    let up = easier.one_up.as_ref().unwrap();
    assert_eq!(up.levers, harder.laid.levers, "one up is the next rung");
    // A rung that the drill has no longer is no block.
    let gone = first_session(&[("wall-of-two@form", 6), ("pairs-change-the-foot@flow-9", 6)]);
    assert_eq!(gone.running_order(&gone.problem().unwrap(), 0, Pace::default()).unwrap().blocks.len(), 1);
}

#[rstest]
#[case::session_beyond_the_last(99)]
#[case::session_without_a_plan(3)]
fn there_is_no_session_where_nothing_is_laid(#[case] session: usize) {
    let edition = first_session(&[("wall-of-two@form", 6)]);
    assert!(edition.running_order(&edition.problem().unwrap(), session, Pace::default()).is_none());
}

#[test]
fn a_block_calls_only_where_its_levers_ask_for_an_answer_and_within_its_bout() {
    let edition = solved();
    let problem = edition.problem().unwrap();
    let mut called = 0;
    for session in 0..problem.sessions.len() {
        for block in edition.running_order(&problem, session, Pace::default()).unwrap().blocks {
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
    assert!(called > 0, "no order of the demo calls anything");
}

#[test]
fn a_longer_pace_lays_a_larger_floor_and_says_where_it_no_longer_fits() {
    let edition = solved();
    let problem = edition.problem().unwrap();
    let blocks = |pace| {
        let order = |session| {
            edition.running_order(&problem, session, Pace(jogo_core::units::Metres(pace))).unwrap().blocks
        };
        (0..problem.sessions.len()).flat_map(order).collect::<Vec<_>>()
    };
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
    let mut edition = first_session(&[("wall-of-two@form", 6)]);
    edition.plan.sessions[0][0].beside = Some(called("wall-of-two@flow"));
    let problem = edition.problem().unwrap();
    let order = edition.running_order(&problem, 0, Pace::default()).unwrap();
    let block = &order.blocks[0];
    let beside = block.beside.as_ref().unwrap();
    assert_eq!(
        (block.laid.station_sizes.iter().sum::<u32>(), beside.station_sizes.iter().sum::<u32>()),
        (7, 7)
    );
    assert_eq!((block.laid.stage, beside.stage), (Stage::Form, Stage::Flow));
    let markers: u32 = block.laid.markers.values().chain(beside.markers.values()).sum();
    assert_eq!(order.kit.values().sum::<u32>(), markers);
    assert!(edition.running_order(&problem, 0, Pace::default()).unwrap().blocks[0].laid.misfit.is_none());
}

// By hand: a count of half a minute takes 14 players 60 + 2 × 40 s, three minutes, which are written down as five here.
// The block begins after both tests, at 5 + 4 = 9; 40 − 9 − 6 = 25 minutes are left.
#[test]
fn tests_come_first_and_say_how_they_are_taken() {
    let mut edition = first_session(&[("wall-of-two@form", 6)]);
    let sitting = |test: &str, minutes| Sitting {
        session: 0,
        test: called(test),
        minutes: Minutes(minutes),
        pinned: true,
        shows: vec![],
    };
    edition.curriculum.tests = vec![sitting("inside-set-seen", 5), sitting("wall-passes-30", 4)];
    let order = edition.running_order(&edition.problem().unwrap(), 0, Pace::default()).unwrap();
    let tests: Vec<_> = order.tests.iter().map(|test| (test.test.as_str(), test.minutes.0)).collect();
    assert_eq!(tests, [("inside-set-seen", 5), ("wall-passes-30", 4)]);
    let test = edition.tests.iter().find(|test| test.id == "wall-passes-30").unwrap();
    assert_eq!((&order.tests[1].name, &order.tests[1].how), (&test.name, &test.how));
    assert_eq!((order.blocks[0].starts, order.unused), (Minutes(9), Minutes(25)));
}

/// A milestone of the push pass that a coach sees.
fn seen(stage: Stage, points: &[u32]) -> Milestone {
    let like = demo::milestones().into_iter().find(|milestone| milestone.evidence.seen().is_some()).unwrap();
    let evidence = Evidence::Seen(Seen { test: called("inside-set-seen"), points: points.to_vec(), days: 2 });
    let id = format!("pass-{stage:?}").to_lowercase();
    Milestone { id: called(&id), skill: called("push-pass"), stage, band: called("u8-u9"), evidence, ..like }
}

/// What is looked for in a first session: the block, and the milestone's stage.
fn looked_for(
    present: Option<Stage>,
    blocks: &[(&str, u32)],
    milestones: &[Milestone],
) -> Vec<(usize, String)> {
    let mut edition = first_session(blocks);
    for goal in edition.curriculum.goals.iter_mut().filter(|goal| goal.skill == "push-pass") {
        goal.present = present;
        goal.goal = Stage::Scan;
    }
    let looks = edition.looks(&edition.problem().unwrap(), 0, milestones, &edition.tests);
    looks.into_iter().map(|look| (look.block, look.milestone.to_string())).collect()
}

const FORM: &[(&str, u32)] = &[("wall-of-two@form", 6)];
const BOTH: &[(&str, u32)] = &[("wall-of-two@form", 6), ("wall-of-two@flow", 6), ("wall-of-two@flow", 5)];

#[rstest]
#[case::its_own_stage(None, FORM, &[Stage::Form, Stage::Flow], &[(0, "pass-form")])]
#[case::nearest_to_the_block(None, BOTH, &[Stage::Form, Stage::Flow], &[(0, "pass-form"), (1, "pass-flow")])]
#[case::an_earlier_stage_in_a_later_block(None, &BOTH[1..], &[Stage::Form], &[(0, "pass-form")])]
#[case::a_later_stage_not_in_an_earlier_block(None, FORM, &[Stage::Flow, Stage::Scan], &[])]
#[case::done_before_the_curriculum(Some(Stage::Flow), BOTH, &[Stage::Form, Stage::Flow], &[(1, "pass-flow")])]
#[case::all_done(Some(Stage::Scan), BOTH, &[Stage::Form, Stage::Flow], &[])]
#[case::no_block_of_it(None, &[("weave-six@form", 6)], &[Stage::Form], &[])]
fn a_block_looks_for_the_milestone_nearest_to_its_stage(
    #[case] present: Option<Stage>,
    #[case] blocks: &[(&str, u32)],
    #[case] stages: &[Stage],
    #[case] looks: &[(usize, &str)],
) {
    let milestones: Vec<Milestone> = stages.iter().map(|stage| seen(*stage, &[])).collect();
    let looks: Vec<(usize, String)> = looks.iter().map(|(block, id)| (*block, (*id).to_owned())).collect();
    assert_eq!(looked_for(present, blocks, &milestones), looks);
}

#[rstest]
#[case::all(&[], &["Open before the ball comes", "Looks over the shoulder", "First touch to the free side"])]
#[case::those_that_it_names(&[3, 1], &["First touch to the free side", "Open before the ball comes"])]
#[case::none_beyond_the_last(&[0, 2, 9], &["Looks over the shoulder"])]
fn a_look_names_its_points(#[case] numbers: &[u32], #[case] points: &[&str]) {
    let mut edition = first_session(FORM);
    edition.curriculum.goals.iter_mut().for_each(|goal| goal.present = None);
    let problem = edition.problem().unwrap();
    let milestone = seen(Stage::Form, numbers);
    let looks = edition.looks(&problem, 0, std::slice::from_ref(&milestone), &edition.tests);
    assert_eq!((looks[0].test.as_str(), &looks[0].says), ("inside-set-seen", &milestone.says));
    assert_eq!(looks[0].points, points);
}

#[test]
fn another_bands_milestone_or_a_lost_test_is_not_looked_for() {
    let edition = first_session(FORM);
    let problem = edition.problem().unwrap();
    let of_others = Milestone { band: called("u10-u12"), ..seen(Stage::Form, &[]) };
    assert_eq!(edition.looks(&problem, 0, &[of_others], &edition.tests), []);
    assert_eq!(edition.looks(&problem, 0, &[seen(Stage::Form, &[])], &[]), []);
    assert_eq!(edition.looks(&problem, 99, &[seen(Stage::Form, &[])], &edition.tests), [], "no such session");
}

// 6 January is a Monday; the sessions are on Mondays and Thursdays for six weeks. In the second week the push pass is
// worked on at Flow and then at Form: its furthest stage counts.
#[test]
fn the_week_that_lies_ahead_names_the_furthest_stage_of_each_skill() {
    let mut edition = first_session(&[("wall-of-two@form", 6)]);
    let block = |variant: &str| Block::of(&called(variant), Minutes(6));
    edition.plan.sessions.extend([
        vec![],
        vec![block("wall-of-two@flow")],
        vec![block("wall-of-two@form"), block("pairs-receive-and-set@form")],
    ]);
    let skills = |day: Date| {
        let ahead = edition.week_after(day)?;
        let skills = ahead.skills.into_iter().map(|(skill, stage)| (skill.to_string(), stage));
        Some((ahead.from, ahead.week, skills.collect::<Vec<_>>()))
    };
    let of = |skill: &str, stage| (skill.to_owned(), stage);
    let second = (date(2031, 1, 13), 2, vec![of("inside-set", Stage::Form), of("push-pass", Stage::Flow)]);
    assert_eq!(skills(date(2031, 1, 6)), Some(second.clone()));
    assert_eq!(skills(date(2031, 1, 12)), Some(second), "the same on its last day");
    assert_eq!(skills(date(2031, 1, 5)), Some((date(2031, 1, 6), 1, vec![of("push-pass", Stage::Form)])));
    assert_eq!(skills(date(2031, 2, 13)), None, "nothing lies ahead");
}
