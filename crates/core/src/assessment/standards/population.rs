//! Whom a standard judges: the results that it is set by, and the shares that follow from it.
//!
//! The latest result of each player and side counts, if it is less than a year old. Shares by quarter of birth show
//! whether a standard asks the youngest of a year for what only the oldest can do yet.
//!
//! ```
//! use jogo_core::assessment::benchmarks::Better;
//! use jogo_core::assessment::levels::Thresholds;
//! use jogo_core::assessment::standards::population::Shares;
//!
//! let secure_from_six = Thresholds { building: 3.0, secure: 6.0, stretching: 12.0 };
//! let shares = Shares::of(&[2.0, 4.0, 7.0, 13.0], &Default::default(), &secure_from_six, Better::Higher);
//! assert_eq!(shares.counts, [1, 1, 1, 1]);
//! assert_eq!(shares.secure, Some(0.5));
//! assert_eq!(shares.secure_by_quarter, [None; 4]);
//! ```

use jiff::ToSpan;
use jiff::civil::Date;
use serde::Serialize;

use crate::academy::band::CutOff;
use crate::academy::roster::BirthMonth;
use crate::assessment::benchmarks::{Better, Test};
use crate::assessment::levels::{Level, Thresholds};
use crate::assessment::results::{Trial, latest, results};
use crate::assessment::standards::suggest::{birth_quarter, levels_of};

/// The results of a band in one test.
#[derive(Clone, Debug, Default, PartialEq)]
pub struct Population {
    /// All, by rising value.
    pub sorted: Vec<f64>,
    /// The same by quarter of birth, of players whose month of birth is known and says the quarter.
    pub quarters: [Vec<f64>; 4],
}

impl Population {
    /// The days whose trials count, as a first day and the day after the last one: a year that ends with today.
    ///
    /// # Errors
    /// If there is no day after today: on the last day of the calendar.
    pub fn year_of(today: Date) -> Result<(Date, Date), jiff::Error> {
        Ok((today - 1.year(), today.tomorrow()?))
    }

    /// The results of the trials of one test: the latest of each player and side.
    pub fn of<P: Ord + Copy>(
        test: &Test,
        trials: &[Trial<P>],
        born: impl Fn(P) -> Option<BirthMonth>,
        cut_off: CutOff,
    ) -> Population {
        let mut found = Population::default();
        for result in latest(&results(std::slice::from_ref(test), &[], trials)) {
            found.sorted.push(result.value);
            if let Some(quarter) = born(result.player).and_then(|month| birth_quarter(month, cut_off)) {
                found.quarters[quarter].push(result.value);
            }
        }
        found.sorted.sort_by(f64::total_cmp);
        found
    }

    /// How many would reach each level if these were the thresholds.
    pub fn shares(&self, thresholds: &Thresholds, better: Better) -> Shares {
        Shares::of(&self.sorted, &self.quarters, thresholds, better)
    }
}

/// How many of a population reach each level.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Shares {
    /// Results by level, from Starting to Stretching.
    pub counts: [u32; 4],
    /// The part that is Secure or better, 0 to 1; `None` without results.
    pub secure: Option<f64>,
    /// The same by quarter of birth, from the oldest of their year to the youngest.
    pub secure_by_quarter: [Option<f64>; 4],
}

impl Shares {
    /// Counts `all` results, and those of each quarter of birth.
    pub fn of(all: &[f64], quarters: &[Vec<f64>; 4], thresholds: &Thresholds, better: Better) -> Shares {
        let secure_of = |results: &[f64]| Level::share_secure(&levels_of(results, thresholds, better));
        Shares {
            counts: levels_of(all, thresholds, better),
            secure: secure_of(all),
            secure_by_quarter: std::array::from_fn(|q| secure_of(&quarters[q])),
        }
    }
}

