//! What coaches decide for the next time, from what came off.

use actix_web::web::{self, Data, Path};
use actix_web::{HttpResponse, post};
use jogo_core::delivery::NextTime;
use jogo_core::delivery::next_time::Decision;
use jogo_core::fact::Fact;
use jogo_core::input::InputError;
use jogo_core::plan::BlockId;
use jogo_store::StoreError;
use jogo_store::academy::teams::Team;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::facts::{Changed, Entered};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::said::next_times::NextTimesSaid;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, of_team};

pub fn routes(config: &mut ServiceConfig) {
    config.service(decide);
}

/// Takes in what is to come after some blocks: each decision once, however often and in whatever order they come. The
/// team's plan follows; the edition stays.
#[utoipa::path(operation_id = "next_times_decide", params(("team" = Uuid, Path)), request_body = NextTimesSaid,
    responses((status = 204), (status = 412, body = Problem)))]
#[post("/teams/{team}/next-times")]
pub(in crate::api) async fn decide(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<NextTimesSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    for (place, (edition, decision)) in said.into_inner().read(&state).await?.into_iter().enumerate() {
        taken_in(&state, &team, edition, &decision, who.0.id, place).await?;
    }
    Ok(HttpResponse::NoContent().finish())
}

/// How often a decision is tried, while others change the same plan.
const TRIES: usize = 4;

async fn taken_in(
    state: &State,
    team: &Team,
    edition: Uuid,
    decision: &Decision,
    by: Uuid,
    place: usize,
) -> Answer<()> {
    let today = state.today().await?;
    for _ in 0..TRIES {
        let own = of_team(state, team.id, edition).await?;
        if !had(state, team, &own, decision.after).await? {
            let place = format!("/next_times/{place}/after");
            return Err(Problem::input(vec![InputError::at(place, Entered::NoBlock)]));
        }
        let (plan, published, said, decided) =
            (own.assigned.own.clone(), own.assigned.edition.clone(), own.said.clone(), *decision);
        let next = web::block(move || plan.with_next_time(&published, &said, &decided, today)).await;
        let next = next.map_err(|error| Problem::internal(&error))?.map_err(Problem::input)?;
        if next == own.assigned.own {
            return Ok(());
        }
        let (what, at) = (called(decision.next, own.title_of(decision.after)), state.clock.now());
        match state.store.change_team_plan(team.id, &own.assigned, &next, &what, by, at).await {
            Err(StoreError::Stale) => {}
            kept => return Ok(kept?),
        }
    }
    Err(Problem::from(StoreError::Stale))
}

/// Whether a team's plan has a block, or ever had it.
async fn had(state: &State, team: &Team, own: &TeamEdition, block: BlockId) -> Answer<bool> {
    if own.edition.plan.has(block) || own.assigned.edition.plan.has(block) {
        return Ok(true);
    }
    let earlier = state.store.team_plan_states(team.id, own.assigned.published.id).await?;
    Ok(earlier.iter().filter_map(|state| state.plan.as_ref()).any(|plan| plan.has(block)))
}

/// What the change is called.
fn called(next: NextTime, drill: String) -> Fact {
    match next {
        NextTime::OneUp => Changed::OneUp { drill }.into(),
        NextTime::OneDown => Changed::OneDown { drill }.into(),
        NextTime::Same => Changed::SameAgain { drill }.into(),
    }
}
