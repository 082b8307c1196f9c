//! The library of drills: found, shown, written, copied, changed, put away.

use crate::facts::Entered;
use crate::facts::Thing;
use actix_web::web::{Data, Path, Query};
use actix_web::{HttpRequest, HttpResponse, get, post, put};
use jogo_core::academy::language::Language;
use jogo_core::academy::phrases::Phrases;
use jogo_core::drill::Drill;
use jogo_core::drill::library::Wanted;
use jogo_core::ids::DrillId;
use jogo_core::technique::skill::Skill;
use jogo_core::units::{Metres, Pace};
use jogo_store::audit::Deed;
use jogo_store::drill::Saved;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;

use crate::api::{Cursor, Page, version, versioned};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::drills::{DrillEntry, LibraryShelf, listed};
use crate::views::voices::{AllVoices, Run};

pub fn routes(config: &mut ServiceConfig) {
    config
        .service(list)
        .service(create)
        .service(show)
        .service(change)
        .service(earlier)
        .service(archive)
        .service(list_skills)
        .service(phrases);
}

/// What is looked for, besides.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct Shelved {
    /// Those that are put away, instead of those that are not.
    #[serde(default)]
    archived: bool,
    /// Those alone of which coaches have said something since the last answer.
    #[serde(default)]
    unanswered: bool,
    /// Those alone that no team has run yet.
    #[serde(default)]
    never_run: bool,
    /// Those alone that come off less often than expected, by what coaches logged.
    #[serde(default)]
    less: bool,
    /// The language in which words are looked for, beside the one that a drill is written in.
    language: Option<Language>,
}

/// The drills that are looked for, by their titles.
#[utoipa::path(operation_id = "drills_list", params(Wanted, Shelved, Cursor),
    responses((status = 200, body = Page<DrillEntry>)),
)]
#[get("/drills")]
pub(in crate::api) async fn list(
    who: SignedIn,
    state: Data<State>,
    wanted: Query<Wanted>,
    shelved: Query<Shelved>,
    cursor: Query<Cursor>,
) -> Answer<Json<Page<DrillEntry>>> {
    who.may(Act::SeeLibrary)?;
    let pace = who.pace(&state).await?;
    let mut found = listed(&state, &wanted, shelved.archived, shelved.language, pace).await?;
    let keeps = who.may(Act::KeepLibrary).is_ok();
    if keeps {
        let all = AllVoices::of(&state).await?;
        found.iter_mut().for_each(|entry| entry.heard = all.heard(&entry.id));
    }
    found.retain(|entry| !shelved.unanswered || entry.heard.unanswered > 0);
    if keeps && (shelved.never_run || shelved.less) {
        let run = Run::of(&state).await?;
        found.retain(|entry| !shelved.never_run || !run.has(&entry.id));
        found.retain(|entry| !shelved.less || run.is_hard(&entry.id));
    }
    Ok(Json(cursor.page(found, |entry| entry.id.to_string())))
}

/// A drill, whole.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct DrillView {
    drill: Drill,
    version: i64,
    /// When it was put away, if it was.
    archived_at: Option<String>,
    history: Vec<SavedView>,
    /// Published editions that keep a copy of it: they stay as they are, whatever becomes of it.
    editions: Vec<String>,
}

/// A state of a drill that was kept.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct SavedView {
    version: i64,
    /// Who kept it; nobody if it came with the program or a file.
    by: Option<String>,
    at: String,
}

impl From<Saved> for SavedView {
    fn from(saved: Saved) -> SavedView {
        SavedView { version: saved.version, by: saved.by, at: saved.at.to_string() }
    }
}

async fn view(state: &State, id: &DrillId) -> Answer<HttpResponse> {
    let kept = state.store.kept_drill(id).await?.ok_or_else(|| Problem::not_found(Thing::Drill))?;
    let view = DrillView {
        version: kept.version,
        archived_at: kept.archived_at.map(|at| at.to_string()),
        history: state.store.drill_history(id).await?.into_iter().map(SavedView::from).collect(),
        editions: state.store.editions_with_drill(id).await?,
        drill: kept.drill,
    };
    Ok(versioned(view.version, &view))
}

/// A drill with its history.
#[utoipa::path(operation_id = "drills_show", params(("id" = String, Path)),
    responses((status = 200, body = DrillView)))]
#[get("/drills/{id}")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    id: Path<DrillId>,
) -> Answer<HttpResponse> {
    who.may(Act::SeeLibrary)?;
    view(&state, &id).await
}

