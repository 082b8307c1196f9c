//! Why is this here, and why so late?

use std::collections::BTreeSet;

use serde::Serialize;

use super::edit::{Price, price};
use super::{Ladder, Plan, Problem, SkillWish, Stitch, Variant, VariantId, score, stitches};
use crate::drill::levers::Levers;
use crate::fact::{Fact, Value, facts};
use crate::plan::search::ledger::Ledger;
use crate::plan::search::table::{BlockRow, Table};
use crate::technique::skill::{Foot, Stage};
use crate::units::Share;

facts! {
    /// Why something is where it is in a plan, or is not there.
    pub enum Why {
        AskedAsGoal = "why-asked-as-goal" { skill: Value, nth: u32, of: u32, stage: Stage },
        Again = "why-again" { skill: Value, stage: Stage },
        AskedOnTheWay = "why-asked-on-the-way" { skill: Value, nth: u32, of: u32, stage: Stage, goal: Stage },
        Keeps = "why-keeps" { skill: Value, days: i32 },
        Besides = "why-besides" { skill: Value },
        WaitedForNeeds = "why-waited-for-needs" { skill: Value, needs: Vec<Done> },
        WaitedForStage = "why-waited-for-stage" { stage: Stage, before: Stage, date: Value },
        WaitedForFirst = "why-waited-for-first" { stage: Stage, before: Stage, date: Value },
        Opens = "why-opens" { skills: Value },
        ComesOff = "why-comes-off" { skill: Value, tenths: f64, least: f64, most: f64 },
        ComesOffSeldom = "why-comes-off-seldom" { skill: Value, tenths: f64, least: f64, most: f64 },
        ComesOffEasily = "why-comes-off-easily" { skill: Value, tenths: f64, least: f64, most: f64 },
        Weekly = "why-weekly" { what: Value, least: u32, most: u32 },
        Locked = "why-locked",
        PresentAt = "why-present-at" { stage: Stage },
        FirstMet = "why-first-met" { date: Value },
        Never = "why-never",
        NeedDone = "why-need-done" { need: Value, stage: Stage, date: Value },
        NeedNeverDone = "why-need-never-done" { need: Value, stage: Stage },
        FullWeek = "why-full-week" { week: u32, most: u32 },
        FullWeeks = "why-full-weeks" { weeks: Vec<u32>, most: u32 },
        EarlierCosts = "why-earlier-costs" { date: Value, points: f64 },
        EarlierFree = "why-earlier-free" { date: Value },
        NoRoom = "why-no-room",
        MissingTooLate = "why-missing-too-late" { count: u32, stage: Stage, before: Stage },
        MissingFewLeft = "why-missing-few-left" { count: u32, stage: Stage, before: Stage, date: Value, sessions: usize },
        MissingOthers = "why-missing-others" { count: u32, stage: Stage },
    }

    /// A need that was done on a day.
    pub enum Done {
        On = "why-done-on" { skill: Value, stage: Stage, date: Value },
    }
}

/// Why a block is where it is.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BlockWhy {
    /// Which goals asked for it, what it waited for, what it keeps alive and what it opens: a fact each.
    pub says: Vec<Fact>,
    /// What the score would lose without it: the price of taking it out.
    pub without: Price,
    /// Rungs that those could do beside it who move on, where the squad is split.
    pub beside: Vec<Alternative>,
    /// Other variants that could stand in its place, for the same stage of one of its skills.
    pub instead: Vec<Alternative>,
}

/// A variant that could be laid.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Alternative {
    /// Its name in files.
    pub variant: VariantId,
    /// The drill's title.
    pub title: String,
    /// Its stage.
    pub stage: Stage,
    /// How its levers are set.
    pub levers: Levers,
    /// The foot that works alone; `None` where both do.
    pub foot: Option<Foot>,
}

impl Alternative {
    /// What there is to say of a variant.
    pub fn of(variant: &Variant) -> Alternative {
        Alternative {
            variant: variant.id.clone(),
            title: variant.title.clone(),
            stage: variant.stage,
            levers: variant.levers,
            foot: variant.foot,
        }
    }
}

