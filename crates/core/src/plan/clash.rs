//! Clashes: which wishes cannot hold together?
//!
//! A wish is called impossible only where a bound proves it, for any planner:
//!
//! - a session shorter than the shortest block;
//! - a share of a strand that no drill serves, or a stage on the way to a goal that no drill reaches;
//! - goals whose longest chain of stages and needs asks for more sessions than there are (H2, H3);
//! - goals with more new skills than the weeks take (H4);
//! - goals whose exposures need more minutes than there are (H1), each exposure counted at the least minutes of the
//!   cheapest variant, shared by all the skills which that variant serves.
//!
//! Of goals that clash, a smallest set is named: take any one of them away, and the bound holds no more. Goals that no
//! bound forbids may still stay short of their end in a plan; that is part S1 of its score.

use std::collections::BTreeMap;

use serde::Serialize;

use super::{Problem, SkillWish};
use crate::skill::{Stage, Strand};

/// Wishes that cannot hold together.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Clash {
    /// What clashes, and why, in one sentence.
    pub says: String,
    /// What to relax, any one of them.
    pub relax: Vec<String>,
    /// The skills whose goals clash, if goals do.
    pub goals: Vec<String>,
    /// The session that is too short, from 0, if one is.
    pub session: Option<usize>,
    /// The strand whose share cannot be served, if one is.
    pub strand: Option<Strand>,
}

/// The first clash among the wishes of a problem, or nothing if no bound forbids them.
pub fn clash(problem: &Problem) -> Option<Clash> {
    short_session(problem)
        .or_else(|| unserved_strand(problem))
        .or_else(|| unserved_stage(problem))
        .or_else(|| goals(problem))
}

fn plain(says: String, relax: Vec<String>) -> Clash {
    Clash { says, relax, goals: Vec::new(), session: None, strand: None }
}

fn short_session(problem: &Problem) -> Option<Clash> {
    let least = problem.variants.iter().map(|v| v.least).min()?;
    let (session, wish) = problem.sessions.iter().enumerate().find(|(_, s)| s.minutes < least)?;
    let says = format!(
        "Session {} on {} has {}, and the shortest drill of this curriculum needs {least}.",
        session + 1,
        super::spoken(wish.date),
        wish.minutes
    );
    let relax = vec![format!("Give the session at least {least}"), "take that evening out".into()];
    Some(Clash { session: Some(session), ..plain(says, relax) })
}

fn unserved_strand(problem: &Problem) -> Option<Clash> {
    let serves = |strand: &Strand| {
        problem.variants.iter().any(|v| v.strands.get(strand).is_some_and(|share| share.0 > 0.0))
    };
    let (strand, share) = problem.shares.iter().find(|(strand, share)| share.0 > 0.0 && !serves(strand))?;
    let says = format!(
        "{:.0} % of the time is wished for {strand}, and no drill for these goals that fits this hall, kit and squad has any.",
        share.percent()
    );
    let relax = vec![format!("Set the share of {strand} to 0 %"), format!("add a goal in {strand}")];
    Some(Clash { strand: Some(*strand), ..plain(says, relax) })
}

fn unserved_stage(problem: &Problem) -> Option<Clash> {
    problem.skills.iter().find_map(|skill| {
        let stage = skill.way().find(|stage| cheapest(problem, &skill.id, *stage).is_none())?;
        let says = format!(
            "“{}” is to come to {}, and no drill that fits this hall, kit and squad serves it at {stage}.",
            skill.name, skill.goal
        );
        let mut relax =
            vec!["Plan for a larger floor or more markers".to_owned(), "take the goal out".to_owned()];
        if let Some(before) = stage.before().filter(|b| !skill.has_done(*b)) {
            relax.insert(0, format!("Set the goal to {before}"));
        }
        Some(Clash { goals: vec![skill.id.clone()], ..plain(says, relax) })
    })
}

/// What a set of goals asks for at least, against what there is.
struct Bound {
    asked: f64,
    there: f64,
    kind: Kind,
}

enum Kind {
    Chain,
    Newness,
    Minutes,
}

fn goals(problem: &Problem) -> Option<Clash> {
    let all: Vec<usize> = (0..problem.skills.len()).collect();
    broken(problem, &all)?;
    let mut set = all;
    // Deletion filter: what can go without lifting the bound is not part of the clash.
    for goal in set.clone() {
        let without: Vec<usize> = set.iter().copied().filter(|g| *g != goal).collect();
        if broken(problem, &without).is_some() {
            set = without;
        }
    }
    let bound = broken(problem, &set)?;
    let named: Vec<String> =
        set.iter().map(|i| &problem.skills[*i]).map(|s| format!("“{}” to {}", s.name, s.goal)).collect();
    let (named, weeks) = (sentence_list(&named), weeks(problem));
    let (asked, there) = (bound.asked.ceil(), bound.there);
    let (says, relax) = match bound.kind {
        Kind::Chain => (
            format!(
                "{named}: with everything that must come before, that takes at least {asked} sessions one after the other, and there are {there}."
            ),
            vec![
                "Lower the goal by a stage".to_owned(),
                "add weeks".to_owned(),
                "say that the squad has come further already".to_owned(),
            ],
        ),
        Kind::Newness => (
            format!(
                "{named}: together that is {asked} skills met for the first time, and {weeks} weeks at {} new skills a week take {there}.",
                problem.new_skills_per_week
            ),
            vec!["Take one of them out".to_owned(), "add a week".to_owned()],
        ),
        Kind::Minutes => (
            format!("{named}: together they need at least {asked} min, and all sessions have {there} min."),
            vec![
                format!("Give the sessions {} min more altogether", (asked - there).max(1.0)),
                "lower one of the goals".to_owned(),
            ],
        ),
    };
    let goals = set.iter().map(|i| problem.skills[*i].id.clone()).collect();
    Some(Clash { goals, ..plain(says, relax) })
}

