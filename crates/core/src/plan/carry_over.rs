//! Carry-over: how far has a squad come when a curriculum begins, if others were before it?
//!
//! As *planned*: each skill is at the last stage of which its plan has all exposures, and of all stages before it. As
//! *forecast*: at the last stage that at least half of the virtual players reach. A stage that a later curriculum
//! reaches replaces the earlier one; so does the last day on which a skill was shown, from which its rest counts.

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::ids::SkillId;
use crate::plan::curriculum::Curriculum;
use crate::plan::forecast::{Assumptions, Size, forecast};
use crate::plan::{Plan, Problem, SkillWish, stitches};
use crate::technique::skill::Stage;

/// What is believed of a curriculum that was before.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Believed {
    /// Everything comes as it was planned.
    Planned,
    /// As the forecast says of half of the players.
    Forecast,
}

/// A curriculum that was before.
#[derive(Clone, Copy, Debug)]
pub struct Before<'b> {
    /// What was asked of it.
    pub problem: &'b Problem,
    /// Its plan.
    pub plan: &'b Plan,
    /// What its forecast assumes.
    pub assumed: &'b Assumptions,
}

/// What a squad brings of a skill.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct Brought {
    /// How far it has come; `None` if it has not met it.
    pub stage: Option<Stage>,
    /// The same with the other foot, where that had a ladder of its own.
    pub other_foot: Option<Stage>,
    /// When it was shown last.
    pub last_shown: Option<Date>,
}

/// Virtual players of a forecast that only asks whether half of them come so far.
const PLAYERS: u32 = 400;
/// The seed of their luck: the same for every curriculum.
const SEED: u64 = 1;

/// What squads bring from curricula that were before, in the order in which they were run. Time: some milliseconds for
/// each as planned, some ten as forecast.
///
/// ```
/// use jogo_core::plan::carry_over::{Before, Believed, brought};
/// use jogo_core::plan::forecast::Assumptions;
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::solve;
/// let problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 4, variants: 12 }, 1);
/// let plan = solve(&problem, 1, 2_000).unwrap().plan;
/// let before = Before { problem: &problem, plan: &plan, assumed: &Assumptions::default() };
/// let brought = brought(&[before], Believed::Planned);
/// assert!(brought.values().all(|skill| skill.last_shown <= Some(problem.sessions.last().unwrap().date)));
/// ```
pub fn brought(before: &[Before<'_>], believed: Believed) -> BTreeMap<SkillId, Brought> {
    let mut all: BTreeMap<SkillId, Brought> = BTreeMap::new();
    for curriculum in before {
        let reached = match believed {
            Believed::Planned => curriculum.planned(),
            Believed::Forecast => curriculum.forecast(),
        };
        let shown = curriculum.last_shown();
        for (wish, reached) in curriculum.problem.skills.iter().zip(reached) {
            let of_skill = all.entry(wish.carries.as_ref().unwrap_or(&wish.id).clone()).or_default();
            let stage = if wish.carries.is_some() { &mut of_skill.other_foot } else { &mut of_skill.stage };
            *stage = reached.max(*stage);
            of_skill.last_shown = shown.get(&wish.id).copied().max(of_skill.last_shown);
        }
    }
    all
}

impl Before<'_> {
    /// How far each skill has come by the plan.
    fn planned(&self) -> Vec<Option<Stage>> {
        let stitches = stitches(self.problem, self.plan);
        let of = |wish: &SkillWish| {
            let is_done = |stage: &Stage| {
                wish.has_done(*stage)
                    || stitches.iter().any(|stitch| {
                        stitch.skill == wish.id && stitch.stage == *stage && stitch.nth == stitch.of
                    })
            };
            let is_met = stitches.iter().any(|stitch| stitch.skill == wish.id);
            let done = Stage::ALL.into_iter().take_while(is_done).last();
            done.max(wish.present).max(is_met.then_some(Stage::Form))
        };
        self.problem.skills.iter().map(of).collect()
    }

    /// How far half of the virtual players come with each skill.
    fn forecast(&self) -> Vec<Option<Stage>> {
        let planned = self.planned();
        let mut reached: Vec<Option<Stage>> =
            planned.iter().map(|stage| stage.map(|_| Stage::Form)).collect();
        for stage in Stage::ALL {
            let mut problem = self.problem.clone();
            for wish in &mut problem.skills {
                wish.goal = stage;
            }
            let size = Size { players: PLAYERS, squad: 20 };
            let found = forecast(&problem, self.plan, self.assumed, size, SEED).skills;
            for (at, skill) in found.iter().enumerate() {
                let half = skill.reached.last().is_some_and(|reached| reached.share.0 >= 0.5);
                if half && Some(stage) <= planned[at] {
                    reached[at] = Some(stage);
                }
            }
        }
        let present = self.problem.skills.iter().map(|wish| wish.present);
        reached.into_iter().zip(present).map(|(reached, present)| reached.max(present)).collect()
    }

    fn last_shown(&self) -> BTreeMap<SkillId, Date> {
        let day = |session: usize| self.problem.sessions[session].date;
        let stitches = stitches(self.problem, self.plan);
        stitches.into_iter().map(|stitch| (stitch.skill, day(stitch.session))).collect()
    }
}

impl Curriculum {
    /// The same with squads that bring this from before; a skill of which nothing is brought stays as it was. A goal
    /// never lies before the present stage.
    pub fn carrying(mut self, brought: &BTreeMap<SkillId, Brought>) -> Curriculum {
        for goal in &mut self.goals {
            let Some(skill) = brought.get(&goal.skill) else { continue };
            goal.present = skill.stage.or(goal.present);
            goal.other_foot = skill.other_foot.or(goal.other_foot);
            goal.goal = Some(goal.goal).max(goal.present).unwrap_or(goal.goal);
        }
        self.rested_since(brought)
    }

    /// The same with nothing but the days on which its skills were shown last.
    pub fn rested_since(mut self, brought: &BTreeMap<SkillId, Brought>) -> Curriculum {
        for goal in &mut self.goals {
            let shown = brought.get(&goal.skill).and_then(|skill| skill.last_shown);
            goal.last_shown = shown.filter(|day| *day < self.start);
        }
        self
    }
}
