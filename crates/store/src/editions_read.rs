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

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use super::*;

    /// The smallest edition there is; what stands in it is of no matter here.
    fn edition() -> Arc<Edition> {
        let bands: Vec<serde_json::Value> =
            serde_json::from_str(include_str!("../../../demo/bands.json")).unwrap();
        let whole = serde_json::json!({
            "curriculum": serde_json::from_str::<serde_json::Value>(
                include_str!("../../../demo/templates/u6-u7-winter.json")).unwrap(),
            "band": bands[0], "skills": [], "drills": [], "plan": {"sessions": []},
        });
        Arc::new(serde_json::from_value(whole).unwrap())
    }

    #[test]
    fn the_one_that_was_not_asked_for_longest_goes_first() {
        let (read, edition) = (EditionsRead::default(), edition());
        let id = |n: usize| Uuid::from_u128(n as u128);
        (0..MOST).for_each(|n| read.keep(id(n), &edition));
        assert!(read.get(&id(0)).is_some(), "asked for now, though it came first");
        read.keep(id(MOST), &edition);
        let there: Vec<usize> = (0..=MOST).filter(|n| read.get(&id(*n)).is_some()).collect();
        assert_eq!(there, (0..=MOST).filter(|n| *n != 1).collect::<Vec<_>>());
        assert!(Arc::ptr_eq(&read.get(&id(0)).unwrap(), &edition), "it is not read again");
    }
}
