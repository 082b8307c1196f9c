//! What every request can reach.

use std::collections::{BTreeMap, HashMap};
use std::sync::{Arc, Mutex, PoisonError};

use actix_web::cookie::Key;
use jiff::civil::Date;
use jiff::tz::TimeZone;
use jiff::{Timestamp, ToSpan};
use jogo_core::assessment::reliability::{Repeatability, TooFew, pairs};
use jogo_core::ids::{BandId, TestId};
use jogo_store::Store;

use crate::clock::Clock;
use crate::post::transport::Post;
use crate::problem::{Answer, Problem};
use crate::timing_gates::Timing;

/// What is known of how well each test repeats itself.
pub type Known = Arc<BTreeMap<TestId, Result<Repeatability, TooFew>>>;

/// The academy that is served.
pub struct State {
    /// What is remembered.
    pub store: Store,
    /// What time it is.
    pub clock: Clock,
    /// Signs cookies.
    pub key: Key,
    /// Whether this is the demo.
    pub demo: bool,
    /// How letters leave.
    pub post: Post,
    /// Timing gates that are joined.
    pub timing: Timing,
    /// How well each test repeats itself, by band, and the day on which that was worked out.
    repeatability: Mutex<HashMap<BandId, (Date, Known)>>,
    /// Wrong passwords of late, by login.
    wrong: Mutex<HashMap<String, Vec<Timestamp>>>,
}

/// So many wrong passwords for one login…
const WRONG: usize = 8;
/// …in so many minutes close it until they have passed.
const WITHIN_MINUTES: i64 = 5;
/// So many logins are watched at once; beyond that the watch begins anew.
const WATCHED: usize = 10_000;

impl State {
    /// Brings the parts together.
    pub fn new(store: Store, clock: Clock, key: Key, demo: bool, post: Post) -> State {
        State {
            store,
            clock,
            key,
            demo,
            post,
            timing: Timing::default(),
            repeatability: Mutex::default(),
            wrong: Mutex::default(),
        }
    }

    /// The academy's time zone.
    pub async fn zone(&self) -> Answer<TimeZone> {
        match self.store.time_zone().await? {
            Some(name) => TimeZone::get(&name).map_err(|e| Problem::internal(&e)),
            None => Ok(TimeZone::UTC),
        }
    }

    /// Today in the academy's time zone.
    pub async fn today(&self) -> Answer<Date> {
        Ok(self.clock.today(&self.zone().await?))
    }

    /// How well the tests of a band repeat themselves, from the results of the last year up to yesterday: worked out
    /// once a day, so that nothing on a screen moves during an evening.
    pub async fn repeatability(&self, band: &BandId) -> Answer<Known> {
        let today = self.today().await?;
        let kept = self.repeatability.lock().unwrap_or_else(PoisonError::into_inner).get(band).cloned();
        if let Some((_, known)) = kept.filter(|(day, _)| *day == today) {
            return Ok(known);
        }
        let mut known = BTreeMap::new();
        for test in self.store.tests().await? {
            let span = (today - 1.year(), today);
            let trials = self.store.trials_of_band(&test, band, span).await?;
            let trials: Vec<_> = trials.into_iter().map(|known| known.trial).collect();
            let found = Repeatability::of(&pairs(&test, &trials));
            known.insert(test.id, found);
        }
        let known = Arc::new(known);
        let mut all = self.repeatability.lock().unwrap_or_else(PoisonError::into_inner);
        all.insert(band.clone(), (today, Arc::clone(&known)));
        Ok(known)
    }

    /// Has it worked out anew: a test has become another.
    pub fn forget_repeatability(&self) {
        self.repeatability.lock().unwrap_or_else(PoisonError::into_inner).clear();
    }

    /// Errs if too many wrong passwords came for a login.
    pub fn may_try(&self, login: &str) -> Answer<()> {
        let mut wrong = self.wrong.lock().unwrap_or_else(PoisonError::into_inner);
        let since = Timestamp::now() - WITHIN_MINUTES.minutes();
        let tries = wrong.entry(login.to_owned()).or_default();
        tries.retain(|at| *at > since);
        if tries.len() >= WRONG { Err(Problem::slow_down(WITHIN_MINUTES)) } else { Ok(()) }
    }

    /// Notes a wrong password.
    pub fn note_wrong(&self, login: &str) {
        let mut wrong = self.wrong.lock().unwrap_or_else(PoisonError::into_inner);
        if wrong.len() > WATCHED {
            wrong.clear();
        }
        wrong.entry(login.to_owned()).or_default().push(Timestamp::now());
    }
}
