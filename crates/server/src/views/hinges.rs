//! Hinges: skills that a team begins only when enough of its squad are ready, or when its coach says so.

use jogo_core::delivery::hinges::Ahead;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::ids::SkillId;
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
    let view = |mastery: &jogo_core::plan::curriculum::Mastery| {
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
    let Some((next, what)) = gone_on(own, ahead, &assessment)? else { return Ok(false) };
    let now = state.clock.now();
    match state.store.change_team_plan(team.id, &own.assigned, &next, &what.into(), by, now).await {
        Err(StoreError::Stale) => Ok(true),
        kept => Ok(kept.map(|()| true)?),
    }
}

/// The team's plan without the skills that are due and for which too few are ready; `None` if there is none.
fn gone_on(
    own: &TeamEdition,
    ahead: Vec<Ahead>,
    assessment: &Assessment,
) -> Answer<Option<(TeamPlan, Changed)>> {
    let players = assessment.players.len();
    let mut found = None;
    for Ahead { mastery, session, .. } in ahead.into_iter().filter(|hinge| hinge.due) {
        let needed = mastery.players_of(players);
        if needed.is_some_and(|needed| ready(own, assessment, &mastery.skill) >= needed) {
            continue;
        }
        let plan = match &found {
            Some((plan, _)) => TeamPlan::clone(plan),
            None => own.assigned.own.clone(),
        };
        let waited = plan.waited(&own.assigned.edition, &own.said, session, &mastery.skill);
        if let Some(plan) = waited.map_err(Problem::input)? {
            let skill =
                own.edition.skill(&mastery.skill).map_or_else(String::new, |skill| skill.name.clone());
            found = Some((plan, Changed::Waits { skill }));
        }
    }
    Ok(found)
}
