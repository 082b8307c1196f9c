//! What is asked of tests and of their standards.

use std::collections::BTreeMap;

use super::alike::alike;
use super::{Finding, LibraryFound, Piece, Whole};
use crate::academy::band::Band;
use crate::assessment::benchmarks::{Protocol, Summary, Test};
use crate::assessment::levels::Thresholds;
use crate::assessment::standards::Standard;
use crate::assessment::standards::suggest::findings;
use crate::drill::Drill;
use crate::ground::layout::{Layout, PathKind};
use crate::technique::skill::Gate;
use crate::units::{Pace, Seconds};

pub(super) fn lint(library: &Whole<'_>) -> Vec<Finding> {
    let names =
        library.tests.iter().map(|test| (piece(test), test.name.as_str(), "/name", test.name.as_str()));
    let own = library.tests.iter().flat_map(|test| {
        let found = [said_numbers(test), points(test, library), not_asked(test, library)];
        found.into_iter().flatten().map(|(pointer, says)| Finding::new(piece(test), pointer, says))
    });
    own.chain(alike(names)).chain(thresholds(library)).chain(too_quick(library)).collect()
}

fn piece(test: &Test) -> Piece {
    Piece::Test(test.id.clone())
}

type Found = Vec<(String, LibraryFound)>;

/// Numbers that are said as words.
const NUMBERS: [&str; 13] = [
    "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve",
];

fn number(word: &str) -> Option<u32> {
    word.parse().ok().or_else(|| NUMBERS.iter().position(|known| *known == word).map(|at| at as u32))
}

/// What name and instruction say of seconds, trials and tries, beside what the test takes. Reads English: the language
/// in which a library is written down.
fn said_numbers(test: &Test) -> Found {
    let mut found = Found::new();
    for (pointer, text) in [("/name", &test.name), ("/how", &test.how)] {
        let text = text.to_lowercase();
        let words: Vec<&str> =
            text.split(|c: char| !c.is_alphanumeric()).filter(|word| !word.is_empty()).collect();
        for (i, word) in words.iter().enumerate() {
            let Some(says_number) = number(word) else { continue };
            let before = |n: usize| i.checked_sub(n).map_or("", |at| words[at]);
            let after = words.get(i + 1).copied().unwrap_or_default();
            let counted = match (before(2), before(1), after) {
                (_, _, "s" | "seconds") if matches!(before(1), "in" | "for" | "of") => Counted::Seconds,
                ("best" | "better", "of", _) => Counted::Trials,
                ("mean", "of", _) => Counted::Services,
                ("hits", "of", _) | (_, _, "tries" | "services" | "balls") => Counted::Tries,
                _ => continue,
            };
            if let Some(has) = counted.taken_by(test).filter(|has| *has != says_number) {
                let says = words[i.saturating_sub(2)..(i + 2).min(words.len())].join(" ");
                found.push((pointer.into(), LibraryFound::SaysOther { says, says_number, has }));
            }
        }
    }
    found
}

/// What the words of a test count.
#[derive(Clone, Copy)]
enum Counted {
    Seconds,
    Trials,
    Services,
    Tries,
}

impl Counted {
    /// How many of them a test takes; `None` where its words mean something else.
    fn taken_by(self, test: &Test) -> Option<u32> {
        match (self, &test.protocol) {
            (Counted::Seconds, Protocol::Count { seconds }) => Some(*seconds),
            (Counted::Trials, _) => (test.summary == Summary::Best).then_some(test.trials),
            (Counted::Services | Counted::Tries, Protocol::Bounces { services, .. }) => Some(*services),
            (Counted::Tries, Protocol::Hits { of }) => Some(*of),
            (Counted::Tries, Protocol::Distance { .. }) => Some(test.trials),
            _ => None,
        }
    }
}

/// The points that are looked at are those that the drill trains, in its words.
fn points(test: &Test, library: &Whole<'_>) -> Found {
    let Protocol::Points { points } = &test.protocol else { return Found::new() };
    let linked = library.drills.iter().filter(|drill| drill.test.as_ref() == Some(&test.id));
    let other = linked.flat_map(|drill| {
        points.iter().enumerate().filter(|(_, point)| !drill.points.contains(point)).map(|(i, point)| {
            let says = LibraryFound::OtherPoints { drill: drill.title.clone(), point: point.clone() };
            (format!("/protocol/points/{i}"), says)
        })
    });
    other.collect()
}

