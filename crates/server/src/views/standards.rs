//! The standards of a test: its scale with results, thresholds and what they mean, and what others would mean.

use jogo_core::fact::Fact;
use std::collections::BTreeMap;
use std::time::Duration;

use actix_web::web::Data;
use jiff::civil::Date;
use jogo_core::academy::band::Band;
use jogo_core::assessment::benchmarks::{Better, Protocol, Test};
use jogo_core::assessment::levels::Thresholds;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::assessment::reliability::{Repeatability, TooFew};
use jogo_core::assessment::standards::population::{Population, Shares, scale};
use jogo_core::assessment::standards::ridge::{RidgePoint, ridge};
use jogo_core::assessment::standards::suggest::{Percentiles, Suggestion, findings, suggest};
use jogo_core::assessment::standards::{self, Standard};
use jogo_core::assessment::tempo::{CountedRound, MeasuredTempo, TouchTimes};
use jogo_core::ids::{BandId, SkillId, TestId};
use jogo_core::technique::score::tempo::Tempos;
use jogo_core::technique::skill::Skill;
use jogo_core::units::Seconds;
use serde::Serialize;
use utoipa::ToSchema;

use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::squad::TestView;
use crate::worked_out::{WAITS, WorkedOut};

/// A standard with the day from which it holds.
#[derive(Serialize, ToSchema)]
pub struct DatedThresholds {
    from: String,
    thresholds: Thresholds,
}

/// A band on the scale of a test.
#[derive(Serialize, ToSchema)]
pub struct BandOnScale {
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
    /// How fast it is counted; absent where the test does not say what it counts, beat by beat.
    tempo: Option<TempoOnScale>,
}

/// How fast a band counts a test.
#[derive(Serialize, ToSchema)]
pub struct TempoOnScale {
    /// From touch to touch at the standard that holds today.
    asked: Option<TouchTimes>,
    /// What the results show; absent if they are too few.
    measured: Option<MeasuredTempo>,
    /// What the academy takes for the fastest beat of the band.
    fast_s: Seconds,
}

impl TempoOnScale {
    fn of(round: &CountedRound, of_band: &BandStandards, results: &[f64], today: Date) -> TempoOnScale {
        TempoOnScale {
            asked: of_band.on(today).map(|standard| round.touches(&standard.thresholds)),
            measured: MeasuredTempo::of(round, results),
            fast_s: of_band.band.tempos().fast,
        }
    }
}

/// A test with all bands.
#[derive(Serialize, ToSchema)]
pub struct StandardsOfTest {
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
    /// Thresholds that fall with age, or that no feet keep up.
    findings: Vec<Fact>,
}

/// How many places make a ridge.
const PLACES: usize = 81;
/// The intervals of quantiles come from this seed, so that they stay the same.
const SEED: u64 = 1;

impl StandardsOfTest {
    /// A test on its scale, with a suggestion at some percentiles, aside if that takes long.
    pub async fn aside(
        state: &Data<State>,
        test: Test,
        percentiles: Percentiles,
    ) -> Answer<WorkedOut<StandardsOfTest>> {
        let (aside, id, stamp) = (state.clone(), test.id.clone(), state.stamp(&percentiles).await?);
        let work = move |_| async move { StandardsOfTest::of(&aside, test, percentiles).await };
        state.aside.results().of(id, stamp, work).await
    }

    async fn of(state: &Data<State>, test: Test, percentiles: Percentiles) -> Answer<StandardsOfTest> {
        let today = state.today().await?;
        let bands = BandStandards::of_test(state, &test).await?;
        // The same results are weighed under other thresholds afterwards.
        let of_bands = match populations(state, &test, AS_LONG_AS_IT_TAKES).await? {
            WorkedOut::Done(of_bands) => of_bands,
            WorkedOut::UnderWay(_) => return Err(Problem::too_slow()),
        };
        let of_band = |of_band: &BandStandards| of_bands.get(&of_band.band.id).cloned().unwrap_or_default();
        let populations: Vec<Population> = bands.iter().map(of_band).collect();
        let thresholds = bands.iter().flat_map(|b| &b.standards).map(|standard| &standard.thresholds);
        let (least, most) = scale(&test, thresholds, &populations);
        let (better, step) = (test.protocol.better(), test.protocol.step());
        let skills = state.store.skills().await?;
        let of_today: Vec<(&Band, Thresholds)> =
            bands.iter().filter_map(|b| Some((&b.band, b.on(today)?.thresholds))).collect();
        let findings = found(&test, &of_today, &skills);
        Ok(StandardsOfTest {
            bands: on_scale(state, &test, bands, populations, percentiles, (least, most)).await?,
            findings,
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
        })
    }
}

