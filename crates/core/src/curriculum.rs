//! The curriculum: what is wished for, in which weeks?
//!
//! A curriculum holds the director's wishes; [`Curriculum::problem`] joins them with the library into the problem that
//! the planner solves.

use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::{Date, Weekday};
use serde::{Deserialize, Serialize};

use crate::academy::Academy;
use crate::band::{Band, BandId};
use crate::calendar::{Evening, evenings};
use crate::drill::{Drill, Rung};
use crate::fit::{Ground, fit, laying_out};
use crate::input::{InputError, short_text};
use crate::library::allowed;
use crate::plan::{Approach, Problem, SessionWish, SkillWish, Variant};
use crate::skill::{Need, Skill, SkillId, Stage, Strand};
use crate::units::{Minutes, Pace, Share};

/// A skill to be reached.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Goal {
    /// Which skill.
    pub skill: SkillId,
    /// How far the squad has come with it; nothing if it has not met it.
    pub present: Option<Stage>,
    /// How far it is to come.
    pub goal: Stage,
}

/// What the director wishes for one band.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Curriculum {
    /// As people say it: "Autumn with the ball".
    pub name: String,
    /// For which band.
    pub band: BandId,
    /// First day of the first week.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub start: Date,
    /// How many weeks, 1 to 20.
    pub weeks: u32,
    /// Weekdays with a session, Monday 1 to Sunday 7.
    pub weekdays: Vec<i8>,
    /// Technical minutes of each session, in order of their dates.
    pub minutes: Vec<Minutes>,
    /// How the minutes are to be shared among the strands, summing to one.
    pub shares: BTreeMap<Strand, Share>,
    /// How many exposures each stage needs.
    pub approach: Approach,
    /// Skills to be reached.
    pub goals: Vec<Goal>,
    /// The floor, kit and squad to plan for.
    pub ground: Ground,
}

impl Curriculum {
    /// Its evenings, in order.
    pub fn evenings(&self) -> Vec<Evening> {
        evenings(self.start, self.weeks, &self.days())
    }

    fn days(&self) -> Vec<Weekday> {
        self.weekdays.iter().filter_map(|d| Weekday::from_monday_one_offset(*d).ok()).collect()
    }

