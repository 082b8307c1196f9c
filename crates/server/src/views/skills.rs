//! Skills by their ids, as surfaces name them.

use jogo_core::technique::skill::{Skill, Strand};

/// The name of a skill; its id if the library no longer has it.
pub fn name_of(skills: &[Skill], id: &str) -> String {
    found(skills, id).map_or_else(|| id.to_owned(), |skill| skill.name.clone())
}

/// The strand of a skill; `None` if the library no longer has it.
pub fn strand_of(skills: &[Skill], id: &str) -> Option<Strand> {
    found(skills, id).map(|skill| skill.strand)
}

fn found<'s>(skills: &'s [Skill], id: &str) -> Option<&'s Skill> {
    skills.iter().find(|skill| skill.id == id)
}
