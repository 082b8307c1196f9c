//! Draws a layout to scale, as SVG.
//!
//! A drawing reads in print, in sunlight and without colour: a marker carries the letter of its colour, each kind of
//! path has a dash pattern of its own, and the points of a path are numbered in their order. The page that shows it
//! sets the ink (`currentColor`) and the paper (`--paper`). Whatever a line of the text puts on the floor carries that
//! line's number as `data-line`.

use std::collections::BTreeMap;
use std::fmt::Write;

use super::{Barrier, BarrierKind, Colour, Layout, PASSING, PathKind, Point, Role};

/// The floor is drawn as large as fits into this width and height, in the drawing's own units. Shown at that size, its
/// letters are as large as the text beside it.
const WIDEST: f64 = 300.0;
const TALLEST: f64 = 190.0;
/// Room around the floor for marks, names and the metre bar.
const EDGE: f64 = 34.0;
/// Room for the names of people who stand at the right edge.
const NAMES: f64 = 18.0;
/// Room around a small drawing, which has no names and no bar.
const SMALL_EDGE: f64 = 9.0;
/// A metre is never drawn larger than this, or two markers would look like a whole hall.
const LARGEST_METRE: f64 = 90.0;
/// How far beside its points a path is drawn.
const KEEP_RIGHT: f64 = 3.0;
/// Radius of a marker.
const MARKER: f64 = 7.0;
/// Radius of a marker in a small drawing.
const SMALL_MARKER: f64 = 3.2;

impl Layout {
    /// The drawing as a complete SVG document.
    pub fn draw(&self) -> String {
        let sheet = Sheet::around(self);
        let mut svg = String::with_capacity(4096);
        sheet.open(&mut svg);
        self.draw_floor(&sheet, &mut svg);
        self.draw_order(&sheet, &mut svg);
        sheet.close(&mut svg);
        svg
    }

    /// A small drawing in which a metre has a given size, so that many can be compared: no names, numbers or bar.
    pub fn draw_small(&self, metre: f64) -> String {
        let sheet = Sheet::small(self, metre);
        let mut svg = String::with_capacity(2048);
        sheet.open(&mut svg);
        self.draw_floor(&sheet, &mut svg);
        svg.push_str("</svg>");
        svg
    }

    fn draw_floor(&self, sheet: &Sheet, svg: &mut String) {
        self.draw_barriers(sheet, svg);
        self.draw_paths(sheet, svg);
        self.draw_markers(sheet, svg);
        self.draw_people(sheet, svg);
        self.draw_balls(sheet, svg);
    }

    fn draw_barriers(&self, sheet: &Sheet, svg: &mut String) {
        for Barrier { kind, left, right, line } in &self.barriers {
            let ((ax, ay), (bx, by)) = (sheet.place(*left), sheet.place(*right));
            let long = (bx - ax).hypot(by - ay).max(1e-9);
            // Behind it, as seen by the walker who laid it.
            let (dx, dy) = ((by - ay) / long, (ax - bx) / long);
            let deep = if sheet.small { 3.0 } else { 7.0 };
            let (word, width) = match kind {
                BarrierKind::Wall => ("wall", 4.0),
                BarrierKind::Goal => ("goal", 1.8),
            };
            let net = format!(
                "M{ax:.1} {ay:.1}L{:.1} {:.1}L{:.1} {:.1}L{bx:.1} {by:.1}",
                ax + dx * deep,
                ay + dy * deep,
                bx + dx * deep,
                by + dy * deep,
            );
            let shape = match kind {
                BarrierKind::Wall => format!("M{ax:.1} {ay:.1}L{bx:.1} {by:.1}"),
                BarrierKind::Goal => net,
            };
            let _ = write!(
                svg,
                r#"<path class="{word}" data-line="{line}" d="{shape}" fill="none" stroke="currentColor" stroke-width="{width}"/>"#,
            );
        }
    }

