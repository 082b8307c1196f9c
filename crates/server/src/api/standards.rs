//! Standards: tests, how well they repeat themselves, and where levels begin.

use std::collections::BTreeMap;

use actix_web::HttpResponse;
use actix_web::web::{Data, Json, Path, Query, ServiceConfig, get, post, put};
use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::band::Band;
use jogo_core::input::InputError;
use jogo_core::levels::Thresholds;
use jogo_core::milestones::Milestone;
use jogo_core::repeatability::Repeatability;
use jogo_core::results::{latest, results};
use jogo_core::skill::SkillId;
use jogo_core::standards::ridge::{RidgePoint, ridge};
use jogo_core::standards::suggest::{Percentiles, Suggestion, birth_quarter, findings, levels_of, suggest};
use jogo_core::standards::{self, Standard};
use jogo_core::tests::{Better, Protocol, Test, TestId};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use super::squad::TestView;
use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config
        .route("/standards", get().to(list))
        .route("/standards/{test}", get().to(show))
        .route("/standards/{test}", put().to(set))
        .route("/standards/{test}/weighed", post().to(weigh));
}

/// A test in the list.
#[derive(Serialize, ToSchema)]
pub(super) struct TestEntry {
    test: TestView,
    skill_name: String,
    /// The bands that have a standard for it.
    bands: Vec<String>,
}

/// All tests.
#[utoipa::path(get, operation_id = "standards_list", path = "/standards", responses((status = 200, body = Vec<TestEntry>)))]
pub(super) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Vec<TestEntry>>> {
    who.may(Act::SetUp)?;
    let (bands, skills) = (state.store.bands().await?, state.store.skills().await?);
    let mut used: BTreeMap<TestId, Vec<String>> = BTreeMap::new();
    for kept in &bands {
        let mut tests: Vec<TestId> =
            state.store.standards(&kept.band.id).await?.into_iter().map(|s| s.test).collect();
        tests.dedup();
        tests.into_iter().for_each(|test| used.entry(test).or_default().push(kept.band.name.clone()));
    }
    let entry = |test: Test| TestEntry {
        skill_name: skills.iter().find(|s| s.id == test.skill).map_or_else(String::new, |s| s.name.clone()),
        bands: used.remove(&test.id).unwrap_or_default(),
        test: TestView::from(&test),
    };
    Ok(Json(state.store.tests().await?.into_iter().map(entry).collect()))
}

/// How many stand on each level.
#[derive(Serialize, ToSchema)]
pub(super) struct Shares {
    /// Results by level, from Starting to Stretching.
    counts: [u32; 4],
    /// The same by quarter of birth, from the oldest of their year to the youngest.
    quarters: [[u32; 4]; 4],
}

/// A standard with the day from which it holds.
#[derive(Serialize, ToSchema)]
pub(super) struct DatedThresholds {
    from: String,
    thresholds: Thresholds,
}

/// A band on the scale of a test.
#[derive(Serialize, ToSchema)]
pub(super) struct BandOnScale {
    id: String,
    name: String,
    /// The standard that holds today.
    standard: Option<DatedThresholds>,
    /// All that were set, the latest first.
    history: Vec<DatedThresholds>,
    /// Results behind the ridge: the latest of each player and side within a year.
    results: u32,
    ridge: Vec<RidgePoint>,
    repeatability: Option<Repeatability>,
    /// Pairs, where they are too few to say more.
    pairs: u32,
    suggestion: Option<Suggestion>,
    /// Where today's results stand under today's standard.
    shares: Option<Shares>,
    /// Milestones that rest on the test.
    milestones: Vec<String>,
}

