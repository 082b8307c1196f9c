//! Clashes: what is called impossible is impossible, and no smaller set would do.

use crate::demo::{called, told};
use jogo_core::plan::score::missing;
use jogo_core::plan::{Clashing, Lock, TestTaken, TestWish, clash, solve};
use jogo_core::technique::skill::{Stage, Strand};
use jogo_core::units::{Minutes, Share};
use rstest::rstest;

use super::{A_AND_B, Wished, plan, problem};

#[rstest]
#[case::a_breath(
    &[20, 3, 20, 20, 20], "clash-session session=2 date=(quoted-date day=10 month=1 year=2031) minutes=3 least=5",
)]
#[case::no_sessions_for_the_chain(
    &[20],
    "clash-chain goals=[(clash-goal skill=B stage=stage-form)] asked=4 sessions=1",
)]
#[case::no_minutes(
    &[6, 6, 6, 6], "clash-minutes goals=[(clash-goal skill=A stage=stage-flow), (clash-goal skill=B stage=stage-form)] asked=30 minutes=24",
)]
// Six blocks of 5 min are asked for, and 31 minutes are there; but in the last two sessions a and b have to come, which
// takes 11 minutes each with the layout change.
#[case::looked_at_all(&[5, 5, 11, 10], "clash-looked goals=[(clash-goal skill=A stage=stage-flow), (clash-goal skill=B stage=stage-form)] count=2")]
fn a_clash_of_goals_leaves_a_plan_that_does_what_it_can(#[case] minutes: &[u32], #[case] says: &str) {
    let problem = problem(A_AND_B, minutes);
    assert_eq!(told([clash(&problem).unwrap().says]), [says]);
    let solved = solve(&problem, 1, 500).unwrap();
    assert_eq!(told([solved.clash.unwrap().says]), [says]);
    assert!(solved.plan.sessions.iter().flatten().count() > 0);
    // A short session forbids no goal.
    let all_there = missing(&problem, &solved.plan).iter().all(|missing| *missing == [0; 4]);
    assert_eq!(all_there, says.contains("clash-session"));
}

#[test]
fn a_clash_names_the_strand_or_stage_that_no_drill_serves() {
    let mut strand = problem(A_AND_B, &[20; 4]);
    strand.shares = [(Strand::Passing, Share(0.2)), (Strand::BallMastery, Share(0.8))].into();
    assert_eq!(clash(&strand).unwrap().of, Clashing::Strand { strand: Strand::Passing });
    let contest = problem(&[("a", None, Stage::Contest, &[])], &[20; 8]);
    let of = Clashing::Stage { skill: called("a"), stage: Stage::Contest };
    assert_eq!(clash(&contest).unwrap().of, of);
}

#[test]
fn a_clash_of_newness_keeps_only_the_goals_that_it_takes() {
    let free: &[(&str, Stage)] = &[];
    let mut skills: Vec<Wished<'_>> = ["a", "b", "c", "d"].map(|id| (id, None, Stage::Form, free)).into();
    skills.push(("known", Some(Stage::Form), Stage::Form, free));
    // One week takes two new skills; any three of the four clash, and the known one is never part of it.
    let Clashing::Goals { skills } = clash(&problem(&skills, &[60, 60])).unwrap().of else {
        panic!("goals clash")
    };
    assert!(skills.len() == 3 && !skills.contains(&called("known")), "{skills:?}");
}

#[test]
fn needs_in_a_circle_are_never_met() {
    let circle: &[Wished<'_>] = &[
        ("a", None, Stage::Form, &[("b", Stage::Form)]),
        ("b", None, Stage::Form, &[("a", Stage::Form)]),
        ("c", None, Stage::Form, &[]),
    ];
    let found = clash(&problem(circle, &[30; 8])).unwrap();
    let Clashing::Goals { skills } = &found.of else { panic!("{found:?}") };
    assert!(skills.len() == 1 && skills[0] != "c" && found.says.code == "clash-circle", "{found:?}");
}

fn locked(session: usize, block: &str) -> Lock {
    Lock { session, block: plan(block).sessions.remove(0).remove(0) }
}

#[test]
fn locks_that_forbid_every_plan_are_named_and_the_harmless_one_is_not() {
    let mut problem = problem(A_AND_B, &[20; 4]);
    problem.locks = vec![locked(3, "a@flow 5"), locked(0, "b@form 5"), locked(1, "a@form 6")];
    let found = solve(&problem, 1, 2_000).unwrap_err();
    assert_eq!(found.of, Clashing::Held { locks: vec![locked(0, "b@form 5")], tests: vec![] });
    assert!(found.proved);
    let lock = "(clash-held-lock title=drill-b session=1 date=(quoted-date day=6 month=1 year=2031))";
    assert_eq!(told([found.says]), [format!("clash-held held=[{lock}]")]);
    problem.locks.remove(1);
    assert!(solve(&problem, 1, 2_000).is_ok());
}

#[test]
fn a_test_before_anything_could_be_met_is_named() {
    let mut problem = problem(A_AND_B, &[20; 4]);
    let test = |id: &str, skill: &str| TestWish {
        id: called(id),
        name: id.to_uppercase(),
        minutes: Minutes(5),
        skills: vec![called(skill)],
        shows: Vec::new(),
    };
    problem.sessions[3].tests = vec![test("late", "a")];
    // What b needs takes at least the first two sessions.
    problem.sessions[1].tests = vec![test("early", "b")];
    let found = solve(&problem, 1, 2_000).unwrap_err();
    let early = TestTaken { session: 1, test: called("early") };
    assert_eq!(found.of, Clashing::Held { locks: vec![], tests: vec![early] });
}
