//! Surfaces of a plan: touches by strand, surface and foot, and what stands out.

use std::collections::BTreeSet;

use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::surfaces::{SurfaceTouches, Surfaces};
use jogo_core::drill::levers::PlayedWith;
use jogo_core::drill::timing::FootTouches;
use jogo_core::plan::{Block, Plan};
use jogo_core::technique::skill::Strand;
use jogo_core::technique::surface::Surface;
use jogo_core::units::{Minutes, Pace};

use rstest::rstest;

use crate::demo::{self, called};

/// The demo's edition with one session of these variants, six minutes each.
fn edition(variants: &[&str]) -> Edition {
    let mut sessions = vec![Vec::new(); 12];
    sessions[0] = variants.iter().map(|variant| Block::of(&called(variant), Minutes(6))).collect();
    demo::edition(Plan { sessions })
}

fn surfaces_of(edition: &Edition) -> Surfaces {
    edition.surfaces(&edition.problem().unwrap())
}

/// What Today says of the first block.
fn touches_of(edition: &Edition) -> FootTouches {
    let order = edition.running_order(&edition.problem().unwrap(), 0, Pace::default()).unwrap();
    order.blocks[0].laid.timing.touches
}

#[test]
fn a_scored_drill_counts_by_its_score() {
    let edition = edition(&["toe-taps-rounds@form"]);
    let FootTouches { strong, other } = touches_of(&edition);
    let found = surfaces_of(&edition);
    assert_eq!(found.strands.len(), 1);
    assert_eq!(found.strands[0].strand, Strand::BallMastery);
    assert_eq!(found.strands[0].surfaces, [SurfaceTouches { surface: Surface::Sole, strong, other }]);
    let told = demo::told(found.findings);
    let lopsided = "surfaces-lopsided strand=strand-ball_mastery surface=surface-sole percent=100";
    assert!(told.contains(&lopsided.to_owned()), "{told:?}");
}

// Without a score of its own the touches are shared alike: the weave has no score, and two surfaces.
#[test]
fn another_drill_shares_its_touches_alike() {
    let edition = edition(&["weave-six@form"]);
    let FootTouches { strong, other } = touches_of(&edition);
    let found = surfaces_of(&edition);
    let sums = found.strands.iter().flat_map(|strand| &strand.surfaces);
    let (right, left) = sums.fold((0, 0), |(s, o), row| (s + row.strong, o + row.other));
    assert!(right.abs_diff(strong) <= 3 && left.abs_diff(other) <= 3, "{found:?}");
    for strand in &found.strands {
        let first = strand.surfaces[0];
        let alike = |row: &SurfaceTouches| row.strong.abs_diff(first.strong) <= 1;
        assert!(strand.surfaces.iter().all(alike), "{strand:?}");
    }
}

// The score of the drill plays the thigh and then the laces; where a rung asks for the outside, that takes the place of
// the thigh. Without a score all touches are with the surface that the rung asks for.
#[rstest]
#[case::as_the_score_says("spring", "air-in-the-square", PlayedWith::AsDrilled, &[Surface::Laces, Surface::Thigh])]
#[case::the_rung_decides("spring", "air-in-the-square", PlayedWith::Outside, &[Surface::Outside, Surface::Laces])]
#[case::no_score("autumn", "across-the-body-gate", PlayedWith::Outside, &[Surface::Outside])]
fn a_rung_may_ask_for_a_surface(
    #[case] term: &str,
    #[case] drill: &str,
    #[case] played_with: PlayedWith,
    #[case] surfaces: &[Surface],
) {
    let mut edition = edition(&[]);
    edition.band = demo::bands().into_iter().find(|band| band.id == "u10-u12").unwrap();
    edition.curriculum = demo::template(&format!("u10-u12-{term}"));
    let problem = edition.problem().unwrap();
    let mut of_drill = problem.variants.iter().filter(|variant| variant.id.drill == *drill);
    let variant = of_drill.find(|variant| variant.levers.surface == played_with).unwrap();
    edition.plan.sessions = vec![vec![Block::of(&variant.id, Minutes(6))]];
    let found = edition.surfaces(&problem);
    let trained: BTreeSet<_> =
        found.strands.iter().flat_map(|strand| &strand.surfaces).map(|row| row.surface).collect();
    assert_eq!(trained, surfaces.iter().copied().collect(), "{found:?}");
}

#[test]
fn twice_as_often_is_twice_as_many() {
    let once = surfaces_of(&edition(&["toe-taps-rounds@form"]));
    let twice = surfaces_of(&edition(&["toe-taps-rounds@form", "toe-taps-rounds@form"]));
    let (one, two) = (once.strands[0].surfaces[0], twice.strands[0].surfaces[0]);
    assert_eq!((two.strong, two.other), (2 * one.strong, 2 * one.other));
}

// Goals whose scores use the sole alone find it in the plan; those that need the inside do not.
#[test]
fn a_surface_that_a_goal_needs_is_missed() {
    let goal = |id: &str| {
        let goals = demo::curriculum().goals;
        goals.into_iter().find(|goal| goal.skill == *id)
    };
    let mut edition = edition(&["toe-taps-rounds@form"]);
    let kept: Vec<_> = ["four-taps-stop", "inside-outside-cut", "sole-drag-sides"]
        .iter()
        .filter_map(|id| goal(id))
        .collect();
    let problem = edition.problem().unwrap();
    edition.curriculum.goals = kept;
    let told = demo::told(edition.surfaces(&problem).findings);
    let missing: Vec<&String> = told.iter().filter(|each| each.starts_with("surfaces-missing")).collect();
    assert!(!missing.is_empty());
    assert!(missing.iter().all(|each| !each.contains("surface-sole")), "{missing:?}");
}
