//! Checks a skill before it is kept: every fault at once, each with its place in the JSON form and its mend.

use std::collections::BTreeSet;

use super::Map;
use crate::assessment::benchmarks::Test;
use crate::assessment::milestones::Milestone;
use crate::drill::{Drill, Shelf};
use crate::ids::SkillId;
use crate::input::{InputError, short_text};
use crate::technique::skill::{Gate, Skill};

/// A gate looks at no more than so many tries or dates.
const LONGEST_LOOK: u32 = 20;

/// Every fault of a skill beside the rest of the library; an empty list means that it may be kept, if no circle comes
/// of it.
pub fn check(skill: &Skill, shelf: &Shelf<'_>) -> Vec<InputError> {
    let mut faults = Vec::new();
    let mut wrong = |at: String, says: String| faults.push(InputError::at(at, says));
    if let Err(says) = short_text(&skill.name, Skill::LONGEST_NAME) {
        wrong("/name".into(), format!("the name {says}"));
    }
    if !shelf.bands.iter().any(|band| band.id == skill.band) {
        wrong("/band".into(), format!("the library has no band `{}`", skill.band));
    }
    let needs: Vec<&SkillId> = skill.needs.iter().map(|need| &need.skill).collect();
    let named =
        [("needs", needs), ("parts", skill.parts.iter().collect()), ("helps", skill.helps.iter().collect())];
    for (key, ids) in named {
        let mut seen = BTreeSet::new();
        for (i, id) in ids.into_iter().enumerate() {
            if !shelf.skills.iter().any(|known| known.id == *id) {
                wrong(format!("/{key}/{i}"), format!("the library has no skill `{id}`"));
            } else if !seen.insert(id) {
                wrong(format!("/{key}/{i}"), format!("`{id}` stands here twice: keep one"));
            }
        }
    }
    if let Some(gate) = &skill.gate {
        check_gate(gate, shelf, &mut wrong);
    }
    faults
}

fn check_gate(gate: &Gate, shelf: &Shelf<'_>, wrong: &mut impl FnMut(String, String)) {
    let (Gate::Milestone { times, of_last, .. } | Gate::Test { times, of_last, .. }) = gate;
    if !(1..=LONGEST_LOOK).contains(of_last) || !(1..=*of_last).contains(times) {
        let says = format!("{times} of the last {of_last}: as 3 of the last 4, at most {LONGEST_LOOK}");
        wrong("/gate".into(), says);
    }
    match gate {
        Gate::Milestone { milestone, .. } => {
            if !shelf.milestones.contains(milestone) {
                wrong("/gate/milestone".into(), format!("the library has no milestone `{milestone}`"));
            }
        }
        Gate::Test { test, value, .. } => {
            if !shelf.tests.contains(test) {
                wrong("/gate/test".into(), format!("the library has no test `{test}`"));
            }
            if !(0.0..=100_000.0).contains(value) {
                wrong("/gate/value".into(), format!("{value}: between 0 and 100000"));
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
    for (i, id) in gone.iter().enumerate() {
        if let Some(drill) = drills.iter().find(|drill| drill.serves.iter().any(|serves| serves.skill == *id))
        {
            let says = format!("the drill “{}” serves `{id}`: change the drill first", drill.title);
            faults.push(InputError::at(format!("/{i}"), says));
        }
        if let Some(test) = tests.iter().find(|test| test.skill == *id) {
            let says = format!("the test “{}” shows `{id}`: let it show another skill first", test.name);
            faults.push(InputError::at(format!("/{i}"), says));
        }
        if let Some(milestone) = milestones.iter().find(|milestone| milestone.skill == *id) {
            let says = format!("the milestone “{}” shows `{id}`: change it first", milestone.says);
            faults.push(InputError::at(format!("/{i}"), says));
        }
        let names =
            |skill: &&Skill| skill.all_needs().any(|need| need.skill == *id) || skill.helps.contains(id);
        if let Some(skill) = rest.iter().find(names) {
            faults.push(InputError::at(
                format!("/{i}"),
                format!("“{}” names `{id}`: change it first", skill.name),
            ));
        }
    }
    faults
}

/// A circle among skills, as a sentence that names its whole path; nothing if there is none.
pub fn circle_in(skills: &[Skill]) -> Option<String> {
    let path = Map::of(skills).circle()?;
    let names: Vec<String> =
        path.iter().chain([&path[0]]).map(|s| format!("“{}”", skills[*s].name)).collect();
    Some(format!("that would make a circle, in which none could ever begin: {}", names.join(" → ")))
}
