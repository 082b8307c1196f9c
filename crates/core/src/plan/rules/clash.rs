//! Clashes: which wishes cannot hold together?
//!
//! A wish is called impossible only where it is proved, for any planner, by a bound or, on small problems, by
//! [`crate::plan::rules::prove`]:
//!
//! - a session shorter than the shortest block;
//! - a share of a strand that no drill serves, or a stage on the way to a goal that no drill reaches;
//! - goals whose longest chain of stages and needs asks for more sessions than there are (H2, H3);
//! - goals with more new skills than the weeks take (H4);
//! - goals whose exposures need more minutes than there are (H1), each exposure counted at the least minutes of the
//!   cheapest variant, shared by all the skills which that variant serves.
//!
//! Of goals that clash, a smallest set is named: take any one of them away, and the proof holds no more. Goals that
//! cannot all be reached forbid no plan: the planner lays what it can, and says so. Locks and tests may forbid every
//! plan; then the smallest set of them is named that does. Where that could not be proved, [`Clash::proved`] says so.

use std::collections::BTreeMap;

use serde::Serialize;

use crate::ids::{SkillId, TestId};
use crate::plan::rules::prove::reachable;
use crate::plan::search::cooling::finds_a_plan;
use crate::plan::search::table::Table;
use crate::plan::{Lock, Problem};
use crate::technique::skill::{Stage, Strand};
use crate::units::Minutes;

/// Wishes that cannot hold together.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Clash {
    /// What clashes.
    pub of: Clashing,
    /// The same, and why, in one sentence.
    pub says: String,
    /// What to relax, any one of them.
    pub relax: Vec<String>,
    /// Whether it is proved that no plan can hold them together; if not, none was found.
    pub proved: bool,
}

/// Which wishes clash.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Clashing {
    /// A session is shorter than the shortest block.
    Session {
        /// Which one, from 0.
        session: usize,
    },
    /// No drill serves a strand that is to have a share.
    Strand {
        /// Which one.
        strand: Strand,
    },
    /// No drill serves a stage on the way to a goal.
    Stage {
        /// The skill.
        skill: SkillId,
        /// The stage.
        stage: Stage,
    },
    /// Goals that cannot all be reached: a smallest set of them.
    Goals {
        /// Their skills.
        skills: Vec<SkillId>,
    },
    /// Locks and tests that leave no plan: a smallest set of them.
    Held {
        /// The locks.
        locks: Vec<Lock>,
        /// The tests.
        tests: Vec<TestTaken>,
    },
}

/// A test in a session.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct TestTaken {
    /// In which session, from 0.
    pub session: usize,
    /// Which test.
    pub test: TestId,
}

/// The first clash among the wishes of a problem, or nothing if none is proved.
///
/// Time: O(skills² × stages) for the bounds. Of goals that clash a smallest set is found by leaving each out in turn;
/// small problems (at most 6 sessions and 14 variants) are looked through exactly, and given up after a fixed number of
/// blocks.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Clashing, clash};
/// use jogo_core::units::Minutes;
/// let mut problem = example(ExampleSize { weeks: 6, sessions: 2, skills: 10, variants: 40 }, 7);
/// assert_eq!(clash(&problem), None);
/// problem.sessions[3].minutes = Minutes(2);
/// let clash = clash(&problem).unwrap();
/// assert_eq!(clash.of, Clashing::Session { session: 3 });
/// assert!(clash.says.starts_with("Session 4 on "), "{}", clash.says);
/// ```
pub fn clash(problem: &Problem) -> Option<Clash> {
    let table = Table::of(problem);
    short_session(problem, &table)
        .or_else(|| unserved_strand(problem, &table))
        .or_else(|| unserved_stage(problem, &table))
        .or_else(|| goals(problem, &table))
}

impl Clashing {
    /// The clash, where it is proved.
    fn proved(self, says: String, relax: Vec<String>) -> Clash {
        Clash { of: self, says, relax, proved: true }
    }
}

