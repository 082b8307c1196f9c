//! Setting a standard from results: where would thresholds lie, and whom would they move?
//!
//! - Quantiles are those of Hyndman and Fan's type 7: between the values at places ⌊h⌋ and ⌊h⌋ + 1 of the sorted
//!   results, h = (n − 1) p + 1. A percentile counts from the worst result up, so that 85 always asks for more than
//!   50.
//! - Each has a 95 % bootstrap interval: the middle 95 % of its values in 2,000 resamples, seeded.
//! - Thresholds never fall with age: neighbours that do are pooled into their mean, weighted by the number of results
//!   (pool adjacent violators; Ayer and others, 1955).

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;
use serde::{Deserialize, Serialize};

use crate::academy::band::CutOff;
use crate::academy::roster::BirthMonth;
use crate::assessment::benchmarks::{Better, Protocol, Test};
use crate::assessment::levels::{Level, Thresholds};
use crate::fact::facts;
use crate::ids::BandId;
use crate::input::InputError;
use crate::statistics::interval::Interval;

/// How many resamples.
pub const RESAMPLES: usize = 2_000;

/// At which percentiles of the results the levels begin.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Percentiles {
    /// Building.
    pub building: f64,
    /// Secure.
    pub secure: f64,
    /// Stretching.
    pub stretching: f64,
}

impl Default for Percentiles {
    /// Assumptions.
    fn default() -> Percentiles {
        Percentiles { building: 25.0, secure: 50.0, stretching: 85.0 }
    }
}

impl Percentiles {
    /// The three, as shares, rising.
    fn shares(self) -> [f64; 3] {
        [self.building, self.secure, self.stretching].map(|percentile| percentile / 100.0)
    }

    /// What is wrong with them.
    pub fn faults(&self) -> Vec<InputError> {
        let rising = 0.0 < self.building && self.building < self.secure && self.secure < self.stretching;
        if rising && self.stretching < 100.0 {
            Vec::new()
        } else {
            vec![InputError::at("/percentiles", StandardFault::Percentiles)]
        }
    }
}

facts! {
    /// What is wrong with thresholds.
    pub enum StandardFault {
        Percentiles = "standard-percentiles",
        LevelsMeet = "standard-levels-meet" { band: String },
        FallsWithAge = "standard-falls-with-age" { level: Level, older: String, old: f64, younger: String, young: f64 },
        TooFast = "standard-too-fast" { band: String, level: Level, count: f64, beat_s: f64, least_s: f64, most: f64 },
    }
}

/// The quantile at `p` (0 to 1) of sorted values; `None` if there are none.
///
/// ```
/// use jogo_core::assessment::standards::suggest::quantile;
/// assert_eq!(quantile(&[1.0, 2.0, 4.0], 0.75), Some(3.0));
/// ```
pub fn quantile(sorted: &[f64], p: f64) -> Option<f64> {
    let h = (sorted.len().checked_sub(1)? as f64) * p.clamp(0.0, 1.0);
    let (below, above) = (sorted[h.floor() as usize], sorted[h.ceil() as usize]);
    Some(below + (h - h.floor()) * (above - below))
}

/// Quantiles at several places, each with its bootstrap interval. The same seed gives the same intervals.
pub fn bootstrapped(sorted: &[f64], places: [f64; 3], seed: u64) -> Option<[(f64, Interval); 3]> {
    let n = sorted.len();
    let mut rng = ChaCha8Rng::seed_from_u64(seed);
    let mut times = vec![0_u32; n];
    let mut again = Vec::with_capacity(n);
    let mut of_resamples: [Vec<f64>; 3] = std::array::from_fn(|_| Vec::with_capacity(RESAMPLES));
    for _ in 0..if n > 0 { RESAMPLES } else { 0 } {
        // How often each value is drawn puts the resample in order without sorting it.
        times.fill(0);
        (0..n).for_each(|_| times[rng.random_range(0..n)] += 1);
        again.clear();
        for (value, so_often) in sorted.iter().zip(&times) {
            again.extend(std::iter::repeat_n(*value, *so_often as usize));
        }
        for (values, p) in of_resamples.iter_mut().zip(places) {
            values.extend(quantile(&again, p));
        }
    }
    let mut found = [(0.0, Interval::default()); 3];
    for ((found, p), mut values) in found.iter_mut().zip(places).zip(of_resamples) {
        values.sort_by(f64::total_cmp);
        let interval = Interval { low: quantile(&values, 0.025)?, high: quantile(&values, 0.975)? };
        *found = (quantile(sorted, p)?, interval);
    }
    Some(found)
}

