//! A draft with the living library beside it.

use crate::facts::Thing;

use actix_web::HttpRequest;
use jogo_core::delivery::edition::Edition;
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::plan::{Plan, Problem as PlanProblem};
use jogo_store::plan::Draft;
use uuid::Uuid;

use crate::api::version;
use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::drafts::joined;
use crate::views::drills::known_band;

/// A curriculum on the desk.
pub(super) async fn draft(state: &State, id: Uuid) -> Answer<Draft> {
    state.store.curriculum(id).await?.ok_or_else(|| Problem::not_found(Thing::Curriculum))
}

/// The draft, if it still is the version that the request changes. Nobody waits any longer for a better plan than the
/// one that it changes.
pub(super) async fn read(state: &State, id: Uuid, request: &HttpRequest) -> Answer<Draft> {
    read_as(state, id, version(request)?).await
}

/// A draft that was read as some version, if it still is that one.
pub(super) async fn read_as(state: &State, id: Uuid, version: i64) -> Answer<Draft> {
    state.searches.end(id);
    let draft = draft(state, id).await?;
    if version != draft.version {
        return Err(jogo_store::StoreError::Stale.into());
    }
    Ok(draft)
}

/// Joins wishes and a plan with the living library.
pub(super) async fn edition(state: &State, curriculum: Curriculum, plan: Plan) -> Answer<Edition> {
    let band = known_band(state, &curriculum.band).await?;
    Ok(joined(&state.store, band, curriculum, plan).await?)
}

/// The same with every test laid that the wishes ask for.
pub(super) async fn with_tests_laid(state: &State, edition: Edition) -> Answer<Edition> {
    edition.with_tests_laid(&state.store.milestones().await?).map_err(Problem::input)
}

/// A curriculum on the desk, joined with the living library, and what its wishes ask of a plan.
pub(super) async fn opened(state: &State, id: Uuid) -> Answer<(Edition, PlanProblem)> {
    let draft = draft(state, id).await?;
    let edition = edition(state, draft.curriculum, draft.plan).await?;
    let problem = problem_of(&edition)?;
    Ok((edition, problem))
}

pub(super) fn problem_of(edition: &Edition) -> Answer<PlanProblem> {
    edition.problem().map_err(Problem::input)
}

/// Work that takes a while, on a thread of its own.
pub(super) async fn aside<T: Send + 'static>(work: impl FnOnce() -> T + Send + 'static) -> Answer<T> {
    actix_web::web::block(work).await.map_err(|e| Problem::internal(&e))
}
