//! Edits: what a director changes in a plan by hand, and what it costs.
//!
//! An edit is always done, even where it breaks a rule: the breach is then shown where it stands. What cannot be done
//! at all (no such block, a block longer than its variant allows) errs with what would be right. Blocks that the
//! director sets are locked, so that replanning leaves them where they were put.

use serde::{Deserialize, Serialize};

use super::{Block, Lock, Part, PartPoints, Plan, Problem, Score, SkillWish, Variant, VariantId};
use crate::fact::{Fact, Value, facts};
use crate::ids::SkillId;
use crate::input::InputError;
use crate::plan::search::ledger::Ledger;
use crate::plan::search::table::{BlockRow, Table};
use crate::technique::skill::Stage;
use crate::units::Minutes;

/// A change of a plan. Sessions and blocks are counted from 0.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "edit", rename_all = "snake_case", deny_unknown_fields)]
pub enum Edit {
    /// Makes a block longer or shorter.
    Minutes {
        /// Its session.
        session: usize,
        /// Its place there.
        block: usize,
        /// How long it is to be.
        minutes: Minutes,
    },
    /// Does the block at another stage: the same drill if it has that stage, else another one for the same skill.
    Stage {
        /// Its session.
        session: usize,
        /// Its place there.
        block: usize,
        /// The stage.
        stage: Stage,
    },
    /// Lays another variant in its place.
    Replace {
        /// Its session.
        session: usize,
        /// Its place there.
        block: usize,
        /// What to lay.
        variant: VariantId,
    },
    /// Takes a block out.
    Remove {
        /// Its session.
        session: usize,
        /// Its place there.
        block: usize,
    },
    /// Shows a skill in a session, by the variant and at the place that break least and cost least.
    Show {
        /// In which session.
        session: usize,
        /// Which skill.
        skill: SkillId,
    },
    /// Moves a block, within its session or to another one.
    Move {
        /// Its session.
        session: usize,
        /// Its place there.
        block: usize,
        /// To which session.
        to: usize,
        /// To which place among the other blocks there; where it breaks least and costs least if nothing is said.
        at: Option<usize>,
    },
    /// Splits the squad: those who move on do another rung beside it. Without one, all do the same again.
    Split {
        /// Its session.
        session: usize,
        /// Its place there.
        block: usize,
        /// What those do who move on.
        beside: Option<VariantId>,
    },
    /// Locks a block.
    Lock {
        /// Its session.
        session: usize,
        /// Its place there.
        block: usize,
    },
    /// Unlocks a block.
    Unlock {
        /// Its session.
        session: usize,
        /// Its place there.
        block: usize,
    },
    /// Forgets a lock whose block is not there any more.
    Forget {
        /// The lock's place in the list of locks, from 0.
        lock: usize,
    },
}

facts! {
    /// Why an edit cannot be done.
    pub enum EditFault {
        Lasts = "edit-lasts" { title: String, least: Minutes, most: Minutes },
        NoLock = "edit-no-lock" { locks: usize },
        NoBlock = "edit-no-block" { session: usize, blocks: usize },
        NoSession = "edit-no-session" { session: usize, sessions: usize },
        NoVariant = "edit-no-variant" { id: VariantId },
        NoStage = "edit-no-stage" { skills: Value, stage: Stage },
        NoGoal = "edit-no-goal",
        NoDrill = "edit-no-drill" { skill: Value },
        UnknownVariant = "edit-unknown-variant",
        NothingToLay = "edit-nothing-to-lay",
        Breaks = "edit-breaks" { places: usize },
    }

    /// What a change of a plan costs: points, and what they come from.
    pub enum PriceSaid {
        Nothing = "price-nothing",
        More = "price-more" { points: f64 },
        Less = "price-less" { points: f64 },
        MoreBecause = "price-more-because" { points: f64, reasons: Vec<Fact> },
        LessBecause = "price-less-because" { points: f64, reasons: Vec<Fact> },
    }
}

/// What an edit leaves.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Edited {
    /// The plan.
    pub plan: Plan,
    /// The locks.
    pub locks: Vec<Lock>,
    /// Where the block stands that was edited: its session and place; `None` if it is gone.
    pub place: Option<(usize, usize)>,
}

