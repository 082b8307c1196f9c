//! A better plan, looked for while the director goes on: offered, and taken only when somebody says so.

use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, post};
use jogo_core::plan::edit::EditFault;
use jogo_core::plan::search::solve::usual_steps;
use jogo_core::plan::{
    Plan, PlanForm, Price, Problem as PlanProblem, check, improve_while, left_their_session, price, score,
};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::drafts::{aside, edition, problem_of, read};
use super::view::{Came, kept};
use crate::facts::Changed;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

/// The last round of a search.
const LAST_ROUND: u32 = 3;

/// Where a search goes on.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct ImproveWish {
    /// Which round it is, from 0 to 3: each searches twice as long as the one before it, the first as long as two
    /// solves.
    #[schema(maximum = 3)]
    round: u32,
    /// The plan that the round before it found; else it begins with the one that is there.
    #[serde(default)]
    from: Option<PlanForm>,
}

/// What a round found.
#[derive(Serialize, ToSchema)]
pub(crate) struct Improved {
    /// A better plan; absent if none was found.
    offer: Option<Offer>,
    /// Whether another round may find more.
    more: bool,
}

/// A plan that is better than the one that is there.
#[derive(Serialize, ToSchema)]
pub(crate) struct Offer {
    plan: PlanForm,
    /// What taking it would change in the score.
    price: Price,
    /// How many blocks would leave their session.
    moved: u32,
    /// How many blocks the plan has now.
    blocks: u32,
}

/// Looks for a better plan. Nothing is changed.
#[utoipa::path(operation_id = "curricula_improve",
    params(("id" = Uuid, Path), ("If-Match" = String, Header)), request_body = ImproveWish,
    responses((status = 200, body = Improved)))]
#[post("/curricula/{id}/improve")]
pub(crate) async fn improve_plan(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    wish: Json<ImproveWish>,
) -> Answer<Json<Improved>> {
    who.may(Act::Plan)?;
    let read = read(&state, *id, &request).await?;
    let edition = edition(&state, read.curriculum, read.plan).await?;
    let problem = problem_of(&edition)?;
    let ImproveWish { round, from } = wish.into_inner();
    let from = from.map(PlanForm::plan).transpose().map_err(|fault| Problem::input(vec![fault]))?;
    let (round, going_on) = (round.min(LAST_ROUND), state.searches.begin(*id));
    let wanted = move || going_on.is_wanted();
    Ok(Json(aside(move || search(&problem, (&edition.plan, from), round, &wanted)).await?))
}

/// A round of the search, from the plan that is there or the better one of the round before.
fn search(
    problem: &PlanProblem,
    (stands, from): (&Plan, Option<Plan>),
    round: u32,
    wanted: &dyn Fn() -> bool,
) -> Improved {
    let from = from.unwrap_or_else(|| stands.clone());
    let steps = usual_steps(problem) << (round + 1);
    let found = improve_while(problem, &from, u64::from(round) + 1, steps, wanted);
    // The first rounds are short; a later one that finds nothing is the end.
    let more = round < LAST_ROUND && (found.is_some() || round == 0);
    let offer = found.map(|found| {
        let plan = found.plan.continuing(stands);
        Offer {
            price: price(&score(problem, stands), &found.score),
            moved: left_their_session(stands, &plan) as u32,
            blocks: stands.sessions.iter().map(Vec::len).sum::<usize>() as u32,
            plan: plan.into(),
        }
    });
    Improved { offer, more }
}

/// Takes a plan that was offered, if it breaks no rule.
#[utoipa::path(operation_id = "curricula_take",
    params(("id" = Uuid, Path), ("If-Match" = String, Header)), request_body = PlanForm,
    responses((status = 200, body = super::view::CurriculumView)))]
#[post("/curricula/{id}/offer")]
pub(crate) async fn take(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    offered: Json<PlanForm>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = read(&state, *id, &request).await?;
    let edition = edition(&state, read.curriculum.clone(), read.plan.clone()).await?;
    let problem = problem_of(&edition)?;
    let plan = legal(&problem, offered.into_inner())?.continuing(&edition.plan);
    let price = Some(price(&score(&problem, &edition.plan), &score(&problem, &plan)));
    let came = Came { price, ..Came::default() };
    kept(&who, &state, read, (&edition.curriculum, &plan), Changed::LaidAnew, came).await
}

fn legal(problem: &PlanProblem, offered: PlanForm) -> Answer<Plan> {
    let plan = offered.plan().map_err(|fault| Problem::input(vec![fault]))?;
    match check(problem, &plan).len() {
        0 => Ok(plan),
        places => Err(Problem::fault("/sessions", EditFault::Breaks { places })),
    }
}
