//! Sessions that are cancelled or are cut short: the remedies to go on, and taking one back.

use crate::facts::Changed;
use crate::facts::Entered;
use crate::facts::Thing;
use actix_web::HttpResponse;
use actix_web::web::{Data, Path, Query};
use actix_web::{get, post};
use jogo_core::delivery::Said;
use jogo_core::delivery::edition::Edition;
use jogo_core::fact::{Fact, Value};
use jogo_core::plan::upset::MovedTest;
use jogo_core::plan::{GoingOn, Remedy, advised};
use jogo_core::units::Minutes;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, of_team};

pub fn routes(config: &mut ServiceConfig) {
    config.service(list_remedies).service(go_on).service(back);
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct OfLeft {
    /// Minutes that are left; 0 if the session is cancelled.
    left: u32,
}

/// A remedy to go on, and what comes of it.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct RemedyView {
    remedy: Remedy,
    /// Points of the season's plan, the less the better.
    score: f64,
    /// Blocks that leave their session.
    moved: usize,
    /// Exposures that the goals then miss, by skill.
    short: Vec<Fact>,
    /// Rules that the sessions to come then break.
    breaks: Vec<Fact>,
}

/// The remedies to go on, and the state of the team's plan that they were found for.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Remedies {
    version: i64,
    /// The way that breaks fewest rules, and of those the one with the best score.
    advised: Option<Remedy>,
    remedies: Vec<RemedyView>,
    /// Tests that no longer fit into the session, and where they go.
    tests: Vec<MovedTestView>,
}

/// A test that no longer fits into its session.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct MovedTestView {
    name: String,
    /// The day of its new session; absent if none has room for it.
    day: Option<String>,
}

/// What a team chose.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Chosen {
    /// The state of the team's plan that the remedies were found for.
    version: i64,
    /// Minutes that are left; 0 if the session is cancelled.
    left: u32,
    remedy: Remedy,
}

/// The state of a team's plan that is taken back.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Latest {
    version: i64,
}

async fn found(
    state: &State,
    team: Uuid,
    edition: Uuid,
    session: usize,
    left: Minutes,
) -> Answer<(TeamEdition, Vec<GoingOn>)> {
    let own = of_team(state, team, edition).await?;
    let said = own.said.clone();
    nothing_said_since(&said, session)?;
    let there = own.edition.curriculum.minutes.get(session).copied();
    let there = there.ok_or_else(|| Problem::not_found(Thing::Session))?;
    if left >= there {
        return Err(Problem::fault("/left", Entered::Left { minutes: there }));
    }
    let assigned = own.assigned.clone();
    let remedies =
        actix_web::web::block(move || assigned.own.remedies(&assigned.edition, &said, session, left));
    let remedies = remedies.await.map_err(|e| Problem::internal(&e))?.map_err(Problem::input)?;
    Ok((own, remedies))
}

/// What was run stays where it was run.
fn nothing_said_since(said: &Said, session: usize) -> Answer<()> {
    match said.sessions().last().is_some_and(|last| *last >= session) {
        true => Err(Problem::fault("/session", Entered::AlreadyLogged)),
        false => Ok(()),
    }
}

/// The remedies to go on when a session has only some minutes left.
#[utoipa::path(operation_id = "sessions_remedies",
    params(("team" = Uuid, Path), ("edition" = Uuid, Path), ("session" = usize, Path), OfLeft),
    responses((status = 200, body = Remedies), (status = 422, body = Problem)))]
#[get("/teams/{team}/sessions/{edition}/{session}/remedies")]
pub(in crate::api) async fn list_remedies(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid, usize)>,
    of: Query<OfLeft>,
) -> Answer<Json<Remedies>> {
    let (team, edition, session) = path.into_inner();
    let team = who.team(&state, team, Act::Coach).await?;
    let (own, remedies) = found(&state, team.id, edition, session, Minutes(of.left)).await?;
    let best = advised(&remedies);
    // Whichever remedy is chosen, the tests go the same way.
    let moved = remedies.first().map(|found| found.tests.as_slice()).unwrap_or_default();
    let tests = moved.iter().map(|moved| MovedTestView::of(&own.edition, moved)).collect();
    let remedies = remedies.into_iter().map(|found| RemedyView {
        remedy: found.remedy,
        score: found.score,
        moved: found.moved,
        short: found.short,
        breaks: found.breaches.into_iter().map(|breach| breach.says).collect(),
    });
    Ok(Json(Remedies { version: own.assigned.version, advised: best, remedies: remedies.collect(), tests }))
}

