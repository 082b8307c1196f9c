//! Mends: which single edit takes a breach away?
//!
//! Every edit that could help is tried: shorter, elsewhere in the session, another session, another stage or drill, not
//! at all. The one that leaves fewest breaches is named, and among those the one that costs least.

use serde::Serialize;

use crate::fact::{Fact, Quoted, Value, facts};
use crate::plan::edit::{Edit, edit};
use crate::plan::search::ledger::Ledger;
use crate::plan::search::table::Table;
use crate::plan::{Breach, Plan, Problem, Rule, check};
use crate::technique::skill::Stage;
use crate::units::Minutes;

/// An edit that takes a breach away.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Mending {
    /// What to do.
    pub edit: Edit,
    /// The same with titles and days.
    pub says: Fact,
    /// What it costs in points; negative if it makes the plan better.
    pub points: f64,
}

/// The best single edit that takes a breach away and adds none; `None` if none does.
///
/// Some hundred edits are tried for a block, and the cost of each try does not grow with the plan; the twelve
/// best are then checked against all rules, O(blocks × skills) each.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Rule, check, edit, mend, solve};
/// use jogo_core::units::Minutes;
/// let mut problem = example(ExampleSize { weeks: 6, sessions: 2, skills: 10, variants: 40 }, 7);
/// let plan = solve(&problem, 1, 4_000).unwrap().plan;
/// // The hall is there for five minutes less on one day.
/// problem.sessions[3].minutes = Minutes(problem.sessions[3].minutes.0 - 5);
/// let breach = check(&problem, &plan).into_iter().find(|breach| breach.rule == Rule::Time).unwrap();
/// let mending = mend(&problem, &plan, &breach).unwrap();
/// let mended = edit(&problem, &plan, &mending.edit).unwrap();
/// assert!(!check(&problem, &mended.plan).contains(&breach), "{}", mending.says);
/// ```
pub fn mend(problem: &Problem, plan: &Plan, breach: &Breach) -> Option<Mending> {
    let table = Table::of(problem);
    let mut ledger = Ledger::of(&table, table.places(plan), None);
    let (score, before) = (ledger.score(), check(problem, plan).len());
    let mut found: Vec<(i64, f64, Edit, Plan, Vec<crate::plan::Lock>)> = Vec::new();
    for tried in candidates(problem, plan, breach) {
        let Ok(edited) = edit(problem, plan, &tried) else { continue };
        let changed: Vec<usize> = (0..problem.sessions.len())
            .filter(|at| plan.sessions.get(*at) != edited.plan.sessions.get(*at))
            .collect();
        let there: Vec<_> = changed.iter().map(|at| (*at, ledger.session(*at).to_vec())).collect();
        let after = table.places(&edited.plan);
        for at in &changed {
            ledger.replace(*at, &after[*at]);
        }
        found.push((ledger.breaches(), ledger.score(), tried, edited.plan, edited.locks));
        for (at, blocks) in there {
            ledger.replace(at, &blocks);
        }
    }
    found.sort_by(|a, b| a.0.cmp(&b.0).then(a.1.total_cmp(&b.1)));
    found.into_iter().take(12).find_map(|(_, after, tried, mended, locks)| {
        let left = check(&Problem { locks, ..problem.clone() }, &mended);
        let gone = !left.iter().any(|other| {
            (other.rule, other.session, &other.says) == (breach.rule, breach.session, &breach.says)
        });
        (gone && left.len() < before).then(|| Mending {
            says: told(problem, plan, &tried).into(),
            edit: tried,
            points: after - score,
        })
    })
}