/// A test that nothing asks for measures for nothing: no milestone, no gate of a skill, no drill and no challenge.
fn not_asked(test: &Test, library: &Whole<'_>) -> Found {
    let by_milestone = library.milestones.iter().any(|milestone| milestone.evidence.rests_on(&test.id));
    let by_gate =
        library.skills.iter().any(|skill| skill.gate.as_ref().and_then(Gate::test) == Some(&test.id));
    let challenges = |drill: &Drill| {
        drill.series.as_ref().and_then(|series| series.challenge.as_ref()?.test.as_ref()) == Some(&test.id)
    };
    let by_drill =
        library.drills.iter().any(|drill| drill.test.as_ref() == Some(&test.id) || challenges(drill));
    let says = LibraryFound::NotAsked { test: test.name.clone() };
    if by_milestone || by_gate || by_drill { Found::new() } else { vec![(String::new(), says)] }
}

/// The latest standard of each test and band, with its place.
fn latest<'l>(library: &Whole<'l>) -> BTreeMap<(&'l str, &'l str), (usize, &'l Standard)> {
    let mut latest: BTreeMap<_, (usize, &Standard)> = BTreeMap::new();
    for (i, standard) in library.standards.iter().enumerate() {
        let key = (standard.test.as_str(), standard.band.as_str());
        if latest.get(&key).is_none_or(|(_, known)| known.from < standard.from) {
            latest.insert(key, (i, standard));
        }
    }
    latest
}

/// Thresholds that fall with age, that meet, or that ask for a beat which no child keeps up.
fn thresholds(library: &Whole<'_>) -> Vec<Finding> {
    let latest = latest(library);
    let mut bands: Vec<&Band> = library.bands.iter().collect();
    bands.sort_by_key(|band| band.youngest);
    let mut found = Vec::new();
    for test in library.tests {
        let known: Vec<(&Band, Thresholds)> = bands
            .iter()
            .filter_map(|band| Some((*band, latest.get(&(test.id.as_str(), band.id.as_str()))?.1.thresholds)))
            .collect();
        let named: Vec<_> = known.iter().map(|(band, lines)| (band.name.clone(), *lines)).collect();
        let fast = known.iter().filter_map(|(band, lines)| test.too_fast(band, lines, library.skills));
        let says = findings(test.protocol.better(), &named).into_iter().chain(fast);
        found.extend(says.map(|says| Finding { of: piece(test), pointer: String::new(), says: says.into() }));
    }
    found
}

/// Nobody dribbles faster than they run without the ball, and no pass is twice as fast as a firm one.
fn too_quick(library: &Whole<'_>) -> Vec<Finding> {
    let mut found = Vec::new();
    for ((test, band), (at, standard)) in latest(library) {
        let Some(test) = library.tests.iter().find(|known| known.id == *test) else { continue };
        let Some(band) = library.bands.iter().find(|known| known.id == *band) else { continue };
        let Some(way) = Way::of(test) else { continue };
        let most = match way.kind {
            PathKind::Dribble | PathKind::Run => band.speeds.along(PathKind::Run),
            PathKind::Pass | PathKind::Serve => 2.0 * band.speeds.along(way.kind),
        };
        found.extend(standard.thresholds.lines().into_iter().filter_map(|(level, value)| {
            let speed = way.speed(value);
            let says = LibraryFound::TooQuick { band: band.name.clone(), level, speed: round(speed), most };
            (speed > most)
                .then(|| Finding::new(Piece::Standard(at), format!("/thresholds/{}", level.word()), says))
        }));
    }
    found
}

fn round(speed: f64) -> f64 {
    (speed * 100.0).round() / 100.0
}

/// The way of a test: how far, in how long.
struct Way {
    kind: PathKind,
    metres: f64,
    /// The time of a count; a course is its own time.
    within: Option<Seconds>,
}

impl Way {
    fn of(test: &Test) -> Option<Way> {
        let layout = Layout::read(&test.layout, Pace::default()).ok()?;
        let path = layout.paths.first()?;
        let within = match test.protocol {
            Protocol::Count { seconds } => Some(Seconds(f64::from(seconds))),
            Protocol::Course { .. } => None,
            _ => return None,
        };
        // A count of touches on the way says nothing of the way.
        if within.is_some() && test.score.is_some() {
            return None;
        }
        Some(Way { kind: path.kind, metres: path.measure().length.0, within })
    }

    fn speed(&self, value: f64) -> f64 {
        match self.within {
            Some(within) => value * self.metres / within.0,
            None if value > 0.0 => self.metres / value,
            None => f64::INFINITY,
        }
    }
}
