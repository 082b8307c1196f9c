//! Draws a score as a strip, as SVG: time runs to the right, one column a count.
//!
//! The left foot has its line above, the right foot below, and the ball its own line between them, which bends toward
//! the foot that has it. A touch is a small sole with the part that meets the ball filled; a step is the same in
//! outline; a hop is an arc over the gap before it; while the eyes are up a bracket stands open over the column. No
//! colour carries meaning. The page that shows it sets the ink (`currentColor`); each column carries the line of the
//! text that it comes from as `data-line`.

use std::fmt::Write;

use serde::Serialize;

use super::Score;
use super::play::Count;
use super::unfold::{Move, Touch};
use crate::technique::skill::Side;
use crate::technique::surface::Surface;

/// A column, in the drawing's own units.
const WIDE: i32 = 40;
const TALL: i32 = 104;
/// The lines of the feet and of the ball.
const LEFT_LINE: i32 = 24;
const BALL_LINE: i32 = 55;
const RIGHT_LINE: i32 = 86;
/// How far the ball's line bends toward a foot.
const BEND: i32 = 13;
/// Half of the arc of a hop, which stands at the left edge of its column.
const HOP: i32 = 6;
/// Columns beside each other before the strip goes on below, and room for their words.
const IN_A_ROW: usize = 12;
const WORDS: i32 = 16;

/// The sole of a right foot from above, pointing ahead, around its middle: 11 wide, 22 long.
const OUTLINE: &str = "M0 -11C3.6 -11 5.6 -7 5.3 -2C5.1 2 4 3 4 6C4 9.5 2 11 -.3 11C-3 11 -4.4 9.5 -4.2 6\
    C-4 3 -5.3 1 -5.2 -3C-5 -8 -3 -11 0 -11Z";

/// The part of a right foot that meets the ball.
fn part(surface: Surface) -> &'static str {
    match surface {
        Surface::Inside => {
            "M-1.6 -10.7C-4 -9.5 -5.1 -6 -5.2 -3C-5.3 1 -4 3 -4.2 6C-4.3 8.6 -3.2 10.3 -1.6 10.8Z"
        }
        Surface::Outside => "M1.8 -10.6C4.6 -9 5.5 -6 5.3 -2C5.1 2 4 3 4 6C4 8.6 3 10.2 1.5 10.7Z",
        Surface::Toe => "M-4.7 -6.3C-3.8 -9.5 -2 -11 0 -11C2.6 -11 4.6 -9.6 5.3 -6.3Z",
        Surface::Heel => "M-4.2 6C-4.4 9.5 -3 11 -.3 11C2 11 4 9.5 4 6Z",
        Surface::Laces => "M0 -7C2.6 -7 2.9 -1 2.3 2.4C1.9 4 -1.9 4 -2.3 2.4C-2.9 -1 -2.6 -7 0 -7Z",
        _ => OUTLINE,
    }
}

/// The soles as they are drawn, for pictures of the feet: those of a right foot, 11 wide and 22 long around their
/// middle; a left foot is its mirror.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Sole {
    /// The outline, as the path of an SVG.
    #[cfg_attr(feature = "openapi", schema(value_type = String))]
    pub outline: &'static str,
    /// The part that meets the ball, by surface of the foot.
    #[cfg_attr(feature = "openapi", schema(value_type = std::collections::BTreeMap<Surface, String>))]
    pub parts: std::collections::BTreeMap<Surface, &'static str>,
}

impl Sole {
    /// The soles.
    pub fn drawn() -> Sole {
        let of_foot = Surface::ALL.into_iter().filter(|surface| surface.of_foot());
        Sole { outline: OUTLINE, parts: of_foot.map(|surface| (surface, part(surface))).collect() }
    }
}

