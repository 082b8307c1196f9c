//! Skills: what is learned, how far has it come, what does it need first?

use serde::{Deserialize, Serialize};

use crate::fact::told_by_word;
use crate::ids::{BandId, MilestoneId, SkillId, TestId};
use crate::units::Share;

/// One of the four lines that a curriculum is made of.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Strand {
    /// The ball and the foot, close by.
    BallMastery,
    /// Running with the ball, turning, going past.
    Dribbling,
    /// Taking the ball, on the floor and out of the air.
    Receiving,
    /// Giving the ball.
    Passing,
}

impl Strand {
    /// All strands, in the order in which they are always shown.
    pub const ALL: [Strand; 4] = [Strand::BallMastery, Strand::Dribbling, Strand::Receiving, Strand::Passing];

    /// Its place in [`Strand::ALL`].
    pub fn index(self) -> usize {
        self as usize
    }

    /// As it is written in files: `ball_mastery`.
    pub fn word(self) -> &'static str {
        match self {
            Strand::BallMastery => "ball_mastery",
            Strand::Dribbling => "dribbling",
            Strand::Receiving => "receiving",
            Strand::Passing => "passing",
        }
    }
}

told_by_word!(Strand, "strand");

/// How far a skill has come.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Stage {
    /// Correct and slow, on the spot.
    Form,
    /// In rhythm, at speed, on the move.
    Flow,
    /// Eyes up, answering a cue.
    Scan,
    /// Against someone.
    Contest,
}

impl Stage {
    /// All stages, from the first to the last.
    pub const ALL: [Stage; 4] = [Stage::Form, Stage::Flow, Stage::Scan, Stage::Contest];

    /// Its place in [`Stage::ALL`].
    pub const fn index(self) -> usize {
        self as usize
    }

    /// As it is written in files: `form`.
    pub fn word(self) -> &'static str {
        match self {
            Stage::Form => "form",
            Stage::Flow => "flow",
            Stage::Scan => "scan",
            Stage::Contest => "contest",
        }
    }

    /// The stage before this one; nothing comes before Form.
    pub fn before(self) -> Option<Stage> {
        self.index().checked_sub(1).map(|i| Stage::ALL[i])
    }
}

told_by_word!(Stage, "stage");

/// A foot.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Side {
    /// The left foot.
    Left,
    /// The right foot.
    Right,
}

impl Side {
    /// Both feet.
    pub const ALL: [Side; 2] = [Side::Left, Side::Right];

    /// As it is written in files: `left`.
    pub fn word(self) -> &'static str {
        match self {
            Side::Left => "left",
            Side::Right => "right",
        }
    }

    /// The one across.
    pub fn other(self) -> Side {
        match self {
            Side::Left => Side::Right,
            Side::Right => Side::Left,
        }
    }
}

/// A player's feet, as they are told apart in a plan: left and right differ from child to child.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Foot {
    /// The one that a player plays with by choice.
    Strong,
    /// The other one.
    Other,
}

impl Foot {
    /// Both.
    pub const ALL: [Foot; 2] = [Foot::Strong, Foot::Other];

    /// What a side is to a player with this strong foot.
    pub fn of(side: Side, strong: Side) -> Foot {
        if side == strong { Foot::Strong } else { Foot::Other }
    }

    /// As it is written in files: `strong`.
    pub fn word(self) -> &'static str {
        match self {
            Foot::Strong => "strong",
            Foot::Other => "other",
        }
    }
}

/// A skill that must have come to a stage before another one is met.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Need {
    /// The skill that is needed.
    pub skill: SkillId,
    /// How far it must have come.
    pub stage: Stage,
}

/// How a skill is shared among the feet.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum SidePolicy {
    /// Both feet alike.
    #[default]
    Equal,
    /// The other foot gets more.
    OtherMore,
    /// The strong foot first, then carried over.
    StrongFirst,
    /// The foot does not matter.
    NotSided,
}

