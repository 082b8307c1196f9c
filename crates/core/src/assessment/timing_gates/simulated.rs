//! A simulated pair of gates: runs of seeded players, with the faults that real gates have.
//!
//! ```
//! use jogo_core::assessment::timing_gates::simulated::{Faults, lines};
//! use jogo_core::assessment::timing_gates::Gates;
//! let mut gates = Gates::default();
//! lines(3, 7, Faults::default()).into_iter().for_each(|line| gates.take(line.event));
//! assert_eq!(gates.runs(5.0, 90.0).len(), 3);
//! ```

use std::str::FromStr;

use super::{Event, Kind};
use crate::fact::facts;
use crate::statistics::chance::Chance;

/// What may go wrong with a line.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct Faults {
    /// Comes after the next ones.
    pub late: bool,
    /// Comes twice.
    pub doubled: bool,
    /// Changes places with the one after it.
    pub out_of_order: bool,
    /// Does not come.
    pub missing: bool,
    /// The first beam is broken twice.
    pub bounced: bool,
}

facts! {
    /// A name that is no fault of gates.
    pub enum NoSuchFault {
        Called = "gates-no-such-fault" { name: String },
    }
}

impl std::error::Error for NoSuchFault {}

impl FromStr for Faults {
    type Err = NoSuchFault;

    /// Reads names of faults with commas between them; `none` and `all` name none and all of them.
    fn from_str(text: &str) -> Result<Faults, NoSuchFault> {
        let mut faults = Faults::default();
        for name in text.split(',').map(str::trim).filter(|name| !name.is_empty() && *name != "none") {
            match name {
                "late" => faults.late = true,
                "doubled" => faults.doubled = true,
                "out-of-order" => faults.out_of_order = true,
                "missing" => faults.missing = true,
                "bounced" => faults.bounced = true,
                "all" => {
                    faults = Faults {
                        late: true,
                        doubled: true,
                        out_of_order: true,
                        missing: true,
                        bounced: true,
                    };
                }
                other => {
                    return Err(NoSuchFault::Called { name: other.to_owned() });
                }
            }
        }
        Ok(faults)
    }
}

/// A line that gates send, and how long they wait before it.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Sent {
    /// Milliseconds after the line before it.
    pub after_ms: u64,
    /// The line.
    pub event: Event,
}

/// How often each fault strikes a line.
const FAULT: f64 = 0.06;

/// All lines of this many runs, in the order in which they are sent.
pub fn lines(players: u32, seed: u64, faults: Faults) -> Vec<Sent> {
    let mut chance = Chance::seeded(seed);
    let mut events = Vec::new();
    let mut clock = 10_000;
    let mut happened = |kind, at: u64| {
        let seq = events.len() as u64 + 1;
        events.push(Event { seq, kind, device_ms: at });
    };
    for _ in 0..players {
        happened(Kind::Arm, clock);
        let start = clock + 3_000;
        happened(Kind::Start, start);
        if faults.bounced && chance.happens(FAULT) {
            happened(Kind::Start, start + 45);
        }
        let time = (17_000.0 + 2_500.0 * chance.normal()).clamp(9_000.0, 40_000.0) as u64;
        happened(Kind::Split, start + time / 2);
        happened(Kind::Stop, start + time);
        clock = start + time + 8_000;
    }
    let mut sent: Vec<Event> = Vec::new();
    let mut held: Option<Event> = None;
    for event in events {
        if faults.missing && chance.happens(FAULT) {
            continue;
        }
        if faults.late && held.is_none() && chance.happens(FAULT) {
            held = Some(event);
            continue;
        }
        sent.push(event);
        if faults.doubled && chance.happens(FAULT) {
            sent.push(event);
        }
        // What is late comes once the run after it is on its way.
        if event.kind == Kind::Split {
            sent.extend(held.take());
        }
        let last = sent.len() - 1;
        if faults.out_of_order && last > 0 && chance.happens(FAULT) {
            sent.swap(last - 1, last);
        }
    }
    sent.extend(held);
    let mut before = sent.first().map_or(0, |event| event.device_ms);
    sent.into_iter()
        .map(|event| {
            let after_ms = event.device_ms.saturating_sub(before);
            before = before.max(event.device_ms);
            Sent { after_ms, event }
        })
        .collect()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::assessment::timing_gates::{Gates, RunOutcome};

    fn outcomes(faults: &str) -> (usize, usize) {
        let mut gates = Gates::default();
        lines(40, 11, faults.parse().unwrap()).into_iter().for_each(|line| gates.take(line.event));
        let runs = gates.runs(5.0, 90.0);
        let good = runs.iter().filter(|run| matches!(run.outcome, RunOutcome::Good { .. })).count();
        let doubtful = runs.iter().filter(|run| matches!(run.outcome, RunOutcome::Doubtful { .. })).count();
        (good, doubtful)
    }

    #[test]
    fn late_doubled_and_turned_lines_cost_nothing() {
        assert_eq!(outcomes("none"), (40, 0));
        assert_eq!(outcomes("late,doubled,out-of-order"), (40, 0));
    }

    #[test]
    fn no_time_of_a_run_with_faults_is_guessed() {
        let mut clean = Gates::default();
        lines(40, 11, Faults::default()).into_iter().for_each(|line| clean.take(line.event));
        let times: Vec<_> = clean.runs(5.0, 90.0).into_iter().map(|run| run.outcome).collect();
        let mut gates = Gates::default();
        // The same players, since what is lost is drawn after all runs.
        lines(40, 11, "missing".parse().unwrap()).into_iter().for_each(|line| gates.take(line.event));
        let runs = gates.runs(5.0, 90.0);
        let good: Vec<_> =
            runs.iter().map(|run| &run.outcome).filter(|o| matches!(o, RunOutcome::Good { .. })).collect();
        assert!(good.len() < 40 && good.iter().all(|outcome| times.contains(outcome)));
        assert!(outcomes("missing").1 > 0);
    }

    #[test]
    fn an_unknown_fault_is_named() {
        let rain = NoSuchFault::Called { name: "rain".into() };
        assert_eq!("late,rain".parse::<Faults>(), Err(rain));
    }
}
