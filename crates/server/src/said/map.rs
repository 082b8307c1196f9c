//! Changes of the progression map.

use crate::facts::Entered;
use jogo_core::assessment::tempo::broken_counts;
use jogo_core::ids::SkillId;
use jogo_core::input::InputError;
use jogo_core::progression::check::{NamedBy, broken_scores, check, circle_in, still_named};
use jogo_core::technique::skill::Skill;
use jogo_store::progression::SkillChange;
use serde::Deserialize;
use utoipa::ToSchema;

use super::Faults;
use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::drills::LibraryShelf;

/// A change of the map.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct MapChanges {
    /// Skills that are added, or become this.
    #[serde(default)]
    put: Vec<Skill>,
    /// Skills that are taken out; nothing may name them any more.
    #[serde(default)]
    take_out: Vec<SkillId>,
}

/// The most skills that can be changed at once.
const MOST_CHANGED: usize = 50;

impl MapChanges {
    /// The changes, or what is wrong with the map that they would make.
    pub async fn read(self, state: &State) -> Answer<Vec<SkillChange>> {
        if self.put.len() + self.take_out.len() > MOST_CHANGED {
            return Err(Problem::fault("/put", Entered::AtMost { most: MOST_CHANGED }));
        }
        let next = self.applied(state.store.skills().await?);
        let mut faults = Faults::default();
        let shelf = LibraryShelf::of(state).await?;
        let shelf = shelf.shelf(&next);
        for (i, skill) in self.put.iter().enumerate() {
            faults.0.extend(check(skill, &shelf).into_iter().map(|fault| fault.inside(&format!("/put/{i}"))));
        }
        let tests = state.store.tests().await?;
        let named_by = NamedBy {
            skills: &next,
            drills: &state.store.drills().await?,
            tests: &tests,
            milestones: &state.store.milestones().await?,
        };
        let named = still_named(&self.take_out, &named_by);
        faults.0.extend(named.into_iter().map(|fault| fault.inside("/take_out")));
        let changed: Vec<SkillId> = self.put.iter().map(|skill| skill.id.clone()).collect();
        let broken = broken_scores(&changed, &next).into_iter().chain(broken_counts(&tests, &next));
        faults.0.extend(broken.map(|fault| InputError::at("/put", fault)));
        // Whether there is a circle can be said of skills alone that are right in themselves.
        faults.none()?;
        if let Some(says) = circle_in(&next) {
            return Err(Problem::fault("/put", says));
        }
        let put = self.put.into_iter().map(SkillChange::Put);
        Ok(put.chain(self.take_out.into_iter().map(SkillChange::TakeOut)).collect())
    }

    /// The skills after the changes.
    fn applied(&self, mut skills: Vec<Skill>) -> Vec<Skill> {
        skills.retain(|skill| !self.take_out.contains(&skill.id));
        for skill in &self.put {
            match skills.iter_mut().find(|known| known.id == skill.id) {
                Some(known) => known.clone_from(skill),
                None => skills.push(skill.clone()),
            }
        }
        skills
    }
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use super::*;

    fn skill(id: &str, name: &str) -> Skill {
        let written = serde_json::json!({
            "id": id, "name": name, "strand": "dribbling", "band": "u8-u9", "needs": [],
        });
        serde_json::from_value(written).unwrap()
    }

    #[test]
    fn a_skill_is_added_changed_or_taken_out_and_the_others_keep_their_order() {
        let known = vec![skill("roll", "Roll"), skill("drag", "Drag"), skill("step", "Step")];
        let put = vec![skill("step", "Step over"), skill("turn", "Turn")];
        let changes = MapChanges { put, take_out: vec!["drag".parse().unwrap()] };
        let next: Vec<_> = changes.applied(known).into_iter().map(|skill| skill.name).collect();
        assert_eq!(next, ["Roll", "Step over", "Turn"]);
    }
}
