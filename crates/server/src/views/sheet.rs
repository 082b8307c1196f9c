//! The sheet of a test: whom to test, what was taken today, and what a phone without network says of each value.

use jiff::civil::Date;
use jogo_core::assessment::benchmarks::{Protocol, Test};
use jogo_core::assessment::levels::{LevelFrom, NearRow};
use jogo_core::assessment::results::{TestResult, latest, results};
use jogo_core::assessment::standards;
use jogo_core::ground::layout::Layout;
use jogo_core::statistics::interval::Interval;
use jogo_core::technique::skill::Side;
use jogo_core::units::{Pace, Seconds};
use jogo_store::academy::teams::{Player, Team};
use jogo_store::assessment::trials::KnownTrial;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;
use crate::views::squad::TestView;

#[derive(Serialize, ToSchema)]
pub struct SheetPlayer {
    id: Uuid,
    name: String,
    strong_foot: Side,
    /// Today's trials, in the order in which they were taken.
    trials: Vec<TrialView>,
    /// The result before today, by side.
    before: Vec<BeforeView>,
}

/// The result before today, and which values need no question after it.
#[derive(Serialize, ToSchema)]
pub struct BeforeView {
    side: Option<Side>,
    date: String,
    value: f64,
    /// Absent while too little is known of how well the test repeats itself.
    unsurprising: Option<Interval>,
}

#[derive(Serialize, ToSchema)]
pub struct TrialView {
    id: Uuid,
    side: Option<Side>,
    value: f64,
    /// What was seen of each point.
    marks: Vec<u8>,
}

/// A test session's sheet.
#[derive(Serialize, ToSchema)]
pub struct Sheet {
    test: TestView,
    protocol: Protocol,
    /// Seconds of rest between two trials of one player.
    rest_s: Seconds,
    /// The markers, drawn; absent if there is nothing to lay out.
    drawing: Option<String>,
    today: String,
    /// Smallest value that can be true.
    least: f64,
    /// Largest value that can be true.
    most: f64,
    /// The smallest difference that is recorded.
    step: f64,
    /// How many values are entered together, as bounces over all services; what is kept is their mean.
    parts: u32,
    /// The levels as a table by rising value; empty if no standard holds today.
    levels: Vec<LevelFrom>,
    /// The values near a line; empty while too little is known of how well the test repeats itself.
    near: Vec<NearRow>,
    players: Vec<SheetPlayer>,
}

impl Sheet {
    /// The sheet of a test for a team on a day.
    pub async fn of(state: &State, team: &Team, test: Test, day: Date) -> Answer<Sheet> {
        let all = state.store.standards(&team.band).await?;
        let standards: Vec<_> = all.into_iter().filter(|s| s.test == test.id).collect();
        let thresholds = standards::on(&standards, day).map(|s| s.thresholds);
        let known = state.repeatability(&team.band).await?;
        let typical_error = known.get(&test.id).and_then(|known| known.ok()).map(|known| known.typical_error);
        let (better, step) = (test.protocol.better(), test.protocol.step());
        let near = thresholds.zip(typical_error);
        let trials = state.store.trials(team.id).await?.into_iter().filter(|t| t.trial.test == test.id);
        let (now, other): (Vec<KnownTrial>, Vec<KnownTrial>) = trials.partition(|t| t.trial.taken_on == day);
        let past: Vec<_> = other.into_iter().map(|t| t.trial).filter(|trial| trial.taken_on < day).collect();
        let past = latest(&results(std::slice::from_ref(&test), &standards, &past));
        let before = |result: &TestResult<Uuid>| BeforeView {
            side: result.side,
            date: result.date.to_string(),
            value: result.value,
            unsurprising: typical_error.map(|error| test.unsurprising(result.value, error)),
        };
        let player = |player: Player| SheetPlayer {
            trials: now.iter().filter(|t| t.trial.player == player.id).map(TrialView::from).collect(),
            before: past.iter().filter(|r| r.player == player.id).map(before).collect(),
            id: player.id,
            name: player.about.name,
            strong_foot: player.about.strong_foot,
        };
        Ok(Sheet {
            players: state.store.players(team.id).await?.into_iter().map(player).collect(),
            today: day.to_string(),
            least: test.least,
            most: test.most,
            step,
            parts: test.protocol.parts(),
            rest_s: test.rest_s,
            drawing: drawing(&test),
            protocol: test.protocol.clone(),
            levels: thresholds.map(|thresholds| thresholds.table(better, step)).unwrap_or_default(),
            near: near.map(|(lines, error)| lines.near_table(better, step, error)).unwrap_or_default(),
            test: TestView::from(&test),
        })
    }
}

impl From<&KnownTrial> for TrialView {
    fn from(KnownTrial { id, trial, .. }: &KnownTrial) -> TrialView {
        TrialView { id: *id, side: trial.side, value: trial.value, marks: trial.marks.clone() }
    }
}

/// The layout of a test as it is drawn for a phone.
fn drawing(test: &Test) -> Option<String> {
    let layout = (!test.layout.is_empty()).then(|| Layout::read(&test.layout, Pace::default()))?.ok()?;
    Some(layout.draw())
}
