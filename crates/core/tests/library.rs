//! The demo library that ships with Jogo keeps its own rules.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

mod demo;

use jogo_core::fit::fit;
use jogo_core::layout::Layout;
use jogo_core::units::Pace;
use rstest::rstest;

#[test]
fn every_drill_has_a_layout_that_reads_and_stands_in_the_school_hall() {
    let ground = demo::curriculum().ground;
    for drill in demo::drills() {
        let layout = Layout::read(&drill.layout, Pace::default())
            .unwrap_or_else(|faults| panic!("{}: {}", drill.id, faults[0]));
        fit(&layout, &drill.station, &ground).unwrap_or_else(|misfit| panic!("{}: {misfit}", drill.id));
    }
}

#[test]
fn every_drill_serves_known_skills_by_rungs_that_it_has() {
    let skills = demo::skills();
    for drill in demo::drills() {
        let stages: Vec<_> = drill.stages().into_iter().map(|(stage, _)| stage).collect();
        for serves in &drill.serves {
            assert!(skills.iter().any(|s| s.id == serves.skill), "{}: {}", drill.id, serves.skill);
            for stage in &serves.stages {
                assert!(stages.contains(stage), "{}: no rung at {stage}", drill.id);
            }
        }
        let shares: f64 = drill.strands.values().map(|s| s.0).sum();
        assert!((shares - 1.0).abs() < 1e-9, "{}: shares sum to {shares}", drill.id);
        assert!((3..=7).contains(&drill.points.len()), "{}: 3 to 7 points", drill.id);
        assert!((2..=4).contains(&drill.faults.len()), "{}: 2 to 4 faults", drill.id);
    }
}

#[rstest]
fn standards_rise_in_the_direction_that_is_better() {
    let tests = demo::tests();
    for standard in demo::standards() {
        let test = tests.iter().find(|t| t.id == standard.test).unwrap();
        assert!(standard.thresholds.in_order(test.protocol.better()), "{}", test.id);
    }
}
