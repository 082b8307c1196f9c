//! Forecast: who will be where by which week, if the plan is done as it stands?
//!
//! Virtual players go through the plan. Each has a factor of their own, log-normal with median 1, and in each skill the
//! stage at which the squad stands. An exposure of m working minutes moves a player on to the next stage with
//! probability
//!
//! > 1 − exp(−r · m / 6 min), r = rate ÷ (1 + 0.15 · difficulty) × the player's factor
//!
//! A player is present at a session with the probability that the assumptions give; whoever is away only rests. In a
//! series each skill gets its share of the working minutes.
//!
//! Each exposure adds r · m / 6 to the progress inside the stage, and a rest of d days first multiplies that progress
//! by 2^(−d / 28). A player moves on when progress passes a threshold of their own, drawn once for each stage from
//! the exponential distribution with mean 1: without rests that is the probability above, each time. An exposure of a
//! stage that a player has left behind keeps alive and adds nothing; one of a later stage counts for the player's
//! own, since the coach goes one down for them. The goal is reached when a player moves on from the goal's stage.
//!
//! For a squad with a knack ([`super::knack`]) r is multiplied by how much more comes off for it:
//! [`super::success::comes_off_more`].
//!
//! Rates are assumptions until results support them: see [`so_far`] and [`estimated`].

pub mod so_far;

use std::collections::BTreeMap;
use std::ops::RangeInclusive;

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;
use serde::{Deserialize, Serialize};

use crate::ids::SkillId;
use crate::input::{InputError, RangeFault};
use crate::plan::success::comes_off_more;
use crate::plan::{Plan, Problem, Variant};
use crate::statistics::chance::Chance;
use crate::technique::skill::Stage;
use crate::units::{Minutes, Share};

/// Working minutes of an exposure that a rate is counted for.
const MINUTES: f64 = 6.0;
/// How much a point of difficulty slows a player down.
const SLOWER: f64 = 0.15;
/// Progress inside a stage is halved by a rest of this many days.
const HALF_LIFE_DAYS: f64 = 28.0;

/// The rates that may be assumed.
const RATES: RangeInclusive<f64> = 0.01..=20.0;

/// What a forecast assumes.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Assumptions {
    /// How fast players move on: 1 means that six working minutes of something without any difficulty move on 63 of a
    /// hundred. An assumption.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub rate: f64,
    /// Skills that are learned faster or more slowly, each with its own rate.
    #[serde(skip_serializing_if = "BTreeMap::is_empty")]
    #[cfg_attr(feature = "openapi", schema(required = false))]
    pub rates: BTreeMap<SkillId, f64>,
    /// How much players differ: the standard deviation of the logarithm of their factor.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub spread: f64,
    /// The share of a squad that comes to a session. All of it, until somebody says otherwise.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub present: Share,
}

impl Default for Assumptions {
    fn default() -> Assumptions {
        Assumptions { rate: 1.5, rates: BTreeMap::new(), spread: 0.4, present: Share(1.0) }
    }
}

impl Assumptions {
    /// Whether nobody has changed them.
    pub fn are_first(&self) -> bool {
        *self == Assumptions::default()
    }

    /// The rate of a skill.
    pub fn rate_of(&self, skill: &str) -> f64 {
        self.rates.get(skill).copied().unwrap_or(self.rate)
    }

    /// Every number out of its range, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        let rates = self.rates.iter().map(|(skill, rate)| (format!("/rates/{skill}"), *rate));
        for (at, rate) in rates.chain([("/rate".to_owned(), self.rate)]) {
            if !RATES.contains(&rate) {
                let (least, most) = (*RATES.start(), *RATES.end());
                faults.push(InputError::at(at, RangeFault::Between { value: rate, least, most }));
            }
        }
        let spread = RangeFault::Between { value: self.spread, least: 0.0, most: 2.0 };
        if !spread.holds() {
            faults.push(InputError::at("/spread", spread));
        }
        let present = RangeFault::Between { value: self.present.0, least: 0.05, most: 1.0 };
        if !present.holds() {
            faults.push(InputError::at("/present", present));
        }
        faults
    }
}

/// How large a forecast is.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Size {
    /// Virtual players, at least one squad of them.
    pub players: u32,
    /// Players of a real squad, over which the band is taken.
    pub squad: u32,
}

impl Size {
    /// How many virtual players there are, unless something else is said.
    pub const PLAYERS: u32 = 2_000;
}

/// A share by the end of a week, with the band in which eight of ten real squads lie.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Reached {
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// Share of all virtual players.
    pub share: Share,
    /// One of ten squads has less.
    pub low: Share,
    /// One of ten squads has more.
    pub high: Share,
}

