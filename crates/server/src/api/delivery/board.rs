//! The delivery board: planned against delivered, clubs side by side.

use std::collections::BTreeMap;

use actix_web::get;
use actix_web::web::{Data, Path};
use jogo_core::delivery::team_plan::{Drift, holding};
use jogo_core::delivery::{WeekTally, Worked, together};
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, editions_of, held};

pub fn routes(config: &mut ServiceConfig) {
    config.service(delivery);
}

#[derive(Serialize, ToSchema)]
pub(in crate::api) struct TeamDelivery {
    id: Uuid,
    team: String,
    edition_number: i64,
    weeks: Vec<WeekTally>,
    /// How far the team's plan has come from the edition that holds now.
    drift: Drift,
}

#[derive(Serialize, ToSchema)]
pub(in crate::api) struct ClubDelivery {
    club: String,
    teams: Vec<TeamDelivery>,
}

/// Planned against delivered, by club, team and week.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Delivery {
    curriculum: String,
    clubs: Vec<ClubDelivery>,
}

/// Delivery of a curriculum in all clubs.
#[utoipa::path(operation_id = "review_delivery", params(("id" = Uuid, Path)),
    responses((status = 200, body = Delivery)))]
#[get("/curricula/{id}/delivery")]
pub(in crate::api) async fn delivery(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<Json<Delivery>> {
    who.may(Act::Review)?;
    let draft = state.store.curriculum(*id).await?.ok_or_else(|| Problem::not_found("curriculum"))?;
    let (today, seen) = (state.today().await?, who.clubs(&state).await?);
    let mut clubs: BTreeMap<String, Vec<TeamDelivery>> = BTreeMap::new();
    for team in state.store.teams().await?.into_iter().filter(|team| seen.see(&team.club)) {
        let Some(editions) = editions_of(&state, team.id).await?.remove(&id) else { continue };
        let mut tallies = Vec::new();
        let mut drift = Drift::default();
        let days = held(&editions);
        for (place, TeamEdition { assigned, edition, said }) in editions.iter().enumerate() {
            let own = &assigned.own;
            let published = own.on_its_days(&assigned.edition).map_err(Problem::input)?.plan;
            let problem = edition.problem().map_err(Problem::input)?;
            let worked = Worked { published: &published, edition, problem: &problem, said };
            tallies.extend(worked.tally(today, &|day| holding(&days, day) == Some(place)));
            drift = Drift::of(&problem, &published, edition, said, assigned.from);
        }
        clubs.entry(team.club).or_default().push(TeamDelivery {
            id: team.id,
            team: team.name,
            edition_number: editions.last().map_or(0, |latest| latest.assigned.published.number),
            weeks: together(tallies),
            drift,
        });
    }
    let clubs = clubs.into_iter().map(|(club, teams)| ClubDelivery { club, teams }).collect();
    Ok(Json(Delivery { curriculum: draft.curriculum.name, clubs }))
}
