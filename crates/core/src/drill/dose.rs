//! The dose: how long, how often, how many touches?
//!
//! | kind | bouts | duration |
//! |---|---|---|
//! | `timed` | n, doubled by `each` | bouts × work + (bouts − 1) × rest |
//! | `reps` | n, doubled by `each` | bouts × r × s + (bouts − 1) × rest |
//! | `laps` | reps × directions | bouts × laps × s + (bouts − 1) × rest |
//! | `tries` | 1 per side | tries × sides × s |
//! | `streak` | 1 | the cap, at worst; (p⁻ᵏ − 1) ÷ (1 − p) tries are expected at a success share p |
//! | `until_told` | n, doubled by `each` | bouts × the longest + (bouts − 1) × rest, at worst |
//! | `series` | moves × rounds, and a challenge | rounds × (moves × work + (moves − 1) × rest) + breaks + challenge |
//!
//! The seconds s of a repetition or lap are given, or what the layout's paths take at the band's speeds; a [`Dose`]
//! with them is a [`Schedule`]. A block adds the explaining, and repeats the dose ⌈k ÷ a⌉ times where only a of the k
//! players at a station work at once.
//!
//! ```
//! use jogo_core::drill::dose::{Dose, SideRule};
//! use jogo_core::units::{Minutes, Seconds};
//!
//! let rounds = Dose::Timed { work: Seconds(30.0), rest: Seconds(30.0), sets: 6, sides: SideRule::Alternate };
//! let schedule = rounds.scheduled(Seconds(0.0));
//! assert_eq!(schedule.duration(), Seconds(330.0)); // 6 × 30 + 5 × 30
//! assert_eq!(schedule.block(Seconds(60.0), 1), Minutes(7)); // 390 s, rounded up
//! assert_eq!(schedule.work_to_rest().as_deref(), Some("1:1"));
//! ```

use serde::{Deserialize, Serialize};

use crate::input::{InputError, RangeFault};
use crate::technique::skill::Foot;
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
    /// How many repetitions.
    Reps {
        /// Repetitions in a set, per side if the sides are worked each on their own.
        reps: u32,
        /// How long one takes; else as long as the layout's paths take.
        #[serde(rename = "each_s", default, skip_serializing_if = "Option::is_none")]
        each: Option<Seconds>,
        /// Rest between sets.
        #[serde(rename = "rest_s")]
        rest: Seconds,
        /// Sets.
        sets: u32,
        /// How the feet share the work.
        sides: SideRule,
    },
    /// How many laps, one way round or both.
    Laps {
        /// Laps in a repetition.
        laps: u32,
        /// Repetitions in each direction.
        reps: u32,
        /// One way round, or both: 1 or 2.
        directions: u32,
        /// How long a lap takes; else as long as the layout's paths take.
        #[serde(rename = "each_s", default, skip_serializing_if = "Option::is_none")]
        each: Option<Seconds>,
        /// Rest between repetitions.
        #[serde(rename = "rest_s")]
        rest: Seconds,
    },
    /// How many tries.
    Tries {
        /// Tries, per side if the sides are worked each on their own.
        tries: u32,
        /// How long one takes.
        #[serde(rename = "each_s")]
        each: Seconds,
        /// How the feet share the work.
        #[serde(default = "each_side")]
        sides: SideRule,
    },
    /// Until a streak of successes ends it, or the time is up.
    Streak {
        /// Successes in a row.
        target: u32,
        /// The longest that it may take.
        #[serde(rename = "cap_s")]
        cap: Seconds,
        /// How long a try takes.
        #[serde(rename = "try_s")]
        each: Seconds,
    },
    /// Until the coach calls the change, at a time that cannot be guessed.
    UntilTold {
        /// The shortest bout.
        #[serde(rename = "least_s")]
        least: Seconds,
        /// The longest one.
        #[serde(rename = "most_s")]
        most: Seconds,
        /// Rest between bouts.
        #[serde(rename = "rest_s")]
        rest: Seconds,
        /// Bouts, per side if the sides are worked each on their own.
        sets: u32,
        /// How the feet share the work.
        sides: SideRule,
    },
    /// The moves of the drill's series, one after another by one clock.
    Series {
        /// How many of its moves, from the first one on.
        moves: u32,
        /// Work in each.
        #[serde(rename = "work_s")]
        work: Seconds,
        /// Rest between two moves.
        #[serde(rename = "rest_s")]
        rest: Seconds,
        /// Rounds of all the moves.
        rounds: u32,
        /// Rest between rounds and before the challenge.
        #[serde(rename = "break_s")]
        pause: Seconds,
        /// The challenge at the end, if there is one.
        #[serde(rename = "challenge_s", default, skip_serializing_if = "Option::is_none")]
        challenge: Option<Seconds>,
    },
}

