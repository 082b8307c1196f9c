//! Which parts of the foot a plan trains.

use actix_web::get;
use actix_web::web::{Data, Path};
use jogo_core::delivery::surfaces::Surfaces;
use uuid::Uuid;

use super::drafts::{aside, opened};
use crate::json::Json;
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

/// Touches of one player over the whole plan by strand, surface and foot, and what stands out among them.
#[utoipa::path(operation_id = "curricula_surfaces", params(("id" = Uuid, Path)),
    responses((status = 200, body = Surfaces)))]
#[get("/curricula/{id}/surfaces")]
pub(super) async fn trained_surfaces(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<Json<Surfaces>> {
    who.may(Act::Plan)?;
    let (edition, problem) = opened(&state, *id).await?;
    Ok(Json(aside(move || edition.surfaces(&problem)).await?))
}
