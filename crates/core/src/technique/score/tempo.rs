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

impl Tempos {
    /// The same with another fast one, as results have shown it: the others stay, unless they would be faster than it.
    ///
    /// ```
    /// use jogo_core::{technique::score::tempo::Tempos, units::Seconds};
    /// let slower = Tempos::up_to(8).with_fast(Seconds(0.72));
    /// assert_eq!((slower.fast, slower.in_rhythm, slower.own_pace), (Seconds(0.72), Seconds(0.72), Seconds(1.0)));
    /// ```
    pub fn with_fast(self, fast: Seconds) -> Tempos {
        let at_least = |beat: Seconds| if beat < fast { fast } else { beat };
        Tempos { own_pace: at_least(self.own_pace), in_rhythm: at_least(self.in_rhythm), fast }
    }

    /// Whether own pace is no faster than in rhythm, and that no faster than fast.
    pub fn in_order(&self) -> bool {
        self.own_pace >= self.in_rhythm && self.in_rhythm >= self.fast
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
