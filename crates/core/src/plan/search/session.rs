//! What the blocks of one session add to a plan, on their own: rules that they break, minutes, strands, touches.

use crate::plan::search::table::{BlockRow, SessionRow, Table, VariantRow, When};
use crate::technique::skill::Stage;

const SCAN: usize = Stage::Scan.index();

/// What one session adds.
#[derive(Clone, Copy, Debug, Default)]
pub(in crate::plan) struct SessionSums {
    /// H1, H5 to H7 as far as they can be told from the session alone; a minute too much counts as a breach of its own.
    pub breaches: i64,
    pub unused: u32,
    /// Minutes of laying out between blocks.
    pub laying_out: u32,
    /// Skills over those that a session may have.
    pub unfocused: u32,
    /// Minutes that blocks are shorter than usual.
    pub short: u32,
    /// Whether it does not end as open as it might.
    pub not_open: u32,
    /// Blocks that are easier than an earlier one of the same skill.
    pub easier: u32,
    pub minutes: u32,
    pub open: u32,
    pub strands: [f64; 4],
    /// Minutes that serve the wished theme of the week.
    pub themed: f64,
    pub touches: [f64; 2],
    pub waited: f64,
    pub headers: f64,
    /// Blocks of the plan that was there before which are not there now.
    pub moved: u32,
    /// Which weekly wishes it serves: a bit each. Says nothing in a sum.
    pub weekly: u32,
    /// Blocks that begin before half of the session's minutes are over; the later ones do not. Says nothing in a sum.
    pub early: usize,
}

