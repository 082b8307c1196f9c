//! The drill desk: a drill looked at while it is written, and calls for its cues.

use actix_web::post;
use actix_web::web::Data;
use jogo_core::drill::cues::{Call, CueWish, MOST_CALLS, calls};
use jogo_core::drill::desk::{Desk, Setting};
use jogo_core::drill::dose::expected_tries;
use jogo_core::drill::levers::Levers;
use jogo_core::drill::{Drill, Proposal};
use jogo_core::ground::fit::Ground;
use jogo_core::ids::BandId;
use jogo_core::input::InputError;
use jogo_core::input::RangeFault;
use jogo_core::units::{Metres, Pace, Share};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;

use crate::api::ground::measured;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::drills::{LibraryShelf, known_band};

pub fn routes(config: &mut ServiceConfig) {
    config.service(look).service(call);
}

/// A drill as it is just being written, and for whom and where it is looked at.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Looking {
    drill: Drill,
    band: BandId,
    levers: Levers,
    ground: Ground,
    /// A pace; that of whoever asks if it is not given.
    pace_m: Option<Metres>,
    /// A success share, 0 to 1, that was seen with these levers.
    success: Option<Share>,
    /// Below and above these shares an easier or a harder lever is proposed; 0.7 and 0.9 if nothing is said.
    window: Option<(Share, Share)>,
}

/// The drill, looked at.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Looked {
    #[serde(flatten)]
    desk: Desk,
    /// What keeps the drill from being saved, each with its place.
    errors: Vec<InputError>,
    /// The lever that the success share proposes to change.
    proposal: Option<Proposal>,
    /// Tries that a streak takes on average at that success share.
    expected_tries: Option<f64>,
}

/// The success window of a balanced approach.
const WINDOW: (Share, Share) = (Share(0.7), Share(0.9));

/// Looks at a drill: its floor, fit, time, touches, levers and faults. Nothing is kept.
#[utoipa::path(operation_id = "desk_look", request_body = Looking,
    responses((status = 200, body = Looked)))]
#[post("/desk")]
pub(in crate::api) async fn look(
    who: SignedIn,
    state: Data<State>,
    said: Json<Looking>,
) -> Answer<Json<Looked>> {
    who.may(Act::SeeLibrary)?;
    let said = said.into_inner();
    Problem::if_any(said.faults())?;
    let pace = match said.pace_m {
        None => who.pace(&state).await?,
        Some(metres) => measured(metres)?,
    };
    Ok(Json(Looked::of(&state, &said, pace).await?))
}

impl Looking {
    /// Below and above these an easier or a harder lever is proposed.
    fn window(&self) -> (Share, Share) {
        self.window.unwrap_or(WINDOW)
    }

    fn faults(&self) -> Vec<InputError> {
        let (low, high) = self.window();
        let shares = self.success.iter().map(|share| ("/success", *share));
        let shares = shares.chain([("/window/0", low), ("/window/1", high)]);
        let wrong = shares.filter(|(_, share)| !(0.0..=1.0).contains(&share.0));
        let wrong = wrong.map(|(place, share)| InputError::at(place, RangeFault::Share { value: share.0 }));
        self.ground.faults().into_iter().map(|fault| fault.inside("/ground")).chain(wrong).collect()
    }
}

impl Looked {
    async fn of(state: &State, said: &Looking, pace: Pace) -> Answer<Looked> {
        let band = known_band(state, &said.band).await?;
        let academy = state.store.settings().await?.0;
        let skills = state.store.skills().await?;
        let setting = Setting { band: &band, skills: &skills, academy: &academy, ground: &said.ground, pace };
        let propose =
            |success| said.drill.propose(&said.levers, success, said.window(), &academy.lever_points);
        let streak = said.drill.doses.get(&band.id).and_then(|dose| dose.streak());
        Ok(Looked {
            desk: jogo_core::drill::desk::look(&said.drill, &said.levers, &setting),
            errors: LibraryShelf::of(state).await?.check(&said.drill),
            proposal: said.success.and_then(propose),
            expected_tries: said
                .success
                .zip(streak)
                .and_then(|(share, target)| expected_tries(share, target)),
        })
    }
}

/// Calls that are wished for.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Calling {
    cues: CueWish,
    /// How many calls, at most 600.
    calls: usize,
    /// Another seed gives another sequence.
    seed: u64,
}

/// A sequence of calls that nobody can guess. The same seed gives the same sequence.
#[utoipa::path(operation_id = "desk_call", request_body = Calling,
    responses((status = 200, body = Vec<Call>)))]
#[post("/cues")]
pub(in crate::api) async fn call(who: SignedIn, said: Json<Calling>) -> Answer<Json<Vec<Call>>> {
    who.may(Act::SeeLibrary)?;
    if !(1..=MOST_CALLS).contains(&said.calls) {
        let count = RangeFault::Count { count: said.calls, least: 1, most: MOST_CALLS };
        return Err(Problem::fault("/calls", count));
    }
    let inside = |faults: Vec<InputError>| faults.into_iter().map(|fault| fault.inside("/cues")).collect();
    calls(&said.cues, said.calls, said.seed).map(Json).map_err(|faults| Problem::input(inside(faults)))
}