/// Does an edit. The locks of the problem are those before it.
///
/// Errs where the edit names a session, block, variant or skill that is not there, or minutes that the variant does not
/// allow: with its place in the edit's JSON form and what would be right. An edit may break rules; what it breaks is
/// for [`check`](crate::plan::check) to say. Time: O(blocks); an edit that looks for the best place tries each place
/// of one session with each variant that serves, and the cost of each try does not grow with the plan.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::edit::EditFault;
/// use jogo_core::plan::{Edit, edit, solve};
/// let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 4, variants: 12 }, 1);
/// let plan = solve(&problem, 1, 2_000).unwrap().plan;
/// let edited = edit(&problem, &plan, &Edit::Remove { session: 0, block: 0 }).unwrap();
/// assert_eq!(edited.plan.sessions[0].len(), plan.sessions[0].len() - 1);
/// let wrong = edit(&problem, &plan, &Edit::Remove { session: 9, block: 0 }).unwrap_err();
/// assert_eq!(wrong.pointer, "/session");
/// assert_eq!(wrong.fact, EditFault::NoSession { session: 10, sessions: 4 }.into());
/// ```
pub fn edit(problem: &Problem, plan: &Plan, edit: &Edit) -> Result<Edited, InputError> {
    let mut hand =
        Hand { problem, edited: Edited { plan: plan.clone(), locks: problem.locks.clone(), place: None } };
    hand.edited.plan.sessions.resize(problem.sessions.len().max(plan.sessions.len()), Vec::new());
    hand.does(edit)?;
    Ok(hand.edited)
}

fn wrong(at: &str, fault: EditFault) -> InputError {
    InputError::at(format!("/{at}"), fault)
}

struct Hand<'p> {
    problem: &'p Problem,
    edited: Edited,
}

