//! The season: on which days?

pub mod calendar;
pub mod change;
pub mod days_off;
pub mod handover;
pub mod slots;
pub mod year;
pub mod year_sheet;

use jiff::ToSpan;
use jiff::civil::Date;
use serde::Serialize;

/// Whether weeks are over, running, or still to come.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum InTime {
    /// The last day is behind us.
    Over,
    /// Today is one of the days.
    Running,
    /// The first day is still to come.
    Coming,
}

impl InTime {
    /// Whether weeks that begin on a day are over, running or still to come today.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use jogo_core::season::InTime;
    ///
    /// let six_weeks = |today| InTime::of(date(2031, 1, 6), 6, today);
    /// assert_eq!(six_weeks(date(2031, 1, 5)), InTime::Coming);
    /// assert_eq!(six_weeks(date(2031, 1, 6)), InTime::Running);
    /// assert_eq!(six_weeks(date(2031, 2, 16)), InTime::Running); // the Sunday of the sixth week
    /// assert_eq!(six_weeks(date(2031, 2, 17)), InTime::Over);
    /// ```
    pub fn of(start: Date, weeks: u32, today: Date) -> InTime {
        if today < start {
            InTime::Coming
        } else if today < start.saturating_add(i64::from(weeks).weeks()) {
            InTime::Running
        } else {
            InTime::Over
        }
    }
}
