//! The test evening: the sheet to fill, and what was measured.

use actix_web::HttpResponse;
use actix_web::web::{Data, Json, Path, ServiceConfig, get, post};
use jiff::civil::Date;
use jogo_core::input::InputError;
use jogo_core::interval::Interval;
use jogo_core::layout::Layout;
use jogo_core::levels::{LevelFrom, NearRow};
use jogo_core::results::{Origin, Trial, latest, results};
use jogo_core::skill::Side;
use jogo_core::standards;
use jogo_core::tests::{Protocol, Test, TestId};
use jogo_core::units::{Pace, Seconds};
use jogo_store::trials::{KnownTrial, NewTrial, TakenBack};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::squad::TestView;
use super::{day_of_season, said_at};
use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.route("/teams/{team}/tests/{test}", get().to(sheet)).route("/teams/{team}/trials", post().to(say));
}

#[derive(Serialize, ToSchema)]
pub(super) struct SheetPlayer {
    id: Uuid,
    name: String,
    strong_foot: Side,
    /// Today's trials, in the order in which they were taken.
    trials: Vec<TrialView>,
    /// The result before today, by side.
    before: Vec<BeforeView>,
}

/// The result before today, and which values need no question after it.
#[derive(Serialize, ToSchema)]
pub(super) struct BeforeView {
    side: Option<Side>,
    date: String,
    value: f64,
    /// Nothing while too little is known of how well the test repeats itself.
    unsurprising: Option<Interval>,
}

#[derive(Serialize, ToSchema)]
pub(super) struct TrialView {
    id: Uuid,
    side: Option<Side>,
    value: f64,
    /// What was seen of each point.
    marks: Vec<u8>,
}

/// A test evening's sheet.
#[derive(Serialize, ToSchema)]
pub(super) struct Sheet {
    test: TestView,
    protocol: Protocol,
    /// Seconds of rest between two trials of one player.
    rest_s: Seconds,
    /// The markers, drawn; nothing if there is nothing to lay out.
    drawing: Option<String>,
    today: String,
    /// Smallest value that can be true.
    least: f64,
    /// Largest value that can be true.
    most: f64,
    /// The smallest difference that is recorded.
    step: f64,
    /// The levels as a table by rising value; empty if no standard holds today.
    levels: Vec<LevelFrom>,
    /// The values near a line; empty while too little is known of how well the test repeats itself.
    near: Vec<NearRow>,
    players: Vec<SheetPlayer>,
}

/// The sheet of a test for today.
#[utoipa::path(get, operation_id = "testing_sheet", path = "/teams/{team}/tests/{test}", params(("team" = Uuid, Path), ("test" = String, Path)),
    responses((status = 200, body = Sheet), (status = 404, body = Problem)))]
pub(super) async fn sheet(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, TestId)>,
) -> Answer<Json<Sheet>> {
    let (team, test) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let test = state.store.test(&test).await?.ok_or_else(|| Problem::not_found("test"))?;
    let today = state.today().await?;
    let all = state.store.standards(&team.band).await?;
    let standards: Vec<_> = all.into_iter().filter(|s| s.test == test.id).collect();
    let (better, step) = (test.protocol.better(), test.protocol.step());
    let of_today = standards::on(&standards, today).map(|s| s.thresholds);
    let levels = of_today.map(|thresholds| thresholds.table(better, step)).unwrap_or_default();
    let known = state.repeatability(&team.band).await?;
    let typical_error = known.get(&test.id).map(|known| known.typical_error);
    let near =
        of_today.zip(typical_error).map(|(thresholds, error)| thresholds.near_table(better, step, error));
    let trials = state.store.trials(team.id).await?;
    let (now, past): (Vec<KnownTrial>, Vec<KnownTrial>) =
        trials.into_iter().filter(|t| t.trial.test == test.id).partition(|t| t.trial.taken_on == today);
    let past: Vec<_> = past.into_iter().map(|known| known.trial).collect();
    let past = latest(&results(std::slice::from_ref(&test), &standards, &past));
    let players = state.store.players(team.id).await?.into_iter().map(|player| {
        let of_player = |t: &&KnownTrial| t.trial.player == player.id;
        SheetPlayer {
            trials: now
                .iter()
                .filter(of_player)
                .map(|t| TrialView {
                    id: t.id,
                    side: t.trial.side,
                    value: t.trial.value,
                    marks: t.trial.marks.clone(),
                })
                .collect(),
            before: past
                .iter()
                .filter(|r| r.player == player.id)
                .map(|r| BeforeView {
                    side: r.side,
                    date: r.date.to_string(),
                    value: r.value,
                    unsurprising: typical_error.map(|error| test.unsurprising(r.value, error)),
                })
                .collect(),
            id: player.id,
            name: player.about.name,
            strong_foot: player.about.strong_foot,
        }
    });
    Ok(Json(Sheet {
        players: players.collect(),
        test: TestView::from(&test),
        today: today.to_string(),
        least: test.least,
        most: test.most,
        step,
        rest_s: test.rest_s,
        drawing: drawing(&test),
        protocol: test.protocol.clone(),
        levels,
        near: near.unwrap_or_default(),
    }))
}

/// The layout of a test as it is drawn for a phone.
fn drawing(test: &Test) -> Option<String> {
    let layout = (!test.layout.is_empty()).then(|| Layout::read(&test.layout, Pace::default()))?.ok()?;
    Some(layout.draw())
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct TrialSaid {
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
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct TakenBackSaid {
    trial: Uuid,
    said_at: String,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct TrialsSaid {
    trials: Vec<TrialSaid>,
    #[serde(default)]
    taken_back: Vec<TakenBackSaid>,
}

/// The most trials that are taken in at once.
const MOST_TRIALS: usize = 500;

/// Takes trials in and back: all of it or nothing, each once, in any order.
#[utoipa::path(post, operation_id = "testing_say", path = "/teams/{team}/trials", params(("team" = Uuid, Path)), request_body = TrialsSaid,
    responses((status = 204), (status = 409, body = Problem), (status = 422, body = Problem)))]
pub(super) async fn say(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<TrialsSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let said = said.into_inner();
    if said.trials.len() + said.taken_back.len() > MOST_TRIALS {
        return Err(Problem::fault(
            "/trials",
            format!("at most {MOST_TRIALS} at once: send the rest after these"),
        ));
    }
    let today = state.today().await?;
    let tests = state.store.tests().await?;
    let squad: Vec<Uuid> = state.store.players(team.id).await?.into_iter().map(|p| p.id).collect();
    let mut trials = Vec::new();
    let mut taken_back = Vec::new();
    let mut faults = Vec::new();
    for (i, trial) in said.trials.into_iter().enumerate() {
        match new_trial(&state, today, &tests, &squad, trial) {
            Ok(trial) => trials.push(trial),
            Err((key, detail)) => faults.push(InputError::at(format!("/trials/{i}/{key}"), detail)),
        }
    }
    for (i, back) in said.taken_back.into_iter().enumerate() {
        match said_at(&back.said_at, &state.clock) {
            Ok(said_at) => taken_back.push(TakenBack { trial: back.trial, said_at }),
            Err(detail) => faults.push(InputError::at(format!("/taken_back/{i}/said_at"), detail)),
        }
    }
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    state.store.add_trials(team.id, &trials, &taken_back, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

fn new_trial(
    state: &State,
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
    let taken_on = day_of_season(&said.taken_on, today).map_err(|says| ("taken_on", says))?;
    let at = said_at(&said.said_at, &state.clock).map_err(|says| ("said_at", says))?;
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
