//! Seasons: when does a curriculum run, and what becomes of it when that changes?

use std::collections::BTreeMap;

use jiff::civil::{Date, Weekday};
use serde::{Deserialize, Serialize};

use super::Curriculum;
use crate::ground::fit::Ground;
use crate::input::InputError;
use crate::plan::{Approach, Plan};
use crate::season::calendar::SessionDay;
use crate::units::Minutes;

/// When a curriculum runs.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Season {
    /// First day of the first week.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub start: Date,
    /// How many weeks, 1 to 20.
    pub weeks: u32,
    /// Weekdays with a session, Monday 1 to Sunday 7.
    pub weekdays: Vec<i8>,
    /// Weeks without sessions, from 1.
    #[serde(default)]
    pub holidays: Vec<u32>,
    /// Single days without a session, in order; those outside of the weeks say nothing.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    #[cfg_attr(feature = "openapi", schema(value_type = Vec<String>, format = Date))]
    pub days_off: Vec<Date>,
}

impl Curriculum {
    /// When it runs.
    pub fn season(&self) -> Season {
        Season {
            start: self.start,
            weeks: self.weeks,
            weekdays: self.weekdays.clone(),
            holidays: self.holidays.clone(),
            days_off: self.days_off.clone(),
        }
    }

    fn runs_in(&mut self, season: &Season) {
        let Season { start, weeks, weekdays, holidays, days_off } = season.clone();
        let days_off = days_off.into_iter().filter(|day| season.weeks_have(*day)).collect();
        (self.start, self.weeks) = (start, weeks);
        (self.weekdays, self.holidays, self.days_off) = (weekdays, holidays, days_off);
        self.themes.retain(|week, _| *week <= weeks);
    }

    /// The same wishes and plan in another season. If the start stays, sessions stay on their days, and those whose
    /// day falls away go with their blocks and locks, while their tests are taken in the next session with room for
    /// them; where as many weekdays are given as before, each session of a week goes to the new day of its place in the
    /// week. If the start moves, they keep their order. New sessions are as long as most of the others, and empty.
    ///
    /// Errs with the faults of the season.
    pub fn in_season(&self, plan: &Plan, season: &Season) -> Result<(Curriculum, Plan), Vec<InputError>> {
        let mut moved = self.clone();
        moved.runs_in(season);
        let faults = moved.season_faults();
        if !faults.is_empty() {
            return Err(faults);
        }
        let (old, new) = (self.session_days(), moved.session_days());
        let stays = self.start == season.start;
        let other_days = self.weekdays.len() == season.weekdays.len() && self.days() != moved.days();
        // Where each new session stood before.
        let from: Vec<Option<usize>> = new
            .iter()
            .enumerate()
            .map(|(at, session_day)| match stays {
                true if other_days => self.same_place_in_week(&moved, new[at], &old),
                true => old.iter().position(|before| before.date == session_day.date),
                false => (at < old.len()).then_some(at),
            })
            .collect();
        let to = |before: usize| from.iter().position(|at| *at == Some(before));
        let usual = self.usual_minutes();
        let minutes = |at: &Option<usize>| at.and_then(|at| self.minutes.get(at).copied()).unwrap_or(usual);
        moved.minutes = from.iter().map(minutes).collect();
        moved.locks = self
            .locks
            .iter()
            .filter_map(|lock| {
                Some(crate::plan::Lock { session: to(lock.session)?, block: lock.block.clone() })
            })
            .collect();
        let in_session = |test: &super::Sitting, session| super::Sitting { session, ..test.clone() };
        let stay = self.tests.iter().filter_map(|test| Some(in_session(test, to(test.session)?)));
        moved.tests = stay.collect();
        // Those whose session has gone come where there is room beside the others.
        for test in self.tests.iter().filter(|test| stays && to(test.session).is_none()) {
            let later = |at: &usize| old.get(test.session).is_some_and(|gone| new[*at].date > gone.date);
            let next = (0..new.len()).filter(later).find(|at| moved.has_room(*at, test));
            moved.tests.extend(next.map(|session| in_session(test, session)));
        }
        let blocks =
            |at: &Option<usize>| at.and_then(|at| plan.sessions.get(at).cloned()).unwrap_or_default();
        Ok((moved, Plan { sessions: from.iter().map(blocks).collect() }))
    }

