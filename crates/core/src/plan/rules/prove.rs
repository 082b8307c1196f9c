//! Can it be done at all? An exact answer, for small problems.
//!
//! Session by session, every state that any legal beginning of a plan can leave is collected: how many exposures each
//! stage of each skill has had, and how many skills are new in the week. Blocks are taken at their least minutes, since
//! shorter blocks never break a rule that longer ones keep. The work grows with the number of states times the number
//! of sessions that can be laid, so it is only begun for small problems, and given up after [`MOST`] blocks.

use std::collections::BTreeSet;

use crate::plan::Ladder;
use crate::plan::search::table::{BlockRow, Table, When};
use crate::technique::skill::Stage;

/// How many blocks are laid before the question is given up.
const MOST: usize = 120_000;
/// Larger problems are not begun.
const SESSIONS: usize = 6;
const VARIANTS: usize = 14;

/// Exposures of each stage of each skill as far as they are required, then the new skills of the week.
type Reached = Vec<u8>;

/// Whether a legal plan reaches the goals of these skills; `None` if the problem is too large to say.
pub(in crate::plan) fn reachable(table: &Table<'_>, goals: &[usize]) -> Option<bool> {
    let headers = table.headers.is_finite() && table.variants.iter().any(|v| v.headers > 0.0);
    if headers || table.sessions.len() > SESSIONS || table.usable.len() > VARIANTS {
        return None;
    }
    let locked = table.read(None);
    let mut proof = Proof { table, laid: 0, after: BTreeSet::new() };
    let mut states = BTreeSet::from([vec![0; table.skills.len() * 4 + 1]]);
    for (session, locked) in locked.iter().enumerate() {
        proof.after.clear();
        let another_week = session > 0 && table.sessions[session].week != table.sessions[session - 1].week;
        for mut state in states {
            if another_week {
                state[table.skills.len() * 4] = 0;
            }
            // A skill that is tested here was met before.
            let untested = (0..table.skills.len()).any(|skill| {
                table.skills[skill].tested == When::In(session) && state[skill * 4..skill * 4 + 4] == [0; 4]
            });
            if !untested {
                proof.session_of(session, &state, &mut Vec::new(), &state.clone(), locked)?;
            }
        }
        states = std::mem::take(&mut proof.after);
    }
    let reached = |state: &Reached| {
        goals.iter().all(|skill| {
            (0..4).all(|stage| u32::from(state[skill * 4 + stage]) >= table.skills[*skill].way[stage])
        })
    };
    Some(states.iter().any(reached))
}

struct Proof<'t> {
    table: &'t Table<'t>,
    laid: usize,
    after: BTreeSet<Reached>,
}

impl Proof<'_> {
    /// Collects what every session that begins with these blocks leaves. `before` is the state at its start, `now` the
    /// state after the blocks, `locked` what still must be laid. `None` if that is too much work.
    fn session_of(
        &mut self,
        session: usize,
        before: &Reached,
        blocks: &mut Vec<BlockRow>,
        now: &Reached,
        locked: &[BlockRow],
    ) -> Option<()> {
        self.laid += 1;
        if self.laid > MOST {
            return None;
        }
        if locked.is_empty() {
            self.after.insert(now.clone());
        }
        let table = self.table;
        let free = table.usable.iter().map(|variant| {
            (
                BlockRow {
                    variant: *variant,
                    minutes: table.variants[*variant].least,
                    beside: None,
                    locked: false,
                },
                None,
            )
        });
        let all: Vec<(BlockRow, Option<usize>)> =
            free.chain(locked.iter().enumerate().map(|(at, laid)| (*laid, Some(at)))).collect();
        for (laid, lock) in all {
            blocks.push(laid);
            if self.table.breaches_of(session, blocks) == 0
                && let Some(next) = self.lay(session, before, now, blocks)
            {
                let left: Vec<BlockRow> =
                    (0..locked.len()).filter(|at| Some(*at) != lock).map(|at| locked[at]).collect();
                self.session_of(session, before, blocks, &next, &left)?;
            }
            blocks.pop();
        }
        Some(())
    }

    /// The state after the last block; `None` if it breaks H2, H3, H4 or begins something new too late.
    fn lay(&self, session: usize, before: &Reached, now: &Reached, blocks: &[BlockRow]) -> Option<Reached> {
        let table = self.table;
        let last = blocks.last()?;
        let row = &table.variants[last.variant];
        let there = i64::from(table.sessions[session].minutes);
        let begins = there - self.table.free(session, blocks) - i64::from(last.minutes);
        let done = |skill: usize, stage: usize| {
            table.skills[skill].done[stage] || u32::from(before[skill * 4 + stage]) >= table.needed[stage]
        };
        let mut next = now.clone();
        for &skill in &row.skills {
            let of = skill * 4;
            let first = row.stage > 0 && now[of + row.stage] == 0;
            let kept = match table.ladder {
                Ladder::Strict => !first || done(skill, row.stage - 1),
                Ladder::Overlapping => {
                    let earlier = row.stage.saturating_sub(1);
                    !first || table.skills[skill].done[earlier] || before[of + earlier] > 0
                }
                Ladder::Open => {
                    let led_to = |laid: &BlockRow| {
                        let other = &table.variants[laid.variant];
                        other.stage < row.stage && other.shows(skill)
                    };
                    row.stage != Stage::Contest.index()
                        || done(skill, Stage::Scan.index())
                        || blocks.iter().any(led_to)
                }
            };
            if !kept {
                return None;
            }
            if !table.skills[skill].met && now[of..of + 4] == [0; 4] {
                let ready = table.skills[skill].needs.iter().all(|(needed, stage)| done(*needed, *stage));
                let new = &mut next[table.skills.len() * 4];
                *new += u8::from(table.skills[skill].new);
                let late = table.skills[skill].new && begins * 2 >= there;
                if !ready || late || u32::from(*new) > table.new_per_week {
                    return None;
                }
            }
            let count = &mut next[of + row.stage];
            // A session counts once. More than is required changes nothing; at least one shows that it was met.
            *count = (before[of + row.stage] + 1).min(table.needed[row.stage].clamp(1, 255) as u8);
        }
        Some(next)
    }
}
