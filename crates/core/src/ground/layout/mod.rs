//! Layouts: what stands on the floor?
//!
//! A coach says a layout as a walk: "a marker here, four paces on, then six markers a pace apart". Jogo keeps exactly
//! that text and computes the rest: [`notation`] reads it, [`walk`] walks it, [`measure`] measures what is there,
//! [`draw`] draws it to scale, and [`change`] says which of its markers can stay for another one. `docs/notation.md`
//! explains the notation to coaches.
//!
//! ```
//! use jogo_core::ground::layout::Layout;
//! use jogo_core::units::Pace;
//!
//! let weave = Layout::read("mark A red; walk 4; line 6 W every 1; walk 4; mark B red", Pace::default()).unwrap();
//! assert_eq!(weave.markers.len(), 8);
//! assert_eq!(weave.footprint().depth.0, 9.75); // 13 paces of 0.75 m
//!
//! let faults = Layout::read("mark A\nwlak 3", Pace::default()).unwrap_err();
//! assert_eq!((faults[0].line, faults[0].column), (2, 1));
//! ```

pub mod change;
pub mod draw;
mod fault;
pub mod measure;
pub mod notation;
pub mod walk;

pub use crate::input::notation::Place;
pub use fault::{Expected, Fault, LayoutFault, Mend};

use serde::{Deserialize, Serialize};

use crate::units::{Metres, Pace};

/// The longest layout text that is read, in bytes. The longest in the library has under 500.
pub const LONGEST_TEXT: usize = 100_000;

/// A colour of a marker.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Colour {
    White,
    Yellow,
    Orange,
    Red,
    Blue,
    Green,
    Black,
    Pink,
}

impl Colour {
    /// All colours that the notation knows, with their words.
    pub const ALL: [(&'static str, Colour); 8] = [
        ("white", Colour::White),
        ("yellow", Colour::Yellow),
        ("orange", Colour::Orange),
        ("red", Colour::Red),
        ("blue", Colour::Blue),
        ("green", Colour::Green),
        ("black", Colour::Black),
        ("pink", Colour::Pink),
    ];

    /// The colour's word.
    pub fn word(self) -> &'static str {
        Colour::ALL[self as usize].0
    }
}

/// A place on the floor: `x` to the right, `y` ahead, from where the walker started.
#[derive(Clone, Copy, Debug, Default, PartialEq)]
pub struct Point {
    /// Metres to the right.
    pub x: f64,
    /// Metres ahead.
    pub y: f64,
}

impl Point {
    /// How far it is to another place.
    pub fn distance(self, to: Point) -> Metres {
        Metres((to.x - self.x).hypot(to.y - self.y))
    }
}

/// A marker on the floor.
#[derive(Clone, Debug, PartialEq)]
pub struct Marker {
    /// Its name, if the text gives it one.
    pub name: Option<String>,
    /// Its colour; any colour will do if the text names none.
    pub colour: Option<Colour>,
    /// Where it stands.
    pub at: Point,
    /// The line of the text that puts it there, from 1.
    pub line: u32,
}

/// What someone on the floor is there for.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Role {
    /// Works with the ball.
    Player,
    /// Serves the ball.
    Server,
    /// Wants the ball.
    Defender,
}

/// Someone who stands on the floor when the drill begins.
#[derive(Clone, Debug, PartialEq)]
pub struct Person {
    /// What for.
    pub role: Role,
    /// Under which name paths speak of them.
    pub name: String,
    /// Where.
    pub at: Point,
    /// The line of the text that puts them there, from 1.
    pub line: u32,
}

/// A ball that lies on the floor when the drill begins.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Ball {
    /// Where.
    pub at: Point,
    /// The line of the text that puts it there, from 1.
    pub line: u32,
}

/// Something across the way.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum BarrierKind {
    /// Gives the ball back.
    Wall,
    /// Is scored into.
    Goal,
}

/// A wall or a goal.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Barrier {
    /// Which.
    pub kind: BarrierKind,
    /// Its end on the walker's left.
    pub left: Point,
    /// Its end on the walker's right.
    pub right: Point,
    /// The line of the text that puts it there, from 1.
    pub line: u32,
}

/// How something moves along a path.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum PathKind {
    /// A player with the ball.
    Dribble,
    /// A player without the ball.
    Run,
    /// The ball, along the floor.
    Pass,
    /// The ball, from a server.
    Serve,
}

impl PathKind {
    /// All kinds, with their words.
    pub const ALL: [(&'static str, PathKind); 4] = [
        ("dribble", PathKind::Dribble),
        ("run", PathKind::Run),
        ("pass", PathKind::Pass),
        ("serve", PathKind::Serve),
    ];
}

/// How far beside a marker it is passed in a weave, and the radius of a circle around it. An assumption.
pub const PASSING: Metres = Metres(0.4);

/// A place that a path runs through.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Stop {
    /// Where.
    pub at: Point,
    /// Whether it is circled once before going on.
    pub circled: bool,
    /// Whether it carries a number in the drawing; of a weave only the first place does.
    pub numbered: bool,
}

impl Stop {
    fn through(at: Point) -> Stop {
        Stop { at, circled: false, numbered: true }
    }

    fn around(at: Point) -> Stop {
        Stop { circled: true, ..Stop::through(at) }
    }
}

/// A movement along named points.
#[derive(Clone, Debug, PartialEq)]
pub struct Path {
    /// What moves.
    pub kind: PathKind,
    /// Through which places.
    pub stops: Vec<Stop>,
    /// How often per repetition.
    pub times: u32,
    /// The line of the text that says it, from 1.
    pub line: u32,
}

/// What stands and moves on the floor, in metres.
#[derive(Clone, Debug, Default, PartialEq)]
pub struct Layout {
    /// Markers, in the order in which they are laid.
    pub markers: Vec<Marker>,
    /// Players, servers and defenders.
    pub people: Vec<Person>,
    /// Balls.
    pub balls: Vec<Ball>,
    /// Walls and goals.
    pub barriers: Vec<Barrier>,
    /// Movements.
    pub paths: Vec<Path>,
}

impl Layout {
    /// Reads a layout text.
    ///
    /// Errs with every fault of the text at once, in the order of their places. Never panics, and ends after at most
    /// 2,000 statements and 500 markers.
    pub fn read(text: &str, pace: Pace) -> Result<Layout, Vec<Fault>> {
        Layout::read_scaled(text, pace, 1.0)
    }

    /// Reads a layout text and takes every length `scale` times: below one it is laid tighter than it is said.
    pub fn read_scaled(text: &str, pace: Pace, scale: f64) -> Result<Layout, Vec<Fault>> {
        match Layout::read_partly(text, pace, scale) {
            (layout, faults) if faults.is_empty() => Ok(layout),
            (_, faults) => Err(faults),
        }
    }

    /// What reads of a text, and the faults of the rest: while somebody writes, the picture follows what stands
    /// already.
    ///
    /// ```
    /// use jogo_core::{ground::layout::Layout, units::Pace};
    /// let (layout, faults) = Layout::read_partly("mark A; walk 3; mark B; wal", Pace::default(), 1.0);
    /// assert_eq!((layout.markers.len(), faults.len()), (2, 1));
    /// ```
    pub fn read_partly(text: &str, pace: Pace, scale: f64) -> (Layout, Vec<Fault>) {
        let (statements, mut faults) = notation::parse(text);
        let (layout, walk_faults) = walk::walk(&statements, pace, scale);
        faults.extend(walk_faults);
        faults.sort_by_key(|fault| (fault.line, fault.column));
        (layout, faults)
    }
}
