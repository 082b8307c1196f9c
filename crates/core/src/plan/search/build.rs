//! The constructive pass: a first plan, session by session.
//!
//! Among the variants that keep the hard rules in a session, the one that serves the goals and the strands best is laid
//! next, where it fits best, until the time is used. Goals count the more, the less their chain of stages and needs can
//! wait. It looks at each session once, so a first plan is there at once.

use crate::plan::Ladder;
use crate::plan::search::table::{BlockRow, Table, When};
use crate::technique::skill::Stage;

/// What has been laid so far.
struct SoFar {
    /// How many sessions had each stage, and the last of them.
    count: Vec<[u32; 4]>,
    shown: Vec<[When; 4]>,
    /// In which session each stage began.
    begun: Vec<[When; 4]>,
    /// In which session each stage had its last required exposure.
    done: Vec<[When; 4]>,
    /// In which session each skill was shown last.
    last: Vec<Option<usize>>,
    minutes: [f64; 4],
    /// Skills met for the first time in the week.
    new_in_week: u32,
    /// Headers of the week, each block counted at its longest.
    headers: f64,
}

/// Lays a plan around what is locked.
pub(in crate::plan) fn build(table: &Table<'_>, locked: &[Vec<BlockRow>]) -> Vec<Vec<BlockRow>> {
    let chain = chains(table);
    let due = dues(table, locked);
    let n = table.skills.len();
    let mut standing = SoFar {
        count: vec![[0; 4]; n],
        shown: vec![[When::Never; 4]; n],
        begun: vec![[When::Never; 4]; n],
        done: vec![[When::Never; 4]; n],
        last: vec![None; n],
        minutes: [0.0; 4],
        new_in_week: 0,
        headers: 0.0,
    };
    let mut sessions: Vec<Vec<BlockRow>> = Vec::new();
    for session in 0..table.sessions.len() {
        if session > 0 && table.sessions[session].week != table.sessions[session - 1].week {
            (standing.new_in_week, standing.headers) = (0, 0.0);
        }
        let mut builder = Builder { table, chain: &chain, due: &due, locked, session, blocks: Vec::new() };
        builder.fill(&mut standing);
        sessions.push(builder.blocks);
    }
    sessions
}

/// Exposures one after the other from meeting a skill to the goals of all that rests on it.
fn chains(table: &Table<'_>) -> Vec<u32> {
    let nothing_yet = vec![[0; 4]; table.skills.len()];
    let mut chain = vec![0; table.skills.len()];
    // A chain is never longer than there are skills, so this many rounds settle every one.
    for _ in 0..table.skills.len() {
        let next: Vec<u32> =
            (0..chain.len()).map(|skill| still(table, &chain, skill, &nothing_yet)).collect();
        if next == chain {
            break;
        }
        chain = next;
    }
    chain
}

/// Exposures one after the other that a skill and all that rests on it still ask for.
fn still(table: &Table<'_>, chain: &[u32], skill: usize, count: &[[u32; 4]]) -> u32 {
    let row = &table.skills[skill];
    let missing = |upto: usize| -> u32 {
        (0..=upto).map(|stage| row.way[stage].saturating_sub(count[skill][stage])).sum()
    };
    let opened = row
        .asks
        .iter()
        .filter(|(above, _)| count[*above] == [0; 4])
        .map(|(above, stage)| missing(*stage).saturating_add(chain[*above]))
        .max();
    // Needs in a circle would grow for ever.
    missing(3).max(opened.unwrap_or(0)).min(10_000)
}

/// The last sessions that keep every test and lock possible; never where nothing asks.
#[derive(Clone, Copy, PartialEq)]
struct Due {
    /// In which a skill may be met.
    met: When,
    /// In which each stage may be done.
    done: [When; 4],
}

