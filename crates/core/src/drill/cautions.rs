//! Cautions: what could hurt, and what is not done at all?
//!
//! A drill carries tags; each has a text that is shown wherever the drill is shown. Drills with headers, and balls
//! played at head height, are off until the academy has entered the rule of its association that it relies on, and then
//! for every band that is younger than that rule allows. Whatever is said here, the association's rules and qualified
//! people come first.
//!
//! ```
//! use jogo_core::drill::cautions::{Blocked, Caution, HeadingRule, blocked};
//!
//! let rule = HeadingRule { from_age: 13, text: "Skerrow youth rules, part 4".into(), most_per_week: 10 };
//! assert_eq!(blocked(&[Caution::Heading], 14, Some(&rule)), None);
//! let young = Blocked::TooYoung { from_age: 13, youngest: 10 };
//! assert_eq!(blocked(&[Caution::Heading], 10, Some(&rule)), Some(young));
//! assert_eq!(blocked(&[Caution::Heading], 14, None), Some(Blocked::NoHeadingRule));
//! assert_eq!(blocked(&[Caution::Aerial], 8, None), None);
//! ```

use serde::{Deserialize, Serialize};

use crate::fact::{Fact, facts, told_by_word};
use crate::input::{InputError, RangeFault, What, short_text};

/// What could hurt in a drill.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Caution {
    /// Balls out of the air.
    Aerial,
    /// Headers, or balls played at head height.
    Heading,
    /// Standing on the ball or rolling it under the foot.
    BallUnderfoot,
    /// Somebody wants the ball.
    Contact,
    /// Hard ground.
    HardFloor,
    /// Hops and jumps.
    Jumping,
    /// Many answer one call at once.
    ReactionCrowding,
    /// Balls thrown by hand.
    ThrowInService,
}

impl Caution {
    /// All tags.
    pub const ALL: [Caution; 8] = [
        Caution::Aerial,
        Caution::Heading,
        Caution::BallUnderfoot,
        Caution::Contact,
        Caution::HardFloor,
        Caution::Jumping,
        Caution::ReactionCrowding,
        Caution::ThrowInService,
    ];

    /// What it is called in two or three words.
    pub fn tag(self) -> Fact {
        Fact::plain(format!("caution-tag-{}", self.word()))
    }

    /// As it is written in files: `ball_underfoot`.
    pub fn word(self) -> &'static str {
        match self {
            Caution::Aerial => "aerial",
            Caution::Heading => "heading",
            Caution::BallUnderfoot => "ball_underfoot",
            Caution::Contact => "contact",
            Caution::HardFloor => "hard_floor",
            Caution::Jumping => "jumping",
            Caution::ReactionCrowding => "reaction_crowding",
            Caution::ThrowInService => "throw_in_service",
        }
    }
}

told_by_word!(Caution, "caution");

/// What the association says of headers, as the director has entered it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct HeadingRule {
    /// Youngest age, in years, at which headers are practised.
    pub from_age: u8,
    /// The association's rule, in its own words or by its name and part.
    pub text: String,
    /// At most this many headers for each player in a week.
    pub most_per_week: u32,
}

impl HeadingRule {
    /// Every fault of a rule, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        if let Err(fault) = short_text(&self.text, 400, What::Rule) {
            faults.push(InputError::at("/text", fault));
        }
        let numbers = [
            ("/from_age", RangeFault::Years { value: self.from_age.into(), least: 6.0, most: 21.0 }),
            (
                "/most_per_week",
                RangeFault::Between { value: self.most_per_week.into(), least: 0.0, most: 100.0 },
            ),
        ];
        let wrong = numbers.into_iter().filter(|(_, fault)| !fault.holds());
        faults.extend(wrong.map(|(at, fault)| InputError::at(at, fault)));
        faults
    }
}

facts! {
    /// Why a drill is not done in a band.
    pub enum Blocked {
        NoHeadingRule = "blocked-no-heading-rule",
        TooYoung = "blocked-too-young" { from_age: u8, youngest: u8 },
    }
}

/// Why a drill with these tags is blocked for a band whose youngest are so old; `None` if it is not.
pub fn blocked(cautions: &[Caution], youngest: u8, rule: Option<&HeadingRule>) -> Option<Blocked> {
    if !cautions.contains(&Caution::Heading) {
        return None;
    }
    match rule {
        None => Some(Blocked::NoHeadingRule),
        Some(rule) => {
            (youngest < rule.from_age).then_some(Blocked::TooYoung { from_age: rule.from_age, youngest })
        }
    }
}
