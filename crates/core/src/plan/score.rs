//! Scores a plan: lower is better.
//!
//! | part | points |
//! |---|---|
//! | S1 goals | 10 per missing exposure of a stage on the way to a skill's goal, 5 on the ladder of the other foot; 0.05 per session that passes before the goal is reached |
//! | S2 strands | 1 per percentage point of Σ \|share − target\| ÷ 2, over all minutes of the plan |
//! | S3 rhythm | 1 per day over 7 that a skill under way rests between two exposures; where it is known when it was last shown before the plan, also before the first one, but for the days before the first session |
//! | S4 maintenance | 2 per week over 21 days that a skill at its goal rests, until its next exposure or the last session; a skill that was beyond its goal from the start rests from the first session on, or from when it was last shown: see [`SkillWish::rests_since`] |
//! | S5 open play | 0.2 per percentage point that Scan and Contest have less of a week's minutes than the approach's line |
//! | S6 difficulty jumps | 2 per difficulty point over 1.5 between two exposures of a skill, harder or easier |
//! | S7 repetition | 1 for each further session in a row that has a variant, after the second |
//! | S8 unused time | 0.5 per unused minute of a session |
//! | S9 other foot | 0.5 per percentage point that the other foot has less of the side-specific touches than the side policy wants |
//! | S10 laying out | 0.4 per minute of laying out between blocks |
//! | S11 standing time | 0.5 per percentage point of the whole plan's standing time over 20 % |
//! | S12 challenge | 1.5 per percentage point that the expected success lies outside the approach's window, in the mean of the plan's minutes; a block's minutes are shared by its skills |
//! | S13 weekly wishes | 2 for each time that a skill or drill comes less or more often in a week than was wished, from the week on in which it can come at the soonest |
//! | S14 focus | 1 for each skill in a session over the problem's number; 0.1 per percentage point that a session has less than half of its minutes for the theme of its week, 0.3 if that was wished |
//! | S15 arc | 1.5 per session that ends less open than its most open block, or not open at all although Scan could have come for one of its skills; 0.5 per block that is easier than an earlier one of the same skill in the session |
//! | S16 short blocks | 0.2 per minute that a block is shorter than its dose with its usual sets |
//! | S17 evidence | 20 for each stage that a test is to show and that is not done before it |
//!
//! Each part counts as often as the approach's weights say. Only skills that were met before are under way; where two
//! variants lie side by side, the first one counts.

use std::collections::{BTreeMap, BTreeSet, HashMap};

use jiff::civil::Date;
use serde::Serialize;

use super::exposure::Tally;
use super::part::{
    ARC, EARLY, EASIER, EDGE, HASTE, JUMP, LAYING_OUT, MAINTENANCE, MAINTENANCE_DAYS, OFF_WEEKLY, OPEN_PLAY,
    OTHER_FOOT, Part, RHYTHM_DAYS, SHORT, STANDING, STANDING_FREE, STEP, UNFOCUSED, UNUSED,
};
use super::success::{Practice, outside};
use super::themes::week_themes;
use super::{Block, Plan, Problem, SessionWish, SkillWish, Variant, VariantId};
use crate::fact::{Fact, Value, facts};
use crate::ids::SkillId;
use crate::technique::skill::{Stage, Strand};
use crate::units::Minutes;

