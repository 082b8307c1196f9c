//! Milestones: can they do it?
//!
//! A milestone is a sentence with an evidence rule: results of a test, points seen by a coach, or both. Its state is
//! never typed in; it follows from the results in date order:
//!
//! | state | when |
//! |---|---|
//! | not seen | no evidence yet |
//! | on the way | some evidence |
//! | met | the rule holds |
//! | kept | a date at least 21 days after it was met bears it out again; after it slipped, after it was met again |
//! | slipped | it was met, and the last two dates contradict it |
//!
//! A date contradicts the rule if anything that was measured or seen on it fell short. A coach may say otherwise,
//! with a reason: what was said last counts until it is taken back, and shows as said.
//!
//! Results are those of [`results`](crate::assessment::results), each with the level of its day, so that the state of
//! any past date comes out as it was then.

pub mod check;
pub mod ready;
pub mod tally;
pub mod to_see;

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::assessment::benchmarks::{Better, Protocol, SEEN, Test};
use crate::assessment::levels::Level;
use crate::assessment::results::TestResult;
use crate::ids::{BandId, MilestoneId, SkillId, TestId};
use crate::technique::skill::{Gate, Side, Stage};

/// What was met is kept when it is borne out this many days later.
pub const KEPT_AFTER_DAYS: i32 = 21;

/// A "can do" sentence with the evidence that meets it.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Milestone {
    /// As `sole-turn-looking-up`.
    pub id: MilestoneId,
    /// The sentence: "I can turn both ways with the sole while looking up".
    pub says: String,
    /// As it stands in a narrow table.
    pub short: String,
    /// The skill that it shows.
    pub skill: SkillId,
    /// How far the skill has come with it.
    pub stage: Stage,
    /// For which band.
    pub band: BandId,
    /// What meets it.
    pub evidence: Evidence,
}

/// What meets a milestone.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case", deny_unknown_fields)]
pub enum Evidence {
    /// Results of a test.
    Measured(Measured),
    /// Points that a coach saw.
    Seen(Seen),
    /// Both.
    Both {
        /// Results of a test.
        measured: Measured,
        /// Points that a coach saw.
        seen: Seen,
    },
}

/// A test, reached so often of the last this many dates.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Measured {
    /// Which test.
    pub test: TestId,
    /// What has to be reached.
    pub reach: Reach,
    /// With which feet, if the test is taken per foot.
    #[serde(default)]
    pub feet: Feet,
    /// On how many dates…
    pub times: u32,
    /// …out of this many latest dates.
    pub of_last: u32,
}

/// What a result has to reach.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case", deny_unknown_fields)]
pub enum Reach {
    /// This level of its day, or a higher one.
    Level(Level),
    /// This value, or a better one.
    Value(f64),
}

/// With which feet something has to be shown.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Feet {
    /// With each of them.
    #[default]
    Both,
    /// With one of them, whichever it is.
    Either,
    /// With the strong one.
    Strong,
    /// With the other one.
    Other,
}

/// Points of a test that a coach looks at, all of them seen in full on this many days.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Seen {
    /// The test whose points are looked at.
    pub test: TestId,
    /// Which points, counted from 1; all of them if none is named.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub points: Vec<u32>,
    /// On how many different days.
    pub days: u32,
}

impl Evidence {
    /// The part that is measured.
    pub fn measured(&self) -> Option<&Measured> {
        match self {
            Evidence::Measured(measured) | Evidence::Both { measured, .. } => Some(measured),
            Evidence::Seen(_) => None,
        }
    }

    /// The part that is seen.
    pub fn seen(&self) -> Option<&Seen> {
        match self {
            Evidence::Seen(seen) | Evidence::Both { seen, .. } => Some(seen),
            Evidence::Measured(_) => None,
        }
    }

    /// Whether it rests on a test.
    pub fn rests_on(&self, test: &str) -> bool {
        self.tests().any(|of| of == test)
    }

