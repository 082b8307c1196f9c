//! A series: several moves on one clock, one after another, and perhaps a challenge at the end.
//!
//! Ten exercises of a minute each, six moves of 30 s on and 30 s off and then whole chains, five ways through one weave
//! without a break: the drill says which moves, the dose of a band says how many of them, for how long and how often
//! ([`Dose::Series`]). Each move is an exposure of its skill.

use serde::{Deserialize, Serialize};

use crate::drill::dose::{Dose, MOST_MOVES};
use crate::fact::facts;
use crate::ids::{SkillId, TestId};
use crate::technique::skill::Foot;

/// The longest name of a move, and the longest challenge, in characters.
pub const LONGEST_MOVE: usize = 60;
/// The most points of a move.
pub const MOST_POINTS: usize = 3;

/// The moves of a drill that follow each other on one clock.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Series {
    /// The moves, in their order.
    pub moves: Vec<SeriesMove>,
    /// What is tried at the end, where the dose gives time for it.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub challenge: Option<Challenge>,
}

/// A move of a series: a skill, or what is said.
#[derive(Clone, Debug, Default, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct SeriesMove {
    /// The skill that it exposes.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub skill: Option<SkillId>,
    /// What it is called; else as its skill is.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub says: Option<String>,
    /// The foot that does it alone; `None` where both do.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub foot: Option<Foot>,
    /// What to look for in it, besides the points of the drill.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub points: Vec<String>,
}

/// What is tried at the end of a series: a test, or to beat the own best.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Challenge {
    /// What is said: "How many whole chains?".
    pub says: String,
    /// The test by which it is measured; without one everybody tries to beat their own best.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub test: Option<TestId>,
}

facts! {
    /// What is wrong with a series.
    pub enum SeriesFault {
        NoDose = "series-no-dose",
        NoSeries = "series-no-series",
        Moves = "series-moves" { moves: u32, of: u32 },
        NoName = "series-no-name",
        NotServed = "series-not-served" { skill: SkillId },
        NotAMove = "series-not-a-move" { skill: SkillId, moves: u32 },
        NoChallenge = "series-no-challenge",
    }
}

impl Series {
    /// The moves that a dose has.
    pub fn of_dose(&self, dose: &Dose) -> &[SeriesMove] {
        let Dose::Series { moves, .. } = dose else { return &[] };
        &self.moves[..self.moves.len().min(*moves as usize).min(MOST_MOVES)]
    }

    /// The feet that do its moves alone, move by move.
    pub fn feet(&self) -> impl Iterator<Item = Option<Foot>> {
        self.moves.iter().map(|each| each.foot)
    }
}