/// The most moves of a series.
pub const MOST_MOVES: usize = 12;

/// A count of a dose, its place and the most that it may be.
type AtMost = (&'static str, u32, u32);
/// Seconds of a dose, their place and the least that they may be.
type AtLeast = (&'static str, f64, f64);

fn each_side() -> SideRule {
    SideRule::Each
}

impl Dose {
    /// The dose with the seconds of a repetition known: `once` is how long the layout's paths take, for doses that do
    /// not say it themselves.
    pub fn scheduled(self, once: Seconds) -> Schedule {
        Schedule { dose: self, once, feet: [None; MOST_MOVES] }
    }

    /// The same dose for one foot alone.
    pub fn for_one_foot(mut self) -> Dose {
        if let Dose::Timed { sides, .. }
        | Dose::Reps { sides, .. }
        | Dose::Tries { sides, .. }
        | Dose::UntilTold { sides, .. } = &mut self
        {
            *sides = SideRule::Together;
        }
        self
    }

    /// The same dose with another number of sets (or repetitions of laps, or tries, or rounds of a series). A streak
    /// has only one.
    pub fn with_sets(self, n: u32) -> Dose {
        match self {
            Dose::Timed { work, rest, sides, .. } => Dose::Timed { work, rest, sets: n, sides },
            Dose::Reps { reps, each, rest, sides, .. } => Dose::Reps { reps, each, rest, sets: n, sides },
            Dose::Laps { laps, directions, each, rest, .. } => {
                Dose::Laps { laps, reps: n, directions, each, rest }
            }
            Dose::Tries { each, sides, .. } => Dose::Tries { tries: n, each, sides },
            Dose::Streak { .. } => self,
            Dose::UntilTold { least, most, rest, sides, .. } => {
                Dose::UntilTold { least, most, rest, sets: n, sides }
            }
            Dose::Series { moves, work, rest, pause, challenge, .. } => {
                Dose::Series { moves, work, rest, rounds: n, pause, challenge }
            }
        }
    }

    /// Sets (or repetitions of laps, or tries, or rounds of a series).
    pub fn sets(&self) -> u32 {
        match *self {
            Dose::Timed { sets, .. } | Dose::Reps { sets, .. } | Dose::UntilTold { sets, .. } => sets,
            Dose::Series { rounds, .. } => rounds,
            Dose::Laps { reps, .. } => reps,
            Dose::Tries { tries, .. } => tries,
            Dose::Streak { .. } => 1,
        }
    }

    /// How the feet share the work.
    pub fn sides(&self) -> SideRule {
        match *self {
            Dose::Timed { sides, .. }
            | Dose::Reps { sides, .. }
            | Dose::Tries { sides, .. }
            | Dose::UntilTold { sides, .. } => sides,
            Dose::Laps { .. } | Dose::Streak { .. } | Dose::Series { .. } => SideRule::Together,
        }
    }

    /// Whether its seconds come from the layout's paths.
    pub fn follows_paths(&self) -> bool {
        matches!(self, Dose::Reps { each: None, .. } | Dose::Laps { each: None, .. })
    }

    /// Successes in a row that end it, if it is a streak.
    pub fn streak(&self) -> Option<u32> {
        match *self {
            Dose::Streak { target, .. } => Some(target),
            _ => None,
        }
    }

    /// Whether a bout is one piece of work; tries and streaks have pauses of their own.
    pub fn is_unbroken(&self) -> bool {
        !matches!(self, Dose::Tries { .. } | Dose::Streak { .. })
    }

    /// Every number out of its range, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let second = |s: Option<Seconds>| s.unwrap_or(Seconds(1.0)).0;
        let (counts, seconds): (Vec<AtMost>, Vec<AtLeast>) = match *self {
            Dose::Timed { work, rest, sets, .. } => {
                (vec![("/sets", sets, 50)], vec![("/work_s", work.0, 0.5), ("/rest_s", rest.0, 0.0)])
            }
            Dose::Reps { reps, each, rest, sets, .. } => (
                vec![("/reps", reps, 200), ("/sets", sets, 50)],
                vec![("/each_s", second(each), 0.2), ("/rest_s", rest.0, 0.0)],
            ),
            Dose::Laps { laps, reps, directions, each, rest } => (
                vec![("/laps", laps, 50), ("/reps", reps, 50), ("/directions", directions, 2)],
                vec![("/each_s", second(each), 0.2), ("/rest_s", rest.0, 0.0)],
            ),
            Dose::Tries { tries, each, .. } => (vec![("/tries", tries, 200)], vec![("/each_s", each.0, 0.2)]),
            Dose::Streak { target, cap, each } => {
                (vec![("/target", target, 500)], vec![("/cap_s", cap.0, 5.0), ("/try_s", each.0, 0.2)])
            }
            Dose::UntilTold { least, most, rest, sets, .. } => (
                vec![("/sets", sets, 50)],
                vec![("/least_s", least.0, 2.0), ("/most_s", most.0, least.0), ("/rest_s", rest.0, 0.0)],
            ),
            Dose::Series { moves, work, rest, rounds, pause, challenge } => (
                vec![("/moves", moves, MOST_MOVES as u32), ("/rounds", rounds, 20)],
                vec![
                    ("/work_s", work.0, 2.0),
                    ("/rest_s", rest.0, 0.0),
                    ("/break_s", pause.0, 0.0),
                    ("/challenge_s", challenge.unwrap_or(Seconds(5.0)).0, 5.0),
                ],
            ),
        };
        let counted = counts.into_iter().filter(|(_, n, most)| !(1..=*most).contains(n));
        let timed = seconds.into_iter().filter(|(_, s, least)| !(*least..=1800.0).contains(s));
        let many = |n: u32, most: u32| RangeFault::Between { value: n.into(), least: 1.0, most: most.into() };
        let lasts = |value: f64, least: f64| RangeFault::Seconds { value, least, most: 1800.0 };
        counted
            .map(|(at, n, most)| InputError::at(at, many(n, most)))
            .chain(timed.map(|(at, s, least)| InputError::at(at, lasts(s, least))))
            .collect()
    }
}

/// A dose whose every second is known.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Schedule {
    /// How much.
    pub dose: Dose,
    once: Seconds,
    /// Of each move of a series, the foot that works alone.
    feet: [Option<Foot>; MOST_MOVES],
}