/// Whether a bound forbids some of a problem's goals, taken on their own with all that they need.
pub fn among(problem: &Problem, goals: &[String]) -> bool {
    let goals: Vec<usize> = goals.iter().filter_map(|id| problem.skill_index(id)).collect();
    broken(problem, &goals).is_some()
}

/// The first bound that a set of goals breaks.
fn broken(problem: &Problem, goals: &[usize]) -> Option<Bound> {
    let asked = closure(problem, goals);
    let longest = problem.sessions.iter().map(|s| s.minutes.0).max().unwrap_or(0);
    let chain =
        asked.iter().map(|(skill, stage)| finish(problem, *skill, *stage, longest, 0)).max().unwrap_or(0);
    let new = asked.keys().filter(|s| problem.skills[**s].present.is_none()).count();
    let room = weeks(problem) * problem.new_skills_per_week as usize;
    let minutes: f64 = asked
        .iter()
        .flat_map(|(skill, goal)| {
            problem.skills[*skill].way().filter(move |s| s <= goal).map(move |s| (*skill, s))
        })
        .filter_map(|(skill, stage)| {
            let each = cheapest(problem, &problem.skills[skill].id, stage)?;
            Some(each.shared * f64::from(problem.approach.needed(stage)))
        })
        .sum();
    let there: u32 = problem.sessions.iter().map(|s| s.minutes.0).sum();
    [
        Bound { asked: chain as f64, there: problem.sessions.len() as f64, kind: Kind::Chain },
        Bound { asked: new as f64, there: room as f64, kind: Kind::Newness },
        Bound { asked: minutes, there: f64::from(there), kind: Kind::Minutes },
    ]
    .into_iter()
    .find(|bound| bound.asked > bound.there + 1e-9)
}

fn weeks(problem: &Problem) -> usize {
    problem.sessions.iter().map(|s| s.week).collect::<std::collections::BTreeSet<_>>().len()
}

/// The skills that a set of goals asks for, needs included, each with the furthest stage asked.
fn closure(problem: &Problem, goals: &[usize]) -> BTreeMap<usize, Stage> {
    let mut asked: BTreeMap<usize, Stage> = BTreeMap::new();
    let mut open: Vec<(usize, Stage)> = goals.iter().map(|g| (*g, problem.skills[*g].goal)).collect();
    while let Some((skill, stage)) = open.pop() {
        if asked.get(&skill).is_some_and(|known| *known >= stage) {
            continue;
        }
        asked.insert(skill, stage);
        open.extend(needs(problem, &problem.skills[skill]));
    }
    asked
}

fn needs<'p>(problem: &'p Problem, skill: &'p SkillWish) -> impl Iterator<Item = (usize, Stage)> + 'p {
    let unmet = skill.present.is_none();
    skill
        .needs
        .iter()
        .filter(move |_| unmet)
        .filter_map(|need| Some((problem.skill_index(&need.skill)?, need.stage)))
        .filter(|(needed, stage)| !problem.skills[*needed].has_done(*stage))
}

/// How many sessions have passed at least when a skill has had its exposures at a stage.
fn finish(problem: &Problem, skill: usize, stage: Stage, longest: u32, depth: usize) -> usize {
    let wish = &problem.skills[skill];
    if wish.has_done(stage) {
        return 0;
    }
    if depth > problem.skills.len() {
        return usize::MAX / 2; // Needs that lead in a circle are never met.
    }
    let start =
        needs(problem, wish).map(|(s, at)| finish(problem, s, at, longest, depth + 1)).max().unwrap_or(0);
    wish.way().filter(|s| *s <= stage).fold(start, |so_far, s| {
        let least = cheapest(problem, &wish.id, s).map_or(0, |c| c.least);
        let minutes = problem.approach.needed(s) * least;
        so_far.saturating_add(minutes.div_ceil(longest.max(1)).max(1) as usize)
    })
}

/// The cheapest exposure of a skill at a stage.
struct Cheapest {
    /// Least minutes of a block.
    least: u32,
    /// Least minutes, shared by the skills which that variant serves.
    shared: f64,
}

fn cheapest(problem: &Problem, skill: &str, stage: Stage) -> Option<Cheapest> {
    problem
        .variants
        .iter()
        .filter(|v| v.stage == stage && v.skills.iter().any(|s| s == skill))
        .map(|v| Cheapest { least: v.least.0, shared: f64::from(v.least.0) / v.skills.len() as f64 })
        .reduce(|a, b| Cheapest { least: a.least.min(b.least), shared: a.shared.min(b.shared) })
}

fn sentence_list(names: &[String]) -> String {
    match names {
        [] => String::new(),
        [one] => one.clone(),
        [first @ .., last] => format!("{} and {last}", first.join(", ")),
    }
}
