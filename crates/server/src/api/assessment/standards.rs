//! Standards: tests, how well they repeat themselves, and where levels begin.

use std::collections::BTreeMap;

use actix_web::HttpResponse;
use actix_web::web::{Data, Path, Query};
use actix_web::{get, post, put};
use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::academy::band::Band;
use jogo_core::assessment::benchmarks::{Better, Protocol, Test};
use jogo_core::assessment::levels::Thresholds;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::assessment::reliability::{Repeatability, TooFew};
use jogo_core::assessment::results::{latest, results};
use jogo_core::assessment::standards::ridge::{RidgePoint, ridge};
use jogo_core::assessment::standards::suggest::{
    Percentiles, Suggestion, birth_quarter, findings, levels_of, suggest,
};
use jogo_core::assessment::standards::{self, Standard};
use jogo_core::ids::{BandId, SkillId, TestId};
use jogo_core::input::InputError;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;

use crate::api::assessment::squad::TestView;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

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

/// How many stand on each level.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Shares {
    /// Results by level, from Starting to Stretching.
    counts: [u32; 4],
    /// The same by quarter of birth, from the oldest of their year to the youngest.
    quarters: [[u32; 4]; 4],
}

/// A standard with the day from which it holds.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct DatedThresholds {
    from: String,
    thresholds: Thresholds,
}

/// A band on the scale of a test.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct BandOnScale {
    id: BandId,
    name: String,
    /// The standard that holds today.
    standard: Option<DatedThresholds>,
    /// All that were set, the latest first.
    history: Vec<DatedThresholds>,
    /// Results behind the ridge: the latest of each player and side within a year.
    results: u32,
    ridge: Vec<RidgePoint>,
    repeatability: Option<Repeatability>,
    /// Pairs of values by which that is known, or which are too few to say.
    pairs: u32,
    suggestion: Option<Suggestion>,
    /// Where today's results stand under today's standard.
    shares: Option<Shares>,
    /// Milestones that rest on the test.
    milestones: Vec<Milestone>,
}

/// A test with all bands.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct StandardsOfTest {
    test: TestView,
    /// The skill that it shows.
    skill: SkillId,
    protocol: Protocol,
    better: Better,
    step: f64,
    /// What the scale shows.
    least: f64,
    most: f64,
    today: String,
    percentiles: Percentiles,
    /// Where the lines of a band may begin that has neither a standard nor results.
    first: Thresholds,
    bands: Vec<BandOnScale>,
    /// Thresholds that fall with age.
    findings: Vec<String>,
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

/// The results of a band: value and quarter of birth, by rising value.
struct BandResults {
    sorted: Vec<f64>,
    quarters: [Vec<f64>; 4],
}

impl BandResults {
    async fn of(state: &State, test: &Test, band: &BandId, today: Date) -> Answer<BandResults> {
        let span = (today - 1.year(), today.tomorrow().map_err(|e| Problem::internal(&e))?);
        let trials = state.store.trials_of_band(test, band, span).await?;
        let trials: Vec<_> = trials.into_iter().map(|known| known.trial).collect();
        let latest = latest(&results(std::slice::from_ref(test), &[], &trials));
        let born = state.store.birth_months(band).await?;
        let cut_off = state.store.settings().await?.0.cut_off;
        let mut quarters: [Vec<f64>; 4] = Default::default();
        for result in &latest {
            if let Some(month) = born.get(&result.player) {
                quarters[birth_quarter(*month, cut_off)].push(result.value);
            }
        }
        let mut sorted: Vec<f64> = latest.iter().map(|result| result.value).collect();
        sorted.sort_by(f64::total_cmp);
        Ok(BandResults { sorted, quarters })
    }

    fn shares(&self, thresholds: &Thresholds, better: Better) -> Shares {
        Shares {
            counts: levels_of(&self.sorted, thresholds, better),
            quarters: std::array::from_fn(|q| levels_of(&self.quarters[q], thresholds, better)),
        }
    }
}

