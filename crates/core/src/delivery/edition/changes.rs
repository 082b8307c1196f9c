//! What is different from the edition before, in words?
//!
//! Sessions are told by their number. A block that leaves one session and comes into another has moved; blocks of one
//! variant are told apart by nothing but their place, so the first that leaves is the first that comes.

use std::collections::BTreeMap;

use super::Edition;
use crate::plan::VariantId;
use crate::units::Minutes;

impl Edition {
    /// Every change from an earlier edition, as a director would tell it: the season, the wishes, then session by
    /// session.
    pub fn changes_since(&self, earlier: &Edition) -> Vec<String> {
        let mut said = self.wishes_since(earlier);
        said.extend(self.blocks_since(earlier));
        let drills =
            self.drills.iter().filter(|drill| earlier.drill(&drill.id).is_some_and(|old| old != *drill));
        said.extend(drills.map(|drill| format!("“{}” is written differently", drill.title)));
        said
    }

    fn wishes_since(&self, earlier: &Edition) -> Vec<String> {
        let (now, then) = (&self.curriculum, &earlier.curriculum);
        let mut said = Vec::new();
        if now.season() != then.season() {
            said.push("it runs on other days".to_owned());
        }
        if now.ground != then.ground {
            said.push("the floor, the kit or the squad is another".to_owned());
        }
        if now.approach != then.approach {
            said.push("the approach is another".to_owned());
        }
        if now.shares != then.shares {
            said.push("the strands share the time differently".to_owned());
        }
        for goal in &now.goals {
            let name = self.skill(&goal.skill).map_or(goal.skill.as_str(), |skill| skill.name.as_str());
            match then.goals.iter().find(|old| old.skill == goal.skill) {
                None => said.push(format!("new: “{name}” to {}", goal.goal)),
                Some(old) if old.goal != goal.goal => {
                    said.push(format!("“{name}” to {} in place of {}", goal.goal, old.goal));
                }
                Some(_) => {}
            }
        }
        for goal in then.goals.iter().filter(|old| !now.goals.iter().any(|goal| goal.skill == old.skill)) {
            let name = earlier.skill(&goal.skill).map_or(goal.skill.as_str(), |skill| skill.name.as_str());
            said.push(format!("“{name}” is no goal any more"));
        }
        let sessions =
            now.minutes.iter().zip(&then.minutes).enumerate().filter(|(_, (now, then))| now != then);
        said.extend(
            sessions.map(|(at, (now, then))| format!("session {}: {now} in place of {then}", at + 1)),
        );
        if now.tests != then.tests {
            said.push("tests are taken in other sessions".to_owned());
        }
        said
    }

    fn blocks_since(&self, earlier: &Edition) -> Vec<String> {
        let (now, then) = (&self.plan.sessions, &earlier.plan.sessions);
        let sessions = now.len().max(then.len());
        let laid = |plan: &[Vec<crate::plan::Block>], at: usize| -> BTreeMap<VariantId, Vec<Minutes>> {
            let mut laid: BTreeMap<VariantId, Vec<Minutes>> = BTreeMap::new();
            for block in plan.get(at).into_iter().flatten() {
                laid.entry(block.variant.clone()).or_default().push(block.minutes);
            }
            laid
        };
        // What left and what came, by variant: in which sessions.
        let (mut left, mut came) =
            (BTreeMap::<VariantId, Vec<usize>>::new(), BTreeMap::<VariantId, Vec<usize>>::new());
        let mut said = Vec::new();
        for at in 0..sessions {
            let (before, after) = (laid(then, at), laid(now, at));
            for (variant, old) in &before {
                let new = after.get(variant).map_or(&[][..], Vec::as_slice);
                for (old, new) in old.iter().zip(new).filter(|(old, new)| old != new) {
                    said.push((at, format!("“{}” {new} in place of {old}", self.titled(earlier, variant))));
                }
                left.entry(variant.clone())
                    .or_default()
                    .extend(vec![at; old.len().saturating_sub(new.len())]);
            }
            for (variant, new) in &after {
                let old = before.get(variant).map_or(0, Vec::len);
                came.entry(variant.clone()).or_default().extend(vec![at; new.len().saturating_sub(old)]);
            }
        }
        for (variant, from) in &left {
            let title = self.titled(earlier, variant);
            let to = came.remove(variant).unwrap_or_default();
            for (i, from) in from.iter().enumerate() {
                match to.get(i) {
                    Some(to) => said.push((*from, format!("“{title}” moves to session {}", to + 1))),
                    None => said.push((*from, format!("“{title}” is left out"))),
                }
            }
            said.extend(to.iter().skip(from.len()).map(|at| (*at, format!("“{title}” comes in"))));
        }
        for (variant, at) in
            came.into_iter().flat_map(|(variant, all)| all.into_iter().map(move |at| (variant.clone(), at)))
        {
            said.push((at, format!("“{}” comes in", self.titled(earlier, &variant))));
        }
        said.sort_by_key(|(at, _)| *at);
        said.into_iter().map(|(at, says)| format!("session {}: {says}", at + 1)).collect()
    }

    /// The title of a variant's drill and its stage, as "Toe taps, Flow".
    fn titled(&self, earlier: &Edition, variant: &VariantId) -> String {
        let VariantId { drill, stage } = variant;
        let found = self.drill(drill).or_else(|| earlier.drill(drill));
        format!("{}, {stage}", found.map_or(drill.as_str(), |found| &found.title))
    }
}
