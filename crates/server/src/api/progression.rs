//! The progression map: shown, changed, compared, and the ways through it.

use std::collections::{BTreeMap, BTreeSet};

use actix_web::web::{Data, Query};
use actix_web::{HttpRequest, HttpResponse, get, post};
use jiff::civil::Date;
use jogo_core::ids::{BandId, DrillId, MilestoneId, SkillId, TestId};
use jogo_core::input::InputError;
use jogo_core::progression::Map;
use jogo_core::progression::check::{NamedBy, check, circle_in, still_named};
use jogo_core::progression::compare::{Difference, compare};
use jogo_core::progression::findings::{Around, Finding, findings};
use jogo_core::progression::sheet::{MapSheet, lay_out};
use jogo_core::progression::ways::{Pacing, Way};
use jogo_core::technique::skill::{Skill, Stage};
use jogo_store::progression::SkillChange;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use super::{version, versioned};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::drills::LibraryShelf;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(change_map).service(way).service(compared);
}

/// The whole map.
#[derive(Serialize, ToSchema)]
pub(super) struct MapView {
    /// Rises with every change.
    version: i64,
    skills: Vec<Skill>,
    /// Where everything stands; nothing while there is a circle.
    sheet: Option<MapSheet>,
    findings: Vec<Finding>,
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
pub(super) struct ServedBy {
    skill: SkillId,
    stages: Vec<Stage>,
    drill: DrillId,
    title: String,
}

/// A milestone that a gate may ask for.
#[derive(Serialize, ToSchema)]
pub(super) struct MilestoneName {
    id: MilestoneId,
    says: String,
    band: BandId,
}

/// A test that a gate may ask for.
#[derive(Serialize, ToSchema)]
pub(super) struct TestName {
    id: TestId,
    name: String,
}

/// So many changes are looked through for the days on which there were any.
const CHANGES: u32 = 2_000;

async fn view(state: &State) -> Answer<HttpResponse> {
    let skills = state.store.skills().await?;
    let (drills, tests) = (state.store.drills().await?, state.store.tests().await?);
    let bands = LibraryShelf::of(state).await?.bands();
    let used_tests: BTreeSet<TestId> = state.store.used_tests().await?.into_iter().collect();
    let map = Map::of(&skills);
    let milestones = state.store.milestones().await?;
    let named: BTreeSet<MilestoneId> = milestones.iter().map(|milestone| milestone.id.clone()).collect();
    let around = Around { bands: &bands, drills: &drills, used_tests: &used_tests, milestones: &named };
    let zone = state.zone().await?;
    let changed: BTreeSet<String> = state
        .store
        .map_changes(CHANGES)
        .await?
        .into_iter()
        .map(|change| zone.to_datetime(change.at).date().to_string())
        .collect();
    let view = MapView {
        version: state.store.map_version().await?,
        sheet: lay_out(&map, &bands),
        findings: findings(&map, &around),
        drills: drills
            .iter()
            .flat_map(|drill| {
                drill.serves.iter().map(|serves| ServedBy {
                    skill: serves.skill.clone(),
                    stages: serves.stages.clone(),
                    drill: drill.id.clone(),
                    title: drill.title.clone(),
                })
            })
            .collect(),
        tests: tests.into_iter().map(|test| TestName { id: test.id, name: test.name }).collect(),
        milestones: milestones
            .into_iter()
            .map(|milestone| MilestoneName { id: milestone.id, says: milestone.says, band: milestone.band })
            .collect(),
        changed_on: changed.into_iter().rev().collect(),
        skills,
    };
    Ok(versioned(view.version, &view))
}

/// The map, its findings, and where everything stands.
#[utoipa::path(operation_id = "map_show", responses((status = 200, body = MapView)))]
#[get("/map")]
pub(super) async fn show(who: SignedIn, state: Data<State>) -> Answer<HttpResponse> {
    who.may(Act::SeeLibrary)?;
    view(&state).await
}

/// A change of the map.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct MapChanges {
    /// Skills that are added, or become this.
    #[serde(default)]
    put: Vec<Skill>,
    /// Skills that are taken out; nothing may name them any more.
    #[serde(default)]
    take_out: Vec<SkillId>,
}

/// So many skills are changed at once.
const MOST_CHANGED: usize = 50;