async fn on_scale(
    state: &State,
    test: &Test,
    bands: Vec<BandStandards>,
    populations: Vec<Population>,
    percentiles: Percentiles,
    ends: (f64, f64),
) -> Answer<Vec<BandOnScale>> {
    let today = state.today().await?;
    let (milestones, skills) = (state.store.milestones().await?, state.store.skills().await?);
    let sorted: Vec<_> = populations.iter().map(|p| p.sorted.clone()).collect();
    let suggestions = suggest(&test.protocol, &sorted, percentiles, SEED);
    let mut found = Vec::new();
    for ((of_band, population), suggestion) in bands.into_iter().zip(populations).zip(suggestions) {
        let known = state.repeatability(&of_band.band.id).await?.get(&test.id).copied();
        let standard = of_band.on(today);
        found.push(BandOnScale {
            standard: standard.map(DatedThresholds::from),
            history: of_band.standards.iter().rev().map(DatedThresholds::from).collect(),
            results: population.sorted.len() as u32,
            ridge: ridge(&population.sorted, test.protocol.step(), ends, PLACES),
            pairs: match known {
                Some(Ok(known)) => known.pairs,
                Some(Err(TooFew { pairs })) => pairs as u32,
                None => 0,
            },
            repeatability: known.and_then(Result::ok),
            suggestion,
            shares: standard.map(|s| population.shares(&s.thresholds, test.protocol.better())),
            milestones: resting_on(&milestones, &test.id, &of_band.band.id),
            tempo: {
                let round = test.counted_round(&of_band.band, &skills);
                round.map(|round| TempoOnScale::of(&round, &of_band, &population.sorted, today))
            },
            id: of_band.band.id,
            name: of_band.band.name,
        });
    }
    Ok(found)
}

impl From<&Standard> for DatedThresholds {
    fn from(standard: &Standard) -> DatedThresholds {
        DatedThresholds { from: standard.from.to_string(), thresholds: standard.thresholds }
    }
}

fn resting_on(milestones: &[Milestone], test: &TestId, band: &BandId) -> Vec<Milestone> {
    let rests = |m: &&Milestone| m.band == *band && m.evidence.rests_on(test);
    milestones.iter().filter(rests).cloned().collect()
}

/// The results of a band that count for its standard.
async fn population(state: &State, test: &Test, band: &BandId) -> Answer<Population> {
    let cut_off = state.store.settings().await?.0.cut_off;
    let year = Population::year_of(state.today().await?).map_err(|e| Problem::internal(&e))?;
    let trials = state.store.trials_of_band(test, band, year).await?;
    let trials: Vec<_> = trials.into_iter().map(|known| known.trial).collect();
    let born = state.store.birth_months(band).await?;
    Ok(Population::of(test, &trials, |player| born.get(&player).copied(), cut_off))
}

/// What is worked out aside already waits for what it rests on.
const AS_LONG_AS_IT_TAKES: Duration = Duration::from_secs(600);

/// The results of all bands that count for the standards of a test, aside if they take longer than is waited.
async fn populations(
    state: &Data<State>,
    test: &Test,
    waits: Duration,
) -> Answer<WorkedOut<BTreeMap<BandId, Population>>> {
    let (bands, stamp) = (state.store.bands().await?, state.stamp(&()).await?);
    let (aside, test, id) = (state.clone(), test.clone(), test.id.clone());
    let work = move |_| async move {
        let mut all = BTreeMap::new();
        for kept in bands {
            all.insert(kept.band.id.clone(), population(&aside, &test, &kept.band.id).await?);
        }
        Ok(all)
    };
    state.aside.results().within(waits, id, stamp, work).await
}

