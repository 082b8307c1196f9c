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
//! Of goals that clash, a smallest set is named: take any one of them away, and the proof no longer holds. Goals that
//! cannot all be reached forbid no plan: the planner lays what it can, and says so. Locks and tests may forbid every
//! plan; then the smallest set of them is named that does. Where that could not be proved, [`Clash::proved`] says so.

use std::collections::BTreeMap;

use serde::Serialize;

use crate::fact::{Fact, Value, facts};
use crate::ids::{SkillId, TestId};
use crate::plan::rules::prove::reachable;
use crate::plan::search::cooling::finds_a_plan;
use crate::plan::search::table::Table;
use crate::plan::{Lock, Problem};
use crate::technique::skill::{Stage, Strand};
use crate::units::Minutes;

facts! {
    /// What clashes, and why.
    pub enum ClashSaid {
        Session = "clash-session" { session: usize, date: Value, minutes: Minutes, least: Minutes },
        SessionWithTests = "clash-session-with-tests" { session: usize, date: Value, minutes: Minutes, least: Minutes },
        Strand = "clash-strand" { strand: Strand, percent: f64 },
        Stage = "clash-stage" { skill: Value, goal: Stage, stage: Stage },
        Circle = "clash-circle" { goals: Value },
        Chain = "clash-chain" { goals: Value, asked: u32, sessions: usize },
        Newness = "clash-newness" { goals: Value, asked: u32, weeks: usize, per_week: u32, room: u32 },
        Minutes = "clash-minutes" { goals: Value, asked: f64, minutes: u32 },
        Looked = "clash-looked" { goals: Value, count: usize },
        Held = "clash-held" { held: Value },
        HeldUnproved = "clash-held-unproved" { held: Value },
    }

    /// A lock or a test that a plan has to keep.
    pub enum HeldSaid {
        Lock = "clash-held-lock" { title: String, session: usize, date: Value },
        Test = "clash-held-test" { test: String, session: usize, date: Value },
    }

    /// A goal and how far it is to come.
    pub enum GoalSaid {
        To = "clash-goal" { skill: Value, stage: Stage },
    }

    /// What to relax.
    pub enum Relax {
        SessionMinutes = "relax-session-minutes" { minutes: Minutes },
        DropSession = "relax-drop-session",
        StrandToNothing = "relax-strand-to-nothing" { strand: Strand },
        GoalInStrand = "relax-goal-in-strand" { strand: Strand },
        GoalTo = "relax-goal-to" { stage: Stage },
        LargerGround = "relax-larger-ground",
        DropGoal = "relax-drop-goal",
        LowerGoal = "relax-lower-goal",
        LowerOneGoal = "relax-lower-one-goal",
        AddWeeks = "relax-add-weeks",
        AddWeek = "relax-add-week",
        AddSession = "relax-add-session",
        FurtherAlready = "relax-further-already",
        DropOneGoal = "relax-drop-one-goal",
        MoreMinutes = "relax-more-minutes",
        MinutesMore = "relax-minutes-more" { minutes: f64 },
        Unlock = "relax-unlock",
        TestLater = "relax-test-later",
    }
}

/// Wishes that cannot hold together.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Clash {
    /// What clashes.
    pub of: Clashing,
    /// The same, and why.
    pub says: Fact,
    /// What to relax, any one of them.
    pub relax: Vec<Fact>,
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

/// The first clash among the wishes of a problem, or `None` if none is proved.
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
/// assert_eq!(clash.says.code, "clash-session");
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
    fn proved(self, says: ClashSaid, relax: Vec<Relax>) -> Clash {
        let relax = relax.into_iter().map(Fact::from).collect();
        Clash { of: self, says: says.into(), relax, proved: true }
    }
}

fn short_session(problem: &Problem, table: &Table<'_>) -> Option<Clash> {
    let least = table.usable.iter().map(|v| problem.variants[*v].least).min()?;
    let short = |(_, session): &(usize, &crate::plan::SessionWish)| {
        session.for_blocks() < least && (session.tests.is_empty() || session.for_blocks().0 > 0)
    };
    let (session, wish) = problem.sessions.iter().enumerate().find(short)?;
    let (number, date, minutes) = (session + 1, Value::from(wish.date), wish.for_blocks());
    let says = match wish.tests.is_empty() {
        true => ClashSaid::Session { session: number, date, minutes, least },
        false => ClashSaid::SessionWithTests { session: number, date, minutes, least },
    };
    let tests = Minutes(wish.minutes.0 - minutes.0);
    let relax = vec![Relax::SessionMinutes { minutes: least + tests }, Relax::DropSession];
    Some(Clashing::Session { session }.proved(says, relax))
}