/// Works back from the tests and locks (H2, H3 and H9): a lock of a stage asks for the stage before it one session
/// earlier, that for the one before it, and the skill's first session for what the skill needs. Where stages overlap it
/// asks for more than it must; where they are open, for none.
fn dues(table: &Table<'_>, locked: &[Vec<BlockRow>]) -> Vec<Due> {
    let mut due = vec![Due { met: When::Never, done: [When::Never; 4] }; table.skills.len()];
    for (skill, row) in table.skills.iter().enumerate() {
        due[skill].met = row.tested.previous();
    }
    for (session, laid) in
        locked.iter().enumerate().flat_map(|(s, blocks)| blocks.iter().map(move |l| (s, l)))
    {
        let row = &table.variants[laid.variant];
        for &skill in &row.skills {
            due[skill].met = due[skill].met.min(When::In(session));
            if row.stage > 0 && table.ladder != Ladder::Open {
                let done = &mut due[skill].done[row.stage - 1];
                *done = (*done).min(When::In(session).previous());
            }
        }
    }
    // Each round settles what is one step further away from a lock.
    for _ in 0..4 * due.len() {
        let before = due.clone();
        for (skill, row) in table.skills.iter().enumerate() {
            for stage in (1..4).rev().filter(|_| table.ladder != Ladder::Open) {
                let earlier = due[skill].done[stage].previous();
                due[skill].done[stage - 1] = due[skill].done[stage - 1].min(earlier);
            }
            let soonest = due[skill].done.into_iter().min().unwrap_or(When::Never);
            due[skill].met = due[skill].met.min(soonest);
            if row.met {
                continue;
            }
            for &(needed, stage) in &row.needs {
                due[needed].done[stage] = due[needed].done[stage].min(due[skill].met.previous());
            }
        }
        if due == before {
            break;
        }
    }
    due
}

struct Builder<'b> {
    table: &'b Table<'b>,
    chain: &'b [u32],
    due: &'b [Due],
    locked: &'b [Vec<BlockRow>],
    session: usize,
    blocks: Vec<BlockRow>,
}

