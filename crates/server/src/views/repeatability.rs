//! How well tests repeat themselves, worked out once a day.

use std::collections::{BTreeMap, HashMap};
use std::sync::{Arc, Mutex, PoisonError};

use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::assessment::reliability::{Repeatability, TooFew, pairs};
use jogo_core::ids::{BandId, TestId};
use jogo_store::Store;

use crate::problem::Answer;

/// What is known of how well each test repeats itself.
pub type Known = Arc<BTreeMap<TestId, Result<Repeatability, TooFew>>>;

/// What is known of each band, and the day on which that was worked out.
#[derive(Default)]
pub struct Repeats(Mutex<HashMap<BandId, (Date, Known)>>);

impl Repeats {
    /// How well the tests of a band repeat themselves, from the results of the last year up to yesterday: worked out
    /// once a day, so that nothing on a screen moves during a session.
    pub async fn of(&self, store: &Store, band: &BandId, today: Date) -> Answer<Known> {
        let kept = self.0.lock().unwrap_or_else(PoisonError::into_inner).get(band).cloned();
        if let Some((_, known)) = kept.filter(|(day, _)| *day == today) {
            return Ok(known);
        }
        let mut known = BTreeMap::new();
        for test in store.tests().await? {
            let trials = store.trials_of_band(&test, band, (today - 1.year(), today)).await?;
            let trials: Vec<_> = trials.into_iter().map(|known| known.trial).collect();
            let found = Repeatability::of(&pairs(&test, &trials));
            known.insert(test.id, found);
        }
        let known = Arc::new(known);
        let mut all = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        all.insert(band.clone(), (today, Arc::clone(&known)));
        Ok(known)
    }

    /// Has it recomputed: a test has become another.
    pub fn forget(&self) {
        self.0.lock().unwrap_or_else(PoisonError::into_inner).clear();
    }
}
