//! What results so far show beside the forecast.

use super::demo::called;
use std::collections::BTreeMap;

use jiff::civil::{Date, date};
use jogo_core::plan::Problem;
use jogo_core::plan::forecast::so_far::{Day, ReachedSoFar, SoFar, Squad, days, so_far};
use jogo_core::plan::forecast::{Assumptions, Forecast, Size, forecast};
use jogo_core::technique::skill::Stage;
use jogo_core::units::Share;
use rstest::rstest;

use super::{plan, problem};

/// Sessions on 6, 10, 13 and 17 January.
fn form_then_flow() -> Problem {
    problem(&[("a", None, Stage::Flow, &[])], &[20; 4])
}

fn foreseen(problem: &Problem, run: &str) -> Forecast {
    forecast(problem, &plan(run), &Assumptions::default(), Size { players: 400, squad: 10 }, 1)
}

const TODAY: Date = date(2031, 1, 15);

fn found(run: &str, players: &[[Option<usize>; 3]]) -> SoFar {
    found_of(true, run, players)
}

fn found_of(by_this: bool, run: &str, players: &[[Option<usize>; 3]]) -> SoFar {
    let problem = form_then_flow();
    let players = players.iter().map(|had| BTreeMap::from([(called("a"), had.to_vec())]));
    let squad = Squad {
        by_this,
        days: days(&problem, TODAY),
        run: plan(run),
        players: players.collect(),
        problem: problem.clone(),
    };
    so_far(&problem, &[squad], &foreseen(&problem, run))
}

#[rstest]
#[case::before_it_begins(date(2031, 1, 5), &[])]
#[case::on_the_first_day(date(2031, 1, 6), &[(None, 5), (Some(1), 6)])]
#[case::in_the_second_week(TODAY, &[(None, 5), (Some(1), 12), (Some(2), 15)])]
#[case::long_after(date(2031, 3, 1), &[(None, 5), (Some(1), 12), (Some(2), 60)])]
fn every_week_ends_before_the_next_begins(#[case] today: Date, #[case] expected: &[(Option<u32>, i64)]) {
    let begins = date(2031, 1, 1);
    let day = |(week, nth): &(Option<u32>, i64)| Day {
        week: *week,
        on: begins.checked_add(jiff::Span::new().days(nth - 1)).unwrap(),
    };
    assert_eq!(days(&form_then_flow(), today), expected.iter().map(day).collect::<Vec<_>>());
}

// By hand. Every block has 6 working minutes at difficulty 2, a dose of 1 ÷ 1.3 = 0.7692. The first player is
// followed from the beginning: two blocks of Form before the first stage was had, one of Flow after it: 3 doses, 1
// step. The second is known from the 12th: 1 dose, 1 step. The third had the goal all the time. Rate (1.5 · 20 + 2) ÷
// (20 + 4 · 0.7692) = 1.3867.
#[test]
fn steps_and_doses_count_from_the_day_that_something_is_known() {
    let found = found(
        "a@form 6 | a@form 6 | a@flow 6 | a@flow 6",
        &[[Some(0), Some(1), Some(1)], [None, Some(1), Some(2)], [Some(2); 3], [None; 3]],
    );
    let counted = |reached: &ReachedSoFar| (reached.week, reached.had, reached.of);
    assert_eq!(found.all.iter().map(counted).collect::<Vec<_>>(), [(1, 1, 3), (2, 2, 3)]);
    assert_eq!((found.squads, found.players), (1, 4));
    let rate = found.skills[0].rate.unwrap();
    assert_eq!(rate.moved_on, 2);
    assert!((rate.exposures - 4.0 / 1.3).abs() < 1e-9 && (rate.rate - 1.386_67).abs() < 1e-4, "{rate:?}");
}

// What was run of a stage that a player had already adds nothing; what a later session will bring does not count yet.
#[rstest]
#[case::form_again("a@form 6 | a@form 6 | a@form 6 | a@flow 6", 0.0)]
#[case::one_down_counts_for_the_own_stage("a@flow 6 | a@form 6 | a@scan 6 | ", 1.0)]
#[case::ahead(" |  |  | a@flow 6", 0.0)]
fn only_what_was_run_at_the_players_stage_or_beyond_counts(#[case] run: &str, #[case] doses: f64) {
    let rate = found(run, &[[None, Some(1), Some(1)]]).skills[0].rate;
    assert!((rate.map_or(0.0, |rate| rate.exposures) - doses / 1.3).abs() < 1e-9, "{rate:?}");
}

