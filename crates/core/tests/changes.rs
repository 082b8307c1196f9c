//! What is different from the edition before, in words.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

mod demo;

use demo::called;
use jogo_core::delivery::edition::Edition;
use jogo_core::plan::{Block, Plan};
use jogo_core::technique::skill::Stage;
use jogo_core::units::{Metres, Minutes};
use rstest::rstest;

/// The wall pass in sessions 1 and 3, the sole roll in session 2.
fn edition() -> Edition {
    let block = |variant: &str| vec![Block::of(&called(variant), Minutes(8))];
    let mut sessions =
        vec![block("wall-of-two@form"), block("roll-stop-step@form"), block("wall-of-two@form")];
    sessions.resize(12, Vec::new());
    demo::edition(Plan { sessions })
}

// Each by hand.
#[rstest]
#[case::nothing(|_: &mut Edition| {}, &[])]
#[case::longer(
    |e: &mut Edition| e.plan.sessions[1][0].minutes = Minutes(10),
    &["session 2: “Roll, stop, step, Form” 10 min in place of 8 min"],
)]
#[case::moved(
    |e: &mut Edition| { let block = e.plan.sessions[1].remove(0); e.plan.sessions[4].push(block); },
    &["session 2: “Roll, stop, step, Form” moves to session 5"],
)]
#[case::left_out(|e: &mut Edition| e.plan.sessions[1].clear(), &["session 2: “Roll, stop, step, Form” is left out"])]
#[case::come_in(
    |e: &mut Edition| e.plan.sessions[4].push(Block::of(&called("wall-of-two@form"), Minutes(8))),
    &["session 5: “Push pass in pairs, Form” comes in"],
)]
#[case::a_stage_up(
    |e: &mut Edition| e.plan.sessions[1][0].variant = called("roll-stop-step@flow"),
    &["session 2: “Roll, stop, step, Form” is left out", "session 2: “Roll, stop, step, Flow” comes in"],
)]
#[case::twice_in_one(
    |e: &mut Edition| { let block = e.plan.sessions[2].remove(0); e.plan.sessions[0].push(block); },
    &["session 3: “Push pass in pairs, Form” moves to session 1"],
)]
#[case::other_minutes(
    |e: &mut Edition| e.curriculum.minutes[2] = Minutes(25), &["session 3: 25 min in place of 40 min"],
)]
#[case::another_floor(
    |e: &mut Edition| e.curriculum.ground.width = Metres(9.0), &["the floor, the kit or the squad is another"],
)]
#[case::another_week(|e: &mut Edition| e.curriculum.holidays = vec![2], &["it runs on other days"])]
#[case::no_goal(
    |e: &mut Edition| e.curriculum.goals.truncate(e.curriculum.goals.len() - 1),
    &["“Pass through a gate” is no goal any more"],
)]
#[case::reworded(
    |e: &mut Edition| e.drills.iter_mut().filter(|d| d.id == "wall-of-two").for_each(|d| d.points.push("Firm ankle".into())),
    &["“Push pass in pairs” is written differently"],
)]
fn every_change_is_told(#[case] change: fn(&mut Edition), #[case] told: &[&str]) {
    let earlier = edition();
    let mut now = edition();
    change(&mut now);
    assert_eq!(now.changes_since(&earlier), told);
}

#[test]
fn goals_are_told_by_their_names_and_stages() {
    let earlier = edition();
    let mut now = edition();
    let last = now.curriculum.goals.len() - 1;
    let moved = now.curriculum.goals[last].goal;
    now.curriculum.goals[last].goal = Stage::Contest;
    assert_ne!(moved, Stage::Contest);
    let told = now.changes_since(&earlier);
    assert_eq!(told, [format!("“Pass through a gate” to Contest in place of {moved}")]);
    let back = earlier.changes_since(&now);
    assert_eq!(back, [format!("“Pass through a gate” to {moved} in place of Contest")]);
}
