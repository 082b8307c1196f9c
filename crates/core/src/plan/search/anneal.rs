//! The search: a plan on its way, and the changes that are tried on it.

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

use crate::plan::Plan;
use crate::plan::search::build::{build, placed};
use crate::plan::search::ledger::{Ledger, Owed};
use crate::plan::search::session::SessionSums;
use crate::plan::search::table::{BlockRow, Table, When};
use crate::plan::search::weigh::{Prices, Relaid, Scales};

/// What it costs that a block leaves its session where a tenth of all have. The rest of a season after an upset has no
/// such bound: much has to move.
const LOYALTY: f64 = 8.0;

/// The best plan of a search.
pub(in crate::plan) struct Best {
    /// Breaches beside those of the sessions that have been; none, where every session may still change.
    breaches: i64,
    /// Its score, and what it costs that blocks have left their sessions.
    points: f64,
    pub sessions: Vec<Vec<BlockRow>>,
}

impl Best {
    /// The lower the better: the fewest breaches, then the fewest points.
    pub fn rank(&self) -> (i64, f64) {
        (self.breaches, self.points)
    }
}

/// A plan on its way.
pub(in crate::plan) struct Search<'t> {
    table: &'t Table<'t>,
    ledger: Ledger<'t>,
    rng: ChaCha8Rng,
    value: f64,
    prices: Prices,
    /// The first session that may change; the ones before it have been.
    from: usize,
    /// Breaches that count as none: those of the sessions that have been.
    past: i64,
    /// The best plan so far.
    best: Option<Best>,
    /// The sessions that a step would change.
    relaid: Vec<Relaid>,
    scales: Scales,
}

