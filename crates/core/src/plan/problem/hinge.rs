//! A skill that waits until a squad is ready for it.

use serde::{Deserialize, Serialize};

use super::{Block, Plan, Problem, Variant};
use crate::ids::SkillId;

/// A skill that waits for a squad, and what the squad works at meanwhile.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Hinge {
    /// The skill that waits.
    pub skill: SkillId,
    /// What comes first in its place; all of them skills of the problem.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub meanwhile: Vec<SkillId>,
}

impl Hinge {
    /// Whether a variant is an exposure of the skill, with either foot.
    pub(in crate::plan) fn is_shown_by(&self, variant: &Variant) -> bool {
        variant.skills.iter().any(|shown| shown.is_of(&self.skill))
    }

    /// The session in which a plan meets the skill; `None` if it never does.
    pub fn session(&self, problem: &Problem, plan: &Plan) -> Option<usize> {
        let shows = |block: &Block| problem.variant(&block.variant).is_some_and(|v| self.is_shown_by(v));
        plan.sessions.iter().position(|blocks| blocks.iter().any(shows))
    }
}