impl SidePolicy {
    /// The share of touches that the other foot is to get, an assumption; `None` if the foot does not matter.
    ///
    /// ```
    /// use jogo_core::{technique::skill::SidePolicy, units::Share};
    /// assert_eq!(SidePolicy::OtherMore.other_foot(), Some(Share(0.6)));
    /// assert_eq!(SidePolicy::NotSided.other_foot(), None);
    /// ```
    pub fn other_foot(self) -> Option<Share> {
        match self {
            SidePolicy::Equal => Some(Share(0.5)),
            SidePolicy::OtherMore => Some(Share(0.6)),
            SidePolicy::StrongFirst => Some(Share(0.3)),
            SidePolicy::NotSided => None,
        }
    }
}

/// What shows that a player is ready for a skill.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub enum Gate {
    /// A "can do" sentence, met so often.
    Milestone {
        /// The milestone, by its id: its sentence may be reworded.
        milestone: MilestoneId,
        /// How many times…
        times: u32,
        /// …out of this many latest dates.
        of_last: u32,
    },
    /// A result of a test, reached so often.
    Test {
        /// The name of the test.
        test: TestId,
        /// At least this, or at most where less is better.
        value: f64,
        /// How many times…
        times: u32,
        /// …out of this many latest dates.
        of_last: u32,
    },
}

impl Gate {
    /// The milestone that it asks for, if it asks for one.
    pub fn milestone(&self) -> Option<&MilestoneId> {
        match self {
            Gate::Milestone { milestone, .. } => Some(milestone),
            Gate::Test { .. } => None,
        }
    }

    /// The test that it asks for, if it asks for one.
    pub fn test(&self) -> Option<&TestId> {
        match self {
            Gate::Test { test, .. } => Some(test),
            Gate::Milestone { .. } => None,
        }
    }
}

/// A technique that can be named and judged.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Skill {
    /// As `sole-roll-stop`.
    pub id: SkillId,
    /// As a coach says it, named by what the foot does.
    pub name: String,
    /// The line it belongs to.
    pub strand: Strand,
    /// The band in which it is usually started.
    pub band: BandId,
    /// What must have come how far before it is met.
    pub needs: Vec<Need>,
    /// The skills that are joined in it; it needs each of them, at Form unless `needs` asks for more.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub parts: Vec<SkillId>,
    /// Skills that make it easier, and need not be there.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub helps: Vec<SkillId>,
    /// How it is shared among the feet.
    #[serde(default, skip_serializing_if = "is_equal")]
    pub side: SidePolicy,
    /// What shows that a player is ready for it.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub gate: Option<Gate>,
    /// What the feet do, beat by beat.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub score: Option<String>,
}

fn is_equal(side: &SidePolicy) -> bool {
    *side == SidePolicy::Equal
}

impl Skill {
    /// The longest name, in characters.
    pub const LONGEST_NAME: usize = 60;

    /// Everything that must have come how far before it is met: its needs, and its parts at Form where no need asks for
    /// more of them.
    ///
    /// ```
    /// use jogo_core::technique::skill::{Skill, Stage};
    /// let json = r#"{"id": "chain", "name": "Tap, stop, step", "strand": "ball_mastery", "band": "u8-u9",
    ///     "needs": [{"skill": "tap", "stage": "flow"}], "parts": ["tap", "stop"]}"#;
    /// let chain: Skill = serde_json::from_str(json).unwrap();
    /// let all: Vec<_> = chain.all_needs().map(|need| (need.skill.to_string(), need.stage)).collect();
    /// assert_eq!(all, [("tap".to_owned(), Stage::Flow), ("stop".to_owned(), Stage::Form)]);
    /// ```
    pub fn all_needs(&self) -> impl Iterator<Item = Need> + '_ {
        let unsaid = |part: &&SkillId| !self.needs.iter().any(|need| need.skill == **part);
        let joined =
            self.parts.iter().filter(unsaid).map(|part| Need { skill: part.clone(), stage: Stage::Form });
        self.needs.iter().cloned().chain(joined)
    }
}
