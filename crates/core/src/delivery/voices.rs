//! Voices: what do coaches tell the director of a drill, and what has the director not answered yet?
//!
//! Of each coach of each team what was said last of a drill counts; an answer is for all that was said before it.
//!
//! ```
//! use jogo_core::delivery::voices::{Heard, Voice, heard};
//! let at = |minute: u8| format!("2031-02-10T18:{minute:02}:00Z").parse().unwrap();
//! let said = [("Orla", Voice::TooHard, at(0)), ("Tam", Voice::Works, at(5)), ("Orla", Voice::Works, at(30))];
//! let Heard { counts, unanswered } = heard(&said, Some(at(10)));
//! assert_eq!(counts.into_iter().collect::<Vec<_>>(), [(Voice::Works, 2)]);
//! assert_eq!(unanswered, 1, "Orla has changed her mind since the answer");
//! ```

use std::collections::BTreeMap;

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

/// What a coach says of a drill in one tap.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Voice {
    /// It works.
    Works,
    /// It does not fit the hall.
    DoesNotFit,
    /// It is too hard.
    TooHard,
    /// It is too easy.
    TooEasy,
    /// The children do not like it.
    NotLiked,
}

/// What is heard of a drill.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Heard {
    /// How many coaches say what.
    pub counts: BTreeMap<Voice, usize>,
    /// Coaches who have spoken since the last answer.
    pub unanswered: usize,
}

/// What is heard of all that was said of a drill, in the order in which it was said, and the time of the last answer;
/// `P` is whatever names a coach of a team.
pub fn heard<P: Ord>(said: &[(P, Voice, Timestamp)], answered: Option<Timestamp>) -> Heard {
    let last: BTreeMap<&P, (Voice, Timestamp)> =
        said.iter().map(|(who, voice, at)| (who, (*voice, *at))).collect();
    let mut heard = Heard::default();
    for (voice, at) in last.into_values() {
        *heard.counts.entry(voice).or_default() += 1;
        heard.unanswered += usize::from(answered.is_none_or(|answered| at > answered));
    }
    heard
}