impl MovedTestView {
    fn of(edition: &Edition, moved: &MovedTest) -> MovedTestView {
        let known = edition.tests.iter().find(|test| test.id == moved.test);
        let days = edition.curriculum.session_days();
        MovedTestView {
            name: known.map_or_else(|| moved.test.to_string(), |test| test.name.clone()),
            day: moved.to.and_then(|session| days.get(session)).map(|day| day.date.to_string()),
        }
    }
}

/// Goes on in one of the remedies.
#[utoipa::path(operation_id = "sessions_go_on",
    params(("team" = Uuid, Path), ("edition" = Uuid, Path), ("session" = usize, Path)), request_body = Chosen,
    responses(
        (status = 204), (status = 412, body = Problem),
    ),
)]
#[post("/teams/{team}/sessions/{edition}/{session}/upset")]
pub(in crate::api) async fn go_on(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid, usize)>,
    chosen: Json<Chosen>,
) -> Answer<HttpResponse> {
    let (team, edition, session) = path.into_inner();
    let team = who.team(&state, team, Act::Coach).await?;
    let left = Minutes(chosen.left);
    let (own, remedies) = found(&state, team.id, edition, session, left).await?;
    still(&own, chosen.version)?;
    let remedy = remedies.into_iter().find(|found| found.remedy == chosen.remedy);
    let remedy = remedy.ok_or_else(|| Problem::not_found(Thing::Remedy))?;
    let what = what_happened(&own.edition, session, left);
    let next = own.assigned.own.clone().gone_on(session, left, remedy);
    let (by, now) = (who.0.id, state.clock.now());
    state.store.change_team_plan(team.id, &own.assigned, &next, &what, by, now).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// What happened to a session, as the change is called.
fn what_happened(edition: &Edition, session: usize, left: Minutes) -> Fact {
    let days = edition.curriculum.session_days();
    let date = days.get(session).map_or(Value::from(""), |day| day.date.into());
    match left {
        Minutes(0) => Changed::Cancelled { date }.into(),
        minutes => Changed::CutShort { date, minutes }.into(),
    }
}

/// Takes back the last change of a team's plan; doing so again brings it back.
#[utoipa::path(operation_id = "sessions_back",
    params(("team" = Uuid, Path), ("edition" = Uuid, Path)), request_body = Latest,
    responses(
        (status = 204), (status = 412, body = Problem),
    ),
)]
#[post("/teams/{team}/editions/{edition}/back")]
pub(in crate::api) async fn back(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
    latest: Json<Latest>,
) -> Answer<HttpResponse> {
    let (team, edition) = path.into_inner();
    let team = who.team(&state, team, Act::Coach).await?;
    let own = of_team(&state, team.id, edition).await?;
    still(&own, latest.version)?;
    let before = state.store.team_plan_before(team.id, &own.assigned).await?;
    let changed = before.changed_since(&own.assigned.own, &own.assigned.edition);
    let changed = changed.map_err(Problem::input)?;
    if let Some(first) = changed {
        nothing_said_since(&own.said, first)?;
    }
    let before = own.assigned.own.taken_back(before);
    let (what, by, now) = (Changed::TakenBack.into(), who.0.id, state.clock.now());
    state.store.change_team_plan(team.id, &own.assigned, &before, &what, by, now).await?;
    Ok(HttpResponse::NoContent().finish())
}

fn still(own: &TeamEdition, version: i64) -> Answer<()> {
    if own.assigned.version == version { Ok(()) } else { Err(Problem::from(jogo_store::StoreError::Stale)) }
}
