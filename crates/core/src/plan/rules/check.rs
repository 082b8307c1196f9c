//! Checks a plan against the hard rules.
//!
//! Written from the rules alone: it shares no code with the planner, so that each may catch the other.

use std::collections::{BTreeMap, BTreeSet};

use serde::Serialize;

use crate::drill::levers::Intensity;
use crate::fact::{Fact, Value, facts};
use crate::plan::{Barred, Block, Ladder, Plan, Problem, Variant, VariantId};
use crate::technique::skill::Stage;
use crate::units::Minutes;

/// A hard rule.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Rule {
    /// The plan has the sessions, variants and lengths that the problem has.
    #[serde(rename = "form")]
    Form,
    /// Blocks, layout changes and tests fit into the session.
    #[serde(rename = "H1")]
    Time,
    /// What a skill needs is done before it is met.
    #[serde(rename = "H2")]
    Needs,
    /// A stage is done before the next one begins.
    #[serde(rename = "H3")]
    Ladder,
    /// No more new skills in a week than it takes.
    #[serde(rename = "H4")]
    Newness,
    /// What is laid fits the ground, the kit and the squad.
    #[serde(rename = "H5")]
    Fit,
    /// What could hurt is kept within its limits.
    #[serde(rename = "H6")]
    Safety,
    /// A session begins easily, new things come early, hard blocks do not follow each other.
    #[serde(rename = "H7")]
    Order,
    /// What is locked stays where it is.
    #[serde(rename = "H8")]
    Locks,
    /// Nothing is tested before it was met.
    #[serde(rename = "H9")]
    Tests,
}

facts! {
    /// How a plan breaks a rule, and what would mend it.
    pub enum Broken {
        Sessions = "broken-sessions" { laid: usize, wanted: usize },
        NoVariant = "broken-no-variant" { id: VariantId },
        Length = "broken-length" { title: String, least: Minutes, most: Minutes, minutes: Minutes, better: Minutes },
        Time = "broken-time" { used: u32, minutes: Minutes, over: u32 },
        TimeWithTests = "broken-time-with-tests" { used: u32, minutes: Minutes, over: u32 },
        Fit = "broken-fit" { title: String, why: Fact },
        Half = "broken-half" { title: String },
        Beside = "broken-beside" { title: String, beside: String },
        Barred = "broken-barred" { title: String, why: Fact },
        Bout = "broken-bout" { title: String, seconds: f64, most: f64 },
        LongBlock = "broken-long-block" { minutes: Minutes, most: Minutes },
        Aerial = "broken-aerial" { minutes: u32, most: u32, over: u32 },
        Headers = "broken-headers" { count: f64, week: u32, most: u32 },
        ColdStart = "broken-cold-start" { title: String },
        NewLate = "broken-new-late" { skill: Value },
        AfterContest = "broken-after-contest" { skill: Value },
        HardTwice = "broken-hard-twice" { title: String },
        Twice = "broken-twice" { title: String },
        OneDrill = "broken-one-drill" { title: String, minutes: u32, most: u32 },
        LockGone = "broken-lock-gone" { title: String, minutes: Minutes },
        TestEarly = "broken-test-early" { test: String, skill: Value },
        Ladder = "broken-ladder" { skill: Value, stage: Stage, before: Stage },
        LadderFirst = "broken-ladder-first" { skill: Value, stage: Stage, before: Stage },
        LadderContest = "broken-ladder-contest" { skill: Value },
        Needs = "broken-needs" { skill: Value, need: Value, stage: Stage },
        Newness = "broken-newness" { count: u32, week: u32, most: u32, over: u32 },
    }
}

/// A rule that a plan breaks, where, and what would mend it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Breach {
    /// The rule.
    pub rule: Rule,
    /// The session, from 0.
    pub session: usize,
    /// The block in it, from 0, if it is one block's fault.
    pub block: Option<usize>,
    /// What is wrong and what would mend it.
    pub says: Fact,
}

