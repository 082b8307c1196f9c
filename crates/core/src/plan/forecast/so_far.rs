//! What results so far show, beside a forecast: who of the squads that run a plan has reached the goals by which
//! week, and which rates follow from how these and other squads moved on.
//!
//! A player counts for a skill from the first day on which anything was known of it. Each exposure that was run
//! since, of the stage at which the player then was or of a later one, counts with its dose until the goal is
//! reached; and each stage that the player had later and not before counts as one step; nobody is taken to begin
//! below the stage at which the plan takes the squad to be, since no milestone need speak of what lies before it.
//! Steps ÷ dose is the rate; [`estimated`] weighs it against the assumption.
//!
//! Milestones speak of some goals alone, and of some players: so beside what was reached stands what the forecast
//! foresees of the same goals, each weighed by the players of whom something is known.

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::Serialize;

use super::{Forecast, RATES, Reached, Results, dose, estimated};
use crate::ids::SkillId;
use crate::plan::{Plan, Problem, VariantId};
use crate::technique::skill::Stage;
use crate::units::Share;

/// A day by which it is asked how far players have come.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Day {
    /// The week that it ends; `None` for the day before the first session.
    pub week: Option<u32>,
    /// Which day.
    pub on: Date,
}

/// The days by which it is asked: the one before the first session; for each week that is over, the one before the next
/// week's first session; and today, in the week that goes on.
pub fn days(problem: &Problem, today: Date) -> Vec<Day> {
    let mut days = Vec::new();
    let before = |day: Date| day.yesterday().unwrap_or(day);
    let mut week = None;
    for session in problem.sessions.iter().filter(|session| session.date <= today) {
        if week != Some(session.week) {
            days.push(Day { week, on: before(session.date) });
            week = Some(session.week);
        }
    }
    if week.is_some() {
        let next = problem.sessions.iter().find(|session| session.date > today && Some(session.week) != week);
        days.push(Day { week, on: next.map_or(today, |next| before(next.date).min(today)) });
    }
    days
}

/// How many stages of a skill a player had by each of the days; nothing where nothing was known.
pub type Had = Vec<Option<usize>>;

/// A squad that runs a plan.
pub struct Squad {
    /// Whether it is the plan that is foreseen. What a squad shows by another one tells of rates alone.
    pub by_this: bool,
    /// Its days and wishes.
    pub problem: Problem,
    /// What was run; blocks that were left out are not there.
    pub run: Plan,
    /// Its [`days`].
    pub days: Vec<Day>,
    /// Each player, skill by skill; only skills of which a milestone can show the goal.
    pub players: Vec<BTreeMap<SkillId, Had>>,
}

/// Goals reached by the end of a week.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ReachedSoFar {
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// Players who have reached the goal.
    pub had: u32,
    /// Players of whom anything is known.
    pub of: u32,
    /// What the forecast foresees of the same goals by the end of the week.
    pub foreseen: Share,
}

/// The rate that results give.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RateSoFar {
    /// The rate, the assumption weighed in; never one that may not be assumed.
    pub rate: f64,
    /// Steps from a stage to the next that were seen.
    pub moved_on: u32,
    /// What the players had done for it, in exposures of six working minutes without any difficulty.
    pub exposures: f64,
}

/// What is known of a skill.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SkillSoFar {
    /// Which skill.
    pub skill: SkillId,
    /// Who has reached its goal, week by week; empty while nobody who works by the plan has shown it.
    pub reached: Vec<ReachedSoFar>,
    /// The rate that follows; nothing as long as no exposure counts.
    pub rate: Option<RateSoFar>,
}

/// What results so far show.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SoFar {
    /// Squads that run the curriculum.
    pub squads: u32,
    /// Their players.
    pub players: u32,
    /// Goals reached of all goals of which anything is known, week by week.
    pub all: Vec<ReachedSoFar>,
    /// The skills of which anything is known, in the order of the problem.
    pub skills: Vec<SkillSoFar>,
}

