//! How far is the planner from the best plan that is known: with *Solve*, and while it keeps improving in the
//! background? And how much does it move when it replans after an edit? Prints a table for seeded examples of three
//! sizes.
//!
//! `cargo run --release -p jogo-core --example planner_gap -- [RUNS] [STEPS]`: the best known is the best of this many
//! runs (default 8) of this many steps each (default 6,000,000), and of all runs that the planner is measured with.
//! It takes minutes and is meant for development alone.
#![allow(clippy::unwrap_used, reason = "a measurement may stop here")]

use std::time::Instant;

use jogo_core::plan::problem::example::{ExampleSize, example};
use jogo_core::plan::search::solve::{STEPS_NEAR, usual_steps};
use jogo_core::plan::{Plan, Problem, check, improve, left_their_session, score, solve, solve_near};

const SIZES: [ExampleSize; 3] = [
    ExampleSize { weeks: 4, sessions: 2, skills: 10, variants: 50 },
    ExampleSize { weeks: 8, sessions: 2, skills: 24, variants: 120 },
    ExampleSize { weeks: 12, sessions: 3, skills: 40, variants: 200 },
];

fn main() {
    let mut wanted = std::env::args().skip(1).map(|number| number.parse::<u64>().unwrap());
    let (runs, long) = (wanted.next().unwrap_or(8), wanted.next().unwrap_or(6_000_000));
    println!(
        "| weeks × sessions | skills | variants | seed | first | ms | planner | s | improved | s | all rounds | s | best known | gap | improved | all rounds | moved | ms |"
    );
    println!("|---|---|---|---|---|---|---|---|---|---|---|---|---|---|---|---|---|---|");
    for size in SIZES {
        for seed in 1..=5 {
            let problem = example(size, seed);
            let begun = Instant::now();
            let first = solve(&problem, 1, 0).unwrap();
            let first_ms = begun.elapsed().as_secs_f64() * 1e3;
            let begun = Instant::now();
            let planned = solve(&problem, 1, usual_steps(&problem)).unwrap();
            let seconds = begun.elapsed().as_secs_f64();
            assert!(check(&problem, &planned.plan).is_empty() && check(&problem, &first.plan).is_empty());
            let (improved, improved_s) = rounds(&problem, &planned.plan, 0..2);
            let (all, all_s) = rounds(&problem, &improved, 2..4);
            let points = |plan: &Plan| score(&problem, plan).total;
            let best = (0..runs)
                .map(|run| solve(&problem, 100 + run, long).unwrap().score.total)
                .fold(points(&all), f64::min);
            let (moved, replan_ms) = after_an_edit(&problem, &planned.plan);
            println!(
                "| {} × {} | {} | {} | {seed} | {:.1} | {first_ms:.1} | {:.1} | {seconds:.2} | {:.1} | {improved_s:.1} | {:.1} | {:.1} | {best:.1} | {:.1} % | {:.1} % | {:.1} % | {moved:.1} % | {replan_ms:.0} |",
                size.weeks,
                size.sessions,
                size.skills,
                size.variants,
                first.score.total,
                planned.score.total,
                points(&improved),
                points(&all),
                improved_s + all_s,
                100.0 * (planned.score.total / best - 1.0),
                100.0 * (points(&improved) / best - 1.0),
                100.0 * (points(&all) / best - 1.0),
            );
        }
    }
}

/// Improves a plan as it is done in the background, by some of its rounds: each is twice as long as the one before.
/// Says how many seconds that took.
fn rounds(problem: &Problem, plan: &Plan, rounds: std::ops::Range<u32>) -> (Plan, f64) {
    let begun = Instant::now();
    let better = rounds.fold(plan.clone(), |plan, round| {
        let steps = usual_steps(problem) << (round + 1);
        improve(problem, &plan, u64::from(round) + 1, steps).map_or(plan, |found| found.plan)
    });
    (better, begun.elapsed().as_secs_f64())
}

/// Takes the first block out of the session in the middle and replans: percent of the other blocks that left their
/// session, and milliseconds.
fn after_an_edit(problem: &Problem, plan: &Plan) -> (f64, f64) {
    let mut edited = plan.clone();
    let middle = edited.sessions.len() / 2;
    edited.sessions[middle].remove(0);
    let begun = Instant::now();
    let replanned = solve_near(problem, &edited, 1, STEPS_NEAR).unwrap().plan;
    let ms = begun.elapsed().as_secs_f64() * 1e3;
    let left = left_their_session(&edited, &replanned);
    (100.0 * left as f64 / edited.sessions.iter().flatten().count() as f64, ms)
}
