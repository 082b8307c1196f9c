//! Tests that lay themselves: in which session does each stand? Worked out by hand.
//!
//! The curriculum has twelve sessions of 40 minutes: 6, 9, 13, 16, 20, 23, 27 and 30 January, 3, 6, 10 and 13 February.
//! *Before* is sessions 0 to 3 (less than 14 days after the first), *at the end* 8 to 11, and *on the way* 4 to 7. A
//! session away from the best place costs 1/3, and so do five minutes of tests of the fifteen that a session may have.

use jogo_core::assessment::benchmarks::{Protocol, Test};
use jogo_core::assessment::milestones::{Evidence, Milestone};
use jogo_core::plan::Ladder;
use jogo_core::plan::curriculum::{Curriculum, Goal, Sitting, Testing};
use jogo_core::plan::upset::MovedTest;
use jogo_core::technique::skill::{Need, Skill, Stage};
use jogo_core::units::Minutes;
use rstest::rstest;

use super::demo::{self, called};

/// A count of so many minutes for a squad of 14: 60 s, and two turns of a trial and 10 s.
fn test(id: &str, skill: &str, minutes: u32, layout: &str) -> Test {
    let like = demo::tests().into_iter().find(|test| test.id == "toe-taps-30").unwrap();
    let protocol = Protocol::Count { seconds: (minutes - 1) * 30 - 10 };
    Test { id: called(id), skill: called(skill), protocol, layout: layout.to_owned(), ..like }
}

/// A milestone that a test shows on a number of dates.
fn shown(id: &str, skill: &str, stage: Stage, (test, times): (&str, u32)) -> Milestone {
    let json = format!(
        r#"{{"measured": {{"test": "{test}", "reach": {{"level": "secure"}}, "times": {times}, "of_last": 3}}}}"#
    );
    let evidence: Evidence = serde_json::from_str(&json).unwrap();
    let says = format!("I can {id}");
    let short = id.to_owned();
    Milestone { id: called(id), says, short, skill: called(skill), stage, band: called("u8-u9"), evidence }
}

fn goal(skill: &str, present: Option<Stage>, goal: Stage) -> Goal {
    Goal::new(called(skill), present, goal)
}

fn sitting(session: usize, test: &str, pinned: bool) -> Sitting {
    Sitting { session, test: called(test), minutes: Minutes(5), pinned, shows: vec![] }
}

const AT_THE_END: Testing = Testing { on_the_way: false, ..Testing::USUAL };
const ALL: Testing = Testing { before: true, ..Testing::USUAL };

/// Two skills that the squad has met, to Flow, each with a test of five minutes.
fn two() -> Curriculum {
    let goals = vec![
        goal("weave", Some(Stage::Form), Stage::Flow),
        goal("half-turn", Some(Stage::Form), Stage::Flow),
    ];
    Curriculum { goals, tests: vec![], testing: AT_THE_END, ..demo::curriculum() }
}

fn flow(times: u32) -> [Milestone; 2] {
    [
        shown("weave-flow", "weave", Stage::Flow, ("w", times)),
        shown("turn-flow", "half-turn", Stage::Flow, ("h", times)),
    ]
}

/// Where the tests stand, by session.
fn laid(wishes: &Curriculum, milestones: &[Milestone], tests: &[Test]) -> Vec<(usize, String)> {
    let laid = wishes.with_tests_laid(&[] as &[Skill], milestones, tests);
    laid.tests.iter().map(|sitting| (sitting.session, sitting.test.to_string())).collect()
}

fn at(places: &[(usize, &str)]) -> Vec<(usize, String)> {
    places.iter().map(|(session, test)| (*session, (*test).to_owned())).collect()
}

// The second costs 1/3 in the last session, for five minutes of fifteen, and 1/3 in the one before it, for the way: of
// two alike the earlier. Beside a test with the same layout it costs 1/3 − 1/2. The longest goes first.
#[rstest]
#[case::two_alike([5, 5], ["", ""], &[(10, "h"), (11, "w")])]
#[case::on_one_layout([5, 5], ["mark A white", "mark A white"], &[(11, "h"), (11, "w")])]
#[case::on_two_layouts([5, 5], ["mark A white", "mark A blue"], &[(10, "h"), (11, "w")])]
#[case::the_longest_first([4, 10], ["", ""], &[(10, "w"), (11, "h")])]
#[case::more_than_a_session_may_have([16, 5], ["", ""], &[(11, "h")])]
fn tests_at_the_end_stand_as_late_as_they_can(
    #[case] minutes: [u32; 2],
    #[case] layouts: [&str; 2],
    #[case] places: &[(usize, &str)],
) {
    let tests = [test("w", "weave", minutes[0], layouts[0]), test("h", "half-turn", minutes[1], layouts[1])];
    assert_eq!(laid(&two(), &flow(1), &tests), at(places));
}

