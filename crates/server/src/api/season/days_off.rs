//! Days off: of the academy, of a club, of a team. Sessions on them are cancelled at once.

use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, Responder, delete, get, put};
use jogo_core::season::days_off::{DaysOff, Whose};
use jogo_store::season::days_off::KeptDaysOff;
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
use crate::views::refit::{Refitted, refit_to_days_off};
use crate::worked_out::{Stamp, UnderWay};

pub fn routes(config: &mut ServiceConfig) {
    config.service(list).service(keep).service(take_away);
}

/// Days off.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct DaysOffView {
    id: Uuid,
    whose: Whose,
    days: DaysOff,
    /// The club or team; absent of the whole academy.
    name: Option<String>,
    /// Whether the person may change them.
    may_change: bool,
}

/// Days off of whom, and when.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct DaysOffSaid {
    whose: Whose,
    days: DaysOff,
}

/// All days off that concern somebody: by their first days.
#[utoipa::path(operation_id = "days_off_list", responses((status = 200, body = Vec<DaysOffView>)))]
#[get("/days-off")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<DaysOffView>>> {
    who.may(Act::SeeLibrary)?;
    let mut all = Vec::new();
    for KeptDaysOff { id, whose, days } in state.store.days_off().await? {
        let Ok(name) = seen(&who, &state, whose).await else { continue };
        let may_change = keeps(&who, &state, whose).await.is_ok();
        all.push(DaysOffView { id, whose, days, name, may_change });
    }
    Ok(Json(all))
}

/// The name of whom days off concern, if they concern the person.
async fn seen(who: &SignedIn, state: &State, whose: Whose) -> Answer<Option<String>> {
    match whose {
        Whose::Academy => Ok(None),
        Whose::Team { team } => Ok(Some(who.team(state, team, Act::SeeTeam).await?.name)),
        Whose::Club { club } => {
            let name = state.store.club_name(club).await?;
            let name = name.ok_or_else(|| Problem::not_found(Thing::Club))?;
            let coaches = state.store.teams_of(who.0.id).await?.iter().any(|team| team.club == name);
            let sees = coaches || who.clubs(state).await.is_ok_and(|clubs| clubs.see(&name));
            if sees { Ok(Some(name)) } else { Err(Problem::not_found(Thing::Club)) }
        }
    }
}

/// Errs unless the person says when they are free.
async fn keeps(who: &SignedIn, state: &State, whose: Whose) -> Answer<()> {
    match whose {
        Whose::Academy => who.may(Act::SetUp),
        Whose::Team { team } => who.team(state, team, Act::SetTimes).await.map(|_| ()),
        Whose::Club { .. } => {
            who.may(Act::KeepPlaces)?;
            seen(who, state, whose).await.map(|_| ())
        }
    }
}

/// Adds days off, or changes their days, and cancels the sessions that fall on them.
#[utoipa::path(operation_id = "days_off_keep", params(("days_off" = Uuid, Path)), request_body = DaysOffSaid,
    responses((status = 200, body = Vec<Refitted>), (status = 202, body = UnderWay)))]
#[put("/days-off/{days_off}")]
pub(in crate::api) async fn keep(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    said: Json<DaysOffSaid>,
) -> Answer<HttpResponse> {
    let DaysOffSaid { whose, days } = said.into_inner();
    keeps(&who, &state, whose).await?;
    if state.store.whose_days_off(*id).await?.is_some_and(|of| of != whose) {
        return Err(Problem::not_found(Thing::DaysOff));
    }
    let faults = days.faults();
    if !faults.is_empty() {
        return Err(Problem::input(faults.into_iter().map(|fault| fault.inside("/days")).collect()));
    }
    let version = state.store.put_days_off(*id, whose, &days).await?;
    refitted(&who, &state, whose, (*id, version), &request).await
}

/// Takes days off away, and holds the sessions again that were cancelled for them.
#[utoipa::path(operation_id = "days_off_drop", params(("days_off" = Uuid, Path)),
    responses((status = 200, body = Vec<Refitted>), (status = 202, body = UnderWay)))]
#[delete("/days-off/{days_off}")]
pub(in crate::api) async fn take_away(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
) -> Answer<HttpResponse> {
    let whose = state.store.whose_days_off(*id).await?;
    let whose = whose.ok_or_else(|| Problem::not_found(Thing::DaysOff))?;
    keeps(&who, &state, whose).await?;
    let version = state.store.drop_days_off(*id).await?.unwrap_or_default();
    refitted(&who, &state, whose, (*id, version), &request).await
}

/// Refits the plans aside. Whoever sends the same again hears how far it has come.
async fn refitted(
    who: &SignedIn,
    state: &Data<State>,
    whose: Whose,
    change: (Uuid, i64),
    request: &HttpRequest,
) -> Answer<HttpResponse> {
    let (aside, by) = (state.clone(), who.0.id);
    let work = move |progress| async move { refit_to_days_off(&aside, whose, by, &progress).await };
    let done = state.aside.results::<(Uuid, i64), Vec<Refitted>>().of(change, Stamp::ONCE, work).await?;
    Ok(done.respond_to(request))
}
