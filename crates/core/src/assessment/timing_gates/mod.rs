//! Timing gates: which runs did a pair of gates see, and which of them can be trusted?
//!
//! Gates say one line for everything that happens to them: `arm`, `start`, `split`, `stop`, each with a number that
//! rises by one and with the time of their own clock in milliseconds. Lines may come late, twice, in another order,
//! or not at all. They are put in the order of their numbers; a run reaches from an `arm` (or whatever comes first
//! after a `stop`) to its `stop`. A run in which anything is missing, doubled or impossible is *doubtful*: it is
//! shown with the reason and has no time. Nothing is guessed; a line that comes after all may still clear the doubt.
//!
//! ```
//! use jogo_core::assessment::timing_gates::{Gates, RunOutcome};
//! let mut gates = Gates::default();
//! // The start comes last.
//! for line in [
//!     r#"{"seq": 1, "kind": "arm", "device_ms": 1000}"#,
//!     r#"{"seq": 3, "kind": "stop", "device_ms": 21420}"#,
//!     r#"{"seq": 2, "kind": "start", "device_ms": 4000}"#,
//! ] {
//!     gates.take(serde_json::from_str(line).unwrap());
//! }
//! assert_eq!(gates.runs(5.0, 90.0)[0].outcome, RunOutcome::Good { seconds: 17.42 });
//! ```

pub mod simulated;

use std::collections::{BTreeMap, BTreeSet};

use serde::{Deserialize, Serialize};

/// Something that happened to a pair of gates.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Event {
    /// Its number: the first is 1, each is one more than the one before.
    pub seq: u64,
    /// What happened.
    pub kind: Kind,
    /// When, by the clock of the gates, in milliseconds from any beginning.
    pub device_ms: u64,
}

/// What can happen to a pair of gates.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
pub enum Kind {
    /// The gates wait for a runner.
    Arm,
    /// The first beam was broken.
    Start,
    /// A beam on the way was broken.
    Split,
    /// The last beam was broken.
    Stop,
}

/// Why a run cannot be trusted.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Doubt {
    /// A line of it has not come.
    LineMissing,
    /// There is no start.
    NoStart,
    /// There is no stop.
    NoStop,
    /// The first beam was broken twice.
    StartedTwice,
    /// One number came with two different lines.
    SaidTwice,
    /// The stop is not later than the start.
    ClockWentBack,
    /// The time cannot be true in this test.
    OutOfRange,
}

/// How a run went.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum RunOutcome {
    /// The runner is on the way, or not yet.
    Running,
    /// Its time.
    Good {
        /// From start to stop, to 0.01 s.
        seconds: f64,
    },
    /// It cannot be trusted.
    Doubtful {
        /// Why.
        doubts: Vec<Doubt>,
    },
}

/// A run.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Run {
    /// The number of its first line: by it a run is known.
    pub first: u64,
    /// How it went.
    pub outcome: RunOutcome,
}

/// Everything that a pair of gates has said.
#[derive(Clone, Debug, Default)]
pub struct Gates {
    events: BTreeMap<u64, Event>,
    /// Numbers that came with two different lines.
    torn: BTreeSet<u64>,
}

/// A pair of gates remembers no more than this many lines.
const MOST_EVENTS: usize = 10_000;

impl Gates {
    /// Takes a line in. The same line may come as often as it likes.
    pub fn take(&mut self, event: Event) {
        match self.events.get(&event.seq) {
            Some(known) if *known != event => drop(self.torn.insert(event.seq)),
            Some(_) => {}
            None => {
                self.events.insert(event.seq, event);
                if self.events.len() > MOST_EVENTS {
                    let forgotten = self.events.pop_first();
                    forgotten.map(|(seq, _)| self.torn.remove(&seq));
                }
            }
        }
    }

