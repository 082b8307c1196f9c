//! Refits the plans of a club's teams when its times or places change.

use actix_web::web::block;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::ground::fit::Ground;
use jogo_store::StoreError;
use jogo_store::academy::places::TeamSlots;
use jogo_store::academy::teams::Team;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::facts::Changed;
use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, editions_of};
use crate::views::times::ClubTimes;

/// How a change of times affects a team's plan for a curriculum.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, ToSchema)]
pub struct Refitted {
    team: String,
    curriculum: String,
    /// Whether its days stay as they were, because a session has been logged or cancelled.
    days_stay: bool,
}

/// Fits the plans of those teams whose times or floor are not what they were `before`: their weekdays, as long as no
/// session has been logged or cancelled, and their floor from today on.
pub async fn refit(state: &State, club: &str, before: &ClubTimes, by: Uuid) -> Answer<Vec<Refitted>> {
    let after = ClubTimes::of(state, club).await?;
    let mut refitted = Vec::new();
    for TeamSlots { team, slots } in &after.teams {
        let sure = |times: &ClubTimes| times.ground(team.id, &Ground::ASSUMED);
        if before.slots(team.id) == slots && sure(before) == sure(&after) {
            continue;
        }
        for curriculum in editions_of(state, team.id).await?.into_keys() {
            refitted.extend(edition_refitted(state, team, &after, curriculum, by).await?);
        }
    }
    Ok(refitted)
}

/// How often to try while somebody else is changing the same plan.
const TRIES: usize = 3;

/// Refits a team's plan for a curriculum. `None` if it stays as it is.
async fn edition_refitted(
    state: &State,
    team: &Team,
    times: &ClubTimes,
    curriculum: Uuid,
    by: Uuid,
) -> Answer<Option<Refitted>> {
    for _ in 0..TRIES {
        let latest = editions_of(state, team.id).await?.remove(&curriculum).and_then(|mut all| all.pop());
        let Some(latest) = latest else { return Ok(None) };
        let Some((own, refitted)) = fitted(state, team, times, &latest).await? else { return Ok(None) };
        let (read, what, now) = (&latest.assigned, Changed::Times.into(), state.clock.now());
        let Some(own) = own else { return Ok(Some(refitted)) };
        match state.store.change_team_plan(team.id, read, &own, &what, by, now).await {
            Err(StoreError::Stale) => (),
            written => return Ok(written.map(|()| Some(refitted))?),
        }
    }
    Err(StoreError::Stale.into())
}

/// A team's plan on its times and floor, and what the team is told about it. `None` if nothing changes or the curriculum is
/// over; no plan if only its days would change, and they cannot.
async fn fitted(
    state: &State,
    team: &Team,
    times: &ClubTimes,
    TeamEdition { assigned, edition, said }: &TeamEdition,
) -> Answer<Option<(Option<TeamPlan>, Refitted)>> {
    let today = state.today().await?;
    if edition.curriculum.session_days().last().is_none_or(|last| last.date < today) {
        return Ok(None);
    }
    let (wished, ground) = times.wished(team.id, &assigned.edition.curriculum);
    let days_are_fixed = assigned.own.days_are_fixed(said);
    // What was chosen by hand stays where no time or place says otherwise.
    let by_hand = days_are_fixed || times.slots(team.id).is_empty();
    let season = if by_hand { assigned.own.season.clone() } else { wished.clone() };
    let known = times.ground(team.id, &Ground::ASSUMED).is_some();
    let ground = if known { ground } else { assigned.own.ground };
    let days_stay = days_are_fixed && wished != assigned.own.season && !times.slots(team.id).is_empty();
    let (team, curriculum) = (team.name.clone(), edition.curriculum.name.clone());
    let refitted = Refitted { team, curriculum, days_stay };
    if (&season, ground) == (&assigned.own.season, assigned.own.ground) {
        return Ok(days_stay.then_some((None, refitted)));
    }
    let (read, said) = (assigned.clone(), said.clone());
    let settled = move || read.own.settled(&read.edition, season, ground, &said, today);
    let settled = block(settled).await.map_err(|e| Problem::internal(&e))?;
    Ok(Some((Some(settled.map_err(Problem::input)?), refitted)))
}
