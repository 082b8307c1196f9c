//! Solves a problem: lays the blocks.
//!
//! The plan is built session by session: among the variants that keep H1 to H4 there, the one that serves the goals and
//! the strands best is laid next, until the time is used. This is done many times with a little seeded noise, and the
//! plan with the best score is kept. The first construction already is a legal plan, so the search may stop anywhere.
//! Same problem, same seed, same number of rounds: same plan.

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

use super::score::score;
use super::{Block, Clash, Plan, Problem, Score, clash};
use crate::skill::{Stage, Strand};
use crate::units::Minutes;

/// How many constructions a solve makes, unless it is told otherwise.
pub const ROUNDS: u32 = 400;

/// The best plan found in so many rounds, with its score; or the wishes that cannot hold together.
pub fn solve(problem: &Problem, seed: u64, rounds: u32) -> Result<(Plan, Score), Clash> {
    if let Some(clash) = clash(problem) {
        return Err(clash);
    }
    let lot = Lot::of(problem);
    let mut rng = ChaCha8Rng::seed_from_u64(seed);
    let mut best = lot.built(0.0, &mut rng);
    for round in 1..rounds.max(1) {
        let next = lot.built(0.1 + 0.5 * f64::from(round % 8), &mut rng);
        if next.1.total < best.1.total {
            best = next;
        }
    }
    Ok(best)
}

/// The problem with its names resolved to places in its lists.
struct Lot<'p> {
    problem: &'p Problem,
    /// Skills of each variant.
    skills: Vec<Vec<usize>>,
    /// Needs of each skill.
    needs: Vec<Vec<(usize, Stage)>>,
    /// What rests on each skill: the skill, and the stage that it asks for.
    opens: Vec<Vec<(usize, Stage)>>,
    /// Exposures one after the other from meeting a skill to the goals of all that rests on it.
    chain: Vec<u32>,
}

/// What has been laid so far.
struct Laid {
    count: Vec<[u32; 4]>,
    /// In which session each stage had its last required exposure.
    done: Vec<[Option<usize>; 4]>,
    last: Vec<Option<usize>>,
    minutes: [f64; 4],
    new_in_week: u32,
}

