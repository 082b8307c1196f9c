//! A problem for the planner, and the plan that answers it. Both have a JSON form.

mod approach;
pub mod example;
mod faults;
mod hinge;
mod identity;
mod layout_change;
mod soonest;
mod theme;
mod variant;
mod weekly;

use std::collections::{BTreeMap, BTreeSet};

use jiff::ToSpan;
use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::drill::levers::{Intensity, Levers};
use crate::fact::{Fact, Quoted, Value, facts};
use crate::ids::{DrillId, SkillId, TestId};
use crate::input::InputError;
use crate::plan::part::{MAINTENANCE_DAYS, MISSING, MISSING_CARRIED, RHYTHM_DAYS};
use crate::technique::skill::{Foot, Need, Stage, Strand};
use crate::units::{Difficulty, Minutes, Seconds, Share};

pub use approach::{Approach, Ladder, OpenPlay, SuccessWindow};
pub use hinge::Hinge;
pub use identity::{BlockId, Place, left_their_session};
pub use layout_change::LayoutChange;
pub use soonest::Soonest;
pub use theme::Theme;
pub use variant::{NoStage, VariantId};
pub use weekly::{Weekly, WeeklyOf};

/// A test that is taken in a session, before its blocks.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct TestWish {
    /// Its name in files.
    pub id: TestId,
    /// Its name for people.
    pub name: String,
    /// How long it takes the squad.
    pub minutes: Minutes,
    /// The skills that it measures; only skills of this problem.
    pub skills: Vec<SkillId>,
    /// What it is to show: best taken once these skills have come so far; only skills of this problem.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub shows: Vec<Need>,
}

/// One session and its technical minutes.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct SessionWish {
    /// The day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub date: Date,
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// How long.
    pub minutes: Minutes,
    /// Tests that are taken in it.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub tests: Vec<TestWish>,
}

impl SessionWish {
    /// Minutes that the tests leave for blocks.
    pub fn for_blocks(&self) -> Minutes {
        let tests: Minutes = self.tests.iter().map(|test| test.minutes).sum();
        Minutes(self.minutes.0.saturating_sub(tests.0))
    }

    /// Leaves only this many minutes of it. Tests that no longer fit fall away.
    pub fn shorten(&mut self, left: Minutes) {
        self.minutes = left.min(self.minutes);
        while self.tests.iter().map(|test| test.minutes).sum::<Minutes>() > self.minutes {
            self.tests.pop();
        }
    }
}

/// A skill to be reached.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct SkillWish {
    /// Its name in files.
    pub id: SkillId,
    /// Its name for people.
    pub name: String,
    /// Its line.
    pub strand: Strand,
    /// How far the squad has come; `None` if it has not met the skill. Stages below it count as done.
    pub present: Option<Stage>,
    /// How far it is to come.
    pub goal: Stage,
    /// What must have come how far first; only skills of this problem.
    pub needs: Vec<Need>,
    /// The skill that is carried over to the other foot, where this is that foot's ladder.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub carries: Option<SkillId>,
    /// The last day before the first session on which the squad worked at it, if that is known.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = Date))]
    pub last_shown: Option<Date>,
}

impl SkillWish {
    /// From which day its rest before its first exposure counts in a plan that begins on `first`: at the soonest from
    /// the day from which on a rest counts at all, so that no plan is charged for the days before it begins. `None` if
    /// the skill is not under way, or nobody knows when it was shown.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use jogo_core::plan::SkillWish;
    /// use jogo_core::technique::skill::{Stage, Strand};
    /// let wish = |present, last_shown| SkillWish {
    ///     id: "taps".parse().unwrap(), name: "Taps".into(), strand: Strand::BallMastery, present, goal: Stage::Flow,
    ///     needs: vec![], carries: None, last_shown,
    /// };
    /// let first = date(2031, 1, 20);
    /// let shown = Some(date(2031, 1, 17));
    /// assert_eq!(wish(Some(Stage::Form), shown).rests_since(first), shown);
    /// assert_eq!(wish(Some(Stage::Form), Some(date(2030, 12, 1))).rests_since(first), Some(date(2031, 1, 13)));
    /// assert_eq!(wish(Some(Stage::Scan), Some(date(2030, 12, 1))).rests_since(first), Some(date(2030, 12, 30)));
    /// assert_eq!(wish(Some(Stage::Scan), None).rests_since(first), Some(first)); // it is kept from the start
    /// assert_eq!(wish(None, None).rests_since(first), None);
    /// ```
    pub fn rests_since(&self, first: Date) -> Option<Date> {
        let is_kept = self.way().next().is_none();
        let free = if is_kept { MAINTENANCE_DAYS } else { RHYTHM_DAYS };
        let soonest = first.saturating_sub(i64::from(free).days());
        match self.last_shown.filter(|_| self.present.is_some()) {
            Some(last) => Some(last.max(soonest)),
            None => is_kept.then_some(first),
        }
    }

