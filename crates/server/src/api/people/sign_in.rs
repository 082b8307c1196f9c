//! Signing in and out.

use actix_web::web::Data;
use actix_web::{HttpRequest, HttpResponse, delete, get, post, put};
use jogo_core::academy::language::Language;
use jogo_core::ids::BandId;
use jogo_core::season::slots::{Slot, TimeOfDay};
use jogo_core::units::Metres;
use jogo_store::academy::teams::Team;
use jogo_store::people::{Person, Role};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::ground::measured;
use crate::demo;
use crate::json::Json;
use crate::problem::Answer;
use crate::sign_in::{self, Shown, SignedIn};
use crate::state::State;
use crate::views::named::NamedView;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(create).service(end).service(pace).service(language).service(samples);
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Credentials {
    login: String,
    password: String,
    /// A code of one's own device, or a recovery code, where one is asked for.
    code: Option<String>,
}

/// Who is signed in, and what they begin with.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Session {
    id: Uuid,
    name: String,
    /// The name to sign in with.
    login: String,
    role: RoleView,
    /// Whether they have to set up a second factor before they do anything else.
    second_factor_first: bool,
    academy: String,
    today: String,
    demo: bool,
    /// The measured pace of whoever is signed in, in metres; absent until they have measured it.
    pace_m: Option<f64>,
    /// When the address of their calendar was made; absent if there is none.
    calendar_since: Option<String>,
    /// Where they get post; absent for no post.
    email: Option<String>,
    /// The language that they have chosen; absent for the one of their browser.
    language: Option<Language>,
    /// The language of the academy's letters and prints.
    academy_language: Language,
    /// The clubs that they lead.
    leads: Vec<NamedView>,
    teams: Vec<TeamView>,
}

#[derive(Clone, Copy, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum RoleView {
    Director,
    ClubLead,
    Coach,
}

impl From<Role> for RoleView {
    fn from(role: Role) -> RoleView {
        match role {
            Role::Director => RoleView::Director,
            Role::ClubLead => RoleView::ClubLead,
            Role::Coach => RoleView::Coach,
        }
    }
}

#[derive(Serialize, ToSchema)]
pub(in crate::api) struct TeamView {
    id: Uuid,
    name: String,
    club: String,
    band: BandId,
    /// When it meets, by weekday, so that a phone without network opens with the team that meets now.
    meets: Vec<MeetsView>,
}

/// A time at which a team meets every week.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct MeetsView {
    /// Monday 1 to Sunday 7.
    weekday: i8,
    #[schema(value_type = String)]
    from: TimeOfDay,
    #[schema(value_type = String)]
    to: TimeOfDay,
}

impl From<&Slot> for MeetsView {
    fn from(slot: &Slot) -> MeetsView {
        MeetsView { weekday: slot.weekday, from: slot.from, to: slot.to() }
    }
}

impl TeamView {
    async fn of(state: &State, team: Team) -> Answer<TeamView> {
        let meets = state.store.slots(team.id).await?.iter().map(MeetsView::from).collect();
        let Team { id, name, club, band } = team;
        Ok(TeamView { id, name, club, band, meets })
    }
}

impl From<RoleView> for Role {
    fn from(role: RoleView) -> Role {
        match role {
            RoleView::Director => Role::Director,
            RoleView::ClubLead => Role::ClubLead,
            RoleView::Coach => Role::Coach,
        }
    }
}

/// A sample person of the demo.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Sample {
    login: String,
    name: String,
    role: RoleView,
    /// Teams, for a coach.
    teams: Vec<String>,
    password: &'static str,
}

pub(in crate::api) async fn session(state: &State, person: Person) -> Answer<Session> {
    let mut teams = Vec::new();
    for team in state.store.teams_of(person.id).await? {
        teams.push(TeamView::of(state, team).await?);
    }
    let settings = state.store.settings().await?.0;
    let asked = person.role == Role::Director && settings.sign_ins.directors_need_code;
    let shown = !asked || state.store.second_factor(person.id).await?.is_some_and(|factor| factor.on);
    Ok(Session {
        id: person.id,
        name: person.name,
        login: person.login,
        role: person.role.into(),
        second_factor_first: !shown,
        academy: state.store.academy().await?.unwrap_or_default(),
        today: state.today().await?.to_string(),
        demo: state.demo,
        pace_m: state.store.pace(person.id).await?,
        calendar_since: state.store.feed_made_at(person.id).await?.map(|at| at.to_string()),
        email: state.store.email(person.id).await?,
        language: state.store.language(person.id).await?,
        academy_language: settings.language,
        leads: state.store.clubs_led_by(person.id).await?.into_iter().map(NamedView::from).collect(),
        teams,
    })
}