facts! {
    /// Where the points of a part come from.
    pub enum PointsFrom {
        Reached = "points-reached" { sessions: f64 },
        Missing = "points-missing" { skill: Value, count: u32, stage: Stage },
        Strand = "points-strand" { strand: Strand, percent: f64, target: f64 },
        Rested = "points-rested" { skill: Value, days: i32, date: Value },
        NotKept = "points-not-kept" { skill: Value, days: i32, date: Value },
        OpenPlay = "points-open-play" { week: u32, percent: f64, line: f64 },
        Harder = "points-harder" { skill: Value, points: f64, date: Value },
        Easier = "points-easier" { skill: Value, points: f64, date: Value },
        Again = "points-again" { title: String, date: Value },
        Unused = "points-unused" { date: Value, minutes: u32 },
        OtherFoot = "points-other-foot" { percent: f64, touches: f64, target: f64 },
        LayingOut = "points-laying-out" { minutes: u32, changes: usize, percent: f64 },
        Standing = "points-standing" { percent: f64, free: f64 },
        TooHard = "points-too-hard" { percent: f64, minutes: f64, least: f64 },
        TooEasy = "points-too-easy" { percent: f64, minutes: f64, most: f64 },
        Weekly = "points-weekly" { week: u32, what: Value, times: u32, least: u32, most: u32 },
        OffTheme = "points-off-theme" { week: u32, percent: f64 },
        Unfocused = "points-unfocused" { date: Value, skills: usize, most: u32 },
        NotOpen = "points-not-open" { date: Value, stage: Stage, open: Stage },
        EasierAfter = "points-easier-after" { date: Value, blocks: usize },
        Short = "points-short" { minutes: u32, blocks: usize },
        Early = "points-early" { test: String, date: Value, skill: Value, stage: Stage },
    }
}

/// The points of one part.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PartPoints {
    /// The part.
    pub part: Part,
    /// Its points, as often as they count.
    pub points: f64,
    /// How often they count.
    pub weight: f64,
    /// The figures of its rule: see [`Part::figures`].
    pub figures: &'static [f64],
    /// Where they come from.
    pub from: Vec<Fact>,
}

impl PartPoints {
    fn of(part: Part) -> PartPoints {
        PartPoints { part, points: 0.0, weight: 1.0, figures: part.figures(), from: Vec::new() }
    }

    fn add(&mut self, points: f64, from: PointsFrom) {
        self.points += points;
        self.from.push(from.into());
    }
}

/// How good a plan is.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Score {
    /// All parts together.
    pub total: f64,
    /// Each on its own.
    pub parts: Vec<PartPoints>,
}

/// The score of a plan. Blocks of unknown variants count for nothing. It never errs; time: O(blocks × skills).
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Part, Plan, score};
/// let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 4, variants: 12 }, 1);
/// let score = score(&problem, &Plan { sessions: vec![vec![]; 4] });
/// let unused = score.parts.iter().find(|part| part.part == Part::UnusedTime).unwrap();
/// let minutes: u32 = problem.sessions.iter().map(|session| session.minutes.0).sum();
/// assert_eq!(unused.points, 0.5 * f64::from(minutes)); // nothing is laid: each unused minute is half a point
/// assert_eq!(score.total, score.parts.iter().map(|part| part.points).sum::<f64>());
/// ```
pub fn score(problem: &Problem, plan: &Plan) -> Score {
    let laid = Blocks::of(problem, plan);
    let shown: Vec<Vec<Exposed<'_>>> = problem.skills.iter().map(|wish| laid.shown(problem, wish)).collect();
    let mut parts = vec![
        goals(problem, plan, &shown),
        strands(problem, plan),
        rhythm(problem, &shown),
        maintenance(problem, &shown),
        open_play(problem, &laid),
        jumps(problem, &shown),
        repetition(problem, &laid),
        unused_time(problem, &laid),
        other_foot(&laid),
        laying_out(problem, &laid),
        standing_time(&laid),
        edge(problem, &laid),
        weekly(problem, &laid),
        focus(problem, plan, &laid),
        arc(problem, &laid),
        short_blocks(&laid),
        evidence(problem, &laid),
    ];
    for part in &mut parts {
        part.weight = problem.approach.weights.of(part.part);
        part.points *= part.weight;
    }
    Score { total: parts.iter().map(|p| p.points).sum(), parts }
}

/// The blocks of a plan with the variants that they name.
struct Blocks<'p>(Vec<Vec<(&'p Block, &'p Variant)>>);

