//! The club list: clubs, teams and coaches from one file, with an invitation for every coach who is not there yet.

use actix_web::HttpRequest;
use actix_web::post;
use actix_web::web::{Bytes, Data};
use jiff::ToSpan;
use jogo_core::academy::club_list::{self, ClubListError, ListedTeam, MOST_ROWS, folded, together};
use jogo_core::fact::{Fact, Value};
use jogo_core::ids::BandId;
use jogo_core::input::InputError;
use jogo_store::academy::listed::{KnownCoaches, ToInvite};
use jogo_store::audit::Deed;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use super::clubs::takes_over_running;
use crate::facts::Entered;
use crate::json::Json;
use crate::post::links::{self, Link};
use crate::problem::{Answer, Problem};
use crate::scanned::scanned;
use crate::sign_in::rights::Act;
use crate::sign_in::{SignedIn, secrets};
use crate::spreadsheet;
use crate::state::State;
use crate::views::club_list::{ClubListPreview, known_coaches, other_band};

pub fn routes(config: &mut ServiceConfig) {
    config.service(preview).service(take);
}

/// How long a link works.
const DAYS: i64 = 14;

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

/// The lines of a club list that are to be taken.
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
    /// The whole address, and where it is sent to.
    #[serde(skip)]
    letter: (String, Option<String>),
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
    let (to_invite, mut invited) = invitations(&state, &request, &teams, &known)?;
    let added = state.store.add_listed(&teams, &known, &to_invite, who.0.id, now).await?;
    mailed(&state, &mut invited).await?;
    for (team, band) in added {
        takes_over_running(&state, team, &band).await?;
    }
    state.store.note(now, Some(who.0.id), Deed::ClubsListed, &teams.len().to_string()).await?;
    Ok(Json(invited))
}

impl ClubsListed {
    /// The teams, each once, if nothing is wrong with any.
    async fn read(self, state: &State) -> Answer<Vec<ListedTeam>> {
        if self.teams.len() > MOST_ROWS {
            return Err(Problem::fault("/teams", Entered::AtMost { most: MOST_ROWS }));
        }
        let (bands, clubs) = (bands(state).await?, state.store.clubs().await?);
        let mut faults: Vec<InputError> = Vec::new();
        for (nth, listed) in self.teams.iter().enumerate() {
            let other_band = other_band(listed, &clubs).map(Fact::from);
            let found = listed.faults(&bands).into_iter().chain(other_band);
            faults.extend(found.map(|fault| InputError::at(format!("/teams/{nth}"), fault)));
        }
        Problem::if_any(faults)?;
        Ok(together(self.teams))
    }
}

/// An invitation for every coach who is not known, with all teams of theirs.
fn invitations(
    state: &State,
    request: &HttpRequest,
    teams: &[ListedTeam],
    known: &KnownCoaches,
) -> Answer<(Vec<ToInvite>, Vec<CoachInvited>)> {
    let until = state.clock.now() + (24 * DAYS).hours();
    let (mut to_invite, mut invited): (Vec<ToInvite>, Vec<CoachInvited>) = Default::default();
    for listed in teams {
        // Many teams are called after their club.
        let team = match folded(&listed.team).starts_with(&folded(&listed.club)) {
            true => listed.team.clone(),
            false => format!("{} {}", listed.club, listed.team),
        };
        for coach in listed.coaches.iter().filter(|coach| !known.has(&coach.name)) {
            let same = |each: &&mut CoachInvited| folded(&each.name) == folded(&coach.name);
            if let Some(there) = invited.iter_mut().find(same) {
                there.teams.push(team.clone());
                continue;
            }
            let token = secrets::token()?;
            let path = format!("/join/{token}");
            let address = state.reached.address(request, &path);
            let code = scanned(&address)?;
            let (id, token_hash) = (Uuid::now_v7(), secrets::hashed(&token).to_vec());
            to_invite.push(ToInvite { id, name: coach.name.clone(), token_hash, until });
            invited.push(CoachInvited {
                name: coach.name.clone(),
                teams: vec![team.clone()],
                path,
                code,
                until: until.to_string(),
                mailed: None,
                letter: (address, coach.email.clone()),
            });
        }
    }
    Ok((to_invite, invited))
}

/// Sends those by mail whose address is known.
async fn mailed(state: &State, invited: &mut [CoachInvited]) -> Answer<()> {
    for each in invited {
        let (link, Some(email)) = &each.letter else { continue };
        let what = Link::Invitation { teams: Value::quoted(&each.teams) };
        each.mailed = links::send(state, (&each.name, email), what, link, &each.until).await?;
    }
    Ok(())
}