    /// Whether its first exposure is something new (H4, H7): it was not met before, with either foot.
    pub fn is_new(&self) -> bool {
        self.present.is_none() && self.carries.is_none()
    }

    /// Points of an exposure that is missing on the way to its goal (S1).
    pub fn missing_points(&self) -> f64 {
        if self.carries.is_some() { MISSING_CARRIED } else { MISSING }
    }

    /// Its name, with the foot if this is the ladder of the other one.
    pub fn said(&self) -> Value {
        let name = self.name.clone();
        if self.carries.is_some() { Quoted::OtherFoot { name }.into() } else { name.into() }
    }

    /// The same in quotation marks, as it stands among others.
    pub fn quoted(&self) -> Value {
        let name = self.name.clone();
        if self.carries.is_some() { self.said() } else { Quoted::Name { name }.into() }
    }

    /// Whether a stage counts as done before the curriculum begins.
    pub fn has_done(&self, stage: Stage) -> bool {
        self.present.is_some_and(|present| stage < present)
    }

    /// The stages on the way to the goal that still need exposures.
    pub fn way(&self) -> impl Iterator<Item = Stage> + '_ {
        Stage::ALL.into_iter().filter(|stage| *stage <= self.goal && !self.has_done(*stage))
    }
}

/// Touches of side-specific skills, per player and minute of a block.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct SidedTouches {
    /// With the strong foot.
    pub strong_per_min: f64,
    /// With the other foot.
    pub other_per_min: f64,
    /// The share of them that the side policy wants for the other foot.
    pub other_wanted: Share,
}

facts! {
    /// What is wrong with a problem or a plan that somebody else has written.
    pub enum ProblemFault {
        Version = "problem-version" { version: u32, known: u32 },
        Order = "problem-order",
        TestsTooLong = "problem-tests-too-long" { tests: f64, minutes: Minutes },
        NoSkill = "problem-no-skill" { id: String },
        SkillTwice = "problem-skill-twice",
        OtherId = "problem-other-id" { id: VariantId, wanted: VariantId },
        BlockMinutes = "problem-block-minutes",
        NoSession = "problem-no-session" { session: usize, sessions: usize },
        NoVariant = "problem-no-variant" { id: VariantId },
        NoWindow = "problem-no-window",
        ThemeSkills = "problem-theme-skills" { most: usize },
        WeeklyTimes = "problem-weekly-times" { most: u32 },
        NoDrill = "problem-no-drill" { id: String },
        ThemeWeek = "problem-theme-week" { week: u32 },
    }
}

/// Why a variant may not be laid, whatever the plan.
///
/// The reason is a fact, which is an object with a `code` and its values, or a text by whoever wrote the problem.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "rule", content = "says")]
pub enum Barred {
    /// It does not fit the ground with this kit and squad; what is missing.
    H5(Fact),
    /// It is blocked for this band; why.
    H6(Fact),
}

/// A drill at one rung, as the plan may use it.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Variant {
    /// Its name.
    pub id: VariantId,
    /// The drill; two blocks of the same drill share a layout.
    pub drill: DrillId,
    /// What people call the drill.
    #[serde(default)]
    pub title: String,
    /// The stage that each of its skills is exposed to.
    pub stage: Stage,
    /// How the drill's levers are set: what the coach is told.
    #[serde(default, skip_serializing_if = "is_easiest")]
    pub levers: Levers,
    /// The foot that works alone; `None` where both do.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub foot: Option<Foot>,
    /// The skills that it exposes; all of them skills of this problem.
    pub skills: Vec<SkillId>,
    /// Which share of the work each of its skills has, where they follow each other as the moves of a series; a skill
    /// that is not named has all of it.
    #[serde(default, skip_serializing_if = "BTreeMap::is_empty")]
    pub parts: BTreeMap<SkillId, Share>,
    /// How its minutes count for the strands.
    pub strands: BTreeMap<Strand, Share>,
    /// Shortest block.
    #[serde(rename = "least_min")]
    pub least: Minutes,
    /// Longest block.
    #[serde(rename = "most_min")]
    pub most: Minutes,
    /// A block of its dose with the usual sets: shorter than this it is short. Nothing says that none is.
    #[serde(default, rename = "usual_min")]
    pub usual: Minutes,
    /// Laying out, if another layout stood before.
    #[serde(rename = "laying_out_min")]
    pub laying_out: Minutes,
    /// How hard it is to do.
    pub difficulty: Difficulty,
    /// How hard the body works.
    #[serde(default)]
    pub intensity: Intensity,
    /// Whether a session may begin with it.
    #[serde(default)]
    pub warm_up: bool,
    /// The longest unbroken piece of work; 0 if it has pauses of its own.
    #[serde(default, rename = "bout_s")]
    pub bout: Seconds,
    /// Whether balls come out of the air.
    #[serde(default)]
    pub aerial: bool,
    /// Headers per player and minute of the block.
    #[serde(default)]
    pub headers_per_min: f64,
    /// Touches of its side-specific skills.
    #[serde(default)]
    pub touches: SidedTouches,
    /// Share of the dose in which a player waits.
    #[serde(default)]
    pub waiting: Share,
    /// Share of the block's minutes in which a player works.
    #[serde(default = "whole")]
    pub working: Share,
    /// Whether it stands on half of the ground with half of the squad and kit, beside another one.
    #[serde(default)]
    pub halves: bool,
    /// Why it may not be laid. A planner leaves it out; in a plan made by hand it is a breach.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub barred: Option<Barred>,
}

