//! Repeatability: how much of a difference is the test itself?
//!
//! From pairs of values that the same player showed with the same foot while nothing was learned in between, dᵢ being
//! second minus first:
//!
//! | figure | formula |
//! |---|---|
//! | typical error | TE = SD(d) ÷ √2, with n − 1 in the SD |
//! | smallest real difference | MDC95 = 1.96 · √2 · TE |
//! | bias | mean(d) ± t(0.975, n − 1) · SD(d) ÷ √n |
//! | coefficient of variation | 100 · TE ÷ mean of all values, in % |
//! | agreement | ICC(2,1): two-way random effects, absolute agreement, one trial, with its F-based 95 % interval |
//!
//! Sources: Hopkins (2000) for the typical error, Weir (2005) for the smallest real difference, Shrout and Fleiss
//! (1979) and McGraw and Wong (1996) for the ICC and its interval. Fewer than ten pairs are too few to say.
//!
//! ```
//! use jogo_core::assessment::reliability::{Repeatability, TooFew};
//! assert_eq!(Repeatability::of(&[(7.0, 8.0), (5.0, 5.0)]), Err(TooFew { pairs: 2 }));
//! let twice: Vec<(f64, f64)> = (0..12).map(|i| (f64::from(i), f64::from(i + i % 2))).collect();
//! let known = Repeatability::of(&twice).unwrap();
//! assert!(known.is_real(2.0) && !known.is_real(-1.0));
//! ```

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::Serialize;
use statrs::distribution::{ContinuousCDF, FisherSnedecor, StudentsT};

use crate::assessment::benchmarks::Test;
use crate::assessment::results::Trial;
use crate::statistics::interval::Interval;
use crate::technique::skill::Side;

/// With fewer pairs nothing is said.
pub const FEWEST_PAIRS: usize = 10;
/// A retest this many days later still counts as the same state of a player.
pub const RETEST_DAYS: i32 = 14;

/// How well a test repeats itself.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Repeatability {
    /// Pairs behind it.
    pub pairs: u32,
    /// The error of one value, in the unit of the test.
    pub typical_error: f64,
    /// A difference must be larger than this to be called real (95 %).
    pub smallest_real: f64,
    /// By how much the second value is higher on the mean.
    pub bias: f64,
    /// Its 95 % interval.
    pub bias_interval: Interval,
    /// Typical error in % of the mean; nothing where the mean is not above zero.
    pub variation: Option<f64>,
    /// Agreement; nothing where all values are the same.
    pub agreement: Option<Agreement>,
}

/// ICC(2,1) with its 95 % interval.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Agreement {
    /// At most 1: both values always the same, and players differ.
    pub icc: f64,
    /// 95 %.
    pub interval: Interval,
}

/// Too few pairs to say anything.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct TooFew {
    /// As many as there are.
    pub pairs: usize,
}

impl Repeatability {
    /// The figures of pairs (first, second).
    pub fn of(pairs: &[(f64, f64)]) -> Result<Repeatability, TooFew> {
        if pairs.len() < FEWEST_PAIRS {
            return Err(TooFew { pairs: pairs.len() });
        }
        let n = pairs.len() as f64;
        let bias = pairs.iter().map(|(first, second)| second - first).sum::<f64>() / n;
        let squares = pairs.iter().map(|(first, second)| (second - first - bias).powi(2)).sum::<f64>();
        let deviation = (squares / (n - 1.0)).sqrt();
        let typical_error = deviation / 2.0_f64.sqrt();
        let half = student_975(n - 1.0) * deviation / n.sqrt();
        let mean = pairs.iter().map(|(first, second)| first + second).sum::<f64>() / (2.0 * n);
        Ok(Repeatability {
            pairs: pairs.len() as u32,
            typical_error,
            smallest_real: 1.96 * 2.0_f64.sqrt() * typical_error,
            bias,
            bias_interval: Interval { low: bias - half, high: bias + half },
            variation: (mean > 0.0).then(|| 100.0 * typical_error / mean),
            agreement: Agreement::of(pairs),
        })
    }

    /// Whether a change, or a difference between feet, is larger than the noise of the test.
    pub fn is_real(&self, change: f64) -> bool {
        change.abs() > self.smallest_real
    }
}

