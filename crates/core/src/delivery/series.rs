//! A series as it is run: the clock says which move is on, and which comes next.

use serde::Serialize;

use crate::delivery::edition::Edition;
use crate::drill::Drill;
use crate::drill::dose::Dose;
use crate::drill::series::{Challenge, SeriesMove};
use crate::technique::skill::Foot;

/// The moves of a block that follow each other on one clock.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SeriesRun {
    /// The moves, in their order.
    pub moves: Vec<MoveRun>,
    /// What is tried at the end, if the dose gives time for it.
    pub challenge: Option<Challenge>,
}

/// A move of a series.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MoveRun {
    /// What it is called.
    pub name: String,
    /// The foot that does it alone; `None` where both do.
    pub foot: Option<Foot>,
    /// What to look for in it besides the points of the drill.
    pub points: Vec<String>,
}

impl Edition {
    /// The series of a drill as its band runs it; `None` if its dose is none.
    pub(crate) fn series(&self, drill: &Drill) -> Option<SeriesRun> {
        let (series, dose) = (drill.series.as_ref()?, drill.doses.get(&self.band.id)?);
        let Dose::Series { challenge, .. } = dose else { return None };
        let name = |each: &SeriesMove| {
            let skill = each.skill.as_ref().and_then(|id| self.skill(id)).map(|skill| skill.name.clone());
            each.says.clone().or(skill).unwrap_or_default()
        };
        let run =
            |each: &SeriesMove| MoveRun { name: name(each), foot: each.foot, points: each.points.clone() };
        Some(SeriesRun {
            moves: series.of_dose(dose).iter().map(run).collect(),
            challenge: challenge.and(series.challenge.clone()),
        })
    }
}