impl Score {
    /// The strip column by column, each an SVG of its own for a page: they can stand in as many rows as there is room
    /// for.
    ///
    /// ```
    /// use jogo_core::technique::score::{Score, tempo::BodySize};
    /// let taps = Score::read("right inside tap, left inside tap", BodySize::default(), &[]).unwrap();
    /// assert_eq!(taps.columns().len(), 2);
    /// ```
    pub fn columns(&self) -> Vec<String> {
        let open = format!(r#"<svg viewBox="0 0 {WIDE} {TALL}" width="{WIDE}" height="{TALL}">"#);
        self.drawn().into_iter().map(|column| format!("{open}{column}</svg>")).collect()
    }

    /// The whole strip as one SVG document, with a word under each column where there is one.
    pub fn draw(&self, words: &[String]) -> String {
        let columns = self.drawn();
        let rows = columns.len().div_ceil(IN_A_ROW).max(1);
        let (wide, tall) = (WIDE * columns.len().clamp(1, IN_A_ROW) as i32, (TALL + WORDS) * rows as i32);
        let mut svg = format!(
            r#"<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {wide} {tall}" width="{wide}" height="{tall}" role="img">"#
        );
        for (i, column) in columns.iter().enumerate() {
            let (x, y) = (WIDE * (i % IN_A_ROW) as i32, (TALL + WORDS) * (i / IN_A_ROW) as i32);
            let _ = write!(svg, r#"<g transform="translate({x} {y})">{column}"#);
            if let Some(word) = words.get(i) {
                let (middle, under) = (WIDE / 2, TALL + 10);
                let _ = write!(
                    svg,
                    r#"<text x="{middle}" y="{under}" font-size="10" text-anchor="middle" fill="currentColor">{word}</text>"#
                );
            }
            svg.push_str("</g>");
        }
        svg.push_str("</svg>");
        svg
    }

    fn drawn(&self) -> Vec<String> {
        let mut before = BALL_LINE;
        let mut last: Option<Side> = None;
        let counts = self.round.counts.iter();
        counts
            .map(|count| {
                let lane = count.touches().last().map_or(before, ball_line);
                let column = column(count, before, lane, &mut last);
                before = lane;
                column
            })
            .collect()
    }
}

fn foot_line(side: Side) -> i32 {
    match side {
        Side::Left => LEFT_LINE,
        Side::Right => RIGHT_LINE,
    }
}

/// Where the ball's line is after a touch: nearer to the foot that had it.
fn ball_line(touch: &Touch) -> i32 {
    match touch.side {
        Some(Side::Left) => BALL_LINE - BEND,
        Some(Side::Right) => BALL_LINE + BEND,
        None => BALL_LINE,
    }
}

fn column(count: &Count, before: i32, lane: i32, last: &mut Option<Side>) -> String {
    let mut svg = String::with_capacity(900);
    let middle = WIDE / 2;
    let _ = write!(svg, r#"<g data-line="{}">"#, count.place.line);
    for line in [LEFT_LINE, RIGHT_LINE] {
        let _ = write!(
            svg,
            r#"<path d="M0 {line}H{WIDE}" stroke="currentColor" stroke-width=".7" opacity=".45"/>"#
        );
    }
    let dashes =
        if count.flight.is_some() { r#" stroke-dasharray="1 4" stroke-linecap="round""# } else { "" };
    let _ = write!(
        svg,
        r#"<path d="M0 {before}C{q} {before} {q} {lane} {middle} {lane}H{WIDE}" fill="none" stroke="currentColor" stroke-width="2.2"{dashes}/>"#,
        q = middle / 2,
    );
    for each in &count.moves {
        let foot = match each {
            Move::Touch(touch) => touch.foot(),
            _ => None,
        };
        if foot.is_some() && foot == *last {
            hop(&mut svg, HOP, foot.map_or(BALL_LINE, foot_line));
        }
        draw_move(&mut svg, each, lane);
        *last = match each {
            Move::Touch(_) => foot,
            Move::Step { .. } | Move::Lunge(_) | Move::Hop => None,
            _ => *last,
        };
    }
    if count.eyes_up() {
        let _ = write!(
            svg,
            r#"<path class="eyes" d="M4 9V4H{}V9" fill="none" stroke="currentColor" stroke-width="1.6"/>"#,
            WIDE - 4
        );
    }
    svg.push_str("</g>");
    svg
}

fn hop(svg: &mut String, x: i32, y: i32) {
    let (from, to, top) = (x - HOP, x + HOP, y - 9);
    let _ = write!(
        svg,
        r#"<path d="M{from} {y}Q{x} {top} {to} {y}" fill="none" stroke="currentColor" stroke-width="1.3"/>"#
    );
}

fn sole(svg: &mut String, side: Side, filled: Option<Surface>) {
    let (x, y) = (WIDE / 2, foot_line(side));
    let scale = if side == Side::Left { "-1 1" } else { "1 1" };
    let _ = write!(
        svg,
        r#"<g transform="translate({x} {y})"><g class="sole"><g transform="scale({scale})"><path d="{OUTLINE}" fill="var(--paper, #fff)" stroke="currentColor" stroke-width="1.2"/>"#
    );
    if let Some(surface) = filled {
        let _ = write!(svg, r#"<path d="{}" fill="currentColor"/>"#, part(surface));
    }
    svg.push_str("</g></g></g>");
}

fn draw_move(svg: &mut String, each: &Move, lane: i32) {
    let middle = WIDE / 2;
    match each {
        Move::Touch(touch) => {
            match touch.foot() {
                Some(side) => sole(svg, side, Some(touch.surface)),
                // What is no foot meets the ball on its own line.
                None => {
                    let _ = write!(
                        svg,
                        r#"<path d="M{middle} {}l8 8l-8 8l-8 -8Z" fill="currentColor"/>"#,
                        lane - 8
                    );
                }
            }
            let _ = write!(
                svg,
                r#"<circle cx="{middle}" cy="{lane}" r="3.6" fill="var(--paper, #fff)" stroke="currentColor" stroke-width="1.6"/>"#
            );
        }
        Move::Step { foot, .. } => sole(svg, *foot, None),
        Move::Hop => [LEFT_LINE, RIGHT_LINE].into_iter().for_each(|line| hop(svg, middle, line)),
        Move::Lunge(_) => Side::ALL.into_iter().for_each(|side| sole(svg, side, None)),
        Move::Turn(degrees) => {
            let sweep = if *degrees < 0.0 { 0 } else { 1 };
            let (from, to) = if *degrees < 0.0 { (middle + 8, middle - 8) } else { (middle - 8, middle + 8) };
            let _ = write!(
                svg,
                r#"<path d="M{from} {LEFT_LINE}A8 8 0 0 {sweep} {to} {LEFT_LINE}m-3 -4l3 4l3 -4" fill="none" stroke="currentColor" stroke-width="1.6"/>"#
            );
        }
        Move::FakePass | Move::FakeShot | Move::Drop(_) => {
            let _ = write!(
                svg,
                r#"<circle cx="{middle}" cy="{BALL_LINE}" r="9" fill="none" stroke="currentColor" stroke-dasharray="2 3"/>"#
            );
        }
        Move::Bounce => {
            let (from, to, up) = (middle - 7, middle + 7, BALL_LINE - 9);
            let _ = write!(
                svg,
                r#"<path d="M{from} {up}L{middle} {BALL_LINE}L{to} {up}" fill="none" stroke="currentColor" stroke-width="1.6"/>"#
            );
        }
        Move::Toss => {
            let (foot, head) = (BALL_LINE + 8, BALL_LINE - 8);
            let _ = write!(
                svg,
                r#"<path d="M{middle} {foot}V{head}m-4 5l4 -5l4 5" fill="none" stroke="currentColor" stroke-width="1.6"/>"#
            );
        }
        Move::Look(_) | Move::Wait => {}
    }
}
