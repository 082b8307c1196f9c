//! A coach's word that a skill may begin.

use actix_web::web::{self, Data, Path};
use actix_web::{HttpResponse, post};
use jogo_core::ids::SkillId;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::facts::{Changed, Thing};
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::team_sessions::of_team;

pub fn routes(config: &mut ServiceConfig) {
    config.service(begin);
}

/// Lets a skill begin that a team waits for; nothing changes where it waits for nothing.
#[utoipa::path(operation_id = "hinges_begin",
    params(("team" = Uuid, Path), ("edition" = Uuid, Path), ("skill" = SkillId, Path)),
    responses((status = 204), (status = 412, body = Problem)))]
#[post("/teams/{team}/editions/{edition}/hinges/{skill}")]
pub(in crate::api) async fn begin(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid, SkillId)>,
) -> Answer<HttpResponse> {
    let (team, edition, skill) = path.into_inner();
    let team = who.team(&state, team, Act::Coach).await?;
    let own = of_team(&state, team.id, edition).await?;
    let name = own.edition.skill(&skill).ok_or_else(|| Problem::not_found(Thing::Skill))?.name.clone();
    if !own.edition.curriculum.mastery.iter().any(|mastery| mastery.skill == skill) {
        return Ok(HttpResponse::NoContent().finish());
    }
    let (plan, published, said) = (own.assigned.own.clone(), own.assigned.edition.clone(), own.said);
    let today = state.today().await?;
    let next = web::block(move || plan.with_begun(&published, &said, &skill, today)).await;
    let next = next.map_err(|error| Problem::internal(&error))?.map_err(Problem::input)?;
    let what = Changed::Begins { skill: name }.into();
    state.store.change_team_plan(team.id, &own.assigned, &next, &what, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}
