//! What is known of a session: how its blocks went, who was missing, and who said so.

use jiff::civil::Date;
use jogo_core::delivery::log::{BlockSaid, Saying, SessionLog, Told};
use jogo_core::delivery::{Outcome, Ran};
use jogo_core::plan::BlockId;
use jogo_core::units::Minutes;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;
use crate::views::named::NamedView;
use crate::views::team_sessions::TeamEdition;

/// What was last said of a block.
#[derive(Clone, Serialize, ToSchema)]
pub struct OutcomeView {
    block: BlockId,
    outcome: Outcome,
    minutes: Option<Minutes>,
    success: Option<u8>,
    ran: Option<Ran>,
}

impl From<BlockSaid> for OutcomeView {
    fn from(said: BlockSaid) -> OutcomeView {
        let BlockSaid { block, outcome, minutes, success, ran } = said;
        OutcomeView { block, outcome, minutes, success, ran }
    }
}

/// Something that was said of a session.
#[derive(Serialize, ToSchema)]
#[serde(tag = "of", rename_all = "snake_case")]
#[schema(as = Told)]
pub enum ToldView {
    /// Of a block.
    Block {
        #[serde(flatten)]
        said: OutcomeView,
        /// The title of its drill.
        title: String,
    },
    /// Of a player, after something else had been said of them.
    Player { player: Uuid, present: bool },
    /// A line of note: what it said before is nobody's to read.
    Note {
        /// Whether it was taken away.
        gone: bool,
    },
}

/// Who said something of a session, and when.
#[derive(Serialize, ToSchema)]
pub struct HistoryEntry {
    by: String,
    at: String,
    told: ToldView,
}

/// What is known of a session.
#[derive(Serialize, ToSchema)]
pub struct LogView {
    outcomes: Vec<OutcomeView>,
    /// Players who were missing; absent if nobody has said who was there.
    missing: Option<Vec<Uuid>>,
    note: String,
    /// The players whom it is about.
    note_about: Vec<NamedView>,
    /// Everything that was said, in its order, with what was said differently later.
    history: Vec<HistoryEntry>,
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
        let about = state.store.note_about(team, day).await?;
        let log = SessionLog::of(blocks, presence, notes);
        Ok(LogView {
            outcomes: log.blocks.into_iter().map(OutcomeView::from).collect(),
            missing: log.missing,
            note: log.note,
            note_about: about.into_iter().map(NamedView::from).collect(),
            history: log.history.into_iter().map(|saying| HistoryEntry::of(saying, edition)).collect(),
        })
    }
}

impl HistoryEntry {
    fn of(Saying { what, by, at }: Saying<Told<Uuid>>, edition: &TeamEdition) -> HistoryEntry {
        let told = match what {
            Told::Block(said) => ToldView::Block { title: edition.title_of(said.block), said: said.into() },
            Told::Player(player, present) => ToldView::Player { player, present },
            Told::Note(says) => ToldView::Note { gone: says.is_empty() },
        };
        HistoryEntry { by, at: at.to_string(), told }
    }
}
