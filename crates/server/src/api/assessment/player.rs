//! One player: their progress sheet, everything that is kept of them, correcting and erasing it.

use crate::facts::Thing;
use actix_web::HttpResponse;
use actix_web::http::header;
use actix_web::web::{Data, Path};
use actix_web::{delete, get, post, put};
use jiff::ToSpan;
use jiff::civil::Date;
use jogo_store::academy::players::Left;
use jogo_store::academy::teams::{Player, Team};
use jogo_store::audit::Deed;
use jogo_store::erasure::Erased;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::newcomers::Corrected;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::progress::ProgressSheet;

pub fn routes(config: &mut ServiceConfig) {
    config
        .service(progress)
        .service(export)
        .service(correct)
        .service(move_on)
        .service(leave)
        .service(come_back)
        .service(list_left)
        .service(list_all_left)
        .service(erase)
        .service(delete_note);
}

async fn of_team(state: &State, team: &Team, player: Uuid) -> Answer<Player> {
    let squad = state.store.players(team.id).await?;
    squad.into_iter().find(|known| known.id == player).ok_or_else(|| Problem::not_found(Thing::Player))
}

/// A player of the squad, and their team, for whoever may do something with them.
async fn player_of(
    who: &SignedIn,
    state: &State,
    (team, player): (Uuid, Uuid),
    act: Act,
) -> Answer<(Team, Player)> {
    let team = who.team(state, team, act).await?;
    let player = of_team(state, &team, player).await?;
    Ok((team, player))
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
    let (team, player) = player_of(&who, &state, path.into_inner(), Act::SeeTeam).await?;
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
    let (team, player) = player_of(&who, &state, path.into_inner(), Act::SeeTeam).await?;
    let facts = state.store.player_facts(&team, &player).await?;
    let about = format!("{} {}", team.club, team.name);
    state.store.note(state.clock.now(), Some(who.0.id), Deed::PlayerExported, &about).await?;
    let file = (header::CONTENT_DISPOSITION, "attachment; filename=\"player.json\"");
    Ok(HttpResponse::Ok().insert_header(file).json(facts))
}