/// A test with all bands.
#[derive(Serialize, ToSchema)]
pub(super) struct StandardsOfTest {
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
    bands: Vec<BandOnScale>,
    /// Thresholds that fall with age.
    findings: Vec<String>,
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(super) struct AtPercentiles {
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
    band: Band,
    standards: Vec<Standard>,
    sorted: Vec<f64>,
    quarters: [Vec<f64>; 4],
}

impl BandResults {
    async fn of(state: &State, test: &Test, band: Band, today: Date) -> Answer<BandResults> {
        let all = state.store.standards(&band.id).await?;
        let standards: Vec<Standard> = all.into_iter().filter(|s| s.test == test.id).collect();
        let span = (today - 1.year(), today.tomorrow().map_err(|e| Problem::internal(&e))?);
        let trials = state.store.trials_of_band(test, &band.id, span).await?;
        let trials: Vec<_> = trials.into_iter().map(|known| known.trial).collect();
        let latest = latest(&results(std::slice::from_ref(test), &standards, &trials));
        let born = state.store.birth_months(&band.id).await?;
        let cut_off = state.store.settings().await?.0.cut_off;
        let mut quarters: [Vec<f64>; 4] = Default::default();
        for result in &latest {
            if let Some(month) = born.get(&result.player) {
                quarters[birth_quarter(*month, cut_off)].push(result.value);
            }
        }
        let mut sorted: Vec<f64> = latest.iter().map(|result| result.value).collect();
        sorted.sort_by(f64::total_cmp);
        Ok(BandResults { band, standards, sorted, quarters })
    }

    fn shares(&self, thresholds: &Thresholds, better: Better) -> Shares {
        Shares {
            counts: levels_of(&self.sorted, thresholds, better),
            quarters: std::array::from_fn(|q| levels_of(&self.quarters[q], thresholds, better)),
        }
    }
}

async fn bands_on(state: &State, test: &Test) -> Answer<Vec<BandResults>> {
    let today = state.today().await?;
    let mut bands = Vec::new();
    for kept in state.store.bands().await? {
        bands.push(BandResults::of(state, test, kept.band, today).await?);
    }
    Ok(bands)
}

/// So many places make a ridge.
const PLACES: usize = 81;
/// The intervals of quantiles come from this seed, so that they stand still.
const SEED: u64 = 1;

async fn test_of(state: &State, test: &str) -> Answer<Test> {
    state.store.test(test).await?.ok_or_else(|| Problem::not_found("test"))
}

/// A test on its scale: ridges, thresholds, repeatability, suggestions.
#[utoipa::path(get, operation_id = "standards_show", path = "/standards/{test}", params(("test" = String, Path), AtPercentiles),
    responses((status = 200, body = StandardsOfTest), (status = 404, body = Problem), (status = 422, body = Problem)))]
pub(super) async fn show(
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
    let bands = bands_on(&state, &test).await?;
    let milestones = state.store.milestones().await?;
    let mut known = Vec::new();
    for of_band in &bands {
        let found = state.repeatability(&of_band.band.id).await?;
        known.push(found.get(&test.id).copied());
    }
    let (better, step) = (test.protocol.better(), test.protocol.step());
    let suggestions = {
        let (protocol, sorted) = (test.protocol.clone(), bands.iter().map(|b| b.sorted.clone()).collect());
        let work = move || -> Vec<Option<Suggestion>> {
            let sorted: Vec<Vec<f64>> = sorted;
            suggest(&protocol, &sorted, percentiles, SEED)
        };
        actix_web::web::block(work).await.map_err(|e| Problem::internal(&e))?
    };
    let (least, most) = scale(&test, &bands);
    let on_scale = bands.iter().zip(suggestions).zip(known).map(|((of_band, suggestion), known)| {
        let standard = standards::on(&of_band.standards, today);
        let dated = |s: &Standard| DatedThresholds { from: s.from.to_string(), thresholds: s.thresholds };
        BandOnScale {
            id: of_band.band.id.clone(),
            name: of_band.band.name.clone(),
            standard: standard.map(dated),
            history: of_band.standards.iter().rev().map(dated).collect(),
            results: of_band.sorted.len() as u32,
            ridge: ridge(&of_band.sorted, step, (least, most), PLACES),
            repeatability: known,
            pairs: known.map_or(0, |known| known.pairs),
            suggestion,
            shares: standard.map(|s| of_band.shares(&s.thresholds, better)),
            milestones: resting_on(&milestones, &test.id, &of_band.band.id),
        }
    });
    let on_scale: Vec<BandOnScale> = on_scale.collect();
    let of_today = bands.iter().filter_map(|of_band| {
        Some((of_band.band.name.clone(), standards::on(&of_band.standards, today)?.thresholds))
    });
    let of_today: Vec<_> = of_today.collect();
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
        bands: on_scale,
    }))
}

