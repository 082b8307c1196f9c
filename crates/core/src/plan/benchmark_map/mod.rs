//! The benchmark map: can what a curriculum promises be shown?
//!
//! Each goal of a curriculum has a line: the milestones on the way to it, what evidence each asks for, in which
//! sessions that is taken or looked for, and whether the goal can be shown by the end. Where it cannot, a [`BenchmarkFinding`]
//! says why, with a [`BenchmarkMend`] where a single step mends it. Findings forbid nothing.
//!
//! A goal **can be shown** if a milestone of the band at its goal stage can. A milestone can be shown if
//!
//! - its **test** is taken in as many sessions as it asks for dates, each after the session with the last required
//!   exposure of its stage; and, where it asks for a level, the band has a standard for the test;
//! - its **points** can be looked for on as many days as it asks: in sessions with a block of its skill at its stage or
//!   a later one, or in which the test of those points is taken after the stage is done.
//!
//! ```
//! use jogo_core::plan::benchmark_map::{Given, Library, benchmark_map};
//! use jogo_core::plan::problem::example::{ExampleSize, example};
//! use jogo_core::plan::{Plan, curriculum::Curriculum};
//! # let wishes = include_str!("../../../../../demo/curriculum.json");
//! let curriculum: Curriculum = serde_json::from_str(wishes).unwrap();
//! let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 3, variants: 6 }, 1);
//! let plan = Plan { sessions: vec![vec![]; 4] };
//! let library = Library::default();
//! let map = benchmark_map(&Given { curriculum: &curriculum, problem: &problem, plan: &plan, library: &library });
//! // Without milestones nothing can be shown.
//! assert_eq!((map.shown, map.lines.len(), map.findings.len()), (0, 3, 3));
//! ```

mod findings;
mod mends;

use std::collections::{BTreeMap, BTreeSet};

use serde::Serialize;

use crate::assessment::benchmarks::Test;
use crate::assessment::levels::Thresholds;
use crate::assessment::milestones::{Measured, Milestone, Reach, Seen};
use crate::assessment::standards::Standard;
use crate::drill::Drill;
use crate::ids::{BandId, MilestoneId, SkillId, TestId};
use crate::plan::curriculum::Curriculum;
use crate::plan::{Plan, Problem, SkillWish, Stitch, stitches};
use crate::technique::skill::{Skill, Stage};

pub use findings::{BenchmarkFinding, MapFound};
pub use mends::BenchmarkMend;

/// A curriculum with its plan, and the library beside it.
#[derive(Clone, Copy, Debug)]
pub struct Given<'g> {
    /// The wishes.
    pub curriculum: &'g Curriculum,
    /// What they ask of a plan.
    pub problem: &'g Problem,
    /// The plan.
    pub plan: &'g Plan,
    /// What goals are shown with.
    pub library: &'g Library,
}

/// What goals are shown with.
#[derive(Clone, Debug, Default)]
pub struct Library {
    /// Milestones.
    pub milestones: Vec<Milestone>,
    /// Tests.
    pub tests: Vec<Test>,
    /// Standards.
    pub standards: Vec<Standard>,
    /// Skills.
    pub skills: Vec<Skill>,
    /// Drills, whose coaching points a new test may look for.
    pub drills: Vec<Drill>,
    /// Skills that are goals of another curriculum of the band in the same year.
    pub taught_elsewhere: BTreeSet<SkillId>,
    /// Thresholds that results suggest, for tests that have enough of them.
    pub suggested: BTreeMap<TestId, Thresholds>,
}

impl Library {
    /// The tests in which milestones of a band ask for a level, and for which it has no standard.
    pub fn without_standard(&self, band: &BandId) -> Vec<Test> {
        let asked = |test: &Test| {
            let of_test = |rule: &Measured| rule.test == test.id && matches!(rule.reach, Reach::Level(_));
            let asks = |m: &&Milestone| m.band == *band && m.evidence.measured().is_some_and(of_test);
            self.milestones.iter().any(|milestone| asks(&milestone))
        };
        let has = |test: &Test| self.standards.iter().any(|s| s.test == test.id && s.band == *band);
        self.tests.iter().filter(|test| asked(test) && !has(test)).cloned().collect()
    }
}