/// The nearest values to `values` that never fall, each weighted (pool adjacent violators).
///
/// ```
/// use jogo_core::assessment::standards::suggest::never_falling;
/// assert_eq!(never_falling(&[(4.0, 1.0), (9.0, 1.0), (6.0, 2.0), (12.0, 1.0)]), [4.0, 7.0, 7.0, 12.0]);
/// ```
pub fn never_falling(values: &[(f64, f64)]) -> Vec<f64> {
    // Pools with their mean, weight and size.
    let mut pools: Vec<(f64, f64, usize)> = Vec::new();
    for (value, weight) in values {
        let mut pool = (*value, *weight, 1);
        while let Some(before) = pools.pop_if(|before| before.0 > pool.0) {
            let weight = before.1 + pool.1;
            let mean = (before.0 * before.1 + pool.0 * pool.1) / weight;
            pool = (mean, weight, before.2 + pool.2);
        }
        pools.push(pool);
    }
    pools.into_iter().flat_map(|(mean, _, size)| std::iter::repeat_n(mean, size)).collect()
}

/// What a band's results say about a threshold.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Suggested {
    /// The quantile of the band's own results.
    pub raw: f64,
    /// Its 95 % interval.
    pub interval: Interval,
    /// After it may not fall with age, as finely as the test is read.
    pub smoothed: f64,
}

/// The suggestion for a band.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Suggestion {
    /// Building.
    pub building: Suggested,
    /// Secure.
    pub secure: Suggested,
    /// Stretching.
    pub stretching: Suggested,
}

impl Suggestion {
    /// The thresholds that it proposes.
    pub fn thresholds(&self) -> Thresholds {
        Thresholds {
            building: self.building.smoothed,
            secure: self.secure.smoothed,
            stretching: self.stretching.smoothed,
        }
    }
}

/// Suggests thresholds for bands from the youngest to the oldest; `None` for a band without results. `results` of a
/// band are sorted by rising value.
pub fn suggest(
    protocol: &Protocol,
    bands: &[Vec<f64>],
    percentiles: Percentiles,
    seed: u64,
) -> Vec<Option<Suggestion>> {
    let better = protocol.better();
    let places = percentiles.shares().map(|share| match better {
        Better::Higher => share,
        Better::Lower => 1.0 - share,
    });
    let raw: Vec<Option<[(f64, Interval); 3]>> =
        bands.iter().map(|results| bootstrapped(results, places, seed)).collect();
    let (step, sign) = (protocol.step(), if better == Better::Higher { 1.0 } else { -1.0 });
    // In steps of the test, more being better.
    let smoothed: [Vec<f64>; 3] = std::array::from_fn(|at| {
        let known = raw
            .iter()
            .zip(bands)
            .filter_map(|(raw, results)| Some((sign * raw.as_ref()?[at].0, results.len() as f64)));
        never_falling(&known.collect::<Vec<_>>()).into_iter().map(|value| (value / step).round()).collect()
    });
    let read = |steps: f64| (sign * steps * step * 1e6).round() / 1e6;
    let mut known = 0;
    raw.into_iter()
        .map(|raw| {
            let raw = raw?;
            let apart = a_step_apart(protocol, smoothed.each_ref().map(|all| all[known]));
            let at = |i: usize| Suggested { raw: raw[i].0, interval: raw[i].1, smoothed: read(apart[i]) };
            let suggestion = Suggestion { building: at(0), secure: at(1), stretching: at(2) };
            known += 1;
            Some(suggestion)
        })
        .collect()
}

/// Three thresholds in steps of a test, more being better, at least one apart, so that they can be set as they are:
/// Secure stays where it is, as far as the test has values for the others beside it. As each grows with what it is made
/// of, none falls with age that did not.
fn a_step_apart(protocol: &Protocol, [building, secure, stretching]: [f64; 3]) -> [f64; 3] {
    let (least, most) = protocol.range();
    let (bottom, top) = match protocol.better() {
        Better::Higher => ((least / protocol.step()).ceil(), (most / protocol.step()).floor()),
        // The best that can be: one step above nothing.
        Better::Lower => (-(most / protocol.step()).floor(), -1.0),
    };
    // Where a test has not even three values, nothing can be set.
    if top - bottom < 2.0 {
        return [building, secure, stretching];
    }
    let secure = secure.clamp(bottom + 1.0, top - 1.0);
    [building.min(secure - 1.0).max(bottom), secure, stretching.max(secure + 1.0).min(top)]
}

