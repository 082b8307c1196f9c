//! Answers that are kept for a moment, packed, for each who asks: they stand until anything at all is written.

use std::collections::HashMap;
use std::sync::{Mutex, MutexGuard, PoisonError};
use std::time::{Duration, Instant};

use actix_web::http::header::HeaderMap;
use actix_web::web::Bytes;
use jiff::civil::Date;
use uuid::Uuid;

/// For how long an answer stands at most: what is worked out aside may be renewed without anything being written.
const STANDS: Duration = Duration::from_secs(60);
/// How many bytes of answers are kept; the oldest go first.
const MOST_BYTES: usize = 16 << 20;

/// Who asks for what, and how it may be packed.
#[derive(Clone, Debug, PartialEq, Eq, Hash)]
pub struct Asked {
    /// Who asks.
    pub by: Uuid,
    /// For which page.
    pub page: String,
    /// How it may be packed, as browsers say it.
    pub packed: Option<Vec<u8>>,
}

/// What an answer follows from: it changes with everything that is written, and with the day.
pub type Moment = (i64, Date);

/// An answer that is kept.
#[derive(Clone, Debug)]
pub struct Kept {
    /// What it follows from.
    pub moment: Moment,
    /// Since when.
    pub since: Instant,
    /// Its headers.
    pub headers: HeaderMap,
    /// What it says, packed.
    pub body: Bytes,
}

/// The answers that are kept.
#[derive(Debug, Default)]
pub struct Answers(Mutex<HashMap<Asked, Kept>>);

impl Answers {
    fn all(&self) -> MutexGuard<'_, HashMap<Asked, Kept>> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// The answer that stands, if there is one.
    pub fn find(&self, asked: &Asked, moment: Moment, now: Instant) -> Option<Kept> {
        let stands = |kept: &Kept| kept.moment == moment && now.duration_since(kept.since) < STANDS;
        self.all().get(asked).filter(|kept| stands(kept)).cloned()
    }

    /// Keeps one, and lets those go that no longer stand; then the oldest, until there is room.
    pub fn keep(&self, asked: Asked, new: Kept) {
        let (mut all, now, moment) = (self.all(), new.since, new.moment);
        all.insert(asked, new);
        all.retain(|_, kept| kept.moment == moment && now.duration_since(kept.since) < STANDS);
        while all.values().map(|kept| kept.body.len()).sum::<usize>() > MOST_BYTES {
            let oldest = all.iter().min_by_key(|(_, kept)| kept.since).map(|(asked, _)| asked.clone());
            let Some(oldest) = oldest else { break };
            all.remove(&oldest);
        }
    }
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use super::*;
    use jiff::civil::date;

    fn asked(page: &str) -> Asked {
        Asked { by: Uuid::nil(), page: page.to_owned(), packed: None }
    }

    fn kept(moment: Moment, since: Instant, bytes: usize) -> Kept {
        Kept { moment, since, headers: HeaderMap::new(), body: vec![0; bytes].into() }
    }

    #[test]
    fn an_answer_stands_until_something_is_written_or_the_day_ends_or_a_minute_has_passed() {
        let (answers, now, today) = (Answers::default(), Instant::now(), date(2031, 2, 10));
        answers.keep(asked("/board"), kept((7, today), now, 10));
        let finds = |page, moment, seconds| {
            answers.find(&asked(page), moment, now + Duration::from_secs(seconds)).is_some()
        };
        assert!(finds("/board", (7, today), 59));
        assert!(!finds("/board", (7, today), 60));
        assert!(!finds("/board", (8, today), 1));
        assert!(!finds("/board", (7, date(2031, 2, 11)), 1));
        assert!(!finds("/squad", (7, today), 1));
        let other = Asked { by: Uuid::max(), ..asked("/board") };
        assert!(answers.find(&other, (7, today), now).is_none(), "it is somebody else who asks");
    }

    #[test]
    fn the_oldest_go_when_there_is_no_more_room() {
        let (answers, now, moment) = (Answers::default(), Instant::now(), (7, date(2031, 2, 10)));
        let page = |n: u64| format!("/{n}");
        for n in 0..4 {
            answers.keep(asked(&page(n)), kept(moment, now + Duration::from_secs(n), MOST_BYTES / 3));
        }
        let there = [0, 1, 2, 3].map(|n| answers.find(&asked(&page(n)), moment, now).is_some());
        assert_eq!(there, [false, true, true, true]);
        answers.keep(asked("/later"), kept((8, moment.1), now, 1));
        assert_eq!(answers.all().len(), 1, "what no longer stands is not kept");
    }
}
