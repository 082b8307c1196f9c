//! The tests themselves: written, changed, taken out.

use actix_web::HttpResponse;
use actix_web::web::{Data, Json, Path, ServiceConfig, delete, get, put};
use jogo_core::input::InputError;
use jogo_core::milestones::Milestone;
use jogo_core::milestones::check::check;
use jogo_core::skill::Gate;
use jogo_core::tests::{Test, TestId};
use jogo_store::StoreError;
use serde::Serialize;
use utoipa::ToSchema;

use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config
        .route("/tests/{id}", get().to(show))
        .route("/tests/{id}", put().to(put_one))
        .route("/tests/{id}", delete().to(drop_one));
}

/// A test as it is written.
#[derive(Serialize, ToSchema)]
pub(super) struct WrittenTest {
    test: Test,
    /// Whether results were taken with it, so that what it records stays.
    has_results: bool,
}

/// A test as it is written.
#[utoipa::path(get, operation_id = "benchmarks_show", path = "/tests/{id}", params(("id" = String, Path)),
    responses((status = 200, body = WrittenTest), (status = 404, body = Problem)))]
pub(super) async fn show(who: SignedIn, state: Data<State>, id: Path<TestId>) -> Answer<Json<WrittenTest>> {
    who.may(Act::SetUp)?;
    let test = state.store.test(&id).await?.ok_or_else(|| Problem::not_found("test"))?;
    let has_results = state.store.has_results(&test.id).await?;
    Ok(Json(WrittenTest { test, has_results }))
}

/// Keeps a test: a new one, or a changed one. What results were taken with stays as it was.
#[utoipa::path(put, operation_id = "benchmarks_put", path = "/tests/{id}", params(("id" = String, Path)), request_body = Test,
    responses((status = 204), (status = 422, body = Problem)))]
pub(super) async fn put_one(
    who: SignedIn,
    state: Data<State>,
    id: Path<TestId>,
    test: Json<Test>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let test = test.into_inner();
    let mut faults = test.faults();
    if test.id != *id {
        faults.push(InputError::at("/id", "is not the one of the address"));
    }
    if !state.store.skills().await?.iter().any(|skill| skill.id == test.skill) {
        let skill: String = test.skill.chars().take(40).collect();
        faults.push(InputError::at("/skill", format!("the library has no skill `{skill}`")));
    }
    if let Some(kept) = state.store.test(&id).await? {
        if state.store.has_results(&kept.id).await? {
            faults.extend(kept.unlike(&test));
        }
        faults.extend(no_longer_held(&state, &test).await?);
    }
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    state.store.put_test(&test, who.0.id, state.clock.now()).await?;
    state.forget_repeatability();
    Ok(HttpResponse::NoContent().finish())
}

/// The milestones that a test, as it would become, could not answer any more.
async fn no_longer_held(state: &State, test: &Test) -> Answer<Vec<InputError>> {
    let bands: Vec<_> = state.store.bands().await?.into_iter().map(|kept| kept.band).collect();
    let (skills, milestones) = (state.store.skills().await?, state.store.milestones().await?);
    let resting = milestones.iter().filter(|milestone| milestone.evidence.tests().any(|of| *of == test.id));
    let fault = |milestone: &Milestone| {
        let found = check(milestone, &bands, &skills, std::slice::from_ref(test));
        let of_test = found.into_iter().find(|fault| fault.pointer.starts_with("/evidence"))?;
        let says = format!("the milestone “{}” would not hold: {}", milestone.says, of_test.detail);
        Some(InputError::at("/protocol", says))
    };
    Ok(resting.filter_map(fault).collect())
}

/// Takes a test out; one with results, or on which something rests, stays.
#[utoipa::path(delete, operation_id = "benchmarks_drop", path = "/tests/{id}", params(("id" = String, Path)),
    responses((status = 204), (status = 404, body = Problem), (status = 409, body = Problem)))]
pub(super) async fn drop_one(who: SignedIn, state: Data<State>, id: Path<TestId>) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let test = state.store.test(&id).await?.ok_or_else(|| Problem::not_found("test"))?;
    if let Some(what) = rests_on(&state, &test).await? {
        return Err(StoreError::Taken(format!("{what}: take that out first")).into());
    }
    if !state.store.drop_test(&test.id, who.0.id, state.clock.now()).await? {
        let says = "results or a standard are kept of this test: change its words instead";
        return Err(StoreError::Taken(says.into()).into());
    }
    state.forget_repeatability();
    Ok(HttpResponse::NoContent().finish())
}

/// What of the library or of the plans rests on a test, in words.
async fn rests_on(state: &State, test: &Test) -> Answer<Option<String>> {
    let milestones = state.store.milestones().await?;
    if let Some(milestone) =
        milestones.iter().find(|milestone| milestone.evidence.tests().any(|of| *of == test.id))
    {
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
