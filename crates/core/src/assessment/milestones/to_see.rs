//! What is still to be seen of a player?
//!
//! A milestone that a coach judges by eye asks for all of its points on a number of days. The days that are missing are
//! still to be seen; once the player has the milestone, by the evidence or by the word of a coach, nothing is.
//! If it has slipped because points were missed, one more look is due.

use jiff::civil::Date;

use super::{Milestone, Override, Shown};
use crate::assessment::benchmarks::Test;

/// The looks at a player that a milestone still asks for.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct ToSee {
    /// The number of days, at least 1, on which all of its points are still to be seen.
    pub days: u32,
    /// The number of days on which somebody has looked, whatever they saw.
    pub looked: u32,
    /// The last of them.
    pub last: Option<Date>,
}

impl Milestone {
    /// What is still to be seen of a player by the end of a day; `None` if nothing is. `said` are the words of coaches
    /// on this player and milestone, in the order in which they were said.
    pub fn still_to_see<P: PartialEq>(
        &self,
        tests: &[Test],
        shown: &Shown<'_, P>,
        said: &[Override],
        on: Date,
    ) -> Option<ToSee> {
        let seen = self.evidence.seen()?;
        if self.standing(tests, shown, said, on).state.is_had() {
            return None;
        }
        let test = tests.iter().find(|test| test.id == seen.test);
        let mut days: Vec<(Date, bool)> = Vec::new();
        for result in shown.of(&seen.test).filter(|result| result.date <= on) {
            days.push((result.date, seen.all_seen(&result.marks, test)));
        }
        days.sort_unstable();
        let in_full = days.iter().filter(|(_, all)| *all).count() as u32;
        let missing = match days.last() {
            Some((_, false)) => seen.days.saturating_sub(in_full).max(1),
            _ => seen.days.saturating_sub(in_full),
        };
        let (looked, last) = (days.len() as u32, days.last().map(|(date, _)| *date));
        (missing > 0).then_some(ToSee { days: missing, looked, last })
    }
}
