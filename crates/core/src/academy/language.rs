//! Languages: in which one does somebody read?
//!
//! The core finds facts and says nothing; which language they are said in is a setting, of a person for screens and
//! letters, and of the academy for whatever is printed and for whoever has chosen none.
//!
//! ```
//! use jogo_core::academy::language::Language;
//! assert_eq!(Language::German.code(), "de");
//! assert_eq!(Language::default(), Language::English);
//! ```

use serde::{Deserialize, Serialize};

/// A language that Jogo speaks.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Language {
    /// English.
    #[default]
    #[serde(rename = "en")]
    English,
    /// German.
    #[serde(rename = "de")]
    German,
}

impl Language {
    /// Every language.
    pub const ALL: [Language; 2] = [Language::English, Language::German];

    /// Its code, as in `locales/` and in `lang` of a page: `en`.
    pub fn code(self) -> &'static str {
        match self {
            Language::English => "en",
            Language::German => "de",
        }
    }
}