    /// The same wishes for a new season, with nothing planned: no locks and no tests yet, every session as long as
    /// the next.
    ///
    /// Errs with the faults of what is new.
    pub fn copied(
        &self,
        name: String,
        season: &Season,
        session: Minutes,
        approach: Approach,
        ground: Ground,
    ) -> Result<Curriculum, Vec<InputError>> {
        let (locks, tests, themes) = (Vec::new(), Vec::new(), BTreeMap::new());
        let bare = Curriculum { locks, tests, themes, ..self.clone() };
        let (mut new, _) = bare.in_season(&Plan::default(), season)?;
        new.minutes = vec![session; new.minutes.len()];
        (new.name, new.approach, new.ground) = (name, approach, ground);
        let faults = new.faults();
        if faults.is_empty() { Ok(new) } else { Err(faults) }
    }

    /// Whether a test can be taken in a session beside those that are taken there.
    fn has_room(&self, session: usize, test: &super::Sitting) -> bool {
        let there = || self.tests.iter().filter(|other| other.session == session);
        let taken = there().fold(test.minutes.0, |taken, other| taken.saturating_add(other.minutes.0));
        taken <= self.minutes[session].0 && there().all(|other| other.test != test.test)
    }

    /// The session that had the same place in the same week before the days were others.
    fn same_place_in_week(
        &self,
        moved: &Curriculum,
        session: SessionDay,
        before: &[SessionDay],
    ) -> Option<usize> {
        let place = moved.week_from_start().iter().position(|day| *day == session.date.weekday())?;
        let weekday = *self.week_from_start().get(place)?;
        before.iter().position(|other| other.week == session.week && other.date.weekday() == weekday)
    }

    /// Its weekdays in the order of its weeks, which begin with the weekday of the start.
    fn week_from_start(&self) -> Vec<Weekday> {
        let mut days = self.days();
        days.sort_by_key(|day| self.start.weekday().until(*day));
        days
    }

    /// Minutes of most sessions; the longest of those that are equally many.
    fn usual_minutes(&self) -> Minutes {
        let mut count: BTreeMap<Minutes, usize> = BTreeMap::new();
        for minutes in &self.minutes {
            *count.entry(*minutes).or_default() += 1;
        }
        count
            .into_iter()
            .max_by_key(|(minutes, n)| (*n, *minutes))
            .map_or(Minutes(40), |(minutes, _)| minutes)
    }
}

impl Season {
    /// As many days off as there are days in the longest season.
    pub const MOST_DAYS_OFF: usize = 140;

    /// Whether a day lies within its weeks.
    pub fn weeks_have(&self, day: Date) -> bool {
        let days = i64::from((day - self.start).get_days());
        (0..7 * i64::from(self.weeks)).contains(&days)
    }
}

#[cfg(test)]
mod tests {
    use super::super::tests::sound;
    use super::*;
    use crate::ids::called;
    use crate::plan::{Block, Lock};
    use jiff::civil::date;
    use rstest::rstest;

    /// Sessions of 30, 40, 40 and 50 min on 1, 4, 8 and 11 September, each with a block of its own; the third is
    /// locked and the last has a test.
    fn four() -> (Curriculum, Plan) {
        let mut wishes = sound();
        wishes.minutes = [30, 40, 40, 50].map(Minutes).to_vec();
        let block = |at: usize| Block::of(&called(&format!("drill-{at}@form")), Minutes(5));
        wishes.locks = vec![Lock { session: 2, block: block(2) }];
        wishes.tests = vec![super::super::Sitting {
            session: 3,
            test: called("four-cuts"),
            minutes: Minutes(10),
            pinned: true,
            shows: Vec::new(),
        }];
        (wishes, Plan { sessions: (0..4).map(|at| vec![block(at)]).collect() })
    }

    fn blocks(plan: &Plan) -> Vec<&str> {
        plan.sessions.iter().map(|s| s.first().map_or("", |b| &b.variant.drill[6..7])).collect()
    }