impl Builder<'_> {
    fn fill(&mut self, standing: &mut SoFar) {
        for laid in &self.locked[self.session] {
            self.blocks = placed(self.table, self.session, std::mem::take(&mut self.blocks), *laid).0;
            self.lay(laid.variant, standing);
        }
        while let Some(variant) = self.next(standing) {
            self.lay(variant, standing);
        }
        self.lengthen(standing);
    }

    /// Lays the best variant that keeps the rules; `None` if none does.
    fn next(&mut self, standing: &SoFar) -> Option<usize> {
        let table = self.table;
        let fits = |v: &&usize| {
            let row = &table.variants[**v];
            self.blocks.iter().all(|laid| table.variants[laid.variant].drill != row.drill)
                && i64::from(row.least) <= self.table.free(self.session, &self.blocks)
                && self.legal(**v, standing)
        };
        let mut worth: Vec<(f64, usize)> =
            table.usable.iter().filter(fits).map(|v| (self.worth(*v, standing), *v)).collect();
        worth.sort_by(|a, b| b.0.total_cmp(&a.0));
        let broken = self.table.breaches_of(self.session, &self.blocks);
        worth.into_iter().take(24).find_map(|(_, v)| {
            let row = &table.variants[v];
            let laid = BlockRow { variant: v, minutes: row.least, beside: None, locked: false };
            let (blocks, breaches, at) = placed(self.table, self.session, self.blocks.clone(), laid);
            let new = row.skills.iter().any(|skill| is_new(table, *skill, standing));
            let keeps = breaches <= broken
                && (!new || self.early(&blocks, at))
                && self.still_early(&blocks, standing);
            keeps.then(|| {
                self.blocks = blocks;
                v
            })
        })
    }

    /// Whether a block begins before half of the session's minutes are over.
    fn early(&self, blocks: &[BlockRow], at: usize) -> bool {
        let there = &self.table.sessions[self.session];
        let before = i64::from(there.minutes) - self.table.free(self.session, &blocks[..=at]);
        (before - i64::from(blocks[at].minutes)) * 2 < i64::from(there.minutes)
    }

    /// Whether the skills met in this session still begin early enough.
    fn still_early(&self, blocks: &[BlockRow], standing: &SoFar) -> bool {
        (0..blocks.len()).all(|at| {
            let shows = |at: usize, skill: usize| self.table.variants[blocks[at].variant].shows(skill);
            let firsts = |skill: &usize| {
                let first = standing.begun[*skill].iter().min();
                self.table.skills[*skill].new
                    && first == Some(&When::In(self.session))
                    && !(0..at).any(|earlier| shows(earlier, *skill))
            };
            !self.table.variants[blocks[at].variant].skills.iter().any(firsts) || self.early(blocks, at)
        })
    }

    /// Whether a variant keeps H2, H3 and H4 in this session.
    fn legal(&self, variant: usize, standing: &SoFar) -> bool {
        let table = self.table;
        let row = &table.variants[variant];
        if standing.headers + row.headers * f64::from(row.most) > table.headers {
            return false;
        }
        let earlier = |skill: usize, stage: usize| {
            table.skills[skill].done[stage] || standing.done[skill][stage].is_before(self.session)
        };
        let mut new = 0;
        for &skill in &row.skills {
            if !self.stage_may_come(skill, row.stage, standing) {
                return false;
            }
            new += u32::from(is_new(table, skill, standing));
            let begins = !table.skills[skill].met && standing.count[skill] == [0; 4];
            if begins && !table.skills[skill].needs.iter().all(|(needed, at)| earlier(*needed, *at)) {
                return false;
            }
        }
        standing.new_in_week + self.locked_new(standing) + new <= table.new_per_week || new == 0
    }

    /// Whether a stage of a skill keeps H3 in this session.
    fn stage_may_come(&self, skill: usize, stage: usize, standing: &SoFar) -> bool {
        let (table, session) = (self.table, self.session);
        let before = |when: &[When; 4], stage: usize| {
            table.skills[skill].done[stage] || when[stage].is_before(session)
        };
        let begins = stage > 0 && standing.count[skill][stage] == 0;
        match table.ladder {
            Ladder::Strict => !begins || before(&standing.done[skill], stage - 1),
            Ladder::Overlapping => !begins || before(&standing.begun[skill], stage - 1),
            Ladder::Open => {
                let row = |laid: &BlockRow| &table.variants[laid.variant];
                let led_to = |laid: &BlockRow| row(laid).stage < stage && row(laid).shows(skill);
                stage != Stage::Contest.index()
                    || before(&standing.done[skill], Stage::Scan.index())
                    || self.blocks.iter().any(led_to)
            }
        }
    }

    /// Skills that later locks of the same week will be the first to show.
    fn locked_new(&self, standing: &SoFar) -> u32 {
        let table = self.table;
        let week = table.sessions[self.session].week;
        let mut seen: Vec<usize> = Vec::new();
        let later = (self.session + 1..table.sessions.len()).take_while(|s| table.sessions[*s].week == week);
        for laid in later.flat_map(|session| &self.locked[session]) {
            for skill in &table.variants[laid.variant].skills {
                if is_new(table, *skill, standing) && !seen.contains(skill) {
                    seen.push(*skill);
                }
            }
        }
        seen.len() as u32
    }

    /// What laying a variant here is worth: exposures on the way to goals, the more urgent the longer the way; keeping
    /// what is under way from resting; and the strands that have had too little.
    fn worth(&self, variant: usize, standing: &SoFar) -> f64 {
        let table = self.table;
        let row = &table.variants[variant];
        let left = (table.sessions.len() - self.session) as f64;
        let mut worth = 0.0;
        for &skill in &row.skills {
            let missing =
                |stage: usize| table.skills[skill].way[stage].saturating_sub(standing.count[skill][stage]);
            let way: u32 = (0..4).map(missing).sum();
            let rest = match standing.last[skill] {
                None => 0,
                Some(before) => table.sessions[self.session].day - table.sessions[before].day,
            };
            // The nearer the chain comes to the sessions that are left, or to a test or lock, the less it can wait.
            let slack = (left - f64::from(still(table, self.chain, skill, &standing.count)))
                .min(self.until_due(skill, standing));
            worth += if missing(row.stage) > 0 { 4.0 + 8.0 * (-slack.max(-2.0) / 3.0).exp() } else { 0.4 };
            worth += if way > 0 { 0.4 * f64::from(rest) } else { 0.05 * f64::from(rest) };
            worth -= if standing.last[skill] == Some(self.session) { 3.0 } else { 0.0 };
        }
        worth += 0.35 * lack(table, variant, standing);
        worth - 0.3 * f64::from(row.laying_out)
    }

    /// Sessions that may still pass before a skill has to be met, or a stage of it has to be begun, so that every
    /// test and lock stays possible.
    fn until_due(&self, skill: usize, standing: &SoFar) -> f64 {
        let row = &self.table.skills[skill];
        let due = &self.due[skill];
        let mut until = f64::INFINITY;
        if let When::In(met) = due.met
            && standing.count[skill] == [0; 4]
        {
            until = met as f64 - self.session as f64;
        }
        let mut asked = 0;
        for stage in (0..4).filter(|stage| !row.done[*stage]) {
            asked += self.table.needed[stage].saturating_sub(standing.count[skill][stage]);
            if let When::In(done) = due.done[stage]
                && asked > 0
            {
                until = until.min((done + 1) as f64 - self.session as f64 - f64::from(asked));
            }
        }
        until
    }

    fn lay(&self, variant: usize, standing: &mut SoFar) {
        let table = self.table;
        let row = &table.variants[variant];
        for &skill in &row.skills {
            standing.new_in_week += u32::from(is_new(table, skill, standing));
            standing.last[skill] = Some(self.session);
            let shown = &mut standing.shown[skill][row.stage];
            let before = std::mem::replace(shown, When::In(self.session));
            if before == When::In(self.session) {
                continue;
            }
            let begun = &mut standing.begun[skill][row.stage];
            *begun = (*begun).min(When::In(self.session));
            let count = &mut standing.count[skill][row.stage];
            *count += 1;
            if *count == table.needed[row.stage] {
                standing.done[skill][row.stage] = When::In(self.session);
            }
        }
        standing.headers += row.headers * f64::from(row.most);
        count_minutes(table, variant, f64::from(row.least), standing);
    }

    /// Gives what is left of the time to the blocks whose strands have had least.
    fn lengthen(&mut self, standing: &mut SoFar) {
        let table = self.table;
        while self.table.free(self.session, &self.blocks) > 0 {
            let broken = self.table.breaches_of(self.session, &self.blocks);
            let longer = |at: usize| {
                let mut blocks = self.blocks.clone();
                blocks[at].minutes += 1;
                let room =
                    blocks[at].minutes <= table.variants[blocks[at].variant].most && !blocks[at].locked;
                let keeps = room
                    && self.table.breaches_of(self.session, &blocks) <= broken
                    && self.still_early(&blocks, standing);
                keeps.then(|| (lack(table, blocks[at].variant, standing), blocks[at].variant, blocks))
            };
            let best = (0..self.blocks.len()).filter_map(longer).max_by(|a, b| a.0.total_cmp(&b.0));
            let Some((_, variant, blocks)) = best else { break };
            self.blocks = blocks;
            count_minutes(table, variant, 1.0, standing);
        }
    }
}