/// Why a block is where it is; `None` if there is no such block. Time: O(blocks × skills), and once the score.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{solve, why_block};
/// let problem = example(ExampleSize { weeks: 6, sessions: 2, skills: 10, variants: 40 }, 7);
/// let plan = solve(&problem, 1, 4_000).unwrap().plan;
/// let why = why_block(&problem, &plan, 0, 0).unwrap();
/// assert!(why.says[0].code.starts_with("why-asked-"), "{:?}", why.says);
/// assert_eq!(why_block(&problem, &plan, 0, 99), None);
/// ```
pub fn why_block(problem: &Problem, plan: &Plan, session: usize, block: usize) -> Option<BlockWhy> {
    let laid = plan.sessions.get(session)?.get(block)?;
    let variant = problem.variant(&laid.variant)?;
    let all = stitches(problem, plan);
    let here = all.iter().filter(|stitch| (stitch.session, stitch.block) == (session, block));
    let mut says: Vec<Why> = Vec::new();
    for stitch in here {
        let Some(wish) = problem.skills.iter().find(|s| s.id == stitch.skill) else { continue };
        says.push(asked(wish, stitch));
        says.extend(waited(problem, &all, wish, stitch));
        says.extend(opens(problem, &all, wish, stitch));
        says.push(comes_off(problem, wish, stitch));
    }
    let weekly = problem.weekly.iter().filter(|wish| wish.is_served_by(variant));
    says.extend(weekly.map(|wish| {
        let (least, most) = (wish.least, wish.most);
        Why::Weekly { what: wish.said(problem), least, most }
    }));
    if problem.locks.iter().any(|lock| lock.session == session && lock.block.is_like(laid)) {
        says.push(Why::Locked);
    }
    let mut without = plan.clone();
    without.sessions[session].remove(block);
    let shares = |other: &&Variant| {
        other.id != variant.id
            && other.barred.is_none()
            && other.skills.iter().any(|skill| variant.skills.contains(skill))
    };
    let beside = problem.variants.iter().filter(shares).filter(|other| {
        variant.halves && other.halves && other.least <= variant.most && variant.least <= other.most
    });
    let instead = problem.variants.iter().filter(shares).filter(|other| other.stage == variant.stage);
    Some(BlockWhy {
        says: says.into_iter().map(Fact::from).collect(),
        without: price(&score(problem, plan), &score(problem, &without)),
        beside: beside.map(Alternative::of).collect(),
        instead: instead.map(Alternative::of).collect(),
    })
}

fn asked(wish: &SkillWish, stitch: &Stitch) -> Why {
    let (skill, stage) = (wish.said(), stitch.stage);
    let on_the_way = wish.way().any(|stage| stage == stitch.stage);
    if stitch.again {
        Why::Again { skill, stage }
    } else if on_the_way && stitch.nth <= stitch.of {
        let (nth, of) = (stitch.nth, stitch.of);
        match stage == wish.goal {
            true => Why::AskedAsGoal { skill, nth, of, stage },
            false => Why::AskedOnTheWay { skill, nth, of, stage, goal: wish.goal },
        }
    } else {
        match stitch.rested {
            Some(days) => Why::Keeps { skill, days },
            None => Why::Besides { skill },
        }
    }
}

/// How many of ten are expected to come off, beside how many are wanted.
fn comes_off(problem: &Problem, wish: &SkillWish, stitch: &Stitch) -> Why {
    let window = problem.approach.success_window;
    let of_ten = |share: Share| (share.0 * 100.0).round() / 10.0;
    let (skill, tenths) = (wish.said(), of_ten(stitch.success));
    let (least, most) = (of_ten(window.least), of_ten(window.most));
    if stitch.success < window.least {
        Why::ComesOffSeldom { skill, tenths, least, most }
    } else if stitch.success > window.most {
        Why::ComesOffEasily { skill, tenths, least, most }
    } else {
        Why::ComesOff { skill, tenths, least, most }
    }
}

/// What the first exposure of a skill or stage had to wait for.
fn waited(problem: &Problem, all: &[Stitch], wish: &SkillWish, stitch: &Stitch) -> Option<Why> {
    let day = |session: usize| Value::from(problem.sessions[session].date);
    if stitch.first {
        let needs: Vec<Done> = wish
            .needs
            .iter()
            .filter_map(|need| {
                let served = served(all, &need.skill, need.stage).filter(|at| *at < stitch.session)?;
                let skill = problem.name(&need.skill);
                Some(Done::On { skill, stage: need.stage, date: day(served) })
            })
            .collect();
        return (!needs.is_empty()).then(|| Why::WaitedForNeeds { skill: wish.said(), needs });
    }
    let begins = stitch.nth == 1 && !stitch.again;
    let before = stitch.stage.before().filter(|before| begins && !wish.has_done(*before))?;
    let stage = stitch.stage;
    let earlier = |session: &usize| *session < stitch.session;
    match problem.approach.ladder {
        Ladder::Strict => {
            let date = day(served(all, &wish.id, before).filter(earlier)?);
            Some(Why::WaitedForStage { stage, before, date })
        }
        Ladder::Overlapping => {
            let first = all.iter().find(|s| s.skill == wish.id && s.stage == before);
            let date = day(first.map(|first| first.session).filter(earlier)?);
            Some(Why::WaitedForFirst { stage, before, date })
        }
        Ladder::Open => None,
    }
}