    #[rstest]
    #[case::a_day_more(
        |s: &mut Season| s.weekdays = vec![1, 3, 4], &[30, 40, 40, 40, 40, 50], &["0", "", "1", "2", "", "3"], &[3],
        &[5],
    )]
    #[case::other_days(
        |s: &mut Season| s.weekdays = vec![2, 6], &[30, 40, 40, 50], &["0", "1", "2", "3"], &[2], &[3],
    )]
    #[case::other_days_in_the_same_number_of_which_one_stays(
        |s: &mut Season| s.weekdays = vec![4, 6], &[30, 40, 40, 50], &["0", "1", "2", "3"], &[2], &[3],
    )]
    #[case::a_holiday(|s: &mut Season| s.holidays = vec![1], &[40, 50], &["2", "3"], &[0], &[1])]
    #[case::the_locked_week_falls_away(|s: &mut Season| s.weeks = 1, &[30, 40], &["0", "1"], &[], &[])]
    #[case::another_season(
        |s: &mut Season| { s.start = date(2032, 1, 5); s.weekdays = vec![2, 5]; }, &[30, 40, 40, 50],
        &["0", "1", "2", "3"], &[2], &[3],
    )]
    fn what_was_planned_moves_along(
        #[case] change: fn(&mut Season),
        #[case] minutes: &[u32],
        #[case] laid: &[&str],
        #[case] locks: &[usize],
        #[case] tests: &[usize],
    ) {
        let (wishes, plan) = four();
        let mut season = wishes.season();
        change(&mut season);
        let (moved, plan) = wishes.in_season(&plan, &season).unwrap();
        assert_eq!(moved.minutes.iter().map(|m| m.0).collect::<Vec<_>>(), minutes);
        assert_eq!(blocks(&plan), laid);
        assert_eq!(moved.locks.iter().map(|l| l.session).collect::<Vec<_>>(), locks);
        assert_eq!(moved.tests.iter().map(|t| t.session).collect::<Vec<_>>(), tests);
        assert_eq!(moved.faults(), []);
    }

    #[rstest]
    #[case::a_day_without_a_session(&[], &[(0, 10), (3, 10)], &[(0, 10), (3, 10)])]
    #[case::the_next_has_room(&[0], &[(0, 10), (3, 10)], &[(2, 10), (0, 10)])]
    #[case::the_next_has_none_left(&[1], &[(1, 40), (2, 10)], &[(1, 10), (2, 40)])]
    #[case::none_has_room(&[1, 3], &[(1, 35), (2, 10)], &[(1, 10)])]
    #[case::there_is_no_next(&[3], &[(3, 10)], &[])]
    fn what_was_to_be_tested_on_a_day_off_is_tested_next(
        #[case] off: &[usize],
        #[case] before: &[(usize, u32)],
        #[case] after: &[(usize, u32)],
    ) {
        let (mut wishes, plan) = four();
        let days = wishes.session_days();
        let sitting = |(at, (session, minutes)): (usize, &(usize, u32))| super::super::Sitting {
            session: *session,
            minutes: Minutes(*minutes),
            test: called(["four-cuts", "gate-run"][at]),
            ..wishes.tests[0].clone()
        };
        wishes.tests = before.iter().enumerate().map(sitting).collect();
        let mut days_off: Vec<Date> = off.iter().map(|at| days[*at].date).collect();
        days_off.extend([date(2031, 9, 2), date(2032, 1, 1)]);
        let (moved, plan) = wishes.in_season(&plan, &Season { days_off, ..wishes.season() }).unwrap();
        assert_eq!(moved.tests.iter().map(|test| (test.session, test.minutes.0)).collect::<Vec<_>>(), after);
        assert_eq!(plan.sessions.len(), 4 - off.len());
        assert_eq!(moved.days_off.len(), off.len() + 1, "a day outside of the weeks says nothing");
        assert_eq!(moved.faults(), []);
    }

    #[test]
    fn other_days_of_a_week_with_a_day_off_keep_their_places() {
        let (wishes, plan) = four();
        // Tuesdays and Saturdays instead of Mondays and Thursdays; the first Tuesday is off.
        let season = Season { weekdays: vec![2, 6], days_off: vec![date(2031, 9, 2)], ..wishes.season() };
        let (moved, plan) = wishes.in_season(&plan, &season).unwrap();
        assert_eq!(blocks(&plan), ["1", "2", "3"]);
        assert_eq!(moved.session_days()[0].date, date(2031, 9, 6));
    }

    #[test]
    fn a_season_without_end_is_refused() {
        let (wishes, plan) = four();
        let season = Season { weeks: u32::MAX, ..wishes.season() };
        assert_eq!(wishes.in_season(&plan, &season).unwrap_err()[0].pointer, "/weeks");
    }
}