impl<'p> Lot<'p> {
    fn of(problem: &'p Problem) -> Lot<'p> {
        let index = |id: &String| problem.skill_index(id);
        let skills = problem.variants.iter().map(|v| v.skills.iter().filter_map(index).collect()).collect();
        let needs: Vec<Vec<(usize, Stage)>> = problem
            .skills
            .iter()
            .map(|s| s.needs.iter().filter_map(|n| Some((index(&n.skill)?, n.stage))).collect())
            .collect();
        let mut opens = vec![Vec::new(); problem.skills.len()];
        for (skill, needed) in needs.iter().enumerate().filter(|(s, _)| problem.skills[*s].present.is_none())
        {
            for (under, stage) in needed {
                opens[*under].push((skill, *stage));
            }
        }
        let mut lot = Lot { problem, skills, needs, chain: vec![0; opens.len()], opens };
        // A chain is never longer than there are skills, so this many rounds settle every one.
        let nothing_yet = vec![[0; 4]; lot.opens.len()];
        for _ in 0..lot.opens.len() {
            lot.chain = (0..lot.opens.len()).map(|skill| lot.still(skill, &nothing_yet)).collect();
        }
        lot
    }

    /// Exposures one after the other that a skill and all that rests on it still ask for.
    fn still(&self, skill: usize, count: &[[u32; 4]]) -> u32 {
        let wish = &self.problem.skills[skill];
        let missing = |upto: Stage| -> u32 {
            let left = |s: Stage| self.problem.approach.needed(s).saturating_sub(count[skill][s.index()]);
            wish.way().filter(|s| *s <= upto).map(left).sum()
        };
        let opened = self.opens[skill]
            .iter()
            .filter(|(above, _)| count[*above] == [0; 4])
            .map(|(above, stage)| missing(*stage) + self.chain[*above])
            .max();
        missing(wish.goal).max(opened.unwrap_or(0))
    }

    fn built(&self, noise: f64, rng: &mut ChaCha8Rng) -> (Plan, Score) {
        let n = self.problem.skills.len();
        let mut laid = Laid {
            count: vec![[0; 4]; n],
            done: vec![[None; 4]; n],
            last: vec![None; n],
            minutes: [0.0; 4],
            new_in_week: 0,
        };
        let mut plan = Plan::default();
        for session in 0..self.problem.sessions.len() {
            if session > 0 && self.problem.sessions[session].week != self.problem.sessions[session - 1].week {
                laid.new_in_week = 0;
            }
            plan.sessions.push(self.evening(session, &mut laid, noise, rng));
        }
        let score = score(self.problem, &plan);
        (plan, score)
    }

    fn evening(&self, session: usize, laid: &mut Laid, noise: f64, rng: &mut ChaCha8Rng) -> Vec<Block> {
        let variants = &self.problem.variants;
        let mut left = self.problem.sessions[session].minutes.0;
        let mut chosen: Vec<usize> = Vec::new();
        loop {
            let before = chosen.last().map(|v| &variants[*v]);
            let next = (0..variants.len())
                .filter(|v| chosen.iter().all(|c| variants[*c].drill != variants[*v].drill))
                .filter(|v| variants[*v].least.0 + self.problem.change(before, &variants[*v]).0 <= left)
                .filter(|v| self.legal(*v, session, laid))
                .map(|v| (self.worth(v, session, laid) + noise * rng.random::<f64>(), v))
                .max_by(|a, b| a.0.total_cmp(&b.0));
            let Some((_, v)) = next else { break };
            left -= variants[v].least.0 + self.problem.change(before, &variants[v]).0;
            self.lay(v, session, laid);
            chosen.push(v);
        }
        let mut minutes: Vec<u32> = chosen.iter().map(|v| variants[*v].least.0).collect();
        while left > 0 {
            let room = (0..chosen.len())
                .filter(|i| minutes[*i] < variants[chosen[*i]].most.0)
                .max_by(|a, b| self.lack(chosen[*a], laid).total_cmp(&self.lack(chosen[*b], laid)));
            let Some(i) = room else { break };
            minutes[i] += 1;
            left -= 1;
            self.count_minutes(chosen[i], 1.0, laid);
        }
        chosen
            .into_iter()
            .zip(minutes)
            .map(|(v, m)| Block { variant: variants[v].id.clone(), minutes: Minutes(m) })
            .collect()
    }

    /// Whether a variant keeps H2, H3 and H4 in this session.
    fn legal(&self, variant: usize, session: usize, laid: &Laid) -> bool {
        let stage = self.problem.variants[variant].stage;
        let earlier = |skill: usize, stage: Stage| {
            self.problem.skills[skill].has_done(stage)
                || laid.done[skill][stage.index()].is_some_and(|done| done < session)
        };
        let mut new = 0;
        for &skill in &self.skills[variant] {
            if laid.count[skill][stage.index()] == 0 && !stage.before().is_none_or(|b| earlier(skill, b)) {
                return false;
            }
            if self.is_new(skill, laid) {
                new += 1;
                if !self.needs[skill].iter().all(|(needed, at)| earlier(*needed, *at)) {
                    return false;
                }
            }
        }
        laid.new_in_week + new <= self.problem.new_skills_per_week
    }

    fn is_new(&self, skill: usize, laid: &Laid) -> bool {
        self.problem.skills[skill].present.is_none() && laid.count[skill] == [0; 4]
    }

    /// What laying a variant here is worth: exposures on the way to goals, the more urgent the longer the way; keeping
    /// what is under way from resting; and the strands that have had too little.
    fn worth(&self, variant: usize, session: usize, laid: &Laid) -> f64 {
        let v = &self.problem.variants[variant];
        let left = (self.problem.sessions.len() - session) as f64;
        let mut worth = 0.0;
        for &skill in &self.skills[variant] {
            let wish = &self.problem.skills[skill];
            let missing = |stage: Stage| {
                self.problem.approach.needed(stage).saturating_sub(laid.count[skill][stage.index()])
            };
            let way: u32 = wish.way().map(missing).sum();
            let wanted = wish.way().any(|s| s == v.stage) && missing(v.stage) > 0;
            let seen_today = laid.last[skill] == Some(session);
            let rest = laid.last[skill].map_or(0, |before| {
                let dates = &self.problem.sessions;
                (dates[session].date - dates[before].date).get_days()
            });
            // The nearer the chain comes to the sessions that are left, the less it can wait.
            let slack = left - f64::from(self.still(skill, &laid.count));
            worth += if wanted { 4.0 + 8.0 * (-slack.max(-2.0) / 3.0).exp() } else { 0.4 };
            worth += if way > 0 { 0.4 * f64::from(rest) } else { 0.05 * f64::from(rest) };
            worth -= if seen_today { 3.0 } else { 0.0 };
        }
        worth += 0.35 * self.lack(variant, laid);
        worth - 0.3 * f64::from(v.laying_out.0)
    }

    /// How many percentage points the strands of a variant lack so far.
    fn lack(&self, variant: usize, laid: &Laid) -> f64 {
        let all: f64 = laid.minutes.iter().sum::<f64>().max(1.0);
        let strands = &self.problem.variants[variant].strands;
        Strand::ALL
            .into_iter()
            .filter_map(|strand| Some((strand, strands.get(&strand)?.0)))
            .map(|(strand, part)| {
                let target = self.problem.shares.get(&strand).copied().unwrap_or_default();
                part * (target.percent() - 100.0 * laid.minutes[strand.index()] / all)
            })
            .sum()
    }

    fn lay(&self, variant: usize, session: usize, laid: &mut Laid) {
        let v = &self.problem.variants[variant];
        for &skill in &self.skills[variant] {
            laid.new_in_week += u32::from(self.is_new(skill, laid));
            let count = &mut laid.count[skill][v.stage.index()];
            *count += 1;
            if *count == self.problem.approach.needed(v.stage) {
                laid.done[skill][v.stage.index()] = Some(session);
            }
            laid.last[skill] = Some(session);
        }
        self.count_minutes(variant, f64::from(v.least.0), laid);
    }

    fn count_minutes(&self, variant: usize, minutes: f64, laid: &mut Laid) {
        for (strand, share) in &self.problem.variants[variant].strands {
            laid.minutes[strand.index()] += minutes * share.0;
        }
    }
}