// What does not fit into a session's half or into all of the minutes is left out or goes elsewhere.
#[rstest]
#[case::half_of_a_short_session(Testing { ..AT_THE_END }, 9, &[(9, "h"), (10, "w")])]
#[case::a_session_holds_both(Testing { ..AT_THE_END }, 40, &[(10, "h"), (11, "w")])]
#[case::nine_minutes_in_all(Testing { most_in_all: Minutes(9), ..AT_THE_END }, 40, &[(11, "w")])]
#[case::ten_minutes_in_all(Testing { most_in_all: Minutes(10), ..AT_THE_END }, 40, &[(10, "h"), (11, "w")])]
#[case::four_in_a_session(Testing { most_in_session: Minutes(4), ..AT_THE_END }, 40, &[])]
#[case::not_at_the_end(Testing { at_the_end: false, ..AT_THE_END }, 40, &[])]
fn tests_keep_within_the_minutes(
    #[case] testing: Testing,
    #[case] last_session: u32,
    #[case] places: &[(usize, &str)],
) {
    let mut wishes = Curriculum { testing, ..two() };
    wishes.minutes[11] = Minutes(last_session);
    let tests = [test("w", "weave", 5, ""), test("h", "half-turn", 5, "")];
    assert_eq!(laid(&wishes, &flow(1), &tests), at(places));
}

// The middle of sessions 0 to 11 is 5. Before, only what the squad has met is measured; on the way, what asks for
// several dates. Form takes two exposures and Flow two: Flow of a new skill is shown from session 4 on.
#[rstest]
#[case::once(Some(Stage::Form), 1, &[(0, "w"), (11, "w")])]
#[case::on_two_dates(Some(Stage::Form), 2, &[(0, "w"), (5, "w"), (11, "w")])]
#[case::never_met(None, 1, &[(11, "w")])]
#[case::never_met_on_two_dates(None, 2, &[(5, "w"), (11, "w")])]
fn a_test_comes_before_on_the_way_and_at_the_end(
    #[case] present: Option<Stage>,
    #[case] times: u32,
    #[case] places: &[(usize, &str)],
) {
    let wishes = Curriculum { goals: vec![goal("weave", present, Stage::Flow)], testing: ALL, ..two() };
    assert_eq!(laid(&wishes, &flow(times), &[test("w", "weave", 5, "")]), at(places));
}

// With five exposures of each stage Form is done in session 4 at the soonest and Flow in 9: the test on the way has no
// session left, and the one at the end comes after Flow.
#[test]
fn a_test_waits_for_what_it_is_to_show() {
    let mut wishes = Curriculum { goals: vec![goal("weave", None, Stage::Flow)], testing: ALL, ..two() };
    (wishes.approach.exposures, wishes.approach.ladder) = ([5; 4], Ladder::Strict);
    wishes.tests = vec![sitting(11, "h", true)];
    wishes.minutes[11] = Minutes(10);
    assert_eq!(laid(&wishes, &flow(2), &[test("w", "weave", 5, "")]), at(&[(10, "w"), (11, "h")]));
}

// At the end a test shows every stage that rests on it, on the way the first.
#[test]
fn what_a_test_is_to_show_goes_with_it() {
    let wishes = Curriculum { goals: vec![goal("weave", None, Stage::Scan)], testing: ALL, ..two() };
    let milestones = [
        shown("weave-flow", "weave", Stage::Flow, ("w", 1)),
        shown("weave-scan", "weave", Stage::Scan, ("w", 1)),
        shown("weave-contest", "weave", Stage::Contest, ("w", 1)),
    ];
    let laid = wishes.with_tests_laid(&[], &milestones, &[test("w", "weave", 5, "")]);
    let shows: Vec<(usize, Vec<Need>)> = laid.tests.into_iter().map(|s| (s.session, s.shows)).collect();
    let weave = |stage| Need { skill: called("weave"), stage };
    let both = vec![weave(Stage::Flow), weave(Stage::Scan)];
    assert_eq!(shows, [(5, vec![weave(Stage::Flow)]), (11, both)]);
}

