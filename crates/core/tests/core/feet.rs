//! What the side policy does to a problem and its plan.

use std::collections::BTreeSet;

use jogo_core::academy::Academy;
use jogo_core::plan::curriculum::{Curriculum, Goal};
use jogo_core::plan::{Plan, Problem, SkillWish, Variant, check, solve, stitches};
use jogo_core::technique::skill::{Foot, SidePolicy, Stage};
use jogo_core::units::Minutes;
use rstest::rstest;

use crate::demo::{self, called};

/// The demo's wishes with a step over that is met and brought to Flow.
fn wishes(side: Option<SidePolicy>) -> Curriculum {
    let mut wishes = demo::curriculum();
    wishes.goals = vec![
        Goal::new(called("step-round"), Some(Stage::Scan), Stage::Scan),
        Goal::new(called("step-over-outside"), None, Stage::Flow),
    ];
    wishes.side = side;
    wishes
}

fn problem_of(wishes: &Curriculum) -> Problem {
    let (skills, drills, tests) = (demo::skills(), demo::drills(), demo::tests());
    wishes.problem(&Academy::default(), &demo::band(), &skills, &drills, &tests).unwrap()
}

fn wish<'p>(problem: &'p Problem, id: &str) -> Option<&'p SkillWish> {
    problem.skills.iter().find(|wish| wish.id == *id)
}

/// The variants of "step over and away", each with the wishes that it exposes and the foot that works alone.
fn step_over(problem: &Problem) -> BTreeSet<(String, Vec<String>, Option<Foot>)> {
    let of_drill = problem.variants.iter().filter(|variant| variant.drill == "step-over-away");
    let told = |variant: &Variant| {
        let skills = variant.skills.iter().map(|skill| skill.to_string()).collect();
        (variant.id.to_string().replace("step-over-away", ""), skills, variant.foot)
    };
    of_drill.map(told).filter(|(id, ..)| id.starts_with("@form") || id.starts_with("@flow")).collect()
}

// By hand: its rung at Form is on the spot; at Flow it goes forward, forward in rhythm, and forward with the other
// foot. Its dose lets the feet change, so each rung that both do can be done with one alone; the forward one with the
// other foot is there already.
#[test]
fn strong_foot_first_makes_two_of_each_rung() {
    let (strong, other) = (Some(Foot::Strong), Some(Foot::Other));
    let (first, second) = ("step-over-outside", "step-over-outside-other-foot");
    let expected = [
        ("@form", &[first, second][..], None),
        ("@form-strong", &[first], strong),
        ("@form-other", &[second], other),
        ("@flow", &[first, second], None),
        ("@flow-strong", &[first], strong),
        ("@flow-2", &[first, second], None),
        ("@flow-2-strong", &[first], strong),
        ("@flow-2-other", &[second], other),
        ("@flow-3", &[second], other),
    ];
    let expected = expected.map(|(id, skills, foot)| {
        (id.to_owned(), skills.iter().map(|skill| (*skill).to_owned()).collect::<Vec<_>>(), foot)
    });
    assert_eq!(step_over(&problem_of(&wishes(None))), BTreeSet::from(expected), "its own policy");
}

#[rstest]
#[case::equal(SidePolicy::Equal, &["@form", "@flow", "@flow-2", "@flow-3"])]
#[case::more_with_the_other(
    SidePolicy::OtherMore,
    &["@form", "@form-other", "@flow", "@flow-2", "@flow-2-other", "@flow-3"],
)]
fn other_policies_leave_one_ladder(#[case] side: SidePolicy, #[case] ids: &[&str]) {
    let problem = problem_of(&wishes(Some(side)));
    let found: BTreeSet<String> = step_over(&problem).into_iter().map(|(id, ..)| id).collect();
    assert_eq!(found, ids.iter().map(|id| (*id).to_owned()).collect());
    assert!(step_over(&problem).iter().all(|(_, skills, _)| *skills == ["step-over-outside"]));
    assert_eq!(wish(&problem, "step-over-outside-other-foot"), None);
}

#[rstest]
#[case::to_flow(Stage::Flow, None, Stage::Flow)]
#[case::beyond_flow(Stage::Scan, None, Stage::Flow)]
#[case::to_form(Stage::Form, None, Stage::Form)]
#[case::opened(Stage::Flow, Some(Stage::Form), Stage::Flow)]
fn the_other_foot_waits_for_the_strong_one(
    #[case] goal: Stage,
    #[case] other_foot: Option<Stage>,
    #[case] upto: Stage,
) {
    let mut wishes = wishes(None);
    (wishes.goals[1].goal, wishes.goals[1].other_foot) = (goal, other_foot);
    let problem = problem_of(&wishes);
    let places: Vec<&str> = problem.skills.iter().map(|wish| wish.id.as_str()).collect();
    assert_eq!(places, ["step-round", "step-over-outside", "step-over-outside-other-foot"]);
    let other = wish(&problem, "step-over-outside-other-foot").unwrap();
    assert_eq!((other.present, other.goal), (other_foot, upto));
    assert_eq!((other.needs[0].skill.as_str(), other.needs[0].stage), ("step-over-outside", upto));
    assert_eq!(format!("{:?}", other.said()), "(quoted-other-foot name=Step over, outside touch)");
    assert_eq!(problem.faults(), []);
}