/// What can begin once this exposure is done.
fn opens(problem: &Problem, all: &[Stitch], wish: &SkillWish, stitch: &Stitch) -> Option<Why> {
    if stitch.nth != stitch.of || stitch.again {
        return None;
    }
    let waits = |other: &&SkillWish| {
        other.present.is_none()
            && other.needs.iter().any(|need| need.skill == wish.id && need.stage == stitch.stage)
            && all.iter().any(|s| s.skill == other.id && s.session > stitch.session)
    };
    let names: Vec<Value> = problem.skills.iter().filter(waits).map(SkillWish::quoted).collect();
    (!names.is_empty()).then_some(Why::Opens { skills: Value::All(names) })
}

/// In which session a stage had its last required exposure.
fn served(all: &[Stitch], skill: &str, stage: Stage) -> Option<usize> {
    all.iter().find(|s| s.skill == skill && s.stage == stage && s.nth == s.of).map(|s| s.session)
}

/// Why a skill comes when it comes, and what it misses: a fact each.
///
/// `None` if the problem has no such skill. Time: O(blocks × skills), and one weighing for each place of the sessions
/// in which the skill might have come earlier.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::why::Why;
/// use jogo_core::plan::{Plan, why_skill};
/// let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 4, variants: 12 }, 1);
/// let empty = Plan { sessions: vec![vec![]; 4] };
/// let new = problem.skills.iter().find(|skill| skill.present.is_none()).unwrap();
/// assert_eq!(why_skill(&problem, &empty, &new.id).unwrap()[0], Why::Never);
/// assert_eq!(why_skill(&problem, &empty, "nobody"), None);
/// ```
pub fn why_skill(problem: &Problem, plan: &Plan, skill: &str) -> Option<Vec<Why>> {
    let at = problem.skill_index(skill)?;
    let wish = &problem.skills[at];
    let all = stitches(problem, plan);
    let mine: Vec<&Stitch> = all.iter().filter(|s| s.skill == skill).collect();
    let mut says = Vec::new();
    let first = mine.first().map(|s| s.session);
    match (wish.present, first) {
        (Some(stage), _) => says.push(Why::PresentAt { stage }),
        (None, Some(first)) => {
            says.push(Why::FirstMet { date: problem.sessions[first].date.into() });
        }
        (None, None) => says.push(Why::Never),
    }
    if wish.present.is_none() {
        says.extend(why_late(problem, plan, &all, at, first));
    }
    says.extend(why_missing(problem, &all, wish));
    Some(says)
}

/// What holds the first exposure of a skill back.
fn why_late(problem: &Problem, plan: &Plan, all: &[Stitch], skill: usize, first: Option<usize>) -> Vec<Why> {
    let wish = &problem.skills[skill];
    let day = |session: usize| Value::from(problem.sessions[session].date);
    let mut says = Vec::new();
    let mut earliest = 0;
    for need in &wish.needs {
        let needed = problem.skills.iter().find(|s| s.id == need.skill);
        if needed.is_some_and(|needed| needed.has_done(need.stage)) {
            continue;
        }
        let (named, stage) = (problem.name(&need.skill), need.stage);
        let Some(session) = served(all, &need.skill, stage) else {
            says.push(Why::NeedNeverDone { need: named, stage });
            return says;
        };
        says.push(Why::NeedDone { need: named, stage, date: day(session) });
        earliest = earliest.max(session + 1);
    }
    let until = first.unwrap_or(problem.sessions.len());
    if earliest >= until {
        return says;
    }
    let full = full_weeks(problem, all, skill, earliest..until);
    let (weeks, most) = (full.iter().copied().collect::<Vec<u32>>(), problem.new_skills_per_week);
    match weeks[..] {
        [] => {}
        [week] => says.push(Why::FullWeek { week, most }),
        _ => says.push(Why::FullWeeks { weeks, most }),
    }
    let open: Vec<usize> =
        (earliest..until).filter(|at| !full.contains(&problem.sessions[*at].week)).collect();
    if open.is_empty() {
        return says;
    }
    says.push(match cheapest_earlier(problem, plan, skill, &open) {
        Some((session, points)) if points > 0.0 => Why::EarlierCosts { date: day(session), points },
        Some((session, _)) => Why::EarlierFree { date: day(session) },
        None => Why::NoRoom,
    });
    says
}