/// Every breach of a plan; an empty list means that the plan is legal.
///
/// A plan with another number of sessions, or with variants that the problem does not have, has breaches of its form
/// alone: what it means cannot be told. Time: O(blocks × skills).
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Plan, Rule, check};
/// let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 4, variants: 8 }, 1);
/// // Nothing is laid: no rule is broken, but nothing is there for a test of something that was never met.
/// let empty = Plan { sessions: vec![vec![]; 4] };
/// assert!(check(&problem, &empty).iter().all(|breach| breach.rule == Rule::Tests));
/// let short = Plan { sessions: vec![vec![]; 3] };
/// assert_eq!(check(&problem, &short)[0].rule, Rule::Form);
/// ```
pub fn check(problem: &Problem, plan: &Plan) -> Vec<Breach> {
    let mut breaches = form(problem, plan);
    if breaches.is_empty() {
        lengths(problem, plan, &mut breaches);
        time(problem, plan, &mut breaches);
        ladder_and_needs(problem, plan, &mut breaches);
        newness(problem, plan, &mut breaches);
        fits(problem, plan, &mut breaches);
        safety(problem, plan, &mut breaches);
        order(problem, plan, &mut breaches);
        sameness(problem, plan, &mut breaches);
        locks(problem, plan, &mut breaches);
        tests(problem, plan, &mut breaches);
    }
    breaches
}

/// The plan has the problem's sessions and known variants.
fn form(problem: &Problem, plan: &Plan) -> Vec<Breach> {
    let mut breaches = Vec::new();
    let (wanted, laid) = (problem.sessions.len(), plan.sessions.len());
    if wanted != laid {
        breaches.push(Breach {
            rule: Rule::Form,
            session: wanted.min(laid),
            block: None,
            says: Broken::Sessions { laid, wanted }.into(),
        });
    }
    for (session, i, block) in places(plan) {
        for id in [Some(&block.variant), block.beside.as_ref()].into_iter().flatten() {
            if problem.variant(id).is_none() {
                let says = Broken::NoVariant { id: id.clone() }.into();
                breaches.push(Breach { rule: Rule::Form, session, block: Some(i), says });
            }
        }
    }
    breaches
}

fn places(plan: &Plan) -> impl Iterator<Item = (usize, usize, &Block)> {
    let session = |(session, blocks): (usize, _)| -> Vec<(usize, usize, &Block)> {
        let blocks: &Vec<Block> = blocks;
        blocks.iter().enumerate().map(|(i, block)| (session, i, block)).collect()
    };
    plan.sessions.iter().enumerate().flat_map(session)
}

/// The variants that lie on the floor during a block: one, or two side by side.
fn laid<'p>(problem: &'p Problem, block: &Block) -> Vec<&'p Variant> {
    let ids = [Some(&block.variant), block.beside.as_ref()];
    ids.into_iter().flatten().filter_map(|id| problem.variant(id)).collect()
}

/// Every block is as long as its variant allows.
fn lengths(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    for (session, i, block) in places(plan) {
        for v in
            laid(problem, block).into_iter().filter(|v| block.minutes < v.least || block.minutes > v.most)
        {
            let (title, least, most, minutes) = (v.title.clone(), v.least, v.most, block.minutes);
            let better = minutes.clamp(least, most);
            let says = Broken::Length { title, least, most, minutes, better }.into();
            breaches.push(Breach { rule: Rule::Form, session, block: Some(i), says });
        }
    }
}

/// When each block of a session begins, tests and layout changes counted, and when the last one ends.
fn clock(problem: &Problem, session: usize, blocks: &[Block]) -> (Vec<u32>, u32) {
    let mut now: u32 = problem.sessions[session].tests.iter().map(|test| test.minutes.0).sum();
    let mut begins = Vec::new();
    let mut before: Option<Vec<&str>> = None;
    for block in blocks {
        let variants = laid(problem, block);
        let floor: Vec<&str> = variants.iter().map(|v| v.drill.as_str()).collect();
        if let Some(before) = before.filter(|before| *before != floor) {
            let from_nothing: u32 = variants.iter().map(|v| v.laying_out.0).sum();
            let change = match (&before[..], &floor[..]) {
                ([from], [to]) => problem.layout_changes.iter().find(|c| c.from == **from && c.to == **to),
                _ => None,
            };
            now += change.map_or(from_nothing, |change| change.laying_out.0.min(from_nothing));
        }
        begins.push(now);
        now += block.minutes.0;
        before = Some(floor);
    }
    (begins, now)
}

