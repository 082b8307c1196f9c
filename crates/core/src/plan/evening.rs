//! What the blocks of one session add to a plan, on their own: rules that they break, minutes, strands, touches.

use super::table::{Laid, Table, VariantRow};
use crate::skill::Stage;

/// What one session adds.
#[derive(Clone, Copy, Debug, Default)]
pub(super) struct Evening {
    /// H1, H5 to H7 as far as they can be told from the session alone; a minute too much counts as a breach of its own.
    pub breaches: i64,
    pub unused: u32,
    pub changes: u32,
    /// Blocks whose variant stands earlier in the session already.
    pub twice: u32,
    pub minutes: u32,
    pub open: u32,
    pub strands: [f64; 4],
    pub touches: [f64; 2],
    pub waited: f64,
    pub headers: f64,
    /// Blocks of the plan that was there before which are not there now.
    pub moved: u32,
    /// Blocks that begin before half of the session's minutes are over; the later ones do not. Says nothing in a sum.
    pub early: usize,
}

impl Evening {
    /// Puts what a session adds in the place of what it added before.
    pub fn exchange(&mut self, old: &Evening, new: &Evening) {
        let counts = [
            (&mut self.unused, old.unused, new.unused),
            (&mut self.changes, old.changes, new.changes),
            (&mut self.twice, old.twice, new.twice),
            (&mut self.minutes, old.minutes, new.minutes),
            (&mut self.open, old.open, new.open),
            (&mut self.moved, old.moved, new.moved),
        ];
        for (sum, old, new) in counts {
            *sum = *sum + new - old;
        }
        for (sum, (old, new)) in self.strands.iter_mut().zip(old.strands.iter().zip(&new.strands)) {
            *sum += new - old;
        }
        for (sum, (old, new)) in self.touches.iter_mut().zip(old.touches.iter().zip(&new.touches)) {
            *sum += new - old;
        }
        self.breaches += new.breaches - old.breaches;
        self.waited += new.waited - old.waited;
        self.headers += new.headers - old.headers;
    }
}

/// What a walk through a session tells: its time, and the rules that its blocks break on their own.
struct Walk {
    /// Minutes that are left; below nothing if the blocks take too many.
    free: i64,
    breaches: i64,
    changes: u32,
    /// Blocks that begin before half of the minutes are over.
    early: usize,
}

impl Table<'_> {
    /// What blocks would add to a session.
    pub fn evening(&self, session: usize, blocks: &[Laid]) -> Evening {
        let Walk { free, breaches, changes, early } = self.walk(session, blocks);
        let mut evening =
            Evening { breaches, changes, early, unused: free.max(0) as u32, ..Evening::default() };
        for (i, laid) in blocks.iter().enumerate() {
            let variant = &self.variants[laid.variant];
            evening.twice += u32::from(blocks[..i].iter().any(|earlier| earlier.variant == laid.variant));
            let minutes = f64::from(laid.minutes);
            evening.minutes += laid.minutes;
            evening.open += if variant.stage >= Stage::Scan.index() { laid.minutes } else { 0 };
            for (sum, share) in evening.strands.iter_mut().zip(&variant.strands) {
                *sum += share * minutes;
            }
            for (sum, per_min) in evening.touches.iter_mut().zip(&variant.touches) {
                *sum += per_min * minutes;
            }
            evening.waited += variant.waiting * minutes;
            evening.headers += self.beside(laid).map_or(0.0, |v| v.headers).max(variant.headers) * minutes;
        }
        evening
    }

    /// Breaches that the blocks of a session have on their own.
    pub fn breaches_of(&self, session: usize, blocks: &[Laid]) -> i64 {
        self.walk(session, blocks).breaches
    }

    /// Minutes of a session that blocks and their layout changes leave; below nothing if they take too many.
    pub fn free(&self, session: usize, blocks: &[Laid]) -> i64 {
        let there = &self.evenings[session];
        let (mut used, mut before) = (there.tests, (u32::MAX, u32::MAX));
        for (i, laid) in blocks.iter().enumerate() {
            let floor = self.floor(laid);
            if i > 0 && floor != before {
                used += self.laying_out(laid);
            }
            before = floor;
            used += laid.minutes;
        }
        i64::from(there.minutes) - i64::from(used)
    }

    /// H1 and H5 to H7, as far as they can be told from the session alone.
    fn walk(&self, session: usize, blocks: &[Laid]) -> Walk {
        let there = &self.evenings[session];
        let (mut used, mut changes, mut early) = (there.tests, 0, 0);
        let (mut breaches, mut aerial, mut hard_before, mut contested) = (0, 0, false, false);
        let mut floor = (u32::MAX, u32::MAX);
        for (i, laid) in blocks.iter().enumerate() {
            let (variant, beside) = (&self.variants[laid.variant], self.beside(laid));
            let unsound = |v: &VariantRow| laid.minutes < v.least || laid.minutes > v.most || !v.usable;
            let (mut drills, mut laying_out) = ((variant.drill, u32::MAX), variant.laying_out);
            let (mut hard, mut warm, mut in_the_air) = (variant.hard, variant.warm, variant.aerial);
            breaches += i64::from(unsound(variant));
            if let Some(other) = beside {
                drills.1 = other.drill;
                laying_out += other.laying_out;
                (hard, warm) = (hard || other.hard, warm && other.warm);
                in_the_air = in_the_air || other.aerial;
                let stand = variant.halves && other.halves && laid.variant != laid.beside;
                breaches += i64::from(unsound(other)) + i64::from(variant.shared(other) == 0 || !stand);
            }
            if i > 0 && floor != drills {
                changes += 1;
                used += laying_out;
            }
            floor = drills;
            early += usize::from(used * 2 < there.minutes);
            used += laid.minutes;
            aerial += if in_the_air { laid.minutes } else { 0 };
            breaches += i64::from(hard && hard_before) + i64::from(i == 0 && !warm);
            hard_before = hard;
            let contest = variant.stage == Stage::Contest.index();
            if contested && !contest {
                breaches += self.contested_before(variant, &blocks[..i]);
            }
            contested |= contest;
        }
        let free = i64::from(there.minutes) - i64::from(used);
        breaches += i64::from(aerial > self.aerial) + (-free).max(0);
        Walk { free, breaches, changes, early }
    }

    /// How often a skill of a block that is no Contest was contested earlier in the session.
    fn contested_before(&self, variant: &VariantRow, earlier: &[Laid]) -> i64 {
        let contests =
            earlier.iter().map(|l| &self.variants[l.variant]).filter(|v| v.stage == Stage::Contest.index());
        contests.map(|v| variant.shared(v) as i64).sum()
    }
}
