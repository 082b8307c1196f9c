//! What was measured, and what is taken back.

use crate::facts::Entered;
use jiff::civil::Date;
use jogo_core::assessment::benchmarks::{Protocol, Test};
use jogo_core::assessment::results::{Origin, Trial};
use jogo_core::ids::TestId;
use jogo_core::technique::skill::Side;
use jogo_store::assessment::trials::{NewTrial, TakenBack};
use serde::Deserialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::{Faults, Sender, TeamNow, Wrong, at_most, said_at, set_times};
use crate::problem::Answer;
use crate::state::State;

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct TrialSaid {
    /// Made on the device.
    id: Uuid,
    player: Uuid,
    test: TestId,
    /// The day.
    taken_on: String,
    /// Which foot, if the test is taken per foot.
    side: Option<Side>,
    value: f64,
    /// What was seen of each point, where points are looked at: `value` is their sum.
    #[serde(default)]
    marks: Vec<u8>,
    /// How it came.
    #[serde(default)]
    origin: Origin,
    /// When, by the device.
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct TakenBackSaid {
    trial: Uuid,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct TrialsSaid {
    trials: Vec<TrialSaid>,
    #[serde(default)]
    taken_back: Vec<TakenBackSaid>,
    sender: Option<Sender>,
}

/// The most trials that are taken in at once.
pub const MOST_TRIALS: usize = 500;

impl TrialsSaid {
    /// The trials and what takes trials back, or what is wrong with them.
    pub async fn read(self, state: &State, team: Uuid) -> Answer<(Vec<NewTrial>, Vec<TakenBack>)> {
        let TrialsSaid { trials, taken_back, sender } = self;
        at_most(MOST_TRIALS, trials.len() + taken_back.len(), "/trials")?;
        let counts = trials.iter().map(|trial| trial.count).chain(taken_back.iter().map(|back| back.count));
        let counts: Vec<Option<i64>> = counts.collect();
        let (now, tests) = (TeamNow::of(state, team).await?, state.store.tests().await?);
        let mut faults = Faults::default();
        let mut trials = faults.reading("/trials", trials, |trial| new_trial(&now, &tests, trial));
        let mut taken_back = faults.reading("/taken_back", taken_back, |back| {
            Ok(TakenBack { trial: back.trial, said_at: said_at(&back.said_at)? })
        });
        faults.none()?;
        let times = trials.iter_mut().map(|trial| &mut trial.said_at);
        let times = times.chain(taken_back.iter_mut().map(|back| &mut back.said_at));
        set_times(state, sender, counts, times).await?;
        Ok((trials, taken_back))
    }
}

fn new_trial(team: &TeamNow, tests: &[Test], said: TrialSaid) -> Result<NewTrial, Wrong> {
    let test = tests.iter().find(|t| t.id == said.test);
    let test = test.ok_or_else(|| ("test", Entered::NoTest.into()))?;
    if test.per_side != said.side.is_some() {
        let test_name = test.name.clone();
        let wrong = match test.per_side {
            true => Entered::FootMissing { test: test_name },
            false => Entered::FootTooMuch { test: test_name },
        };
        return Err(("side", wrong.into()));
    }
    let taken_on = match said.origin {
        // What is read in from a list may be of earlier seasons: the list has looked at its days.
        Origin::ReadIn => said.taken_on.parse().ok().filter(|day: &Date| *day <= team.today),
        _ => None,
    };
    let taken_on = match taken_on {
        Some(day) => day,
        None => team.day("taken_on", &said.taken_on)?,
    };
    let player = team.player(said.player, taken_on)?;
    let at = said_at(&said.said_at)?;
    let value = test.value(said.value).map_err(|fault| ("value", fault.into()))?;
    if matches!(test.protocol, Protocol::Points { .. }) || !said.marks.is_empty() {
        let sum = test.marked(&said.marks).map_err(|fault| ("marks", fault.into()))?;
        if sum != value {
            return Err(("value", Entered::NotTheSum { value, sum }.into()));
        }
    }
    let (side, marks) = (said.side, said.marks);
    let trial = Trial { player, test: said.test, taken_on, side, value, marks };
    Ok(NewTrial { id: said.id, trial, said_at: at, origin: said.origin })
}
