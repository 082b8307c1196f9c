//! Why is this here, and why so late? In a coach's words.

use std::collections::BTreeSet;

use serde::Serialize;

use super::edit::{Price, price};
use super::{Plan, Problem, SkillWish, Stitch, Variant, VariantId, score, spoken, stitches};
use crate::plan::search::ledger::Ledger;
use crate::plan::search::table::{BlockRow, Table};
use crate::technique::skill::Stage;

/// Why a block stands where it stands.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BlockWhy {
    /// Which goals asked for it, what it waited for, what it keeps alive and what it opens: a sentence each.
    pub says: Vec<String>,
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
}

impl Alternative {
    /// What there is to say of a variant.
    pub fn of(variant: &Variant) -> Alternative {
        Alternative { variant: variant.id.clone(), title: variant.title.clone(), stage: variant.stage }
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
/// assert!(why.says[0].contains(" asked for it: exposure 1 of "), "{:?}", why.says);
/// assert_eq!(why_block(&problem, &plan, 0, 99), None);
/// ```
pub fn why_block(problem: &Problem, plan: &Plan, session: usize, block: usize) -> Option<BlockWhy> {
    let laid = plan.sessions.get(session)?.get(block)?;
    let variant = problem.variant(&laid.variant)?;
    let all = stitches(problem, plan);
    let here = all.iter().filter(|stitch| (stitch.session, stitch.block) == (session, block));
    let mut says = Vec::new();
    for stitch in here {
        let Some(wish) = problem.skills.iter().find(|s| s.id == stitch.skill) else { continue };
        says.push(asked(wish, stitch));
        says.extend(waited(problem, &all, wish, stitch));
        says.extend(opens(problem, &all, wish, stitch));
    }
    if problem.locks.iter().any(|lock| lock.session == session && lock.block.is_like(laid)) {
        says.push("It is locked here.".into());
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
        says,
        without: price(&score(problem, plan), &score(problem, &without)),
        beside: beside.map(Alternative::of).collect(),
        instead: instead.map(Alternative::of).collect(),
    })
}

fn asked(wish: &SkillWish, stitch: &Stitch) -> String {
    let on_the_way = wish.way().any(|stage| stage == stitch.stage);
    if on_the_way && stitch.nth <= stitch.of {
        let goal = if stitch.stage == wish.goal {
            format!("{} is its goal", wish.goal)
        } else {
            format!("on its way to {}", wish.goal)
        };
        format!(
            "“{}” asked for it: exposure {} of {} at {}, {goal}.",
            wish.name, stitch.nth, stitch.of, stitch.stage
        )
    } else {
        match stitch.rested {
            Some(days) => format!("It keeps “{}” alive: the last time was {days} days before.", wish.name),
            None => format!("It shows “{}” beside the others; nothing asked for that.", wish.name),
        }
    }
}

/// What the first exposure of a skill or stage had to wait for.
fn waited(problem: &Problem, all: &[Stitch], wish: &SkillWish, stitch: &Stitch) -> Option<String> {
    let day = |session: usize| spoken(problem.sessions[session].date);
    if stitch.first {
        let needs: Vec<String> = wish
            .needs
            .iter()
            .filter_map(|need| {
                let served = served(all, &need.skill, need.stage).filter(|at| *at < stitch.session)?;
                let name = name(problem, &need.skill);
                Some(format!("“{name}” at {}, done on {}", need.stage, day(served)))
            })
            .collect();
        return (!needs.is_empty()).then(|| format!("“{}” waited for {}.", wish.name, needs.join(" and ")));
    }
    let before = stitch.stage.before().filter(|before| stitch.nth == 1 && !wish.has_done(*before))?;
    let served = served(all, &wish.id, before).filter(|at| *at < stitch.session)?;
    Some(format!("{} waited for {before}, done on {}.", stitch.stage, day(served)))
}

/// What can begin once this exposure is done.
fn opens(problem: &Problem, all: &[Stitch], wish: &SkillWish, stitch: &Stitch) -> Option<String> {
    if stitch.nth != stitch.of {
        return None;
    }
    let waits = |other: &&SkillWish| {
        other.present.is_none()
            && other.needs.iter().any(|need| need.skill == wish.id && need.stage == stitch.stage)
            && all.iter().any(|s| s.skill == other.id && s.session > stitch.session)
    };
    let names: Vec<String> = problem.skills.iter().filter(waits).map(|s| format!("“{}”", s.name)).collect();
    (!names.is_empty()).then(|| format!("{} can begin after it.", names.join(" and ")))
}

/// In which session a stage had its last required exposure.
fn served(all: &[Stitch], skill: &str, stage: Stage) -> Option<usize> {
    all.iter().find(|s| s.skill == skill && s.stage == stage && s.nth == s.of).map(|s| s.session)
}

fn name<'p>(problem: &'p Problem, id: &'p str) -> &'p str {
    problem.skills.iter().find(|s| s.id == id).map_or(id, |s| &s.name)
}

/// Why a skill comes when it comes, and what it misses: a sentence each.
///
/// `None` if the problem has no such skill. Time: O(blocks × skills), and one weighing for each place of the sessions
/// in which the skill might have come earlier.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Plan, why_skill};
/// let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 4, variants: 12 }, 1);
/// let empty = Plan { sessions: vec![vec![]; 4] };
/// let new = problem.skills.iter().find(|skill| skill.present.is_none()).unwrap();
/// assert_eq!(why_skill(&problem, &empty, &new.id).unwrap()[0], "This plan never comes to it.");
/// assert_eq!(why_skill(&problem, &empty, "nobody"), None);
/// ```
pub fn why_skill(problem: &Problem, plan: &Plan, skill: &str) -> Option<Vec<String>> {
    let at = problem.skill_index(skill)?;
    let wish = &problem.skills[at];
    let all = stitches(problem, plan);
    let mine: Vec<&Stitch> = all.iter().filter(|s| s.skill == skill).collect();
    let mut says = Vec::new();
    let first = mine.first().map(|s| s.session);
    match (wish.present, first) {
        (Some(present), _) => says.push(format!("The squad stands at {present} with it already.")),
        (None, Some(first)) => {
            says.push(format!("It is first met on {}.", spoken(problem.sessions[first].date)))
        }
        (None, None) => says.push("This plan never comes to it.".into()),
    }
    if wish.present.is_none() {
        says.extend(why_late(problem, plan, &all, at, first));
    }
    says.extend(why_missing(problem, &all, wish));
    Some(says)
}

/// What holds the first exposure of a skill back.
fn why_late(
    problem: &Problem,
    plan: &Plan,
    all: &[Stitch],
    skill: usize,
    first: Option<usize>,
) -> Vec<String> {
    let wish = &problem.skills[skill];
    let day = |session: usize| spoken(problem.sessions[session].date);
    let mut says = Vec::new();
    let mut earliest = 0;
    for need in &wish.needs {
        let needed = problem.skills.iter().find(|s| s.id == need.skill);
        if needed.is_some_and(|needed| needed.has_done(need.stage)) {
            continue;
        }
        match served(all, &need.skill, need.stage) {
            Some(session) => {
                let name = name(problem, &need.skill);
                says.push(format!("It needs “{name}” at {}, which is done on {}.", need.stage, day(session)));
                earliest = earliest.max(session + 1);
            }
            None => {
                let name = name(problem, &need.skill);
                says.push(format!(
                    "It needs “{name}” at {}, and this plan never completes that.",
                    need.stage
                ));
                return says;
            }
        }
    }
    let until = first.unwrap_or(problem.sessions.len());
    if earliest >= until {
        return says;
    }
    let full = full_weeks(problem, all, skill, earliest..until);
    if !full.is_empty() {
        let weeks: Vec<String> = full.iter().map(u32::to_string).collect();
        let (week, meet) = if weeks.len() == 1 { ("Week", "meets") } else { ("Weeks", "meet") };
        says.push(format!(
            "{week} {} already {meet} {} new skills, and more are not taken at once.",
            weeks.join(", "),
            problem.new_skills_per_week
        ));
    }
    let open: Vec<usize> =
        (earliest..until).filter(|at| !full.contains(&problem.sessions[*at].week)).collect();
    if open.is_empty() {
        return says;
    }
    says.push(match cheapest_earlier(problem, plan, skill, &open) {
        Some((session, points)) if points > 0.0 => {
            format!("Meeting it on {} already would cost {points:.1} points.", day(session))
        }
        Some((session, _)) => format!("It could be met on {} already at no cost: press solve.", day(session)),
        None => "No earlier session has room for it without breaking a rule.".into(),
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
    let new_in = |week: u32| {
        all.iter().filter(|s| s.first && s.skill != *id && problem.sessions[s.session].week == week).count()
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
fn why_missing(problem: &Problem, all: &[Stitch], wish: &SkillWish) -> Option<String> {
    let count = |stage: Stage| all.iter().filter(|s| s.skill == wish.id && s.stage == stage).count() as u32;
    let (stage, left) = wish
        .way()
        .map(|stage| (stage, problem.approach.needed(stage).saturating_sub(count(stage))))
        .find(|(_, left)| *left > 0)?;
    let last = problem.sessions.len().saturating_sub(1);
    let before = stage.before().filter(|before| !wish.has_done(*before));
    let held = match before.and_then(|before| Some((before, served(all, &wish.id, before)?))) {
        Some((before, session)) if session >= last => format!("{before} is done only in the last session"),
        Some((before, session)) => format!(
            "{before} is done on {}, and {} sessions are left after it, with other things in them that count more",
            spoken(problem.sessions[session].date),
            last - session
        ),
        None => "other things count more in the sessions that are there".to_owned(),
    };
    Some(format!("{left} × {stage} {} missing: {held}.", if left == 1 { "is" } else { "are" }))
}