impl Schedule {
    /// One bout of work.
    pub fn bout(&self) -> Seconds {
        match self.dose {
            Dose::Timed { work, .. } => work,
            Dose::Reps { reps, .. } => self.one() * f64::from(reps),
            Dose::Laps { laps, .. } => self.one() * f64::from(laps),
            Dose::Tries { tries, .. } => self.one() * f64::from(tries),
            Dose::Streak { cap, .. } => cap,
            Dose::UntilTold { most, .. } => most,
            Dose::Series { work, .. } => work,
        }
    }

    /// The longest stretch without a rest. In a series whose moves follow each other without one, changing the move is
    /// going on, and so is the next round without a break.
    ///
    /// ```
    /// use jogo_core::drill::dose::Dose;
    /// use jogo_core::units::Seconds;
    /// let series = |rest: f64| Dose::Series {
    ///     moves: 5,
    ///     work: Seconds(20.0),
    ///     rest: Seconds(rest),
    ///     rounds: 2,
    ///     pause: Seconds(60.0),
    ///     challenge: Some(Seconds(30.0)),
    /// };
    /// assert_eq!(series(10.0).scheduled(Seconds(0.0)).longest(), Seconds(30.0)); // the challenge
    /// assert_eq!(series(0.0).scheduled(Seconds(0.0)).longest(), Seconds(100.0)); // five ways without a break
    /// ```
    pub fn longest(&self) -> Seconds {
        let Dose::Series { moves, work, rest, rounds, pause, challenge } = self.dose else {
            return self.bout();
        };
        let last = challenge.unwrap_or_default();
        let stretches = match (rest.0 > 0.0, pause.0 > 0.0) {
            (true, true) => [work, last],
            // Without a break the last move goes on into the next round, or into the challenge.
            (true, false) => [if rounds > 1 { work * 2.0 } else { work }, work + last],
            (false, true) => [work * f64::from(moves), last],
            (false, false) => [work * f64::from(moves * rounds) + last; 2],
        };
        Seconds(stretches[0].0.max(stretches[1].0))
    }

