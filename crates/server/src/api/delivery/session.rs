//! A team's evenings: the running order, and what became of it.

use actix_web::get;
use actix_web::web::{Data, Path};
use jogo_core::delivery::session::Evening;
use jogo_core::delivery::team_plan::Upset;
use jogo_core::units::Pace;
use jogo_store::academy::teams::Team;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::session_log::LogView;
use crate::views::stations::Splits;
use crate::views::team_sessions::{EveningEntry, LastChange, TeamEdition, of_team, with_changes};

pub fn routes(config: &mut ServiceConfig) {
    config.service(list).service(show);
}

/// A team's evenings in the order of their dates.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Evenings {
    today: String,
    evenings: Vec<EveningEntry>,
    /// What the team changed last in its editions.
    changes: Vec<LastChange>,
}

/// One evening of a team.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct TeamEvening {
    team: String,
    curriculum: String,
    edition_number: i64,
    evening: Evening,
    /// How it fell out or was cut short.
    upset: Option<Upset>,
    log: LogView,
    splits: Splits,
}

/// The evenings of a team, in all the editions that it works by.
#[utoipa::path(operation_id = "evenings_list", params(("team" = Uuid, Path)),
    responses((status = 200, body = Evenings)))]
#[get("/teams/{team}/evenings")]
pub(in crate::api) async fn list(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
) -> Answer<Json<Evenings>> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    let (evenings, changes) = with_changes(&state, team.id).await?;
    Ok(Json(Evenings { today: state.today().await?.to_string(), evenings, changes }))
}

/// The running order of an evening, and what was said of its blocks.
#[utoipa::path(operation_id = "evenings_show",
    params(("team" = Uuid, Path), ("edition" = Uuid, Path), ("session" = usize, Path)),
    responses((status = 200, body = TeamEvening)))]
#[get("/teams/{team}/evenings/{edition}/{session}")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid, usize)>,
) -> Answer<Json<TeamEvening>> {
    let (team, edition, session) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let own = of_team(&state, team.id, edition).await?;
    let pace = who.pace(&state).await?;
    Ok(Json(TeamEvening::of(&state, team, &own, session, pace).await?))
}

impl TeamEvening {
    async fn of(state: &State, team: Team, own: &TeamEdition, session: usize, pace: Pace) -> Answer<Self> {
        let TeamEdition { assigned, edition, .. } = own;
        let problem = edition.problem().map_err(Problem::input)?;
        let evening = edition.evening(&problem, session, pace);
        let evening = evening.ok_or_else(|| Problem::not_found("session"))?;
        Ok(TeamEvening {
            curriculum: edition.curriculum.name.clone(),
            edition_number: assigned.published.number,
            upset: assigned.own.upsets.get(&session).copied(),
            log: LogView::of(state, team.id, own, session, evening.date).await?,
            splits: Splits::of(state, &team, &evening).await?,
            team: team.name,
            evening,
        })
    }
}