impl<'t> Search<'t> {
    /// Begins with a plan, and does not mind how much of it moves.
    pub fn from_plan(table: &'t Table<'t>, seed: u64, plan: &Plan) -> Search<'t> {
        let mut search = Search::begin(table, seed, Some(plan), 0);
        search.ledger = Ledger::of(table, search.ledger.sessions().to_vec(), None);
        (search.prices.loyalty, search.best) = (0.0, None);
        search.value = search.worth();
        search.remember();
        search
    }

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
            prices: Prices {
                point: 1.0,
                breach: 1.0,
                stood,
                loyalty: if from > 0 { 0.0 } else { LOYALTY },
                laying_out: 0.0,
            },
            from,
            past,
            best: None,
            relaid: Vec::new(),
            scales: Scales::default(),
        };
        search.value = search.worth();
        search.remember();
        search
    }

    /// The points of the best plan so far, if it is legal.
    pub fn legal(&self) -> Option<f64> {
        self.best.as_ref().filter(|best| best.breaches == 0).map(|best| best.points)
    }

    /// The best plan that was found: a legal one, or, where some sessions have been, the one that breaks least.
    pub fn found(self) -> Option<Best> {
        self.best
    }

    pub fn is_idle(&self) -> bool {
        self.table.usable.is_empty() || self.from >= self.table.sessions.len()
    }

    fn worth(&self) -> f64 {
        self.prices.worth(&self.ledger, &self.ledger.sum)
    }

    /// From now on points, breaches and, beside their points, layout changes count so much.
    pub fn weigh(&mut self, point: f64, breach: f64, laying_out: f64) {
        (self.prices.point, self.prices.breach, self.prices.laying_out) = (point, breach, laying_out);
        self.value = self.worth();
    }

    fn remember(&mut self) {
        let breaches = (self.ledger.breaches() - self.past).max(0);
        if breaches > 0 && self.from == 0 {
            return;
        }
        let points = self.prices.points(&self.ledger, &self.ledger.sum);
        if self.best.as_ref().is_none_or(|best| (breaches, points + 1e-9) < best.rank()) {
            self.best = Some(Best { breaches, points, sessions: self.ledger.sessions().to_vec() });
        }
    }

    pub fn step(&mut self, temperature: f64) {
        self.relaid.clear();
        if !self.change() {
            return;
        }
        // The change is kept if it is worth no more than this: one that is worse by Δ with probability exp(−Δ ÷
        // temperature).
        let most = self.value - temperature * self.rng.random::<f64>().ln();
        if self.ledger.weigh(&self.relaid, &self.prices, most, &mut self.scales).is_none() {
            return;
        }
        for new in &self.relaid {
            self.ledger.put(new.session, &new.blocks, new.sums);
        }
        self.value = self.worth();
        self.remember();
    }

    /// Thinks of one change; false if it came to nothing.
    fn change(&mut self) -> bool {
        // Without a legal plan, nothing matters more than what breaks the rules.
        if self.legal().is_none() && self.rng.random::<bool>() {
            return self.mend();
        }
        // What gains most for its time is tried most.
        match self.rng.random_range(0..1000) {
            0..460 => self.swap(),
            460..690 => self.exchange(),
            690..780 => self.shift_minutes(),
            780..853 => self.move_over(),
            853..925 => self.reorder(),
            925..971 => self.put_in(),
            971..998 => self.take_out(),
            _ => self.lay_skill_again(),
        }
    }

    fn any(&mut self, n: usize) -> usize {
        self.rng.random_range(0..n)
    }

    fn any_session(&mut self) -> usize {
        self.from + self.any(self.table.sessions.len() - self.from)
    }

    /// A block of a session that may be changed.
    fn any_block(&mut self, session: usize) -> Option<usize> {
        let n = self.session(session).len();
        let from = (n > 0).then(|| self.any(n))?;
        let blocks = self.session(session);
        (from..n).chain(0..from).find(|at| !blocks[*at].locked)
    }

    /// A variant that may serve in a session, in the place of a block or beside what is there.
    fn any_variant(&mut self, session: usize, instead: Option<usize>) -> usize {
        let luck = self.rng.random::<f64>();
        if let Some(variant) = instead {
            // What something waits for can only give way to the same.
            let waited_for = || self.ledger.room(variant).until != When::Never;
            if luck < 0.2 || (self.rng.random::<f64>() < 0.9 && waited_for()) {
                return self.another(variant);
            }
        }
        if (0.2..0.4).contains(&luck) && !self.session(session).is_empty() {
            return self.on_the_floor(session);
        }
        // Half of the time for a skill that lacks something.
        let ailing = self.rng.random::<bool>();
        let tries = if luck < 0.95 { 8 } else { 0 };
        for _ in 0..tries {
            let skill = self.any(self.table.skills.len());
            if ailing && !self.ledger.ails(skill) {
                continue;
            }
            let Some(stage) = self.ledger.stage_at(skill, session) else { continue };
            let serving = &self.table.serving[skill][stage];
            if !serving.is_empty() {
                return self.one_of(serving);
            }
        }
        self.one_of(&self.table.usable)
    }

    /// The same stage of a skill by another drill.
    fn another(&mut self, variant: usize) -> usize {
        let row = &self.table.variants[variant];
        match row.skills.len() {
            0 => self.one_of(&[]),
            n => {
                let skill = row.skills[self.any(n)];
                self.one_of(&self.table.serving[skill][row.stage])
            }
        }
    }

    /// Something else with a layout that lies in a session already.
    fn on_the_floor(&mut self, session: usize) -> usize {
        let at = self.any(self.session(session).len());
        let drill = self.table.variants[self.session(session)[at].variant].drill as usize;
        let mut variant = self.one_of(&self.table.of_drill[drill]);
        for _ in 0..3 {
            if self.ledger.may_show(variant, session) {
                break;
            }
            variant = self.one_of(&self.table.of_drill[drill]);
        }
        variant
    }

    /// One of some variants; of all that may be laid, where there are none: locked blocks may stand outside the lists.
    fn one_of(&mut self, variants: &[usize]) -> usize {
        match variants.len() {
            0 => self.table.usable[self.rng.random_range(0..self.table.usable.len())],
            n => variants[self.rng.random_range(0..n)],
        }
    }

    /// Another session for a block of one, mostly one nearby where the stages of its skills let it stand.
    fn elsewhere(&mut self, session: usize, variant: usize) -> usize {
        let (mut first, mut end) = (self.from, self.table.sessions.len());
        if self.rng.random::<f64>() < 0.8 {
            let room = self.ledger.room(variant);
            (first, end) = (first.max(room.from.or_end(end)), room.until.or_end(end));
        }
        if first >= end {
            return session;
        }
        if self.rng.random::<f64>() < 0.3 {
            return self.rng.random_range(first..end);
        }
        let near = session as i64 + self.rng.random_range(-3..=3);
        near.clamp(first as i64, end as i64 - 1) as usize
    }

    fn block(&self, variant: usize) -> BlockRow {
        BlockRow { variant, minutes: self.table.variants[variant].least, beside: None, locked: false }
    }

    /// A session as it stands, with what the step has changed so far.
    fn session(&self, session: usize) -> &[BlockRow] {
        match self.relaid.iter().find(|new| new.session == session) {
            Some(new) => &new.blocks,
            None => self.ledger.session(session),
        }
    }

    /// Lays other blocks into a session, their minutes fitted to the time, if they break no more rules of their own
    /// than those that they take the place of.
    fn lay(&mut self, session: usize, mut blocks: Vec<BlockRow>) -> bool {
        // A session that has too much in it already may get rid of it bit by bit.
        let broken = match self.relaid.iter().find(|new| new.session == session) {
            Some(new) => new.sums.breaches,
            None => self.ledger.sums_of(session).breaches,
        };
        if !self.fit_minutes(session, &mut blocks) && broken == 0 {
            return false;
        }
        let sums = self.ledger.sums_with(session, &blocks);
        if sums.breaches > broken || blocks == self.session(session) {
            return false;
        }
        self.put(session, blocks, sums);
        true
    }

    /// Lays other blocks into a session.
    fn put(&mut self, session: usize, blocks: Vec<BlockRow>, sums: SessionSums) {
        match self.relaid.iter_mut().find(|new| new.session == session) {
            Some(new) => (new.blocks, new.sums) = (blocks, sums),
            None => self.relaid.push(Relaid { session, blocks, sums }),
        }
    }

    /// Shortens or lengthens blocks until the time is used; false if they do not fit even at their shortest.
    fn fit_minutes(&mut self, session: usize, blocks: &mut [BlockRow]) -> bool {
        let mut free = self.table.free(session, blocks);
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
        let mut blocks = self.session(session).to_vec();
        let variant = self.any_variant(session, Some(blocks[at].variant));
        if self.rng.random::<bool>() {
            blocks[at] = BlockRow { minutes: blocks[at].minutes, ..self.block(variant) };
            let row = &self.table.variants[variant];
            blocks[at].minutes = blocks[at].minutes.clamp(row.least, row.most);
            return self.lay(session, blocks);
        }
        blocks.remove(at);
        let (blocks, ..) = placed(self.table, session, blocks, self.block(variant));
        self.lay(session, blocks)
    }

    /// Mends a breach that no session has on its own.
    fn mend(&mut self) -> bool {
        if self.rng.random::<bool>() { self.thin_out() } else { self.pay() }
    }

    /// Mends a breach of H2, H3 or H9: lays what is owed earlier, or takes away what came too early.
    fn pay(&mut self) -> bool {
        let Some((skill, owed)) = self.any_broken(|ledger, skill| ledger.owed(skill)) else { return false };
        if (self.from..self.table.sessions.len()).contains(&owed.before) && self.rng.random::<f64>() < 0.3 {
            return self.take_skill_out(skill, owed.before);
        }
        self.serve(&owed)
    }

    /// Mends a breach of H4: a skill is no longer met in a week with too many new ones.
    fn thin_out(&mut self) -> bool {
        let Some((skill, week)) = self.any_broken(|ledger, skill| ledger.crowded_by(skill)) else {
            return false;
        };
        for session in self.from..self.table.sessions.len() {
            if self.table.sessions[session].week == week {
                self.take_skill_out(skill, session);
            }
        }
        !self.relaid.is_empty()
    }

    /// What is broken about a skill, of the skills for which something is.
    fn any_broken<T>(&mut self, broken: impl Fn(&Ledger<'t>, usize) -> Option<T>) -> Option<(usize, T)> {
        let n = self.table.skills.len();
        let from = self.any(n);
        (from..n).chain(0..from).find_map(|skill| Some((skill, broken(&self.ledger, skill)?)))
    }

    /// Takes the blocks of a skill out of a session.
    fn take_skill_out(&mut self, skill: usize, session: usize) -> bool {
        let mut blocks = self.session(session).to_vec();
        blocks.retain(|laid| laid.locked || !self.table.variants[laid.variant].shows(skill));
        self.lay(session, blocks)
    }

    /// Lays a block for what is owed into a session that it may stand in, in the place of another where there is no
    /// time.
    fn serve(&mut self, owed: &Owed) -> bool {
        let serving = &self.table.serving[owed.skill][owed.stage];
        let after = owed.after.or_end(owed.before).max(self.from);
        if serving.is_empty() || after >= owed.before {
            return false;
        }
        let variant = serving[self.rng.random_range(0..serving.len())];
        let session = self.rng.random_range(after..owed.before);
        let mut blocks = self.session(session).to_vec();
        let block = self.block(variant);
        let full = self.table.free(session, &blocks) < i64::from(block.minutes);
        if let (true, Some(at)) = (full || self.rng.random::<bool>(), self.any_block(session)) {
            blocks.remove(at);
        }
        let (blocks, ..) = placed(self.table, session, blocks, block);
        self.lay(session, blocks)
    }

    fn put_in(&mut self) -> bool {
        let session = self.any_session();
        let variant = self.any_variant(session, None);
        let mut blocks = self.session(session).to_vec();
        let at = self.any(blocks.len() + 1);
        blocks.insert(at, self.block(variant));
        self.lay(session, blocks)
    }

    fn take_out(&mut self) -> bool {
        let session = self.any_session();
        let Some(at) = self.any_block(session) else { return false };
        let mut blocks = self.session(session).to_vec();
        blocks.remove(at);
        self.lay(session, blocks)
    }

    fn shift_minutes(&mut self) -> bool {
        let session = self.any_session();
        let (Some(from), Some(to)) = (self.any_block(session), self.any_block(session)) else { return false };
        let by = self.rng.random_range(1..=3);
        let mut blocks = self.session(session).to_vec();
        blocks[from].minutes = blocks[from].minutes.saturating_sub(by);
        if to != from {
            blocks[to].minutes += by;
        }
        let sound = |laid: &BlockRow| {
            let row = &self.table.variants[laid.variant];
            (row.least..=row.most).contains(&laid.minutes)
        };
        if !sound(&blocks[from]) || !sound(&blocks[to]) {
            return false;
        }
        let sums = self.ledger.sums_with(session, &blocks);
        self.put(session, blocks, sums);
        true
    }

    fn move_over(&mut self) -> bool {
        let from = self.any_session();
        let Some(at) = self.any_block(from) else { return false };
        let to = self.elsewhere(from, self.session(from)[at].variant);
        if from == to {
            return false;
        }
        let mut left = self.session(from).to_vec();
        let laid = left.remove(at);
        let there = self.session(to).to_vec();
        // Something else makes room, where there is none.
        let there = match self.any_block(to) {
            Some(out) if self.rng.random::<bool>() => {
                let mut there = there;
                there.remove(out);
                there
            }
            _ => there,
        };
        let (blocks, ..) = placed(self.table, to, there, laid);
        self.lay(to, blocks) && self.lay(from, left)
    }

    /// Two blocks of two sessions change places, if one can be found for the first.
    fn swap(&mut self) -> bool {
        let a = self.any_session();
        let Some(i) = self.any_block(a) else { return false };
        let b = self.elsewhere(a, self.session(a)[i].variant);
        let Some(mut j) = self.any_block(b) else { return false };
        if a == b {
            return false;
        }
        for _ in 0..8 {
            if self.ledger.room(self.session(b)[j].variant).contains(a) {
                break;
            }
            j = self.any_block(b).unwrap_or(j);
        }
        let (mut first, mut second) = (self.session(a).to_vec(), self.session(b).to_vec());
        std::mem::swap(&mut first[i], &mut second[j]);
        self.lay(a, first) && self.lay(b, second)
    }

    fn reorder(&mut self) -> bool {
        let session = self.any_session();
        let mut blocks = self.session(session).to_vec();
        if blocks.len() < 2 {
            return false;
        }
        let (i, j) = (self.any(blocks.len()), self.any(blocks.len()));
        let laid = blocks.remove(i);
        blocks.insert(j, laid);
        self.lay(session, blocks)
    }

    /// Takes all blocks of a skill out, and lays as many for it into other sessions, in order of their stages.
    fn lay_skill_again(&mut self) -> bool {
        let skill = self.any(self.table.skills.len());
        let serves = |laid: &BlockRow| !laid.locked && self.table.variants[laid.variant].shows(skill);
        let mut sessions: Vec<usize> = self.ledger.shown(skill).iter().map(|shown| shown.session).collect();
        sessions.dedup();
        sessions.retain(|session| *session >= self.from);
        let mut stages: Vec<usize> = Vec::new();
        for session in &sessions {
            let blocks = self.session(*session).iter();
            stages.extend(
                blocks.filter(|laid| serves(laid)).map(|laid| self.table.variants[laid.variant].stage),
            );
        }
        if stages.is_empty() {
            return false;
        }
        let kept = |blocks: &[BlockRow]| -> Vec<BlockRow> {
            blocks.iter().copied().filter(|laid| !serves(laid)).collect()
        };
        let left: Vec<(usize, Vec<BlockRow>)> =
            sessions.iter().map(|session| (*session, kept(self.session(*session)))).collect();
        let by = self.rng.random_range(-2..=2);
        for (session, blocks) in left {
            self.lay(session, blocks);
        }
        for (session, stage) in sessions.into_iter().zip(stages) {
            let to =
                (session as i64 + by).clamp(self.from as i64, self.table.sessions.len() as i64 - 1) as usize;
            let serving = &self.table.serving[skill][stage];
            if serving.is_empty() {
                continue;
            }
            let variant = serving[self.rng.random_range(0..serving.len())];
            let (blocks, ..) = placed(self.table, to, self.session(to).to_vec(), self.block(variant));
            self.lay(to, blocks);
        }
        !self.relaid.is_empty()
    }
}
