//! Pairs of timing gates that are joined to a team for a session.

use std::collections::HashMap;
use std::sync::{Mutex, PoisonError};
use std::time::{Duration, Instant};

use jogo_core::assessment::timing_gates::{Event, Gates, Run};
use uuid::Uuid;

/// A pair is joined for so long.
const EVENING: Duration = Duration::from_secs(12 * 3600);
/// How many pairs a team can have at once; its own oldest goes first, never another team's.
const MOST_OF_TEAM: usize = 4;

/// A pair of gates.
struct Pair {
    team: Uuid,
    /// Who asked for it.
    by: Uuid,
    since: Instant,
    gates: Gates,
    /// Connections that are open.
    connected: u32,
}

/// All pairs, by the code under which they join.
#[derive(Default)]
pub struct Timing(Mutex<HashMap<String, Pair>>);

impl Timing {
    /// Lets a pair join a team under a code that somebody asked for.
    pub fn open(&self, code: &str, team: Uuid, by: Uuid) {
        let mut pairs = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        pairs.retain(|_, pair| pair.since.elapsed() < EVENING);
        let own = |pairs: &HashMap<String, Pair>| pairs.values().filter(|pair| pair.team == team).count();
        while own(&pairs) >= MOST_OF_TEAM {
            let of_team = pairs.iter().filter(|(_, pair)| pair.team == team);
            let oldest = of_team.min_by_key(|(_, pair)| pair.since).map(|(code, _)| code.clone());
            oldest.and_then(|code| pairs.remove(&code));
        }
        let pair = Pair { team, by, since: Instant::now(), gates: Gates::default(), connected: 0 };
        pairs.insert(code.to_owned(), pair);
    }

    /// Ends the pairs that somebody asked for.
    pub fn end(&self, by: Uuid) {
        self.0.lock().unwrap_or_else(PoisonError::into_inner).retain(|_, pair| pair.by != by);
    }

    fn with<T>(&self, code: &str, then: impl FnOnce(&mut Pair) -> T) -> Option<T> {
        let mut pairs = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        pairs.get_mut(code).filter(|pair| pair.since.elapsed() < EVENING).map(then)
    }

    /// Notes that a pair has joined or left; absent if the code is not known.
    pub fn joined(&self, code: &str, there: bool) -> Option<()> {
        self.with(code, |pair| {
            pair.connected = if there { pair.connected + 1 } else { pair.connected.saturating_sub(1) };
        })
    }

    /// Takes a line in.
    pub fn take(&self, code: &str, event: Event) -> Option<()> {
        self.with(code, |pair| pair.gates.take(event))
    }

    /// The runs of a team's pair, and whether it is there.
    pub fn runs(&self, code: &str, team: Uuid, (least, most): (f64, f64)) -> Option<(bool, Vec<Run>)> {
        let found = self.with(code, |pair| {
            (pair.team == team).then(|| (pair.connected > 0, pair.gates.runs(least, most)))
        });
        found.flatten()
    }
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use jogo_core::assessment::timing_gates::{Kind, RunOutcome};

    use super::*;

    #[test]
    fn gates_are_seen_by_their_own_team_alone_and_only_while_they_are_there() {
        let (timing, own, other) = (Timing::default(), Uuid::from_u128(1), Uuid::from_u128(2));
        timing.open("code", own, Uuid::nil());
        assert_eq!(timing.runs("code", own, (5.0, 90.0)), Some((false, Vec::new())));
        assert_eq!(timing.runs("code", other, (5.0, 90.0)), None);
        assert_eq!(timing.joined("nobody", true), None);
        timing.joined("code", true).unwrap();
        for (seq, kind, device_ms) in [(1, Kind::Arm, 0), (2, Kind::Start, 1000), (3, Kind::Stop, 18_000)] {
            timing.take("code", Event { seq, kind, device_ms }).unwrap();
        }
        let (there, runs) = timing.runs("code", own, (5.0, 90.0)).unwrap();
        assert_eq!((there, &runs[0].outcome), (true, &RunOutcome::Good { seconds: 17.0 }));
        timing.joined("code", false).unwrap();
        assert!(!timing.runs("code", own, (5.0, 90.0)).unwrap().0);
    }
}
