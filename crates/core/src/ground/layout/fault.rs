//! What is wrong with a layout text: where, what was expected, and how to mend it.

use std::fmt;

use serde::Serialize;

/// One fault of a layout text.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Fault {
    /// Line, from 1.
    pub line: u32,
    /// Column in characters, from 1.
    pub column: u32,
    /// What the reader looked for there.
    pub expected: String,
    /// How to mend it, where that can be said.
    pub mend: Option<String>,
}

impl fmt::Display for Fault {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "line {}, column {}: expected {}", self.line, self.column, self.expected)?;
        match &self.mend {
            Some(mend) => write!(f, ": {mend}"),
            None => Ok(()),
        }
    }
}

impl std::error::Error for Fault {}

/// The nearest of some words to what was written, as a question; nothing if none is near.
pub(super) fn did_you_mean<'a>(written: &str, words: impl IntoIterator<Item = &'a str>) -> Option<String> {
    let written: String = written.to_lowercase().chars().take(40).collect();
    words
        .into_iter()
        // Words of another length are further away than two letters: they need not be compared.
        .filter(|word| word.len().abs_diff(written.len()) <= 2)
        .map(|word| (strsim::osa_distance(&written, &word.to_lowercase()), word))
        .filter(|(away, word)| *away <= 2 && *away < word.chars().count())
        .min_by_key(|(away, _)| *away)
        .map(|(_, word)| format!("did you mean `{word}`?"))
}