impl<'p> Blocks<'p> {
    fn of(problem: &'p Problem, plan: &'p Plan) -> Blocks<'p> {
        let by_id: HashMap<&VariantId, &Variant> = problem.variants.iter().map(|v| (&v.id, v)).collect();
        let known = |block: &'p Block| Some((block, *by_id.get(&block.variant)?));
        Blocks(plan.sessions.iter().map(|blocks| blocks.iter().filter_map(known).collect()).collect())
    }

    /// Every block with its minutes.
    fn each(&self) -> impl Iterator<Item = (f64, &'p Variant)> + '_ {
        self.0.iter().flatten().map(|(block, variant)| (f64::from(block.minutes.0), *variant))
    }

    /// The exposures of a skill, in order.
    fn shown(&self, problem: &Problem, wish: &SkillWish) -> Vec<Exposed<'p>> {
        let mut missing: [u32; 4] = [0; 4];
        for stage in wish.way() {
            missing[stage.index()] = problem.approach.needed(stage);
        }
        let mut all = Vec::new();
        for (at, (blocks, session)) in self.0.iter().zip(&problem.sessions).enumerate() {
            let mut today = [false; 4];
            for (_, variant) in blocks.iter().filter(|(_, v)| v.skills.contains(&wish.id)) {
                let stage = variant.stage.index();
                let again = std::mem::replace(&mut today[stage], true);
                missing[stage] = missing[stage].saturating_sub(u32::from(!again));
                let at_goal = missing == [0; 4];
                all.push(Exposed { session: at, date: session.date, variant, at_goal });
            }
        }
        all
    }
}

/// Minutes of a plan by strand, in the order of [`Strand::ALL`].
pub fn minutes_by_strand(problem: &Problem, plan: &Plan) -> [f64; 4] {
    let mut minutes = [0.0; 4];
    for block in plan.sessions.iter().flatten() {
        if let Some(variant) = problem.variant(&block.variant) {
            for (strand, share) in &variant.strands {
                minutes[strand.index()] += f64::from(block.minutes.0) * share.0;
            }
        }
    }
    minutes
}

fn goals(problem: &Problem, plan: &Plan, shown: &[Vec<Exposed<'_>>]) -> PartPoints {
    let mut part = PartPoints::of(Part::Goals);
    for (skill, missing) in problem.skills.iter().zip(missing(problem, plan)) {
        for (stage, n) in Stage::ALL.into_iter().zip(missing).filter(|(_, n)| *n > 0) {
            let from = PointsFrom::Missing { skill: skill.said(), count: n, stage };
            part.add(skill.missing_points() * f64::from(n), from);
        }
    }
    let passed = |(wish, shown): (&SkillWish, &Vec<Exposed<'_>>)| match wish.way().next() {
        None => 0,
        Some(_) => {
            shown.iter().find(|shown| shown.at_goal).map_or(problem.sessions.len(), |shown| shown.session)
        }
    };
    let passed: Vec<usize> =
        problem.skills.iter().zip(shown).map(passed).filter(|passed| *passed > 0).collect();
    if !passed.is_empty() {
        let all = passed.iter().sum::<usize>() as f64;
        let sessions = (all / passed.len() as f64).round();
        part.add(HASTE * all, PointsFrom::Reached { sessions });
    }
    part
}

/// Exposures that a plan still misses on the way to each skill's goal, by skill and stage.
pub fn missing(problem: &Problem, plan: &Plan) -> Vec<[u32; 4]> {
    let mut missing = vec![[0; 4]; problem.skills.len()];
    for (skill, missing) in problem.skills.iter().zip(&mut missing) {
        for stage in skill.way() {
            missing[stage.index()] = problem.approach.needed(stage);
        }
    }
    let mut tally = Tally::of(problem);
    for (session, blocks) in plan.sessions.iter().enumerate() {
        for variant in blocks.iter().filter_map(|block| problem.variant(&block.variant)) {
            for skill in variant.skills.iter().filter_map(|s| problem.skill_index(s)) {
                let counts = tally.show(skill, variant.stage, session);
                let left = &mut missing[skill][variant.stage.index()];
                *left = left.saturating_sub(u32::from(counts));
            }
        }
    }
    missing
}

fn strands(problem: &Problem, plan: &Plan) -> PartPoints {
    let minutes = minutes_by_strand(problem, plan);
    let all: f64 = minutes.iter().sum();
    let mut part = PartPoints::of(Part::Strands);
    for strand in Strand::ALL {
        let target = problem.shares.get(&strand).copied().unwrap_or_default().percent();
        let share = if all > 0.0 { 100.0 * minutes[strand.index()] / all } else { 0.0 };
        let from = PointsFrom::Strand { strand, percent: share.round(), target: target.round() };
        part.add((share - target).abs() / 2.0, from);
    }
    part
}

/// An exposure of a skill as it follows in time.
struct Exposed<'p> {
    session: usize,
    date: Date,
    variant: &'p Variant,
    /// Whether the goal is reached with it.
    at_goal: bool,
}

