//! How much came off in a team's blocks, by its coaches' logs, compared with what was expected.

use crate::delivery::edition::Edition;
use crate::delivery::{Outcome, Ran, Said, Went};
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
                    glances.push(Glance { expected, tenths });
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
