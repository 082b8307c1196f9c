//! The year sheet, and laying its plans one after the other.

use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, Responder, get, post};
use jiff::civil::Date;
use jogo_core::ids::BandId;
use jogo_core::plan::carry_over::Believed;
use jogo_core::plan::search::solve::usual_steps;
use jogo_core::plan::{Plan, Problem as PlanProblem, check, score, solve};
use jogo_core::season::days_off::DaysOff;
use jogo_core::season::year::Year;
use jogo_core::season::year_sheet::YearSheet;
use jogo_store::plan::Change;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use super::seasons::of_academy;
use crate::facts::{Changed, Thing};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::year::{Opened, Shelf, Unread, brought_from, drafts_in, in_order, sheet};
use crate::worked_out::{Progress, Stamp, UnderWay};

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(lay);
}

/// A season at a glance.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct YearSheetView {
    season: Year,
    #[schema(value_type = String, format = Date)]
    today: Date,
    /// Days off of the whole academy.
    days_off: Vec<DaysOff>,
    #[serde(flatten)]
    sheet: YearSheet,
    /// Curricula that cannot be read, because the library has changed under them.
    unread: Vec<Unread>,
}

/// A season of the academy.
pub(super) async fn season(state: &State, id: Uuid) -> Answer<Year> {
    let found = state.store.seasons().await?.into_iter().find(|(known, _)| *known == id);
    found.map(|(_, season)| season).ok_or_else(|| Problem::not_found(Thing::Season))
}

/// What the curricula of a season come to.
#[utoipa::path(operation_id = "seasons_year", params(("season" = Uuid, Path)),
    responses((status = 200, body = YearSheetView)))]
#[get("/seasons/{season}/year")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<Json<YearSheetView>> {
    who.may(Act::Plan)?;
    let season = season(&state, *id).await?;
    let (today, days_off) = (state.today().await?, of_academy(&state).await?);
    let (sheet, unread) = sheet(&state, &season, &days_off).await?;
    Ok(Json(YearSheetView { season, today, days_off, sheet, unread }))
}

/// Which plans of a season are to be laid.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct LayWish {
    /// Made by the sender, so that sending twice lays once.
    id: Uuid,
    /// Of which band.
    band: BandId,
    /// What is believed of the curricula before.
    believed: Believed,
}

/// The outcome for one curriculum.
#[derive(Clone, Debug, PartialEq, Serialize, ToSchema)]
pub(in crate::api) struct LaidAnew {
    id: Uuid,
    name: String,
    /// Skills that now begin at another stage.
    moved: usize,
    /// Points of the plan before and after; absent if no plan keeps its rules, and then it stays as it was.
    points: Option<[f64; 2]>,
}

/// Lays the plans of a band that nobody works by yet, one after the other: each begins where the one before ends.
#[utoipa::path(operation_id = "seasons_lay", params(("season" = Uuid, Path)), request_body = LayWish,
    responses((status = 200, body = Vec<LaidAnew>), (status = 202, body = UnderWay)))]
#[post("/seasons/{season}/plans")]
pub(in crate::api) async fn lay(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    wish: Json<LayWish>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let season = season(&state, *id).await?;
    let (aside, by, wish) = (state.clone(), who.0.id, wish.into_inner());
    let key = wish.id;
    let work = move |progress| async move { laid(&aside, &season, &wish, by, &progress).await };
    let done = state.aside.results::<Uuid, Vec<LaidAnew>>().of(key, Stamp::ONCE, work).await?;
    Ok(done.respond_to(&request))
}

async fn laid(
    state: &State,
    season: &Year,
    wish: &LayWish,
    by: Uuid,
    progress: &Progress,
) -> Answer<Vec<LaidAnew>> {
    let shelf = Shelf::of(state).await?;
    let mut drafts = drafts_in(state, season).await?;
    drafts.retain(|draft| draft.curriculum.band == wish.band);
    let opened: Vec<Opened> = drafts.into_iter().filter_map(|draft| shelf.opened(draft)).collect();
    let order = in_order(&opened);
    progress.of(order.len());
    let mut opened: Vec<Option<Opened>> = opened.into_iter().map(Some).collect();
    let (mut before, mut all): (Vec<Opened>, Vec<LaidAnew>) = (Vec::new(), Vec::new());
    for at in order {
        let Some(mut each) = opened[at].take() else { continue };
        if each.draft.edition.is_none() {
            let (anew, laid) = laid_after(state, &shelf, &before, each, (wish.believed, by)).await?;
            all.push(anew);
            each = laid;
        }
        before.push(each);
        progress.step();
    }
    Ok(all)
}

/// Lays a draft from where those before it end, and keeps it.
async fn laid_after(
    state: &State,
    shelf: &Shelf,
    before: &[Opened],
    each: Opened,
    (believed, by): (Believed, Uuid),
) -> Answer<(LaidAnew, Opened)> {
    let brought = brought_from(&before.iter().collect::<Vec<_>>(), believed);
    let wishes = each.draft.curriculum.clone();
    let carried = if before.is_empty() { wishes.clone() } else { wishes.clone().carrying(&brought) };
    let moved = wishes.goals.iter().zip(&carried.goals);
    let moved = moved.filter(|(was, is)| was.present != is.present).count();
    let (id, name) = (each.draft.id, wishes.name.clone());
    let edition = shelf.edition(carried, each.draft.plan.clone());
    let edition = edition.ok_or_else(|| Problem::not_found(Thing::Band))?;
    let edition = edition.with_tests_laid(shelf.milestones()).map_err(Problem::input)?;
    let problem = edition.problem().map_err(Problem::input)?;
    let there = edition.plan.clone();
    let solved = actix_web::web::block(move || better(&problem, there));
    let Some((plan, points)) = solved.await.map_err(|e| Problem::internal(&e))? else {
        return Ok((LaidAnew { id, name, moved, points: None }, each));
    };
    let what = Changed::CarriedOver.into();
    let change = Change { what: &what, by, at: state.clock.now() };
    state.store.change_curriculum(&each.draft, &edition.curriculum, &plan, change).await?;
    let read = state.store.curriculum(id).await?.ok_or_else(|| Problem::not_found(Thing::Curriculum))?;
    let points = Some(points);
    let laid = shelf.opened(read).ok_or_else(|| Problem::not_found(Thing::Curriculum))?;
    Ok((LaidAnew { id, name, moved, points }, laid))
}

/// The plan that is there, or a new one where that is better or the other breaks a rule, with the points before and
/// after; `None` if no plan keeps the rules.
fn better(problem: &PlanProblem, there: Plan) -> Option<(Plan, [f64; 2])> {
    let before = score(problem, &there).total;
    match solve(problem, 1, usual_steps(problem)) {
        Ok(solved) if solved.beats(problem, &there) => Some((solved.plan, [before, solved.score.total])),
        _ => check(problem, &there).is_empty().then_some((there, [before, before])),
    }
}
