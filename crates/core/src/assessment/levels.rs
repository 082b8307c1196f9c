//! Levels: how good is a result?
//!
//! ```
//! use jogo_core::assessment::levels::{Level, Thresholds};
//! use jogo_core::assessment::benchmarks::Better;
//!
//! let cuts = Thresholds { building: 4.0, secure: 7.0, stretching: 10.0 };
//! assert_eq!(cuts.level(7.0, Better::Higher), Level::Secure);
//! let weave = Thresholds { building: 16.0, secure: 13.0, stretching: 11.0 };
//! assert_eq!(weave.level(13.01, Better::Lower), Level::Building);
//! ```

use serde::{Deserialize, Serialize};
use statrs::distribution::{ContinuousCDF, Normal};

use crate::assessment::benchmarks::Better;
use crate::fact::told_by_word;

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

    /// Its word in codes: `secure`.
    pub fn word(self) -> &'static str {
        match self {
            Level::Starting => "starting",
            Level::Building => "building",
            Level::Secure => "secure",
            Level::Stretching => "stretching",
        }
    }

    /// How many of some results, counted by level, are Secure or better.
    ///
    /// ```
    /// use jogo_core::assessment::levels::Level;
    /// assert_eq!(Level::secure_or_better(&[5, 4, 2, 1]), 3);
    /// ```
    pub fn secure_or_better(counts: &[u32; 4]) -> u32 {
        counts[Level::Secure as usize..].iter().sum()
    }

    /// The part of them that is, 0 to 1; `None` without results.
    ///
    /// ```
    /// use jogo_core::assessment::levels::Level;
    /// assert_eq!(Level::share_secure(&[5, 4, 2, 1]), Some(0.25));
    /// assert_eq!(Level::share_secure(&[0; 4]), None);
    /// ```
    pub fn share_secure(counts: &[u32; 4]) -> Option<f64> {
        let all: u32 = counts.iter().sum();
        (all > 0).then(|| f64::from(Level::secure_or_better(counts)) / f64::from(all))
    }
}

told_by_word!(Level, "level");

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

/// A result that could as well have the level beside its own.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct NearTheLine {
    /// The level above the threshold that is near.
    pub higher: Level,
    /// How probable it is that the player has it.
    pub probability: f64,
}

/// A row of a table of results near a line.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct NearRow {
    /// From this value on…
    pub from: f64,
    /// …and below this one.
    pub until: f64,
    /// What is near.
    pub near: NearTheLine,
}

impl Thresholds {
    /// Where the lines may begin while nothing is known: a quarter, half and three quarters of the way from the worst
    /// value of a range to the best, where results are read (`step`), and never two on one value.
    ///
    /// ```
    /// use jogo_core::assessment::levels::Thresholds;
    /// use jogo_core::assessment::benchmarks::Better;
    /// let hits = Thresholds::spread(Better::Higher, (0.0, 10.0), 1.0);
    /// assert_eq!((hits.building, hits.secure, hits.stretching), (3.0, 5.0, 8.0));
    /// ```
    pub fn spread(better: Better, (least, most): (f64, f64), step: f64) -> Thresholds {
        let steps = ((most - least) / step).round();
        let half = (steps / 2.0).round();
        let at = |from_worst: f64| {
            let value = match better {
                Better::Higher => least + from_worst * step,
                Better::Lower => most - from_worst * step,
            };
            (value * 1e6).round() / 1e6
        };
        Thresholds {
            building: at((steps / 4.0).round().min(half - 1.0)),
            secure: at(half),
            stretching: at((steps * 0.75).round().max(half + 1.0)),
        }
    }

    /// The levels above Starting, each with the result where it begins.
    pub fn lines(&self) -> [(Level, f64); 3] {
        [(Level::Building, self.building), (Level::Secure, self.secure), (Level::Stretching, self.stretching)]
    }

    /// Whether a result is within one typical error of a threshold, the nearest of them, and how probable the higher
    /// level is: Φ((result − threshold) ÷ typical error), with the sign turned where less is better. The error is taken
    /// as normal.
    ///
    /// ```
    /// use jogo_core::assessment::levels::{Level, Thresholds};
    /// use jogo_core::assessment::benchmarks::Better;
    /// let cuts = Thresholds { building: 4.0, secure: 7.0, stretching: 10.0 };
    /// let near = cuts.near_the_line(7.0, Better::Higher, 0.8).unwrap();
    /// assert_eq!((near.higher, near.probability), (Level::Secure, 0.5));
    /// assert!(cuts.near_the_line(8.0, Better::Higher, 0.8).is_none());
    /// ```
    pub fn near_the_line(&self, result: f64, better: Better, typical_error: f64) -> Option<NearTheLine> {
        let ahead = |threshold: f64| match better {
            Better::Higher => result - threshold,
            Better::Lower => threshold - result,
        };
        let near = self.lines().map(|(level, threshold)| (level, ahead(threshold)));
        let (higher, by) = near.into_iter().min_by(|a, b| a.1.abs().total_cmp(&b.1.abs()))?;
        if typical_error <= 0.0 || by.abs() > typical_error {
            return None;
        }
        let normal = Normal::standard();
        Some(NearTheLine { higher, probability: normal.cdf(by / typical_error) })
    }

