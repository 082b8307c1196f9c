//! What counts as an exposure: a stage of a skill, once a session.
//!
//! A second block in the same session is practice of the same day; it brings the next stage no nearer.

use super::Problem;
use crate::technique::skill::Stage;

/// The exposures so far, session by session in order.
///
/// ```
/// use jogo_core::plan::exposure::Tally;
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::technique::skill::Stage;
/// let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 4, variants: 8 }, 1);
/// let mut tally = Tally::of(&problem);
/// assert!(tally.show(0, Stage::Form, 0));
/// assert!(!tally.show(0, Stage::Form, 0)); // again on the same day
/// assert!(tally.show(0, Stage::Form, 1));
/// assert_eq!(tally.count(0, Stage::Form), 2);
/// ```
pub struct Tally {
    skills: Vec<[Shown; 4]>,
}

/// A stage: how many sessions had it, and the last of them.
#[derive(Clone, Copy, Default)]
struct Shown {
    sessions: u32,
    last: Option<usize>,
}

impl Tally {
    /// Nothing so far, of the skills of a problem.
    pub fn of(problem: &Problem) -> Tally {
        Tally { skills: vec![Default::default(); problem.skills.len()] }
    }

    /// A block of a session shows a stage of a skill: whether that counts.
    pub fn show(&mut self, skill: usize, stage: Stage, session: usize) -> bool {
        let shown = &mut self.skills[skill][stage.index()];
        let counts = shown.last != Some(session);
        *shown = Shown { sessions: shown.sessions + u32::from(counts), last: Some(session) };
        counts
    }

    /// How many exposures a stage of a skill has had.
    pub fn count(&self, skill: usize, stage: Stage) -> u32 {
        self.skills[skill][stage.index()].sessions
    }

    /// Whether a skill was shown at all.
    pub fn is_met(&self, skill: usize) -> bool {
        self.skills[skill].iter().any(|shown| shown.sessions > 0)
    }
}