    fn draw_paths(&self, sheet: &Sheet, svg: &mut String) {
        for path in &self.paths {
            let legs: Vec<Leg> = path.stops.windows(2).map(|leg| sheet.leg(leg[0].at, leg[1].at)).collect();
            let points: Vec<String> = legs.iter().flatten().map(|(x, y)| format!("{x:.1},{y:.1}")).collect();
            let (word, dashes, width) = match path.kind {
                PathKind::Dribble => ("dribble", "", 2.2),
                PathKind::Run => ("run", r#" stroke-dasharray="7 5""#, 1.6),
                PathKind::Pass => ("pass", r#" stroke-dasharray="1 5" stroke-linecap="round""#, 3.0),
                PathKind::Serve => ("serve", r#" stroke-dasharray="11 4 2 4""#, 1.6),
            };
            let width = if sheet.small { width * 0.6 } else { width };
            let _ = write!(
                svg,
                r##"<g class="path {word}" data-line="{}" stroke="currentColor" stroke-width="{width}" fill="none"><polyline points="{}"{dashes} stroke-linejoin="round"/>"##,
                path.line,
                points.join(" "),
            );
            for stop in path.stops.iter().filter(|stop| stop.circled) {
                let (x, y) = sheet.place(stop.at);
                let radius = (PASSING.0 * sheet.metre).max(sheet.marker + 2.0);
                let _ = write!(svg, r#"<circle cx="{x:.1}" cy="{y:.1}" r="{radius:.1}"{dashes}/>"#);
            }
            if let Some([from, to]) = legs.last() {
                arrow_head(svg, sheet, *from, *to);
            }
            svg.push_str("</g>");
        }
    }

    fn draw_markers(&self, sheet: &Sheet, svg: &mut String) {
        for marker in &self.markers {
            let (x, y) = sheet.place(marker.at);
            let (fill, ink) = marker.colour.map_or(("none", "currentColor"), paint);
            let _ = write!(
                svg,
                r#"<g class="marker" data-line="{}"><circle cx="{x:.1}" cy="{y:.1}" r="{}" fill="{fill}" stroke="currentColor"/>"#,
                marker.line, sheet.marker,
            );
            if let Some(colour) = marker.colour.filter(|_| !sheet.small) {
                let _ = write!(
                    svg,
                    r#"<text x="{x:.1}" y="{:.1}" font-size="9" font-weight="700" text-anchor="middle" fill="{ink}">{}</text>"#,
                    y + 3.2,
                    letter(colour),
                );
            }
            if let Some(name) = marker.name.as_ref().filter(|_| !sheet.small) {
                let _ = write!(svg, "<title>{name}</title>");
            }
            svg.push_str("</g>");
        }
    }

    fn draw_people(&self, sheet: &Sheet, svg: &mut String) {
        for person in &self.people {
            // Someone who stands at a marker is drawn beside it, so that both can be seen.
            let at_marker = self.markers.iter().any(|marker| marker.at.distance(person.at).0 < 0.05);
            let (x, y) = sheet.place(person.at);
            let x = if at_marker { x + 2.8 * sheet.marker } else { x };
            let size = sheet.marker / MARKER;
            let (word, shape) = match person.role {
                Role::Player => (
                    "player",
                    format!(
                        "M{x:.1} {:.1}l{:.1} {:.1}h{:.1}z",
                        y - 9.0 * size,
                        8.0 * size,
                        15.0 * size,
                        -16.0 * size
                    ),
                ),
                Role::Server => (
                    "server",
                    format!(
                        "M{:.1} {:.1}h{w:.1}v{w:.1}h-{w:.1}z",
                        x - 7.0 * size,
                        y - 7.0 * size,
                        w = 14.0 * size
                    ),
                ),
                Role::Defender => (
                    "defender",
                    format!(
                        "M{x:.1} {:.1}l{d:.1} -{d:.1}l-{d:.1} -{d:.1}l-{d:.1} {d:.1}z",
                        y + 9.0 * size,
                        d = 9.0 * size
                    ),
                ),
            };
            let _ = write!(
                svg,
                r#"<g class="{word}" data-line="{}"><path d="{shape}" fill="currentColor"/>"#,
                person.line
            );
            if !sheet.small {
                let (x, y) = (x + 11.0, y + 12.0);
                let name = &person.name;
                let _ = write!(
                    svg,
                    r#"<text x="{x:.1}" y="{y:.1}" font-size="11" fill="currentColor">{name}</text>"#
                );
            }
            svg.push_str("</g>");
        }
    }

    fn draw_balls(&self, sheet: &Sheet, svg: &mut String) {
        for ball in &self.balls {
            let (x, y) = sheet.place(ball.at);
            let radius = sheet.marker * 0.62;
            // Beside whatever else is there.
            let (x, y) = (x - sheet.marker * 1.3, y + sheet.marker * 1.3);
            let _ = write!(
                svg,
                r#"<g class="ball" data-line="{}"><circle cx="{x:.1}" cy="{y:.1}" r="{radius:.1}" fill="none" stroke="currentColor" stroke-width="1.5"/><circle cx="{x:.1}" cy="{y:.1}" r="{:.1}" fill="currentColor"/></g>"#,
                ball.line,
                radius * 0.38,
            );
        }
    }

    /// The order of the points of every path; a point that is reached more than once carries all its numbers.
    fn draw_order(&self, sheet: &Sheet, svg: &mut String) {
        let mut numbers: BTreeMap<(i64, i64), (Point, Vec<usize>)> = BTreeMap::new();
        let stops = self.paths.iter().flat_map(|path| &path.stops).filter(|stop| stop.numbered);
        for (number, stop) in (1..).zip(stops) {
            let key = ((stop.at.x * 100.0).round() as i64, (stop.at.y * 100.0).round() as i64);
            numbers.entry(key).or_insert((stop.at, Vec::new())).1.push(number);
        }
        for (point, order) in numbers.values() {
            let (x, y) = sheet.place(*point);
            let order: Vec<String> = order.iter().map(usize::to_string).collect();
            let _ = write!(
                svg,
                r#"<text class="order" x="{:.1}" y="{:.1}" font-size="10" text-anchor="end" fill="currentColor">{}</text>"#,
                x - 10.0,
                y - 6.0,
                order.join(" · "),
            );
        }
    }
}

/// One leg of a path on the sheet, from its beginning to its end.
type Leg = [(f64, f64); 2];

/// Where the floor lies on the sheet.
struct Sheet {
    low: Point,
    metre: f64,
    width: f64,
    height: f64,
    edge: f64,
    marker: f64,
    small: bool,
}

impl Sheet {
    fn around(layout: &Layout) -> Sheet {
        let floor = layout.footprint();
        let fits = |room: f64, metres: f64| if metres > 0.0 { room / metres } else { LARGEST_METRE };
        let metre = fits(WIDEST, floor.width.0).min(fits(TALLEST, floor.depth.0)).min(LARGEST_METRE);
        Sheet::of(layout, metre, EDGE, MARKER)
    }

    fn small(layout: &Layout, metre: f64) -> Sheet {
        Sheet { small: true, ..Sheet::of(layout, metre, SMALL_EDGE, SMALL_MARKER) }
    }

    fn of(layout: &Layout, metre: f64, edge: f64, marker: f64) -> Sheet {
        let floor = layout.footprint();
        let (low, _) = layout.bounds();
        let names = if layout.people.is_empty() { 0.0 } else { NAMES };
        let (width, height) =
            (floor.width.0 * metre + 2.0 * edge + names, floor.depth.0 * metre + 2.0 * edge);
        Sheet { low, metre, width, height, edge, marker, small: false }
    }

    fn place(&self, at: Point) -> (f64, f64) {
        let (right, ahead) = ((at.x - self.low.x) * self.metre, (at.y - self.low.y) * self.metre);
        (self.edge + right, self.height - self.edge - ahead)
    }

    /// A leg, a little to the right of where it is walked, so that the way there and the way back both show.
    fn leg(&self, from: Point, to: Point) -> Leg {
        let ((ax, ay), (bx, by)) = (self.place(from), self.place(to));
        let long = (bx - ax).hypot(by - ay).max(1e-9);
        let aside = KEEP_RIGHT * self.marker / MARKER;
        let (right_x, right_y) = ((ay - by) / long * aside, (bx - ax) / long * aside);
        [(ax + right_x, ay + right_y), (bx + right_x, by + right_y)]
    }

    fn open(&self, svg: &mut String) {
        let (least, bar) = if self.small { (0.0, 0.0) } else { (MIN_SHEET, BAR) };
        let _ = write!(
            svg,
            r##"<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {w:.0} {h:.0}" width="{w:.0}" height="{h:.0}" role="img" class="floor">"##,
            w = self.width.max(least),
            h = self.height + bar,
        );
    }

    /// The metre bar, and which way is ahead.
    fn close(&self, svg: &mut String) {
        let metres = [10.0, 5.0, 2.0, 1.0].into_iter().find(|m| m * self.metre <= 110.0).unwrap_or(1.0);
        let (left, right, y) = (12.0, 12.0 + metres * self.metre, self.height + BAR - 10.0);
        let _ = write!(
            svg,
            r#"<g class="scale" stroke="currentColor" fill="currentColor"><path d="M{left} {a:.1}V{y:.1}H{right:.1}V{a:.1}" fill="none"/><text x="{t:.1}" y="{y:.1}" font-size="11" stroke="none">{metres} m</text><path d="M{x:.1} {y:.1}v-18m-4 5l4 -6l4 6" fill="none"/></g></svg>"#,
            a = y - 6.0,
            t = right + 6.0,
            x = self.width.max(MIN_SHEET) - 14.0,
        );
    }
}

/// Height of the strip that holds the metre bar.
const BAR: f64 = 14.0;
/// A narrow layout still needs room for the metre bar.
const MIN_SHEET: f64 = 170.0;

/// A head at the end of a path, held off the marker that is there.
fn arrow_head(svg: &mut String, sheet: &Sheet, from: (f64, f64), to: (f64, f64)) {
    let (dx, dy) = (to.0 - from.0, to.1 - from.1);
    let long = dx.hypot(dy);
    if long < sheet.marker {
        return;
    }
    let (dx, dy) = (dx / long, dy / long);
    let (tip_x, tip_y) = (to.0 - dx * (sheet.marker + 2.0), to.1 - dy * (sheet.marker + 2.0));
    let (head, half) = if sheet.small { (5.0, 2.0) } else { (10.0, 4.0) };
    let (back_x, back_y) = (tip_x - dx * head, tip_y - dy * head);
    let _ = write!(
        svg,
        r#"<path d="M{tip_x:.1} {tip_y:.1}L{:.1} {:.1}L{:.1} {:.1}z" fill="currentColor" stroke="none"/>"#,
        back_x - dy * half,
        back_y + dx * half,
        back_x + dy * half,
        back_y - dx * half,
    );
}

fn letter(colour: Colour) -> &'static str {
    match colour {
        Colour::White => "W",
        Colour::Yellow => "Y",
        Colour::Orange => "O",
        Colour::Red => "R",
        Colour::Blue => "B",
        Colour::Green => "G",
        Colour::Black => "K",
        Colour::Pink => "P",
    }
}

/// Fill of a marker and the ink of its letter.
fn paint(colour: Colour) -> (&'static str, &'static str) {
    match colour {
        Colour::White => ("#ffffff", "#26282b"),
        Colour::Yellow => ("#f2d545", "#26282b"),
        Colour::Orange => ("#e8873a", "#26282b"),
        Colour::Red => ("#b8382f", "#ffffff"),
        Colour::Blue => ("#2b5797", "#ffffff"),
        Colour::Green => ("#2f7a4d", "#ffffff"),
        Colour::Black => ("#26282b", "#ffffff"),
        Colour::Pink => ("#e7a6bd", "#26282b"),
    }
}
