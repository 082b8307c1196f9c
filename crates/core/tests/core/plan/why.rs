//! Reasons in words, two plans side by side, and what the forecast makes of a plan.

use crate::demo::{called, told};
use jogo_core::fact::Fact;
use jogo_core::plan::edit::PriceSaid;
use jogo_core::plan::forecast::{Assumptions, Size, forecast};
use jogo_core::plan::problem::example::{ExampleSize, example};
use jogo_core::plan::why::Why;
use jogo_core::plan::{Approach, BlockId, Lock, Problem, compare, solve, why_block, why_skill};
use jogo_core::technique::skill::Stage;
use jogo_core::units::{Difficulty, Minutes, Share};
use proptest::prelude::*;
use rstest::rstest;

use super::{A_AND_B, Wished, plan, problem};

const LAID: &str = "a@form 5 | a@form 5 | a@flow 5, b@form 5 | a@flow 5";

#[rstest]
#[case::the_first((0, 0), &["why-asked-on-the-way skill=A nth=1 of=2 stage=stage-form goal=stage-flow", "why-comes-off skill=A tenths=7 least=7 most=9"])]
#[case::what_opens_another(
    (1, 0), &["why-asked-on-the-way skill=A nth=2 of=2 stage=stage-form goal=stage-flow", "why-opens skills=[(quoted-name name=B)]", "why-comes-off skill=A tenths=7.4 least=7 most=9"],
)]
#[case::another_stage(
    (2, 0),
    &["why-asked-as-goal skill=A nth=1 of=2 stage=stage-flow", "why-waited-for-stage stage=stage-flow before=stage-form date=(quoted-date day=10 month=1 year=2031)", "why-comes-off skill=A tenths=7.7 least=7 most=9"],
)]
#[case::what_waited(
    (2, 1),
    &["why-asked-as-goal skill=B nth=1 of=2 stage=stage-form", "why-waited-for-needs skill=B needs=[(why-done-on skill=A stage=stage-form date=(quoted-date day=10 month=1 year=2031))]", "why-comes-off skill=B tenths=7 least=7 most=9"],
)]
fn a_block_says_who_asked_for_it(#[case] (session, block): (usize, usize), #[case] says: &[&str]) {
    let why = why_block(&problem(A_AND_B, &[20; 4]), &plan(LAID), session, block).unwrap();
    assert_eq!(told(why.says), says);
}

#[test]
fn a_block_that_keeps_a_skill_alive_says_so_and_what_is_lost_without_it() {
    let reached = problem(&[("a", None, Stage::Form, &[])], &[20; 10]);
    let why =
        why_block(&reached, &plan("a@form 5 | a@form 5 |  |  |  |  |  | a@form 5 |  | "), 7, 0).unwrap();
    assert_eq!(
        told(why.says),
        ["why-keeps skill=A days=21", "why-comes-off skill=A tenths=7.5 least=7 most=9"]
    );
    // Kept on the 31st it cost nothing; not kept until 7 February it costs 2, and 5 min more are idle.
    let reasons = ["price-unused-more", "price-maintenance-more"].map(Fact::plain).to_vec();
    assert_eq!(why.without.says, PriceSaid::MoreBecause { points: 4.5, reasons }.into());
    assert!(why_block(&reached, &plan(" | "), 0, 0).is_none());
}

#[rstest]
#[case::as_soon_as_it_may(
    LAID, "b",
    &["why-first-met date=(quoted-date day=13 month=1 year=2031)", "why-need-done need=A stage=stage-form date=(quoted-date day=10 month=1 year=2031)", "why-missing-others count=1 stage=stage-form"],
)]
#[case::never_ready(
    "a@form 5 |  |  | ", "b",
    &["why-never", "why-need-never-done need=A stage=stage-form", "why-missing-others count=2 stage=stage-form"],
)]
#[case::could_come_sooner(
    "a@form 5 | a@form 5 | a@flow 5 | a@flow 5, b@form 5", "b",
    &["why-first-met date=(quoted-date day=17 month=1 year=2031)", "why-need-done need=A stage=stage-form date=(quoted-date day=10 month=1 year=2031)", "why-earlier-free date=(quoted-date day=13 month=1 year=2031)", "why-missing-others count=1 stage=stage-form"],
)]
#[case::the_ladder_is_long(
    " |  | a@form 5 | a@form 5", "a",
    &["why-first-met date=(quoted-date day=13 month=1 year=2031)", "why-earlier-free date=(quoted-date day=6 month=1 year=2031)", "why-missing-too-late count=2 stage=stage-flow before=stage-form"],
)]
fn a_skill_says_why_so_late(#[case] sessions: &str, #[case] skill: &str, #[case] says: &[&str]) {
    let why = why_skill(&problem(A_AND_B, &[20; 4]), &plan(sessions), skill).unwrap();
    assert_eq!(told(why), says);
}