fn days(from: Date, to: Date) -> i32 {
    (to - from).get_days()
}

fn rhythm(problem: &Problem, shown: &[Vec<Exposed<'_>>]) -> PartPoints {
    let mut part = PartPoints::of(Part::Rhythm);
    let Some(begins) = problem.sessions.first().map(|session| session.date) else { return part };
    for (wish, shown) in problem.skills.iter().zip(shown) {
        let is_under_way = wish.way().next().is_some();
        let since = wish.rests_since(begins).filter(|_| is_under_way);
        if let Some((since, first)) = since.zip(shown.first()) {
            let rested = days(since, first.date);
            if rested > RHYTHM_DAYS {
                let (skill, date) = (wish.said(), first.date.into());
                part.add(f64::from(rested - RHYTHM_DAYS), PointsFrom::Rested { skill, days: rested, date });
            }
        }
        for pair in shown.windows(2) {
            let rested = days(pair[0].date, pair[1].date);
            if !pair[0].at_goal && rested > RHYTHM_DAYS {
                let (skill, date) = (wish.said(), pair[1].date.into());
                part.add(f64::from(rested - RHYTHM_DAYS), PointsFrom::Rested { skill, days: rested, date });
            }
        }
    }
    part
}

fn maintenance(problem: &Problem, shown: &[Vec<Exposed<'_>>]) -> PartPoints {
    let mut part = PartPoints::of(Part::Maintenance);
    let (Some(first), Some(last)) = (problem.sessions.first(), problem.sessions.last()) else { return part };
    for (wish, shown) in problem.skills.iter().zip(shown) {
        // From when on it is kept, and the days on which it is shown from then on.
        let from_start = wish.way().next().is_none().then(|| wish.rests_since(first.date)).flatten();
        let since = from_start.into_iter().chain(shown.iter().filter(|s| s.at_goal).map(|s| s.date));
        let mut since: Vec<Date> = since.collect();
        if since.is_empty() {
            continue;
        }
        since.push(last.date);
        for pair in since.windows(2) {
            let rested = days(pair[0], pair[1]);
            if rested > MAINTENANCE_DAYS {
                let points = MAINTENANCE * f64::from(rested - MAINTENANCE_DAYS) / 7.0;
                let (skill, date) = (wish.said(), pair[1].into());
                part.add(points, PointsFrom::NotKept { skill, days: rested, date });
            }
        }
    }
    part
}

fn open_play(problem: &Problem, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::OpenPlay);
    let mut minutes: BTreeMap<u32, (u32, u32)> = BTreeMap::new();
    for (blocks, wish) in laid.0.iter().zip(&problem.sessions) {
        let week = minutes.entry(wish.week).or_default();
        for (block, variant) in blocks {
            week.0 += block.minutes.0;
            week.1 += if variant.stage >= Stage::Scan { block.minutes.0 } else { 0 };
        }
    }
    let weeks = problem.weeks();
    let (Some(first), Some(last)) = (weeks.first(), weeks.last()) else { return part };
    for week in &weeks {
        let (all, open) = minutes.get(week).copied().unwrap_or_default();
        let share = if all > 0 { 100.0 * f64::from(open) / f64::from(all) } else { 0.0 };
        let line = problem.approach.open_play.in_week(week - first + 1, last - first + 1).percent();
        if share < line {
            let (percent, points) = (share.round(), OPEN_PLAY * (line - share));
            part.add(points, PointsFrom::OpenPlay { week: *week, percent, line: line.round() });
        }
    }
    part
}

fn jumps(problem: &Problem, shown: &[Vec<Exposed<'_>>]) -> PartPoints {
    let mut part = PartPoints::of(Part::Jumps);
    for (wish, shown) in problem.skills.iter().zip(shown) {
        for pair in shown.windows(2) {
            let step = pair[1].variant.difficulty.0 - pair[0].variant.difficulty.0;
            if step.abs() > STEP {
                let (skill, points, date) = (wish.said(), step.abs(), pair[1].date.into());
                let from = match step > 0.0 {
                    true => PointsFrom::Harder { skill, points, date },
                    false => PointsFrom::Easier { skill, points, date },
                };
                part.add(JUMP * (step.abs() - STEP), from);
            }
        }
    }
    part
}

fn repetition(problem: &Problem, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::Repetition);
    let named = |blocks: &Vec<(&Block, &Variant)>| -> BTreeMap<VariantId, String> {
        blocks.iter().map(|(_, v)| (v.id.clone(), v.title.clone())).collect()
    };
    let sessions: Vec<BTreeMap<VariantId, String>> = laid.0.iter().map(named).collect();
    for (three, wish) in sessions.windows(3).zip(problem.sessions.iter().skip(2)) {
        let again = |id: &VariantId| three[0].contains_key(id) && three[1].contains_key(id);
        for (_, title) in three[2].iter().filter(|(id, _)| again(id)) {
            part.add(1.0, PointsFrom::Again { title: title.clone(), date: wish.date.into() });
        }
    }
    part
}

fn unused_time(problem: &Problem, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::UnusedTime);
    for (blocks, wish) in laid.0.iter().zip(&problem.sessions) {
        let used = changed(problem, blocks).map(|(_, minutes)| minutes.0).sum::<u32>()
            + blocks.iter().map(|(block, _)| block.minutes.0).sum::<u32>();
        let unused = wish.for_blocks().0.saturating_sub(used);
        if unused > 0 {
            let from = PointsFrom::Unused { date: wish.date.into(), minutes: unused };
            part.add(UNUSED * f64::from(unused), from);
        }
    }
    part
}