    /// The runs so far, in the order in which they were run. A time outside of `least` to `most` seconds is doubtful.
    pub fn runs(&self, least: f64, most: f64) -> Vec<Run> {
        let mut groups: Vec<Vec<Event>> = Vec::new();
        for event in self.events.values() {
            let closed = groups.last().and_then(|run| run.last()).is_none_or(|last| last.kind == Kind::Stop);
            match groups.last_mut() {
                Some(run) if !closed && event.kind != Kind::Arm => run.push(*event),
                _ => groups.push(vec![*event]),
            }
        }
        let last = groups.len().saturating_sub(1);
        let run = |(place, events): (usize, &Vec<Event>)| Run {
            first: events[0].seq,
            outcome: self.outcome(events, place == last, (least, most)),
        };
        groups.iter().enumerate().map(run).collect()
    }

    fn outcome(&self, events: &[Event], is_last: bool, (least, most): (f64, f64)) -> RunOutcome {
        let of_kind = |kind| events.iter().filter(move |event| event.kind == kind);
        let mut doubts = Vec::new();
        let mut doubt = |holds: bool, doubt| holds.then(|| doubts.push(doubt));
        let (first, stops) = (events[0], of_kind(Kind::Stop).count());
        let missing_inside = events.windows(2).any(|pair| pair[1].seq != pair[0].seq + 1);
        // What came before a run that does not begin with its arm may have been lost with it.
        let begun = first.kind == Kind::Arm || (first.seq == 1 && first.kind == Kind::Start);
        let missing_before = !begun && !self.events.contains_key(&(first.seq.wrapping_sub(1)));
        doubt(missing_inside || missing_before, Doubt::LineMissing);
        doubt(of_kind(Kind::Start).count() == 0 && stops > 0, Doubt::NoStart);
        doubt(of_kind(Kind::Start).count() > 1, Doubt::StartedTwice);
        doubt(stops == 0 && !is_last, Doubt::NoStop);
        doubt(events.iter().any(|event| self.torn.contains(&event.seq)), Doubt::SaidTwice);
        let mut seconds = None;
        if let (Some(start), Some(stop)) = (of_kind(Kind::Start).next(), of_kind(Kind::Stop).next()) {
            let back = events.windows(2).any(|pair| pair[1].device_ms < pair[0].device_ms);
            doubt(back || stop.device_ms <= start.device_ms, Doubt::ClockWentBack);
            let time = stop.device_ms.saturating_sub(start.device_ms) as f64 / 1000.0;
            let time = (time * 100.0).round() / 100.0;
            doubt(!(least..=most).contains(&time), Doubt::OutOfRange);
            seconds = Some(time);
        }
        match seconds {
            _ if !doubts.is_empty() => RunOutcome::Doubtful { doubts },
            Some(seconds) => RunOutcome::Good { seconds },
            None => RunOutcome::Running,
        }
    }
}

#[cfg(test)]
mod tests {
    use super::Kind::{Arm, Split, Start, Stop};
    use super::*;
    use proptest::prelude::*;
    use rstest::rstest;

    fn gates(events: &[(u64, Kind, u64)]) -> Gates {
        let mut gates = Gates::default();
        events.iter().for_each(|(seq, kind, device_ms)| {
            gates.take(Event { seq: *seq, kind: *kind, device_ms: *device_ms });
        });
        gates
    }

    #[test]
    fn gates_that_contradict_themselves_take_no_more_room_than_others() {
        let mut contradicting = gates(&[(1, Arm, 0)]);
        (1..50_000).for_each(|ms| contradicting.take(Event { seq: 1, kind: Start, device_ms: ms }));
        assert_eq!((contradicting.events.len(), contradicting.torn.len()), (1, 1));
        for seq in 2..=2 * MOST_EVENTS as u64 {
            contradicting.take(Event { seq, kind: Arm, device_ms: 0 });
            contradicting.take(Event { seq, kind: Arm, device_ms: 1 });
        }
        assert_eq!((contradicting.events.len(), contradicting.torn.len()), (MOST_EVENTS, MOST_EVENTS));
    }

