//! The library as a whole: is it what a good coach would sign?
//!
//! Each piece is checked by itself before it is kept. What is asked here needs more than one piece, or is no fault but
//! a doubt: a drill that no band can plan, a test that says ten tries and takes eight, two drills with one purpose.
//! Every [`Finding`] names the piece, the place in its JSON form, and a mend.
//!
//! | of | what is asked | where |
//! |---|---|---|
//! | skills | dosed in the band that begins them, called like no other | `skills` |
//! | drills | a ball where there are touches, room at home, people enough, cautions that fit, rungs that serve | `drills` |
//! | tests | asked for by something, numbers as their words say, points as in their drill, thresholds in reach | `benchmarks` |
//! | milestones | shown by what their own skill shows; one for each goal of a curriculum | `milestones` |
//! | words | no two alike, points short enough to call across a hall | each beside its piece |
//!
//! ```
//! use jogo_core::library::{Piece, Whole, lint};
//!
//! let skill = r#"{"id": "tap", "name": "Tap", "strand": "ball_mastery", "band": "u6-u7", "needs": []}"#;
//! let skills = [serde_json::from_str(skill).unwrap()];
//! let found = lint(&Whole { skills: &skills, ..Whole::default() });
//! assert_eq!(found[0].of, Piece::Skill("tap".parse().unwrap()));
//! assert_eq!((found[0].pointer.as_str(), found[0].says.code.as_ref()), ("/band", "library-skill-not-dosed"));
//! ```

mod alike;
mod benchmarks;
mod drills;
mod milestones;
mod skills;

use crate::academy::band::Band;
use crate::assessment::benchmarks::Test;
use crate::assessment::levels::Level;
use crate::assessment::milestones::Milestone;
use crate::assessment::standards::Standard;
use crate::drill::Drill;
use crate::fact::{Fact, facts};
use crate::ids::{DrillId, MilestoneId, SkillId, TestId};
use crate::plan::curriculum::Curriculum;
use crate::technique::skill::{Skill, Stage};

/// All that is in a library.
#[derive(Clone, Copy, Debug, Default)]
pub struct Whole<'l> {
    /// Bands.
    pub bands: &'l [Band],
    /// Skills.
    pub skills: &'l [Skill],
    /// Drills.
    pub drills: &'l [Drill],
    /// Tests.
    pub tests: &'l [Test],
    /// Standards.
    pub standards: &'l [Standard],
    /// Milestones.
    pub milestones: &'l [Milestone],
    /// Curricula that begin from it.
    pub curricula: &'l [Curriculum],
}

/// A piece of a library.
#[derive(Clone, Debug, PartialEq, Eq)]
#[allow(missing_docs)]
pub enum Piece {
    Skill(SkillId),
    Drill(DrillId),
    Test(TestId),
    /// By its place among the standards.
    Standard(usize),
    Milestone(MilestoneId),
    /// By its place among the curricula.
    Curriculum(usize),
}

/// What somebody who reads the library would ask.
#[derive(Clone, Debug, PartialEq)]
pub struct Finding {
    /// Of which piece.
    pub of: Piece,
    /// At which place of its JSON form (RFC 6901).
    pub pointer: String,
    /// What, and how to mend it.
    pub says: Fact,
}

impl Finding {
    fn new(of: Piece, pointer: impl Into<String>, says: LibraryFound) -> Finding {
        Finding { of, pointer: pointer.into(), says: says.into() }
    }
}

facts! {
    /// What is asked of a library.
    pub enum LibraryFound {
        SkillNotDosed = "library-skill-not-dosed" { skill: String, band: String },
        NoBall = "library-no-ball",
        HomeTooSmall = "library-home-too-small" { width: f64, depth: f64, needs_width: f64, needs_depth: f64 },
        HomeForMore = "library-home-for-more" { people: u32 },
        TooFew = "library-too-few" { least: u32, people: u32 },
        RungServesNothing = "library-rung-serves-nothing" { stage: Stage },
        CautionMissing = "library-caution-missing" { caution: Fact },
        CautionWithout = "library-caution-without" { caution: Fact },
        NeverPlanned = "library-never-planned" { band: String },
        NeverBegun = "library-never-begun" { band: String },
        LongPoint = "library-long-point" { point: String, words: usize, most: usize },
        Alike = "library-alike" { text: String, other: String },
        SaysOther = "library-says-other" { says: String, says_number: u32, has: u32 },
        OtherPoints = "library-other-points" { drill: String, point: String },
        NotAsked = "library-not-asked" { test: String },
        TooQuick = "library-too-quick" { band: String, level: Level, speed: f64, most: f64 },
        OtherSkill = "library-other-skill" { test: String, shows: String, skill: String },
        GoalNotShown = "library-goal-not-shown" { curriculum: String, skill: String, stage: Stage, band: String },
    }
}

/// All that is found, in the order of the pieces. What is a fault of a piece by itself is not said again.
///
/// Takes time in proportion to the pieces, but for the standards and the texts that are compared among themselves.
pub fn lint(library: &Whole<'_>) -> Vec<Finding> {
    [skills::lint, drills::lint, benchmarks::lint, milestones::lint]
        .into_iter()
        .flat_map(|of| of(library))
        .collect()
}
