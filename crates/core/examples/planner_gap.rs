//! How far is the planner from the best plan that is known, and how much does it move when it replans after an edit?
//! Prints a table for seeded examples of three sizes.
//!
//! `cargo run --release -p jogo-core --example planner_gap -- [RUNS] [STEPS]`: the best known is the best of this many
//! runs (default 8) of this many steps each (default 6,000,000), and of all runs that the planner is measured with.
//! It takes minutes and is meant for development alone.
#![allow(clippy::unwrap_used, reason = "a measurement may stop here")]

use std::time::Instant;

use jogo_core::plan::problem::example::{ExampleSize, example};
use jogo_core::plan::search::solve::{STEPS_NEAR, usual_steps};
use jogo_core::plan::{Plan, Problem, check, left_their_session, solve, solve_near};

const SIZES: [ExampleSize; 3] = [
    ExampleSize { weeks: 4, sessions: 2, skills: 10, variants: 50 },
    ExampleSize { weeks: 8, sessions: 2, skills: 24, variants: 120 },
    ExampleSize { weeks: 12, sessions: 3, skills: 40, variants: 200 },
];

fn main() {
    let mut wanted = std::env::args().skip(1).map(|number| number.parse::<u64>().unwrap());
    let (runs, long) = (wanted.next().unwrap_or(8), wanted.next().unwrap_or(6_000_000));
    println!(
        "| weeks × sessions | skills | variants | seed | first | ms | planner | s | best known | gap | moved | ms |"
    );
    println!("|---|---|---|---|---|---|---|---|---|---|---|---|");
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
            let best = (0..runs)
                .map(|run| solve(&problem, 100 + run, long).unwrap().score.total)
                .fold(planned.score.total, f64::min);
            let (moved, replan_ms) = after_an_edit(&problem, &planned.plan);
            println!(
                "| {} × {} | {} | {} | {seed} | {:.1} | {first_ms:.1} | {:.1} | {seconds:.2} | {best:.1} | {:.1} % | {moved:.1} % | {replan_ms:.0} |",
                size.weeks,
                size.sessions,
                size.skills,
                size.variants,
                first.score.total,
                planned.score.total,
                100.0 * (planned.score.total / best - 1.0),
            );
        }
    }
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