fn short_session(problem: &Problem, table: &Table<'_>) -> Option<Clash> {
    let least = table.usable.iter().map(|v| problem.variants[*v].least).min()?;
    let short = |(_, session): &(usize, &crate::plan::SessionWish)| {
        session.for_blocks() < least && (session.tests.is_empty() || session.for_blocks().0 > 0)
    };
    let (session, wish) = problem.sessions.iter().enumerate().find(short)?;
    let has = match wish.tests.is_empty() {
        true => format!("has {}", wish.minutes),
        false => format!("has {} beside its tests", wish.for_blocks()),
    };
    let says = format!(
        "Session {} on {} {has}, and the shortest drill of this curriculum needs {least}.",
        session + 1,
        crate::plan::spoken(wish.date),
    );
    let relax = vec![
        format!("Give the session at least {}", least + (Minutes(wish.minutes.0 - wish.for_blocks().0))),
        "take that session out".into(),
    ];
    Some(Clashing::Session { session }.proved(says, relax))
}

fn unserved_strand(problem: &Problem, table: &Table<'_>) -> Option<Clash> {
    let serves = |strand: &Strand| {
        let share = |v: &usize| table.variants[*v].strands[strand.index()] > 0.0;
        table.usable.iter().any(share)
    };
    let (strand, share) = problem.shares.iter().find(|(strand, share)| share.0 > 0.0 && !serves(strand))?;
    let says = format!(
        "{:.0} % of the time is wished for {strand}, and no drill for these goals that fits this hall, kit and squad has any.",
        share.percent()
    );
    let relax = vec![format!("Set the share of {strand} to 0 %"), format!("add a goal in {strand}")];
    Some(Clashing::Strand { strand: *strand }.proved(says, relax))
}

fn unserved_stage(problem: &Problem, table: &Table<'_>) -> Option<Clash> {
    problem.skills.iter().enumerate().find_map(|(at, skill)| {
        let stage = skill.way().find(|stage| table.serving[at][stage.index()].is_empty())?;
        let says = format!(
            "“{}” is to come to {}, and no drill that fits this hall, kit and squad serves it at {stage}.",
            skill.name, skill.goal
        );
        let mut relax =
            vec!["Plan for a larger floor or more markers".to_owned(), "take the goal out".to_owned()];
        if let Some(before) = stage.before().filter(|b| !skill.has_done(*b)) {
            relax.insert(0, format!("Set the goal to {before}"));
        }
        Some(Clashing::Stage { skill: skill.id.clone(), stage }.proved(says, relax))
    })
}

/// Why goals cannot all be reached.
enum Reason {
    /// They ask for so many sessions one after the other.
    Chain(u32),
    /// They ask for so many new skills, and so many find room.
    Newness(u32, u32),
    /// They ask for so many minutes, and there are so many.
    Minutes(f64, u32),
    /// No plan reaches them: all were looked at.
    Looked,
}

fn goals(problem: &Problem, table: &Table<'_>) -> Option<Clash> {
    let all: Vec<usize> = (0..problem.skills.len()).collect();
    forbidden(table, &all)?;
    let mut set = all;
    // Deletion filter: what can go without lifting the clash is not part of it.
    for goal in set.clone() {
        let without: Vec<usize> = set.iter().copied().filter(|g| *g != goal).collect();
        if forbidden(table, &without).is_some() {
            set = without;
        }
    }
    let reason = forbidden(table, &set)?;
    let named: Vec<String> =
        set.iter().map(|i| &problem.skills[*i]).map(|s| format!("“{}” to {}", s.name, s.goal)).collect();
    let (named, weeks) = (sentence_list(&named), problem.weeks().len());
    let lower = "Lower one of the goals by a stage".to_owned();
    let (says, relax) = match reason {
        Reason::Chain(asked) => (
            format!(
                "{named}: with everything that must come before, that takes at least {asked} sessions one after the other, and there are {}.",
                problem.sessions.len()
            ),
            vec![
                "Lower the goal by a stage".to_owned(),
                "add weeks".to_owned(),
                "say that the squad has come further already".to_owned(),
            ],
        ),
        Reason::Newness(asked, room) => (
            format!(
                "{named}: together that is {asked} skills met for the first time, and {weeks} weeks at {} new skills a week take {room}.",
                problem.new_skills_per_week
            ),
            vec!["Take one of them out".to_owned(), "add a week".to_owned()],
        ),
        Reason::Minutes(asked, there) => (
            format!(
                "{named}: together they need at least {asked:.0} min, and all sessions have {there} min."
            ),
            vec![
                format!("Give the sessions {:.0} min more altogether", (asked - f64::from(there)).max(1.0)),
                lower,
            ],
        ),
        Reason::Looked => (
            format!(
                "{named}: no plan reaches {} in these sessions.",
                if set.len() > 1 { "them together" } else { "it" }
            ),
            vec![lower, "add a session".to_owned(), "give the sessions more minutes".to_owned()],
        ),
    };
    let skills = set.iter().map(|i| problem.skills[*i].id.clone()).collect();
    Some(Clashing::Goals { skills }.proved(says, relax))
}

