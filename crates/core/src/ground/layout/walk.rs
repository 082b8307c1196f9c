//! Walks a layout: a walker starts at (0, 0) facing ahead, and each statement moves it or puts something down.

use std::collections::BTreeMap;

use super::fault::{Expected, Mend, did_you_mean};
use super::notation::{Facing, Length, MOST_STATEMENTS, Named, Passing, Placed, Statement, Turn};
use super::{
    Ball, Barrier, Colour, Fault, Layout, Marker, PASSING, Path, PathKind, Person, Point, Role, Stop,
};
use crate::input::notation::Place;
use crate::units::{LengthUnit, Metres, Pace};

/// The most markers that a layout may hold.
pub const MOST_MARKERS: usize = 500;
/// The shortest and longest length that may be said, in metres.
pub const LENGTHS: (f64, f64) = (0.1, 120.0);
/// For this many faults a near name is looked for; a text with more is mended from its first ones.
const GUESSES: usize = 8;
/// How far from the start anything may stand, in metres, to each side.
pub const FARTHEST: f64 = 150.0;
/// The most points that all paths may have together once weaves are laid out.
const MOST_STOPS: usize = 20_000;

/// Follows the statements; what cannot be done comes back as faults, and the walk goes on.
///
/// Every length is taken `scale` times, so that a drill can be laid tighter or wider than its text says.
pub fn walk(statements: &[Placed], pace: Pace, scale: f64) -> (Layout, Vec<Fault>) {
    let mut walker = Walker { pace, scale, ..Walker::default() };
    walker.follow_all(statements);
    // Paths may run through points that are named later: they are laid last.
    for path in std::mem::take(&mut walker.paths) {
        walker.lay_path(&path);
    }
    (walker.layout, walker.faults)
}

#[derive(Default)]
struct Walker<'s> {
    at: Point,
    /// Degrees to the right of ahead.
    heading: f64,
    unit: LengthUnit,
    pace: Pace,
    scale: f64,
    points: BTreeMap<String, Spot>,
    lines: BTreeMap<String, Vec<Point>>,
    /// The round of each repeat that the walker is in, the outer one first.
    rounds: Vec<u32>,
    followed: usize,
    unnamed: Unnamed,
    paths: Vec<Wanted<'s>>,
    stops: usize,
    layout: Layout,
    faults: Vec<Fault>,
}

/// A named point.
#[derive(Clone, Copy)]
struct Spot {
    at: Point,
    place: Place,
    marker: bool,
}

/// How many lines, gates and boxes have gone without a name so far.
#[derive(Clone, Copy, Default)]
struct Unnamed {
    lines: usize,
    gates: usize,
    boxes: usize,
}

/// A path that waits until every point is named.
struct Wanted<'s> {
    place: Place,
    kind: PathKind,
    points: &'s [(Named, Passing)],
    times: u32,
    rounds: Vec<u32>,
}

impl<'s> Walker<'s> {
    /// Whether the end was reached.
    fn follow_all(&mut self, statements: &'s [Placed]) -> bool {
        for placed in statements {
            if let Statement::Repeat { times, body } = &placed.statement {
                if !self.follow_rounds(*times, body) {
                    return false;
                }
                continue;
            }
            self.followed += 1;
            if self.followed > MOST_STATEMENTS {
                let expected = Expected::UnrolledAtMost { most: MOST_STATEMENTS };
                self.faults.push(placed.place.fault(expected, Some(Mend::RepeatLess)));
                return false;
            }
            if let Err(fault) = self.follow(placed) {
                self.faults.push(fault);
            }
        }
        true
    }

    /// The statements of a repeat, round by round. A fault would come back in every round: the first says it.
    fn follow_rounds(&mut self, times: u32, body: &'s [Placed]) -> bool {
        let (unnamed, faults) = (self.unnamed, self.faults.len());
        for round in 1..=times {
            // What goes without a name is called the same in every round, and told apart by the round's number.
            self.unnamed = unnamed;
            self.rounds.push(round);
            let whole = self.follow_all(body);
            self.rounds.pop();
            if !whole {
                return false;
            }
            if self.faults.len() > faults {
                break;
            }
        }
        true
    }

