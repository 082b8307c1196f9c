//! The club list: clubs, teams and coaches from one file, with an invitation for every coach who is not there yet.

use std::time::{Duration, Instant};

use actix_web::HttpRequest;
use actix_web::post;
use actix_web::web::{Bytes, Data};
use jiff::{Timestamp, ToSpan};
use jogo_core::academy::club_list::{self, ClubListError, ListedTeam, MOST_ROWS, folded, together};
use jogo_core::fact::Fact;
use jogo_core::ids::BandId;
use jogo_core::input::InputError;
use jogo_store::academy::listed::KnownCoaches;
use jogo_store::audit::Deed;
use jogo_store::people::Role;
use jogo_store::people::invitations::Invitation;
use serde::{Deserialize, Serialize};
use tokio::time::timeout;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use super::clubs::take_over_running;
use crate::api::people::invitations::DAYS;
use crate::facts::Entered;
use crate::json::Json;
use crate::post::links::{self, For, Link};
use crate::problem::{Answer, Problem};
use crate::scanned::scanned;
use crate::sign_in::rights::Act;
use crate::sign_in::{SignedIn, secrets};
use crate::spreadsheet;
use crate::state::State;
use crate::views::club_list::{ClubListPreview, There, known_coaches};

pub fn routes(config: &mut ServiceConfig) {
    config.service(preview).service(take);
}

/// For how long invitations are sent before the answer is given.
const MAILING: Duration = Duration::from_secs(20);

/// Reads a club list (CSV in UTF-8, or XLSX) and says what it would add. Nothing is written.
#[utoipa::path(operation_id = "club_list_preview",
    request_body(content(
        (String = "text/csv"),
        (Vec<u8> = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
    )),
    responses((status = 200, body = ClubListPreview)),
)]
#[post("/club-list")]
pub(in crate::api) async fn preview(
    who: SignedIn,
    state: Data<State>,
    file: Result<Bytes, actix_web::Error>,
) -> Answer<Json<ClubListPreview>> {
    who.may(Act::KeepPeople)?;
    let file = file.map_err(|_| Problem::too_large(crate::problem::LARGEST_BODY))?;
    let sheet = spreadsheet::list(file).await?;
    let rows = club_list::rows(&sheet, &bands(&state).await?).map_err(unread)?;
    Ok(Json(ClubListPreview::of(&state, rows).await?))
}

/// The ids and names of the bands that there are.
async fn bands(state: &State) -> Answer<Vec<(BandId, String)>> {
    Ok(state.store.bands().await?.into_iter().map(|kept| (kept.band.id, kept.band.name)).collect())
}

fn unread(why: ClubListError) -> Problem {
    Problem::fault("", why)
}

/// The teams of a club list that are to be added.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct ClubsListed {
    teams: Vec<ListedTeam>,
}

/// A coach who was invited, with the address that is handed on. It is shown this once.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct CoachInvited {
    name: String,
    teams: Vec<String>,
    path: String,
    /// The same as a picture to be scanned, as SVG.
    code: String,
    until: String,
    /// Whether it was sent to the coach by mail; absent if that was not tried.
    mailed: Option<bool>,
}

/// Adds the clubs and teams of a list that are not there yet, all of them or none, and invites the coaches who are
/// neither there nor invited. The same list may be sent twice.
#[utoipa::path(operation_id = "club_list_take", request_body = ClubsListed,
    responses((status = 200, body = Vec<CoachInvited>)))]
#[post("/club-list/add")]
pub(in crate::api) async fn take(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
    said: Json<ClubsListed>,
) -> Answer<Json<Vec<CoachInvited>>> {
    who.may(Act::KeepPeople)?;
    let teams = said.into_inner().read(&state).await?;
    let (known, now) = (known_coaches(&state).await?, state.clock.now());
    let new = coming(&teams, &known, now)?;
    let added = state.store.add_listed(&teams, known, &hashed(&new), who.0.id, now).await?;
    take_over_running(&state, &added).await?;
    state.store.note(now, Some(who.0.id), Deed::ClubsListed, &teams.len().to_string()).await?;
    Ok(Json(handed_on(&state, &request, new).await?))
}

