//! Curricula on the director's desk: wishes, plan, editions.

use actix_web::web::{Data, Json, Path, Query, ServiceConfig, get, post, resource};
use actix_web::{HttpRequest, HttpResponse};
use jogo_core::curriculum::Curriculum;
use jogo_core::edition::Edition;
use jogo_core::evening::Evening;
use jogo_core::input::short_text;
use jogo_core::plan::score::{minutes_by_strand, missing};
use jogo_core::plan::solve::ROUNDS;
use jogo_core::plan::{Breach, Plan, Problem as PlanProblem, Score, Stitch, check, score, solve, stitches};
use jogo_core::skill::{Skill, Stage};
use jogo_core::units::Minutes;
use jogo_store::curricula::{Draft, Published};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::{Cursor, Page, version, versioned};
use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config
        .route("/curricula", get().to(list))
        .service(resource("/curricula/{id}").route(get().to(show)).route(actix_web::web::put().to(change)))
        .route("/curricula/{id}/solve", post().to(solve_again))
        .route("/curricula/{id}/sessions/{session}", get().to(evening))
        .route("/curricula/{id}/editions", post().to(publish));
}

/// A curriculum in the list.
#[derive(Serialize, ToSchema)]
pub(super) struct CurriculumEntry {
    id: Uuid,
    name: String,
    band: String,
    start: String,
    weeks: u32,
    /// Number of the latest edition.
    edition: Option<i64>,
}

/// A curriculum with its plan, as the Plan surface shows it.
#[derive(Serialize, ToSchema)]
pub(super) struct CurriculumView {
    id: Uuid,
    version: i64,
    changed_at: String,
    band: String,
    /// The wishes.
    wishes: Curriculum,
    skills: Vec<SkillLine>,
    sessions: Vec<SessionColumn>,
    stitches: Vec<Stitch>,
    /// Minutes of the whole plan by strand.
    minutes_by_strand: [f64; 4],
    score: Score,
    breaches: Vec<Breach>,
    editions: Vec<EditionEntry>,
    /// Whether the draft differs from the latest edition; nothing if none was published.
    changed_since_edition: Option<bool>,
}

/// A skill of the curriculum: one line of the plan.
#[derive(Serialize, ToSchema)]
pub(super) struct SkillLine {
    #[serde(flatten)]
    skill: Skill,
    present: Option<Stage>,
    goal: Stage,
    /// Exposures that the plan still misses on the way to the goal.
    missing: u32,
}

/// An evening of the plan: one column.
#[derive(Serialize, ToSchema)]
pub(super) struct SessionColumn {
    session: usize,
    week: u32,
    date: String,
    minutes: Minutes,
    /// Minutes of blocks by strand, in the order of the strands.
    by_strand: [f64; 4],
    /// Minutes of layout changes.
    changes: Minutes,
}

#[derive(Serialize, ToSchema)]
pub(super) struct EditionEntry {
    id: Uuid,
    number: i64,
    note: String,
    by: String,
    at: String,
}

impl From<Published> for EditionEntry {
    fn from(p: Published) -> EditionEntry {
        EditionEntry { id: p.id, number: p.number, note: p.note, by: p.by, at: p.at.to_string() }
    }
}

async fn draft(state: &State, id: Uuid) -> Answer<Draft> {
    state.store.curriculum(id).await?.ok_or_else(|| Problem::not_found("curriculum"))
}

/// Joins wishes and a plan with the living library.
async fn edition(state: &State, curriculum: Curriculum, plan: Plan) -> Answer<Edition> {
    let band = state.store.band(&curriculum.band).await?;
    let band = band.ok_or_else(|| {
        Problem::fault(
            "/band",
            format!("the library has no band `{}`", curriculum.band.chars().take(40).collect::<String>()),
        )
    })?;
    Ok(Edition {
        academy: state.store.settings().await?.0,
        band,
        skills: state.store.skills().await?,
        drills: state.store.drills().await?,
        curriculum,
        plan,
    })
}

fn problem_of(edition: &Edition) -> Answer<PlanProblem> {
    edition.problem().map_err(Problem::input)
}

async fn view(state: &State, draft: Draft) -> Answer<HttpResponse> {
    let editions = state.store.editions(draft.id).await?;
    let latest = match editions.first() {
        Some(latest) => state.store.edition(latest.id).await?,
        None => None,
    };
    let edition = edition(state, draft.curriculum, draft.plan).await?;
    let problem = problem_of(&edition)?;
    let plan = &edition.plan;
    let score = score(&problem, plan);
    let stitches = stitches(&problem, plan);
    let missing = missing(&problem, plan);
    let skills = problem.skills.iter().zip(missing).filter_map(|(wish, missing)| {
        let skill = edition.skill(&wish.id)?.clone();
        Some(SkillLine { skill, present: wish.present, goal: wish.goal, missing: missing.iter().sum() })
    });
    let sessions = problem.sessions.iter().enumerate().map(|(session, wish)| {
        let alone = Plan { sessions: vec![plan.sessions.get(session).cloned().unwrap_or_default()] };
        SessionColumn {
            session,
            week: wish.week,
            date: wish.date.to_string(),
            minutes: wish.minutes,
            by_strand: minutes_by_strand(&problem, &alone),
            changes: problem.changes_in(&alone.sessions[0]),
        }
    });
    let view = CurriculumView {
        id: draft.id,
        version: draft.version,
        changed_at: draft.changed_at.to_string(),
        band: edition.band.name.clone(),
        skills: skills.collect(),
        sessions: sessions.collect(),
        minutes_by_strand: minutes_by_strand(&problem, plan),
        score,
        breaches: check(&problem, plan),
        changed_since_edition: latest.map(|(_, latest)| latest != edition.clone().trimmed()),
        editions: editions.into_iter().map(EditionEntry::from).collect(),
        stitches,
        wishes: edition.curriculum,
    };
    Ok(versioned(view.version, &view))
}

