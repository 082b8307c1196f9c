//! What the scores of skills say about the map: which are kin, and do the parts of a chained skill join?

use serde::Serialize;

use super::Map;
use crate::ids::SkillId;
use crate::technique::score::Score;
use crate::technique::score::chain::{Join, joined, text_of};
use crate::technique::score::kinship::{Comparable, KIN};
use crate::technique::score::tempo::BodySize;
use crate::technique::skill::Skill;

/// Two skills whose scores share much, and which of them would help the other.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Kin {
    /// The skill that could be helped.
    pub skill: SkillId,
    /// The one that would help it.
    pub help: SkillId,
    /// How alike they are, 0 to 1.
    pub share: f64,
    /// Touches that stand in both in the same order.
    pub shared: u32,
    /// Touches of the longer one.
    pub of: u32,
    /// Whether the map says so already, as a need, a part or a help, near or far.
    pub known: bool,
}

/// The score of a skill as it is compared; `None` if it has none, or one with faults.
fn score_of(skill: &Skill, skills: &[Skill]) -> Option<Score> {
    Score::read(skill.score.as_ref()?, BodySize::default(), skills).ok()
}

/// All pairs of skills above [`KIN`], the most alike first. The one of the earlier band helps; in a band the one with
/// fewer touches. Time: O(skills² × touches³) at worst, some microseconds a pair.
pub fn kin(map: &Map<'_>, bands: &[crate::ids::BandId]) -> Vec<Kin> {
    let compared = |skill: &Skill| score_of(skill, map.skills).map(|score| Comparable::of(&score));
    let all: Vec<Option<Comparable>> = map.skills.iter().map(compared).collect();
    let scored: Vec<(usize, &Comparable)> =
        all.iter().enumerate().filter_map(|(place, score)| Some((place, score.as_ref()?))).collect();
    let age = |skill: usize| bands.iter().position(|band| *band == map.skills[skill].band);
    let mut found = Vec::new();
    for (i, (a, of_a)) in scored.iter().enumerate() {
        for (b, of_b) in &scored[i + 1..] {
            let Some(kinship) = of_a.kinship(of_b).filter(|kinship| kinship.share > KIN) else { continue };
            let b_first = (age(*b), of_b.len()) < (age(*a), of_a.len());
            let (skill, help) = if b_first { (*a, *b) } else { (*b, *a) };
            found.push(Kin {
                skill: map.skills[skill].id.clone(),
                help: map.skills[help].id.clone(),
                share: kinship.share,
                shared: kinship.shared,
                of: kinship.of,
                known: is_known(map, skill, help) || is_known(map, help, skill),
            });
        }
    }
    found.sort_by(|a, b| b.share.total_cmp(&a.share));
    found
}

fn is_known(map: &Map<'_>, skill: usize, help: usize) -> bool {
    map.skills[skill].helps.contains(&map.skills[help].id) || map.rests_on(skill).contains(&help)
}

/// How the scores of a chained skill's parts join, and the text of the whole; `None` if a part has no score, or if it
/// is no chain.
pub fn chained(skill: &Skill, skills: &[Skill]) -> Option<(Vec<Join>, Option<String>)> {
    if skill.parts.len() < 2 {
        return None;
    }
    let part = |id: &SkillId| skills.iter().find(|known| known.id == *id);
    let scores: Option<Vec<Score>> = skill.parts.iter().map(|id| score_of(part(id)?, skills)).collect();
    let (joins, whole) = joined(&scores?.iter().collect::<Vec<_>>());
    let text = whole.map(|_| text_of(&skill.parts, &joins));
    Some((joins, text))
}
