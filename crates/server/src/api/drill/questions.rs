//! What a good coach would ask of the library as a whole.

use actix_web::get;
use actix_web::web::Data;
use utoipa_actix_web::service_config::ServiceConfig;

use crate::json::Json;
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::questions::{Question, questions};

pub fn routes(config: &mut ServiceConfig) {
    config.service(list);
}

/// What is asked of the library as it is now, piece by piece.
#[utoipa::path(operation_id = "library_questions", responses((status = 200, body = Vec<Question>)))]
#[get("/questions")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<Question>>> {
    who.may(Act::KeepLibrary)?;
    Ok(Json(questions(&state.store).await?))
}