/// What becomes of a skill.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SkillForecast {
    /// Which skill.
    pub skill: SkillId,
    /// The rate that is assumed.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub rate: f64,
    /// Who has reached the goal, by week.
    pub reached: Vec<Reached>,
}

/// What becomes of a squad.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Forecast {
    /// Goals reached of all goals of all players, by week.
    pub all: Vec<Reached>,
    /// Each skill, in the order of the problem.
    pub skills: Vec<SkillForecast>,
    /// Virtual players.
    pub players: u32,
    /// Players of a squad.
    pub squad: u32,
    /// What it assumes.
    pub assumed: Assumptions,
}

/// An exposure of one skill.
struct Exposure {
    /// Its session.
    session: usize,
    /// Place of its week among the weeks that have sessions.
    week: usize,
    stage: usize,
    /// What it adds to the progress of a player whose factor is 1.
    adds: f64,
    /// What the rest before it leaves of the progress.
    keeps: f64,
}

/// Sends virtual players through a plan. The same seed sends the same players, so that two plans can be compared.
///
/// ```
/// use jogo_core::plan::forecast::{Assumptions, Size, forecast};
/// use jogo_core::plan::{Plan, Problem};
/// let nothing: Problem = serde_json::from_str(r#"{"version": 1, "new_skills_per_week": 2, "sessions": [],
///     "shares": {}, "approach": {"exposures": [2, 2, 2, 2]}, "skills": [], "variants": []}"#).unwrap();
/// let size = Size { players: 100, squad: 10 };
/// assert!(forecast(&nothing, &Plan::default(), &Assumptions::default(), size, 1).all.is_empty());
/// ```
pub fn forecast(problem: &Problem, plan: &Plan, assumed: &Assumptions, size: Size, seed: u64) -> Forecast {
    let weeks: Vec<u32> = problem.weeks().into_iter().collect();
    let squad = size.squad.max(1);
    let squads = (size.players / squad).max(1);
    let players = (squads * squad) as usize;
    // How many of each squad have reached the goal of each skill by each week.
    let mut counts = vec![vec![vec![0_u32; squads as usize]; weeks.len()]; problem.skills.len()];
    let mut chance = Chance::seeded(seed);
    let factors: Vec<f64> = (0..players).map(|_| (assumed.spread * chance.normal()).exp()).collect();
    let here = here(players, plan.sessions.len(), assumed.present, seed);
    for (skill, counts) in counts.iter_mut().enumerate() {
        let wish = &problem.skills[skill];
        let exposures = exposures(problem, plan, skill, &weeks, assumed);
        let starts = wish.present.map_or(0, Stage::index);
        // Thresholds belong to player, skill and stage alone, whatever the plan.
        let mut rng = ChaCha8Rng::seed_from_u64(seed);
        rng.set_stream(skill as u64 + 1);
        for (player, factor) in factors.iter().enumerate() {
            let thresholds: [f64; 4] = std::array::from_fn(|_| -(1.0 - rng.random::<f64>()).ln());
            let is_here = |session: usize| here[player * plan.sessions.len() + session];
            let way = (starts, wish.goal.index());
            let Some(week) = reaches(&exposures, way, &thresholds, *factor, &is_here) else {
                continue;
            };
            for by_squad in &mut counts[week..] {
                by_squad[player / squad as usize] += 1;
            }
        }
    }
    let of_weeks = |counts: &dyn Fn(usize) -> Vec<u32>, each: u32| -> Vec<Reached> {
        (0..weeks.len()).map(|week| reached(weeks[week], &counts(week), each)).collect()
    };
    // A goal that is carried over to the other foot is one goal.
    let goals: Vec<usize> =
        (0..counts.len()).filter(|skill| problem.skills[*skill].carries.is_none()).collect();
    let all = |week: usize| -> Vec<u32> {
        let of_squad = |squad: usize| goals.iter().map(|skill| counts[*skill][week][squad]).sum();
        (0..squads as usize).map(of_squad).collect()
    };
    Forecast {
        all: of_weeks(&all, squad * goals.len() as u32),
        skills: problem
            .skills
            .iter()
            .zip(&counts)
            .map(|(wish, counts)| SkillForecast {
                skill: wish.id.clone(),
                rate: assumed.rate_of(wish.carries.as_ref().unwrap_or(&wish.id)),
                reached: of_weeks(&|week| counts[week].clone(), squad),
            })
            .collect(),
        players: players as u32,
        squad,
        assumed: assumed.clone(),
    }
}

