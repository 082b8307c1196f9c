//! Edits by hand, what they cost, and what mends a breach.

use crate::demo::called;
use crate::demo::told;
use jogo_core::fact::Fact;
use jogo_core::plan::edit::PriceSaid;
use jogo_core::plan::problem::example::{ExampleSize, example};
use jogo_core::plan::{Edit, Lock, Problem, TestWish, check, edit, mend, price, score, solve};
use jogo_core::technique::skill::Stage;
use jogo_core::units::Minutes;
use proptest::prelude::*;
use rstest::rstest;

use super::{A_AND_B, code, plan, problem, variant_of};

fn four() -> Problem {
    let mut problem = problem(A_AND_B, &[20; 4]);
    problem.variants.iter_mut().for_each(|v| v.halves = true);
    problem
}

const LAID: &str = "a@form 5 | a@form 5 | a@flow 5, b@form 5 | a@flow 5";

#[rstest]
#[case::longer(
    Edit::Minutes { session: 0, block: 0, minutes: Minutes(9) },
    "a@form 9 | a@form 5 | a@flow 5, b@form 5 | a@flow 5", Some((0, 0)),
)]
#[case::a_stage_up(
    Edit::Stage { session: 3, block: 0, stage: Stage::Scan }, "a@form 5 | a@form 5 | a@flow 5, b@form 5 | a@scan 5",
    Some((3, 0)),
)]
#[case::out(Edit::Remove { session: 2, block: 0 }, "a@form 5 | a@form 5 | b@form 5 | a@flow 5", None)]
#[case::to_another_session(
    Edit::Move { session: 2, block: 1, to: 3, at: Some(0) }, "a@form 5 | a@form 5 | a@flow 5 | b@form 5, a@flow 5",
    Some((3, 0)),
)]
#[case::within_the_session(
    Edit::Move { session: 2, block: 1, to: 2, at: Some(0) }, "a@form 5 | a@form 5 | b@form 5, a@flow 5 | a@flow 5",
    Some((2, 0)),
)]
#[case::far_behind_the_last(
    Edit::Move { session: 2, block: 0, to: 2, at: Some(99) }, "a@form 5 | a@form 5 | b@form 5, a@flow 5 | a@flow 5",
    Some((2, 1)),
)]
#[case::split(
    Edit::Split { session: 3, block: 0, beside: Some(called("a@scan")) },
    "a@form 5 | a@form 5 | a@flow 5, b@form 5 | a@flow+a@scan 5", Some((3, 0)),
)]
#[case::another_drill(
    Edit::Replace { session: 3, block: 0, variant: called("b@form") },
    "a@form 5 | a@form 5 | a@flow 5, b@form 5 | b@form 5", Some((3, 0)),
)]
fn an_edit_changes_what_it_says_and_locks_what_was_set(
    #[case] change: Edit,
    #[case] after: &str,
    #[case] place: Option<(usize, usize)>,
) {
    let edited = edit(&four(), &plan(LAID), &change).unwrap();
    assert_eq!(edited.plan, plan(after));
    assert_eq!(edited.place, place);
    let locked =
        place.map(|(session, block)| Lock { session, block: edited.plan.sessions[session][block].clone() });
    assert_eq!(edited.locks, locked.into_iter().collect::<Vec<_>>());
}

#[rstest]
#[case::longer_than_it_may_be(
    Edit::Minutes { session: 0, block: 0, minutes: Minutes(11) }, "/minutes", "edit-lasts title=drill-a least=5 most=10",
)]
#[case::no_such_block(Edit::Remove { session: 3, block: 1 }, "/block", "edit-no-block session=4 blocks=1")]
#[case::no_such_session(Edit::Lock { session: 4, block: 0 }, "/session", "edit-no-session session=5 sessions=4")]
#[case::no_such_stage(
    Edit::Stage { session: 0, block: 0, stage: Stage::Contest }, "/stage",
    "edit-no-stage skills=[(quoted-name name=A)] stage=stage-contest",
)]
#[case::no_such_variant(
    Edit::Replace { session: 0, block: 0, variant: called("z@form") }, "/variant",
    "edit-no-variant id=z@form",
)]
#[case::no_such_goal(
    Edit::Show { session: 0, skill: called("z") }, "/skill",
    "edit-no-goal",
)]
#[case::no_such_lock(Edit::Forget { lock: 0 }, "/lock", "edit-no-lock locks=0")]
fn what_cannot_be_done_says_what_would_be_right(#[case] change: Edit, #[case] at: &str, #[case] says: &str) {
    let wrong = edit(&four(), &plan(LAID), &change).unwrap_err();
    assert_eq!((wrong.pointer.as_str(), told([wrong.fact])), (at, vec![says.to_owned()]));
}

#[test]
fn locks_follow_the_block_through_edits_and_go_with_it() {
    let mut problem = four();
    let laid = plan(LAID);
    problem.locks = edit(&problem, &laid, &Edit::Lock { session: 2, block: 1 }).unwrap().locks;
    let longer = edit(&problem, &laid, &Edit::Minutes { session: 2, block: 1, minutes: Minutes(7) }).unwrap();
    assert_eq!(longer.locks, [Lock { session: 2, block: longer.plan.sessions[2][1].clone() }]);
    problem.locks = longer.locks;
    let gone = edit(&problem, &longer.plan, &Edit::Remove { session: 2, block: 1 }).unwrap();
    assert_eq!(gone.locks, []);
    let open = edit(&problem, &longer.plan, &Edit::Unlock { session: 2, block: 1 }).unwrap();
    assert_eq!(open.locks, []);
}

