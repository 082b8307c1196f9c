//! A team's sessions: the running order, and how it went.

use crate::facts::Thing;
use actix_web::get;
use actix_web::web::{Data, Path};
use jogo_core::delivery::next_time::{Coming, Stepped};
use jogo_core::delivery::presence::NotMet;
use jogo_core::delivery::session::RunningOrder;
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
use crate::views::eyes::{SessionEyes, TeamReach, reaches};
use crate::views::hinges::{HingeView, hinges_in, settle};
use crate::views::session_log::LogView;
use crate::views::stations::Splits;
use crate::views::team_sessions::{
    CameOff, LastChange, OfTeam, SessionEntry, TeamEdition, editions_of, of_editions, of_team,
};
use crate::views::times::{Times, WhenWhere};
use crate::views::voices::{OwnVoice, own_voices};

pub fn routes(config: &mut ServiceConfig) {
    config.service(list).service(show);
}

/// A team's sessions in the order of their dates.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct TeamSessions {
    today: String,
    sessions: Vec<SessionEntry>,
    /// What the team changed last in its editions.
    changes: Vec<LastChange>,
    /// What came off, of each edition of which that was said.
    came_off: Vec<CameOff>,
    /// How far the looks go that are still asked for.
    looks: Vec<TeamReach>,
}

/// One session of a team.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct TeamSession {
    team: String,
    curriculum: String,
    edition_number: i64,
    running_order: RunningOrder,
    /// When and where; absent where no time is known.
    when: Option<WhenWhere>,
    /// How it was cancelled or cut short.
    upset: Option<Upset>,
    /// Skills that begin in it only if the squad is ready for them, and those that do not begin for want of that.
    hinges: Vec<HingeView>,
    log: LogView,
    /// What comes next of the skills of its blocks, and how hard it can be.
    coming: Vec<Coming>,
    /// Players who were away whenever a skill of a block was shown before: there they start one down.
    not_met: Vec<NotMet<Uuid>>,
    /// Its own blocks that are harder or easier than planned, as was decided after an earlier one.
    stepped: Vec<Stepped>,
    splits: Splits,
    /// Whom to look at, and who was looked at.
    eyes: SessionEyes,
    /// What whoever asks has said of its drills, and what was answered.
    voices: Vec<OwnVoice>,
}

/// The sessions of a team, in all the editions that it works by.
#[utoipa::path(operation_id = "sessions_list", params(("team" = Uuid, Path)),
    responses((status = 200, body = TeamSessions)))]
#[get("/teams/{team}/sessions")]
pub(in crate::api) async fn list(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
) -> Answer<Json<TeamSessions>> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    let mut editions = editions_of(&state, team.id).await?;
    if settled(&who, &state, &team, editions.values().flatten()).await? {
        editions = editions_of(&state, team.id).await?;
    }
    let OfTeam { entries: sessions, changes, came_off } =
        of_editions(&editions, &Times::of(&state, &team).await?)?;
    let looks = reaches(&state, &team, &editions).await?;
    Ok(Json(TeamSessions { today: state.today().await?.to_string(), sessions, changes, came_off, looks }))
}

/// The running order of a session, and what was said of its blocks.
#[utoipa::path(operation_id = "sessions_show",
    params(("team" = Uuid, Path), ("edition" = Uuid, Path), ("session" = usize, Path)),
    responses((status = 200, body = TeamSession)))]
#[get("/teams/{team}/sessions/{edition}/{session}")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid, usize)>,
) -> Answer<Json<TeamSession>> {
    let (team, edition, session) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let mut own = of_team(&state, team.id, edition).await?;
    if settled(&who, &state, &team, [&own]).await? {
        own = of_team(&state, team.id, edition).await?;
    }
    let pace = who.pace(&state).await?;
    Ok(Json(TeamSession::of(&state, team, &own, session, (who.0.id, pace)).await?))
}

/// Before a coach sees the sessions, the skills that are due begin or wait. Says whether an edition has changed by
/// that.
async fn settled(
    who: &SignedIn,
    state: &State,
    team: &Team,
    editions: impl IntoIterator<Item = &TeamEdition>,
) -> Answer<bool> {
    let mut changed = false;
    for own in editions.into_iter().filter(|own| !own.edition.curriculum.mastery.is_empty()) {
        if who.team(state, team.id, Act::Coach).await.is_ok() {
            changed |= settle(state, team, who.0.id, own).await?;
        }
    }
    Ok(changed)
}

impl TeamSession {
    async fn of(
        state: &State,
        team: Team,
        own: &TeamEdition,
        session: usize,
        (who, pace): (Uuid, Pace),
    ) -> Answer<Self> {
        let TeamEdition { assigned, edition, said } = own;
        let problem = edition.problem().map_err(Problem::input)?;
        let running_order = edition.running_order(&problem, session, pace);
        let mut running_order = running_order.ok_or_else(|| Problem::not_found(Thing::Session))?;
        let (milestones, tests) = (state.store.milestones().await?, state.store.tests().await?);
        running_order.looks = edition.looks(&problem, session, &milestones, &tests);
        let place = (session, running_order.date, &running_order.looks[..]);
        Ok(TeamSession {
            curriculum: edition.curriculum.name.clone(),
            edition_number: assigned.published.number,
            when: Times::of(state, &team).await?.on(running_order.date),
            upset: assigned.own.upsets.get(&session).copied(),
            not_met: edition.start_one_down(&problem, said, session, &state.store.away(team.id).await?),
            stepped: assigned.own.stepped(&edition.plan, session),
            coming: assigned.own.coming(edition, &problem, said, session, state.today().await?),
            log: LogView::of(state, team.id, own, session, running_order.date).await?,
            hinges: hinges_in(state, &team, own, session).await?,
            eyes: SessionEyes::of(state, &team, own, &problem, place).await?,
            voices: own_voices(state, team.id, who, &running_order).await?,
            splits: Splits::of(state, &team, &running_order).await?,
            team: team.name,
            running_order,
        })
    }
}