/// Who comes to which session, player by player. The same players stay away, whatever the plan.
fn here(players: usize, sessions: usize, present: Share, seed: u64) -> Vec<bool> {
    let mut rng = ChaCha8Rng::seed_from_u64(seed);
    rng.set_stream(u64::MAX);
    (0..players * sessions).map(|_| rng.random::<f64>() < present.0).collect()
}

fn exposures(
    problem: &Problem,
    plan: &Plan,
    skill: usize,
    weeks: &[u32],
    assumed: &Assumptions,
) -> Vec<Exposure> {
    let id = &problem.skills[skill].id;
    let mut all = Vec::new();
    let mut last: Option<jiff::civil::Date> = None;
    for (session, (blocks, wish)) in plan.sessions.iter().zip(&problem.sessions).enumerate() {
        for block in blocks {
            let Some(variant) = problem.variant(&block.variant).filter(|v| v.skills.contains(id)) else {
                continue;
            };
            let rested = last.map_or(0.0, |before| f64::from((wish.date - before).get_days()));
            all.push(Exposure {
                session,
                week: weeks.iter().position(|week| *week == wish.week).unwrap_or(0),
                stage: variant.stage.index(),
                adds: assumed.rate_of(id) * comes_off_more(problem.knack) * dose(variant, id, block.minutes),
                keeps: (-rested / HALF_LIFE_DAYS).exp2(),
            });
            last = Some(wish.date);
        }
    }
    all
}

/// What a block adds to the progress in a skill of a player whose factor is 1, at rate 1: exposures of six working
/// minutes without any difficulty.
fn dose(variant: &Variant, skill: &SkillId, minutes: Minutes) -> f64 {
    let part = variant.parts.get(skill).map_or(1.0, |part| part.0);
    let worked = f64::from(minutes.0) * variant.working.0 * part;
    worked / MINUTES / (1.0 + SLOWER * variant.difficulty.0)
}

/// In which week a player moves on from the goal's stage; `None` if never.
fn reaches(
    exposures: &[Exposure],
    (starts, goal): (usize, usize),
    thresholds: &[f64; 4],
    factor: f64,
    is_here: &dyn Fn(usize) -> bool,
) -> Option<usize> {
    if starts > goal {
        return Some(0);
    }
    let (mut stage, mut progress) = (starts, 0.0);
    for exposure in exposures {
        progress *= exposure.keeps;
        if exposure.stage < stage || !is_here(exposure.session) {
            continue;
        }
        progress += factor * exposure.adds;
        if progress >= thresholds[stage] {
            if stage == goal {
                return Some(exposure.week);
            }
            (stage, progress) = (stage + 1, 0.0);
        }
    }
    None
}

/// The share over all squads and its band; `each` is how many a squad could have at most.
fn reached(week: u32, by_squad: &[u32], each: u32) -> Reached {
    let mut sorted = by_squad.to_vec();
    sorted.sort_unstable();
    let share = |count: f64| Share(if each > 0 { count / f64::from(each) } else { 0.0 });
    // The smallest count that at least this many of the squads do not exceed.
    let quantile = |part: f64| {
        let at = (part * sorted.len() as f64).ceil().max(1.0) as usize - 1;
        share(f64::from(sorted[at.min(sorted.len() - 1)]))
    };
    let mean = sorted.iter().map(|count| f64::from(*count)).sum::<f64>() / sorted.len() as f64;
    Reached { week, share: share(mean), low: quantile(0.1), high: quantile(0.9) }
}

/// How much an assumed rate weighs against results: as much as this many exposures of six working minutes.
pub const PRIOR_EXPOSURES: f64 = 20.0;

/// What results say about a rate.
#[derive(Clone, Copy, Debug, Default, PartialEq)]
pub struct Results {
    /// How often a player was seen to move on to the next stage.
    pub moved_on: u32,
    /// What they had done for it: Σ working minutes ÷ 6 ÷ (1 + 0.15 · difficulty), over all players.
    pub exposures: f64,
}

/// The rate after results: the mean of the gamma posterior, (assumed · 20 + moved on) ÷ (20 + exposures).
///
/// Source: the gamma distribution is conjugate to counts of events at a constant rate.
///
/// ```
/// use jogo_core::plan::forecast::{Results, estimated};
/// assert_eq!(estimated(1.5, Results::default()), 1.5); // nothing known: the assumption stands
/// assert_eq!(estimated(1.5, Results { moved_on: 10, exposures: 20.0 }), 1.0); // (30 + 10) ÷ 40
/// ```
pub fn estimated(assumed: f64, results: Results) -> f64 {
    (assumed * PRIOR_EXPOSURES + f64::from(results.moved_on)) / (PRIOR_EXPOSURES + results.exposures)
}
