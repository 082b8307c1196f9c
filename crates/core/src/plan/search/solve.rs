//! Solves a problem: lays the blocks.
//!
//! A constructive pass lays a first plan; then the search changes it, session by session, and keeps what serves. It is
//! simulated annealing (Kirkpatrick, Gelatt and Vecchi, 1983) over large neighbourhoods: blocks are exchanged, moved,
//! shortened, put in and taken out, and a change that makes the plan worse by Δ is kept with probability exp(−Δ ÷
//! temperature), less and less as the temperature falls. A breach of a hard rule counts like this many points on the
//! way; only legal plans are ever kept as the best. Two such searches run side by side, and the better plan is taken.
//! Same problem, same seed, same number of steps: same plan, however many processors there are.

use crate::plan::score::score;
use crate::plan::search::anneal::Search;
use crate::plan::search::cooling::{
    AGAIN, FAR, FEW_SESSIONS, FROM_NOTHING, NEAR, NEAR_THEN_FAR, SMALL, best_of, within,
};
pub use crate::plan::search::cooling::{Progress, STEPS_NEAR};
use crate::plan::search::table::Table;
use crate::plan::{Clash, Plan, Problem, Score, check, clash};

/// How many steps each search of a solve takes, unless it is told otherwise: about a second on one of today's
/// processors, for a step takes about 2.7 µs, and 0.03 µs more for each session. (Measured with `planner_gap`.)
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::search::solve::usual_steps;
/// let of = |weeks, sessions| usual_steps(&example(ExampleSize { weeks, sessions, skills: 8, variants: 30 }, 1));
/// assert_eq!((of(4, 2), of(12, 3)), (340_136, 264_550));
/// ```
pub fn usual_steps(problem: &Problem) -> u64 {
    1_000_000_000 / (2_700 + 30 * problem.sessions.len() as u64)
}

/// A plan with its score, and the wishes that cannot hold together, if some do.
#[derive(Clone, Debug, PartialEq)]
pub struct Solved {
    /// The best legal plan that was found.
    pub plan: Plan,
    /// Its score.
    pub score: Score,
    /// Why not everything is reached, where that can be proved.
    pub clash: Option<Clash>,
    /// Steps that each search took.
    pub steps: u64,
}

impl Solved {
    /// Whether its plan should take the place of another one: that breaks a rule, or has more points.
    ///
    /// ```
    /// use jogo_core::plan::problem::example::{ExampleSize, example};
    /// use jogo_core::plan::{Plan, solve};
    /// let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 4, variants: 12 }, 1);
    /// let solved = solve(&problem, 1, 2_000).unwrap();
    /// assert!(solved.beats(&problem, &Plan { sessions: vec![vec![]; 4] }));
    /// assert!(!solved.beats(&problem, &solved.plan));
    /// ```
    pub fn beats(&self, problem: &Problem, there: &Plan) -> bool {
        !check(problem, there).is_empty() || self.score.total < score(problem, there).total - 1e-9
    }
}

/// The best plan found in this many steps. Errs if no legal plan was found, naming the wishes that forbid one if that
/// can be told.
pub fn solve(problem: &Problem, seed: u64, steps: u64) -> Result<Solved, Box<Clash>> {
    solve_while(problem, seed, None, &mut within(steps))
}

/// Replans after an edit, staying near a plan: every block that leaves its session costs a point, and far more
/// once a tenth of them have.
pub fn solve_near(problem: &Problem, near: &Plan, seed: u64, steps: u64) -> Result<Solved, Box<Clash>> {
    solve_while(problem, seed, Some(near), &mut within(steps))
}

/// The same as [`solve`] and [`solve_near`], for as long as somebody wants: `done` is asked now and then how much of
/// the search is over, from 0 to 1, and ends it with 1. A first legal plan is there whenever it is ended.
pub fn solve_while(
    problem: &Problem,
    seed: u64,
    near: Option<&Plan>,
    done: &mut dyn FnMut(Progress) -> f64,
) -> Result<Solved, Box<Clash>> {
    let table = Table::of(problem);
    let clash = clash(problem);
    let cooling = match near {
        Some(_) => (&NEAR, &NEAR_THEN_FAR[..]),
        None if table.sessions.len() <= FEW_SESSIONS => (&SMALL, &FROM_NOTHING[..]),
        None => (&FAR, &FROM_NOTHING[..]),
    };
    let begin = |chain: u64| Search::begin(&table, seed.wrapping_add(chain << 32), near, 0);
    let (sessions, steps) = best_of(&begin, cooling, done);
    let Some(sessions) = sessions else {
        if let Some(near) = near {
            // Near an edited plan there is none: then one from nothing.
            let solved = solve(problem, seed, STEPS_NEAR)?;
            return Ok(Solved { plan: solved.plan.continuing(near), ..solved });
        }
        return Err(Box::new(crate::plan::rules::clash::of_locks(problem)));
    };
    let plan = table.plan(&sessions);
    let plan = if let Some(near) = near { plan.continuing(near) } else { plan };
    Ok(Solved { score: score(problem, &plan), plan, clash, steps })
}

/// Looks for a better plan than one that is there, from that plan on: each block keeps its name where it stays in its
/// session. Absent where none was found that breaks no rule and has a lower score. The same seed finds the same plan.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{improve, solve};
/// let problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 10, variants: 50 }, 1);
/// let first = solve(&problem, 1, 2_000).unwrap();
/// let better = improve(&problem, &first.plan, 1, 20_000).unwrap();
/// assert!(better.score.total < first.score.total);
/// ```
pub fn improve(problem: &Problem, plan: &Plan, seed: u64, steps: u64) -> Option<Solved> {
    improve_while(problem, plan, seed, steps, &|| true)
}

/// The same as [`improve`], for as long as somebody waits for it: `wanted` is asked now and then, and ends the search
/// with no.
pub fn improve_while(
    problem: &Problem,
    plan: &Plan,
    seed: u64,
    steps: u64,
    wanted: &dyn Fn() -> bool,
) -> Option<Solved> {
    let table = Table::of(problem);
    let begin = |chain: u64| Search::from_plan(&table, seed.wrapping_add(chain << 32), plan);
    let mut done = within(steps);
    let mut done = |standing| if wanted() { done(standing) } else { 1.0 };
    let (sessions, steps) = best_of(&begin, (&AGAIN, &[]), &mut done);
    let found = table.plan(&sessions?).continuing(plan);
    let (before, after) = (score(problem, plan), score(problem, &found));
    let legal = check(problem, &found).is_empty();
    let better = after.total < before.total - 1e-9 || !check(problem, plan).is_empty();
    (legal && better).then_some(Solved { score: after, plan: found, clash: None, steps })
}

/// Replans from a session on, staying near a plan. The sessions before it have been, and stay as they are, whatever
/// rules they broke; if what is left cannot be laid without a breach, the plan with the fewest is the answer.
pub fn solve_rest(problem: &Problem, near: &Plan, from: usize, seed: u64, steps: u64) -> Plan {
    let table = Table::of(problem);
    let from = from.min(table.sessions.len());
    let begin = |chain: u64| Search::begin(&table, seed.wrapping_add(chain << 32), Some(near), from);
    let (sessions, _) = best_of(&begin, (&NEAR, &NEAR_THEN_FAR), &mut within(steps));
    let rest = table.plan(&sessions.unwrap_or_else(|| table.places(near)));
    let been = near.sessions.iter().take(from).cloned();
    Plan { sessions: been.chain(rest.sessions.into_iter().skip(from)).collect() }.continuing(near)
}
