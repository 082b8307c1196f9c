//! Who is kept apart, and who stays together at the stations.

use actix_web::HttpResponse;
use actix_web::put;
use actix_web::web::{Data, Path};
use jogo_core::delivery::pairs::{Pair, faults};
use serde::Deserialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::stations::PairWish;

pub fn routes(config: &mut ServiceConfig) {
    config.service(set);
}

/// All wishes of a team.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct PairWishes {
    pairs: Vec<PairWish>,
}

/// Sets the wishes of a team instead of those that there were, all of them or none.
#[utoipa::path(operation_id = "pairs_set", params(("team" = Uuid, Path)),
    request_body = PairWishes,
    responses((status = 204)),
)]
#[put("/teams/{team}/pairs")]
pub(in crate::api) async fn set(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    wished: Json<PairWishes>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let wished = wished.into_inner().pairs;
    let pairs: Vec<Pair<Uuid>> =
        wished.into_iter().map(|PairWish { one, other, together }| Pair { one, other, together }).collect();
    let squad: Vec<Uuid> = state.store.players(team.id).await?.into_iter().map(|player| player.id).collect();
    Problem::if_any(faults(&pairs, &squad))?;
    state.store.set_pairs(team.id, &pairs).await?;
    Ok(HttpResponse::NoContent().finish())
}
