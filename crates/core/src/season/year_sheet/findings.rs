//! What does not go together in a year.

use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::Date;
use serde::Serialize;
use uuid::Uuid;

use super::{BandYear, Laid, Year};
use crate::fact::{Fact, facts};
use crate::ids::SkillId;
use crate::plan::carry_over::{Before, Believed, Brought, brought};
use crate::plan::stitches;
use crate::plan::success::kept;
use crate::season::days_off::DaysOff;
use crate::technique::skill::{Skill, Stage, Strand};

facts! {
    /// What is found in a year.
    pub enum YearFound {
        Untaught = "year-untaught" { skill: String, band: String },
        NotReached = "year-not-reached" { skill: String, stage: Stage, curriculum: String },
        Rests = "year-rests" { skill: String, days: i32, curriculum: String, percent: f64 },
        Share = "year-share" { strand: Strand, percent: f64, wished: f64 },
        BegunTwice = "year-begun-twice" { skill: String, band: String },
        OnDaysOff = "year-on-days-off" { curriculum: String, sessions: usize, off: String, date: Date },
    }
}

/// Something that does not go together, and where it is mended.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct YearFinding {
    /// What it is.
    pub says: Fact,
    /// The skill, if it is about one.
    pub skill: Option<SkillId>,
    /// The curriculum in which it is mended, if there is one.
    pub curriculum: Option<Uuid>,
}

/// The longest rest between two curricula that is not yet reported, in days.
const LONGEST_REST_DAYS: i32 = 28;

/// What is found in each band's year.
pub(super) fn of(
    years: &[Year<'_>],
    drawn: &[BandYear],
    skills: &[Skill],
    off: &[DaysOff],
) -> Vec<Vec<YearFinding>> {
    let ends: Vec<BTreeMap<SkillId, Brought>> = years.iter().map(|year| carried(&year.counts)).collect();
    let mut all = Vec::new();
    for (at, (year, drawn)) in years.iter().zip(drawn).enumerate() {
        // Children come from the next younger band.
        let younger = years.iter().enumerate().filter(|(_, other)| other.is_younger_than(year));
        let below = younger.max_by_key(|(_, other)| other.of.band.oldest).map(|(at, _)| &ends[at]);
        let mut found = year.on_days_off(off);
        found.extend(year.untaught(skills));
        found.extend(year.not_reached(below, skills));
        found.extend(year.rests(skills));
        let off = drawn.figures.off_wish();
        found.extend(off.map(|(strand, percent, wished)| {
            YearFinding::of(YearFound::Share { strand, percent, wished }, None, None)
        }));
        found.extend(year.begun_twice(&years[..at], skills));
        all.push(found);
    }
    all
}

/// What squads bring from curricula that follow each other.
fn carried(counts: &[&Laid<'_>]) -> BTreeMap<SkillId, Brought> {
    let before: Vec<Before<'_>> = counts.iter().map(|laid| laid.as_before()).collect();
    brought(&before, Believed::Planned)
}

impl Laid<'_> {
    /// As what was before another curriculum.
    pub fn as_before(&self) -> Before<'_> {
        let edition = self.edition;
        Before { problem: self.problem, plan: &edition.plan, assumed: &edition.curriculum.forecast }
    }
}

impl YearFinding {
    fn of(says: YearFound, skill: Option<&SkillId>, curriculum: Option<Uuid>) -> YearFinding {
        YearFinding { says: says.into(), skill: skill.cloned(), curriculum }
    }
}

fn name(skills: &[Skill], id: &SkillId) -> String {
    skills.iter().find(|skill| skill.id == *id).map_or_else(|| id.to_string(), |skill| skill.name.clone())
}

