//! Stitches: every exposure of a skill in a plan, in order.

use serde::Serialize;

use super::exposure::Tally;
use super::part::RHYTHM_DAYS;
use super::success::{Practice, fitting};
use super::{Plan, Problem};
use crate::ids::SkillId;
use crate::technique::skill::{Foot, Stage};
use crate::units::{Minutes, Share};

/// One exposure of a skill.
#[derive(Clone, Debug, PartialEq, Serialize)]
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
    /// The foot that works alone; `None` where both do.
    pub foot: Option<Foot>,
    /// How long.
    pub minutes: Minutes,
    /// How much harder it is than the easiest rung of the skill, in points of difficulty.
    pub harder: f64,
    /// The share that is expected to come off: see [`crate::plan::success`].
    pub success: Share,
    /// From how much harder to how much harder it might be, to lie within the approach's success window.
    pub fits: [f64; 2],
    /// Which exposure of this stage it is, from 1.
    pub nth: u32,
    /// Whether an earlier block of the session showed the stage: the two count once.
    pub again: bool,
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
    let mut tally = Tally::of(problem);
    let mut last: Vec<Option<usize>> = vec![None; problem.skills.len()];
    let mut practice = Practice::before(problem);
    let mut all = Vec::new();
    // A plan may be longer than wishes that were cut short since.
    for (session, blocks) in plan.sessions.iter().take(problem.sessions.len()).enumerate() {
        for (block, laid) in blocks.iter().enumerate() {
            let Some(variant) = problem.variant(&laid.variant) else { continue };
            for id in &variant.skills {
                let Some(skill) = problem.skill_index(id) else { continue };
                let first = problem.skills[skill].present.is_none() && !tally.is_met(skill);
                let under_way = problem.skills[skill]
                    .way()
                    .any(|stage| tally.count(skill, stage) < problem.approach.needed(stage));
                let rested = last[skill].map(|before: usize| {
                    (problem.sessions[session].date - problem.sessions[before].date).get_days()
                });
                last[skill] = Some(session);
                let brought = practice.after(skill, variant, laid.minutes, problem.sessions[session].date);
                let harder = practice.harder(skill, variant);
                let again = !tally.show(skill, variant.stage, session);
                all.push(Stitch {
                    skill: id.clone(),
                    session,
                    block,
                    stage: variant.stage,
                    foot: variant.foot,
                    minutes: laid.minutes,
                    harder,
                    success: practice.expects(brought, skill, variant),
                    fits: fitting(brought, problem.knack, problem.approach.success_window),
                    nth: tally.count(skill, variant.stage),
                    again,
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
