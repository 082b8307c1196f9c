//! The progression map: shown, changed, compared, and the ways through it.

use crate::facts::Entered;
use actix_web::web::{Data, Query};
use actix_web::{HttpRequest, HttpResponse, get, post};
use jiff::civil::Date;
use jogo_core::ids::SkillId;
use jogo_core::progression::compare::{Difference, compare};
use jogo_core::technique::skill::Stage;
use serde::Deserialize;
use utoipa::IntoParams;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use super::{version, versioned};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::map::MapChanges;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::map::{MapView, WayView};

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(change_map).service(way).service(compared);
}

/// The map, its findings, and where everything stands.
#[utoipa::path(operation_id = "map_show", responses((status = 200, body = MapView)))]
#[get("/map")]
pub(super) async fn show(who: SignedIn, state: Data<State>) -> Answer<HttpResponse> {
    who.may(Act::SeeLibrary)?;
    let map = MapView::of(&state).await?;
    Ok(versioned(map.version, &map))
}

/// Changes skills: all of them or none. Nothing that makes a circle is kept.
#[utoipa::path(operation_id = "map_change", params(("If-Match" = String, Header)),
    request_body = MapChanges,
    responses((status = 200, body = MapView)),
)]
#[post("/map")]
pub(super) async fn change_map(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
    said: Json<MapChanges>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepLibrary)?;
    let version = version(&request)?;
    let changes = said.into_inner().read(&state).await?;
    state.store.change_map(&changes, version, who.0.id, state.clock.now()).await?;
    let map = MapView::of(&state).await?;
    Ok(versioned(map.version, &map))
}

/// Where a squad is to come, and from where.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(super) struct WayAsked {
    /// The skill.
    skill: SkillId,
    /// The stage.
    stage: Stage,
    /// The curriculum whose squad it is; without one nothing has been met yet.
    curriculum: Option<Uuid>,
}

/// What a skill rests on and opens, and what it costs at least to get there.
#[utoipa::path(operation_id = "map_way", params(WayAsked),
    responses((status = 200, body = WayView), (status = 404, body = Problem)))]
#[get("/map/way")]
pub(super) async fn way(who: SignedIn, state: Data<State>, asked: Query<WayAsked>) -> Answer<Json<WayView>> {
    who.may(Act::Plan)?;
    Ok(Json(WayView::of(&state, &asked.skill, asked.stage, asked.curriculum).await?))
}

/// Since when.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(super) struct Since {
    /// The end of this day, as 2031-02-10.
    since: String,
}

/// What has changed since the end of a day, in words.
#[utoipa::path(operation_id = "map_compared", params(Since),
    responses((status = 200, body = Vec<Difference>), (status = 422, body = Problem)))]
#[get("/map/compared")]
pub(super) async fn compared(
    who: SignedIn,
    state: Data<State>,
    asked: Query<Since>,
) -> Answer<Json<Vec<Difference>>> {
    who.may(Act::SeeLibrary)?;
    let wrong = || Problem::fault("/since", Entered::Day);
    let zone = state.zone().await?;
    let day: Date = asked.since.parse().map_err(|_| wrong())?;
    let end = day.tomorrow().and_then(|next| zone.to_timestamp(next.at(0, 0, 0, 0))).map_err(|_| wrong())?;
    let before = state.store.skills_at(end - jiff::SignedDuration::from_micros(1)).await?;
    Ok(Json(compare(&before, &state.store.skills().await?)))
}
