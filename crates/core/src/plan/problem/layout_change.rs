//! What changes on the floor between two blocks, and how long does that take?

use serde::{Deserialize, Serialize};

use super::{Block, Problem, Variant};
use crate::ids::DrillId;
use crate::units::Minutes;

/// Two drills of which the second takes less to lay out after the first, since markers can stay where they lie.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct LayoutChange {
    /// What lies on the floor.
    pub from: DrillId,
    /// What is laid next.
    pub to: DrillId,
    /// How many markers can stay, all stations together.
    pub stay: u32,
    /// How long the rest takes; never longer than laying out the second drill on an empty floor.
    #[serde(rename = "laying_out_min")]
    pub laying_out: Minutes,
}

impl Problem {
    /// Minutes of all layout changes in a session.
    pub fn changes_in(&self, blocks: &[Block]) -> Minutes {
        blocks.windows(2).map(|pair| self.change(Some(&pair[0]), &pair[1])).sum()
    }

    /// Minutes of the layout change before a block, after a block that stood before it: none, if the same drills lie
    /// there; what has to be moved, where one layout follows another that it shares markers with
    /// ([`Problem::layout_changes`]); else both layouts of a split squad, or the one of the whole squad, from nothing.
    pub fn change(&self, before: Option<&Block>, next: &Block) -> Minutes {
        let Some(before) = before.filter(|before| self.floor(before) != self.floor(next)) else {
            return Minutes(0);
        };
        let both = [Some(&next.variant), next.beside.as_ref()].into_iter().flatten();
        let laid: Minutes = both.filter_map(|id| self.variant(id)).map(|v| v.laying_out).sum();
        self.shared(before, next).map_or(laid, |change| change.laying_out.min(laid))
    }

    /// How many markers can stay where they lie between two blocks; none where both are the same drill.
    pub fn staying(&self, before: Option<&Block>, next: &Block) -> u32 {
        before.and_then(|before| self.shared(before, next)).map_or(0, |change| change.stay)
    }

    /// The layouts of two blocks of the whole squad, if they share markers.
    fn shared(&self, before: &Block, next: &Block) -> Option<&LayoutChange> {
        let alone = |block: &Block| self.variant(&block.variant).filter(|_| block.beside.is_none());
        let (from, to): (&Variant, &Variant) = (alone(before)?, alone(next)?);
        self.layout_changes.iter().find(|change| change.from == from.drill && change.to == to.drill)
    }

    /// The drills that lie on the floor during a block.
    pub fn floor(&self, block: &Block) -> (Option<&str>, Option<&str>) {
        let drill = |id| self.variant(id).map(|v: &Variant| v.drill.as_str());
        (drill(&block.variant), block.beside.as_ref().and_then(drill))
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ids::called;
    use crate::plan::search::ledger::tests::any_problem;
    use crate::technique::skill::Stage;
    use rstest::rstest;

    /// Drills `a`, `b` and `c`, laid out in 3, 4 and 2 minutes; of `a` six markers can stay for `b`, and it is done in
    /// one minute. What is said of `b` and `c` is longer than laying out `c`.
    fn problem() -> Problem {
        let mut problem = any_problem(1, 0);
        let skill = problem.skills[0].id.clone();
        let drill = |drill: &str, minutes| Variant {
            laying_out: Minutes(minutes),
            ..Variant::of(&called(drill), Stage::Form, std::slice::from_ref(&skill))
        };
        problem.variants = vec![drill("a", 3), drill("b", 4), drill("c", 2)];
        let change = |from: &str, to: &str, stay, minutes| LayoutChange {
            from: called(from),
            to: called(to),
            stay,
            laying_out: Minutes(minutes),
        };
        problem.layout_changes = vec![change("a", "b", 6, 1), change("b", "c", 1, 5)];
        problem
    }

    fn block(text: &str) -> Block {
        let (variant, beside) = text.split_once('+').map_or((text, None), |(v, b)| (v, Some(b)));
        let id = |drill: &str| called(&format!("{drill}@form"));
        let at = |drill: &str| called::<crate::plan::VariantId>(&format!("{drill}@form"));
        Block { beside: beside.map(at), ..Block::of(&id(variant), Minutes(6)) }
    }

    #[rstest]
    #[case::the_same_drill("a", "a", 0, 0)]
    #[case::markers_that_stay("a", "b", 1, 6)]
    #[case::the_other_way_round("b", "a", 3, 0)]
    #[case::never_longer_than_from_nothing("b", "c", 2, 1)]
    #[case::nothing_is_shared("a", "c", 2, 0)]
    #[case::two_layouts_side_by_side("a", "b+c", 6, 0)]
    #[case::after_two_layouts_side_by_side("a+c", "b", 4, 0)]
    fn a_change_takes_what_has_to_be_moved(
        #[case] before: &str,
        #[case] next: &str,
        #[case] minutes: u32,
        #[case] stay: u32,
    ) {
        let (problem, before, next) = (problem(), block(before), block(next));
        assert_eq!(problem.change(Some(&before), &next), Minutes(minutes));
        assert_eq!(problem.staying(Some(&before), &next), stay);
    }

    #[test]
    fn the_first_layout_lies_there_when_the_session_begins() {
        assert_eq!(problem().change(None, &block("b")), Minutes(0));
        assert_eq!(problem().changes_in(&["a", "b", "c", "c"].map(block)), Minutes(1 + 2));
    }
}
