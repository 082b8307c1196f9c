//! The progress sheet: how far has a player come, what is new, what comes next, and what can be told at home?

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::Serialize;

use crate::assessment::milestones::MilestoneState;
use crate::assessment::milestones::ready::{Readiness, Stands, for_skill, stage_reached};
use crate::assessment::reliability::Repeatability;
use crate::assessment::results::TestResult;
use crate::fact::facts;
use crate::ids::TestId;
use crate::technique::skill::{Skill, Strand};

/// How many milestones of a strand a player had by a date.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LinePoint {
    /// The date.
    #[cfg_attr(feature = "openapi", schema(value_type = String))]
    pub date: Date,
    /// As many.
    pub had: u32,
}

/// The line of a strand over time.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StrandLine {
    /// Which strand.
    pub strand: Strand,
    /// All milestones of the strand.
    pub of: u32,
    /// In the order of the dates.
    pub points: Vec<LinePoint>,
}

/// The four lines, from where a player stood with each milestone on each date.
pub fn lines(dates: &[(Date, Vec<(Strand, MilestoneState)>)]) -> [StrandLine; 4] {
    Strand::ALL.map(|strand| {
        let of_strand = |stands: &[(Strand, MilestoneState)], had: bool| {
            stands.iter().filter(|(of, state)| *of == strand && (!had || state.is_had())).count() as u32
        };
        StrandLine {
            strand,
            of: dates.last().map_or(0, |(_, stands)| of_strand(stands, false)),
            points: dates
                .iter()
                .map(|(date, stands)| LinePoint { date: *date, had: of_strand(stands, true) })
                .collect(),
        }
    })
}

/// A result beside the one before of the same player, test and side.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Change<'a, P> {
    /// The result.
    pub result: &'a TestResult<P>,
    /// By how much it differs from the one before; `None` for the first.
    pub by: Option<f64>,
    /// Whether that is more than the noise of the test; `None` while too little is known of it.
    pub real: Option<bool>,
}

/// Results with their changes, in the order in which they stand: by date within each player, test and side.
pub fn changes<'a, P: Ord + Copy>(
    results: &'a [TestResult<P>],
    known: impl Fn(&TestId) -> Option<Repeatability>,
) -> Vec<Change<'a, P>> {
    let mut before = BTreeMap::new();
    let change = |result: &'a TestResult<P>| {
        let last = before.insert((result.player, &result.test, result.side), result.value);
        let by = last.map(|last| result.value - last);
        let real = by.and_then(|by| Some(known(&result.test)?.is_real(by)));
        Change { result, by, real }
    };
    results.iter().map(change).collect()
}

/// The skills that have come to no stage yet, those that the player is ready for first. `passed` says whether a skill's
/// gate is passed.
pub fn next_skills<'s>(
    skills: impl Iterator<Item = &'s Skill>,
    stands: &[Stands<'_>],
    passed: impl Fn(&Skill) -> Option<bool>,
) -> Vec<(&'s Skill, Readiness)> {
    let open = skills.filter(|skill| stage_reached(stands, &skill.id).is_none());
    let mut next: Vec<_> = open.map(|skill| (skill, for_skill(skill, stands, passed(skill)))).collect();
    next.sort_by_key(|(_, readiness)| readiness.missing.len());
    next
}

/// How many sentences say what a child is working on.
const WORKING_ON: usize = 3;

facts! {
    /// A sentence for guardians.
    pub enum NoteLine {
        Seen = "note-seen" { name: String },
        WorkingOn = "note-working-on" { name: String },
        Milestone = "note-milestone" { says: String },
        Begun = "note-begun" { name: String },
    }
}

/// A few sentences for guardians: what the child can do, what comes next, nothing about others. The name is a first
/// name.
///
/// ```
/// use jogo_core::assessment::progress::{NoteLine, note};
/// assert_eq!(note("Una", &[]), [NoteLine::Begun { name: "Una".into() }]);
/// ```
pub fn note(name: &str, stands: &[Stands<'_>]) -> Vec<NoteLine> {
    let name = || name.to_owned();
    let said = |states: &[MilestoneState]| -> Vec<NoteLine> {
        let those = stands.iter().filter(|(_, standing)| states.contains(&standing.state));
        those.map(|(milestone, _)| NoteLine::Milestone { says: milestone.says.clone() }).collect()
    };
    let has = said(&[MilestoneState::Met, MilestoneState::Kept]);
    let working: Vec<NoteLine> =
        said(&[MilestoneState::OnTheWay, MilestoneState::Slipped]).into_iter().take(WORKING_ON).collect();
    let mut says = Vec::new();
    for (head, sentences) in
        [(NoteLine::Seen { name: name() }, has), (NoteLine::WorkingOn { name: name() }, working)]
    {
        if !sentences.is_empty() {
            says.push(head);
            says.extend(sentences);
        }
    }
    if says.is_empty() {
        says.push(NoteLine::Begun { name: name() });
    }
    says
}
