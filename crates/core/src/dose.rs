//! The dose: how long, how often, how many touches?
//!
//! Duration: a `timed` dose lasts bouts × work + (bouts − 1) × rest; a `reps` dose bouts × reps × seconds + (bouts − 1)
//! × rest; a `tries` dose tries × seconds for each side. `each` side on its own doubles the bouts. A block adds the
//! explaining, and repeats the dose ⌈k ÷ a⌉ times where only a of the k players at a station work at once.
//!
//! ```
//! use jogo_core::dose::{Dose, SideRule};
//! use jogo_core::units::{Minutes, Seconds};
//!
//! let rounds = Dose::Timed { work: Seconds(30.0), rest: Seconds(30.0), sets: 6, sides: SideRule::Alternate };
//! assert_eq!(rounds.duration(), Seconds(330.0)); // 6 × 30 + 5 × 30
//! assert_eq!(rounds.block(Seconds(60.0), 1), Minutes(7)); // 390 s, rounded up
//! assert_eq!(rounds.work_to_rest().as_deref(), Some("1:1"));
//! ```

use serde::{Deserialize, Serialize};

use crate::units::{Minutes, Seconds, Share};

/// How the feet share the work.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum SideRule {
    /// Both feet in the same bout.
    Together,
    /// Each foot has bouts of its own.
    Each,
    /// Left and right change with every touch or turn.
    Alternate,
}

/// How much is done.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub enum Dose {
    /// Work and rest by the clock.
    Timed {
        /// One bout of work.
        #[serde(rename = "work_s")]
        work: Seconds,
        /// Rest between bouts.
        #[serde(rename = "rest_s")]
        rest: Seconds,
        /// Bouts, per side if the sides are worked each on their own.
        sets: u32,
        /// How the feet share the work.
        sides: SideRule,
    },
    /// So many repetitions.
    Reps {
        /// Repetitions in a set, per side if the sides are worked each on their own.
        reps: u32,
        /// How long one takes.
        #[serde(rename = "each_s")]
        each: Seconds,
        /// Rest between sets.
        #[serde(rename = "rest_s")]
        rest: Seconds,
        /// Sets.
        sets: u32,
        /// How the feet share the work.
        sides: SideRule,
    },
    /// So many tries with each foot.
    Tries {
        /// Tries per side.
        tries: u32,
        /// How long one takes.
        #[serde(rename = "each_s")]
        each: Seconds,
    },
}

impl Dose {
    /// One bout of work.
    pub fn bout(&self) -> Seconds {
        match *self {
            Dose::Timed { work, .. } => work,
            Dose::Reps { reps, each, .. } => each * f64::from(reps),
            Dose::Tries { tries, each } => each * f64::from(tries),
        }
    }

    /// How many bouts, both sides counted.
    pub fn bouts(&self) -> u32 {
        match *self {
            Dose::Timed { sets, sides, .. } | Dose::Reps { sets, sides, .. } => match sides {
                SideRule::Each => 2 * sets,
                SideRule::Together | SideRule::Alternate => sets,
            },
            Dose::Tries { .. } => 2,
        }
    }

    /// Rest between two bouts.
    pub fn rest(&self) -> Seconds {
        match *self {
            Dose::Timed { rest, .. } | Dose::Reps { rest, .. } => rest,
            Dose::Tries { .. } => Seconds(0.0),
        }
    }

    /// How the feet share the work.
    pub fn sides(&self) -> SideRule {
        match *self {
            Dose::Timed { sides, .. } | Dose::Reps { sides, .. } => sides,
            Dose::Tries { .. } => SideRule::Each,
        }
    }

    /// Work alone, all bouts together.
    pub fn work(&self) -> Seconds {
        self.bout() * f64::from(self.bouts())
    }

    /// From the first second of work to the last, rests between included.
    pub fn duration(&self) -> Seconds {
        self.work() + self.rest() * f64::from(self.bouts().saturating_sub(1))
    }

    /// The same dose with another number of sets (or tries).
    pub fn with_sets(self, n: u32) -> Dose {
        match self {
            Dose::Timed { work, rest, sides, .. } => Dose::Timed { work, rest, sets: n, sides },
            Dose::Reps { reps, each, rest, sides, .. } => Dose::Reps { reps, each, rest, sets: n, sides },
            Dose::Tries { each, .. } => Dose::Tries { tries: n, each },
        }
    }

    /// Sets (or tries per side).
    pub fn sets(&self) -> u32 {
        match *self {
            Dose::Timed { sets, .. } | Dose::Reps { sets, .. } => sets,
            Dose::Tries { tries, .. } => tries,
        }
    }

