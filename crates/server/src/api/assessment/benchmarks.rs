//! The tests themselves: written, changed, taken out.

use actix_web::http::header::IF_NONE_MATCH;
use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, delete, get, put};
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::milestones::check::left_without_answer;
use jogo_core::ids::TestId;
use jogo_core::input::InputError;
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
    let test = state.store.test(&id).await?.ok_or_else(|| Problem::not_found("test"))?;
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
        let says =
            format!("“{}” has this name in files already: call the new one something else", known.name);
        return Err(StoreError::Taken(says).into());
    }
    let mut faults = faults(&state, &test, known).await?;
    faults.extend((test.id != *id).then(|| InputError::at("/id", "is not the one of the address")));
    Problem::if_any(faults)?;
    state.store.put_test(&test, who.0.id, state.clock.now()).await?;
    state.repeats.forget();
    Ok(HttpResponse::NoContent().finish())
}

/// What is wrong with a test beside the library, and beside what was measured with it so far.
async fn faults(state: &State, test: &Test, known: Option<Test>) -> Answer<Vec<InputError>> {
    let mut faults = test.faults();
    if !state.store.skills().await?.iter().any(|skill| skill.id == test.skill) {
        faults.push(InputError::at("/skill", format!("the library has no skill `{}`", test.skill)));
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
    let test = state.store.test(&id).await?.ok_or_else(|| Problem::not_found("test"))?;
    if let Some(what) = rests_on(&state, &test).await? {
        return Err(StoreError::Taken(format!("{what}: take that out first")).into());
    }
    if !state.store.drop_test(&test.id, who.0.id, state.clock.now()).await? {
        let says = "results or a standard are kept of this test: change its words instead";
        return Err(StoreError::Taken(says.into()).into());
    }
    state.repeats.forget();
    Ok(HttpResponse::NoContent().finish())
}

/// What of the library or of the plans rests on a test, in words.
async fn rests_on(state: &State, test: &Test) -> Answer<Option<String>> {
    let milestones = state.store.milestones().await?;
    if let Some(milestone) = milestones.iter().find(|milestone| milestone.evidence.rests_on(&test.id)) {
        return Ok(Some(format!("the milestone “{}” rests on it", milestone.says)));
    }
    let skills = state.store.skills().await?;
    let gated = skills
        .iter()
        .find(|skill| matches!(&skill.gate, Some(Gate::Test { test: of, .. }) if *of == test.id));
    if let Some(skill) = gated {
        return Ok(Some(format!("the gate of {} rests on it", skill.name)));
    }
    let curricula = state.store.curricula().await?;
    let sat =
        curricula.iter().find(|draft| draft.curriculum.tests.iter().any(|sitting| sitting.test == test.id));
    Ok(sat.map(|draft| format!("{} takes it", draft.curriculum.name)))
}
