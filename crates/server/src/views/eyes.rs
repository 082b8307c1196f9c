//! Eyes on: whom a team's coach looks at in a session, who was looked at in it, and what cannot be reached.

use jiff::civil::Date;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::delivery::eyes_on::{Ahead, LookReach, Wanted, Watch, eyes_on, look_reach};
use jogo_core::delivery::looks::Look;
use jogo_core::delivery::presence::Away;
use jogo_core::delivery::team_plan::holding;
use jogo_core::ids::TestId;
use jogo_core::plan::Problem as PlanProblem;
use jogo_store::academy::teams::Team;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::assessment::Assessment;
use crate::views::team_sessions::{Editions, TeamEdition, held};

/// A look that was had on the day of a session.
#[derive(Serialize, ToSchema)]
pub struct LookHad {
    /// The trial that keeps it.
    trial: Uuid,
    player: Uuid,
    test: TestId,
    /// What was seen of each point.
    marks: Vec<u8>,
}

/// The looks of a session.
#[derive(Serialize, ToSchema)]
pub struct SessionEyes {
    /// Whom to look at, block by block.
    watches: Vec<Watch<Uuid>>,
    /// Who was looked at on its day for what its blocks show.
    looked: Vec<LookHad>,
}

/// How far the looks of an edition go that a team works by.
#[derive(Serialize, ToSchema)]
pub struct TeamReach {
    edition: Uuid,
    #[serde(flatten)]
    reach: LookReach,
}

/// All that decides whom a team's coach looks at.
struct Eyes {
    wanted: Vec<Wanted<Uuid>>,
    ahead: Vec<Ahead>,
    away: Away<Uuid>,
}

impl Eyes {
    fn of(assessment: &Assessment, own: &TeamEdition, problem: &PlanProblem, away: Away<Uuid>) -> Eyes {
        let edition = &own.edition;
        let milestones: Vec<&Milestone> = edition.to_be_seen(problem, &assessment.milestones).collect();
        let wanted = milestones.iter().flat_map(|milestone| assessment.wanted(milestone)).collect();
        let known = (&assessment.milestones[..], &assessment.tests_known[..]);
        let ahead = edition.looks_ahead(problem, assessment.on, known, assessment.results());
        Eyes { wanted, ahead, away }
    }
}

impl SessionEyes {
    /// Those of a session that looks for these points.
    pub async fn of(
        state: &State,
        team: &Team,
        own: &TeamEdition,
        problem: &PlanProblem,
        (session, date, looks): (usize, Date, &[Look]),
    ) -> Answer<SessionEyes> {
        if looks.is_empty() {
            return Ok(SessionEyes { watches: Vec::new(), looked: Vec::new() });
        }
        let assessment = Assessment::of(state, team, state.today().await?).await?;
        let eyes = Eyes::of(&assessment, own, problem, state.store.away(team.id).await?);
        let mut by_session = eyes_on(&eyes.wanted, &eyes.ahead, &eyes.away, session);
        let looked_for =
            |day: Date, test: &TestId| day == date && looks.iter().any(|look| look.test == *test);
        let trials = match assessment.results().iter().any(|result| looked_for(result.date, &result.test)) {
            true => state.store.trials(team.id).await?,
            false => Vec::new(),
        };
        let of_day = trials.into_iter().filter(|known| looked_for(known.trial.taken_on, &known.trial.test));
        let looked = of_day.map(|known| LookHad {
            trial: known.id,
            player: known.trial.player,
            test: known.trial.test,
            marks: known.trial.marks,
        });
        Ok(SessionEyes { watches: by_session.remove(&session).unwrap_or_default(), looked: looked.collect() })
    }
}

/// What the looks of the editions that a team works by today come to; nothing of those that are over, or ask for none.
pub async fn reaches(state: &State, team: &Team, editions: &Editions) -> Answer<Vec<TeamReach>> {
    let today = state.today().await?;
    let current = editions.values().filter_map(|editions| {
        let days = held(editions);
        let place = holding(&days, today)?;
        editions.get(place)
    });
    let ahead = |own: &&TeamEdition| {
        own.edition.curriculum.session_days().last().is_some_and(|last| last.date >= today)
    };
    let current: Vec<&TeamEdition> = current.filter(ahead).collect();
    if current.is_empty() {
        return Ok(Vec::new());
    }
    let assessment = Assessment::of(state, team, today).await?;
    let away = state.store.away(team.id).await?;
    let mut reaches = Vec::new();
    for own in current {
        let problem = own.edition.problem().map_err(Problem::input)?;
        let Eyes { wanted, ahead, away } = Eyes::of(&assessment, own, &problem, away.clone());
        let reach = look_reach(&wanted, &ahead, &away);
        reaches.extend((reach.asked > 0).then_some(TeamReach { edition: own.assigned.published.id, reach }));
    }
    Ok(reaches)
}
