//! Searches for a better plan that go on in the background: which of them does anybody still wait for?
//!
//! A round of a search takes a processor for seconds. Whoever changes the plan, or begins another search for it, waits
//! for the older one no longer: it ends, and leaves the processor to what is asked for now. A browser that goes away is
//! not noticed; then the round that it asked for is the last one.

use std::collections::HashMap;
use std::sync::atomic::{AtomicBool, Ordering};
use std::sync::{Arc, Mutex, PoisonError};

use uuid::Uuid;

/// The searches that go on, one for each curriculum.
#[derive(Default)]
pub struct Searches(Mutex<HashMap<Uuid, Search>>);

/// One of them.
#[derive(Clone, Default)]
pub struct Search(Arc<AtomicBool>);

impl Searches {
    /// Begins one; the older one of the same curriculum ends.
    pub fn begin(&self, curriculum: Uuid) -> Search {
        self.end(curriculum);
        let search = Search::default();
        self.0.lock().unwrap_or_else(PoisonError::into_inner).insert(curriculum, search.clone());
        search
    }

    /// Ends the one of a curriculum, if there is one.
    pub fn end(&self, curriculum: Uuid) {
        if let Some(older) = self.0.lock().unwrap_or_else(PoisonError::into_inner).remove(&curriculum) {
            older.0.store(true, Ordering::Relaxed);
        }
    }
}

impl Search {
    /// Whether somebody still waits for it.
    pub fn is_wanted(&self) -> bool {
        !self.0.load(Ordering::Relaxed)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_search_ends_with_the_next_one_and_with_every_change_of_its_own_curriculum() {
        let (searches, [one, other]) = (Searches::default(), [1, 2].map(Uuid::from_u128));
        let (first, beside) = (searches.begin(one), searches.begin(other));
        let second = searches.begin(one);
        assert_eq!([&first, &second, &beside].map(Search::is_wanted), [false, true, true]);
        searches.end(one);
        searches.end(one);
        assert_eq!([&second, &beside].map(Search::is_wanted), [false, true]);
    }
}
