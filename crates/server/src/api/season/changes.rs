//! The season change: looked at first, made at once, and taken back until something is logged.

use actix_web::HttpResponse;
use actix_web::web::{Data, Path};
use actix_web::{delete, get, post, put};
use jogo_core::fact::Fact;
use jogo_core::input::InputError;
use jogo_core::season::change::ChangeWish;
use jogo_store::StoreError;
use jogo_store::season::changes::{Making, TakenBack};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use super::year::season;
use crate::facts::{Entered, Thing};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::season_change::{ChangeStart, ChangeView, Proposed};

pub fn routes(config: &mut ServiceConfig) {
    config.service(start).service(preview).service(make).service(take_back);
}

/// What a season change begins with, and those that were made.
#[utoipa::path(operation_id = "season_changes_start", params(("season" = Uuid, Path)),
    responses((status = 200, body = ChangeStart)))]
#[get("/seasons/{season}/changes")]
pub(in crate::api) async fn start(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<Json<ChangeStart>> {
    who.may(Act::SetUp)?;
    let read = season(&state, *id).await?;
    Ok(Json(ChangeStart::of(&state, (*id, &read)).await?))
}

/// What a season change would do. Nothing changes.
#[utoipa::path(operation_id = "season_changes_preview", params(("season" = Uuid, Path)), request_body = ChangeWish,
    responses((status = 200, body = ChangeView)))]
#[post("/seasons/{season}/changes/preview")]
pub(in crate::api) async fn preview(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    wish: Json<ChangeWish>,
) -> Answer<Json<ChangeView>> {
    who.may(Act::SetUp)?;
    season(&state, *id).await?;
    Problem::if_any(wish.faults())?;
    Ok(Json(Proposed::of(&state, &wish).await?.view()?))
}

/// A season change that somebody has looked at and confirms.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Confirmed {
    wish: ChangeWish,
    /// Which proposal was looked at.
    stamp: String,
}

/// Makes a season change, all of it or nothing. One that differs by now from what was looked at is not made.
#[utoipa::path(operation_id = "season_changes_make", params(("season" = Uuid, Path), ("change" = Uuid, Path)),
    request_body = Confirmed,
    responses((status = 204), (status = 409, body = Problem), (status = 412, body = Problem)))]
#[put("/seasons/{season}/changes/{change}")]
pub(in crate::api) async fn make(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
    said: Json<Confirmed>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let (of, id) = path.into_inner();
    season(&state, of).await?;
    if !is_made(&state, of, id).await? {
        let proposed = confirmed(&state, &said).await?;
        let (today, at) = (state.today().await?, state.clock.now());
        let (teams, moved) = proposed.kept();
        let making = Making { id, season: of, today, by: who.0.id, at };
        state.store.make_season_change(&making, &teams, &moved).await?;
    }
    Ok(HttpResponse::NoContent().finish())
}

async fn is_made(state: &State, season: Uuid, id: Uuid) -> Answer<bool> {
    Ok(state.store.season_changes(season).await?.iter().any(|made| made.id == id))
}

/// The proposal, if it can be made and is still the one that was looked at.
async fn confirmed(state: &State, said: &Confirmed) -> Answer<Proposed> {
    Problem::if_any(said.wish.faults())?;
    let proposed = Proposed::of(state, &said.wish).await?;
    let fault = |says: &Fact| InputError::at("/wish/said", says.clone());
    Problem::if_any(proposed.stopped_by().map(|finding| fault(&finding.says)).collect())?;
    if proposed.stamp()? == said.stamp { Ok(proposed) } else { Err(StoreError::Stale.into()) }
}

/// What came of taking a season change back.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct ChangeTakenBack {
    /// How many children stay where they are, because they have been moved since then.
    elsewhere: usize,
}

/// Takes a season change back: everybody is where they were.
#[utoipa::path(operation_id = "season_changes_take_back",
    params(("season" = Uuid, Path), ("change" = Uuid, Path)),
    responses((status = 200, body = ChangeTakenBack), (status = 409, body = Problem), (status = 422, body = Problem)))]
#[delete("/seasons/{season}/changes/{change}")]
pub(in crate::api) async fn take_back(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<Json<ChangeTakenBack>> {
    who.may(Act::SetUp)?;
    let (of, id) = path.into_inner();
    if !is_made(&state, of, id).await? {
        return Err(Problem::not_found(Thing::SeasonChange));
    }
    match state.store.take_back_season_change(id, who.0.id, state.clock.now()).await? {
        TakenBack::Done { elsewhere } => Ok(Json(ChangeTakenBack { elsewhere })),
        TakenBack::Logged => Err(Problem::fault("/change", Entered::ChangeLogged)),
        TakenBack::Unknown => Err(Problem::not_found(Thing::SeasonChange)),
    }
}
