//! How soon a stage may come: what rules H2 and H3 leave where a skill, and all that it needs, had every session.

use super::{Problem, SkillWish};
use crate::technique::skill::Stage;

/// The sessions of one stage at the soonest, from 0; they may lie beyond the last one.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Soonest {
    /// The first that may show it.
    pub begins: usize,
    /// The one with its last required exposure.
    pub done: usize,
}

impl Problem {
    /// From which session on each skill may come to Scan at the soonest; `None` for a skill that is not to come so far.
    pub fn scan_from(&self) -> Vec<Option<usize>> {
        let soonest = self.soonest();
        let from = |(wish, soonest): (&SkillWish, [Option<Soonest>; 4])| {
            let furthest = wish.present.map_or(wish.goal, |present| present.max(wish.goal));
            if furthest < Stage::Scan {
                return None;
            }
            match wish.has_done(Stage::Scan) {
                true => Some(0),
                false => soonest[Stage::Scan.index()].map(|soonest| soonest.begins),
            }
        };
        self.skills.iter().zip(soonest).map(from).collect()
    }

    /// How soon each stage of each skill may come, by skill and stage.
    ///
    /// `None` for a stage that counts as done from the start, and for skills that need each other in a circle. Time:
    /// O(skills² × needs).
    ///
    /// ```
    /// use jogo_core::plan::problem::Soonest;
    /// use jogo_core::plan::problem::example::{ExampleSize, example};
    /// use jogo_core::plan::{Approach, Ladder};
    /// let mut problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 4, variants: 16 }, 1);
    /// let new = problem.skills.iter().position(|skill| skill.present.is_none() && skill.needs.is_empty()).unwrap();
    /// problem.approach = Approach { exposures: [2, 2, 2, 2], ladder: Ladder::Strict, ..problem.approach };
    /// assert_eq!(problem.soonest()[new][1], Some(Soonest { begins: 2, done: 3 })); // after two sessions of Form
    /// problem.approach.ladder = Ladder::Overlapping;
    /// assert_eq!(problem.soonest()[new][1], Some(Soonest { begins: 1, done: 2 }));
    /// ```
    pub fn soonest(&self) -> Vec<[Option<Soonest>; 4]> {
        let mut found = vec![[None; 4]; self.skills.len()];
        // A skill settles once its needs have, which takes no more rounds than there are skills.
        for _ in 0..self.skills.len() {
            let before = found.clone();
            for (skill, wish) in self.skills.iter().enumerate() {
                let needs = wish.needs.iter().filter(|_| wish.present.is_none());
                // The session after the last need is done; `None` as long as one of them is not.
                let mut after = needs.map(|need| {
                    let at = self.skill_index(&need.skill)?;
                    match self.skills[at].has_done(need.stage) {
                        true => Some(0),
                        false => found[at][need.stage.index()].map(|soonest: Soonest| soonest.done + 1),
                    }
                });
                let after = after.try_fold(0, |latest, after| Some(latest.max(after?)));
                let Some(mut begins) = after else { continue };
                for stage in Stage::ALL {
                    if wish.has_done(stage) {
                        continue;
                    }
                    let needed = self.approach.needed(stage).max(1) as usize;
                    found[skill][stage.index()] = Some(Soonest { begins, done: begins + needed - 1 });
                    begins += self.approach.ladder.waits(needed);
                }
            }
            if found == before {
                break;
            }
        }
        found
    }
}
