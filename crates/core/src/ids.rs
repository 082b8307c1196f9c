//! Ids: by which name is it known in files and addresses?
//!
//! An id is small letters, digits and single dashes, at most 60 of them, and is made only by checking that: by `parse`,
//! or by reading a document. Each kind has a type of its own, so that none can be taken for another.
//!
//! ```
//! use jogo_core::ids::BandId;
//! let band: BandId = "u8-u9".parse().unwrap();
//! assert_eq!(band, "u8-u9");
//! assert!("U8–U9".parse::<BandId>().is_err());
//! ```

use std::borrow::Borrow;
use std::fmt;
use std::ops::Deref;
use std::str::FromStr;

use serde::{Deserialize, Serialize};

use crate::fact::Value;
use crate::input::{NameFault, name_in_files};

/// Why a text is no id, and what would be one.
#[derive(Clone, Debug, PartialEq, thiserror::Error)]
#[error("{0}")]
pub struct NotAnId(pub NameFault);

macro_rules! id {
    ($(#[$says:meta])* $Id:ident) => {
        $(#[$says])*
        #[derive(Clone, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        #[cfg_attr(feature = "openapi", schema(pattern = "^[a-z0-9]+(-[a-z0-9]+)*$", max_length = 60))]
        #[serde(try_from = "String")]
        pub struct $Id(String);

        impl $Id {
            /// As text.
            pub fn as_str(&self) -> &str {
                &self.0
            }
        }

        impl TryFrom<String> for $Id {
            type Error = NotAnId;

            fn try_from(text: String) -> Result<$Id, NotAnId> {
                name_in_files(&text).map_err(NotAnId)?;
                Ok($Id(text))
            }
        }

        impl FromStr for $Id {
            type Err = NotAnId;

            fn from_str(text: &str) -> Result<$Id, NotAnId> {
                text.to_owned().try_into()
            }
        }

        impl Deref for $Id {
            type Target = str;

            fn deref(&self) -> &str {
                &self.0
            }
        }

        impl Borrow<str> for $Id {
            fn borrow(&self) -> &str {
                &self.0
            }
        }

        impl PartialEq<str> for $Id {
            fn eq(&self, text: &str) -> bool {
                self.0 == text
            }
        }

        impl PartialEq<&str> for $Id {
            fn eq(&self, text: &&str) -> bool {
                self.0 == *text
            }
        }

        impl From<$Id> for Value {
            fn from(id: $Id) -> Value {
                Value::Text(id.0)
            }
        }

        impl fmt::Display for $Id {
            fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
                f.pad(&self.0)
            }
        }
    };
}

id! {
    /// The id of a band, as `u8-u9`.
    BandId
}

id! {
    /// The id of a skill, as `sole-roll-stop`.
    SkillId
}

/// What stands behind the id of a skill where it is the ladder of the other foot.
const OTHER_FOOT: &str = "-other-foot";

impl SkillId {
    /// The id of the other foot's ladder; `None` if that would be too long for an id.
    ///
    /// ```
    /// use jogo_core::ids::SkillId;
    /// let skill: SkillId = "turn-behind".parse().unwrap();
    /// let other = skill.other_foot().unwrap();
    /// assert_eq!(other, "turn-behind-other-foot");
    /// assert!(other.is_of(&skill) && skill.is_of(&skill) && !skill.is_of(&other));
    /// ```
    pub fn other_foot(&self) -> Option<SkillId> {
        format!("{self}{OTHER_FOOT}").parse().ok()
    }

    /// Whether it is a skill's own id, or that of its other foot's ladder.
    pub fn is_of(&self, skill: &SkillId) -> bool {
        self == skill || self.strip_suffix(OTHER_FOOT) == Some(skill.as_str())
    }
}

id! {
    /// The id of a drill, as `weave-there-and-back`.
    DrillId
}

id! {
    /// The id of a test, as `weave-time`.
    TestId
}

id! {
    /// The id of a milestone, as `sole-turn-looking-up`.
    MilestoneId
}

macro_rules! numbered {
    ($Id:ident, $kind:literal) => {
        impl $Id {
            /// The id of the nth thing that is made up, counted from 1.
            pub(crate) fn numbered(n: u32) -> $Id {
                $Id(format!(concat!($kind, "-{}"), n))
            }
        }
    };
}

numbered!(SkillId, "skill");
numbered!(DrillId, "drill");
numbered!(TestId, "test");

/// An id that a test names.
#[cfg(test)]
pub(crate) fn called<T: FromStr<Err: fmt::Debug>>(id: &str) -> T {
    id.parse().unwrap()
}
