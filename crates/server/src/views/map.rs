//! The progression map with its findings, and the ways through it.

use crate::facts::Thing;
use std::collections::{BTreeMap, BTreeSet};

use jogo_core::drill::Drill;
use jogo_core::ids::{BandId, DrillId, MilestoneId, SkillId, TestId};
use jogo_core::progression::Map;
use jogo_core::progression::findings::{Around, Finding, findings};
use jogo_core::progression::sheet::{MapSheet, lay_out};
use jogo_core::progression::techniques::{Kin, kin};
use jogo_core::progression::ways::{Pacing, Way};
use jogo_core::technique::skill::{Skill, Stage};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::drills::LibraryShelf;
use crate::problem::{Answer, Problem};
use crate::state::State;

/// The whole map.
#[derive(Serialize, ToSchema)]
pub struct MapView {
    /// Rises with every change.
    pub version: i64,
    skills: Vec<Skill>,
    /// Where everything stands; absent while there is a circle.
    sheet: Option<MapSheet>,
    findings: Vec<Finding>,
    /// Skills whose scores share much.
    kin: Vec<Kin>,
    /// Drills by skill and stage.
    drills: Vec<ServedBy>,
    /// Tests that a gate may ask for.
    tests: Vec<TestName>,
    /// Milestones that a gate may ask for.
    milestones: Vec<MilestoneName>,
    /// Days on which the map was changed, in the academy's time zone, the latest first.
    changed_on: Vec<String>,
}

/// A drill that serves a skill.
#[derive(Serialize, ToSchema)]
pub struct ServedBy {
    skill: SkillId,
    stages: Vec<Stage>,
    drill: DrillId,
    title: String,
}

/// A milestone that a gate may ask for.
#[derive(Serialize, ToSchema)]
pub struct MilestoneName {
    id: MilestoneId,
    says: String,
    band: BandId,
}

/// A test that a gate may ask for.
#[derive(Serialize, ToSchema)]
pub struct TestName {
    id: TestId,
    name: String,
}

/// How many changes are searched for the days on which the map changed.
const CHANGES: u32 = 2_000;

impl MapView {
    /// The map as it is now.
    pub async fn of(state: &State) -> Answer<MapView> {
        let (skills, drills) = (state.store.skills().await?, state.store.drills().await?);
        let (tests, milestones) = (state.store.tests().await?, state.store.milestones().await?);
        let bands = LibraryShelf::of(state).await?.bands();
        let used_tests: BTreeSet<TestId> = state.store.used_tests().await?.into_iter().collect();
        let named: BTreeSet<MilestoneId> = milestones.iter().map(|milestone| milestone.id.clone()).collect();
        let around = Around { bands: &bands, drills: &drills, used_tests: &used_tests, milestones: &named };
        let map = Map::of(&skills);
        Ok(MapView {
            version: state.store.map_version().await?,
            sheet: lay_out(&map, &bands),
            findings: findings(&map, &around),
            kin: kin(&map, &bands),
            drills: drills.iter().flat_map(ServedBy::all).collect(),
            tests: tests.into_iter().map(|test| TestName { id: test.id, name: test.name }).collect(),
            milestones: milestones
                .into_iter()
                .map(|milestone| MilestoneName {
                    id: milestone.id,
                    says: milestone.says,
                    band: milestone.band,
                })
                .collect(),
            changed_on: changed_on(state).await?,
            skills,
        })
    }
}

impl ServedBy {
    /// What a drill serves.
    fn all(drill: &Drill) -> impl Iterator<Item = ServedBy> {
        drill.serves.iter().map(|serves| ServedBy {
            skill: serves.skill.clone(),
            stages: serves.stages.clone(),
            drill: drill.id.clone(),
            title: drill.title.clone(),
        })
    }
}

/// The days on which the map was changed, the latest first.
async fn changed_on(state: &State) -> Answer<Vec<String>> {
    let (zone, changes) = (state.zone().await?, state.store.map_changes(CHANGES).await?);
    let days: BTreeSet<String> =
        changes.into_iter().map(|change| zone.to_datetime(change.at).date().to_string()).collect();
    Ok(days.into_iter().rev().collect())
}

/// What a skill rests on, what it opens, and the shortest way to it.
#[derive(Serialize, ToSchema)]
pub struct WayView {
    rests_on: Vec<SkillId>,
    opens: Vec<SkillId>,
    /// Absent while the map has a circle.
    way: Option<Way>,
}

impl WayView {
    /// From where the squad of a curriculum stands; without one nothing has been met yet.
    pub async fn of(state: &State, skill: &str, stage: Stage, curriculum: Option<Uuid>) -> Answer<WayView> {
        let skills = state.store.skills().await?;
        let map = Map::of(&skills);
        let place = map.place(skill).ok_or_else(|| Problem::not_found(Thing::Skill))?;
        let mut present: BTreeMap<SkillId, Option<Stage>> = BTreeMap::new();
        let mut pacing = Pacing::USUAL;
        if let Some(id) = curriculum {
            let draft =
                state.store.curriculum(id).await?.ok_or_else(|| Problem::not_found(Thing::Curriculum))?;
            let kept = state.store.band(&draft.curriculum.band).await?;
            pacing = Pacing::of(&draft.curriculum, kept.as_ref());
            present.extend(draft.curriculum.goals.into_iter().map(|goal| (goal.skill, goal.present)));
        }
        let present: Vec<Option<Stage>> =
            skills.iter().map(|skill| present.get(&skill.id).copied().flatten()).collect();
        let names = |places: Vec<usize>| places.into_iter().map(|place| skills[place].id.clone()).collect();
        Ok(WayView {
            rests_on: names(map.rests_on(place)),
            opens: names(map.opens(place)),
            way: map.way(place, stage, &present, &pacing),
        })
    }
}
