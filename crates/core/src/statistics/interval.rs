//! Intervals: how sure is a figure from few?
//!
//! ```
//! use jogo_core::statistics::interval::{Interval, wilson};
//! let Interval { low, high } = wilson(7, 12).unwrap(); // seven of twelve children
//! assert!((low - 0.320).abs() < 5e-4 && (high - 0.807).abs() < 5e-4);
//! ```

use serde::Serialize;

/// From where to where.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Interval {
    /// Lower end.
    pub low: f64,
    /// Upper end.
    pub high: f64,
}

/// The quantile of the standard normal distribution at 97.5 %.
const Z95: f64 = 1.959_963_984_540_054;

/// The 95 % interval of a share of `so_many` among `all`; `None` if there is nobody.
///
/// > (p + z²/2n ± z √(p(1 − p)/n + z²/4n²)) ÷ (1 + z²/n), z = 1.96
///
/// Source: Wilson's score interval (1927).
pub fn wilson(so_many: u32, all: u32) -> Option<Interval> {
    if all == 0 || so_many > all {
        return None;
    }
    let n = f64::from(all);
    let (p, z2) = (f64::from(so_many) / n, Z95 * Z95);
    let middle = (p + z2 / (2.0 * n)) / (1.0 + z2 / n);
    let half = Z95 / (1.0 + z2 / n) * (p * (1.0 - p) / n + z2 / (4.0 * n * n)).sqrt();
    Some(Interval { low: (middle - half).max(0.0), high: (middle + half).min(1.0) })
}

#[cfg(test)]
mod tests {
    use super::*;
    use rstest::rstest;

    // Worked out with NumPy 1.24 and SciPy 1.10 from the formula.
    #[rstest]
    #[case::none_of_ten(0, 10, 0.0, 0.277_532_80)]
    #[case::all_of_ten(10, 10, 0.722_467_20, 1.0)]
    #[case::seven_of_twelve(7, 12, 0.319_511_31, 0.806_739_69)]
    #[case::one_of_one(1, 1, 0.206_549_31, 1.0)]
    fn a_share_has_its_interval(#[case] k: u32, #[case] n: u32, #[case] low: f64, #[case] high: f64) {
        let interval = wilson(k, n).unwrap();
        assert!((interval.low - low).abs() < 1e-6 && (interval.high - high).abs() < 1e-6, "{interval:?}");
    }

    #[test]
    fn nobody_has_no_share() {
        assert_eq!(wilson(0, 0), None);
    }
}
