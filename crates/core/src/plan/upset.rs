//! Upsets: how does a team go on when a session is cancelled or cut short?
//!
//! What still fits into the minutes that are left stays; what only keeps is dropped before what is on the way to a
//! goal. For the rest there are three remedies: *shift* moves everything later by one session, and what does not fit
//! into the last falls off; *squeeze* replans the coming sessions, near what they had, so that what is needed
//! finds a place and keeping gives way; *skip* leaves it out.

use std::collections::BTreeSet;

use serde::{Deserialize, Serialize};

use super::{Block, Breach, Plan, Problem, Stitch, check, left_their_session, score, solve_rest, stitches};
use crate::fact::{Fact, Value, facts};
use crate::ids::{SkillId, TestId};
use crate::plan::search::solve::STEPS_NEAR;
use crate::technique::skill::Stage;
use crate::units::Minutes;

/// A remedy to go on.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Remedy {
    /// Everything later moves by one session.
    Shift,
    /// What is needed is placed into the coming sessions.
    Squeeze,
    /// What was cancelled is left out.
    Skip,
}

impl Remedy {
    /// All of them.
    pub const ALL: [Remedy; 3] = [Remedy::Shift, Remedy::Squeeze, Remedy::Skip];
}

/// A remedy to go on, and what comes of it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct GoingOn {
    /// Which remedy.
    pub remedy: Remedy,
    /// The plan; what was before the session is unchanged.
    pub plan: Plan,
    /// Points of the whole, the less the better.
    pub score: f64,
    /// Blocks that have left their session.
    pub moved: usize,
    /// Exposures that the goals then miss and did not before, by skill.
    pub short: Vec<Fact>,
    /// Rules that the rest of the plan then breaks.
    pub breaches: Vec<Breach>,
    /// Tests of the session that no longer fit into it, and where they go.
    pub tests: Vec<MovedTest>,
}

/// A test that has no room in its session any more.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct MovedTest {
    /// Which test.
    pub test: TestId,
    /// In which session it stood.
    pub from: usize,
    /// To which it goes; `None` if no later one has room for it.
    pub to: Option<usize>,
}

/// The remedies to go on when a session has only some minutes left; with none, it is cancelled altogether. `run` is the
/// plan as it was really run: without the blocks that were left out in the sessions before. What is locked may move,
/// for a lock is a wish for the season as it was planned.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Remedy, solve, remedies};
/// use jogo_core::units::Minutes;
///
/// let problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 6, variants: 24 }, 1);
/// let plan = solve(&problem, 1, 2_000).unwrap().plan;
/// let [shift, squeeze, skip] = &remedies(&problem, &plan, &plan, 3, Minutes(0))[..] else { panic!() };
/// assert_eq!(shift.plan.sessions[3], []);
/// assert_eq!(shift.plan.sessions[4][0].variant, plan.sessions[3][0].variant);
/// assert_eq!(skip.plan.sessions[4..], plan.sessions[4..]);
/// assert!(squeeze.breaches.len() <= skip.breaches.len());
/// ```
pub fn remedies(problem: &Problem, plan: &Plan, run: &Plan, session: usize, left: Minutes) -> Vec<GoingOn> {
    let Some(upset) = with_minutes(problem, session, left) else { return Vec::new() };
    let intended = joined(run, plan, session);
    let needed = needed(problem, &intended);
    // A later session may have to take a test of this one: what has no room beside it is lost there.
    let (skip, lost) =
        (session..intended.sessions.len()).fold((intended.clone(), Vec::new()), |(plan, mut lost), at| {
            let (cut, more) = cut_short(&upset, &plan, at, &needed);
            lost.extend(more);
            (cut, lost)
        });
    Remedy::ALL
        .into_iter()
        .map(|remedy| {
            let next = match remedy {
                Remedy::Skip => skip.clone(),
                Remedy::Shift => shifted(&upset, &skip, session, lost.clone(), &needed),
                // A plan that lost nothing needs no mending.
                Remedy::Squeeze if lost.is_empty() => skip.clone(),
                Remedy::Squeeze => solve_rest(&upset, &skip, session + 1, 1, STEPS_NEAR),
            };
            let mut breaches = check(&upset, &next);
            breaches.retain(|breach| breach.session >= session);
            GoingOn {
                remedy,
                score: score(&upset, &next).total,
                moved: left_their_session(&intended, &next),
                short: fallen_short(problem, &intended, &next),
                breaches,
                plan: joined(plan, &next, session),
                tests: Vec::new(),
            }
        })
        .collect()
}

/// A plan whose sessions have what fits into them: of those that have too much, what only keeps is left out first.
pub fn fitting(problem: &Problem, plan: &Plan) -> Plan {
    let needed = needed(problem, plan);
    (0..plan.sessions.len()).fold(plan.clone(), |plan, session| cut_short(problem, &plan, session, &needed).0)
}

/// A plan without what does not fit into one of its sessions, and that.
fn cut_short(
    problem: &Problem,
    plan: &Plan,
    session: usize,
    needed: &BTreeSet<(usize, usize)>,
) -> (Plan, Vec<Block>) {
    let there = problem.sessions.get(session).map_or(Minutes(0), super::SessionWish::for_blocks);
    let stays = |at| at == 0 || needed.contains(&(session, at));
    let (kept, lost) = fitted(problem, &plan.sessions[session], &stays, there);
    let mut cut = plan.clone();
    cut.sessions[session] = kept;
    (cut, lost)
}

/// The problem with other minutes for a session, and nothing locked; `None` if it has no such session.
fn with_minutes(problem: &Problem, session: usize, left: Minutes) -> Option<Problem> {
    let mut upset = Problem { locks: Vec::new(), ..problem.clone() };
    upset.sessions.get_mut(session)?.shorten(left);
    Some(upset)
}

