//! Looks: which points are looked for in which block?
//!
//! A milestone that a coach sees is looked for in ordinary blocks: those that work on its skill at its stage or a later
//! one. Of the milestones of a skill the one nearest to the block's stage is looked for; what counts as done before
//! the curriculum begins is not.

use serde::Serialize;

use crate::assessment::benchmarks::{Protocol, Test};
use crate::assessment::milestones::Milestone;
use crate::delivery::edition::Edition;
use crate::ids::{MilestoneId, TestId};
use crate::plan::Problem;

/// Points that are looked for in a block.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Look {
    /// In which block of the session, from 0.
    pub block: usize,
    /// The milestone that they show.
    pub milestone: MilestoneId,
    /// Its sentence.
    pub says: String,
    /// The test under which they are entered.
    pub test: TestId,
    /// The points that it asks for.
    pub points: Vec<String>,
    /// All points of the test, in its order: a look is entered whole.
    pub test_points: Vec<String>,
}

impl Edition {
    /// What is looked for in the blocks of a session, in their order; each milestone once. Nothing in a session that
    /// the plan does not have. Time: O(blocks × milestones).
    pub fn looks(
        &self,
        problem: &Problem,
        session: usize,
        milestones: &[Milestone],
        tests: &[Test],
    ) -> Vec<Look> {
        let mut looks: Vec<Look> = Vec::new();
        let blocks = self.plan.sessions.get(session).into_iter().flatten().enumerate();
        for (block, variant) in blocks.filter_map(|(at, laid)| Some((at, problem.variant(&laid.variant)?))) {
            for wish in problem.skills.iter().filter(|wish| variant.skills.contains(&wish.id)) {
                let nearest = milestones.iter().filter(|milestone| {
                    (&milestone.band, &milestone.skill) == (&self.band.id, &wish.id)
                        && milestone.stage <= variant.stage
                        && !wish.has_done(milestone.stage)
                });
                let Some(milestone) = nearest.max_by_key(|milestone| milestone.stage) else { continue };
                let Some(seen) = milestone.evidence.seen() else { continue };
                let Some(test) = tests.iter().find(|test| test.id == seen.test) else { continue };
                if !looks.iter().any(|look| look.milestone == milestone.id) {
                    let (milestone, says) = (milestone.id.clone(), milestone.says.clone());
                    let (points, test_points) = (named(test, &seen.points), named(test, &[]));
                    let test = test.id.clone();
                    looks.push(Look { block, milestone, says, test, points, test_points });
                }
            }
        }
        looks
    }
}

/// The points with these numbers, from 1; all of them if none is named.
fn named(test: &Test, numbers: &[u32]) -> Vec<String> {
    let Protocol::Points { points } = &test.protocol else { return Vec::new() };
    match numbers {
        [] => points.clone(),
        numbers => {
            let point = |number: &u32| points.get((*number as usize).checked_sub(1)?).cloned();
            numbers.iter().filter_map(point).collect()
        }
    }
}
