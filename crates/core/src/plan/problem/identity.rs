//! Which block is which? A block keeps its name while it moves, or its minutes or its rung change, so that what was
//! said of it stays with the drill that was run, whatever happens to the plan.

use std::collections::{BTreeMap, BTreeSet};

use serde::{Deserialize, Serialize};
use uuid::Uuid;

use super::{Block, Plan, VariantId};

/// The name of a block: a UUID, made when the block is first kept.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(transparent)]
pub struct BlockId(pub Uuid);

impl std::fmt::Display for BlockId {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        self.0.fmt(f)
    }
}

/// Where a block is: its session and its place there, both from 0.
pub type Place = (usize, usize);

impl Plan {
    /// Its blocks with their places, in order.
    pub fn places(&self) -> impl Iterator<Item = (Place, &Block)> {
        let of_session = |(session, blocks): (usize, &'_ Vec<Block>)| {
            (0..blocks.len()).map(move |at| (session, at)).collect::<Vec<_>>()
        };
        self.sessions.iter().enumerate().flat_map(of_session).map(|at| (at, &self.sessions[at.0][at.1]))
    }

    /// Where a block is.
    pub fn place_of(&self, id: BlockId) -> Option<Place> {
        self.places().find(|(_, block)| block.id == Some(id)).map(|(at, _)| at)
    }

    /// Whether it has a block.
    pub fn has(&self, id: BlockId) -> bool {
        self.place_of(id).is_some()
    }

    /// The sessions in which named blocks are.
    pub fn session_of_each(&self) -> BTreeMap<BlockId, usize> {
        self.places().filter_map(|((session, _), block)| Some((block.id?, session))).collect()
    }

    /// The same plan, in which every block without a name has the name of the block of an earlier plan that it
    /// continues: the same drill in the same session, else in the nearest one, the same rung before another. No name
    /// is given twice; a block of a drill that the earlier plan does not have stays without one.
    ///
    /// Takes as many steps as there are blocks without a name times blocks of the earlier plan.
    ///
    /// ```
    /// use jogo_core::plan::{Block, BlockId, Plan};
    /// use jogo_core::units::Minutes;
    ///
    /// let mut next = 0;
    /// let block = |variant: &str| Block::of(&variant.parse().unwrap(), Minutes(6));
    /// let before = Plan { sessions: vec![vec![block("taps@form")], vec![]] }.named(|| {
    ///     next += 1;
    ///     BlockId(uuid::Uuid::from_u128(next))
    /// });
    /// let later = Plan { sessions: vec![vec![], vec![block("taps@flow")]] };
    /// assert_eq!(later.continuing(&before).sessions[1][0].id, before.sessions[0][0].id);
    /// ```
    #[must_use]
    pub fn continuing(mut self, before: &Plan) -> Plan {
        let taken: BTreeSet<BlockId> = self.places().filter_map(|(_, block)| block.id).collect();
        let mut free: Vec<(usize, BlockId, VariantId)> = before
            .places()
            .filter_map(|((session, _), block)| Some((session, block.id?, block.variant.clone())))
            .filter(|(_, id, _)| !taken.contains(id))
            .collect();
        // The nearest kind of likeness comes first for all blocks, so that none takes what another one is.
        for (near, alike) in [(true, true), (true, false), (false, true), (false, false)] {
            for (session, blocks) in self.sessions.iter_mut().enumerate() {
                for block in blocks.iter_mut().filter(|block| block.id.is_none()) {
                    let same = |variant: &VariantId| match alike {
                        true => *variant == block.variant,
                        false => variant.drill == block.variant.drill,
                    };
                    let likely = free
                        .iter()
                        .enumerate()
                        .filter(|(_, (from, _, variant))| same(variant) && (!near || *from == session));
                    let nearest = likely.min_by_key(|(_, (from, ..))| from.abs_diff(session));
                    if let Some(at) = nearest.map(|(at, _)| at) {
                        block.id = Some(free.remove(at).1);
                    }
                }
            }
        }
        self
    }

