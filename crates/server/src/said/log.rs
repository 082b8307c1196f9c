//! What coaches log of a session.

use crate::facts::Entered;
use jiff::civil::Date;
use jogo_core::delivery::log::{BlockSaid, Blocks, Named, Unclear};
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Ran};
use jogo_core::input::RangeFault;
use jogo_core::input::What;
use jogo_core::input::short_text;
use jogo_core::plan::BlockId;
use jogo_core::units::Minutes;
use jogo_store::delivery::log::{LogEntries, NoteEntry, OutcomeEntry, PresenceEntry};
use serde::Deserialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::{Faults, Sender, TeamNow, Wrong, at_most, said_at, set_times};
use crate::problem::Answer;
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, editions_of};

/// What a coach says of a block.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct OutcomeSaid {
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
    /// Successful tries, out of a hundred.
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
pub enum BlockNamed {
    Name(BlockId),
    Place(u32),
}

/// Whether a player was there.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct PresenceSaid {
    /// Made on the device.
    id: Uuid,
    player: Uuid,
    day: String,
    present: bool,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

/// A line of note on a session; an empty one takes the earlier one away.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct NoteSaid {
    /// Made on the device.
    id: Uuid,
    day: String,
    says: String,
    /// The players whom it is about, in place of their names.
    #[serde(default)]
    about: Vec<Uuid>,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct LogSaid {
    #[serde(default)]
    outcomes: Vec<OutcomeSaid>,
    #[serde(default)]
    presence: Vec<PresenceSaid>,
    #[serde(default)]
    notes: Vec<NoteSaid>,
    sender: Option<Sender>,
}

/// The most entries that are taken at once.
pub const MOST_ENTRIES: usize = 500;
/// The longest line of note.
pub const LONGEST_NOTE: usize = 200;
/// The most players whom a note may be about.
const MOST_ABOUT: usize = 30;

impl LogSaid {
    /// The entries, or what is wrong with them.
    pub async fn read(self, state: &State, team: Uuid) -> Answer<LogEntries> {
        let LogSaid { outcomes, presence, notes, sender } = self;
        at_most(MOST_ENTRIES, outcomes.len() + presence.len() + notes.len(), "")?;
        let counts: Vec<Option<i64>> = (outcomes.iter().map(|said| said.count))
            .chain(presence.iter().map(|said| said.count))
            .chain(notes.iter().map(|said| said.count))
            .collect();
        let editions = Known::all(state, team, &outcomes).await?;
        let now = TeamNow::of(state, team).await?;
        let mut faults = Faults::default();
        let mut entries = LogEntries {
            outcomes: faults.reading("/outcomes", outcomes, |said| outcome(&editions, said)),
            presence: faults.reading("/presence", presence, |said| here(&now, said)),
            notes: faults.reading("/notes", notes, |said| note(&now, said)),
        };
        faults.none()?;
        set_times(state, sender, counts, entries.times()).await?;
        Ok(entries)
    }
}

/// An edition of the team, with every state that its plan there ever had.
struct Known {
    now: TeamEdition,
    earlier: Vec<TeamPlan>,
}

impl Known {
    /// The editions of a team that are spoken of.
    async fn all(state: &State, team: Uuid, outcomes: &[OutcomeSaid]) -> Answer<Vec<Known>> {
        let mut editions = Vec::new();
        for now in editions_of(state, team).await?.into_values().flatten() {
            let id = now.assigned.published.id;
            if outcomes.iter().any(|said| said.edition == id) {
                editions.push(Known { earlier: state.store.team_plan_states(team, id).await?, now });
            }
        }
        Ok(editions)
    }

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
        Unclear::NoSession(sessions) => ("session", Entered::NoSession { sessions }.into()),
        Unclear::NoPlace(blocks) => ("block", Entered::NoPlace { blocks }.into()),
        Unclear::NoBlock => ("block", Entered::NoBlock.into()),
    }
}

fn outcome(editions: &[Known], s: OutcomeSaid) -> Result<OutcomeEntry, Wrong> {
    let edition = editions.iter().find(|each| each.now.assigned.published.id == s.edition);
    let known = edition.ok_or_else(|| ("edition", Entered::NoEdition.into()))?;
    let (session, block) = known.meant(&s)?;
    if let Some(minutes) = s.minutes.filter(|minutes| minutes.0 > 240) {
        let range = RangeFault::Minutes { value: minutes.0.into(), least: 0.0, most: 240.0 };
        return Err(("minutes", range.into()));
    }
    if let Some(success) = s.success.filter(|of_hundred| *of_hundred > 100) {
        return Err(("success", RangeFault::Percent { percent: success.into() }.into()));
    }
    Ok(OutcomeEntry {
        id: s.id,
        edition: s.edition,
        session,
        said: BlockSaid { block, outcome: s.outcome, minutes: s.minutes, success: s.success, ran: s.ran },
        said_at: said_at(&s.said_at)?,
    })
}

fn here(team: &TeamNow, s: PresenceSaid) -> Result<PresenceEntry, Wrong> {
    let day = team.day("day", &s.day)?;
    Ok(PresenceEntry {
        id: s.id,
        player: team.player(s.player, day)?,
        day,
        present: s.present,
        said_at: said_at(&s.said_at)?,
    })
}

fn note(team: &TeamNow, s: NoteSaid) -> Result<NoteEntry, Wrong> {
    let says = match s.says.trim() {
        "" => String::new(),
        says => short_text(says, LONGEST_NOTE, What::Note).map_err(|fault| ("says", fault.into()))?,
    };
    if s.about.len() > MOST_ABOUT {
        return Err(("about", Entered::AtMost { most: MOST_ABOUT }.into()));
    }
    let day = team.day("day", &s.day)?;
    // Whoever left the squad while the note waited on a phone is no reason to refuse it.
    let about = s.about.into_iter().filter(|player| team.player(*player, day).is_ok()).collect();
    Ok(NoteEntry { id: s.id, day, says, about, said_at: said_at(&s.said_at)? })
}
