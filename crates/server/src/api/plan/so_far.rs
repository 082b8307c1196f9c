//! What results so far show beside a forecast: of the squads that work by the curriculum, and how fast squads of its
//! band moved on.

use actix_web::get;
use actix_web::web::{Data, Path};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::as_run;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::plan::forecast::so_far::{Day, SoFar, Squad, days, so_far};
use jogo_core::plan::knack::{Glance, Knack};
use jogo_core::plan::{Plan, Problem as PlanProblem, SkillWish};
use jogo_store::delivery::log::Delivered;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::drafts::{draft, opened, problem_of};
use super::reasons::foreseen_by;
use crate::json::Json;
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::assessment::{Assessment, Bands, Yardsticks};
use crate::views::team_sessions::{TeamEdition, editions_of, glances_of};
use crate::worked_out::{Progress, UnderWay, WorkedOut};

/// How far the squads that work by a curriculum have come so far, and the rates that follow.
#[utoipa::path(operation_id = "curricula_so_far", params(("id" = Uuid, Path)),
    responses((status = 200, body = SoFar), (status = 202, body = UnderWay)))]
#[get("/curricula/{id}/so-far")]
pub(crate) async fn reached_so_far(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<WorkedOut<SoFar>> {
    who.may(Act::Plan)?;
    let (edition, problem) = opened(&state, *id).await?;
    let (aside, stamp, id) = (state.clone(), state.stamp(&edition).await?, *id);
    let work = move |progress| async move { summed(&aside, id, &edition, problem, &progress).await };
    state.aside.results().of(id, stamp, work).await
}

/// What the squads show that work by a curriculum, beside what the forecast says.
async fn summed(
    state: &State,
    id: Uuid,
    edition: &Edition,
    mut problem: PlanProblem,
    progress: &Progress,
) -> Answer<SoFar> {
    let running = Running::all(state, id, &edition.band.id, progress).await?;
    let glances: Vec<Glance> = running.iter().flat_map(|(_, glances)| glances.clone()).collect();
    problem.knack = Knack::of(&glances).theta;
    let squads: Vec<Squad> = running.into_iter().map(|(squad, _)| squad).collect();
    Ok(so_far(&problem, &squads, &foreseen_by(edition, &problem)))
}

/// Where the calendar stands with a curriculum, and what was delivered of it.
#[derive(Serialize, ToSchema)]
pub(crate) struct DeliveredSoFar {
    today: String,
    /// The sessions of which something was said, in their order.
    sessions: Vec<DeliveredSession>,
}

/// How a session went in all teams together.
#[derive(Serialize, ToSchema)]
pub(crate) struct DeliveredSession {
    session: usize,
    /// Blocks of which something was said.
    said: u32,
    /// Blocks of those that were run.
    run: u32,
}

/// What the teams have delivered of a curriculum so far, by its sessions.
#[utoipa::path(operation_id = "curricula_delivered", params(("id" = Uuid, Path)),
    responses((status = 200, body = DeliveredSoFar)))]
#[get("/curricula/{id}/delivered")]
pub(crate) async fn delivered(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<Json<DeliveredSoFar>> {
    who.may(Act::Plan)?;
    let draft = draft(&state, *id).await?;
    let sessions = state.store.delivered(draft.id).await?.into_iter();
    let sessions = sessions.map(|Delivered { session, said, run }| DeliveredSession { session, said, run });
    Ok(Json(DeliveredSoFar { today: state.today().await?.to_string(), sessions: sessions.collect() }))
}

/// A squad that has begun with a curriculum.
struct Running<'a> {
    by_this: bool,
    problem: PlanProblem,
    run: Plan,
    days: Vec<Day>,
    assessment: &'a Assessment,
}

impl Running<'_> {
    /// The squads of a band, once for each of their curricula, with what coaches logged for this one.
    async fn all(
        state: &State,
        this: Uuid,
        band: &BandId,
        progress: &Progress,
    ) -> Answer<Vec<(Squad, Vec<Glance>)>> {
        let (today, yardsticks) = (state.today().await?, Yardsticks::of(state, band).await?);
        let teams: Vec<_> =
            state.store.teams().await?.into_iter().filter(|team| team.band == *band).collect();
        progress.of(teams.len());
        let mut running = Vec::new();
        for team in teams {
            let editions = editions_of(state, team.id).await?;
            let assessment = Assessment::by(&yardsticks, &state.store, &team, today).await?;
            for (curriculum, mut editions) in editions {
                let glances = if curriculum == this { glances_of(&editions)? } else { Vec::new() };
                // The last one has what was run before it as well.
                let Some(latest) = editions.pop() else { continue };
                let squad = Running::of(curriculum == this, &latest, &assessment)?;
                running.extend(squad.map(|squad| (squad.squad(), glances)));
            }
            progress.step();
        }
        Ok(running)
    }

    fn of<'a>(
        by_this: bool,
        latest: &TeamEdition,
        assessment: &'a Assessment,
    ) -> Answer<Option<Running<'a>>> {
        let problem = problem_of(&latest.edition)?;
        let days = days(&problem, assessment.on);
        let run = as_run(&latest.edition.plan, &latest.said);
        let begun = !days.is_empty();
        Ok(begun.then_some(Running { by_this, problem, run, days, assessment }))
    }

    /// How far each player had come by each of the days.
    fn squad(self) -> Squad {
        let Running { by_this, problem, run, days, assessment } = self;
        let can_show = |wish: &SkillWish| {
            let of_skill =
                assessment.milestones_of(Bands::UpToOwn).filter(|milestone| milestone.skill == wish.id);
            of_skill.map(|milestone| milestone.stage).max() >= Some(wish.goal)
        };
        let skills: Vec<_> =
            problem.skills.iter().filter(|wish| can_show(wish)).map(|wish| &wish.id).collect();
        let on: Vec<_> = days.iter().map(|day| day.on).collect();
        let had = |player, skill: &SkillId| (skill.clone(), assessment.stages_by(player, skill, &on));
        let player = |player| skills.iter().map(|skill| had(player, skill)).collect();
        let players = assessment.players.iter().map(player).collect();
        Squad { by_this, problem, run, days, players }
    }
}
