//! Stitches: every exposure of a skill in a plan, in order.

use serde::Serialize;

use super::score::RHYTHM_DAYS;
use super::{Plan, Problem};
use crate::ids::SkillId;
use crate::technique::skill::Stage;
use crate::units::Minutes;

/// One exposure of a skill.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Stitch {
    /// Which skill.
    pub skill: SkillId,
    /// In which session, from 0.
    pub session: usize,
    /// In which block of it, from 0.
    pub block: usize,
    /// At which stage.
    pub stage: Stage,
    /// How long.
    pub minutes: Minutes,
    /// Which exposure of this stage it is, from 1.
    pub nth: u32,
    /// How many the stage needs.
    pub of: u32,
    /// Whether the skill is met for the first time.
    pub first: bool,
    /// Days since its exposure before; `None` for the first.
    pub rested: Option<i32>,
    /// Whether the skill was under way and rested too long before this exposure.
    pub frayed: bool,
}

/// All exposures of a plan, by session and block.
pub fn stitches(problem: &Problem, plan: &Plan) -> Vec<Stitch> {
    let mut count = vec![[0; 4]; problem.skills.len()];
    let mut last: Vec<Option<usize>> = vec![None; problem.skills.len()];
    let mut all = Vec::new();
    // A plan may be longer than wishes that were cut short since.
    for (session, blocks) in plan.sessions.iter().take(problem.sessions.len()).enumerate() {
        for (block, laid) in blocks.iter().enumerate() {
            let Some(variant) = problem.variant(&laid.variant) else { continue };
            for id in &variant.skills {
                let Some(skill) = problem.skill_index(id) else { continue };
                let first = problem.skills[skill].present.is_none() && count[skill] == [0; 4];
                let under_way = problem.skills[skill]
                    .way()
                    .any(|stage| count[skill][stage.index()] < problem.approach.needed(stage));
                let rested = last[skill].map(|before: usize| {
                    (problem.sessions[session].date - problem.sessions[before].date).get_days()
                });
                last[skill] = Some(session);
                let nth = &mut count[skill][variant.stage.index()];
                *nth += 1;
                all.push(Stitch {
                    skill: id.clone(),
                    session,
                    block,
                    stage: variant.stage,
                    minutes: laid.minutes,
                    nth: *nth,
                    of: problem.approach.needed(variant.stage),
                    first,
                    rested,
                    frayed: under_way && rested.is_some_and(|days| days > RHYTHM_DAYS),
                });
            }
        }
    }
    all
}
