//! A curriculum for other programs: its problem and its plan. docs/formats.md says what is in them.

use actix_web::web::{Data, Path};
use actix_web::{HttpResponse, get};
use jogo_core::plan::{PlanForm, Problem as PlanProblem};
use uuid::Uuid;

use super::drafts::{draft, opened};
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

/// What a curriculum asks of a planner.
#[utoipa::path(operation_id = "curricula_problem", params(("id" = Uuid, Path)),
    responses((status = 200, body = PlanProblem)))]
#[get("/curricula/{id}/problem")]
pub(crate) async fn problem(who: SignedIn, state: Data<State>, id: Path<Uuid>) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let (_, problem) = opened(&state, *id).await?;
    Ok(HttpResponse::Ok().json(problem))
}

/// Its plan as it stands.
#[utoipa::path(operation_id = "curricula_plan", params(("id" = Uuid, Path)),
    responses((status = 200, body = PlanForm)))]
#[get("/curricula/{id}/plan")]
pub(crate) async fn plan(who: SignedIn, state: Data<State>, id: Path<Uuid>) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let plan = draft(&state, *id).await?.plan;
    Ok(HttpResponse::Ok().json(PlanForm::from(plan)))
}
