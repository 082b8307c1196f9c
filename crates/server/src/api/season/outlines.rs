//! Curricula that are planned as an outline only.

use actix_web::HttpResponse;
use actix_web::web::{Data, Path};
use actix_web::{delete, put};
use jogo_core::ids::SkillId;
use jogo_core::input::{InputError, Unknown};
use jogo_core::season::year_sheet::Outline;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::drills::known_band;

pub fn routes(config: &mut ServiceConfig) {
    config.service(keep).service(take_away);
}

/// Adds an outline, or changes it.
#[utoipa::path(operation_id = "outlines_keep", params(("outline" = Uuid, Path)), request_body = Outline,
    responses((status = 204)))]
#[put("/outlines/{outline}")]
pub(in crate::api) async fn keep(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    outline: Json<Outline>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let mut faults = outline.faults();
    faults.extend(unknown(&state, &outline.skills).await?);
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    known_band(&state, &outline.band).await?;
    state.store.put_outline(*id, &outline).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Skills that the library does not have.
async fn unknown(state: &State, skills: &[SkillId]) -> Answer<Vec<InputError>> {
    let known = state.store.skills().await?;
    let is_new = |(_, id): &(usize, &SkillId)| !known.iter().any(|skill| skill.id == **id);
    let fault = |(at, id): (usize, &SkillId)| {
        InputError::at(format!("/skills/{at}"), Unknown::Skill { id: id.to_string() })
    };
    Ok(skills.iter().enumerate().filter(is_new).map(fault).collect())
}

/// Takes an outline away.
#[utoipa::path(operation_id = "outlines_drop", params(("outline" = Uuid, Path)), responses((status = 204)))]
#[delete("/outlines/{outline}")]
pub(in crate::api) async fn take_away(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    state.store.drop_outline(*id).await?;
    Ok(HttpResponse::NoContent().finish())
}