fn is_easiest(levers: &Levers) -> bool {
    *levers == Levers::default()
}

fn is_none_known(knack: &f64) -> bool {
    *knack == 0.0
}

fn four() -> u32 {
    4
}

fn whole() -> Share {
    Share(1.0)
}

impl Variant {
    /// The easiest rung with neutral values: 5 to 10 minutes, 1 minute of laying out, easy, fit to begin a session
    /// with.
    pub fn of(drill: &DrillId, stage: Stage, skills: &[SkillId]) -> Variant {
        Variant {
            id: VariantId::easiest(drill, stage),
            drill: drill.clone(),
            title: drill.to_string(),
            stage,
            levers: Levers::default(),
            skills: skills.to_vec(),
            parts: BTreeMap::new(),
            strands: BTreeMap::new(),
            least: Minutes(5),
            most: Minutes(10),
            usual: Minutes(0),
            laying_out: Minutes(1),
            difficulty: Difficulty(0.0),
            intensity: Intensity::Easy,
            warm_up: true,
            bout: Seconds(0.0),
            aerial: false,
            headers_per_min: 0.0,
            foot: None,
            touches: SidedTouches::default(),
            waiting: Share(0.0),
            working: Share(1.0),
            halves: false,
            barred: None,
        }
    }
}

/// What no plan may exceed (H6).
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Limits {
    /// Longest unbroken piece of work.
    #[serde(rename = "longest_bout_s")]
    pub longest_bout: Seconds,
    /// Longest block.
    #[serde(rename = "longest_block_min")]
    pub longest_block: Minutes,
    /// Minutes of a session in which balls come out of the air.
    #[serde(rename = "aerial_min_per_session")]
    pub aerial_per_session: Minutes,
    /// Headers per player in a week, if the association's rule says so.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub headers_per_week: Option<u32>,
}

impl Limits {
    /// Minutes of balls out of the air in a session, for every band.
    pub const AERIAL: Minutes = Minutes(12);
}

impl Default for Limits {
    /// The limits of children of ten to twelve, an assumption.
    fn default() -> Limits {
        Limits {
            longest_bout: Seconds(60.0),
            longest_block: Minutes(14),
            aerial_per_session: Limits::AERIAL,
            headers_per_week: None,
        }
    }
}

/// A block that stays where it is (H8).
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Lock {
    /// In which session, from 0. Its place among the blocks of the session may change.
    pub session: usize,
    /// Which variant, for how long.
    pub block: Block,
}

/// The version of problems and plans that is written.
pub const VERSION: u32 = 2;

/// What a plan has to do.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Problem {
    /// Version of this form: 2. Version 1, which knew the easiest rungs only, is still read.
    pub version: u32,
    /// How many skills may be met for the first time in a week.
    pub new_skills_per_week: u32,
    /// How many skills a session may have before it loses its focus.
    #[serde(default = "four")]
    pub skills_per_session: u32,
    /// What no plan may exceed.
    #[serde(default)]
    pub limits: Limits,
    /// The sessions, in order of their dates.
    pub sessions: Vec<SessionWish>,
    /// How the minutes are to be shared.
    pub shares: BTreeMap<Strand, Share>,
    /// How to go about it.
    pub approach: Approach,
    /// θ of the squad, in logits: how much more often than expected things come off for it, see [`crate::plan::knack`].
    #[serde(default, skip_serializing_if = "is_none_known")]
    pub knack: f64,
    /// What weeks are to be about, by their numbers.
    #[serde(default, skip_serializing_if = "BTreeMap::is_empty")]
    pub themes: BTreeMap<u32, Theme>,
    /// What should come up every week, and how often.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub weekly: Vec<Weekly>,
    /// What is to be reached.
    pub skills: Vec<SkillWish>,
    /// What may be laid.
    pub variants: Vec<Variant>,
    /// Which skills wait until a squad is ready for them.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub hinges: Vec<Hinge>,
    /// Which layouts leave markers lying for another one. Where none is named, a layout is laid from nothing.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub layout_changes: Vec<LayoutChange>,
    /// What stays where it is.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub locks: Vec<Lock>,
}