fn time(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    for (session, (blocks, wish)) in plan.sessions.iter().zip(&problem.sessions).enumerate() {
        let (_, used) = clock(problem, session, blocks);
        if used > wish.minutes.0 {
            let (minutes, over) = (wish.minutes, used - wish.minutes.0);
            let broken = match wish.tests.is_empty() {
                true => Broken::Time { used, minutes, over },
                false => Broken::TimeWithTests { used, minutes, over },
            };
            breaches.push(Breach { rule: Rule::Time, session, block: None, says: broken.into() });
        }
    }
}

fn fits(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    for (session, i, block) in places(plan) {
        let mut broken = |broken: Broken| {
            breaches.push(Breach { rule: Rule::Fit, session, block: Some(i), says: broken.into() });
        };
        for v in laid(problem, block) {
            if let Some(Barred::H5(why)) = &v.barred {
                broken(Broken::Fit { title: v.title.clone(), why: why.clone() });
            }
            if block.beside.is_some() && !v.halves {
                broken(Broken::Half { title: v.title.clone() });
            }
        }
        if let [one, other] = laid(problem, block)[..] {
            let shared = one.skills.iter().any(|skill| other.skills.contains(skill));
            if one.id == other.id || !shared {
                broken(Broken::Beside { title: one.title.clone(), beside: other.title.clone() });
            }
        }
    }
}

fn safety(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    let limits = &problem.limits;
    for (session, i, block) in places(plan) {
        let mut broken = |broken: Broken| {
            breaches.push(Breach { rule: Rule::Safety, session, block: Some(i), says: broken.into() });
        };
        for v in laid(problem, block) {
            if let Some(Barred::H6(why)) = &v.barred {
                broken(Broken::Barred { title: v.title.clone(), why: why.clone() });
            }
            if v.bout > limits.longest_bout {
                let (seconds, most) = (v.bout.0, limits.longest_bout.0);
                broken(Broken::Bout { title: v.title.clone(), seconds, most });
            }
        }
        if block.minutes > limits.longest_block {
            broken(Broken::LongBlock { minutes: block.minutes, most: limits.longest_block });
        }
    }
    let mut headers: BTreeMap<u32, (usize, f64)> = BTreeMap::new();
    for (session, (blocks, wish)) in plan.sessions.iter().zip(&problem.sessions).enumerate() {
        let mut aerial = 0;
        for block in blocks {
            let variants = laid(problem, block);
            if variants.iter().any(|v| v.aerial) {
                aerial += block.minutes.0;
            }
            let each = variants.iter().map(|v| v.headers_per_min).fold(0.0, f64::max);
            let week = headers.entry(wish.week).or_insert((session, 0.0));
            week.1 += each * f64::from(block.minutes.0);
            if each > 0.0 {
                week.0 = session;
            }
        }
        let most = limits.aerial_per_session.0;
        if aerial > most {
            let says = Broken::Aerial { minutes: aerial, most, over: aerial - most }.into();
            breaches.push(Breach { rule: Rule::Safety, session, block: None, says });
        }
    }
    for (week, (session, count)) in headers {
        if let Some(most) = limits.headers_per_week.filter(|most| count > f64::from(*most) + 1e-9) {
            let says = Broken::Headers { count: count.round(), week, most }.into();
            breaches.push(Breach { rule: Rule::Safety, session, block: None, says });
        }
    }
}