    /// The same plan with a fresh name for every block that has none.
    #[must_use]
    pub fn named(mut self, mut fresh: impl FnMut() -> BlockId) -> Plan {
        for block in self.sessions.iter_mut().flatten().filter(|block| block.id.is_none()) {
            block.id = Some(fresh());
        }
        self
    }
}

/// How many blocks of a plan are in another session of a later one, or gone.
pub fn left_their_session(before: &Plan, after: &Plan) -> usize {
    let mut number = 0;
    // Plans that were never kept have no names: these are only for the comparison.
    let before = before.clone().named(|| {
        number += 1;
        BlockId(Uuid::from_u128(number))
    });
    let now = after.clone().continuing(&before).session_of_each();
    before
        .places()
        .filter(|((session, _), block)| block.id.and_then(|id| now.get(&id)) != Some(session))
        .count()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ids::called;
    use crate::units::Minutes;
    use rstest::rstest;

    fn id(number: u128) -> BlockId {
        BlockId(Uuid::from_u128(number))
    }

    /// Sessions of blocks by their variants, as `"taps@form cuts@flow | taps@form"`, named by a number if one follows
    /// `#`.
    fn plan(text: &str) -> Plan {
        let block = |word: &str| {
            let (variant, number) = word.split_once('#').map_or((word, None), |(v, n)| (v, Some(n)));
            Block { id: number.map(|n| id(n.parse().unwrap())), ..Block::of(&called(variant), Minutes(6)) }
        };
        let session = |blocks: &str| blocks.split_whitespace().map(block).collect();
        Plan { sessions: text.split('|').map(session).collect() }
    }

    #[rstest]
    #[case::stays("a@form#1 b@flow#2 | c@scan#3", "a@form b@flow | c@scan", "a@form#1 b@flow#2 | c@scan#3")]
    #[case::order_changes("a@form#1 b@flow#2 |", "b@flow a@form |", "b@flow#2 a@form#1 |")]
    #[case::moves("a@form#1 | | ", "| | a@form", "| | a@form#1")]
    #[case::another_rung("a@form#1 |", "a@flow |", "a@flow#1 |")]
    #[case::another_drill("a@form#1 |", "b@form |", "b@form |")]
    #[case::the_same_rung_first("a@form#1 a@flow#2 |", "a@flow a@scan |", "a@flow#2 a@scan#1 |")]
    #[case::its_own_session_first("a@form#1 | a@form#2", "| a@form a@form", "| a@form#2 a@form#1")]
    #[case::the_nearest_session("a@form#1 | | | a@form#2 |", "| | a@form | |", "| | a@form#2 | |")]
    #[case::no_name_twice("a@form#1 |", "a@form a@form |", "a@form#1 a@form |")]
    #[case::what_has_a_name_keeps_it("a@form#1 |", "a@form a@form#1 |", "a@form a@form#1 |")]
    fn a_block_continues_the_one_that_it_was(#[case] before: &str, #[case] after: &str, #[case] named: &str) {
        assert_eq!(plan(after).continuing(&plan(before)), plan(named));
    }

    #[rstest]
    #[case::nothing("a@form | b@form", "a@form | b@form", 0)]
    #[case::order_alone("a@form b@form |", "b@form a@form |", 0)]
    #[case::one_moved("a@form b@form | ", "b@form | a@form", 1)]
    #[case::one_gone("a@form b@form |", "b@form |", 1)]
    #[case::another_rung_stays("a@form |", "a@flow |", 0)]
    #[case::named_ones_change_places("a@form#1 | a@form#2", "a@form#2 | a@form#1", 2)]
    fn blocks_that_left_are_counted(#[case] before: &str, #[case] after: &str, #[case] left: usize) {
        assert_eq!(left_their_session(&plan(before), &plan(after)), left);
    }

    #[test]
    fn fresh_names_go_to_those_that_have_none() {
        let mut next = 7;
        let named = plan("a@form#1 b@form | c@form").named(|| {
            next += 1;
            id(next)
        });
        assert_eq!(named, plan("a@form#1 b@form#8 | c@form#9"));
        assert_eq!(named.place_of(id(9)), Some((1, 0)));
        assert_eq!(named.place_of(id(5)), None);
    }
}
