//! Delivery: what really happened to a planned session?
//!
//! A coach says of each block that it was done, cut short or skipped. What was said is never overwritten: each saying
//! is an entry with an id made on the device, entries may arrive in any order and any number of times, and the latest
//! one counts.

pub mod came_off;
pub mod chains;
pub mod days_off;
pub mod edition;
pub mod eyes_on;
pub mod hinges;
pub mod home;
pub mod log;
pub mod looks;
pub mod next_time;
pub mod pairs;
pub mod presence;
pub mod series;
pub mod session;
pub mod stations;
pub mod surfaces;
pub mod team_plan;
pub mod voices;

use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::delivery::edition::Edition;
use crate::plan::problem::SuccessWindow;
use crate::plan::{Block, BlockId, Plan, Problem};
use crate::units::Minutes;

/// How a block went.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Outcome {
    /// Done as planned.
    Done,
    /// Begun, and cut short.
    Short,
    /// Left out.
    Skipped,
}

impl Outcome {
    /// The minutes that count as delivered: the planned ones if done; if cut short those that were said, or half of the
    /// planned ones if none were said; none if skipped.
    ///
    /// ```
    /// use jogo_core::{delivery::Outcome, units::Minutes};
    /// assert_eq!(Outcome::Done.delivered(Minutes(8), None), Minutes(8));
    /// assert_eq!(Outcome::Short.delivered(Minutes(9), None), Minutes(4));
    /// assert_eq!(Outcome::Short.delivered(Minutes(9), Some(Minutes(6))), Minutes(6));
    /// assert_eq!(Outcome::Skipped.delivered(Minutes(8), Some(Minutes(3))), Minutes(0));
    /// ```
    pub fn delivered(self, planned: Minutes, said: Option<Minutes>) -> Minutes {
        match self {
            Outcome::Done => planned,
            Outcome::Short => said.unwrap_or(Minutes(planned.0 / 2)).min(planned),
            Outcome::Skipped => Minutes(0),
        }
    }
}

/// The rung of a drill that was run in place of the planned one.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Ran {
    /// The next easier one.
    OneDown,
    /// The next harder one.
    OneUp,
}

/// How hard the next block of a skill is to be, seen from what came off in this one.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum NextTime {
    /// One rung easier than planned.
    OneDown,
    /// As planned.
    Same,
    /// One rung harder.
    OneUp,
}

impl NextTime {
    /// What is proposed when so many of ten tries came off: above the window one up, below it one down.
    ///
    /// ```
    /// use jogo_core::{delivery::NextTime, plan::Approach};
    /// let window = Approach::BALANCED.success_window; // 70 to 90 %
    /// assert_eq!(NextTime::after(6, window), NextTime::OneDown);
    /// assert_eq!(NextTime::after(7, window), NextTime::Same);
    /// assert_eq!(NextTime::after(9, window), NextTime::Same);
    /// assert_eq!(NextTime::after(10, window), NextTime::OneUp);
    /// ```
    pub fn after(tenths: u8, window: SuccessWindow) -> NextTime {
        // In whole percent: a tenth in floating point lies beside the one that somebody wrote.
        let [least, most] = [window.least, window.most].map(|share| share.percent().round());
        match 10.0 * f64::from(tenths) {
            came_off if came_off < least => NextTime::OneDown,
            came_off if came_off > most => NextTime::OneUp,
            _ => NextTime::Same,
        }
    }
}

/// How a block went, as a coach said it.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Went {
    /// Whether it was done, cut short or skipped.
    pub outcome: Outcome,
    /// How long it took, if that was said.
    pub minutes: Option<Minutes>,
    /// Successful tries in percent, if that was said.
    pub success: Option<u8>,
    /// The rung that was run instead of the planned one.
    pub ran: Option<Ran>,
}

impl From<(Outcome, Option<Minutes>)> for Went {
    fn from((outcome, minutes): (Outcome, Option<Minutes>)) -> Went {
        Went { outcome, minutes, success: None, ran: None }
    }
}

/// What was last said of each block, in the session of which it was said: a block that moves on after it was skipped
/// has still its turn before it.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Said(BTreeMap<(usize, BlockId), Went>);

impl Said {
    /// What was last said of a block in a session (from 0); nothing of a block that was never kept.
    pub fn of(&self, session: usize, block: &Block) -> Option<&Went> {
        self.0.get(&(session, block.id?))
    }

    /// Whether nothing was said at all.
    pub fn is_empty(&self) -> bool {
        self.0.is_empty()
    }

    /// The sessions of which anything was said.
    pub fn sessions(&self) -> BTreeSet<usize> {
        self.0.keys().map(|(session, _)| *session).collect()
    }

