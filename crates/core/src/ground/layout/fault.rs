//! What is wrong with a layout text: where, what was expected, and how to mend it.

use serde::Serialize;

use crate::fact::{Fact, facts};
use crate::input::notation::{Place, nearest};

/// One fault of a layout text.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Fault {
    /// Line, from 1.
    pub line: u32,
    /// Column in characters, from 1.
    pub column: u32,
    /// What the reader looked for there.
    #[cfg_attr(feature = "openapi", schema(value_type = Fact))]
    pub expected: Expected,
    /// How to mend it, where that can be said.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<Fact>))]
    pub mend: Option<Mend>,
}

facts! {
    /// A fault of a layout text, whole.
    pub enum LayoutFault {
        Plain = "layout-fault" { line: u32, column: u32, expected: Expected },
        Mendable = "layout-fault-mendable" { line: u32, column: u32, expected: Expected, mend: Mend },
    }

    /// What the reader of a layout text looked for.
    pub enum Expected {
        Statement = "layout-expected-statement",
        Word = "layout-expected-word" { word: String },
        Closing = "layout-expected-closing",
        Opening = "layout-expected-opening",
        Times = "layout-expected-times" { most: u32 },
        Markers = "layout-expected-markers" { most: u32 },
        Unit = "layout-expected-unit",
        Turn = "layout-expected-turn",
        Degrees = "layout-expected-degrees",
        DegreesAtMost = "layout-expected-degrees-at-most" { most: u32 },
        PathKind = "layout-expected-path-kind",
        SecondPoint = "layout-expected-second-point",
        Length = "layout-expected-length",
        LengthBetween = "layout-expected-length-between" { least: f64, most: f64 },
        Name = "layout-expected-name",
        FreeName = "layout-expected-free-name",
        PointName = "layout-expected-point-name",
        MarkerName = "layout-expected-marker-name",
        LineName = "layout-expected-line-name",
        NameForLine = "layout-expected-name-for-line",
        Colour = "layout-expected-colour",
        Colours = "layout-expected-colours",
        PointToFace = "layout-expected-point-to-face",
        End = "layout-expected-end",
        BytesAtMost = "layout-expected-bytes-at-most" { most: usize },
        StatementsAtMost = "layout-expected-statements-at-most" { most: usize },
        UnrolledAtMost = "layout-expected-unrolled-at-most" { most: usize },
        RepeatsAtMost = "layout-expected-repeats-at-most" { most: usize },
        MarkersAtMost = "layout-expected-markers-at-most" { most: usize },
        StopsAtMost = "layout-expected-stops-at-most" { most: usize },
        Within = "layout-expected-within" { most: f64 },
    }

    /// How a fault of a layout text is mended.
    pub enum Mend {
        DidYouMean = "layout-mend-did-you-mean" { word: String },
        OneOf = "layout-mend-one-of" { known: Vec<String> },
        SplitText = "layout-mend-split-text" { bytes: usize },
        SplitDrill = "layout-mend-split-drill",
        Close = "layout-mend-close",
        WriteOut = "layout-mend-write-out",
        ClosesNothing = "layout-mend-closes-nothing",
        WriteRepeat = "layout-mend-write-repeat",
        RepeatLess = "layout-mend-repeat-less",
        RepeatOrWeaveLess = "layout-mend-repeat-or-weave-less",
        ColourOrder = "layout-mend-colour-order",
        NewStatement = "layout-mend-new-statement" { written: String },
        ThisLength = "layout-mend-this-length" { metres: f64 },
        LeadsTo = "layout-mend-leads-to" { right: f64, ahead: f64 },
        TurnInstead = "layout-mend-turn-instead" { name: String },
        NameLine = "layout-mend-name-line",
        NameTaken = "layout-mend-name-taken" { name: String, line: u32 },
        NoMarkerThere = "layout-mend-no-marker-there" { name: String },
        LayLine = "layout-mend-lay-line",
        LinesKnown = "layout-mend-lines-known" { known: Vec<String> },
        LineNotPoint = "layout-mend-line-not-point" { name: String, count: usize },
        NothingCalled = "layout-mend-nothing-called" { name: String },
    }
}

impl From<Fault> for Fact {
    fn from(Fault { line, column, expected, mend }: Fault) -> Fact {
        match mend {
            Some(mend) => LayoutFault::Mendable { line, column, expected, mend }.into(),
            None => LayoutFault::Plain { line, column, expected }.into(),
        }
    }
}

impl std::fmt::Display for Fault {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        Fact::from(self.clone()).fmt(f)
    }
}

impl std::error::Error for Fault {}

impl Place {
    /// A fault at this place.
    pub(super) fn fault(self, expected: Expected, mend: Option<Mend>) -> Fault {
        Fault { line: self.line, column: self.column, expected, mend }
    }
}

/// The nearest of some words to what was written; `None` if none is near.
pub(super) fn did_you_mean<'a>(written: &str, words: impl IntoIterator<Item = &'a str>) -> Option<Mend> {
    nearest(written, words).map(|word| Mend::DidYouMean { word: word.to_owned() })
}
