//! Levels: how good is a result?
//!
//! ```
//! use jogo_core::levels::{Level, Thresholds};
//! use jogo_core::tests::Better;
//!
//! let cuts = Thresholds { building: 4.0, secure: 7.0, stretching: 10.0 };
//! assert_eq!(cuts.level(7.0, Better::Higher), Level::Secure);
//! let weave = Thresholds { building: 16.0, secure: 13.0, stretching: 11.0 };
//! assert_eq!(weave.level(13.01, Better::Lower), Level::Building);
//! ```

use serde::{Deserialize, Serialize};

use crate::tests::Better;

/// How good a result is for its band.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Level {
    /// Begins with it.
    Starting,
    /// Has parts of it.
    Building,
    /// Has it.
    Secure,
    /// Has more than the band asks for.
    Stretching,
}

impl Level {
    /// All levels, from the first to the last.
    pub const ALL: [Level; 4] = [Level::Starting, Level::Building, Level::Secure, Level::Stretching];
}

/// From which result on the levels begin; Starting needs none.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Thresholds {
    /// Building begins here.
    pub building: f64,
    /// Secure begins here.
    pub secure: f64,
    /// Stretching begins here.
    pub stretching: f64,
}

/// A row of a level table: from this value up, until the next row's.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LevelFrom {
    /// From this value on; the first row has none and holds from below.
    pub from: Option<f64>,
    /// The level.
    pub level: Level,
}

impl Thresholds {
    /// Whether each threshold is better than the one before.
    pub fn in_order(&self, better: Better) -> bool {
        match better {
            Better::Higher => self.building < self.secure && self.secure < self.stretching,
            Better::Lower => self.building > self.secure && self.secure > self.stretching,
        }
    }

    /// The level of a result. A result on a threshold has the higher level.
    pub fn level(&self, result: f64, better: Better) -> Level {
        let reaches = |threshold: f64| match better {
            Better::Higher => result >= threshold,
            Better::Lower => result <= threshold,
        };
        if reaches(self.stretching) {
            Level::Stretching
        } else if reaches(self.secure) {
            Level::Secure
        } else if reaches(self.building) {
            Level::Building
        } else {
            Level::Starting
        }
    }

    /// The levels as a plain table by rising value, for a device that only looks up: the level of a value is that of the
    /// last row whose `from` it reaches. `step` is how finely results are read.
    pub fn table(&self, better: Better, step: f64) -> Vec<LevelFrom> {
        let mut starts = [self.building, self.secure, self.stretching];
        if better == Better::Lower {
            // A quicker time has the higher level up to and with the threshold: the next level down begins a step above.
            starts =
                [self.stretching, self.secure, self.building].map(|t| ((t + step) / step).round() * step);
        }
        let begin = LevelFrom { from: None, level: self.level(f64::NEG_INFINITY, better) };
        let rows = starts.map(|from| LevelFrom { from: Some(from), level: self.level(from, better) });
        std::iter::once(begin).chain(rows).collect()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    fn looked_up(table: &[LevelFrom], value: f64) -> Level {
        table.iter().rev().find(|row| row.from.is_none_or(|from| value >= from)).unwrap().level
    }

    proptest! {
        #[test]
        fn the_table_says_what_the_rule_says(
            a in 1i32..100, b in 1i32..100, c in 1i32..100, hundredths in 0i32..40_000, lower: bool
        ) {
            let better = if lower { Better::Lower } else { Better::Higher };
            let sign = if lower { -1.0 } else { 1.0 };
            let building = 150.0 + sign * f64::from(a);
            let secure = building + sign * f64::from(b);
            let thresholds = Thresholds { building, secure, stretching: secure + sign * f64::from(c) };
            prop_assert!(thresholds.in_order(better));
            let value = f64::from(hundredths) / 100.0;
            prop_assert_eq!(looked_up(&thresholds.table(better, 0.01), value), thresholds.level(value, better));
        }

        #[test]
        fn a_better_result_never_has_a_lower_level(one in 0.0f64..30.0, other in 0.0f64..30.0) {
            let cuts = Thresholds { building: 4.0, secure: 7.0, stretching: 10.0 };
            let (low, high) = (one.min(other), one.max(other));
            prop_assert!(cuts.level(low, Better::Higher) <= cuts.level(high, Better::Higher));
        }
    }
}
