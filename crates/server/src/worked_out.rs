//! What takes long is worked out aside: whoever asks waits a moment, and is then told how far it has come.
//!
//! What follows from the results of a whole academy takes seconds in a large one. It is worked out on a thread of its
//! own, once for everybody who asks, and kept with a [`Stamp`] of what it follows from. It holds until that stamp
//! changes. Where results keep coming in, two more rules see to it that everybody gets an answer:
//!
//! - Whoever was told to ask again gets what was begun after they first asked.
//! - What took longer than [`SOON`] holds for another [`HOLDS`] times as long, so that it never takes more than a tenth
//!   of a processor. It does not hold once a director has set something.

use std::any::{Any, TypeId};
use std::collections::HashMap;
use std::future::Future;
use std::hash::{DefaultHasher, Hash, Hasher};
use std::sync::atomic::{AtomicU32, Ordering};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::{Duration, Instant};

use actix_web::body::BoxBody;
use actix_web::http::StatusCode;
use actix_web::{HttpRequest, HttpResponse, Responder};
use serde::Serialize;
use tokio::runtime::Handle;
use tokio::sync::watch;
use tokio::task::spawn_blocking;
use tokio::time::timeout;
use utoipa::ToSchema;

use crate::json::answered;
use crate::problem::{Answer, Problem};

/// How long a request waits before it is told how far the work has come.
pub const WAITS: Duration = Duration::from_millis(150);
/// What takes less than this is worked out again as soon as anything has changed.
const SOON: Duration = Duration::from_secs(3);
/// How many times as long as it took a result holds while others keep coming in.
const HOLDS: u32 = 10;
/// For how long a failure is told to whoever asks next, if nobody was waiting.
const FAILURE_TOLD: Duration = Duration::from_secs(30);
/// How many results of one kind are kept; the one that was asked for longest ago goes first.
const MOST: usize = 24;

/// What a result follows from, as numbers that change when it does.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Stamp {
    /// What directors set, and the day.
    pub set: u64,
    /// What coaches measure and log.
    pub shown: u64,
}

impl Stamp {
    /// What is done once.
    pub const ONCE: Stamp = Stamp { set: 0, shown: 0 };

    /// The stamp of what was set, and a number that grows with what is shown.
    pub fn of(set: &impl Hash, shown: u64) -> Stamp {
        let mut hasher = DefaultHasher::new();
        set.hash(&mut hasher);
        Stamp { set: hasher.finish(), shown }
    }
}

/// How far work has come.
#[derive(Clone, Debug, Default)]
pub struct Progress(Arc<(AtomicU32, AtomicU32)>);

impl Progress {
    /// There are this many squads to go through.
    pub fn of(&self, squads: usize) {
        self.0.1.store(squads as u32, Ordering::Relaxed);
    }

    /// One more has been gone through.
    pub fn step(&self) {
        self.0.0.fetch_add(1, Ordering::Relaxed);
    }

    fn said(&self) -> UnderWay {
        UnderWay { done: self.0.0.load(Ordering::Relaxed), of: self.0.1.load(Ordering::Relaxed) }
    }
}

/// Something is being worked out; ask again soon.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, ToSchema)]
pub struct UnderWay {
    /// Squads that have been gone through.
    done: u32,
    /// Squads that there are to go through; 0 while that is not known.
    of: u32,
}

/// What was worked out, or how far that has come.
#[derive(Debug)]
pub enum WorkedOut<V> {
    /// It is there.
    Done(Arc<V>),
    /// It is not there yet.
    UnderWay(UnderWay),
}

impl<V> WorkedOut<V> {
    /// The same with what follows from it at once.
    pub fn map<U>(self, then: impl FnOnce(&V) -> U) -> WorkedOut<U> {
        match self {
            WorkedOut::Done(value) => WorkedOut::Done(Arc::new(then(&value))),
            WorkedOut::UnderWay(how_far) => WorkedOut::UnderWay(how_far),
        }
    }
}

