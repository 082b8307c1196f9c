//! Practice at home: the page that players open without signing in, the card for paper, and what players say they did.

use crate::facts::Thing;
use actix_web::HttpResponse;
use actix_web::web::{Data, Path};
use actix_web::{get, post};
use jogo_core::academy::language::Language;
use jogo_core::academy::phrases::Phrases;
use jogo_core::delivery::home::HomeCard;
use jogo_core::delivery::team_plan::holding;
use jogo_core::ids::DrillId;
use jogo_core::units::Pace;
use jogo_store::academy::teams::Team;
use jogo_store::delivery::home::Reported;
use qrcode::QrCode;
use qrcode::render::svg;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::reports::ReportsSaid;
use crate::sign_in::rights::Act;
use crate::sign_in::{SignedIn, secrets};
use crate::state::State;
use crate::views::team_sessions::{editions_of, held};

pub fn routes(config: &mut ServiceConfig) {
    config.service(page).service(phrases).service(card).service(renew).service(report);
}

/// The card of a team's week; absent while no edition runs.
async fn card_of(state: &State, team: Uuid, pace: Pace) -> Answer<Option<HomeCard>> {
    let today = state.today().await?;
    let mut latest = None;
    for editions in editions_of(state, team).await?.into_values() {
        let days = held(&editions);
        // Of the curricula that have begun, the one that began last.
        let Some(place) = holding(&days, today) else { continue };
        let Some(own) = editions.into_iter().nth(place) else { continue };
        let start = own.edition.curriculum.start;
        if start <= today && latest.as_ref().is_none_or(|(other, _)| *other < start) {
            latest = Some((start, own.edition));
        }
    }
    let Some((_, edition)) = latest else { return Ok(None) };
    let shelf = state.store.drills().await?;
    let problem = edition.problem().map_err(Problem::input)?;
    Ok(Some(edition.home_card(&problem, &shelf, today, pace)))
}

/// What players see: the drills of the week, and nothing of any player.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct HomePage {
    academy: String,
    team: String,
    card: Option<HomeCard>,
}

/// The team of an address.
async fn team_of(state: &State, token: &str) -> Answer<Team> {
    let team = match state.store.home_team(token).await? {
        Some(team) => state.store.team(team).await?,
        None => None,
    };
    team.ok_or_else(|| Problem::not_found(Thing::Page))
}

/// The page of an address. Asks nobody who they are.
#[utoipa::path(operation_id = "home_page", security(()), params(("token" = String, Path)),
    responses((status = 200, body = HomePage)))]
#[get("/home/{token}")]
pub(in crate::api) async fn page(state: Data<State>, token: Path<String>) -> Answer<Json<HomePage>> {
    let team = team_of(&state, &token).await?;
    Ok(Json(HomePage {
        academy: state.store.academy().await?.unwrap_or_default(),
        card: card_of(&state, team.id, Pace::default()).await?,
        team: team.name,
    }))
}

/// The texts of the page in another language, and no others of the library.
#[utoipa::path(operation_id = "home_phrases", security(()),
    params(("token" = String, Path), ("language" = Language, Path)), responses((status = 200, body = Phrases)))]
#[get("/home/{token}/phrases/{language}")]
pub(in crate::api) async fn phrases(
    state: Data<State>,
    path: Path<(String, Language)>,
) -> Answer<Json<Phrases>> {
    let (token, language) = path.into_inner();
    let team = team_of(&state, &token).await?;
    let shown = serde_json::to_value(card_of(&state, team.id, Pace::default()).await?);
    let shown = shown.map_err(|e| Problem::internal(&e))?;
    Ok(Json(state.store.phrases(language).await?.needed_in(&shown)))
}

/// The last that a player says of a drill. Never evidence for a level.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct ReportedView {
    player: Uuid,
    drill: DrillId,
    day: String,
    best: u32,
}

impl From<Reported> for ReportedView {
    fn from(said: Reported) -> ReportedView {
        ReportedView { player: said.player, drill: said.drill, day: said.day.to_string(), best: said.best }
    }
}

/// What a coach hands out.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct HomeHandout {
    /// The page that players open.
    path: String,
    /// The same as a picture to be scanned, as SVG.
    code: String,
    card: Option<HomeCard>,
    reported: Vec<ReportedView>,
}

/// The code of an address, as SVG: dark on light, with the quiet zone that readers ask for.
fn code(address: &str) -> Answer<String> {
    let code = QrCode::new(address).map_err(|e| Problem::internal(&e))?;
    Ok(code.render::<svg::Color<'_>>().min_dimensions(160, 160).build())
}

/// The card of the week with the address of the page.
#[utoipa::path(operation_id = "home_card", params(("team" = Uuid, Path)),
    responses((status = 200, body = HomeHandout)))]
#[get("/teams/{team}/home")]
pub(in crate::api) async fn card(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    request: actix_web::HttpRequest,
) -> Answer<Json<HomeHandout>> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let token = state.store.home_token(team.id, &secrets::token()?[..32], state.clock.now()).await?;
    let path = format!("/home/{token}");
    let whole = {
        let asked = request.connection_info();
        format!("{}://{}{path}", asked.scheme(), asked.host())
    };
    Ok(Json(HomeHandout {
        code: code(&whole)?,
        path,
        card: card_of(&state, team.id, Pace::default()).await?,
        reported: state.store.self_reported(team.id).await?.into_iter().map(ReportedView::from).collect(),
    }))
}

/// Gives the page another address; the earlier one no longer works.
#[utoipa::path(operation_id = "home_renew", params(("team" = Uuid, Path)),
    responses((status = 204)))]
#[post("/teams/{team}/home/address")]
pub(in crate::api) async fn renew(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    state.store.renew_home_token(team.id, &secrets::token()?[..32], state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Takes in what players say, all of it or nothing.
#[utoipa::path(operation_id = "home_report", params(("team" = Uuid, Path)),
    request_body = ReportsSaid,
    responses((status = 204)),
)]
#[post("/teams/{team}/home/reports")]
pub(in crate::api) async fn report(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<ReportsSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let reports = said.into_inner().read(&state, team.id).await?;
    state.store.add_self_reports(team.id, &reports, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}