/// A band with its standards for one test.
struct BandStandards {
    band: Band,
    standards: Vec<Standard>,
}

impl BandStandards {
    /// All bands, the youngest first.
    async fn of_test(state: &State, test: &Test) -> Answer<Vec<BandStandards>> {
        let all = state.store.standards_of_test(&test.id).await?;
        let of_band = |band: Band| {
            let standards = all.iter().filter(|s| s.band == band.id).cloned().collect();
            BandStandards { band, standards }
        };
        Ok(state.store.bands().await?.into_iter().map(|kept| of_band(kept.band)).collect())
    }

    fn on(&self, day: Date) -> Option<&Standard> {
        standards::on(&self.standards, day)
    }
}

/// So many places make a ridge.
const PLACES: usize = 81;
/// The intervals of quantiles come from this seed, so that they stand still.
const SEED: u64 = 1;

async fn test_of(state: &State, test: &TestId) -> Answer<Test> {
    state.store.test(test).await?.ok_or_else(|| Problem::not_found("test"))
}

/// A test on its scale: ridges, thresholds, repeatability, suggestions.
#[utoipa::path(operation_id = "standards_show", params(("test" = String, Path), AtPercentiles),
    responses((status = 200, body = StandardsOfTest), (status = 422, body = Problem)),
)]
#[get("/standards/{test}")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    test: Path<TestId>,
    at: Query<AtPercentiles>,
) -> Answer<Json<StandardsOfTest>> {
    who.may(Act::SetUp)?;
    let test = test_of(&state, &test).await?;
    let percentiles = at.percentiles();
    let faults = percentiles.faults();
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    let today = state.today().await?;
    let bands = BandStandards::of_test(&state, &test).await?;
    let milestones = state.store.milestones().await?;
    let (mut known, mut shown) = (Vec::new(), Vec::new());
    for BandStandards { band, .. } in &bands {
        known.push(state.repeatability(&band.id).await?.get(&test.id).copied());
        shown.push(BandResults::of(&state, &test, &band.id, today).await?);
    }
    let (better, step) = (test.protocol.better(), test.protocol.step());
    let (protocol, sorted) =
        (test.protocol.clone(), shown.iter().map(|s| s.sorted.clone()).collect::<Vec<_>>());
    let suggestions = actix_web::web::block(move || suggest(&protocol, &sorted, percentiles, SEED)).await;
    let suggestions = suggestions.map_err(|e| Problem::internal(&e))?;
    let (least, most) = scale(&test, &bands, &shown);
    let of_today: Vec<(String, Thresholds)> =
        bands.iter().filter_map(|b| Some((b.band.name.clone(), b.on(today)?.thresholds))).collect();
    let mut on_scale = Vec::new();
    for (((of_band, shown), suggestion), known) in bands.into_iter().zip(shown).zip(suggestions).zip(known) {
        let standard = of_band.on(today);
        let dated = |s: &Standard| DatedThresholds { from: s.from.to_string(), thresholds: s.thresholds };
        on_scale.push(BandOnScale {
            standard: standard.map(dated),
            history: of_band.standards.iter().rev().map(dated).collect(),
            results: shown.sorted.len() as u32,
            ridge: ridge(&shown.sorted, step, (least, most), PLACES),
            pairs: match known {
                Some(Ok(known)) => known.pairs,
                Some(Err(TooFew { pairs })) => pairs as u32,
                None => 0,
            },
            repeatability: known.and_then(Result::ok),
            suggestion,
            shares: standard.map(|s| shown.shares(&s.thresholds, better)),
            milestones: resting_on(&milestones, &test.id, &of_band.band.id),
            id: of_band.band.id,
            name: of_band.band.name,
        });
    }
    Ok(Json(StandardsOfTest {
        findings: findings(better, &of_today),
        test: TestView::from(&test),
        skill: test.skill.clone(),
        protocol: test.protocol.clone(),
        better,
        step,
        least,
        most,
        today: today.to_string(),
        percentiles,
        first: Thresholds::spread(better, (least, most), step),
        bands: on_scale,
    }))
}

