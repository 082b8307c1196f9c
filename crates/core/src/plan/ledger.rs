//! A plan that knows its score and its breaches, and keeps both up to date as its sessions change.
//!
//! Changing a session costs as much as the skills in it have exposures, not as much as the plan has blocks. What the
//! parts and the rules mean is said in [`super::score`] and in [`super`]; tests hold the two to each other.

use super::score::{
    CHANGE, IDLE, JUMP, KEEPING, KEEPING_DAYS, MISSING, OPEN_PLAY, OTHER_FOOT, RHYTHM_DAYS, STEP, TWICE,
    WAITING, WAITING_FREE,
};
use super::table::{Laid, NONE, Table, VariantRow};
use crate::skill::Stage;

/// One exposure of a skill.
#[derive(Clone, Copy, Debug)]
pub(super) struct Shown {
    pub session: usize,
    pub stage: usize,
    difficulty: f64,
    /// Begins after half of the session's minutes.
    late: bool,
}

/// What one session adds.
#[derive(Clone, Copy, Debug, Default)]
pub(super) struct Evening {
    /// H1, H5 to H7 as far as they can be told from the session alone; a minute too much counts as a breach of its own.
    pub breaches: i64,
    unused: u32,
    changes: u32,
    /// Blocks whose variant stands earlier in the session already.
    twice: u32,
    minutes: u32,
    open: u32,
    strands: [f64; 4],
    touches: [f64; 3],
    waited: f64,
    headers: f64,
    /// Blocks of the plan that was there before which are not there now.
    moved: u32,
}

/// What one skill adds.
#[derive(Clone, Copy, Debug)]
struct Line {
    /// S1, S3, S4 and S6.
    points: f64,
    /// H3, H7 (first exposure) and H9.
    breaches: i64,
    first: usize,
    /// In which session each stage had its last required exposure.
    done: [usize; 4],
}

/// An exposure that something else waits for, and the sessions that it may stand in.
pub(super) struct Owed {
    pub skill: usize,
    pub stage: usize,
    /// The first session that may have it.
    pub after: usize,
    /// The first session that may no longer have it.
    pub before: usize,
}

pub(super) struct Ledger<'t> {
    table: &'t Table<'t>,
    sessions: Vec<Vec<Laid>>,
    /// What stood there before, if the plan is to stay near it.
    before: Option<Vec<Vec<Laid>>>,
    evenings: Vec<Evening>,
    /// Which blocks begin after half of their session's minutes.
    late: Vec<Vec<bool>>,
    shown: Vec<Vec<Shown>>,
    lines: Vec<Line>,
    /// H2 of each skill.
    needs: Vec<i64>,
    /// Skills met for the first time in each week.
    new: Vec<u32>,
    week_minutes: Vec<(u32, u32)>,
    headers: Vec<f64>,
    /// S7 of each session.
    same: Vec<u32>,
    sum: Sum,
    touched: Vec<usize>,
    late_before: Vec<bool>,
}

/// Everything that is summed over sessions, skills and weeks.
#[derive(Clone, Copy, Debug, Default)]
struct Sum {
    evenings: Evening,
    /// Breaches that no session has on its own.
    breaches: i64,
    lines: f64,
    open_play: f64,
    same: u32,
}

