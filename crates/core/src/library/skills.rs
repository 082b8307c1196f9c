//! What is asked of skills.

use super::alike::alike;
use super::{Finding, LibraryFound, Piece, Whole};
use crate::technique::skill::{Skill, Stage};

pub(super) fn lint(library: &Whole<'_>) -> Vec<Finding> {
    let names =
        library.skills.iter().map(|skill| (piece(skill), skill.name.as_str(), "/name", skill.name.as_str()));
    let own = library.skills.iter().filter(|skill| !is_dosed(skill, library)).map(|skill| {
        let band = library.bands.iter().find(|band| band.id == skill.band);
        let band = band.map_or_else(|| skill.band.to_string(), |band| band.name.clone());
        let says = LibraryFound::SkillNotDosed { skill: skill.name.clone(), band };
        Finding::new(piece(skill), "/band", says)
    });
    own.chain(alike(names)).collect()
}

fn piece(skill: &Skill) -> Piece {
    Piece::Skill(skill.id.clone())
}

/// Whether a drill begins it, in the band that begins it.
fn is_dosed(skill: &Skill, library: &Whole<'_>) -> bool {
    library.drills.iter().any(|drill| {
        let begins = drill.serves.iter().any(|s| s.skill == skill.id && s.stages.contains(&Stage::Form));
        begins && drill.doses.contains_key(&skill.band)
    })
}