fn candidates(problem: &Problem, plan: &Plan, breach: &Breach) -> Vec<Edit> {
    let session = breach.session;
    let Some(blocks) = plan.sessions.get(session) else { return Vec::new() };
    let mut all = Vec::new();
    if breach.rule == Rule::Locks {
        all.extend((0..problem.locks.len()).map(|lock| Edit::Forget { lock }));
    }
    if breach.rule == Rule::Tests {
        let tested = problem.sessions[session].tests.iter().flat_map(|test| &test.skills);
        for skill in tested {
            all.extend((0..session).map(|session| Edit::Show { session, skill: skill.clone() }));
        }
    }
    // A week's breach stands in its last session, and may be mended in any of its others.
    let week = problem.sessions.get(session).map(|s| s.week);
    let of_week = |at: usize| problem.sessions.get(at).map(|s| s.week) == week;
    let sessions: Vec<usize> = match (breach.rule, breach.block) {
        (Rule::Newness | Rule::Safety, None) => (0..plan.sessions.len()).filter(|at| of_week(*at)).collect(),
        _ => vec![session],
    };
    for session in sessions {
        let there = &plan.sessions[session];
        let of: Vec<usize> = match breach.block {
            Some(block) if block < blocks.len() && breach.rule != Rule::Order => vec![block],
            _ => (0..there.len()).collect(),
        };
        for block in of {
            all.push(Edit::Remove { session, block });
            let laid = &there[block];
            let Some(variant) = problem.variant(&laid.variant) else { continue };
            let shorter = (variant.least.0..=variant.most.0).filter(|minutes| *minutes != laid.minutes.0);
            all.extend(shorter.map(|minutes| Edit::Minutes { session, block, minutes: Minutes(minutes) }));
            all.extend((0..there.len()).filter(|at| *at != block).map(|at| Edit::Move {
                session,
                block,
                to: session,
                at: Some(at),
            }));
            for to in (0..problem.sessions.len()).filter(|to| *to != session) {
                let last = plan.sessions.get(to).map_or(0, Vec::len);
                all.extend([0, last / 2, last].map(|at| Edit::Move { session, block, to, at: Some(at) }));
            }
            all.extend(
                Stage::ALL.into_iter().filter(|stage| *stage != variant.stage).map(|stage| Edit::Stage {
                    session,
                    block,
                    stage,
                }),
            );
            let others = problem.variants.iter().filter(|other| {
                other.id != variant.id
                    && other.stage == variant.stage
                    && other.barred.is_none()
                    && other.skills.iter().any(|skill| variant.skills.contains(skill))
            });
            all.extend(others.map(|other| Edit::Replace { session, block, variant: other.id.clone() }));
            if laid.beside.is_some() {
                all.push(Edit::Split { session, block, beside: None });
            }
        }
    }
    all
}

facts! {
    /// An edit, told with titles and days.
    pub enum Doing {
        Minutes = "do-minutes" { block: Value, minutes: Minutes },
        Stage = "do-stage" { block: Value, stage: Stage },
        Replace = "do-replace" { block: Value, other: String },
        Remove = "do-remove" { block: Value },
        Show = "do-show" { skill: Value, date: Value },
        Place = "do-place" { block: Value, place: usize },
        Move = "do-move" { block: Value, date: Value },
        Whole = "do-whole" { block: Value },
        Beside = "do-beside" { block: Value, other: String },
        Lock = "do-lock" { block: Value },
        Unlock = "do-unlock" { block: Value },
        Forget = "do-forget" { title: String },
    }

    /// A block that is not there any more.
    pub enum NoBlock {
        There = "do-no-block",
    }
}

/// An edit with the titles and days that it is about.
pub fn told(problem: &Problem, plan: &Plan, edit: &Edit) -> Doing {
    let day = |session: usize| problem.sessions.get(session).map_or(NoBlock::There.into(), |s| s.date.into());
    let block = |session: &usize, block: &usize| -> Value {
        let laid = plan.sessions.get(*session).and_then(|blocks| blocks.get(*block));
        let variant = laid.and_then(|laid| problem.variant(&laid.variant));
        match (variant, laid) {
            (Some(variant), _) => variant.id.titled(&variant.title),
            (None, Some(laid)) => Quoted::Name { name: laid.variant.to_string() }.into(),
            (None, None) => NoBlock::There.into(),
        }
    };
    let title = |variant| problem.title(variant).to_owned();
    match edit {
        Edit::Minutes { session, block: at, minutes } => {
            Doing::Minutes { block: block(session, at), minutes: *minutes }
        }
        Edit::Stage { session, block: at, stage } => {
            Doing::Stage { block: block(session, at), stage: *stage }
        }
        Edit::Replace { session, block: at, variant } => {
            Doing::Replace { block: block(session, at), other: title(variant) }
        }
        Edit::Remove { session, block: at } => Doing::Remove { block: block(session, at) },
        Edit::Show { session, skill } => Doing::Show { skill: problem.name(skill), date: day(*session) },
        Edit::Move { session, block: at, to, at: place } if to == session => {
            Doing::Place { block: block(session, at), place: place.map_or(1, |place| place + 1) }
        }
        Edit::Move { session, block: at, to, .. } => {
            Doing::Move { block: block(session, at), date: day(*to) }
        }
        Edit::Split { session, block: at, beside: None } => Doing::Whole { block: block(session, at) },
        Edit::Split { session, block: at, beside: Some(beside) } => {
            Doing::Beside { block: block(session, at), other: title(beside) }
        }
        Edit::Lock { session, block: at } => Doing::Lock { block: block(session, at) },
        Edit::Unlock { session, block: at } => Doing::Unlock { block: block(session, at) },
        Edit::Forget { lock } => {
            let lock = problem.locks.get(*lock);
            Doing::Forget { title: lock.map_or(String::new(), |lock| title(&lock.block.variant)) }
        }
    }
}
