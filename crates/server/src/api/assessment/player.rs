//! One player: their progress sheet, everything that is kept of them, and erasing it.

use crate::facts::Thing;
use actix_web::HttpResponse;
use actix_web::http::header;
use actix_web::web::{Data, Path};
use actix_web::{delete, get};
use jogo_store::academy::teams::{Player, Team};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::progress::ProgressSheet;

pub fn routes(config: &mut ServiceConfig) {
    config.service(progress).service(erase).service(export);
}

async fn of_team(state: &State, team: &Team, player: Uuid) -> Answer<Player> {
    let squad = state.store.players(team.id).await?;
    squad.into_iter().find(|known| known.id == player).ok_or_else(|| Problem::not_found(Thing::Player))
}

/// The progress sheet of a player.
#[utoipa::path(operation_id = "players_progress", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 200, body = ProgressSheet)))]
#[get("/teams/{team}/players/{player}")]
pub(in crate::api) async fn progress(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<Json<ProgressSheet>> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let player = of_team(&state, &team, player).await?;
    Ok(Json(ProgressSheet::of(&state, team, &player).await?))
}

/// Everything that is kept of a player, as a file.
#[utoipa::path(operation_id = "players_export", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses(
        (status = 200, description = "Everything that is kept of them, as JSON", content_type = "application/json"),
    ),
)]
#[get("/teams/{team}/players/{player}/export")]
pub(in crate::api) async fn export(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let player = of_team(&state, &team, player).await?;
    let facts = state.store.player_facts(&team, &player).await?;
    let file = (header::CONTENT_DISPOSITION, "attachment; filename=\"player.json\"");
    Ok(HttpResponse::Ok().insert_header(file).json(facts))
}

/// Erases a player with everything that is kept of them. What remains (planned and run sessions, lines of note) names
/// nobody.
#[utoipa::path(operation_id = "players_erase", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 204)))]
#[delete("/teams/{team}/players/{player}")]
pub(in crate::api) async fn erase(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::Coach).await?;
    let player = of_team(&state, &team, player).await?;
    state.store.erase_player(&team, player.id, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}