impl<V: Serialize> Responder for WorkedOut<V> {
    type Body = BoxBody;

    fn respond_to(self, _: &HttpRequest) -> HttpResponse {
        match self {
            WorkedOut::Done(value) => answered(&*value, HttpResponse::Ok()),
            WorkedOut::UnderWay(how_far) => answered(&how_far, HttpResponse::build(StatusCode::ACCEPTED)),
        }
    }
}

/// Everything that is worked out aside.
#[derive(Debug, Default)]
pub struct Aside(Mutex<HashMap<TypeId, Box<dyn Any + Send>>>);

impl Aside {
    /// The results of a kind, which are asked for by keys of a kind.
    pub fn results<K: Send + 'static, V: Send + Sync + 'static>(&self) -> Results<K, V> {
        let mut all = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        let of_kind =
            all.entry(TypeId::of::<(K, V)>()).or_insert_with(|| Box::new(Results::<K, V>::default()));
        of_kind.downcast_ref::<Results<K, V>>().cloned().unwrap_or_default()
    }
}

/// Results of one kind, by what they are asked for.
#[derive(Debug)]
pub struct Results<K, V>(Arc<Mutex<HashMap<K, Slot<V>>>>);

#[derive(Debug)]
struct Slot<V> {
    kept: Option<Kept<V>>,
    running: Option<Running>,
    /// Why it could not be worked out and since when, until somebody has been told.
    failed: Option<(Instant, Problem)>,
    /// When the first of those asked who were told to ask again.
    awaited: Option<Instant>,
    /// When it was asked for last.
    asked: Instant,
}

#[derive(Debug)]
struct Kept<V> {
    stamp: Stamp,
    begun: Instant,
    took: Duration,
    value: Arc<V>,
}

/// Work that goes on. It ends with the sender of `ends`.
#[derive(Clone, Debug)]
struct Running {
    progress: Progress,
    ends: watch::Receiver<()>,
}

impl Running {
    /// Whether it still goes on: work that has panicked said nothing of its end.
    fn goes_on(&self) -> bool {
        self.ends.has_changed().is_ok()
    }
}

impl<K, V> Clone for Results<K, V> {
    fn clone(&self) -> Results<K, V> {
        Results(self.0.clone())
    }
}

impl<K, V> Default for Results<K, V> {
    fn default() -> Results<K, V> {
        Results(Arc::default())
    }
}

impl<V> Slot<V> {
    fn new(asked: Instant) -> Slot<V> {
        Slot { kept: None, running: None, failed: None, awaited: None, asked }
    }

    /// What there is for whoever asks at `now`, when what it follows from is `stamp`.
    fn look(&mut self, stamp: Stamp, now: Instant) -> Look<V> {
        self.asked = now;
        if let Some((since, problem)) = self.failed.take()
            && now.duration_since(since) < FAILURE_TOLD
        {
            return Look::Failed(problem);
        }
        match (&self.kept, &self.running) {
            (Some(kept), _) if kept.holds(stamp, now) || kept.was_awaited(stamp, self.awaited) => {
                self.awaited = None;
                Look::There(kept.value.clone())
            }
            (_, Some(running)) if running.goes_on() => Look::Running(running.clone()),
            _ => Look::Nothing,
        }
    }
}

impl<V> Kept<V> {
    fn holds(&self, stamp: Stamp, now: Instant) -> bool {
        let long = self.took >= SOON && now.duration_since(self.begun) < self.took * (1 + HOLDS);
        self.stamp == stamp || (long && self.stamp.set == stamp.set)
    }

    /// Whether it was begun after somebody had asked who was told to ask again.
    fn was_awaited(&self, stamp: Stamp, since: Option<Instant>) -> bool {
        since.is_some_and(|since| self.begun >= since) && self.stamp.set == stamp.set
    }
}

