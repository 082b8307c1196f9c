//! Pairs: who is kept apart, and who stays together?
//!
//! A coach's wishes about two players at the stations. They cannot all hold: whoever stands with one of a pair that
//! stays together stands with the other, too; so two who are kept apart may not be joined through others. Only that
//! is checked here. Which players come is known in the hall alone, so that the wishes are kept there, on the phone.

use std::collections::BTreeMap;

use crate::fact::{Fact, facts};
use crate::input::{InputError, RangeFault};

/// A wish about two players.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Pair<P> {
    /// One of them.
    pub one: P,
    /// The other one.
    pub other: P,
    /// Whether they stay together, or are kept apart.
    pub together: bool,
}

facts! {
    /// Why a wish about two players cannot be kept.
    pub enum PairFault {
        Stranger = "pair-stranger",
        OnePlayer = "pair-one-player",
        Twice = "pair-twice",
        Contrary = "pair-contrary",
    }
}

/// The most wishes of a squad: more than that cannot be kept in one hall.
pub const MOST: usize = 60;

/// Every wish that cannot be: of strangers, of one player alone, said twice, or against the others.
///
/// ```
/// use jogo_core::delivery::pairs::{Pair, faults};
/// let wish = |one, other, together| Pair { one, other, together };
/// let squad = ["Ada", "Ben", "Cil"];
/// assert!(faults(&[wish("Ada", "Ben", true), wish("Ben", "Cil", false)], &squad).is_empty());
/// let all = [wish("Ada", "Ben", true), wish("Ben", "Cil", true), wish("Ada", "Cil", false)];
/// assert_eq!(faults(&all, &squad)[0].pointer, "/pairs/2");
/// ```
pub fn faults<P: Copy + Ord>(pairs: &[Pair<P>], squad: &[P]) -> Vec<InputError> {
    if pairs.len() > MOST {
        return vec![InputError::at("/pairs", RangeFault::Most { count: pairs.len(), most: MOST })];
    }
    let joined = joined(pairs);
    let same = |a: &Pair<P>, b: &Pair<P>| {
        (a.one, a.other) == (b.one, b.other) || (a.one, a.other) == (b.other, b.one)
    };
    let fault = |(i, pair): (usize, &Pair<P>)| {
        let fault: Fact = if !squad.contains(&pair.one) || !squad.contains(&pair.other) {
            PairFault::Stranger.into()
        } else if pair.one == pair.other {
            PairFault::OnePlayer.into()
        } else if pairs[..i].iter().any(|earlier| same(earlier, pair)) {
            PairFault::Twice.into()
        } else if !pair.together
            && joined.get(&pair.one).is_some_and(|of| joined.get(&pair.other) == Some(of))
        {
            PairFault::Contrary.into()
        } else {
            return None;
        };
        Some(InputError::at(format!("/pairs/{i}"), fault))
    };
    pairs.iter().enumerate().filter_map(fault).collect()
}

/// Whoever stays together, through others too, has the same number.
fn joined<P: Copy + Ord>(pairs: &[Pair<P>]) -> BTreeMap<P, usize> {
    let mut of: BTreeMap<P, usize> = BTreeMap::new();
    for (number, pair) in pairs.iter().enumerate().filter(|(_, pair)| pair.together) {
        let (one, other) = (of.get(&pair.one).copied(), of.get(&pair.other).copied());
        of.values_mut().filter(|of| Some(**of) == one || Some(**of) == other).for_each(|of| *of = number);
        of.insert(pair.one, number);
        of.insert(pair.other, number);
    }
    of
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;
    use rstest::rstest;

    const SQUAD: [u8; 6] = [0, 1, 2, 3, 4, 5];

    fn with(one: u8, other: u8) -> Pair<u8> {
        Pair { one, other, together: true }
    }

    fn apart(one: u8, other: u8) -> Pair<u8> {
        Pair { one, other, together: false }
    }

    #[rstest]
    #[case::a_stranger(&[with(0, 9)], &["/pairs/0"])]
    #[case::alone(&[with(1, 1)], &["/pairs/0"])]
    #[case::twice(&[apart(0, 1), apart(1, 0)], &["/pairs/1"])]
    #[case::yes_and_no(&[with(0, 1), apart(0, 1)], &["/pairs/1"])]
    #[case::through_two(&[apart(0, 3), with(0, 1), with(2, 3), with(1, 2)], &["/pairs/0"])]
    #[case::side_by_side(&[with(0, 1), with(2, 3), apart(1, 2), apart(0, 3)], &[])]
    fn a_wish_answers_for_itself(#[case] pairs: &[Pair<u8>], #[case] at: &[&str]) {
        let found: Vec<String> = faults(pairs, &SQUAD).into_iter().map(|fault| fault.pointer).collect();
        assert_eq!(found, at);
    }

    #[test]
    fn there_is_an_end_to_wishes() {
        assert_eq!(faults(&[apart(0, 1); MOST + 1], &SQUAD)[0].pointer, "/pairs");
    }

    proptest! {
        /// Wishes hold together exactly if some split of the squad keeps them all: every one is tried.
        #[test]
        fn wishes_that_pass_can_be_kept(wished in proptest::collection::vec((0..4_u8, 0..4_u8, any::<bool>()), 0..5)) {
            let mut pairs: Vec<Pair<u8>> = Vec::new();
            for (one, other, together) in wished {
                let known = pairs.iter().any(|p| [(one, other), (other, one)].contains(&(p.one, p.other)));
                if one != other && !known {
                    pairs.push(Pair { one, other, together });
                }
            }
            let kept = |stations: &[u32; 4]| pairs.iter().all(|p| {
                (stations[usize::from(p.one)] == stations[usize::from(p.other)]) == p.together
            });
            let splits = (0..256_u32).map(|n| [n % 4, n / 4 % 4, n / 16 % 4, n / 64]);
            prop_assert_eq!(faults(&pairs, &SQUAD).is_empty(), splits.into_iter().any(|split| kept(&split)));
        }
    }
}
