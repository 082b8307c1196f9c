//! Kinship: how much of one score is in another?
//!
//! Touches are compared one by one by four things: foot, surface, action and way. Putting one in place of another costs
//! the share of the four that differ, a touch more or less costs one. The distance d is the least cost, over both hands
//! of a mirror and over where a round that closes begins; kinship is 1 − d ÷ the larger number of touches.
//!
//! Source: the edit distance of Levenshtein with costs, by dynamic programming: |a| × |b| steps for each beginning.

use std::collections::VecDeque;

use super::Score;
use super::measure::ClosingKind;
use super::unfold::Touch;
use crate::technique::skill::Side;

/// How alike two scores are.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Kinship {
    /// 1 if they are the same, 0 if nothing is shared.
    pub share: f64,
    /// Touches that stand in both in the same order.
    pub shared: u32,
    /// Touches of the longer one.
    pub of: u32,
}

/// What is proposed as a help is at least so alike. An assumption.
pub const KIN: f64 = 0.6;

/// A touch, ready to be compared: foot, surface, action and way.
type Plain = [u8; 4];
/// How the foot is written in it.
const RIGHT: u8 = 0;
const LEFT: u8 = 1;
const NO_FOOT: u8 = 2;
const NO_WAY: u8 = u8::MAX;

fn plain(touch: &Touch) -> Plain {
    let foot = match touch.side {
        Some(Side::Right) => RIGHT,
        Some(Side::Left) => LEFT,
        None => NO_FOOT,
    };
    let way = touch.way.map(|way| way as u8).or(touch.up.map(|up| 100 + up as u8));
    [foot, touch.surface as u8, touch.action as u8, way.unwrap_or(NO_WAY)]
}

fn mirrored([foot, surface, action, way]: Plain) -> Plain {
    let foot = if foot == NO_FOOT { foot } else { LEFT - foot };
    [foot, surface, action, way]
}

/// The touches of a score, ready to be compared with many.
#[derive(Clone, Debug)]
pub struct Comparable {
    touches: Vec<Plain>,
    closes: bool,
}

impl Comparable {
    /// Of a score.
    pub fn of(score: &Score) -> Comparable {
        let closes = matches!(score.closing().kind, ClosingKind::Closes | ClosingKind::Travels);
        Comparable { touches: score.round.touches().map(plain).collect(), closes }
    }

    /// Its touches.
    #[allow(clippy::len_without_is_empty, reason = "nobody asks whether a score has no touches")]
    pub fn len(&self) -> usize {
        self.touches.len()
    }

    /// How alike it is to another one; none without touches.
    ///
    /// ```
    /// use jogo_core::technique::score::{Score, kinship::Comparable, tempo::BodySize};
    /// let of = |text| Comparable::of(&Score::read(text, BodySize::default(), &[]).unwrap());
    /// let taps = of("right inside tap, left inside tap");
    /// let other_way_round = of("left inside tap, right inside tap");
    /// assert_eq!(taps.kinship(&other_way_round).unwrap().share, 1.0);
    /// ```
    pub fn kinship(&self, other: &Comparable) -> Option<Kinship> {
        let longer = self.touches.len().max(other.touches.len());
        if self.touches.is_empty() || other.touches.is_empty() {
            return None;
        }
        // One of the two is turned around; if both close, turning one of them is enough.
        let (fixed, turns) = if other.closes { (self, other) } else { (other, self) };
        let beginnings = if turns.closes { turns.touches.len() } else { 1 };
        let mut best = (u32::MAX, 0);
        let mut row = Vec::new();
        for mirror in [false, true] {
            let touches = turns.touches.iter().map(|touch| if mirror { mirrored(*touch) } else { *touch });
            let mut touches: VecDeque<Plain> = touches.collect();
            for _ in 0..beginnings {
                best = best.min(distance(&fixed.touches, touches.make_contiguous(), &mut row));
                touches.rotate_left(1);
            }
        }
        let (cost, unshared) = best;
        let share = 1.0 - f64::from(cost) / (4.0 * longer as f64);
        Some(Kinship { share, shared: longer as u32 - unshared, of: longer as u32 })
    }
}

/// The least cost in quarters, and with it the fewest touches of the longer one that do not stand in both.
fn distance(a: &[Plain], b: &[Plain], row: &mut Vec<(u32, i32)>) -> (u32, u32) {
    // Each place: the cost so far, and how many are shared, below zero so that the least is the best.
    row.clear();
    row.extend((0..=b.len() as u32).map(|j| (4 * j, 0)));
    for (i, one) in a.iter().enumerate() {
        let mut corner = row[0];
        row[0] = (4 * (i as u32 + 1), 0);
        for (j, other) in b.iter().enumerate() {
            let differ = (0..4).filter(|k| one[*k] != other[*k]).count() as u32;
            let replaced = (corner.0 + differ, corner.1 - i32::from(differ == 0));
            let dropped = (row[j + 1].0 + 4, row[j + 1].1);
            let added = (row[j].0 + 4, row[j].1);
            corner = row[j + 1];
            row[j + 1] = replaced.min(dropped).min(added);
        }
    }
    let (cost, shared) = row[b.len()];
    (cost, (a.len().max(b.len()) as i32 + shared) as u32)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::technique::score::tempo::BodySize;
    use rstest::rstest;

    fn of(text: &str) -> Comparable {
        Comparable::of(&Score::read(text, BodySize::default(), &[]).unwrap())
    }

    // By hand: the least cost over both hands and all beginnings, in touches.
    #[rstest]
    #[case::itself("right inside tap, left inside tap", "right inside tap, left inside tap", 1.0, 2)]
    // One of four things of one of two touches differs.
    #[case::another_action("right sole stop, left sole stop", "right sole touch, left sole stop", 1.0 - 0.25 / 2.0, 1)]
    // Two touches more, of four.
    #[case::half(
        "right inside tap, left inside tap",
        "repeat 2 { right inside tap, left inside tap }",
        0.5,
        2
    )]
    // Surface, action and way differ (the same foot): 3 of 4.
    #[case::hardly("right sole stop", "right inside tap", 0.25, 0)]
    // The mirror makes them the same.
    #[case::the_other_foot("right outside push", "left outside push", 1.0, 1)]
    fn by_hand(#[case] a: &str, #[case] b: &str, #[case] share: f64, #[case] shared: u32) {
        for (a, b) in [(of(a), of(b)), (of(b), of(a))] {
            let found = a.kinship(&b).unwrap();
            assert!((found.share - share).abs() < 1e-12, "{found:?}");
            assert_eq!(found.shared, shared);
        }
    }

    #[test]
    fn what_has_no_touch_is_kin_of_nothing() {
        assert_eq!(of("right step round").kinship(&of("right sole stop")), None);
    }
}