impl<K: Clone + Eq + Hash + Send + 'static, V: Send + Sync + 'static> Results<K, V> {
    /// What is asked for under a key: as it was worked out before if that holds, else by `work`.
    ///
    /// # Errors
    /// Those of the work. If nobody waits for it any more, whoever asks next is told.
    pub async fn of<W, F>(&self, key: K, stamp: Stamp, work: W) -> Answer<WorkedOut<V>>
    where
        W: FnOnce(Progress) -> F + Send + 'static,
        F: Future<Output = Answer<V>>,
    {
        self.within(WAITS, key, stamp, work).await
    }

    /// The same, waiting for another time.
    ///
    /// # Errors
    /// As [`Results::of`].
    pub async fn within<W, F>(&self, waits: Duration, key: K, stamp: Stamp, work: W) -> Answer<WorkedOut<V>>
    where
        W: FnOnce(Progress) -> F + Send + 'static,
        F: Future<Output = Answer<V>>,
    {
        let asked = Instant::now();
        let mut work = Some(work);
        loop {
            let mut running = match (self.look(&key, stamp), work.take()) {
                (Look::There(value), _) => return Ok(WorkedOut::Done(value)),
                (Look::Failed(problem), _) => return Err(problem),
                (Look::Running(running), waiting) => {
                    work = waiting;
                    running
                }
                (Look::Nothing, Some(work)) => self.begin(key.clone(), stamp, work),
                // It was begun here, and ended without a word.
                (Look::Nothing, None) => return Err(Problem::internal(&Ended)),
            };
            let left = (asked + waits).saturating_duration_since(Instant::now());
            if timeout(left, running.ends.changed()).await.is_err() {
                self.slot(&key, |slot| slot.awaited = slot.awaited.or(Some(asked)));
                return Ok(WorkedOut::UnderWay(running.progress.said()));
            }
        }
    }

    /// What was worked out last, however long ago.
    pub fn last(&self, key: &K) -> Option<Arc<V>> {
        self.slots().get(key)?.kept.as_ref().map(|kept| kept.value.clone())
    }

    fn slots(&self) -> MutexGuard<'_, HashMap<K, Slot<V>>> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner)
    }

    fn slot<T>(&self, key: &K, with: impl FnOnce(&mut Slot<V>) -> T) -> T {
        with(self.slots().entry(key.clone()).or_insert_with(|| Slot::new(Instant::now())))
    }

    fn look(&self, key: &K, stamp: Stamp) -> Look<V> {
        self.slot(key, |slot| slot.look(stamp, Instant::now()))
    }

    /// Begins work on a thread of its own.
    fn begin<W, F>(&self, key: K, stamp: Stamp, work: W) -> Running
    where
        W: FnOnce(Progress) -> F + Send + 'static,
        F: Future<Output = Answer<V>>,
    {
        let (ending, ends) = watch::channel(());
        let running = Running { progress: Progress::default(), ends };
        self.slot(&key, |slot| slot.running = Some(running.clone()));
        let (results, progress, begun) = (self.clone(), running.progress.clone(), Instant::now());
        spawn_blocking(move || {
            let result = Handle::current().block_on(work(progress));
            results.slot(&key, |slot| {
                slot.running = None;
                match result {
                    Ok(value) => {
                        slot.kept =
                            Some(Kept { stamp, begun, took: begun.elapsed(), value: Arc::new(value) });
                    }
                    Err(problem) => slot.failed = Some((Instant::now(), problem)),
                }
            });
            results.let_go();
            drop(ending);
        });
        running
    }

    /// Lets those go that were asked for longest ago.
    fn let_go(&self) {
        let mut slots = self.slots();
        while slots.len() > MOST {
            let idle = slots.iter().filter(|(_, slot)| slot.running.is_none());
            let Some(oldest) = idle.min_by_key(|(_, slot)| slot.asked).map(|(key, _)| key.clone()) else {
                break;
            };
            slots.remove(&oldest);
        }
    }
}

/// The work ended without a result: it panicked.
#[derive(Debug, thiserror::Error)]
#[error("the work ended without a result")]
struct Ended;

