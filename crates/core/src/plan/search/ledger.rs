//! A plan that knows its score and its breaches, and keeps both up to date as its sessions change.
//!
//! Changing a session costs as much as the skills in it have exposures, not as much as the plan has blocks. What the
//! parts and the rules mean is said in [`crate::plan::score`] and in [`super`]; tests hold the two to each other.

use crate::plan::Weekly;
use crate::plan::part::{HALF, STANDING_FREE};
use crate::plan::search::line::{Exposure, Line};
use crate::plan::search::session::SessionSums;
use crate::plan::search::table::{BlockRow, Table, When};

/// An exposure that something else waits for, and the sessions that it may stand in.
pub(in crate::plan) struct Owed {
    pub skill: usize,
    pub stage: usize,
    /// The first session that may have it.
    pub after: When,
    /// The first session that may no longer have it.
    pub before: usize,
}

/// The sessions in which a block may stand.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(in crate::plan) struct Room {
    /// The first of them.
    pub from: When,
    /// The first that is none of them any more: something there waits for the block.
    pub until: When,
}

impl Room {
    pub fn contains(&self, session: usize) -> bool {
        (self.from..self.until).contains(&When::In(session))
    }
}

pub(in crate::plan) struct Ledger<'t> {
    pub(in crate::plan) table: &'t Table<'t>,
    pub(in crate::plan) sessions: Vec<Vec<BlockRow>>,
    /// What stood there before, if the plan is to stay near it.
    before: Option<Vec<Vec<BlockRow>>>,
    pub(in crate::plan) sums: Vec<SessionSums>,
    pub(in crate::plan) shown: Vec<Vec<Exposure>>,
    pub(in crate::plan) lines: Vec<Line>,
    /// H2 of each skill.
    pub(in crate::plan) needs: Vec<i64>,
    /// Skills met for the first time in each week.
    pub(in crate::plan) new: Vec<u32>,
    /// All minutes of each week, and those of open play.
    pub(in crate::plan) week_minutes: Vec<(u32, u32)>,
    pub(in crate::plan) headers: Vec<f64>,
    /// S7 of each session.
    pub(in crate::plan) same: Vec<u32>,
    pub(in crate::plan) sum: Sum,
    /// Room to reckon in.
    touched: Vec<usize>,
}

/// Everything that is summed over sessions, skills and weeks.
#[derive(Clone, Copy, Debug, Default)]
pub(in crate::plan) struct Sum {
    pub sessions: SessionSums,
    /// Breaches that no session has on its own.
    pub breaches: i64,
    pub lines: f64,
    /// S12 of all lines, before it is shared among the minutes.
    pub outside: f64,
    pub open_play: f64,
    /// S14 as far as it is for themes.
    pub off_theme: f64,
    /// S13: times too few or too many.
    pub off_weekly: u32,
    pub same: u32,
}

impl Sum {
    pub fn all_breaches(&self) -> i64 {
        self.breaches + self.sessions.breaches
    }
}

