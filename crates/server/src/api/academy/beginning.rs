//! An academy begins: its first director, its name, the library that comes with Jogo, and what is still to do.

use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, get, post};
use jogo_core::input::{What, short_text};
use jogo_store::audit::Deed;
use jogo_store::people::{NewPerson, Person, Role};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use super::bands::zone;
use super::clubs::{LONGEST_NAME, name};
use crate::api::people::sign_in::{Session, session};
use crate::facts::Thing;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::rights::Act;
use crate::sign_in::{self, SignedIn};
use crate::state::State;
use crate::views::starter::{Starter, StarterPart, StarterView};
use crate::views::to_do::{ToDo, to_do};

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(begin).service(starter).service(take).service(left);
}

/// How somebody begins an academy.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct NewAcademy {
    /// The academy, as people say it.
    academy: String,
    /// Its time zone, as the time zone database names it.
    time_zone: String,
    /// The first director, as people say it.
    name: String,
    /// The name to sign in with.
    login: String,
    password: String,
}

impl NewAcademy {
    /// The academy's name, its time zone and its first director, if they are sound.
    async fn read(self) -> Answer<(String, String, NewPerson)> {
        let NewAcademy { academy, time_zone, name: said, login, password } = self;
        let academy = short_text(&academy, LONGEST_NAME, What::Name);
        let academy = academy.map_err(|fault| Problem::fault("/academy", fault))?;
        let time_zone = zone(&time_zone)?;
        let (login, name) = (sign_in::login(&login)?, name(&said)?);
        let password = sign_in::hashed(&login, password).await?;
        let person = Person { id: Uuid::now_v7(), login, name, role: Role::Director };
        Ok((academy, time_zone, NewPerson { person, password, sample: false }))
    }
}

fn open(state: &State, secret: &str) -> Answer<()> {
    let opens = state.beginning.opens(secret, state.clock.now());
    if opens { Ok(()) } else { Err(Problem::not_found(Thing::Beginning)) }
}

/// Whether an academy can be begun at this address. Asks nobody who they are.
#[utoipa::path(operation_id = "beginning_show", security(()), params(("secret" = String, Path)),
    responses((status = 204)))]
#[get("/beginning/{secret}")]
pub(in crate::api) async fn show(state: Data<State>, secret: Path<String>) -> Answer<HttpResponse> {
    open(&state, &secret)?;
    Ok(HttpResponse::NoContent().finish())
}

/// Begins the academy, and signs its first director in. It can be begun once.
#[utoipa::path(operation_id = "beginning_begin", security(()), params(("secret" = String, Path)),
    request_body = NewAcademy, responses((status = 200, body = Session), (status = 409, body = Problem)))]
#[post("/beginning/{secret}")]
pub(in crate::api) async fn begin(
    state: Data<State>,
    secret: Path<String>,
    request: HttpRequest,
    said: Json<NewAcademy>,
) -> Answer<HttpResponse> {
    open(&state, &secret)?;
    let (academy, time_zone, director) = said.into_inner().read().await?;
    state.store.begin_academy((&academy, &time_zone), &director, state.clock.now()).await?;
    state.beginning.close();
    let cookie = sign_in::signed_in(&state, &request, director.person.id).await?;
    Ok(HttpResponse::Ok().cookie(cookie).json(session(&state, director.person).await?))
}

/// The library that comes with Jogo, part by part, and how much of it the academy has.
#[utoipa::path(operation_id = "beginning_starter", responses((status = 200, body = Vec<StarterView>)))]
#[get("/starter")]
pub(in crate::api) async fn starter(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<StarterView>>> {
    who.may(Act::SetUp)?;
    Ok(Json(Starter::of(&state.store).await?.parts()))
}

/// What is taken of the library that comes with Jogo.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct StarterTaken {
    /// Which parts; what they rest on comes with them.
    parts: Vec<StarterPart>,
}

/// Takes parts of the library that comes with Jogo, with what they rest on. What the academy has stays as it is.
#[utoipa::path(operation_id = "beginning_take", request_body = StarterTaken,
    responses((status = 200, body = Vec<StarterView>)))]
#[post("/starter")]
pub(in crate::api) async fn take(
    who: SignedIn,
    state: Data<State>,
    said: Json<StarterTaken>,
) -> Answer<Json<Vec<StarterView>>> {
    who.may(Act::SetUp)?;
    let now = state.clock.now();
    let library = Starter::of(&state.store).await?.library(&said.parts);
    state.store.put_library(&library, now).await?;
    state.store.note(now, Some(who.0.id), Deed::StarterTaken, "library").await?;
    Ok(Json(Starter::of(&state.store).await?.parts()))
}

/// What an academy does one after another until its first plan is out.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct StepsLeft {
    steps: Vec<ToDo>,
}

/// The steps of a new academy, and which of them are done.
#[utoipa::path(operation_id = "beginning_left", responses((status = 200, body = StepsLeft)))]
#[get("/beginning")]
pub(in crate::api) async fn left(who: SignedIn, state: Data<State>) -> Answer<Json<StepsLeft>> {
    who.may(Act::SetUp)?;
    Ok(Json(StepsLeft { steps: to_do(&state.store, state.clock.now()).await? }))
}
