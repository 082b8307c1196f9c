//! What the blocks of one session add to a plan, on their own: rules that they break, minutes, strands, touches.

use super::table::{Laid, NONE, Table, VariantRow};
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
    pub touches: [f64; 3],
    pub waited: f64,
    pub headers: f64,
    /// Blocks of the plan that was there before which are not there now.
    pub moved: u32,
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

impl Table<'_> {
    /// What blocks would add to a session.
    pub fn evening(&self, session: usize, blocks: &[Laid]) -> Evening {
        let free = self.free(session, blocks);
        let breaches = self.rules_of(blocks) + (-free).max(0);
        let mut evening = Evening { breaches, unused: free.max(0) as u32, ..Evening::default() };
        for (i, laid) in blocks.iter().enumerate() {
            let variant = &self.variants[laid.variant];
            evening.changes += u32::from(i > 0 && self.floor(&blocks[i - 1]) != self.floor(laid));
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
            evening.headers += self.each(laid).map(|v| v.headers).fold(0.0, f64::max) * minutes;
        }
        evening
    }

    /// Breaches that the blocks of a session have on their own.
    pub fn breaches_of(&self, session: usize, blocks: &[Laid]) -> i64 {
        self.rules_of(blocks) + (-self.free(session, blocks)).max(0)
    }

    /// The same without H1.
    fn rules_of(&self, blocks: &[Laid]) -> i64 {
        let (mut breaches, mut aerial, mut hard_before, mut contested) = (0, 0, false, false);
        for (i, laid) in blocks.iter().enumerate() {
            let variant = &self.variants[laid.variant];
            let any = |is: fn(&VariantRow) -> bool| self.each(laid).any(is);
            aerial += if any(|v| v.aerial) { laid.minutes } else { 0 };
            let hard = any(|v| v.hard);
            breaches += i64::from(hard && hard_before);
            hard_before = hard;
            breaches += i64::from(i == 0 && any(|v| !v.warm));
            let unsound = |v: &VariantRow| !(v.least..=v.most).contains(&laid.minutes) || !v.usable;
            breaches += self.each(laid).filter(|v| unsound(v)).count() as i64;
            if laid.beside != NONE {
                let other = &self.variants[laid.beside];
                let rungs = variant.skills.iter().any(|skill| other.skills.contains(skill));
                let stand = variant.halves && other.halves && laid.variant != laid.beside;
                breaches += i64::from(!rungs || !stand);
            }
            let contest = variant.stage == Stage::Contest.index();
            if contested && !contest {
                breaches += self.contested_before(laid, &blocks[..i]);
            }
            contested |= contest;
        }
        breaches + i64::from(aerial > self.aerial)
    }

    /// How often a skill of a block that is no Contest was contested earlier in the session.
    fn contested_before(&self, laid: &Laid, earlier: &[Laid]) -> i64 {
        let skills = &self.variants[laid.variant].skills;
        let contests =
            earlier.iter().map(|l| &self.variants[l.variant]).filter(|v| v.stage == Stage::Contest.index());
        contests.map(|v| skills.iter().filter(|skill| v.skills.contains(skill)).count() as i64).sum()
    }

    /// Minutes of a session that blocks and their layout changes leave; below nothing if they take too many.
    pub fn free(&self, session: usize, blocks: &[Laid]) -> i64 {
        let there = &self.evenings[session];
        let mut used = 0;
        for (i, laid) in blocks.iter().enumerate() {
            used += laid.minutes;
            if i > 0 && self.floor(&blocks[i - 1]) != self.floor(laid) {
                used += self.laying_out(laid);
            }
        }
        i64::from(there.minutes) - i64::from(there.tests) - i64::from(used)
    }

    /// Which blocks of a session begin after half of its minutes are over.
    pub fn late(&self, session: usize, blocks: &[Laid], late: &mut Vec<bool>) {
        late.clear();
        let mut now = self.evenings[session].tests;
        for (at, laid) in blocks.iter().enumerate() {
            if at > 0 && self.floor(&blocks[at - 1]) != self.floor(laid) {
                now += self.laying_out(laid);
            }
            late.push(now * 2 >= self.evenings[session].minutes);
            now += laid.minutes;
        }
    }
}
