//! The checker: each rule, broken and kept by a minute or a session.

use crate::demo::called;
use jogo_core::drill::levers::Intensity;
use jogo_core::fact::Fact;
use jogo_core::plan::{Barred, Ladder, Lock, Problem, TestWish, Variant, check};
use jogo_core::technique::skill::Stage;
use jogo_core::units::{Minutes, Seconds};
use rstest::rstest;

use super::{A_AND_B, Wished, code, plan, problem, variant_of};

fn broken(problem: &Problem, sessions: &str) -> Vec<(&'static str, usize, Option<usize>)> {
    check(problem, &plan(sessions)).into_iter().map(|b| (code(b.rule), b.session, b.block)).collect()
}

#[rstest]
#[case::legal("a@form 5 | a@form 5 | a@flow 5, b@form 5 | ", &[])]
#[case::too_long("a@form 10, b@form 10 |  |  | ", &[("H1", 0, None), ("H2", 0, Some(1)), ("H7", 0, Some(1))])]
#[case::change_breaks_the_time("a@form 5 | a@form 5 | b@form 10, a@flow 10 | ", &[("H1", 2, None)])]
#[case::need_in_the_same_session("a@form 5 | a@form 5, b@form 5 |  | ", &[("H2", 1, Some(1))])]
#[case::need_never_served("b@form 5 |  |  | ", &[("H2", 0, Some(0))])]
#[case::flow_after_one_form("a@form 5 | a@flow 5 |  | ", &[("H3", 1, Some(0))])]
#[case::unknown_variant("z@form 5 |  |  | ", &[("form", 0, Some(0))])]
#[case::too_short_a_block("a@form 4 |  |  | ", &[("form", 0, Some(0))])]
#[case::session_missing("", &[("form", 1, None)])]
// 20 min: a block of 9 and a change of 1 leave the second half for what is new, one of 8 does not.
#[case::new_after_half("a@form 9 | a@form 9 | a@flow 9, b@form 5 | ", &[("H7", 2, Some(1))])]
#[case::new_before_half("a@form 9 | a@form 9 | a@flow 8, b@form 5 | ", &[])]
#[case::a_rung_beside_another("a@form 5 | a@form 5 | a@flow+a@form 5 | ", &[])]
#[case::beside_itself("a@form+a@form 5 |  |  | ", &[("H5", 0, Some(0))])]
#[case::beside_another_skill("a@form 5 | a@form 5 | b@form+a@flow 5 | ", &[("H5", 2, Some(0))])]
#[case::beside_what_is_unknown("a@form+z@flow 5 |  |  | ", &[("form", 0, Some(0))])]
fn the_checker_finds_breaches(#[case] sessions: &str, #[case] found: &[(&str, usize, Option<usize>)]) {
    let mut problem = problem(A_AND_B, &[20, 20, 20, 20]);
    problem.variants.iter_mut().for_each(|v| v.halves = true);
    assert_eq!(broken(&problem, sessions), found);
}

// b carries a over to the other foot: it waits for a, but is nothing new (H4, H7).
#[rstest]
#[case::late_in_a_session("a@form 9 | a@form 9 | a@flow 9, b@form 5 | ", &[])]
#[case::too_early("a@form 5 | b@form 5, a@form 5 |  | ", &[("H2", 1, Some(0))])]
#[case::in_a_week_that_is_full("a@form 5 | a@form 5 | b@form 5, c@form 5 | ", &[])]
fn the_other_foot_is_nothing_new(#[case] sessions: &str, #[case] found: &[(&str, usize, Option<usize>)]) {
    let mut problem = problem(
        &[
            ("a", None, Stage::Flow, &[]),
            ("b", None, Stage::Form, &[("a", Stage::Form)]),
            ("c", None, Stage::Form, &[]),
        ],
        &[20, 20, 20, 20],
    );
    problem.new_skills_per_week = 1;
    problem.skills[1].carries = Some(problem.skills[0].id.clone());
    assert_eq!(broken(&problem, sessions), found);
}

// Two exposures of Form, two of Flow; a session counts once, however many blocks show a stage.
#[rstest]
#[case::strict_kept(Ladder::Strict, "a@form 5 | a@form 5 | a@flow 5 | ", &[])]
#[case::strict_after_one(Ladder::Strict, "a@form 5 | a@flow 5 |  | ", &[("H3", 1, Some(0))])]
#[case::strict_twice_on_one_day(Ladder::Strict, "a@form 5, a@form-2 5 | a@flow 5 |  | ", &[("H3", 1, Some(0))])]
#[case::overlapping_after_one(Ladder::Overlapping, "a@form 5 | a@flow 5 | a@scan 5 | ", &[])]
#[case::overlapping_on_the_same_day(Ladder::Overlapping, "a@form 5, a@flow 5 |  |  | ", &[("H3", 0, Some(1))])]
#[case::overlapping_with_a_stage_left_out(Ladder::Overlapping, "a@form 5 | a@scan 5 |  | ", &[("H3", 1, Some(0))])]
#[case::open_from_the_first_day(Ladder::Open, "a@scan 5 | a@flow 5, a@contest 5 |  | ", &[])]
#[case::open_with_contest_alone(Ladder::Open, "a@scan 5 | a@contest 5 |  | ", &[("H3", 1, Some(0))])]
#[case::open_once_scan_is_done(Ladder::Open, "a@scan 5 | a@scan 5 | a@contest 5 | ", &[])]
fn stages_begin_as_the_ladder_says(
    #[case] ladder: Ladder,
    #[case] sessions: &str,
    #[case] found: &[(&str, usize, Option<usize>)],
) {
    let mut problem = problem(&[("a", None, Stage::Contest, &[])], &[40; 4]);
    problem.approach.ladder = ladder;
    let form = problem.variants[0].clone();
    problem.variants.push(Variant { id: called("a@form-2"), ..form.clone() });
    problem.variants.push(Variant { id: called("a@contest"), stage: Stage::Contest, ..form });
    assert_eq!(broken(&problem, sessions), found);
}