impl Year<'_> {
    fn is_younger_than(&self, other: &Year<'_>) -> bool {
        self.of.band.oldest < other.of.band.youngest
    }

    fn teaches(&self, skill: &SkillId) -> bool {
        let is_goal =
            |laid: &&Laid<'_>| laid.edition.curriculum.goals.iter().any(|goal| goal.skill == *skill);
        self.counts.iter().any(is_goal)
            || self.of.outlines.iter().any(|(_, outline)| outline.skills.contains(skill))
    }

    /// Drafts with sessions on days off: published ones have none there, team by team.
    fn on_days_off(&self, off: &[DaysOff]) -> Vec<YearFinding> {
        let mut found = Vec::new();
        for laid in self.counts.iter().filter(|laid| !laid.published) {
            for each in off {
                let days = laid.problem.sessions.iter().map(|session| session.date);
                let days: Vec<Date> = days.filter(|day| each.has(*day)).collect();
                let Some(date) = days.first().copied() else { continue };
                let (curriculum, off) = (laid.edition.curriculum.name.clone(), each.name.clone());
                let says = YearFound::OnDaysOff { curriculum, sessions: days.len(), off, date };
                found.push(YearFinding::of(says, None, Some(laid.id)));
            }
        }
        found
    }

    /// Skills that the band begins on the map, and that no curriculum of its year teaches.
    fn untaught(&self, skills: &[Skill]) -> Vec<YearFinding> {
        if self.counts.is_empty() && self.of.outlines.is_empty() {
            return Vec::new();
        }
        let is_missing = |skill: &&Skill| skill.band == self.of.band.id && !self.teaches(&skill.id);
        let found = |skill: &Skill| {
            let says = YearFound::Untaught { skill: skill.name.clone(), band: self.of.band.name.clone() };
            YearFinding::of(says, Some(&skill.id), None)
        };
        skills.iter().filter(is_missing).map(found).collect()
    }

    /// Stages at which squads are expected to be, and which no curriculum before reaches: none of the band's year, and
    /// none of the next younger band's, from which the children come.
    fn not_reached(&self, below: Option<&BTreeMap<SkillId, Brought>>, skills: &[Skill]) -> Vec<YearFinding> {
        let mut found = Vec::new();
        for (at, laid) in self.counts.iter().enumerate() {
            let before = carried(&self.counts[..at]);
            for goal in &laid.edition.curriculum.goals {
                let Some(stage) = goal.present else { continue };
                let reached = [Some(&before), below].into_iter().flatten();
                let reached = reached.filter_map(|brought| brought.get(&goal.skill)?.stage).max();
                // Of the first curriculum of the youngest band nothing is known.
                let is_known = at > 0 || below.is_some_and(|below| !below.is_empty());
                if is_known && reached < Some(stage) {
                    let (skill, curriculum) =
                        (name(skills, &goal.skill), laid.edition.curriculum.name.clone());
                    let says = YearFound::NotReached { skill, stage, curriculum };
                    found.push(YearFinding::of(says, Some(&goal.skill), Some(laid.id)));
                }
            }
        }
        found
    }

    /// Skills that rest long from one curriculum to the next that shows them, and what is left of them then.
    fn rests(&self, skills: &[Skill]) -> Vec<YearFinding> {
        let mut last: BTreeMap<SkillId, Date> = BTreeMap::new();
        let mut found = Vec::new();
        for laid in &self.counts {
            let mut seen: BTreeSet<SkillId> = BTreeSet::new();
            for stitch in stitches(laid.problem, &laid.edition.plan) {
                let day = laid.problem.sessions[stitch.session].date;
                let is_first = seen.insert(stitch.skill.clone());
                let rested = last.insert(stitch.skill.clone(), day).filter(|_| is_first);
                let Some(days) = rested.map(|last| (day - last).get_days()) else { continue };
                // The ladder of the other foot belongs to a skill that is looked at itself.
                if days > LONGEST_REST_DAYS && skills.iter().any(|skill| skill.id == stitch.skill) {
                    let (skill, curriculum) =
                        (name(skills, &stitch.skill), laid.edition.curriculum.name.clone());
                    let percent = (100.0 * kept(days)).round();
                    let says = YearFound::Rests { skill, days, curriculum, percent };
                    found.push(YearFinding::of(says, Some(&stitch.skill), Some(laid.id)));
                }
            }
        }
        found
    }

    /// Skills that two bands begin as if nobody had met them.
    fn begun_twice(&self, others: &[Year<'_>], skills: &[Skill]) -> Vec<YearFinding> {
        let begins = |year: &Year<'_>| -> BTreeMap<SkillId, Uuid> {
            let new = |laid: &&Laid<'_>| {
                let id = laid.id;
                let goals = laid.edition.curriculum.goals.iter().filter(|goal| goal.present.is_none());
                goals.map(|goal| (goal.skill.clone(), id)).collect::<Vec<_>>()
            };
            year.counts.iter().rev().flat_map(new).collect()
        };
        let own = begins(self);
        let mut found = Vec::new();
        for other in others.iter().filter(|other| other.is_younger_than(self)) {
            let theirs = begins(other);
            for (skill, curriculum) in own.iter().filter(|(skill, _)| theirs.contains_key(*skill)) {
                let says =
                    YearFound::BegunTwice { skill: name(skills, skill), band: other.of.band.name.clone() };
                found.push(YearFinding::of(says, Some(skill), Some(*curriculum)));
            }
        }
        found
    }
}