#[test]
fn nothing_known_says_nothing() {
    let found = found("a@form 6 | a@form 6 | a@flow 6 | ", &[[None; 3], [None; 3]]);
    assert_eq!((found.all, found.skills), (vec![], vec![]));
}

#[test]
fn who_falls_back_takes_no_step_back_from_the_rate() {
    let found = found("a@flow 6 | a@flow 6 | a@flow 6 | ", &[[Some(1), Some(1), Some(0)]]);
    assert_eq!(found.skills[0].rate.unwrap().moved_on, 0);
}

#[test]
fn what_squads_show_by_another_plan_tells_of_rates_alone() {
    let run = "a@form 6 | a@form 6 | a@flow 6 | ";
    let (this, other) = (
        found_of(true, run, &[[Some(0), Some(1), Some(1)]]),
        found_of(false, run, &[[Some(0), Some(1), Some(1)]]),
    );
    assert_eq!((other.squads, other.players, other.all.len(), other.skills[0].reached.len()), (0, 0, 0, 0));
    assert_eq!(other.skills[0].rate, this.skills[0].rate);
}

// The plan takes the squad to be at Flow: who is seen to have had nothing is taken to be there as well.
#[test]
fn nobody_begins_below_the_squad() {
    let problem = problem(&[("a", Some(Stage::Flow), Stage::Flow, &[])], &[20; 4]);
    let players = vec![BTreeMap::from([(called("a"), vec![Some(0), Some(0), Some(2)])])];
    let run = "a@form 6 | a@flow 6 | a@flow 6 | ";
    let (days, foreseen) = (days(&problem, TODAY), foreseen(&problem, run));
    let squad = Squad { by_this: true, days, run: plan(run), players, problem: problem.clone() };
    let rate = so_far(&problem, &[squad], &foreseen).skills[0].rate.unwrap();
    assert_eq!(rate.moved_on, 1);
    assert!((rate.exposures - 2.0 / 1.3).abs() < 1e-9, "Form adds nothing: {rate:?}");
}

// A thousand players with two steps each and a dose of 5 · 0.01 ÷ 6 ÷ 1.3 = 0.00641: (30 + 2000) ÷ (20 + 6.41) = 76.9.
#[test]
fn a_rate_that_may_not_be_assumed_is_not_proposed() {
    let mut problem = form_then_flow();
    problem.variants.iter_mut().for_each(|variant| variant.working = Share(0.01));
    let players = vec![BTreeMap::from([(called("a"), vec![Some(0), Some(2), Some(2)])]); 1000];
    let run = "a@form 5 |  |  | ";
    let (days, foreseen) = (days(&problem, TODAY), foreseen(&problem, run));
    let squad = Squad { by_this: true, days, run: plan(run), players, problem: problem.clone() };
    let rate = so_far(&problem, &[squad], &foreseen).skills[0].rate.unwrap();
    assert_eq!((rate.rate, rate.moved_on), (20.0, 2000));
    let taken = Assumptions { rate: rate.rate, ..Assumptions::default() };
    assert_eq!(taken.faults(), []);
}

// Of a, three players are known; of b, one; of c nothing can be shown. Foreseen of what is known: (3 · a + 1 · b) ÷ 4.
#[test]
fn what_is_foreseen_is_that_of_the_same_goals_and_players() {
    let skills =
        [("a", None, Stage::Form, &[][..]), ("b", None, Stage::Flow, &[]), ("c", None, Stage::Form, &[])];
    let problem = problem(&skills, &[20; 4]);
    let run = "a@form 6 | b@form 6 | b@flow 6 | c@form 6";
    let forecast = foreseen(&problem, run);
    let of = |skill: usize, week: usize| forecast.skills[skill].reached[week].share.0;
    let knows = |skill: &str| (called(skill), vec![None, Some(0), Some(1)]);
    let all = BTreeMap::from([knows("a"), knows("b")]);
    let one = BTreeMap::from([knows("a")]);
    let squad = Squad {
        by_this: true,
        days: days(&problem, TODAY),
        run: plan(run),
        players: vec![all, one.clone(), one],
        problem: problem.clone(),
    };
    let found = so_far(&problem, &[squad], &forecast);
    for (week, reached) in found.all.iter().enumerate() {
        let expected = (3.0 * of(0, week) + of(1, week)) / 4.0;
        assert!((reached.foreseen.0 - expected).abs() < 1e-12, "{reached:?} and not {expected}");
    }
    assert!(found.all[1].foreseen.0 > found.all[0].foreseen.0 && found.all.len() == 2);
    assert_eq!(found.skills[0].reached[0].foreseen.0, of(0, 0));
}
