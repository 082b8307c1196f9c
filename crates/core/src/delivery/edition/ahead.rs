//! What lies ahead: which week comes next, and which skills come in it?

use std::collections::BTreeMap;

use jiff::civil::{Date, Weekday};

use super::Edition;
use crate::ids::SkillId;
use crate::technique::skill::Stage;

/// A week that lies ahead.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Ahead {
    /// Its first session.
    pub from: Date,
    /// Which week of the curriculum, from 1.
    pub week: u32,
    /// The skills that are worked on in it, each with its furthest stage.
    pub skills: BTreeMap<SkillId, Stage>,
}

impl Edition {
    /// The week after that of a day, or, in a break, the next one with sessions; `None` if no session lies ahead.
    pub fn week_after(&self, day: Date) -> Option<Ahead> {
        let monday = day.nth_weekday(1, Weekday::Monday).ok()?;
        let session_days = self.curriculum.session_days();
        let first = session_days.iter().find(|session_day| session_day.date >= monday)?;
        let of_week = session_days.iter().zip(&self.plan.sessions).filter(|(e, _)| e.week == first.week);
        let mut skills: BTreeMap<SkillId, Stage> = BTreeMap::new();
        for variant in of_week.flat_map(|(_, blocks)| blocks).map(|block| &block.variant) {
            for skill in
                self.drill(&variant.drill).into_iter().flat_map(|drill| drill.skills_at(variant.stage))
            {
                let furthest = skills.entry(skill.clone()).or_insert(variant.stage);
                *furthest = variant.stage.max(*furthest);
            }
        }
        Some(Ahead { from: first.date, week: first.week, skills })
    }
}
