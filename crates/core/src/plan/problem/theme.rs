//! What a week is about.

use serde::{Deserialize, Serialize};

use super::{ProblemFault, Variant};
use crate::ids::SkillId;
use crate::input::InputError;
use crate::technique::skill::Strand;

/// What half of a week's minutes are to serve.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Theme {
    /// A strand.
    Strand(Strand),
    /// One to three skills.
    Skills(Vec<SkillId>),
}

impl Theme {
    /// The most skills of a theme.
    pub const MOST_SKILLS: usize = 3;

    /// What is wrong with it on its own: too few skills, or too many.
    pub fn fault(&self) -> Option<InputError> {
        let Theme::Skills(skills) = self else { return None };
        let few = (1..=Theme::MOST_SKILLS).contains(&skills.len());
        let fault = ProblemFault::ThemeSkills { most: Theme::MOST_SKILLS };
        (!few).then(|| InputError::at("/skills", fault))
    }

    /// Which part of a variant's minutes serves it: its share of the strand, or all if it shows one of the skills,
    /// with whichever foot.
    ///
    /// ```
    /// use jogo_core::plan::{Theme, Variant};
    /// use jogo_core::technique::skill::{Stage, Strand};
    /// use jogo_core::units::Share;
    /// let weave = Variant {
    ///     strands: [(Strand::Dribbling, Share(0.75)), (Strand::BallMastery, Share(0.25))].into(),
    ///     ..Variant::of(&"weave-six".parse().unwrap(), Stage::Flow, &["weave".parse().unwrap()])
    /// };
    /// assert_eq!(Theme::Strand(Strand::Dribbling).share_of(&weave), 0.75);
    /// assert_eq!(Theme::Skills(vec!["weave".parse().unwrap()]).share_of(&weave), 1.0);
    /// ```
    pub fn share_of(&self, variant: &Variant) -> f64 {
        match self {
            Theme::Strand(strand) => variant.strands.get(strand).map_or(0.0, |share| share.0),
            Theme::Skills(skills) => {
                let serves = |shown: &SkillId| skills.iter().any(|skill| shown.is_of(skill));
                f64::from(variant.skills.iter().any(serves))
            }
        }
    }
}
