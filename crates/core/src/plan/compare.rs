//! Compares two plans of one curriculum: what does the child meet when, and for how long?

use serde::Serialize;

use super::{Plan, Problem, Score, score, stitches};
use crate::ids::SkillId;
use crate::plan::VariantId;
use crate::technique::skill::{Stage, Strand};
use crate::units::Minutes;

/// How a skill goes in one plan.
#[derive(Clone, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Course {
    /// The week in which each stage is first shown.
    pub begins: [Option<u32>; 4],
    /// Exposures of each stage.
    pub exposures: [u32; 4],
    /// Minutes of each stage.
    pub minutes: [Minutes; 4],
    /// Exposures that are missing on the way to the goal.
    pub missing: u32,
}

/// A skill in both plans.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SkillCompared {
    /// Which skill.
    pub skill: SkillId,
    /// Its name.
    pub name: String,
    /// Whether this is the ladder of the other foot.
    pub other_foot: bool,
    /// Its line.
    pub strand: Strand,
    /// How it goes in the first plan and in the second.
    pub courses: [Course; 2],
}

/// Two plans side by side.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Comparison {
    /// Each skill.
    pub skills: Vec<SkillCompared>,
    /// Minutes of all blocks by stage, in each plan.
    pub minutes: [[Minutes; 4]; 2],
    /// The scores, each by the numbers of its own approach.
    pub scores: [Score; 2],
    /// Blocks of the first plan that stand in the same session of the second.
    pub shared: u32,
    /// Blocks of the first plan.
    pub blocks: u32,
}

/// Puts two plans side by side, each with the problem that it answers. Skills that only one of them has are left out.
pub fn compare(first: (&Problem, &Plan), second: (&Problem, &Plan)) -> Comparison {
    let (courses, others) = (courses(first), courses(second));
    let skills = first.0.skills.iter().zip(courses).filter_map(|(wish, course)| {
        let other = second.0.skill_index(&wish.id)?;
        Some(SkillCompared {
            skill: wish.id.clone(),
            name: wish.name.clone(),
            other_foot: wish.carries.is_some(),
            strand: wish.strand,
            courses: [course, others[other].clone()],
        })
    });
    let shared = first.1.sessions.iter().zip(&second.1.sessions).map(|(a, b)| {
        let mut left: Vec<&VariantId> = b.iter().map(|block| &block.variant).collect();
        let mut shared = 0;
        for block in a {
            if let Some(at) = left.iter().position(|variant| **variant == block.variant) {
                left.swap_remove(at);
                shared += 1;
            }
        }
        shared
    });
    Comparison {
        skills: skills.collect(),
        minutes: [by_stage(first), by_stage(second)],
        scores: [score(first.0, first.1), score(second.0, second.1)],
        shared: shared.sum(),
        blocks: first.1.sessions.iter().map(|blocks| blocks.len() as u32).sum(),
    }
}

fn courses((problem, plan): (&Problem, &Plan)) -> Vec<Course> {
    let mut all = vec![Course::default(); problem.skills.len()];
    for stitch in stitches(problem, plan) {
        let Some(at) = problem.skill_index(&stitch.skill) else { continue };
        let (course, stage) = (&mut all[at], stitch.stage.index());
        course.begins[stage] = course.begins[stage].or(Some(problem.sessions[stitch.session].week));
        course.exposures[stage] += u32::from(!stitch.again);
        course.minutes[stage] = course.minutes[stage] + stitch.minutes;
    }
    for (course, missing) in all.iter_mut().zip(super::score::missing(problem, plan)) {
        course.missing = missing.iter().sum();
    }
    all
}

fn by_stage((problem, plan): (&Problem, &Plan)) -> [Minutes; 4] {
    Stage::ALL.map(|stage| {
        let of_stage =
            |block: &&super::Block| problem.variant(&block.variant).is_some_and(|v| v.stage == stage);
        plan.sessions.iter().flatten().filter(of_stage).map(|block| block.minutes).sum()
    })
}
