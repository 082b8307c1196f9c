//! What is different from the edition before.

use jogo_core::delivery::edition::{Edition, EditionChange};
use jogo_core::plan::{Block, Plan, Theme};
use jogo_core::technique::skill::{Stage, Strand};
use jogo_core::units::{Metres, Minutes};
use rstest::rstest;

use crate::demo::{self, called, told};

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
    &["edition-block-minutes session=2 block=(quoted-at name=Roll, stop, step stage=stage-form) now=10 then=8"],
)]
#[case::moved(
    |e: &mut Edition| { let block = e.plan.sessions[1].remove(0); e.plan.sessions[4].push(block); },
    &["edition-block-moved session=2 block=(quoted-at name=Roll, stop, step stage=stage-form) to=5"],
)]
#[case::left_out(|e: &mut Edition| e.plan.sessions[1].clear(), &["edition-block-left-out session=2 block=(quoted-at name=Roll, stop, step stage=stage-form)"])]
#[case::come_in(
    |e: &mut Edition| e.plan.sessions[4].push(Block::of(&called("wall-of-two@form"), Minutes(8))),
    &["edition-block-added session=5 block=(quoted-at name=Push pass in pairs stage=stage-form)"],
)]
#[case::a_stage_up(
    |e: &mut Edition| e.plan.sessions[1][0].variant = called("roll-stop-step@flow"),
    &["edition-block-left-out session=2 block=(quoted-at name=Roll, stop, step stage=stage-form)", "edition-block-added session=2 block=(quoted-at name=Roll, stop, step stage=stage-flow)"],
)]
#[case::another_theme(
    |e: &mut Edition| { e.curriculum.themes = [(2, Theme::Strand(Strand::Passing))].into(); },
    &["edition-other-themes"],
)]
#[case::a_rung_up(
    |e: &mut Edition| e.plan.sessions[1][0].variant = called("roll-stop-step@form-2"),
    &["edition-block-left-out session=2 block=(quoted-at name=Roll, stop, step stage=stage-form)", "edition-block-added session=2 block=(quoted-rung name=Roll, stop, step stage=stage-form rung=2)"],
)]
#[case::twice_in_one(
    |e: &mut Edition| { let block = e.plan.sessions[2].remove(0); e.plan.sessions[0].push(block); },
    &["edition-block-moved session=3 block=(quoted-at name=Push pass in pairs stage=stage-form) to=1"],
)]
#[case::other_minutes(
    |e: &mut Edition| e.curriculum.minutes[2] = Minutes(25), &["edition-other-minutes session=3 now=25 then=40"],
)]
#[case::another_floor(
    |e: &mut Edition| e.curriculum.ground.width = Metres(9.0), &["edition-other-ground"],
)]
#[case::another_week(|e: &mut Edition| e.curriculum.holidays = vec![2], &["edition-other-days"])]
#[case::no_goal(
    |e: &mut Edition| e.curriculum.goals.truncate(e.curriculum.goals.len() - 1),
    &["edition-no-goal skill=Pass through a gate"],
)]
#[case::reworded(
    |e: &mut Edition| e.drills.iter_mut().filter(|d| d.id == "wall-of-two").for_each(|d| d.points.push("Firm ankle".into())),
    &["edition-drill-rewritten title=Push pass in pairs"],
)]
fn every_change_is_told(#[case] change: fn(&mut Edition), #[case] changes: &[&str]) {
    let earlier = edition();
    let mut now = edition();
    change(&mut now);
    assert_eq!(told(now.changes_since(&earlier)), changes);
}

#[test]
fn goals_are_told_by_their_names_and_stages() {
    let earlier = edition();
    let mut now = edition();
    let last = now.curriculum.goals.len() - 1;
    let moved = now.curriculum.goals[last].goal;
    now.curriculum.goals[last].goal = Stage::Contest;
    assert_ne!(moved, Stage::Contest);
    let skill = || "Pass through a gate".to_owned();
    let change = EditionChange::OtherGoal { skill: skill(), now: Stage::Contest, then: moved };
    assert_eq!(now.changes_since(&earlier), [change]);
    let back = EditionChange::OtherGoal { skill: skill(), now: moved, then: Stage::Contest };
    assert_eq!(earlier.changes_since(&now), [back]);
}
