//! Drills: what is done, with which layout, dose and points to look for?

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use crate::band::{Band, BandId};
use crate::dose::Dose;
use crate::fit::{Fit, Station};
use crate::levers::Levers;
use crate::skill::{SkillId, Stage, Strand};
use crate::units::{Difficulty, Minutes, Share};

/// The name by which a drill is known in files and addresses, as `weave-there-and-back`.
pub type DrillId = String;

/// No block is planned shorter than this: below it a drill is over before it has begun (an assumption).
pub const SHORTEST_BLOCK: Minutes = Minutes(5);

/// A skill that a drill serves.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Serves {
    /// The skill.
    pub skill: SkillId,
    /// At which stages.
    pub stages: Vec<Stage>,
}

/// One rung of a drill: the settings of its levers, and how often the ball is touched there.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Rung {
    /// The settings.
    pub levers: Levers,
    /// Touches per second of work; an assumption until somebody counts.
    pub touches_per_s: f64,
}

/// What goes wrong, why, and what to say or change.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct FaultSeen {
    /// What you see.
    pub see: String,
    /// Why it happens.
    pub why: String,
    /// What to say or change.
    pub say: String,
}

/// An exercise.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Drill {
    /// As `weave-there-and-back`.
    pub id: DrillId,
    /// As a coach says it.
    pub title: String,
    /// One sentence: what it is for.
    pub purpose: String,
    /// When it is used in a game.
    pub in_game: String,
    /// Which skills it serves, at which stages.
    pub serves: Vec<Serves>,
    /// How its minutes count for the strands; the shares sum to one.
    pub strands: BTreeMap<Strand, Share>,
    /// Players at one station.
    pub station: Station,
    /// The layout text.
    pub layout: String,
    /// The dose for each band that does it.
    pub doses: BTreeMap<BandId, Dose>,
    /// Base difficulty, 0 to 10.
    pub difficulty: Difficulty,
    /// Its rungs from easy to hard.
    pub rungs: Vec<Rung>,
    /// What to look for, in order, short enough to say aloud.
    pub points: Vec<String>,
    /// The usual faults and their mends.
    pub faults: Vec<FaultSeen>,
    /// What could hurt.
    #[serde(default)]
    pub cautions: Vec<String>,
}

impl Drill {
    /// The skills that get an exposure when the drill is done at a stage.
    pub fn skills_at(&self, stage: Stage) -> impl Iterator<Item = &SkillId> {
        self.serves.iter().filter(move |s| s.stages.contains(&stage)).map(|s| &s.skill)
    }

    /// The easiest rung for each stage, in the order of the stages.
    ///
    /// A stage that no rung reaches is left out.
    pub fn stages(&self) -> Vec<(Stage, &Rung)> {
        Stage::ALL.into_iter().filter_map(|stage| Some((stage, self.rung_at(stage)?))).collect()
    }

    /// The easiest rung of a stage.
    pub fn rung_at(&self, stage: Stage) -> Option<&Rung> {
        self.rungs
            .iter()
            .filter(|rung| rung.levers.stage() == stage)
            .min_by(|a, b| a.levers.points().total_cmp(&b.levers.points()))
    }

    /// How hard a rung is.
    pub fn difficulty_of(&self, rung: &Rung) -> Difficulty {
        self.difficulty + Difficulty(rung.levers.points())
    }

    /// The least and most minutes of a block: from half the band's sets to one and a half times, but never under
    /// [`SHORTEST_BLOCK`] nor over the band's longest block. Nothing if the band does not do this drill, or has no room for it.
    pub fn minutes(&self, band: &Band, turns: u32) -> Option<(Minutes, Minutes)> {
        let dose = self.doses.get(&band.id)?;
        let block = |sets: u32| dose.with_sets(sets).block(band.explaining, turns);
        let least = block(dose.sets().div_ceil(2).max(1)).max(SHORTEST_BLOCK);
        let most = block((dose.sets() * 3).div_ceil(2)).max(least).min(band.longest_block);
        (least <= most).then_some((least, most))
    }

    /// How often the dose is done in turns at the largest station.
    pub fn turns(&self, fit: &Fit) -> u32 {
        let largest = fit.station_sizes.iter().max().copied().unwrap_or(1);
        largest.div_ceil(self.station.working.max(1)).max(1)
    }
}
