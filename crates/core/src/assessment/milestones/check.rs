//! Checks a milestone before it is kept: every fault at once, each with its place in the JSON form and its mend.

use super::{Measured, Milestone, Reach, Seen};
use crate::academy::band::Band;
use crate::assessment::benchmarks::{Protocol, Test};
use crate::fact::{Fact, facts};
use crate::ids::{MilestoneId, TestId};
use crate::input::{InputError, RangeFault, Unknown, What, short_text};
use crate::technique::skill::{Gate, Skill};

/// A rule looks at no more than this many dates.
const LONGEST_LOOK: u32 = 20;

facts! {
    /// What is wrong with a milestone, or would be.
    pub enum MilestoneFault {
        Look = "milestone-look" { times: u32, of_last: u32, most: u32 },
        NoSuchPoint = "milestone-no-such-point" { point: u32, points: usize },
        NoPoints = "milestone-no-points" { test: TestId },
        AskedByGate = "milestone-asked-by-gate" { skill: String },
        WouldNotHold = "milestone-would-not-hold" { milestone: String, fault: Fact },
    }
}

impl Milestone {
    /// The longest sentence, in characters.
    pub const LONGEST_SENTENCE: usize = 160;
    /// The longest short name, in characters.
    pub const LONGEST_SHORT: usize = 24;
}

/// Every fault of a milestone beside the rest of the library.
pub fn check(milestone: &Milestone, bands: &[Band], skills: &[Skill], tests: &[Test]) -> Vec<InputError> {
    let mut faults = Vec::new();
    let mut wrong = |at: &str, fact: Fact| faults.push(InputError::at(at, fact));
    if let Err(fault) = short_text(&milestone.says, Milestone::LONGEST_SENTENCE, What::Sentence) {
        wrong("/says", fault.into());
    }
    if let Err(fault) = short_text(&milestone.short, Milestone::LONGEST_SHORT, What::ShortName) {
        wrong("/short", fault.into());
    }
    if !bands.iter().any(|band| band.id == milestone.band) {
        wrong("/band", Unknown::Band { id: milestone.band.to_string() }.into());
    }
    if !skills.iter().any(|skill| skill.id == milestone.skill) {
        wrong("/skill", Unknown::Skill { id: milestone.skill.to_string() }.into());
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
pub fn left_without_milestone(milestone: &MilestoneId, skills: &[Skill]) -> Vec<MilestoneFault> {
    let asks = |skill: &&Skill| skill.gate.as_ref().and_then(Gate::milestone) == Some(milestone);
    let fault = |skill: &Skill| MilestoneFault::AskedByGate { skill: skill.name.clone() };
    skills.iter().filter(asks).map(fault).collect()
}

/// Why a test cannot become what it would: milestones rest on it that it could not answer any more. What they ask of
/// other tests is not its matter.
pub fn left_without_answer(test: &Test, milestones: &[Milestone]) -> Vec<InputError> {
    let mut faults = Vec::new();
    let alone = std::slice::from_ref(test);
    for milestone in milestones {
        let mut wrong = |_: &str, fault: Fact| {
            let fault = MilestoneFault::WouldNotHold { milestone: milestone.says.clone(), fault };
            faults.push(InputError::at("/protocol", fault));
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

fn check_measured(rule: &Measured, tests: &[Test], wrong: &mut impl FnMut(&str, Fact)) {
    let Measured { times, of_last, .. } = rule;
    if !(1..=LONGEST_LOOK).contains(of_last) || !(1..=*of_last).contains(times) {
        let look = MilestoneFault::Look { times: *times, of_last: *of_last, most: LONGEST_LOOK };
        wrong("/evidence/measured", look.into());
    }
    match (tests.iter().find(|test| test.id == rule.test), rule.reach) {
        (None, _) => {
            wrong("/evidence/measured/test", Unknown::Test { id: rule.test.to_string() }.into());
        }
        (Some(test), Reach::Value(value)) => {
            if let Err(fault) = test.value(value) {
                wrong("/evidence/measured/reach", fault.into());
            }
        }
        _ => {}
    }
}

fn check_seen(rule: &Seen, tests: &[Test], wrong: &mut impl FnMut(&str, Fact)) {
    if !(1..=LONGEST_LOOK).contains(&rule.days) {
        let days = RangeFault::Between { value: rule.days.into(), least: 1.0, most: LONGEST_LOOK.into() };
        wrong("/evidence/seen/days", days.into());
    }
    match tests.iter().find(|test| test.id == rule.test).map(|test| &test.protocol) {
        None => wrong("/evidence/seen/test", Unknown::Test { id: rule.test.to_string() }.into()),
        Some(Protocol::Points { points }) => {
            if let Some(point) = rule.points.iter().find(|p| !(1..=points.len()).contains(&(**p as usize))) {
                let fault = MilestoneFault::NoSuchPoint { point: *point, points: points.len() };
                wrong("/evidence/seen/points", fault.into());
            }
        }
        Some(_) => wrong("/evidence/seen/test", MilestoneFault::NoPoints { test: rule.test.clone() }.into()),
    }
}
