//! Standards: tests, how well they repeat themselves, and where levels begin.

use crate::facts::Entered;
use crate::facts::Thing;
use jogo_core::input::Unknown;
use std::collections::BTreeMap;

use actix_web::HttpResponse;
use actix_web::web::{Data, Path, Query};
use actix_web::{get, post, put};
use jiff::civil::Date;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::levels::Thresholds;
use jogo_core::assessment::standards::suggest::Percentiles;
use jogo_core::assessment::standards::{self, Standard};
use jogo_core::ids::{BandId, TestId};
use jogo_core::input::InputError;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::squad::TestView;
use crate::views::standards::{StandardsOfTest, Weighed};
use crate::worked_out::{UnderWay, WorkedOut};

pub fn routes(config: &mut ServiceConfig) {
    config.service(list).service(show).service(set).service(weigh);
}

/// A test in the list.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct TestEntry {
    test: TestView,
    /// The bands that have a standard for it.
    bands: Vec<String>,
}

/// All tests.
#[utoipa::path(operation_id = "standards_list", responses((status = 200, body = Vec<TestEntry>)),
)]
#[get("/standards")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<TestEntry>>> {
    who.may(Act::SetUp)?;
    let (bands, used) = (state.store.bands().await?, state.store.tests_by_band().await?);
    let entry = |test: Test| {
        let uses = |band: &BandId| used.iter().any(|(known, of)| *known == test.id && of == band);
        let bands = bands.iter().filter(|kept| uses(&kept.band.id)).map(|kept| kept.band.name.clone());
        TestEntry { bands: bands.collect(), test: TestView::from(&test) }
    };
    Ok(Json(state.store.tests().await?.into_iter().map(entry).collect()))
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct AtPercentiles {
    building: Option<f64>,
    secure: Option<f64>,
    stretching: Option<f64>,
}

impl AtPercentiles {
    fn percentiles(&self) -> Percentiles {
        let first = Percentiles::default();
        Percentiles {
            building: self.building.unwrap_or(first.building),
            secure: self.secure.unwrap_or(first.secure),
            stretching: self.stretching.unwrap_or(first.stretching),
        }
    }
}

async fn test_of(state: &State, test: &TestId) -> Answer<Test> {
    state.store.test(test).await?.ok_or_else(|| Problem::not_found(Thing::Test))
}

/// A test on its scale: ridges, thresholds, repeatability, suggestions.
#[utoipa::path(operation_id = "standards_show", params(("test" = String, Path), AtPercentiles),
    responses((status = 200, body = StandardsOfTest), (status = 202, body = UnderWay),
        (status = 422, body = Problem)),
)]
#[get("/standards/{test}")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    test: Path<TestId>,
    at: Query<AtPercentiles>,
) -> Answer<WorkedOut<StandardsOfTest>> {
    who.may(Act::SetUp)?;
    let test = test_of(&state, &test).await?;
    let percentiles = at.percentiles();
    Problem::if_any(percentiles.faults())?;
    StandardsOfTest::aside(&state, test, percentiles).await
}

/// Thresholds of some bands that are being thought of, or that are to be set.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Thought {
    /// By band.
    bands: BTreeMap<BandId, Thresholds>,
}

/// The shares under other thresholds. Nothing is written.
#[utoipa::path(operation_id = "standards_weigh", params(("test" = String, Path)),
    request_body = Thought,
    responses((status = 200, body = Weighed), (status = 202, body = UnderWay)),
)]
#[post("/standards/{test}/weighed")]
pub(in crate::api) async fn weigh(
    who: SignedIn,
    state: Data<State>,
    test: Path<TestId>,
    thought: Json<Thought>,
) -> Answer<WorkedOut<Weighed>> {
    who.may(Act::SetUp)?;
    let test = test_of(&state, &test).await?;
    Weighed::aside(&state, &test, &thought.bands).await
}

/// Standards that hold from a day on.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct StandardsSaid {
    /// From this day on: today or later, since an old result keeps the level of its day.
    from: String,
    /// By band.
    bands: BTreeMap<BandId, Thresholds>,
}

/// Sets standards from a day on; old results keep the level of their day.
#[utoipa::path(operation_id = "standards_set", params(("test" = String, Path)),
    request_body = StandardsSaid,
    responses((status = 204)),
)]
#[put("/standards/{test}")]
pub(in crate::api) async fn set(
    who: SignedIn,
    state: Data<State>,
    test: Path<TestId>,
    said: Json<StandardsSaid>,
) -> Answer<HttpResponse> {
    who.may(Act::SetUp)?;
    let test = test_of(&state, &test).await?;
    let today = state.today().await?;
    let from: Date = said.from.parse().map_err(|_| Problem::fault("/from", Entered::Day))?;
    if !standards::may_hold_from(from, today) {
        return Err(Problem::fault("/from", Entered::StandardInThePast));
    }
    let (standards, faults) = checked(&state, &test, from, &said.bands).await?;
    Problem::if_any(faults)?;
    state.store.set_standards(&standards, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

async fn checked(
    state: &State,
    test: &Test,
    from: Date,
    bands: &BTreeMap<BandId, Thresholds>,
) -> Answer<(Vec<Standard>, Vec<InputError>)> {
    let known = state.store.bands().await?;
    let (mut standards, mut faults) = (Vec::new(), Vec::new());
    for (band, thresholds) in bands {
        let at = format!("/bands/{band}");
        if !known.iter().any(|kept| kept.band.id == *band) {
            faults.push(InputError::at(&at, Unknown::Band { id: band.to_string() }));
        }
        faults.extend(test.threshold_faults(band, thresholds).into_iter().map(|fault| fault.inside(&at)));
        let (test, band) = (test.id.clone(), band.clone());
        standards.push(Standard { test, band, from, thresholds: *thresholds });
    }
    Ok((standards, faults))
}
