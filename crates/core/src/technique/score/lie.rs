//! Where the ball lies: on the floor, in the air, in the hands?

use crate::technique::surface::Surface;
use crate::units::{Metres, Seconds};

use super::tempo::BodySize;

/// Where the ball is before the first beat, where a score says it.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
#[allow(missing_docs)]
pub enum Lie {
    Left,
    Right,
    Middle,
    Hands,
}

impl Lie {
    /// All of them, with their words.
    pub const ALL: [(&'static str, Lie); 4] =
        [("left", Lie::Left), ("right", Lie::Right), ("middle", Lie::Middle), ("hands", Lie::Hands)];

    /// The same in a mirror.
    pub fn mirrored(self) -> Lie {
        match self {
            Lie::Left => Lie::Right,
            Lie::Right => Lie::Left,
            lie => lie,
        }
    }
}

/// How high the ball goes.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
#[allow(missing_docs)]
pub enum Height {
    Knee,
    Waist,
    Head,
    Over,
}

/// Metres per second squared.
const GRAVITY: f64 = 9.81;

impl Height {
    /// All heights, with their words.
    pub const LIFTS: [(&'static str, Height); 4] =
        [("knee", Height::Knee), ("waist", Height::Waist), ("head", Height::Head), ("over", Height::Over)];

    /// Its word.
    pub fn word(self) -> &'static str {
        Height::LIFTS[self as usize].0
    }

    /// As high as the surface itself: a foot plays the ball up to the knee, a thigh to the waist, whatever is higher to
    /// the head. Assumptions.
    pub fn of_surface(surface: Surface) -> Height {
        match surface {
            Surface::Thigh => Height::Waist,
            Surface::Chest | Surface::Shoulder | Surface::Head => Height::Head,
            _ => Height::Knee,
        }
    }

    /// In metres, for children of this size. Assumptions.
    pub fn metres(self, size: BodySize) -> Metres {
        let of_twelve = match self {
            Height::Knee => 0.4,
            Height::Waist => 0.8,
            Height::Head => 1.3,
            Height::Over => 1.7,
        };
        Metres(of_twelve * size.0)
    }

    /// How long the ball is in the air when it goes up so high and comes down to where it was: √(8h ÷ g).
    ///
    /// Source: up and down again, each √(2h ÷ g), without the air's resistance.
    ///
    /// ```
    /// use jogo_core::technique::score::{lie::Height, tempo::BodySize};
    /// let seconds = Height::Head.flight(BodySize::default()).0;
    /// assert!((seconds - 1.0296).abs() < 1e-4); // √(8 × 1.3 ÷ 9.81)
    /// ```
    pub fn flight(self, size: BodySize) -> Seconds {
        Seconds((8.0 * self.metres(size).0 / GRAVITY).sqrt())
    }
}