#[test]
fn what_the_squad_has_already_opens_the_ladder() {
    let wished: &[Wished<'_>] = &[("a", Some(Stage::Scan), Stage::Contest, &[])];
    for ladder in [Ladder::Strict, Ladder::Overlapping, Ladder::Open] {
        let mut problem = problem(wished, &[20; 4]);
        problem.approach.ladder = ladder;
        assert_eq!(broken(&problem, "a@scan 5 |  |  | "), [], "{ladder:?}");
    }
}

// Of 40 minutes a drill in several blocks may take 16; one block alone may take what it may.
#[rstest]
#[case::once(" a@form 8, b@form 5 | ", &[], &[])]
#[case::twice("a@form 5, b@form 5, a@form 5 | ", &[], &[("H7", 0, Some(2))])]
#[case::twice_one_of_them_locked("a@form 5, b@form 5, a@form 6 | ", &["a@form 6"], &[("H7", 0, Some(0))])]
#[case::twice_both_locked("a@form 5, b@form 5, a@form 6 | ", &["a@form 6", "a@form 5"], &[])]
#[case::two_stages_of_a_drill("a@flow 8, b@form 5, a@scan 8 | ", &[], &[])]
#[case::too_long_together("a@flow 8, b@form 5, a@scan 9 | ", &[], &[("H7", 0, Some(2))])]
#[case::too_long_but_locked("a@flow 8, b@form 5, a@scan 9 | ", &["a@flow 8", "a@scan 9"], &[])]
#[case::too_long_and_half_locked("a@flow 8, b@form 5, a@scan 9 | ", &["a@scan 9"], &[("H7", 0, Some(0))])]
fn a_session_does_not_dwell_on_one_drill(
    #[case] sessions: &str,
    #[case] locks: &[&str],
    #[case] found: &[(&str, usize, Option<usize>)],
) {
    let wished: &[Wished<'_>] =
        &[("a", Some(Stage::Contest), Stage::Contest, &[]), ("b", Some(Stage::Flow), Stage::Flow, &[])];
    let mut problem = problem(wished, &[40; 2]);
    let lock = |block: &&str| Lock { session: 0, block: plan(block).sessions.remove(0).remove(0) };
    problem.locks = locks.iter().map(lock).collect();
    assert_eq!(broken(&problem, sessions), found);
}

#[test]
fn new_skills_are_counted_by_the_week() {
    let free: &[(&str, Stage)] = &[];
    let many: [Wished<'_>; 3] = ["a", "b", "c"].map(|id| (id, None, Stage::Form, free));
    let problem = problem(&many, &[30, 30, 30, 30]);
    assert_eq!(broken(&problem, "a@form 5, b@form 5 | c@form 5 |  | "), [("H4", 1, None)]);
    assert_eq!(broken(&problem, "a@form 5, b@form 5 |  | c@form 5 | "), []);
}

#[test]
fn what_does_not_fit_or_is_blocked_is_no_part_of_a_plan() {
    let mut problem = problem(A_AND_B, &[20, 20, 20, 20]);
    variant_of(&mut problem, "a@form").barred = Some(Barred::H5(Fact::written("8 markers are missing")));
    variant_of(&mut problem, "a@flow").barred = Some(Barred::H6(Fact::written("it has headers")));
    assert_eq!(
        broken(&problem, "a@form 5 | a@form 5 | a@flow 5 | "),
        [("H5", 0, Some(0)), ("H5", 1, Some(0)), ("H6", 2, Some(0))]
    );
}

#[test]
fn two_rungs_side_by_side_each_stand_on_half_of_the_floor_and_are_both_laid_out() {
    let mut problem = problem(A_AND_B, &[20, 20, 20, 20]);
    variant_of(&mut problem, "a@flow").halves = true;
    assert_eq!(broken(&problem, "a@form 5 | a@form 5 | a@flow+a@form 5 | "), [("H5", 2, Some(0))]);
    variant_of(&mut problem, "a@form").halves = true;
    variant_of(&mut problem, "a@form").laying_out = Minutes(4);
    // 5 + (1 + 4) + 10 = 20 min, and one more is too much.
    let laid = |minutes: u32| format!("a@form 5 | a@form 5 | b@form 5, a@flow+a@form {minutes} | ");
    assert_eq!(broken(&problem, &laid(10)), []);
    problem.sessions[2].minutes = Minutes(19);
    assert_eq!(broken(&problem, &laid(10)), [("H1", 2, None)]);
}

#[rstest]
#[case::a_bout_of_the_limit(|p: &mut Problem| variant_of(p, "a@form").bout = Seconds(60.0), &[])]
#[case::a_bout_too_long(
    |p: &mut Problem| variant_of(p, "a@form").bout = Seconds(61.0), &[("H6", 0, Some(0)), ("H6", 1, Some(0))],
)]
#[case::a_block_too_long(|p: &mut Problem| p.limits.longest_block = Minutes(6), &[("H6", 0, Some(0))])]
#[case::out_of_the_air(|p: &mut Problem| p.limits.aerial_per_session = Minutes(6), &[("H6", 0, None)])]
#[case::headers_as_allowed(
    |p: &mut Problem| { variant_of(p, "a@form").headers_per_min = 1.0; p.limits.headers_per_week = Some(13) }, &[],
)]
#[case::too_many_headers(
    |p: &mut Problem| { variant_of(p, "a@form").headers_per_min = 1.0; p.limits.headers_per_week = Some(12) },
    &[("H6", 1, None)],
)]
fn caps_hold(#[case] change: fn(&mut Problem), #[case] found: &[(&str, usize, Option<usize>)]) {
    let mut problem = problem(A_AND_B, &[20, 20, 20, 20]);
    variant_of(&mut problem, "a@form").aerial = true;
    change(&mut problem);
    // 7 min in one session, 6 in the other of the same week.
    assert_eq!(broken(&problem, "a@form 7 | a@form 6 |  | "), found);
}

