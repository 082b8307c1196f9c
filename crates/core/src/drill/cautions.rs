//! Cautions: what could hurt, and what is not done at all?
//!
//! A drill carries tags; each has a text that stands wherever the drill stands. Drills with headers, and balls played
//! at head height, are off until the academy has entered the rule of its association that it relies on, and then for
//! every band that is younger than that rule allows. Whatever stands here, the association's rules and qualified
//! people come first.
//!
//! ```
//! use jogo_core::drill::cautions::{Caution, HeadingRule, blocked};
//!
//! let rule = HeadingRule { from_age: 13, text: "Skerrow youth rules, part 4".into(), most_per_week: 10 };
//! assert_eq!(blocked(&[Caution::Heading], 14, Some(&rule)), None);
//! assert!(blocked(&[Caution::Heading], 10, Some(&rule)).unwrap().contains("from 13"));
//! assert!(blocked(&[Caution::Heading], 14, None).unwrap().contains("has not entered"));
//! assert_eq!(blocked(&[Caution::Aerial], 8, None), None);
//! ```

use serde::{Deserialize, Serialize};

use crate::input::{InputError, short_text};

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

    /// What a coach is told, in one or two short sentences.
    pub fn text(self) -> &'static str {
        match self {
            Caution::Aerial => "A slightly softer ball for the first balls out of the air",
            Caution::Heading => {
                "Headers only as the association's rule allows. A suspected head injury: stop, and no return the same day"
            }
            Caution::BallUnderfoot => {
                "The ball rolls away under a foot: dry floor, clear space, hold a partner at first"
            }
            Caution::Contact => "Shin guards on, and only children of like size against each other",
            Caution::HardFloor => "Hard ground: a softer ball, and no sliding",
            Caution::Jumping => {
                "Warm up first. Pain around knee or heel: stop, and see a qualified medical person"
            }
            Caution::ReactionCrowding => {
                "All move at one call: an arm's length between children, and nobody runs across another"
            }
            Caution::ThrowInService => {
                "Throw underarm and to the feet or thigh, never at somebody who does not look"
            }
        }
    }
}

/// What the association says of headers, as the director has entered it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct HeadingRule {
    /// Youngest age, in years, at which headers are practised.
    pub from_age: u8,
    /// The association's rule, in its own words or by its name and part.
    pub text: String,
    /// At most so many headers for each player in a week.
    pub most_per_week: u32,
}

impl HeadingRule {
    /// Every fault of a rule, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        if !(6..=21).contains(&self.from_age) {
            let says = format!("{} years: an age between 6 and 21", self.from_age);
            faults.push(InputError::at("/from_age", says));
        }
        if let Err(says) = short_text(&self.text, 400) {
            faults.push(InputError::at("/text", format!("the association's rule {says}")));
        }
        if self.most_per_week > 100 {
            let says = format!("{} headers: at most 100 a week", self.most_per_week);
            faults.push(InputError::at("/most_per_week", says));
        }
        faults
    }
}

/// Why a drill with these tags is blocked for a band whose youngest are so old; nothing if it is not.
pub fn blocked(cautions: &[Caution], youngest: u8, rule: Option<&HeadingRule>) -> Option<String> {
    if !cautions.contains(&Caution::Heading) {
        return None;
    }
    match rule {
        None => Some(
            "Blocked: it has headers, and the academy has not entered the association's rule it relies on"
                .into(),
        ),
        Some(rule) if youngest < rule.from_age => Some(format!(
            "Blocked: it has headers, which the academy practises from {} years on, and this band begins at {youngest}",
            rule.from_age
        )),
        Some(_) => None,
    }
}