/// All curricula, the latest first.
#[utoipa::path(get, operation_id = "curricula_list", path = "/curricula", params(Cursor), responses((status = 200, body = Page<CurriculumEntry>)))]
pub(super) async fn list(
    who: SignedIn,
    state: Data<State>,
    cursor: Query<Cursor>,
) -> Answer<Json<Page<CurriculumEntry>>> {
    who.may(Act::Plan)?;
    let entry = |draft: Draft| CurriculumEntry {
        id: draft.id,
        name: draft.curriculum.name,
        band: draft.curriculum.band,
        start: draft.curriculum.start.to_string(),
        weeks: draft.curriculum.weeks,
        edition: draft.edition,
    };
    let all = state.store.curricula().await?.into_iter().map(entry).collect();
    Ok(Json(cursor.page(all, |entry| entry.id.to_string())))
}

/// A curriculum with its plan.
#[utoipa::path(get, operation_id = "curricula_show", path = "/curricula/{id}", params(("id" = Uuid, Path)),
    responses((status = 200, body = CurriculumView), (status = 404, body = Problem)))]
pub(super) async fn show(who: SignedIn, state: Data<State>, id: Path<Uuid>) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let draft = draft(&state, *id).await?;
    view(&state, draft).await
}

/// Changes the wishes; the plan stays, and shows where it now breaks a rule.
#[utoipa::path(put, operation_id = "curricula_change", path = "/curricula/{id}", params(("id" = Uuid, Path), ("If-Match" = String, Header)),
    request_body = Curriculum,
    responses((status = 200, body = CurriculumView), (status = 412, body = Problem), (status = 422, body = Problem)))]
pub(super) async fn change(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    wishes: Json<Curriculum>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = Draft { version: version(&request)?, ..draft(&state, *id).await? };
    let edition = edition(&state, wishes.into_inner(), read.plan.clone()).await?;
    problem_of(&edition)?;
    state
        .store
        .change_curriculum(&read, &edition.curriculum, &edition.plan, who.0.id, state.clock.now())
        .await?;
    view(&state, draft(&state, *id).await?).await
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct SolveWish {
    /// Another seed may find another plan.
    seed: u64,
}

/// Lays the plan anew.
#[utoipa::path(post, operation_id = "curricula_solve_again", path = "/curricula/{id}/solve", params(("id" = Uuid, Path), ("If-Match" = String, Header)),
    request_body = SolveWish,
    responses((status = 200, body = CurriculumView), (status = 412, body = Problem), (status = 422, body = Problem)))]
pub(super) async fn solve_again(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    wish: Json<SolveWish>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let read = Draft { version: version(&request)?, ..draft(&state, *id).await? };
    let edition = edition(&state, read.curriculum.clone(), Plan::default()).await?;
    let problem = problem_of(&edition)?;
    let seed = wish.seed;
    let solved = actix_web::web::block(move || solve(&problem, seed, ROUNDS)).await;
    let (plan, _) = solved.map_err(|e| Problem::internal(&e))?.map_err(Problem::clash)?;
    state.store.change_curriculum(&read, &read.curriculum, &plan, who.0.id, state.clock.now()).await?;
    view(&state, draft(&state, *id).await?).await
}

/// The running order of a session of the draft.
#[utoipa::path(get, operation_id = "curricula_evening", path = "/curricula/{id}/sessions/{session}",
    params(("id" = Uuid, Path), ("session" = usize, Path)),
    responses((status = 200, body = Evening), (status = 404, body = Problem)))]
pub(super) async fn evening(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, usize)>,
) -> Answer<Json<Evening>> {
    who.may(Act::Plan)?;
    let (id, session) = path.into_inner();
    let draft = draft(&state, id).await?;
    let edition = edition(&state, draft.curriculum, draft.plan).await?;
    let problem = problem_of(&edition)?;
    let pace = who.pace(&state).await?;
    edition.evening(&problem, session, pace).map(Json).ok_or_else(|| Problem::not_found("session"))
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct NewEdition {
    /// Made by the sender, so that sending twice publishes once.
    id: Uuid,
    /// What is said of it; may be empty.
    note: String,
}

/// Publishes the draft as the next edition, to every team of its band.
#[utoipa::path(post, operation_id = "curricula_publish", path = "/curricula/{id}/editions", params(("id" = Uuid, Path), ("If-Match" = String, Header)),
    request_body = NewEdition,
    responses((status = 200, body = CurriculumView), (status = 412, body = Problem), (status = 422, body = Problem)))]
pub(super) async fn publish(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    new: Json<NewEdition>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let note = match new.note.trim() {
        "" => String::new(),
        note => short_text(note, 200).map_err(|e| Problem::fault("/note", format!("the note {e}")))?,
    };
    let read = draft(&state, *id).await?;
    if version(&request)? != read.version {
        return Err(jogo_store::StoreError::Stale.into());
    }
    let edition = edition(&state, read.curriculum, read.plan).await?;
    let problem = problem_of(&edition)?;
    let breaches = check(&problem, &edition.plan);
    if let Some(breach) = breaches.first() {
        let says =
            format!("The plan breaks {} in session {}: {}", breach.rule, breach.session + 1, breach.says);
        return Err(Problem::fault("", format!("{says}. Solve it again, then publish.")));
    }
    let (now, edition) = (state.clock.now(), edition.trimmed());
    let number = state.store.publish(new.id, *id, &edition, &note, who.0.id, now).await?;
    let about = format!("{} edition {number}", edition.curriculum.name);
    state.store.note(now, Some(who.0.id), "published", &about).await?;
    view(&state, draft(&state, *id).await?).await
}
