//! The log of a session: what do we know when several coaches said something, at different times, on devices that were
//! without network?
//!
//! Of each block the last saying counts, of each player the last that was said of them; nothing that was said is lost.
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
//! // That somebody said otherwise later is kept with a name.
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

/// What was said of a block.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct BlockSaid {
    /// Which block.
    pub block: BlockId,
    /// What became of it.
    pub outcome: Outcome,
    /// Its minutes, if they were said.
    pub minutes: Option<Minutes>,
    /// How many of a hundred tries came off, if that was said.
    pub success: Option<u8>,
    /// The rung that was run in place of the planned one.
    pub ran: Option<Ran>,
}

/// Something that was said, by whom and when.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Saying<T> {
    /// What.
    pub what: T,
    /// Name of the coach.
    pub by: String,
    /// When, by the coach's device.
    pub at: Timestamp,
}

/// Something that was said of a session.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum Told<P> {
    /// Of a block.
    Block(BlockSaid),
    /// Of a player, after something else had been said of them.
    Player(P, bool),
    /// A line of note; an empty one takes the earlier one away.
    Note(String),
}

/// What is known of a session; `P` is whatever names a player.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct SessionLog<P> {
    /// Of each block what was said last.
    pub blocks: Vec<BlockSaid>,
    /// Players who were missing; nothing if nobody has said who was there.
    pub missing: Option<Vec<P>>,
    /// The last note; empty without one.
    pub note: String,
    /// Everything that was said, in its order. That a player was there shows only once it was said otherwise.
    pub history: Vec<Saying<Told<P>>>,
}

impl<P: Copy + Ord> SessionLog<P> {
    /// Puts together what was said of a session, each kind in the order in which it was said.
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

/// The block that an entry names.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Named {
    /// By its id.
    Id(BlockId),
    /// By its place in the session, from 0: entries that wait on a device since an earlier version do.
    Place(usize),
}

/// Why it is not clear what an entry is about.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Unclear {
    /// There is no such session: there are so many.
    NoSession(usize),
    /// There is no block at that place: the session has so many.
    NoPlace(usize),
    /// The edition never had such a block.
    NoBlock,
}

/// The blocks that an entry can be about: those of a team's plan, now and in every state that it ever had.
pub struct Blocks<'p> {
    /// The edition as the team works by it now.
    pub now: &'p Edition,
    /// Every other plan by which it may have been run: what was published, and earlier states of the team's own.
    pub others: Vec<&'p Plan>,
}

impl Blocks<'_> {
    /// Which block an entry is about, and in which session (from 0) it was run: that of the day that was said, if there
    /// is one; else that in which the block is now; else the one that the device knew.
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
        let on = |day: Date| self.now.curriculum.evenings().iter().position(|session| session.date == day);
        let found = day.and_then(on).or(now).or(known.map(|_| session));
        found.map(|session| (session, block)).ok_or(no_session)
    }
}