    /// The first session after all of which anything was said.
    pub fn next_session(&self) -> usize {
        self.0.keys().map(|(session, _)| session + 1).max().unwrap_or(0)
    }

    /// The blocks that were run, at least in part, each with the session in which that was.
    pub fn run(&self) -> Vec<(usize, BlockId)> {
        let run = self.0.iter().filter(|(_, went)| went.outcome != Outcome::Skipped);
        run.map(|(place, _)| *place).collect()
    }
}

impl<W: Into<Went>> FromIterator<((usize, BlockId), W)> for Said {
    fn from_iter<I: IntoIterator<Item = ((usize, BlockId), W)>>(said: I) -> Said {
        Said(said.into_iter().map(|(place, went)| (place, went.into())).collect())
    }
}

/// One week of one team, planned against delivered.
#[derive(Clone, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WeekTally {
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// Minutes that the plan gives to each strand, in the order of the strands.
    pub planned: [f64; 4],
    /// Minutes that were delivered.
    pub delivered: [f64; 4],
    /// Planned minutes of the sessions that are over or have a log.
    pub due: f64,
    /// Sessions of the week.
    pub sessions: u32,
    /// Those that were cancelled.
    pub cancelled: u32,
    /// Sessions that are over and of which nothing was said.
    pub logs_missing: u32,
    /// Whether the whole week lies ahead.
    pub ahead: bool,
}

impl WeekTally {
    fn add(&mut self, other: &WeekTally) {
        for (sum, minutes) in self.planned.iter_mut().zip(other.planned) {
            *sum += minutes;
        }
        for (sum, minutes) in self.delivered.iter_mut().zip(other.delivered) {
            *sum += minutes;
        }
        self.due += other.due;
        self.sessions += other.sessions;
        self.cancelled += other.cancelled;
        self.logs_missing += other.logs_missing;
        self.ahead &= other.ahead;
    }
}

/// An edition as a team works by it on some days.
pub struct Worked<'e> {
    /// What the edition planned for the team's days.
    pub published: &'e Plan,
    /// The edition with what the team has of its own.
    pub edition: &'e Edition,
    /// The problem of that.
    pub problem: &'e Problem,
    /// What was said of it.
    pub said: &'e Said,
}

impl Worked<'_> {
    /// Planned against delivered, week by week, as known on a day. What was published is what counts as planned,
    /// however it went. Nobody is asked for the log of that day yet, nor for that of a session that was
    /// cancelled. Only sessions on days that `holds` count.
    pub fn tally(&self, today: Date, holds: &dyn Fn(Date) -> bool) -> Vec<WeekTally> {
        let mut weeks: BTreeMap<u32, WeekTally> = BTreeMap::new();
        let sessions = self.edition.plan.sessions.iter().zip(&self.problem.sessions).enumerate();
        for (session, (blocks, wish)) in sessions.filter(|(_, (_, wish))| holds(wish.date)) {
            let week = weeks.entry(wish.week).or_insert_with(|| WeekTally {
                week: wish.week,
                ahead: true,
                ..WeekTally::default()
            });
            week.sessions += 1;
            week.ahead &= wish.date > today;
            let mut planned = [0.0; 4];
            for block in self.published.sessions.get(session).into_iter().flatten() {
                self.count(block, block.minutes, &mut planned);
            }
            let cancelled = wish.minutes == Minutes(0);
            week.cancelled += u32::from(cancelled);
            let mut silent = true;
            for block in blocks {
                let went = self.said.of(session, block);
                silent &= went.is_none();
                let delivered =
                    went.map_or(Minutes(0), |went| went.outcome.delivered(block.minutes, went.minutes));
                self.count(block, delivered, &mut week.delivered);
            }
            week.due += if wish.date < today || !silent { planned.iter().sum() } else { 0.0 };
            for (sum, minutes) in week.planned.iter_mut().zip(planned) {
                *sum += minutes;
            }
            week.logs_missing += u32::from(silent && !cancelled && wish.date < today);
        }
        weeks.into_values().collect()
    }

    fn count(&self, block: &Block, minutes: Minutes, strands: &mut [f64; 4]) {
        for (strand, share) in self.problem.variant(&block.variant).into_iter().flat_map(|v| &v.strands) {
            strands[strand.index()] += f64::from(minutes.0) * share.0;
        }
    }
}

/// The tallies of a team's editions of one curriculum in one.
pub fn together(tallies: impl IntoIterator<Item = WeekTally>) -> Vec<WeekTally> {
    let mut weeks: BTreeMap<u32, WeekTally> = BTreeMap::new();
    for tally in tallies {
        weeks.entry(tally.week).and_modify(|week| week.add(&tally)).or_insert(tally);
    }
    weeks.into_values().collect()
}
