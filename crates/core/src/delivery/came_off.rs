//! What came off: what a team's coaches said of its blocks, held against what was expected of them.

use crate::delivery::edition::Edition;
use crate::delivery::{Outcome, Ran, Said, Went};
use crate::input::InputError;
use crate::plan::knack::{Glance, Knack};
use crate::plan::success::{Practice, logit_of};
use crate::plan::{Block, Problem, Variant};
use crate::units::Minutes;

impl Edition {
    /// How much more often than expected things come off for the team of which this was said. Errs with the faults of
    /// the edition.
    pub fn knack_of(&self, said: &Said) -> Result<Knack, Vec<InputError>> {
        Ok(Knack::of(&self.glances(&self.problem()?, said)))
    }

    /// The same with the knack of its team: what is planned anew is planned for that. Errs with the faults of the
    /// edition.
    pub fn knowing(mut self, said: &Said) -> Result<Edition, Vec<InputError>> {
        self.knack = self.knack_of(said)?.theta;
        Ok(self)
    }

    /// Every block of which it was said how much came off, with the success that was expected of it: by the sessions
    /// before it as they were run, at the rung that was run. Of skills done together the mean counts.
    pub fn glances(&self, problem: &Problem, said: &Said) -> Vec<Glance> {
        let mut practice = Practice::before(problem);
        let mut glances = Vec::new();
        for (session, (blocks, wish)) in self.plan.sessions.iter().zip(&problem.sessions).enumerate() {
            for block in blocks {
                let went = said.of(session, block);
                let Some((variant, minutes)) = self.as_it_went(problem, block, went) else { continue };
                let mut logits = Vec::new();
                for skill in variant.skills.iter().filter_map(|id| problem.skill_index(id)) {
                    let brought = practice.after(skill, &variant, minutes, wish.date);
                    logits.push(logit_of(brought.0, practice.harder(skill, &variant)));
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

    /// A block at the rung that was run, and for how long; `None` if it was left out or its variant is unknown. One of
    /// which nothing was said counts as planned.
    fn as_it_went(
        &self,
        problem: &Problem,
        block: &Block,
        went: Option<&Went>,
    ) -> Option<(Variant, Minutes)> {
        let variant = problem.variant(&block.variant)?;
        let Some(went) = went else { return Some((variant.clone(), block.minutes)) };
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
        let difficulty = step.map_or(variant.difficulty, |step| step.difficulty);
        Some((Variant { difficulty, ..variant.clone() }, minutes))
    }
}
