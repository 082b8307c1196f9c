//! Tempo: how fast do children of an age count, and how tall are they?

use serde::{Deserialize, Serialize};

use crate::units::Seconds;

/// Seconds of a beat. Assumptions, until the academy says where they come from.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Tempos {
    /// At one's own pace.
    pub own_pace: Seconds,
    /// In rhythm.
    pub in_rhythm: Seconds,
    /// As fast as they can.
    pub fast: Seconds,
}

impl Tempos {
    /// The usual ones for children up to this age, in years: U12 are eleven at most. Assumptions.
    ///
    /// ```
    /// use jogo_core::{technique::score::tempo::Tempos, units::Seconds};
    /// assert_eq!(Tempos::up_to(11).in_rhythm, Seconds(0.55));
    /// ```
    pub fn up_to(age: u8) -> Tempos {
        let (own_pace, in_rhythm, fast) = match age {
            ..=6 => (1.2, 0.8, 0.55),
            7..=8 => (1.0, 0.65, 0.45),
            9..=11 => (0.9, 0.55, 0.38),
            12.. => (0.8, 0.5, 0.32),
        };
        Tempos { own_pace: Seconds(own_pace), in_rhythm: Seconds(in_rhythm), fast: Seconds(fast) }
    }
}

/// How tall children are beside those of ten to twelve: reach and heights are multiplied by it.
#[derive(Clone, Copy, Debug, PartialEq, PartialOrd)]
pub struct BodySize(pub f64);

impl BodySize {
    /// Of children up to this age, in years. Assumptions.
    pub fn up_to(age: u8) -> BodySize {
        BodySize(match age {
            ..=6 => 0.75,
            7..=8 => 0.85,
            9..=11 => 1.0,
            12.. => 1.15,
        })
    }
}

impl Default for BodySize {
    fn default() -> BodySize {
        BodySize(1.0)
    }
}