impl<'t> Ledger<'t> {
    /// A ledger of a plan. With `near`, every block of it that leaves its session counts one point.
    pub fn of(
        table: &'t Table<'t>,
        sessions: Vec<Vec<BlockRow>>,
        near: Option<Vec<Vec<BlockRow>>>,
    ) -> Ledger<'t> {
        let (n, weeks) = (table.skills.len(), table.line.len());
        let mut ledger = Ledger {
            table,
            sessions: vec![Vec::new(); table.sessions.len()],
            before: None,
            sums: Vec::new(),
            shown: vec![Vec::new(); n],
            lines: Vec::new(),
            needs: vec![0; n],
            new: vec![0; weeks],
            week_minutes: vec![(0, 0); weeks],
            headers: vec![0.0; weeks],
            same: vec![0; table.sessions.len()],
            sum: Sum::default(),
            touched: Vec::new(),
        };
        ledger.before = near;
        for session in 0..table.sessions.len() {
            let empty = ledger.sums_with(session, &[]);
            ledger.sums.push(empty);
            ledger.sum.sessions.exchange(&SessionSums::default(), &empty);
        }
        for week in 0..weeks {
            ledger.sum.open_play += ledger.open_play_of(week, (0, 0));
            ledger.sum.off_weekly += ledger.off_weekly_of(week, |at| &ledger.sums[at]);
        }
        for skill in 0..n {
            let line = table.line(skill, &[], |_| false);
            ledger.lines.push(line);
            ledger.sum.lines += line.points;
            ledger.sum.outside += line.outside;
            ledger.sum.breaches += line.breaches;
        }
        for (session, blocks) in sessions.iter().enumerate() {
            ledger.replace(session, blocks);
        }
        ledger
    }

    pub fn sessions(&self) -> &[Vec<BlockRow>] {
        &self.sessions
    }

    pub fn session(&self, session: usize) -> &[BlockRow] {
        &self.sessions[session]
    }

    /// The exposures of a skill, in order.
    pub fn shown(&self, skill: usize) -> &[Exposure] {
        &self.shown[skill]
    }

    /// The furthest stage at which a skill may be shown in a session (H2, H3); `None` if it may not yet be met.
    pub fn stage_at(&self, skill: usize, session: usize) -> Option<usize> {
        let (row, line) = (&self.table.skills[skill], &self.lines[skill]);
        let unmet = !row.met && !line.first.is_before(session);
        if unmet && !row.needs.iter().all(|(needed, stage)| self.done_before(*needed, *stage, session)) {
            return None;
        }
        Some((0..row.goal).take_while(|stage| self.opens_before(skill, *stage, session)).count())
    }

    /// The sessions in which a block of a variant may stand that stands in one of them, as far as the stages of its
    /// skills and what needs them tell (H2, H3).
    pub fn room(&self, variant: usize) -> Room {
        let table = self.table;
        let stage = table.variants[variant].stage;
        let (mut from, mut until) = (When::In(0), When::Never);
        for &skill in &table.variants[variant].skills {
            let row = &self.table.skills[skill];
            if stage > 0 && !row.done[stage - 1] {
                from = from.max(self.lines[skill].opens(stage - 1, table.ladder));
            }
            if stage == 0 && !row.met {
                let needs = row.needs.iter().filter(|(needed, at)| !self.table.skills[*needed].done[*at]);
                needs.for_each(|(needed, at)| from = from.max(self.lines[*needed].done[*at].next()));
            }
            let line = &self.lines[skill];
            if row.done[stage] {
                continue;
            }
            // None of the exposures may leave that the next stage waits for.
            let holds = table.ladder.waits(table.needed[stage] as usize);
            let waits = line.count[stage] as usize <= holds;
            if let Some(next) = line.begun.get(stage + 1).filter(|_| waits) {
                until = until.min(*next);
            }
            if line.count[stage] > table.needed[stage] {
                continue;
            }
            for (above, _) in row.asks.iter().filter(|(_, at)| *at == stage) {
                until = until.min(self.lines[*above].first);
            }
        }
        Room { from, until }
    }

    /// Whether every skill of a variant has come so far before a session that it may be shown there.
    pub fn may_show(&self, variant: usize, session: usize) -> bool {
        let row = &self.table.variants[variant];
        row.skills.iter().all(|skill| self.stage_at(*skill, session).is_some_and(|stage| row.stage <= stage))
    }

    /// Whether a skill costs points by what it lacks, or how it is spread.
    pub fn ails(&self, skill: usize) -> bool {
        self.lines[skill].points > self.lines[skill].haste
    }

    /// What has to come earlier, where a skill breaks H2, H3 or H9.
    pub fn owed(&self, skill: usize) -> Option<Owed> {
        let (row, line) = (&self.table.skills[skill], &self.lines[skill]);
        if self.needs[skill] > 0 {
            let first = line.first.session()?;
            let late = |(needed, stage): &&(usize, usize)| !self.done_before(*needed, *stage, first);
            let (needed, stage) = row.needs.iter().find(late)?;
            return self.first_not_done(*needed, *stage, first);
        }
        if line.breaches == 0 {
            return None;
        }
        if let When::In(tested) = row.tested
            && !line.first.is_before(tested)
        {
            return Some(self.owes(skill, 0, tested));
        }
        let mut shown = self.shown[skill].iter().filter(|shown| shown.stage > 0);
        shown.find_map(|shown| {
            let closed = |stage: &usize| !self.opens_before(skill, *stage, shown.session);
            Some(self.owes(skill, (0..shown.stage).find(closed)?, shown.session))
        })
    }

    /// The week in which a skill is met first, if too many are met in it.
    pub fn crowded_by(&self, skill: usize) -> Option<usize> {
        if !self.table.skills[skill].new {
            return None;
        }
        let week = self.table.sessions[self.lines[skill].first.session()?].week;
        (self.too_many_new(self.new[week]) > 0).then_some(week)
    }

    fn done_before(&self, skill: usize, stage: usize, session: usize) -> bool {
        self.table.skills[skill].done[stage] || self.lines[skill].done[stage].is_before(session)
    }

    /// Whether a stage lets the next one begin in a session (H3).
    fn opens_before(&self, skill: usize, stage: usize, session: usize) -> bool {
        let opens = self.lines[skill].opens(stage, self.table.ladder);
        self.table.skills[skill].done[stage] || opens <= When::In(session)
    }

    /// The first stage of a skill, up to one, that is not done before a session.
    fn first_not_done(&self, skill: usize, upto: usize, session: usize) -> Option<Owed> {
        let stage = (0..=upto).find(|stage| !self.done_before(skill, *stage, session))?;
        Some(self.owes(skill, stage, session))
    }

    /// The same stage, or an earlier one, where what comes before it leaves no session for it.
    fn owes(&self, skill: usize, mut stage: usize, mut before: usize) -> Owed {
        loop {
            let free = stage == 0 || self.table.skills[skill].done[stage - 1];
            let ladder = self.table.ladder;
            let after = if free { When::In(0) } else { self.lines[skill].opens(stage - 1, ladder) };
            if free || after.is_before(before) {
                return Owed { skill, stage, after, before };
            }
            (stage, before) = (stage - 1, before.saturating_sub(1));
        }
    }

    pub fn breaches(&self) -> i64 {
        self.sum.all_breaches()
    }

    /// Breaches of a plan that ends before a session: what later tests ask for can still be met.
    pub fn breaches_before(&self, session: usize) -> i64 {
        let still_ahead = |skill: &usize| {
            let tested = self.table.skills[*skill].tested;
            tested != When::Never && !tested.is_before(session) && self.lines[*skill].first == When::Never
        };
        self.breaches() - (0..self.lines.len()).filter(still_ahead).count() as i64
    }

    /// The score: the same as [`crate::plan::score::score`] finds.
    pub fn score(&self) -> f64 {
        self.points(&self.sum)
    }

    /// The score that sums come to.
    pub(in crate::plan) fn points(&self, sum: &Sum) -> f64 {
        let costs = &self.table.costs;
        let weeks = sum.open_play + sum.off_theme + costs.off_weekly * f64::from(sum.off_weekly);
        let (outside, mut points) = (sum.outside, sum.lines + weeks + costs.again * f64::from(sum.same));
        let sum = &sum.sessions;
        let all: f64 = sum.strands.iter().sum();
        points += costs.unused * f64::from(sum.unused) + costs.laying_out * f64::from(sum.laying_out);
        points += costs.unfocused * f64::from(sum.unfocused) + costs.short * f64::from(sum.short);
        points += costs.arc * f64::from(sum.not_open) + costs.easier * f64::from(sum.easier);
        for (minutes, target) in sum.strands.iter().zip(&self.table.targets) {
            let share = if all > 0.0 { 100.0 * minutes / all } else { 0.0 };
            points += costs.strand * (share - target).abs() / 2.0;
        }
        let [both, lacking] = sum.touches;
        if both > 1e-9 {
            points += costs.other_foot * (100.0 * lacking / both).max(0.0);
        }
        points += outside * self.edge_of(sum);
        if sum.minutes > 0 {
            points += costs.standing * 100.0 * (sum.waited / f64::from(sum.minutes) - STANDING_FREE).max(0.0);
        }
        points
    }

    /// Lays other blocks into a session.
    pub fn replace(&mut self, session: usize, blocks: &[BlockRow]) {
        let sums = self.sums_with(session, blocks);
        self.put(session, blocks, sums);
    }

    /// What a session adds as it stands.
    pub fn sums_of(&self, session: usize) -> &SessionSums {
        &self.sums[session]
    }

    /// What blocks would add to a session.
    pub fn sums_with(&self, session: usize, blocks: &[BlockRow]) -> SessionSums {
        SessionSums { moved: self.moved(session, blocks), ..self.table.sums(session, blocks) }
    }

    /// How many blocks that stood in a session before are not among these. Where the squad's own is known, another rung
    /// of a drill at the same stage is no other block: rungs follow what came off.
    fn moved(&self, session: usize, blocks: &[BlockRow]) -> u32 {
        let Some(before) = &self.before else { return 0 };
        let follows = self.table.problem.knack != 0.0;
        let kind = |variant: usize| {
            let row = &self.table.variants[variant];
            if follows { (row.drill as usize, row.stage) } else { (variant, 0) }
        };
        let mut here: Vec<(usize, usize)> = blocks.iter().map(|laid| kind(laid.variant)).collect();
        let mut gone = |laid: &&BlockRow| match here.iter().position(|there| *there == kind(laid.variant)) {
            Some(at) => {
                here.swap_remove(at);
                false
            }
            None => true,
        };
        before[session].iter().filter(|laid| gone(laid)).count() as u32
    }

    /// Lays other blocks into a session of which it is known what they add.
    pub fn put(&mut self, session: usize, blocks: &[BlockRow], sums: SessionSums) {
        let mut touched = std::mem::take(&mut self.touched);
        touched.clear();
        self.touch(session, blocks, &sums, &mut touched);

        let week = self.table.sessions[session].week;
        self.sum.open_play -= self.open_play_of(week, self.week_minutes[week]);
        self.sum.off_theme -= self.off_theme_of(week, |at| &self.sums[at]);
        self.sum.off_weekly -= self.off_weekly_of(week, |at| &self.sums[at]);
        self.sum.breaches -= self.too_many_headers(self.headers[week]);
        let old = std::mem::replace(&mut self.sums[session], sums);
        self.sum.sessions.exchange(&old, &sums);
        let (all, open) = self.week_minutes[week];
        self.week_minutes[week] = (all + sums.minutes - old.minutes, open + sums.open - old.open);
        self.headers[week] += sums.headers - old.headers;
        self.sum.open_play += self.open_play_of(week, self.week_minutes[week]);
        self.sum.off_theme += self.off_theme_of(week, |at| &self.sums[at]);
        self.sum.off_weekly += self.off_weekly_of(week, |at| &self.sums[at]);
        self.sum.breaches += self.too_many_headers(self.headers[week]);

        self.sessions[session].clear();
        self.sessions[session].extend_from_slice(blocks);
        for skill in &touched {
            self.renew_line(*skill, session);
        }
        self.touched = touched;
        for at in session..(session + 3).min(self.same.len()) {
            let same = self.sameness_of(at, |at| &self.sessions[at]);
            self.sum.same = self.sum.same + same - self.same[at];
            self.same[at] = same;
        }
    }

    /// The skills whose lines change where other blocks are laid: those of blocks that go or come; of blocks that
    /// change places, where several show the same skill; and those that are met here, where that moves over half of
    /// the time.
    pub(in crate::plan) fn touch(
        &self,
        session: usize,
        blocks: &[BlockRow],
        sums: &SessionSums,
        touched: &mut Vec<usize>,
    ) {
        let (table, old) = (self.table, &self.sessions[session]);
        let skills_of = |laid: &BlockRow| table.variants[laid.variant].skills.iter();
        let mut touch = |skill: usize| {
            if !touched.contains(&skill) {
                touched.push(skill);
            }
        };
        // Nothing goes or comes where both begin and end alike.
        let shorter = old.len().min(blocks.len());
        let alike =
            |(old, new): &(&BlockRow, &BlockRow)| (old.variant, old.minutes) == (new.variant, new.minutes);
        let begin = old.iter().zip(blocks).take_while(alike).count();
        let ends = old.iter().rev().zip(blocks.iter().rev()).take(shorter - begin);
        let end = ends.take_while(alike).count();
        let (goes, comes) = (&old[begin..old.len() - end], &blocks[begin..blocks.len() - end]);
        let count =
            |blocks: &[BlockRow], like: &BlockRow| blocks.iter().filter(|laid| alike(&(*laid, like))).count();
        let stays = |laid: &&BlockRow| count(goes, laid) == count(comes, laid);
        for laid in goes.iter().chain(comes).filter(|laid| !stays(laid)) {
            skills_of(laid).for_each(|skill| touch(*skill));
        }
        let mut seen = 0;
        for (at, laid) in comes.iter().enumerate() {
            let signs = table.variants[laid.variant].signs;
            for skill in skills_of(laid).filter(|_| signs & seen != 0) {
                if comes[..at].iter().any(|earlier| table.variants[earlier.variant].shows(*skill)) {
                    touch(*skill);
                }
            }
            seen |= signs;
        }
        let (early, was_early) = (sums.early, self.sums[session].early);
        if early == was_early && old.len() == blocks.len() && goes.len() <= 1 {
            return;
        }
        for (at, laid) in blocks.iter().enumerate() {
            let was = match at {
                at if at < begin => Some(at),
                at if at >= blocks.len() - end => Some(at + old.len() - blocks.len()),
                _ => goes.iter().position(|there| there.variant == laid.variant).map(|at| begin + at),
            };
            if was.is_some_and(|was| (was < was_early) != (at < early)) {
                let met_here = skills_of(laid).filter(|skill| self.lines[**skill].first == When::In(session));
                met_here.for_each(|skill| touch(*skill));
            }
        }
    }

    /// Writes what the blocks of a session show of a skill into its exposures.
    pub(in crate::plan) fn show_in(
        &self,
        skill: usize,
        session: usize,
        blocks: &[BlockRow],
        shown: &mut Vec<Exposure>,
    ) {
        for laid in blocks {
            let variant = &self.table.variants[laid.variant];
            if variant.shows(skill) {
                let place = shown.partition_point(|other| other.session <= session);
                shown.insert(
                    place,
                    Exposure {
                        session,
                        stage: variant.stage,
                        difficulty: variant.difficulty,
                        minutes: f64::from(laid.minutes) / variant.skills.len() as f64,
                        working: f64::from(laid.minutes) * self.table.working[laid.variant],
                    },
                );
            }
        }
    }

    /// Whether a skill that is met in a session begins there after half of the session's minutes.
    pub(in crate::plan) fn begins_late(&self, skill: usize, blocks: &[BlockRow], early: usize) -> bool {
        let shows = |laid: &BlockRow| self.table.variants[laid.variant].shows(skill);
        blocks.iter().position(shows).is_some_and(|at| at >= early)
    }

    /// Recomputes a line after a session was changed, and what waits for its skill.
    fn renew_line(&mut self, skill: usize, session: usize) {
        let table = self.table;
        let mut shown = std::mem::take(&mut self.shown[skill]);
        shown.retain(|shown| shown.session != session);
        self.show_in(skill, session, &self.sessions[session], &mut shown);
        let new = table.line(skill, &shown, |first| {
            self.begins_late(skill, &self.sessions[first], self.sums[first].early)
        });
        self.shown[skill] = shown;
        let old = std::mem::replace(&mut self.lines[skill], new);
        self.sum.lines += new.points - old.points;
        self.sum.outside += new.outside - old.outside;
        self.sum.breaches += new.breaches - old.breaches;
        if old.first != new.first && table.skills[skill].new {
            for (first, by) in [(old.first, -1), (new.first, 1)] {
                let Some(first) = first.session() else { continue };
                let week = table.sessions[first].week;
                self.sum.breaches -= self.too_many_new(self.new[week]);
                self.new[week] = self.new[week].wrapping_add_signed(by);
                self.sum.breaches += self.too_many_new(self.new[week]);
            }
        }
        if old.first != new.first && !table.skills[skill].met {
            self.renew_needs(skill);
        }
        if old.done != new.done {
            for opened in &table.skills[skill].opens {
                self.renew_needs(*opened);
            }
        }
    }

    fn renew_needs(&mut self, skill: usize) {
        let broken = self.needs_broken(skill, |skill| &self.lines[skill]);
        self.sum.breaches += broken - self.needs[skill];
        self.needs[skill] = broken;
    }

    /// H2 of a skill.
    pub(in crate::plan) fn needs_broken<'l>(&self, skill: usize, line: impl Fn(usize) -> &'l Line) -> i64 {
        let row = &self.table.skills[skill];
        let Some(first) = line(skill).first.session().filter(|_| !row.met) else {
            return 0;
        };
        let late = |(needed, stage): &&(usize, usize)| {
            let done = line(*needed).done[*stage];
            !self.table.skills[*needed].done[*stage] && !done.is_before(first)
        };
        row.needs.iter().filter(late).count() as i64
    }

    /// What a minute costs whose success is expected a percentage point outside the window (S12).
    pub(in crate::plan) fn edge_of(&self, sums: &SessionSums) -> f64 {
        if sums.minutes > 0 { self.table.costs.edge / f64::from(sums.minutes) } else { 0.0 }
    }

    pub(in crate::plan) fn too_many_new(&self, met: u32) -> i64 {
        i64::from(met.saturating_sub(self.table.new_per_week))
    }

    pub(in crate::plan) fn too_many_headers(&self, headers: f64) -> i64 {
        i64::from(headers > self.table.headers + 1e-9)
    }

    /// S5 of a week with this many minutes, this many of them open play.
    pub(in crate::plan) fn open_play_of(&self, week: usize, (all, open): (u32, u32)) -> f64 {
        let share = if all > 0 { 100.0 * f64::from(open) / f64::from(all) } else { 0.0 };
        self.table.costs.open_play * (self.table.line[week] - share).max(0.0)
    }

    /// S14 of a week as far as its sessions lack minutes for its theme: the wished one, or the strand that they come
    /// nearest to.
    pub(in crate::plan) fn off_theme_of<'s>(
        &self,
        week: usize,
        sums: impl Fn(usize) -> &'s SessionSums,
    ) -> f64 {
        let costs = &self.table.costs;
        let lacks = |served: f64, minutes: u32| match minutes {
            0 => 0.0,
            _ => (HALF - 100.0 * served / f64::from(minutes)).max(0.0),
        };
        let sessions = self.table.weeks[week].iter().map(|at| sums(*at));
        if self.table.themes[week].is_some() {
            return costs.off_wished_theme
                * sessions.map(|sums| lacks(sums.themed, sums.minutes)).sum::<f64>();
        }
        let mut strands = [0.0; 4];
        for sums in sessions {
            for (sum, served) in strands.iter_mut().zip(sums.strands) {
                *sum += lacks(served, sums.minutes);
            }
        }
        costs.off_theme * strands.into_iter().fold(f64::INFINITY, f64::min)
    }

    /// S13 of a week: times too few or too many.
    pub(in crate::plan) fn off_weekly_of<'s>(
        &self,
        week: usize,
        sums: impl Fn(usize) -> &'s SessionSums,
    ) -> u32 {
        let wishes = self.table.problem.weekly.iter().zip(&self.table.weekly_from).enumerate();
        let off = |(at, (wish, from)): (usize, (&Weekly, &When))| {
            let counts = self.table.weeks[week].iter().filter(|session| *from <= When::In(**session));
            let (mut sessions, mut times) = (0, 0);
            for session in counts {
                sessions += 1;
                times += sums(*session).weekly >> at & 1;
            }
            wish.off(times, sessions)
        };
        wishes.map(off).sum()
    }

    /// S7 of a session: its variants that also stand in the two sessions before.
    pub(in crate::plan) fn sameness_of<'s>(
        &self,
        session: usize,
        blocks_of: impl Fn(usize) -> &'s Vec<BlockRow>,
    ) -> u32 {
        if session < 2 {
            return 0;
        }
        let has = |blocks: &[BlockRow], variant: usize| blocks.iter().any(|l| l.variant == variant);
        let (blocks, before, earlier) = (blocks_of(session), blocks_of(session - 1), blocks_of(session - 2));
        let again = |(i, laid): &(usize, &BlockRow)| {
            has(before, laid.variant) && has(earlier, laid.variant) && !has(&blocks[..*i], laid.variant)
        };
        blocks.iter().enumerate().filter(again).count() as u32
    }
}

#[cfg(test)]
pub(in crate::plan) mod tests;
