//! Curricula on the director's desk: wishes, plan, edits, reasons, editions.

mod benchmarks;
mod book;
mod drafts;
mod files;
mod improving;
mod making;
pub(super) mod publishing;
mod reasons;
mod so_far;
mod surfaces;
mod view;

use crate::facts::Changed;
use crate::facts::Thing;
use actix_web::web::{Data, Path, Query};
use actix_web::{HttpRequest, HttpResponse, get, post, put};
use jiff::civil::Date;
use jogo_core::delivery::session::RunningOrder;
use jogo_core::ids::BandId;
use jogo_core::plan::curriculum::{Curriculum, Season};
use jogo_core::plan::rules::mend::told;
use jogo_core::plan::search::solve::{STEPS_NEAR, usual_steps};
use jogo_core::plan::{
    Clash, Edit, Plan, Price, Problem as PlanProblem, edit, price, score, solve, solve_near,
};
use jogo_core::season::InTime;
use jogo_store::plan::CurriculumLine;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use self::benchmarks::{mend, show_benchmarks};
use self::drafts::{aside, draft, edition, opened, problem_of, read, with_tests_laid};
use self::making::{beginnings, create, goals_of_squads};
use self::publishing::publish;
use self::reasons::{compared, compared_with_edition, foreseen, why};
use self::so_far::{delivered, reached_so_far};
use self::surfaces::trained_surfaces;
use self::view::{BlockPlace, Came, CurriculumView, kept, view};
use crate::api::{Cursor, Page};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config
        .service(list)
        .service(create)
        .service(beginnings)
        .service(show)
        .service(change_wishes)
        .service(change_season)
        .service(edits)
        .service(undo)
        .service(solve_again)
        .service(book::book)
        .service(goals_of_squads)
        .service(why)
        .service(show_benchmarks)
        .service(mend)
        .service(compared)
        .service(foreseen)
        .service(reached_so_far)
        .service(trained_surfaces)
        .service(delivered)
        .service(running_order)
        .service(publish)
        .service(improving::improve_plan)
        .service(improving::take)
        .service(files::problem)
        .service(files::plan)
        .service(compared_with_edition);
}

/// A curriculum in the list.
#[derive(Serialize, ToSchema)]
pub(super) struct CurriculumEntry {
    id: Uuid,
    name: String,
    band: BandId,
    start: String,
    weeks: u32,
    /// Where its weeks stand today.
    stands: InTime,
    /// Number of the latest edition.
    edition: Option<i64>,
}

impl CurriculumEntry {
    fn of(line: CurriculumLine, today: Date) -> CurriculumEntry {
        let CurriculumLine { id, name, band, start, weeks, edition } = line;
        let stands = InTime::of(start, weeks, today);
        CurriculumEntry { id, name, band, start: start.to_string(), weeks, stands, edition }
    }
}

/// All curricula, the latest first.
#[utoipa::path(operation_id = "curricula_list", params(Cursor),
    responses((status = 200, body = Page<CurriculumEntry>), (status = 422, body = Problem)),
)]
#[get("/curricula")]
pub(super) async fn list(
    who: SignedIn,
    state: Data<State>,
    cursor: Query<Cursor>,
) -> Answer<Json<Page<CurriculumEntry>>> {
    who.may(Act::Review)?;
    let lines = state.store.curriculum_lines(cursor.after()?, cursor.limit() as u32 + 1).await?;
    let today = state.today().await?;
    let entries = lines.into_iter().map(|line| CurriculumEntry::of(line, today)).collect();
    Ok(Json(cursor.begun(entries, |entry: &CurriculumEntry| entry.id.to_string())))
}

/// A curriculum with its plan.
#[utoipa::path(operation_id = "curricula_show", params(("id" = Uuid, Path)),
    responses((status = 200, body = CurriculumView)))]
#[get("/curricula/{id}")]
pub(super) async fn show(who: SignedIn, state: Data<State>, id: Path<Uuid>) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let draft = draft(&state, *id).await?;
    view(&state, draft, Came::default()).await
}

/// Changes the wishes; the plan stays, and shows where it now breaks a rule.
#[utoipa::path(operation_id = "curricula_change",
    params(("id" = Uuid, Path), ("If-Match" = String, Header)), request_body = Curriculum,
    responses((status = 200, body = CurriculumView)),
)]
#[put("/curricula/{id}")]
pub(super) async fn change_wishes(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    wishes: Json<Curriculum>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = read(&state, *id, &request).await?;
    let wishes = wishes.into_inner().without_lost_tests();
    let edition = edition(&state, wishes, read.plan.clone()).await?;
    problem_of(&edition)?;
    kept(&who, &state, read, (&edition.curriculum, &edition.plan), Changed::Wishes, Came::default()).await
}

/// Moves a curriculum into another season; sessions that stay keep their blocks.
#[utoipa::path(operation_id = "curricula_change_season",
    params(("id" = Uuid, Path), ("If-Match" = String, Header)), request_body = Season,
    responses((status = 200, body = CurriculumView)))]
