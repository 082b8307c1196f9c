//! Published editions, as they were read. An edition never changes once it is published, and is large: hundreds of
//! teams work by one, and each is read once.

use std::collections::HashMap;
use std::sync::{Arc, Mutex, PoisonError};

use jogo_core::delivery::edition::Edition;
use uuid::Uuid;

/// How many are kept; the one that was not asked for longest goes first.
const MOST: usize = 32;

/// The editions that were read last.
#[derive(Debug, Default)]
pub(crate) struct EditionsRead(Mutex<Kept>);

#[derive(Debug, Default)]
struct Kept {
    all: HashMap<Uuid, (u64, Arc<Edition>)>,
    asked: u64,
}

impl EditionsRead {
    /// One of them.
    pub(crate) fn get(&self, id: &Uuid) -> Option<Arc<Edition>> {
        let mut kept = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        kept.asked += 1;
        let now = kept.asked;
        let (asked, edition) = kept.all.get_mut(id)?;
        *asked = now;
        Some(edition.clone())
    }

    /// Keeps one more.
    pub(crate) fn keep(&self, id: Uuid, edition: &Arc<Edition>) {
        let mut kept = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        kept.asked += 1;
        let now = kept.asked;
        kept.all.insert(id, (now, edition.clone()));
        if kept.all.len() > MOST {
            let oldest = kept.all.iter().min_by_key(|(_, (asked, _))| *asked).map(|(id, _)| *id);
            oldest.and_then(|id| kept.all.remove(&id));
        }
    }
}