/// Thresholds that the results of a band suggest for a test; `None` if there are too few.
pub async fn suggested(state: &State, test: &Test, band: &BandId) -> Answer<Option<Thresholds>> {
    let population = population(state, test, band).await?;
    let (protocol, sorted) = (test.protocol.clone(), vec![population.sorted]);
    let found =
        actix_web::web::block(move || suggest(&protocol, &sorted, Percentiles::default(), SEED)).await;
    let found = found.map_err(|e| Problem::internal(&e))?;
    Ok(found.into_iter().flatten().next().map(|suggestion| suggestion.thresholds()))
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

/// What is to be said of the thresholds of a test, from the youngest band to the oldest.
fn found(test: &Test, bands: &[(&Band, Thresholds)], skills: &[Skill]) -> Vec<Fact> {
    let named: Vec<_> = bands.iter().map(|(band, thresholds)| (band.name.clone(), *thresholds)).collect();
    let too_fast = bands.iter().filter_map(|(band, thresholds)| test.too_fast(band, thresholds, skills));
    findings(test.protocol.better(), &named).into_iter().chain(too_fast).map(Fact::from).collect()
}

/// The tempos that the results of a band show, by test.
#[derive(Serialize, ToSchema)]
pub struct TempoOfTest {
    /// The test.
    name: String,
    measured: MeasuredTempo,
    /// The tempos of the band with what was measured as its fast one.
    taken_over: Tempos,
}

impl TempoOfTest {
    /// Of all tests that count a score, and of which a band has enough results.
    pub async fn of_band(state: &State, band: &Band) -> Answer<Vec<TempoOfTest>> {
        let skills = state.store.skills().await?;
        let mut found = Vec::new();
        for test in state.store.tests().await? {
            let Some(round) = test.counted_round(band, &skills) else { continue };
            let population = population(state, &test, &band.id).await?;
            let measured = MeasuredTempo::of(&round, &population.sorted);
            found.extend(measured.map(|measured| TempoOfTest {
                name: test.name,
                measured,
                taken_over: band.tempos().with_fast(measured.beat),
            }));
        }
        Ok(found)
    }
}

/// What becomes of the shares.
#[derive(Serialize, ToSchema)]
pub struct Weighed {
    /// By band.
    shares: BTreeMap<BandId, Shares>,
    /// By band, from touch to touch, where the test counts a score.
    asked: BTreeMap<BandId, TouchTimes>,
    findings: Vec<Fact>,
}

impl Weighed {
    /// What the standards of a test would be with those of some bands set to `thought`, aside if that takes long.
    pub async fn aside(
        state: &Data<State>,
        test: &Test,
        thought: &BTreeMap<BandId, Thresholds>,
    ) -> Answer<WorkedOut<Weighed>> {
        let (skills, today) = (state.store.skills().await?, state.today().await?);
        let bands = BandStandards::of_test(state, test).await?;
        let populations = populations(state, test, WAITS).await?;
        Ok(populations.map(|populations| Weighed::of(test, thought, &bands, populations, &skills, today)))
    }

    fn of(
        test: &Test,
        thought: &BTreeMap<BandId, Thresholds>,
        bands: &[BandStandards],
        populations: &BTreeMap<BandId, Population>,
        skills: &[Skill],
        today: Date,
    ) -> Weighed {
        let (mut shares, mut asked, mut after) = (BTreeMap::new(), BTreeMap::new(), Vec::new());
        for of_band in bands {
            let band = &of_band.band;
            let thought = thought.get(&band.id).copied();
            if let (Some(thresholds), Some(population)) = (thought, populations.get(&band.id)) {
                shares.insert(band.id.clone(), population.shares(&thresholds, test.protocol.better()));
                let round = test.counted_round(band, skills);
                asked.extend(round.map(|round| (band.id.clone(), round.touches(&thresholds))));
            }
            let holds = thought.or_else(|| of_band.on(today).map(|s| s.thresholds));
            after.extend(holds.map(|thresholds| (band, thresholds)));
        }
        Weighed { shares, asked, findings: found(test, &after, skills) }
    }
}