/// Changes skills: all of them or none. Nothing that makes a circle is kept.
#[utoipa::path(operation_id = "map_change", params(("If-Match" = String, Header)),
    request_body = MapChanges,
    responses((status = 200, body = MapView)),
)]
#[post("/map")]
pub(super) async fn change_map(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
    said: Json<MapChanges>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepLibrary)?;
    let version = version(&request)?;
    let said = said.into_inner();
    if said.put.len() + said.take_out.len() > MOST_CHANGED {
        return Err(Problem::fault("/put", format!("at most {MOST_CHANGED} skills at once")));
    }
    let library = LibraryShelf::of(&state).await?;
    let mut next: Vec<Skill> = state.store.skills().await?;
    next.retain(|skill| !said.take_out.contains(&skill.id));
    for skill in &said.put {
        match next.iter_mut().find(|known| known.id == skill.id) {
            Some(known) => known.clone_from(skill),
            None => next.push(skill.clone()),
        }
    }
    let shelf = library.shelf(&next);
    let mut faults: Vec<InputError> = said
        .put
        .iter()
        .enumerate()
        .flat_map(|(i, skill)| {
            check(skill, &shelf).into_iter().map(move |fault| fault.inside(&format!("/put/{i}")))
        })
        .collect();
    let named = still_named(
        &said.take_out,
        &NamedBy {
            skills: &next,
            drills: &state.store.drills().await?,
            tests: &state.store.tests().await?,
            milestones: &state.store.milestones().await?,
        },
    );
    faults.extend(named.into_iter().map(|fault| fault.inside("/take_out")));
    if faults.is_empty() {
        faults.extend(circle_in(&next).map(|says| InputError::at("/put", says)));
    }
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    let put = said.put.into_iter().map(SkillChange::Put);
    let changes: Vec<SkillChange> = put.chain(said.take_out.into_iter().map(SkillChange::TakeOut)).collect();
    state.store.change_map(&changes, version, who.0.id, state.clock.now()).await?;
    view(&state).await
}

/// Where a squad is to come, and from where.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(super) struct WayAsked {
    /// The skill.
    skill: SkillId,
    /// The stage.
    stage: Stage,
    /// The curriculum whose squad it is; without one nothing has been met yet.
    curriculum: Option<Uuid>,
}

/// What a skill rests on, what it opens, and the shortest way to it.
#[derive(Serialize, ToSchema)]
pub(super) struct WayView {
    rests_on: Vec<SkillId>,
    opens: Vec<SkillId>,
    /// Nothing while the map has a circle.
    way: Option<Way>,
}

/// What a skill rests on and opens, and what it costs at least to get there.
#[utoipa::path(operation_id = "map_way", params(WayAsked),
    responses((status = 200, body = WayView), (status = 404, body = Problem)))]
#[get("/map/way")]
pub(super) async fn way(who: SignedIn, state: Data<State>, asked: Query<WayAsked>) -> Answer<Json<WayView>> {
    who.may(Act::Plan)?;
    let skills = state.store.skills().await?;
    let map = Map::of(&skills);
    let place = map.place(&asked.skill).ok_or_else(|| Problem::not_found("skill"))?;
    let mut present: BTreeMap<SkillId, Option<Stage>> = BTreeMap::new();
    let mut pacing = Pacing {
        approach: jogo_core::plan::Approach::BALANCED,
        sessions_per_week: 2,
        new_skills_per_week: 2,
    };
    if let Some(id) = asked.curriculum {
        let draft = state.store.curriculum(id).await?.ok_or_else(|| Problem::not_found("curriculum"))?;
        let band = state.store.band(&draft.curriculum.band).await?;
        pacing.new_skills_per_week = band.map_or(pacing.new_skills_per_week, |band| band.new_skills_per_week);
        pacing.approach = draft.curriculum.approach;
        pacing.sessions_per_week = draft.curriculum.weekdays.len() as u32;
        present.extend(draft.curriculum.goals.into_iter().map(|goal| (goal.skill, goal.present)));
    }
    let present: Vec<Option<Stage>> =
        skills.iter().map(|skill| present.get(&skill.id).copied().flatten()).collect();
    let names = |places: Vec<usize>| places.into_iter().map(|place| skills[place].id.clone()).collect();
    Ok(Json(WayView {
        rests_on: names(map.rests_on(place)),
        opens: names(map.opens(place)),
        way: map.way(place, asked.stage, &present, &pacing),
    }))
}

/// Since when.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(super) struct Since {
    /// The end of this day, as 2031-02-10.
    since: String,
}

/// What has changed since the end of a day, in words.
#[utoipa::path(operation_id = "map_compared", params(Since),
    responses((status = 200, body = Vec<Difference>), (status = 422, body = Problem)))]
#[get("/map/compared")]
pub(super) async fn compared(
    who: SignedIn,
    state: Data<State>,
    asked: Query<Since>,
) -> Answer<Json<Vec<Difference>>> {
    who.may(Act::SeeLibrary)?;
    let wrong = || Problem::fault("/since", "write the day as 2031-02-10");
    let zone = state.zone().await?;
    let day: Date = asked.since.parse().map_err(|_| wrong())?;
    let end = day.tomorrow().and_then(|next| zone.to_timestamp(next.at(0, 0, 0, 0))).map_err(|_| wrong())?;
    let before = state.store.skills_at(end - jiff::SignedDuration::from_micros(1)).await?;
    Ok(Json(compare(&before, &state.store.skills().await?)))
}
