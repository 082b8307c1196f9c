//! Series: several moves on one clock, from the drill to the coach's clock and into the plan.

use std::collections::BTreeSet;

use jogo_core::drill::dose::Dose;
use jogo_core::drill::series::{Challenge, SeriesMove};
use jogo_core::drill::{Drill, Shelf};
use jogo_core::plan::Plan;
use jogo_core::technique::skill::{Foot, Stage};
use jogo_core::units::{Pace, Seconds, Share};
use rstest::rstest;

use crate::demo::{self, called};

/// Taps with the inside and with the sole, one after the other: the demo's series.
fn taps() -> Drill {
    demo::drills().into_iter().find(|drill| drill.id == "eyes-up-taps").unwrap()
}

fn faults(drill: &Drill) -> BTreeSet<String> {
    let tests: Vec<_> = demo::tests().into_iter().map(|test| test.id).collect();
    let shelf = Shelf { bands: &demo::bands(), skills: &demo::skills(), tests: &tests, milestones: &[] };
    drill.check(&shelf).into_iter().map(|fault| fault.pointer).collect()
}

fn moves(drill: &mut Drill) -> &mut Vec<SeriesMove> {
    &mut drill.series.as_mut().unwrap().moves
}

fn doses(drill: &mut Drill, change: impl Fn(&mut Dose)) {
    drill.doses.values_mut().for_each(change);
}

#[rstest]
#[case::as_it_is(|_: &mut Drill| {}, &[])]
#[case::no_moves(|d: &mut Drill| d.series = None, &["/doses/u10-u12", "/doses/u6-u7", "/doses/u8-u9"])]
#[case::no_dose(
    |d: &mut Drill| doses(d, |dose| *dose = Dose::Streak { target: 5, cap: Seconds(60.0), each: Seconds(2.0) }),
    &["/series"],
)]
#[case::a_move_without_a_name(|d: &mut Drill| moves(d).push(SeriesMove::default()), &["/series/moves/2"])]
#[case::a_skill_that_it_does_not_serve(
    |d: &mut Drill| moves(d).push(SeriesMove { skill: Some(called("weave")), ..SeriesMove::default() }),
    &["/series/moves/2/skill"],
)]
#[case::fewer_moves_than_skills(
    |d: &mut Drill| doses(d, |dose| if let Dose::Series { moves, .. } = dose { *moves = 1 }),
    &["/serves/1/skill"],
)]
#[case::more_moves_than_there_are(
    |d: &mut Drill| doses(d, |dose| if let Dose::Series { moves, .. } = dose { *moves = 3 }),
    &["/doses/u10-u12/moves", "/doses/u6-u7/moves", "/doses/u8-u9/moves"],
)]
#[case::time_for_no_challenge(
    |d: &mut Drill| doses(d, |dose| if let Dose::Series { challenge, .. } = dose { *challenge = Some(Seconds(30.0)) }),
    &["/doses/u10-u12/challenge_s", "/doses/u6-u7/challenge_s", "/doses/u8-u9/challenge_s"],
)]
#[case::a_test_that_is_not_there(
    |d: &mut Drill| {
        let says = "How many?".to_owned();
        d.series.as_mut().unwrap().challenge = Some(Challenge { says, test: Some(called("flying")) });
    },
    &["/series/challenge/test"],
)]
fn what_is_wrong_is_named_with_its_place(#[case] change: fn(&mut Drill), #[case] places: &[&str]) {
    let mut drill = taps();
    change(&mut drill);
    assert_eq!(faults(&drill), places.iter().map(|place| (*place).to_owned()).collect());
}

#[test]
fn the_running_order_names_the_moves_and_the_plan_knows_their_shares() {
    let block = jogo_core::plan::Block::of(&called("eyes-up-taps@scan"), jogo_core::units::Minutes(4));
    let mut sessions = vec![vec![block]];
    sessions.resize(12, Vec::new());
    let mut edition = demo::edition(demo::named(Plan { sessions }, 1));
    let drill = edition.drills.iter_mut().find(|drill| drill.id == "eyes-up-taps").unwrap();
    moves(drill)[1].foot = Some(Foot::Other);
    moves(drill)[0].says = Some("Tap and look".to_owned());
    let problem = edition.problem().unwrap();
    let order = edition.running_order(&problem, 0, Pace::default()).unwrap();
    let series = order.blocks[0].series.as_ref().unwrap();
    let names: Vec<_> = series.moves.iter().map(|each| (each.name.as_str(), each.foot)).collect();
    assert_eq!(names, [("Tap and look", None), ("Toe taps", Some(Foot::Other))]);
    assert_eq!(series.challenge, None);
    let steps: Vec<_> = order.blocks[0].laid.timing.phases.iter().filter_map(|phase| phase.step).collect();
    assert_eq!(steps[..4], [0, 1, 0, 1]);
    let variant =
        problem.variants.iter().find(|v| v.drill == "eyes-up-taps" && v.stage == Stage::Scan).unwrap();
    assert!(variant.parts.values().all(|part| *part == Share(0.5)) && variant.parts.len() == 2);
}
