//! Input: what is wrong with what was entered, and where?

pub mod notation;
pub mod sheet;

use serde::Serialize;

use crate::fact::{Fact, facts};

/// One fault of an input: where it is and how to mend it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct InputError {
    /// A JSON pointer into the input (RFC 6901), as `/minutes/3`.
    pub pointer: String,
    /// What is wrong and what would be right.
    #[serde(flatten)]
    pub fact: Fact,
}

facts! {
    /// What a text is: the words before a fault of it.
    pub enum What {
        Name = "what-name",
        ShortName = "what-short-name",
        Login = "what-login",
        Title = "what-title",
        Purpose = "what-purpose",
        InGame = "what-in-game",
        Point = "what-point",
        Kit = "what-kit",
        StandIn = "what-stand-in",
        Move = "what-move",
        Challenge = "what-challenge",
        FaultSeen = "what-fault-seen",
        FaultWhy = "what-fault-why",
        FaultSaid = "what-fault-said",
        Reason = "what-reason",
        Note = "what-note",
        Sentence = "what-sentence",
        Word = "what-word",
        Source = "what-source",
        Rule = "what-rule",
        Instruction = "what-instruction",
        StrongFoot = "what-strong-foot",
        Foot = "what-foot",
        Phrase = "what-phrase",
        Club = "what-club",
        Team = "what-team",
        Coach = "what-coach",
    }

    /// What is wrong with a short text.
    pub enum TextFault {
        Empty = "text-empty" { what: What },
        Long = "text-long" { what: What, long: usize, most: usize },
        Control = "text-control" { what: What },
    }

    /// What is wrong with a name for files.
    pub enum NameFault {
        Empty = "name-empty",
        Letters = "name-letters" { name: String },
    }

    /// What is wrong with a number or a list, wherever it is.
    pub enum RangeFault {
        Between = "range-between" { value: f64, least: f64, most: f64 },
        Minutes = "range-minutes" { value: f64, least: f64, most: f64 },
        Seconds = "range-seconds" { value: f64, least: f64, most: f64 },
        Metres = "range-metres" { value: f64, least: f64, most: f64 },
        Speed = "range-speed" { value: f64, least: f64, most: f64 },
        Years = "range-years" { value: f64, least: f64, most: f64 },
        Count = "range-count" { count: usize, least: usize, most: usize },
        Most = "range-most" { count: usize, most: usize },
        Shares = "range-shares" { percent: f64 },
        Share = "range-share" { value: f64 },
        Percent = "range-percent" { percent: f64 },
        Twice = "listed-twice" { id: String },
        NoneNamed = "listed-none",
    }

    /// What the library does not have.
    pub enum Unknown {
        Band = "unknown-band" { id: String },
        Skill = "unknown-skill" { id: String },
        Test = "unknown-test" { id: String },
        Milestone = "unknown-milestone" { id: String },
        Drill = "unknown-drill" { id: String },
    }
}

impl InputError {
    /// A fault at a place.
    pub fn at(pointer: impl Into<String>, fact: impl Into<Fact>) -> InputError {
        InputError { pointer: pointer.into(), fact: fact.into() }
    }

    /// The same fault, in something that stands inside something else.
    pub fn inside(self, place: &str) -> InputError {
        InputError { pointer: format!("{place}{}", self.pointer), ..self }
    }
}

impl RangeFault {
    /// Whether the value lies in its range after all: then it is no fault.
    pub(crate) fn holds(&self) -> bool {
        match *self {
            RangeFault::Between { value, least, most }
            | RangeFault::Minutes { value, least, most }
            | RangeFault::Seconds { value, least, most }
            | RangeFault::Metres { value, least, most }
            | RangeFault::Speed { value, least, most }
            | RangeFault::Years { value, least, most } => (least..=most).contains(&value),
            RangeFault::Count { count, least, most } => (least..=most).contains(&count),
            RangeFault::Most { count, most } => count <= most,
            _ => false,
        }
    }
}

/// Checks a short text that people read: not empty, not longer than `most` characters, no control characters.
///
/// ```
/// use jogo_core::input::{TextFault, What, short_text};
/// assert_eq!(short_text("  Una Skar ", 40, What::Name).unwrap(), "Una Skar");
/// assert_eq!(short_text("", 40, What::Name), Err(TextFault::Empty { what: What::Name }));
/// ```
pub fn short_text(text: &str, most: usize, what: What) -> Result<String, TextFault> {
    let text = text.trim();
    let long = text.chars().count();
    if text.is_empty() {
        Err(TextFault::Empty { what })
    } else if long > most {
        Err(TextFault::Long { what, long, most })
    } else if text.chars().any(char::is_control) {
        Err(TextFault::Control { what })
    } else {
        Ok(text.to_owned())
    }
}

/// Checks a name for files and addresses: 1 to 60 small letters, digits and single dashes, as `weave-there-and-back`.
///
/// ```
/// use jogo_core::input::{NameFault, name_in_files};
/// assert!(name_in_files("weave-there-and-back").is_ok());
/// assert!(name_in_files("../weave").is_err());
/// assert_eq!(name_in_files(""), Err(NameFault::Empty));
/// ```
pub fn name_in_files(name: &str) -> Result<(), NameFault> {
    let letters =
        |part: &str| !part.is_empty() && part.chars().all(|c| c.is_ascii_lowercase() || c.is_ascii_digit());
    if name.len() <= 60 && name.split('-').all(letters) {
        return Ok(());
    }
    if name.is_empty() {
        return Err(NameFault::Empty);
    }
    Err(NameFault::Letters { name: name.chars().take(40).collect() })
}
