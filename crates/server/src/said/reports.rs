//! What players say that they did at home, written down by their coach.

use jiff::Timestamp;
use jogo_core::ids::DrillId;
use jogo_core::input::RangeFault;
use jogo_core::input::name_in_files;
use jogo_store::delivery::home::SelfReport;
use serde::Deserialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::{Faults, TeamNow, Wrong, at_most, said_at};
use crate::problem::Answer;
use crate::state::State;

/// What a player says that they did at home.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct ReportSaid {
    /// Made on the device.
    id: Uuid,
    player: Uuid,
    drill: DrillId,
    day: String,
    /// Their best, 0 to 1000.
    best: u32,
    said_at: String,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct ReportsSaid {
    reports: Vec<ReportSaid>,
}

/// The most reports that are taken at once.
pub const MOST_REPORTS: usize = 200;
/// The best that anybody can say.
const BEST: u32 = 1000;

impl ReportsSaid {
    /// The reports, or what is wrong with them. Nothing is said in the future.
    pub async fn read(self, state: &State, team: Uuid) -> Answer<Vec<SelfReport>> {
        at_most(MOST_REPORTS, self.reports.len(), "/reports")?;
        let (team, now) = (TeamNow::of(state, team).await?, state.clock.now().max(Timestamp::now()));
        let mut faults = Faults::default();
        let reports = faults.reading("/reports", self.reports, |said| new_report(&team, now, said));
        faults.none()?;
        Ok(reports)
    }
}

fn new_report(team: &TeamNow, now: Timestamp, said: ReportSaid) -> Result<SelfReport, Wrong> {
    if said.best > BEST {
        return Err((
            "best",
            RangeFault::Between { value: said.best.into(), least: 0.0, most: BEST.into() }.into(),
        ));
    }
    name_in_files(&said.drill).map_err(|fault| ("drill", fault.into()))?;
    let day = team.day("day", &said.day)?;
    Ok(SelfReport {
        id: said.id,
        player: team.player(said.player, day)?,
        drill: said.drill,
        day,
        best: said.best,
        said_at: said_at(&said.said_at)?.min(now),
    })
}
