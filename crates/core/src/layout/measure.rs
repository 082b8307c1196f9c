//! Measures a layout: markers, footprint, and the length and turning of its paths.

use std::collections::BTreeMap;

use serde::Serialize;

use super::{Layout, Path, PathKind, Point};
use crate::units::{Degrees, Metres};

/// Width and depth of the box around everything on the floor, along the walker's first heading.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Footprint {
    /// To the right.
    #[serde(rename = "width_m")]
    pub width: Metres,
    /// Ahead.
    #[serde(rename = "depth_m")]
    pub depth: Metres,
}

/// How long a path is and how much it turns.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PathMeasure {
    /// What moves.
    pub kind: PathKind,
    /// Length per repetition, all its times together.
    #[serde(rename = "length_m")]
    pub length: Metres,
    /// Changes of direction of more than 30°, per time.
    pub direction_changes: u32,
    /// All turning together, per time.
    #[serde(rename = "turning_deg")]
    pub turning: Degrees,
}

/// A change of direction counts from here on, in degrees.
const A_CHANGE: f64 = 30.0;

impl Layout {
    /// The corners of the box around everything, near left and far right.
    pub fn bounds(&self) -> (Point, Point) {
        let places = self
            .markers
            .iter()
            .map(|m| m.at)
            .chain(self.people.iter().map(|p| p.at))
            .chain(self.paths.iter().flat_map(|p| p.points.iter().copied()));
        places
            .map(|p| (p, p))
            .reduce(|(low, high), (p, _)| {
                (
                    Point { x: low.x.min(p.x), y: low.y.min(p.y) },
                    Point { x: high.x.max(p.x), y: high.y.max(p.y) },
                )
            })
            .unwrap_or_default()
    }

    /// The floor it needs, without run-off.
    pub fn footprint(&self) -> Footprint {
        let (low, high) = self.bounds();
        Footprint { width: Metres(high.x - low.x), depth: Metres(high.y - low.y) }
    }

    /// How many markers of each colour; `any` counts those of which the text names no colour.
    pub fn markers_by_colour(&self) -> BTreeMap<&'static str, u32> {
        let mut count = BTreeMap::new();
        for marker in &self.markers {
            *count.entry(marker.colour.map_or("any", super::Colour::word)).or_insert(0) += 1;
        }
        count
    }

    /// Every path with its length and turning.
    pub fn path_measures(&self) -> Vec<PathMeasure> {
        self.paths.iter().map(Path::measure).collect()
    }
}

impl Path {
    /// Length per repetition, changes of direction, and turning.
    pub fn measure(&self) -> PathMeasure {
        let once: Metres = self.points.windows(2).map(|leg| leg[0].distance(leg[1])).sum();
        let turns: Vec<f64> = self.points.windows(3).map(|w| turning(w[0], w[1], w[2])).collect();
        PathMeasure {
            kind: self.kind,
            length: once * f64::from(self.times),
            direction_changes: turns.iter().filter(|t| **t > A_CHANGE).count() as u32,
            turning: Degrees(turns.iter().sum()),
        }
    }
}

/// How far someone turns at `b` on the way from `a` to `c`, 0 to 180 degrees.
fn turning(a: Point, b: Point, c: Point) -> f64 {
    let (ux, uy) = (b.x - a.x, b.y - a.y);
    let (vx, vy) = (c.x - b.x, c.y - b.y);
    (ux * vy - uy * vx).atan2(ux * vx + uy * vy).to_degrees().abs()
}
