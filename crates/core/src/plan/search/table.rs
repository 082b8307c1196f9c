//! A problem with its names resolved to places in its lists, as the planner works with it.

use std::collections::BTreeMap;

use crate::drill::levers::Intensity;
use crate::plan::part::{
    ARC, EARLY, EASIER, EDGE, HASTE, JUMP, LAYING_OUT, MAINTENANCE, OFF_THEME, OFF_WEEKLY, OFF_WISHED_THEME,
    OPEN_PLAY, OTHER_FOOT, Part, SHORT, STANDING, UNFOCUSED, UNUSED, Weights,
};
use crate::plan::success::{Experience, easiest, expected, kept, logit, logit_of, outside};
use crate::plan::{Block, Ladder, Plan, Problem, SuccessWindow, Theme, Variant, VariantId};
use crate::technique::skill::Stage;
use crate::units::Minutes;

/// In which session something happens; never comes after every session.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub(in crate::plan) enum When {
    In(usize),
    Never,
}

impl When {
    /// The session, if there is one.
    pub fn session(self) -> Option<usize> {
        match self {
            When::In(session) => Some(session),
            When::Never => None,
        }
    }

    pub fn is_before(self, session: usize) -> bool {
        self < When::In(session)
    }

    /// The session after it.
    pub fn next(self) -> When {
        self.session().map_or(When::Never, |session| When::In(session + 1))
    }

    /// The session before it; nothing comes before the first one.
    pub fn previous(self) -> When {
        self.session().map_or(When::Never, |session| When::In(session.saturating_sub(1)))
    }

    /// The session, or the number of sessions if it never comes.
    pub fn or_end(self, sessions: usize) -> usize {
        self.session().map_or(sessions, |session| session.min(sessions))
    }
}

impl From<Option<usize>> for When {
    fn from(session: Option<usize>) -> When {
        session.map_or(When::Never, When::In)
    }
}

/// A session.
pub(in crate::plan) struct SessionRow {
    /// Days after the first session.
    pub day: i32,
    /// Place of its week among the weeks that have sessions.
    pub week: usize,
    pub minutes: u32,
    pub tests: u32,
}

impl SessionRow {
    /// Whether a drill takes more than its part of the session with this many minutes.
    pub fn is_too_much_of_one_drill(&self, minutes: u32) -> bool {
        minutes * 5 > (self.minutes - self.tests) * 2
    }
}

/// A skill.
pub(in crate::plan) struct SkillRow {
    /// Met before the curriculum begins: it waits for no need.
    pub met: bool,
    /// Met for the first time in the plan, with either foot (H4, H7).
    pub new: bool,
    /// What each missing exposure costs (S1).
    pub missing: f64,
    /// Stages that count as done.
    pub done: [bool; 4],
    /// Exposures asked for on the way to the goal.
    pub way: [u32; 4],
    /// The goal's stage.
    pub goal: usize,
    pub needs: Vec<(usize, usize)>,
    /// Skills that need it.
    pub opens: Vec<usize>,
    /// What rests on it: the skill, and the stage that it asks for.
    pub asks: Vec<(usize, usize)>,
    /// The first session in which it is tested; only of one that was not met before.
    pub tested: When,
    /// What the squad has behind it, in exposures, when the curriculum begins.
    pub experience: f64,
    /// The day from which it rests before its first exposure, counted from the first session; before that it is
    /// negative.
    pub since: Option<i32>,
    /// The difficulty of its easiest variant.
    pub easiest: f64,
    /// What a test is to show of it: the stage, and the session of the test; only stages that are not done before.
    pub shown: Vec<(usize, usize)>,
}