#[put("/curricula/{id}/season")]
pub(super) async fn change_season(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    season: Json<Season>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = read(&state, *id, &request).await?;
    let (curriculum, plan) = read.curriculum.in_season(&read.plan, &season).map_err(Problem::input)?;
    let edition = edition(&state, curriculum, plan).await?;
    problem_of(&edition)?;
    kept(&who, &state, read, (&edition.curriculum, &edition.plan), Changed::Wishes, Came::default()).await
}

/// Changes the plan by hand, whatever rule that breaks, and says what it costs.
#[utoipa::path(operation_id = "curricula_edits",
    params(("id" = Uuid, Path), ("If-Match" = String, Header)), request_body = Edit,
    responses((status = 200, body = CurriculumView)))]
#[post("/curricula/{id}/edits")]
pub(super) async fn edits(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    change: Json<Edit>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = read(&state, *id, &request).await?;
    let before = edition(&state, read.curriculum.clone(), read.plan.clone()).await?;
    let problem = problem_of(&before)?;
    let edited = edit(&problem, &before.plan, &change).map_err(|fault| Problem::input(vec![fault]))?;
    let came = Came {
        price: Some(price(&score(&problem, &before.plan), &score(&problem, &edited.plan))),
        place: edited.place.map(|(session, block)| BlockPlace { session, block }),
        clash: None,
    };
    let curriculum = Curriculum { locks: edited.locks, ..before.curriculum.clone() };
    let what = told(&problem, &before.plan, &change);
    kept(&who, &state, read, (&curriculum, &edited.plan), what, came).await
}

/// Takes the last change back; nothing happens if there is none.
#[utoipa::path(operation_id = "curricula_undo", params(("id" = Uuid, Path), ("If-Match" = String, Header)),
    responses((status = 200, body = CurriculumView)))]
#[post("/curricula/{id}/undo")]
pub(super) async fn undo(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = read(&state, *id, &request).await?;
    state.store.take_back(&read, who.0.id, state.clock.now()).await?;
    view(&state, draft(&state, *id).await?, Came::default()).await
}

/// How to lay the plan.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct SolveWish {
    /// Another seed may find another plan.
    seed: u64,
    /// Whether to stay near the plan that is there.
    #[serde(default)]
    near: bool,
    /// Whether to keep the plan that is there unless a better one is found.
    #[serde(default)]
    only_better: bool,
}

/// Lays the plan and its tests, around what is locked and pinned.
#[utoipa::path(operation_id = "curricula_solve_again",
    params(("id" = Uuid, Path), ("If-Match" = String, Header)), request_body = SolveWish,
    responses((status = 200, body = CurriculumView)),
)]
#[post("/curricula/{id}/solve")]
pub(super) async fn solve_again(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    wish: Json<SolveWish>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = read(&state, *id, &request).await?;
    let edition = edition(&state, read.curriculum.clone(), read.plan.clone()).await?;
    let edition = with_tests_laid(&state, edition).await?;
    let (problem, curriculum) = (problem_of(&edition)?, edition.curriculum.clone());
    let wish = wish.into_inner();
    let (found, came) = aside(move || lay(&problem, &edition.plan, &wish)).await??;
    match found {
        Some(plan) => kept(&who, &state, read, (&curriculum, &plan), Changed::LaidAnew, came).await,
        None => view(&state, read, came).await,
    }
}

/// Lays a plan; absent if the one that is there is to be kept.
fn lay(problem: &PlanProblem, plan: &Plan, wish: &SolveWish) -> Answer<(Option<Plan>, Came)> {
    let solved = match wish.near {
        true => solve_near(problem, plan, wish.seed, STEPS_NEAR),
        false => solve(problem, wish.seed, usual_steps(problem)),
    };
    let solved = solved.map_err(Problem::clash)?;
    let before = score(problem, plan);
    let came = |price: Option<Price>, clash: Option<Clash>| Came { price, clash, place: None };
    if wish.only_better && !solved.beats(problem, plan) {
        return Ok((None, came(None, solved.clash)));
    }
    let price = price(&before, &solved.score);
    Ok((Some(solved.plan), came(Some(price), solved.clash)))
}

/// The running order of a session of the draft.
#[utoipa::path(operation_id = "curricula_session", params(("id" = Uuid, Path), ("session" = usize, Path)),
    responses((status = 200, body = RunningOrder)))]
#[get("/curricula/{id}/sessions/{session}")]
pub(super) async fn running_order(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, usize)>,
) -> Answer<Json<RunningOrder>> {
    who.may(Act::Plan)?;
    let (id, session) = path.into_inner();
    let (edition, problem) = opened(&state, id).await?;
    let pace = who.pace(&state).await?;
    let order = edition.running_order(&problem, session, pace);
    let mut order = order.ok_or_else(|| Problem::not_found(Thing::Session))?;
    order.looks = edition.looks(&problem, session, &state.store.milestones().await?, &edition.tests);
    Ok(Json(order))
}
