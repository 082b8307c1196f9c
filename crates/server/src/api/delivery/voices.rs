//! What coaches tell the director of drills, and the answer.

use actix_web::web::{Data, Path};
use actix_web::{HttpResponse, get, post, put};
use jogo_core::ids::DrillId;
use jogo_core::input::{What, short_text};
use serde::Deserialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::facts::Thing;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::voices::VoicesSaid;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::voices::{AllVoices, Run, VoicesOfDrill};

pub fn routes(config: &mut ServiceConfig) {
    config.service(say).service(list).service(answer);
}

/// Takes in what a coach says of drills: all of it or nothing, each once.
#[utoipa::path(operation_id = "voices_say", params(("team" = Uuid, Path)), request_body = VoicesSaid,
    responses((status = 204), (status = 409, body = Problem)))]
#[post("/teams/{team}/voices")]
pub(in crate::api) async fn say(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<VoicesSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let voices = said.into_inner().read(&state).await?;
    state.store.add_voices(team.id, &voices, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// How often a drill was run, how it came off, and what coaches say of it.
#[utoipa::path(operation_id = "voices_list", params(("id" = DrillId, Path)),
    responses((status = 200, body = VoicesOfDrill)))]
#[get("/drills/{id}/voices")]
pub(in crate::api) async fn list(
    who: SignedIn,
    state: Data<State>,
    id: Path<DrillId>,
) -> Answer<Json<VoicesOfDrill>> {
    who.may(Act::KeepLibrary)?;
    let used = Run::of(&state).await?.take(&id);
    Ok(Json(AllVoices::of(&state).await?.whole(&id, used)))
}

/// What the director answers.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct AnswerSaid {
    says: String,
}

/// The longest answer, in characters.
pub(in crate::api) const LONGEST_ANSWER: usize = 400;

/// Answers all who have spoken of a drill.
#[utoipa::path(operation_id = "voices_answer", params(("id" = DrillId, Path)), request_body = AnswerSaid,
    responses((status = 204)))]
#[put("/drills/{id}/answer")]
pub(in crate::api) async fn answer(
    who: SignedIn,
    state: Data<State>,
    id: Path<DrillId>,
    said: Json<AnswerSaid>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepLibrary)?;
    state.store.kept_drill(&id).await?.ok_or_else(|| Problem::not_found(Thing::Drill))?;
    let says = short_text(&said.says, LONGEST_ANSWER, What::Note);
    let says = says.map_err(|fault| Problem::fault("/says", fault))?;
    state.store.answer(&id, &says, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}