/// Who is signed in.
#[utoipa::path(operation_id = "session_show", responses((status = 200, body = Session)),
)]
#[get("/session")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
) -> Answer<HttpResponse> {
    let mut answer = HttpResponse::Ok();
    if let Some(cookie) = sign_in::prolonged(&state, &request).await? {
        answer.cookie(cookie);
    }
    Ok(answer.json(session(&state, who.0).await?))
}

/// Signs in.
#[utoipa::path(operation_id = "session_create", security(()), request_body = Credentials,
    responses((status = 200, body = Session), (status = 401, description = "Name and password do not belong together."),
        (status = 429, description = "Too many wrong passwords for this name, or from this address.")))]
#[post("/session")]
pub(in crate::api) async fn create(
    state: Data<State>,
    request: HttpRequest,
    said: Json<Credentials>,
) -> Answer<HttpResponse> {
    let Credentials { login, password, code } = said.into_inner();
    let shown = Shown { login, password, code };
    let (person, [session_cookie, device]) = sign_in::sign_in(&state, &request, shown).await?;
    let mut answer = HttpResponse::Ok();
    Ok(answer.cookie(session_cookie).cookie(device).json(session(&state, person).await?))
}

/// Signs out.
#[utoipa::path(operation_id = "session_end", security(()), responses((status = 204)))]
#[delete("/session")]
pub(in crate::api) async fn end(state: Data<State>, request: HttpRequest) -> Answer<HttpResponse> {
    let cookie = sign_in::sign_out(&state, &request).await?;
    Ok(HttpResponse::NoContent().cookie(cookie).finish())
}

/// A measured pace.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct PaceSaid {
    /// Metres of one pace; nothing to forget it.
    pace_m: Option<Metres>,
}

/// Keeps the pace of whoever is signed in: from then on every floor they see is laid in it.
#[utoipa::path(operation_id = "session_pace", request_body = PaceSaid,
    responses((status = 200, body = Session)))]
#[put("/session/pace")]
pub(in crate::api) async fn pace(
    who: SignedIn,
    state: Data<State>,
    said: Json<PaceSaid>,
) -> Answer<Json<Session>> {
    let pace = said.pace_m.map(measured).transpose()?;
    state.store.set_pace(who.0.id, pace.map(|pace| pace.0.0)).await?;
    Ok(Json(session(&state, who.0).await?))
}

/// A language that somebody chose.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct LanguageSaid {
    /// Absent for the one of the browser.
    language: Option<Language>,
}

/// Keeps the language of whoever is signed in: screens and letters are in it from then on.
#[utoipa::path(operation_id = "session_language", request_body = LanguageSaid,
    responses((status = 200, body = Session)))]
#[put("/session/language")]
pub(in crate::api) async fn language(
    who: SignedIn,
    state: Data<State>,
    said: Json<LanguageSaid>,
) -> Answer<Json<Session>> {
    state.store.set_language(who.0.id, said.language).await?;
    Ok(Json(session(&state, who.0).await?))
}

/// The demo's sample people; none outside the demo.
#[utoipa::path(operation_id = "session_samples", security(()), responses((status = 200, body = Vec<Sample>)))]
#[get("/samples")]
pub(in crate::api) async fn samples(state: Data<State>) -> Answer<Json<Vec<Sample>>> {
    let mut samples = Vec::new();
    if state.demo {
        for person in state.store.samples().await? {
            let teams = state.store.teams_of(person.id).await?;
            samples.push(Sample {
                teams: teams.into_iter().map(|t| t.name).collect(),
                login: person.login,
                name: person.name,
                role: person.role.into(),
                password: demo::PASSWORD,
            });
        }
    }
    Ok(Json(samples))
}
