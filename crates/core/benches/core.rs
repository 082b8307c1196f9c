//! How fast the core is: layouts, the planner, and the checker.
//!
//! `make bench` runs it; docs/decisions.md has the figures of a named machine.
#![allow(clippy::unwrap_used, reason = "a bench may stop here")]
#![allow(missing_docs)]

#[path = "../tests/demo/mod.rs"]
mod demo;

use divan::{Bencher, black_box};
use jogo_core::layout::Layout;
use jogo_core::plan::solve::ROUNDS;
use jogo_core::plan::{check, score, solve};
use jogo_core::units::Pace;

fn main() {
    divan::main();
}

/// Reads, measures and draws a layout of forty statements.
#[divan::bench]
fn layout_of_forty_statements(bencher: Bencher<'_, '_>) {
    let mut text = String::from("mark A red\n");
    for i in 0..13 {
        text += &format!("walk 2; turn right 30; mark P{i} blue\n");
    }
    bencher.bench(|| {
        let layout = Layout::read(black_box(&text), Pace::default()).unwrap();
        (layout.footprint(), layout.draw())
    });
}

/// Answers a text of 100 kB in which every name is wrong.
#[divan::bench]
fn text_full_of_faults(bencher: Bencher<'_, '_>) {
    let names = (0..400).map(|i| format!("mark {}{i:03}\n", "a".repeat(36)));
    let wrong = (0..1_500).map(|i| format!("go {}{i:04}\n", "a".repeat(36)));
    let text: String = names.chain(wrong).collect();
    bencher.bench(|| Layout::read(black_box(&text), Pace::default()).unwrap_err());
}

/// The first legal plan of the demo's curriculum: 12 sessions, 10 skills.
#[divan::bench]
fn first_plan(bencher: Bencher<'_, '_>) {
    let problem = demo::problem();
    bencher.bench(|| solve(black_box(&problem), 1, 1));
}

/// The plan as the server makes it: 400 constructions.
#[divan::bench(sample_count = 20)]
fn whole_solve(bencher: Bencher<'_, '_>) {
    let problem = demo::problem();
    bencher.bench(|| solve(black_box(&problem), 1, ROUNDS));
}

/// Checking and scoring one plan, as after every change of a wish.
#[divan::bench]
fn check_and_score(bencher: Bencher<'_, '_>) {
    let problem = demo::problem();
    let (plan, _) = solve(&problem, 1, 1).unwrap();
    bencher.bench(|| (check(black_box(&problem), &plan), score(&problem, &plan)));
}
