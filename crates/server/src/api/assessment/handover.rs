//! What a squad brings, for the coach who takes it.

use actix_web::get;
use actix_web::web::{Data, Path};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::handover::Handover;

pub fn routes(config: &mut ServiceConfig) {
    config.service(read);
}

/// What a squad brings to the curriculum that it begins, and what is missing.
#[utoipa::path(operation_id = "handover_read", params(("team" = Uuid, Path)),
    responses((status = 200, body = Handover)))]
#[get("/teams/{team}/handover")]
pub(in crate::api) async fn read(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
) -> Answer<Json<Handover>> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    Ok(Json(Handover::of(&state, team, who.may(Act::Plan).is_ok()).await?))
}
