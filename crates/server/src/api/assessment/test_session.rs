//! The test session: the sheet to fill, and what was measured.

use crate::facts::Thing;
use actix_web::HttpResponse;
use actix_web::web::{Bytes, Data, Path, Query};
use actix_web::{get, post};
use jogo_core::assessment::results::list;
use jogo_core::assessment::results::list::ResultLine;
use jogo_core::ids::TestId;
use jogo_store::audit::Deed;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::assessment::board::OnDay;
use crate::api::assessment::squad::Wanted;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::day_of_season;
use crate::said::trials::TrialsSaid;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::spreadsheet;
use crate::state::State;
use crate::views::sheet::Sheet;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show_sheet).service(say).service(export).service(preview);
}

/// The sheet of a test for today, or for an earlier day of the season that is read back from paper.
#[utoipa::path(operation_id = "testing_sheet", params(("team" = Uuid, Path), ("test" = String, Path), OnDay),
    responses((status = 200, body = Sheet)),
)]
#[get("/teams/{team}/tests/{test}")]
pub(in crate::api) async fn show_sheet(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, TestId)>,
    asked: Query<OnDay>,
) -> Answer<Json<Sheet>> {
    let (team, test) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let test = state.store.test(&test).await?.ok_or_else(|| Problem::not_found(Thing::Test))?;
    let today = match &asked.on {
        Some(day) => {
            let day = day_of_season(day, state.today().await?);
            day.map_err(|says| Problem::fault("/on", says))?
        }
        None => state.today().await?,
    };
    Ok(Json(Sheet::of(&state, &team, test, today).await?))
}

/// Takes trials in and back: all of it or nothing, each once, in any order.
#[utoipa::path(operation_id = "testing_say", params(("team" = Uuid, Path)),
    request_body = TrialsSaid,
    responses((status = 204), (status = 409, body = Problem)),
)]
#[post("/teams/{team}/trials")]
pub(in crate::api) async fn say(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<TrialsSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let (trials, taken_back) = said.into_inner().read(&state, team.id).await?;
    state.store.add_trials(team.id, &trials, &taken_back, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// All results of a squad as a list that can be read back.
#[utoipa::path(operation_id = "testing_export", params(("team" = Uuid, Path), Wanted),
    responses((status = 200, description = "The list", content(
        (String = "text/csv"),
        (Vec<u8> = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
    ))),
)]
#[get("/teams/{team}/results")]
pub(in crate::api) async fn export(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    wanted: Query<Wanted>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    let trials: Vec<_> = state.store.trials(team.id).await?.into_iter().map(|known| known.trial).collect();
    let about = format!("{} {}", team.club, team.name);
    state.store.note(state.clock.now(), Some(who.0.id), Deed::ResultsExported, &about).await?;
    wanted.form.file("results", &list::lines(&trials, &named(&state, team.id).await?))
}

/// The players of a squad by name.
async fn named(state: &State, team: Uuid) -> Answer<Vec<(Uuid, String)>> {
    Ok(state.store.players(team).await?.into_iter().map(|player| (player.id, player.about.name)).collect())
}

/// What a list of results would add.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct ResultsPreview {
    lines: Vec<ResultLine<Uuid>>,
    /// Lines that can be taken in.
    good: usize,
    /// Lines that cannot.
    faulty: usize,
}

/// Reads a list of results (CSV in UTF-8, or XLSX) and says what it would add. Nothing is written.
#[utoipa::path(operation_id = "testing_preview", params(("team" = Uuid, Path)),
    request_body(content(
        (String = "text/csv"),
        (Vec<u8> = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
    )),
    responses((status = 200, body = ResultsPreview)))]
#[post("/teams/{team}/results")]
pub(in crate::api) async fn preview(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    file: Result<Bytes, actix_web::Error>,
) -> Answer<Json<ResultsPreview>> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let file = file.map_err(|_| Problem::too_large(crate::problem::LARGEST_BODY))?;
    let sheet = spreadsheet::list(file).await?;
    let (players, tests) = (named(&state, team.id).await?, state.store.tests().await?);
    let beside = list::Beside { players: &players, tests: &tests, today: state.today().await? };
    let mut lines = list::read(&sheet, beside).map_err(|e| Problem::fault("", e))?;
    let known: Vec<_> = state.store.trials(team.id).await?.into_iter().map(|known| known.trial).collect();
    list::note_known(&mut lines, &known);
    let good = lines.iter().filter(|line| line.errors.is_empty()).count();
    Ok(Json(ResultsPreview { faulty: lines.len() - good, good, lines }))
}
