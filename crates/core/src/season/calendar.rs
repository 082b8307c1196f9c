//! The calendar: on which sessions?

use jiff::ToSpan;
use jiff::civil::{Date, Weekday};

/// One session of a curriculum.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct SessionDay {
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// The day.
    pub date: Date,
}

/// The last day of some weeks that begin on a day.
///
/// ```
/// use jiff::civil::date;
/// use jogo_core::season::calendar::last_day;
/// assert_eq!(last_day(date(2031, 9, 3), 2), date(2031, 9, 16));
/// ```
pub fn last_day(start: Date, weeks: u32) -> Date {
    start.saturating_add((i64::from(weeks) * 7 - 1).days())
}

/// The sessions of a curriculum: in each of its weeks, counted from the start, the given weekdays in their order.
///
/// ```
/// use jiff::civil::{Weekday, date};
/// use jogo_core::season::calendar::session_days;
///
/// let all = session_days(date(2031, 9, 3), 2, &[Weekday::Monday, Weekday::Wednesday]);
/// // 3 September 2031 is a Wednesday: the first week runs from it to the Tuesday after.
/// let days: Vec<_> = all.iter().map(|e| (e.week, e.date.day())).collect();
/// assert_eq!(days, [(1, 3), (1, 8), (2, 10), (2, 15)]);
/// ```
///
/// Ends early if the dates leave the calendar (year 9999).
pub fn session_days(start: Date, weeks: u32, weekdays: &[Weekday]) -> Vec<SessionDay> {
    (0..weeks.saturating_mul(7))
        .map_while(|day| Some((day / 7 + 1, start.checked_add(i64::from(day).days()).ok()?)))
        .filter(|(_, date)| weekdays.contains(&date.weekday()))
        .map(|(week, date)| SessionDay { week, date })
        .collect()
}
