//! Hinges: what does a squad do that may not begin with a skill yet?
//!
//! A skill may have to wait until enough of a squad are ready for it. Its hinge is the session in which the plan first
//! meets it. The plan is laid as if everybody were ready. For a squad that is not, [`meanwhile`] says what stands in that
//! session in place of the skill: a drill for what the squad still works at, or else for something that it keeps. Both
//! ways keep every rule. The sessions after it are replanned, with the skill's first exposure in one of them.

pub use super::problem::Hinge;
use super::{Block, Plan, Problem, Variant, check, score};
use crate::ids::SkillId;

/// How many drills that break no rule are weighed for one block.
const MOST_WEIGHED: usize = 12;

/// What a session has in place of a skill that waits, every other block as it was: of the variants that break no rule
/// there, those for what the hinge names come first, then those of what was met before; among them the one with the
/// best score. Where there is none, the block is left out. `None` if that, too, breaks a rule.
///
/// Time: O(blocks of the skill × variants × checking the sessions up to it).
///
/// ```
/// use jogo_core::plan::hinge::{Hinge, meanwhile};
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Block, solve};
/// let mut problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 8, variants: 40 }, 1);
/// let plan = solve(&problem, 1, 5_000).unwrap().plan;
/// let hinge = Hinge { skill: problem.skills[1].id.clone(), meanwhile: vec![problem.skills[0].id.clone()] };
/// let at = hinge.session(&problem, &plan).unwrap();
/// let instead = meanwhile(&problem, &plan, &hinge, at).unwrap();
/// let shows = |block: &Block| problem.variant(&block.variant).unwrap().skills.contains(&hinge.skill);
/// assert!(plan.sessions[at].iter().any(shows) && !instead.iter().any(shows));
/// ```
pub fn meanwhile(problem: &Problem, plan: &Plan, hinge: &Hinge, session: usize) -> Option<Vec<Block>> {
    let free = Problem { locks: Vec::new(), ..problem.clone() };
    // Only what comes before decides whether something may stand there.
    let mut laid = plan.clone();
    laid.sessions.iter_mut().skip(session + 1).for_each(Vec::clear);
    let broken = |plan: &Plan| check(&free, plan).iter().filter(|breach| breach.session == session).count();
    let before = broken(&laid);
    let candidates = candidates(problem, plan, hinge, session);
    let shows = |block: &Block| problem.variant(&block.variant).is_some_and(|v| hinge.is_shown_by(v));
    while let Some(at) = laid.sessions.get(session)?.iter().position(shows) {
        let with = |block: Option<Block>| {
            let mut next = laid.clone();
            next.sessions[session].splice(at..=at, block);
            next
        };
        let minutes = laid.sessions[session][at].minutes;
        let replaced = |variant: &&Variant| {
            let block = Block::of(&variant.id, minutes.clamp(variant.least, variant.most));
            let next = with(Some(block));
            (broken(&next) <= before).then_some(next)
        };
        let best = candidates.iter().find_map(|alike| {
            let legal = alike.iter().filter_map(replaced).take(MOST_WEIGHED);
            let points = |plan: &Plan| score(&free, plan).total;
            legal.min_by(|a, b| points(a).total_cmp(&points(b)))
        });
        laid = best.unwrap_or_else(|| with(None));
    }
    (broken(&laid) <= before).then(|| laid.sessions.swap_remove(session))
}

/// What may come in the place of a skill, in groups: the better ones first.
fn candidates<'p>(problem: &'p Problem, plan: &Plan, hinge: &Hinge, session: usize) -> [Vec<&'p Variant>; 2] {
    let waits =
        |variant: &Variant| problem.hinges.iter().chain([hinge]).any(|each| each.is_shown_by(variant));
    let earlier: Vec<&Variant> = plan
        .sessions
        .iter()
        .take(session)
        .flatten()
        .filter_map(|block| problem.variant(&block.variant))
        .collect();
    let is_met = |skill: &SkillId| {
        let known = problem.skills.iter().any(|wish| wish.id == *skill && wish.present.is_some());
        known || earlier.iter().any(|variant| variant.skills.contains(skill))
    };
    let there = plan.sessions.get(session).map_or(&[][..], Vec::as_slice);
    let fits = |variant: &&Variant| {
        variant.barred.is_none()
            && !waits(variant)
            && variant.skills.iter().all(is_met)
            && !there.iter().any(|block| block.variant == variant.id)
    };
    let (wanted, kept): (Vec<&Variant>, Vec<&Variant>) = problem
        .variants
        .iter()
        .filter(fits)
        .partition(|variant| variant.skills.iter().any(|skill| hinge.meanwhile.contains(skill)));
    [wanted, kept]
}
