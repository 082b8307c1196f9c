//! A team's evenings: the running order, and what became of it.

use std::collections::{BTreeMap, BTreeSet};

use actix_web::get;
use actix_web::web::{Data, Path};
use jogo_core::delivery::session::Evening;
use jogo_core::delivery::stations::{Mix, order, strength};
use jogo_core::delivery::team_plan::Upset;
use jogo_store::academy::teams::{Player, Team};
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::assessment::squad::latest_results;
use crate::api::delivery::log::LogView;
use crate::api::delivery::pairs::PairWish;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
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

/// Orders in which the squad fills stations; each kind several times, for as many rolls.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Splits {
    like_with_like: Vec<Vec<Uuid>>,
    /// By the size of the stations.
    mixed: BTreeMap<u32, Vec<Vec<Uuid>>>,
    /// Who is kept apart, who stays together: whoever has come is known on the phone alone, which sees to it.
    pairs: Vec<PairWish>,
}

/// So many other splits are there to choose from.
const ROLLS: u64 = 4;

impl Splits {
    async fn of(state: &State, team: &Team, evening: &Evening) -> Answer<Splits> {
        let results = latest_results(state, team, &state.store.tests().await?).await?;
        let players = state.store.players(team.id).await?;
        let strong = |player: &Player| {
            let own = results.iter().filter(|result| result.player == player.id);
            (player.id, strength(own.filter_map(|result| result.level)))
        };
        let squad: Vec<(Uuid, f64)> = players.iter().map(strong).collect();
        let rolled = |mix, station| -> Vec<Vec<Uuid>> {
            (0..ROLLS).map(|roll| order(&squad, mix, station, evening.session, roll)).collect()
        };
        let sizes: BTreeSet<u32> = evening
            .blocks
            .iter()
            .filter_map(|block| block.laid.station_sizes.iter().max().copied())
            .collect();
        Ok(Splits {
            like_with_like: rolled(Mix::LikeWithLike, 1),
            mixed: sizes.into_iter().map(|size| (size, rolled(Mix::Mixed, size))).collect(),
            pairs: state.store.pairs(team.id).await?.into_iter().map(PairWish::from).collect(),
        })
    }
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
    let TeamEdition { assigned, edition, .. } = &own;
    let published = &assigned.published;
    let problem = edition.problem().map_err(Problem::input)?;
    let pace = who.pace(&state).await?;
    let evening = edition.evening(&problem, session, pace).ok_or_else(|| Problem::not_found("session"))?;
    let log = LogView::of(&state, team.id, &own, session, evening.date).await?;
    let splits = Splits::of(&state, &team, &evening).await?;
    Ok(Json(TeamEvening {
        team: team.name,
        curriculum: edition.curriculum.name.clone(),
        edition_number: published.number,
        upset: assigned.own.upsets.get(&session).copied(),
        log,
        splits,
        evening,
    }))
}