/// Where thresholds fall with age between neighbouring bands, or do not rise from level to level within one. `bands`
/// are named from the youngest to the oldest.
pub fn findings(better: Better, bands: &[(String, Thresholds)]) -> Vec<StandardFault> {
    let mut found = Vec::new();
    for (band, thresholds) in bands {
        if !thresholds.in_order(better) {
            found.push(StandardFault::LevelsMeet { band: band.clone() });
        }
    }
    for pair in bands.windows(2) {
        let ((younger, below), (older, above)) = (&pair[0], &pair[1]);
        for ((level, young), (_, old)) in below.lines().into_iter().zip(above.lines()) {
            let falls = match better {
                Better::Higher => old < young,
                Better::Lower => old > young,
            };
            if falls {
                found.push(StandardFault::FallsWithAge {
                    level,
                    older: older.clone(),
                    old,
                    younger: younger.clone(),
                    young,
                });
            }
        }
    }
    found
}

impl Test {
    /// What is wrong with thresholds of this test: values that it cannot give, or levels that meet.
    pub fn threshold_faults(&self, band: &BandId, thresholds: &Thresholds) -> Vec<InputError> {
        let wrong = |(level, value): (Level, f64)| {
            Some(InputError::at(format!("/{}", level.word()), self.value(value).err()?))
        };
        let mut faults: Vec<InputError> = thresholds.lines().into_iter().filter_map(wrong).collect();
        if !thresholds.in_order(self.protocol.better()) {
            faults.push(InputError::at("", StandardFault::LevelsMeet { band: band.to_string() }));
        }
        faults
    }
}

/// How many of some results stand on each level, from Starting to Stretching.
pub fn levels_of(results: &[f64], thresholds: &Thresholds, better: Better) -> [u32; 4] {
    let mut counts = [0; 4];
    results.iter().for_each(|result| counts[thresholds.level(*result, better) as usize] += 1);
    counts
}