/// The layout changes of a session: after which block, and how long.
fn changed<'l>(
    problem: &'l Problem,
    blocks: &'l [(&Block, &Variant)],
) -> impl Iterator<Item = (usize, Minutes)> + 'l {
    let same = |a: &(&Block, &Variant), b: &(&Block, &Variant)| {
        a.1.drill == b.1.drill && (a.0.beside == b.0.beside || problem.floor(a.0) == problem.floor(b.0))
    };
    (1..blocks.len())
        .filter(move |at| !same(&blocks[at - 1], &blocks[*at]))
        .map(move |at| (at, problem.change(Some(blocks[at - 1].0), blocks[at].0)))
}

fn other_foot(laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::OtherFoot);
    let (mut all, mut other, mut wanted) = (0.0, 0.0, 0.0);
    for (minutes, variant) in laid.each() {
        let touches = variant.touches;
        let both = (touches.strong_per_min + touches.other_per_min) * minutes;
        all += both;
        other += touches.other_per_min * minutes;
        wanted += touches.other_wanted.0 * both;
    }
    if all > 0.0 {
        let (share, target) = (100.0 * other / all, 100.0 * wanted / all);
        let (percent, touches, wanted) = (share.round(), all.round(), target.round());
        let from = PointsFrom::OtherFoot { percent, touches, target: wanted };
        part.add(OTHER_FOOT * (target - share).max(0.0), from);
    }
    part
}