impl<'t> Ledger<'t> {
    /// A ledger of a plan. With `near`, every block of it that leaves its session counts one point.
    pub fn of(table: &'t Table<'t>, sessions: Vec<Vec<Laid>>, near: Option<Vec<Vec<Laid>>>) -> Ledger<'t> {
        let (n, weeks) = (table.skills.len(), table.line.len());
        let mut ledger = Ledger {
            table,
            sessions: vec![Vec::new(); table.evenings.len()],
            before: None,
            evenings: Vec::new(),
            late: vec![Vec::new(); table.evenings.len()],
            shown: vec![Vec::new(); n],
            lines: Vec::new(),
            needs: vec![0; n],
            new: vec![0; weeks],
            week_minutes: vec![(0, 0); weeks],
            headers: vec![0.0; weeks],
            same: vec![0; table.evenings.len()],
            sum: Sum::default(),
            touched: Vec::new(),
            late_before: Vec::new(),
        };
        ledger.before = near;
        for session in 0..table.evenings.len() {
            let empty = ledger.evening(session, &[]);
            ledger.evenings.push(empty);
            ledger.sum.evenings.add(&empty, 1);
        }
        for week in 0..weeks {
            ledger.sum.open_play += ledger.open_play(week);
        }
        for skill in 0..n {
            let line = ledger.line(skill);
            ledger.lines.push(line);
            ledger.sum.lines += line.points;
            ledger.sum.breaches += line.breaches;
        }
        for (session, blocks) in sessions.iter().enumerate() {
            ledger.replace(session, blocks);
        }
        ledger
    }

    pub fn sessions(&self) -> &[Vec<Laid>] {
        &self.sessions
    }

    pub fn session(&self, session: usize) -> &[Laid] {
        &self.sessions[session]
    }

    /// The exposures of a skill, in order.
    pub fn shown(&self, skill: usize) -> &[Shown] {
        &self.shown[skill]
    }

    /// The furthest stage at which a skill may be shown in a session (H2, H3); nothing if it may not yet be met.
    pub fn stage_at(&self, skill: usize, session: usize) -> Option<usize> {
        let (row, line) = (&self.table.skills[skill], &self.lines[skill]);
        let unmet = !row.met && line.first >= session;
        if unmet && !row.needs.iter().all(|(needed, stage)| self.done_before(*needed, *stage, session)) {
            return None;
        }
        Some((0..row.goal).take_while(|stage| self.done_before(skill, *stage, session)).count())
    }

    /// What has to come earlier, where a skill breaks H2, H3 or H9.
    pub fn owed(&self, skill: usize) -> Option<Owed> {
        let (row, line) = (&self.table.skills[skill], &self.lines[skill]);
        if self.needs[skill] > 0 {
            let late = |(needed, stage): &&(usize, usize)| !self.done_before(*needed, *stage, line.first);
            let (needed, stage) = row.needs.iter().find(late)?;
            return self.first_not_done(*needed, *stage, line.first);
        }
        if line.breaches == 0 {
            return None;
        }
        if row.tested != NONE && (line.first == NONE || line.first >= row.tested) {
            return Some(self.owes(skill, 0, row.tested));
        }
        let mut shown = self.shown[skill].iter().filter(|shown| shown.stage > 0);
        shown.find_map(|shown| self.first_not_done(skill, shown.stage - 1, shown.session))
    }

    /// The week in which a skill is met first, if too many are met in it.
    pub fn crowded_by(&self, skill: usize) -> Option<usize> {
        let first = self.lines[skill].first;
        if self.table.skills[skill].met || first == NONE {
            return None;
        }
        let week = self.table.evenings[first].week;
        (self.too_many_new(week) > 0).then_some(week)
    }

    fn done_before(&self, skill: usize, stage: usize, session: usize) -> bool {
        self.table.skills[skill].done[stage] || self.lines[skill].done[stage] < session
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
            let after = if free { 0 } else { self.lines[skill].done[stage - 1].saturating_add(1) };
            if free || after < before {
                return Owed { skill, stage, after, before };
            }
            (stage, before) = (stage - 1, before.saturating_sub(1));
        }
    }

    pub fn breaches(&self) -> i64 {
        self.sum.breaches + self.sum.evenings.breaches
    }

    /// Breaches of a plan that ends before a session: what later tests ask for can still be met.
    pub fn breaches_before(&self, session: usize) -> i64 {
        let still_ahead = |skill: &usize| {
            let tested = self.table.skills[*skill].tested;
            tested != NONE && tested >= session && self.lines[*skill].first == NONE
        };
        self.breaches() - (0..self.lines.len()).filter(still_ahead).count() as i64
    }

    /// Blocks that have left their session.
    pub fn moved(&self) -> u32 {
        self.sum.evenings.moved
    }

    /// The score: the same as [`super::score::score`] finds.
    pub fn score(&self) -> f64 {
        let sum = &self.sum.evenings;
        let all: f64 = sum.strands.iter().sum();
        let mut points = self.sum.lines + self.sum.open_play + f64::from(self.sum.same);
        points +=
            TWICE * f64::from(sum.twice) + IDLE * f64::from(sum.unused) + CHANGE * f64::from(sum.changes);
        for (minutes, target) in sum.strands.iter().zip(&self.table.targets) {
            let share = if all > 0.0 { 100.0 * minutes / all } else { 0.0 };
            points += (share - target).abs() / 2.0;
        }
        let [both, other, wanted] = sum.touches;
        if both > 1e-9 {
            points += OTHER_FOOT * (100.0 * (wanted - other) / both).max(0.0);
        }
        if sum.minutes > 0 {
            points += WAITING * 100.0 * (sum.waited / f64::from(sum.minutes) - WAITING_FREE).max(0.0);
        }
        points
    }

    /// Breaches that the blocks of a session have on their own.
    pub fn breaches_of(&self, session: usize, blocks: &[Laid]) -> i64 {
        self.rules_of(blocks) + (-self.free(session, blocks)).max(0)
    }

    /// The same without H1.
    fn rules_of(&self, blocks: &[Laid]) -> i64 {
        let table = self.table;
        let (mut breaches, mut aerial, mut hard_before) = (0, 0, false);
        for (i, laid) in blocks.iter().enumerate() {
            let variant = &table.variants[laid.variant];
            let any = |is: fn(&VariantRow) -> bool| table.each(laid).any(is);
            aerial += if any(|v| v.aerial) { laid.minutes } else { 0 };
            let hard = any(|v| v.hard);
            breaches += i64::from(hard && hard_before);
            hard_before = hard;
            breaches += i64::from(i == 0 && any(|v| !v.warm));
            let unsound = |v: &VariantRow| !(v.least..=v.most).contains(&laid.minutes) || !v.usable;
            breaches += table.each(laid).filter(|v| unsound(v)).count() as i64;
            if laid.beside != NONE {
                let other = &table.variants[laid.beside];
                let rungs = variant.skills.iter().any(|skill| other.skills.contains(skill));
                let stand = variant.halves && other.halves && laid.variant != laid.beside;
                breaches += i64::from(!rungs || !stand);
            }
            if variant.stage != Stage::Contest.index() {
                for earlier in blocks[..i].iter().map(|b| &table.variants[b.variant]) {
                    if earlier.stage == Stage::Contest.index() {
                        let contested = variant.skills.iter().filter(|skill| earlier.skills.contains(skill));
                        breaches += contested.count() as i64;
                    }
                }
            }
        }
        breaches + i64::from(aerial > table.aerial)
    }

    /// Minutes of a session that blocks and their layout changes leave; below nothing if they take too many.
    pub fn free(&self, session: usize, blocks: &[Laid]) -> i64 {
        let there = &self.table.evenings[session];
        let changes: u32 = blocks
            .windows(2)
            .filter(|pair| self.table.floor(&pair[0]) != self.table.floor(&pair[1]))
            .map(|pair| self.table.laying_out(&pair[1]))
            .sum();
        let used: u32 = blocks.iter().map(|laid| laid.minutes).sum();
        i64::from(there.minutes) - i64::from(there.tests) - i64::from(used + changes)
    }

    /// Lays other blocks into a session.
    pub fn replace(&mut self, session: usize, blocks: &[Laid]) {
        let evening = self.evening(session, blocks);
        self.put(session, blocks, evening);
    }

    /// What a session adds as it stands.
    pub fn evening_of(&self, session: usize) -> Evening {
        self.evenings[session]
    }

    /// Lays other blocks into a session of which it is known what they add.
    pub fn put(&mut self, session: usize, blocks: &[Laid], evening: Evening) {
        let table = self.table;
        let week = table.evenings[session].week;
        self.sum.open_play -= self.open_play(week);
        self.sum.breaches -= self.too_many_headers(week);
        let old = self.evenings[session];
        self.sum.evenings.add(&old, -1);
        self.sum.evenings.add(&evening, 1);
        let in_week = &mut self.week_minutes[week];
        in_week.0 = in_week.0 + evening.minutes - old.minutes;
        in_week.1 = in_week.1 + evening.open - old.open;
        self.headers[week] += evening.headers - old.headers;
        self.evenings[session] = evening;
        self.sum.open_play += self.open_play(week);
        self.sum.breaches += self.too_many_headers(week);

        let mut touched = std::mem::take(&mut self.touched);
        let stays = self.sessions[session].len() == blocks.len()
            && self.sessions[session].iter().zip(blocks).all(|(old, new)| old.variant == new.variant);
        self.show(session, blocks, &mut touched);
        for skill in &touched {
            self.renew_line(*skill);
        }
        let over = touched.len();
        for at in 0..over {
            for opened in &table.skills[touched[at]].opens {
                if !touched.contains(opened) {
                    touched.push(*opened);
                }
            }
        }
        for skill in &touched {
            let broken = self.needs_broken(*skill);
            self.sum.breaches += broken - self.needs[*skill];
            self.needs[*skill] = broken;
        }
        self.touched = touched;
        let others = if stays { session..session } else { session..(session + 3).min(self.same.len()) };
        for at in others {
            let same = self.sameness(at);
            self.sum.same = self.sum.same + same - self.same[at];
            self.same[at] = same;
        }
    }

    /// Lays the blocks and writes their exposures into the lines of their skills; says which lines have changed. Blocks
    /// at both ends of the session that stay as they are leave their lines alone.
    fn show(&mut self, session: usize, blocks: &[Laid], touched: &mut Vec<usize>) {
        let table = self.table;
        let mut late = std::mem::take(&mut self.late_before);
        late.clear();
        let mut now = table.evenings[session].tests;
        for (at, laid) in blocks.iter().enumerate() {
            if at > 0 && table.floor(&blocks[at - 1]) != table.floor(laid) {
                now += table.laying_out(laid);
            }
            late.push(now * 2 >= table.evenings[session].minutes);
            now += laid.minutes;
        }
        let (old, old_late) = (&self.sessions[session], &self.late[session]);
        let same = |a: usize, b: usize| old[a].variant == blocks[b].variant && old_late[a] == late[b];
        let shorter = old.len().min(blocks.len());
        let begin = (0..shorter).take_while(|at| same(*at, *at)).count();
        let end =
            (0..shorter - begin).take_while(|at| same(old.len() - 1 - at, blocks.len() - 1 - at)).count();
        touched.clear();
        for laid in old[begin..old.len() - end].iter().chain(&blocks[begin..blocks.len() - end]) {
            for skill in &table.variants[laid.variant].skills {
                if !touched.contains(skill) {
                    touched.push(*skill);
                }
            }
        }
        self.sessions[session].clear();
        self.sessions[session].extend_from_slice(blocks);
        for skill in touched.iter() {
            self.shown[*skill].retain(|shown| shown.session != session);
        }
        for (laid, late) in blocks.iter().zip(&late) {
            let variant = &table.variants[laid.variant];
            let shown = Shown { session, stage: variant.stage, difficulty: variant.difficulty, late: *late };
            for skill in variant.skills.iter().filter(|skill| touched.contains(skill)) {
                let line = &mut self.shown[*skill];
                let place = line.partition_point(|other| other.session <= session);
                line.insert(place, shown);
            }
        }
        self.late_before = std::mem::replace(&mut self.late[session], late);
    }

    fn renew_line(&mut self, skill: usize) {
        let (old, new) = (self.lines[skill], self.line(skill));
        self.sum.lines += new.points - old.points;
        self.sum.breaches += new.breaches - old.breaches;
        self.lines[skill] = new;
        if old.first != new.first && !self.table.skills[skill].met {
            for (first, by) in [(old.first, -1), (new.first, 1)].into_iter().filter(|(at, _)| *at != NONE) {
                let week = self.table.evenings[first].week;
                self.sum.breaches -= self.too_many_new(week);
                self.new[week] = self.new[week].wrapping_add_signed(by);
                self.sum.breaches += self.too_many_new(week);
            }
        }
    }

    /// S1, S3, S4, S6 and H3, H7, H9 of a skill.
    fn line(&self, skill: usize) -> Line {
        let table = self.table;
        let (row, shown) = (&table.skills[skill], &self.shown[skill]);
        let mut missing = row.way;
        let mut count = [0; 4];
        let mut line = Line {
            points: 0.0,
            breaches: 0,
            first: shown.first().map_or(NONE, |first| first.session),
            done: [NONE; 4],
        };
        let at_goal_already = missing == [0; 4];
        let keeping = |days: i32| {
            if days > KEEPING_DAYS { KEEPING * f64::from(days - KEEPING_DAYS) / 7.0 } else { 0.0 }
        };
        let mut last: Option<(i32, f64)> = at_goal_already.then_some((0, f64::NAN));
        let mut at_goal = at_goal_already;
        for each in shown {
            let day = table.evenings[each.session].day;
            if let Some((before, difficulty)) = last {
                let rested = day - before;
                line.points +=
                    if at_goal { keeping(rested) } else { f64::from((rested - RHYTHM_DAYS).max(0)) };
                // The day from which a skill is kept is no exposure to jump from.
                if !difficulty.is_nan() {
                    line.points += JUMP * ((each.difficulty - difficulty).abs() - STEP).max(0.0);
                }
            }
            last = Some((day, each.difficulty));
            if count[each.stage] == 0 && each.stage > 0 {
                let before = each.stage - 1;
                let ready = row.done[before] || line.done[before] < each.session;
                line.breaches += i64::from(!ready);
            }
            count[each.stage] += 1;
            if count[each.stage] == table.needed[each.stage] {
                line.done[each.stage] = each.session;
            }
            missing[each.stage] = missing[each.stage].saturating_sub(1);
            at_goal = missing == [0; 4];
        }
        if let (true, Some((day, _)), Some(end)) = (at_goal, last, table.evenings.last()) {
            line.points += keeping(end.day - day);
        }
        line.points += MISSING * f64::from(missing.iter().sum::<u32>());
        if !row.met {
            line.breaches += i64::from(shown.first().is_some_and(|first| first.late));
        }
        if row.tested != NONE {
            line.breaches += i64::from(line.first == NONE || line.first >= row.tested);
        }
        line
    }

    /// H2 of a skill.
    fn needs_broken(&self, skill: usize) -> i64 {
        let (row, first) = (&self.table.skills[skill], self.lines[skill].first);
        if row.met || first == NONE {
            return 0;
        }
        let late = |(needed, stage): &&(usize, usize)| {
            let done = self.lines[*needed].done[*stage];
            !self.table.skills[*needed].done[*stage] && (done == NONE || done >= first)
        };
        row.needs.iter().filter(late).count() as i64
    }

    fn too_many_new(&self, week: usize) -> i64 {
        i64::from(self.new[week].saturating_sub(self.table.new_per_week))
    }

    fn too_many_headers(&self, week: usize) -> i64 {
        i64::from(self.headers[week] > self.table.headers + 1e-9)
    }

    fn open_play(&self, week: usize) -> f64 {
        let (all, open) = self.week_minutes[week];
        let share = if all > 0 { 100.0 * f64::from(open) / f64::from(all) } else { 0.0 };
        OPEN_PLAY * (self.table.line[week] - share).max(0.0)
    }

    /// S7 of a session: its variants that also stand in the two sessions before.
    fn sameness(&self, session: usize) -> u32 {
        if session < 2 {
            return 0;
        }
        let has = |at: usize, variant: usize| self.sessions[at].iter().any(|l| l.variant == variant);
        let blocks = &self.sessions[session];
        let again = |(i, laid): &(usize, &Laid)| {
            has(session - 1, laid.variant)
                && has(session - 2, laid.variant)
                && !blocks[..*i].iter().any(|earlier| earlier.variant == laid.variant)
        };
        blocks.iter().enumerate().filter(again).count() as u32
    }

    /// What blocks would add to a session.
    pub fn evening(&self, session: usize, blocks: &[Laid]) -> Evening {
        let table = self.table;
        let free = self.free(session, blocks);
        let breaches = self.rules_of(blocks) + (-free).max(0);
        let mut evening = Evening { breaches, unused: free.max(0) as u32, ..Evening::default() };
        for (i, laid) in blocks.iter().enumerate() {
            let variant = &table.variants[laid.variant];
            evening.changes += u32::from(i > 0 && table.floor(&blocks[i - 1]) != table.floor(laid));
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
            evening.headers += table.each(laid).map(|v| v.headers).fold(0.0, f64::max) * minutes;
        }
        if let Some(before) = &self.before {
            let mut here: Vec<usize> = blocks.iter().map(|laid| laid.variant).collect();
            for laid in &before[session] {
                match here.iter().position(|variant| *variant == laid.variant) {
                    Some(at) => {
                        here.swap_remove(at);
                    }
                    None => evening.moved += 1,
                }
            }
        }
        evening
    }
}