impl Problem {
    /// The variant of a name.
    pub fn variant(&self, id: &VariantId) -> Option<&Variant> {
        self.variants.iter().find(|v| v.id == *id)
    }

    /// What people call a variant's drill.
    pub fn title<'a>(&'a self, id: &'a VariantId) -> &'a str {
        self.variant(id).map_or(id.drill.as_str(), |variant| &variant.title)
    }

    /// What people call a skill: see [`SkillWish::said`].
    pub fn name(&self, id: &SkillId) -> Value {
        self.skills.iter().find(|skill| skill.id == *id).map_or_else(|| id.clone().into(), SkillWish::said)
    }

    /// The skill itself, where an id is that of the ladder of its other foot.
    pub fn skill_of<'a>(&'a self, id: &'a SkillId) -> &'a SkillId {
        let wish = self.skills.iter().find(|wish| wish.id == *id);
        wish.and_then(|wish| wish.carries.as_ref()).unwrap_or(id)
    }

    /// The skills that are goals, once each: without the ladders of the other foot.
    pub fn goals(&self) -> impl Iterator<Item = &SkillWish> {
        self.skills.iter().filter(|wish| wish.carries.is_none())
    }

    /// Where a skill is in the list.
    pub fn skill_index(&self, id: &str) -> Option<usize> {
        self.skills.iter().position(|s| s.id == id)
    }

    /// What its tests are to show, each with the session of the test.
    pub fn shown_by_tests(&self) -> impl Iterator<Item = (usize, &TestWish, &Need)> {
        let of_session = |(session, wish): (usize, _)| {
            let wish: &SessionWish = wish;
            wish.tests.iter().flat_map(move |test| test.shows.iter().map(move |need| (session, test, need)))
        };
        self.sessions.iter().enumerate().flat_map(of_session)
    }

    /// The weeks that have sessions, first to last.
    pub fn weeks(&self) -> BTreeSet<u32> {
        self.sessions.iter().map(|s| s.week).collect()
    }

    /// Every fault of a problem that somebody else has written, with its place: names that nothing has, doubles,
    /// numbers that no plan can use.
    pub fn faults(&self) -> Vec<InputError> {
        faults::of(self)
    }
}

/// A variant and its minutes in a session.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Block {
    /// Which block it is; `None` until the plan is kept.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub id: Option<BlockId>,
    /// Which variant.
    pub variant: VariantId,
    /// How long.
    pub minutes: Minutes,
    /// What the children who move on do at the same time, where the squad is split: another rung for the same skill, on
    /// the other half of the floor. Exposures are counted for `variant`.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub beside: Option<VariantId>,
}

impl Block {
    /// A block for the whole squad.
    pub fn of(variant: &VariantId, minutes: Minutes) -> Block {
        Block { id: None, variant: variant.clone(), minutes, beside: None }
    }

    /// The same work without a name: what a lock holds.
    pub fn unnamed(&self) -> Block {
        Block { id: None, ..self.clone() }
    }

    /// Whether another block asks for the same work, whichever block it is.
    ///
    /// ```
    /// use jogo_core::plan::{Block, BlockId};
    /// use jogo_core::units::Minutes;
    /// let block = Block::of(&"taps@form".parse().unwrap(), Minutes(6));
    /// let named = Block { id: Some(BlockId(uuid::Uuid::from_u128(1))), ..block.clone() };
    /// assert!(block != named && block.is_like(&named));
    /// ```
    pub fn is_like(&self, other: &Block) -> bool {
        (&self.variant, self.minutes, &self.beside) == (&other.variant, other.minutes, &other.beside)
    }
}

/// What is done in each session, in order.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Plan {
    /// Blocks of each session.
    pub sessions: Vec<Vec<Block>>,
}

/// A plan as other programs read and write it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct PlanForm {
    /// Version of this form: 2. Version 1, which knew the easiest rungs only, is still read.
    pub version: u32,
    /// Blocks of each session of the problem, in order.
    pub sessions: Vec<Vec<Block>>,
}

impl From<Plan> for PlanForm {
    fn from(plan: Plan) -> PlanForm {
        PlanForm { version: VERSION, sessions: plan.sessions }
    }
}

impl PlanForm {
    /// The plan; errs on a version that is not known.
    pub fn plan(self) -> Result<Plan, InputError> {
        match self.version {
            1..=VERSION => Ok(Plan { sessions: self.sessions }),
            version => Err(InputError::at("/version", ProblemFault::Version { version, known: VERSION })),
        }
    }
}