impl Agreement {
    /// From a two-way analysis of variance of n players × 2 values.
    fn of(pairs: &[(f64, f64)]) -> Option<Agreement> {
        let (n, k) = (pairs.len() as f64, 2.0);
        let mean = pairs.iter().map(|(a, b)| a + b).sum::<f64>() / (n * k);
        let of_first = pairs.iter().map(|(a, _)| a).sum::<f64>() / n;
        let of_second = pairs.iter().map(|(_, b)| b).sum::<f64>() / n;
        let players = k * pairs.iter().map(|(a, b)| ((a + b) / k - mean).powi(2)).sum::<f64>() / (n - 1.0);
        let rounds = n * ((of_first - mean).powi(2) + (of_second - mean).powi(2)) / (k - 1.0);
        let rest = |a: f64, b: f64| {
            let player = (a + b) / k;
            (a - player - of_first + mean).powi(2) + (b - player - of_second + mean).powi(2)
        };
        let error = pairs.iter().map(|(a, b)| rest(*a, *b)).sum::<f64>() / ((n - 1.0) * (k - 1.0));
        // What remains of equal numbers after rounding is nothing.
        let tiny = 1e-12 * (1.0 + mean * mean);
        let (players, rounds, error) = (zeroed(players, tiny), zeroed(rounds, tiny), zeroed(error, tiny));
        let whole = players + (k - 1.0) * error + k * (rounds - error) / n;
        if whole <= 0.0 {
            return None;
        }
        let icc = (players - error) / whole;
        if error == 0.0 && rounds == 0.0 {
            return Some(Agreement { icc, interval: Interval { low: 1.0, high: 1.0 } });
        }
        let a = k * icc / (n * (1.0 - icc));
        let b = 1.0 + k * icc * (n - 1.0) / (n * (1.0 - icc));
        let freedom = (a * rounds + b * error).powi(2)
            / ((a * rounds).powi(2) / (k - 1.0) + (b * error).powi(2) / ((n - 1.0) * (k - 1.0)));
        let lower_f = fisher_975(n - 1.0, freedom);
        let upper_f = fisher_975(freedom, n - 1.0);
        let noise = k * rounds + (k * n - k - n) * error;
        let low = n * (players - lower_f * error) / (lower_f * noise + n * players);
        let high = n * (upper_f * players - error) / (noise + n * upper_f * players);
        Some(Agreement { icc, interval: Interval { low, high } })
    }
}

fn zeroed(value: f64, tiny: f64) -> f64 {
    if value < tiny { 0.0 } else { value }
}

fn student_975(freedom: f64) -> f64 {
    StudentsT::new(0.0, 1.0, freedom).map_or(f64::NAN, |t| t.inverse_cdf(0.975))
}

fn fisher_975(above: f64, below: f64) -> f64 {
    FisherSnedecor::new(above, below).map_or(f64::NAN, |f| f.inverse_cdf(0.975))
}

/// The pairs that trials of one test give, one for each player and foot: the first two trials of the latest date that
/// has two; else the latest two results at most [`RETEST_DAYS`] apart. `trials` stand in the order in which they were
/// taken.
pub fn pairs<P: Ord + Copy>(test: &Test, trials: &[Trial<P>]) -> Vec<(f64, f64)> {
    let mut of_side: BTreeMap<(P, Option<Side>), BTreeMap<Date, Vec<f64>>> = BTreeMap::new();
    for trial in trials.iter().filter(|trial| trial.test == test.id) {
        let dates = of_side.entry((trial.player, trial.side)).or_default();
        dates.entry(trial.taken_on).or_default().push(trial.value);
    }
    of_side.values().filter_map(|dates| pair(test, dates)).collect()
}

