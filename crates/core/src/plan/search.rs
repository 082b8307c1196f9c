//! The search: a plan on its way, and the changes that are tried on it.

use std::cmp::Ordering;

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

use super::Plan;
use super::build::{build, placed};
use super::ledger::{Evening, Ledger, Owed};
use super::table::{Laid, NONE, Table};

/// What it costs that a block leaves its session where a tenth of all have. The rest of a season after an upset has no
/// such bound: much has to move.
const LOYALTY: f64 = 8.0;

/// The best plan of a search.
struct Best {
    /// Breaches beside those of the sessions that have been; none, where every session may still change.
    breaches: i64,
    /// What it is worth.
    value: f64,
    sessions: Vec<Vec<Laid>>,
}

/// A plan on its way.
pub(super) struct Search<'t> {
    table: &'t Table<'t>,
    ledger: Ledger<'t>,
    rng: ChaCha8Rng,
    value: f64,
    /// What a point of the score counts.
    points: f64,
    /// What a breach counts.
    breach: f64,
    /// Blocks of the plan that it is to stay near.
    stood: f64,
    /// What each block over that tenth costs.
    loyalty: f64,
    /// The first session that may change; the ones before it have been.
    from: usize,
    /// Breaches that count as none: those of the sessions that have been.
    past: i64,
    /// The best plan so far.
    best: Option<Best>,
    /// Sessions that a step has changed, as they stood before.
    changed: Vec<(usize, Vec<Laid>, Evening)>,
}

