//! When and where: the places of a club, and the slots of its teams.

use actix_web::HttpResponse;
use actix_web::web::{Data, Path};
use actix_web::{delete, get, put};
use jogo_core::fact::Fact;
use jogo_core::input::InputError;
use jogo_core::season::slots::{Place, Slot, SlotFault, faults};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::facts::Thing;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::refit::{Refitted, refit};
use crate::views::times::{ClubTimes, TeamTimes};

pub fn routes(config: &mut ServiceConfig) {
    config.service(of_club).service(put_place).service(drop_place).service(of_team).service(set);
}

/// A place of a club.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct PlaceView {
    id: Uuid,
    place: Place,
}

/// When and where the teams of a club meet.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct TimesView {
    /// By name.
    places: Vec<PlaceView>,
    /// By name; of a team's own times only the team.
    teams: Vec<TeamTimes>,
    /// What is shared, and what is too many.
    sharing: Vec<Fact>,
}

impl TimesView {
    fn of(times: &ClubTimes, team: Option<Uuid>) -> TimesView {
        let mut places: Vec<PlaceView> =
            times.places.iter().map(|(id, place)| PlaceView { id: *id, place: place.clone() }).collect();
        places.sort_by(|one, other| one.place.name.cmp(&other.place.name));
        let teams = times.teams.iter().filter(|of| team.is_none_or(|team| of.team.id == team));
        TimesView { places, teams: teams.map(TeamTimes::from).collect(), sharing: times.sharing(team) }
    }
}

/// The name of a club that the person looks after.
async fn club(who: &SignedIn, state: &State, id: Uuid) -> Answer<String> {
    who.may(Act::KeepPlaces)?;
    let seen = who.clubs(state).await?;
    let name = state.store.club_name(id).await?.filter(|name| seen.see(name));
    name.ok_or_else(|| Problem::not_found(Thing::Club))
}

/// Places and times of a club.
#[utoipa::path(operation_id = "times_of_club", params(("club" = Uuid, Path)),
    responses((status = 200, body = TimesView)))]
#[get("/clubs/{club}/times")]
pub(in crate::api) async fn of_club(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<Json<TimesView>> {
    let name = club(&who, &state, *id).await?;
    Ok(Json(TimesView::of(&ClubTimes::of(&state, &name).await?, None)))
}

/// Adds a place to a club, or changes it, and fits the plans of those who meet there.
#[utoipa::path(operation_id = "places_put", params(("club" = Uuid, Path), ("place" = Uuid, Path)),
    request_body = Place,
    responses((status = 200, body = Vec<Refitted>), (status = 409, body = Problem)))]
#[put("/clubs/{club}/places/{place}")]
pub(in crate::api) async fn put_place(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
    place: Json<Place>,
) -> Answer<Json<Vec<Refitted>>> {
    let ((id, place_id), place) = (path.into_inner(), place.into_inner());
    let name = club(&who, &state, id).await?;
    sound(place.faults())?;
    of_this_club(&state, place_id, &name, true).await?;
    let before = ClubTimes::of(&state, &name).await?;
    state.store.put_place(place_id, id, &place).await?;
    Ok(Json(refit(&state, &name, &before, who.0.id).await?))
}

/// Takes a place away; teams that meet there keep their times.
#[utoipa::path(operation_id = "places_drop", params(("club" = Uuid, Path), ("place" = Uuid, Path)),
    responses((status = 204)))]
#[delete("/clubs/{club}/places/{place}")]
pub(in crate::api) async fn drop_place(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    let (id, place) = path.into_inner();
    let name = club(&who, &state, id).await?;
    of_this_club(&state, place, &name, false).await?;
    state.store.drop_place(place).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Errs unless a place is of a club, or, if it may be new, of none.
async fn of_this_club(state: &State, place: Uuid, club: &str, may_be_new: bool) -> Answer<()> {
    let known = state.store.club_of_place(place).await?;
    let fits = known.map_or(may_be_new, |known| known == club);
    fits.then_some(()).ok_or_else(|| Problem::not_found(Thing::Place))
}

fn sound(faults: Vec<InputError>) -> Answer<()> {
    if faults.is_empty() { Ok(()) } else { Err(Problem::input(faults)) }
}

/// When and where a team meets.
#[utoipa::path(operation_id = "times_of_team", params(("team" = Uuid, Path)),
    responses((status = 200, body = TimesView)))]
#[get("/teams/{team}/times")]
pub(in crate::api) async fn of_team(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
) -> Answer<Json<TimesView>> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    Ok(Json(TimesView::of(&ClubTimes::of(&state, &team.club).await?, Some(team.id))))
}

/// The slots that a team is to have.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct SlotsSaid {
    /// At most one for each weekday.
    slots: Vec<Slot>,
}

/// Gives a team its slots, and fits the plans of those whose days or floor change by that.
#[utoipa::path(operation_id = "times_set", params(("team" = Uuid, Path)), request_body = SlotsSaid,
    responses((status = 200, body = Vec<Refitted>)))]
#[put("/teams/{team}/times")]
pub(in crate::api) async fn set(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<SlotsSaid>,
) -> Answer<Json<Vec<Refitted>>> {
    let team = who.team(&state, *team, Act::SetTimes).await?;
    let before = ClubTimes::of(&state, &team.club).await?;
    let slots = said.into_inner().sound(&before)?;
    state.store.set_slots(team.id, &slots).await?;
    Ok(Json(refit(&state, &team.club, &before, who.0.id).await?))
}

impl SlotsSaid {
    /// In the order of the week, or what is wrong with them.
    fn sound(mut self, times: &ClubTimes) -> Answer<Vec<Slot>> {
        let mut found: Vec<InputError> =
            faults(&self.slots).into_iter().map(|fault| fault.inside("/slots")).collect();
        for (nth, slot) in self.slots.iter().enumerate() {
            if slot.place.is_some_and(|place| !times.places.contains_key(&place)) {
                found.push(InputError::at(format!("/slots/{nth}/place"), SlotFault::NoPlace));
            }
        }
        sound(found)?;
        self.slots.sort_by_key(|slot| slot.weekday);
        Ok(self.slots)
    }
}
