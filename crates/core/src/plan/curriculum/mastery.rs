//! Mastery before moving on: which skills does a squad begin only when it is ready for them?

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::Curriculum;
use crate::assessment::benchmarks::Test;
use crate::fact::Fact;
use crate::ids::SkillId;
use crate::input::RangeFault;
use crate::plan::SkillWish;
use crate::plan::hinge::Hinge;
use crate::technique::skill::{Gate, Skill};
use crate::units::Share;

/// A skill that a squad begins only when it is ready.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Mastery {
    /// Which skill; it counts while the skill is a goal that the squad has not met.
    pub skill: SkillId,
    /// Which share of the squad has to pass the gate of the skill; `None` where the coach says when it begins.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub share: Option<Share>,
}

impl Mastery {
    /// What is wrong with it on its own.
    pub(super) fn fault(&self) -> Option<Fact> {
        let share = self.share?;
        let sound = share.0 > 0.0 && share.0 <= 1.0;
        (!sound).then(|| RangeFault::Percent { percent: share.percent() }.into())
    }

    /// How many players of a squad have to pass the gate: its share of them, at least one.
    ///
    /// ```
    /// use jogo_core::plan::curriculum::Mastery;
    /// use jogo_core::units::Share;
    /// let wish = |share| Mastery { skill: "drag-turn".parse().unwrap(), share };
    /// assert_eq!(wish(Some(Share(0.6))).players_of(16), Some(10)); // 9.6
    /// assert_eq!(wish(Some(Share(0.5))).players_of(16), Some(8));
    /// assert_eq!(wish(None).players_of(16), None);
    /// ```
    pub fn players_of(&self, squad: usize) -> Option<usize> {
        // A share like 0.6 of 15 is nine, though it is a little more in binary.
        self.share.map(|share| ((share.0 * squad as f64 - 1e-9).ceil() as usize).max(1))
    }
}

impl Curriculum {
    /// The hinges of goals that the squad has not met yet; meanwhile it works at what the goal needs, and at what the
    /// test measures that its gate asks for.
    pub(super) fn hinges(
        &self,
        wishes: &[SkillWish],
        skills: &BTreeMap<&str, &Skill>,
        tests: &[Test],
    ) -> Vec<Hinge> {
        let measured = |skill: &SkillId| match &skills.get(skill.as_str())?.gate {
            Some(Gate::Test { test, .. }) => {
                tests.iter().find(|known| known.id == *test).map(|test| &test.skill)
            }
            _ => None,
        };
        let hinge = |mastery: &Mastery| {
            let unmet = |wish: &&SkillWish| wish.id == mastery.skill && wish.present.is_none();
            let wish = wishes.iter().find(unmet)?;
            let worked_at = measured(&wish.id).into_iter().chain(wish.needs.iter().map(|need| &need.skill));
            let is_goal = |id: &&SkillId| **id != wish.id && wishes.iter().any(|other| other.id == **id);
            let mut meanwhile: Vec<SkillId> = worked_at.filter(is_goal).cloned().collect();
            meanwhile.dedup();
            Some(Hinge { skill: wish.id.clone(), meanwhile })
        };
        self.mastery.iter().filter_map(hinge).collect()
    }
}
