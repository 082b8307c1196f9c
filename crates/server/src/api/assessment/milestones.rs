//! The milestones that the whole academy shares.

use crate::facts::Entered;
use crate::facts::Kept;
use crate::facts::Thing;
use actix_web::HttpResponse;
use actix_web::web::{Data, Path};
use actix_web::{delete, get, put};
use jogo_core::assessment::milestones::Milestone;
use jogo_core::assessment::milestones::check::{check, left_without_milestone};
use jogo_core::ids::MilestoneId;
use jogo_store::StoreError;
use jogo_store::audit::Deed;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use utoipa_actix_web::service_config::ServiceConfig;

pub fn routes(config: &mut ServiceConfig) {
    config.service(list).service(put_one).service(drop_one);
}

/// All milestones.
#[utoipa::path(operation_id = "milestones_list", responses((status = 200, body = Vec<Milestone>)),
)]
#[get("/milestones")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<Milestone>>> {
    who.may(Act::SeeLibrary)?;
    Ok(Json(state.store.milestones().await?))
}

/// Keeps a milestone: a new one, or a changed one. States follow from the evidence at once.
#[utoipa::path(operation_id = "milestones_put", params(("id" = String, Path)),
    request_body = Milestone, responses((status = 204)),
)]
#[put("/milestones/{id}")]
pub(in crate::api) async fn put_one(
    who: SignedIn,
    state: Data<State>,
    id: Path<MilestoneId>,
    milestone: Json<Milestone>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let milestone = milestone.into_inner();
    let bands: Vec<_> = state.store.bands().await?.into_iter().map(|kept| kept.band).collect();
    let (skills, tests) = (state.store.skills().await?, state.store.tests().await?);
    Problem::if_any(check(&milestone, &bands, &skills, &tests))?;
    if milestone.id != *id {
        return Err(Problem::fault("/id", Entered::OtherAddress));
    }
    state.store.put_milestone(&milestone).await?;
    state.store.note(state.clock.now(), Some(who.0.id), Deed::MilestoneSet, &milestone.id).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Takes a milestone out; one that a gate asks for, or on which a coach has said something, stays.
#[utoipa::path(operation_id = "milestones_drop", params(("id" = String, Path)),
    responses((status = 204), (status = 409, body = Problem)))]
#[delete("/milestones/{id}")]
pub(in crate::api) async fn drop_one(
    who: SignedIn,
    state: Data<State>,
    id: Path<MilestoneId>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let known = state.store.milestones().await?;
    if !known.iter().any(|milestone| milestone.id == *id) {
        return Err(Problem::not_found(Thing::Milestone));
    }
    if let Some(asked) = left_without_milestone(&id, &state.store.skills().await?).into_iter().next() {
        return Err(StoreError::Taken(asked.into()).into());
    }
    if !state.store.drop_milestone(&id).await? {
        return Err(StoreError::Taken(Kept::MilestoneHasWord.into()).into());
    }
    state.store.note(state.clock.now(), Some(who.0.id), Deed::MilestoneDropped, &id).await?;
    Ok(HttpResponse::NoContent().finish())
}