/// The benchmark map of a curriculum.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchmarkMap {
    /// A line for each goal, in the order of the wishes.
    pub lines: Vec<GoalLine>,
    /// How many goals can be shown…
    pub shown: u32,
    /// …by this week, the last one with a session.
    pub week: u32,
    /// What is amiss.
    pub findings: Vec<BenchmarkFinding>,
}

/// A goal, and how it can be shown.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct GoalLine {
    /// The skill.
    pub skill: SkillId,
    /// How far the squad has come; `None` if it has not met the skill.
    pub present: Option<Stage>,
    /// How far it is to come.
    pub goal: Stage,
    /// Its milestones of the band up to the goal, by stage.
    pub milestones: Vec<MilestoneLine>,
    /// Exposures of the skill in the whole plan.
    pub exposures: u32,
    /// Whether a milestone at the goal stage can be shown by the end.
    pub can_be_shown: bool,
}

/// A milestone, and how it can be shown.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MilestoneLine {
    /// Which one.
    pub milestone: MilestoneId,
    /// Its sentence.
    pub says: String,
    /// How far the skill has come with it.
    pub stage: Stage,
    /// Whether its stage counts as done before the curriculum begins.
    pub behind: bool,
    /// The test that measures it.
    pub measured: Option<TestId>,
    /// The test whose points are looked for.
    pub seen: Option<TestId>,
    /// Whether the band has the standard that it asks for; `None` if it asks for none.
    pub standard: Option<bool>,
    /// Sessions in which its test is taken.
    pub taken: Vec<usize>,
    /// Sessions in which its points can be looked for.
    pub looked_for: Vec<usize>,
    /// Exposures of the skill before the first of those sessions that counts; all of them if none does.
    pub exposures_before: u32,
    /// Whether it can be shown by the end.
    pub can_be_shown: bool,
}

/// When a stage is done in a plan.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Done {
    /// Before the curriculum begins.
    Already,
    /// With a block of this session.
    In(usize),
    Never,
}

impl Done {
    fn is_before(self, session: usize) -> bool {
        match self {
            Done::Already => true,
            Done::In(done) => done < session,
            Done::Never => false,
        }
    }
}

/// Draws the benchmark map. Time: O(goals × milestones × sessions).
pub fn benchmark_map(given: &Given<'_>) -> BenchmarkMap {
    let looking = Looking::of(given);
    let lines: Vec<GoalLine> = given.problem.goals().map(|wish| looking.line(wish)).collect();
    BenchmarkMap {
        shown: lines.iter().filter(|line| line.can_be_shown).count() as u32,
        week: given.problem.sessions.last().map_or(0, |session| session.week),
        findings: findings::of(&looking, &lines),
        lines,
    }
}

/// A curriculum with the exposures of its plan.
struct Looking<'g> {
    given: &'g Given<'g>,
    stitches: Vec<Stitch>,
}

