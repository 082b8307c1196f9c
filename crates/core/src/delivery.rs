//! Delivery: what really happened to a planned session?
//!
//! A coach says of each block that it was done, cut short or skipped. What was said is never overwritten: each saying is
//! an entry with an id made on the device, entries may arrive in any order and any number of times, and the latest one
//! counts.

use serde::{Deserialize, Serialize};

use crate::units::Minutes;

/// What became of a block.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Outcome {
    /// Done as planned.
    Done,
    /// Begun, and cut short.
    Short,
    /// Left out.
    Skipped,
}

impl Outcome {
    /// The minutes that count as delivered: the planned ones if done; if cut short those that were said, or half of the
    /// planned ones if none were said; none if skipped.
    ///
    /// ```
    /// use jogo_core::{delivery::Outcome, units::Minutes};
    /// assert_eq!(Outcome::Done.delivered(Minutes(8), None), Minutes(8));
    /// assert_eq!(Outcome::Short.delivered(Minutes(9), None), Minutes(4));
    /// assert_eq!(Outcome::Short.delivered(Minutes(9), Some(Minutes(6))), Minutes(6));
    /// assert_eq!(Outcome::Skipped.delivered(Minutes(8), Some(Minutes(3))), Minutes(0));
    /// ```
    pub fn delivered(self, planned: Minutes, said: Option<Minutes>) -> Minutes {
        match self {
            Outcome::Done => planned,
            Outcome::Short => said.unwrap_or(Minutes(planned.0 / 2)).min(planned),
            Outcome::Skipped => Minutes(0),
        }
    }
}
