//! Team plans: what has a team made of its edition?
//!
//! A team works by an edition on its own days and ground; when a session is cancelled it may go on another way. What it
//! has of its own is kept beside the edition, which stays as it was published. A team that is running takes a new
//! edition from a day on: what was before that day stays with the edition it was run by.

use std::collections::{BTreeMap, BTreeSet};

use jiff::Timestamp;
use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::delivery::edition::Edition;
use crate::delivery::{NextTime, Outcome, Said};
use crate::drill::Drill;
use crate::fact::{Fact, facts};
use crate::ground::fit::Ground;
use crate::ids::SkillId;
use crate::input::InputError;
use crate::plan::curriculum::{Season, Sitting};
use crate::plan::search::solve::STEPS_NEAR;
use crate::plan::upset::{MovedTest, fallen_short, fitting};
use crate::plan::{
    Block, BlockId, GoingOn, Plan, Problem, Remedy, VariantId, check, left_their_session, remedies,
    solve_rest,
};
use crate::units::Minutes;

facts! {
    /// What cannot be done with a team's plan.
    pub enum TeamFault {
        NoSession = "curriculum-no-session" { session: usize },
        DaysAreFixed = "team-days-are-fixed",
    }
}

/// What a team has of its own; nothing where it keeps to the edition.
#[derive(Clone, Debug, Default, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields, default)]
pub struct TeamPlan {
    /// When it runs.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub season: Option<Season>,
    /// Its hall, kit and squad.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub ground: Option<Ground>,
    /// What comes when; before the day from which the edition holds, what was really run.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub plan: Option<Plan>,
    /// Drills that were run before that day and that the edition no longer has.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub drills: Vec<Drill>,
    /// Sessions that were cancelled or were cut short, by session.
    #[serde(skip_serializing_if = "BTreeMap::is_empty")]
    pub upsets: BTreeMap<usize, Upset>,
    /// Tests of those sessions, and where they went.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub moved_tests: Vec<MovedTest>,
    /// Skills that were to begin in a session, and that the team was not ready for then.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub waits: Vec<Wait>,
    /// Skills that a coach let begin all the same.
    #[serde(skip_serializing_if = "BTreeSet::is_empty")]
    pub let_begin: BTreeSet<SkillId>,
    /// What coaches decided for the next time after a block, by that block.
    #[serde(skip_serializing_if = "BTreeMap::is_empty")]
    pub next_times: BTreeMap<BlockId, Decided>,
}

/// A session that was cancelled or cut short.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Upset {
    /// Minutes that were left; none if it was cancelled.
    pub left: Minutes,
    /// How the team went on.
    pub remedy: Remedy,
    /// Whether it was cancelled because its day is off, and not by a coach.
    #[serde(default, skip_serializing_if = "is_by_a_coach")]
    pub day_off: bool,
}

/// Nothing is written of what is usual.
fn is_by_a_coach(day_off: &bool) -> bool {
    !*day_off
}

/// A skill that was to begin in a session.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Wait {
    /// The session, from 0.
    pub session: usize,
    /// The skill.
    pub skill: SkillId,
}

/// What a coach decided for the next time, and what came of it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Decided {
    /// Harder, easier, or as planned.
    pub next: NextTime,
    /// When, by the coach's device.
    pub at: Timestamp,
    /// The block that was to change; `None` if no block of the skill lay ahead.
    pub block: Option<BlockId>,
    /// What it was, and what it became; `None` if it stayed as it was.
    pub change: Option<[VariantId; 2]>,
}

impl TeamPlan {
    /// The edition on the days of this team, otherwise as it was published. Errs with the faults of the season.
    pub fn on_its_days(&self, published: &Edition) -> Result<Edition, Vec<InputError>> {
        let mut own = published.clone();
        if let Some(season) = &self.season {
            (own.curriculum, own.plan) = own.curriculum.in_season(&own.plan, season)?;
        }
        Ok(own)
    }

    /// The edition as this team works by it. Errs with the faults of what the team has of its own.
    pub fn edition(&self, published: &Edition) -> Result<Edition, Vec<InputError>> {
        let mut own = self.on_its_days(published)?;
        if let Some(ground) = &self.ground {
            own.curriculum.ground = *ground;
        }
        if let Some(plan) = &self.plan {
            own.plan = plan.clone();
        }
        own.curriculum.tests = self.tests_where_they_went(&own.curriculum.tests);
        own = own.with_drills(&self.drills);
        own.left = self.upsets.iter().map(|(session, upset)| (*session, upset.left)).collect();
        Ok(own)
    }

