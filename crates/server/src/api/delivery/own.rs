//! What a team has of its own beside its edition: its days, its hall, its kit and its squad.

use crate::facts::Changed;
use actix_web::HttpResponse;
use actix_web::web::{Data, Path};
use actix_web::{get, put};
use jogo_core::delivery::Said;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::fact::Fact;
use jogo_core::ground::fit::Ground;
use jogo_core::plan::check;
use jogo_core::plan::curriculum::Season;
use jogo_store::academy::teams::Team;
use jogo_store::delivery::team_plans::Assigned;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, of_team};
use crate::views::times::ClubTimes;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(settle);
}

/// What a team has of its own, beside what the edition says.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct OwnView {
    version: i64,
    season: Option<Season>,
    ground: Option<Ground>,
    edition_season: Season,
    edition_ground: Ground,
    /// Whether the days can no longer change, since a session has a log or was cancelled.
    days_fixed: bool,
    /// Rules that the team's plan breaks, in words.
    breaks: Vec<Fact>,
}

/// Days and ground of a team in an edition.
#[utoipa::path(operation_id = "own_show", params(("team" = Uuid, Path), ("edition" = Uuid, Path)),
    responses((status = 200, body = OwnView)))]
#[get("/teams/{team}/editions/{edition}/own")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<Json<OwnView>> {
    let (team, edition) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let TeamEdition { assigned, edition, said } = of_team(&state, team.id, edition).await?;
    let problem = edition.problem().map_err(Problem::input)?;
    let breaches = check(&problem, &edition.plan);
    Ok(Json(OwnView {
        version: assigned.version,
        days_fixed: assigned.own.days_are_fixed(&said),
        season: assigned.own.season,
        ground: assigned.own.ground,
        edition_season: assigned.edition.curriculum.season(),
        edition_ground: assigned.edition.curriculum.ground,
        breaks: breaches.into_iter().map(|breach| breach.says).collect(),
    }))
}

/// What a team is to have of its own; nothing where it keeps to the edition.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct OwnSaid {
    /// The state of the team's plan that was read.
    version: i64,
    season: Option<Season>,
    ground: Option<Ground>,
}

/// Gives a team days or a ground of its own, and fits its plan to them.
#[utoipa::path(operation_id = "own_settle",
    params(("team" = Uuid, Path), ("edition" = Uuid, Path)), request_body = OwnSaid,
    responses(
        (status = 204), (status = 412, body = Problem),
    ),
)]
#[put("/teams/{team}/editions/{edition}/own")]
pub(in crate::api) async fn settle(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
    new: Json<OwnSaid>,
) -> Answer<HttpResponse> {
    let (team, edition) = path.into_inner();
    let team = who.team(&state, team, Act::SetTeam).await?;
    let TeamEdition { assigned, said, .. } = of_team(&state, team.id, edition).await?;
    let OwnSaid { version, season, ground } = new.into_inner();
    if assigned.version != version {
        return Err(Problem::from(jogo_store::StoreError::Stale));
    }
    let own = settled(&state, &team, &assigned, said, (season, ground)).await?;
    let (by, now) = (who.0.id, state.clock.now());
    state.store.change_team_plan(team.id, &assigned, &own, &Changed::OwnDays.into(), by, now).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// What a team has of its own on these days and this ground, without sessions on its days off.
async fn settled(
    state: &State,
    team: &Team,
    assigned: &Assigned,
    said: Said,
    (season, ground): (Option<Season>, Option<Ground>),
) -> Answer<TeamPlan> {
    let (today, read) = (state.today().await?, assigned.clone());
    let off = ClubTimes::of(state, &team.club).await?.days_off(team.id);
    let settled = move || {
        let own = read.own.settled(&read.edition, season, ground, &said, today)?;
        own.with_days_off(&read.edition, &said, &off, today)
    };
    let settled = actix_web::web::block(settled).await.map_err(|e| Problem::internal(&e))?;
    settled.map_err(Problem::input)
}
