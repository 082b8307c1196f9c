//! Practice at home: the page that players open without signing in, the card for paper, and what players say they did.

use std::collections::{BTreeMap, BTreeSet};

use crate::facts::Thing;
use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse};
use actix_web::{get, post};
use jiff::civil::Date;
use jogo_core::academy::language::Language;
use jogo_core::academy::phrases::Phrases;
use jogo_core::delivery::home::HomeCard;
use jogo_core::delivery::presence::Away;
use jogo_core::delivery::team_plan::holding;
use jogo_core::ids::{DrillId, SkillId};
use jogo_core::units::Pace;
use jogo_store::academy::teams::Team;
use jogo_store::delivery::home::Reported;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::reports::ReportsSaid;
use crate::scanned::scanned;
use crate::sign_in::rights::Act;
use crate::sign_in::{SignedIn, secrets};
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, editions_of, held};

pub fn routes(config: &mut ServiceConfig) {
    config.service(page).service(phrases).service(card).service(renew).service(report);
}

/// The edition that a team works by now, of the curricula that have begun the one that began last; absent while none
/// runs.
async fn running(state: &State, team: Uuid, today: Date) -> Answer<Option<TeamEdition>> {
    let mut latest: Option<TeamEdition> = None;
    for editions in editions_of(state, team).await?.into_values() {
        let Some(place) = holding(&held(&editions), today) else { continue };
        let Some(own) = editions.into_iter().nth(place) else { continue };
        let start = own.edition.curriculum.start;
        if start <= today && latest.as_ref().is_none_or(|other| other.edition.curriculum.start < start) {
            latest = Some(own);
        }
    }
    Ok(latest)
}

/// The card of a team's week; absent while no edition runs.
async fn card_of(state: &State, team: Uuid, pace: Pace) -> Answer<Option<HomeCard>> {
    Ok(cards_of(state, team, pace, &Away::new()).await?.map(|(shared, _)| shared))
}

/// The card of a team's week, and those of players who have not met what the others have.
async fn cards_of(
    state: &State,
    team: Uuid,
    pace: Pace,
    away: &Away<Uuid>,
) -> Answer<Option<(HomeCard, Vec<OwnCard>)>> {
    let today = state.today().await?;
    let Some(TeamEdition { edition, said, .. }) = running(state, team, today).await? else { return Ok(None) };
    let shelf = state.store.drills().await?;
    let problem = edition.problem().map_err(Problem::input)?;
    let next = problem.sessions.iter().filter(|session| session.date <= today).count();
    let mut not_met: BTreeMap<Uuid, BTreeSet<SkillId>> = BTreeMap::new();
    for (skill, players) in edition.not_met(&problem, &said, next, away) {
        for player in players {
            not_met.entry(player).or_default().insert(skill.clone());
        }
    }
    let shared = edition.home_card(&problem, &shelf, today, pace);
    let own = |(player, skills): (Uuid, BTreeSet<SkillId>)| {
        let own = edition.home_card_for(&skills, &problem, &shelf, today, pace);
        (own != shared).then_some(OwnCard { player, card: own })
    };
    let own = not_met.into_iter().filter_map(own).collect();
    Ok(Some((shared, own)))
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
    /// The cards of players who were away whenever a skill was shown: they begin with that.
    own_cards: Vec<OwnCard>,
    reported: Vec<ReportedView>,
}

/// The card of one player.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct OwnCard {
    player: Uuid,
    card: HomeCard,
}

/// The card of the week with the address of the page.
#[utoipa::path(operation_id = "home_card", params(("team" = Uuid, Path)),
    responses((status = 200, body = HomeHandout)))]
#[get("/teams/{team}/home")]
pub(in crate::api) async fn card(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    request: HttpRequest,
) -> Answer<Json<HomeHandout>> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let token = state.store.home_token(team.id, &secrets::token()?[..32], state.clock.now()).await?;
    let path = format!("/home/{token}");
    let away = state.store.away(team.id).await?;
    let (shared, own_cards) = cards_of(&state, team.id, Pace::default(), &away).await?.unzip();
    Ok(Json(HomeHandout {
        code: scanned(&state.reached.address(&request, &path))?,
        path,
        card: shared,
        own_cards: own_cards.unwrap_or_default(),
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
