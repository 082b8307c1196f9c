//! What a team's coaches say that came off, and what its plans then ask for.

use jogo_core::delivery::came_off::{SeenInClub, comes_off_less};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Ran, Said, Went};
use jogo_core::plan::knack::Glance;
use jogo_core::plan::success::{Experience, easiest};
use jogo_core::plan::{Plan, Problem, Remedy, solve};
use jogo_core::units::Minutes;
use rstest::rstest;

use crate::demo;

fn edition() -> Edition {
    demo::edition(demo::named(solve(&demo::problem(), 1, 6_000).unwrap().plan, 1))
}

fn went(outcome: Outcome, success: Option<u8>) -> Went {
    Went { outcome, minutes: None, success, ran: None }
}

/// The same of every block.
fn all_went(edition: &Edition, went: Went) -> Said {
    edition.plan.places().map(|((session, _), block)| ((session, block.id.unwrap()), went)).collect()
}

/// What the formula says of a block, with the minutes that each of some earlier blocks really took: by hand, skill by
/// skill.
fn expected(problem: &Problem, plan: &Plan, at: (usize, usize), took: impl Fn((usize, usize)) -> u32) -> f64 {
    let variant =
        |(session, place): (usize, usize)| problem.variant(&plan.sessions[session][place].variant).unwrap();
    let easiest = easiest(problem);
    let block = variant(at);
    let of_skill = |skill: &jogo_core::ids::SkillId| {
        let wish = problem.skills.iter().find(|wish| wish.id == *skill).unwrap();
        let before = plan.places().map(|(there, _)| there).filter(|there| *there < at);
        let shown = before.filter(|there| variant(*there).skills.contains(skill));
        let day = |session: usize| problem.sessions[session].date;
        let today = day(at.0);
        let days = |session: usize| f64::from((today - day(session)).get_days());
        // Each exposure halves in 28 days, and so does what the squad began with.
        let begun = Experience::before(problem, wish).0 * 0.5f64.powf(days(0) / 28.0);
        let worked = |there: (usize, usize)| {
            f64::from(took(there)) * variant(there).working.0 / 6.0 * 0.5f64.powf(days(there.0) / 28.0)
        };
        let experience = begun + shown.map(worked).sum::<f64>();
        let harder = block.difficulty.0 - easiest[skill].difficulty.0;
        (0.7f64 / 0.3).ln() + 0.25 * experience - 0.35 * harder
    };
    block.skills.iter().map(of_skill).sum::<f64>() / block.skills.len() as f64
}

#[test]
fn each_glance_is_held_against_what_was_expected_then() {
    let edition = edition();
    let (problem, plan) = (edition.problem().unwrap(), &edition.plan);
    let glances = edition.glances(&problem, &all_went(&edition, went(Outcome::Short, Some(80))));
    assert_eq!(glances.len(), plan.places().count());
    for (glance, (at, _)) in glances.iter().zip(plan.places()) {
        // Half of what was planned, for nothing else was said.
        let half = |(session, place): (usize, usize)| plan.sessions[session][place].minutes.0 / 2;
        let wanted = expected(&problem, plan, at, half);
        assert!((glance.expected - wanted).abs() < 1e-6, "{at:?}: {} against {wanted}", glance.expected);
        assert_eq!(glance.tenths, 8);
    }
}

#[test]
fn what_was_skipped_or_not_spoken_of_tells_nothing() {
    let edition = edition();
    let problem = edition.problem().unwrap();
    assert!(edition.glances(&problem, &Said::default()).is_empty());
    assert!(edition.glances(&problem, &all_went(&edition, went(Outcome::Done, None))).is_empty());
    assert!(edition.glances(&problem, &all_went(&edition, went(Outcome::Skipped, Some(90)))).is_empty());
    assert_eq!(edition.knack_of(&Said::default()).unwrap().theta, 0.0);
}

#[test]
fn a_harder_rung_was_expected_to_come_off_less() {
    let edition = edition();
    let problem = edition.problem().unwrap();
    let table = &edition.academy.lever_points;
    let first = &edition.plan.sessions[0][0];
    let (variant, drill) =
        (problem.variant(&first.variant).unwrap(), edition.drill(&first.variant.drill).unwrap());
    let rung = drill.rung(variant.stage, variant.id.rung, table).unwrap().levers;
    let harder = drill.one_up(&rung, table).unwrap().difficulty.0 - variant.difficulty.0;
    let glance = |ran: Option<Ran>| -> Glance {
        let went = Went { ran, ..went(Outcome::Done, Some(70)) };
        edition.glances(&problem, &[((0, first.id.unwrap()), went)].into_iter().collect::<Said>())[0]
    };
    let (planned, up) = (glance(None), glance(Some(Ran::OneUp)));
    assert!(harder > 0.0 && (planned.expected - up.expected - 0.35 * harder).abs() < 1e-9);
}

