//! Scores a plan: lower is better.
//!
//! The parts scored so far, with their points:
//!
//! | part | points |
//! |---|---|
//! | S1 goals | 10 per missing exposure of a stage on the way to a skill's goal |
//! | S2 strands | 1 per percentage point of Σ \|share − target\| ÷ 2, over all minutes of the plan |
//! | S3 rhythm | 1 per day over 7 that a skill under way rests between two exposures |
//! | S8 idle | 0.5 per unused minute of a session |
//! | S10 changes | 0.3 per layout change |

use jiff::civil::Date;
use serde::Serialize;

use super::{Plan, Problem};
use crate::skill::{Stage, Strand};

/// A skill under way that rests longer than this many days begins to be forgotten (S3).
pub const RHYTHM_DAYS: i32 = 7;

/// One part of a score.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Part {
    /// The part: `S1`, `S2`, `S3`, `S8`, `S10`.
    pub part: &'static str,
    /// Its points.
    pub points: f64,
    /// Where they come from, in words.
    pub from: Vec<String>,
}

/// How good a plan is.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Score {
    /// All parts together.
    pub total: f64,
    /// Each on its own.
    pub parts: Vec<Part>,
}

/// The score of a plan. Blocks of unknown variants count for nothing.
pub fn score(problem: &Problem, plan: &Plan) -> Score {
    let parts = vec![
        goals(problem, plan),
        strands(problem, plan),
        rhythm(problem, plan),
        idle(problem, plan),
        changes(problem, plan),
    ];
    Score { total: parts.iter().map(|p| p.points).sum(), parts }
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

fn goals(problem: &Problem, plan: &Plan) -> Part {
    let mut part = Part { part: "S1", points: 0.0, from: Vec::new() };
    for (skill, missing) in problem.skills.iter().zip(missing(problem, plan)) {
        for (stage, n) in Stage::ALL.into_iter().zip(missing).filter(|(_, n)| *n > 0) {
            part.points += 10.0 * f64::from(n);
            part.from.push(format!("{}: {n} × {stage} missing", skill.name));
        }
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
    for variant in plan.sessions.iter().flatten().filter_map(|b| problem.variant(&b.variant)) {
        for skill in variant.skills.iter().filter_map(|s| problem.skill_index(s)) {
            let left = &mut missing[skill][variant.stage.index()];
            *left = left.saturating_sub(1);
        }
    }
    missing
}

fn strands(problem: &Problem, plan: &Plan) -> Part {
    let minutes = minutes_by_strand(problem, plan);
    let all: f64 = minutes.iter().sum();
    let mut part = Part { part: "S2", points: 0.0, from: Vec::new() };
    for strand in Strand::ALL {
        let target = problem.shares.get(&strand).copied().unwrap_or_default().percent();
        let share = if all > 0.0 { 100.0 * minutes[strand.index()] / all } else { 0.0 };
        part.points += (share - target).abs() / 2.0;
        part.from.push(format!("{strand}: {share:.0} % of {target:.0} %"));
    }
    part
}

fn rhythm(problem: &Problem, plan: &Plan) -> Part {
    let mut part = Part { part: "S3", points: 0.0, from: Vec::new() };
    for skill in &problem.skills {
        let mut last: Option<Date> = None;
        let mut missing: [u32; 4] = [0; 4];
        for stage in skill.way() {
            missing[stage.index()] = problem.approach.needed(stage);
        }
        for (blocks, wish) in plan.sessions.iter().zip(&problem.sessions) {
            let shown: Vec<_> = blocks
                .iter()
                .filter_map(|b| problem.variant(&b.variant))
                .filter(|v| v.skills.contains(&skill.id))
                .collect();
            if shown.is_empty() {
                continue;
            }
            let rested = last.map_or(0, |before| (wish.date - before).get_days());
            if rested > RHYTHM_DAYS {
                part.points += f64::from(rested - RHYTHM_DAYS);
                part.from.push(format!("{}: {rested} days before {}", skill.name, super::spoken(wish.date)));
            }
            for variant in shown {
                let left = &mut missing[variant.stage.index()];
                *left = left.saturating_sub(1);
            }
            last = missing.iter().any(|left| *left > 0).then_some(wish.date);
        }
    }
    part
}

fn idle(problem: &Problem, plan: &Plan) -> Part {
    let mut part = Part { part: "S8", points: 0.0, from: Vec::new() };
    for (blocks, wish) in plan.sessions.iter().zip(&problem.sessions) {
        let unused = wish.minutes.0.saturating_sub(used(problem, blocks).0);
        if unused > 0 {
            part.points += 0.5 * f64::from(unused);
            part.from.push(format!("{}: {unused} min", super::spoken(wish.date)));
        }
    }
    part
}

fn changes(problem: &Problem, plan: &Plan) -> Part {
    let changes: u32 = plan.sessions.iter().map(|blocks| used(problem, blocks).1).sum();
    Part {
        part: "S10",
        points: 0.3 * f64::from(changes),
        from: vec![format!("{changes} layout changes in {} sessions", plan.sessions.len())],
    }
}

/// Minutes with layout changes, and the number of changes.
fn used(problem: &Problem, blocks: &[super::Block]) -> (u32, u32) {
    let mut before = None;
    let (mut minutes, mut changes) = (0, 0);
    for block in blocks {
        if let Some(variant) = problem.variant(&block.variant) {
            let change = problem.change(before, variant);
            changes += u32::from(before.is_some_and(|b: &super::Variant| b.drill != variant.drill));
            minutes += change.0 + block.minutes.0;
            before = Some(variant);
        }
    }
    (minutes, changes)
}
