//! Results: what did a player show, on which day, and which level was that?
//!
//! The trials of one player in one test with one foot on one day make one result. It keeps the level of its day: that
//! of the standard which held then.

pub mod list;

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::assessment::benchmarks::Test;
use crate::assessment::levels::Level;
use crate::assessment::standards::{self, Standard};
use crate::ids::{BandId, TestId};
use crate::technique::skill::{Foot, Side};

/// One trial of a player; `P` is whatever names the player.
#[derive(Clone, Debug, PartialEq)]
pub struct Trial<P> {
    /// Whose.
    pub player: P,
    /// In which test.
    pub test: TestId,
    /// With which foot, if the test is taken per foot.
    pub side: Option<Side>,
    /// On which day.
    pub taken_on: Date,
    /// What was measured.
    pub value: f64,
    /// What was seen of each point, where points are looked at: 0 no, 1 partly, 2 yes. `value` is their sum.
    pub marks: Vec<u8>,
}

/// How a trial came in.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Origin {
    /// A coach entered it.
    #[default]
    Entered,
    /// Timing gates measured it.
    Gates,
    /// It was read back from a sheet or a file.
    ReadIn,
}

/// What a player showed on one day.
#[derive(Clone, Debug, PartialEq)]
pub struct TestResult<P> {
    /// Whose.
    pub player: P,
    /// In which test.
    pub test: TestId,
    /// With which foot, if the test is taken per foot.
    pub side: Option<Side>,
    /// On which day.
    pub date: Date,
    /// The protocol's summary of the day's trials.
    pub value: f64,
    /// The level of that day; `None` if no standard held then.
    pub level: Option<Level>,
    /// What was seen of each point in the day's best trial, where points are looked at.
    pub marks: Vec<u8>,
}

/// The results of trials, by player, test, side and day. Trials of unknown tests count for nothing; the order in which
/// trials arrive does not matter.
pub fn results<P: Ord + Copy>(
    tests: &[Test],
    standards: &[Standard],
    trials: &[Trial<P>],
) -> Vec<TestResult<P>> {
    judged(tests, standards, trials, |_, _, _| true)
}

/// The same with the level that each had in the band in which its player was on its day. `standards` are those of all
/// bands.
///
/// ```
/// use jiff::civil::date;
/// use jogo_core::assessment::benchmarks::Test;
/// use jogo_core::assessment::levels::{Level, Thresholds};
/// use jogo_core::assessment::results::{Trial, results_of_their_day};
/// use jogo_core::assessment::standards::Standard;
/// use jogo_core::ids::BandId;
///
/// let tests: Vec<Test> = serde_json::from_str(include_str!("../../../../../demo/tests.json")).unwrap();
/// let taps = tests.iter().find(|test| test.id.as_str() == "toe-taps-30").unwrap();
/// let standard = |band: &str, secure| Standard {
///     test: taps.id.clone(),
///     band: band.parse().unwrap(),
///     from: date(2030, 1, 1),
///     thresholds: Thresholds { building: 10.0, secure, stretching: 60.0 },
/// };
/// let standards = [standard("u8-u9", 30.0), standard("u10-u12", 40.0)];
/// let trial = |taken_on| Trial {
///     player: 1, test: taps.id.clone(), side: None, taken_on, value: 35.0, marks: vec![],
/// };
/// let [younger, older]: [BandId; 2] = ["u8-u9", "u10-u12"].map(|id| id.parse().unwrap());
/// let moved = date(2031, 8, 1);
/// let then = |_, day| if day < moved { &younger } else { &older };
/// let trials = [trial(date(2031, 5, 1)), trial(date(2031, 9, 1))];
/// let levels: Vec<_> = results_of_their_day(&tests, &standards, &trials, then)
///     .iter()
///     .map(|result| result.level)
///     .collect();
/// assert_eq!(levels, [Some(Level::Secure), Some(Level::Building)]);
/// ```
pub fn results_of_their_day<'b, P: Ord + Copy>(
    tests: &[Test],
    standards: &[Standard],
    trials: &[Trial<P>],
    band: impl Fn(P, Date) -> &'b BandId,
) -> Vec<TestResult<P>> {
    judged(tests, standards, trials, |standard, player, day| standard.band == *band(player, day))
}

