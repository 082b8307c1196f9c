//! What becomes of a plan when a session is cancelled or cut short.

use crate::demo::told;
use jogo_core::plan::problem::example::{ExampleSize, example};
use jogo_core::plan::{
    BlockId, GoingOn, Plan, Problem, Remedy, Rule, advised, check, left_their_session, remedies, solve,
};
use jogo_core::units::Minutes;
use proptest::prelude::*;

use super::{A_AND_B, code, plan, problem};

fn three(problem: &Problem, plan: &Plan, session: usize, left: u32) -> [GoingOn; 3] {
    remedies(problem, plan, plan, session, Minutes(left)).try_into().unwrap()
}

/// a twice in Form, twice in Flow; b twice in Form, after a in Form.
const LAID: &str = "a@form 5 | a@form 5 | a@flow 5, b@form 6 | b@form 6 | a@flow 5 | ";

// By hand: without the second session a is shown once in Form, so neither its Flow nor b may come on the third.
#[test]
fn skipping_a_session_says_what_is_then_short_and_what_breaks() {
    let [.., skip] = three(&problem(A_AND_B, &[20; 6]), &plan(LAID), 1, 0);
    assert_eq!(skip.plan, plan("a@form 5 |  | a@flow 5, b@form 6 | b@form 6 | a@flow 5 | "));
    assert_eq!(
        (skip.moved, told(skip.short)),
        (1, vec!["short-of-skill skill=A exposures=[(short-of-stage count=1 stage=stage-form)]".to_owned()])
    );
    assert_eq!(
        skip.breaches.iter().map(|b| (code(b.rule), b.session)).collect::<Vec<_>>(),
        [("H3", 2), ("H2", 2)]
    );
}

// By hand: one block leaves the second session, b the third and a the fifth; the a of the third goes on there at
// another rung, and the fourth has a b as before. Where blocks have names, each of the five is known to have moved.
#[test]
fn shifting_moves_everything_later_by_one_session() {
    let [shift, ..] = three(&problem(A_AND_B, &[20; 6]), &plan(LAID), 1, 0);
    assert_eq!(shift.plan, plan("a@form 5 |  | a@form 5 | a@flow 5, b@form 6 | b@form 6 | a@flow 5"));
    assert_eq!((shift.moved, shift.short, shift.breaches), (3, vec![], vec![]));
    let mut name = 0;
    let named = plan(LAID).named(|| {
        name += 1;
        BlockId(uuid::Uuid::from_u128(name))
    });
    assert_eq!(three(&problem(A_AND_B, &[20; 6]), &named, 1, 0)[0].moved, 5);
    let full = plan("a@form 5 | a@form 5 | a@flow 5, b@form 6 | b@form 6 | a@flow 5 | a@flow 9");
    let [shift, ..] = three(&problem(A_AND_B, &[20; 6]), &full, 4, 0);
    assert_eq!(shift.plan.sessions[5], full.sessions[4], "and the last falls off");
}

#[test]
fn squeezing_finds_room_for_what_others_wait_for() {
    let all = three(&problem(A_AND_B, &[20; 6]), &plan(LAID), 1, 0);
    assert_ne!(advised(&all), Some(Remedy::Skip), "it breaks rules");
    let [_, squeeze, skip] = all;
    assert_eq!((squeeze.short, squeeze.breaches), (vec![], vec![]));
    assert_eq!(squeeze.plan.sessions[..2], skip.plan.sessions[..2]);
    assert!(squeeze.score < skip.score);
}

// By hand: the third Form of a only keeps. 6 + 1 min of layout + 7 do not fit into 12 min, but 6 + 1 + 5 do.
#[test]
fn a_short_session_drops_what_only_keeps_and_shortens_the_rest() {
    let problem = problem(A_AND_B, &[30; 5]);
    let laid = plan("a@form 5 | a@form 5 | b@form 6, a@form 9, a@flow 7 | b@form 6, a@flow 5 | ");
    let [.., skip] = three(&problem, &laid, 2, 12);
    assert_eq!(skip.plan.sessions[2], plan("b@form 6, a@flow 5").sessions[0]);
    assert_eq!((skip.moved, skip.short, skip.breaches), (1, vec![], vec![]));
    let [.., whole] = three(&problem, &laid, 2, 30);
    assert_eq!(whole.plan, laid, "with all its minutes nothing is lost");
}

#[test]
fn what_was_left_out_before_counts_as_not_shown() {
    let problem = problem(A_AND_B, &[20; 6]);
    let run = plan("a@form 5 |  | a@flow 5, b@form 6 | b@form 6 | a@flow 5 | ");
    let all = remedies(&problem, &plan(LAID), &run, 2, Minutes(0));
    let squeeze = all.iter().find(|going_on| going_on.remedy == Remedy::Squeeze).unwrap();
    assert_eq!(squeeze.plan.sessions[..2], plan(LAID).sessions[..2], "what was planned stays written");
    let whole = [&run.sessions[..2], &squeeze.plan.sessions[2..]].concat();
    assert_eq!(
        check(&problem, &Plan { sessions: whole }).into_iter().filter(|b| b.rule != Rule::Time).count(),
        0
    );
    assert!(remedies(&problem, &plan(LAID), &run, 6, Minutes(0)).is_empty(), "there is no seventh session");
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]

    #[test]
    fn whatever_falls_out(made: u64, at in 0usize..8, left in 0u32..40) {
        let problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 6, variants: 24 }, made);
        let Ok(solved) = solve(&problem, 1, 1_500) else { return Ok(()) };
        let [shift, squeeze, skip] = three(&problem, &solved.plan, at, left);
        for going_on in [&shift, &squeeze, &skip] {
            prop_assert_eq!(&going_on.plan.sessions[..at], &solved.plan.sessions[..at], "what was stays");
            prop_assert!(!going_on.breaches.iter().any(|b| b.rule == Rule::Time), "{:?}", going_on.breaches);
            prop_assert_eq!(going_on.moved, left_their_session(&solved.plan, &going_on.plan));
        }
        prop_assert_eq!(&skip.plan.sessions[at + 1..], &solved.plan.sessions[at + 1..]);
        prop_assert!(squeeze.breaches.len() <= skip.breaches.len());
        prop_assert!(squeeze.short.len() <= skip.short.len() || squeeze.breaches.len() < skip.breaches.len());
    }
}