    /// The tests that it rests on.
    pub fn tests(&self) -> impl Iterator<Item = &TestId> {
        let measured = self.measured().map(|measured| &measured.test);
        measured.into_iter().chain(self.seen().map(|seen| &seen.test))
    }
}

/// How a player stands with a milestone.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum MilestoneState {
    /// No evidence yet.
    #[default]
    NotSeen,
    /// Some evidence.
    OnTheWay,
    /// It was met, and the last two dates contradict it.
    Slipped,
    /// The rule holds.
    Met,
    /// The rule held again later.
    Kept,
}

impl MilestoneState {
    /// Whether the player has it.
    pub fn is_had(self) -> bool {
        matches!(self, MilestoneState::Met | MilestoneState::Kept)
    }
}

/// What a coach says against the evidence.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Verdict {
    /// They can do it.
    Met,
    /// They cannot do it yet.
    NotYet,
    /// What was said before is taken back: the evidence speaks.
    AsEvidence,
}

impl Verdict {
    /// All of them.
    pub const ALL: [Verdict; 3] = [Verdict::Met, Verdict::NotYet, Verdict::AsEvidence];

    /// The state that it sets; `None` if the evidence decides.
    ///
    /// ```
    /// use jogo_core::assessment::milestones::{MilestoneState, Verdict};
    /// assert_eq!(Verdict::NotYet.state(), Some(MilestoneState::OnTheWay));
    /// assert_eq!(Verdict::AsEvidence.state(), None);
    /// ```
    pub fn state(self) -> Option<MilestoneState> {
        match self {
            Verdict::Met => Some(MilestoneState::Met),
            Verdict::NotYet => Some(MilestoneState::OnTheWay),
            Verdict::AsEvidence => None,
        }
    }
}

/// A word of a coach on a player and a milestone.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Override {
    /// From this day on.
    pub on: Date,
    /// What it says.
    pub verdict: Verdict,
    /// Why.
    pub reason: String,
    /// Who said it.
    pub by: String,
}

/// Where a player stands with a milestone on a day, and since when.
#[derive(Clone, Debug, Default, PartialEq)]
pub struct Standing {
    /// The state, the word of a coach included.
    pub state: MilestoneState,
    /// What the evidence alone says.
    pub by_evidence: MilestoneState,
    /// The day from which it has been so.
    pub since: Option<Date>,
    /// The word of a coach that stands.
    pub overridden: Option<Override>,
}

/// What the dates of one player say of a rule: on each, whether everything that was shown bore it out, and whether the
/// rule held with it.
#[derive(Clone, Copy, Debug, PartialEq)]
struct Witness {
    date: Date,
    bears_out: bool,
    holds: bool,
}

/// A player, as far as milestones ask.
pub struct Shown<'a, P> {
    /// Who.
    pub player: P,
    /// Their strong foot.
    pub strong: Side,
    /// Results; those of other players count for nothing.
    pub results: &'a [TestResult<P>],
}

impl<P: PartialEq> Shown<'_, P> {
    fn of<'s>(&'s self, test: &'s TestId) -> impl Iterator<Item = &'s TestResult<P>> {
        self.results.iter().filter(move |r| r.player == self.player && r.test == *test)
    }
}

impl Milestone {
    /// Where a player stands on a day. `said` are the words of coaches on this player and milestone, in the order in
    /// which they were said; the order of results does not matter.
    pub fn standing<P: PartialEq>(
        &self,
        tests: &[Test],
        shown: &Shown<'_, P>,
        said: &[Override],
        on: Date,
    ) -> Standing {
        standing(&witnesses(&self.evidence, tests, shown), said, on)
    }

    /// Where a player stood on each of some days: what [`Milestone::standing`] says of each, with the evidence read
    /// once.
    pub fn standings<P: PartialEq>(
        &self,
        tests: &[Test],
        shown: &Shown<'_, P>,
        said: &[Override],
        days: &[Date],
    ) -> Vec<Standing> {
        let witnesses = witnesses(&self.evidence, tests, shown);
        days.iter().map(|on| standing(&witnesses, said, *on)).collect()
    }
}

