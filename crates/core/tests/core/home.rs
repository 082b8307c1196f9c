//! What a player can do at home in a week.

use std::collections::BTreeSet;

use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::home::{HomeCard, MINUTES, MOST_DRILLS};
use jogo_core::drill::Drill;
use jogo_core::plan::{Block, Plan, solve};
use jogo_core::technique::skill::{Foot, SidePolicy, Stage};
use jogo_core::units::{Minutes, Pace};
use rstest::rstest;

use crate::demo::{self, called};

/// The plan with these variants alone, each in the session of its place.
fn with(variants: &[&str]) -> Plan {
    let mut sessions: Vec<Vec<Block>> =
        variants.iter().map(|variant| vec![Block::of(&called(variant), Minutes(8))]).collect();
    sessions.resize(12, Vec::new());
    Plan { sessions }
}

fn card(edition: &Edition, shelf: &[Drill], day: Date) -> HomeCard {
    edition.home_card(&edition.problem().unwrap(), shelf, day, Pace::default())
}

fn titles(card: &HomeCard) -> Vec<&str> {
    card.drills.iter().map(|drill| drill.drill.as_str()).collect()
}

#[test]
fn every_week_of_the_demo_has_ten_minutes_that_can_be_done_alone() {
    let edition = demo::edition(solve(&demo::problem(), 1, 6_000).unwrap().plan);
    let shelf = demo::drills();
    let mut challenges = BTreeSet::new();
    for week in 0..6 {
        let card = card(&edition, &shelf, edition.curriculum.start + (week * 7).days());
        assert_eq!(i64::from(card.week), week + 1);
        assert!((1..=MOST_DRILLS).contains(&card.drills.len()), "week {week}: {:?}", titles(&card));
        assert_eq!(card.drills.iter().map(|drill| drill.minutes.0).sum::<u32>(), MINUTES.0);
        let names: BTreeSet<_> = titles(&card).into_iter().collect();
        assert_eq!(names.len(), card.drills.len(), "each drill once");
        for drill in &card.drills {
            let on_shelf = shelf.iter().find(|each| each.id == drill.drill).unwrap();
            assert_eq!(on_shelf.home, Some(drill.space));
            assert!(drill.laid.timing.bouts > 0 && drill.laid.misfit.is_none(), "{}", drill.title);
        }
        challenges.insert(card.challenge.unwrap());
    }
    assert!(challenges.len() > 1, "the challenge is another one from week to week");
}

// By hand: sessions on Monday and Thursday. In week 2 the sole roll was worked at in Flow, in week 1 in Form.
#[rstest]
#[case::before_the_first_session(-3, 1, Stage::Form)]
#[case::in_the_first_week(2, 1, Stage::Form)]
#[case::in_the_second_week(8, 2, Stage::Flow)]
#[case::after_the_last(60, 6, Stage::Flow)]
fn the_stage_is_the_one_worked_at_last(#[case] days: i64, #[case] week: u32, #[case] stage: Stage) {
    let edition = demo::edition(with(&["roll-stop-step@form", "roll-stop-step@form", "roll-stop-step@flow"]));
    let shelf: Vec<Drill> = demo::drills().into_iter().filter(|drill| drill.id == "roll-stop-step").collect();
    let card = card(&edition, &shelf, edition.curriculum.start + days.days());
    assert_eq!((card.week, card.drills[0].laid.stage), (week, stage));
    assert_eq!((card.drills[0].minutes, card.challenge), (MINUTES, Some(0)));
}

// Strong foot first: what the squad worked at with the other foot alone is done so at home.
#[rstest]
#[case::the_strong_foot("toe-taps-rounds@form-strong", Some(Foot::Strong))]
#[case::the_other_foot("toe-taps-rounds@form-other", Some(Foot::Other))]
#[case::both("toe-taps-rounds@form", None)]
fn a_child_works_at_home_with_the_foot_of_the_session(#[case] variant: &str, #[case] foot: Option<Foot>) {
    let mut edition = demo::edition(with(&[variant]));
    edition.curriculum.side = Some(SidePolicy::StrongFirst);
    let taps = demo::drills().into_iter().find(|drill| drill.id == "toe-taps-rounds").unwrap();
    let home = demo::drills().iter().find_map(|drill| drill.home);
    let card = card(&edition, &[Drill { home, ..taps }], edition.curriculum.start);
    let touches = &card.drills[0].laid.timing.touches;
    assert_eq!(card.drills[0].laid.foot, foot);
    assert_eq!(
        (touches.strong > 0, touches.other > 0),
        (foot != Some(Foot::Other), foot != Some(Foot::Strong))
    );
}

#[test]
fn strands_come_once_as_long_as_there_is_another() {
    let edition = demo::edition(with(&["toe-taps-rounds@form", "roll-stop-step@form", "wall-of-two@form"]));
    let card = card(&edition, &demo::drills(), edition.curriculum.start + 8.days());
    let strands: Vec<_> = card.drills.iter().map(|drill| drill.strand).collect();
    assert!(strands.len() < 2 || strands[0] != strands[1], "{strands:?}");
}

#[test]
fn nothing_fits_at_home_where_nothing_was_practised() {
    let edition = demo::edition(with(&[]));
    let card = card(&edition, &demo::drills(), edition.curriculum.start);
    assert_eq!((titles(&card), card.challenge), (vec![], None));
}