/// Weeks that take no further new skill.
fn full_weeks(
    problem: &Problem,
    all: &[Stitch],
    skill: usize,
    among: std::ops::Range<usize>,
) -> BTreeSet<u32> {
    let id = &problem.skills[skill].id;
    if !problem.skills[skill].is_new() {
        return BTreeSet::new();
    }
    let is_new = |id: &str| problem.skills.iter().any(|wish| wish.id == id && wish.is_new());
    let new_in = |week: u32| {
        let first = all.iter().filter(|s| s.first && s.skill != *id && is_new(&s.skill));
        first.filter(|s| problem.sessions[s.session].week == week).count()
    };
    let weeks: BTreeSet<u32> = problem.sessions[among].iter().map(|s| s.week).collect();
    weeks.into_iter().filter(|week| new_in(*week) as u32 >= problem.new_skills_per_week).collect()
}

/// In which of some sessions the skill could be met first at the least cost, the other blocks shortened to make room.
fn cheapest_earlier(
    problem: &Problem,
    plan: &Plan,
    skill: usize,
    sessions: &[usize],
) -> Option<(usize, f64)> {
    let table = Table::of(problem);
    let mut ledger = Ledger::of(&table, table.places(plan), None);
    let (score, breaches) = (ledger.score(), ledger.breaches());
    let mut best: Option<(usize, f64)> = None;
    for &session in sessions {
        let there = ledger.session(session).to_vec();
        for &variant in &table.serving[skill][0] {
            for at in 0..=there.len() {
                let mut blocks = there.clone();
                let minutes = table.variants[variant].least;
                blocks.insert(at, BlockRow { variant, minutes, beside: None, locked: false });
                shorten(&table, session, &mut blocks, at);
                ledger.replace(session, &blocks);
                if ledger.breaches() <= breaches
                    && best.is_none_or(|(_, least)| ledger.score() - score < least)
                {
                    best = Some((session, ledger.score() - score));
                }
            }
        }
        ledger.replace(session, &there);
    }
    best
}

/// Shortens the other blocks of a session until it fits, as far as they allow.
fn shorten(table: &Table<'_>, session: usize, blocks: &mut [BlockRow], but: usize) {
    let mut over = -table.free(session, blocks);
    for (at, laid) in blocks.iter_mut().enumerate() {
        if at != but && over > 0 {
            let less = i64::from(laid.minutes.saturating_sub(table.variants[laid.variant].least)).min(over);
            laid.minutes -= less as u32;
            over -= less;
        }
    }
}

/// Which exposures are missing, and what holds them back.
fn why_missing(problem: &Problem, all: &[Stitch], wish: &SkillWish) -> Option<Why> {
    let counts = |s: &&Stitch, stage: Stage| s.skill == wish.id && s.stage == stage && !s.again;
    let count = |stage: Stage| all.iter().filter(|s| counts(s, stage)).count() as u32;
    let (stage, missing) = wish
        .way()
        .map(|stage| (stage, problem.approach.needed(stage).saturating_sub(count(stage))))
        .find(|(_, left)| *left > 0)?;
    let last = problem.sessions.len().saturating_sub(1);
    // Only a strict ladder makes a stage wait until the one before it is done.
    let strict = problem.approach.ladder == Ladder::Strict;
    let before = stage.before().filter(|before| strict && !wish.has_done(*before));
    let count = missing;
    Some(match before.and_then(|before| Some((before, served(all, &wish.id, before)?))) {
        Some((before, session)) if session >= last => Why::MissingTooLate { count, stage, before },
        Some((before, session)) => {
            let (date, sessions) = (problem.sessions[session].date.into(), last - session);
            Why::MissingFewLeft { count, stage, before, date, sessions }
        }
        None => Why::MissingOthers { count, stage },
    })
}
