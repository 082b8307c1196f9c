//! Presence: whom did a squad leave behind when it began something new?
//!
//! An exposure counts for the players who were there for it. Whoever was away every time a skill was shown, since the
//! squad first met it in this curriculum, has not met it: they start one down when it comes again, and have it to do
//! at home. A session of which nobody said who was there counts as one at which all were; blocks that were left out
//! showed nothing.
//!
//! ```
//! # use jogo_core::{delivery::{Said, edition::Edition, presence::Away}, plan::Problem};
//! # fn show(edition: &Edition, problem: &Problem, said: &Said, away: &Away<&str>) {
//! // Before the fourth session.
//! for (skill, players) in edition.not_met(problem, said, 3, away) {
//!     println!("{skill}: {players:?} were away whenever it was shown");
//! }
//! # }
//! ```

use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::Date;
use serde::Serialize;

use crate::delivery::Said;
use crate::delivery::edition::Edition;
use crate::delivery::team_plan::as_run;
use crate::ids::SkillId;
use crate::plan::{Block, BlockId, Problem};

/// Who was away, by day; `P` is whatever names a player.
pub type Away<P> = BTreeMap<Date, BTreeSet<P>>;

/// Players who have not met what a block goes on with.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct NotMet<P> {
    /// The block.
    pub block: BlockId,
    /// The players.
    pub players: BTreeSet<P>,
}

impl Edition {
    /// Who has not met which skill before a session (from 0), though the squad has. Skills that the squad brought into
    /// the curriculum are none of them. Time: O(blocks before × skills of each).
    pub fn not_met<P: Copy + Ord>(
        &self,
        problem: &Problem,
        said: &Said,
        session: usize,
        away: &Away<P>,
    ) -> BTreeMap<SkillId, BTreeSet<P>> {
        let nobody = BTreeSet::new();
        let mut missing: BTreeMap<SkillId, BTreeSet<P>> = BTreeMap::new();
        let run = as_run(&self.plan, said);
        for (blocks, wish) in run.sessions.iter().zip(&problem.sessions).take(session) {
            let away = away.get(&wish.date).unwrap_or(&nobody);
            let variants = blocks.iter().filter_map(|block| problem.variant(&block.variant));
            for skill in variants.flat_map(|variant| &variant.skills) {
                missing
                    .entry(skill.clone())
                    .and_modify(|still| still.retain(|player| away.contains(player)))
                    .or_insert_with(|| away.clone());
            }
        }
        let new =
            |skill: &SkillId| problem.skills.iter().any(|wish| wish.id == *skill && wish.present.is_none());
        missing.retain(|skill, players| !players.is_empty() && new(skill));
        missing
    }

    /// The players who start one down in the blocks of a session: they have not met a skill that the squad has.
    pub fn start_one_down<P: Copy + Ord>(
        &self,
        problem: &Problem,
        said: &Said,
        session: usize,
        away: &Away<P>,
    ) -> Vec<NotMet<P>> {
        let not_met = self.not_met(problem, said, session, away);
        let of_block = |block: &Block| {
            let skills = &problem.variant(&block.variant)?.skills;
            let players: BTreeSet<P> =
                skills.iter().filter_map(|skill| not_met.get(skill)).flatten().copied().collect();
            (!players.is_empty()).then_some(NotMet { block: block.id?, players })
        };
        self.plan.sessions.get(session).into_iter().flatten().filter_map(of_block).collect()
    }
}