/// What somebody finds who asks.
enum Look<V> {
    There(Arc<V>),
    Failed(Problem),
    Running(Running),
    Nothing,
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use super::*;
    use actix_web::body::to_bytes;
    use actix_web::test::TestRequest;
    use std::sync::atomic::AtomicUsize;
    use std::sync::mpsc;

    const FIRST: Stamp = Stamp { set: 1, shown: 1 };
    const SHOWN: Stamp = Stamp { set: 1, shown: 2 };
    const SET: Stamp = Stamp { set: 2, shown: 2 };

    /// For how long a test waits for a result that comes: a machine that does much else may take its time.
    const COMES: Duration = Duration::from_secs(60);

    /// Counts how often it was worked out, and says how often.
    async fn counted(results: &Results<u8, usize>, stamp: Stamp, times: &Arc<AtomicUsize>) -> Option<usize> {
        let times = times.clone();
        let work = move |_| async move { Ok(times.fetch_add(1, Ordering::SeqCst) + 1) };
        match results.within(COMES, 7, stamp, work).await.unwrap() {
            WorkedOut::Done(value) => Some(*value),
            WorkedOut::UnderWay(_) => None,
        }
    }

    #[actix_web::test]
    async fn what_took_no_time_is_worked_out_anew_whenever_anything_has_changed() {
        let (results, times) = (Results::default(), Arc::default());
        for (stamp, nth) in [(FIRST, 1), (FIRST, 1), (SHOWN, 2), (SHOWN, 2), (SET, 3)] {
            assert_eq!(counted(&results, stamp, &times).await, Some(nth), "{stamp:?}");
        }
    }

    #[actix_web::test]
    async fn what_takes_long_says_how_far_it_has_come_and_is_worked_out_once_for_all_who_ask() {
        let (results, (go_on, waits)) = (Results::<u8, u8>::default(), mpsc::channel::<()>());
        let (stepped, has_stepped) = mpsc::channel();
        let work = move |progress: Progress| async move {
            progress.of(3);
            progress.step();
            stepped.send(()).unwrap();
            waits.recv().unwrap();
            Ok(5)
        };
        let first = results.of(1, FIRST, work).await.unwrap();
        assert!(matches!(first, WorkedOut::UnderWay(_)), "{first:?}");
        has_stepped.recv_timeout(COMES).unwrap();
        let never = |_: Progress| async { panic!("it is being worked out already") };
        let second = results.of(1, FIRST, never).await.unwrap();
        assert!(matches!(second, WorkedOut::UnderWay(UnderWay { done: 1, of: 3 })), "{second:?}");
        go_on.send(()).unwrap();
        let never = |_: Progress| async { panic!("it was worked out") };
        let third = results.within(COMES, 1, FIRST, never).await.unwrap();
        assert!(matches!(third, WorkedOut::Done(value) if *value == 5));
    }

    #[actix_web::test]
    async fn work_that_fails_says_so_once_and_is_begun_again() {
        let (results, (go_on, waits)) = (Results::<u8, u8>::default(), mpsc::channel::<()>());
        let failing = move |_| async move {
            waits.recv().unwrap();
            Err(Problem::busy())
        };
        let first = results.of(1, FIRST, failing).await.unwrap();
        assert!(matches!(first, WorkedOut::UnderWay(_)), "it goes on: {first:?}");
        go_on.send(()).unwrap();
        let failed = results.within(COMES, 1, FIRST, |_| async { panic!("it goes on") }).await;
        assert_eq!(serde_json::to_value(failed.unwrap_err()).unwrap()["status"], 429);
        let again = results.within(COMES, 1, FIRST, |_| async { Ok(2) }).await.unwrap();
        assert!(matches!(again, WorkedOut::Done(value) if *value == 2));
    }

