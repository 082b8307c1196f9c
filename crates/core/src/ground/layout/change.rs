//! The least change between two layouts: how many markers can stay where they lie?
//!
//! A station may be laid eight ways on the floor, turned by quarters and seen in a mirror, and anywhere on it. So of
//! all ways to lay the second layout over the first, the one counts in which the most of its markers come to lie where
//! markers of the right colour lie already. Markers that the second layout does not need may stay as well.

use std::collections::BTreeSet;

use super::{Colour, Layout, Marker, Point};

/// Markers lie in the same place if they differ by no more than about this, in metres.
const SAME_PLACE: f64 = 0.1;

/// How many markers of a layout can lie where markers of the one before it lie: at most as many as either has.
///
/// A marker without a colour lies well on any; one with a colour asks for the same.
///
/// ```
/// use jogo_core::ground::layout::{Layout, change::staying};
/// use jogo_core::units::Pace;
/// let layout = |text| Layout::read(text, Pace::default()).unwrap();
/// let (line, longer) = (layout("mark A; walk 4; mark B"), layout("line 3 C every 4"));
/// assert_eq!((staying(&longer, &line), staying(&line, &longer)), (2, 2));
/// ```
pub fn staying(from: &Layout, to: &Layout) -> u32 {
    let mut most = 0;
    for placing in 0..8 {
        let mut shifts: Vec<((i64, i64), usize, usize)> = Vec::new();
        for (new, marker) in to.markers.iter().enumerate() {
            let at = placed(marker.at, placing);
            for (old, there) in from.markers.iter().enumerate().filter(|(_, there)| suits(there, marker)) {
                shifts.push((step(there.at.x - at.x, there.at.y - at.y), new, old));
            }
        }
        shifts.sort_unstable();
        for alike in shifts.chunk_by(|a, b| a.0 == b.0) {
            let news: BTreeSet<usize> = alike.iter().map(|(_, new, _)| *new).collect();
            let olds: BTreeSet<usize> = alike.iter().map(|(_, _, old)| *old).collect();
            most = most.max(news.len().min(olds.len()));
        }
    }
    most as u32
}

/// How many markers could stay at the very most, by their colours alone; never fewer than [`staying`].
pub fn staying_at_most(from: &Layout, to: &Layout) -> u32 {
    let of = |layout: &Layout, colour: Option<Colour>| {
        layout.markers.iter().filter(|marker| marker.colour == colour).count()
    };
    let coloured = Colour::ALL.iter().map(|(_, colour)| of(from, Some(*colour)).min(of(to, Some(*colour))));
    (coloured.sum::<usize>() + of(to, None)).min(from.markers.len()) as u32
}

/// Whether a marker that lies there will do for another one.
fn suits(there: &Marker, wanted: &Marker) -> bool {
    wanted.colour.is_none() || there.colour == wanted.colour
}

/// A place, turned by `placing % 4` quarters; from 4 on seen in a mirror.
fn placed(at: Point, placing: u32) -> Point {
    let x = if placing < 4 { at.x } else { -at.x };
    match placing % 4 {
        0 => Point { x, y: at.y },
        1 => Point { x: -at.y, y: x },
        2 => Point { x: -x, y: -at.y },
        _ => Point { x: at.y, y: -x },
    }
}

/// A shift in whole steps; one that lies between two steps is rounded the same way however it was reckoned.
fn step(x: f64, y: f64) -> (i64, i64) {
    let whole = |metres: f64| (metres / SAME_PLACE + 0.5 + 1e-6).floor() as i64;
    (whole(x), whole(y))
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::units::Pace;
    use proptest::prelude::*;
    use rstest::rstest;

    fn layout(text: &str) -> Layout {
        Layout::read(text, Pace::default()).unwrap()
    }

    // By hand, on squared paper.
    #[rstest]
    #[case::itself("mark A red; walk 4; mark B blue", "mark A red; walk 4; mark B blue", 2)]
    #[case::nothing_before("", "mark A; walk 4; mark B", 0)]
    #[case::nothing_to_lay("mark A", "", 0)]
    #[case::anywhere_on_the_floor("mark A", "walk 7; mark B", 1)]
    #[case::a_longer_line("line 3 A every 2", "line 5 B every 2", 3)]
    #[case::every_other_marker("line 5 A every 1", "line 3 B every 2", 3)]
    #[case::turned_by_a_quarter("line 3 A every 2", "turn right 90; line 3 B every 2", 3)]
    #[case::other_paces("line 3 A every 2", "line 3 B every 3", 1)]
    #[case::other_colours("line 3 A every 2 red", "line 3 B every 2 blue", 0)]
    #[case::any_colour_will_do("line 3 A every 2 red", "line 3 B every 2", 3)]
    #[case::a_colour_is_asked_for("line 3 A every 2", "line 3 B every 2 blue", 0)]
    #[case::colours_in_their_order(
        "mark A red; walk 2; mark B red; walk 2; mark C blue",
        "mark A blue; walk 2; mark B red; walk 2; mark C red",
        3
    )]
    #[case::a_corner_in_a_mirror(
        "mark A red; walk 4; mark B; turn right 90; walk 2; mark C blue",
        "mark A red; walk 4; mark B; turn left 90; walk 2; mark C blue",
        3
    )]
    fn markers_that_can_stay(#[case] from: &str, #[case] to: &str, #[case] stay: u32) {
        assert_eq!(staying(&layout(from), &layout(to)), stay);
    }

    /// Up to five markers on a small grid, some of them coloured.
    fn any_layout() -> impl Strategy<Value = Layout> {
        let colour = prop_oneof![Just(None), Just(Some(Colour::Red)), Just(Some(Colour::Blue))];
        let places = prop::collection::btree_map((0i32..4, 0i32..4), colour, 0..6);
        places.prop_map(|places| Layout {
            markers: places
                .into_iter()
                .map(|((x, y), colour)| Marker {
                    name: None,
                    colour,
                    at: Point { x: f64::from(x) * 0.75, y: f64::from(y) * 0.75 },
                    line: 1,
                })
                .collect(),
            ..Layout::default()
        })
    }

    /// By trying every way to lay the second layout over the first, shift by shift, on the grid of their paces.
    fn tried(from: &Layout, to: &Layout) -> usize {
        let grid = |at: Point| ((at.x / 0.75).round() as i32, (at.y / 0.75).round() as i32);
        let mut most = 0;
        for (turn, dx, dy) in every(8, 17, 17) {
            let lies = |marker: &&Marker| {
                let (x, y) = grid(marker.at);
                let (x, y) = [(x, y), (y, x), (-x, y), (x, -y), (-x, -y), (y, -x), (-y, x), (-y, -x)][turn];
                let at = (x + dx as i32 - 8, y + dy as i32 - 8);
                let suits = |there: &Marker| marker.colour.is_none() || marker.colour == there.colour;
                from.markers.iter().any(|there| grid(there.at) == at && suits(there))
            };
            most = most.max(to.markers.iter().filter(lies).count());
        }
        most
    }

    fn every(a: usize, b: usize, c: usize) -> impl Iterator<Item = (usize, usize, usize)> {
        (0..a * b * c).map(move |i| (i / (b * c), i / c % b, i % c))
    }

    proptest! {
        #[test]
        fn no_way_to_lay_it_leaves_more(from in any_layout(), to in any_layout()) {
            let stay = staying(&from, &to);
            prop_assert_eq!(stay as usize, tried(&from, &to));
            prop_assert!(stay <= staying_at_most(&from, &to));
        }
    }
}