impl ClubsListed {
    /// The teams, each once, if nothing is wrong with any.
    async fn read(self, state: &State) -> Answer<Vec<ListedTeam>> {
        if self.teams.len() > MOST_ROWS {
            return Err(Problem::fault("/teams", Entered::AtMost { most: MOST_ROWS }));
        }
        let (bands, there) = (bands(state).await?, There::of(state).await?);
        let mut faults: Vec<InputError> = Vec::new();
        for (nth, listed) in self.teams.iter().enumerate() {
            let other_band = there.other_band(listed).map(Fact::from);
            let found = listed.faults(&bands).into_iter().chain(other_band);
            faults.extend(found.map(|fault| InputError::at(format!("/teams/{nth}"), fault)));
        }
        Problem::if_any(faults)?;
        Ok(together(self.teams))
    }
}

/// A coach who is invited.
struct Coming {
    invitation: Invitation,
    /// What the link carries.
    token: String,
    email: Option<String>,
    /// The teams, as they are said with their clubs.
    teams: Vec<String>,
}

/// An invitation for every coach who is not known, with all teams of theirs.
fn coming(teams: &[ListedTeam], known: &KnownCoaches, now: Timestamp) -> Answer<Vec<Coming>> {
    let until = now + (24 * DAYS).hours();
    let mut all: Vec<Coming> = Vec::new();
    for listed in teams {
        for coach in listed.coaches.iter().filter(|coach| !known.has(&coach.name)) {
            let same = |each: &&mut Coming| folded(&each.invitation.name) == folded(&coach.name);
            match all.iter_mut().find(same) {
                Some(there) => {
                    there.teams.push(said(listed));
                    there.email = there.email.take().or_else(|| coach.email.clone());
                }
                None => all.push(Coming {
                    invitation: Invitation {
                        id: Uuid::now_v7(),
                        name: coach.name.clone(),
                        role: Role::Coach,
                        club: None,
                        teams: Vec::new(),
                        until,
                    },
                    token: secrets::token()?,
                    email: coach.email.clone(),
                    teams: vec![said(listed)],
                }),
            }
        }
    }
    Ok(all)
}

/// A team with its club; many teams are called after their club.
fn said(ListedTeam { club, team, .. }: &ListedTeam) -> String {
    match folded(team).starts_with(&folded(club)) {
        true => team.clone(),
        false => format!("{club} {team}"),
    }
}

/// The invitations as they are kept.
fn hashed(new: &[Coming]) -> Vec<(Invitation, Vec<u8>)> {
    new.iter().map(|each| (each.invitation.clone(), secrets::hashed(&each.token).to_vec())).collect()
}

/// The invitations as they are handed on. Those with an address are sent, as long as there is time.
async fn handed_on(state: &State, request: &HttpRequest, new: Vec<Coming>) -> Answer<Vec<CoachInvited>> {
    let until = Instant::now() + MAILING;
    let mut handed = Vec::new();
    for Coming { invitation, token, email, teams } in new {
        let path = format!("/join/{token}");
        let address = state.reached.address(request, &path);
        let link = Link {
            to: &invitation.name,
            email: email.as_deref(),
            for_what: For::Invitation(&teams),
            address: &address,
            until: invitation.until,
        };
        let sent = timeout(until.saturating_duration_since(Instant::now()), links::send(state, link));
        // What could not be sent in time is handed on by hand; nobody waits longer for a mail server that is slow.
        let mailed = sent.await.unwrap_or(Ok(Some(false)))?;
        let (code, until) = (scanned(&address)?, invitation.until.to_string());
        handed.push(CoachInvited { name: invitation.name, teams, path, code, until, mailed });
    }
    Ok(handed)
}