fn resting_on(milestones: &[Milestone], test: &str, band: &str) -> Vec<String> {
    let resting = milestones.iter().filter(|m| m.band == band && m.evidence.tests().any(|id| id == test));
    resting.map(|milestone| milestone.says.clone()).collect()
}

/// From where to where the scale goes: all results and thresholds, with some room, within what can be true.
fn scale(test: &Test, bands: &[BandResults]) -> (f64, f64) {
    let thresholds =
        bands.iter().flat_map(|b| &b.standards).flat_map(|s| s.thresholds.lines()).map(|(_, at)| at);
    let ends = bands.iter().flat_map(|b| b.sorted.first().into_iter().chain(b.sorted.last())).copied();
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
pub(super) struct Thought {
    /// By band.
    bands: BTreeMap<String, Thresholds>,
}

/// What becomes of the shares.
#[derive(Serialize, ToSchema)]
pub(super) struct Weighed {
    /// By band.
    shares: BTreeMap<String, Shares>,
    findings: Vec<String>,
}

/// The shares under other thresholds. Nothing is written.
#[utoipa::path(post, operation_id = "standards_weigh", path = "/standards/{test}/weighed", params(("test" = String, Path)), request_body = Thought,
    responses((status = 200, body = Weighed), (status = 404, body = Problem), (status = 422, body = Problem)))]
pub(super) async fn weigh(
    who: SignedIn,
    state: Data<State>,
    test: Path<TestId>,
    thought: Json<Thought>,
) -> Answer<Json<Weighed>> {
    who.may(Act::SetUp)?;
    let test = test_of(&state, &test).await?;
    let bands = bands_on(&state, &test).await?;
    let better = test.protocol.better();
    let today = state.today().await?;
    let mut shares = BTreeMap::new();
    let mut after = Vec::new();
    for of_band in &bands {
        let thought = thought.bands.get(&of_band.band.id).copied();
        if let Some(thresholds) = thought {
            shares.insert(of_band.band.id.clone(), of_band.shares(&thresholds, better));
        }
        let holds = thought.or_else(|| standards::on(&of_band.standards, today).map(|s| s.thresholds));
        after.extend(holds.map(|thresholds| (of_band.band.name.clone(), thresholds)));
    }
    Ok(Json(Weighed { shares, findings: findings(better, &after) }))
}

/// Standards that hold from a day on.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct StandardsSaid {
    /// From this day on: today or later, since an old result keeps the level of its day.
    from: String,
    /// By band.
    bands: BTreeMap<String, Thresholds>,
}

/// Sets standards from a day on; old results keep the level of their day.
#[utoipa::path(put, operation_id = "standards_set", path = "/standards/{test}", params(("test" = String, Path)), request_body = StandardsSaid,
    responses((status = 204), (status = 404, body = Problem), (status = 422, body = Problem)))]
pub(super) async fn set(
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
    set_and_note(&state, who.0.id, &test, &standards).await?;
    Ok(HttpResponse::NoContent().finish())
}

async fn checked(
    state: &State,
    test: &Test,
    from: Date,
    bands: &BTreeMap<String, Thresholds>,
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

async fn set_and_note(state: &State, by: Uuid, test: &Test, standards: &[Standard]) -> Answer<()> {
    let now = state.clock.now();
    state.store.set_standards(standards, by, now).await?;
    for standard in standards {
        let [building, secure, stretching] = standard.thresholds.lines().map(|(_, at)| at);
        let about = format!(
            "{} {} from {}: {building}, {secure}, {stretching}",
            test.id, standard.band, standard.from
        );
        state.store.note(now, Some(by), "standard set", &about).await?;
    }
    Ok(())
}