fn laying_out(problem: &Problem, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::LayingOut);
    let all: Vec<Minutes> =
        laid.0.iter().flat_map(|blocks| changed(problem, blocks).map(|(_, minutes)| minutes)).collect();
    let minutes: Minutes = all.iter().copied().sum();
    let there: Minutes = problem.sessions.iter().map(SessionWish::for_blocks).sum();
    let percent = (100.0 * f64::from(minutes.0) / f64::from(there.0.max(1))).round();
    let from = PointsFrom::LayingOut { minutes: minutes.0, changes: all.len(), percent };
    part.add(LAYING_OUT * f64::from(minutes.0), from);
    part
}

fn focus(problem: &Problem, plan: &Plan, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::Focus);
    let most = problem.skills_per_session;
    for week in week_themes(problem, plan).into_iter().filter(|week| week.points > 0.0) {
        let percent = week.share.percent().round();
        part.add(week.points, PointsFrom::OffTheme { week: week.week, percent });
    }
    for (blocks, wish) in laid.0.iter().zip(&problem.sessions) {
        let shown = blocks.iter().flat_map(|(_, variant)| &variant.skills);
        // Either foot of a skill is that skill.
        let skills: BTreeSet<&SkillId> = shown.map(|id| problem.skill_of(id)).collect();
        let over = skills.len().saturating_sub(most as usize);
        if over > 0 {
            let from = PointsFrom::Unfocused { date: wish.date.into(), skills: skills.len(), most };
            part.add(UNFOCUSED * over as f64, from);
        }
    }
    part
}

fn weekly(problem: &Problem, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::Weekly);
    for (wish, from) in problem.weekly.iter().zip(problem.weekly_from()) {
        let Some(from) = from else { continue };
        for week in problem.weeks() {
            let of_week = |(at, session): &(usize, &SessionWish)| session.week == week && *at >= from;
            let sessions: Vec<usize> =
                problem.sessions.iter().enumerate().filter(of_week).map(|(at, _)| at).collect();
            let served = |at: &&usize| {
                laid.0.get(**at).is_some_and(|blocks| blocks.iter().any(|(_, v)| wish.is_served_by(v)))
            };
            let times = sessions.iter().filter(served).count() as u32;
            let off = wish.off(times, sessions.len() as u32);
            if off > 0 {
                let (what, least, most) = (wish.said(problem), wish.least, wish.most);
                part.add(OFF_WEEKLY * f64::from(off), PointsFrom::Weekly { week, what, times, least, most });
            }
        }
    }
    part
}

fn arc(problem: &Problem, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::Arc);
    let scan = problem.scan_from();
    for (session, (blocks, wish)) in laid.0.iter().zip(&problem.sessions).enumerate() {
        let Some((_, last)) = blocks.last() else { continue };
        let date = Value::from(wish.date);
        let skills = blocks.iter().flat_map(|(_, variant)| &variant.skills);
        let could_scan =
            skills.filter_map(|skill| scan[problem.skill_index(skill)?]).any(|from| from <= session);
        let most =
            blocks.iter().map(|(_, variant)| variant.stage).max().filter(|stage| *stage >= Stage::Scan);
        let open = most.max(could_scan.then_some(Stage::Scan));
        if let Some(open) = open.filter(|open| last.stage < *open) {
            part.add(ARC, PointsFrom::NotOpen { date: date.clone(), stage: last.stage, open });
        }
        let easier = |at: &usize| {
            let (_, variant) = blocks[*at];
            let harder = |(_, other): &(&Block, &Variant)| {
                other.difficulty > variant.difficulty
                    && other.skills.iter().any(|skill| variant.skills.contains(skill))
            };
            blocks[..*at].iter().any(harder)
        };
        let easier = (0..blocks.len()).filter(easier).count();
        if easier > 0 {
            part.add(EASIER * easier as f64, PointsFrom::EasierAfter { date, blocks: easier });
        }
    }
    part
}