    fn follow(&mut self, Placed { place, statement }: &'s Placed) -> Result<(), Fault> {
        let place = *place;
        match statement {
            Statement::Unit(unit) => self.unit = *unit,
            Statement::Walk(length) => self.step(self.metres(*length, place)?, place)?,
            Statement::Back(length) => self.step(self.metres(*length, place)? * -1.0, place)?,
            Statement::Turn(Turn::Right(degrees)) => self.heading = (self.heading + degrees) % 360.0,
            Statement::Turn(Turn::Around) => self.heading = (self.heading + 180.0) % 360.0,
            Statement::Face(Facing::Ahead) => self.heading = 0.0,
            Statement::Face(Facing::Toward(named)) => self.face(named)?,
            Statement::Go(named) => self.at = self.find(named)?.at,
            Statement::Mark { name, colour } => {
                if let Some(named) = name {
                    self.name_marker(&named.name, self.at, named.place)?;
                }
                self.put_marker(name.as_ref().map(|n| n.name.as_str()), *colour, self.at, place)?;
            }
            Statement::Line { count, name, every, colour } => {
                let every = self.metres(*every, place)?;
                let name = match name {
                    Some(named) => named.name.clone(),
                    None => self.line_name(place)?,
                };
                self.put_line(*count, &name, every, *colour, place)?;
            }
            Statement::Gate { name, wide, colour } => {
                let half = self.metres(*wide, place)? * 0.5;
                let name = said_or(name, "G", &mut self.unnamed.gates);
                for (post, side) in [("a", half * -1.0), ("b", half)] {
                    let at = ahead(self.at, self.heading + 90.0, side);
                    self.put_named(&format!("{name}{post}"), *colour, at, place)?;
                }
                self.name_point(&name, self.at, place)?;
            }
            Statement::Box { name, wide, deep, colours } => {
                let (wide, deep) = (self.metres(*wide, place)?, self.metres(*deep, place)?);
                let name = said_or(name, "B", &mut self.unnamed.boxes);
                let right = |from, by| ahead(from, self.heading + 90.0, by);
                let far = ahead(self.at, self.heading, deep);
                let corners = [self.at, far, right(far, wide), right(self.at, wide)];
                let middle = right(ahead(self.at, self.heading, deep * 0.5), wide * 0.5);
                for (i, (at, colour)) in corners.into_iter().zip(colours).enumerate() {
                    self.put_named(&format!("{name}{}", i + 1), *colour, at, place)?;
                }
                self.name_point(&name, middle, place)?;
            }
            Statement::Barrier { kind, wide } => {
                let wide = self.metres(*wide, place)?;
                let end = |half: f64| ahead(self.at, self.heading + 90.0, wide * half);
                let (left, right) = (end(-0.5), end(0.5));
                within(left, place).and_then(|()| within(right, place))?;
                self.layout.barriers.push(Barrier { kind: *kind, left, right, line: place.line });
            }
            Statement::Person { role, name } => self.put_person(*role, name)?,
            Statement::Ball { name } => {
                if let Some(named) = name {
                    self.name_point(&named.name, self.at, named.place)?;
                }
                self.layout.balls.push(Ball { at: self.at, line: place.line });
            }
            Statement::Repeat { .. } => {} // Followed round by round.
            Statement::Path { kind, points, times } => {
                let rounds = self.rounds.clone();
                self.paths.push(Wanted { place, kind: *kind, points, times: *times, rounds });
            }
        }
        Ok(())
    }

    fn metres(&self, length: Length, place: Place) -> Result<Metres, Fault> {
        let metres = length.unit.unwrap_or(self.unit).in_metres(length.count, self.pace) * self.scale;
        let (shortest, longest) = LENGTHS;
        if (shortest..=longest).contains(&metres.0) {
            return Ok(metres);
        }
        let expected = Expected::LengthBetween { least: shortest, most: longest };
        Err(place.fault(expected, Some(Mend::ThisLength { metres: metres.0 })))
    }

    fn step(&mut self, by: Metres, place: Place) -> Result<(), Fault> {
        let to = ahead(self.at, self.heading, by);
        within(to, place)?;
        self.at = to;
        Ok(())
    }

    fn face(&mut self, named: &Named) -> Result<(), Fault> {
        let toward = self.find(named)?.at;
        if toward.distance(self.at).0 < 1e-9 {
            let mend = Mend::TurnInstead { name: named.name.clone() };
            return Err(named.place.fault(Expected::PointToFace, Some(mend)));
        }
        let heading = (toward.x - self.at.x).atan2(toward.y - self.at.y).to_degrees();
        // A glance along a line is exactly that, so that what is laid after it closes.
        let quarter = (heading / 90.0).round() * 90.0;
        self.heading = if (heading - quarter).abs() < 1e-9 { quarter } else { heading };
        Ok(())
    }

