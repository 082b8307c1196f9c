//! What keeps a goal from being shown.

use serde::Serialize;

use super::{BenchmarkMend, Done, GoalLine, Looking};
use crate::assessment::milestones::Milestone;
use crate::fact::{Fact, facts};
use crate::ids::{MilestoneId, SkillId, TestId};
use crate::plan::SkillWish;
use crate::technique::skill::Stage;

facts! {
    /// What is amiss with a benchmark map.
    pub enum MapFound {
        NoMilestone = "benchmarks-no-milestone" { skill: String, stage: Stage },
        NotReached = "benchmarks-not-reached" { skill: String, stage: Stage, milestone: String },
        NoSession = "benchmarks-no-session" { milestone: String, test: String },
        NoLook = "benchmarks-no-look" { milestone: String, days: u32, asks: u32 },
        FewDates = "benchmarks-few-dates" { milestone: String, test: String, dates: u32, asks: u32 },
        TooEarly = "benchmarks-too-early" { milestone: String, test: String, session: usize, skill: String, stage: Stage },
        NoStandard = "benchmarks-no-standard" { milestone: String, test: String },
        TakenAlone = "benchmarks-taken-alone" { milestone: String, stage: Stage },
        Untaught = "benchmarks-untaught" { milestone: String, skill: String },
    }
}

/// Something that keeps a goal from being shown, and what mends it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchmarkFinding {
    /// What is amiss.
    pub says: Fact,
    /// The skill that it is about.
    pub skill: SkillId,
    /// The milestone, if it is about one.
    pub milestone: Option<MilestoneId>,
    /// What mends it in a single step; `None` if nothing does.
    pub mend: Option<BenchmarkMend>,
}

/// Every finding, in the order of the goals; last the milestones that nobody teaches for.
pub(super) fn of(looking: &Looking<'_>, lines: &[GoalLine]) -> Vec<BenchmarkFinding> {
    let mut findings = Vec::new();
    for (wish, line) in looking.given.problem.goals().zip(lines) {
        if !line.milestones.iter().any(|milestone| milestone.stage == wish.goal) {
            let says = MapFound::NoMilestone { skill: wish.name.clone(), stage: wish.goal };
            findings.push(BenchmarkFinding {
                says: says.into(),
                skill: wish.id.clone(),
                milestone: None,
                mend: looking.proposed(&wish.id, wish.goal),
            });
        }
        let on_way =
            looking.milestones_of(&wish.id).filter(|m| m.stage <= wish.goal && !wish.has_done(m.stage));
        for milestone in on_way {
            looking.milestone_findings(wish, milestone, &mut findings);
        }
    }
    findings.extend(looking.untaught());
    findings
}

impl Looking<'_> {
    fn milestone_findings(
        &self,
        wish: &SkillWish,
        milestone: &Milestone,
        findings: &mut Vec<BenchmarkFinding>,
    ) {
        let mut found = |says: MapFound, mend: Option<BenchmarkMend>| {
            let (skill, milestone) = (wish.id.clone(), Some(milestone.id.clone()));
            findings.push(BenchmarkFinding { says: says.into(), skill, milestone, mend });
        };
        let says = || milestone.says.clone();
        let stage = milestone.stage;
        if stage >= Stage::Scan && milestone.evidence.seen().is_none() {
            found(MapFound::TakenAlone { milestone: says(), stage }, self.with_points(milestone));
        }
        if let Some(rule) = milestone.evidence.measured().filter(|rule| self.standard(rule) == Some(false)) {
            let mend = self.standard_for(&rule.test);
            found(MapFound::NoStandard { milestone: says(), test: self.test_name(&rule.test) }, mend);
        }
        let done = self.done(wish, stage);
        if done == Done::Never {
            found(MapFound::NotReached { skill: wish.name.clone(), stage, milestone: says() }, None);
            return;
        }
        if let Some(rule) = milestone.evidence.measured() {
            let (taken, test) = (self.sittings(&rule.test), self.test_name(&rule.test));
            let (dates, asks) = (self.dates(done, &taken), rule.times);
            let early = taken.iter().copied().find(|session| !done.is_before(*session));
            let missing = asks.saturating_sub(dates);
            match early {
                _ if missing == 0 => (),
                Some(session) if taken.len() >= asks as usize => {
                    // Where several dates are missing, moving one of them is not enough.
                    let mend = match missing {
                        1 => self.moved(milestone, &rule.test, session),
                        _ => self.scheduled(milestone, &rule.test, missing, &[]),
                    };
                    let (milestone, skill) = (says(), wish.name.clone());
                    found(MapFound::TooEarly { milestone, test, session: session + 1, skill, stage }, mend);
                }
                _ => {
                    let mend = self.scheduled(milestone, &rule.test, missing, &[]);
                    let says = match dates {
                        0 => MapFound::NoSession { milestone: says(), test },
                        dates => MapFound::FewDates { milestone: says(), test, dates, asks },
                    };
                    found(says, mend);
                }
            }
        }
        if let Some(rule) = milestone.evidence.seen() {
            let looks = self.looks(wish, stage, rule);
            let days = looks.len() as u32;
            if days < rule.days {
                let mend = self.scheduled(milestone, &rule.test, rule.days - days, &looks);
                found(MapFound::NoLook { milestone: says(), days, asks: rule.days }, mend);
            }
        }
    }

    /// Milestones of the band whose skill nobody teaches this year.
    fn untaught(&self) -> Vec<BenchmarkFinding> {
        let library = self.given.library;
        let taught = |skill: &SkillId| {
            self.given.problem.skill_index(skill).is_some() || library.taught_elsewhere.contains(skill)
        };
        let of_band = library.milestones.iter().filter(|m| m.band == self.given.curriculum.band);
        let finding = |milestone: &Milestone| {
            let skill = library.skills.iter().find(|skill| skill.id == milestone.skill);
            let name = skill.map_or_else(|| milestone.skill.to_string(), |skill| skill.name.clone());
            BenchmarkFinding {
                says: MapFound::Untaught { milestone: milestone.says.clone(), skill: name }.into(),
                skill: milestone.skill.clone(),
                milestone: Some(milestone.id.clone()),
                mend: Some(self.taught(&milestone.skill, milestone.stage)),
            }
        };
        of_band.filter(|milestone| !taught(&milestone.skill)).map(finding).collect()
    }

    pub(super) fn test_name(&self, test: &TestId) -> String {
        let known = self.given.library.tests.iter().find(|known| known.id == *test);
        known.map_or_else(|| test.to_string(), |test| test.name.clone())
    }
}