impl<'g> Looking<'g> {
    fn of(given: &'g Given<'g>) -> Looking<'g> {
        Looking { given, stitches: stitches(given.problem, given.plan) }
    }

    fn line(&self, wish: &SkillWish) -> GoalLine {
        let up_to = self.milestones_of(&wish.id).filter(|milestone| milestone.stage <= wish.goal);
        let mut milestones: Vec<MilestoneLine> =
            up_to.map(|milestone| self.milestone(wish, milestone)).collect();
        milestones.sort_by_key(|line| line.stage);
        GoalLine {
            skill: wish.id.clone(),
            present: wish.present,
            goal: wish.goal,
            exposures: self.exposures(&wish.id).count() as u32,
            can_be_shown: milestones.iter().any(|line| line.stage == wish.goal && line.can_be_shown),
            milestones,
        }
    }

    /// The milestones of a skill in the band.
    fn milestones_of(&self, skill: &SkillId) -> impl Iterator<Item = &'g Milestone> {
        let band = &self.given.curriculum.band;
        let of_skill = |milestone: &&Milestone| milestone.band == *band && milestone.skill == *skill;
        self.given.library.milestones.iter().filter(of_skill)
    }

    fn exposures(&self, skill: &SkillId) -> impl Iterator<Item = &Stitch> {
        self.stitches.iter().filter(move |stitch| stitch.skill == *skill)
    }

    /// When the last required exposure of a stage comes.
    fn done(&self, wish: &SkillWish, stage: Stage) -> Done {
        if wish.has_done(stage) {
            return Done::Already;
        }
        let last = |stitch: &&Stitch| stitch.stage == stage && stitch.nth == stitch.of;
        self.exposures(&wish.id).find(last).map_or(Done::Never, |stitch| Done::In(stitch.session))
    }

    fn milestone(&self, wish: &SkillWish, milestone: &Milestone) -> MilestoneLine {
        let (measured, seen) = (milestone.evidence.measured(), milestone.evidence.seen());
        let done = self.done(wish, milestone.stage);
        let taken = measured.map_or_else(Vec::new, |rule| self.sittings(&rule.test));
        let looked_for = seen.map_or_else(Vec::new, |rule| self.looks(wish, milestone.stage, rule));
        let counts = taken.iter().filter(|session| done.is_before(**session)).chain(&looked_for);
        let first = counts.min().copied();
        let before = |stitch: &&Stitch| first.is_none_or(|first| stitch.session < first);
        let standard = measured.and_then(|rule| self.standard(rule));
        MilestoneLine {
            milestone: milestone.id.clone(),
            says: milestone.says.clone(),
            stage: milestone.stage,
            behind: wish.has_done(milestone.stage),
            measured: measured.map(|rule| rule.test.clone()),
            seen: seen.map(|rule| rule.test.clone()),
            standard,
            exposures_before: self.exposures(&wish.id).filter(before).count() as u32,
            can_be_shown: standard != Some(false)
                && measured.is_none_or(|rule| self.dates(done, &taken) >= rule.times)
                && seen.is_none_or(|rule| looked_for.len() as u32 >= rule.days),
            taken,
            looked_for,
        }
    }

    /// The sessions in which a test is taken, in order.
    fn sittings(&self, test: &TestId) -> Vec<usize> {
        let of_test = self.given.curriculum.tests.iter().filter(|sitting| sitting.test == *test);
        let sessions: BTreeSet<usize> = of_test.map(|sitting| sitting.session).collect();
        sessions.into_iter().collect()
    }

    /// On how many dates a test is taken once a stage is done.
    fn dates(&self, done: Done, taken: &[usize]) -> u32 {
        taken.iter().filter(|session| done.is_before(**session)).count() as u32
    }

    /// The sessions in which points can be looked for, in order.
    fn looks(&self, wish: &SkillWish, stage: Stage, rule: &Seen) -> Vec<usize> {
        let done = self.done(wish, stage);
        let in_blocks =
            self.exposures(&wish.id).filter(|stitch| stitch.stage >= stage).map(|stitch| stitch.session);
        let in_tests = self.sittings(&rule.test).into_iter().filter(|session| done.is_before(*session));
        let sessions: BTreeSet<usize> = in_blocks.chain(in_tests).collect();
        sessions.into_iter().collect()
    }

    /// Whether the band has the standard that a rule asks for; `None` if it asks for none.
    fn standard(&self, rule: &Measured) -> Option<bool> {
        let Reach::Level(_) = rule.reach else { return None };
        let (band, last) = (&self.given.curriculum.band, self.given.problem.sessions.last()?.date);
        let holds = |standard: &Standard| {
            standard.test == rule.test && standard.band == *band && standard.from <= last
        };
        Some(self.given.library.standards.iter().any(holds))
    }
}