/// A variant, in two lines of a processor's cache: what a search looks at most lies together.
#[repr(C, align(64))]
pub(in crate::plan) struct VariantRow {
    pub stage: usize,
    pub skills: Box<[usize]>,
    /// A bit for each of its skills; two skills may have the same bit.
    pub signs: u64,
    pub drill: u32,
    pub least: u32,
    pub most: u32,
    pub laying_out: u32,
    pub warm: bool,
    pub hard: bool,
    pub aerial: bool,
    /// Whether a planner may lay it.
    pub usable: bool,
    pub halves: bool,
    pub strands: [f64; 4],
    /// Touches of both feet per minute, and how many more of them are wished for the other foot.
    pub touches: [f64; 2],
    pub waiting: f64,
    pub headers: f64,
    pub difficulty: f64,
}

impl VariantRow {
    fn sign(skill: usize) -> u64 {
        1 << (skill % 64)
    }

    /// Whether it shows a skill.
    pub fn shows(&self, skill: usize) -> bool {
        self.signs & Self::sign(skill) != 0 && self.skills.contains(&skill)
    }

    /// How many of its skills another one shows.
    pub fn shared(&self, other: &VariantRow) -> usize {
        if self.signs & other.signs == 0 {
            return 0;
        }
        self.skills.iter().filter(|skill| other.shows(**skill)).count()
    }
}

/// A block by the places of its variants.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(in crate::plan) struct BlockRow {
    pub variant: usize,
    pub minutes: u32,
    /// `None` for a block of the whole squad.
    pub beside: Option<usize>,
    pub locked: bool,
}

/// The success window as the search asks for it: in logits, so that what lies inside costs no reckoning.
pub(in crate::plan) struct Edge {
    window: SuccessWindow,
    logits: [f64; 2],
    knack: f64,
}

impl Edge {
    fn of(window: SuccessWindow, knack: f64) -> Edge {
        Edge { window, knack, logits: [window.least, window.most].map(|share| logit(share.0) - knack) }
    }

    /// By how many percentage points the success lies outside the window that is expected with an experience of a rung
    /// that is so much harder than the easiest.
    pub fn outside(&self, experience: f64, harder: f64) -> f64 {
        let logit = logit_of(experience, harder);
        if logit >= self.logits[0] && logit <= self.logits[1] {
            return 0.0;
        }
        outside(expected(Experience(experience), harder, self.knack), self.window)
    }
}

/// What each point of a score costs, with its weight.
pub(in crate::plan) struct Costs {
    pub haste: f64,
    pub strand: f64,
    pub rhythm: f64,
    pub maintenance: f64,
    pub open_play: f64,
    pub jump: f64,
    pub again: f64,
    pub unused: f64,
    pub other_foot: f64,
    pub laying_out: f64,
    pub standing: f64,
    pub edge: f64,
    pub unfocused: f64,
    pub off_theme: f64,
    pub off_wished_theme: f64,
    pub off_weekly: f64,
    pub arc: f64,
    pub easier: f64,
    pub short: f64,
    pub early: f64,
}

impl Costs {
    fn of(weights: &Weights) -> Costs {
        let of = |part| weights.of(part);
        Costs {
            haste: HASTE * of(Part::Goals),
            strand: of(Part::Strands),
            rhythm: of(Part::Rhythm),
            maintenance: MAINTENANCE * of(Part::Maintenance),
            open_play: OPEN_PLAY * of(Part::OpenPlay),
            jump: JUMP * of(Part::Jumps),
            again: of(Part::Repetition),
            unused: UNUSED * of(Part::UnusedTime),
            other_foot: OTHER_FOOT * of(Part::OtherFoot),
            laying_out: LAYING_OUT * of(Part::LayingOut),
            standing: STANDING * of(Part::StandingTime),
            edge: EDGE * of(Part::Edge),
            unfocused: UNFOCUSED * of(Part::Focus),
            off_theme: OFF_THEME * of(Part::Focus),
            off_wished_theme: OFF_WISHED_THEME * of(Part::Focus),
            off_weekly: OFF_WEEKLY * of(Part::Weekly),
            arc: ARC * of(Part::Arc),
            easier: EASIER * of(Part::Arc),
            short: SHORT * of(Part::ShortBlocks),
            early: EARLY * of(Part::Evidence),
        }
    }
}