fn order(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    let mut met: BTreeSet<&str> =
        problem.skills.iter().filter(|s| !s.is_new()).map(|s| s.id.as_str()).collect();
    for (session, (blocks, wish)) in plan.sessions.iter().zip(&problem.sessions).enumerate() {
        let mut broken = |block: usize, broken: Broken| {
            breaches.push(Breach { rule: Rule::Order, session, block: Some(block), says: broken.into() });
        };
        if let Some(cold) =
            blocks.first().map(|b| laid(problem, b)).and_then(|l| l.into_iter().find(|v| !v.warm_up))
        {
            broken(0, Broken::ColdStart { title: cold.title.clone() });
        }
        let (begins, _) = clock(problem, session, blocks);
        for (i, block) in blocks.iter().enumerate() {
            let Some(variant) = problem.variant(&block.variant) else { continue };
            for skill in &variant.skills {
                let name = || problem.name(skill);
                if met.insert(skill) && begins[i] * 2 >= wish.minutes.0 {
                    broken(i, Broken::NewLate { skill: name() });
                }
                let contested = blocks[..i]
                    .iter()
                    .filter_map(|b| problem.variant(&b.variant))
                    .any(|v| v.stage == Stage::Contest && v.skills.contains(skill));
                if contested && variant.stage != Stage::Contest {
                    broken(i, Broken::AfterContest { skill: name() });
                }
            }
            let hard = |b: &Block| laid(problem, b).iter().any(|v| v.intensity == Intensity::Hard);
            if i > 0 && hard(block) && hard(&blocks[i - 1]) {
                broken(i, Broken::HardTwice { title: variant.title.clone() });
            }
        }
    }
}

/// The blocks of a session that no lock holds.
fn unlocked(problem: &Problem, session: usize, blocks: &[Block]) -> Vec<usize> {
    let mut left: Vec<usize> = (0..blocks.len()).collect();
    for lock in problem.locks.iter().filter(|lock| lock.session == session) {
        if let Some(at) = left.iter().position(|at| blocks[*at].is_like(&lock.block)) {
            left.remove(at);
        }
    }
    left
}

/// A variant stands in a session once, and a drill with several blocks takes no more than 40 % of its minutes.
fn sameness(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    for (session, (blocks, wish)) in plan.sessions.iter().zip(&problem.sessions).enumerate() {
        let free = unlocked(problem, session, blocks);
        let mut told: BTreeSet<&str> = BTreeSet::new();
        for at in free.into_iter().rev() {
            let mut broken = |says: Broken| {
                let says = says.into();
                breaches.push(Breach { rule: Rule::Order, session, block: Some(at), says });
            };
            let (block, title) = (&blocks[at], problem.title(&blocks[at].variant).to_owned());
            let twice = |(other, laid): (usize, &Block)| other != at && laid.variant == block.variant;
            if blocks.iter().enumerate().any(twice) && told.insert(block.variant.drill.as_str()) {
                broken(Broken::Twice { title });
                continue;
            }
            let of_drill = blocks.iter().filter(|laid| laid.variant.drill == block.variant.drill);
            let (several, minutes) = (of_drill.clone().count() > 1, of_drill.map(|b| b.minutes.0).sum());
            let most = wish.for_blocks().0 * 2 / 5;
            if several && minutes > most && told.insert(block.variant.drill.as_str()) {
                broken(Broken::OneDrill { title, minutes, most });
            }
        }
    }
}

fn locks(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    let mut left: Vec<Vec<&Block>> = plan.sessions.iter().map(|blocks| blocks.iter().collect()).collect();
    for lock in &problem.locks {
        let Some(blocks) = left.get_mut(lock.session) else { continue };
        if let Some(at) = blocks.iter().position(|block| block.is_like(&lock.block)) {
            blocks.swap_remove(at);
            continue;
        }
        let (title, minutes) = (problem.title(&lock.block.variant).to_owned(), lock.block.minutes);
        let says = Broken::LockGone { title, minutes }.into();
        breaches.push(Breach { rule: Rule::Locks, session: lock.session, block: None, says });
    }
}

fn tests(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    for (session, wish) in problem.sessions.iter().enumerate() {
        for test in &wish.tests {
            for skill in problem.skills.iter().filter(|s| test.skills.contains(&s.id) && s.present.is_none())
            {
                let earlier = plan.sessions[..session].iter().flatten();
                let met =
                    earlier.filter_map(|b| problem.variant(&b.variant)).any(|v| v.skills.contains(&skill.id));
                if !met {
                    let (test, skill) = (test.name.clone(), skill.said());
                    let says = Broken::TestEarly { test, skill }.into();
                    breaches.push(Breach { rule: Rule::Tests, session, block: None, says });
                }
            }
        }
    }
}

/// In which sessions each skill is exposed at each stage, in order, with the first such block of each.
type Exposures<'p> = BTreeMap<(&'p str, Stage), Vec<(usize, usize)>>;

