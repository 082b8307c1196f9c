//! Checks a plan against the hard rules.
//!
//! Written from the rules alone: it shares no code with the planner, so that each may catch the other.

use std::collections::{BTreeMap, BTreeSet};

use serde::Serialize;

use super::{Plan, Problem};
use crate::skill::Stage;

/// A rule that a plan breaks, where, and what would mend it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Breach {
    /// The rule: `form`, `H1` to `H4`.
    pub rule: &'static str,
    /// The session, from 0.
    pub session: usize,
    /// The block in it, from 0, if it is one block's fault.
    pub block: Option<usize>,
    /// What is wrong and what would mend it.
    pub says: String,
}

/// Every breach of a plan; an empty list means that the plan is legal.
pub fn check(problem: &Problem, plan: &Plan) -> Vec<Breach> {
    let mut breaches = form(problem, plan);
    if breaches.is_empty() {
        time(problem, plan, &mut breaches);
        ladder_and_needs(problem, plan, &mut breaches);
        newness(problem, plan, &mut breaches);
    }
    breaches
}

/// The plan has the problem's sessions, known variants, and minutes in their ranges.
fn form(problem: &Problem, plan: &Plan) -> Vec<Breach> {
    let mut breaches = Vec::new();
    let (wanted, laid) = (problem.sessions.len(), plan.sessions.len());
    if wanted != laid {
        breaches.push(Breach {
            rule: "form",
            session: wanted.min(laid),
            block: None,
            says: format!("the plan has {laid} sessions and the curriculum {wanted}: lay the same number"),
        });
    }
    for (session, blocks) in plan.sessions.iter().enumerate() {
        for (i, block) in blocks.iter().enumerate() {
            let says = match problem.variant(&block.variant) {
                None => format!("no variant is called `{}`: choose one of the problem's", block.variant),
                Some(v) if block.minutes < v.least || block.minutes > v.most => {
                    format!("`{}` lasts {} to {}: it has {}", v.id, v.least, v.most, block.minutes)
                }
                Some(_) => continue,
            };
            breaches.push(Breach { rule: "form", session, block: Some(i), says });
        }
    }
    breaches
}

fn time(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    for (session, (blocks, wish)) in plan.sessions.iter().zip(&problem.sessions).enumerate() {
        let mut used = 0;
        let mut before: Option<&str> = None;
        for block in blocks {
            let Some(variant) = problem.variant(&block.variant) else { continue };
            if before.is_some_and(|drill| drill != variant.drill) {
                used += variant.laying_out.0;
            }
            used += block.minutes.0;
            before = Some(&variant.drill);
        }
        if used > wish.minutes.0 {
            let over = used - wish.minutes.0;
            breaches.push(Breach {
                rule: "H1",
                session,
                block: None,
                says: format!(
                    "{used} min with layout changes in a session of {}: take {over} min out",
                    wish.minutes
                ),
            });
        }
    }
}

/// In which sessions each skill is exposed at each stage, in order, with the block.
type Shown<'p> = BTreeMap<(&'p str, Stage), Vec<(usize, usize)>>;

fn shown<'p>(problem: &'p Problem, plan: &Plan) -> Shown<'p> {
    let mut shown = Shown::new();
    for (session, blocks) in plan.sessions.iter().enumerate() {
        for (i, block) in blocks.iter().enumerate() {
            if let Some(variant) = problem.variant(&block.variant) {
                for skill in &variant.skills {
                    shown.entry((skill.as_str(), variant.stage)).or_default().push((session, i));
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
            if let Some(before) = stage.before().filter(|before| late(id, *before, session)) {
                breaches.push(Breach {
                    rule: "H3",
                    session,
                    block: Some(block),
                    says: format!("“{}” comes to {stage} before {before} is done: show {before} more often in earlier sessions, or move this later", wish.name),
                });
            }
        }
        let first = Stage::ALL.iter().filter_map(|s| shown.get(&(id, *s))?.first()).min();
        if let (None, Some(&(session, block))) = (wish.present, first) {
            for need in wish.needs.iter().filter(|n| late(&n.skill, n.stage, session)) {
                let needed =
                    problem.skills.iter().find(|s| s.id == need.skill).map_or(&need.skill, |s| &s.name);
                breaches.push(Breach {
                    rule: "H2",
                    session,
                    block: Some(block),
                    says: format!(
                        "“{}” needs “{needed}” at {} first: move it to a later session",
                        wish.name, need.stage
                    ),
                });
            }
        }
    }
}

fn newness(problem: &Problem, plan: &Plan, breaches: &mut Vec<Breach>) {
    let mut met: BTreeSet<&str> =
        problem.skills.iter().filter(|s| s.present.is_some()).map(|s| s.id.as_str()).collect();
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
                rule: "H4",
                session,
                block: None,
                says: format!(
                    "{count} new skills in week {week}, at most {most}: move {} to another week",
                    count - most
                ),
            });
        }
    }
}