/// Where a player stands on a day, by witnesses in date order and the words of coaches.
fn standing(witnesses: &[Witness], said: &[Override], on: Date) -> Standing {
    let (by_evidence, since) = state(witnesses.iter().filter(|witness| witness.date <= on));
    match last_word(said, on) {
        Some((word, state)) => {
            Standing { state, by_evidence, since: Some(word.on), overridden: Some(word.clone()) }
        }
        None => Standing { state: by_evidence, by_evidence, since, overridden: None },
    }
}

/// The word of a coach that stands on a day, of all that were said in their order, and the state that it says.
fn last_word(said: &[Override], on: Date) -> Option<(&Override, MilestoneState)> {
    let last = said.iter().filter(|said| said.on <= on).max_by_key(|said| said.on)?;
    Some((last, last.verdict.state()?))
}

/// The state after witnesses in date order, and the date that brought it.
fn state<'a>(witnesses: impl Iterator<Item = &'a Witness>) -> (MilestoneState, Option<Date>) {
    let (mut state, mut since) = (MilestoneState::NotSeen, None);
    let (mut first_met, mut against): (Option<Date>, u32) = (None, 0);
    for witness in witnesses {
        against = if witness.bears_out { 0 } else { against + 1 };
        let next = match (state, first_met) {
            (MilestoneState::Met | MilestoneState::Kept, _) if against >= 2 => MilestoneState::Slipped,
            (_, Some(first))
                if witness.holds
                    && witness.bears_out
                    && (witness.date - first).get_days() >= KEPT_AFTER_DAYS =>
            {
                MilestoneState::Kept
            }
            (MilestoneState::Slipped, _) if witness.holds && witness.bears_out => MilestoneState::Met,
            (MilestoneState::NotSeen | MilestoneState::OnTheWay, _) if witness.holds => MilestoneState::Met,
            (MilestoneState::NotSeen, _) => MilestoneState::OnTheWay,
            (same, _) => same,
        };
        match next {
            MilestoneState::Met => drop(first_met.get_or_insert(witness.date)),
            // After a slip the 21 days start again, on the day on which it is met again.
            MilestoneState::Slipped => first_met = None,
            _ => (),
        }
        if next != state {
            (state, since) = (next, Some(witness.date));
        }
    }
    (state, since)
}

/// Everything that one date shows.
#[derive(Default)]
struct DayShown {
    /// By side: whether the test was reached.
    measured: BTreeMap<Option<Side>, bool>,
    /// Whether all the points were seen.
    seen: Option<bool>,
}

fn witnesses<P: PartialEq>(evidence: &Evidence, tests: &[Test], shown: &Shown<'_, P>) -> Vec<Witness> {
    let test = |id: &TestId| tests.iter().find(|test| test.id == *id);
    let mut days: BTreeMap<Date, DayShown> = BTreeMap::new();
    let measured = evidence.measured().map(|rule| (rule, test(&rule.test)));
    if let Some((rule, Some(test))) = measured {
        for result in shown.of(&rule.test) {
            let reached = rule.reach.by(result, test.protocol.better());
            days.entry(result.date).or_default().measured.insert(result.side, reached);
        }
    }
    if let Some(rule) = evidence.seen() {
        for result in shown.of(&rule.test) {
            let all = rule.all_seen(&result.marks, test(&rule.test));
            let day = days.entry(result.date).or_default();
            day.seen = Some(day.seen.unwrap_or(false) || all);
        }
    }
    let sides = measured.and_then(|(rule, test)| Some(rule.feet.sides(test?.per_side, shown.strong)));
    let sides = sides.unwrap_or_default();
    let either = measured.is_some_and(|(rule, _)| rule.feet == Feet::Either);
    let mut reached: BTreeMap<Option<Side>, Vec<bool>> = BTreeMap::new();
    let mut seen_days = 0;
    let mut witnesses = Vec::new();
    for (date, day) in days {
        let asked: Vec<bool> = sides.iter().filter_map(|side| day.measured.get(side).copied()).collect();
        for side in &sides {
            reached.entry(*side).or_default().extend(day.measured.get(side));
        }
        seen_days += u32::from(day.seen == Some(true));
        let of_sides = if either { asked.iter().any(|ok| *ok) } else { asked.iter().all(|ok| *ok) };
        if asked.is_empty() && day.seen.is_none() {
            continue;
        }
        let bears_out = (asked.is_empty() || of_sides) && day.seen != Some(false);
        let measured_holds = match measured {
            None => true,
            Some((rule, _)) => {
                let held = |side| reached.get(side).is_some_and(|dates| rule.holds(dates));
                !sides.is_empty() && if either { sides.iter().any(held) } else { sides.iter().all(held) }
            }
        };
        let holds = measured_holds && evidence.seen().is_none_or(|rule| seen_days >= rule.days);
        witnesses.push(Witness { date, bears_out, holds });
    }
    witnesses
}

