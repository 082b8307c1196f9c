//! The log of an evening: what coaches say of it, from devices that may have been without network.

use std::collections::BTreeSet;

use actix_web::HttpResponse;
use actix_web::post;
use actix_web::web::{Data, Path};
use jiff::civil::Date;
use jogo_core::delivery::log::{BlockSaid, Blocks, Named, Unclear};
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Ran};
use jogo_core::input::short_text;
use jogo_core::plan::BlockId;
use jogo_core::units::Minutes;
use jogo_store::delivery::log::{LogEntries, NoteEntry, OutcomeEntry, PresenceEntry};
use serde::Deserialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::{SaidBy, Sender, day_of_season, read_each, said_at, when_said};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, editions_of};

pub fn routes(config: &mut ServiceConfig) {
    config.service(say);
}

/// What a coach says of a block.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct OutcomeSaid {
    /// Made on the device.
    id: Uuid,
    edition: Uuid,
    /// The session, from 0, as the device knew it.
    session: u32,
    block: BlockNamed,
    /// The day on which it was run; without it, the session's.
    #[schema(value_type = Option<String>, format = Date)]
    day: Option<Date>,
    outcome: Outcome,
    minutes: Option<Minutes>,
    /// How many of a hundred tries came off.
    success: Option<u8>,
    /// The rung that was run in place of the planned one.
    ran: Option<Ran>,
    /// When, by the device.
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

/// A block by its name; entries that wait since an earlier version name it by its place in the session, from 0.
#[derive(Clone, Copy, Deserialize, ToSchema)]
#[serde(untagged)]
pub(in crate::api) enum BlockNamed {
    Name(BlockId),
    Place(u32),
}

/// Whether a player was there.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct PresenceSaid {
    /// Made on the device.
    id: Uuid,
    player: Uuid,
    day: String,
    present: bool,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

/// A line of note on an evening; an empty one takes the earlier one away.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct NoteSaid {
    /// Made on the device.
    id: Uuid,
    day: String,
    says: String,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct LogSaid {
    #[serde(default)]
    outcomes: Vec<OutcomeSaid>,
    #[serde(default)]
    presence: Vec<PresenceSaid>,
    #[serde(default)]
    notes: Vec<NoteSaid>,
    sender: Option<Sender>,
}

/// The most entries that are taken at once.
const MOST_ENTRIES: usize = 500;
/// The longest line of note.
const LONGEST_NOTE: usize = 200;

