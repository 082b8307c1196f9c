//! A team's evenings: the running order, and what became of it.

use std::collections::BTreeMap;

use actix_web::web::{Data, Json, Path, ServiceConfig, get, post};
use jiff::civil::Date;
use jogo_core::delivery::{Outcome, Said};
use jogo_core::edition::Edition;
use jogo_core::evening::Evening;
use jogo_core::input::InputError;
use jogo_core::team_plan::{Held, Upset, holding};
use jogo_core::units::Minutes;
use jogo_store::outcomes::OutcomeEntry;
use jogo_store::team_plans::Assigned;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::said_at;
use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config
        .route("/teams/{team}/evenings", get().to(list))
        .route("/teams/{team}/evenings/{edition}/{session}", get().to(show))
        .route("/teams/{team}/outcomes", post().to(say));
}

/// An evening in the list of weeks.
#[derive(Serialize, ToSchema)]
pub(super) struct EveningEntry {
    edition: Uuid,
    edition_number: i64,
    curriculum: String,
    session: usize,
    week: u32,
    date: String,
    minutes: Minutes,
    /// How it fell out or was cut short; nothing if it takes place as planned.
    upset: Option<Upset>,
    blocks: usize,
    done: usize,
    short: usize,
    skipped: usize,
}

/// The last change that a team made to an edition.
#[derive(Serialize, ToSchema)]
pub(super) struct LastChange {
    edition: Uuid,
    version: i64,
    what: String,
}

/// A team's evenings in the order of their dates, and which of them is tonight's or the next.
#[derive(Serialize, ToSchema)]
pub(super) struct Evenings {
    today: String,
    evenings: Vec<EveningEntry>,
    /// Place in the list of tonight's evening, else of the next one.
    next: Option<usize>,
    /// What the team changed last in its editions.
    changes: Vec<LastChange>,
}

/// What was last said of a block.
#[derive(Serialize, ToSchema)]
pub(super) struct OutcomeView {
    block: usize,
    outcome: Outcome,
    minutes: Option<Minutes>,
}

/// One evening of a team.
#[derive(Serialize, ToSchema)]
pub(super) struct TeamEvening {
    team: String,
    curriculum: String,
    edition_number: i64,
    evening: Evening,
    /// How it fell out or was cut short.
    upset: Option<Upset>,
    outcomes: Vec<OutcomeView>,
}

/// An edition as a team works by it.
pub(super) struct TeamEdition {
    pub assigned: Assigned,
    /// With what the team has of its own.
    pub edition: Edition,
    pub said: Said,
}

impl TeamEdition {
    async fn of(state: &State, team: Uuid, assigned: Assigned) -> Answer<TeamEdition> {
        let edition = assigned.own.edition(&assigned.edition).map_err(Problem::input)?;
        let said = state.store.said(team, assigned.published.id).await?;
        Ok(TeamEdition { assigned, edition, said })
    }
}

/// The editions that a team works by, by curriculum; of each curriculum in the order of their numbers.
pub(super) async fn editions_of(state: &State, team: Uuid) -> Answer<BTreeMap<Uuid, Vec<TeamEdition>>> {
    let mut all: BTreeMap<Uuid, Vec<TeamEdition>> = BTreeMap::new();
    for assigned in state.store.editions_of_team(team).await? {
        let of_curriculum = all.entry(assigned.published.curriculum).or_default();
        of_curriculum.push(TeamEdition::of(state, team, assigned).await?);
    }
    all.values_mut().for_each(|editions| editions.sort_by_key(|each| each.assigned.published.number));
    Ok(all)
}

/// When each of the editions of one curriculum holds.
pub(super) fn held(editions: &[TeamEdition]) -> Vec<Held> {
    editions.iter().map(|each| Held::of(each.assigned.from, &each.edition, &each.said)).collect()
}

pub(super) async fn of_team(state: &State, team: Uuid, edition: Uuid) -> Answer<TeamEdition> {
    let all = state.store.editions_of_team(team).await?;
    let found = all.into_iter().find(|assigned| assigned.published.id == edition);
    TeamEdition::of(state, team, found.ok_or_else(|| Problem::not_found("edition of this team"))?).await
}

fn outcomes(said: &Said, session: usize) -> Vec<OutcomeView> {
    let of_session = said.iter().filter(|((s, _), _)| *s == session);
    of_session
        .map(|((_, block), (outcome, minutes))| OutcomeView {
            block: *block,
            outcome: *outcome,
            minutes: *minutes,
        })
        .collect()
}

/// The evenings of a team, in all the editions that it works by.
#[utoipa::path(get, operation_id = "evenings_list", path = "/teams/{team}/evenings", params(("team" = Uuid, Path)),
    responses((status = 200, body = Evenings), (status = 404, body = Problem)))]