/// The mean difficulty of what lies ahead of a session.
fn difficulty(problem: &Problem, plan: &Plan, from: usize) -> f64 {
    let (mut sum, mut minutes) = (0.0, 0.0);
    for block in plan.sessions[from..].iter().flatten() {
        let variant = problem.variant(&block.variant).unwrap();
        sum += f64::from(block.minutes.0) * variant.difficulty.0;
        minutes += f64::from(block.minutes.0);
    }
    sum / minutes
}

#[test]
fn a_squad_for_which_more_comes_off_goes_on_with_harder_rungs() {
    let edition = edition();
    let problem = edition.problem().unwrap();
    let after = |success: u8| {
        let first = edition.plan.sessions[..6].iter().enumerate();
        let blocks = first.flat_map(|(session, blocks)| blocks.iter().map(move |b| (session, b.id.unwrap())));
        let said: Said = blocks.map(|place| (place, went(Outcome::Done, Some(success)))).collect();
        let found = TeamPlan::default().remedies(&edition, &said, 6, Minutes(0)).unwrap();
        found.into_iter().find(|each| each.remedy == Remedy::Squeeze).unwrap().plan
    };
    let (gentle, strong) = (after(20), after(100));
    let (low, high) = (difficulty(&problem, &gentle, 7), difficulty(&problem, &strong, 7));
    assert!(high > low + 0.05, "{high} after all of it came off, {low} after little of it");
}

fn seen(club: &str, drill: &str, tenths: &[u8]) -> Vec<SeenInClub> {
    let glance = |tenths: &u8| Glance { expected: f64::ln(7.0 / 3.0), tenths: *tenths };
    let of = |tenths| SeenInClub { club: club.into(), drill: demo::called(drill), glance: glance(tenths) };
    tenths.iter().map(of).collect()
}

// Seven of ten are expected. Of one count of 2 the interval ends at −0.04, of one of 7 at 1.06 (the worked cases of the
// knack); four of 5 say more than one does.
#[rstest]
#[case::as_expected(vec![seen("Peat", "a", &[7, 7]), seen("Mill", "a", &[8])], &[])]
#[case::in_one_club(vec![seen("Peat", "a", &[2]), seen("Mill", "a", &[7, 8])], &[("a", Some("Peat"))])]
#[case::everywhere(vec![seen("Peat", "a", &[4, 5]), seen("Mill", "a", &[5, 5, 4])], &[("a", None)])]
#[case::only_one_has_it(vec![seen("Peat", "a", &[3, 3, 4])], &[("a", Some("Peat"))])]
#[case::too_little_said(vec![seen("Peat", "a", &[5])], &[])]
#[case::each_by_itself(
    vec![seen("Peat", "a", &[2]), seen("Mill", "a", &[2]), seen("Peat", "b", &[2]), seen("Mill", "b", &[9, 9])],
    &[("a", None), ("b", Some("Peat"))]
)]
fn of_some_drills_less_comes_off(
    #[case] said: Vec<Vec<SeenInClub>>,
    #[case] wanted: &[(&str, Option<&str>)],
) {
    let found = comes_off_less(&said.concat());
    let found: Vec<_> = found.iter().map(|less| (less.drill.as_str(), less.club.as_deref())).collect();
    assert_eq!(found, wanted);
}

// What a whole squad finds hard is its knack, not a matter of its drills.
#[test]
fn a_squad_that_finds_everything_hard_blames_no_drill() {
    let edition = edition();
    let problem = edition.problem().unwrap();
    let said = all_went(&edition, went(Outcome::Done, Some(40)));
    assert!(edition.knack_of(&said).unwrap().most < 0.0);
    let of_club = |glances: Vec<(jogo_core::ids::DrillId, Glance)>| -> Vec<SeenInClub> {
        let seen = |(drill, glance)| SeenInClub { club: "Peat".into(), drill, glance };
        glances.into_iter().map(seen).collect()
    };
    let blamed = comes_off_less(&of_club(edition.glances_at_drills(&problem, &said))).len();
    let drills: std::collections::BTreeSet<_> =
        edition.plan.places().map(|(_, block)| block.variant.drill.clone()).collect();
    assert!(blamed * 4 < drills.len(), "{blamed} of {} are blamed", drills.len());
}
