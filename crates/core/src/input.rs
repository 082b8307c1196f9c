//! Input: what is wrong with what was entered, and where?

use serde::Serialize;

/// One fault of an input: where it stands and how to mend it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct InputError {
    /// A JSON pointer into the input (RFC 6901), as `/minutes/3`.
    pub pointer: String,
    /// What is wrong and what would be right, in plain words.
    pub detail: String,
}

impl InputError {
    /// A fault at a place.
    pub fn at(pointer: impl Into<String>, detail: impl Into<String>) -> InputError {
        InputError { pointer: pointer.into(), detail: detail.into() }
    }
}

/// Checks a short text that people read: not empty, not longer than `most` characters, no control characters.
///
/// ```
/// use jogo_core::input::short_text;
/// assert_eq!(short_text("  Una Skar ", 40).unwrap(), "Una Skar");
/// assert!(short_text("", 40).is_err());
/// ```
pub fn short_text(text: &str, most: usize) -> Result<String, String> {
    let text = text.trim();
    let long = text.chars().count();
    if text.is_empty() {
        Err("is empty: write something here".into())
    } else if long > most {
        Err(format!("has {long} characters: at most {most} fit"))
    } else if text.chars().any(char::is_control) {
        Err("holds a control character: type it again without line breaks or tabs".into())
    } else {
        Ok(text.to_owned())
    }
}