    #[actix_web::test]
    async fn work_that_panics_is_begun_again() {
        let results = Results::<u8, u8>::default();
        let failed = results.within(COMES, 1, FIRST, |_| async { panic!("a fault of the program") }).await;
        assert_eq!(serde_json::to_value(failed.unwrap_err()).unwrap()["status"], 500);
        let again = results.within(COMES, 1, FIRST, |_| async { Ok(2) }).await.unwrap();
        assert!(matches!(again, WorkedOut::Done(value) if *value == 2));
    }

    #[actix_web::test]
    async fn whoever_was_told_to_ask_again_gets_an_answer_however_fast_results_come_in() {
        let (results, (go_on, waits)) = (Results::<u8, u8>::default(), mpsc::channel::<()>());
        let work = move |_| async move {
            waits.recv().unwrap();
            Ok(5)
        };
        let first = results.of(1, FIRST, work).await.unwrap();
        assert!(matches!(first, WorkedOut::UnderWay(_)), "{first:?}");
        go_on.send(()).unwrap();
        while results.last(&1).is_none() {
            tokio::task::yield_now().await;
        }
        let never = |_: Progress| async { panic!("it was worked out") };
        let again = results.of(1, SHOWN, never).await.unwrap();
        assert!(matches!(&again, WorkedOut::Done(value) if **value == 5), "{again:?}");
        // Whoever asks after that is told what has come in since.
        let next = results.within(COMES, 1, SHOWN, |_| async { Ok(6) }).await.unwrap();
        assert!(matches!(&next, WorkedOut::Done(value) if **value == 6), "{next:?}");
    }

    #[test]
    fn a_failure_that_nobody_waited_for_is_forgotten_after_a_while() {
        let now = Instant::now();
        let after = |seconds| {
            let mut slot = Slot::<u8> { failed: Some((now, Problem::busy())), ..Slot::new(now) };
            matches!(slot.look(FIRST, now + Duration::from_secs(seconds)), Look::Failed(_))
        };
        assert_eq!([after(29), after(30)], [true, false]);
    }

    #[test]
    fn what_took_long_holds_a_while_unless_something_was_set() {
        let (now, took) = (Instant::now(), Duration::from_secs(4));
        let kept = |took| Kept { stamp: FIRST, begun: now, took, value: Arc::new(1) };
        let after = |seconds| now + Duration::from_secs(seconds);
        assert!(kept(took).holds(FIRST, after(1_000)), "nothing has changed");
        assert!(kept(took).holds(SHOWN, after(43)) && !kept(took).holds(SHOWN, after(44)));
        assert!(!kept(took).holds(SET, after(3)), "a director has set something");
        assert!(!kept(SOON / 2).holds(SHOWN, now), "it is worked out again");
    }

    #[actix_web::test]
    async fn an_answer_is_what_was_worked_out_or_says_that_it_is_to_be_asked_for_again() {
        let request = TestRequest::default().to_http_request();
        let done = WorkedOut::Done(Arc::new(vec![1, 2])).map(|all| all.len()).respond_to(&request);
        let how_far = UnderWay { done: 3, of: 7 };
        let under_way = WorkedOut::<u8>::UnderWay(how_far).map(|one| *one).respond_to(&request);
        assert_eq!([done.status().as_u16(), under_way.status().as_u16()], [200, 202]);
        let [done, under_way] = [done.into_body(), under_way.into_body()];
        assert_eq!(to_bytes(done).await.unwrap(), "2");
        let says: serde_json::Value = serde_json::from_slice(&to_bytes(under_way).await.unwrap()).unwrap();
        assert_eq!(says, serde_json::json!({"done": 3, "of": 7}));
    }

    #[actix_web::test]
    async fn the_one_that_was_asked_for_longest_ago_goes_first() {
        let results = Results::<usize, usize>::default();
        for key in 0..=MOST {
            results.within(COMES, key, FIRST, move |_| async move { Ok(key) }).await.unwrap();
        }
        let there: Vec<bool> = [0, 1, MOST].map(|key| results.slots().contains_key(&key)).to_vec();
        assert_eq!(there, [false, true, true]);
    }
}
