//! Editions: a curriculum with everything that it shows, in one piece.
//!
//! A draft is put together from the living library; a published edition keeps the copy it was published with.

mod ahead;
mod changes;

pub use ahead::Ahead;
pub use changes::EditionChange;

use std::collections::{BTreeMap, BTreeSet};

use serde::{Deserialize, Serialize};

use crate::academy::Academy;
use crate::academy::band::Band;
use crate::assessment::benchmarks::Test;
use crate::assessment::milestones::Milestone;
use crate::drill::Drill;
use crate::ids::{SkillId, TestId};
use crate::input::InputError;
use crate::plan::curriculum::Curriculum;
use crate::plan::success::easiest;
use crate::plan::{Plan, Problem, Variant};
use crate::technique::skill::{Skill, Stage};
use crate::units::Minutes;

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
    /// Tests that may be taken.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub tests: Vec<Test>,
    /// What comes when.
    pub plan: Plan,
    /// Minutes that are left of the sessions that were cancelled or were cut short for a team.
    #[serde(default, skip_serializing_if = "BTreeMap::is_empty")]
    pub left: BTreeMap<usize, Minutes>,
    /// θ of the team that works by it; 0 where nothing is known. It follows from logs and is kept nowhere.
    #[serde(skip)]
    pub knack: f64,
}

impl Edition {
    /// The problem that the plan answers.
    pub fn problem(&self) -> Result<Problem, Vec<InputError>> {
        let wishes = &self.curriculum;
        let mut problem =
            wishes.problem(&self.academy, &self.band, &self.skills, &self.drills, &self.tests)?;
        for (session, left) in &self.left {
            if let Some(wish) = problem.sessions.get_mut(*session) {
                wish.shorten(*left);
            }
        }
        problem.knack = self.knack;
        Ok(problem)
    }

    /// The same with every test laid that its wishes ask for, but those of skills that no drill lets the squad meet:
    /// what is never met is not tested. Errs with the faults of the wishes.
    pub fn with_tests_laid(mut self, milestones: &[Milestone]) -> Result<Edition, Vec<InputError>> {
        self.curriculum = self.curriculum.with_tests_laid(&self.skills, milestones, &self.tests);
        let problem = self.problem()?;
        let shows = |skill: &SkillId| {
            let serves = |v: &&Variant| v.stage == Stage::Form && v.skills.contains(skill);
            problem.variants.iter().filter(serves).any(|variant| variant.barred.is_none())
        };
        let is_met = |skill: &SkillId| {
            let wish = problem.skills.iter().find(|wish| wish.id == *skill);
            wish.is_none_or(|wish| wish.present.is_some()) || shows(skill)
        };
        let skill_of = |id: &TestId| self.tests.iter().find(|test| test.id == *id).map(|test| &test.skill);
        self.curriculum.tests.retain(|sitting| sitting.pinned || skill_of(&sitting.test).is_none_or(is_met));
        Ok(self)
    }

    /// The same with other drills beside its own; its own come first where a name is the same.
    pub fn with_drills(mut self, others: &[Drill]) -> Edition {
        let drills = others.iter().filter(|drill| self.drill(&drill.id).is_none()).cloned();
        let drills: Vec<Drill> = drills.collect();
        self.drills.extend(drills);
        self
    }

    /// The same with only those drills and skills that its plan and goals name, and the easiest drill of each skill, by
    /// which its challenge is measured: what is frozen when it is published. What becomes of the rest of the library
    /// does not concern it.
    pub fn trimmed(mut self) -> Edition {
        let problem = self.problem().ok();
        let measured = problem.iter().flat_map(easiest).map(|(_, variant)| variant.drill.as_str());
        let laid: BTreeSet<&str> = self
            .plan
            .sessions
            .iter()
            .flatten()
            .flat_map(|block| [Some(&block.variant), block.beside.as_ref()])
            .flatten()
            .map(|variant| variant.drill.as_str())
            .chain(measured)
            .collect();
        self.drills.retain(|drill| laid.contains(drill.id.as_str()));
        let goals = &self.curriculum.goals;
        self.skills.retain(|skill| goals.iter().any(|goal| goal.skill == skill.id));
        let sittings = &self.curriculum.tests;
        self.tests.retain(|test| sittings.iter().any(|sitting| sitting.test == test.id));
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