#[test]
fn a_skill_that_waits_for_a_week_with_room_says_which_are_full() {
    let free: &[(&str, Stage)] = &[];
    let many: [Wished<'_>; 3] = ["a", "b", "c"].map(|id| (id, None, Stage::Form, free));
    let says =
        why_skill(&problem(&many, &[30; 4]), &plan("a@form 5, b@form 5 |  | c@form 5 | "), "c").unwrap();
    assert_eq!(says[1], Why::FullWeek { week: 1, most: 2 });
}

#[test]
fn two_plans_stand_side_by_side() {
    let problem = problem(A_AND_B, &[20; 4]);
    let (one, other) = (plan(LAID), plan("a@form 5 |  | a@form 6 | a@flow 7, b@form 5"));
    let found = compare((&problem, &one), (&problem, &other));
    assert_eq!(found.minutes, [[15, 10, 0, 0].map(Minutes), [16, 7, 0, 0].map(Minutes)]);
    let [a, b] = &found.skills[..] else { panic!("two skills") };
    assert_eq!(a.courses[0].begins, [Some(1), Some(2), None, None]);
    assert_eq!((a.courses[0].exposures, a.courses[1].exposures), ([2, 2, 0, 0], [2, 1, 0, 0]));
    assert_eq!((b.courses[0].missing, b.courses[1].minutes[0]), (1, Minutes(5)));
    // a@form stands on the 6th in both, a@flow on the 17th.
    assert_eq!((found.shared, found.blocks), (2, 5));
    assert_eq!(found.scores[0].total, jogo_core::plan::score(&problem, &one).total);
}

/// Everybody alike, so that shares can be worked out.
fn alike(rate: f64) -> Assumptions {
    Assumptions { rate, spread: 0.0, ..Assumptions::default() }
}

const MANY: Size = Size { players: 40_000, squad: 20 };

fn reached(problem: &Problem, sessions: &str, assumed: &Assumptions) -> Vec<f64> {
    let found = forecast(problem, &plan(sessions), assumed, MANY, 4);
    found.skills[0].reached.iter().map(|reached| reached.share.0).collect()
}

fn form_alone() -> Problem {
    let mut problem = problem(&[("a", None, Stage::Form, &[])], &[20; 8]);
    problem.variants.iter_mut().for_each(|v| v.difficulty = Difficulty(0.0));
    problem
}

// By hand, m = 6 working minutes and rate 1: the first exposure moves on 1 − e⁻¹ = 63.21 %. Four days later progress
// 1 has become 2^(−4/28) = 0.9057 and rises to 1.9057: 1 − e^(−1.9057) = 85.13 %. At difficulty 2 the rate is 1 ÷
// 1.3: 1 − e^(−0.7692) = 53.66 %. A rest of 28 days halves progress: 0.5 + 1 = 1.5: 77.69 %. (40,000 players: within
// 1 % by far.) θ = 0.5 makes .794 of .7: 1 − e^(−1.1338) = 67.82 %; θ = −1 makes .4619: 1 − e^(−0.6599) = 48.31 %.
#[rstest]
#[case::once("a@form 6 |  | ", 0.0, 0.0, &[0.6321, 0.6321])]
#[case::twice_in_a_week("a@form 6 | a@form 6 | ", 0.0, 0.0, &[0.8513, 0.8513])]
#[case::harder("a@form 6 |  | ", 2.0, 0.0, &[0.5366, 0.5366])]
#[case::in_the_second_week(" |  | a@form 6", 0.0, 0.0, &[0.0, 0.6321])]
#[case::of_whom_more_comes_off("a@form 6 |  | ", 0.0, 0.5, &[0.6782, 0.6782])]
#[case::of_whom_less_comes_off("a@form 6 |  | ", 0.0, -1.0, &[0.4831, 0.4831])]
fn shares_are_those_of_the_formula(
    #[case] sessions: &str,
    #[case] difficulty: f64,
    #[case] knack: f64,
    #[case] expected: &[f64],
) {
    let mut problem = Problem { knack, ..form_alone() };
    problem.sessions.truncate(3);
    problem.variants.iter_mut().for_each(|v| v.difficulty = Difficulty(difficulty));
    let found = reached(&problem, sessions, &alike(1.0));
    assert!(found.iter().zip(expected).all(|(f, e)| (f - e).abs() < 0.01), "{found:?}");
}

// Half of the players come: after one exposure 0.5 × 63.21 % = 31.61 %. Of two, four days apart as above, a quarter
// have both (85.13 % of them move on) and a half have one (63.21 %): 0.2128 + 0.3161 = 52.89 %.
#[rstest]
#[case::once("a@form 6 |  | ", 0.3161)]
#[case::twice_in_a_week("a@form 6 | a@form 6 | ", 0.5289)]
fn whoever_does_not_come_learns_nothing_there(#[case] sessions: &str, #[case] expected: f64) {
    let mut problem = form_alone();
    problem.sessions.truncate(3);
    let found = reached(&problem, sessions, &Assumptions { present: Share(0.5), ..alike(1.0) });
    assert!((found[0] - expected).abs() < 0.01, "{found:?}");
}

// Of a series of two moves each has half of six working minutes: 1 − e^(−0.5) = 39.35 %.
#[test]
fn a_move_of_a_series_is_learned_in_its_share_of_the_minutes() {
    let mut problem = form_alone();
    problem.sessions.truncate(3);
    let parts = |v: &mut jogo_core::plan::Variant| v.parts = [(called("a"), Share(0.5))].into();
    problem.variants.iter_mut().for_each(parts);
    let found = reached(&problem, "a@form 6 |  | ", &alike(1.0));
    assert!((found[0] - 0.3935).abs() < 0.01, "{found:?}");
}

#[test]
fn a_long_rest_costs_progress() {
    let mut problem = form_alone();
    problem.sessions[7].date = problem.sessions[0].date.checked_add(jiff::Span::new().days(28)).unwrap();
    let found = reached(&problem, "a@form 6 |  |  |  |  |  |  | a@form 6", &alike(1.0));
    assert!((found.last().unwrap() - 0.7769).abs() < 0.01, "{found:?}");
}

// Two stages at rate 1, six minutes each, on the same day: both must be passed, 0.6321² = 39.96 %; what is shown of a
// stage that was left adds nothing.
#[test]
fn the_goal_is_reached_by_moving_on_from_each_stage() {
    let mut two = problem(&[("a", None, Stage::Flow, &[])], &[20; 2]);
    two.variants.iter_mut().for_each(|v| v.difficulty = Difficulty(0.0));
    let found = reached(&two, "a@form 6, a@flow 6 | ", &alike(1.0));
    // Who has not moved on from Form may do so in the Flow block, one down: progress adds up to 2 there.
    assert!((found[0] - 0.3996).abs() < 0.01, "{found:?}");
    let past = reached(&two, "a@form 6, a@form 6 | ", &alike(20.0));
    assert_eq!(past, [0.0], "Form alone never reaches Flow");
    let known = problem(&[("a", Some(Stage::Flow), Stage::Form, &[])], &[20; 2]);
    assert_eq!(reached(&known, " | ", &alike(1.0)), [1.0]);
}

// A squad of 20, each with 63.21 %: the standard deviation of the share is √(0.6321 · 0.3679 ÷ 20) = 10.8 %, so that
// eight of ten squads lie within 1.28 of it: 49 to 77 %, that is 10 to 15 of 20.
#[test]
fn the_band_is_that_of_squads_of_the_real_size() {
    let mut problem = form_alone();
    problem.sessions.truncate(1);
    let found = forecast(&problem, &plan("a@form 6"), &alike(1.0), MANY, 1).all[0];
    assert_eq!((found.low.0, found.high.0), (0.5, 0.75));
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(16))]

    #[test]
    fn shares_never_fall_from_week_to_week_and_rise_with_the_rate(made: u64, rate in 0.2f64..3.0) {
        let problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 6, variants: 24 }, made);
        let Ok(solved) = solve(&problem, 1, 200) else { return Ok(()) };
        let size = Size { players: 300, squad: 12 };
        let of = |rate| forecast(&problem, &solved.plan, &Assumptions { rate, ..Assumptions::default() }, size, 1);
        let (slow, fast) = (of(rate), of(rate * 1.5));
        for (skill, faster) in slow.skills.iter().zip(&fast.skills) {
            prop_assert!(skill.reached.is_sorted_by(|a, b| a.share <= b.share));
            for (a, b) in skill.reached.iter().zip(&faster.reached) {
                prop_assert!(a.low <= a.high);
                prop_assert!(a.share.0 <= b.share.0 + 1e-12);
            }
        }
    }

    #[test]
    fn each_approach_asks_for_its_own_exposures(made: u64) {
        let base = example(ExampleSize { weeks: 3, sessions: 2, skills: 5, variants: 24 }, made);
        for (_, approach) in Approach::PRESETS {
            let problem = Problem { approach, ..base.clone() };
            let Ok(solved) = solve(&problem, 1, 200) else { continue };
            let found = compare((&problem, &solved.plan), (&problem, &solved.plan));
            prop_assert_eq!(found.shared, found.blocks);
            prop_assert_eq!(&found.scores[0], &solved.score);
        }
    }
}

#[test]
fn a_kept_block_that_is_locked_says_so() {
    let mut problem = problem(A_AND_B, &[20; 6]);
    let named = plan("a@form 5 | a@form 5 | | | | ").named(|| BlockId(uuid::Uuid::from_u128(7)));
    problem.locks = vec![Lock { session: 1, block: named.sessions[1][0].unnamed() }];
    let locked =
        |session| why_block(&problem, &named, session, 0).unwrap().says.contains(&Why::Locked.into());
    assert!(locked(1) && !locked(0));
}
