//! The log of a session: what do we know of it when several coaches wrote entries, at different times, on devices that
//! were offline?
//!
//! The last entry for a block counts, and the last for a player; no entry is ever lost.
//!
//! ```
//! use jogo_core::delivery::log::{Saying, SessionLog};
//!
//! let said = |what, by: &str, minute| Saying {
//!     what,
//!     by: by.to_owned(),
//!     at: format!("2031-02-10T18:{minute}:00Z").parse().unwrap(),
//! };
//! let log = SessionLog::of(
//!     vec![],
//!     vec![said(('a', true), "Orla", 10), said(('b', false), "Orla", 10), said(('a', false), "Tam", 40)],
//!     vec![],
//! );
//! assert_eq!(log.missing, Some(vec!['a', 'b']));
//! // The coach who changed an entry is named.
//! assert_eq!(log.history.len(), 1);
//! assert_eq!(log.history[0].by, "Tam");
//! ```

use std::collections::BTreeMap;

use jiff::Timestamp;
use jiff::civil::Date;

use crate::delivery::edition::Edition;
use crate::delivery::{Outcome, Ran};
use crate::plan::{BlockId, Plan};
use crate::units::Minutes;

/// What a coach entered for a block.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct BlockSaid {
    /// Which block.
    pub block: BlockId,
    /// Whether it was done, cut short or skipped.
    pub outcome: Outcome,
    /// How long it took, if that was entered.
    pub minutes: Option<Minutes>,
    /// Successful tries in percent, if the coach entered them.
    pub success: Option<u8>,
    /// The easier or harder rung that was run instead of the planned one.
    pub ran: Option<Ran>,
}

/// An entry, with who made it and when.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Saying<T> {
    /// What it says.
    pub what: T,
    /// Name of the coach.
    pub by: String,
    /// When, by the coach's device.
    pub at: Timestamp,
}

/// What an entry is about.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum Told<P> {
    /// A block.
    Block(BlockSaid),
    /// Whether a player was there, where an earlier entry said the opposite.
    Player(P, bool),
    /// A line of notes; an empty one deletes the line before.
    Note(String),
}

/// What is known of a session; `P` is whatever names a player.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct SessionLog<P> {
    /// The last entry for each block.
    pub blocks: Vec<BlockSaid>,
    /// The players who were missing; `None` if nobody took attendance.
    pub missing: Option<Vec<P>>,
    /// The last line of notes; empty if there is none.
    pub note: String,
    /// All entries in their order; of attendance only those that changed an earlier one.
    pub history: Vec<Saying<Told<P>>>,
}

impl<P: Copy + Ord> SessionLog<P> {
    /// Puts the entries of a session together; each kind comes in the order in which it was entered.
    pub fn of(
        blocks: Vec<Saying<BlockSaid>>,
        presence: Vec<Saying<(P, bool)>>,
        notes: Vec<Saying<String>>,
    ) -> SessionLog<P> {
        let last: BTreeMap<BlockId, BlockSaid> =
            blocks.iter().map(|saying| (saying.what.block, saying.what)).collect();
        let note = notes.last().map(|saying| saying.what.clone()).unwrap_or_default();
        let mut history = Vec::new();
        let mut tell = |what, by, at| history.push(Saying { what, by, at });
        blocks.into_iter().for_each(|Saying { what, by, at }| tell(Told::Block(what), by, at));
        let mut there: BTreeMap<P, bool> = BTreeMap::new();
        for Saying { what: (player, present), by, at } in presence {
            if there.insert(player, present).is_some_and(|before| before != present) {
                tell(Told::Player(player, present), by, at);
            }
        }
        notes.into_iter().for_each(|Saying { what, by, at }| tell(Told::Note(what), by, at));
        history.sort_by_key(|saying| saying.at);
        let missing = there.iter().filter(|(_, present)| !**present).map(|(player, _)| *player);
        SessionLog {
            blocks: last.into_values().collect(),
            missing: (!there.is_empty()).then(|| missing.collect()),
            note,
            history,
        }
    }
}

/// How an entry names its block.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Named {
    /// By its id.
    Id(BlockId),
    /// By its place in the session, from 0, as entries do that were made with an earlier version.
    Place(usize),
}

/// Why the block of an entry cannot be found.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Unclear {
    /// The edition has no such session; it has this many.
    NoSession(usize),
    /// The session has no block at that place; it has this many.
    NoPlace(usize),
    /// The edition never had such a block.
    NoBlock,
}

/// The blocks that an entry can name: those of a team's plan as it is now, and as it ever was.
pub struct Blocks<'p> {
    /// The edition as the team works by it now.
    pub now: &'p Edition,
    /// Every other plan that the team may have worked by: the published one, and earlier states of its own.
    pub others: Vec<&'p Plan>,
}

impl Blocks<'_> {
    /// The block that an entry names, and the session (from 0) in which it was run: the one on the day of the entry, if
    /// there is one; else the one that has the block now; else the one that the device knew.
    ///
    /// # Errors
    /// If the edition never had such a block or session.
    pub fn meant(
        &self,
        day: Option<Date>,
        session: usize,
        named: Named,
    ) -> Result<(usize, BlockId), Unclear> {
        let plan = &self.now.plan;
        let no_session = Unclear::NoSession(plan.sessions.len());
        let known = plan.sessions.get(session);
        let block = match named {
            Named::Id(id) => id,
            Named::Place(place) => {
                let blocks = known.ok_or(no_session)?;
                blocks.get(place).and_then(|block| block.id).ok_or(Unclear::NoPlace(blocks.len()))?
            }
        };
        let now = plan.place_of(block).map(|(session, _)| session);
        if now.is_none() && !self.others.iter().any(|plan| plan.place_of(block).is_some()) {
            return Err(Unclear::NoBlock);
        }
        let on =
            |day: Date| self.now.curriculum.session_days().iter().position(|session| session.date == day);
        let found = day.and_then(on).or(now).or(known.map(|_| session));
        found.map(|session| (session, block)).ok_or(no_session)
    }
}
