//! Refits the plans of teams when their times, their places or their days off change.

use actix_web::web::block;
use jiff::civil::Date;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::ground::fit::Ground;
use jogo_core::input::InputError;
use jogo_core::season::days_off::Whose;
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
use crate::worked_out::Progress;

/// How a change of times or days off affects a team's plan for a curriculum.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, ToSchema)]
pub struct Refitted {
    team: String,
    curriculum: String,
    /// Whether its days stay as they were, because a session has been logged or cancelled.
    days_stay: bool,
    /// Sessions that now fall on a day off…
    #[schema(value_type = Vec<String>, format = Date)]
    cancelled: Vec<Date>,
    /// …and sessions that take place after all.
    #[schema(value_type = Vec<String>, format = Date)]
    held: Vec<Date>,
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
        refitted.extend(team_refitted(state, team, &after, Changed::Times, by).await?);
    }
    Ok(refitted)
}

/// Fits the plans of those teams whom days off concern: sessions on them are cancelled, and those that were cancelled
/// for days that are off no more are held again. Whatever is as it should be stays, so that it can be done again.
pub async fn refit_to_days_off(
    state: &State,
    whose: Whose,
    by: Uuid,
    progress: &Progress,
) -> Answer<Vec<Refitted>> {
    let mut teams = state.store.teams().await?;
    if let Whose::Team { team } = whose {
        teams.retain(|each| each.id == team);
    }
    if let Whose::Club { club } = whose {
        let name = state.store.club_name(club).await?;
        teams.retain(|each| Some(&each.club) == name.as_ref());
    }
    progress.of(teams.len());
    teams.sort_by(|one, other| (&one.club, &one.name).cmp(&(&other.club, &other.name)));
    let (mut refitted, mut times) = (Vec::new(), None);
    for team in &teams {
        let of_club = match times.take().filter(|(club, _)| *club == team.club) {
            Some((_, known)) => known,
            None => ClubTimes::of(state, &team.club).await?,
        };
        refitted.extend(team_refitted(state, team, &of_club, Changed::DaysOff, by).await?);
        times = Some((team.club.clone(), of_club));
        progress.step();
    }
    // Days that stay for another reason are no news here.
    refitted.retain(|each| !each.cancelled.is_empty() || !each.held.is_empty());
    Ok(refitted)
}

async fn team_refitted(
    state: &State,
    team: &Team,
    times: &ClubTimes,
    what: Changed,
    by: Uuid,
) -> Answer<Vec<Refitted>> {
    let mut refitted = Vec::new();
    for curriculum in editions_of(state, team.id).await?.into_keys() {
        refitted.extend(edition_refitted(state, team, times, (curriculum, &what), by).await?);
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
    (curriculum, what): (Uuid, &Changed),
    by: Uuid,
) -> Answer<Option<Refitted>> {
    for _ in 0..TRIES {
        let latest = editions_of(state, team.id).await?.remove(&curriculum).and_then(|mut all| all.pop());
        let Some(latest) = latest else { return Ok(None) };
        let Some((own, refitted)) = fitted(state, team, times, &latest).await? else { return Ok(None) };
        let (read, what, now) = (&latest.assigned, what.clone().into(), state.clock.now());
        let Some(own) = own else { return Ok(Some(refitted)) };
        match state.store.change_team_plan(team.id, read, &own, &what, by, now).await {
            Err(StoreError::Stale) => (),
            written => return Ok(written.map(|()| Some(refitted))?),
        }
    }
    Err(StoreError::Stale.into())
}

/// A team's plan on its times, its floor and without its days off, and what the team is told about it. `None` if
/// nothing changes or the curriculum is over; no plan if only its days would change, and they cannot.
async fn fitted(
    state: &State,
    team: &Team,
    times: &ClubTimes,
    TeamEdition { assigned, edition, said }: &TeamEdition,
) -> Answer<Option<(Option<TeamPlan>, Refitted)>> {
    let today = state.today().await?;
    let days: Vec<Date> = edition.curriculum.session_days().iter().map(|day| day.date).collect();
    if days.last().is_none_or(|last| *last < today) {
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
    let (read, said, off) = (assigned.clone(), said.clone(), times.days_off(team.id));
    let settled = move || -> Result<TeamPlan, Vec<InputError>> {
        let own = match (&season, ground) == (&read.own.season, read.own.ground) {
            true => read.own.clone(),
            false => read.own.settled(&read.edition, season, ground, &said, today)?,
        };
        own.with_days_off(&read.edition, &said, &off, today)
    };
    let own = block(settled).await.map_err(|e| Problem::internal(&e))?.map_err(Problem::input)?;
    let edition_now = own.on_its_days(&assigned.edition).map_err(Problem::input)?;
    let days_now: Vec<Date> = edition_now.curriculum.session_days().iter().map(|day| day.date).collect();
    let refitted = Refitted {
        team: team.name.clone(),
        curriculum: edition.curriculum.name.clone(),
        days_stay,
        cancelled: off_days(&own, &days_now)
            .filter(|day| !off_days(&assigned.own, &days).any(|was| was == *day))
            .collect(),
        held: off_days(&assigned.own, &days)
            .filter(|day| !off_days(&own, &days_now).any(|is| is == *day))
            .collect(),
    };
    if own == assigned.own {
        return Ok(days_stay.then_some((None, refitted)));
    }
    Ok(Some((Some(own), refitted)))
}

/// The days on which a team's sessions are cancelled because they are off.
fn off_days<'d>(own: &'d TeamPlan, days: &'d [Date]) -> impl Iterator<Item = Date> + 'd {
    let off = own.upsets.iter().filter(|(_, upset)| upset.day_off);
    off.filter_map(|(session, _)| days.get(*session).copied())
}