impl Hand<'_> {
    fn does(&mut self, edit: &Edit) -> Result<(), InputError> {
        match edit {
            Edit::Minutes { session, block, minutes } => {
                let laid = self.block(*session, *block)?;
                let (least, most) = self.lengths(&laid)?;
                if !(least..=most).contains(minutes) {
                    let title = self.title(&laid.variant);
                    return Err(wrong("minutes", EditFault::Lasts { title, least, most }));
                }
                self.set(*session, *block, Block { minutes: *minutes, ..laid });
            }
            Edit::Stage { session, block, stage } => {
                let laid = self.block(*session, *block)?;
                let variant = self.at_stage(&laid, *stage)?.clone();
                self.set(*session, *block, fitted(&variant, &laid));
            }
            Edit::Replace { session, block, variant } => {
                let laid = self.block(*session, *block)?;
                let variant = self.variant(variant, "variant")?.clone();
                self.set(*session, *block, fitted(&variant, &laid));
            }
            Edit::Remove { session, block } => {
                let laid = self.block(*session, *block)?;
                self.take(*session, *block, &laid);
            }
            Edit::Show { session, skill } => self.show(*session, skill)?,
            Edit::Move { session, block, to, at } => self.moves((*session, *block), *to, *at)?,
            Edit::Split { session, block, beside } => {
                let laid = self.block(*session, *block)?;
                let mut minutes = laid.minutes;
                if let Some(id) = beside {
                    let other = self.variant(id, "beside")?;
                    minutes = minutes.clamp(other.least, other.most);
                }
                self.set(*session, *block, Block { beside: beside.clone(), minutes, ..laid });
            }
            Edit::Lock { session, block } => {
                let laid = self.block(*session, *block)?;
                self.lock(*session, laid);
                self.edited.place = Some((*session, *block));
            }
            Edit::Unlock { session, block } => {
                let laid = self.block(*session, *block)?;
                self.unlock(*session, &laid);
                self.edited.place = Some((*session, *block));
            }
            Edit::Forget { lock } => {
                if *lock >= self.edited.locks.len() {
                    return Err(wrong("lock", EditFault::NoLock { locks: self.edited.locks.len() }));
                }
                self.edited.locks.remove(*lock);
            }
        }
        Ok(())
    }

    fn block(&self, session: usize, block: usize) -> Result<Block, InputError> {
        self.session(session, "session")?;
        let there = &self.edited.plan.sessions[session];
        there
            .get(block)
            .cloned()
            .ok_or_else(|| wrong("block", EditFault::NoBlock { session: session + 1, blocks: there.len() }))
    }

    fn session(&self, session: usize, at: &str) -> Result<(), InputError> {
        let sessions = self.problem.sessions.len();
        if session < sessions {
            return Ok(());
        }
        Err(wrong(at, EditFault::NoSession { session: session + 1, sessions }))
    }

    fn variant(&self, id: &VariantId, at: &str) -> Result<&Variant, InputError> {
        self.problem.variant(id).ok_or_else(|| wrong(at, EditFault::NoVariant { id: id.clone() }))
    }

    fn title(&self, id: &VariantId) -> String {
        self.problem.title(id).to_owned()
    }

    /// The least and most minutes of a block, of both variants if two lie side by side.
    fn lengths(&self, block: &Block) -> Result<(Minutes, Minutes), InputError> {
        let variant = self.variant(&block.variant, "block")?;
        let beside = block.beside.as_ref().and_then(|id| self.problem.variant(id)).unwrap_or(variant);
        Ok((variant.least.max(beside.least), variant.most.min(beside.most)))
    }

    fn lock(&mut self, session: usize, block: Block) {
        // As many locks as there are such blocks, at most.
        let same = self.edited.plan.sessions[session].iter().filter(|b| b.is_like(&block)).count();
        let locked =
            self.edited.locks.iter().filter(|l| l.session == session && l.block.is_like(&block)).count();
        if locked < same {
            self.edited.locks.push(Lock { session, block: block.unnamed() });
        }
    }

    fn unlock(&mut self, session: usize, block: &Block) {
        let at =
            self.edited.locks.iter().position(|lock| lock.session == session && lock.block.is_like(block));
        if let Some(at) = at {
            self.edited.locks.remove(at);
        }
    }

    /// Lays another block in the place of one, and locks it.
    fn set(&mut self, session: usize, at: usize, block: Block) {
        let before = self.edited.plan.sessions[session][at].clone();
        self.unlock(session, &before);
        self.edited.plan.sessions[session][at] = block.clone();
        self.lock(session, block);
        self.edited.place = Some((session, at));
    }

    fn take(&mut self, session: usize, at: usize, block: &Block) {
        self.edited.plan.sessions[session].remove(at);
        let same = self.edited.plan.sessions[session].iter().filter(|b| b.is_like(block)).count();
        let locked =
            self.edited.locks.iter().filter(|l| l.session == session && l.block.is_like(block)).count();
        if locked > same {
            self.unlock(session, block);
        }
    }

    /// The variant for the skills of a block at another stage: of the same drill, else of as many of its skills as can
    /// be, and as near in difficulty as can be.
    fn at_stage(&self, block: &Block, stage: Stage) -> Result<&Variant, InputError> {
        let variant = self.variant(&block.variant, "block")?;
        let shared = |v: &Variant| v.skills.iter().filter(|skill| variant.skills.contains(skill)).count();
        let far = |v: &Variant| (v.difficulty.0 - variant.difficulty.0).abs();
        let found = self
            .problem
            .variants
            .iter()
            .filter(|v| v.stage == stage && v.barred.is_none() && shared(v) > 0)
            .max_by(|a, b| {
                let rank = |v: &Variant| (v.drill == variant.drill, shared(v));
                rank(a).cmp(&rank(b)).then(far(b).total_cmp(&far(a)))
            });
        found.ok_or_else(|| {
            let wishes = self.problem.skills.iter().filter(|wish| variant.skills.contains(&wish.id));
            let skills = Value::All(wishes.map(SkillWish::quoted).collect());
            wrong("stage", EditFault::NoStage { skills, stage })
        })
    }

    fn show(&mut self, session: usize, skill: &str) -> Result<(), InputError> {
        self.session(session, "session")?;
        let Some(at) = self.problem.skill_index(skill) else {
            return Err(wrong("skill", EditFault::NoGoal));
        };
        let table = Table::of(self.problem);
        let serving = table.serving[at].iter().flatten().map(|variant| BlockRow {
            variant: *variant,
            minutes: table.variants[*variant].least,
            beside: None,
            locked: false,
        });
        let choices: Vec<BlockRow> = serving.collect();
        if choices.is_empty() {
            let skill = self.problem.skills[at].said();
            return Err(wrong("skill", EditFault::NoDrill { skill }));
        }
        let (laid, at) = self.best(&table, session, &choices)?;
        self.insert(session, at, laid);
        Ok(())
    }

    fn moves(
        &mut self,
        (session, block): (usize, usize),
        to: usize,
        at: Option<usize>,
    ) -> Result<(), InputError> {
        let laid = self.block(session, block)?;
        self.session(to, "to")?;
        self.take(session, block, &laid);
        let table = Table::of(self.problem);
        let at = match at {
            Some(at) => at.min(self.edited.plan.sessions[to].len()),
            None => {
                let there = table.laid(&laid).ok_or_else(|| wrong("block", EditFault::UnknownVariant))?;
                self.best(&table, to, &[there])?.1
            }
        };
        self.insert(to, at, laid);
        Ok(())
    }

    fn insert(&mut self, session: usize, at: usize, block: Block) {
        self.edited.plan.sessions[session].insert(at, block.clone());
        self.lock(session, block);
        self.edited.place = Some((session, at));
    }

    /// Which of some blocks, and at which place of a session, breaks least and then costs least; as long as there is
    /// time for it.
    fn best(
        &self,
        table: &Table<'_>,
        session: usize,
        choices: &[BlockRow],
    ) -> Result<(Block, usize), InputError> {
        let mut ledger = Ledger::of(table, table.places(&self.edited.plan), None);
        let there = ledger.session(session).to_vec();
        let mut best: Option<(i64, f64, BlockRow, usize)> = None;
        for choice in choices {
            for at in 0..=there.len() {
                let mut blocks = there.clone();
                blocks.insert(at, *choice);
                let free = table.free(session, &blocks);
                let longer = i64::from(choice.minutes) + free.max(0);
                let most = i64::from(table.variants[choice.variant].most);
                if choice.beside.is_none() && choices.len() > 1 {
                    blocks[at].minutes = longer.min(most) as u32;
                }
                ledger.replace(session, &blocks);
                let found = (ledger.breaches(), ledger.score());
                if best.as_ref().is_none_or(|(breaches, score, ..)| found < (*breaches, *score)) {
                    best = Some((found.0, found.1, blocks[at], at));
                }
            }
        }
        let (.., laid, at) = best.ok_or_else(|| wrong("session", EditFault::NothingToLay))?;
        let laid = table.plan(&[vec![laid]]).sessions.remove(0).remove(0);
        Ok((laid, at))
    }
}

