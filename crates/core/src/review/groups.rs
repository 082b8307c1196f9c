//! Groups for next week: who consolidates, who moves on, who works on the other foot?

use std::collections::{BTreeMap, BTreeSet};

use serde::Serialize;

use crate::assessment::levels::Level;
use crate::assessment::milestones::ready::Stands;
use crate::assessment::milestones::{Milestone, MilestoneState};
use crate::ids::{MilestoneId, SkillId, TestId};
use crate::technique::skill::Stage;
use crate::units::Share;

/// What a player does next week.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Group {
    /// Goes one up.
    MoveOn,
    /// Works on the other foot.
    OtherFoot,
    /// Stays with it until it is there.
    Consolidate,
}

/// Why a player is in a group.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Reason {
    /// Nothing was measured or seen yet.
    NothingSeen,
    /// They were away whenever these were shown.
    Away {
        /// Skills that the squad has met.
        skills: Vec<SkillId>,
    },
    /// These are not met.
    Missing {
        /// Milestones.
        milestones: Vec<MilestoneId>,
    },
    /// All of these are met.
    AllMet {
        /// Milestones.
        milestones: Vec<MilestoneId>,
    },
    /// The strong foot is Secure or better, and the other one is behind by more than the noise of the test.
    OtherFoot {
        /// In which test.
        test: TestId,
        /// By how much, as a share of the strong foot's result.
        deficit: Share,
    },
}

/// A test in which the other foot is called behind, and the level of the strong one.
#[derive(Clone, Debug, PartialEq)]
pub struct FootBehind {
    /// In which test.
    pub test: TestId,
    /// By how much, as a share.
    pub deficit: f64,
    /// How good the strong foot is.
    pub strong: Option<Level>,
}

/// In which order a coach decides on players: those who move on, then those who work on the other foot, then the
/// others, and among them whoever is nearest to having everything. The smaller comes first.
pub fn urgency(group: Group, stands: &[Stands<'_>]) -> (Group, usize) {
    (group, stands.iter().filter(|(_, standing)| !standing.state.is_had()).count())
}

/// The milestones by which groups for a week are made: those of the skills that are worked on in it, up to the furthest
/// stage that they are worked on at; or all of them if none of those skills has such a milestone.
///
/// ```
/// # use std::collections::BTreeMap;
/// use jogo_core::review::groups::of_week;
/// assert!(of_week(&[], &BTreeMap::new()).is_empty());
/// ```
pub fn of_week(milestones: &[&Milestone], worked_on: &BTreeMap<SkillId, Stage>) -> BTreeSet<MilestoneId> {
    let in_week = |milestone: &&&Milestone| {
        worked_on.get(&milestone.skill).is_some_and(|furthest| milestone.stage <= *furthest)
    };
    let any = milestones.iter().any(|milestone| in_week(&milestone));
    let counted = milestones.iter().filter(|milestone| !any || in_week(milestone));
    counted.map(|milestone| milestone.id.clone()).collect()
}

/// The group of a player for next week, by the milestones of what comes then.
///
/// Whoever has them all moves on. `not_met` are the skills that the player was away for whenever they were shown: if a
/// missing milestone asks for one of them, that is consolidated first. Of the rest, whoever is Secure with the strong
/// foot and clearly behind with the other one, in a test that a missing milestone rests on, works on that, where the
/// deficit is largest; everybody else consolidates.
pub fn next_week(
    stands: &[Stands<'_>],
    behind: &[FootBehind],
    not_met: &BTreeSet<SkillId>,
) -> (Group, Reason) {
    let ids = |had: bool| -> Vec<MilestoneId> {
        stands.iter().filter(|(_, s)| s.state.is_had() == had).map(|(m, _)| m.id.clone()).collect()
    };
    let (met, missing) = (ids(true), ids(false));
    if missing.is_empty() && !met.is_empty() {
        return (Group::MoveOn, Reason::AllMet { milestones: met });
    }
    let still_missing = stands.iter().filter(|(_, standing)| !standing.state.is_had());
    let away: BTreeSet<&SkillId> = still_missing
        .map(|(milestone, _)| &milestone.skill)
        .filter(|skill| not_met.contains(*skill))
        .collect();
    if !away.is_empty() {
        return (Group::Consolidate, Reason::Away { skills: away.into_iter().cloned().collect() });
    }
    let asked = |test: &TestId| stands.iter().any(|(m, s)| !s.state.is_had() && m.evidence.rests_on(test));
    let able =
        |foot: &&FootBehind| foot.strong.is_some_and(|level| level >= Level::Secure) && asked(&foot.test);
    let able = behind.iter().filter(able);
    if let Some(worst) = able.max_by(|a, b| a.deficit.total_cmp(&b.deficit)) {
        let reason = Reason::OtherFoot { test: worst.test.clone(), deficit: Share(worst.deficit) };
        return (Group::OtherFoot, reason);
    }
    if stands.iter().all(|(_, standing)| standing.state == MilestoneState::NotSeen) {
        return (Group::Consolidate, Reason::NothingSeen);
    }
    (Group::Consolidate, Reason::Missing { milestones: missing })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::assessment::milestones::{Evidence, Seen};
    use crate::ids::called;
    use rstest::rstest;

    // By hand: a week that works on turns up to Flow counts what shows turns at Form and at Flow, and nothing of Scan;
    // a week whose skills have no such milestone counts them all.
    #[rstest]
    #[case::up_to_its_stage(&[("turns", Stage::Flow)], &["turns-form", "turns-flow"])]
    #[case::further(&[("turns", Stage::Contest), ("taps", Stage::Form)], &["turns-form", "turns-flow", "turns-scan"])]
    #[case::nothing_of_them(&[("taps", Stage::Form)], &["taps-flow", "turns-form", "turns-flow", "turns-scan"])]
    #[case::no_week(&[], &["taps-flow", "turns-form", "turns-flow", "turns-scan"])]
    fn a_week_counts_what_it_works_on(#[case] worked_on: &[(&str, Stage)], #[case] counted: &[&str]) {
        let milestone = |skill: &str, stage: Stage| Milestone {
            id: called(&format!("{skill}-{}", stage.word())),
            says: "I can".into(),
            short: "Can".into(),
            skill: called(skill),
            stage,
            band: called("u8-u9"),
            evidence: Evidence::Seen(Seen { test: called("seen"), points: vec![], days: 1 }),
        };
        let all = [
            milestone("turns", Stage::Form),
            milestone("turns", Stage::Flow),
            milestone("turns", Stage::Scan),
            milestone("taps", Stage::Flow),
        ];
        let all: Vec<&Milestone> = all.iter().collect();
        let worked_on = worked_on.iter().map(|(skill, stage)| (called(skill), *stage)).collect();
        assert_eq!(of_week(&all, &worked_on), counted.iter().map(|id| called(id)).collect());
    }
}
