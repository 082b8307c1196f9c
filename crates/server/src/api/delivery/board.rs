//! The delivery board: planned against delivered, clubs side by side.

use actix_web::get;
use actix_web::web::{Data, Path};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::clubs::Delivery;
use crate::worked_out::{UnderWay, WorkedOut};

pub fn routes(config: &mut ServiceConfig) {
    config.service(delivery);
}

/// Delivery of a curriculum in all clubs.
#[utoipa::path(operation_id = "review_delivery", params(("id" = Uuid, Path)),
    responses((status = 200, body = Delivery), (status = 202, body = UnderWay)))]
#[get("/curricula/{id}/delivery")]
pub(in crate::api) async fn delivery(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<WorkedOut<Delivery>> {
    who.may(Act::Review)?;
    Delivery::aside(&state, *id, who.clubs(&state).await?).await
}
