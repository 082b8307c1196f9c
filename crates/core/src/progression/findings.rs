//! What is wrong with a map: circles, needs from a later band, stages without a drill, gates on unused tests, redundant
//! needs, and lonely skills. Each finding names its skills and, where there is one, the mend as an action.

use std::collections::BTreeSet;

use petgraph::algo::tred::{dag_to_toposorted_adjacency_list, dag_transitive_reduction_closure};
use petgraph::graph::NodeIndex;
use serde::Serialize;

use super::Map;
use super::techniques::chained;
use crate::drill::Drill;
use crate::fact::{Fact, facts};
use crate::ids::{BandId, MilestoneId, SkillId, TestId};
use crate::technique::skill::{Gate, Stage};

/// What kind of thing is wrong.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum FindingKind {
    /// Skills that need each other in a circle.
    Circle,
    /// A need, part or help that is not in the library.
    Unknown,
    /// A need that belongs to a later band.
    LaterBand,
    /// A skill without a drill at a stage.
    NoDrill,
    /// A gate on a test that no band uses.
    UnusedTest,
    /// A gate on a milestone that is not there.
    NoMilestone,
    /// A need that another one implies.
    Redundant,
    /// A chained skill whose parts do not join.
    Unjoined,
    /// A skill that nothing leads to or from. A note only.
    Lonely,
}

facts! {
    /// What is wrong with a map, with its values.
    pub enum FindingSaid {
        Circle = "map-circle" { path: String },
        Unknown = "map-unknown" { skill: String, named: SkillId },
        LaterBand = "map-later-band" { skill: String, band: BandId, need: String, stage: Stage, need_band: BandId },
        NoDrill = "map-no-drill" { skill: String, stage: Stage },
        UnusedTest = "map-unused-test" { skill: String, test: TestId },
        NoMilestone = "map-no-milestone" { skill: String, milestone: MilestoneId },
        Redundant = "map-redundant" { skill: String, need: String, stage: Stage, through: String },
        Unset = "map-unset" { skill: String, from: String, to: String, touch: String },
        Unjoined = "map-unjoined" { skill: String, from: String, to: String },
        Lonely = "map-lonely" { skill: String },
    }
}

/// What would mend it, as an action.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "action", rename_all = "snake_case")]
pub enum Mend {
    /// Take a need out.
    DropNeed {
        /// From which skill.
        skill: SkillId,
        /// Which need.
        need: SkillId,
    },
    /// Start a skill in another band.
    MoveBand {
        /// Which skill.
        skill: SkillId,
        /// In which band.
        band: BandId,
    },
    /// Take the gate away.
    DropGate {
        /// From which skill.
        skill: SkillId,
    },
}

/// Something that is wrong with a map.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Finding {
    /// What kind.
    pub kind: FindingKind,
    /// The skills that it is about; of a circle the whole path.
    pub skills: Vec<SkillId>,
    /// The same with its values.
    pub says: Fact,
    /// The mend as an action, where there is one.
    pub mend: Option<Mend>,
}

/// What surrounds the map.
#[derive(Clone, Copy, Debug)]
pub struct Around<'l> {
    /// Names of the bands, the youngest first.
    pub bands: &'l [BandId],
    /// The drills.
    pub drills: &'l [Drill],
    /// Names of the tests for which some band has a standard.
    pub used_tests: &'l BTreeSet<TestId>,
    /// The milestones.
    pub milestones: &'l BTreeSet<MilestoneId>,
}

/// Everything that is wrong with a map, the gravest first. Time: O(skills × needs) at worst, for the redundant needs.
pub fn findings(map: &Map<'_>, around: &Around<'_>) -> Vec<Finding> {
    let mut found: Vec<Finding> = Vec::new();
    found.extend(circle(map));
    found.extend(unknown(map));
    found.extend(later_bands(map, around));
    found.extend(without_drills(map, around));
    found.extend(unused_tests(map, around));
    found.extend(without_milestone(map, around));
    found.extend(redundant(map));
    found.extend(unjoined(map));
    found.extend(lonely(map));
    found
}