pub(in crate::plan) struct Table<'p> {
    pub problem: &'p Problem,
    pub sessions: Vec<SessionRow>,
    /// The least percentage of open play in each week.
    pub line: Vec<f64>,
    pub skills: Vec<SkillRow>,
    pub variants: Vec<VariantRow>,
    /// Usable variants by skill and stage.
    pub serving: Vec<[Vec<usize>; 4]>,
    pub usable: Vec<usize>,
    /// Usable variants by drill.
    pub of_drill: Vec<Vec<usize>>,
    /// Target percentages of the strands.
    pub targets: [f64; 4],
    pub needed: [u32; 4],
    pub ladder: Ladder,
    pub new_per_week: u32,
    pub aerial: u32,
    pub headers: f64,
    /// The sessions of each week.
    pub weeks: Vec<Vec<usize>>,
    /// For each week with a wished theme, which part of each variant's minutes serves it.
    pub themes: Vec<Option<Box<[f64]>>>,
    pub edge: Edge,
    pub costs: Costs,
    /// From which session on each skill may come to Scan at the soonest.
    pub scan_from: Vec<When>,
    /// The part of a variant's minutes in which a player works; apart from its row, which is full.
    pub working: Vec<f64>,
    /// The minutes under which a block of a variant is short.
    pub usual: Vec<u32>,
    /// How much of an experience is left, by days of rest.
    pub kept: Vec<f64>,
    /// The most minutes of laying out one drill after another, by their places, where markers can stay; empty, where
    /// none can.
    changes: Vec<u8>,
    /// The ladder of a skill's other foot, and the skill of such a ladder.
    twins: Vec<Option<usize>>,
    /// How many skills each variant shows, both feet of one counted once, and a bit for each of them and its other
    /// foot.
    focus: Vec<(u32, u64)>,
    /// Which weekly wishes a variant serves: a bit each.
    pub weekly: Vec<u32>,
    /// From which session on each weekly wish counts; never if nothing serves it.
    pub weekly_from: Vec<When>,
}

