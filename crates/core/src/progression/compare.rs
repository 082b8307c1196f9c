//! What has changed between two states of a map, in words.

use serde::Serialize;

use crate::ids::SkillId;
use crate::technique::skill::Skill;

/// A difference between two states of a map.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Difference {
    /// The skill.
    pub skill: SkillId,
    /// What has changed.
    pub says: String,
}

/// Every difference, in the order of the later state; what is gone comes last.
///
/// ```
/// use jogo_core::progression::compare::compare;
/// use jogo_core::technique::skill::Skill;
/// let tap = r#"{"id": "tap", "name": "Tap", "strand": "ball_mastery", "band": "u6-u7", "needs": []}"#;
/// let before: Skill = serde_json::from_str(tap).unwrap();
/// let after = Skill { band: "u8-u9".parse().unwrap(), ..before.clone() };
/// assert_eq!(compare(&[before], &[after])[0].says, "“Tap” now starts in u8-u9, before in u6-u7");
/// ```
pub fn compare(before: &[Skill], after: &[Skill]) -> Vec<Difference> {
    let mut all = Vec::new();
    for skill in after {
        let mut note = |says: String| all.push(Difference { skill: skill.id.clone(), says });
        match before.iter().find(|other| other.id == skill.id) {
            None => note(format!("“{}” is new", skill.name)),
            Some(old) => of_one(old, skill, before, after).into_iter().for_each(&mut note),
        }
    }
    let gone = before.iter().filter(|old| !after.iter().any(|skill| skill.id == old.id));
    all.extend(gone.map(|old| Difference { skill: old.id.clone(), says: format!("“{}” is gone", old.name) }));
    all
}

fn of_one(old: &Skill, new: &Skill, before: &[Skill], after: &[Skill]) -> Vec<String> {
    let called = |id: &str| {
        let known = after.iter().chain(before).find(|skill| skill.id == id);
        known.map_or_else(|| format!("`{id}`"), |skill| format!("“{}”", skill.name))
    };
    let name = &new.name;
    let mut says = Vec::new();
    if old.name != *name {
        says.push(format!("“{}” is now called “{name}”", old.name));
    }
    if old.band != new.band {
        says.push(format!("“{name}” now starts in {}, before in {}", new.band, old.band));
    }
    if old.strand != new.strand {
        says.push(format!("“{name}” now belongs to {}, before to {}", new.strand, old.strand));
    }
    for need in new.all_needs() {
        match old.all_needs().find(|other| other.skill == need.skill) {
            None => says.push(format!("“{name}” now needs {} at {}", called(&need.skill), need.stage)),
            Some(other) if other.stage != need.stage => says.push(format!(
                "“{name}” needs {} at {}, before at {}",
                called(&need.skill),
                need.stage,
                other.stage
            )),
            Some(_) => {}
        }
    }
    let dropped = old.all_needs().filter(|need| !new.all_needs().any(|other| other.skill == need.skill));
    says.extend(dropped.map(|need| format!("“{name}” no longer needs {}", called(&need.skill))));
    if old.gate != new.gate {
        says.push(format!("The gate of “{name}” has changed"));
    }
    if old.helps != new.helps || old.side != new.side {
        says.push(format!("What helps “{name}”, or its feet, have changed"));
    }
    says
}
