//! A squad with its latest levels.

use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::levels::Level;
use jogo_core::assessment::results::{TestResult, latest, results};
use jogo_core::ids::TestId;
use jogo_core::technique::skill::Side;
use jogo_store::academy::teams::{Player, Team};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;

/// A player's result of one date, with the level of that date.
#[derive(Clone, Serialize, ToSchema)]
pub struct ResultView {
    pub test: TestId,
    pub side: Option<Side>,
    pub date: String,
    pub value: f64,
    /// Absent if no standard held on that day.
    pub level: Option<Level>,
}

#[derive(Serialize, ToSchema)]
pub struct PlayerView {
    id: Uuid,
    name: String,
    birth_month: String,
    strong_foot: Side,
    /// The latest result of each test and side.
    latest: Vec<ResultView>,
}

#[derive(Serialize, ToSchema)]
pub struct TestView {
    pub id: TestId,
    pub name: String,
    pub short: String,
    pub how: String,
    pub per_side: bool,
    pub unit: &'static str,
    pub trials: u32,
}

impl From<&Test> for TestView {
    fn from(test: &Test) -> TestView {
        TestView {
            id: test.id.clone(),
            name: test.name.clone(),
            short: test.short.clone(),
            how: test.how.clone(),
            per_side: test.per_side,
            unit: test.protocol.unit(),
            trials: test.trials,
        }
    }
}

#[derive(Serialize, ToSchema)]
pub struct Squad {
    team: String,
    club: String,
    tests: Vec<TestView>,
    players: Vec<PlayerView>,
}

impl From<&TestResult<Uuid>> for ResultView {
    fn from(result: &TestResult<Uuid>) -> ResultView {
        ResultView {
            test: result.test.clone(),
            side: result.side,
            date: result.date.to_string(),
            value: result.value,
            level: result.level,
        }
    }
}

/// The latest results of a team's players.
pub async fn latest_results(state: &State, team: &Team, tests: &[Test]) -> Answer<Vec<TestResult<Uuid>>> {
    let standards = state.store.standards(&team.band).await?;
    let trials: Vec<_> = state.store.trials(team.id).await?.into_iter().map(|known| known.trial).collect();
    Ok(latest(&results(tests, &standards, &trials)))
}

impl Squad {
    /// The squad of a team.
    pub async fn of(state: &State, team: Team) -> Answer<Squad> {
        let standards = state.store.standards(&team.band).await?;
        let milestones = state.store.milestones().await?;
        let asked =
            |test: &Test| milestones.iter().any(|m| m.band == team.band && m.evidence.rests_on(&test.id));
        // What a milestone of the band rests on is taken, even if its results have no level yet.
        let mut tests = state.store.tests().await?;
        tests.retain(|test| asked(test) || standards.iter().any(|standard| standard.test == test.id));
        let results = latest_results(state, &team, &tests).await?;
        let player = |Player { id, about }: Player| PlayerView {
            latest: results.iter().filter(|r| r.player == id).map(ResultView::from).collect(),
            id,
            name: about.name,
            birth_month: about.birth_month.to_string(),
            strong_foot: about.strong_foot,
        };
        let players = state.store.players(team.id).await?.into_iter().map(player).collect();
        Ok(Squad {
            team: team.name,
            club: team.club,
            tests: tests.iter().map(TestView::from).collect(),
            players,
        })
    }
}
