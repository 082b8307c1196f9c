//! Checks a skill before it is kept: every fault at once, each with its place in the JSON form and its mend.

use std::collections::BTreeSet;

use super::Map;
use crate::assessment::benchmarks::Test;
use crate::assessment::milestones::Milestone;
use crate::drill::{Drill, Shelf};
use crate::fact::{Fact, facts};
use crate::ids::SkillId;
use crate::input::{InputError, RangeFault, Unknown, What, short_text};
use crate::technique::score::tempo::BodySize;
use crate::technique::score::{Expected, Score};
use crate::technique::skill::{Gate, Skill};

facts! {
    /// What keeps a skill from being kept or taken out.
    pub enum SkillFault {
        Look = "gate-look" { times: u32, of_last: u32, most: u32 },
        Circle = "map-would-circle" { path: String },
        ServedByDrill = "skill-served-by-drill" { drill: String, id: SkillId },
        ShownByTest = "skill-shown-by-test" { test: String, id: SkillId },
        ShownByMilestone = "skill-shown-by-milestone" { milestone: String, id: SkillId },
        PlayedBy = "skill-played-by" { skill: String },
        CountedBy = "skill-counted-by" { test: String },
        NamedBySkill = "skill-named-by-skill" { skill: String, id: SkillId },
    }
}

/// The most tries or dates that a gate looks at.
const LONGEST_LOOK: u32 = 20;

/// Every fault of a skill beside the rest of the library; an empty list means that it may be kept, if no circle comes
/// of it.
pub fn check(skill: &Skill, shelf: &Shelf<'_>) -> Vec<InputError> {
    let mut faults = Vec::new();
    let mut wrong = |at: String, fact: Fact| faults.push(InputError::at(at, fact));
    if let Err(fault) = short_text(&skill.name, Skill::LONGEST_NAME, What::Name) {
        wrong("/name".into(), fault.into());
    }
    if !shelf.bands.iter().any(|band| band.id == skill.band) {
        wrong("/band".into(), Unknown::Band { id: skill.band.to_string() }.into());
    }
    let needs: Vec<&SkillId> = skill.needs.iter().map(|need| &need.skill).collect();
    let named =
        [("needs", needs), ("parts", skill.parts.iter().collect()), ("helps", skill.helps.iter().collect())];
    for (key, ids) in named {
        let mut seen = BTreeSet::new();
        for (i, id) in ids.into_iter().enumerate() {
            if !shelf.skills.iter().any(|known| known.id == *id) {
                wrong(format!("/{key}/{i}"), Unknown::Skill { id: id.to_string() }.into());
            } else if !seen.insert(id) {
                wrong(format!("/{key}/{i}"), RangeFault::Twice { id: id.to_string() }.into());
            }
        }
    }
    faults.extend(score_faults(skill, shelf));
    let mut wrong = |at: String, fact: Fact| faults.push(InputError::at(at, fact));
    if let Some(gate) = &skill.gate {
        check_gate(gate, shelf, &mut wrong);
    }
    faults
}

/// Every fault of a skill's score, as children of its band would play it.
fn score_faults(skill: &Skill, shelf: &Shelf<'_>) -> Vec<InputError> {
    let band = shelf.bands.iter().find(|band| band.id == skill.band);
    let size = band.map_or_else(BodySize::default, |band| band.body_size());
    let read = skill.score.as_ref().map(|text| Score::read(text, size, shelf.skills));
    let faults = read.and_then(Result::err).unwrap_or_default();
    faults.into_iter().map(|fault| InputError::at("/score", fault)).collect()
}