fn circle(map: &Map<'_>) -> Option<Finding> {
    let path = map.circle()?;
    let (first, last) = (path[0], path[path.len() - 1]);
    let path_said = super::check::said(&path, map.skills);
    Some(Finding {
        kind: FindingKind::Circle,
        skills: path.iter().map(|s| map.skills[*s].id.clone()).collect(),
        says: FindingSaid::Circle { path: path_said }.into(),
        mend: Some(drop_need(map, first, last)),
    })
}

fn drop_need(map: &Map<'_>, skill: usize, need: usize) -> Mend {
    Mend::DropNeed { skill: map.skills[skill].id.clone(), need: map.skills[need].id.clone() }
}

fn unknown<'m>(map: &'m Map<'_>) -> impl Iterator<Item = Finding> + 'm {
    map.skills.iter().flat_map(move |skill| {
        let needs = skill.all_needs().map(|need| need.skill);
        let missing = needs.chain(skill.helps.iter().cloned()).filter(|named| map.place(named).is_none());
        missing.map(move |named| Finding {
            kind: FindingKind::Unknown,
            skills: vec![skill.id.clone()],
            says: FindingSaid::Unknown { skill: skill.name.clone(), named: named.clone() }.into(),
            mend: Some(Mend::DropNeed { skill: skill.id.clone(), need: named }),
        })
    })
}

fn later_bands<'m>(map: &'m Map<'_>, around: &'m Around<'_>) -> impl Iterator<Item = Finding> + 'm {
    let age = |skill: usize| around.bands.iter().position(|band| *band == map.skills[skill].band);
    (0..map.skills.len()).flat_map(move |skill| {
        map.needs(skill).filter(move |(need, _)| age(*need) > age(skill)).map(move |(need, stage)| {
            let (upper, under) = (&map.skills[skill], &map.skills[need]);
            Finding {
                kind: FindingKind::LaterBand,
                skills: vec![upper.id.clone(), under.id.clone()],
                says: FindingSaid::LaterBand {
                    skill: upper.name.clone(),
                    band: upper.band.clone(),
                    need: under.name.clone(),
                    stage,
                    need_band: under.band.clone(),
                }
                .into(),
                mend: Some(Mend::MoveBand { skill: under.id.clone(), band: upper.band.clone() }),
            }
        })
    })
}

/// A stage is on the way to a goal if something needs it or a later one; Form is always on the way.
fn without_drills<'m>(map: &'m Map<'_>, around: &'m Around<'_>) -> impl Iterator<Item = Finding> + 'm {
    let mut served: BTreeSet<(&str, Stage)> = BTreeSet::new();
    for serves in around.drills.iter().flat_map(|drill| &drill.serves) {
        served.extend(serves.stages.iter().map(|stage| (serves.skill.as_str(), *stage)));
    }
    (0..map.skills.len()).flat_map(move |place| {
        let skill = &map.skills[place];
        let asked = map.needed_by(place).map(|(_, stage)| stage).max().unwrap_or(Stage::Form);
        let served = served.clone();
        Stage::ALL
            .into_iter()
            .filter(move |stage| *stage <= asked && !served.contains(&(skill.id.as_str(), *stage)))
            .map(move |stage| Finding {
                kind: FindingKind::NoDrill,
                skills: vec![skill.id.clone()],
                says: FindingSaid::NoDrill { skill: skill.name.clone(), stage }.into(),
                mend: None,
            })
    })
}

fn unused_tests<'m>(map: &'m Map<'_>, around: &'m Around<'_>) -> impl Iterator<Item = Finding> + 'm {
    map.skills.iter().filter_map(|skill| match &skill.gate {
        Some(Gate::Test { test, .. }) if !around.used_tests.contains(test) => Some(Finding {
            kind: FindingKind::UnusedTest,
            skills: vec![skill.id.clone()],
            says: FindingSaid::UnusedTest { skill: skill.name.clone(), test: test.clone() }.into(),
            mend: Some(Mend::DropGate { skill: skill.id.clone() }),
        }),
        _ => None,
    })
}

