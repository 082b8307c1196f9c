//! Checks a milestone before it is kept: every fault at once, each with its place in the JSON form and its mend.

use super::{Measured, Milestone, Reach, Seen};
use crate::academy::band::Band;
use crate::assessment::benchmarks::{Protocol, Test};
use crate::ids::MilestoneId;
use crate::input::{InputError, short_text};
use crate::technique::skill::{Gate, Skill};

/// A rule looks at no more than so many dates.
const LONGEST_LOOK: u32 = 20;

impl Milestone {
    /// The longest sentence, in characters.
    pub const LONGEST_SENTENCE: usize = 160;
    /// The longest short name, in characters.
    pub const LONGEST_SHORT: usize = 24;
}

/// Every fault of a milestone beside the rest of the library.
pub fn check(milestone: &Milestone, bands: &[Band], skills: &[Skill], tests: &[Test]) -> Vec<InputError> {
    let mut faults = Vec::new();
    let mut wrong = |at: &str, says: String| faults.push(InputError::at(at, says));
    if let Err(says) = short_text(&milestone.says, Milestone::LONGEST_SENTENCE) {
        wrong("/says", format!("the sentence {says}"));
    }
    if let Err(says) = short_text(&milestone.short, Milestone::LONGEST_SHORT) {
        wrong("/short", format!("the short name {says}"));
    }
    if !bands.iter().any(|band| band.id == milestone.band) {
        wrong("/band", format!("the library has no band `{}`", milestone.band));
    }
    if !skills.iter().any(|skill| skill.id == milestone.skill) {
        wrong("/skill", format!("the library has no skill `{}`", milestone.skill));
    }
    if let Some(measured) = milestone.evidence.measured() {
        check_measured(measured, tests, &mut wrong);
    }
    if let Some(seen) = milestone.evidence.seen() {
        check_seen(seen, tests, &mut wrong);
    }
    faults
}

/// Why a milestone cannot be taken out: a sentence for each gate that asks for it and would have no answer.
pub fn left_without_milestone(milestone: &MilestoneId, skills: &[Skill]) -> Vec<String> {
    let asks = |skill: &&Skill| skill.gate.as_ref().and_then(Gate::milestone) == Some(milestone);
    let says = |skill: &Skill| {
        format!("the gate of “{}” asks for this milestone: let it ask for another one first", skill.name)
    };
    skills.iter().filter(asks).map(says).collect()
}

/// Why a test cannot become what it would: milestones rest on it that it could not answer any more. What they ask of
/// other tests is not its matter.
pub fn left_without_answer(test: &Test, milestones: &[Milestone]) -> Vec<InputError> {
    let mut faults = Vec::new();
    let alone = std::slice::from_ref(test);
    for milestone in milestones {
        let mut wrong = |_: &str, says: String| {
            let says = format!("the milestone “{}” would not hold: {says}", milestone.says);
            faults.push(InputError::at("/protocol", says));
        };
        if let Some(measured) = milestone.evidence.measured().filter(|rule| rule.test == test.id) {
            check_measured(measured, alone, &mut wrong);
        }
        if let Some(seen) = milestone.evidence.seen().filter(|rule| rule.test == test.id) {
            check_seen(seen, alone, &mut wrong);
        }
    }
    faults
}

fn check_measured(rule: &Measured, tests: &[Test], wrong: &mut impl FnMut(&str, String)) {
    let Measured { times, of_last, .. } = rule;
    if !(1..=LONGEST_LOOK).contains(of_last) || !(1..=*of_last).contains(times) {
        let says = format!("{times} of the last {of_last}: as 2 of the last 3, at most {LONGEST_LOOK}");
        wrong("/evidence/measured", says);
    }
    match (tests.iter().find(|test| test.id == rule.test), rule.reach) {
        (None, _) => wrong("/evidence/measured/test", format!("the library has no test `{}`", rule.test)),
        (Some(test), Reach::Value(value)) => {
            if let Err(says) = test.value(value) {
                wrong("/evidence/measured/reach", says);
            }
        }
        _ => {}
    }
}

fn check_seen(rule: &Seen, tests: &[Test], wrong: &mut impl FnMut(&str, String)) {
    if !(1..=LONGEST_LOOK).contains(&rule.days) {
        wrong("/evidence/seen/days", format!("{}: between 1 and {LONGEST_LOOK}", rule.days));
    }
    match tests.iter().find(|test| test.id == rule.test).map(|test| &test.protocol) {
        None => wrong("/evidence/seen/test", format!("the library has no test `{}`", rule.test)),
        Some(Protocol::Points { points }) => {
            if let Some(point) = rule.points.iter().find(|p| !(1..=points.len()).contains(&(**p as usize))) {
                wrong("/evidence/seen/points", format!("{point}: the test has points 1 to {}", points.len()));
            }
        }
        Some(_) => wrong("/evidence/seen/test", format!("`{}` has no points to look at", rule.test)),
    }
}
