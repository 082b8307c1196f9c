//! Walks a layout: a walker starts at (0, 0) facing ahead, and each statement moves it or puts something down.

use std::collections::BTreeMap;

use super::fault::did_you_mean;
use super::notation::{Length, Named, Place, Placed, Statement, Turn};
use super::{Colour, Fault, Layout, Marker, Path, Person, Point, Role};
use crate::units::{LengthUnit, Metres, Pace};

/// The most markers that a layout may hold.
pub const MOST_MARKERS: usize = 500;
/// The shortest and longest length that may be said, in metres.
pub const LENGTHS: (f64, f64) = (0.1, 120.0);
/// For so many faults a near name is looked for; a text with more is mended from its first ones.
const GUESSES: usize = 20;
/// How far from the start anything may stand, in metres, to each side.
pub const FARTHEST: f64 = 150.0;

/// Follows the statements; what cannot be done comes back as faults, and the walk goes on.
pub fn walk(statements: &[Placed], pace: Pace) -> (Layout, Vec<Fault>) {
    let mut walker = Walker { pace, ..Walker::default() };
    for placed in statements {
        if let Err(fault) = walker.follow(placed) {
            walker.faults.push(fault);
        }
    }
    for placed in statements {
        if let Statement::Path { kind, points, times } = &placed.statement {
            let found: Vec<Point> = points.iter().filter_map(|named| walker.find_or_note(named)).collect();
            if found.len() == points.len() {
                walker.layout.paths.push(Path { kind: *kind, points: found, times: *times });
            }
        }
    }
    (walker.layout, walker.faults)
}

#[derive(Default)]
struct Walker {
    at: Point,
    /// Degrees to the right of ahead.
    heading: f64,
    unit: LengthUnit,
    pace: Pace,
    points: BTreeMap<String, (Point, Place)>,
    unnamed_lines: usize,
    unnamed_gates: usize,
    layout: Layout,
    faults: Vec<Fault>,
}

impl Walker {
    fn follow(&mut self, Placed { place, statement }: &Placed) -> Result<(), Fault> {
        let place = *place;
        match statement {
            Statement::Unit(unit) => self.unit = *unit,
            Statement::Walk(length) => self.step(self.metres(*length, place)?, place)?,
            Statement::Back(length) => self.step(self.metres(*length, place)? * -1.0, place)?,
            Statement::Turn(Turn::Right(degrees)) => self.heading = (self.heading + degrees) % 360.0,
            Statement::Turn(Turn::Around) => self.heading = (self.heading + 180.0) % 360.0,
            Statement::Go(named) => self.at = self.find(named)?,
            Statement::Mark { name, colour } => {
                if let Some(named) = name {
                    self.name_point(&named.name, self.at, named.place)?;
                }
                self.put_marker(name.as_ref().map(|n| n.name.clone()), *colour, self.at, place)?;
            }
            Statement::Line { count, name, every, colour } => {
                let every = self.metres(*every, place)?;
                let name = match name {
                    Some(named) => named.name.clone(),
                    None => self.line_name(place)?,
                };
                for i in 1..=*count {
                    if i > 1 {
                        self.step(every, place)?;
                    }
                    let name = format!("{name}{i}");
                    self.name_point(&name, self.at, place)?;
                    self.put_marker(Some(name), *colour, self.at, place)?;
                }
            }
            Statement::Gate { name, wide, colour } => {
                let half = self.metres(*wide, place)? * 0.5;
                let name = name.as_ref().map_or_else(
                    || {
                        self.unnamed_gates += 1;
                        format!("G{}", self.unnamed_gates)
                    },
                    |named| named.name.clone(),
                );
                let across = self.heading + 90.0;
                for (post, side) in [("a", half * -1.0), ("b", half)] {
                    let at = ahead(self.at, across, side);
                    let post = format!("{name}{post}");
                    self.name_point(&post, at, place)?;
                    self.put_marker(Some(post), *colour, at, place)?;
                }
                self.name_point(&name, self.at, place)?;
            }
            Statement::Person { role, name } => self.put_person(*role, name)?,
            Statement::Path { .. } => {} // Paths may run through points that are named later: they are laid last.
        }
        Ok(())
    }

    fn metres(&self, length: Length, place: Place) -> Result<Metres, Fault> {
        let metres = length.unit.unwrap_or(self.unit).in_metres(length.count, self.pace);
        let (shortest, longest) = LENGTHS;
        if (shortest..=longest).contains(&metres.0) {
            return Ok(metres);
        }
        Err(place.fault(
            format!("a length of {shortest} to {longest} m"),
            Some(format!("this one is {:.2} m", metres.0)),
        ))
    }

    fn step(&mut self, by: Metres, place: Place) -> Result<(), Fault> {
        let to = ahead(self.at, self.heading, by);
        if to.x.abs() > FARTHEST || to.y.abs() > FARTHEST {
            return Err(place.fault(
                format!("to stay within {FARTHEST} m of the start"),
                Some(format!("this would lead to {:.0} m right, {:.0} m ahead", to.x, to.y)),
            ));
        }
        self.at = to;
        Ok(())
    }

    fn line_name(&mut self, place: Place) -> Result<String, Fault> {
        let letter = (b'L'..=b'Z').nth(self.unnamed_lines).map(char::from);
        self.unnamed_lines += 1;
        letter
            .map(String::from)
            .ok_or_else(|| place.fault("a name for the line", Some("write it as `line 6 W every 1`".into())))
    }

    fn name_point(&mut self, name: &str, at: Point, place: Place) -> Result<(), Fault> {
        if let Some((_, first)) = self.points.get(name) {
            return Err(place.fault(
                "a name that is not taken",
                Some(format!("`{name}` already stands in line {}: choose another name", first.line)),
            ));
        }
        self.points.insert(name.to_owned(), (at, place));
        Ok(())
    }

    fn put_marker(
        &mut self,
        name: Option<String>,
        colour: Option<Colour>,
        at: Point,
        place: Place,
    ) -> Result<(), Fault> {
        if self.layout.markers.len() == MOST_MARKERS {
            return Err(place.fault(format!("at most {MOST_MARKERS} markers"), None));
        }
        self.layout.markers.push(Marker { name, colour, at });
        Ok(())
    }

    fn put_person(&mut self, role: Role, named: &Named) -> Result<(), Fault> {
        self.name_point(&named.name, self.at, named.place)?;
        self.layout.people.push(Person { role, name: named.name.clone(), at: self.at });
        Ok(())
    }

    fn find(&self, named: &Named) -> Result<Point, Fault> {
        self.points.get(&named.name).map(|(at, _)| *at).ok_or_else(|| {
            let near = (self.faults.len() < GUESSES)
                .then(|| did_you_mean(&named.name, self.points.keys().map(String::as_str)))
                .flatten();
            let mend = near.unwrap_or_else(|| format!("nothing here is called `{}`", named.name));
            named.place.fault("the name of a point", Some(mend))
        })
    }

    fn find_or_note(&mut self, named: &Named) -> Option<Point> {
        self.find(named).map_err(|fault| self.faults.push(fault)).ok()
    }
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
