//! The test evening: the sheet to fill, and what was measured.

use actix_web::HttpResponse;
use actix_web::web::{Bytes, Data, Path, Query};
use actix_web::{get, post};
use jiff::civil::Date;
use jogo_core::assessment::benchmarks::{Protocol, Test};
use jogo_core::assessment::results::list::ResultLine;
use jogo_core::assessment::results::{Origin, Trial, list};
use jogo_core::ids::TestId;
use jogo_core::technique::skill::Side;
use jogo_store::assessment::trials::{NewTrial, TakenBack};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::assessment::board::OnDay;
use crate::api::assessment::squad::Wanted;
use crate::api::{SaidBy, Sender, day_of_season, read_each, said_at, when_said};
use crate::json::Json;
use crate::problem::{Answer, Problem};
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
    let test = state.store.test(&test).await?.ok_or_else(|| Problem::not_found("test"))?;
    let today = match &asked.on {
        Some(day) => {
            let day = day_of_season(day, state.today().await?);
            day.map_err(|says| Problem::fault("/on", says))?
        }
        None => state.today().await?,
    };
    Ok(Json(Sheet::of(&state, &team, test, today).await?))
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct TrialSaid {
    /// Made on the device.
    id: Uuid,
    player: Uuid,
    test: TestId,
    /// The day.
    taken_on: String,
    /// Which foot, if the test is taken per foot.
    side: Option<Side>,
    value: f64,
    /// What was seen of each point, where points are looked at: `value` is their sum.
    #[serde(default)]
    marks: Vec<u8>,
    /// How it came.
    #[serde(default)]
    origin: Origin,
    /// When, by the device.
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct TakenBackSaid {
    trial: Uuid,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct TrialsSaid {
    trials: Vec<TrialSaid>,
    #[serde(default)]
    taken_back: Vec<TakenBackSaid>,
    sender: Option<Sender>,
}

/// The most trials that are taken in at once.
const MOST_TRIALS: usize = 500;

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
    let said = said.into_inner();
    let counts: Vec<Option<i64>> = said
        .trials
        .iter()
        .map(|trial| trial.count)
        .chain(said.taken_back.iter().map(|back| back.count))
        .collect();
    let sender = said.sender;
    if said.trials.len() + said.taken_back.len() > MOST_TRIALS {
        return Err(Problem::fault(
            "/trials",
            format!("at most {MOST_TRIALS} at once: send the rest after these"),
        ));
    }
    let today = state.today().await?;
    let tests = state.store.tests().await?;
    let squad: Vec<Uuid> = state.store.players(team.id).await?.into_iter().map(|p| p.id).collect();
    let mut faults = Vec::new();
    let mut trials =
        read_each("/trials", said.trials, &mut faults, |trial| new_trial(today, &tests, &squad, trial));
    let mut taken_back = read_each("/taken_back", said.taken_back, &mut faults, |back| {
        let said_at = said_at(&back.said_at).map_err(|says| ("said_at", says))?;
        Ok(TakenBack { trial: back.trial, said_at })
    });
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    let times = trials.iter().map(|trial| trial.said_at).chain(taken_back.iter().map(|back| back.said_at));
    let said: Vec<SaidBy> = counts.into_iter().zip(times).map(|(count, at)| SaidBy { count, at }).collect();
    let when = when_said(&state, sender, &said).await?;
    let times = trials.iter_mut().map(|trial| &mut trial.said_at);
    let times = times.chain(taken_back.iter_mut().map(|back| &mut back.said_at));
    times.zip(when).for_each(|(at, when)| *at = when);
    state.store.add_trials(team.id, &trials, &taken_back, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

fn new_trial(
    today: Date,
    tests: &[Test],
    squad: &[Uuid],
    said: TrialSaid,
) -> Result<NewTrial, (&'static str, String)> {
    let test = tests.iter().find(|t| t.id == said.test);
    let test = test.ok_or_else(|| ("test", "there is no such test".to_owned()))?;
    if !squad.contains(&said.player) {
        return Err(("player", "this squad has no such player".to_owned()));
    }
    if test.per_side != said.side.is_some() {
        let says =
            if test.per_side { "is taken per foot: say left or right" } else { "is not taken per foot" };
        return Err(("side", format!("{} {says}", test.name)));
    }
    let taken_on = match said.origin {
        // What is read in from a list may be of earlier seasons: the list has looked at its days.
        Origin::ReadIn => said.taken_on.parse().ok().filter(|day: &Date| *day <= today),
        _ => None,
    };
    let taken_on = match taken_on {
        Some(day) => day,
        None => day_of_season(&said.taken_on, today).map_err(|says| ("taken_on", says))?,
    };
    let at = said_at(&said.said_at).map_err(|says| ("said_at", says))?;
    let value = test.value(said.value).map_err(|says| ("value", says))?;
    if matches!(test.protocol, Protocol::Points { .. }) || !said.marks.is_empty() {
        let sum = test.marked(&said.marks).map_err(|says| ("marks", says))?;
        if sum != value {
            return Err(("value", format!("{value} is not the sum of the points, {sum}")));
        }
    }
    let (player, side, marks) = (said.player, said.side, said.marks);
    let trial = Trial { player, test: said.test, taken_on, side, value, marks };
    Ok(NewTrial { id: said.id, trial, said_at: at, origin: said.origin })
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
    let mut lines = list::read(&sheet, beside).map_err(|e| Problem::fault("", e.to_string()))?;
    let known: Vec<_> = state.store.trials(team.id).await?.into_iter().map(|known| known.trial).collect();
    list::note_known(&mut lines, &known);
    let good = lines.iter().filter(|line| line.errors.is_empty()).count();
    Ok(Json(ResultsPreview { faulty: lines.len() - good, good, lines }))
}