impl<'t> Search<'t> {
    pub fn begin(table: &'t Table<'t>, seed: u64, near: Option<&Plan>, from: usize) -> Search<'t> {
        let (ledger, past) = match near {
            Some(plan) => {
                let mut sessions = table.read(Some(plan));
                let mut been = table.places(plan);
                been.truncate(from);
                sessions.splice(..from, been.iter().cloned());
                been.resize(sessions.len(), Vec::new());
                let past = if from > 0 { Ledger::of(table, been, None).breaches_before(from) } else { 0 };
                (Ledger::of(table, sessions.clone(), Some(sessions)), past)
            }
            None => (Ledger::of(table, build(table, &table.read(None)), None), 0),
        };
        let rng = ChaCha8Rng::seed_from_u64(seed);
        let stood = ledger.sessions().iter().skip(from).map(Vec::len).sum::<usize>() as f64;
        let mut search = Search {
            table,
            ledger,
            rng,
            value: 0.0,
            points: 1.0,
            breach: 1.0,
            stood,
            loyalty: if from > 0 { 0.0 } else { LOYALTY },
            from,
            past,
            best: None,
            changed: Vec::new(),
        };
        search.value = search.worth();
        search.remember();
        search
    }

    /// What the best plan so far is worth, if it is legal.
    pub fn legal(&self) -> Option<f64> {
        self.best.as_ref().filter(|best| best.breaches <= 0).map(|best| best.value)
    }

    /// The best plan that was found: a legal one, or, where some sessions have been, the one that breaks least.
    pub fn found(self) -> Option<Vec<Vec<Laid>>> {
        self.best.map(|best| best.sessions)
    }

    pub fn idle(&self) -> bool {
        self.table.usable.is_empty() || self.from >= self.table.evenings.len()
    }

    fn worth(&self) -> f64 {
        self.points * (self.ledger.score() + self.disturbs()) + self.breach * self.ledger.breaches() as f64
    }

    /// What it costs that blocks have left their sessions: a point each, and more where it is over a tenth of them.
    fn disturbs(&self) -> f64 {
        let moved = f64::from(self.ledger.moved());
        moved + self.loyalty * (moved - self.stood / 10.0).max(0.0)
    }

    pub fn weigh(&mut self, points: f64, breach: f64) {
        (self.points, self.breach) = (points, breach);
        self.value = self.worth();
    }

    fn remember(&mut self) {
        let (breaches, value) = (self.ledger.breaches() - self.past, self.value);
        let better = self.best.as_ref().is_none_or(|best| match breaches.max(0).cmp(&best.breaches.max(0)) {
            Ordering::Less => true,
            Ordering::Equal => value < best.value - 1e-9,
            Ordering::Greater => false,
        });
        if better && (breaches <= 0 || self.from > 0) {
            self.best = Some(Best { breaches, value, sessions: self.ledger.sessions().to_vec() });
        }
    }

    pub fn step(&mut self, temperature: f64) {
        self.changed.clear();
        if !self.change() {
            return;
        }
        let value = self.worth();
        let worse = value - self.value;
        if worse <= 0.0 || self.rng.random::<f64>() < (-worse / temperature).exp() {
            self.value = value;
            self.remember();
        } else {
            self.back();
        }
    }

    /// Makes one change; false if it came to nothing.
    fn change(&mut self) -> bool {
        // Without a legal plan, nothing matters more than what breaks the rules.
        if self.legal().is_none() && self.rng.random::<bool>() {
            return self.mend();
        }
        // What gains most for its time is tried most.
        match self.rng.random_range(0..1000) {
            0..450 => self.exchange(),
            450..520 => self.put_in(),
            520..560 => self.take_out(),
            560..700 => self.shift_minutes(),
            700..780 => self.move_over(),
            780..920 => self.swap(),
            920..998 => self.reorder(),
            _ => self.lay_skill_anew(),
        }
    }

    fn any(&mut self, n: usize) -> usize {
        self.rng.random_range(0..n)
    }

    fn any_session(&mut self) -> usize {
        self.from + self.any(self.table.evenings.len() - self.from)
    }

    /// A block of a session that may be changed.
    fn any_block(&mut self, session: usize) -> Option<usize> {
        let blocks = self.ledger.session(session);
        let free = blocks.iter().filter(|laid| !laid.locked).count();
        let nth = (free > 0).then(|| self.rng.random_range(0..free))?;
        let blocks = self.ledger.session(session);
        (0..blocks.len()).filter(|at| !blocks[*at].locked).nth(nth)
    }

    /// A variant that may serve in a session, in the place of a block or beside what is there.
    fn any_variant(&mut self, session: usize, instead: Option<usize>) -> usize {
        let luck = self.rng.random::<f64>();
        let blocks = self.ledger.session(session);
        if let (0.0..0.2, Some(at)) = (luck, instead) {
            // The same for a skill, by another drill.
            let skills = &self.table.variants[blocks[at].variant].skills;
            let stage = self.table.variants[blocks[at].variant].stage;
            let serving = &self.table.serving[skills[self.rng.random_range(0..skills.len())]][stage];
            return self.one_of(serving);
        }
        if let (0.2..0.4, false) = (luck, blocks.is_empty()) {
            // Something else with a layout that lies there already.
            let laid = blocks[self.rng.random_range(0..blocks.len())];
            return self.one_of(&self.table.of_drill[self.table.variants[laid.variant].drill]);
        }
        if luck < 0.95 {
            for _ in 0..6 {
                let skill = self.any(self.table.skills.len());
                let Some(stage) = self.ledger.stage_at(skill, session) else { continue };
                let serving = &self.table.serving[skill][stage];
                if !serving.is_empty() {
                    return self.one_of(serving);
                }
            }
        }
        self.one_of(&self.table.usable)
    }

    fn one_of(&mut self, variants: &[usize]) -> usize {
        // Locked blocks may stand outside the lists.
        match variants.len() {
            0 => self.table.usable[self.rng.random_range(0..self.table.usable.len())],
            n => variants[self.rng.random_range(0..n)],
        }
    }

    /// Another session, mostly one nearby.
    fn near(&mut self, session: usize) -> usize {
        if self.rng.random::<f64>() < 0.3 {
            return self.any_session();
        }
        let last = self.table.evenings.len() as i64 - 1;
        (session as i64 + self.rng.random_range(-3..=3)).clamp(self.from as i64, last) as usize
    }

    fn block(&self, variant: usize) -> Laid {
        Laid { variant, minutes: self.table.variants[variant].least, beside: NONE, locked: false }
    }

    /// Lays other blocks into a session, their minutes fitted to the time, if they break no more rules of their own than
    /// those that they take the place of.
    fn lay(&mut self, session: usize, mut blocks: Vec<Laid>) -> bool {
        // A session that has too much in it already may get rid of it bit by bit.
        if !self.fit_minutes(session, &mut blocks) && self.ledger.evening_of(session).breaches == 0 {
            return false;
        }
        let evening = self.ledger.evening(session, &blocks);
        if evening.breaches > self.ledger.evening_of(session).breaches
            || blocks == self.ledger.session(session)
        {
            return false;
        }
        self.put(session, &blocks, evening);
        true
    }

    /// Lays other blocks into a session, and remembers what stood there.
    fn put(&mut self, session: usize, blocks: &[Laid], evening: Evening) {
        let before = self.ledger.session(session).to_vec();
        self.changed.push((session, before, self.ledger.evening_of(session)));
        self.ledger.put(session, blocks, evening);
    }

    /// Shortens or lengthens blocks until the time is used; false if they do not fit even at their shortest.
    fn fit_minutes(&mut self, session: usize, blocks: &mut [Laid]) -> bool {
        let mut free = self.ledger.free(session, blocks);
        if blocks.is_empty() {
            return free >= 0;
        }
        let from = self.rng.random_range(0..blocks.len());
        let n = blocks.len();
        for i in 0..n {
            let laid = &mut blocks[(from + i) % n];
            if laid.locked || free == 0 {
                continue;
            }
            let row = &self.table.variants[laid.variant];
            let wanted = i64::from(laid.minutes) + free;
            let minutes = wanted.clamp(i64::from(row.least), i64::from(row.most)) as u32;
            free -= i64::from(minutes) - i64::from(laid.minutes);
            laid.minutes = minutes;
        }
        free >= 0
    }

    fn exchange(&mut self) -> bool {
        let session = self.any_session();
        let Some(at) = self.any_block(session) else { return self.put_in() };
        let variant = self.any_variant(session, Some(at));
        let mut blocks = self.ledger.session(session).to_vec();
        if self.rng.random::<bool>() {
            blocks[at] = Laid { minutes: blocks[at].minutes, ..self.block(variant) };
            let row = &self.table.variants[variant];
            blocks[at].minutes = blocks[at].minutes.clamp(row.least, row.most);
            return self.lay(session, blocks);
        }
        blocks.remove(at);
        let (blocks, ..) = placed(&self.ledger, session, &blocks, self.block(variant));
        self.lay(session, blocks)
    }

    /// Mends a breach that no session has on its own.
    fn mend(&mut self) -> bool {
        if self.rng.random::<bool>() { self.thin_out() } else { self.pay() }
    }

    /// Mends a breach of H2, H3 or H9: lays what is owed earlier, or takes away what came too early.
    fn pay(&mut self) -> bool {
        let Some((skill, owed)) = self.any_broken(|ledger, skill| ledger.owed(skill)) else { return false };
        if (self.from..self.table.evenings.len()).contains(&owed.before) && self.rng.random::<f64>() < 0.3 {
            return self.take_skill_out(skill, owed.before);
        }
        self.serve(&owed)
    }

    /// Mends a breach of H4: a skill is no longer met in a week with too many new ones.
    fn thin_out(&mut self) -> bool {
        let Some((skill, week)) = self.any_broken(|ledger, skill| ledger.crowded_by(skill)) else {
            return false;
        };
        for session in self.from..self.table.evenings.len() {
            if self.table.evenings[session].week == week {
                self.take_skill_out(skill, session);
            }
        }
        !self.changed.is_empty()
    }

    /// What is broken about a skill, of the skills for which something is.
    fn any_broken<T>(&mut self, broken: impl Fn(&Ledger<'t>, usize) -> Option<T>) -> Option<(usize, T)> {
        let n = self.table.skills.len();
        let from = self.any(n);
        (from..n).chain(0..from).find_map(|skill| Some((skill, broken(&self.ledger, skill)?)))
    }

    /// Takes the blocks of a skill out of a session.
    fn take_skill_out(&mut self, skill: usize, session: usize) -> bool {
        let mut blocks = self.ledger.session(session).to_vec();
        blocks.retain(|laid| laid.locked || !self.table.variants[laid.variant].skills.contains(&skill));
        self.lay(session, blocks)
    }

    /// Lays a block for what is owed into a session that it may stand in, in the place of another where there is no time.
    fn serve(&mut self, owed: &Owed) -> bool {
        let serving = &self.table.serving[owed.skill][owed.stage];
        let after = owed.after.max(self.from);
        if serving.is_empty() || after >= owed.before {
            return false;
        }
        let variant = serving[self.rng.random_range(0..serving.len())];
        let session = self.rng.random_range(after..owed.before);
        let mut blocks = self.ledger.session(session).to_vec();
        let block = self.block(variant);
        let full = self.ledger.free(session, &blocks) < i64::from(block.minutes);
        if let (true, Some(at)) = (full || self.rng.random::<bool>(), self.any_block(session)) {
            blocks.remove(at);
        }
        let (blocks, ..) = placed(&self.ledger, session, &blocks, block);
        self.lay(session, blocks)
    }

    fn put_in(&mut self) -> bool {
        let session = self.any_session();
        let variant = self.any_variant(session, None);
        let mut blocks = self.ledger.session(session).to_vec();
        let at = self.any(blocks.len() + 1);
        blocks.insert(at, self.block(variant));
        self.lay(session, blocks)
    }

    fn take_out(&mut self) -> bool {
        let session = self.any_session();
        let Some(at) = self.any_block(session) else { return false };
        let mut blocks = self.ledger.session(session).to_vec();
        blocks.remove(at);
        self.lay(session, blocks)
    }

    fn shift_minutes(&mut self) -> bool {
        let session = self.any_session();
        let (Some(from), Some(to)) = (self.any_block(session), self.any_block(session)) else { return false };
        let by = self.rng.random_range(1..=3);
        let mut blocks = self.ledger.session(session).to_vec();
        blocks[from].minutes = blocks[from].minutes.saturating_sub(by);
        if to != from {
            blocks[to].minutes += by;
        }
        let sound = |laid: &Laid| {
            let row = &self.table.variants[laid.variant];
            (row.least..=row.most).contains(&laid.minutes)
        };
        if !sound(&blocks[from]) || !sound(&blocks[to]) {
            return false;
        }
        let evening = self.ledger.evening(session, &blocks);
        self.put(session, &blocks, evening);
        true
    }

    fn move_over(&mut self) -> bool {
        let from = self.any_session();
        let to = self.near(from);
        let Some(at) = self.any_block(from) else { return false };
        if from == to {
            return false;
        }
        let mut left = self.ledger.session(from).to_vec();
        let laid = left.remove(at);
        let there = self.ledger.session(to).to_vec();
        // Something else makes room, where there is none.
        let there = match self.any_block(to) {
            Some(out) if self.rng.random::<bool>() => {
                let mut there = there;
                there.remove(out);
                there
            }
            _ => there,
        };
        let (blocks, ..) = placed(&self.ledger, to, &there, laid);
        self.lay(to, blocks) && (self.lay(from, left) || self.back())
    }

    fn swap(&mut self) -> bool {
        let a = self.any_session();
        let b = self.near(a);
        let (Some(i), Some(j)) = (self.any_block(a), self.any_block(b)) else { return false };
        if a == b {
            return false;
        }
        let (mut first, mut second) = (self.ledger.session(a).to_vec(), self.ledger.session(b).to_vec());
        std::mem::swap(&mut first[i], &mut second[j]);
        self.lay(a, first) && (self.lay(b, second) || self.back())
    }

    fn reorder(&mut self) -> bool {
        let session = self.any_session();
        let mut blocks = self.ledger.session(session).to_vec();
        if blocks.len() < 2 {
            return false;
        }
        let (i, j) = (self.any(blocks.len()), self.any(blocks.len()));
        let laid = blocks.remove(i);
        blocks.insert(j, laid);
        self.lay(session, blocks)
    }

    /// Takes all blocks of a skill out, and lays as many for it into other sessions, in order of their stages.
    fn lay_skill_anew(&mut self) -> bool {
        let skill = self.any(self.table.skills.len());
        let serves = |laid: &Laid| !laid.locked && self.table.variants[laid.variant].skills.contains(&skill);
        let mut sessions: Vec<usize> = self.ledger.shown(skill).iter().map(|shown| shown.session).collect();
        sessions.dedup();
        sessions.retain(|session| *session >= self.from);
        let mut stages: Vec<usize> = Vec::new();
        for session in &sessions {
            let blocks = self.ledger.session(*session).iter();
            stages.extend(
                blocks.filter(|laid| serves(laid)).map(|laid| self.table.variants[laid.variant].stage),
            );
        }
        if stages.is_empty() {
            return false;
        }
        let kept =
            |blocks: &[Laid]| -> Vec<Laid> { blocks.iter().copied().filter(|laid| !serves(laid)).collect() };
        let left: Vec<(usize, Vec<Laid>)> =
            sessions.iter().map(|session| (*session, kept(self.ledger.session(*session)))).collect();
        let by = self.rng.random_range(-2..=2);
        for (session, blocks) in left {
            self.lay(session, blocks);
        }
        for (session, stage) in sessions.into_iter().zip(stages) {
            let to =
                (session as i64 + by).clamp(self.from as i64, self.table.evenings.len() as i64 - 1) as usize;
            let serving = &self.table.serving[skill][stage];
            if serving.is_empty() {
                continue;
            }
            let variant = serving[self.rng.random_range(0..serving.len())];
            let (blocks, ..) = placed(&self.ledger, to, self.ledger.session(to), self.block(variant));
            self.lay(to, blocks);
        }
        !self.changed.is_empty()
    }

    /// Takes back what a step has done.
    fn back(&mut self) -> bool {
        while let Some((session, blocks, evening)) = self.changed.pop() {
            self.ledger.put(session, &blocks, evening);
        }
        false
    }
}