/// Results with the levels of those standards that count for a player on a day.
fn judged<P: Ord + Copy>(
    tests: &[Test],
    standards: &[Standard],
    trials: &[Trial<P>],
    counts: impl Fn(&Standard, P, Date) -> bool,
) -> Vec<TestResult<P>> {
    type Of<'t, P> = (P, &'t str, Option<Side>, Date);
    let mut of_day: BTreeMap<Of<'_, P>, Vec<&Trial<P>>> = BTreeMap::new();
    for trial in trials {
        of_day.entry((trial.player, &trial.test, trial.side, trial.taken_on)).or_default().push(trial);
    }
    let known: BTreeMap<&str, (&Test, Vec<&Standard>)> = tests
        .iter()
        .map(|test| (test.id.as_str(), (test, standards.iter().filter(|s| s.test == test.id).collect())))
        .collect();
    of_day
        .into_iter()
        .filter_map(|((player, test, side, date), of_day)| {
            let (test, of_test) = known.get(test)?;
            let values: Vec<f64> = of_day.iter().map(|trial| trial.value).collect();
            let value = test.result(&values)?;
            let best = of_day.iter().map(|trial| &trial.marks).max_by_key(|marks| (seen(marks), *marks));
            let marks = best.cloned().unwrap_or_default();
            let counting = of_test.iter().copied().filter(|standard| counts(standard, player, date));
            let standard = standards::on(counting, date);
            let level = standard.map(|s| s.thresholds.level(value, test.protocol.better()));
            Some(TestResult { player, test: test.id.clone(), side, date, value, level, marks })
        })
        .collect()
}

fn seen(marks: &[u8]) -> u32 {
    marks.iter().map(|mark| u32::from(*mark)).sum()
}

/// Of results, the latest of each player, test and side.
pub fn latest<P: Ord + Copy>(results: &[TestResult<P>]) -> Vec<TestResult<P>> {
    let mut latest: BTreeMap<(P, &str, Option<Side>), &TestResult<P>> = BTreeMap::new();
    for result in results {
        let known = latest.entry((result.player, &result.test, result.side)).or_insert(result);
        if result.date >= known.date {
            *known = result;
        }
    }
    latest.into_values().cloned().collect()
}

/// How many players stand on each level, and how many have no result.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
pub struct LevelCount {
    /// By level, from Starting to Stretching.
    pub counts: [u32; 4],
    /// Players without a level.
    pub without: u32,
}

impl LevelCount {
    /// Both together.
    pub fn and(mut self, other: &LevelCount) -> LevelCount {
        self.counts.iter_mut().zip(other.counts).for_each(|(own, others)| *own += others);
        self.without += other.without;
        self
    }
}

/// How many players of a squad stand on each level in one test, with one foot if it is taken per foot.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
pub struct TestCount {
    /// Which test.
    pub test: TestId,
    /// Which foot.
    pub foot: Option<Foot>,
    /// How many.
    pub count: LevelCount,
}

/// Counts players by level in every test; see [`count_levels`].
pub fn counts<P: Ord + Copy>(
    tests: &[Test],
    players: &[(P, Side)],
    latest: &[TestResult<P>],
) -> Vec<TestCount> {
    let of_test = |test: &Test| {
        let counted = count_levels(test, players, latest).into_iter();
        let id = test.id.clone();
        counted.map(move |(foot, count)| TestCount { test: id.clone(), foot, count })
    };
    tests.iter().flat_map(of_test).collect()
}

