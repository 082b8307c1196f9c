//! What has changed between two states of a map.

use serde::Serialize;

use crate::fact::{Fact, facts};
use crate::ids::{BandId, SkillId};
use crate::technique::skill::{Skill, Stage, Strand};

facts! {
    /// What has changed in a skill.
    pub enum SkillChange {
        New = "map-change-new" { skill: String },
        Gone = "map-change-gone" { skill: String },
        Renamed = "map-change-renamed" { skill: String, before: String },
        Band = "map-change-band" { skill: String, now: BandId, before: BandId },
        Strand = "map-change-strand" { skill: String, now: Strand, before: Strand },
        NeedAdded = "map-change-need-added" { skill: String, need: String, stage: Stage },
        NeedStage = "map-change-need-stage" { skill: String, need: String, now: Stage, before: Stage },
        NeedDropped = "map-change-need-dropped" { skill: String, need: String },
        Gate = "map-change-gate" { skill: String },
        HelpsOrFeet = "map-change-helps-or-feet" { skill: String },
    }
}

/// A difference between two states of a map.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Difference {
    /// The skill.
    pub skill: SkillId,
    /// What has changed.
    pub says: Fact,
}

/// Every difference, in the order of the later state; what is gone comes last.
///
/// ```
/// use jogo_core::progression::compare::{SkillChange, compare};
/// use jogo_core::technique::skill::Skill;
/// let tap = r#"{"id": "tap", "name": "Tap", "strand": "ball_mastery", "band": "u6-u7", "needs": []}"#;
/// let before: Skill = serde_json::from_str(tap).unwrap();
/// let after = Skill { band: "u8-u9".parse().unwrap(), ..before.clone() };
/// let (now, then) = (after.band.clone(), before.band.clone());
/// let change = SkillChange::Band { skill: "Tap".into(), now, before: then };
/// assert_eq!(compare(&[before], &[after])[0].says, change.into());
/// ```
pub fn compare(before: &[Skill], after: &[Skill]) -> Vec<Difference> {
    let mut all = Vec::new();
    for skill in after {
        let mut note =
            |change: SkillChange| all.push(Difference { skill: skill.id.clone(), says: change.into() });
        match before.iter().find(|other| other.id == skill.id) {
            None => note(SkillChange::New { skill: skill.name.clone() }),
            Some(old) => of_one(old, skill, before, after).into_iter().for_each(&mut note),
        }
    }
    let gone = before.iter().filter(|old| !after.iter().any(|skill| skill.id == old.id));
    all.extend(gone.map(|old| Difference {
        skill: old.id.clone(),
        says: SkillChange::Gone { skill: old.name.clone() }.into(),
    }));
    all
}

fn of_one(old: &Skill, new: &Skill, before: &[Skill], after: &[Skill]) -> Vec<SkillChange> {
    let called = |id: &str| {
        let known = after.iter().chain(before).find(|skill| skill.id == id);
        known.map_or(id, |skill| &skill.name).to_owned()
    };
    let skill = new.name.clone();
    let mut says = Vec::new();
    if old.name != skill {
        says.push(SkillChange::Renamed { skill: skill.clone(), before: old.name.clone() });
    }
    if old.band != new.band {
        let (now, before) = (new.band.clone(), old.band.clone());
        says.push(SkillChange::Band { skill: skill.clone(), now, before });
    }
    if old.strand != new.strand {
        says.push(SkillChange::Strand { skill: skill.clone(), now: new.strand, before: old.strand });
    }
    for need in new.all_needs() {
        let (skill, named, now) = (skill.clone(), called(&need.skill), need.stage);
        match old.all_needs().find(|other| other.skill == need.skill) {
            None => says.push(SkillChange::NeedAdded { skill, need: named, stage: now }),
            Some(other) if other.stage != now => {
                says.push(SkillChange::NeedStage { skill, need: named, now, before: other.stage });
            }
            Some(_) => {}
        }
    }
    let dropped = old.all_needs().filter(|need| !new.all_needs().any(|other| other.skill == need.skill));
    says.extend(
        dropped.map(|need| SkillChange::NeedDropped { skill: skill.clone(), need: called(&need.skill) }),
    );
    if old.gate != new.gate {
        says.push(SkillChange::Gate { skill: skill.clone() });
    }
    if old.helps != new.helps || old.side != new.side {
        says.push(SkillChange::HelpsOrFeet { skill });
    }
    says
}
