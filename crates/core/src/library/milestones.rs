//! What is asked of milestones.

use super::alike::alike;
use super::{Finding, LibraryFound, Piece, Whole};
use crate::assessment::milestones::Milestone;
use crate::plan::curriculum::{Curriculum, Goal};

pub(super) fn lint(library: &Whole<'_>) -> Vec<Finding> {
    let mut found = Vec::new();
    for milestone in library.milestones {
        let of = || Piece::Milestone(milestone.id.clone());
        let at = |part: &str| format!("/evidence/{part}/test");
        let evidence = &milestone.evidence;
        let both = evidence.measured().is_some() && evidence.seen().is_some();
        let parts = [
            (at(if both { "both/measured" } else { "measured" }), evidence.measured().map(|rule| &rule.test)),
            (at(if both { "both/seen" } else { "seen" }), evidence.seen().map(|rule| &rule.test)),
        ];
        for (pointer, test) in parts {
            let Some(test) = library.tests.iter().find(|known| Some(&known.id) == test) else { continue };
            if test.skill != milestone.skill {
                let (shows, skill) = (test.skill.to_string(), milestone.skill.to_string());
                let says = LibraryFound::OtherSkill { test: test.name.clone(), shows, skill };
                found.push(Finding::new(of(), pointer, says));
            }
        }
    }
    // The same sentence may be said in two bands: what it asks is not the same.
    for band in library.bands {
        let of_band = library.milestones.iter().filter(|milestone| milestone.band == band.id);
        found.extend(alike(of_band.map(|milestone| {
            (
                Piece::Milestone(milestone.id.clone()),
                milestone.short.as_str(),
                "/says",
                milestone.says.as_str(),
            )
        })));
    }
    found.extend(library.curricula.iter().enumerate().flat_map(|(i, wishes)| goals(i, wishes, library)));
    found
}

/// Goals whose end nothing shows.
fn goals(i: usize, wishes: &Curriculum, library: &Whole<'_>) -> Vec<Finding> {
    let shown = |goal: &Goal| {
        let of = |milestone: &&Milestone| milestone.band == wishes.band && milestone.skill == goal.skill;
        library.milestones.iter().filter(of).any(|milestone| milestone.stage == goal.goal)
    };
    let not_shown = wishes.goals.iter().enumerate().filter(|(_, goal)| !shown(goal));
    let finding = |(at, goal): (usize, &Goal)| {
        let skill = library.skills.iter().find(|skill| skill.id == goal.skill);
        let skill = skill.map_or_else(|| goal.skill.to_string(), |skill| skill.name.clone());
        let (curriculum, band) = (wishes.name.clone(), wishes.band.to_string());
        let says = LibraryFound::GoalNotShown { curriculum, skill, stage: goal.goal, band };
        Finding::new(Piece::Curriculum(i), format!("/goals/{at}"), says)
    };
    not_shown.map(finding).collect()
}
