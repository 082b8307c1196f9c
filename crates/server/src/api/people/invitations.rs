//! Invitations: a link that works once, through which somebody signs in for the first time.

use crate::facts::Entered;
use crate::facts::Thing;
use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse};
use actix_web::{delete, get, post};
use jiff::{Timestamp, ToSpan};
use jogo_store::audit::Deed;
use jogo_store::people::invitations::Invitation;
use jogo_store::people::{NewPerson, Person};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::academy::clubs::name;
use crate::api::people::sign_in::{RoleView, Session, session};
use crate::json::Json;
use crate::post;
use crate::post::links::{self, For, Link};
use crate::problem::{Answer, Problem};
use crate::sign_in::rights::Act;
use crate::sign_in::secrets;
use crate::sign_in::{self, SignedIn};
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.service(list).service(invite).service(withdraw).service(show).service(join);
}

/// How many days an invitation works.
pub(in crate::api) const DAYS: i64 = 14;

/// Somebody who is to be invited.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct NewInvitation {
    /// Made by the sender.
    id: Uuid,
    name: String,
    role: RoleView,
    /// The club of a club lead.
    club: Option<Uuid>,
    /// The teams of a coach.
    teams: Vec<Uuid>,
    /// Where it is sent to, if the academy has a mail server.
    email: Option<String>,
}

impl NewInvitation {
    /// The address as it is used; none if nothing is written.
    fn email(&self) -> Answer<Option<String>> {
        let said = self.email.as_deref().filter(|said| !said.trim().is_empty());
        said.map(post::address).transpose()
    }

    async fn read(self, state: &State, until: Timestamp) -> Answer<Invitation> {
        let NewInvitation { id, name: said, role, club, teams, .. } = self;
        match (role, club) {
            (RoleView::ClubLead, None) => {
                return Err(Problem::fault("/club", Entered::ClubNeeded));
            }
            (RoleView::ClubLead, Some(_)) | (_, None) => {}
            (_, Some(_)) => return Err(Problem::fault("/club", Entered::ClubTooMuch)),
        }
        let known = state.store.teams().await?;
        if !teams.iter().all(|team| known.iter().any(|each| each.id == *team)) {
            return Err(Problem::fault("/teams", Entered::NoTeam));
        }
        Ok(Invitation { id, name: name(&said)?, role: role.into(), club, teams, until })
    }
}

/// An invitation, with the address that is handed on. It is shown this once.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Invited {
    path: String,
    until: String,
    /// Whether it was sent by mail; absent if that was not tried.
    mailed: Option<bool>,
}

/// An invitation that can still be taken up.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct InvitationView {
    id: Uuid,
    name: String,
    role: RoleView,
    until: String,
}

/// Invites somebody.
#[utoipa::path(operation_id = "invitations_invite", request_body = NewInvitation,
    responses((status = 200, body = Invited), (status = 409, body = Problem)))]
#[post("/invitations")]
pub(in crate::api) async fn invite(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
    new: Json<NewInvitation>,
) -> Answer<Json<Invited>> {
    who.may(Act::KeepPeople)?;
    let (token, now, email) = (secrets::token()?, state.clock.now(), new.email()?);
    let until = now + (24 * DAYS).hours();
    let invitation = new.into_inner().read(&state, until).await?;
    state.store.invite(&invitation, &secrets::hashed(&token), who.0.id, now).await?;
    state.store.note(now, Some(who.0.id), Deed::Invited, &invitation.name).await?;
    let path = format!("/join/{token}");
    let mailed =
        mailed(&state, &invitation, email.as_deref(), &state.reached.address(&request, &path)).await?;
    Ok(Json(Invited { path, until: until.to_string(), mailed }))
}

/// Sends an invitation to an address, if there is one. Says whether it left.
async fn mailed(
    state: &State,
    invitation: &Invitation,
    email: Option<&str>,
    address: &str,
) -> Answer<Option<bool>> {
    let Invitation { name: to, teams, until, .. } = invitation;
    let named = state.store.teams().await?.into_iter().filter(|team| teams.contains(&team.id));
    let teams: Vec<String> = named.map(|team| team.name).collect();
    links::send(state, Link { to, email, for_what: For::Invitation(&teams), address, until: *until }).await
}