fn is_new(table: &Table<'_>, skill: usize, standing: &SoFar) -> bool {
    table.skills[skill].new && standing.count[skill] == [0; 4]
}

/// How many percentage points the strands of a variant lack so far.
fn lack(table: &Table<'_>, variant: usize, standing: &SoFar) -> f64 {
    let all: f64 = standing.minutes.iter().sum::<f64>().max(1.0);
    (0..4)
        .map(|strand| {
            let part = table.variants[variant].strands[strand];
            part * (table.targets[strand] - 100.0 * standing.minutes[strand] / all)
        })
        .sum()
}

fn count_minutes(table: &Table<'_>, variant: usize, minutes: f64, standing: &mut SoFar) {
    for (sum, share) in standing.minutes.iter_mut().zip(&table.variants[variant].strands) {
        *sum += minutes * share;
    }
}

/// The blocks of a session with one more, where it breaks least, late rather than early; with how much is then broken
/// and where it stands.
pub(in crate::plan) fn placed(
    table: &Table<'_>,
    session: usize,
    mut blocks: Vec<BlockRow>,
    laid: BlockRow,
) -> (Vec<BlockRow>, i64, usize) {
    blocks.push(laid);
    let mut at = blocks.len() - 1;
    let mut best = (table.breaches_of(session, &blocks), at);
    while best.0 > 0 && at > 0 {
        blocks.swap(at - 1, at);
        at -= 1;
        let breaches = table.breaches_of(session, &blocks);
        if breaches < best.0 {
            best = (breaches, at);
        }
    }
    blocks[at..=best.1].rotate_left(1);
    (blocks, best.0, best.1)
}