/// An earlier state of a drill.
#[utoipa::path(operation_id = "drills_earlier", params(("id" = String, Path), ("version" = i64, Path)),
    responses((status = 200, body = Drill)))]
#[get("/drills/{id}/versions/{version}")]
pub(in crate::api) async fn earlier(
    who: SignedIn,
    state: Data<State>,
    path: Path<(DrillId, i64)>,
) -> Answer<Json<Drill>> {
    who.may(Act::SeeLibrary)?;
    let (id, version) = path.into_inner();
    let drill = state.store.drill_version(&id, version).await?;
    drill.map(Json).ok_or_else(|| Problem::not_found(Thing::DrillState))
}

async fn sound(state: &State, drill: &Drill) -> Answer<()> {
    let faults = LibraryShelf::of(state).await?.check(drill);
    if faults.is_empty() { Ok(()) } else { Err(Problem::input(faults)) }
}

/// Adds a drill: a new one, or a copy under another name. Sending it twice adds it once.
#[utoipa::path(operation_id = "drills_create", request_body = Drill,
    responses((status = 200, body = DrillView), (status = 409, body = Problem)))]
#[post("/drills")]
pub(in crate::api) async fn create(
    who: SignedIn,
    state: Data<State>,
    drill: Json<Drill>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepLibrary)?;
    sound(&state, &drill).await?;
    state.store.add_drill(&drill, who.0.id, state.clock.now()).await?;
    view(&state, &drill.id).await
}

/// Changes a drill; what was before stays in its history, and in every edition that was published with it.
#[utoipa::path(operation_id = "drills_change",
    params(("id" = String, Path), ("If-Match" = String, Header)), request_body = Drill,
    responses((status = 200, body = DrillView)),
)]
#[put("/drills/{id}")]
pub(in crate::api) async fn change(
    who: SignedIn,
    state: Data<State>,
    id: Path<DrillId>,
    request: HttpRequest,
    drill: Json<Drill>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepLibrary)?;
    let version = version(&request)?;
    if state.store.kept_drill(&id).await?.is_none() {
        return Err(Problem::not_found(Thing::Drill));
    }
    if drill.id != *id {
        return Err(Problem::fault("/id", Entered::KeepsName));
    }
    sound(&state, &drill).await?;
    state.store.change_drill(&drill, version, who.0.id, state.clock.now()).await?;
    view(&state, &id).await
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Away {
    /// Put away, or brought back.
    away: bool,
}

/// Puts a drill away, so that it is no longer found or planned, or brings it back.
#[utoipa::path(operation_id = "drills_archive", params(("id" = String, Path)),
    request_body = Away, responses((status = 200, body = DrillView)),
)]
#[post("/drills/{id}/archive")]
pub(in crate::api) async fn archive(
    who: SignedIn,
    state: Data<State>,
    id: Path<DrillId>,
    said: Json<Away>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepLibrary)?;
    let now = state.clock.now();
    if !state.store.archive_drill(&id, said.away.then_some(now)).await? {
        return Err(Problem::not_found(Thing::Drill));
    }
    let what = if said.away { Deed::DrillArchived } else { Deed::DrillBack };
    state.store.note(now, Some(who.0.id), what, &id).await?;
    view(&state, &id).await
}

/// All skills of the library, in the order in which they are shown.
#[utoipa::path(operation_id = "drills_skills", responses((status = 200, body = Vec<Skill>)))]
#[get("/skills")]
pub(in crate::api) async fn list_skills(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<Skill>>> {
    who.may(Act::SeeLibrary)?;
    Ok(Json(state.store.skills().await?))
}

/// The library's texts in another language: what is not in the book is read as it was written.
#[utoipa::path(operation_id = "drills_phrases", params(("language" = Language, Path)),
    responses((status = 200, body = Phrases)))]
#[get("/phrases/{language}")]
pub(in crate::api) async fn phrases(
    who: SignedIn,
    state: Data<State>,
    language: Path<Language>,
) -> Answer<Json<Phrases>> {
    who.may(Act::SeeLibrary)?;
    Ok(Json(state.store.phrases(*language).await?))
}

impl SignedIn {
    /// The pace of whoever is signed in; a usual one until they have measured theirs.
    pub async fn pace(&self, state: &State) -> Answer<Pace> {
        let measured = state.store.pace(self.0.id).await?;
        Ok(measured.map_or_else(Pace::default, |metres| Pace(Metres(metres))))
    }
}