    fn line_name(&mut self, place: Place) -> Result<String, Fault> {
        let letter = (b'L'..=b'Z').nth(self.unnamed.lines).map(char::from);
        self.unnamed.lines += 1;
        letter.map(String::from).ok_or_else(|| place.fault(Expected::NameForLine, Some(Mend::NameLine)))
    }

    fn put_line(
        &mut self,
        count: u32,
        name: &str,
        every: Metres,
        colour: Option<Colour>,
        place: Place,
    ) -> Result<(), Fault> {
        let mut markers = Vec::new();
        for i in 1..=count {
            if i > 1 {
                self.step(every, place)?;
            }
            self.put_named(&format!("{name}{i}"), colour, self.at, place)?;
            markers.push(self.at);
        }
        self.lines.insert(in_round(name, &self.rounds), markers);
        Ok(())
    }

    fn name_point(&mut self, name: &str, at: Point, place: Place) -> Result<(), Fault> {
        self.name_spot(name, Spot { at, place, marker: false })
    }

    fn name_marker(&mut self, name: &str, at: Point, place: Place) -> Result<(), Fault> {
        self.name_spot(name, Spot { at, place, marker: true })
    }

    fn name_spot(&mut self, name: &str, spot: Spot) -> Result<(), Fault> {
        within(spot.at, spot.place)?;
        let name = in_round(name, &self.rounds);
        if let Some(first) = self.points.get(&name) {
            let mend = Mend::NameTaken { name, line: first.place.line };
            return Err(spot.place.fault(Expected::FreeName, Some(mend)));
        }
        self.points.insert(name, spot);
        Ok(())
    }

    fn put_named(
        &mut self,
        name: &str,
        colour: Option<Colour>,
        at: Point,
        place: Place,
    ) -> Result<(), Fault> {
        self.name_marker(name, at, place)?;
        self.put_marker(Some(name), colour, at, place)
    }

    fn put_marker(
        &mut self,
        name: Option<&str>,
        colour: Option<Colour>,
        at: Point,
        place: Place,
    ) -> Result<(), Fault> {
        if self.layout.markers.len() == MOST_MARKERS {
            return Err(place.fault(Expected::MarkersAtMost { most: MOST_MARKERS }, None));
        }
        let name = name.map(|name| in_round(name, &self.rounds));
        self.layout.markers.push(Marker { name, colour, at, line: place.line });
        Ok(())
    }

    fn put_person(&mut self, role: Role, named: &Named) -> Result<(), Fault> {
        self.name_point(&named.name, self.at, named.place)?;
        let name = in_round(&named.name, &self.rounds);
        self.layout.people.push(Person { role, name, at: self.at, line: named.place.line });
        Ok(())
    }

    /// Lays a path; each of its points that cannot be found is a fault of its own.
    fn lay_path(&mut self, wanted: &Wanted<'_>) {
        self.rounds.clone_from(&wanted.rounds);
        let mut stops: Vec<Stop> = Vec::new();
        let faults = self.faults.len();
        for (named, passing) in wanted.points {
            let found = match passing {
                Passing::Through => self.find(named).map(|spot| vec![Stop::through(spot.at)]),
                Passing::Around => self.find_marker(named).map(|at| vec![Stop::around(at)]),
                Passing::Weave => {
                    let before = stops.last().map(|stop| stop.at);
                    self.find_line(named).map(|line| weave(line, before))
                }
            };
            match found {
                Ok(found) => stops.extend(found),
                Err(fault) => self.faults.push(fault),
            }
        }
        self.stops += stops.len();
        if self.stops > MOST_STOPS {
            let expected = Expected::StopsAtMost { most: MOST_STOPS };
            self.faults.push(wanted.place.fault(expected, Some(Mend::RepeatOrWeaveLess)));
        }
        if self.faults.len() == faults {
            let (kind, times, line) = (wanted.kind, wanted.times, wanted.place.line);
            self.layout.paths.push(Path { kind, stops, times, line });
        }
    }

    fn find_marker(&self, named: &Named) -> Result<Point, Fault> {
        let spot = self.find(named)?;
        if spot.marker {
            return Ok(spot.at);
        }
        let mend = Mend::NoMarkerThere { name: named.name.clone() };
        Err(named.place.fault(Expected::MarkerName, Some(mend)))
    }