    /// The same as a plain table by rising value, for a device that only looks up: a value between `from` and `until`
    /// is near the line. Each zone is cut into slices no finer than results are read (`step`), each with the
    /// probability at its middle.
    pub fn near_table(&self, better: Better, step: f64, typical_error: f64) -> Vec<NearRow> {
        const SLICES: f64 = 16.0;
        if typical_error <= 0.0 {
            return Vec::new();
        }
        let slice = (2.0 * typical_error / SLICES / step).ceil().max(1.0) * step;
        let (low, high) = self.lines().iter().fold((f64::MAX, f64::MIN), |(low, high), (_, line)| {
            (low.min(line - typical_error), high.max(line + typical_error))
        });
        let first = (low / step).ceil() * step;
        let rows = (0..).map(|i| first + slice * f64::from(i)).take_while(|from| *from <= high + step / 2.0);
        let near = rows.filter_map(|from| {
            let middle = from + (slice - step) / 2.0;
            let near = self.near_the_line(middle, better, typical_error)?;
            Some(NearRow { from, until: from + slice, near })
        });
        near.collect()
    }

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

    /// The levels as a plain table by rising value, for a device that only looks up: the level of a value is that of
    /// the last row whose `from` it reaches. `step` is how finely results are read.
    pub fn table(&self, better: Better, step: f64) -> Vec<LevelFrom> {
        let mut starts = [self.building, self.secure, self.stretching];
        if better == Better::Lower {
            // A quicker time has the higher level up to and with the threshold: the next level down begins a step
            // above.
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
    use rstest::rstest;

    fn looked_up(table: &[LevelFrom], value: f64) -> Level {
        table.iter().rev().find(|row| row.from.is_none_or(|from| value >= from)).unwrap().level
    }

    // Φ from SciPy 1.10.
    #[rstest]
    #[case::half_an_error_above(Better::Higher, 7.5, 1.0, Some((Level::Secure, 0.691_462_46)))]
    #[case::a_little_below(Better::Higher, 9.7, 1.0, Some((Level::Stretching, 0.382_088_58)))]
    #[case::just_one_error(Better::Higher, 5.0, 1.0, Some((Level::Building, 0.841_344_75)))]
    #[case::further_away(Better::Higher, 5.5, 1.0, None)]
    #[case::no_error(Better::Higher, 7.0, 0.0, None)]
    #[case::quicker_is_better(Better::Lower, 17.0, 1.0, Some((Level::Secure, 0.691_462_46)))]
    fn a_result_near_a_threshold_says_so(
        #[case] better: Better,
        #[case] result: f64,
        #[case] typical_error: f64,
        #[case] says: Option<(Level, f64)>,
    ) {
        let thresholds = match better {
            Better::Higher => Thresholds { building: 4.0, secure: 7.0, stretching: 10.0 },
            Better::Lower => Thresholds { building: 22.0, secure: 17.5, stretching: 14.5 },
        };
        let near = thresholds.near_the_line(result, better, typical_error);
        assert_eq!(near.map(|near| near.higher), says.map(|(level, _)| level));
        if let (Some(near), Some((_, probability))) = (near, says) {
            assert!((near.probability - probability).abs() < 1e-6, "{near:?}");
        }
    }

    // By hand: of two values between 0 and 2 no quarter can be read, so the lines stand side by side.
    #[rstest]
    #[case::few_values(Better::Higher, (0.0, 2.0), 1.0, [0.0, 1.0, 2.0])]
    #[case::quicker_is_better(Better::Lower, (5.0, 45.0), 0.01, [35.0, 25.0, 15.0])]
    #[case::a_fifth_of_a_bounce(Better::Lower, (0.0, 5.0), 0.2, [3.8, 2.4, 1.2])]
    fn first_lines_are_spread_over_the_range(
        #[case] better: Better,
        #[case] range: (f64, f64),
        #[case] step: f64,
        #[case] lines: [f64; 3],
    ) {
        assert_eq!(Thresholds::spread(better, range, step).lines().map(|(_, line)| line), lines);
    }

    proptest! {
        #[test]
        fn first_lines_are_in_order_and_in_range(steps in 2_u32..400, least in 0_u8..20, lower: bool) {
            let better = if lower { Better::Lower } else { Better::Higher };
            let (least, step) = (f64::from(least), 0.1);
            let most = least + f64::from(steps) * step;
            let first = Thresholds::spread(better, (least, most), step);
            prop_assert!(first.in_order(better), "{:?}", first);
            prop_assert!(first.lines().iter().all(|(_, line)| (least - 1e-6..=most + 1e-6).contains(line)));
        }

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
        fn the_table_of_lines_says_what_the_rule_says(result in 0_u8..16, tenths in 5_u8..20) {
            let cuts = Thresholds { building: 4.0, secure: 7.0, stretching: 10.0 };
            let (result, error) = (f64::from(result), f64::from(tenths) / 10.0);
            let table = cuts.near_table(Better::Higher, 1.0, error);
            let row = table.iter().find(|row| row.from - 1e-9 <= result && result < row.until - 1e-9);
            prop_assert_eq!(row.map(|row| row.near), cuts.near_the_line(result, Better::Higher, error));
        }

        #[test]
        fn a_better_result_never_has_a_lower_level(one in 0.0f64..30.0, other in 0.0f64..30.0) {
            let cuts = Thresholds { building: 4.0, secure: 7.0, stretching: 10.0 };
            let (low, high) = (one.min(other), one.max(other));
            prop_assert!(cuts.level(low, Better::Higher) <= cuts.level(high, Better::Higher));
        }
    }
}
