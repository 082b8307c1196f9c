//! The benchmark map of a curriculum, and mending what it finds.

use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, get, post};
use jiff::ToSpan;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::eyes_on::LookReach;
use jogo_core::plan::benchmark_map::{BenchmarkMend, Given, Library};
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::plan::search::solve::STEPS_NEAR;
use jogo_core::plan::{BenchmarkMap, Plan, Problem as PlanProblem, benchmark_map, price, score, solve_near};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::drafts::{aside, draft, edition, problem_of, read};
use super::view::{Came, CurriculumView, kept};
use crate::facts::{Changed, Entered};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::standards::suggested;

/// Curricula are of one year if they begin at most this many days apart.
const YEAR: i64 = 364;

/// What goals are shown with: the living library, and what the band learns in the same year.
async fn library(state: &State, id: Uuid, edition: &Edition) -> Answer<Library> {
    let (band, start) = (&edition.band.id, edition.curriculum.start);
    let year = (start.saturating_sub(YEAR.days()), start.saturating_add(YEAR.days()));
    let mut library = Library {
        milestones: state.store.milestones().await?,
        standards: state.store.standards(band).await?,
        tests: edition.tests.clone(),
        skills: edition.skills.clone(),
        drills: edition.drills.clone(),
        taught_elsewhere: state.store.goals_beside(id, band, year).await?,
        ..Library::default()
    };
    // Only tests that are to have a standard and have none yet: few, and none once the map is whole.
    for test in library.without_standard(band) {
        if let Some(thresholds) = suggested(state, &test, band).await? {
            library.suggested.insert(test.id, thresholds);
        }
    }
    Ok(library)
}

/// The benchmark map of a curriculum, and how many of the looks that its milestones ask for it has room for.
#[derive(Serialize, ToSchema)]
pub(crate) struct Benchmarks {
    #[serde(flatten)]
    map: BenchmarkMap,
    looks: LookReach,
}

/// What can be shown of a curriculum's goals by its end, and what keeps the rest from it.
#[utoipa::path(operation_id = "curricula_benchmarks", params(("id" = Uuid, Path)),
    responses((status = 200, body = Benchmarks)))]
#[get("/curricula/{id}/benchmarks")]
pub(crate) async fn show_benchmarks(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<Json<Benchmarks>> {
    who.may(Act::Plan)?;
    let draft = draft(&state, *id).await?;
    let edition = edition(&state, draft.curriculum, draft.plan).await?;
    let (problem, library) = (problem_of(&edition)?, library(&state, *id, &edition).await?);
    let Edition { curriculum, plan, .. } = &edition;
    let map = benchmark_map(&Given { curriculum, problem: &problem, plan, library: &library });
    let looks = edition.looks_at_squad(&problem, &library.milestones, &library.tests);
    Ok(Json(Benchmarks { map, looks }))
}

/// Mends a finding of the benchmark map, and replans near the plan that is there. What changes the library is done
/// there: a milestone, or a standard.
#[utoipa::path(operation_id = "curricula_mend",
    params(("id" = Uuid, Path), ("If-Match" = String, Header)), request_body = BenchmarkMend,
    responses((status = 200, body = CurriculumView)))]
#[post("/curricula/{id}/benchmarks/mend")]
pub(crate) async fn mend(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    mend: Json<BenchmarkMend>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = read(&state, *id, &request).await?;
    let before = problem_of(&edition(&state, read.curriculum.clone(), read.plan.clone()).await?)?;
    let wishes = changed(&mend, &read.curriculum)?;
    let mended = edition(&state, wishes, read.plan.clone()).await?;
    let after = problem_of(&mended)?;
    let curriculum = mended.curriculum.clone();
    let (plan, came) = aside(move || near(&before, &after, &mended)).await??;
    kept(&who, &state, read, (&curriculum, &plan), Changed::Wishes, came).await
}

/// The wishes with what a mend changes of them.
fn changed(by: &BenchmarkMend, wishes: &Curriculum) -> Answer<Curriculum> {
    if matches!(by, BenchmarkMend::Milestone { .. } | BenchmarkMend::Standard { .. }) {
        return Err(Problem::fault("/kind", Entered::MendOfLibrary));
    }
    let mended = by.of_wishes(wishes);
    if mended == *wishes {
        return Err(Problem::fault("", Entered::MendOfNothing));
    }
    Ok(mended)
}

/// The plan of mended wishes that stays near the one that is there.
fn near(before: &PlanProblem, after: &PlanProblem, mended: &Edition) -> Answer<(Plan, Came)> {
    let solved = solve_near(after, &mended.plan, 1, STEPS_NEAR).map_err(Problem::clash)?;
    let price = price(&score(before, &mended.plan), &solved.score);
    let came = Came { price: Some(price), clash: solved.clash, place: None };
    Ok((solved.plan, came))
}