    /// Every fault of the wishes, each with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        let mut wrong = |at: String, detail: String| faults.push(InputError::at(at, detail));
        if let Err(detail) = short_text(&self.name, 80) {
            wrong("/name".into(), detail);
        }
        if !(1..=20).contains(&self.weeks) {
            wrong("/weeks".into(), format!("{} weeks: a curriculum has 1 to 20", self.weeks));
        }
        let distinct: BTreeSet<_> = self.weekdays.iter().collect();
        if self.weekdays.is_empty()
            || distinct.len() < self.weekdays.len()
            || self.days().len() < self.weekdays.len()
        {
            wrong("/weekdays".into(), "choose one to seven different weekdays, Monday 1 to Sunday 7".into());
        }
        // Only counted once the weeks are known to be few.
        let sessions = if self.weeks <= 20 { self.evenings().len() } else { self.minutes.len() };
        if self.minutes.len() != sessions {
            wrong(
                "/minutes".into(),
                format!("{} numbers for {sessions} sessions: give one for each", self.minutes.len()),
            );
        }
        for (i, minutes) in self.minutes.iter().enumerate().filter(|(_, m)| !(1..=240).contains(&m.0)) {
            wrong(format!("/minutes/{i}"), format!("{} minutes: a session has 1 to 240", minutes.0));
        }
        let all: Share = self.shares.values().copied().sum();
        for (strand, share) in self.shares.iter().filter(|(_, s)| !(0.0..=1.0).contains(&s.0)) {
            let key = format!("{strand}").replace(' ', "_");
            wrong(
                format!("/shares/{key}"),
                format!("{} %: a share lies between 0 and 100 %", share.percent()),
            );
        }
        if (all.0 - 1.0).abs() > 0.005 {
            wrong("/shares".into(), format!("the shares sum to {:.0} %: make them 100 %", all.percent()));
        }
        for (i, n) in self.approach.exposures.iter().enumerate().filter(|(_, n)| !(1..=10).contains(*n)) {
            wrong(format!("/approach/exposures/{i}"), format!("{n} exposures: a stage needs 1 to 10"));
        }
        let mut seen = BTreeSet::new();
        for (i, goal) in self.goals.iter().enumerate() {
            if !seen.insert(&goal.skill) {
                wrong(format!("/goals/{i}/skill"), format!("`{}` stands here twice: keep one", goal.skill));
            }
        }
        if self.goals.is_empty() {
            wrong("/goals".into(), "choose at least one skill to reach".into());
        }
        faults.extend(self.ground.faults().into_iter().map(|fault| fault.inside("/ground")));
        faults
    }

    /// Joins the wishes with the library into a problem for the planner.
    ///
    /// A drill takes part if the band does it and it is not blocked, it stands on the ground, and every skill that it serves at a stage is
    /// among the goals. Errs with the faults of the wishes, of skills that the library lacks, and of needs that no goal
    /// serves.
    pub fn problem(
        &self,
        academy: &Academy,
        band: &Band,
        skills: &[Skill],
        drills: &[Drill],
    ) -> Result<Problem, Vec<InputError>> {
        let mut faults = self.faults();
        let by_id: BTreeMap<&str, &Skill> = skills.iter().map(|s| (s.id.as_str(), s)).collect();
        let wanted: BTreeSet<&str> = self.goals.iter().map(|g| g.skill.as_str()).collect();
        let mut wishes = Vec::new();
        for (i, goal) in self.goals.iter().enumerate() {
            let Some(skill) = by_id.get(goal.skill.as_str()) else {
                faults.push(InputError::at(
                    format!("/goals/{i}/skill"),
                    format!("the library has no skill `{}`", goal.skill),
                ));
                continue;
            };
            let missing = |need: &Need| goal.present.is_none() && !wanted.contains(need.skill.as_str());
            for need in skill.all_needs().filter(missing) {
                let needed = by_id.get(need.skill.as_str()).map_or(need.skill.as_str(), |s| s.name.as_str());
                faults.push(InputError::at(
                    format!("/goals/{i}/skill"),
                    format!("“{}” needs “{needed}” at {}: add it to the goals", skill.name, need.stage),
                ));
            }
            wishes.push(SkillWish {
                id: skill.id.clone(),
                name: skill.name.clone(),
                strand: skill.strand,
                present: goal.present,
                goal: goal.goal,
                needs: skill.all_needs().filter(|need| wanted.contains(need.skill.as_str())).collect(),
            });
        }
        if !faults.is_empty() {
            return Err(faults);
        }
        Ok(Problem {
            version: 1,
            new_skills_per_week: band.new_skills_per_week,
            sessions: self
                .evenings()
                .into_iter()
                .zip(&self.minutes)
                .map(|(evening, minutes)| SessionWish {
                    date: evening.date,
                    week: evening.week,
                    minutes: *minutes,
                })
                .collect(),
            shares: self.shares.clone(),
            approach: self.approach,
            skills: wishes,
            variants: allowed(drills, band, academy)
                .flat_map(|drill| self.variants(drill, academy, band, &wanted))
                .collect(),
        })
    }

    fn variants(
        &self,
        drill: &Drill,
        academy: &Academy,
        band: &Band,
        wanted: &BTreeSet<&str>,
    ) -> Vec<Variant> {
        let of_stage = |(stage, rung): (Stage, &Rung)| {
            let skills: Vec<SkillId> = drill.skills_at(stage).cloned().collect();
            if skills.is_empty() || !skills.iter().all(|skill| wanted.contains(skill.as_str())) {
                return None;
            }
            let layout = drill.layout_at(&rung.levers, Pace::default()).ok()?;
            let fit = fit(&layout, &drill.station, &self.ground, None);
            if !fit.fits {
                return None;
            }
            let (least, most) = drill.minutes(drill.schedule(band, &layout)?, band, drill.turns(&fit))?;
            Some(Variant {
                id: format!("{}@{stage}", drill.id).to_lowercase(),
                drill: drill.id.clone(),
                stage,
                skills,
                strands: drill.strands.clone(),
                least,
                most,
                laying_out: laying_out(fit.markers_needed, self.ground.adults),
                difficulty: drill.difficulty_at(&rung.levers, &academy.lever_points),
            })
        };
        drill.stages(&academy.lever_points).into_iter().filter_map(of_stage).collect()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::units::Metres;
    use jiff::civil::date;
    use rstest::rstest;

    fn sound() -> Curriculum {
        Curriculum {
            name: "Autumn with the ball".into(),
            band: "u8-u9".into(),
            start: date(2031, 9, 1),
            weeks: 2,
            weekdays: vec![1, 4],
            minutes: vec![Minutes(40); 4],
            shares: [(Strand::BallMastery, Share(0.6)), (Strand::Passing, Share(0.4))].into(),
            approach: Approach::BALANCED,
            goals: vec![Goal { skill: "taps".into(), present: None, goal: Stage::Flow }],
            ground: Ground {
                width: Metres(18.0),
                depth: Metres(12.0),
                margin: Metres(2.0),
                run_off: Metres(1.0),
                squad: 14,
                markers: 60,
                adults: 1,
            },
        }
    }

    #[rstest]
    #[case::nothing_wrong(|_: &mut Curriculum| (), &[])]
    #[case::no_name(|c: &mut Curriculum| c.name.clear(), &["/name"])]
    #[case::a_century(|c: &mut Curriculum| c.weeks = 5200, &["/weeks"])]
    #[case::eighth_day(|c: &mut Curriculum| c.weekdays = vec![1, 8], &["/weekdays", "/minutes"])]
    #[case::a_session_too_few(|c: &mut Curriculum| { c.minutes.pop(); }, &["/minutes"])]
    #[case::no_time_at_all(|c: &mut Curriculum| c.minutes[2] = Minutes(0), &["/minutes/2"])]
    #[case::more_than_all(|c: &mut Curriculum| { c.shares.insert(Strand::Passing, Share(0.9)); }, &["/shares"])]
    #[case::not_a_number(|c: &mut Curriculum| { c.shares.insert(Strand::Passing, Share(f64::NAN)); }, &["/shares/passing"])]
    #[case::a_goal_twice(|c: &mut Curriculum| c.goals.push(c.goals[0].clone()), &["/goals/1/skill"])]
    #[case::nobody_comes(|c: &mut Curriculum| c.ground.squad = 0, &["/ground/squad"])]
    fn faults_name_their_places(#[case] spoil: fn(&mut Curriculum), #[case] places: &[&str]) {
        let mut curriculum = sound();
        spoil(&mut curriculum);
        let found: Vec<String> = curriculum.faults().into_iter().map(|f| f.pointer).collect();
        assert_eq!(found, places);
    }
}