pub(super) async fn list(who: SignedIn, state: Data<State>, team: Path<Uuid>) -> Answer<Json<Evenings>> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    let today = state.today().await?;
    let (mut evenings, mut changes) = (Vec::new(), Vec::new());
    for editions in editions_of(&state, team.id).await?.values() {
        let days = held(editions);
        for (place, TeamEdition { assigned, edition, said }) in editions.iter().enumerate() {
            let (version, edition_id) = (assigned.version, assigned.published.id);
            changes.extend(assigned.what.clone().map(|what| LastChange {
                edition: edition_id,
                version,
                what,
            }));
            let dates = edition.curriculum.evenings();
            let sessions = dates.iter().zip(&edition.plan.sessions).enumerate();
            let holds = |day: Date| holding(&days, day) == Some(place);
            for (session, (evening, blocks)) in sessions.filter(|(_, (evening, _))| holds(evening.date)) {
                let count = |wanted| outcomes(said, session).iter().filter(|o| o.outcome == wanted).count();
                evenings.push(EveningEntry {
                    edition: edition_id,
                    edition_number: assigned.published.number,
                    curriculum: edition.curriculum.name.clone(),
                    session,
                    week: evening.week,
                    date: evening.date.to_string(),
                    minutes: edition.curriculum.minutes.get(session).copied().unwrap_or_default(),
                    upset: assigned.own.upsets.get(&session).copied(),
                    blocks: blocks.len(),
                    done: count(Outcome::Done),
                    short: count(Outcome::Short),
                    skipped: count(Outcome::Skipped),
                });
            }
        }
    }
    evenings.sort_by(|a, b| a.date.cmp(&b.date));
    let today = today.to_string();
    let takes_place = |e: &EveningEntry| e.upset.is_none_or(|upset| upset.left > Minutes(0));
    let next = evenings.iter().position(|e| e.date >= today && takes_place(e));
    Ok(Json(Evenings { next, today, evenings, changes }))
}

/// The running order of an evening, and what was said of its blocks.
#[utoipa::path(get, operation_id = "evenings_show", path = "/teams/{team}/evenings/{edition}/{session}",
    params(("team" = Uuid, Path), ("edition" = Uuid, Path), ("session" = usize, Path)),
    responses((status = 200, body = TeamEvening), (status = 404, body = Problem)))]
pub(super) async fn show(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid, usize)>,
) -> Answer<Json<TeamEvening>> {
    let (team, edition, session) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let TeamEdition { assigned, edition, said } = of_team(&state, team.id, edition).await?;
    let published = &assigned.published;
    let problem = edition.problem().map_err(Problem::input)?;
    let pace = who.pace(&state).await?;
    let evening = edition.evening(&problem, session, pace).ok_or_else(|| Problem::not_found("session"))?;
    Ok(Json(TeamEvening {
        team: team.name,
        curriculum: edition.curriculum.name.clone(),
        edition_number: published.number,
        upset: assigned.own.upsets.get(&session).copied(),
        outcomes: outcomes(&said, session),
        evening,
    }))
}

/// What a coach says of a block.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct Saying {
    /// Made on the device.
    id: Uuid,
    edition: Uuid,
    session: u32,
    block: u32,
    outcome: Outcome,
    minutes: Option<Minutes>,
    /// When, by the device.
    said_at: String,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct Sayings {
    entries: Vec<Saying>,
}

/// The most entries that are taken at once.
const MOST_ENTRIES: usize = 500;

/// Takes in what was said of blocks: all of it or nothing, each entry once, in any order.
#[utoipa::path(post, operation_id = "evenings_say", path = "/teams/{team}/outcomes", params(("team" = Uuid, Path)), request_body = Sayings,
    responses((status = 204), (status = 404, body = Problem), (status = 422, body = Problem)))]
pub(super) async fn say(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<Sayings>,
) -> Answer<actix_web::HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    if said.entries.len() > MOST_ENTRIES {
        return Err(Problem::fault(
            "/entries",
            format!("at most {MOST_ENTRIES} entries at once: send the rest after these"),
        ));
    }
    let editions: Vec<TeamEdition> = editions_of(&state, team.id).await?.into_values().flatten().collect();
    let mut entries = Vec::new();
    let mut faults = Vec::new();
    for (i, saying) in said.into_inner().entries.into_iter().enumerate() {
        match entry(&state, &editions, saying) {
            Ok(entry) => entries.push(entry),
            Err((key, detail)) => faults.push(InputError::at(format!("/entries/{i}/{key}"), detail)),
        }
    }
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    state.store.add_outcomes(team.id, &entries, who.0.id, state.clock.now()).await?;
    Ok(actix_web::HttpResponse::NoContent().finish())
}

fn entry(state: &State, editions: &[TeamEdition], s: Saying) -> Result<OutcomeEntry, (&'static str, String)> {
    let edition = editions.iter().find(|each| each.assigned.published.id == s.edition);
    let TeamEdition { edition, .. } =
        edition.ok_or_else(|| ("edition", "this team does not work by such an edition".to_owned()))?;
    let blocks = edition.plan.sessions.get(s.session as usize).ok_or_else(|| {
        ("session", format!("the edition has {} sessions, counted from 0", edition.plan.sessions.len()))
    })?;
    if s.block as usize >= blocks.len() {
        return Err(("block", format!("the session has {} blocks, counted from 0", blocks.len())));
    }
    if s.minutes.is_some_and(|m| m.0 > 240) {
        return Err(("minutes", "a block has at most 240 minutes".to_owned()));
    }
    Ok(OutcomeEntry {
        id: s.id,
        edition: s.edition,
        session: s.session,
        block: s.block,
        outcome: s.outcome,
        minutes: s.minutes,
        said_at: said_at(&s.said_at, &state.clock).map_err(|says| ("said_at", says))?,
    })
}
