//! Measures a layout: markers and other kit, footprint, and the length and turning of its paths.
//!
//! A path is as long as the straight ways between its stops; a circle around a marker adds 2π × 0.4 m (2.51 m) and
//! 360°. All figures are per repetition, so `x 2` doubles them.

use std::collections::BTreeMap;

use serde::Serialize;

use super::{BarrierKind, Layout, PASSING, Path, PathKind, Point, Role};
use crate::units::{Degrees, Metres, Pace};

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

impl Footprint {
    /// Whether all is done on one spot, so that a drawing of it says nothing.
    ///
    /// ```
    /// use jogo_core::{ground::layout::Layout, units::Pace};
    /// let on_the_spot = Layout::read("player P; ball", Pace::default()).unwrap();
    /// assert!(on_the_spot.footprint().is_a_dot());
    /// ```
    pub fn is_a_dot(&self) -> bool {
        self.width.0 == 0.0 && self.depth.0 == 0.0
    }

    /// The same in paces, to the tenth, as it is walked.
    ///
    /// ```
    /// use jogo_core::{ground::layout::measure::Footprint, units::{Metres, Pace}};
    /// let floor = Footprint { width: Metres(4.0), depth: Metres(8.25) };
    /// assert_eq!(floor.in_paces(Pace::default()), InPaces { width: 5.3, depth: 11.0 });
    /// # use jogo_core::ground::layout::measure::InPaces;
    /// ```
    pub fn in_paces(&self, pace: Pace) -> InPaces {
        let tenths = |metres: Metres| (metres.0 / pace.0.0 * 10.0).round() / 10.0;
        InPaces { width: tenths(self.width), depth: tenths(self.depth) }
    }
}

/// A floor in somebody's paces.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct InPaces {
    /// To the right.
    pub width: f64,
    /// Ahead.
    pub depth: f64,
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
    /// Changes of direction of more than 30°, per repetition.
    pub direction_changes: u32,
    /// All turning together, per repetition.
    #[serde(rename = "turning_deg")]
    pub turning: Degrees,
}

/// Markers, by colour and in all.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MarkerCount {
    /// All of them.
    pub total: u32,
    /// By the word of the colour; `any` counts those of which the text names none.
    pub by_colour: BTreeMap<&'static str, u32>,
}

/// What is needed besides markers, for one station.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Kit {
    /// Balls that lie on the floor at the start.
    pub balls: u32,
    /// Goals.
    pub goals: u32,
    /// Walls or boards that give the ball back.
    pub walls: u32,
}

/// Who stands on the floor of one station.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Roles {
    /// Players.
    pub players: u32,
    /// Servers.
    pub servers: u32,
    /// Defenders.
    pub defenders: u32,
}

/// All that is computed from a layout.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Measures {
    /// Markers.
    pub markers: MarkerCount,
    /// Other kit.
    pub kit: Kit,
    /// People.
    pub roles: Roles,
    /// The floor it needs, without run-off.
    pub footprint: Footprint,
    /// Every path.
    pub paths: Vec<PathMeasure>,
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
            .chain(self.balls.iter().map(|b| b.at))
            .chain(self.barriers.iter().flat_map(|b| [b.left, b.right]))
            .chain(self.paths.iter().flat_map(|p| p.stops.iter().map(|stop| stop.at)));
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

    /// Balls, goals and walls.
    pub fn kit(&self) -> Kit {
        let barriers = |kind: BarrierKind| self.barriers.iter().filter(|b| b.kind == kind).count() as u32;
        Kit {
            balls: self.balls.len() as u32,
            goals: barriers(BarrierKind::Goal),
            walls: barriers(BarrierKind::Wall),
        }
    }

    /// Players, servers and defenders.
    pub fn roles(&self) -> Roles {
        let people = |role: Role| self.people.iter().filter(|p| p.role == role).count() as u32;
        Roles {
            players: people(Role::Player),
            servers: people(Role::Server),
            defenders: people(Role::Defender),
        }
    }

    /// Everything at once.
    ///
    /// ```
    /// use jogo_core::{ground::layout::Layout, units::Pace};
    /// let pass = Layout::read("unit m; player A; walk 8; player B; path pass A -> B -> A", Pace::default()).unwrap();
    /// let measures = pass.measures();
    /// assert_eq!((measures.roles.players, measures.paths[0].length.0), (2, 16.0));
    /// ```
    pub fn measures(&self) -> Measures {
        let by_colour = self.markers_by_colour();
        Measures {
            markers: MarkerCount { total: self.markers.len() as u32, by_colour },
            kit: self.kit(),
            roles: self.roles(),
            footprint: self.footprint(),
            paths: self.path_measures(),
        }
    }

    /// Every path with its length and turning.
    pub fn path_measures(&self) -> Vec<PathMeasure> {
        self.paths.iter().map(Path::measure).collect()
    }
}

impl Path {
    /// Length per repetition, changes of direction, and turning.
    pub fn measure(&self) -> PathMeasure {
        let legs: Metres = self.stops.windows(2).map(|leg| leg[0].at.distance(leg[1].at)).sum();
        let circles = f64::from(self.stops.iter().filter(|stop| stop.circled).count() as u32);
        let turns: Vec<f64> =
            self.stops.windows(3).map(|way| turning(way[0].at, way[1].at, way[2].at)).collect();
        let times = f64::from(self.times);
        PathMeasure {
            kind: self.kind,
            length: (legs + PASSING * (std::f64::consts::TAU * circles)) * times,
            direction_changes: turns.iter().filter(|t| **t > A_CHANGE).count() as u32 * self.times,
            turning: Degrees((turns.iter().sum::<f64>() + 360.0 * circles) * times),
        }
    }
}

/// How far someone turns at `b` on the way from `a` to `c`, 0 to 180 degrees.
fn turning(a: Point, b: Point, c: Point) -> f64 {
    let (ux, uy) = (b.x - a.x, b.y - a.y);
    let (vx, vy) = (c.x - b.x, c.y - b.y);
    (ux * vy - uy * vx).atan2(ux * vx + uy * vy).to_degrees().abs()
}
