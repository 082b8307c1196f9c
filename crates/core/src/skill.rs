//! Skills: what is learned, how far has it come, what does it need first?

use std::fmt;

use serde::{Deserialize, Serialize};

use crate::band::BandId;

/// The name by which a skill is known in files and addresses, as `sole-roll-stop`.
pub type SkillId = String;

/// One of the four lines that a curriculum is made of.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Strand {
    /// The ball and the foot, close by.
    BallMastery,
    /// Running with the ball, turning, going past.
    Dribbling,
    /// Taking the ball, on the floor and out of the air.
    Receiving,
    /// Giving the ball.
    Passing,
}

impl Strand {
    /// All strands, in the order in which they are always shown.
    pub const ALL: [Strand; 4] = [Strand::BallMastery, Strand::Dribbling, Strand::Receiving, Strand::Passing];

    /// Its place in [`Strand::ALL`].
    pub fn index(self) -> usize {
        self as usize
    }
}

impl fmt::Display for Strand {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        f.write_str(match self {
            Strand::BallMastery => "ball mastery",
            Strand::Dribbling => "dribbling",
            Strand::Receiving => "receiving",
            Strand::Passing => "passing",
        })
    }
}

/// How far a skill has come.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Stage {
    /// Correct and slow, on the spot.
    Form,
    /// In rhythm, at speed, on the move.
    Flow,
    /// Eyes up, answering a cue.
    Scan,
    /// Against someone.
    Contest,
}

impl Stage {
    /// All stages, from the first to the last.
    pub const ALL: [Stage; 4] = [Stage::Form, Stage::Flow, Stage::Scan, Stage::Contest];

    /// Its place in [`Stage::ALL`].
    pub fn index(self) -> usize {
        self as usize
    }

    /// The stage before this one; nothing comes before Form.
    pub fn before(self) -> Option<Stage> {
        self.index().checked_sub(1).map(|i| Stage::ALL[i])
    }
}

impl fmt::Display for Stage {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        f.write_str(match self {
            Stage::Form => "Form",
            Stage::Flow => "Flow",
            Stage::Scan => "Scan",
            Stage::Contest => "Contest",
        })
    }
}

/// A foot.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Side {
    /// The left foot.
    Left,
    /// The right foot.
    Right,
}

/// A skill that must have come to a stage before another one is met.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Need {
    /// The skill that is needed.
    pub skill: SkillId,
    /// How far it must have come.
    pub stage: Stage,
}

/// A technique that can be named and judged.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Skill {
    /// As `sole-roll-stop`.
    pub id: SkillId,
    /// As a coach says it, named by what the foot does.
    pub name: String,
    /// The line it belongs to.
    pub strand: Strand,
    /// The band in which it is usually started.
    pub band: BandId,
    /// What must have come how far before it is met.
    pub needs: Vec<Need>,
}