fn without_milestone<'m>(map: &'m Map<'_>, around: &'m Around<'_>) -> impl Iterator<Item = Finding> + 'm {
    map.skills.iter().filter_map(|skill| {
        let milestone = skill.gate.as_ref()?.milestone().filter(|id| !around.milestones.contains(*id))?;
        Some(Finding {
            kind: FindingKind::NoMilestone,
            skills: vec![skill.id.clone()],
            says: FindingSaid::NoMilestone { skill: skill.name.clone(), milestone: milestone.clone() }.into(),
            mend: Some(Mend::DropGate { skill: skill.id.clone() }),
        })
    })
}

/// A need is redundant if another need of the same skill leads back to it, and asks at least as much of it on the way.
fn redundant(map: &Map<'_>) -> Vec<Finding> {
    let Some(order) = map.order() else {
        return Vec::new(); // In a circle everything implies everything: that is mended first.
    };
    let order: Vec<NodeIndex> = order.into_iter().map(NodeIndex::new).collect();
    let (sorted, place_in_order) = dag_to_toposorted_adjacency_list::<_, u32>(&map.graph, &order);
    let (_, closure) = dag_transitive_reduction_closure(&sorted);
    let after = |from: usize, to: usize| closure.contains_edge(place_in_order[from], place_in_order[to]);
    let mut found = Vec::new();
    for skill in 0..map.skills.len() {
        let needs: Vec<(usize, Stage)> = map.needs(skill).collect();
        for (need, stage) in &needs {
            let implied = map.needed_by(*need).filter(|(_, asked)| asked >= stage).map(|(above, _)| above);
            let through = implied
                .filter(|above| *above != skill)
                .find(|above| needs.iter().any(|(other, _)| other == above || after(*above, *other)));
            if let Some(through) = through {
                let (upper, under, over) = (&map.skills[skill], &map.skills[*need], &map.skills[through]);
                found.push(Finding {
                    kind: FindingKind::Redundant,
                    skills: vec![upper.id.clone(), under.id.clone(), over.id.clone()],
                    says: FindingSaid::Redundant {
                        skill: upper.name.clone(),
                        need: under.name.clone(),
                        stage: *stage,
                        through: over.name.clone(),
                    }
                    .into(),
                    mend: Some(drop_need(map, skill, *need)),
                });
            }
        }
    }
    found
}

/// Chained skills of which a part does not go on where the one before it ends, without a score of their own that says
/// how.
fn unjoined<'m>(map: &'m Map<'_>) -> impl Iterator<Item = Finding> + 'm {
    let name =
        |id: &SkillId| map.place(id).map_or_else(|| id.to_string(), |place| map.skills[place].name.clone());
    map.skills.iter().filter(|skill| skill.score.is_none()).flat_map(move |skill| {
        let (joins, _) = chained(skill, map.skills).unwrap_or_default();
        let pairs: Vec<_> = skill.parts.windows(2).map(|pair| (pair[0].clone(), pair[1].clone())).collect();
        joins.into_iter().zip(pairs).filter(|(join, _)| !join.direct).map(move |(join, (from, to))| {
            let (from, to) = (name(&from), name(&to));
            let skill_name = skill.name.clone();
            let says = match join.setting {
                Some(touch) => FindingSaid::Unset { skill: skill_name, from, to, touch },
                None => FindingSaid::Unjoined { skill: skill_name, from, to },
            };
            Finding {
                kind: FindingKind::Unjoined,
                skills: vec![skill.id.clone()],
                says: says.into(),
                mend: None,
            }
        })
    })
}

fn lonely<'m>(map: &'m Map<'_>) -> impl Iterator<Item = Finding> + 'm {
    let helped: BTreeSet<&str> =
        map.skills.iter().flat_map(|skill| &skill.helps).map(SkillId::as_str).collect();
    (0..map.skills.len()).filter_map(move |place| {
        let skill = &map.skills[place];
        let alone = map.needs(place).next().is_none()
            && map.needed_by(place).next().is_none()
            && skill.helps.is_empty()
            && !helped.contains(skill.id.as_str());
        alone.then(|| Finding {
            kind: FindingKind::Lonely,
            skills: vec![skill.id.clone()],
            says: FindingSaid::Lonely { skill: skill.name.clone() }.into(),
            mend: None,
        })
    })
}
