//! Seasons of the academy, and their terms.

use actix_web::HttpResponse;
use actix_web::web::{Data, Path};
use actix_web::{delete, get, put};
use jogo_core::plan::curriculum::Season;
use jogo_core::season::days_off::{DaysOff, Whose};
use jogo_core::season::year::Year;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.service(list).service(keep).service(take_away);
}

/// A season of the academy.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct YearView {
    id: Uuid,
    season: Year,
    /// When a curriculum of each term runs, with a session on every day that is not off.
    runs: Vec<Season>,
}

/// Every weekday.
const ALL_DAYS: std::ops::RangeInclusive<i8> = 1..=7;

/// The seasons, the latest first.
#[utoipa::path(operation_id = "seasons_list", responses((status = 200, body = Vec<YearView>)))]
#[get("/seasons")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<YearView>>> {
    who.may(Act::Plan)?;
    let off = of_academy(&state).await?;
    let view = |(id, season): (Uuid, Year)| {
        let runs = season.terms.iter().map(|term| term.runs(ALL_DAYS.collect(), &off)).collect();
        YearView { id, season, runs }
    };
    Ok(Json(state.store.seasons().await?.into_iter().map(view).collect()))
}

/// The days off of the whole academy.
pub(super) async fn of_academy(state: &State) -> Answer<Vec<DaysOff>> {
    let all = state.store.days_off().await?.into_iter();
    Ok(all.filter(|each| each.whose == Whose::Academy).map(|each| each.days).collect())
}

/// Adds a season, or changes it. Its curricula stay as they are.
#[utoipa::path(operation_id = "seasons_keep", params(("season" = Uuid, Path)), request_body = Year,
    responses((status = 204)))]
#[put("/seasons/{season}")]
pub(in crate::api) async fn keep(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    season: Json<Year>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let faults = season.faults();
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    state.store.put_season(*id, &season).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Takes a season away. Its curricula and days off stay.
#[utoipa::path(operation_id = "seasons_drop", params(("season" = Uuid, Path)), responses((status = 204)))]
#[delete("/seasons/{season}")]
pub(in crate::api) async fn take_away(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    state.store.drop_season(*id).await?;
    Ok(HttpResponse::NoContent().finish())
}
