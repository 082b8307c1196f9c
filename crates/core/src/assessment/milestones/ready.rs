//! Ready to move on: what is there, and what is missing?
//!
//! A skill has come to a stage when a milestone of that stage, or of a later one, is met or kept. A player is ready
//! for a skill when all of its needs have come to their stages and its gate is passed. A need that no milestone
//! speaks of holds nobody back: it is named, and the coach's eye decides.

use serde::Serialize;

use super::{Milestone, MilestoneState, Standing};
use crate::fact::facts;
use crate::ids::{MilestoneId, SkillId, TestId};
use crate::technique::skill::{Gate, Skill, Stage};

/// A milestone with where a player stands with it.
pub type Stands<'a> = (&'a Milestone, &'a Standing);

/// How far a skill has come with a player; `None` if no milestone of it is met.
pub fn stage_reached(stands: &[Stands<'_>], skill: &str) -> Option<Stage> {
    let had =
        stands.iter().filter(|(milestone, standing)| milestone.skill == skill && standing.state.is_had());
    had.map(|(milestone, _)| milestone.stage).max()
}

/// How many stages of a skill a player has had, by its milestones; `None` if nothing was seen of it yet.
pub fn stages_had(stands: &[Stands<'_>], skill: &str) -> Option<usize> {
    let seen = |(milestone, standing): &Stands<'_>| {
        milestone.skill == skill && standing.state != MilestoneState::NotSeen
    };
    let stages = stage_reached(stands, skill).map_or(0, |stage| stage.index() + 1);
    stands.iter().any(seen).then_some(stages)
}

/// What a player lacks for a skill.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Missing {
    /// A skill has not come to this stage.
    Need {
        /// The skill.
        skill: SkillId,
        /// How far it has to come.
        stage: Stage,
    },
    /// The gate is not passed.
    Gate,
}

impl Missing {
    /// The same with what it asks for; `skill` is the one that is to be begun, `name` gives the names of other skills
    /// and `sentence` those of milestones.
    pub fn said(
        &self,
        skill: &Skill,
        name: impl Fn(&str) -> String,
        sentence: impl Fn(&str) -> Option<String>,
    ) -> MissingSaid {
        match (self, &skill.gate) {
            (Missing::Need { skill, stage }, _) => MissingSaid::Need { skill: name(skill), stage: *stage },
            (Missing::Gate, Some(Gate::Milestone { milestone, times, of_last })) => {
                let (times, of_last) = (*times, *of_last);
                match sentence(milestone) {
                    Some(milestone) => MissingSaid::Milestone { milestone, times, of_last },
                    None => MissingSaid::NoMilestone { milestone: milestone.clone() },
                }
            }
            (Missing::Gate, Some(Gate::Test { test, value, times, of_last })) => {
                let (test, value) = (test.clone(), *value);
                MissingSaid::Test { test, value, times: *times, of_last: *of_last }
            }
            (Missing::Gate, None) => MissingSaid::Gate,
        }
    }
}

facts! {
    /// What is missing before a skill can begin.
    pub enum MissingSaid {
        Need = "missing-need" { skill: String, stage: Stage },
        Milestone = "missing-milestone" { milestone: String, times: u32, of_last: u32 },
        NoMilestone = "missing-no-milestone" { milestone: MilestoneId },
        Test = "missing-test" { test: TestId, value: f64, times: u32, of_last: u32 },
        Gate = "missing-gate",
    }
}

/// Whether a player may begin a skill.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Readiness {
    /// What is missing; `None` if they are ready.
    pub missing: Vec<Missing>,
    /// Needs that no milestone speaks of: the coach's eye decides.
    pub unspoken: Vec<SkillId>,
}

impl Readiness {
    /// Whether nothing is missing.
    pub fn is_ready(&self) -> bool {
        self.missing.is_empty()
    }
}

/// Whether a player is ready to begin a skill; `gate` says whether its gate is passed; `None` if it has none.
pub fn for_skill(skill: &Skill, stands: &[Stands<'_>], gate: Option<bool>) -> Readiness {
    let mut readiness = Readiness::default();
    for need in skill.all_needs() {
        let reached = stage_reached(stands, &need.skill);
        if !stands.iter().any(|(m, _)| m.skill == need.skill && m.stage >= need.stage) {
            readiness.unspoken.push(need.skill);
        } else if reached.is_none_or(|stage| stage < need.stage) {
            readiness.missing.push(Missing::Need { skill: need.skill, stage: need.stage });
        }
    }
    if gate == Some(false) {
        readiness.missing.push(Missing::Gate);
    }
    readiness
}

/// The part of a squad that has to have come to a stage for the squad to be called there: two of three. An assumption.
pub const MOST_OF_A_SQUAD: f64 = 2.0 / 3.0;

/// How far a squad has come in a skill: the highest stage that most of it have, of the stages that milestones speak of.
/// `reached` has an entry for each player.
///
/// ```
/// use jogo_core::assessment::milestones::ready::of_squad;
/// use jogo_core::technique::skill::Stage;
/// let reached = [Some(Stage::Flow), Some(Stage::Form), None, Some(Stage::Flow), Some(Stage::Flow), None];
/// assert_eq!(of_squad(&reached), Some(Stage::Form)); // four of six have Form, three have Flow
/// assert_eq!(of_squad(&[]), None);
/// ```
pub fn of_squad(reached: &[Option<Stage>]) -> Option<Stage> {
    let enough = |stage: &&Stage| {
        let so_far = reached.iter().filter(|reached| reached.is_some_and(|r| r >= **stage)).count();
        !reached.is_empty() && so_far as f64 >= MOST_OF_A_SQUAD * reached.len() as f64 - 1e-9
    };
    Stage::ALL.iter().rev().find(enough).copied()
}
