//! What a director does with people who sign in: gives them a new way in, shuts them out, lets them in again.

use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, delete, get, post};
use jiff::ToSpan;
use jogo_store::audit::Deed;
use jogo_store::people::Person;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::facts::{Entered, Thing};
use crate::json::Json;
use crate::post::links::{self, For, Link};
use crate::problem::{Answer, Problem};
use crate::sign_in::rights::Act;
use crate::sign_in::{self, SignedIn, secrets};
use crate::state::State;
use crate::views::named::NamedView;

pub fn routes(config: &mut ServiceConfig) {
    config
        .service(make_link)
        .service(drop_second_factor)
        .service(list_shut_out)
        .service(shut_out)
        .service(let_in)
        .service(end_lead)
        .service(show_link)
        .service(use_link);
}

/// How long a link for a new password works.
const HOURS: i64 = 24;

async fn person(state: &State, id: Uuid) -> Answer<Person> {
    let found = state.store.people().await?.into_iter().find(|person| person.id == id);
    found.ok_or_else(|| Problem::not_found(Thing::Person))
}

/// A link through which somebody chooses a new password. It is shown this once.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct PasswordLink {
    path: String,
    until: String,
    /// Whether it was sent to them by mail as well; absent if that was not tried.
    mailed: Option<bool>,
}

/// Makes a link through which somebody chooses a new password; an earlier one no longer works.
#[utoipa::path(operation_id = "people_make_link", params(("person" = Uuid, Path)),
    responses((status = 200, body = PasswordLink)))]
#[post("/people/{person}/password-link")]
pub(in crate::api) async fn make_link(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
) -> Answer<Json<PasswordLink>> {
    who.may(Act::KeepPeople)?;
    let (person, token, now) = (person(&state, *id).await?, secrets::token()?, state.clock.now());
    let until = now + HOURS.hours();
    state.store.make_password_link(&secrets::hashed(&token), person.id, who.0.id, until).await?;
    state.store.note(now, Some(who.0.id), Deed::PasswordLinkMade, &person.name).await?;
    let path = format!("/password/{token}");
    let (email, address) = (state.store.email(person.id).await?, state.reached.address(&request, &path));
    let link =
        Link { to: &person.name, email: email.as_deref(), for_what: For::Password, address: &address, until };
    let mailed = links::send(&state, link).await?;
    Ok(Json(PasswordLink { path, until: until.to_string(), mailed }))
}

/// Takes away somebody's second factor, who has lost the device and the recovery codes.
#[utoipa::path(operation_id = "people_drop_second_factor", params(("person" = Uuid, Path)),
    responses((status = 204)))]
#[delete("/people/{person}/second-factor")]
pub(in crate::api) async fn drop_second_factor(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    let person = person(&state, *id).await?;
    if !state.store.drop_second_factor(person.id).await? {
        return Err(Problem::not_found(Thing::SecondFactor));
    }
    state.store.note(state.clock.now(), Some(who.0.id), Deed::SecondFactorOff, &person.name).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Everybody who is shut out, by name.
#[utoipa::path(operation_id = "people_shut_out", responses((status = 200, body = Vec<NamedView>)))]
#[get("/people/shut-out")]
pub(in crate::api) async fn list_shut_out(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<NamedView>>> {
    who.may(Act::KeepPeople)?;
    let people = state.store.shut_out_people().await?;
    Ok(Json(people.into_iter().map(NamedView::from).collect()))
}

/// Shuts somebody out: every way in that they have ends at once, and they coach and lead nothing any more. What they
/// wrote stays.
#[utoipa::path(operation_id = "people_end", params(("person" = Uuid, Path)),
    responses((status = 204), (status = 409, body = Problem),
        (status = 422, body = Problem, description = "Nobody shuts themselves out.")))]
#[post("/people/{person}/shut-out")]
pub(in crate::api) async fn shut_out(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    if *id == who.0.id {
        return Err(Problem::fault("", Entered::Oneself));
    }
    if !state.store.shut_out(*id, Some(who.0.id), state.clock.now()).await? {
        return Err(Problem::not_found(Thing::Person));
    }
    state.timing.end(*id);
    Ok(HttpResponse::NoContent().finish())
}

/// Lets somebody in again who was shut out; their teams and clubs have to be given back one by one.
#[utoipa::path(operation_id = "people_let_in", params(("person" = Uuid, Path)), responses((status = 204)))]
#[post("/people/{person}/let-in")]
pub(in crate::api) async fn let_in(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    match state.store.let_in_again(*id, who.0.id, state.clock.now()).await? {
        true => Ok(HttpResponse::NoContent().finish()),
        false => Err(Problem::not_found(Thing::Person)),
    }
}

/// Somebody no longer leads a club.
#[utoipa::path(operation_id = "people_end_lead", params(("club" = Uuid, Path), ("person" = Uuid, Path)),
    responses((status = 204)))]
#[delete("/clubs/{club}/leads/{person}")]
pub(in crate::api) async fn end_lead(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    let (club, person) = path.into_inner();
    match state.store.leave_club(club, person, who.0.id, state.clock.now()).await? {
        true => Ok(HttpResponse::NoContent().finish()),
        false => Err(Problem::not_found(Thing::Person)),
    }
}

/// Whose password a link changes.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct PasswordOf {
    academy: String,
    name: String,
    /// The name that they sign in with.
    login: String,
}

async fn of_link(state: &State, token: &str) -> Answer<Person> {
    let found = state.store.password_link(&secrets::hashed(token), state.clock.now()).await?;
    found.ok_or_else(|| Problem::not_found(Thing::PasswordLink))
}

/// Whose password a link changes. Asks nobody who they are.
#[utoipa::path(operation_id = "people_show_link", security(()), params(("token" = String, Path)),
    responses((status = 200, body = PasswordOf)))]
#[get("/password/{token}")]
pub(in crate::api) async fn show_link(state: Data<State>, token: Path<String>) -> Answer<Json<PasswordOf>> {
    let person = of_link(&state, &token).await?;
    let academy = state.store.academy().await?.unwrap_or_default();
    Ok(Json(PasswordOf { academy, name: person.name, login: person.login }))
}

/// A new password.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct NewPassword {
    password: String,
}

/// Changes the password of a link, once; every sign-in of that person ends.
#[utoipa::path(operation_id = "people_use_link", security(()), params(("token" = String, Path)),
    request_body = NewPassword, responses((status = 204)))]
#[post("/password/{token}")]
pub(in crate::api) async fn use_link(
    state: Data<State>,
    token: Path<String>,
    said: Json<NewPassword>,
) -> Answer<HttpResponse> {
    let person = of_link(&state, &token).await?;
    let hash = sign_in::hashed(&person.login, said.into_inner().password).await?;
    state.store.use_password_link(&secrets::hashed(&token), person.id, &hash).await?;
    state.store.note(state.clock.now(), Some(person.id), Deed::PasswordLinkUsed, "").await?;
    Ok(HttpResponse::NoContent().finish())
}