    #[rstest]
    #[case::as_it_should(&[(1, Arm, 0), (2, Start, 1000), (3, Split, 9000), (4, Stop, 18_426)], Ok(17.43))]
    #[case::twice_the_same(&[(1, Arm, 0), (2, Start, 1000), (2, Start, 1000), (3, Stop, 18_000)], Ok(17.0))]
    #[case::stop_before_start(&[(1, Arm, 0), (3, Stop, 18_000), (2, Start, 1000)], Ok(17.0))]
    #[case::no_arm_at_the_beginning(&[(1, Start, 1000), (2, Stop, 18_000)], Ok(17.0))]
    #[case::start_lost(&[(1, Arm, 0), (3, Stop, 18_000)], Err(&[Doubt::LineMissing, Doubt::NoStart][..]))]
    #[case::arm_and_start_lost(&[(3, Stop, 18_000)], Err(&[Doubt::LineMissing, Doubt::NoStart][..]))]
    #[case::split_lost(&[(1, Arm, 0), (2, Start, 1000), (4, Stop, 18_000)], Err(&[Doubt::LineMissing][..]))]
    #[case::stop_lost(&[(1, Arm, 0), (2, Start, 1000), (4, Arm, 20_000)], Err(&[Doubt::NoStop][..]))]
    #[case::beam_broken_twice(
        &[(1, Arm, 0), (2, Start, 1000), (3, Start, 1040), (4, Stop, 18_000)], Err(&[Doubt::StartedTwice][..]),
    )]
    #[case::torn(&[(1, Arm, 0), (2, Start, 1000), (2, Start, 1400), (3, Stop, 18_000)], Err(&[Doubt::SaidTwice][..]))]
    #[case::clock_went_back(
        &[(1, Arm, 0), (2, Start, 30_000), (3, Stop, 18_000)], Err(&[Doubt::ClockWentBack, Doubt::OutOfRange][..]),
    )]
    #[case::too_quick(&[(1, Arm, 0), (2, Start, 1000), (3, Stop, 2000)], Err(&[Doubt::OutOfRange][..]))]
    fn a_run_is_good_or_says_why_not(
        #[case] events: &[(u64, Kind, u64)],
        #[case] says: Result<f64, &[Doubt]>,
    ) {
        let expected = match says {
            Ok(seconds) => RunOutcome::Good { seconds },
            Err(doubts) => RunOutcome::Doubtful { doubts: doubts.to_vec() },
        };
        assert_eq!(gates(events).runs(5.0, 90.0)[0].outcome, expected);
    }

    #[test]
    fn a_run_on_the_way_is_no_doubt_and_a_late_line_clears_one() {
        let mut gates = gates(&[(1, Arm, 0), (2, Start, 1000)]);
        assert_eq!(gates.runs(5.0, 90.0)[0].outcome, RunOutcome::Running);
        gates.take(Event { seq: 4, kind: Stop, device_ms: 18_000 });
        assert!(matches!(gates.runs(5.0, 90.0)[0].outcome, RunOutcome::Doubtful { .. }));
        gates.take(Event { seq: 3, kind: Split, device_ms: 9_000 });
        assert_eq!(gates.runs(5.0, 90.0)[0].outcome, RunOutcome::Good { seconds: 17.0 });
    }

    proptest! {
        #[test]
        fn the_order_of_arrival_changes_nothing(
            kinds in prop::collection::vec(prop::sample::select(vec![Arm, Start, Split, Stop]), 0..24),
            turned in any::<u64>()
        ) {
            let events: Vec<_> = kinds.iter().zip(1..).map(|(kind, seq)| (seq, *kind, seq * 1700)).collect();
            let mut other = events.clone();
            other.rotate_left(turned as usize % events.len().max(1));
            prop_assert_eq!(gates(&events).runs(1.0, 90.0), gates(&other).runs(1.0, 90.0));
        }
    }
}
