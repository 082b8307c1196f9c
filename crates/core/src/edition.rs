//! Editions: a curriculum with everything that it shows, in one piece.
//!
//! A draft is put together from the living library; a published edition keeps the copy it was published with.

use std::collections::BTreeSet;

use serde::{Deserialize, Serialize};

use crate::academy::Academy;
use crate::band::Band;
use crate::curriculum::Curriculum;
use crate::drill::Drill;
use crate::input::InputError;
use crate::plan::{Plan, Problem};
use crate::skill::Skill;

/// A curriculum, its plan, and the part of the library that it uses.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Edition {
    /// The wishes.
    pub curriculum: Curriculum,
    /// What holds for the whole academy.
    #[serde(default)]
    pub academy: Academy,
    /// The band.
    pub band: Band,
    /// Skills that may be wished for.
    pub skills: Vec<Skill>,
    /// Drills that may be laid.
    pub drills: Vec<Drill>,
    /// What comes when.
    pub plan: Plan,
}

impl Edition {
    /// The problem that the plan answers.
    pub fn problem(&self) -> Result<Problem, Vec<InputError>> {
        self.curriculum.problem(&self.academy, &self.band, &self.skills, &self.drills)
    }

    /// The same with only those drills and skills that its plan and goals name: what is frozen when it is published. What
    /// becomes of the rest of the library does not concern it.
    pub fn trimmed(mut self) -> Edition {
        let laid: BTreeSet<&str> = self
            .plan
            .sessions
            .iter()
            .flatten()
            .filter_map(|block| block.variant.split_once('@').map(|(drill, _)| drill))
            .collect();
        self.drills.retain(|drill| laid.contains(drill.id.as_str()));
        let goals = &self.curriculum.goals;
        self.skills.retain(|skill| goals.iter().any(|goal| goal.skill == skill.id));
        self
    }

    /// The drill of a name.
    pub fn drill(&self, id: &str) -> Option<&Drill> {
        self.drills.iter().find(|d| d.id == id)
    }

    /// The skill of a name.
    pub fn skill(&self, id: &str) -> Option<&Skill> {
        self.skills.iter().find(|s| s.id == id)
    }
}
