//! Standards: from which day on do which thresholds hold?
//!
//! A result keeps the level of its day: the standard of that day is the latest one that had begun.
//!
//! ```
//! use jiff::civil::date;
//! use jogo_core::assessment::levels::Thresholds;
//! use jogo_core::assessment::standards::{Standard, on};
//!
//! let standard = |from, secure| Standard {
//!     test: "four-cuts".parse().unwrap(),
//!     band: "u8-u9".parse().unwrap(),
//!     from,
//!     thresholds: Thresholds { building: 3.0, secure, stretching: 12.0 },
//! };
//! let all = [standard(date(2030, 8, 1), 6.0), standard(date(2031, 8, 1), 7.0)];
//! assert_eq!(on(&all, date(2031, 7, 31)).unwrap().thresholds.secure, 6.0);
//! assert_eq!(on(&all, date(2031, 8, 1)).unwrap().thresholds.secure, 7.0);
//! assert!(on(&all, date(2030, 7, 31)).is_none());
//! ```

pub mod population;
pub mod ridge;
pub mod suggest;

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::assessment::levels::Thresholds;
use crate::ids::{BandId, TestId};

/// The thresholds of a test for a band, and the day from which they hold.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Standard {
    /// Which test.
    pub test: TestId,
    /// For which band.
    pub band: BandId,
    /// First day.
    pub from: Date,
    /// The thresholds.
    pub thresholds: Thresholds,
}

/// The standard that holds on a day, of those of one test and band.
pub fn on<'a>(standards: impl IntoIterator<Item = &'a Standard>, day: Date) -> Option<&'a Standard> {
    standards.into_iter().filter(|s| s.from <= day).max_by_key(|s| s.from)
}

/// How far ahead a standard may be set, in days.
const FARTHEST_AHEAD: i32 = 730;

/// Whether a standard that holds from `day` on may be set today. It may not begin in the past, since a result keeps the
/// level of its day, nor more than two years ahead.
///
/// ```
/// use jiff::civil::date;
/// use jogo_core::assessment::standards::may_hold_from;
/// assert!(may_hold_from(date(2031, 8, 1), date(2031, 8, 1)));
/// assert!(!may_hold_from(date(2031, 7, 31), date(2031, 8, 1)));
/// assert!(!may_hold_from(date(2034, 8, 1), date(2031, 8, 1)));
/// ```
pub fn may_hold_from(day: Date, today: Date) -> bool {
    (0..=FARTHEST_AHEAD).contains(&(day - today).get_days())
}