/// One plan up to a session, and another from there.
fn joined(before: &Plan, after: &Plan, session: usize) -> Plan {
    let first = before.sessions.iter().take(session);
    Plan { sessions: first.chain(after.sessions.iter().skip(session)).cloned().collect() }
}

/// The blocks that are on the way to a goal, by session and place.
fn needed(problem: &Problem, plan: &Plan) -> BTreeSet<(usize, usize)> {
    let stitches = stitches(problem, plan).into_iter();
    let counts = |skill: &str, stage: Stage, nth: u32, of: u32| {
        let wish = problem.skills.iter().find(|wish| wish.id == skill);
        nth <= of && wish.is_some_and(|wish| wish.way().any(|on_way| on_way == stage))
    };
    stitches
        .filter(|s| !s.again && counts(&s.skill, s.stage, s.nth, s.of))
        .map(|s| (s.session, s.block))
        .collect()
}

/// The way that breaks fewest rules, and of those the one with the best score.
pub fn advised(found: &[GoingOn]) -> Option<Remedy> {
    let best = found
        .iter()
        .min_by(|a, b| a.breaches.len().cmp(&b.breaches.len()).then_with(|| a.score.total_cmp(&b.score)));
    best.map(|going_on| going_on.remedy)
}

facts! {
    /// Exposures that a skill misses, by stage.
    pub enum FallenShort {
        Skill = "short-of-skill" { skill: Value, exposures: Vec<StageShort> },
    }

    /// How many exposures of a stage are missing.
    pub enum StageShort {
        Stage = "short-of-stage" { count: u32, stage: Stage },
    }
}

/// Exposures that the goals miss in a plan and did not in another one, by skill.
pub fn fallen_short(problem: &Problem, before: &Plan, after: &Plan) -> Vec<Fact> {
    let (before, after) = (missing(problem, before), missing(problem, after));
    let short = |wish: &super::SkillWish| {
        let of_skill = before.iter().zip(&after).filter(|((id, ..), _)| *id == wish.id);
        let more = of_skill.filter_map(|((.., before), (_, stage, after))| {
            let more = after.saturating_sub(*before);
            (more > 0).then_some(StageShort::Stage { count: more, stage: *stage })
        });
        let exposures: Vec<StageShort> = more.collect();
        (!exposures.is_empty()).then(|| FallenShort::Skill { skill: wish.said(), exposures })
    };
    problem.skills.iter().filter_map(short).map(Fact::from).collect()
}

/// How many exposures the goals miss, by skill and stage.
fn missing(problem: &Problem, plan: &Plan) -> Vec<(SkillId, Stage, u32)> {
    let stitches = stitches(problem, plan);
    let of = |skill: &super::SkillWish, stage: Stage| {
        let counts = |s: &&Stitch| s.skill == skill.id && s.stage == stage && !s.again;
        let seen = stitches.iter().filter(counts).count() as u32;
        (skill.id.clone(), stage, problem.approach.needed(stage).saturating_sub(seen))
    };
    problem.skills.iter().flat_map(|skill| skill.way().map(move |stage| of(skill, stage))).collect()
}

/// What of some blocks fits into this many minutes, shortened where it must be, and what does not. What is needed stays
/// longest; of two alike the earlier.
fn fitted(
    problem: &Problem,
    blocks: &[Block],
    needed: &dyn Fn(usize) -> bool,
    minutes: Minutes,
) -> (Vec<Block>, Vec<Block>) {
    let least = |block: &Block| problem.variant(&block.variant).map_or(block.minutes, |v| v.least);
    let used = |kept: &[usize], length: &dyn Fn(&Block) -> Minutes| -> u32 {
        let mut before = None;
        let mut sum = 0;
        for block in kept.iter().map(|at| &blocks[*at]) {
            sum += problem.change(before, block).0 + length(block).0;
            before = Some(block);
        }
        sum
    };
    let mut kept: Vec<usize> = (0..blocks.len()).collect();
    while used(&kept, &|block| least(block).min(block.minutes)) > minutes.0 {
        let Some(out) = (0..kept.len()).rev().min_by_key(|at| needed(kept[*at])) else { break };
        kept.remove(out);
    }
    let mut over = used(&kept, &|block| block.minutes).saturating_sub(minutes.0);
    let mut stays: Vec<Block> = kept.iter().map(|at| blocks[*at].clone()).collect();
    for block in stays.iter_mut().rev() {
        let by = over.min(block.minutes.0.saturating_sub(least(block).0));
        block.minutes = Minutes(block.minutes.0 - by);
        over -= by;
    }
    let lost = (0..blocks.len()).filter(|at| !kept.contains(at)).map(|at| blocks[at].clone()).collect();
    (stays, lost)
}

/// Everything after a session moves by one: what was lost comes first, and what a session has no room for goes on.
fn shifted(
    problem: &Problem,
    plan: &Plan,
    session: usize,
    lost: Vec<Block>,
    needed: &BTreeSet<(usize, usize)>,
) -> Plan {
    let mut next = plan.clone();
    let mut coming = (session, lost);
    if coming.1.is_empty() {
        return next;
    }
    for at in session + 1..plan.sessions.len() {
        let there = problem.sessions.get(at).map_or(Minutes(0), super::SessionWish::for_blocks);
        let is_needed = |block: usize| block == 0 || needed.contains(&(coming.0, block));
        let (fits, _) = fitted(problem, &coming.1, &is_needed, there);
        coming = (at, std::mem::replace(&mut next.sessions[at], fits));
    }
    next
}
