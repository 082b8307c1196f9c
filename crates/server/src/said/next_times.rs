//! What coaches decide for the next time, from devices that may have been without network.

use jogo_core::delivery::NextTime;
use jogo_core::delivery::next_time::Decision;
use jogo_core::plan::BlockId;
use serde::Deserialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::{Faults, Sender, Wrong, at_most, said_at, set_times};
use crate::problem::Answer;
use crate::state::State;

/// What a coach decides after a block.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct NextTimeSaid {
    edition: Uuid,
    /// After which block.
    after: BlockId,
    next: NextTime,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct NextTimesSaid {
    next_times: Vec<NextTimeSaid>,
    sender: Option<Sender>,
}

/// The most decisions that are taken at once.
pub const MOST_DECISIONS: usize = 100;

impl NextTimesSaid {
    /// The decisions, each with its edition, or what is wrong with them.
    pub async fn read(self, state: &State) -> Answer<Vec<(Uuid, Decision)>> {
        let NextTimesSaid { next_times, sender } = self;
        at_most(MOST_DECISIONS, next_times.len(), "/next_times")?;
        let counts: Vec<Option<i64>> = next_times.iter().map(|said| said.count).collect();
        let mut faults = Faults::default();
        let mut decisions = faults.reading("/next_times", next_times, decision);
        faults.none()?;
        let times = decisions.iter_mut().map(|(_, decision)| &mut decision.at);
        set_times(state, sender, counts, times).await?;
        Ok(decisions)
    }
}

fn decision(said: NextTimeSaid) -> Result<(Uuid, Decision), Wrong> {
    let at = said_at(&said.said_at)?;
    Ok((said.edition, Decision { after: said.after, next: said.next, at }))
}