/// The invitations that can still be taken up.
#[utoipa::path(operation_id = "invitations_list", responses((status = 200, body = Vec<InvitationView>)),
)]
#[get("/invitations")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<InvitationView>>> {
    who.may(Act::KeepPeople)?;
    let open = state.store.open_invitations(state.clock.now()).await?.into_iter();
    let view = |invitation: Invitation| InvitationView {
        id: invitation.id,
        name: invitation.name,
        role: invitation.role.into(),
        until: invitation.until.to_string(),
    };
    Ok(Json(open.map(view).collect()))
}

/// Takes an invitation back: its link no longer works.
#[utoipa::path(operation_id = "invitations_withdraw",
    params(("invitation" = Uuid, Path)), responses((status = 204)),
)]
#[delete("/invitations/{invitation}")]
pub(in crate::api) async fn withdraw(
    who: SignedIn,
    state: Data<State>,
    invitation: Path<Uuid>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    match state.store.withdraw(*invitation).await? {
        true => {
            state.store.note(state.clock.now(), Some(who.0.id), Deed::InvitationWithdrawn, "").await?;
            Ok(HttpResponse::NoContent().finish())
        }
        false => Err(Problem::not_found(Thing::Invitation)),
    }
}

/// What somebody is invited to.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Welcome {
    academy: String,
    name: String,
    role: RoleView,
    teams: Vec<String>,
    club: Option<String>,
}

async fn open(state: &State, token: &str) -> Answer<Invitation> {
    let found = state.store.invitation(&secrets::hashed(token), state.clock.now()).await?;
    found.ok_or_else(|| Problem::not_found(Thing::Invitation))
}

/// What the link invites to. Asks nobody who they are.
#[utoipa::path(operation_id = "invitations_show", security(()), params(("token" = String, Path)),
    responses((status = 200, body = Welcome)))]
#[get("/join/{token}")]
pub(in crate::api) async fn show(state: Data<State>, token: Path<String>) -> Answer<Json<Welcome>> {
    let invitation = open(&state, &token).await?;
    let teams = state.store.teams().await?.into_iter().filter(|team| invitation.teams.contains(&team.id));
    let club = state.store.clubs().await?.into_iter().find(|club| Some(club.id) == invitation.club);
    Ok(Json(Welcome {
        academy: state.store.academy().await?.unwrap_or_default(),
        name: invitation.name,
        role: invitation.role.into(),
        teams: teams.map(|team| team.name).collect(),
        club: club.map(|club| club.name),
    }))
}

/// What somebody chooses who takes an invitation up.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Joining {
    /// The name to sign in with.
    login: String,
    password: String,
}

/// Takes the invitation up, and signs in.
#[utoipa::path(operation_id = "invitations_join", security(()), params(("token" = String, Path)),
    request_body = Joining,
    responses(
        (status = 200, body = Session), (status = 409, body = Problem),
    ),
)]
#[post("/join/{token}")]
pub(in crate::api) async fn join(
    state: Data<State>,
    token: Path<String>,
    request: HttpRequest,
    said: Json<Joining>,
) -> Answer<HttpResponse> {
    let invitation = open(&state, &token).await?;
    let Joining { login, password } = said.into_inner();
    let login = sign_in::login(&login)?;
    let password = sign_in::hashed(&login, password).await?;
    let id = Uuid::now_v7();
    let person = Person { id, login, name: invitation.name.clone(), role: invitation.role };
    let (new, now) = (NewPerson { person: person.clone(), password, sample: false }, state.clock.now());
    state.store.take_up(&invitation, &new, now).await?;
    state.store.note(now, Some(id), Deed::Joined, &person.name).await?;
    let cookie = sign_in::signed_in(&state, &request, id).await?;
    Ok(HttpResponse::Ok().cookie(cookie).json(session(&state, person).await?))
}
