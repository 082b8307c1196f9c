//! The approach: how a curriculum goes about it.

use serde::{Deserialize, Serialize};

use super::ProblemFault;
use crate::input::{InputError, RangeFault};
use crate::plan::part::{Part, Weights};
use crate::technique::skill::Stage;
use crate::units::Share;

/// How much of a week is open play (Scan and Contest) at least; in between the line is straight.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct OpenPlay {
    /// Share of the first week's minutes.
    pub first: Share,
    /// Share of the last week's minutes.
    pub last: Share,
}

impl OpenPlay {
    /// The least share in a week: straight from the first week (1) to the last (`weeks`).
    ///
    /// ```
    /// use jogo_core::plan::OpenPlay;
    /// use jogo_core::units::Share;
    /// let line = OpenPlay { first: Share(0.1), last: Share(0.4) };
    /// assert_eq!(line.in_week(1, 7), Share(0.1));
    /// assert!((line.in_week(3, 7).0 - 0.2).abs() < 1e-12); // a third of the way
    /// assert_eq!(line.in_week(1, 1), Share(0.1)); // one week alone is the first
    /// ```
    pub fn in_week(&self, week: u32, weeks: u32) -> Share {
        let way = f64::from(week.saturating_sub(1)) / f64::from(weeks.saturating_sub(1).max(1));
        Share(self.first.0 + (self.last.0 - self.first.0) * way)
    }
}

/// Between which shares of success a drill is neither made harder nor easier.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct SuccessWindow {
    /// Below it, one down.
    pub least: Share,
    /// Above it, one up.
    pub most: Share,
}

/// When a stage of a skill may begin (H3).
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Ladder {
    /// In a later session than the last required exposure of the stage before.
    #[default]
    Strict,
    /// In a later session than the first exposure of the stage before.
    Overlapping,
    /// From the first session on. As long as Scan is not done, a Contest block of the skill comes after another block
    /// of it in the same session.
    Open,
}

impl Ladder {
    /// How many sessions after a stage has begun the next one may begin at the soonest; it needs `needed` exposures.
    ///
    /// ```
    /// use jogo_core::plan::Ladder;
    /// assert_eq!([Ladder::Strict, Ladder::Overlapping, Ladder::Open].map(|ladder| ladder.waits(3)), [3, 1, 0]);
    /// ```
    pub fn waits(self, needed: usize) -> usize {
        match self {
            Ladder::Strict => needed,
            Ladder::Overlapping => 1,
            Ladder::Open => 0,
        }
    }
}

/// How a curriculum goes about it. The three presets are assumptions; every number can be changed.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Approach {
    /// How many exposures each stage needs until it is done: Form, Flow, Scan, Contest. A session counts once.
    pub exposures: [u32; 4],
    /// When a stage may begin.
    #[serde(default)]
    pub ladder: Ladder,
    /// How much of the minutes is open play at least.
    #[serde(default = "balanced_open_play")]
    pub open_play: OpenPlay,
    /// When a drill is made harder or easier.
    #[serde(default = "balanced_window")]
    pub success_window: SuccessWindow,
    /// How much each part of the score counts.
    #[serde(default, skip_serializing_if = "Weights::are_plain")]
    #[cfg_attr(feature = "openapi", schema(value_type = std::collections::BTreeMap<String, f64>))]
    pub weights: Weights,
}

fn balanced_open_play() -> OpenPlay {
    Approach::BALANCED.open_play
}

fn balanced_window() -> SuccessWindow {
    Approach::BALANCED.success_window
}

impl Approach {
    /// Many clean repetitions alone, opponents last.
    pub const REPETITION_FIRST: Approach = Approach {
        exposures: [3, 3, 2, 2],
        ladder: Ladder::Strict,
        open_play: OpenPlay { first: Share(0.0), last: Share(0.3) },
        success_window: SuccessWindow { least: Share(0.8), most: Share(0.95) },
        weights: Weights::PLAIN.with(Part::Rhythm, 1.5).with(Part::Jumps, 1.5).with(Part::Arc, 0.5),
    };
    /// Between the two.
    pub const BALANCED: Approach = Approach {
        exposures: [2, 2, 2, 2],
        ladder: Ladder::Overlapping,
        open_play: OpenPlay { first: Share(0.1), last: Share(0.4) },
        success_window: SuccessWindow { least: Share(0.7), most: Share(0.9) },
        weights: Weights::PLAIN,
    };
    /// A cue or an opponent almost from the start.
    pub const DECISION_FIRST: Approach = Approach {
        exposures: [1, 1, 2, 3],
        ladder: Ladder::Open,
        open_play: OpenPlay { first: Share(0.25), last: Share(0.6) },
        success_window: SuccessWindow { least: Share(0.6), most: Share(0.8) },
        weights: Weights::PLAIN.with(Part::OpenPlay, 2.0).with(Part::Arc, 2.0).with(Part::Jumps, 0.5),
    };
    /// The three presets, with their names in files.
    pub const PRESETS: [(&str, Approach); 3] = [
        ("repetition_first", Approach::REPETITION_FIRST),
        ("balanced", Approach::BALANCED),
        ("decision_first", Approach::DECISION_FIRST),
    ];

    /// Exposures that a stage needs.
    pub fn needed(&self, stage: Stage) -> u32 {
        self.exposures[stage.index()]
    }

    /// Every number out of its range, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        for (i, n) in self.exposures.iter().enumerate().filter(|(_, n)| !(1..=10).contains(*n)) {
            let fault = RangeFault::Between { value: (*n).into(), least: 1.0, most: 10.0 };
            faults.push(InputError::at(format!("/exposures/{i}"), fault));
        }
        for (at, share) in [
            ("/open_play/first", self.open_play.first),
            ("/open_play/last", self.open_play.last),
            ("/success_window/least", self.success_window.least),
            ("/success_window/most", self.success_window.most),
        ] {
            if !(0.0..=1.0).contains(&share.0) {
                faults.push(InputError::at(at, RangeFault::Percent { percent: share.percent() }));
            }
        }
        for (part, weight) in self.weights.of_parts().filter(|(_, weight)| !(0.0..=3.0).contains(weight)) {
            let fault = RangeFault::Between { value: weight, least: 0.0, most: 3.0 };
            faults.push(InputError::at(format!("/weights/{}", part.code()), fault));
        }
        if self.success_window.least >= self.success_window.most {
            faults.push(InputError::at("/success_window/least", ProblemFault::NoWindow));
        }
        faults
    }
}
