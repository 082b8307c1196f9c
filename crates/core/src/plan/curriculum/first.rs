//! The first wishes of an academy that has neither a template nor an earlier season.

use std::collections::BTreeMap;

use jiff::civil::Date;

use super::{Curriculum, Goal, Testing};
use crate::academy::band::Band;
use crate::ground::fit::Ground;
use crate::ids::SkillId;
use crate::plan::Approach;
use crate::plan::forecast::Assumptions;
use crate::technique::skill::{Skill, Stage, Strand};
use crate::units::Share;

/// How many weeks at least and at most, and on which weekdays, until the director says otherwise.
const WEEKS: [u32; 2] = [10, 20];
const WEEKDAYS: [i8; 2] = [1, 4];
/// Weeks that a skill needs to come to Flow, once it is met.
const TO_FLOW: u32 = 2;

impl Curriculum {
    /// Wishes to begin with, made of nothing but the skills that a band begins: each of them to [`Stage::Flow`], or
    /// as far as another one needs it. What they need of other bands' skills is taken to be there, and is kept. Each
    /// strand has as large a share as it has of those skills. Two sessions a week, each as long as the band's, for as
    /// many weeks as it takes to meet all skills and bring the last of them to Flow, 10 to 20; approach balanced;
    /// measured on the way and at the end. All of that is an assumption, to be changed.
    ///
    /// A band in which no skill of the library begins takes those of the nearest of the `others` in age that has some.
    /// Nothing, if there is none.
    ///
    /// ```
    /// use jogo_core::plan::curriculum::Curriculum;
    /// use jogo_core::ground::fit::Ground;
    /// # let bands: Vec<jogo_core::academy::band::Band> =
    /// #     serde_json::from_str(include_str!("../../../../../demo/bands.json")).unwrap();
    /// let skills = serde_json::from_str::<Vec<_>>(r#"[{"id": "taps", "name": "Taps",
    ///     "strand": "ball_mastery", "band": "u6-u7", "needs": []}]"#).unwrap();
    /// let start = jiff::civil::date(2031, 9, 1);
    /// let wishes = Curriculum::first(&bands[0], &[], &skills, Ground::ASSUMED, start).unwrap();
    /// assert_eq!((wishes.goals.len(), wishes.weeks, wishes.minutes.len()), (1, 10, 20));
    /// ```
    pub fn first(
        band: &Band,
        others: &[Band],
        skills: &[Skill],
        ground: Ground,
        start: Date,
    ) -> Option<Curriculum> {
        let has_some = |band: &&Band| skills.iter().any(|skill| skill.band == band.id);
        let nearest = || Band::nearest(band.youngest, band.oldest, others.iter().filter(has_some));
        let of = Some(band).filter(has_some).or_else(nearest)?;
        let begun = || skills.iter().filter(|skill| skill.band == of.id);
        let mut needed: BTreeMap<SkillId, Stage> = BTreeMap::new();
        for need in begun().flat_map(Skill::all_needs) {
            let stage = needed.entry(need.skill).or_insert(need.stage);
            *stage = need.stage.max(*stage);
        }
        let mut goals: Vec<Goal> = Vec::new();
        for Skill { id, .. } in begun() {
            let goal = needed.remove(id).map_or(Stage::Flow, |stage| stage.max(Stage::Flow));
            goals.push(Goal::new(id.clone(), None, goal));
        }
        if goals.is_empty() {
            return None;
        }
        let met_in = (goals.len() as u32).div_ceil(band.new_skills_per_week.max(1));
        let weeks = (met_in + TO_FLOW).clamp(WEEKS[0], WEEKS[1]);
        let there = |(skill, stage)| Goal::new(skill, Some(stage), stage);
        goals.extend(needed.into_iter().map(there));
        let of = |strand: Strand| begun().filter(|skill| skill.strand == strand).count() as f64;
        let share = |strand| (strand, Share(of(strand) / begun().count() as f64));
        Some(Curriculum {
            name: band.name.clone(),
            band: band.id.clone(),
            start,
            weeks,
            weekdays: WEEKDAYS.to_vec(),
            minutes: vec![band.session; weeks as usize * WEEKDAYS.len()],
            shares: Strand::ALL.map(share).into(),
            approach: Approach::BALANCED,
            goals,
            ground,
            holidays: Vec::new(),
            days_off: Vec::new(),
            themes: BTreeMap::new(),
            weekly: Vec::new(),
            mastery: Vec::new(),
            testing: Testing::USUAL,
            tests: Vec::new(),
            side: None,
            locks: Vec::new(),
            forecast: Assumptions::default(),
        })
    }
}