#[test]
fn showing_a_skill_takes_the_stage_place_and_time_that_cost_least() {
    let problem = four();
    // Flow of a is still to be shown once more; the session on the 17th has 20 min free, of which it takes ten.
    let edited = edit(
        &problem,
        &plan("a@form 5 | a@form 5 | a@flow 5, b@form 5 | "),
        &Edit::Show { session: 3, skill: called("a") },
    )
    .unwrap();
    assert_eq!(edited.plan.sessions[3], plan("a@flow 10").sessions[0]);
}

// Without the block on the 13th: a is short of one Flow (+10), rests no longer than 7 days, 5 min and a change of one
// are free (+3 − 0.4); what is left there is b alone.
#[test]
fn the_price_is_the_difference_and_says_where_it_comes_from() {
    let problem = four();
    let before = score(&problem, &plan(LAID));
    let edited = edit(&problem, &plan(LAID), &Edit::Remove { session: 2, block: 0 }).unwrap();
    let price = price(&before, &score(&problem, &edited.plan));
    let parts: Vec<_> =
        price.parts.iter().map(|p| (code(p.part), (p.points * 10.0).round() / 10.0)).collect();
    assert_eq!(parts, [("S1", 10.0), ("S8", 3.0), ("S10", -0.4)]);
    assert_eq!(price.says.code, "price-more-because");
    let reasons = ["price-goals-more", "price-unused-more"].map(Fact::plain);
    assert_eq!(price.says.value("reasons"), Some(&reasons.to_vec().into()));
    assert_eq!(told(price.parts[0].new.clone()), ["points-missing skill=A count=1 stage=stage-flow"]);
    let same = jogo_core::plan::price(&before, &before);
    assert_eq!((same.points, same.says), (0.0, PriceSaid::Nothing.into()));
}

/// Follows the mend of the first breach until none is left; what was done.
fn mended(problem: &Problem, sessions: &str) -> Vec<String> {
    let (mut problem, mut laid) = (problem.clone(), plan(sessions));
    let mut done = Vec::new();
    while let Some(breach) = check(&problem, &laid).first() {
        let mend = mend(&problem, &laid, breach).unwrap_or_else(|| panic!("nothing mends {breach:?}"));
        let edited = edit(&problem, &laid, &mend.edit).unwrap();
        (laid, problem.locks) = (edited.plan, edited.locks);
        done.push(mend.says);
    }
    told(done)
}

#[rstest]
#[case::too_long(
    "a@form 10 | a@form 10 | a@flow 10, b@form 10 | a@flow 5",
    "do-move block=(quoted-at name=drill-b stage=stage-form) date=(quoted-date day=17 month=1 year=2031)"
)]
#[case::need_not_served(
    "a@form 5 | b@form 5, a@form 5 | a@flow 5 | a@flow 5",
    "do-move block=(quoted-at name=drill-b stage=stage-form) date=(quoted-date day=13 month=1 year=2031)"
)]
#[case::ladder(
    "a@form 5 | a@flow 5 |  | ",
    "do-stage block=(quoted-at name=drill-a stage=stage-flow) stage=stage-form"
)]
#[case::new_too_late(
    "a@form 5 | a@form 5 | a@flow 10, b@form 5 | a@flow 5",
    "do-place block=(quoted-at name=drill-a stage=stage-flow) place=2"
)]
#[case::out_of_its_range(
    "a@form 3 | a@form 10 | a@flow 10 | a@flow 10",
    "do-minutes block=(quoted-at name=drill-a stage=stage-form) minutes=10"
)]
fn a_breach_is_mended_by_the_edit_that_costs_least(#[case] sessions: &str, #[case] says: &str) {
    assert_eq!(mended(&four(), sessions), [says]);
}

#[test]
fn a_lock_that_nothing_keeps_is_forgotten_and_a_test_is_prepared() {
    let mut problem = four();
    problem.locks = vec![Lock { session: 3, block: plan("b@form 9").sessions.remove(0).remove(0) }];
    assert_eq!(mended(&problem, LAID), ["do-forget title=drill-b"]);
    problem.locks.clear();
    problem.sessions[2].tests = vec![TestWish {
        id: called("t"),
        name: "T".into(),
        minutes: Minutes(5),
        skills: vec![called("a")],
        shows: vec![],
    }];
    assert_eq!(mended(&problem, " |  |  | ").len(), 1);
}

#[test]
fn what_is_blocked_is_laid_by_another_drill_or_not_at_all() {
    let mut problem = four();
    variant_of(&mut problem, "b@form").barred =
        Some(jogo_core::plan::Barred::H5(Fact::written("it is too large")));
    assert_eq!(mended(&problem, LAID), ["do-remove block=(quoted-at name=drill-b stage=stage-form)"]);
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]

    #[test]
    fn a_mend_always_takes_its_breach_away(made: u64, cut in any::<prop::sample::Index>()) {
        let problem = example(ExampleSize { weeks: 3, sessions: 2, skills: 7, variants: 24 }, made);
        let Ok(solved) = solve(&problem, 1, 1_000) else { return Ok(()) };
        let mut plan = solved.plan;
        plan.sessions[cut.index(problem.sessions.len())].clear();
        for breach in check(&problem, &plan) {
            if let Some(mend) = mend(&problem, &plan, &breach) {
                let edited = edit(&problem, &plan, &mend.edit).unwrap();
                let after = check(&Problem { locks: edited.locks.clone(), ..problem.clone() }, &edited.plan);
                prop_assert!(!after.contains(&breach) && after.len() < check(&problem, &plan).len());
                let gained = score(&problem, &edited.plan).total - score(&problem, &plan).total;
                prop_assert!((gained - mend.points).abs() < 1e-6);
            }
        }
    }
}