#[test]
fn a_session_begins_warm_and_goes_hard_only_now_and_then() {
    let free: &[(&str, Stage)] = &[];
    let mut problem = problem(&[("a", None, Stage::Form, free), ("b", None, Stage::Form, free)], &[40; 4]);
    variant_of(&mut problem, "b@form").warm_up = false;
    assert_eq!(broken(&problem, "b@form 5, a@form 5 |  |  | "), [("H7", 0, Some(0))]);
    assert_eq!(broken(&problem, "a@form 5, b@form 5 |  |  | "), []);
    problem.variants.iter_mut().for_each(|v| v.intensity = Intensity::Hard);
    assert_eq!(broken(&problem, "a@form 5, b@form 5 |  |  | "), [("H7", 0, Some(1))]);
}

#[test]
fn contest_comes_after_every_other_block_of_the_skill() {
    let mut problem = problem(&[("a", Some(Stage::Contest), Stage::Contest, &[])], &[40; 4]);
    let mut contest = problem.variants[0].clone();
    (contest.id, contest.stage) = (called("a@contest"), Stage::Contest);
    problem.variants.push(contest);
    assert_eq!(broken(&problem, "a@contest 5, a@scan 5 |  |  | "), [("H7", 0, Some(1))]);
    assert_eq!(broken(&problem, "a@scan 5, a@contest 5 |  |  | "), []);
}

#[test]
fn what_is_locked_stays_with_its_minutes() {
    let mut problem = problem(A_AND_B, &[20, 20, 20, 20]);
    let locked = plan("a@form 7").sessions.remove(0).remove(0);
    problem.locks = vec![Lock { session: 1, block: locked.clone() }; 2];
    assert_eq!(broken(&problem, "a@form 5 | a@form 7, a@form 7 |  | "), []);
    assert_eq!(
        broken(&problem, "a@form 5 | a@form 7, a@form 6 |  | "),
        [("H7", 1, Some(1)), ("H8", 1, None)]
    );
}

#[test]
fn tests_come_first_and_only_of_what_was_met() {
    let mut problem = problem(A_AND_B, &[20, 20, 20, 20]);
    let test = |skills: &[&str]| TestWish {
        id: called("t"),
        name: "Ten in a row".into(),
        minutes: Minutes(12),
        skills: skills.iter().map(|s| called(s)).collect(),
        shows: Vec::new(),
    };
    problem.sessions[1].tests = vec![test(&["a"])];
    // 12 min of test leave 8.
    assert_eq!(broken(&problem, "a@form 5 | a@form 8 |  | "), []);
    assert_eq!(broken(&problem, "a@form 5 | a@form 9 |  | "), [("H1", 1, None)]);
    assert_eq!(broken(&problem, " | a@flow 5 |  | ")[..1], [("H3", 1, Some(0))]);
    problem.sessions[1].tests = vec![test(&["a", "b"])];
    assert_eq!(broken(&problem, "a@form 5 | a@form 8 |  | "), [("H9", 1, None)]);
    // What the squad had met before may be tested at once.
    problem.skills[1].present = Some(Stage::Form);
    assert_eq!(broken(&problem, "a@form 5 | a@form 8 |  | "), []);
}
