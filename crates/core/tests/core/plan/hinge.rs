//! What stands in a session while a skill waits for the squad.

use super::*;
use jogo_core::plan::hinge::{Hinge, meanwhile};
use jogo_core::plan::problem::example::{ExampleSize, example};
use jogo_core::plan::{check, solve};
use proptest::prelude::*;
use rstest::rstest;

/// a is met in the first session; b would be met in the third; c was met before.
const WITH_C: &[Wished<'static>] = &[
    ("a", None, Stage::Flow, &[]),
    ("b", None, Stage::Form, &[("a", Stage::Form)]),
    ("c", Some(Stage::Form), Stage::Flow, &[]),
];

fn hinge(meanwhile: &[&str]) -> Hinge {
    Hinge { skill: called("b"), meanwhile: meanwhile.iter().map(|id| called(id)).collect() }
}

// By hand: two exposures of a at Form are asked for before its Flow; each drill takes 5 to 10 minutes.
#[rstest]
#[case::what_the_squad_works_at(&["a"], "a@form 5 | a@form 5 | b@form 6", "a@flow 6")]
#[case::not_before_its_turn(&["a"], "a@form 5 |  | b@form 6", "a@form 6")]
#[case::what_is_kept_where_nothing_is_named(&[], "a@form 5 | a@form 5 | c@form 5, b@form 6", "c@form 5, a@flow 6")]
#[case::nothing_else_was_met(&["a"], "b@form 6 |  | ", "c@form 6")]
fn what_stands_there_meanwhile(#[case] named: &[&str], #[case] laid: &str, #[case] instead: &str) {
    let (mut problem, hinge) = (problem(WITH_C, &[30, 30, 30]), hinge(named));
    problem.skills[1].needs.clear();
    problem.variants.iter_mut().for_each(|variant| variant.warm_up = true);
    let laid = plan(laid);
    let at = hinge.session(&problem, &laid).unwrap();
    assert_eq!(meanwhile(&problem, &laid, &hinge, at).unwrap(), plan(instead).sessions[0]);
}

#[test]
fn a_block_for_which_nothing_can_stand_is_left_out() {
    let mut problem = problem(&[("a", None, Stage::Form, &[]), ("b", None, Stage::Form, &[])], &[30]);
    problem.variants.iter_mut().for_each(|variant| variant.warm_up = true);
    let laid = plan("a@form 5, b@form 6");
    // The only drill of a stands there already, and its other stages would come too early.
    assert_eq!(meanwhile(&problem, &laid, &hinge(&["a"]), 0).unwrap(), plan("a@form 5").sessions[0]);
}

#[test]
fn a_hinge_is_where_the_skill_is_met_first() {
    let problem = problem(WITH_C, &[30, 30, 30]);
    let at = |laid: &str| hinge(&[]).session(&problem, &plan(laid));
    assert_eq!((at("a@form 5 | b@form 5 | b@form 5"), at("a@form 5 | | ")), (Some(1), None));
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]

    #[test]
    fn both_ways_keep_every_rule(seed in 0u64..200, which in 0usize..8) {
        let problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 8, variants: 40 }, seed);
        let Ok(solved) = solve(&problem, 1, 2_000) else { return Ok(()) };
        let wish = &problem.skills[which];
        let meanwhile_at = wish.needs.iter().map(|need| need.skill.clone()).collect();
        let hinge = Hinge { skill: wish.id.clone(), meanwhile: meanwhile_at };
        let Some(at) = hinge.session(&problem, &solved.plan) else { return Ok(()) };
        let Some(instead) = meanwhile(&problem, &solved.plan, &hinge, at) else { return Ok(()) };
        let mut other = solved.plan.clone();
        other.sessions.truncate(at);
        other.sessions.push(instead);
        other.sessions.resize(solved.plan.sessions.len(), Vec::new());
        prop_assert!(hinge.session(&problem, &other).is_none(), "it is met all the same");
        prop_assert!(check(&problem, &other).iter().all(|breach| breach.session != at));
    }
}
