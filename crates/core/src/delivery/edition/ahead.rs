//! What lies ahead: which week comes next, and which skills come in it?

use std::collections::BTreeSet;

use jiff::civil::{Date, Weekday};

use super::Edition;
use crate::ids::SkillId;

/// A week that lies ahead.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Ahead {
    /// Its first evening.
    pub from: Date,
    /// Which week of the curriculum, from 1.
    pub week: u32,
    /// The skills that its drills serve.
    pub skills: BTreeSet<SkillId>,
}

impl Edition {
    /// The week after that of a day, or, in a break, the next one with evenings; nothing if no evening lies ahead.
    pub fn week_after(&self, day: Date) -> Option<Ahead> {
        let monday = day.nth_weekday(1, Weekday::Monday).ok()?;
        let evenings = self.curriculum.evenings();
        let first = evenings.iter().find(|evening| evening.date >= monday)?;
        let of_week = evenings.iter().zip(&self.plan.sessions).filter(|(e, _)| e.week == first.week);
        let variants = of_week.flat_map(|(_, blocks)| blocks).map(|block| &block.variant);
        let served = variants.filter_map(|variant| self.drill(&variant.drill)).flat_map(|d| &d.serves);
        let skills = served.map(|serves| serves.skill.clone()).collect();
        Some(Ahead { from: first.date, week: first.week, skills })
    }
}