/// The same block with another variant, as near in minutes as it allows; for the whole squad again. With another
/// drill it is another block.
fn fitted(variant: &Variant, block: &Block) -> Block {
    let id = block.id.filter(|_| variant.drill == block.variant.drill);
    Block { id, ..Block::of(&variant.id, block.minutes.clamp(variant.least, variant.most)) }
}

/// How a part of the score changes.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PartChange {
    /// The part, `S1` to `S17`.
    pub part: Part,
    /// Points more, or less if it is negative.
    pub points: f64,
    /// What is new in it.
    pub new: Vec<Fact>,
}

/// What a change of a plan costs.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Price {
    /// Points more, or less if it is negative.
    pub points: f64,
    /// The parts that change, the largest change first.
    pub parts: Vec<PartChange>,
    /// The same, with the two parts that it comes from most.
    pub says: Fact,
}

/// A change smaller than this is none.
const NOTHING: f64 = 0.05;

/// What it costs to go from one score to another. Time: O(facts in the two scores).
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Plan, price, score, solve};
/// let problem = example(ExampleSize { weeks: 2, sessions: 2, skills: 4, variants: 12 }, 1);
/// let laid = score(&problem, &solve(&problem, 1, 2_000).unwrap().plan);
/// let empty = score(&problem, &Plan { sessions: vec![vec![]; 4] });
/// let price = price(&laid, &empty);
/// assert_eq!(price.points, empty.total - laid.total);
/// assert!(price.says.to_string().contains("price-goals-more"), "{}", price.says);
/// ```
pub fn price(before: &Score, after: &Score) -> Price {
    let change = |(old, new): (&PartPoints, &PartPoints)| PartChange {
        part: new.part,
        points: new.points - old.points,
        new: new.from.iter().filter(|line| !old.from.contains(line)).cloned().collect(),
    };
    let mut parts: Vec<PartChange> = before.parts.iter().zip(&after.parts).map(change).collect();
    parts.retain(|part| part.points.abs() >= NOTHING);
    parts.sort_by(|a, b| b.points.abs().total_cmp(&a.points.abs()));
    let points = after.total - before.total;
    let reasons: Vec<Fact> = parts
        .iter()
        .filter(|part| part.points.signum() == points.signum())
        .take(2)
        .map(|part| part.part.turn(part.points > 0.0))
        .collect();
    let says = match (points.abs(), points < 0.0) {
        (size, _) if size < NOTHING && parts.is_empty() => PriceSaid::Nothing,
        (points, false) if reasons.is_empty() => PriceSaid::More { points },
        (points, true) if reasons.is_empty() => PriceSaid::Less { points },
        (points, false) => PriceSaid::MoreBecause { points, reasons },
        (points, true) => PriceSaid::LessBecause { points, reasons },
    };
    Price { points, parts, says: says.into() }
}

impl Part {
    /// What it means that the part rises, or falls: a fact whose code is made of both.
    fn turn(self, rises: bool) -> Fact {
        let word = self.word();
        Fact::plain(if rises { format!("price-{word}-more") } else { format!("price-{word}-less") })
    }

    /// The codes of both turns of every part.
    pub(crate) fn turns() -> impl Iterator<Item = Fact> {
        Part::ALL.into_iter().flat_map(|part| [part.turn(true), part.turn(false)])
    }
}
