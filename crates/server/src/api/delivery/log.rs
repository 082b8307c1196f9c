//! The log of an evening: what coaches say of it, from devices that may have been without network.

use std::collections::{BTreeMap, BTreeSet};

use actix_web::HttpResponse;
use actix_web::post;
use actix_web::web::{Data, Path};
use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Ran};
use jogo_core::input::short_text;
use jogo_core::plan::BlockId;
use jogo_core::units::Minutes;
use jogo_store::delivery::log::{BlockSaid, LogEntries, NoteEntry, OutcomeEntry, PresenceEntry, Saying};
use serde::{Deserialize, Serialize};
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

/// What was last said of a block.
#[derive(Clone, Serialize, ToSchema)]
pub(in crate::api) struct OutcomeView {
    block: BlockId,
    outcome: Outcome,
    minutes: Option<Minutes>,
    success: Option<u8>,
    ran: Option<Ran>,
}

/// Something that was said of an evening.
#[derive(Serialize, ToSchema)]
#[serde(tag = "of", rename_all = "snake_case")]
pub(in crate::api) enum Told {
    /// Of a block.
    Block {
        #[serde(flatten)]
        said: OutcomeView,
        /// The title of its drill.
        title: String,
    },
    /// Of a player, after something else had been said of them.
    Player { player: Uuid, present: bool },
    /// A line of note.
    Note { says: String },
}

/// Who said something of an evening, and when.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct HistoryEntry {
    by: String,
    at: String,
    told: Told,
}

/// What is known of an evening.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct LogView {
    outcomes: Vec<OutcomeView>,
    /// Players who were missing; nothing if nobody has said who was there.
    missing: Option<Vec<Uuid>>,
    note: String,
    /// Everything that was said, in its order, with what was said differently later.
    history: Vec<HistoryEntry>,
}

impl From<BlockSaid> for OutcomeView {
    fn from(said: BlockSaid) -> OutcomeView {
        let BlockSaid { block, outcome, minutes, success, ran } = said;
        OutcomeView { block, outcome, minutes, success, ran }
    }
}

impl LogView {
    /// What a team said of a session of an edition, which lies on a day.
    pub async fn of(
        state: &State,
        team: Uuid,
        edition: &TeamEdition,
        session: usize,
        day: Date,
    ) -> Answer<LogView> {
        let id = edition.assigned.published.id;
        let blocks = state.store.block_sayings(team, id, session as u32).await?;
        let presence = state.store.presence_sayings(team, day).await?;
        let notes = state.store.note_sayings(team, day).await?;
        Ok(LogView::from_sayings(blocks, presence, notes, &|block| edition.title_of(block)))
    }

    fn from_sayings(
        blocks: Vec<Saying<BlockSaid>>,
        presence: Vec<Saying<(Uuid, bool)>>,
        notes: Vec<Saying<String>>,
        title_of: &dyn Fn(BlockId) -> String,
    ) -> LogView {
        let last: BTreeMap<BlockId, BlockSaid> =
            blocks.iter().map(|saying| (saying.what.block, saying.what)).collect();
        let note = notes.last().map(|saying| saying.what.clone()).unwrap_or_default();
        let mut history: Vec<(Timestamp, String, Told)> = Vec::new();
        for Saying { what, by, at } in blocks {
            let title = title_of(what.block);
            history.push((at, by, Told::Block { said: what.into(), title }));
        }
        let mut there: BTreeMap<Uuid, bool> = BTreeMap::new();
        for Saying { what: (player, present), by, at } in presence {
            if there.insert(player, present).is_some_and(|before| before != present) {
                history.push((at, by, Told::Player { player, present }));
            }
        }
        for Saying { what: says, by, at } in notes {
            history.push((at, by, Told::Note { says }));
        }
        history.sort_by_key(|(at, ..)| *at);
        let missing = there.iter().filter(|(_, present)| !**present).map(|(player, _)| *player);
        LogView {
            outcomes: last.into_values().map(OutcomeView::from).collect(),
            missing: (!there.is_empty()).then(|| missing.collect()),
            note,
            history: history
                .into_iter()
                .map(|(at, by, told)| HistoryEntry { by, at: at.to_string(), told })
                .collect(),
        }
    }
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
    /// Which block is meant, and in which session it was run: on the day that is said, if there is a session on it,
    /// else where the block is now.
    fn place(&self, s: &OutcomeSaid) -> Result<(u32, BlockId), Wrong> {
        let (plan, curriculum) = (&self.now.edition.plan, &self.now.edition.curriculum);
        let of_place = plan.sessions.get(s.session as usize);
        let block = match s.block {
            BlockNamed::Name(id) => id,
            BlockNamed::Place(place) => {
                let blocks = of_place.ok_or_else(|| {
                    let says = format!("the edition has {} sessions, counted from 0", plan.sessions.len());
                    ("session", says)
                })?;
                blocks.get(place as usize).and_then(|block| block.id).ok_or_else(|| {
                    ("block", format!("the session has {} blocks, counted from 0", blocks.len()))
                })?
            }
        };
        let published = &self.now.assigned.edition.plan;
        let states = self.earlier.iter().filter_map(|state| state.plan.as_ref());
        if !states.chain([plan, published]).any(|plan| plan.place_of(block).is_some()) {
            return Err(("block", "this edition has no such block: load the session again".to_owned()));
        }
        let on_day = |day: Date| curriculum.evenings().iter().position(|evening| evening.date == day);
        let session = s.day.and_then(on_day).or_else(|| plan.place_of(block).map(|(session, _)| session));
        let session = session.or(of_place.map(|_| s.session as usize)).ok_or_else(|| {
            ("session", format!("the edition has {} sessions, counted from 0", plan.sessions.len()))
        })?;
        Ok((session as u32, block))
    }
}

fn outcome(editions: &[Known], s: OutcomeSaid) -> Result<OutcomeEntry, Wrong> {
    let edition = editions.iter().find(|each| each.now.assigned.published.id == s.edition);
    let known =
        edition.ok_or_else(|| ("edition", "this team does not work by such an edition".to_owned()))?;
    let (session, block) = known.place(&s)?;
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
