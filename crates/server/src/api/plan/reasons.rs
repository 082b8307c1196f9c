//! Reasons, comparisons and forecasts of a plan.

use crate::facts::Thing;
use actix_web::web::{Data, Path, Query};
use actix_web::{get, post};
use jogo_core::delivery::edition::Edition;
use jogo_core::fact::Fact;
use jogo_core::ids::SkillId;
use jogo_core::plan::forecast::{Forecast, Size, forecast};
use jogo_core::plan::knack::Knack;
use jogo_core::plan::search::solve::usual_steps;
use jogo_core::plan::{
    Approach, BlockId, BlockWhy, Clash, Comparison, Plan, Problem as PlanProblem, compare, solve, why_block,
    why_skill,
};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use super::drafts::{aside, opened, problem_of};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::presence::Turnout;
use crate::views::team_sessions::knack_by;

/// What is asked about: a block, a skill, or both.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct Asked {
    block: Option<BlockId>,
    skill: Option<SkillId>,
}

/// Reasons.
#[derive(Serialize, ToSchema)]
pub(crate) struct Why {
    /// Why the block is here.
    block: Option<BlockWhy>,
    /// Why the skill comes when it comes.
    skill: Option<Vec<Fact>>,
}

/// Why is this here, and why so late?
#[utoipa::path(operation_id = "curricula_why", params(("id" = Uuid, Path), Asked),
    responses((status = 200, body = Why)))]
#[get("/curricula/{id}/why")]
pub(crate) async fn why(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    asked: Query<Asked>,
) -> Answer<Json<Why>> {
    who.may(Act::Plan)?;
    let (edition, problem) = opened(&state, *id).await?;
    asked.answered(&problem, &edition.plan).map(Json)
}

impl Asked {
    fn answered(&self, problem: &PlanProblem, plan: &Plan) -> Answer<Why> {
        let of_block = |id: BlockId| {
            let (session, block) = plan.place_of(id)?;
            why_block(problem, plan, session, block)
        };
        let block = self.block.map(|id| of_block(id).ok_or_else(|| Problem::not_found(Thing::Block)));
        let skill = self
            .skill
            .as_ref()
            .map(|skill| why_skill(problem, plan, skill).ok_or_else(|| Problem::not_found(Thing::Goal)));
        let skill = skill.transpose()?.map(|says| says.into_iter().map(Fact::from).collect());
        Ok(Why { block: block.transpose()?, skill })
    }
}

/// What to compare with.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct CompareWish {
    /// The same curriculum by this approach.
    approach: Approach,
    /// With which seed its plan is laid.
    seed: u64,
}

/// Two plans side by side.
#[derive(Serialize, ToSchema)]
pub(crate) struct Compared {
    #[serde(flatten)]
    comparison: Comparison,
    /// Wishes that cannot all be met by the other approach.
    clash: Option<Clash>,
}

/// Compares the plan with one for the same wishes by another approach, without changing anything.
#[utoipa::path(operation_id = "curricula_compared", params(("id" = Uuid, Path)),
    request_body = CompareWish,
    responses((status = 200, body = Compared)),
)]
#[post("/curricula/{id}/compare")]
pub(crate) async fn compared(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    wish: Json<CompareWish>,
) -> Answer<Json<Compared>> {
    who.may(Act::Plan)?;
    let (edition, problem) = opened(&state, *id).await?;
    let mut other = edition.clone();
    other.curriculum.approach = wish.approach;
    let others = problem_of(&other)?;
    let seed = wish.seed;
    let found = aside(move || {
        let solved = solve(&others, seed, usual_steps(&others))?;
        let comparison = compare((&problem, &edition.plan), (&others, &solved.plan));
        Ok(Compared { comparison, clash: solved.clash })
    });
    found.await?.map(Json).map_err(Problem::clash)
}

/// Compares the plan with the one of an edition: what has become of it since.
#[utoipa::path(operation_id = "curricula_compared_with_edition",
    params(("id" = Uuid, Path), ("number" = i64, Path)),
    responses((status = 200, body = Compared)),
)]
#[get("/curricula/{id}/editions/{number}/compared")]
pub(crate) async fn compared_with_edition(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, i64)>,
) -> Answer<Json<Compared>> {
    who.may(Act::Plan)?;
    let (id, number) = path.into_inner();
    let (edition, problem) = opened(&state, id).await?;
    let other = numbered(&state, id, number).await?;
    let others = problem_of(&other)?;
    let comparison = compare((&problem, &edition.plan), (&others, &other.plan));
    Ok(Json(Compared { comparison, clash: None }))
}

/// The edition of a curriculum with this number.
async fn numbered(state: &State, curriculum: Uuid, number: i64) -> Answer<Edition> {
    let none = || Problem::not_found(Thing::Edition);
    let editions = state.store.editions(curriculum).await?;
    let published = editions.into_iter().find(|published| published.number == number).ok_or_else(none)?;
    Ok(state.store.edition(published.id).await?.ok_or_else(none)?.1)
}

/// What a plan comes to, for the squads that work by it.
#[derive(Serialize, ToSchema)]
pub(crate) struct Foreseen {
    #[serde(flatten)]
    forecast: Forecast,
    /// What came off for those squads, all together; absent until somebody has said so.
    came_off: Option<Knack>,
    /// How much of the squads of the band has come since the curriculum began; absent until somebody has said so.
    coming: Option<Turnout>,
}

/// How many of the squad will be where by which week, if the plan is done as it stands.
#[utoipa::path(operation_id = "curricula_foreseen", params(("id" = Uuid, Path)),
    responses((status = 200, body = Foreseen)))]
#[get("/curricula/{id}/forecast")]
pub(crate) async fn foreseen(who: SignedIn, state: Data<State>, id: Path<Uuid>) -> Answer<Json<Foreseen>> {
    who.may(Act::Plan)?;
    let (edition, mut problem) = opened(&state, *id).await?;
    let knack = knack_by(&state, *id, &edition.band.id).await?;
    let coming = Turnout::of(&state, &edition.band.id, edition.curriculum.start).await?;
    problem.knack = knack.theta;
    let forecast = aside(move || foreseen_by(&edition, &problem)).await?;
    Ok(Json(Foreseen { forecast, came_off: (knack.logs > 0).then_some(knack), coming }))
}

pub(super) fn foreseen_by(edition: &Edition, problem: &PlanProblem) -> Forecast {
    let size = Size { players: Size::PLAYERS, squad: edition.curriculum.ground.squad };
    forecast(problem, &edition.plan, &edition.curriculum.forecast, size, 1)
}
