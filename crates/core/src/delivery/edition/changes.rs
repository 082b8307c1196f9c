//! What is different from the edition before, in words?
//!
//! Sessions are told by their number. A block that leaves one session and comes into another has moved; blocks of one
//! variant are told apart by nothing but their place, so the first that leaves is the first that comes.

use std::collections::BTreeMap;

use super::Edition;
use crate::fact::{Value, facts};
use crate::plan::VariantId;
use crate::plan::curriculum::Goal;
use crate::technique::skill::Stage;
use crate::units::Minutes;

facts! {
    /// What is different from the edition before.
    pub enum EditionChange {
        OtherDays = "edition-other-days",
        OtherGround = "edition-other-ground",
        OtherApproach = "edition-other-approach",
        OtherShares = "edition-other-shares",
        OtherFeet = "edition-other-feet",
        OtherThemes = "edition-other-themes",
        OtherWeekly = "edition-other-weekly",
        OtherMastery = "edition-other-mastery",
        OtherTests = "edition-other-tests",
        OtherMinutes = "edition-other-minutes" { session: usize, now: Minutes, then: Minutes },
        NewGoal = "edition-new-goal" { skill: String, stage: Stage },
        OtherGoal = "edition-other-goal" { skill: String, now: Stage, then: Stage },
        NoGoal = "edition-no-goal" { skill: String },
        DrillRewritten = "edition-drill-rewritten" { title: String },
        BlockMinutes = "edition-block-minutes" { session: usize, block: Value, now: Minutes, then: Minutes },
        BlockMoved = "edition-block-moved" { session: usize, block: Value, to: usize },
        BlockLeftOut = "edition-block-left-out" { session: usize, block: Value },
        BlockAdded = "edition-block-added" { session: usize, block: Value },
    }
}

impl Edition {
    /// Every change from an earlier edition: the season, the settings, then session by session, then drills.
    pub fn changes_since(&self, earlier: &Edition) -> Vec<EditionChange> {
        let mut said = self.wishes_since(earlier);
        said.extend(self.blocks_since(earlier));
        let drills =
            self.drills.iter().filter(|drill| earlier.drill(&drill.id).is_some_and(|old| old != *drill));
        said.extend(drills.map(|drill| EditionChange::DrillRewritten { title: drill.title.clone() }));
        said
    }

    fn wishes_since(&self, earlier: &Edition) -> Vec<EditionChange> {
        let (now, then) = (&self.curriculum, &earlier.curriculum);
        let mut said = Vec::new();
        if now.season() != then.season() {
            said.push(EditionChange::OtherDays);
        }
        if now.ground != then.ground {
            said.push(EditionChange::OtherGround);
        }
        if now.approach != then.approach {
            said.push(EditionChange::OtherApproach);
        }
        if now.shares != then.shares {
            said.push(EditionChange::OtherShares);
        }
        let other_foot = |goal: &Goal| {
            let old = then.goals.iter().find(|old| old.skill == goal.skill);
            old.is_some_and(|old| old.other_foot != goal.other_foot)
        };
        if now.side != then.side || now.goals.iter().any(other_foot) {
            said.push(EditionChange::OtherFeet);
        }
        for goal in &now.goals {
            let named = self.skill(&goal.skill).map_or(goal.skill.as_str(), |skill| skill.name.as_str());
            let (skill, stage) = (named.to_owned(), goal.goal);
            match then.goals.iter().find(|old| old.skill == goal.skill) {
                None => said.push(EditionChange::NewGoal { skill, stage }),
                Some(old) if old.goal != goal.goal => {
                    said.push(EditionChange::OtherGoal { skill, now: stage, then: old.goal });
                }
                Some(_) => {}
            }
        }
        for goal in then.goals.iter().filter(|old| !now.goals.iter().any(|goal| goal.skill == old.skill)) {
            let name = earlier.skill(&goal.skill).map_or(goal.skill.as_str(), |skill| skill.name.as_str());
            said.push(EditionChange::NoGoal { skill: name.to_owned() });
        }
        let sessions =
            now.minutes.iter().zip(&then.minutes).enumerate().filter(|(_, (now, then))| now != then);
        said.extend(sessions.map(|(at, (now, then))| EditionChange::OtherMinutes {
            session: at + 1,
            now: *now,
            then: *then,
        }));
        if now.themes != then.themes {
            said.push(EditionChange::OtherThemes);
        }
        if now.weekly != then.weekly {
            said.push(EditionChange::OtherWeekly);
        }
        if now.mastery != then.mastery {
            said.push(EditionChange::OtherMastery);
        }
        if now.tests != then.tests {
            said.push(EditionChange::OtherTests);
        }
        said
    }

    fn blocks_since(&self, earlier: &Edition) -> Vec<EditionChange> {
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
        let added = |at: usize, block: Value| EditionChange::BlockAdded { session: at + 1, block };
        let mut said = Vec::new();
        for at in 0..sessions {
            let (before, after) = (laid(then, at), laid(now, at));
            for (variant, old) in &before {
                let new = after.get(variant).map_or(&[][..], Vec::as_slice);
                for (old, new) in old.iter().zip(new).filter(|(old, new)| old != new) {
                    let (session, block) = (at + 1, self.titled(earlier, variant));
                    said.push(EditionChange::BlockMinutes { session, block, now: *new, then: *old });
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
            let block = self.titled(earlier, variant);
            let to = came.remove(variant).unwrap_or_default();
            for (i, from) in from.iter().enumerate() {
                let (session, block) = (*from + 1, block.clone());
                said.push(match to.get(i) {
                    Some(to) => EditionChange::BlockMoved { session, block, to: to + 1 },
                    None => EditionChange::BlockLeftOut { session, block },
                });
            }
            said.extend(to.iter().skip(from.len()).map(|at| added(*at, block.clone())));
        }
        for (variant, at) in
            came.into_iter().flat_map(|(variant, all)| all.into_iter().map(move |at| (variant.clone(), at)))
        {
            said.push(added(at, self.titled(earlier, &variant)));
        }
        said.sort_by_key(EditionChange::session);
        said
    }

    /// The title of a variant's drill, with its stage and rung.
    fn titled(&self, earlier: &Edition, variant: &VariantId) -> Value {
        let VariantId { drill, .. } = variant;
        let found = self.drill(drill).or_else(|| earlier.drill(drill));
        variant.titled(found.map_or(drill.as_str(), |found| &found.title))
    }
}

impl EditionChange {
    /// The session that it is about, from 1; none for the whole edition.
    fn session(&self) -> usize {
        match self {
            EditionChange::BlockMinutes { session, .. }
            | EditionChange::BlockMoved { session, .. }
            | EditionChange::BlockLeftOut { session, .. }
            | EditionChange::BlockAdded { session, .. } => *session,
            _ => 0,
        }
    }
}