    /// The tests of an edition in the sessions to which the team has moved them; one without room is dropped.
    fn tests_where_they_went(&self, tests: &[Sitting]) -> Vec<Sitting> {
        let mut went = tests.to_vec();
        for MovedTest { test, from, to } in &self.moved_tests {
            let Some(at) = went.iter().position(|each| each.test == *test && each.session == *from) else {
                continue;
            };
            match to {
                Some(to) => went[at].session = *to,
                None => drop(went.remove(at)),
            }
        }
        went
    }

    /// The remedies to go on when a session has only some minutes left. What was said of the sessions before counts: a
    /// block that was left out was not shown.
    ///
    /// Errs if there is no such session, or with the faults of the edition.
    pub fn remedies(
        &self,
        published: &Edition,
        said: &Said,
        session: usize,
        left: Minutes,
    ) -> Result<Vec<GoingOn>, Vec<InputError>> {
        let mut own = self.edition(published)?.knowing(said)?;
        let (curriculum, tests) = own.curriculum.with_tests_moved(session, left);
        own.curriculum = curriculum;
        let problem = own.problem()?;
        let mut found = remedies(&problem, &own.plan, &as_run(&own.plan, said), session, left);
        found.iter_mut().for_each(|going_on| going_on.tests.clone_from(&tests));
        if found.is_empty() {
            let fault = TeamFault::NoSession { session: session + 1 };
            return Err(vec![InputError::at("/session", fault)]);
        }
        Ok(found)
    }

    /// The first session in which two states of a team's plan differ; `None` if they are alike. Errs with the faults
    /// of either.
    pub fn changed_since(
        &self,
        other: &TeamPlan,
        published: &Edition,
    ) -> Result<Option<usize>, Vec<InputError>> {
        let (mine, theirs) = (self.edition(published)?, other.edition(published)?);
        let sessions = mine.plan.sessions.len().max(theirs.plan.sessions.len());
        let differ = |session: &usize| {
            mine.plan.sessions.get(*session) != theirs.plan.sessions.get(*session)
                || tests_in(&mine, *session) != tests_in(&theirs, *session)
                || mine.left.get(session) != theirs.left.get(session)
        };
        Ok((0..sessions).find(differ))
    }

    /// The same team on other days or another ground; nothing of one's own is as the edition has it. What was run
    /// stays; where the sessions from a day on then break a rule, they are replanned, near what they had.
    ///
    /// Errs with the faults of the season or the ground, and if days are to change after something was said of a
    /// session or a coach cancelled one: a log names sessions by their numbers. Where the days change, sessions
    /// that were cancelled for a day off take place again; the caller then applies the days off to the new days.
    pub fn settled(
        &self,
        published: &Edition,
        season: Option<Season>,
        ground: Option<Ground>,
        said: &Said,
        from: Date,
    ) -> Result<TeamPlan, Vec<InputError>> {
        let faults = ground.map(|ground| ground.faults()).unwrap_or_default();
        if !faults.is_empty() {
            return Err(faults.into_iter().map(|fault| fault.inside("/ground")).collect());
        }
        let days_change = self.season != season;
        if days_change && self.days_are_fixed(said) {
            return Err(vec![InputError::at("/season", TeamFault::DaysAreFixed)]);
        }
        let kept = if days_change { self.clone().without_days_off() } else { self.clone() };
        let mut before = kept.edition(published)?;
        if days_change {
            let season = season.clone().unwrap_or_else(|| published.curriculum.season());
            let moved = before.curriculum.in_season(&before.plan, &season);
            let moved = moved.map_err(|faults| -> Vec<InputError> {
                faults.into_iter().map(|fault| fault.inside("/season")).collect()
            });
            (before.curriculum, before.plan) = moved?;
        }
        let held_again = kept.upsets.len() < self.upsets.len();
        let mut own = TeamPlan { season, ground, plan: None, ..kept };
        let mut laid = own.edition(published)?;
        laid.plan = before.plan;
        laid = laid.knowing(said)?;
        let problem = Problem { locks: Vec::new(), ..laid.problem()? };
        let days: Vec<Date> =
            laid.curriculum.session_days().iter().map(|session_day| session_day.date).collect();
        let first = first_from(&days, from).max(said.next_session());
        if held_again || check(&problem, &laid.plan).iter().any(|breach| breach.session >= first) {
            laid.plan = solve_rest(&problem, &fitting(&problem, &laid.plan), first, 1, STEPS_NEAR);
        }
        let meant = own.on_its_days(published)?.plan;
        own.plan = (laid.plan != meant).then_some(laid.plan);
        Ok(own)
    }

