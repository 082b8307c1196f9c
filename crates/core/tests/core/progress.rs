//! The progress sheet of a player.

use jiff::civil::{Date, date};
use jogo_core::assessment::milestones::ready::Stands;
use jogo_core::assessment::milestones::{Milestone, MilestoneState, Standing};
use jogo_core::assessment::progress::{changes, lines, next_skills, note};
use jogo_core::assessment::reliability::Repeatability;
use jogo_core::assessment::results::TestResult;
use jogo_core::technique::skill::{Side, Skill, Strand};
use rstest::rstest;

use crate::demo::{self, called, told};

fn milestones(band: &str) -> Vec<Milestone> {
    demo::milestones().into_iter().filter(|milestone| milestone.band == band).collect()
}

fn standing(state: MilestoneState) -> Standing {
    Standing { state, by_evidence: state, ..Standing::default() }
}

const MONDAY: Date = date(2031, 1, 6);

#[test]
fn a_line_rises_with_every_milestone_and_falls_with_one_that_slips() {
    let dates = [
        (
            MONDAY,
            vec![(Strand::Passing, MilestoneState::OnTheWay), (Strand::Passing, MilestoneState::NotSeen)],
        ),
        (
            date(2031, 1, 13),
            vec![(Strand::Passing, MilestoneState::Met), (Strand::Passing, MilestoneState::Kept)],
        ),
        (
            date(2031, 1, 20),
            vec![(Strand::Passing, MilestoneState::Slipped), (Strand::Passing, MilestoneState::Kept)],
        ),
    ];
    let passing = &lines(&dates)[Strand::Passing.index()];
    assert_eq!((passing.of, passing.points.iter().map(|p| p.had).collect::<Vec<_>>()), (2, vec![0, 2, 1]));
    assert_eq!(lines(&dates)[Strand::Dribbling.index()].of, 0);
    assert!(lines(&[]).iter().all(|line| line.points.is_empty()));
}

fn result(test: &str, side: Option<Side>, day: i8, value: f64) -> TestResult<u8> {
    TestResult {
        player: 1,
        test: called(test),
        side,
        date: date(2031, 1, day),
        value,
        level: None,
        marks: Vec::new(),
    }
}

#[test]
fn a_change_is_measured_against_the_same_foot_and_the_noise_of_the_test() {
    // Differences of 2 and −2 in turn: the smallest real difference is 4.094.
    let pairs: Vec<_> = (0..12).map(|i| (10.0, if i % 2 == 0 { 12.0 } else { 8.0 })).collect();
    let known = Repeatability::of(&pairs).unwrap();
    let results = [
        result("passes", Some(Side::Left), 6, 10.0),
        result("passes", Some(Side::Left), 20, 14.0),
        result("passes", Some(Side::Left), 27, 20.0),
        result("passes", Some(Side::Right), 6, 30.0),
        result("weave", None, 6, 18.0),
        result("weave", None, 20, 10.0),
    ];
    let found = changes(&results, |test| (test == "passes").then_some(known));
    let says: Vec<_> = found.iter().map(|change| (change.by, change.real)).collect();
    assert_eq!(
        says,
        [
            (None, None),
            (Some(4.0), Some(false)),
            (Some(6.0), Some(true)),
            (None, None),
            (None, None),
            (Some(-8.0), None),
        ]
    );
}

#[test]
fn what_a_player_is_ready_for_comes_first() {
    let skills: Vec<Skill> = demo::skills().into_iter().filter(|skill| skill.band == "u8-u9").collect();
    let milestones = demo::milestones();
    let (met, way) = (standing(MilestoneState::Met), standing(MilestoneState::OnTheWay));
    let stands: Vec<Stands<'_>> = milestones
        .iter()
        .filter(|milestone| ["u6-u7", "u8-u9"].contains(&milestone.band.as_str()))
        .map(|milestone| (milestone, if milestone.skill == "weave" { &met } else { &way }))
        .collect();
    let next = next_skills(skills.iter(), &stands, |skill| skill.gate.as_ref().map(|_| false));
    assert!(next.iter().all(|(skill, _)| skill.id != "weave"), "that has begun");
    let missing: Vec<usize> = next.iter().map(|(_, readiness)| readiness.missing.len()).collect();
    assert!(missing.is_sorted() && missing[0] == 0 && missing.last() > Some(&0), "{missing:?}");
    let spin = next.iter().find(|(skill, _)| skill.id == "inside-spin").unwrap();
    assert!(spin.1.is_ready(), "the weave is there");
}

#[rstest]
#[case::nothing_yet(
    MilestoneState::NotSeen,
    &["note-begun name=Una"],
)]
#[case::has_it(
    MilestoneState::Kept,
    &["note-seen name=Una", "note-milestone says=I can do fast toe taps for half a minute"],
)]
#[case::lost_it(
    MilestoneState::Slipped,
    &["note-working-on name=Una", "note-milestone says=I can do fast toe taps for half a minute"],
)]
fn a_note_says_what_a_child_can_do_in_its_own_words(#[case] state: MilestoneState, #[case] says: &[&str]) {
    let (milestones, standing) = (milestones("u8-u9"), standing(state));
    let taps = milestones.iter().find(|milestone| milestone.id == "toe-taps-flow-u8-u9").unwrap();
    assert_eq!(told(note("Una", &[(taps, &standing)])), says);
}

#[test]
fn a_note_names_no_more_than_three_things_to_work_on() {
    let (milestones, way) = (milestones("u8-u9"), standing(MilestoneState::OnTheWay));
    let stands: Vec<Stands<'_>> = milestones.iter().map(|milestone| (milestone, &way)).collect();
    assert_eq!(note("Una", &stands).len(), 4);
}