/// Why a set of goals cannot all be reached, taken on their own with all that they need; nothing if that is not proved.
fn forbidden(table: &Table<'_>, goals: &[usize]) -> Option<Reason> {
    let asked = closure(table, goals);
    let ends = finishes(table);
    let chain = asked.iter().map(|(skill, stage)| ends[*skill][*stage]).max().unwrap_or(0);
    if chain > table.evenings.len() as u32 {
        return Some(Reason::Chain(chain));
    }
    let new = asked.keys().filter(|skill| !table.skills[**skill].met).count() as u32;
    let room = table.line.len() as u32 * table.new_per_week;
    if new > room {
        return Some(Reason::Newness(new, room));
    }
    let exposure = |(skill, goal): (&usize, &usize)| -> f64 {
        (0..=*goal)
            .filter(|stage| !table.skills[*skill].done[*stage])
            .filter_map(|stage| Some(shared(table, *skill, stage)? * f64::from(table.needed[stage])))
            .sum()
    };
    let minutes: f64 = asked.iter().map(exposure).sum();
    let there: u32 = table.evenings.iter().map(|e| e.minutes - e.tests).sum();
    if minutes > f64::from(there) + 1e-9 {
        return Some(Reason::Minutes(minutes.ceil(), there));
    }
    // A set that is empty is reached by any plan; whether there is one is not asked here.
    (!goals.is_empty() && reachable(table, goals) == Some(false)).then_some(Reason::Looked)
}

/// The skills that a set of goals asks for, needs included, each with the furthest stage asked.
fn closure(table: &Table<'_>, goals: &[usize]) -> BTreeMap<usize, usize> {
    let mut asked: BTreeMap<usize, usize> = BTreeMap::new();
    let furthest = |skill: usize| (0..4).rev().find(|stage| table.skills[skill].way[*stage] > 0);
    let mut open: Vec<(usize, usize)> =
        goals.iter().filter_map(|goal| Some((*goal, furthest(*goal)?))).collect();
    while let Some((skill, stage)) = open.pop() {
        if asked.get(&skill).is_some_and(|known| *known >= stage) {
            continue;
        }
        asked.insert(skill, stage);
        if !table.skills[skill].met {
            let needs = table.skills[skill].needs.iter().copied();
            open.extend(needs.filter(|(needed, stage)| !table.skills[*needed].done[*stage]));
        }
    }
    asked
}

/// More sessions than there can be: needs that lead in a circle are never met.
const NEVER: u32 = 1_000_000;

/// How many sessions have passed at least when a skill has had its exposures at a stage, by skill and stage.
fn finishes(table: &Table<'_>) -> Vec<[u32; 4]> {
    let longest = table.evenings.iter().map(|e| e.minutes - e.tests).max().unwrap_or(0).max(1);
    // From never downwards: a skill settles once its needs have, which takes no more rounds than there are skills.
    let mut ends: Vec<[u32; 4]> =
        table.skills.iter().map(|row| row.done.map(|done| if done { 0 } else { NEVER })).collect();
    for _ in 0..table.skills.len() {
        for (skill, row) in table.skills.iter().enumerate() {
            let needs = row.needs.iter().filter(|_| !row.met);
            let mut passed = needs.map(|(needed, stage)| ends[*needed][*stage]).max().unwrap_or(0);
            for stage in (0..4).filter(|stage| !row.done[*stage]) {
                let least = table.serving[skill][stage].iter().map(|v| table.variants[*v].least).min();
                let minutes = table.needed[stage] * least.unwrap_or(0);
                passed = (passed + minutes.div_ceil(longest).max(1)).min(NEVER);
                ends[skill][stage] = passed;
            }
        }
    }
    ends
}