#[test]
fn a_foot_that_is_there_already_has_no_ladder() {
    let mut wishes = wishes(None);
    wishes.goals[1].other_foot = Some(Stage::Scan);
    assert_eq!(wish(&problem_of(&wishes), "step-over-outside-other-foot"), None);
}

#[test]
fn a_skill_that_no_drill_shows_with_the_other_foot_has_one_ladder() {
    let mut drills = demo::drills();
    for drill in &mut drills {
        // Both feet in one bout, and no word of either.
        drill.levers.side.clear();
        for dose in drill.doses.values_mut() {
            *dose = dose.for_one_foot();
        }
    }
    let problem =
        wishes(None).problem(&Academy::default(), &demo::band(), &demo::skills(), &drills, &demo::tests());
    assert_eq!(wish(&problem.unwrap(), "step-over-outside-other-foot"), None);
}

// Nothing at Flow is left for the band, so the other foot has nothing to climb.
#[test]
fn a_drill_of_another_band_gives_no_ladder() {
    let mut drills = demo::drills();
    for drill in drills.iter_mut().filter(|drill| drill.id == "step-over-away") {
        drill.doses.remove("u8-u9");
    }
    let problem =
        wishes(None).problem(&Academy::default(), &demo::band(), &demo::skills(), &drills, &demo::tests());
    let problem = problem.unwrap();
    assert_eq!(wish(&problem, "step-over-outside-other-foot"), None);
    // And that is said; of one that has its ladder, or whose other foot is there already, nothing is.
    assert_eq!(wishes(None).feet_not_parted(&problem, &demo::skills()), ["step-over-outside"]);
    let whole = problem_of(&wishes(None));
    assert!(wishes(None).feet_not_parted(&whole, &demo::skills()).is_empty());
    let mut there = wishes(None);
    there.goals[1].other_foot = Some(Stage::Scan);
    assert!(there.feet_not_parted(&problem_of(&there), &demo::skills()).is_empty());
}

// By hand: 20 s of work for each foot, in turn. Alone a foot has all the touches of its block, and none of the other.
#[test]
fn one_foot_alone_has_all_the_touches() {
    let problem = problem_of(&wishes(None));
    let touches = |id: &str| problem.variant(&called(id)).unwrap().touches;
    let (both, strong) = (touches("step-over-away@form"), touches("step-over-away@form-strong"));
    assert!((both.strong_per_min - both.other_per_min).abs() <= 0.2, "{both:?}");
    assert_eq!((strong.other_per_min, touches("step-over-away@form-other").strong_per_min), (0.0, 0.0));
    let all = both.strong_per_min + both.other_per_min;
    assert!((strong.strong_per_min - all).abs() < 0.2, "{strong:?} of {all}");
}

/// Touches of sided skills in a plan: strong foot, other foot.
fn touches(problem: &Problem, plan: &Plan) -> (f64, f64) {
    let blocks = plan.sessions.iter().flatten();
    let of_block = blocks.map(|block| (problem.variant(&block.variant).unwrap().touches, block.minutes));
    of_block.fold((0.0, 0.0), |(strong, other), (touches, Minutes(minutes))| {
        let minutes = f64::from(minutes);
        (strong + touches.strong_per_min * minutes, other + touches.other_per_min * minutes)
    })
}

#[test]
fn strong_foot_first_is_planned_so_and_no_two_policies_are_alike() {
    let policies = [SidePolicy::StrongFirst, SidePolicy::Equal, SidePolicy::OtherMore];
    let planned = policies.map(|side| {
        let mut wishes = demo::curriculum();
        wishes.side = Some(side);
        let problem = problem_of(&wishes);
        let plan = solve(&problem, 1, 40_000).unwrap().plan;
        assert_eq!(check(&problem, &plan), [], "{side:?}");
        (problem, plan)
    });
    let shares = [0, 1, 2].map(|at: usize| {
        let (strong, other) = touches(&planned[at].0, &planned[at].1);
        100.0 * other / (strong + other)
    });
    assert!(shares[0] < shares[1] - 2.0 && shares[1] + 2.0 < shares[2], "{shares:?}");
    let (problem, plan) = &planned[0];
    let all = stitches(problem, plan);
    let begins = |wish: &&SkillWish| wish.carries.is_some() && all.iter().any(|s| s.skill == wish.id);
    let carried: Vec<&SkillWish> = problem.skills.iter().filter(begins).collect();
    assert!(carried.len() > 3, "{}", carried.len());
    for other in carried {
        let need = &other.needs[0];
        let done =
            |s: &&jogo_core::plan::Stitch| (&s.skill, s.stage, s.nth) == (&need.skill, need.stage, s.of);
        let opened = all.iter().find(done).map(|stitch| stitch.session);
        let begun = all.iter().find(|stitch| stitch.skill == other.id).unwrap().session;
        assert!(opened.is_none_or(|opened| opened < begun), "{}", other.id);
    }
}