/// Sums up what is known of the squads that run a curriculum.
///
/// ```
/// use jogo_core::plan::forecast::{Assumptions, Size, forecast, so_far};
/// use jogo_core::plan::{Plan, Problem};
/// let nothing: Problem = serde_json::from_str(r#"{"version": 1, "new_skills_per_week": 2, "sessions": [],
///     "shares": {}, "approach": {"exposures": [2, 2, 2, 2]}, "skills": [], "variants": []}"#).unwrap();
/// let size = Size { players: 100, squad: 10 };
/// let foreseen = forecast(&nothing, &Plan::default(), &Assumptions::default(), size, 1);
/// assert!(so_far::so_far(&nothing, &[], &foreseen).all.is_empty());
/// ```
pub fn so_far(problem: &Problem, squads: &[Squad], forecast: &Forecast) -> SoFar {
    let skills: Vec<SkillSoFar> = problem
        .skills
        .iter()
        .map(|wish| {
            let mut reached: BTreeMap<u32, (u32, u32)> = BTreeMap::new();
            let mut results = Results::default();
            for squad in squads {
                for had in squad.players.iter().filter_map(|player| player.get(&wish.id)) {
                    if squad.by_this {
                        squad.count(had, wish.goal.index() + 1, &mut reached);
                    }
                    squad.follow(&wish.id, had, &mut results);
                }
            }
            let rate = (results.exposures > 0.0).then(|| RateSoFar {
                rate: estimated(forecast.assumed.rate, results).clamp(*RATES.start(), *RATES.end()),
                moved_on: results.moved_on,
                exposures: results.exposures,
            });
            let foreseen = forecast.skills.iter().find(|known| known.skill == wish.id);
            let foreseen = foreseen.map_or(&[][..], |known| &known.reached);
            let reached = reached.into_iter().map(|(week, (had, of))| ReachedSoFar {
                week,
                had,
                of,
                foreseen: share_in(week, foreseen),
            });
            SkillSoFar { skill: wish.id.clone(), reached: reached.collect(), rate }
        })
        .filter(|skill| !skill.reached.is_empty() || skill.rate.is_some())
        .collect();
    let mut all: BTreeMap<u32, ReachedSoFar> = BTreeMap::new();
    for reached in skills.iter().flat_map(|skill| &skill.reached) {
        all.entry(reached.week).and_modify(|sum| *sum = sum.and(reached)).or_insert(*reached);
    }
    SoFar {
        squads: squads.iter().filter(|squad| squad.by_this).count() as u32,
        players: squads.iter().filter(|squad| squad.by_this).map(|squad| squad.players.len() as u32).sum(),
        all: all.into_values().collect(),
        skills,
    }
}

/// What a forecast says of a week.
fn share_in(week: u32, foreseen: &[Reached]) -> Share {
    foreseen.iter().find(|reached| reached.week == week).map_or(Share(0.0), |reached| reached.share)
}

impl ReachedSoFar {
    /// The goals of both together, each as often as there are players of whom it is known.
    fn and(&self, other: &ReachedSoFar) -> ReachedSoFar {
        let players = |reached: &ReachedSoFar| reached.foreseen.0 * f64::from(reached.of);
        let of = self.of + other.of;
        let foreseen = Share((players(self) + players(other)) / f64::from(of));
        ReachedSoFar { week: self.week, had: self.had + other.had, of, foreseen }
    }
}

impl Squad {
    /// Counts a player for the weeks by which something was known: who has reached the goal, and of how many.
    fn count(&self, had: &Had, goal: usize, reached: &mut BTreeMap<u32, (u32, u32)>) {
        for (day, had) in self.days.iter().zip(had) {
            if let (Some(week), Some(had)) = (day.week, had) {
                let (reached, of) = reached.entry(week).or_default();
                *reached += u32::from(*had >= goal);
                *of += 1;
            }
        }
    }

    /// Adds a player's steps, and what was done for them.
    fn follow(&self, skill: &str, had: &Had, results: &mut Results) {
        let Some(wish) = self.problem.skills.iter().find(|wish| wish.id == skill) else { return };
        let goal = wish.goal.index() + 1;
        let begins = wish.present.map_or(0, Stage::index);
        let known: Vec<(Date, usize)> =
            self.days.iter().zip(had).filter_map(|(day, had)| Some((day.on, (*had)?.max(begins)))).collect();
        let (Some((first, before)), Some((last, after))) = (known.first(), known.last()) else { return };
        results.moved_on += (*after).min(goal).saturating_sub(*before) as u32;
        let sessions = self.run.sessions.iter().zip(&self.problem.sessions);
        for (blocks, session) in sessions.filter(|(_, wish)| wish.date > *first && wish.date <= *last) {
            let at = known.iter().rev().find(|(on, _)| *on < session.date).map_or(*before, |(_, had)| *had);
            let serves = |id: &VariantId| {
                let variant = self.problem.variant(id)?;
                let adds = variant.skills.iter().any(|served| served == skill) && variant.stage.index() >= at;
                adds.then_some(variant)
            };
            if at < goal {
                let doses = blocks
                    .iter()
                    .filter_map(|block| Some(dose(serves(&block.variant)?, &wish.id, block.minutes)));
                results.exposures += doses.sum::<f64>();
            }
        }
    }
}
