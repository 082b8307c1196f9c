//! The line of a skill: its exposures in order, what they add to the score, and the rules that they break.

use super::score::{JUMP, KEEPING, KEEPING_DAYS, MISSING, RHYTHM_DAYS, STEP};
use super::table::{NONE, Table};

/// One exposure of a skill.
#[derive(Clone, Copy, Debug)]
pub(super) struct Shown {
    pub session: usize,
    pub stage: usize,
    pub difficulty: f64,
}

/// What one skill adds.
#[derive(Clone, Copy, Debug)]
pub(super) struct Line {
    /// S1, S3, S4 and S6.
    pub points: f64,
    /// H3, H7 (first exposure) and H9.
    pub breaches: i64,
    pub first: usize,
    /// In which session each stage had its first exposure.
    pub begun: [usize; 4],
    /// In which session each stage had its last required exposure.
    pub done: [usize; 4],
    /// How many exposures each stage has.
    pub count: [u32; 4],
}

impl Table<'_> {
    /// The line of a skill with these exposures; `late` says whether the first of them begins after half of a session.
    pub fn line(&self, skill: usize, shown: &[Shown], late: impl Fn(usize) -> bool) -> Line {
        let row = &self.skills[skill];
        let mut missing = row.way;
        let mut still: u32 = missing.iter().sum();
        let mut line = Line {
            points: 0.0,
            breaches: 0,
            first: shown.first().map_or(NONE, |first| first.session),
            begun: [NONE; 4],
            done: [NONE; 4],
            count: [0; 4],
        };
        let keeping = |days: i32| {
            if days > KEEPING_DAYS { KEEPING * f64::from(days - KEEPING_DAYS) / 7.0 } else { 0.0 }
        };
        // The day from which a skill is kept is no exposure to jump from.
        let mut last: Option<(i32, Option<f64>)> = (still == 0).then_some((0, None));
        for each in shown {
            let day = self.evenings[each.session].day;
            if let Some((before, difficulty)) = last {
                let rested = day - before;
                line.points +=
                    if still == 0 { keeping(rested) } else { f64::from((rested - RHYTHM_DAYS).max(0)) };
                if let Some(difficulty) = difficulty {
                    line.points += JUMP * ((each.difficulty - difficulty).abs() - STEP).max(0.0);
                }
            }
            last = Some((day, Some(each.difficulty)));
            let stage = each.stage;
            if line.count[stage] == 0 {
                line.begun[stage] = each.session;
                let ready = stage == 0 || row.done[stage - 1] || line.done[stage - 1] < each.session;
                line.breaches += i64::from(!ready);
            }
            line.count[stage] += 1;
            if line.count[stage] == self.needed[stage] {
                line.done[stage] = each.session;
            }
            if missing[stage] > 0 {
                missing[stage] -= 1;
                still -= 1;
            }
        }
        if let (0, Some((day, _)), Some(end)) = (still, last, self.evenings.last()) {
            line.points += keeping(end.day - day);
        }
        line.points += MISSING * f64::from(still);
        if !row.met {
            line.breaches += i64::from(line.first != NONE && late(line.first));
        }
        if row.tested != NONE {
            line.breaches += i64::from(line.first == NONE || line.first >= row.tested);
        }
        line
    }
}