/// Where the scale of a test begins and ends: it shows all results and thresholds with 8 % of room at both ends, and no
/// values that cannot be true. With neither results nor thresholds it shows everything that can be true.
pub fn scale<'a>(
    test: &Test,
    thresholds: impl IntoIterator<Item = &'a Thresholds>,
    populations: &[Population],
) -> (f64, f64) {
    let lines = thresholds.into_iter().flat_map(Thresholds::lines).map(|(_, at)| at);
    let ends = populations.iter().flat_map(|p| p.sorted.first().into_iter().chain(p.sorted.last())).copied();
    let (low, high) =
        lines.chain(ends).fold((f64::MAX, f64::MIN), |(low, high), at| (low.min(at), high.max(at)));
    if low > high {
        return (test.least, test.most);
    }
    let room = ((high - low) * ROOM).max(test.protocol.step());
    ((low - room).max(test.least), (high + room).min(test.most))
}

/// The room at each end of a scale, as a part of the span of what it shows.
const ROOM: f64 = 0.08;

#[cfg(test)]
mod tests {
    use jiff::civil::date;

    use super::*;
    use crate::assessment::benchmarks::{Protocol, Summary};
    use crate::technique::skill::Side;

    fn bounces() -> Test {
        let as_written = serde_json::json!({
            "id": "bounces", "name": "Bounces", "short": "Bounces", "how": "Count.", "skill": "cushion",
            "protocol": { "kind": "count", "seconds": 30 }, "per_side": true, "trials": 2, "summary": "best",
            "least": 0.0, "most": 60.0,
        });
        let test: Test = serde_json::from_value(as_written).unwrap();
        assert_eq!((&test.protocol, test.summary), (&Protocol::Count { seconds: 30 }, Summary::Best));
        test
    }

    fn trial(player: u8, side: Side, day: i8, value: f64) -> Trial<u8> {
        let (test, taken_on) = ("bounces".parse().unwrap(), date(2031, 2, day));
        Trial { player, test, side: Some(side), taken_on, value, marks: Vec::new() }
    }

    #[test]
    fn of_each_player_and_side_the_latest_result_counts() {
        let trials = [
            trial(1, Side::Left, 3, 9.0),
            trial(1, Side::Left, 10, 7.0),
            trial(1, Side::Left, 10, 6.0),
            trial(1, Side::Right, 3, 12.0),
            trial(2, Side::Right, 3, 4.0),
        ];
        let born = |player| (player == 1).then(|| "2023-11".parse().unwrap());
        let found = Population::of(&bounces(), &trials, born, "01-01".parse().unwrap());
        // The best of the 10th, not the better one of the week before; nobody knows when the second was born.
        assert_eq!(found.sorted, [4.0, 7.0, 12.0]);
        assert_eq!(found.quarters, [vec![], vec![], vec![], vec![7.0, 12.0]]);
        let thresholds = Thresholds { building: 5.0, secure: 8.0, stretching: 20.0 };
        let shares = found.shares(&thresholds, Better::Higher);
        assert_eq!(shares.counts, [1, 1, 1, 0]);
        assert_eq!(shares.secure_by_quarter, [None, None, None, Some(0.5)]);
        // Where less is better, the same lines are met by those below them.
        let fewer = Thresholds { building: 20.0, secure: 8.0, stretching: 5.0 };
        assert_eq!(found.shares(&fewer, Better::Lower).secure, Some(2.0 / 3.0));
    }

    #[test]
    fn a_year_ends_with_today() {
        let days = Population::year_of(date(2032, 2, 29)).unwrap();
        assert_eq!(days, (date(2031, 2, 28), date(2032, 3, 1)));
        assert!(Population::year_of(Date::MAX).is_err());
    }

    #[test]
    fn a_scale_shows_results_and_thresholds_with_room_within_what_can_be_true() {
        let thresholds = Thresholds { building: 10.0, secure: 20.0, stretching: 35.0 };
        let of = |values: &[f64]| Population { sorted: values.to_vec(), ..Population::default() };
        // 10 to 35 is 25 wide: 2 at both ends.
        assert_eq!(scale(&bounces(), [&thresholds], &[]), (8.0, 37.0));
        // 0 to 50: 4 at both ends, but nobody does negative.
        assert_eq!(scale(&bounces(), [&thresholds], &[of(&[0.0, 50.0])]), (0.0, 54.0));
        // One result alone has a step of room.
        assert_eq!(scale(&bounces(), [], &[of(&[30.0])]), (29.0, 31.0));
        assert_eq!(scale(&bounces(), [], &[of(&[])]), (0.0, 60.0));
    }
}