    /// One repetition, lap or try; nothing where the dose has none.
    pub fn one(&self) -> Seconds {
        match self.dose {
            Dose::Timed { .. } | Dose::UntilTold { .. } | Dose::Series { .. } => Seconds(0.0),
            Dose::Reps { each, .. } | Dose::Laps { each, .. } => each.unwrap_or(self.once),
            Dose::Tries { each, .. } | Dose::Streak { each, .. } => each,
        }
    }

    /// How many bouts, both sides counted; of a series without its challenge.
    pub fn bouts(&self) -> u32 {
        let sided = |n: u32, sides: SideRule| match sides {
            SideRule::Each => 2 * n,
            SideRule::Together | SideRule::Alternate => n,
        };
        match self.dose {
            Dose::Timed { sets, sides, .. }
            | Dose::Reps { sets, sides, .. }
            | Dose::UntilTold { sets, sides, .. } => sided(sets, sides),
            Dose::Series { moves, rounds, .. } => moves * rounds,
            Dose::Laps { reps, directions, .. } => reps * directions,
            Dose::Tries { sides, .. } => sided(1, sides),
            Dose::Streak { .. } => 1,
        }
    }

    /// Rest between two bouts.
    pub fn rest(&self) -> Seconds {
        match self.dose {
            Dose::Timed { rest, .. }
            | Dose::Reps { rest, .. }
            | Dose::Laps { rest, .. }
            | Dose::UntilTold { rest, .. }
            | Dose::Series { rest, .. } => rest,
            Dose::Tries { .. } | Dose::Streak { .. } => Seconds(0.0),
        }
    }

    /// How the feet share the work.
    pub fn sides(&self) -> SideRule {
        self.dose.sides()
    }

    /// The same where this foot works alone: there is no turn of the other one.
    ///
    /// ```
    /// use jogo_core::drill::dose::{Dose, SideRule};
    /// use jogo_core::technique::skill::Foot;
    /// use jogo_core::units::Seconds;
    /// let dose = Dose::Timed { work: Seconds(20.0), rest: Seconds(10.0), sets: 3, sides: SideRule::Each };
    /// let each = dose.scheduled(Seconds(0.0));
    /// assert_eq!((each.bouts(), each.for_foot(Some(Foot::Other)).bouts(), each.for_foot(None).bouts()), (6, 3, 6));
    /// ```
    pub fn for_foot(self, foot: Option<Foot>) -> Schedule {
        match foot {
            None => self,
            Some(_) => Schedule { dose: self.dose.for_one_foot(), feet: [None; MOST_MOVES], ..self },
        }
    }

    /// Work alone, all bouts together; of bouts that end when the coach says so, their mean.
    pub fn work(&self) -> Seconds {
        let bouts = f64::from(self.bouts());
        match self.dose {
            Dose::UntilTold { least, most, .. } => (least + most) * (bouts / 2.0),
            Dose::Series { challenge, .. } => self.bout() * bouts + challenge.unwrap_or_default(),
            _ => self.bout() * bouts,
        }
    }