impl<'p> Table<'p> {
    pub fn of(problem: &'p Problem) -> Table<'p> {
        let weeks: Vec<u32> = problem.weeks().into_iter().collect();
        let first = problem.sessions.first();
        let sessions = problem.sessions.iter().map(|session| SessionRow {
            day: first.map_or(0, |first| (session.date - first.date).get_days()),
            week: weeks.iter().position(|week| *week == session.week).unwrap_or(0),
            minutes: session.minutes.0,
            tests: session.minutes.0 - session.for_blocks().0,
        });
        let (begins, ends) = (weeks.first().copied().unwrap_or(1), weeks.last().copied().unwrap_or(1));
        let line =
            |week: &u32| problem.approach.open_play.in_week(week - begins + 1, ends - begins + 1).percent();
        let mut shares = [0.0; 4];
        for (strand, share) in &problem.shares {
            shares[strand.index()] = share.percent();
        }
        let sessions: Vec<SessionRow> = sessions.collect();
        let of_week = |week| (0..sessions.len()).filter(|at| sessions[*at].week == week).collect();
        let serves = |theme: &Theme| problem.variants.iter().map(|v| theme.share_of(v)).collect();
        let serves_weekly = |variant: &Variant| {
            let served = problem.weekly.iter().enumerate().filter(|(_, wish)| wish.is_served_by(variant));
            served.fold(0, |all, (at, _)| all | 1 << at)
        };
        let days = sessions.last().map_or(0, |last| last.day);
        let mut table = Table {
            kept: (0..=days).map(kept).collect(),
            weekly: problem.variants.iter().map(serves_weekly).collect(),
            weekly_from: problem.weekly_from().into_iter().map(When::from).collect(),
            weeks: (0..weeks.len()).map(of_week).collect(),
            themes: weeks.iter().map(|week| problem.themes.get(week).map(serves)).collect(),
            edge: Edge::of(problem.approach.success_window, problem.knack),
            costs: Costs::of(&problem.approach.weights),
            scan_from: problem.scan_from().into_iter().map(When::from).collect(),
            sessions,
            line: weeks.iter().map(line).collect(),
            skills: skills(problem),
            variants: variants(problem),
            usual: problem.variants.iter().map(|v| v.usual.0).collect(),
            working: problem.variants.iter().map(|v| v.working.0).collect(),
            serving: Vec::new(),
            usable: Vec::new(),
            of_drill: Vec::new(),
            changes: Vec::new(),
            twins: twins(problem),
            focus: Vec::new(),
            targets: shares,
            needed: problem.approach.exposures,
            ladder: problem.approach.ladder,
            new_per_week: problem.new_skills_per_week,
            aerial: problem.limits.aerial_per_session.0,
            headers: problem.limits.headers_per_week.map_or(f64::INFINITY, f64::from),
            problem,
        };
        table.usable = (0..table.variants.len()).filter(|v| table.variants[*v].usable).collect();
        table.serving = (0..table.skills.len()).map(|_| Default::default()).collect();
        let drills = table.variants.iter().map(|v| v.drill as usize + 1).max().unwrap_or(0);
        table.of_drill = vec![Vec::new(); drills];
        table.focus = (0..table.variants.len()).map(|variant| table.focus_of(variant)).collect();
        table.changes = changes(problem, &table.variants, drills);
        for &v in &table.usable {
            table.of_drill[table.variants[v].drill as usize].push(v);
            for &skill in &table.variants[v].skills {
                table.serving[skill][table.variants[v].stage].push(v);
            }
        }
        table
    }

    fn focus_of(&self, variant: usize) -> (u32, u64) {
        let signs = |skill: &usize| {
            let twin = self.twins[*skill].map_or(0, VariantRow::sign);
            VariantRow::sign(*skill) | twin
        };
        let skills = &self.variants[variant].skills;
        (self.skills_beside(variant, &[]), skills.iter().map(signs).fold(0, |all, sign| all | sign))
    }

    /// How many skills a variant shows that blocks do not show, either foot of one being that one.
    fn skills_beside(&self, variant: usize, blocks: &[BlockRow]) -> u32 {
        let row = &self.variants[variant];
        let shows = |row: &VariantRow, skill: usize| {
            row.shows(skill) || self.twins[skill].is_some_and(|twin| row.shows(twin))
        };
        let is_first = |skill: usize| self.twins[skill].is_none_or(|twin| !(twin < skill && row.shows(twin)));
        let new = |skill: &&usize| {
            is_first(**skill) && !blocks.iter().any(|laid| shows(&self.variants[laid.variant], **skill))
        };
        row.skills.iter().filter(new).count() as u32
    }

    /// How many skills a block adds to those before it, and whether it shares one with them. `seen` has a bit for each
    /// skill before it; two skills may have the same bit, so that it is only asked further where bits meet.
    pub fn skills_added(&self, laid: &BlockRow, before: &[BlockRow], seen: &mut u64) -> (u32, bool) {
        let (count, signs) = self.focus[laid.variant];
        let meets = signs & *seen != 0;
        *seen |= signs;
        if meets { (self.skills_beside(laid.variant, before), true) } else { (count, false) }
    }

    /// A block by its places; `None` if the problem does not have its variants.
    pub fn laid(&self, block: &Block) -> Option<BlockRow> {
        let place = |id: &VariantId| self.problem.variants.iter().position(|v| v.id == *id);
        let beside = match &block.beside {
            Some(id) => Some(place(id)?),
            None => None,
        };
        Some(BlockRow { variant: place(&block.variant)?, minutes: block.minutes.0, beside, locked: false })
    }

    /// A plan by its places, as it stands; unknown blocks are left out.
    pub fn places(&self, plan: &Plan) -> Vec<Vec<BlockRow>> {
        let session = |at: usize| {
            let blocks = plan.sessions.get(at).map_or(&[][..], Vec::as_slice);
            blocks.iter().filter_map(|block| self.laid(block)).collect()
        };
        (0..self.sessions.len()).map(session).collect()
    }

    /// A plan by its places, the locked blocks marked and those that are missing put in. Blocks that are unknown or may
    /// not be laid are left out, unless they are locked.
    pub fn read(&self, plan: Option<&Plan>) -> Vec<Vec<BlockRow>> {
        let mut sessions = self.places(plan.unwrap_or(&Plan::default()));
        for (at, laid) in sessions.iter_mut().enumerate() {
            let locks = self.problem.locks.iter().filter(|lock| lock.session == at);
            for lock in locks.filter_map(|lock| self.laid(&lock.block)) {
                match laid.iter_mut().find(|l| **l == lock) {
                    Some(there) => there.locked = true,
                    None => laid.push(BlockRow { locked: true, ..lock }),
                }
            }
            // Only the director splits a squad; a block that is not locked is one for all again.
            laid.iter_mut().filter(|l| !l.locked).for_each(|l| l.beside = None);
            laid.retain(|l| l.locked || self.variants[l.variant].usable);
        }
        sessions
    }

    /// A plan by its names.
    pub fn plan(&self, sessions: &[Vec<BlockRow>]) -> Plan {
        let name = |variant: usize| self.problem.variants[variant].id.clone();
        let block = |laid: &BlockRow| Block {
            id: None,
            variant: name(laid.variant),
            minutes: Minutes(laid.minutes),
            beside: laid.beside.map(name),
        };
        Plan { sessions: sessions.iter().map(|blocks| blocks.iter().map(block).collect()).collect() }
    }

    /// Minutes of laying out between two blocks.
    pub fn change(&self, before: &BlockRow, next: &BlockRow) -> u32 {
        let (from, to) = (&self.variants[before.variant], &self.variants[next.variant]);
        if (before.beside, next.beside) == (None, None) {
            return match from.drill == to.drill {
                true => 0,
                false => to.laying_out.min(self.after(from.drill, to.drill)),
            };
        }
        let floor = |laid: &BlockRow| (self.variants[laid.variant].drill, self.beside(laid).map(|v| v.drill));
        match floor(before) == floor(next) {
            true => 0,
            false => to.laying_out + self.beside(next).map_or(0, |v| v.laying_out),
        }
    }

    fn after(&self, from: u32, to: u32) -> u32 {
        match self.changes.is_empty() {
            true => u32::MAX,
            false => self.changes[from as usize * self.of_drill.len() + to as usize].into(),
        }
    }

    /// The variant beside that of a block.
    pub fn beside(&self, laid: &BlockRow) -> Option<&VariantRow> {
        laid.beside.map(|beside| &self.variants[beside])
    }
}

fn twins(problem: &Problem) -> Vec<Option<usize>> {
    let mut twins = vec![None; problem.skills.len()];
    for (ladder, wish) in problem.skills.iter().enumerate() {
        if let Some(skill) = wish.carries.as_ref().and_then(|id| problem.skill_index(id)) {
            (twins[ladder], twins[skill]) = (Some(skill), Some(ladder));
        }
    }
    twins
}

fn skills(problem: &Problem) -> Vec<SkillRow> {
    let easiest = easiest(problem);
    let mut rows: Vec<SkillRow> = problem
        .skills
        .iter()
        .map(|skill| {
            let mut way = [0; 4];
            for stage in skill.way() {
                way[stage.index()] = problem.approach.needed(stage);
            }
            let tested = problem
                .sessions
                .iter()
                .position(|session| session.tests.iter().any(|test| test.skills.contains(&skill.id)));
            let needs = skill.needs.iter();
            SkillRow {
                met: skill.present.is_some(),
                new: skill.is_new(),
                missing: problem.approach.weights.of(Part::Goals) * skill.missing_points(),
                done: Stage::ALL.map(|stage| skill.has_done(stage)),
                way,
                goal: skill.goal.index(),
                needs: needs
                    .filter_map(|need| Some((problem.skill_index(&need.skill)?, need.stage.index())))
                    .collect(),
                opens: Vec::new(),
                asks: Vec::new(),
                experience: Experience::before(problem, skill).0,
                since: problem
                    .sessions
                    .first()
                    .and_then(|first| Some((skill.rests_since(first.date)? - first.date).get_days())),
                easiest: easiest.get(&skill.id).map_or(0.0, |easiest| easiest.difficulty.0),
                tested: tested.filter(|_| skill.present.is_none()).into(),
                shown: problem
                    .shown_by_tests()
                    .filter(|(_, _, need)| need.skill == skill.id && !skill.has_done(need.stage))
                    .map(|(session, _, need)| (need.stage.index(), session))
                    .collect(),
            }
        })
        .collect();
    for skill in (0..rows.len()).filter(|skill| !rows[*skill].met).collect::<Vec<_>>() {
        for (under, stage) in rows[skill].needs.clone() {
            rows[under].opens.push(skill);
            rows[under].asks.push((skill, stage));
        }
    }
    rows
}

/// The most minutes of laying out one drill after another: see [`Table::change`].
fn changes(problem: &Problem, variants: &[VariantRow], drills: usize) -> Vec<u8> {
    if problem.layout_changes.is_empty() {
        return Vec::new();
    }
    let named = problem.variants.iter().zip(variants);
    let place: BTreeMap<&str, usize> = named.map(|(v, row)| (v.drill.as_str(), row.drill as usize)).collect();
    let mut changes = vec![u8::MAX; drills * drills];
    // Of two that name the same drills the first counts.
    for change in problem.layout_changes.iter().rev() {
        if let (Some(from), Some(to)) = (place.get(change.from.as_str()), place.get(change.to.as_str())) {
            changes[from * drills + to] = u8::try_from(change.laying_out.0).unwrap_or(u8::MAX);
        }
    }
    changes
}

fn variants(problem: &Problem) -> Vec<VariantRow> {
    let mut drills: Vec<&str> = problem.variants.iter().map(|v| v.drill.as_str()).collect();
    drills.sort_unstable();
    drills.dedup();
    let limits = &problem.limits;
    let row = |v: &crate::plan::Variant| {
        let mut strands = [0.0; 4];
        for (strand, share) in &v.strands {
            strands[strand.index()] = share.0;
        }
        let both = v.touches.strong_per_min + v.touches.other_per_min;
        let most = v.most.min(limits.longest_block);
        let skills: Box<[usize]> = v.skills.iter().filter_map(|id| problem.skill_index(id)).collect();
        VariantRow {
            signs: skills.iter().fold(0, |signs, skill| signs | VariantRow::sign(*skill)),
            skills,
            drill: drills.binary_search(&v.drill.as_str()).unwrap_or_default() as u32,
            stage: v.stage.index(),
            strands,
            least: v.least.0,
            most: most.0,
            laying_out: v.laying_out.0,
            difficulty: v.difficulty.0,
            warm: v.warm_up,
            hard: v.intensity == Intensity::Hard,
            aerial: v.aerial,
            headers: v.headers_per_min,
            touches: [both, both * v.touches.other_wanted.0 - v.touches.other_per_min],
            waiting: v.waiting.0,
            halves: v.halves,
            usable: v.barred.is_none() && v.bout <= limits.longest_bout && v.least <= most,
        }
    };
    problem.variants.iter().map(row).collect()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ids::called;
    use crate::plan::problem::Barred;
    use crate::plan::search::ledger::tests::any_problem;
    use crate::plan::{Lock, SkillWish, Variant};
    use crate::units::Seconds;
    use rstest::rstest;

    #[test]
    fn two_skills_with_one_sign_are_told_apart() {
        let mut problem = any_problem(1, 0);
        let like = problem.skills[0].clone();
        problem.skills = (0..130)
            .map(|n| SkillWish { id: called(&format!("s{n}")), needs: vec![], ..like.clone() })
            .collect();
        problem.variants = vec![
            Variant::of(&called("one"), Stage::Form, &[called("s1"), called("s2")]),
            Variant::of(&called("other"), Stage::Form, &[called("s65"), called("s2")]),
            Variant::of(&called("third"), Stage::Form, &[called("s129")]),
        ];
        let table = Table::of(&problem);
        let [one, other, third] = &table.variants[..] else { panic!("three variants") };
        assert_eq!([1, 2, 65, 129].map(|skill| one.shows(skill)), [true, true, false, false]);
        assert_eq!([1, 2, 65, 129].map(|skill| other.shows(skill)), [false, true, true, false]);
        assert_eq!((one.shared(other), one.shared(third), other.shared(third)), (1, 0, 0));
        assert_eq!(one.shared(one), 2);
    }

    #[test]
    fn a_row_of_a_variant_fills_two_lines_of_a_cache() {
        assert_eq!((size_of::<VariantRow>(), align_of::<VariantRow>()), (128, 64));
    }

    #[rstest]
    #[case::as_it_is(|_: &mut Variant| (), true)]
    #[case::barred(|v: &mut Variant| v.barred = Some(Barred::H5(crate::fact::Fact::written("no kit"))), false)]
    #[case::too_long_a_bout(|v: &mut Variant| v.bout = Seconds(61.0), false)]
    #[case::longer_than_any_block(|v: &mut Variant| (v.least, v.most) = (Minutes(17), Minutes(20)), false)]
    fn what_may_be_laid_can_be_found(#[case] change: fn(&mut Variant), #[case] usable: bool) {
        let mut problem = any_problem(1, 0);
        (problem.limits.longest_bout, problem.limits.longest_block) = (Seconds(60.0), Minutes(16));
        let skill = problem.skills[0].id.clone();
        let mut variant = Variant::of(&called("drill"), Stage::Flow, std::slice::from_ref(&skill));
        change(&mut variant);
        problem.variants = vec![variant];
        let table = Table::of(&problem);
        let found =
            (table.usable.len(), table.serving[0][Stage::Flow.index()].len(), table.of_drill[0].len());
        assert_eq!(found, if usable { (1, 1, 1) } else { (0, 0, 0) });
        assert!(table.serving[0][Stage::Form.index()].is_empty());
    }

    #[test]
    fn a_plan_is_read_with_its_locks_and_without_what_may_not_stand() {
        let mut problem = any_problem(1, 0);
        let skill = problem.skills[0].id.clone();
        problem.variants = vec![
            Variant::of(&called("free"), Stage::Form, std::slice::from_ref(&skill)),
            Variant::of(&called("locked"), Stage::Form, std::slice::from_ref(&skill)),
            Variant {
                barred: Some(Barred::H5(crate::fact::Fact::written("no kit"))),
                ..Variant::of(&called("barred"), Stage::Form, std::slice::from_ref(&skill))
            },
        ];
        let block = |drill: &str| Block::of(&called(&format!("{drill}@form")), Minutes(6));
        problem.locks =
            vec![Lock { session: 0, block: block("locked") }, Lock { session: 1, block: block("barred") }];
        let table = Table::of(&problem);
        let beside = Block { beside: Some(called("locked@form")), ..block("free") };
        let plan = Plan { sessions: vec![vec![beside, block("barred"), block("unknown")], vec![]] };
        let read = table.read(Some(&plan));
        let told = |session: usize| -> Vec<(usize, bool, bool)> {
            read[session].iter().map(|laid| (laid.variant, laid.beside.is_none(), laid.locked)).collect()
        };
        // Nobody locked that the squad is split, and what is barred goes unless it is locked.
        assert_eq!(told(0), [(0, true, false), (1, true, true)]);
        assert_eq!(told(1), [(2, true, true)]);
        assert_eq!(table.places(&plan)[0].len(), 2, "as it stands, all that is known");
        assert_eq!(table.plan(&read).sessions[0], [block("free"), block("locked")]);
    }
}