fn short_blocks(laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::ShortBlocks);
    let short = laid.0.iter().flatten().map(|(block, v)| v.usual.0.saturating_sub(block.minutes.0));
    let short: Vec<u32> = short.filter(|minutes| *minutes > 0).collect();
    let (minutes, blocks) = (short.iter().sum(), short.len());
    if blocks > 0 {
        part.add(SHORT * f64::from(minutes), PointsFrom::Short { minutes, blocks });
    }
    part
}

fn standing_time(laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::StandingTime);
    let (mut all, mut waited) = (0.0, 0.0);
    for (minutes, variant) in laid.each() {
        all += minutes;
        waited += minutes * variant.waiting.0;
    }
    if all > 0.0 {
        let (percent, free) = ((100.0 * waited / all).round(), 100.0 * STANDING_FREE);
        let points = STANDING * 100.0 * (waited / all - STANDING_FREE).max(0.0);
        part.add(points, PointsFrom::Standing { percent, free });
    }
    part
}

fn edge(problem: &Problem, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::Edge);
    let window = problem.approach.success_window;
    let all: f64 = laid.each().map(|(minutes, _)| minutes).sum();
    let mut practice = Practice::before(problem);
    // Minutes, and minutes times success, below the window and above it.
    let (mut hard, mut easy) = ((0.0, 0.0), (0.0, 0.0));
    for (blocks, session) in laid.0.iter().zip(&problem.sessions) {
        for (block, variant) in blocks {
            for skill in variant.skills.iter().filter_map(|id| problem.skill_index(id)) {
                let brought = practice.after(skill, variant, block.minutes, session.date);
                let success = practice.expects(brought, skill, variant);
                let minutes = f64::from(block.minutes.0) / variant.skills.len() as f64;
                part.points += EDGE * outside(success, window) * minutes / all;
                let of = if success < window.least { &mut hard } else { &mut easy };
                if outside(success, window) > 0.0 {
                    *of = (of.0 + minutes, of.1 + minutes * success.percent());
                }
            }
        }
    }
    if hard.0 > 0.0 {
        let (percent, minutes) = ((hard.1 / hard.0).round(), hard.0.round());
        part.add(0.0, PointsFrom::TooHard { percent, minutes, least: window.least.percent().round() });
    }
    if easy.0 > 0.0 {
        let (percent, minutes) = ((easy.1 / easy.0).round(), easy.0.round());
        part.add(0.0, PointsFrom::TooEasy { percent, minutes, most: window.most.percent().round() });
    }
    part
}

fn evidence(problem: &Problem, laid: &Blocks<'_>) -> PartPoints {
    let mut part = PartPoints::of(Part::Evidence);
    for (session, test, need) in problem.shown_by_tests() {
        let Some(wish) = problem.skills.iter().find(|wish| wish.id == need.skill) else { continue };
        let shows = |variant: &Variant| variant.stage == need.stage && variant.skills.contains(&need.skill);
        let in_session = |blocks: &&Vec<(&Block, &Variant)>| blocks.iter().any(|(_, variant)| shows(variant));
        let earlier = laid.0.iter().take(session).filter(in_session);
        if !wish.has_done(need.stage) && (earlier.count() as u32) < problem.approach.needed(need.stage) {
            let (test, date) = (test.name.clone(), problem.sessions[session].date.into());
            part.add(EARLY, PointsFrom::Early { test, date, skill: wish.said(), stage: need.stage });
        }
    }
    part
}
