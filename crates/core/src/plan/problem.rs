//! A problem for the planner, and the plan that answers it. Both have a JSON form.

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::drill::DrillId;
use crate::skill::{Need, SkillId, Stage, Strand};
use crate::units::{Difficulty, Minutes, Share};

/// The name of a variant: its drill and stage, as `weave-there-and-back@flow`.
pub type VariantId = String;

/// How many exposures each stage needs before the next may begin: Form, Flow, Scan, Contest.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Approach {
    /// One number for each stage.
    pub exposures: [u32; 4],
}

impl Approach {
    /// Many clean repetitions alone, opponents last.
    pub const REPETITION_FIRST: Approach = Approach { exposures: [3, 3, 2, 2] };
    /// Between the two.
    pub const BALANCED: Approach = Approach { exposures: [2, 2, 2, 2] };
    /// A cue or an opponent almost from the start.
    pub const DECISION_FIRST: Approach = Approach { exposures: [1, 1, 2, 3] };

    /// Exposures that a stage needs.
    pub fn needed(&self, stage: Stage) -> u32 {
        self.exposures[stage.index()]
    }
}

/// One evening and its technical minutes.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
pub struct SessionWish {
    /// The day.
    pub date: Date,
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// How long.
    pub minutes: Minutes,
}

/// A skill to be reached.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
pub struct SkillWish {
    /// Its name in files.
    pub id: SkillId,
    /// Its name for people.
    pub name: String,
    /// Its line.
    pub strand: Strand,
    /// How far the squad has come; nothing if it has not met the skill. Stages below it count as done.
    pub present: Option<Stage>,
    /// How far it is to come.
    pub goal: Stage,
    /// What must have come how far first; only skills of this problem.
    pub needs: Vec<Need>,
}

impl SkillWish {
    /// Whether a stage counts as done before the curriculum begins.
    pub fn has_done(&self, stage: Stage) -> bool {
        self.present.is_some_and(|present| stage < present)
    }

    /// The stages on the way to the goal that still need exposures.
    pub fn way(&self) -> impl Iterator<Item = Stage> + '_ {
        Stage::ALL.into_iter().filter(|stage| *stage <= self.goal && !self.has_done(*stage))
    }
}

/// A drill at one stage, as the plan may use it.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
pub struct Variant {
    /// Its name.
    pub id: VariantId,
    /// The drill; two blocks of the same drill share a layout.
    pub drill: DrillId,
    /// The stage that each of its skills is exposed to.
    pub stage: Stage,
    /// The skills that it exposes; all of them skills of this problem.
    pub skills: Vec<SkillId>,
    /// How its minutes count for the strands.
    pub strands: BTreeMap<Strand, Share>,
    /// Shortest block.
    pub least: Minutes,
    /// Longest block.
    pub most: Minutes,
    /// Laying out, if another layout stood before.
    pub laying_out: Minutes,
    /// How hard.
    pub difficulty: Difficulty,
}

/// What a plan has to do.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
pub struct Problem {
    /// Version of this form, 1.
    pub version: u32,
    /// How many skills may be met for the first time in a week.
    pub new_skills_per_week: u32,
    /// The evenings, in order of their dates.
    pub sessions: Vec<SessionWish>,
    /// How the minutes are to be shared.
    pub shares: BTreeMap<Strand, Share>,
    /// How many exposures each stage needs.
    pub approach: Approach,
    /// What is to be reached.
    pub skills: Vec<SkillWish>,
    /// What may be laid.
    pub variants: Vec<Variant>,
}

impl Problem {
    /// The variant of a name.
    pub fn variant(&self, id: &str) -> Option<&Variant> {
        self.variants.iter().find(|v| v.id == id)
    }

    /// Where a skill stands in the list.
    pub fn skill_index(&self, id: &str) -> Option<usize> {
        self.skills.iter().position(|s| s.id == id)
    }

    /// Minutes of all layout changes in a session.
    pub fn changes_in(&self, blocks: &[Block]) -> Minutes {
        let laid: Vec<&Variant> = blocks.iter().filter_map(|b| self.variant(&b.variant)).collect();
        laid.windows(2).map(|pair| self.change(Some(pair[0]), pair[1])).sum()
    }

    /// Minutes of the layout change before a block, after a block that stood before it.
    pub fn change(&self, before: Option<&Variant>, next: &Variant) -> Minutes {
        match before {
            Some(before) if before.drill != next.drill => next.laying_out,
            _ => Minutes(0),
        }
    }
}

/// A variant and its minutes in a session.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Block {
    /// Which variant.
    pub variant: VariantId,
    /// How long.
    pub minutes: Minutes,
}

/// What is done in each session, in order.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Plan {
    /// Blocks of each session.
    pub sessions: Vec<Vec<Block>>,
}
