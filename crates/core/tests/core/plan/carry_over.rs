//! Where a curriculum begins if another one was before it, worked out by hand.

use jogo_core::plan::Plan;
use jogo_core::plan::carry_over::{Before, Believed, Brought, brought};
use jogo_core::plan::curriculum::{Curriculum, Goal};
use jogo_core::plan::forecast::Assumptions;
use rstest::rstest;

use super::*;

/// Two exposures of each stage, three sessions in two weeks.
fn before() -> (Problem, Plan) {
    let mut problem = problem(
        &[
            ("a", None, Stage::Flow, &[]),
            ("b", Some(Stage::Flow), Stage::Scan, &[]),
            ("c", None, Stage::Flow, &[]),
            ("d", None, Stage::Flow, &[]),
        ],
        &[40, 40, 40, 40],
    );
    problem.approach.exposures = [2, 2, 2, 2];
    problem.approach.ladder = Ladder::Overlapping;
    let plan = plan("a@form 8, c@form 8 | a@form 8, b@flow 8 | a@flow 8 | a@flow 8, b@flow 8");
    (problem, plan)
}

fn brought_as(believed: Believed, rate: f64) -> BTreeMap<jogo_core::ids::SkillId, Brought> {
    let (problem, plan) = before();
    let assumed = Assumptions { rate, spread: 0.0, ..Assumptions::default() };
    brought(&[Before { problem: &problem, plan: &plan, assumed: &assumed }], believed)
}

// By hand: a has both exposures of Form and of Flow; b was at Flow and has both of them; c was met once, and is at
// Form; d never came. The sessions are on 6, 10, 13 and 17 January.
#[rstest]
#[case("a", Some(Stage::Flow), Some(date(2031, 1, 17)))]
#[case("b", Some(Stage::Flow), Some(date(2031, 1, 17)))]
#[case("c", Some(Stage::Form), Some(date(2031, 1, 6)))]
#[case("d", None, None)]
fn as_planned(#[case] skill: &str, #[case] stage: Option<Stage>, #[case] last_shown: Option<Date>) {
    let found = brought_as(Believed::Planned, 0.2)[&called::<jogo_core::ids::SkillId>(skill)];
    assert_eq!(found, Brought { stage, other_foot: None, last_shown });
}

// With so quick a rate everybody comes as far as planned; with so slow a one nobody leaves Form.
#[rstest]
#[case::quickly(5.0, [Some(Stage::Flow), Some(Stage::Flow), Some(Stage::Form), None])]
#[case::hardly(0.001, [Some(Stage::Form), Some(Stage::Flow), Some(Stage::Form), None])]
fn as_forecast(#[case] rate: f64, #[case] stages: [Option<Stage>; 4]) {
    let found: Vec<_> = brought_as(Believed::Forecast, rate).into_values().map(|skill| skill.stage).collect();
    assert_eq!(found, stages);
}

#[test]
fn the_next_curriculum_begins_there() {
    let mut wishes: Curriculum = crate::demo::curriculum();
    wishes.start = date(2031, 2, 3);
    wishes.goals = vec![
        Goal::new(called("a"), None, Stage::Form),
        Goal::new(called("d"), Some(Stage::Form), Stage::Flow),
        Goal::new(called("e"), Some(Stage::Form), Stage::Flow),
    ];
    let next = wishes.carrying(&brought_as(Believed::Planned, 0.2));
    let [a, d, e] = &next.goals[..] else { panic!() };
    assert_eq!(
        (a.present, a.goal),
        (Some(Stage::Flow), Stage::Flow),
        "no goal lies before the present stage"
    );
    assert_eq!(a.last_shown, Some(date(2031, 1, 17)));
    assert_eq!((d.present, d.last_shown), (Some(Stage::Form), None), "nothing is brought: as it was written");
    assert_eq!((e.present, e.last_shown), (Some(Stage::Form), None));
}

#[test]
fn a_later_curriculum_goes_further() {
    let (problem, plan) = before();
    let mut later = problem.clone();
    for session in &mut later.sessions {
        session.date += 21.days();
    }
    let assumed = Assumptions::default();
    let only_c = Plan { sessions: vec![vec![plan.sessions[0][1].clone()]; 4] };
    let first = Before { problem: &problem, plan: &plan, assumed: &assumed };
    let second = Before { problem: &later, plan: &only_c, assumed: &assumed };
    let found = brought(&[first, second], Believed::Planned);
    let of = |id: &str| found[&called::<jogo_core::ids::SkillId>(id)];
    assert_eq!((of("a").stage, of("a").last_shown), (Some(Stage::Flow), Some(date(2031, 1, 17))));
    assert_eq!((of("c").stage, of("c").last_shown), (Some(Stage::Form), Some(date(2031, 2, 7))));
}
