//! How many tries succeeded in a team's blocks, by its coaches' logs, compared with what was expected; and at which
//! drills fewer succeed than that, everywhere or in one club.

use std::collections::BTreeMap;

use serde::Serialize;

use crate::delivery::edition::Edition;
use crate::delivery::{Outcome, Ran, Said, Went};
use crate::ids::DrillId;
use crate::input::InputError;
use crate::plan::knack::{Glance, Knack};
use crate::plan::success::{Practice, logit_of};
use crate::plan::{Block, Problem, Variant};
use crate::units::Minutes;

impl Edition {
    /// How much more often than expected things come off for the team whose logs these are. Errs with the faults of the
    /// edition.
    pub fn knack_of(&self, said: &Said) -> Result<Knack, Vec<InputError>> {
        Ok(Knack::of(&self.glances(&self.problem()?, said)))
    }

    /// The same with the knack of its team, which every replan then follows. Errs with the faults of the edition.
    pub fn knowing(mut self, said: &Said) -> Result<Edition, Vec<InputError>> {
        self.knack = self.knack_of(said)?.theta;
        Ok(self)
    }

    /// Every block with a count of what came off, and the success that was expected of it then: from the sessions
    /// before it as they were run, at the rung that was run. Where several skills are done together, their mean counts.
    pub fn glances(&self, problem: &Problem, said: &Said) -> Vec<Glance> {
        self.glances_at(problem, said).into_iter().map(|(_, glance)| glance).collect()
    }

    /// The same by drill, with the knack of the team added to what was expected: what is left over is the drill's.
    pub fn glances_at_drills(&self, problem: &Problem, said: &Said) -> Vec<(DrillId, Glance)> {
        let mut glances = self.glances_at(problem, said);
        let all: Vec<Glance> = glances.iter().map(|(_, glance)| *glance).collect();
        let knack = Knack::of(&all).theta;
        glances.iter_mut().for_each(|(_, glance)| glance.expected += knack);
        glances
    }

    fn glances_at(&self, problem: &Problem, said: &Said) -> Vec<(DrillId, Glance)> {
        let mut practice = Practice::before(problem);
        let mut glances = Vec::new();
        for (session, (blocks, wish)) in self.plan.sessions.iter().zip(&problem.sessions).enumerate() {
            for block in blocks {
                let went = said.of(session, block);
                let Some((variant, harder, minutes)) = self.as_it_went(problem, block, went) else {
                    continue;
                };
                let mut logits = Vec::new();
                for skill in variant.skills.iter().filter_map(|id| problem.skill_index(id)) {
                    let brought = practice.after(skill, variant, minutes, wish.date);
                    logits.push(logit_of(brought.0, practice.harder(skill, variant) + harder));
                }
                let tenths = went.and_then(|went| went.success).map(|of_hundred| (of_hundred + 5) / 10);
                if let (Some(tenths), false) = (tenths, logits.is_empty()) {
                    let expected = logits.iter().sum::<f64>() / logits.len() as f64;
                    glances.push((variant.drill.clone(), Glance { expected, tenths }));
                }
            }
        }
        glances
    }

    /// The variant of a block, how much harder the rung was that was run than the planned one, and for how long it was
    /// run; `None` if it was left out or its variant is unknown. One of which nothing was said counts as planned.
    fn as_it_went<'p>(
        &self,
        problem: &'p Problem,
        block: &Block,
        went: Option<&Went>,
    ) -> Option<(&'p Variant, f64, Minutes)> {
        let variant = problem.variant(&block.variant)?;
        let Some(went) = went else { return Some((variant, 0.0, block.minutes)) };
        if went.outcome == Outcome::Skipped {
            return None;
        }
        let minutes = went.outcome.delivered(block.minutes, went.minutes);
        let step = went.ran.and_then(|ran| {
            let table = &self.academy.lever_points;
            let drill = self.drill(&variant.drill)?;
            let rung = drill.rung(variant.stage, variant.id.rung, table)?.levers;
            match ran {
                Ran::OneDown => drill.one_down(&rung, table),
                Ran::OneUp => drill.one_up(&rung, table),
            }
        });
        Some((variant, step.map_or(0.0, |step| step.difficulty.0 - variant.difficulty.0), minutes))
    }
}

/// A drill of which less comes off than was expected.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ComesOffLess {
    /// Which drill.
    pub drill: DrillId,
    /// The club in which that is so; `None` if it is so everywhere, and a matter of the drill.
    pub club: Option<String>,
    /// What came off there, and what was expected.
    pub knack: Knack,
}

/// What a club's coaches said of a drill.
#[derive(Clone, Debug, PartialEq)]
pub struct SeenInClub {
    /// The club.
    pub club: String,
    /// The drill.
    pub drill: DrillId,
    /// What came off, and what was expected of that team.
    pub glance: Glance,
}

/// The drills of which less comes off than was expected: the whole interval of [`Knack`] lies below 0. If that holds of
/// all that was said of a drill, and less than expected comes off in more than one club and in each of which anything
/// was said, it is so everywhere; else in those clubs in which it holds. In the order of the drills. Time:
/// O(glances · log glances).
pub fn comes_off_less(seen: &[SeenInClub]) -> Vec<ComesOffLess> {
    let mut by_drill: BTreeMap<&DrillId, BTreeMap<&str, Vec<Glance>>> = BTreeMap::new();
    for SeenInClub { club, drill, glance } in seen {
        by_drill.entry(drill).or_default().entry(club).or_default().push(*glance);
    }
    let mut found = Vec::new();
    for (drill, clubs) in by_drill {
        let all = Knack::of(&clubs.values().flatten().copied().collect::<Vec<_>>());
        let clubs: Vec<(&str, Knack)> =
            clubs.into_iter().map(|(club, glances)| (club, Knack::of(&glances))).collect();
        let less = |club: Option<&str>, knack| ComesOffLess {
            drill: drill.clone(),
            club: club.map(str::to_owned),
            knack,
        };
        let in_each = clubs.len() > 1 && clubs.iter().all(|(_, knack)| knack.theta < 0.0);
        if in_each && all.most < 0.0 {
            found.push(less(None, all));
            continue;
        }
        let weak = clubs.into_iter().filter(|(_, knack)| knack.most < 0.0);
        found.extend(weak.map(|(club, knack)| less(Some(club), knack)));
    }
    found
}