    /// Whether the team's days can no longer change.
    pub fn days_are_fixed(&self, said: &Said) -> bool {
        !said.is_empty() || self.upsets.values().any(|upset| !upset.day_off)
    }

    /// The blocks that were run in a session in which the plan does not have them: each with that session. Errs with
    /// the faults of what the team has of its own.
    pub fn misplaced(
        &self,
        published: &Edition,
        said: &Said,
    ) -> Result<Vec<(usize, BlockId)>, Vec<InputError>> {
        let plan = self.edition(published)?.plan;
        let session_of = plan.session_of_each();
        let misplaced = |(session, id): &(usize, BlockId)| {
            *session < plan.sessions.len() && session_of.get(id) != Some(session)
        };
        Ok(said.run().into_iter().filter(misplaced).collect())
    }

    /// The same, in which every misplaced block is in the session in which it was run, whatever happened to the plan
    /// meanwhile: a log may come days later, from a phone that had no network. A block that the plan has elsewhere
    /// moves there; one that it no longer has comes back as it was in an `earlier` state of the plan. A session in
    /// which something was run was not cancelled.
    ///
    /// Errs with the faults of what the team has of its own.
    pub fn with_run(
        &self,
        published: &Edition,
        misplaced: &[(usize, BlockId)],
        earlier: &[TeamPlan],
    ) -> Result<TeamPlan, Vec<InputError>> {
        let mut laid = self.edition(published)?;
        let mut own = self.clone();
        let mut states: Vec<Edition> = vec![laid.clone()];
        for state in earlier.iter().rev() {
            states.push(state.edition(published)?);
        }
        states.push(self.on_its_days(published)?);
        for (session, id) in misplaced.iter().copied() {
            // As it was in that session, if any state had it there.
            let was = states.iter().filter_map(|state| Some((state, state.plan.place_of(id)?)));
            let Some((state, (from, place))) = was.min_by_key(|(_, (there, _))| *there != session) else {
                continue;
            };
            let planned = &state.plan.sessions[from];
            let block = &planned[place];
            if laid.drill(&block.variant.drill).is_none() {
                own.drills.extend(state.drill(&block.variant.drill).cloned());
            }
            for blocks in &mut laid.plan.sessions {
                blocks.retain(|other| other.id != Some(id));
            }
            // Among those that are there, in the order in which they were planned.
            let comes_before = |other: &Block| planned[..place].iter().any(|known| known.id == other.id);
            let there = &mut laid.plan.sessions[session];
            let at = there.iter().rposition(comes_before).map_or(0, |last| last + 1);
            there.insert(at, block.clone());
            own.upsets.remove(&session);
        }
        own.plan = Some(laid.plan);
        Ok(own)
    }

    /// Goes on in one of the remedies.
    pub fn gone_on(mut self, session: usize, left: Minutes, going_on: GoingOn) -> TeamPlan {
        self.upsets.insert(session, Upset { left, remedy: going_on.remedy, day_off: false });
        self.plan = Some(going_on.plan);
        self.moved_tests.extend(going_on.tests);
        self
    }