impl Reach {
    fn by<P>(self, result: &TestResult<P>, better: Better) -> bool {
        match (self, better) {
            (Reach::Level(level), _) => result.level.is_some_and(|has| has >= level),
            (Reach::Value(value), Better::Higher) => result.value >= value,
            (Reach::Value(value), Better::Lower) => result.value <= value,
        }
    }
}

impl Feet {
    /// The sides that count.
    fn sides(self, per_side: bool, strong: Side) -> Vec<Option<Side>> {
        match self {
            _ if !per_side => vec![None],
            Feet::Both | Feet::Either => vec![Some(Side::Left), Some(Side::Right)],
            Feet::Strong => vec![Some(strong)],
            Feet::Other => vec![Some(strong.other())],
        }
    }
}

impl Measured {
    /// Whether enough of the last dates reached it.
    fn holds(&self, dates: &[bool]) -> bool {
        let last = &dates[dates.len().saturating_sub(self.of_last as usize)..];
        last.iter().filter(|reached| **reached).count() as u32 >= self.times
    }
}

impl Seen {
    fn all_seen(&self, marks: &[u8], test: Option<&Test>) -> bool {
        let all = test.map_or(0, |test| match &test.protocol {
            Protocol::Points { points } => points.len() as u32,
            _ => 0,
        });
        let named: Vec<u32> = if self.points.is_empty() { (1..=all).collect() } else { self.points.clone() };
        let seen = |point: &u32| marks.get((*point as usize).wrapping_sub(1)) == Some(&SEEN);
        !named.is_empty() && named.iter().all(seen)
    }
}

impl Gate {
    /// Whether a player has passed it by a day. `said` are the words of coaches on this player and the milestone that
    /// it asks for, in their order: what was said last counts before any evidence.
    ///
    /// A test that is taken per foot is asked of both. A gate never opens by mistake: one whose milestone or test is
    /// not there is not passed.
    pub fn is_passed<P: PartialEq>(
        &self,
        milestones: &[Milestone],
        tests: &[Test],
        shown: &Shown<'_, P>,
        said: &[Override],
        on: Date,
    ) -> bool {
        match self {
            Gate::Test { test, value, times, of_last } => {
                let (test, reach) = (test.clone(), Reach::Value(*value));
                let measured = Measured { test, reach, feet: Feet::Both, times: *times, of_last: *of_last };
                let witnesses = witnesses(&Evidence::Measured(measured), tests, shown);
                witnesses.iter().rfind(|w| w.date <= on).is_some_and(|w| w.holds)
            }
            Gate::Milestone { milestone, times, of_last } => {
                let Some(named) = milestones.iter().find(|known| known.id == *milestone) else {
                    return false;
                };
                if let Some((_, state)) = last_word(said, on) {
                    return state.is_had();
                }
                let all = witnesses(&named.evidence, tests, shown);
                let dates: Vec<bool> = all.iter().filter(|w| w.date <= on).map(|w| w.bears_out).collect();
                let last = &dates[dates.len().saturating_sub(*of_last as usize)..];
                last.iter().filter(|ok| **ok).count() as u32 >= *times
            }
        }
    }
}