    /// Whole minutes of a block: explaining, then the dose as often as the players at a station take turns.
    pub fn block(&self, explaining: Seconds, turns: u32) -> Minutes {
        (explaining + self.duration() * f64::from(turns)).minutes_up()
    }

    /// The largest dose of this form that fits into a block, at least one set.
    pub fn filling(self, block: Minutes, explaining: Seconds, turns: u32) -> Dose {
        let fits = |n: &u32| self.with_sets(*n).block(explaining, turns) <= block;
        let n = (1..=200).take_while(fits).last().unwrap_or(1);
        self.with_sets(n)
    }

    /// Share of the dose in which a player is not at work, if at any time only `working` of the squad are:
    /// 1 − working share × work ÷ (work + rest).
    pub fn waiting_share(&self, working: Share) -> Share {
        let all = self.duration().0;
        Share(if all > 0.0 { 1.0 - working.0 * self.work().0 / all } else { 0.0 })
    }

    /// Work to rest in lowest terms, as "1:1"; nothing if there is no rest.
    pub fn work_to_rest(&self) -> Option<String> {
        let (work, rest) = (self.bout().0.round() as u64, self.rest().0.round() as u64);
        let common = gcd(work, rest);
        (rest > 0 && common > 0).then(|| format!("{}:{}", work / common, rest / common))
    }
}

fn gcd(a: u64, b: u64) -> u64 {
    if b == 0 { a } else { gcd(b, a % b) }
}

/// Touches that one player gets in a block: touches per second of work × seconds of work × working share.
///
/// ```
/// use jogo_core::{dose::touches, units::{Seconds, Share}};
/// assert_eq!(touches(2.0, Seconds(180.0), Share(0.5)), 180);
/// ```
pub fn touches(per_second: f64, work: Seconds, working: Share) -> u32 {
    (per_second * work.0 * working.0).round().max(0.0) as u32
}

#[cfg(test)]
mod tests {
    use super::*;
    use rstest::rstest;

    const MINUTE: Seconds = Seconds(60.0);

    fn timed(work: f64, rest: f64, sets: u32, sides: SideRule) -> Dose {
        Dose::Timed { work: Seconds(work), rest: Seconds(rest), sets, sides }
    }

    // By hand: explaining 60 s, then the duration times the turns.
    #[rstest]
    #[case::rounds_of_thirty(timed(30.0, 30.0, 6, SideRule::Alternate), 1, 330.0, 7)]
    #[case::each_foot_doubles_the_bouts(timed(20.0, 10.0, 3, SideRule::Each), 1, 170.0, 4)]
    #[case::two_take_turns(timed(30.0, 0.0, 2, SideRule::Together), 2, 60.0, 3)]
    #[case::no_sets_is_only_talk(timed(30.0, 30.0, 0, SideRule::Together), 1, 0.0, 1)]
    #[case::ten_each_foot(Dose::Reps { reps: 10, each: Seconds(1.5), rest: Seconds(20.0), sets: 2, sides: SideRule::Each }, 1, 120.0, 3)]
    #[case::five_tries_a_foot(Dose::Tries { tries: 5, each: Seconds(6.0) }, 1, 60.0, 2)]
    fn how_long(#[case] dose: Dose, #[case] turns: u32, #[case] seconds: f64, #[case] block: u32) {
        assert_eq!(dose.duration(), Seconds(seconds));
        assert_eq!(dose.block(MINUTE, turns), Minutes(block));
    }

    #[test]
    fn a_longer_block_is_filled_with_more_sets() {
        let six = timed(30.0, 30.0, 6, SideRule::Alternate);
        assert_eq!(six.filling(Minutes(10), MINUTE, 1).sets(), 9); // 60 + 9 × 30 + 8 × 30 = 570 s
        assert_eq!(six.filling(Minutes(1), MINUTE, 1).sets(), 1); // never nothing
    }

    #[test]
    fn waiting_counts_rest_and_those_who_stand() {
        let dose = timed(30.0, 30.0, 2, SideRule::Together); // 60 of 90 s are work
        assert!((dose.waiting_share(Share(0.5)).0 - (1.0 - 0.5 * 60.0 / 90.0)).abs() < 1e-12);
        assert_eq!(timed(40.0, 20.0, 2, SideRule::Together).work_to_rest().as_deref(), Some("2:1"));
        assert_eq!(timed(40.0, 0.0, 2, SideRule::Together).work_to_rest(), None);
    }
}