    /// The same team on a new edition, from a day on: its days, its ground and the sessions that will be cancelled
    /// stay; what was before that day stays as it was run, and where the rest then breaks a rule it is replanned, near
    /// the new edition.
    ///
    /// Errs with the faults of an edition.
    pub fn merged(
        &self,
        old: &Edition,
        new: &Edition,
        said: &Said,
        from: Date,
    ) -> Result<TeamPlan, Vec<InputError>> {
        let before = self.edition(old)?;
        let mut merged = TeamPlan {
            season: self.season.clone(),
            ground: self.ground,
            let_begin: self.let_begin.clone(),
            ..TeamPlan::default()
        };
        let after = merged.edition(new)?;
        let dates = |edition: &Edition| -> Vec<Date> {
            edition.curriculum.session_days().iter().map(|session_day| session_day.date).collect()
        };
        let (old_dates, new_dates) = (dates(&before), dates(&after));
        let same_day = |session: &usize| new_dates.iter().position(|day| *day == old_dates[*session]);
        let still_ahead = self
            .upsets
            .iter()
            .filter(|(session, _)| old_dates.get(**session).is_some_and(|day| *day >= from));
        merged.upsets =
            still_ahead.filter_map(|(session, upset)| Some((same_day(session)?, *upset))).collect();
        merged.moved_tests = self.moved_tests.iter().filter_map(|moved| moved.on_days(same_day)).collect();
        // With what has been, by its days, and all the drills that it was run with.
        let run = as_run(&before.plan, said);
        let mut whole = merged.edition(new)?.with_drills(&before.drills);
        whole.knack = before.knack_of(said)?.theta;
        let problem = Problem { locks: Vec::new(), ..whole.problem()? };
        let first = first_from(&new_dates, from);
        for (session, day) in new_dates.iter().enumerate().take(first) {
            let there = old_dates.iter().position(|old| old == day);
            let blocks = there.and_then(|at| run.sessions.get(at).cloned());
            let mut blocks = blocks.unwrap_or_default();
            // What no goal asks for any more is not counted.
            blocks.retain(|block| problem.variant(&block.variant).is_some());
            if let Some(laid) = whole.plan.sessions.get_mut(session) {
                *laid = blocks;
            }
        }
        merged.next_times = self.still_decided(&problem, &mut whole.plan, first);
        if check(&problem, &whole.plan).iter().any(|breach| breach.session >= first) {
            let rest = solve_rest(&problem, &fitting(&problem, &whole.plan), first, 1, STEPS_NEAR);
            for (laid, blocks) in whole.plan.sessions.iter_mut().zip(rest.sessions).skip(first) {
                *laid = blocks;
            }
        }
        whole.drills.retain(|drill| new.drill(&drill.id).is_none());
        merged.drills = Edition { plan: whole.plan.clone(), ..whole }.trimmed().drills;
        merged.plan = Some(whole.plan);
        Ok(merged)
    }

    /// The decisions about blocks that a new plan has as well, from a session on; there they are done as decided.
    fn still_decided(&self, problem: &Problem, plan: &mut Plan, first: usize) -> BTreeMap<BlockId, Decided> {
        let mut still = BTreeMap::new();
        for (after, decided) in &self.next_times {
            let place = decided.block.and_then(|block| plan.place_of(block));
            let Some((session, at)) = place.filter(|(session, _)| *session >= first) else { continue };
            let coming = &mut plan.sessions[session][at];
            if let Some([was, became]) = &decided.change {
                if coming.variant != *was || problem.variant(became).is_none() {
                    continue;
                }
                coming.variant = became.clone();
            }
            still.insert(*after, decided.clone());
        }
        still
    }
}

/// The tests of a session.
fn tests_in(edition: &Edition, session: usize) -> Vec<&Sitting> {
    edition.curriculum.tests.iter().filter(|sitting| sitting.session == session).collect()
}

impl MovedTest {
    /// The same in other sessions on the same days; `None` if the session that it left has its day no more.
    fn on_days(&self, same_day: impl Fn(&usize) -> Option<usize>) -> Option<MovedTest> {
        let to = self.to.as_ref().and_then(&same_day);
        Some(MovedTest { test: self.test.clone(), from: same_day(&self.from)?, to })
    }
}

/// How far a team's plan has come from its edition.
#[derive(Clone, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Drift {
    /// Blocks that have left their session.
    pub moved: usize,
    /// Blocks at a harder rung of their drill than in the edition.
    pub harder: usize,
    /// Blocks at an easier rung.
    pub easier: usize,
    /// Exposures that the goals miss and did not in the edition.
    pub short: Vec<Fact>,
}

