//! The tests themselves: written, changed, taken out.

use crate::facts::Entered;
use crate::facts::Kept;
use crate::facts::Thing;
use actix_web::http::header::IF_NONE_MATCH;
use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, delete, get, put};
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::milestones::check::left_without_answer;
use jogo_core::ids::TestId;
use jogo_core::input::InputError;
use jogo_core::input::Unknown;
use jogo_core::technique::skill::Gate;
use jogo_store::StoreError;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(put_one).service(drop_one);
}

/// A test as it is written.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct WrittenTest {
    test: Test,
    /// Whether results were taken with it, so that what it records stays.
    has_results: bool,
}

/// A test as it is written.
#[utoipa::path(operation_id = "benchmarks_show", params(("id" = String, Path)),
    responses((status = 200, body = WrittenTest)))]
#[get("/tests/{id}")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    id: Path<TestId>,
) -> Answer<Json<WrittenTest>> {
    who.may(Act::SetUp)?;
    let test = state.store.test(&id).await?.ok_or_else(|| Problem::not_found(Thing::Test))?;
    let has_results = state.store.has_results(&test.id).await?;
    Ok(Json(WrittenTest { test, has_results }))
}

/// Keeps a test: a changed one, or a new one, which `If-None-Match: *` keeps from taking the place of another. What
/// results were taken with stays as it was. Where the protocol decides the smallest and the largest value, they are
/// filled in.
#[utoipa::path(operation_id = "benchmarks_put",
    params(("id" = String, Path), ("If-None-Match" = Option<String>, Header)), request_body = Test,
    responses((status = 204), (status = 409, body = Problem)))]
#[put("/tests/{id}")]
pub(in crate::api) async fn put_one(
    who: SignedIn,
    state: Data<State>,
    id: Path<TestId>,
    test: Json<Test>,
    request: HttpRequest,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let (test, known) = (test.into_inner().in_its_range(), state.store.test(&id).await?);
    if let (Some(known), true) = (&known, request.headers().contains_key(IF_NONE_MATCH)) {
        return Err(StoreError::Taken(Kept::OtherTest { test: known.name.clone() }.into()).into());
    }
    let mut faults = faults(&state, &test, known).await?;
    faults.extend((test.id != *id).then(|| InputError::at("/id", Entered::OtherAddress)));
    Problem::if_any(faults)?;
    state.store.put_test(&test, who.0.id, state.clock.now()).await?;
    state.repeats.forget();
    Ok(HttpResponse::NoContent().finish())
}

/// What is wrong with a test beside the library, and beside what was measured with it so far.
async fn faults(state: &State, test: &Test, known: Option<Test>) -> Answer<Vec<InputError>> {
    let skills = state.store.skills().await?;
    let mut faults = test.faults();
    faults.extend(test.score_faults(&skills));
    if !skills.iter().any(|skill| skill.id == test.skill) {
        faults.push(InputError::at("/skill", Unknown::Skill { id: test.skill.to_string() }));
    }
    if let Some(kept) = known {
        if state.store.has_results(&kept.id).await? {
            faults.extend(kept.unlike(test));
        }
        faults.extend(left_without_answer(test, &state.store.milestones().await?));
    }
    Ok(faults)
}

/// Takes a test out; one with results, or on which something rests, stays.
#[utoipa::path(operation_id = "benchmarks_drop", params(("id" = String, Path)),
    responses((status = 204), (status = 409, body = Problem)))]
#[delete("/tests/{id}")]
pub(in crate::api) async fn drop_one(
    who: SignedIn,
    state: Data<State>,
    id: Path<TestId>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let test = state.store.test(&id).await?.ok_or_else(|| Problem::not_found(Thing::Test))?;
    if let Some(what) = rests_on(&state, &test).await? {
        return Err(StoreError::Taken(what.into()).into());
    }
    if !state.store.drop_test(&test.id, who.0.id, state.clock.now()).await? {
        return Err(StoreError::Taken(Kept::TestHasResults.into()).into());
    }
    state.repeats.forget();
    Ok(HttpResponse::NoContent().finish())
}

/// What of the library or of the plans rests on a test.
async fn rests_on(state: &State, test: &Test) -> Answer<Option<Kept>> {
    let milestones = state.store.milestones().await?;
    if let Some(milestone) = milestones.iter().find(|milestone| milestone.evidence.rests_on(&test.id)) {
        return Ok(Some(Kept::MilestoneRests { milestone: milestone.says.clone() }));
    }
    let skills = state.store.skills().await?;
    let gated = skills
        .iter()
        .find(|skill| matches!(&skill.gate, Some(Gate::Test { test: of, .. }) if *of == test.id));
    if let Some(skill) = gated {
        return Ok(Some(Kept::GateRests { skill: skill.name.clone() }));
    }
    let curricula = state.store.curricula().await?;
    let sat =
        curricula.iter().find(|draft| draft.curriculum.tests.iter().any(|sitting| sitting.test == test.id));
    Ok(sat.map(|draft| Kept::CurriculumTests { curriculum: draft.curriculum.name.clone() }))
}
