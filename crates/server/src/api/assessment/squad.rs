//! A team's squad: its players with their levels, and the list they come from.

use actix_web::HttpResponse;
use actix_web::web::{Bytes, Data, Path, Query};
use actix_web::{get, post};
use jogo_core::academy::roster::{self, Columns, NewPlayer, RosterError, Row};
use jogo_store::academy::teams::Team;
use jogo_store::audit::Deed;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::newcomers::Newcomers;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::spreadsheet::{self, ListForm};
use crate::state::State;
use crate::views::squad::Squad;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(export).service(preview).service(add);
}

/// The squad with its latest levels.
#[utoipa::path(operation_id = "squad_show", params(("team" = Uuid, Path)),
    responses((status = 200, body = Squad)))]
#[get("/teams/{team}/squad")]
pub(in crate::api) async fn show(who: SignedIn, state: Data<State>, team: Path<Uuid>) -> Answer<Json<Squad>> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    Ok(Json(Squad::of(&state, team).await?))
}

#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Preview {
    /// The first line of the list.
    head: Vec<String>,
    /// Which column holds what; absent if that has to be said first.
    columns: Option<Columns>,
    rows: Vec<Row>,
    /// Rows that can be added.
    good: usize,
    /// Rows that cannot.
    faulty: usize,
}

/// Which column holds what, where the first line does not say so.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct Pointed {
    name: Option<usize>,
    birth_month: Option<usize>,
    strong_foot: Option<usize>,
}

impl Pointed {
    fn columns(&self) -> Option<Columns> {
        Some(Columns { name: self.name?, birth_month: self.birth_month?, strong_foot: self.strong_foot? })
    }
}

/// Reads a squad list (CSV in UTF-8, or XLSX) and says what it would add. Nothing is written.
#[utoipa::path(operation_id = "squad_preview", params(("team" = Uuid, Path), Pointed),
    request_body(content(
        (String = "text/csv"),
        (Vec<u8> = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
    )),
    responses((status = 200, body = Preview)),
)]
#[post("/teams/{team}/roster")]
pub(in crate::api) async fn preview(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    pointed: Query<Pointed>,
    file: Result<Bytes, actix_web::Error>,
) -> Answer<Json<Preview>> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let file = file.map_err(|_| Problem::too_large(crate::problem::LARGEST_BODY))?;
    let sheet = spreadsheet::list(file).await?;
    let columns = pointed.columns().or_else(|| roster::columns(&sheet).ok());
    let mut rows = match columns {
        Some(columns) => roster::rows(&sheet, columns, state.today().await?).map_err(unread)?,
        None if sheet.lines.is_empty() => return Err(unread(RosterError::Empty)),
        None => Vec::new(),
    };
    for player in state.store.players(team.id).await? {
        roster::note_known(&mut rows, &player.about.name);
    }
    note_ages(&state, &team, &mut rows).await?;
    let good = rows.iter().filter(|row| row.player.is_some()).count();
    Ok(Json(Preview { head: sheet.head, columns, faulty: rows.len() - good, good, rows }))
}

/// Notes who is out of the ages of the team's band in the season that runs.
async fn note_ages(state: &State, team: &Team, rows: &mut [Row]) -> Answer<()> {
    let today = state.today().await?;
    let seasons = state.store.seasons().await?.into_iter().map(|(_, season)| season);
    let first =
        seasons.filter(|season| (season.first..=season.last).contains(&today)).map(|season| season.first);
    let cut_off = state.store.settings().await?.0.cut_off;
    if let Some(band) = state.store.band(&team.band).await? {
        let year = cut_off.nearest(first.max().unwrap_or(today));
        band.note_ages(rows, cut_off, year);
    }
    Ok(())
}

fn unread(why: RosterError) -> Problem {
    Problem::fault("", why)
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct Wanted {
    #[param(inline)]
    pub(in crate::api) form: ListForm,
}

/// The squad as a list that can be read back.
#[utoipa::path(operation_id = "squad_export", params(("team" = Uuid, Path), Wanted),
    responses((status = 200, description = "The list", content(
        (String = "text/csv"),
        (Vec<u8> = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
    ))))]
#[get("/teams/{team}/roster")]
pub(in crate::api) async fn export(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    wanted: Query<Wanted>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    let squad: Vec<NewPlayer> = state.store.players(team.id).await?.into_iter().map(|p| p.about).collect();
    let about = format!("{} {}", team.club, team.name);
    state.store.note(state.clock.now(), Some(who.0.id), Deed::SquadExported, &about).await?;
    wanted.form.file("squad", &roster::lines(&squad))
}

/// Adds players to the squad: all of them or none; the same list may be sent twice.
#[utoipa::path(operation_id = "squad_add", params(("team" = Uuid, Path)),
    request_body = Newcomers,
    responses((status = 204), (status = 409, body = Problem)),
)]
#[post("/teams/{team}/players")]
pub(in crate::api) async fn add(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<Newcomers>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let players = said.into_inner().read(state.today().await?)?;
    state.store.add_players(team.id, &players, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}
