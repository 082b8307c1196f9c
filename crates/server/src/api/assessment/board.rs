//! The squad board: players and milestones, groups for next week, and what coaches say against the evidence.

use crate::facts::Entered;
use actix_web::HttpResponse;
use actix_web::web::{Data, Path, Query};
use actix_web::{get, post};
use jiff::civil::Date;
use serde::Deserialize;
use utoipa::IntoParams;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::words::WordsSaid;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::board::Board;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(say);
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct OnDay {
    /// As it stood at the end of this day; today if it is not said.
    pub(in crate::api) on: Option<String>,
}

impl OnDay {
    pub(in crate::api) async fn day(&self, state: &State) -> Answer<Date> {
        match &self.on {
            Some(day) => day.parse().map_err(|_| Problem::fault("/on", Entered::Day)),
            None => state.today().await,
        }
    }
}

/// The squad board.
#[utoipa::path(operation_id = "board_show", params(("team" = Uuid, Path), OnDay),
    responses((status = 200, body = Board), (status = 422, body = Problem)))]
#[get("/teams/{team}/board")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    asked: Query<OnDay>,
) -> Answer<Json<Board>> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    let on = asked.day(&state).await?;
    Ok(Json(Board::of(&state, team, on).await?))
}

/// Takes in what a coach says: all of it or nothing, each once.
#[utoipa::path(operation_id = "board_say", params(("team" = Uuid, Path)),
    request_body = WordsSaid,
    responses((status = 204), (status = 409, body = Problem)),
)]
#[post("/teams/{team}/words")]
pub(in crate::api) async fn say(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<WordsSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let words = said.into_inner().read(&state, team.id).await?;
    state.store.add_words(team.id, &words, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}
