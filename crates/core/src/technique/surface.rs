//! Surfaces: what of the foot or body meets the ball?

use serde::{Deserialize, Serialize};

/// A surface of the foot or body that plays the ball.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Surface {
    Inside,
    Outside,
    Sole,
    Laces,
    Toe,
    Heel,
    Thigh,
    Chest,
    Head,
    Shoulder,
}

impl Surface {
    /// All surfaces, those of the foot first.
    pub const ALL: [Surface; 10] = [
        Surface::Inside,
        Surface::Outside,
        Surface::Sole,
        Surface::Laces,
        Surface::Toe,
        Surface::Heel,
        Surface::Thigh,
        Surface::Chest,
        Surface::Head,
        Surface::Shoulder,
    ];

    /// As it is written in files and scores: `inside`.
    pub fn word(self) -> &'static str {
        match self {
            Surface::Inside => "inside",
            Surface::Outside => "outside",
            Surface::Sole => "sole",
            Surface::Laces => "laces",
            Surface::Toe => "toe",
            Surface::Heel => "heel",
            Surface::Thigh => "thigh",
            Surface::Chest => "chest",
            Surface::Head => "head",
            Surface::Shoulder => "shoulder",
        }
    }

    /// Whether it is a part of the foot.
    pub fn of_foot(self) -> bool {
        self <= Surface::Heel
    }

    /// Whether there is one on the left and one on the right.
    pub fn is_paired(self) -> bool {
        !matches!(self, Surface::Chest | Surface::Head)
    }
}
