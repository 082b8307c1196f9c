//! No session takes place on a day off, and nobody has to think of it.

use jiff::civil::{Date, date};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Said};
use jogo_core::plan::{Remedy, check, solve};
use jogo_core::season::days_off::DaysOff;
use jogo_core::units::Minutes;
use rstest::{fixture, rstest};

use crate::demo;

#[fixture]
#[once]
fn published() -> Edition {
    demo::edition(demo::named(solve(&demo::problem(), 1, 6_000).unwrap().plan, 1 << 32))
}

fn day(edition: &Edition, session: usize) -> Date {
    edition.curriculum.session_days()[session].date
}

/// The days of some sessions, each on its own.
fn off(edition: &Edition, sessions: &[usize]) -> Vec<DaysOff> {
    let one = |session: &usize| {
        let day = day(edition, *session);
        DaysOff { name: "Hall closed".into(), first: day, last: day }
    };
    sessions.iter().map(one).collect()
}

const LONG_BEFORE: Date = date(2030, 1, 1);

#[rstest]
fn a_session_on_a_day_off_is_cancelled_and_what_is_needed_comes_in_others(published: &Edition) {
    let (own, nothing) = (TeamPlan::default(), Said::default());
    let own = own.with_days_off(published, &nothing, &off(published, &[3, 6]), LONG_BEFORE).unwrap();
    let laid = own.edition(published).unwrap();
    assert_eq!(own.upsets.keys().copied().collect::<Vec<_>>(), [3, 6]);
    assert!(own.upsets.values().all(|upset| upset.day_off && upset.left == Minutes(0)));
    assert!(laid.plan.sessions[3].is_empty() && laid.plan.sessions[6].is_empty());
    // Sessions keep their numbers and their days.
    assert_eq!(laid.curriculum.session_days(), published.curriculum.session_days());
    assert_eq!(laid.plan.sessions[..3], published.plan.sessions[..3]);
    assert_eq!(check(&laid.problem().unwrap(), &laid.plan), []);
    // Whoever asks again gets the same.
    let again = own.with_days_off(published, &nothing, &off(published, &[3, 6]), LONG_BEFORE).unwrap();
    assert_eq!(again, own);
}

#[rstest]
fn a_day_that_is_off_no_more_has_its_session_again(published: &Edition) {
    let nothing = Said::default();
    let own = TeamPlan::default()
        .with_days_off(published, &nothing, &off(published, &[3, 6]), LONG_BEFORE)
        .unwrap();
    let own = own.with_days_off(published, &nothing, &off(published, &[6]), LONG_BEFORE).unwrap();
    let laid = own.edition(published).unwrap();
    assert_eq!(own.upsets.keys().copied().collect::<Vec<_>>(), [6]);
    assert!(!laid.plan.sessions[3].is_empty(), "it is filled again");
    assert!(own.moved_tests.iter().all(|moved| moved.from == 6), "its tests are taken on their day again");
    assert_eq!(check(&laid.problem().unwrap(), &laid.plan), []);
}

#[rstest]
fn what_was_logged_and_what_lies_behind_stays(published: &Edition) {
    let logged = published.plan.sessions[2][0].id.unwrap();
    let said: Said = [((2, logged), (Outcome::Done, None))].into_iter().collect();
    let days = off(published, &[1, 2, 3, 4]);
    let own = TeamPlan::default().with_days_off(published, &said, &days, day(published, 4)).unwrap();
    assert_eq!(own.upsets.keys().copied().collect::<Vec<_>>(), [4]);
}

#[rstest]
fn what_a_coach_cancelled_stays_cancelled(published: &Edition) {
    let nothing = Said::default();
    let found = TeamPlan::default().remedies(published, &nothing, 3, Minutes(0)).unwrap();
    let skip = found.into_iter().find(|each| each.remedy == Remedy::Skip).unwrap();
    let own = TeamPlan::default().gone_on(3, Minutes(0), skip);
    let with = own.with_days_off(published, &nothing, &off(published, &[3]), LONG_BEFORE).unwrap();
    assert_eq!(with, own);
    assert_eq!(with.with_days_off(published, &nothing, &[], LONG_BEFORE).unwrap(), own);
}

#[rstest]
fn other_weekdays_have_other_days_off(published: &Edition) {
    let nothing = Said::default();
    let own =
        TeamPlan::default().with_days_off(published, &nothing, &off(published, &[3]), LONG_BEFORE).unwrap();
    assert!(!own.days_are_fixed(&nothing), "nobody has logged or cancelled anything");
    let mut season = published.curriculum.season();
    season.weekdays.iter_mut().for_each(|day| *day = *day % 7 + 1);
    let moved = own.settled(published, Some(season), None, &nothing, LONG_BEFORE).unwrap();
    assert_eq!(moved.upsets, [].into(), "the session is on another day now");
    assert!(!moved.edition(published).unwrap().plan.sessions[3].is_empty());
}