fn resting_on(milestones: &[Milestone], test: &TestId, band: &BandId) -> Vec<Milestone> {
    let rests = |m: &&Milestone| m.band == *band && m.evidence.rests_on(test);
    milestones.iter().filter(rests).cloned().collect()
}

/// From where to where the scale goes: all results and thresholds, with some room, within what can be true.
fn scale(test: &Test, bands: &[BandStandards], shown: &[BandResults]) -> (f64, f64) {
    let thresholds =
        bands.iter().flat_map(|b| &b.standards).flat_map(|s| s.thresholds.lines()).map(|(_, at)| at);
    let ends = shown.iter().flat_map(|s| s.sorted.first().into_iter().chain(s.sorted.last())).copied();
    let (low, high) =
        thresholds.chain(ends).fold((f64::MAX, f64::MIN), |(low, high), at| (low.min(at), high.max(at)));
    if low > high {
        return (test.least, test.most);
    }
    let room = ((high - low) * 0.08).max(test.protocol.step());
    ((low - room).max(test.least), (high + room).min(test.most))
}

/// Thresholds of some bands that are being thought of, or that are to be set.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct Thought {
    /// By band.
    bands: BTreeMap<BandId, Thresholds>,
}

/// What becomes of the shares.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Weighed {
    /// By band.
    shares: BTreeMap<BandId, Shares>,
    findings: Vec<String>,
}

/// The shares under other thresholds. Nothing is written.
#[utoipa::path(operation_id = "standards_weigh", params(("test" = String, Path)),
    request_body = Thought,
    responses((status = 200, body = Weighed)),
)]
#[post("/standards/{test}/weighed")]
pub(in crate::api) async fn weigh(
    who: SignedIn,
    state: Data<State>,
    test: Path<TestId>,
    thought: Json<Thought>,
) -> Answer<Json<Weighed>> {
    who.may(Act::SetUp)?;
    let test = test_of(&state, &test).await?;
    let (better, today) = (test.protocol.better(), state.today().await?);
    let (mut shares, mut after) = (BTreeMap::new(), Vec::new());
    for of_band in BandStandards::of_test(&state, &test).await? {
        let thought = thought.bands.get(&of_band.band.id).copied();
        if let Some(thresholds) = thought {
            let shown = BandResults::of(&state, &test, &of_band.band.id, today).await?;
            shares.insert(of_band.band.id.clone(), shown.shares(&thresholds, better));
        }
        let holds = thought.or_else(|| of_band.on(today).map(|s| s.thresholds));
        after.extend(holds.map(|thresholds| (of_band.band.name, thresholds)));
    }
    Ok(Json(Weighed { shares, findings: findings(better, &after) }))
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
    let from: Date = said.from.parse().map_err(|_| Problem::fault("/from", "write the day as 2031-02-10"))?;
    if !(0..=730).contains(&(from - today).get_days()) {
        let says = "a standard holds from today or a later day on: an old result keeps the level of its day";
        return Err(Problem::fault("/from", says));
    }
    let (standards, faults) = checked(&state, &test, from, &said.bands).await?;
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
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
            faults.push(InputError::at(&at, "there is no such band"));
        }
        for (level, value) in thresholds.lines() {
            let key = format!("{level:?}").to_lowercase();
            faults.extend(test.value(value).err().map(|says| InputError::at(format!("{at}/{key}"), says)));
        }
        if !thresholds.in_order(test.protocol.better()) {
            faults.push(InputError::at(&at, "each level must ask for more than the one before it"));
        }
        let (test, band) = (test.id.clone(), band.clone());
        standards.push(Standard { test, band, from, thresholds: *thresholds });
    }
    Ok((standards, faults))
}
