//! Cooling: how warm a search begins, how it cools, and what is tried where it finds no legal plan.

use std::panic::resume_unwind;

use crate::plan::Problem;
use crate::plan::part::LAYING_OUT;
use crate::plan::search::anneal::{Best, Search};
use crate::plan::search::table::{BlockRow, Table};

/// How many steps it takes to replan after one edit.
pub const STEPS_NEAR: u64 = 30_000;
/// How many searches run side by side.
const CHAINS: u64 = 2;

/// How a search cools: each from the beginning to the end, in points.
#[derive(Clone, Copy)]
pub(in crate::plan) struct Cooling {
    /// How much worse a change may be.
    temperature: [f64; 2],
    /// What a breach counts: first the search may pass through plans that break rules, in the end no breach may be
    /// worth its while.
    breach: [f64; 2],
    /// What a minute of laying out counts beside its points in the beginning; less and less, and nothing in the end.
    laying_out: f64,
}

/// From nothing. Warmer, or with cheaper breaches, a large plan freezes with breaches in it; and it has to become this
/// cold, for what is left in the end are tenths of points. Laying out is most of those, each minute so cheap that it is
/// felt only when all else has frozen: so it is dearer at first.
pub(in crate::plan) const FAR: Cooling =
    Cooling { temperature: [2.3, 0.035], breach: [40.0, 80.0], laying_out: 2.0 * LAYING_OUT };
/// From nothing, where there are few sessions: there is time to try very different plans.
pub(in crate::plan) const SMALL: Cooling =
    Cooling { temperature: [3.0, 0.035], breach: [12.0, 60.0], laying_out: 0.0 };
/// From a plan that is good already: warm enough to leave what it was laid around, not so warm that all is lost.
pub(in crate::plan) const AGAIN: Cooling =
    Cooling { temperature: [0.8, 0.035], breach: [40.0, 80.0], laying_out: 0.0 };
pub(in crate::plan) const FEW_SESSIONS: usize = 6;
/// Near an existing plan: what breaks a rule is mended at once, and little else moves.
pub(in crate::plan) const NEAR: Cooling =
    Cooling { temperature: [0.3, 0.05], breach: [40.0, 60.0], laying_out: 0.0 };

/// How a legal plan is looked for where none was found yet.
#[derive(Clone, Copy)]
pub(in crate::plan) struct Repair {
    cooling: Cooling,
    /// What a point of the score counts meanwhile.
    points: f64,
}

/// Breaches matter most.
pub(in crate::plan) const FROM_NOTHING: [Repair; 1] = [Repair {
    cooling: Cooling { temperature: [1.5, 0.3], breach: [1.0, 4.0], laying_out: 0.0 },
    points: 0.1,
}];
/// Near a plan it still matters how much moves, until that leads nowhere.
pub(in crate::plan) const NEAR_THEN_FAR: [Repair; 2] = [
    Repair {
        cooling: Cooling { temperature: [3.0, 0.3], breach: [30.0, 80.0], laying_out: 0.0 },
        points: 1.0,
    },
    FROM_NOTHING[0],
];
/// How often that is tried, and with how many steps each time, before no plan is taken to be possible.
const REPAIRS: u64 = 12;
const STEPS_OF_REPAIR: u64 = 6_000;
/// How often the search says how it stands.
const SAYS: u64 = 256;

/// How a search stands.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Progress {
    /// Steps taken.
    pub steps: u64,
    /// The best score so far; `None` if no legal plan was found yet.
    pub best: Option<f64>,
}

/// A part of the way from one number to another, in equal ratios.
fn between([from, to]: [f64; 2], part: f64) -> f64 {
    from * (to / from).powf(part.clamp(0.0, 1.0))
}

pub(in crate::plan) fn within(steps: u64) -> impl FnMut(Progress) -> f64 {
    move |standing| if standing.steps < steps { standing.steps as f64 / steps as f64 } else { 1.0 }
}