fn shown<'p>(problem: &'p Problem, plan: &Plan) -> Exposures<'p> {
    let mut shown = Exposures::new();
    for (session, blocks) in plan.sessions.iter().enumerate() {
        for (i, block) in blocks.iter().enumerate() {
            if let Some(variant) = problem.variant(&block.variant) {
                for skill in &variant.skills {
                    let exposures: &mut Vec<(usize, usize)> =
                        shown.entry((skill.as_str(), variant.stage)).or_default();
                    if exposures.last().is_none_or(|last| last.0 != session) {
                        exposures.push((session, i));
                    }
                }
            }
        }
    }
    shown
}

fn ladder_and_needs(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    let shown = shown(problem, plan);
    // The session of the last required exposure; `None` if it never comes, `Some(None)` if it came before the start.
    let done = |skill: &str, stage: Stage| -> Option<Option<usize>> {
        let wish = problem.skills.iter().find(|s| s.id == skill)?;
        if wish.has_done(stage) {
            return Some(None);
        }
        let required = problem.approach.exposures[stage.index()] as usize;
        Some(Some(shown.get(&(skill, stage))?.get(required - 1)?.0))
    };
    let late = |skill: &str, stage: Stage, at: usize| match done(skill, stage) {
        Some(None) => false,
        Some(Some(session)) => session >= at,
        None => true,
    };
    for wish in &problem.skills {
        let id = wish.id.as_str();
        for stage in Stage::ALL {
            let Some(&(session, block)) = shown.get(&(id, stage)).and_then(|all| all.first()) else {
                continue;
            };
            let Some(before) = stage.before() else { continue };
            let begun = || shown.get(&(id, before)).and_then(|all| all.first()).map(|first| first.0);
            let skill = wish.said();
            let says = match problem.approach.ladder {
                Ladder::Strict if late(id, before, session) => Broken::Ladder { skill, stage, before },
                Ladder::Overlapping
                    if !wish.has_done(before) && begun().is_none_or(|begun| begun >= session) =>
                {
                    Broken::LadderFirst { skill, stage, before }
                }
                _ => continue,
            };
            breaches.push(Breach { rule: Rule::Ladder, session, block: Some(block), says: says.into() });
        }
        if problem.approach.ladder == Ladder::Open {
            for &(session, block) in shown.get(&(id, Stage::Contest)).into_iter().flatten() {
                let prepared = plan.sessions[session][..block].iter().any(|earlier| {
                    let variant = problem.variant(&earlier.variant);
                    variant.is_some_and(|v| v.skills.contains(&wish.id) && v.stage != Stage::Contest)
                });
                if !prepared && late(id, Stage::Scan, session) {
                    let says = Broken::LadderContest { skill: wish.said() }.into();
                    breaches.push(Breach { rule: Rule::Ladder, session, block: Some(block), says });
                }
            }
        }
        let first = Stage::ALL.iter().filter_map(|s| shown.get(&(id, *s))?.first()).min();
        if let (None, Some(&(session, block))) = (wish.present, first) {
            for need in wish.needs.iter().filter(|n| late(&n.skill, n.stage, session)) {
                let (skill, need, stage) = (wish.said(), problem.name(&need.skill), need.stage);
                breaches.push(Breach {
                    rule: Rule::Needs,
                    session,
                    block: Some(block),
                    says: Broken::Needs { skill, need, stage }.into(),
                });
            }
        }
    }
}

fn newness(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    let mut met: BTreeSet<&str> =
        problem.skills.iter().filter(|s| !s.is_new()).map(|s| s.id.as_str()).collect();
    let mut new: BTreeMap<u32, (usize, u32)> = BTreeMap::new();
    for (session, (blocks, wish)) in plan.sessions.iter().zip(&problem.sessions).enumerate() {
        for variant in blocks.iter().filter_map(|b| problem.variant(&b.variant)) {
            for skill in &variant.skills {
                if met.insert(skill) {
                    let week = new.entry(wish.week).or_default();
                    *week = (session, week.1 + 1);
                }
            }
        }
    }
    for (week, (session, count)) in new {
        let most = problem.new_skills_per_week;
        if count > most {
            breaches.push(Breach {
                rule: Rule::Newness,
                session,
                block: None,
                says: Broken::Newness { count, week, most, over: count - most }.into(),
            });
        }
    }
}