/// The least minutes of an exposure, shared by the skills which its variant serves.
fn shared(table: &Table<'_>, skill: usize, stage: usize) -> Option<f64> {
    let each = |v: &usize| f64::from(table.variants[*v].least) / table.variants[*v].skills.len() as f64;
    table.serving[skill][stage].iter().map(each).min_by(f64::total_cmp)
}

/// A wish that every plan must keep.
#[derive(Clone, Copy)]
enum Held {
    Lock(usize),
    Test(usize, usize),
}

/// The smallest set of locks and tests without which a plan is found. Meant for problems for which none was found.
pub(in crate::plan) fn of_locks(problem: &Problem) -> Clash {
    let locks = (0..problem.locks.len()).map(Held::Lock);
    let tests = problem
        .sessions
        .iter()
        .enumerate()
        .flat_map(|(session, wish)| (0..wish.tests.len()).map(move |test| Held::Test(session, test)));
    let mut set: Vec<Held> = locks.chain(tests).collect();
    let mut at = 0;
    while at < set.len() {
        let mut without = set.clone();
        without.remove(at);
        if finds_a_plan(&holding(problem, &without)) { at += 1 } else { set = without }
    }
    let held = holding(problem, &set);
    let proved = reachable(&Table::of(&held), &[]) == Some(false);
    let session =
        |at: usize| format!("session {} on {}", at + 1, crate::plan::spoken(problem.sessions[at].date));
    let named: Vec<String> = set
        .iter()
        .map(|held| match *held {
            Held::Lock(at) => {
                let lock = &problem.locks[at];
                let title = problem.title(&lock.block.variant);
                format!("“{title}” locked into {}", session(lock.session))
            }
            Held::Test(at, test) => {
                format!("the test “{}” in {}", problem.sessions[at].tests[test].name, session(at))
            }
        })
        .collect();
    let why = if proved {
        "no plan keeps all the rules with"
    } else {
        "no plan was found that keeps all the rules with"
    };
    let says = format!("{}{} {}.", why[..1].to_uppercase(), &why[1..], sentence_list(&named));
    let mut relax = Vec::new();
    if set.iter().any(|held| matches!(held, Held::Lock(_))) {
        relax.push("Unlock one of the blocks".to_owned());
    }
    if set.iter().any(|held| matches!(held, Held::Test(..))) {
        relax.push("Take the test in a later session".to_owned());
    }
    let (mut locks, mut tests) = (Vec::new(), Vec::new());
    for held in set {
        match held {
            Held::Lock(at) => locks.push(problem.locks[at].clone()),
            Held::Test(session, test) => {
                tests.push(TestTaken { session, test: problem.sessions[session].tests[test].id.clone() })
            }
        }
    }
    Clash { of: Clashing::Held { locks, tests }, says, relax, proved }
}

/// The problem with those locks and tests alone.
fn holding(problem: &Problem, set: &[Held]) -> Problem {
    let mut held = problem.clone();
    let locks = set.iter().filter_map(|held| match held {
        Held::Lock(at) => Some(problem.locks[*at].clone()),
        Held::Test(..) => None,
    });
    held.locks = locks.collect();
    for (session, wish) in held.sessions.iter_mut().enumerate() {
        let mut test = 0;
        wish.tests.retain(|_| {
            test += 1;
            set.iter().any(|held| matches!(held, Held::Test(s, t) if (*s, *t) == (session, test - 1)))
        });
    }
    held
}

fn sentence_list(names: &[String]) -> String {
    match names {
        [] => String::new(),
        [one] => one.clone(),
        [first @ .., last] => format!("{} and {last}", first.join(", ")),
    }
}
