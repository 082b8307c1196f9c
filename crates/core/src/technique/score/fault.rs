//! What is wrong with a score: where, what was expected, and how to mend it.

use serde::Serialize;

use super::touch::{Action, Way};
use crate::fact::{Fact, facts};
use crate::input::notation::{Place, nearest};
use crate::technique::surface::Surface;

/// One fault of a score.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ScoreFault))]
pub struct Fault {
    /// Line, from 1.
    pub line: u32,
    /// Column in characters, from 1.
    pub column: u32,
    /// What was looked for there.
    #[cfg_attr(feature = "openapi", schema(value_type = Fact))]
    pub expected: Expected,
    /// How to mend it, where that can be said.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<Fact>))]
    pub mend: Option<Mend>,
}

facts! {
    /// A fault of a score, whole.
    pub enum ScoreFault {
        Plain = "score-fault" { line: u32, column: u32, expected: Expected },
        Mendable = "score-fault-mendable" { line: u32, column: u32, expected: Expected, mend: Mend },
    }

    /// What was looked for in a score.
    pub enum Expected {
        Statement = "score-expected-statement",
        Joinable = "score-expected-joinable",
        Closing = "score-expected-closing",
        Opening = "score-expected-opening",
        Times = "score-expected-times" { most: u32 },
        Beats = "score-expected-beats" { most: u32 },
        Name = "score-expected-name",
        Left = "score-expected-left",
        Surface = "score-expected-surface",
        Action = "score-expected-action",
        Way = "score-expected-way",
        WayAsked = "score-expected-way-asked" { action: String },
        SurfaceFor = "score-expected-surface-for" { action: String },
        WayFor = "score-expected-way-for" { surface: String, action: String, ways: Vec<String> },
        Length = "score-expected-length",
        LengthBetween = "score-expected-length-between" { least: f64, most: f64 },
        Degrees = "score-expected-degrees",
        DegreesAtMost = "score-expected-degrees-at-most" { most: u32 },
        Turn = "score-expected-turn",
        Step = "score-expected-step",
        Over = "score-expected-over",
        Height = "score-expected-height",
        Feint = "score-expected-feint",
        Ball = "score-expected-ball",
        Lie = "score-expected-lie",
        End = "score-expected-end",
        BytesAtMost = "score-expected-bytes-at-most" { most: usize },
        StatementsAtMost = "score-expected-statements-at-most" { most: usize },
        NestedAtMost = "score-expected-nested-at-most" { most: usize },
        BeatsAtMost = "score-expected-beats-at-most" { most: usize },
        BeforeFirstBeat = "score-expected-before-first-beat",
        ABeat = "score-expected-a-beat",
        FreeName = "score-expected-free-name",
        Part = "score-expected-part",
        Skill = "score-expected-skill",
        SoundSkill = "score-expected-sound-skill" { skill: String },
        NoCircle = "score-expected-no-circle" { path: Vec<String> },
        Reach = "score-expected-reach" { from: &'static str, most: f64, away: f64 },
        FreeFoot = "score-expected-free-foot",
        BallOnFloor = "score-expected-ball-on-floor",
        BallInAir = "score-expected-ball-in-air",
        BallInHands = "score-expected-ball-in-hands",
        BallThrown = "score-expected-ball-thrown",
        BallStill = "score-expected-ball-still",
    }

    /// How a fault of a score is mended.
    pub enum Mend {
        DidYouMean = "score-mend-did-you-mean" { word: String },
        OneOf = "score-mend-one-of" { known: Vec<String> },
        SplitText = "score-mend-split-text" { bytes: usize },
        Close = "score-mend-close",
        ClosesNothing = "score-mend-closes-nothing",
        WriteBlock = "score-mend-write-block" { head: String },
        WriteOut = "score-mend-write-out",
        RepeatLess = "score-mend-repeat-less",
        NewStatement = "score-mend-new-statement" { written: String },
        OnItsOwn = "score-mend-on-its-own",
        MoveUp = "score-mend-move-up",
        AddBeat = "score-mend-add-beat",
        NameTaken = "score-mend-name-taken" { name: String, line: u32 },
        NoPart = "score-mend-no-part" { name: String },
        NoSkill = "score-mend-no-skill" { id: String },
        MendSkill = "score-mend-mend-skill" { faults: usize },
        LeaveOut = "score-mend-leave-out",
        ThisLength = "score-mend-this-length" { metres: f64 },
        LessOrStep = "score-mend-less-or-step",
        OtherFootFirst = "score-mend-other-foot-first",
        OtherSurface = "score-mend-other-surface" { way: String, surfaces: Vec<String> },
        BounceOrCushion = "score-mend-bounce-or-cushion",
        LiftOrToss = "score-mend-lift-or-toss",
        TossFirst = "score-mend-toss-first",
        StartInHands = "score-mend-start-in-hands",
        StrikeLast = "score-mend-strike-last",
        WhichSide = "score-mend-which-side" { surface: String },
    }
}

impl From<Fault> for Fact {
    fn from(Fault { line, column, expected, mend }: Fault) -> Fact {
        match mend {
            Some(mend) => ScoreFault::Mendable { line, column, expected, mend }.into(),
            None => ScoreFault::Plain { line, column, expected }.into(),
        }
    }
}

impl std::fmt::Display for Fault {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        Fact::from(self.clone()).fmt(f)
    }
}

impl std::error::Error for Fault {}

impl Fault {
    pub(super) fn at(place: Place, expected: Expected, mend: impl Into<Option<Mend>>) -> Fault {
        Fault { line: place.line, column: place.column, expected, mend: mend.into() }
    }

    /// Whether it is of the same kind at the same place, however large.
    pub(super) fn is_like(&self, other: &Fault) -> bool {
        let kind = |fault: &Fault| std::mem::discriminant(&fault.expected);
        (self.line, self.column, kind(self)) == (other.line, other.column, kind(other))
    }
}

impl Expected {
    /// A surface can send the ball these ways alone.
    pub(super) fn cannot(surface: Surface, action: Action, ways: &[Way]) -> Expected {
        Expected::WayFor {
            surface: surface.word().to_owned(),
            action: action.word().to_owned(),
            ways: owned(ways.iter().map(|way| way.word())),
        }
    }
}

impl Mend {
    /// The surfaces that can send the ball this way by the same action, if there are any; `written` is the way as it
    /// stands in the text.
    pub(super) fn other_surface(action: Action, way: Way, written: Way) -> Option<Mend> {
        let can = |surface: &Surface| action.ways(*surface).is_some_and(|ways| ways.contains(&way));
        let surfaces = owned(action.surfaces().filter(can).map(Surface::word));
        (!surfaces.is_empty()).then(|| Mend::OtherSurface { way: written.word().to_owned(), surfaces })
    }

    /// The nearest of these words to what was written; all of them if none is near.
    pub(super) fn one_of(written: &str, words: &[&str]) -> Mend {
        match nearest(written, words.iter().copied()) {
            Some(word) => Mend::DidYouMean { word: word.to_owned() },
            None => Mend::OneOf { known: owned(words.iter().copied()) },
        }
    }
}

/// Words as a fact carries them.
pub(super) fn owned<'w>(words: impl IntoIterator<Item = &'w str>) -> Vec<String> {
    words.into_iter().map(str::to_owned).collect()
}