fn unserved_strand(problem: &Problem, table: &Table<'_>) -> Option<Clash> {
    let serves = |strand: &Strand| {
        let share = |v: &usize| table.variants[*v].strands[strand.index()] > 0.0;
        table.usable.iter().any(share)
    };
    let (strand, share) = problem.shares.iter().find(|(strand, share)| share.0 > 0.0 && !serves(strand))?;
    let strand = *strand;
    let says = ClashSaid::Strand { strand, percent: share.percent().round() };
    let relax = vec![Relax::StrandToNothing { strand }, Relax::GoalInStrand { strand }];
    Some(Clashing::Strand { strand }.proved(says, relax))
}

fn unserved_stage(problem: &Problem, table: &Table<'_>) -> Option<Clash> {
    problem.skills.iter().enumerate().find_map(|(at, skill)| {
        let stage = skill.way().find(|stage| table.serving[at][stage.index()].is_empty())?;
        let says = ClashSaid::Stage { skill: skill.said(), goal: skill.goal, stage };
        let before = stage.before().filter(|before| !skill.has_done(*before));
        let mut relax: Vec<Relax> = before.map(|stage| Relax::GoalTo { stage }).into_iter().collect();
        relax.extend([Relax::LargerGround, Relax::DropGoal]);
        Some(Clashing::Stage { skill: skill.id.clone(), stage }.proved(says, relax))
    })
}

/// Why goals cannot all be reached.
enum Reason {
    /// They need each other in a circle.
    Circle,
    /// How many sessions they ask for, one after the other.
    Chain(u32),
    /// How many new skills they ask for, and how many find room.
    Newness(u32, u32),
    /// How many minutes they ask for, and how many there are.
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
    let named = set.iter().map(|goal| &problem.skills[*goal]);
    let named = named.map(|skill| GoalSaid::To { skill: skill.said(), stage: skill.goal });
    let (goals, weeks) = (Value::from(named.collect::<Vec<_>>()), problem.weeks().len());
    let (says, relax) = match reason {
        Reason::Circle => (ClashSaid::Circle { goals }, vec![Relax::DropOneGoal, Relax::FurtherAlready]),
        Reason::Chain(asked) => (
            ClashSaid::Chain { goals, asked, sessions: problem.sessions.len() },
            vec![Relax::LowerGoal, Relax::AddWeeks, Relax::FurtherAlready],
        ),
        Reason::Newness(asked, room) => (
            ClashSaid::Newness { goals, asked, weeks, per_week: problem.new_skills_per_week, room },
            vec![Relax::DropOneGoal, Relax::AddWeek],
        ),
        Reason::Minutes(asked, minutes) => (
            ClashSaid::Minutes { goals, asked, minutes },
            vec![
                Relax::MinutesMore { minutes: (asked - f64::from(minutes)).max(1.0).round() },
                Relax::LowerOneGoal,
            ],
        ),
        Reason::Looked => (
            ClashSaid::Looked { goals, count: set.len() },
            vec![Relax::LowerOneGoal, Relax::AddSession, Relax::MoreMinutes],
        ),
    };
    let skills = set.iter().map(|i| problem.skills[*i].id.clone()).collect();
    Some(Clashing::Goals { skills }.proved(says, relax))
}

/// Why a set of goals cannot all be reached, taken on their own with all that they need; `None` if that is not proved.
fn forbidden(table: &Table<'_>, goals: &[usize]) -> Option<Reason> {
    let asked = closure(table, goals);
    let soonest = table.problem.soonest();
    let stages = asked.iter().flat_map(|(skill, upto)| (0..=*upto).map(move |stage| (*skill, stage)));
    let mut chain = 0;
    for (skill, stage) in stages.filter(|(skill, stage)| !table.skills[*skill].done[*stage]) {
        let Some(soonest) = soonest[skill][stage] else { return Some(Reason::Circle) };
        chain = chain.max(soonest.done + 1);
    }
    if chain > table.sessions.len() {
        return Some(Reason::Chain(chain as u32));
    }
    let new = asked.keys().filter(|skill| table.skills[**skill].new).count() as u32;
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
    let there: u32 = table.sessions.iter().map(|e| e.minutes - e.tests).sum();
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
    let day = |at: usize| Value::from(problem.sessions[at].date);
    let said = set.iter().map(|held| match *held {
        Held::Lock(at) => {
            let lock = &problem.locks[at];
            let title = problem.title(&lock.block.variant).to_owned();
            HeldSaid::Lock { title, session: lock.session + 1, date: day(lock.session) }
        }
        Held::Test(at, test) => {
            let test = problem.sessions[at].tests[test].name.clone();
            HeldSaid::Test { test, session: at + 1, date: day(at) }
        }
    });
    let said = Value::from(said.collect::<Vec<_>>());
    let says = match proved {
        true => ClashSaid::Held { held: said },
        false => ClashSaid::HeldUnproved { held: said },
    };
    let mut relax = Vec::new();
    if set.iter().any(|held| matches!(held, Held::Lock(_))) {
        relax.push(Relax::Unlock.into());
    }
    if set.iter().any(|held| matches!(held, Held::Test(..))) {
        relax.push(Relax::TestLater.into());
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
    Clash { of: Clashing::Held { locks, tests }, says: says.into(), relax, proved }
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
