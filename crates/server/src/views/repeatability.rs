//! How well tests repeat themselves, worked out once a day.

use std::collections::BTreeMap;
use std::sync::Arc;
use std::sync::atomic::{AtomicU64, Ordering};
use std::time::Duration;

use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::assessment::reliability::{Repeatability, TooFew, pairs};
use jogo_core::ids::{BandId, TestId};
use jogo_store::Store;

use crate::problem::Answer;
use crate::worked_out::{Results, Stamp, WorkedOut};

/// What is known of how well each test repeats itself.
pub type Known = Arc<ByTest>;
type ByTest = BTreeMap<TestId, Result<Repeatability, TooFew>>;

/// How long whoever asks first waits for it.
const WAITS: Duration = Duration::from_secs(1);

/// What is known of each band.
#[derive(Default)]
pub struct Repeats {
    results: Results<BandId, ByTest>,
    /// How often a test has become another.
    tests: AtomicU64,
}

impl Repeats {
    /// How well the tests of a band repeat themselves, from the results of the last year up to yesterday: worked out
    /// once a day, so that nothing on a screen moves during a session. While a large academy's are being worked out, it
    /// is what was known the day before, or nothing just after a start.
    pub async fn of(&self, store: &Store, band: &BandId, today: Date) -> Answer<Known> {
        let stamp = Stamp::of(&(today, self.tests.load(Ordering::Relaxed)), 0);
        let (store, of) = (store.clone(), band.clone());
        let work = move |_| async move { of_band(&store, &of, today).await };
        match self.results.within(WAITS, band.clone(), stamp, work).await? {
            WorkedOut::Done(known) => Ok(known),
            WorkedOut::UnderWay(_) => Ok(self.results.last(band).unwrap_or_default()),
        }
    }

    /// Has it recomputed: a test has become another.
    pub fn forget(&self) {
        self.tests.fetch_add(1, Ordering::Relaxed);
    }
}

async fn of_band(store: &Store, band: &BandId, today: Date) -> Answer<ByTest> {
    let tests = store.tests().await?;
    let mut of_tests: BTreeMap<TestId, Vec<(f64, f64)>> = BTreeMap::new();
    for team in store.teams().await?.into_iter().filter(|team| team.band == *band) {
        let trials = store.trials_between(team.id, (today - 1.year(), today)).await?;
        for test in &tests {
            of_tests.entry(test.id.clone()).or_default().extend(pairs(test, &trials));
        }
    }
    let known = |test: &TestId| Repeatability::of(of_tests.get(test).map_or(&[], Vec::as_slice));
    Ok(tests.iter().map(|test| (test.id.clone(), known(&test.id))).collect())
}
