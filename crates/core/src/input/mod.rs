//! Input: what is wrong with what was entered, and where?

pub mod sheet;

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

    /// The same fault, in something that stands inside something else.
    pub fn inside(self, place: &str) -> InputError {
        InputError { pointer: format!("{place}{}", self.pointer), ..self }
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

/// Checks a name for files and addresses: 1 to 60 small letters, digits and single dashes, as `weave-there-and-back`.
///
/// ```
/// use jogo_core::input::name_in_files;
/// assert!(name_in_files("weave-there-and-back").is_ok());
/// assert!(name_in_files("../weave").is_err());
/// assert_eq!(name_in_files(""), Err("nothing is named here: choose one, or give it a name".into()));
/// ```
pub fn name_in_files(name: &str) -> Result<(), String> {
    let letters =
        |part: &str| !part.is_empty() && part.chars().all(|c| c.is_ascii_lowercase() || c.is_ascii_digit());
    if name.len() <= 60 && name.split('-').all(letters) {
        return Ok(());
    }
    if name.is_empty() {
        return Err("nothing is named here: choose one, or give it a name".into());
    }
    let shown: String = name.chars().take(40).collect();
    Err(format!(
        "`{shown}` cannot be a name in files: small letters, digits and single dashes, as `weave-there-and-back`"
    ))
}
