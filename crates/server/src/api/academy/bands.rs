//! What holds for the whole academy, and its bands.

use crate::facts::Entered;
use crate::facts::Thing;
use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, get, post, put};
use jiff::tz::TimeZone;
use jogo_core::academy::Academy;
use jogo_core::academy::band::Band;
use jogo_core::drill::Drill;
use jogo_core::ids::BandId;
use jogo_core::technique::score::tempo::Tempos;
use jogo_store::academy::KeptBand;
use jogo_store::audit::Deed;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;

use super::clubs::name;
use crate::api::{version, versioned};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::standards::TempoOfTest;
use crate::views::starter::Starter;

pub fn routes(config: &mut ServiceConfig) {
    config
        .service(list)
        .service(add)
        .service(change)
        .service(tempos)
        .service(show_academy)
        .service(change_academy)
        .service(name_academy);
}

/// A band and its version.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct BandView {
    band: Band,
    version: i64,
    /// Seconds of a beat: the band's own, or the usual ones of its age.
    tempos: Tempos,
}

impl From<KeptBand> for BandView {
    fn from(KeptBand { band, version }: KeptBand) -> BandView {
        BandView { tempos: band.tempos(), band, version }
    }
}

/// What holds for the whole academy, and its version.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct AcademyView {
    /// As people say it.
    name: String,
    /// As the time zone database names it.
    time_zone: String,
    academy: Academy,
    version: i64,
}

async fn bands(state: &State) -> Answer<Vec<BandView>> {
    let kept = state.store.bands().await?;
    Ok(kept.into_iter().map(BandView::from).collect())
}

/// All bands, the youngest first.
#[utoipa::path(operation_id = "bands_list", responses((status = 200, body = Vec<BandView>)))]
#[get("/bands")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<BandView>>> {
    who.may(Act::SeeLibrary)?;
    Ok(Json(bands(&state).await?))
}

/// The ages of a new band.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct NewBand {
    /// Youngest age on the academy's cut-off date, in years.
    youngest: u8,
    /// Oldest age, in years.
    oldest: u8,
}

/// Adds a band, with the numbers of the band whose ages lie nearest.
#[utoipa::path(operation_id = "bands_add", request_body = NewBand,
    responses((status = 200, body = Vec<BandView>), (status = 409, body = Problem)))]
#[post("/bands")]
pub(in crate::api) async fn add(
    who: SignedIn,
    state: Data<State>,
    new: Json<NewBand>,
) -> Answer<Json<Vec<BandView>>> {
    who.may(Act::SetUp)?;
    let own: Vec<Band> = state.store.bands().await?.into_iter().map(|kept| kept.band).collect();
    let like = if own.is_empty() { Starter::of(&state.store).await?.bands() } else { own };
    let like =
        Band::nearest(new.youngest, new.oldest, &like).ok_or_else(|| Problem::not_found(Thing::Band))?;
    let band = like.with_ages(new.youngest, new.oldest).ok_or_else(|| Problem::not_found(Thing::Band))?;
    Problem::if_any(band.faults())?;
    let drills = state.store.drills().await?.into_iter();
    let drills: Vec<Drill> = drills.filter_map(|drill| drill.dosed_as(&like.id, &band.id)).collect();
    let now = state.clock.now();
    state.store.add_band(&band, &drills, who.0.id, now).await?;
    state.store.note(now, Some(who.0.id), Deed::BandAdded, &band.id).await?;
    Ok(Json(bands(&state).await?))
}

