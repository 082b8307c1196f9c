//! Clubs, their teams, and the people of the academy.

use crate::facts::Entered;
use crate::facts::Thing;
use std::collections::BTreeSet;

use actix_web::HttpResponse;
use actix_web::web::{Data, Path};
use actix_web::{get, post, put};
use jogo_core::ids::BandId;
use jogo_core::input::What;
use jogo_core::input::short_text;
use jogo_store::academy::clubs::Club;
use jogo_store::audit::Deed;
use jogo_store::people::{Person, Role};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::people::sign_in::RoleView;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::drills::known_band;
use crate::views::named::NamedView;

pub fn routes(config: &mut ServiceConfig) {
    config
        .service(list)
        .service(add)
        .service(rename)
        .service(add_team)
        .service(change_team)
        .service(list_people);
}

/// The longest name of a club, a team or a person.
pub const LONGEST_NAME: usize = 60;

/// A name as it is kept, or what is wrong with it.
pub(in crate::api) fn name(said: &str) -> Answer<String> {
    short_text(said, LONGEST_NAME, What::Name).map_err(|fault| Problem::fault("/name", fault))
}

/// A team of a club.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct ClubTeam {
    id: Uuid,
    name: String,
    band: BandId,
    coaches: Vec<NamedView>,
    players: i64,
}

/// A club with its leads and teams.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct ClubView {
    id: Uuid,
    name: String,
    leads: Vec<NamedView>,
    teams: Vec<ClubTeam>,
}

impl From<Club> for ClubView {
    fn from(club: Club) -> ClubView {
        let teams = club.teams.into_iter().map(|staffed| ClubTeam {
            id: staffed.team.id,
            name: staffed.team.name,
            band: staffed.team.band,
            coaches: staffed.coaches.into_iter().map(NamedView::from).collect(),
            players: staffed.players,
        });
        ClubView {
            id: club.id,
            name: club.name,
            leads: club.leads.into_iter().map(NamedView::from).collect(),
            teams: teams.collect(),
        }
    }
}

/// All clubs that one may look at.
#[utoipa::path(operation_id = "clubs_list", responses((status = 200, body = Vec<ClubView>)))]
#[get("/clubs")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<ClubView>>> {
    who.may(Act::Review)?;
    let seen = who.clubs(&state).await?;
    let clubs = state.store.clubs().await?.into_iter().filter(|club| seen.see(&club.name));
    Ok(Json(clubs.map(ClubView::from).collect()))
}

/// A new club.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct NewClub {
    /// Made by the sender, so that sending twice adds once.
    id: Uuid,
    name: String,
}

/// Adds a club.
#[utoipa::path(operation_id = "clubs_add", request_body = NewClub,
    responses((status = 204), (status = 409, body = Problem)))]
#[post("/clubs")]
pub(in crate::api) async fn add(
    who: SignedIn,
    state: Data<State>,
    new: Json<NewClub>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    state.store.add_club(new.id, &name(&new.name)?).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// A name.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct NameSaid {
    name: String,
}

/// Gives a club another name.
#[utoipa::path(operation_id = "clubs_rename", params(("club" = Uuid, Path)),
    request_body = NameSaid,
    responses(
        (status = 204), (status = 409, body = Problem),
    ),
)]
#[put("/clubs/{club}")]
pub(in crate::api) async fn rename(
    who: SignedIn,
    state: Data<State>,
    club: Path<Uuid>,
    said: Json<NameSaid>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    match state.store.rename_club(*club, &name(&said.name)?).await? {
        true => Ok(HttpResponse::NoContent().finish()),
        false => Err(Problem::not_found(Thing::Club)),
    }
}

/// A new team.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct NewTeam {
    /// Made by the sender, so that sending twice adds once.
    id: Uuid,
    name: String,
    band: BandId,
    /// Who coaches it.
    coaches: Vec<Uuid>,
}

/// Adds a team to a club. It works from today on by the editions of its band that are still running.
#[utoipa::path(operation_id = "clubs_add_team", params(("club" = Uuid, Path)),
    request_body = NewTeam,
    responses(
        (status = 204), (status = 409, body = Problem),
    ),
)]
#[post("/clubs/{club}/teams")]
pub(in crate::api) async fn add_team(
    who: SignedIn,
    state: Data<State>,
    club: Path<Uuid>,
    new: Json<NewTeam>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    let NewTeam { id, name: said, band, coaches } = new.into_inner();
    if !state.store.clubs().await?.iter().any(|each| each.id == *club) {
        return Err(Problem::not_found(Thing::Club));
    }
    known_band(&state, &band).await?;
    let coaches = coaches_of(&state, coaches).await?;
    state.store.add_team(id, *club, &band, &name(&said)?, &coaches).await?;
    take_over_running(&state, &[(id, band)]).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// From today on new teams work by the editions of their bands that are still running.
pub(super) async fn take_over_running(state: &State, teams: &[(Uuid, BandId)]) -> Answer<()> {
    let (today, now) = (state.today().await?, state.clock.now());
    let bands: BTreeSet<&BandId> = teams.iter().map(|(_, band)| band).collect();
    for band in bands {
        let mut latest = state.store.latest_editions(band).await?;
        latest.retain(|(_, doc)| doc.curriculum.session_days().last().is_some_and(|day| day.date >= today));
        for (team, _) in teams.iter().filter(|(_, of)| of == band) {
            for (edition, _) in &latest {
                state.store.assign(*team, *edition, today, now).await?;
            }
        }
    }
    Ok(())
}

/// A team's name and coaches.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct TeamSaid {
    name: String,
    coaches: Vec<Uuid>,
}

/// Gives a team another name and other coaches.
#[utoipa::path(operation_id = "clubs_change_team", params(("team" = Uuid, Path)),
    request_body = TeamSaid,
    responses(
        (status = 204), (status = 409, body = Problem),
    ),
)]
#[put("/teams/{team}")]
pub(in crate::api) async fn change_team(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<TeamSaid>,
) -> Answer<HttpResponse> {
    who.may(Act::KeepPeople)?;
    let team = state.store.team(*team).await?.ok_or_else(|| Problem::not_found(Thing::Team))?;
    let TeamSaid { name: said, coaches } = said.into_inner();
    let coaches = coaches_of(&state, coaches).await?;
    let named = name(&said)?;
    state.store.change_team(team.id, &named, &coaches).await?;
    let (now, about) = (state.clock.now(), format!("{} {named}", team.club));
    state.store.note(now, Some(who.0.id), Deed::CoachesChanged, &about).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// The people of a list, each once, if all of them can coach.
async fn coaches_of(state: &State, mut coaches: Vec<Uuid>) -> Answer<Vec<Uuid>> {
    coaches.sort_unstable();
    coaches.dedup();
    let people = state.store.people().await?;
    let can = |id: &Uuid| people.iter().any(|each| each.id == *id && each.role != Role::Director);
    match coaches.iter().all(can) {
        true => Ok(coaches),
        false => Err(Problem::fault("/coaches", Entered::NoCoach)),
    }
}

/// Somebody who signs in.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct PersonView {
    id: Uuid,
    name: String,
    login: String,
    role: RoleView,
}

/// Everybody who signs in.
#[utoipa::path(operation_id = "clubs_people", responses((status = 200, body = Vec<PersonView>)))]
#[get("/people")]
pub(in crate::api) async fn list_people(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<PersonView>>> {
    who.may(Act::KeepPeople)?;
    let view = |person: Person| PersonView {
        id: person.id,
        name: person.name,
        login: person.login,
        role: person.role.into(),
    };
    Ok(Json(state.store.people().await?.into_iter().map(view).collect()))
}