impl SessionSums {
    /// Puts what a session adds in the place of what it added before.
    pub fn exchange(&mut self, old: &SessionSums, new: &SessionSums) {
        let counts = [
            (&mut self.unused, old.unused, new.unused),
            (&mut self.laying_out, old.laying_out, new.laying_out),
            (&mut self.unfocused, old.unfocused, new.unfocused),
            (&mut self.short, old.short, new.short),
            (&mut self.not_open, old.not_open, new.not_open),
            (&mut self.easier, old.easier, new.easier),
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
    /// Minutes that are left; negative if the blocks take too many.
    free: i64,
    breaches: i64,
    laying_out: u32,
    /// Blocks that begin before half of the minutes are over.
    early: usize,
}

impl Table<'_> {
    /// What blocks would add to a session.
    pub fn sums(&self, session: usize, blocks: &[BlockRow]) -> SessionSums {
        let Walk { free, breaches, laying_out, early } = self.walk(session, blocks);
        let mut sums =
            SessionSums { breaches, laying_out, early, unused: free.max(0) as u32, ..SessionSums::default() };
        let (mut skills, mut seen, mut most, mut could_scan) = (0, 0, 0, false);
        let theme = &self.themes[self.sessions[session].week];
        for (i, laid) in blocks.iter().enumerate() {
            let variant = &self.variants[laid.variant];
            let minutes = f64::from(laid.minutes);
            sums.minutes += laid.minutes;
            sums.short += self.usual[laid.variant].saturating_sub(laid.minutes);
            let (new, shares) = self.skills_added(laid, &blocks[..i], &mut seen);
            skills += new;
            let harder = |b: &BlockRow| {
                let other = &self.variants[b.variant];
                other.difficulty > variant.difficulty && other.shared(variant) > 0
            };
            sums.easier += u32::from(shares && blocks[..i].iter().any(harder));
            sums.weekly |= self.weekly[laid.variant];
            most = most.max(variant.stage);
            could_scan |= variant.skills.iter().any(|skill| self.scan_from[*skill] <= When::In(session));
            sums.open += if variant.stage >= SCAN { laid.minutes } else { 0 };
            for (sum, share) in sums.strands.iter_mut().zip(&variant.strands) {
                *sum += share * minutes;
            }
            for (sum, per_min) in sums.touches.iter_mut().zip(&variant.touches) {
                *sum += per_min * minutes;
            }
            if let Some(serves) = theme {
                sums.themed += serves[laid.variant] * minutes;
            }
            sums.waited += variant.waiting * minutes;
            sums.headers += self.beside(laid).map_or(0.0, |v| v.headers).max(variant.headers) * minutes;
        }
        // An open block is the last; and there is one as soon as a skill might have come so far.
        let open = if most >= SCAN || could_scan { most.max(SCAN) } else { 0 };
        sums.not_open = u32::from(blocks.last().is_some_and(|last| self.variants[last.variant].stage < open));
        sums.unfocused = skills.saturating_sub(self.problem.skills_per_session);
        sums
    }

    /// Breaches that the blocks of a session have on their own.
    pub fn breaches_of(&self, session: usize, blocks: &[BlockRow]) -> i64 {
        self.walk(session, blocks).breaches
    }

    /// Minutes of a session that blocks and their layout changes leave; negative if they take too many.
    pub fn free(&self, session: usize, blocks: &[BlockRow]) -> i64 {
        let there = &self.sessions[session];
        let changes: u32 = blocks.windows(2).map(|pair| self.change(&pair[0], &pair[1])).sum();
        let used = there.tests + changes + blocks.iter().map(|laid| laid.minutes).sum::<u32>();
        i64::from(there.minutes) - i64::from(used)
    }

    /// H1 and H5 to H7, as far as they can be told from the session alone.
    fn walk(&self, session: usize, blocks: &[BlockRow]) -> Walk {
        let there = &self.sessions[session];
        let (mut used, mut between, mut early) = (there.tests, 0, 0);
        let (mut breaches, mut aerial, mut hard_before, mut contested) = (0, 0, false, false);
        for (i, laid) in blocks.iter().enumerate() {
            let (variant, beside) = (&self.variants[laid.variant], self.beside(laid));
            let unsound = |v: &VariantRow| laid.minutes < v.least || laid.minutes > v.most || !v.usable;
            let (mut hard, mut warm, mut in_the_air) = (variant.hard, variant.warm, variant.aerial);
            breaches += i64::from(unsound(variant));
            if let Some(other) = beside {
                (hard, warm) = (hard || other.hard, warm && other.warm);
                in_the_air = in_the_air || other.aerial;
                let stand = variant.halves && other.halves && Some(laid.variant) != laid.beside;
                breaches += i64::from(unsound(other)) + i64::from(variant.shared(other) == 0 || !stand);
            }
            if i > 0 {
                let change = self.change(&blocks[i - 1], laid);
                between += change;
                used += change;
            }
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
            breaches += self.too_alike(there, laid, &blocks[..i]);
        }
        let free = i64::from(there.minutes) - i64::from(used);
        breaches += i64::from(aerial > self.aerial) + (-free).max(0);
        Walk { free, breaches, laying_out: between, early }
    }

    /// Whether a block repeats a variant, or makes it too much of its drill, with one of them not locked.
    fn too_alike(&self, there: &SessionRow, laid: &BlockRow, earlier: &[BlockRow]) -> i64 {
        let drill = self.variants[laid.variant].drill;
        let (mut minutes, mut locked, mut twice) = (laid.minutes, laid.locked, false);
        let alike = earlier.iter().filter(|other| self.variants[other.variant].drill == drill);
        let mut several = false;
        for other in alike {
            twice |= other.variant == laid.variant && !(other.locked && laid.locked);
            (minutes, locked, several) = (minutes + other.minutes, locked && other.locked, true);
        }
        let too_much = several && !locked && there.is_too_much_of_one_drill(minutes);
        i64::from(twice) + i64::from(too_much)
    }

    /// How often a skill of a block that is no Contest was contested earlier in the session.
    fn contested_before(&self, variant: &VariantRow, earlier: &[BlockRow]) -> i64 {
        let contests =
            earlier.iter().map(|l| &self.variants[l.variant]).filter(|v| v.stage == Stage::Contest.index());
        contests.map(|v| variant.shared(v) as i64).sum()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::drill::levers::Intensity;
    use crate::ids::called;
    use crate::plan::search::ledger::tests::any_problem;
    use crate::plan::{Plan, Problem, Variant};
    use crate::technique::skill::Strand;
    use crate::units::{Minutes, Share};
    use rstest::rstest;

    /// Sessions of 40 minutes; drills `a` and `b` of 5 to 10 minutes, laid out in 2 and 3 minutes.
    fn problem() -> Problem {
        let mut problem = any_problem(1, 29);
        problem.sessions.iter_mut().for_each(|session| {
            session.minutes = Minutes(40);
            session.tests.clear();
        });
        let [one, other] = [problem.skills[0].id.clone(), problem.skills[1].id.clone()];
        let drill = |drill: &str, stage, skill: &str, laying_out| Variant {
            laying_out: Minutes(laying_out),
            strands: [(Strand::Passing, Share(0.75)), (Strand::Dribbling, Share(0.25))].into(),
            waiting: Share(0.2),
            halves: true,
            ..Variant::of(&called(drill), stage, &[called(skill)])
        };
        problem.variants = vec![
            drill("a", Stage::Form, &one, 2),
            drill("a", Stage::Scan, &one, 2),
            drill("b", Stage::Flow, &other, 3),
            Variant { intensity: Intensity::Hard, warm_up: false, ..drill("b", Stage::Contest, &one, 3) },
            Variant { aerial: true, headers_per_min: 2.0, ..drill("c", Stage::Flow, &other, 1) },
            Variant { intensity: Intensity::Hard, ..drill("d", Stage::Contest, &other, 1) },
            Variant { aerial: true, ..drill("e", Stage::Flow, &other, 1) },
        ];
        problem
    }

    /// Blocks as `variant minutes`, with what lies beside one behind a plus.
    fn laid(table: &Table<'_>, blocks: &str) -> Vec<BlockRow> {
        let block = |text: &str| {
            let (variant, minutes) = text.trim().split_once(' ').unwrap();
            let (variant, beside) = variant.split_once('+').map_or((variant, None), |(v, b)| (v, Some(b)));
            crate::plan::Block {
                beside: beside.map(called),
                ..crate::plan::Block::of(&called(variant), Minutes(minutes.parse().unwrap()))
            }
        };
        let session = blocks.split(',').filter(|text| !text.trim().is_empty()).map(block).collect();
        table.places(&Plan { sessions: vec![session] }).remove(0)
    }

    // By hand: minutes of the blocks, and 2 or 3 for each layout that differs from the one before it.
    #[rstest]
    #[case::empty("", 40, 0, 0)]
    #[case::one_block("a@form 10", 30, 0, 1)]
    #[case::the_same_layout("a@form 10, a@scan 10", 20, 0, 2)]
    #[case::another_layout("a@form 10, b@flow 10", 17, 3, 2)]
    #[case::there_and_back("a@form 10, b@flow 8, a@scan 7", 10, 5, 2)]
    #[case::just_before_half("a@form 10, a@scan 9, a@form 5", 16, 0, 3)]
    #[case::just_at_half("a@form 10, a@scan 10, a@form 5", 15, 0, 2)]
    #[case::both_layouts_of_a_split_squad("a@form 10, a@scan+b@contest 8", 17, 5, 2)]
    #[case::too_much("a@form 10, b@flow 10, a@form 10, b@flow 10", -8, 8, 2)]
    fn a_session_knows_its_time(
        #[case] blocks: &str,
        #[case] free: i64,
        #[case] laying_out: u32,
        #[case] early: usize,
    ) {
        let problem = problem();
        let table = Table::of(&problem);
        let blocks = laid(&table, blocks);
        let sums = table.sums(0, &blocks);
        assert_eq!(table.free(0, &blocks), free);
        assert_eq!((sums.unused, sums.laying_out, sums.early), (free.max(0) as u32, laying_out, early));
    }

    #[rstest]
    #[case::sound("a@form 10, b@contest 10", 0)]
    #[case::minutes_over_the_time("a@form 8, b@flow 8, c@flow 10, a@scan 8, b@contest 8", 11)]
    #[case::no_warm_up("b@contest 10", 1)]
    #[case::too_short("a@form 4", 1)]
    #[case::too_long("a@form 11", 1)]
    #[case::hard_after_hard("a@form 5, b@contest 6, d@contest 6", 1)]
    #[case::a_contest_before_its_skill("a@form 5, b@contest 6, a@scan 6", 1)]
    #[case::a_contest_before_another_skill("a@form 5, b@contest 6, b@flow 6", 0)]
    #[case::too_long_in_the_air("a@form 5, c@flow 6, e@flow 7", 1)]
    #[case::long_in_the_air("a@form 5, c@flow 6, e@flow 6", 0)]
    #[case::a_variant_twice("a@form 5, b@flow 5, a@form 5", 1)]
    #[case::as_much_of_a_drill_as_may_be("a@form 8, b@flow 5, a@scan 8", 0)]
    #[case::too_much_of_a_drill("a@form 8, b@flow 5, a@scan 9", 1)]
    #[case::rungs_of_one_skill("a@form+a@scan 8", 0)]
    #[case::rungs_of_two_skills("a@form+b@flow 8", 1)]
    #[case::beside_itself("a@form+a@form 8", 1)]
    fn a_session_knows_the_rules_that_it_breaks(#[case] blocks: &str, #[case] breaches: i64) {
        let problem = problem();
        let table = Table::of(&problem);
        let blocks = laid(&table, blocks);
        assert_eq!(table.breaches_of(0, &blocks), breaches);
        assert_eq!(table.sums(0, &blocks).breaches, breaches);
    }

    // By hand: 10 minutes of a and 8 of b, three quarters passing; a fifth waits; nothing heads but c, twice a minute.
    #[test]
    fn a_session_adds_up_what_its_blocks_are() {
        let problem = problem();
        let table = Table::of(&problem);
        let sums = table.sums(0, &laid(&table, "a@scan 10, b@flow 8, a@scan 5, c@flow 5"));
        assert_eq!((sums.minutes, sums.open), (28, 15));
        assert_eq!(sums.strands[Strand::Passing.index()], 21.0);
        assert_eq!(sums.strands[Strand::Dribbling.index()], 7.0);
        assert!((sums.waited - 5.6).abs() < 1e-12);
        assert_eq!(sums.headers, 10.0);
    }

    #[test]
    fn what_a_session_adds_takes_the_place_of_what_it_added_before() {
        let problem = problem();
        let table = Table::of(&problem);
        let [first, second] = ["a@form 10, b@flow 8", "a@scan 9, a@form 5, b@contest 7"]
            .map(|b| table.sums(0, &laid(&table, b)));
        let mut sum = table.sums(1, &laid(&table, "a@form 7, b@flow 6"));
        let before = sum;
        sum.exchange(&SessionSums::default(), &first);
        sum.exchange(&first, &second);
        assert_eq!((sum.minutes, sum.open), (before.minutes + second.minutes, before.open + second.open));
        assert_eq!(sum.laying_out, before.laying_out + second.laying_out);
        sum.exchange(&second, &SessionSums::default());
        assert_eq!((sum.minutes, sum.unused, sum.breaches), (before.minutes, before.unused, before.breaches));
        assert!(sum.strands.iter().zip(before.strands).all(|(now, then)| (now - then).abs() < 1e-9));
        assert!((sum.waited - before.waited).abs() < 1e-9);
    }
}