/// Corrects what is known of a player.
#[utoipa::path(operation_id = "players_correct", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    request_body = Corrected, responses((status = 204), (status = 409, body = Problem)))]
#[put("/teams/{team}/players/{player}")]
pub(in crate::api) async fn correct(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
    said: Json<Corrected>,
) -> Answer<HttpResponse> {
    let (team, player) = player_of(&who, &state, path.into_inner(), Act::KeepPlayers).await?;
    let about = said.into_inner().read(state.today().await?)?;
    state.store.correct_player(&team, player.id, &about, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Where a player goes on.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct MovesTo {
    /// A team for whose players the person may answer as well.
    team: Uuid,
}

/// A player goes on in another team, with everything that is kept of them.
#[utoipa::path(operation_id = "players_move", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    request_body = MovesTo, responses((status = 204), (status = 409, body = Problem)))]
#[put("/teams/{team}/players/{player}/team")]
pub(in crate::api) async fn move_on(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
    new: Json<MovesTo>,
) -> Answer<HttpResponse> {
    let (from, player) = player_of(&who, &state, path.into_inner(), Act::KeepPlayers).await?;
    let to = who.team(&state, new.team, Act::KeepPlayers).await?;
    if to.id != from.id {
        let (today, said) = (state.today().await?, (who.0.id, state.clock.now()));
        state.store.move_player((&from, &to), &player, today, said).await?;
    }
    Ok(HttpResponse::NoContent().finish())
}

/// A player has left the squad: they are no longer seen in it, and what is kept of them is erased when its time has
/// passed.
#[utoipa::path(operation_id = "players_leave", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 204)))]
#[post("/teams/{team}/players/{player}/leave")]
pub(in crate::api) async fn leave(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    let (team, player) = player_of(&who, &state, path.into_inner(), Act::KeepPlayers).await?;
    let (today, now) = (state.today().await?, state.clock.now());
    state.store.set_left(&team, player.id, Some(today), who.0.id, now).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// A player who had left is back in the squad, with everything that is kept of them.
#[utoipa::path(operation_id = "players_return", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 204)))]
#[post("/teams/{team}/players/{player}/return")]
pub(in crate::api) async fn come_back(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::KeepPlayers).await?;
    let left = state.store.left_players(Some(team.id)).await?;
    let left =
        left.into_iter().find(|left| left.id == player).ok_or_else(|| Problem::not_found(Thing::Player))?;
    state.store.set_left(&team, left.id, None, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// A player who has left.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct LeftView {
    id: Uuid,
    team: Uuid,
    name: String,
    left_on: String,
    /// From this day on everything that is kept of them is erased.
    erased_on: String,
}

impl LeftView {
    fn of(left: Left, months: i64) -> LeftView {
        let Left { id, team, name, on } = left;
        // They are erased when more than the time has passed.
        let erased_on = on.saturating_add(months.months()).saturating_add(1.day());
        LeftView { id, team, name, left_on: on.to_string(), erased_on: erased_on.to_string() }
    }
}

async fn left_of(state: &State, team: Option<Uuid>) -> Answer<Vec<LeftView>> {
    let months = i64::from(state.store.settings().await?.0.keep_left_months.0);
    let left = state.store.left_players(team).await?.into_iter();
    Ok(left.map(|left| LeftView::of(left, months)).collect())
}

/// The players of a team who have left, and when they will be erased.
#[utoipa::path(operation_id = "players_left", params(("team" = Uuid, Path)),
    responses((status = 200, body = Vec<LeftView>)))]
#[get("/teams/{team}/left")]
pub(in crate::api) async fn list_left(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
) -> Answer<Json<Vec<LeftView>>> {
    let team = who.team(&state, *team, Act::KeepPlayers).await?;
    Ok(Json(left_of(&state, Some(team.id)).await?))
}

/// Everybody who has left, and when they will be erased: those who left first stand first.
#[utoipa::path(operation_id = "players_all_left", responses((status = 200, body = Vec<LeftView>)))]
#[get("/left")]
pub(in crate::api) async fn list_all_left(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<LeftView>>> {
    who.may(Act::KeepPeople)?;
    Ok(Json(left_of(&state, None).await?))
}

/// How far an erasure has come.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct ErasedView {
    /// It is gone for whoever asks, but somebody is still reading what was there before: until they are done, the log
    /// of writes holds it.
    waits: bool,
}

impl From<Erased> for ErasedView {
    fn from(erased: Erased) -> ErasedView {
        ErasedView { waits: erased == Erased::NotYetInTheLog }
    }
}

/// Erases a player, also one who has left, with everything that is kept of them. What remains (planned and run
/// sessions, lines of note) names nobody.
#[utoipa::path(operation_id = "players_erase", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 200, body = ErasedView)))]
#[delete("/teams/{team}/players/{player}")]
pub(in crate::api) async fn erase(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<Json<ErasedView>> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::KeepPlayers).await?;
    let has_left = state.store.left_players(Some(team.id)).await?.iter().any(|left| left.id == player);
    if !has_left {
        of_team(&state, &team, player).await?;
    }
    let erased = state.store.erase_player(&team, player, who.0.id, state.clock.now()).await?;
    Ok(Json(erased.into()))
}

/// Deletes what was noted of a session on a day, with all that the note said before: nothing of it is left.
#[utoipa::path(operation_id = "players_delete_note", params(("team" = Uuid, Path), ("day" = String, Path)),
    responses((status = 200, body = ErasedView)))]
#[delete("/teams/{team}/notes/{day}")]
pub(in crate::api) async fn delete_note(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Date)>,
) -> Answer<Json<ErasedView>> {
    let (team, day) = path.into_inner();
    let team = who.team(&state, team, Act::KeepPlayers).await?;
    let deleted = state.store.delete_notes(&team, day, who.0.id, state.clock.now()).await?;
    Ok(Json(deleted.ok_or_else(|| Problem::not_found(Thing::Note))?.into()))
}