/// What keeps other skills' scores from being played after a change: they play one that is gone, or that has faults.
pub fn broken_scores(changed: &[SkillId], skills: &[Skill]) -> Vec<SkillFault> {
    let broken = |skill: &&Skill| {
        let read = skill.score.as_ref().map(|text| Score::read(text, BodySize::default(), skills));
        let faults = read.and_then(Result::err).unwrap_or_default();
        faults.iter().any(|fault| matches!(fault.expected, Expected::Skill | Expected::SoundSkill { .. }))
    };
    let others = skills.iter().filter(|skill| !changed.contains(&skill.id));
    others.filter(broken).map(|skill| SkillFault::PlayedBy { skill: skill.name.clone() }).collect()
}

fn check_gate(gate: &Gate, shelf: &Shelf<'_>, wrong: &mut impl FnMut(String, Fact)) {
    let (Gate::Milestone { times, of_last, .. } | Gate::Test { times, of_last, .. }) = gate;
    if !(1..=LONGEST_LOOK).contains(of_last) || !(1..=*of_last).contains(times) {
        let look = SkillFault::Look { times: *times, of_last: *of_last, most: LONGEST_LOOK };
        wrong("/gate".into(), look.into());
    }
    match gate {
        Gate::Milestone { milestone, .. } => {
            if !shelf.milestones.contains(milestone) {
                wrong("/gate/milestone".into(), Unknown::Milestone { id: milestone.to_string() }.into());
            }
        }
        Gate::Test { test, value, .. } => {
            if !shelf.tests.contains(test) {
                wrong("/gate/test".into(), Unknown::Test { id: test.to_string() }.into());
            }
            if !(0.0..=100_000.0).contains(value) {
                let range = RangeFault::Between { value: *value, least: 0.0, most: 100_000.0 };
                wrong("/gate/value".into(), range.into());
            }
        }
    }
}

/// What may name a skill that is to be taken out.
#[derive(Clone, Copy, Debug)]
pub struct NamedBy<'l> {
    /// The skills of the map without it.
    pub skills: &'l [Skill],
    /// The drills.
    pub drills: &'l [Drill],
    /// The tests.
    pub tests: &'l [Test],
    /// The milestones.
    pub milestones: &'l [Milestone],
}

/// What keeps skills from being taken out: drills that serve them, tests and milestones that show them, and other
/// skills that name them.
pub fn still_named(gone: &[SkillId], named_by: &NamedBy<'_>) -> Vec<InputError> {
    let NamedBy { skills: rest, drills, tests, milestones } = *named_by;
    let mut faults = Vec::new();
    let mut wrong = |i: usize, fault: SkillFault| faults.push(InputError::at(format!("/{i}"), fault));
    for (i, id) in gone.iter().enumerate() {
        if let Some(drill) = drills.iter().find(|drill| drill.serves.iter().any(|serves| serves.skill == *id))
        {
            wrong(i, SkillFault::ServedByDrill { drill: drill.title.clone(), id: id.clone() });
        }
        if let Some(test) = tests.iter().find(|test| test.skill == *id) {
            wrong(i, SkillFault::ShownByTest { test: test.name.clone(), id: id.clone() });
        }
        if let Some(milestone) = milestones.iter().find(|milestone| milestone.skill == *id) {
            wrong(i, SkillFault::ShownByMilestone { milestone: milestone.says.clone(), id: id.clone() });
        }
        let names =
            |skill: &&Skill| skill.all_needs().any(|need| need.skill == *id) || skill.helps.contains(id);
        if let Some(skill) = rest.iter().find(names) {
            wrong(i, SkillFault::NamedBySkill { skill: skill.name.clone(), id: id.clone() });
        }
    }
    faults
}

/// A circle among skills, with its whole path; `None` if there is none.
pub fn circle_in(skills: &[Skill]) -> Option<SkillFault> {
    let path = Map::of(skills).circle()?;
    Some(SkillFault::Circle { path: said(&path, skills) })
}

/// A circle with the names of its skills, back to the first: `Tap → Roll → Tap`.
pub(super) fn said(path: &[usize], skills: &[Skill]) -> String {
    let names: Vec<&str> = path.iter().chain(path.first()).map(|at| skills[*at].name.as_str()).collect();
    names.join(" → ")
}