/// Changes a band. Published editions keep the band that they were published with.
#[utoipa::path(operation_id = "bands_change",
    params(("id" = String, Path), ("If-Match" = String, Header)), request_body = Band,
    responses((status = 200, body = Vec<BandView>)),
)]
#[put("/bands/{id}")]
pub(in crate::api) async fn change(
    who: SignedIn,
    state: Data<State>,
    id: Path<BandId>,
    request: HttpRequest,
    band: Json<Band>,
) -> Answer<Json<Vec<BandView>>> {
    who.may(Act::SetUp)?;
    let version = version(&request)?;
    if state.store.band(&id).await?.is_none() {
        return Err(Problem::not_found(Thing::Band));
    }
    if band.id != *id {
        return Err(Problem::fault("/id", Entered::KeepsName));
    }
    Problem::if_any(band.faults())?;
    state.store.change_band(&band, version).await?;
    state.store.note(state.clock.now(), Some(who.0.id), Deed::BandChanged, &id).await?;
    Ok(Json(bands(&state).await?))
}

/// The tempos that the results of a band show, in each test that says what it counts, beat by beat.
#[utoipa::path(operation_id = "bands_tempos", params(("id" = String, Path)),
    responses((status = 200, body = Vec<TempoOfTest>), (status = 404, body = Problem)))]
#[get("/bands/{id}/tempos")]
pub(in crate::api) async fn tempos(
    who: SignedIn,
    state: Data<State>,
    id: Path<BandId>,
) -> Answer<Json<Vec<TempoOfTest>>> {
    who.may(Act::SetUp)?;
    let band = state.store.band(&id).await?.ok_or_else(|| Problem::not_found(Thing::Band))?;
    Ok(Json(TempoOfTest::of_band(&state, &band).await?))
}

async fn settings(state: &State) -> Answer<HttpResponse> {
    let (academy, version) = state.store.settings().await?;
    let name = state.store.academy().await?.unwrap_or_default();
    let time_zone = state.store.time_zone().await?.unwrap_or_else(|| "UTC".into());
    Ok(versioned(version, &AcademyView { name, time_zone, academy, version }))
}

/// The name of a time zone, if there is such a one.
pub(super) fn zone(said: &str) -> Answer<String> {
    let found = TimeZone::get(said.trim()).ok();
    let name = found.as_ref().and_then(TimeZone::iana_name).map(str::to_owned);
    let unknown = || Entered::TimeZone { written: said.chars().take(60).collect() };
    name.ok_or_else(|| Problem::fault("/time_zone", unknown()))
}

/// What the academy is called, and where it is.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct AcademyNamed {
    /// As people say it.
    name: String,
    /// As the time zone database names it: days and weeks are those of this zone.
    time_zone: String,
}

/// Gives the academy a name and a time zone.
#[utoipa::path(operation_id = "bands_name_academy", request_body = AcademyNamed,
    responses((status = 200, body = AcademyView)))]
#[put("/academy/name")]
pub(in crate::api) async fn name_academy(
    who: SignedIn,
    state: Data<State>,
    said: Json<AcademyNamed>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let AcademyNamed { name: said, time_zone } = said.into_inner();
    let (name, time_zone) = (name(&said)?, zone(&time_zone)?);
    state.store.set_academy(&name, &time_zone).await?;
    state.store.note(state.clock.now(), Some(who.0.id), Deed::AcademyNamed, &name).await?;
    settings(&state).await
}

/// What holds for the whole academy.
#[utoipa::path(operation_id = "bands_academy", responses((status = 200, body = AcademyView)))]
#[get("/academy")]
pub(in crate::api) async fn show_academy(who: SignedIn, state: Data<State>) -> Answer<HttpResponse> {
    who.may(Act::SeeLibrary)?;
    settings(&state).await
}

/// Changes what holds for the whole academy.
#[utoipa::path(operation_id = "bands_change_academy", params(("If-Match" = String, Header)),
    request_body = Academy,
    responses((status = 200, body = AcademyView)))]
#[put("/academy")]
pub(in crate::api) async fn change_academy(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
    academy: Json<Academy>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    Problem::if_any(academy.faults())?;
    state.store.change_settings(&academy, version(&request)?).await?;
    state.store.note(state.clock.now(), Some(who.0.id), Deed::SettingsChanged, "settings").await?;
    settings(&state).await
}