    fn find_line(&self, named: &Named) -> Result<&[Point], Fault> {
        if let Some(line) = self.look_up(&self.lines, &named.name) {
            return Ok(line);
        }
        let known: Vec<String> = self.lines.keys().take(6).map(|name| format!("{name}*")).collect();
        let near = self.guess(&named.name, self.lines.keys());
        let mend = near.unwrap_or(match known[..] {
            [] => Mend::LayLine,
            _ => Mend::LinesKnown { known },
        });
        Err(named.place.fault(Expected::LineName, Some(mend)))
    }

    /// What a name stands for: in this round of a repeat, else in the repeats around it, else outside.
    fn look_up<'m, T>(&self, map: &'m BTreeMap<String, T>, name: &str) -> Option<&'m T> {
        (0..=self.rounds.len()).rev().find_map(|depth| map.get(&in_round(name, &self.rounds[..depth])))
    }

    /// The name that was meant, while faults are few.
    fn guess<'n>(&self, written: &str, names: impl Iterator<Item = &'n String>) -> Option<Mend> {
        let names = names.map(String::as_str);
        (self.faults.len() < GUESSES).then(|| did_you_mean(written, names)).flatten()
    }

    fn find(&self, named: &Named) -> Result<Spot, Fault> {
        self.look_up(&self.points, &named.name).copied().ok_or_else(|| {
            let line = self.look_up(&self.lines, &named.name).map(Vec::len);
            let name = named.name.clone();
            let mend = match line {
                Some(count) => Mend::LineNotPoint { name, count },
                None => self.guess(&name, self.points.keys()).unwrap_or(Mend::NothingCalled { name }),
            };
            named.place.fault(Expected::PointName, Some(mend))
        })
    }
}

/// A name as it counts outside the repeat in which it was made: `A` in the second round is `A.2`.
fn in_round(name: &str, rounds: &[u32]) -> String {
    rounds.iter().fold(name.to_owned(), |name, round| format!("{name}.{round}"))
}

fn said_or(name: &Option<Named>, letter: &str, unnamed: &mut usize) -> String {
    name.as_ref().map_or_else(
        || {
            *unnamed += 1;
            format!("{letter}{unnamed}")
        },
        |named| named.name.clone(),
    )
}

fn within(at: Point, place: Place) -> Result<(), Fault> {
    if at.x.abs() <= FARTHEST && at.y.abs() <= FARTHEST {
        return Ok(());
    }
    let mend = Mend::LeadsTo { right: at.x.round(), ahead: at.y.round() };
    Err(place.fault(Expected::Within { most: FARTHEST }, Some(mend)))
}

/// The passing points of a weave: beside each marker, on alternate sides, the first on the left as one comes along.
/// The end of the line that is nearer to where one comes from is reached first.
fn weave(line: &[Point], before: Option<Point>) -> Vec<Stop> {
    let mut markers = line.to_vec();
    let (Some(first), Some(last)) = (line.first(), line.last()) else { return Vec::new() };
    if before.is_some_and(|from| from.distance(*last).0 < from.distance(*first).0 - 1e-9) {
        markers.reverse();
    }
    let (first, last) = (markers[0], markers[markers.len() - 1]);
    let from = if markers.len() > 1 { first } else { before.unwrap_or(first) };
    let long = from.distance(last).0;
    // A single marker that one does not come to from anywhere is passed as if one came from the start, ahead.
    let (dx, dy) =
        if long > 1e-9 { ((last.x - from.x) / long, (last.y - from.y) / long) } else { (0.0, 1.0) };
    let side = |i: usize| if i.is_multiple_of(2) { PASSING.0 } else { -PASSING.0 };
    let beside = |(i, at): (usize, &Point)| Point { x: at.x - dy * side(i), y: at.y + dx * side(i) };
    markers
        .iter()
        .enumerate()
        .map(|marker| Stop { numbered: marker.0 == 0, ..Stop::through(beside(marker)) })
        .collect()
}

fn ahead(from: Point, heading: f64, by: Metres) -> Point {
    // Sines of whole quarter turns are made exact, so that a square closes.
    let (sin, cos) = match heading.rem_euclid(360.0) {
        0.0 => (0.0, 1.0),
        90.0 => (1.0, 0.0),
        180.0 => (0.0, -1.0),
        270.0 => (-1.0, 0.0),
        other => other.to_radians().sin_cos(),
    };
    Point { x: from.x + by.0 * sin, y: from.y + by.0 * cos }
}