// The same test comes again after 14 days at the earliest: from 10 February on, nothing at the end is far enough, and
// 23 January is. Where it stood it stays unless another session is two points cheaper.
#[rstest]
#[case::pinned_near(sitting(10, "w", true), &[(5, "w"), (10, "w")])]
#[case::pinned_in_the_middle(sitting(5, "w", true), &[(5, "w"), (11, "w")])]
#[case::stays_two_sessions_away(sitting(9, "w", false), &[(5, "w"), (9, "w")])]
#[case::what_nobody_wants_goes(sitting(2, "h", false), &[(5, "w"), (11, "w")])]
fn a_pinned_test_stays_and_the_others_stay_if_they_can(
    #[case] stood: Sitting,
    #[case] places: &[(usize, &str)],
) {
    let goals = vec![goal("weave", Some(Stage::Form), Stage::Flow)];
    let wishes = Curriculum { goals, testing: Testing::USUAL, tests: vec![stood], ..two() };
    assert_eq!(laid(&wishes, &flow(2), &[test("w", "weave", 5, "")]), at(places));
}

#[test]
fn another_bands_milestones_and_unwished_skills_ask_for_no_test() {
    let mut milestones = flow(1).to_vec();
    milestones[0].band = called("u10-u12");
    milestones[1].skill = called("drag-turn");
    let tests = [test("w", "weave", 5, ""), test("h", "half-turn", 5, "")];
    assert_eq!(laid(&two(), &milestones, &tests), []);
}

// In session 3, 16 January, seven minutes are left: the first test fits and the second moves on. One of its kind on
// 30 January leaves only 13 February, two weeks from it; one on 10 February as well leaves none.
#[rstest]
#[case::to_the_next(&[], Some(4))]
#[case::two_weeks_from_its_like(&[7], Some(11))]
#[case::nowhere(&[7, 10], None)]
fn a_test_that_no_longer_fits_moves_to_a_later_session(#[case] others: &[usize], #[case] to: Option<usize>) {
    let mut wishes = two();
    wishes.tests = vec![sitting(3, "h", false), sitting(3, "w", true)];
    wishes.tests.extend(others.iter().map(|session| sitting(*session, "w", false)));
    let (after, moved) = wishes.with_tests_moved(3, Minutes(7));
    assert_eq!(moved, [MovedTest { test: called("w"), from: 3, to }]);
    let left: Vec<&Sitting> = after.tests.iter().filter(|sitting| sitting.session == 3).collect();
    assert_eq!(left, [&sitting(3, "h", false)]);
    assert_eq!(after.tests.len(), 1 + others.len() + usize::from(to.is_some()));
    let (_, all) = wishes.with_tests_moved(3, Minutes(0));
    assert_eq!(all.len(), 2, "a cancelled session takes none");
}

#[test]
fn a_test_that_lost_its_session_goes_unless_it_is_pinned() {
    let mut wishes = two();
    wishes.minutes[4] = Minutes(9);
    wishes.tests = vec![
        sitting(3, "h", false),
        sitting(4, "h", false),
        sitting(4, "w", false),
        sitting(12, "h", false),
        sitting(12, "w", true),
    ];
    let left = wishes.without_lost_tests().tests;
    assert_eq!(left, [sitting(3, "h", false), sitting(4, "h", false), sitting(12, "w", true)]);
}

#[rstest]
#[case::usual(Testing::USUAL, &[])]
#[case::nothing(Testing { most_in_session: Minutes(0), most_in_all: Minutes(0), ..ALL }, &["/most_in_session", "/most_in_all"])]
#[case::too_much(Testing { most_in_session: Minutes(121), most_in_all: Minutes(2001), ..ALL }, &["/most_in_session", "/most_in_all"])]
fn minutes_of_tests_have_a_range(#[case] testing: Testing, #[case] places: &[&str]) {
    let faults = Curriculum { testing, ..two() }.faults();
    let at: Vec<String> = faults.iter().map(|fault| fault.pointer.replace("/testing", "")).collect();
    assert_eq!(at, places);
}