    /// From the first second of work to the last, rests between included; at worst where that is not certain.
    pub fn duration(&self) -> Seconds {
        let bouts = f64::from(self.bouts());
        match self.dose {
            Dose::Series { moves, rest, rounds, pause, challenge, .. } => {
                let rests = rest * f64::from(rounds * moves.saturating_sub(1));
                let breaks = rounds.saturating_sub(1) + u32::from(challenge.is_some());
                self.work() + rests + pause * f64::from(breaks)
            }
            _ => self.bout() * bouts + self.rest() * (bouts - 1.0).max(0.0),
        }
    }

    /// The same with the foot of each move of a series that one foot does alone.
    pub fn with_feet(self, feet: impl IntoIterator<Item = Option<Foot>>) -> Schedule {
        let mut own = [None; MOST_MOVES];
        own.iter_mut().zip(feet).for_each(|(own, foot)| *own = foot);
        Schedule { feet: own, ..self }
    }

    /// The foot that does a move of a series (from 0) alone.
    pub fn foot_of_move(&self, place: u32) -> Option<Foot> {
        self.feet.get(place as usize).copied().flatten()
    }

    /// The share of the work of a series that one of its moves has, all rounds together.
    pub fn share_of_a_move(&self) -> Share {
        let Dose::Series { work, rounds, .. } = self.dose else { return Share(0.0) };
        Share((work * f64::from(rounds)).0 / self.work().0.max(f64::MIN_POSITIVE))
    }

    /// The share of the work of a series that this foot does alone; of a challenge nobody says how it is done.
    pub fn share_of(&self, foot: Foot) -> Share {
        let Dose::Series { moves, .. } = self.dose else { return Share(0.0) };
        let alone = (0..moves).filter(|place| self.foot_of_move(*place) == Some(foot)).count();
        Share(self.share_of_a_move().0 * alone as f64)
    }

    /// The same with another number of sets.
    pub fn with_sets(self, n: u32) -> Schedule {
        Schedule { dose: self.dose.with_sets(n), ..self }
    }

    /// Sets (or repetitions of laps, or tries, or rounds of a series).
    pub fn sets(&self) -> u32 {
        self.dose.sets()
    }

    /// Explaining, then the dose as often as the players at a station take turns.
    pub fn whole(&self, explaining: Seconds, turns: u32) -> Seconds {
        explaining + self.duration() * f64::from(turns)
    }

    /// Whole minutes of a block in a plan.
    pub fn block(&self, explaining: Seconds, turns: u32) -> Minutes {
        self.whole(explaining, turns).minutes_up()
    }

    /// The largest dose of this form that fits into a block, at least one set.
    pub fn filling(self, block: Minutes, explaining: Seconds, turns: u32) -> Schedule {
        if matches!(self.dose, Dose::Streak { .. }) {
            return self;
        }
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

    /// Work to rest in lowest terms, as "1:1"; `None` if there is no rest.
    pub fn work_to_rest(&self) -> Option<String> {
        let (work, rest) = (self.bout().0.round() as u64, self.rest().0.round() as u64);
        let common = gcd(work, rest);
        (rest > 0 && common > 0).then(|| format!("{}:{}", work / common, rest / common))
    }
}

/// How many tries a streak of `target` successes takes on average if a share of them succeeds: (p⁻ᵏ − 1) ÷ (1 − p), and
/// k itself for certain success. `None` for a share of nothing.
///
/// Source: the mean waiting time for k successes in a row in independent tries (first-step analysis).
///
/// ```
/// use jogo_core::{drill::dose::expected_tries, units::Share};
/// assert_eq!(expected_tries(Share(0.5), 3), Some(14.0)); // (2³ − 1) ÷ 0.5
/// assert_eq!(expected_tries(Share(1.0), 5), Some(5.0));
/// assert_eq!(expected_tries(Share(0.0), 5), None);
/// ```
pub fn expected_tries(success: Share, target: u32) -> Option<f64> {
    let p = success.0;
    let expected = if p == 1.0 {
        f64::from(target)
    } else if p > 0.0 && p < 1.0 {
        (p.powi(-(target.min(10_000) as i32)) - 1.0) / (1.0 - p)
    } else {
        return None;
    };
    expected.is_finite().then_some(expected)
}

fn gcd(a: u64, b: u64) -> u64 {
    if b == 0 { a } else { gcd(b, a % b) }
}

/// Touches that one player gets in a block: touches per second of work × seconds of work × working share.
///
/// ```
/// use jogo_core::{drill::dose::touches, units::{Seconds, Share}};
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

