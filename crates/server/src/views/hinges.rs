//! Hinges: skills that a team begins only when enough of its squad are ready, or when its coach says so.

use jogo_core::delivery::hinges::Ahead;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::ids::SkillId;
use jogo_core::plan::curriculum::Mastery;
use jogo_core::units::Share;
use jogo_store::StoreError;
use jogo_store::academy::teams::Team;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::facts::Changed;
use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::assessment::Assessment;
use crate::views::team_sessions::TeamEdition;

/// A skill that was to begin in a session, or is to.
#[derive(Serialize, ToSchema)]
pub struct HingeView {
    pub skill: SkillId,
    pub name: String,
    /// How many of the squad pass its gate.
    pub ready: usize,
    /// How many have to; absent where the coach says when it begins.
    pub needed: Option<usize>,
    pub players: usize,
    /// Which share of a squad has to; absent where the coach says when it begins.
    pub share: Option<Share>,
    /// Whether the session goes on without it; else it begins, as far as is known today.
    pub waits: bool,
}

/// How many of a squad pass the gate of a skill; all of them, if it has none.
fn ready(own: &TeamEdition, assessment: &Assessment, skill: &SkillId) -> usize {
    let gate = own.edition.skill(skill).and_then(|skill| skill.gate.as_ref());
    let passes = |player: &&_| gate.is_none_or(|gate| assessment.gate(player, gate));
    assessment.players.iter().filter(passes).count()
}

/// The hinges of a session: those that it was to have, and those that it has.
pub async fn hinges_in(
    state: &State,
    team: &Team,
    own: &TeamEdition,
    session: usize,
) -> Answer<Vec<HingeView>> {
    if own.edition.curriculum.mastery.is_empty() {
        return Ok(Vec::new());
    }
    let today = state.today().await?;
    let problem = own.edition.problem().map_err(Problem::input)?;
    let ahead = own.assigned.own.hinges(&own.edition, &problem, &own.said, today);
    let assessment = Assessment::of(state, team, today).await?;
    let here = |skill: &SkillId| {
        let waits = own.assigned.own.waits.iter().any(|w| w.session == session && w.skill == *skill);
        let begins = ahead.iter().any(|hinge| hinge.session == session && hinge.mastery.skill == *skill);
        (waits || begins).then_some(waits)
    };
    let view = |mastery: &Mastery| {
        let waits = here(&mastery.skill)?;
        let players = assessment.players.len();
        Some(HingeView {
            skill: mastery.skill.clone(),
            name: own.edition.skill(&mastery.skill).map_or_else(String::new, |skill| skill.name.clone()),
            ready: ready(own, &assessment, &mastery.skill),
            needed: mastery.players_of(players),
            players,
            share: mastery.share,
            waits,
        })
    };
    Ok(own.edition.curriculum.mastery.iter().filter_map(view).collect())
}

/// Settles the hinges of a team's edition that are due: where too few are ready, the team goes on without the skill. It
/// is done for the coach who looks, and is the team's last change; what somebody else settles at the same time holds.
/// Says whether something changed.
pub async fn settle(state: &State, team: &Team, by: Uuid, own: &TeamEdition) -> Answer<bool> {
    let today = state.today().await?;
    let problem = own.edition.problem().map_err(Problem::input)?;
    let ahead = own.assigned.own.hinges(&own.edition, &problem, &own.said, today);
    if !ahead.iter().any(|hinge| hinge.due) {
        return Ok(false);
    }
    let assessment = Assessment::of(state, team, today).await?;
    let players = assessment.players.len();
    let too_few = |mastery: &Mastery| {
        mastery.players_of(players).is_none_or(|needed| ready(own, &assessment, &mastery.skill) < needed)
    };
    let waiting: Vec<Ahead> =
        ahead.into_iter().filter(|hinge| hinge.due && too_few(&hinge.mastery)).collect();
    let Some(next) = without(own, waiting).await? else { return Ok(false) };
    let new = next.waits.last().and_then(|wait| own.edition.skill(&wait.skill));
    let what = Changed::Waits { skill: new.map_or_else(String::new, |skill| skill.name.clone()) }.into();
    let now = state.clock.now();
    match state.store.change_team_plan(team.id, &own.assigned, &next, &what, by, now).await {
        Err(StoreError::Stale) => Ok(true),
        kept => Ok(kept.map(|()| true)?),
    }
}

/// The team's plan without some skills, each in the session in which it would begin; `None` if none of them can be left
/// out. It is replanned for that, away from whoever else asks.
async fn without(own: &TeamEdition, waiting: Vec<Ahead>) -> Answer<Option<TeamPlan>> {
    let (plan, published, said) = (own.assigned.own.clone(), own.assigned.edition.clone(), own.said.clone());
    let next = actix_web::web::block(move || {
        let mut next: Option<TeamPlan> = None;
        for Ahead { mastery, session, .. } in waiting {
            let before = next.clone().unwrap_or_else(|| plan.clone());
            next = before.waited(&published, &said, session, &mastery.skill)?.or(next);
        }
        Ok(next)
    });
    next.await.map_err(|error| Problem::internal(&error))?.map_err(Problem::input)
}