impl Drift {
    /// How far a team's plan, as it was run and is meant to go on, has come from what was published for the same days,
    /// from the day on which the edition holds.
    pub fn of(problem: &Problem, published: &Plan, own: &Edition, said: &Said, from: Option<Date>) -> Drift {
        let days: Vec<Date> =
            own.curriculum.session_days().iter().map(|session_day| session_day.date).collect();
        let first = from.map_or(0, |from| first_from(&days, from));
        let before = own.plan.sessions.iter().take(first);
        let meant = Plan { sessions: before.chain(published.sessions.iter().skip(first)).cloned().collect() };
        let run = as_run(&own.plan, said);
        let steps = rungs_away(problem, &meant, &own.plan);
        Drift {
            moved: left_their_session(&meant, &own.plan),
            harder: steps.iter().filter(|away| **away > 0.0).count(),
            easier: steps.iter().filter(|away| **away < 0.0).count(),
            short: fallen_short(problem, &meant, &run),
        }
    }
}

/// How much harder each block of a plan is than it was meant, of those that are done at another rung of their drill.
fn rungs_away(problem: &Problem, meant: &Plan, own: &Plan) -> Vec<f64> {
    let away = |block: &Block| {
        let (session, place) = meant.place_of(block.id?)?;
        let was = &meant.sessions[session][place].variant;
        let same_drill = was.drill == block.variant.drill && *was != block.variant;
        let difficulty = |id| Some(problem.variant(id)?.difficulty.0);
        same_drill.then_some(difficulty(&block.variant)? - difficulty(was)?)
    };
    own.places().filter_map(|(_, block)| away(block)).collect()
}

/// The first session on a day or later.
fn first_from(days: &[Date], from: Date) -> usize {
    days.iter().position(|day| *day >= from).unwrap_or(days.len())
}

/// When a team works by an edition.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Held {
    /// From this day on; `None` for the first of its curriculum.
    pub from: Option<Date>,
    /// Days on which it was logged that a session was run by it.
    pub logged: BTreeSet<Date>,
}

impl Held {
    /// When a team works by an edition of which so much was said.
    pub fn of(from: Option<Date>, edition: &Edition, said: &Said) -> Held {
        let session_days = edition.curriculum.session_days();
        let day = |session: &usize| session_days.get(*session).map(|session_day| session_day.date);
        Held { from, logged: said.sessions().iter().filter_map(day).collect() }
    }
}

/// Of the editions of one curriculum, in the order of their numbers, the place of the one that holds on a day: the
/// one that the day's log names, even if the log arrived after a later edition, else the last one from that day or
/// earlier.
///
/// ```
/// use jiff::civil::date;
/// use jogo_core::delivery::team_plan::{Held, holding};
/// let from = |day| Held { from: Some(date(2031, 1, day)), ..Held::default() };
/// let first = Held { logged: [date(2031, 1, 23)].into(), ..Held::default() };
/// let editions = [first, from(20), from(20)];
/// assert_eq!(holding(&editions, date(2031, 1, 19)), Some(0));
/// assert_eq!(holding(&editions, date(2031, 1, 20)), Some(2)); // of two from one day the later
/// assert_eq!(holding(&editions, date(2031, 1, 23)), Some(0)); // the session was run by the first
/// ```
pub fn holding(editions: &[Held], day: Date) -> Option<usize> {
    let logged = editions.iter().rposition(|held| held.logged.contains(&day));
    logged.or_else(|| editions.iter().rposition(|held| held.from.is_none_or(|from| from <= day)))
}

/// The day from which a new edition holds for a running team: today, or the day after the last session of which
/// anything was said; `None` if the team has not begun and has nothing of its own.
pub fn takes_over(own: &TeamPlan, edition: &Edition, said: &Said, today: Date) -> Option<Date> {
    let session_days = edition.curriculum.session_days();
    let begun = session_days.first().is_some_and(|first| first.date < today);
    let touched = said.sessions().last().copied();
    let after = touched.and_then(|session| session_days.get(session)?.date.tomorrow().ok());
    let own_way = *own != TeamPlan::default();
    (begun || after.is_some() || own_way).then(|| after.unwrap_or(today).max(today))
}

/// A plan without the blocks that were left out.
pub fn as_run(plan: &Plan, said: &Said) -> Plan {
    let mut run = plan.clone();
    for (session, blocks) in run.sessions.iter_mut().enumerate() {
        blocks.retain(|block| said.of(session, block).is_none_or(|went| went.outcome != Outcome::Skipped));
    }
    run
}