/// Counts players by level in one test, for each foot if it is taken per foot (`None` otherwise). `players` are named
/// with their strong foot; `latest` are their latest results.
pub fn count_levels<P: Ord + Copy>(
    test: &Test,
    players: &[(P, Side)],
    latest: &[TestResult<P>],
) -> BTreeMap<Option<Foot>, LevelCount> {
    let mut counts: BTreeMap<Option<Foot>, LevelCount> = BTreeMap::new();
    let sides: &[Option<Side>] = if test.per_side { &[Some(Side::Left), Some(Side::Right)] } else { &[None] };
    for (player, strong) in players {
        for side in sides {
            let count = counts.entry(side.map(|side| Foot::of(side, *strong))).or_default();
            let result = latest.iter().find(|r| r.player == *player && r.test == test.id && r.side == *side);
            match result.and_then(|r| r.level) {
                Some(level) => count.counts[level as usize] += 1,
                None => count.without += 1,
            }
        }
    }
    counts
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::assessment::benchmarks::{Protocol, plain};
    use crate::assessment::levels::Thresholds;
    use crate::ids::called;
    use jiff::civil::date;

    fn weave() -> Test {
        plain("weave", Protocol::Course { penalty_s: 1.0 }, true, 90.0)
    }

    fn standard(from: Date, secure: f64) -> Standard {
        let thresholds = Thresholds { building: 22.0, secure, stretching: 14.0 };
        Standard { test: called("weave"), band: called("u8-u9"), from, thresholds }
    }

    fn trial(player: u32, side: Side, day: i8, value: f64) -> Trial<u32> {
        Trial {
            player,
            test: called("weave"),
            side: Some(side),
            taken_on: date(2031, 2, day),
            value,
            marks: Vec::new(),
        }
    }

    #[test]
    fn the_best_of_a_day_has_the_level_of_its_day() {
        let standards = [standard(date(2030, 8, 1), 18.0), standard(date(2031, 2, 10), 17.0)];
        let trials = [
            trial(1, Side::Left, 3, 19.0),
            trial(1, Side::Left, 3, 17.5),
            trial(1, Side::Left, 12, 17.5),
            trial(1, Side::Right, 3, 13.9),
        ];
        let mut backwards = trials.to_vec();
        backwards.reverse();
        let found = results(&[weave()], &standards, &trials);
        assert_eq!(found, results(&[weave()], &standards, &backwards));
        let levels: Vec<_> = found.iter().map(|r| (r.side, r.date.day(), r.value, r.level)).collect();
        assert_eq!(
            levels,
            [
                (Some(Side::Left), 3, 17.5, Some(Level::Secure)),
                (Some(Side::Left), 12, 17.5, Some(Level::Building)),
                (Some(Side::Right), 3, 13.9, Some(Level::Stretching)),
            ]
        );
        let last: Vec<_> = latest(&found).iter().map(|r| (r.side, r.date.day())).collect();
        assert_eq!(last, [(Some(Side::Left), 12), (Some(Side::Right), 3)]);
    }

    #[test]
    fn before_the_first_standard_a_result_has_no_level() {
        let found =
            results(&[weave()], &[standard(date(2031, 2, 10), 17.0)], &[trial(1, Side::Left, 3, 15.0)]);
        assert_eq!((found[0].value, found[0].level), (15.0, None));
    }

    #[test]
    fn levels_are_counted_by_strong_and_other_foot() {
        let found = results(
            &[weave()],
            &[standard(date(2030, 8, 1), 18.0)],
            &[trial(1, Side::Left, 3, 13.0), trial(1, Side::Right, 3, 25.0), trial(2, Side::Right, 3, 17.0)],
        );
        let counts = count_levels(&weave(), &[(1, Side::Left), (2, Side::Right), (3, Side::Right)], &found);
        assert_eq!(counts[&Some(Foot::Strong)], LevelCount { counts: [0, 0, 1, 1], without: 1 });
        assert_eq!(counts[&Some(Foot::Other)], LevelCount { counts: [1, 0, 0, 0], without: 2 });
    }
}
