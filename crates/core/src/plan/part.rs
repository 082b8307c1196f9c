//! The parts of a score: what each point is for, and how much a part counts.

use std::collections::BTreeMap;

use serde::{Deserialize, Deserializer, Serialize, Serializer};

/// Points of a missing exposure (S1).
pub const MISSING: f64 = 10.0;
/// Points of a missing exposure of a ladder that carries a skill over to the other foot (S1).
pub const MISSING_CARRIED: f64 = 5.0;
/// Points of a session that passes before a goal is reached (S1).
pub const HASTE: f64 = 0.05;
/// A skill under way that rests longer than this many days begins to be forgotten (S3).
pub const RHYTHM_DAYS: i32 = 7;
/// A skill at its goal that rests longer than this many days begins to be lost (S4).
pub const MAINTENANCE_DAYS: i32 = 21;
/// Points of a week over that (S4).
pub const MAINTENANCE: f64 = 2.0;
/// Points of a percentage point of open play too little in a week (S5).
pub const OPEN_PLAY: f64 = 0.2;
/// From one exposure of a skill to the next the difficulty may change by this much (S6).
pub const STEP: f64 = 1.5;
/// Points of a difficulty point over that (S6).
pub const JUMP: f64 = 2.0;
/// Points of an unused minute (S8).
pub const UNUSED: f64 = 0.5;
/// Points of a percentage point that the other foot lacks (S9).
pub const OTHER_FOOT: f64 = 0.5;
/// Points of a minute of laying out (S10).
pub const LAYING_OUT: f64 = 0.4;
/// Share of waiting that is not counted (S11).
pub const STANDING_FREE: f64 = 0.2;
/// Points of a percentage point of waiting over that (S11).
pub const STANDING: f64 = 0.5;
/// Points of a percentage point that the expected success lies outside the window, in the mean of all minutes (S12).
pub const EDGE: f64 = 1.5;
/// Points of a time too few or too many in a week of what is wished every week (S13).
pub const OFF_WEEKLY: f64 = 2.0;
/// Points of a skill too many in a session (S14).
pub const UNFOCUSED: f64 = 1.0;
/// Percent of a session's minutes that serve the theme of its week at least (S14).
pub const HALF: f64 = 50.0;
/// Points of a percentage point that they have less (S14).
pub const OFF_THEME: f64 = 0.1;
/// The same for a theme that was wished (S14): at less, a plan that is laid near what stands would not turn to it.
pub const OFF_WISHED_THEME: f64 = 0.3;
/// Points of a session that does not end as open as it might (S15).
pub const ARC: f64 = 1.5;
/// Points of a block that is easier than an earlier one of its skill in the session (S15).
pub const EASIER: f64 = 0.5;
/// Points of a minute that a block is too short (S16).
pub const SHORT: f64 = 0.2;
/// Points of a stage that a test is to show before it is done (S17): a test for nothing costs two missing exposures.
pub const EARLY: f64 = 20.0;

/// One part of a score.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Part {
    /// Exposures that are missing on the way to a goal.
    #[serde(rename = "S1")]
    Goals,
    /// Minutes of the strands away from their shares.
    #[serde(rename = "S2")]
    Strands,
    /// Rests of what is under way.
    #[serde(rename = "S3")]
    Rhythm,
    /// Rests of what has reached its goal.
    #[serde(rename = "S4")]
    Maintenance,
    /// Weeks with too little open play.
    #[serde(rename = "S5")]
    OpenPlay,
    /// Jumps of difficulty.
    #[serde(rename = "S6")]
    Jumps,
    /// The same drill again and again.
    #[serde(rename = "S7")]
    Repetition,
    /// Unused minutes.
    #[serde(rename = "S8")]
    UnusedTime,
    /// Touches that the other foot lacks.
    #[serde(rename = "S9")]
    OtherFoot,
    /// Minutes of laying out.
    #[serde(rename = "S10")]
    LayingOut,
    /// Time that children stand and wait.
    #[serde(rename = "S11")]
    StandingTime,
    /// What is expected to come off too seldom, or too easily.
    #[serde(rename = "S12")]
    Edge,
    /// Weeks without what is wished every week, or with too much of it.
    #[serde(rename = "S13")]
    Weekly,
    /// Sessions with too many skills.
    #[serde(rename = "S14")]
    Focus,
    /// Sessions that do not rise.
    #[serde(rename = "S15")]
    Arc,
    /// Blocks that are shorter than their dose.
    #[serde(rename = "S16")]
    ShortBlocks,
    /// Tests that come before what they are to show.
    #[serde(rename = "S17")]
    Evidence,
}

impl Part {
    /// Every part, in the order of the table in [`crate::plan::score`].
    pub const ALL: [Part; 17] = [
        Part::Goals,
        Part::Strands,
        Part::Rhythm,
        Part::Maintenance,
        Part::OpenPlay,
        Part::Jumps,
        Part::Repetition,
        Part::UnusedTime,
        Part::OtherFoot,
        Part::LayingOut,
        Part::StandingTime,
        Part::Edge,
        Part::Weekly,
        Part::Focus,
        Part::Arc,
        Part::ShortBlocks,
        Part::Evidence,
    ];

