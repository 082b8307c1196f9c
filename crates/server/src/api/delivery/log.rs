//! The log of a session: what coaches say of it, from devices that may have been without network.

use actix_web::HttpResponse;
use actix_web::post;
use actix_web::web::{Data, Path};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::log::LogSaid;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.service(say);
}

/// Takes in what was said of a session: all of it or nothing, each entry once, in any order.
#[utoipa::path(operation_id = "log_say", params(("team" = Uuid, Path)), request_body = LogSaid,
    responses(
        (status = 204), (status = 409, body = Problem),
    ),
)]
#[post("/teams/{team}/log")]
pub(in crate::api) async fn say(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<LogSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let entries = said.into_inner().read(&state, team.id).await?;
    state.store.add_log(team.id, &entries, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}
