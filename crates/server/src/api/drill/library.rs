//! The library of drills: found, shown, written, copied, changed, put away.

use actix_web::web::{Data, Path, Query};
use actix_web::{HttpRequest, HttpResponse, get, post, put};
use jogo_core::academy::band::Band;
use jogo_core::drill::levers::Levers;
use jogo_core::drill::library::{Entry, Wanted};
use jogo_core::drill::{Drill, HomeSpace, Shelf};
use jogo_core::ground::fit::Station;
use jogo_core::ground::layout::measure::Footprint;
use jogo_core::ids::{BandId, DrillId, MilestoneId, SkillId, TestId};
use jogo_core::input::InputError;
use jogo_core::technique::skill::{Skill, Stage, Strand};
use jogo_core::units::{Difficulty, Pace};
use jogo_store::drill::{KeptDrill, Saved};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;

use crate::api::{Cursor, Page, version, versioned};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config
        .service(list)
        .service(create)
        .service(show)
        .service(change)
        .service(earlier)
        .service(archive)
        .service(list_skills);
}

/// How large a metre is in the small drawings of the list, in their own units. It is the same in all of them.
const SMALL_METRE: f64 = 11.0;

/// A drill in the list.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct DrillEntry {
    id: DrillId,
    title: String,
    purpose: String,
    strand: Strand,
    /// Stages that it serves.
    stages: Vec<Stage>,
    /// Names of the skills that it serves.
    skills: Vec<String>,
    station: Station,
    /// Markers at one station.
    markers: u32,
    footprint: Option<Footprint>,
    /// Of the easiest rung.
    easiest: Difficulty,
    /// Of the hardest rung.
    hardest: Difficulty,
    home: Option<HomeSpace>,
    /// What could hurt, in words.
    cautions: Vec<&'static str>,
    /// Why the band that was asked for does not do it.
    blocked: Option<String>,
    archived: bool,
    /// A small drawing, as SVG, in which a metre is as large as in every other one; nothing if the text has faults.
    drawing: Option<String>,
}

/// What is looked for, besides.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct Shelved {
    /// Those that are put away, instead of those that are not.
    #[serde(default)]
    archived: bool,
}

/// What else stands in the library.
pub struct LibraryShelf {
    bands: Vec<Band>,
    skills: Vec<Skill>,
    tests: Vec<TestId>,
    milestones: Vec<MilestoneId>,
}

impl LibraryShelf {
    /// Names of the bands, the youngest first.
    pub fn bands(&self) -> Vec<BandId> {
        self.bands.iter().map(|band| band.id.clone()).collect()
    }

    /// The same beside other skills.
    pub fn shelf<'l>(&'l self, skills: &'l [Skill]) -> Shelf<'l> {
        Shelf { bands: &self.bands, skills, tests: &self.tests, milestones: &self.milestones }
    }

    /// Reads it.
    pub async fn of(state: &State) -> Answer<LibraryShelf> {
        Ok(LibraryShelf {
            bands: state.store.bands().await?.into_iter().map(|kept| kept.band).collect(),
            skills: state.store.skills().await?,
            tests: state.store.tests().await?.into_iter().map(|test| test.id).collect(),
            milestones: state.store.milestones().await?.into_iter().map(|m| m.id).collect(),
        })
    }

    /// Every fault of a drill beside it.
    pub fn check(&self, drill: &Drill) -> Vec<InputError> {
        drill.check(&self.shelf(&self.skills))
    }

    fn names(&self, drill: &Drill) -> Vec<&str> {
        let name =
            |id: &SkillId| self.skills.iter().find(|skill| skill.id == *id).map(|skill| skill.name.as_str());
        drill.serves.iter().filter_map(|serves| name(&serves.skill)).collect()
    }
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
    let (academy, pace) = (state.store.settings().await?.0, who.pace(&state).await?);
    let library = LibraryShelf::of(&state).await?;
    let band = library.bands.iter().find(|band| wanted.band.as_ref() == Some(&band.id));
    let mut found = Vec::new();
    for KeptDrill { drill, archived_at, .. } in state.store.kept_drills().await? {
        let layout = drill.layout_at(&first_levers(&drill), pace).ok();
        let entry = Entry { drill: &drill, layout, skills: library.names(&drill) };
        if archived_at.is_some() == shelved.archived && wanted.takes(&entry, band) {
            let ladder = drill.ladder(&academy.lever_points);
            let hardness =
                |step: Option<&jogo_core::drill::Step>| step.map_or(drill.difficulty, |s| s.difficulty);
            found.push(DrillEntry {
                strand: drill.main_strand(),
                stages: drill.stages(&academy.lever_points).into_iter().map(|(stage, _)| stage).collect(),
                skills: entry.skills.iter().map(|name| (*name).to_owned()).collect(),
                station: drill.station,
                markers: entry.layout.as_ref().map_or(0, |layout| layout.markers.len() as u32),
                footprint: entry.layout.as_ref().map(|layout| layout.footprint()),
                easiest: hardness(ladder.first()),
                hardest: hardness(ladder.last()),
                home: drill.home,
                cautions: drill.cautions.iter().map(|caution| caution.text()).collect(),
                blocked: band.and_then(|band| drill.blocked(band, &academy)),
                archived: archived_at.is_some(),
                drawing: entry.layout.as_ref().map(|layout| layout.draw_small(SMALL_METRE)),
                id: drill.id.clone(),
                title: drill.title.clone(),
                purpose: drill.purpose.clone(),
            });
        }
    }
    found.sort_by(|a, b| (a.strand, &a.title).cmp(&(b.strand, &b.title)));
    Ok(Json(cursor.page(found, |entry| entry.id.to_string())))
}

fn first_levers(drill: &Drill) -> Levers {
    drill.rungs.first().map(|rung| rung.levers).unwrap_or_default()
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
    let kept = state.store.kept_drill(id).await?.ok_or_else(|| Problem::not_found("drill"))?;
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
    drill.map(Json).ok_or_else(|| Problem::not_found("earlier state of this drill"))
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
        return Err(Problem::not_found("drill"));
    }
    if drill.id != *id {
        return Err(Problem::fault("/id", "a drill keeps its name: copy it for another one"));
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

/// Puts a drill away, so that it is found and planned no more, or brings it back.
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
        return Err(Problem::not_found("drill"));
    }
    let what = if said.away { "put a drill away" } else { "brought a drill back" };
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

impl SignedIn {
    /// The pace of whoever is signed in; a usual one until they have measured theirs.
    pub async fn pace(&self, state: &State) -> Answer<Pace> {
        let measured = state.store.pace(self.0.id).await?;
        Ok(measured.map_or_else(Pace::default, |metres| Pace(jogo_core::units::Metres(metres))))
    }
}
