//! How a squad may be split into stations: everything that a phone without network needs for it.

use std::collections::{BTreeMap, BTreeSet};

use jogo_core::delivery::pairs::Pair;
use jogo_core::delivery::session::RunningOrder;
use jogo_core::delivery::stations::{Mix, order, strength};
use jogo_store::academy::teams::{Player, Team};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;
use crate::views::squad::latest_results;

/// Orders in which the squad fills stations; each kind several times, for as many rolls.
#[derive(Serialize, ToSchema)]
pub struct Splits {
    like_with_like: Vec<Vec<Uuid>>,
    /// By the size of the stations.
    mixed: BTreeMap<u32, Vec<Vec<Uuid>>>,
    /// Who is kept apart, who stays together: whoever has come is known on the phone alone, which sees to it.
    pairs: Vec<PairWish>,
}

/// How many other splits are there to choose from.
const ROLLS: u64 = 4;

impl Splits {
    /// The splits of a team for one of its sessions.
    pub async fn of(state: &State, team: &Team, running: &RunningOrder) -> Answer<Splits> {
        let results = latest_results(state, team, &state.store.tests().await?).await?;
        let players = state.store.players(team.id).await?;
        let strong = |player: &Player| {
            let own = results.iter().filter(|result| result.player == player.id);
            (player.id, strength(own.filter_map(|result| result.level)))
        };
        let squad: Vec<(Uuid, f64)> = players.iter().map(strong).collect();
        let rolled = |mix, station| -> Vec<Vec<Uuid>> {
            (0..ROLLS).map(|roll| order(&squad, mix, station, running.session, roll)).collect()
        };
        let sizes: BTreeSet<u32> = running
            .blocks
            .iter()
            .filter_map(|block| block.laid.station_sizes.iter().max().copied())
            .collect();
        Ok(Splits {
            like_with_like: rolled(Mix::LikeWithLike, 1),
            mixed: sizes.into_iter().map(|size| (size, rolled(Mix::Mixed, size))).collect(),
            pairs: state.store.pairs(team.id).await?.into_iter().map(PairWish::from).collect(),
        })
    }
}

/// A wish about two players.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct PairWish {
    pub one: Uuid,
    pub other: Uuid,
    /// Whether they stay together, or are kept apart.
    pub together: bool,
}

impl From<Pair<Uuid>> for PairWish {
    fn from(Pair { one, other, together }: Pair<Uuid>) -> PairWish {
        PairWish { one, other, together }
    }
}