    fn tries(tries: u32, each: f64, sides: SideRule) -> Dose {
        Dose::Tries { tries, each: Seconds(each), sides }
    }

    const ALONG: Option<Seconds> = None;

    fn series(moves: u32, work: f64, rest: f64, rounds: u32, challenge: Option<f64>) -> Dose {
        let (pause, challenge) = (Seconds(60.0), challenge.map(Seconds));
        Dose::Series { moves, work: Seconds(work), rest: Seconds(rest), rounds, pause, challenge }
    }

    fn until_told(least: f64, most: f64, sets: u32) -> Dose {
        let (rest, sides) = (Seconds(20.0), SideRule::Each);
        Dose::UntilTold { least: Seconds(least), most: Seconds(most), rest, sets, sides }
    }

    // By hand: explaining 60 s, then the duration times the turns; once through the paths takes 12 s.
    #[rstest]
    #[case::rounds_of_thirty(timed(30.0, 30.0, 6, SideRule::Alternate), 1, 330.0, 7)]
    #[case::each_foot_doubles_the_bouts(timed(20.0, 10.0, 3, SideRule::Each), 1, 170.0, 4)]
    #[case::two_take_turns(timed(30.0, 0.0, 2, SideRule::Together), 2, 60.0, 3)]
    #[case::no_sets_is_only_talk(timed(30.0, 30.0, 0, SideRule::Together), 1, 0.0, 1)]
    #[case::ten_each_foot(
        Dose::Reps { reps: 10, each: Some(Seconds(1.5)), rest: Seconds(20.0), sets: 2, sides: SideRule::Each }, 1,
        120.0, 3,
    )]
    #[case::there_and_back_twice(
        Dose::Reps { reps: 2, each: ALONG, rest: Seconds(20.0), sets: 3, sides: SideRule::Together }, 1, 112.0, 3,
    )]
    #[case::five_rounds_each_way(
        Dose::Laps { laps: 5, reps: 2, directions: 2, each: Some(Seconds(8.0)), rest: Seconds(30.0) }, 1, 250.0, 6,
    )]
    #[case::laps_along_the_path(
        Dose::Laps { laps: 3, reps: 1, directions: 1, each: ALONG, rest: Seconds(30.0) }, 1, 36.0, 2,
    )]
    #[case::five_tries_a_foot(tries(5, 6.0, SideRule::Each), 1, 60.0, 2)]
    #[case::five_tries_in_all(tries(5, 6.0, SideRule::Together), 2, 30.0, 2)]
    #[case::a_streak_at_worst(Dose::Streak { target: 10, cap: Seconds(90.0), each: Seconds(2.0) }, 1, 90.0, 3)]
    // Two rounds of four moves, 4 × 30 + 3 × 30 s, and a break of 60 s between them.
    #[case::four_moves_twice(series(4, 30.0, 30.0, 2, None), 1, 480.0, 9)]
    // Six moves 30/30, then a break and whole chains: 6 × 30 + 5 × 30 + 60 + 30 s.
    #[case::then_whole_chains(series(6, 30.0, 30.0, 1, Some(30.0)), 1, 420.0, 8)]
    #[case::ten_minutes(series(10, 60.0, 0.0, 1, None), 1, 600.0, 11)]
    // At worst 4 × 40 + 3 × 20 s.
    #[case::until_the_coach_says_change(until_told(20.0, 40.0, 2), 1, 220.0, 5)]
    fn how_long(#[case] dose: Dose, #[case] turns: u32, #[case] seconds: f64, #[case] block: u32) {
        let schedule = dose.scheduled(Seconds(12.0));
        assert_eq!(schedule.duration(), Seconds(seconds));
        assert_eq!(schedule.block(MINUTE, turns), Minutes(block));
    }

    #[test]
    fn a_longer_block_is_filled_with_more_sets() {
        let six = timed(30.0, 30.0, 6, SideRule::Alternate).scheduled(Seconds(0.0));
        assert_eq!(six.filling(Minutes(10), MINUTE, 1).sets(), 9); // 60 + 9 × 30 + 8 × 30 = 570 s
        assert_eq!(six.filling(Minutes(1), MINUTE, 1).sets(), 1); // never nothing
        let streak =
            Dose::Streak { target: 10, cap: Seconds(90.0), each: Seconds(2.0) }.scheduled(Seconds(0.0));
        assert_eq!(streak.filling(Minutes(10), MINUTE, 1), streak);
    }

    #[test]
    fn a_series_shares_its_work_among_the_feet_of_its_moves() {
        let feet = [Some(Foot::Strong), None, Some(Foot::Other), Some(Foot::Other), Some(Foot::Strong)];
        // Of four moves one is for the strong foot and two are for the other; the fifth is not done.
        let four = series(4, 30.0, 30.0, 2, None).scheduled(Seconds(0.0)).with_feet(feet);
        assert_eq!((four.share_of(Foot::Strong), four.share_of(Foot::Other)), (Share(0.25), Share(0.5)));
        // With a challenge of 60 s beside 240 s of moves each share is smaller.
        let then = series(4, 30.0, 30.0, 2, Some(60.0)).scheduled(Seconds(0.0)).with_feet(feet);
        assert!((then.share_of(Foot::Other).0 - 120.0 / 300.0).abs() < 1e-12);
    }

    #[test]
    fn bouts_that_end_when_told_count_with_their_mean() {
        let told = until_told(20.0, 40.0, 2).scheduled(Seconds(0.0));
        assert_eq!((told.bouts(), told.work(), told.longest()), (4, Seconds(120.0), Seconds(40.0)));
    }

    #[test]
    fn waiting_counts_rest_and_those_who_stand() {
        let dose = timed(30.0, 30.0, 2, SideRule::Together).scheduled(Seconds(0.0)); // 60 of 90 s are work
        assert!((dose.waiting_share(Share(0.5)).0 - (1.0 - 0.5 * 60.0 / 90.0)).abs() < 1e-12);
        let ratio =
            |work, rest| timed(work, rest, 2, SideRule::Together).scheduled(Seconds(0.0)).work_to_rest();
        assert_eq!(ratio(40.0, 20.0).as_deref(), Some("2:1"));
        assert_eq!(ratio(40.0, 0.0), None);
    }

    /// Expected tries by another way: E(k) = (E(k − 1) + 1) ÷ p.
    #[rstest]
    #[case::a_coin(0.5, 5)]
    #[case::mostly(0.9, 10)]
    #[case::hardly(0.1, 3)]
    fn expected_tries_of_a_streak(#[case] p: f64, #[case] target: u32) {
        let step_by_step = (0..target).fold(0.0, |tries, _| (tries + 1.0) / p);
        let found = expected_tries(Share(p), target).unwrap();
        assert!((found - step_by_step).abs() < 1e-6 * step_by_step, "{found} against {step_by_step}");
    }

    #[rstest]
    #[case::sound(timed(30.0, 30.0, 6, SideRule::Each), &[])]
    #[case::nothing_to_do(timed(0.0, 0.0, 0, SideRule::Each), &["/sets", "/work_s"])]
    #[case::three_ways_round(
        Dose::Laps { laps: 1, reps: 1, directions: 3, each: ALONG, rest: Seconds(0.0) }, &["/directions"],
    )]
    #[case::not_a_number(tries(5, f64::NAN, SideRule::Each), &["/each_s"])]
    #[case::an_endless_streak(
        Dose::Streak { target: 501, cap: Seconds(9e9), each: Seconds(2.0) }, &["/target", "/cap_s"],
    )]
    #[case::more_moves_than_any_series(series(13, 30.0, 0.0, 0, Some(2.0)), &["/moves", "/rounds", "/challenge_s"])]
    #[case::told_before_it_may_be(until_told(20.0, 10.0, 2), &["/most_s"])]
    fn faults_name_their_places(#[case] dose: Dose, #[case] places: &[&str]) {
        let found: Vec<String> = dose.faults().into_iter().map(|f| f.pointer).collect();
        assert_eq!(found, places);
    }
}