/// Takes in what was said of an evening: all of it or nothing, each entry once, in any order.
#[utoipa::path(operation_id = "log_say", params(("team" = Uuid, Path)), request_body = LogSaid,
    responses(
        (status = 204), (status = 409, body = Problem),
    ),
)]
#[post("/teams/{team}/log")]
pub(in crate::api) async fn say(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<LogSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let LogSaid { outcomes, presence, notes, sender } = said.into_inner();
    let counts: Vec<Option<i64>> = outcomes
        .iter()
        .map(|said| said.count)
        .chain(presence.iter().map(|said| said.count))
        .chain(notes.iter().map(|said| said.count))
        .collect();
    if outcomes.len() + presence.len() + notes.len() > MOST_ENTRIES {
        return Err(Problem::fault(
            "",
            format!("at most {MOST_ENTRIES} entries at once: send the rest after these"),
        ));
    }
    let mut editions = Vec::new();
    for now in editions_of(&state, team.id).await?.into_values().flatten() {
        let id = now.assigned.published.id;
        if outcomes.iter().any(|said| said.edition == id) {
            editions.push(Known { earlier: state.store.team_plan_states(team.id, id).await?, now });
        }
    }
    let squad: BTreeSet<Uuid> = state.store.players(team.id).await?.into_iter().map(|p| p.id).collect();
    let today = state.today().await?;
    let mut faults = Vec::new();
    let mut entries = LogEntries {
        outcomes: read_each("/outcomes", outcomes, &mut faults, |said| outcome(&editions, said)),
        presence: read_each("/presence", presence, &mut faults, |said| here(today, &squad, said)),
        notes: read_each("/notes", notes, &mut faults, |said| note(today, said)),
    };
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    let times = entries.times();
    let said: Vec<SaidBy> =
        counts.into_iter().zip(times).map(|(count, at)| SaidBy { count, at: *at }).collect();
    let when = when_said(&state, sender, &said).await?;
    entries.times().zip(when).for_each(|(at, when)| *at = when);
    state.store.add_log(team.id, &entries, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// The field that is wrong, and how to mend it.
type Wrong = (&'static str, String);

/// An edition of the team, with every state that its plan there ever had.
struct Known {
    now: TeamEdition,
    earlier: Vec<TeamPlan>,
}

impl Known {
    /// Which block is meant, and in which session it was run.
    fn meant(&self, said: &OutcomeSaid) -> Result<(u32, BlockId), Wrong> {
        let states = self.earlier.iter().filter_map(|state| state.plan.as_ref());
        let others = states.chain([&self.now.assigned.edition.plan]).collect();
        let named = match said.block {
            BlockNamed::Name(id) => Named::Id(id),
            BlockNamed::Place(place) => Named::Place(place as usize),
        };
        let blocks = Blocks { now: &self.now.edition, others };
        let (session, block) = blocks.meant(said.day, said.session as usize, named).map_err(unclear)?;
        Ok((session as u32, block))
    }
}

fn unclear(why: Unclear) -> Wrong {
    match why {
        Unclear::NoSession(n) => ("session", format!("the edition has {n} sessions, counted from 0")),
        Unclear::NoPlace(n) => ("block", format!("the session has {n} blocks, counted from 0")),
        Unclear::NoBlock => ("block", "this edition has no such block: load the session again".to_owned()),
    }
}

fn outcome(editions: &[Known], s: OutcomeSaid) -> Result<OutcomeEntry, Wrong> {
    let edition = editions.iter().find(|each| each.now.assigned.published.id == s.edition);
    let known =
        edition.ok_or_else(|| ("edition", "this team does not work by such an edition".to_owned()))?;
    let (session, block) = known.meant(&s)?;
    if s.minutes.is_some_and(|m| m.0 > 240) {
        return Err(("minutes", "a block has at most 240 minutes".to_owned()));
    }
    if s.success.is_some_and(|of_hundred| of_hundred > 100) {
        return Err(("success", "at most 100 of a hundred tries come off".to_owned()));
    }
    Ok(OutcomeEntry {
        id: s.id,
        edition: s.edition,
        session,
        said: BlockSaid { block, outcome: s.outcome, minutes: s.minutes, success: s.success, ran: s.ran },
        said_at: said_at(&s.said_at).map_err(|says| ("said_at", says))?,
    })
}

fn here(today: Date, squad: &BTreeSet<Uuid>, s: PresenceSaid) -> Result<PresenceEntry, Wrong> {
    if !squad.contains(&s.player) {
        return Err(("player", "this squad has no such player".to_owned()));
    }
    Ok(PresenceEntry {
        id: s.id,
        player: s.player,
        day: day_of_season(&s.day, today).map_err(|says| ("day", says))?,
        present: s.present,
        said_at: said_at(&s.said_at).map_err(|says| ("said_at", says))?,
    })
}

fn note(today: Date, s: NoteSaid) -> Result<NoteEntry, Wrong> {
    let says = match s.says.trim() {
        "" => String::new(),
        says => short_text(says, LONGEST_NOTE).map_err(|e| ("says", format!("the note {e}")))?,
    };
    Ok(NoteEntry {
        id: s.id,
        day: day_of_season(&s.day, today).map_err(|says| ("day", says))?,
        says,
        said_at: said_at(&s.said_at).map_err(|says| ("said_at", says))?,
    })
}
