//! Ways through the map: what does a skill rest on, what does it open, and what does it cost at least to get there?
//!
//! The cost is a lower bound from the rules. Each missing stage asks for the approach's exposures; a stage begins in a
//! later session than the last exposure of the one before (H3), and a skill in a later session than its needs were
//! reached (H2), so the longest chain of missing stages is the least number of sessions; new skills in a week are
//! limited (H4).

use serde::Serialize;

use super::Map;
use crate::academy::band::Band;
use crate::ids::SkillId;
use crate::plan::Approach;
use crate::plan::curriculum::Curriculum;
use crate::technique::skill::Stage;

/// A stage of a skill that is missing on the way.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WayStep {
    /// The skill.
    pub skill: SkillId,
    /// The stage.
    pub stage: Stage,
    /// Exposures that it needs.
    pub exposures: u32,
}

/// The shortest way from where a squad is to a stage of a skill.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Way {
    /// What is missing, in an order in which it can be learned.
    pub steps: Vec<WayStep>,
    /// All exposures together.
    pub exposures: u32,
    /// Sessions one after the other, at least.
    pub sessions: u32,
    /// Weeks, at least.
    pub weeks: u32,
}

/// How fast a squad goes.
#[derive(Clone, Copy, Debug)]
pub struct Pacing {
    /// Exposures that each stage needs.
    pub approach: Approach,
    /// Sessions in a week.
    pub sessions_per_week: u32,
    /// Skills that may be met for the first time in a week.
    pub new_skills_per_week: u32,
}

impl Pacing {
    /// Where no squad is asked for: a balanced approach, two sessions and two new skills in a week.
    pub const USUAL: Pacing =
        Pacing { approach: Approach::BALANCED, sessions_per_week: 2, new_skills_per_week: 2 };

    /// How fast the squads of a curriculum go; as many new skills as usual if its band is gone.
    pub fn of(curriculum: &Curriculum, band: Option<&Band>) -> Pacing {
        Pacing {
            approach: curriculum.approach,
            sessions_per_week: curriculum.weekdays.len() as u32,
            new_skills_per_week: band
                .map_or(Pacing::USUAL.new_skills_per_week, |band| band.new_skills_per_week),
        }
    }
}

impl Map<'_> {
    /// All skills that a skill rests on, directly or not.
    pub fn rests_on(&self, skill: usize) -> Vec<usize> {
        self.reached(skill, |map, at| map.needs(at).map(|(other, _)| other).collect())
    }

    /// All skills that rest on a skill, directly or not.
    pub fn opens(&self, skill: usize) -> Vec<usize> {
        self.reached(skill, |map, at| map.needed_by(at).map(|(other, _)| other).collect())
    }

    fn reached(&self, from: usize, next: impl Fn(&Self, usize) -> Vec<usize>) -> Vec<usize> {
        let mut seen = vec![false; self.skills.len()];
        let mut open = vec![from];
        while let Some(at) = open.pop() {
            for other in next(self, at) {
                if !std::mem::replace(&mut seen[other], true) {
                    open.push(other);
                }
            }
        }
        (0..seen.len()).filter(|skill| seen[*skill]).collect()
    }

    /// The shortest way to a stage of a skill, for a squad that has come so far with each: `None` if the map has a
    /// circle. Stages below a squad's present one count as done.
    pub fn way(&self, skill: usize, stage: Stage, present: &[Option<Stage>], pacing: &Pacing) -> Option<Way> {
        let order = self.order()?;
        // How far each skill must come.
        let mut asked: Vec<Option<Stage>> = vec![None; self.skills.len()];
        asked[skill] = Some(stage);
        for at in order.iter().rev().copied() {
            // A skill that was met already no longer asks for its needs.
            if asked[at].is_some() && present[at].is_none() {
                for (need, stage) in self.needs(at) {
                    asked[need] = asked[need].max(Some(stage));
                }
            }
        }
        let mut steps = Vec::new();
        let mut chain = vec![0_u32; self.skills.len()];
        let mut longest = 0;
        for at in order {
            let Some(goal) = asked[at] else { continue };
            let begins = if present[at].is_some() {
                0
            } else {
                self.needs(at)
                    .map(|(need, stage)| reached_after(&chain, &asked, present, need, stage))
                    .max()
                    .unwrap_or(0)
            };
            let missing: Vec<Stage> = missing(present[at], goal).collect();
            chain[at] = begins + missing.len() as u32;
            longest = longest.max(chain[at]);
            steps.extend(missing.into_iter().map(|stage| WayStep {
                skill: self.skills[at].id.clone(),
                stage,
                exposures: pacing.approach.needed(stage),
            }));
        }
        let new =
            (0..self.skills.len()).filter(|at| asked[*at].is_some() && present[*at].is_none()).count() as u32;
        let weeks = longest
            .div_ceil(pacing.sessions_per_week.max(1))
            .max(new.div_ceil(pacing.new_skills_per_week.max(1)));
        Some(Way {
            exposures: steps.iter().map(|step| step.exposures).sum(),
            sessions: longest,
            weeks,
            steps,
        })
    }
}

fn missing(present: Option<Stage>, goal: Stage) -> impl Iterator<Item = Stage> {
    Stage::ALL
        .into_iter()
        .filter(move |stage| *stage <= goal && present.is_none_or(|present| *stage >= present))
}

/// After how many sessions a need is reached at a stage: its own chain, less the stages beyond the one that is needed.
fn reached_after(
    chain: &[u32],
    asked: &[Option<Stage>],
    present: &[Option<Stage>],
    need: usize,
    stage: Stage,
) -> u32 {
    let beyond = asked[need]
        .map_or(0, |goal| missing(present[need], goal).filter(|missing| *missing > stage).count() as u32);
    if present[need].is_some_and(|present| stage < present) { 0 } else { chain[need] - beyond }
}