    /// Its code in files: `S1`.
    pub fn code(self) -> &'static str {
        match self {
            Part::Goals => "S1",
            Part::Strands => "S2",
            Part::Rhythm => "S3",
            Part::Maintenance => "S4",
            Part::OpenPlay => "S5",
            Part::Jumps => "S6",
            Part::Repetition => "S7",
            Part::UnusedTime => "S8",
            Part::OtherFoot => "S9",
            Part::LayingOut => "S10",
            Part::StandingTime => "S11",
            Part::Edge => "S12",
            Part::Weekly => "S13",
            Part::Focus => "S14",
            Part::Arc => "S15",
            Part::ShortBlocks => "S16",
            Part::Evidence => "S17",
        }
    }

    /// Its word in codes: `goals`.
    pub fn word(self) -> &'static str {
        match self {
            Part::Goals => "goals",
            Part::Strands => "strands",
            Part::Rhythm => "rhythm",
            Part::Maintenance => "maintenance",
            Part::OpenPlay => "open-play",
            Part::Jumps => "jumps",
            Part::Repetition => "repetition",
            Part::UnusedTime => "unused",
            Part::OtherFoot => "other-foot",
            Part::LayingOut => "laying-out",
            Part::StandingTime => "standing",
            Part::Edge => "edge",
            Part::Weekly => "weekly",
            Part::Focus => "focus",
            Part::Arc => "arc",
            Part::ShortBlocks => "short-blocks",
            Part::Evidence => "evidence",
        }
    }

    /// The figures of its rule, in the order of the table in [`crate::plan::score`]: points first; then from where on
    /// they count (days, points of difficulty, percentage points), or the points of what else costs some.
    ///
    /// ```
    /// use jogo_core::plan::Part;
    /// assert_eq!(Part::Edge.figures(), [1.5]);
    /// assert_eq!(Part::Maintenance.figures(), [2.0, 21.0]);
    /// ```
    pub fn figures(self) -> &'static [f64] {
        match self {
            Part::Goals => &[MISSING, HASTE],
            Part::Strands => &[1.0],
            Part::Rhythm => &[1.0, RHYTHM_DAYS as f64],
            Part::Maintenance => &[MAINTENANCE, MAINTENANCE_DAYS as f64],
            Part::OpenPlay => &[OPEN_PLAY],
            Part::Jumps => &[JUMP, STEP],
            Part::Repetition => &[1.0],
            Part::UnusedTime => &[UNUSED],
            Part::OtherFoot => &[OTHER_FOOT],
            Part::LayingOut => &[LAYING_OUT],
            Part::StandingTime => &[STANDING, 100.0 * STANDING_FREE],
            Part::Edge => &[EDGE],
            Part::Weekly => &[OFF_WEEKLY],
            Part::Focus => &[UNFOCUSED, OFF_THEME, OFF_WISHED_THEME],
            Part::Arc => &[ARC, EASIER],
            Part::ShortBlocks => &[SHORT],
            Part::Evidence => &[EARLY],
        }
    }
}

/// How often each part of a score counts: once, unless it is said otherwise. From 0 (not at all) to 3.
///
/// ```
/// use jogo_core::plan::{Part, Weights};
/// let weights: Weights = serde_json::from_str(r#"{"S5": 2.0}"#).unwrap();
/// assert_eq!((weights.of(Part::OpenPlay), weights.of(Part::Goals)), (2.0, 1.0));
/// assert_eq!(serde_json::to_string(&weights).unwrap(), r#"{"S5":2.0}"#);
/// ```
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Weights([f64; Part::ALL.len()]);

impl Weights {
    /// Every part counts once.
    pub const PLAIN: Weights = Weights([1.0; Part::ALL.len()]);

    /// The same, with another weight for a part.
    pub const fn with(mut self, part: Part, weight: f64) -> Weights {
        self.0[part as usize] = weight;
        self
    }

    /// How often a part counts.
    pub fn of(&self, part: Part) -> f64 {
        self.0[part as usize]
    }

    /// Every part with its weight.
    pub fn of_parts(&self) -> impl Iterator<Item = (Part, f64)> + '_ {
        Part::ALL.into_iter().zip(self.0)
    }

    /// Whether every part counts once.
    pub fn are_plain(&self) -> bool {
        *self == Weights::PLAIN
    }
}

impl Default for Weights {
    fn default() -> Weights {
        Weights::PLAIN
    }
}

impl Serialize for Weights {
    fn serialize<S: Serializer>(&self, serializer: S) -> Result<S::Ok, S::Error> {
        serializer.collect_map(self.of_parts().filter(|(_, weight)| *weight != 1.0))
    }
}

impl<'de> Deserialize<'de> for Weights {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Weights, D::Error> {
        let said = BTreeMap::<Part, f64>::deserialize(deserializer)?;
        Ok(said.into_iter().fold(Weights::PLAIN, |weights, (part, weight)| weights.with(part, weight)))
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn parts_stand_in_their_order_under_their_codes() {
        for (place, part) in Part::ALL.into_iter().enumerate() {
            assert_eq!((part as usize, serde_json::to_value(part).unwrap()), (place, part.code().into()));
        }
    }

    #[test]
    fn weights_come_back_as_they_were_said() {
        for part in Part::ALL {
            let said = Weights::PLAIN.with(part, 2.5);
            let read: Weights = serde_json::from_value(serde_json::to_value(said).unwrap()).unwrap();
            assert_eq!((read, read.are_plain()), (said, false));
        }
        assert_eq!(serde_json::to_value(Weights::PLAIN).unwrap(), serde_json::json!({}));
    }
}