impl Evening {
    /// Adds or takes away what a session adds.
    fn add(&mut self, evening: &Evening, sign: i32) {
        let by = f64::from(sign);
        let counts = [
            (&mut self.unused, evening.unused),
            (&mut self.changes, evening.changes),
            (&mut self.twice, evening.twice),
            (&mut self.minutes, evening.minutes),
            (&mut self.open, evening.open),
            (&mut self.moved, evening.moved),
        ];
        for (sum, each) in counts {
            *sum = sum.wrapping_add_signed(sign * each as i32);
        }
        let amounts = self.strands.iter_mut().zip(evening.strands);
        for (sum, each) in amounts.chain(self.touches.iter_mut().zip(evening.touches)) {
            *sum += by * each;
        }
        self.breaches += i64::from(sign) * evening.breaches;
        self.waited += by * evening.waited;
        self.headers += by * evening.headers;
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::plan::example::{ExampleSize, example};
    use crate::plan::{check, score};
    use proptest::prelude::*;
    use proptest::sample::Index;

    /// One edit: a session, what is cut out of it, and what is put in, with its minutes.
    type Edit = (Index, Index, Vec<(Index, u32, Option<Index>)>);

    fn any_edits() -> impl Strategy<Value = Vec<Edit>> {
        let put = (any::<Index>(), 1u32..14, prop::option::weighted(0.1, any::<Index>()));
        prop::collection::vec((any::<Index>(), any::<Index>(), prop::collection::vec(put, 0..4)), 1..25)
    }

    proptest! {
        #![proptest_config(ProptestConfig::with_cases(96))]

        #[test]
        fn after_any_edits_score_and_breaches_are_those_of_the_whole_plan(made: u64, edits in any_edits(), most: u32) {
            let mut problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 9, variants: 26 }, made);
            problem.limits.headers_per_week = Some(most % 30);
            for (i, variant) in problem.variants.iter_mut().enumerate() {
                variant.headers_per_min = if i % 7 == 0 { 1.0 } else { 0.0 };
            }
            let table = Table::of(&problem);
            let mut ledger = Ledger::of(&table, vec![Vec::new(); problem.sessions.len()], None);
            for (session, cut, put) in edits {
                let session = session.index(problem.sessions.len());
                let mut blocks = ledger.session(session).to_vec();
                blocks.truncate(cut.index(blocks.len() + 1));
                blocks.extend(put.into_iter().map(|(variant, minutes, beside)| Laid {
                    variant: variant.index(problem.variants.len()),
                    minutes,
                    beside: beside.map_or(NONE, |beside| beside.index(problem.variants.len())),
                    locked: false,
                }));
                ledger.replace(session, &blocks);
            }
            let plan = table.plan(ledger.sessions());
            let whole = score(&problem, &plan);
            prop_assert!((ledger.score() - whole.total).abs() < 1e-6, "{} against {:?}", ledger.score(), whole);
            let breaches = check(&problem, &plan);
            prop_assert_eq!(ledger.breaches() == 0, breaches.is_empty(), "{} against {:?}", ledger.breaches(), breaches);
        }
    }
}
