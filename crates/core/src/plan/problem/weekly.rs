//! What should come up every week, and how often?

use serde::{Deserialize, Serialize};

use super::{Problem, ProblemFault, Variant};
use crate::fact::Value;
use crate::ids::{DrillId, SkillId};
use crate::input::InputError;

/// A skill or drill that should come up every week, in a number of sessions between two limits.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Weekly {
    /// What should come up.
    pub of: WeeklyOf,
    /// The fewest sessions of a week; all of them, if the week has fewer.
    pub least: u32,
    /// The most sessions of a week.
    pub most: u32,
}

/// What can be wished for every week.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum WeeklyOf {
    /// A skill, at whichever stage and with whichever foot.
    Skill(SkillId),
    /// A drill, at whichever rung.
    Drill(DrillId),
}

impl Weekly {
    /// The most wishes of a problem.
    pub const MOST_WISHES: usize = 20;

    /// What is wrong with it on its own.
    pub fn fault(&self) -> Option<InputError> {
        let sound = self.least <= self.most && (1..=7).contains(&self.most);
        (!sound).then(|| InputError::at("/most", ProblemFault::WeeklyTimes { most: 7 }))
    }

    /// Whether a variant is one of the times.
    ///
    /// ```
    /// use jogo_core::plan::{Variant, Weekly, WeeklyOf};
    /// use jogo_core::technique::skill::Stage;
    /// let weave = Variant::of(&"weave-six".parse().unwrap(), Stage::Flow, &["weave".parse().unwrap()]);
    /// let twice = |of| Weekly { of, least: 2, most: 3 };
    /// assert!(twice(WeeklyOf::Skill("weave".parse().unwrap())).is_served_by(&weave));
    /// assert!(!twice(WeeklyOf::Drill("weave-five-ways".parse().unwrap())).is_served_by(&weave));
    /// ```
    pub fn is_served_by(&self, variant: &Variant) -> bool {
        match &self.of {
            WeeklyOf::Skill(skill) => variant.skills.iter().any(|shown| shown.is_of(skill)),
            WeeklyOf::Drill(drill) => variant.drill == *drill,
        }
    }

    /// How many times are missing, or too many, in a week with this number of sessions.
    ///
    /// ```
    /// use jogo_core::plan::{Weekly, WeeklyOf};
    /// let wish = Weekly { of: WeeklyOf::Skill("weave".parse().unwrap()), least: 2, most: 3 };
    /// assert_eq!([0, 1, 2, 3, 4].map(|times| wish.off(times, 5)), [2, 1, 0, 0, 1]);
    /// assert_eq!(wish.off(1, 1), 0); // a week with one session has no room for two
    /// ```
    pub fn off(&self, times: u32, sessions: u32) -> u32 {
        self.least.min(sessions).saturating_sub(times) + times.saturating_sub(self.most)
    }

    /// What people call it.
    pub fn said(&self, problem: &Problem) -> Value {
        match &self.of {
            WeeklyOf::Skill(skill) => problem.name(skill),
            WeeklyOf::Drill(drill) => {
                let variant = problem.variants.iter().find(|variant| variant.drill == *drill);
                variant.map_or_else(|| drill.clone().into(), |variant| variant.title.clone().into())
            }
        }
    }
}

impl Problem {
    /// From which session on each weekly wish can be served at the soonest (H2, H3); `None` if no variant may serve it.
    /// Sessions before it do not count for S13.
    pub fn weekly_from(&self) -> Vec<Option<usize>> {
        let soonest = self.soonest();
        let from = |variant: &Variant| {
            let of_skill = |id: &SkillId| {
                let at = self.skill_index(id)?;
                match self.skills[at].has_done(variant.stage) {
                    true => Some(0),
                    false => soonest[at][variant.stage.index()].map(|soonest| soonest.begins),
                }
            };
            variant.skills.iter().map(of_skill).try_fold(0, |latest, from| Some(latest.max(from?)))
        };
        let of_wish = |wish: &Weekly| {
            let serves = |variant: &&Variant| variant.barred.is_none() && wish.is_served_by(variant);
            self.variants.iter().filter(serves).filter_map(from).min()
        };
        self.weekly.iter().map(of_wish).collect()
    }
}