/// The quarter of the year in which a child was born, 0 to 3, counted from the day after the academy's cut-off:
/// children of the last quarter are the youngest of their year. `None` for months in which one quarter ends and the next
/// begins, where the cut-off lies inside a month: no more is known than the month of birth.
///
/// ```
/// use jogo_core::assessment::standards::suggest::birth_quarter;
/// let quarter = |born: &str, cut_off: &str| birth_quarter(born.parse().unwrap(), cut_off.parse().unwrap());
/// assert_eq!(quarter("2023-01", "01-01"), Some(0));
/// assert_eq!(quarter("2023-07", "08-01"), Some(3));
/// // The last day of August: September is the oldest month, August the youngest.
/// assert_eq!([quarter("2022-09", "08-31"), quarter("2023-08", "08-31")], [Some(0), Some(3)]);
/// // In the middle of August: half of August, November, February and May belongs to the quarter before.
/// assert_eq!([quarter("2023-08", "08-15"), quarter("2022-09", "08-15")], [None, Some(0)]);
/// ```
pub fn birth_quarter(born: BirthMonth, cut_off: CutOff) -> Option<usize> {
    let (first, is_split) = cut_off.first_month();
    let after = (born.month() - first).rem_euclid(12);
    (!is_split || after % 3 != 0).then_some((after / 3) as usize)
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;
    use rstest::rstest;

    const COUNT: Protocol = Protocol::Count { seconds: 30 };
    const RESULTS: [f64; 10] = [3.0, 5.0, 5.0, 7.0, 8.0, 8.0, 9.0, 12.0, 13.0, 20.0];

    // NumPy 1.24, numpy.quantile(…, method="linear").
    #[rstest]
    #[case::a_quarter(0.25, 5.5)]
    #[case::half(0.5, 8.0)]
    #[case::most(0.85, 12.65)]
    #[case::all(1.0, 20.0)]
    fn quantiles_are_of_type_seven(#[case] p: f64, #[case] value: f64) {
        assert!((quantile(&RESULTS, p).unwrap() - value).abs() < 1e-9);
    }

    #[test]
    fn a_percentile_counts_from_the_worst_up() {
        let results = vec![RESULTS.to_vec()];
        let places = Percentiles { building: 25.0, secure: 50.0, stretching: 75.0 };
        let higher = suggest(&COUNT, &results, places, 1)[0].unwrap();
        assert_eq!((higher.building.raw, higher.stretching.raw), (5.5, 11.25));
        let lower = suggest(&Protocol::Course { penalty_s: 1.0 }, &results, places, 1)[0].unwrap();
        assert_eq!((lower.building.raw, lower.stretching.raw), (11.25, 5.5));
    }

    #[test]
    fn a_bootstrap_lies_around_its_quantile_and_repeats_itself() {
        let [_, (median, interval), _] = bootstrapped(&RESULTS, [0.25, 0.5, 0.85], 7).unwrap();
        // The exact bootstrap distribution of this median, enumerated with SciPy's multinomial distribution: 4.8 %
        // lie at 5 or below and 95.2 % below 12, 98.0 % at it, so that its 2.5 % and 97.5 % points are 5 and 12.
        assert_eq!((median, interval), (8.0, Interval { low: 5.0, high: 12.0 }));
        assert_eq!(bootstrapped(&RESULTS, [0.25, 0.5, 0.85], 7).unwrap()[1].1, interval);
        assert_eq!(
            bootstrapped(&[4.0], [0.25, 0.5, 0.85], 7).unwrap()[0].1,
            Interval { low: 4.0, high: 4.0 }
        );
        assert_eq!(bootstrapped(&[], [0.25, 0.5, 0.85], 7), None);
    }

    #[test]
    fn a_band_without_results_has_no_suggestion_and_is_no_neighbour() {
        let bands = [vec![4.0; 10], Vec::new(), vec![2.0; 10]];
        let found = suggest(&COUNT, &bands, Percentiles::default(), 1);
        assert_eq!(found[1], None);
        assert_eq!(found[0].unwrap().thresholds(), found[2].unwrap().thresholds());
        assert_eq!(found[0].unwrap().secure.smoothed, 3.0);
    }

    // All alike, or at an end of what the test can give: there is a step between the levels all the same.
    #[rstest]
    #[case::all_alike(COUNT, 4.0, [3.0, 4.0, 5.0])]
    #[case::all_hit(Protocol::Hits { of: 10 }, 10.0, [8.0, 9.0, 10.0])]
    #[case::nobody_hits(Protocol::Hits { of: 10 }, 0.0, [0.0, 1.0, 2.0])]
    #[case::two_values(Protocol::Bounces { services: 1, cap: 1 }, 1.0, [1.0, 1.0, 1.0])]
    #[case::a_course(Protocol::Course { penalty_s: 1.0 }, 9.5, [9.51, 9.5, 9.49])]
    fn what_is_suggested_can_be_set(#[case] protocol: Protocol, #[case] all: f64, #[case] wanted: [f64; 3]) {
        let found = suggest(&protocol, &[vec![all; 12]], Percentiles::default(), 1)[0].unwrap().thresholds();
        assert_eq!(found.lines().map(|(_, at)| at), wanted);
        assert_eq!(found.in_order(protocol.better()), wanted[0] != wanted[2]);
    }

    #[rstest]
    #[case::falls_with_age(
        5.0,
        &[StandardFault::FallsWithAge {
            level: Level::Secure, older: "U10–U12".into(), old: 5.0, younger: "U8–U9".into(), young: 7.0,
        }],
    )]
    #[case::levels_meet(10.0, &[StandardFault::LevelsMeet { band: "U10–U12".into() }])]
    #[case::in_order(8.0, &[])]
    fn thresholds_that_fall_are_found(#[case] secure: f64, #[case] says: &[StandardFault]) {
        let younger = Thresholds { building: 4.0, secure: 7.0, stretching: 10.0 };
        let older = Thresholds { building: 4.0, secure, stretching: 10.0 };
        let bands = [("U8–U9".to_owned(), younger), ("U10–U12".to_owned(), older)];
        assert_eq!(findings(Better::Higher, &bands), says);
    }

    proptest! {
        #[test]
        fn smoothed_thresholds_never_fall_with_age_and_keep_their_order(
            bands in prop::collection::vec(prop::collection::vec(0_u8..40, 0..12), 1..6), lower: bool
        ) {
            let protocol = if lower { Protocol::Course { penalty_s: 1.0 } } else { COUNT };
            let bands: Vec<Vec<f64>> = bands
                .into_iter()
                .map(|mut band| {
                    band.sort_unstable();
                    band.into_iter().map(f64::from).collect()
                })
                .collect();
            let sign = if lower { -1.0 } else { 1.0 };
            let found: Vec<Thresholds> = suggest(&protocol, &bands, Percentiles::default(), 3)
                .into_iter()
                .flatten()
                .map(|suggestion| suggestion.thresholds())
                .collect();
            for pair in found.windows(2) {
                for (young, old) in pair[0].lines().iter().zip(pair[1].lines()) {
                    prop_assert!(sign * young.1 <= sign * old.1);
                }
            }
            for thresholds in found {
                let [building, secure, stretching] = thresholds.lines().map(|(_, at)| sign * at);
                prop_assert!(building < secure && secure < stretching);
            }
        }
    }
}