/// Several searches side by side, each on a thread of its own: the best that one of them finds, and after how many
/// steps of each. `done` is asked by the first; the others cool as it does, step for step, so that what they find does
/// not rest on how fast the threads are.
pub(in crate::plan) fn best_of<'t>(
    begin: &(dyn Fn(u64) -> Search<'t> + Sync),
    (cooling, repairs): (&Cooling, &[Repair]),
    done: &mut dyn FnMut(Progress) -> f64,
) -> (Option<Vec<Vec<BlockRow>>>, u64) {
    std::thread::scope(|scope| {
        let (mut tell, mut others) = (Vec::new(), Vec::new());
        for chain in 1..CHAINS {
            let (teller, told) = std::sync::mpsc::channel();
            tell.push(teller);
            let mut follow = move |_| told.recv().unwrap_or(1.0);
            others.push(scope.spawn(move || searched(begin(chain), (cooling, repairs), &mut follow).0));
        }
        let mut lead = |standing: Progress| {
            let over = done(standing);
            // One that has nothing to lay does not listen.
            tell.iter().for_each(|teller| _ = teller.send(over));
            over
        };
        let (first, steps) = searched(begin(0), (cooling, repairs), &mut lead);
        // Whoever listens still hears that it is over.
        tell.clear();
        let others =
            others.into_iter().map(|other| other.join().unwrap_or_else(|panic| resume_unwind(panic)));
        let better = |best: Option<Best>, next: Option<Best>| match (best, next) {
            (Some(best), Some(next)) => Some(if next.rank() < best.rank() { next } else { best }),
            (best, next) => best.or(next),
        };
        (others.fold(first, better).map(|best| best.sessions), steps)
    })
}

/// Searches for as long as somebody wants: what was found, and after how many steps.
fn searched(
    mut search: Search<'_>,
    (cooling, repairs): (&Cooling, &[Repair]),
    done: &mut dyn FnMut(Progress) -> f64,
) -> (Option<Best>, u64) {
    let steps = cooled(&mut search, cooling, done);
    if search.legal().is_none() {
        repair(&mut search, repairs);
        // A repair cares little for the rest.
        cooled(&mut search, &NEAR, &mut within(STEPS_NEAR));
    }
    (search.found(), steps)
}

/// Searches while it cools; says after how many steps it ended.
fn cooled(search: &mut Search<'_>, cooling: &Cooling, done: &mut dyn FnMut(Progress) -> f64) -> u64 {
    let mut standing = Progress { steps: 0, best: search.legal() };
    // Nothing can be laid where nothing stands.
    while !search.is_idle() {
        let over = done(standing).max(0.0);
        if over >= 1.0 {
            break;
        }
        search.weigh(1.0, between(cooling.breach, over), cooling.laying_out * (1.0 - over));
        let temperature = between(cooling.temperature, over);
        for _ in 0..SAYS {
            search.step(temperature);
        }
        standing.steps += SAYS;
        standing.best = search.legal();
    }
    standing.steps
}

/// Whether a legal plan is found soon.
pub(in crate::plan) fn finds_a_plan(problem: &Problem) -> bool {
    let table = Table::of(problem);
    if let Some(known) = crate::plan::rules::prove::reachable(&table, &[]) {
        return known;
    }
    let mut search = Search::begin(&table, 1, None, 0);
    repair(&mut search, &FROM_NOTHING);
    search.legal().is_some()
}

/// Looks for a legal plan where none was found yet: again and again warm, with breaches that weigh more and more.
fn repair(search: &mut Search<'_>, repairs: &[Repair]) {
    for Repair { cooling, points } in repairs {
        for attempt in 0..REPAIRS * STEPS_OF_REPAIR {
            if search.legal().is_some() || search.is_idle() {
                return;
            }
            let part = (attempt % STEPS_OF_REPAIR) as f64 / STEPS_OF_REPAIR as f64;
            if attempt % SAYS == 0 {
                search.weigh(*points, between(cooling.breach, part), cooling.laying_out * (1.0 - part));
            }
            search.step(between(cooling.temperature, part));
        }
    }
}
