//! Days off: breaks, public holidays, a hall that is closed.
//!
//! They are said once, for the whole academy, for one club or for one team. A curriculum begins with those of the
//! academy; a team has no session on any that concerns it.

use jiff::civil::Date;
use serde::{Deserialize, Serialize};
use uuid::Uuid;

use crate::fact::facts;
use crate::input::{InputError, What, short_text};
use crate::plan::curriculum::Season;
use crate::season::calendar::{SessionDay, session_days};

facts! {
    /// What is wrong with days of a season.
    pub enum DaysFault {
        EndsBefore = "days-end-before" { first: Date, last: Date },
        TooLong = "days-too-long" { most: i32 },
    }
}

/// Whom days off concern.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub enum Whose {
    /// Everybody.
    Academy,
    /// All teams of a club.
    Club {
        /// Which.
        club: Uuid,
    },
    /// One team.
    Team {
        /// Which.
        team: Uuid,
    },
}

/// Days without a session, one after the other.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct DaysOff {
    /// As people say it: "Winter break", "Hall closed".
    pub name: String,
    /// The first day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub first: Date,
    /// The last day, which may be the first.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub last: Date,
}

impl DaysOff {
    /// The most days at once.
    pub const LONGEST: i32 = 140;

    /// Whether a day is one of them.
    pub fn has(&self, day: Date) -> bool {
        (self.first..=self.last).contains(&day)
    }

    /// Every fault, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let name = short_text(&self.name, 40, What::Name).err();
        let mut faults: Vec<InputError> =
            name.map(|fault| InputError::at("/name", fault)).into_iter().collect();
        faults.extend(in_order(self.first, self.last, DaysOff::LONGEST));
        faults
    }
}

/// What is wrong with a first and a last day that lie at most `most` days apart, both counted.
pub(super) fn in_order(first: Date, last: Date, most: i32) -> Option<InputError> {
    let fault = match (last - first).get_days() {
        ..0 => DaysFault::EndsBefore { first, last },
        days if days >= most => DaysFault::TooLong { most },
        _ => return None,
    };
    Some(InputError::at("/last", fault))
}

impl Season {
    /// The same without sessions on days off: each such day on which there would be one is named.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use jogo_core::plan::curriculum::Season;
    /// use jogo_core::season::days_off::DaysOff;
    /// let (start, holidays, days_off) = (date(2031, 1, 6), vec![], vec![]);
    /// let season = Season { start, weeks: 3, weekdays: vec![1, 4], holidays, days_off };
    /// let (first, last) = (date(2031, 1, 13), date(2031, 1, 15)); // a Monday to a Wednesday
    /// let closed = DaysOff { name: "Hall closed".into(), first, last };
    /// assert_eq!(season.without(&[closed]).days_off, [first]);
    /// ```
    pub fn without(&self, off: &[DaysOff]) -> Season {
        let mut season = self.clone();
        let is_off = |day: &SessionDay| off.iter().any(|each| each.has(day.date));
        season.days_off.extend(self.all_days().filter(is_off).map(|day| day.date));
        season.days_off.sort_unstable();
        season.days_off.dedup();
        season
    }

    /// Every day on one of its weekdays, whether or not there is a session.
    fn all_days(&self) -> impl Iterator<Item = SessionDay> {
        let weekday = |day: &i8| jiff::civil::Weekday::from_monday_one_offset(*day).ok();
        let weekdays: Vec<_> = self.weekdays.iter().filter_map(weekday).collect();
        session_days(self.start, self.weeks.min(20), &weekdays).into_iter()
    }
}