fn pair(test: &Test, dates: &BTreeMap<Date, Vec<f64>>) -> Option<(f64, f64)> {
    let twice = dates.values().rev().find_map(|values| Some((*values.first()?, *values.get(1)?)));
    twice.or_else(|| {
        let results: Vec<(Date, f64)> =
            dates.iter().filter_map(|(date, values)| Some((*date, test.result(values)?))).collect();
        let near = |pair: &&[(Date, f64)]| (pair[1].0 - pair[0].0).get_days() <= RETEST_DAYS;
        results.windows(2).rev().find(near).map(|pair| (pair[0].1, pair[1].1))
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::assessment::benchmarks::{Protocol, plain};
    use crate::ids::called;
    use jiff::civil::date;
    use rstest::rstest;

    /// Weave times of twelve players, two rounds.
    const TIMES: [(f64, f64); 12] = [
        (17.42, 16.98),
        (15.30, 15.61),
        (19.04, 18.22),
        (14.88, 14.95),
        (21.37, 20.10),
        (16.05, 16.40),
        (18.76, 18.31),
        (13.92, 14.20),
        (17.01, 16.55),
        (20.48, 19.77),
        (15.77, 15.32),
        (16.64, 17.03),
    ];
    /// Chains of ten players, with ties.
    const CHAINS: [(f64, f64); 10] = [
        (5.0, 7.0),
        (6.0, 6.0),
        (9.0, 8.0),
        (4.0, 4.0),
        (7.0, 7.0),
        (10.0, 12.0),
        (8.0, 8.0),
        (6.0, 5.0),
        (7.0, 9.0),
        (5.0, 5.0),
    ];
    /// Everybody one better the second time.
    fn one_better() -> Vec<(f64, f64)> {
        CHAINS.iter().map(|(first, _)| (*first, first + 1.0)).collect()
    }

    // Worked out with NumPy 1.24 and SciPy 1.10 from the formulas of the module's head.
    #[rstest]
    #[case::times(&TIMES, [0.381_400_93, 1.057_189_43, -0.266_666_67, -0.609_373_87, 0.076_040_54, 2.232_155_25],
        [0.961_219_26, 0.865_774_15, 0.988_823_59])]
    #[case::ties(&CHAINS, [0.829_993_31, 2.300_624_07, 0.4, -0.439_677_20, 1.239_677_20, 12.028_888_50],
        [0.844_827_59, 0.518_916_63, 0.958_403_21])]
    #[case::no_spread_of_differences(
        &one_better(), [0.0, 0.0, 1.0, 1.0, 1.0, 0.0], [0.877_049_18, 0.007_350_78, 0.980_925_58],
    )]
    fn figures_stand_against_an_independent_working(
        #[case] pairs: &[(f64, f64)],
        #[case] plain: [f64; 6],
        #[case] icc: [f64; 3],
    ) {
        let r = Repeatability::of(pairs).unwrap();
        let Interval { low, high } = r.bias_interval;
        let got = [r.typical_error, r.smallest_real, r.bias, low, high, r.variation.unwrap()];
        let agreement = r.agreement.unwrap();
        let got_icc = [agreement.icc, agreement.interval.low, agreement.interval.high];
        for (got, want) in got.iter().chain(&got_icc).zip(plain.iter().chain(&icc)) {
            assert!((got - want).abs() < 1e-6, "{got} for {want} in {r:?}");
        }
    }

    #[rstest]
    #[case::all_the_same([(7.0, 7.0); 10], None)]
    #[case::each_twice_the_same(std::array::from_fn(|i| (i as f64, i as f64)), Some(1.0))]
    #[case::all_zero([(0.0, 0.0); 10], None)]
    fn without_variance_nothing_is_made_up(#[case] pairs: [(f64, f64); 10], #[case] icc: Option<f64>) {
        let r = Repeatability::of(&pairs).unwrap();
        assert_eq!((r.typical_error, r.bias), (0.0, 0.0));
        assert_eq!(r.agreement.map(|a| a.icc), icc);
    }

    #[rstest]
    #[case::nobody(0)]
    #[case::two_players(2)]
    #[case::nine_pairs(9)]
    fn few_pairs_say_nothing(#[case] pairs: usize) {
        assert_eq!(Repeatability::of(&CHAINS[..pairs]), Err(TooFew { pairs }));
    }

    #[test]
    fn a_player_gives_one_pair_for_each_foot() {
        let test = plain("weave", Protocol::Course { penalty_s: 1.0 }, true, 90.0);
        let trial = |player: u32, side, taken_on, value| Trial {
            player,
            test: called("weave"),
            side: Some(side),
            taken_on,
            value,
            marks: Vec::new(),
        };
        let trials = [
            // The latest date with two trials counts, and its first two.
            trial(1, Side::Left, date(2031, 1, 6), 20.0),
            trial(1, Side::Left, date(2031, 1, 6), 21.0),
            trial(1, Side::Left, date(2031, 2, 3), 18.0),
            trial(1, Side::Left, date(2031, 2, 3), 17.0),
            trial(1, Side::Left, date(2031, 2, 3), 16.0),
            // One trial only on two dates within two weeks.
            trial(1, Side::Right, date(2031, 1, 6), 15.0),
            trial(1, Side::Right, date(2031, 1, 20), 15.5),
            // Too long between.
            trial(2, Side::Left, date(2031, 1, 6), 15.0),
            trial(2, Side::Left, date(2031, 1, 21), 14.0),
            // One trial only.
            trial(3, Side::Left, date(2031, 1, 6), 15.0),
        ];
        assert_eq!(pairs(&test, &trials), [(18.0, 17.0), (15.0, 15.5)]);
    }
}
