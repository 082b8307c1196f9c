//! Next time: success in one block decides how hard the next block of its skill is.
//!
//! A coach says how many tries in ten succeeded. Above the approach's success window one rung harder is suggested for
//! the next block, below it one rung easier, within it the block as planned ([`NextTime::after`]). What the coach
//! accepts changes the team's plan; the edition stays as it was published. A rung is offered only if it makes the plan
//! break no further rule.
//!
//! The next block is the first one for any of the same skills, in a later session that is not over and of which nothing
//! was said. Where two blocks lead to the same next block, the second decision starts from what the first one made of
//! it.

use jiff::Timestamp;
use jiff::civil::Date;
use serde::Serialize;

use crate::delivery::edition::Edition;
use crate::delivery::team_plan::{Decided, TeamPlan};
use crate::delivery::{NextTime, Said};
use crate::drill::levers::Levers;
use crate::input::InputError;
use crate::plan::{Block, BlockId, Plan, Problem, Variant, VariantId, check};
use crate::technique::skill::{Foot, Stage};

/// The block that comes next of a skill, and how hard it can be.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Coming {
    /// The block that it comes after.
    pub after: BlockId,
    /// Its session, from 0.
    pub session: usize,
    /// The day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub date: Date,
    /// The title of its drill.
    pub title: String,
    /// As planned.
    pub planned: Setting,
    /// One rung easier; `None` if there is none that the plan allows.
    pub one_down: Option<Setting>,
    /// One rung harder; `None` if there is none that the plan allows.
    pub one_up: Option<Setting>,
    /// What is proposed when 0, 1 … 10 of ten tries came off.
    pub by_tenths: Vec<NextTime>,
    /// What a coach has decided.
    pub decided: Option<NextTime>,
}

/// How a drill is set.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Setting {
    /// The levers.
    pub levers: Levers,
    /// The foot that works alone; `None` where both do.
    pub foot: Option<Foot>,
    /// The stage worked at.
    pub stage: Stage,
}

impl From<&Variant> for Setting {
    fn from(variant: &Variant) -> Setting {
        Setting { levers: variant.levers, foot: variant.foot, stage: variant.stage }
    }
}

/// A block that is not as planned, by a coach's decision.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Stepped {
    /// Which block.
    pub block: BlockId,
    /// Harder or easier.
    pub next: NextTime,
}

/// What a coach decides after a block.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Decision {
    /// After which block.
    pub after: BlockId,
    /// What is to come.
    pub next: NextTime,
    /// When, by the coach's device.
    pub at: Timestamp,
}

/// A block that lies ahead, and the plan as it was before a coach decided about it.
struct Ahead<'p> {
    plan: Plan,
    at: (usize, usize),
    planned: &'p Variant,
}

impl TeamPlan {
    /// What comes next of the skills of each block of a session, for decisions on a day. Blocks whose skills do not
    /// come again are not in it.
    pub fn coming(
        &self,
        own: &Edition,
        problem: &Problem,
        said: &Said,
        session: usize,
        today: Date,
    ) -> Vec<Coming> {
        let problem = Problem { locks: Vec::new(), ..problem.clone() };
        let coming = |block: &Block| {
            let after = block.id?;
            let ahead = self.ahead(&own.plan, &problem, said, (session, block), today)?;
            let of = |next| Some(Setting::from(rung(&problem, &ahead, next)?));
            let of_drill = own.drill(&ahead.planned.drill);
            let window = problem.approach.success_window;
            Some(Coming {
                after,
                session: ahead.at.0,
                date: problem.sessions[ahead.at.0].date,
                title: of_drill.map_or_else(String::new, |drill| drill.title.clone()),
                planned: ahead.planned.into(),
                one_down: of(NextTime::OneDown),
                one_up: of(NextTime::OneUp),
                by_tenths: (0..=10).map(|tenths| NextTime::after(tenths, window)).collect(),
                decided: self.next_times.get(&after).map(|decided| decided.next),
            })
        };
        own.plan.sessions.get(session).into_iter().flatten().filter_map(coming).collect()
    }

    /// The blocks of a session that are harder or easier than planned, as a coach decided after an earlier one.
    pub fn stepped(&self, plan: &Plan, session: usize) -> Vec<Stepped> {
        let decided = |block: &Block| {
            let of_block = |each: &&Decided| {
                let became = each.change.as_ref().map(|[_, became]| became);
                each.block == block.id && became == Some(&block.variant)
            };
            let latest = self.next_times.values().filter(of_block).max_by_key(|each| each.at)?;
            Some(Stepped { block: block.id?, next: latest.next })
        };
        plan.sessions.get(session).into_iter().flatten().filter_map(decided).collect()
    }

    /// The next block of the skills of a block. If a coach has decided about one that still lies ahead, it is that one,
    /// as it was before.
    fn ahead<'p>(
        &self,
        plan: &Plan,
        problem: &'p Problem,
        said: &Said,
        (session, block): (usize, &Block),
        today: Date,
    ) -> Option<Ahead<'p>> {
        let lies_ahead = |at: usize, coming: &Block| {
            let day = problem.sessions.get(at).map(|session| session.date);
            at > session && day >= Some(today) && said.of(at, coming).is_none()
        };
        let mut plan = plan.clone();
        let decided = block.id.and_then(|id| self.next_times.get(&id));
        let taken = decided.and_then(|decided| Some((plan.place_of(decided.block?)?, decided)));
        if let Some((at, decided)) = taken.filter(|(at, _)| lies_ahead(at.0, &plan.sessions[at.0][at.1])) {
            let coming = &mut plan.sessions[at.0][at.1];
            // What has been replanned since then stays.
            if let Some([was, became]) = &decided.change
                && coming.variant == *became
            {
                coming.variant = was.clone();
            }
            let planned = problem.variant(&coming.variant)?;
            return Some(Ahead { at, planned, plan });
        }
        let skills = &problem.variant(&block.variant)?.skills;
        let found = plan.places().find_map(|(at, coming)| {
            let planned = problem.variant(&coming.variant)?;
            let same = coming.id.is_some() && planned.skills.iter().any(|skill| skills.contains(skill));
            (same && lies_ahead(at.0, coming)).then_some((at, planned))
        });
        found.map(|(at, planned)| Ahead { plan, at, planned })
    }

    /// The same with what a coach decided after a block: the next block of its skills is done as decided. An earlier
    /// decision after the same block gives way and a later one stays; of two made at the same moment, the one that
    /// arrives last holds. A decision that cannot be carried out is kept and changes nothing.
    ///
    /// Errs with the faults of the edition.
    pub fn with_next_time(
        mut self,
        published: &Edition,
        said: &Said,
        decision: &Decision,
        today: Date,
    ) -> Result<TeamPlan, Vec<InputError>> {
        let Decision { after, next, at } = *decision;
        let holds = |known: &Decided| known.at > at || (known.at == at && known.next == next);
        if self.next_times.get(&after).is_some_and(holds) {
            return Ok(self);
        }
        let own = self.edition(published)?.knowing(said)?;
        let problem = Problem { locks: Vec::new(), ..own.problem()? };
        let here =
            own.plan.place_of(after).map(|(session, place)| (session, &own.plan.sessions[session][place]));
        let ahead = here.and_then(|here| self.ahead(&own.plan, &problem, said, here, today));
        let mut decided = Decided { next, at, block: None, change: None };
        if let Some(mut ahead) = ahead {
            let to = rung(&problem, &ahead, next).map(|variant| variant.id.clone());
            let (session, place) = ahead.at;
            let coming = &mut ahead.plan.sessions[session][place];
            decided.block = coming.id;
            if let Some(to) = to.filter(|to| *to != coming.variant) {
                decided.change = Some([coming.variant.clone(), to.clone()]);
                coming.variant = to;
            }
            let meant = self.on_its_days(published)?.plan;
            self.plan = (ahead.plan != meant).then_some(ahead.plan);
        }
        self.next_times.insert(after, decided);
        Ok(self)
    }
}

/// The rung that a coming block is done at: the nearest one of its drill for the same skills and foot, if the plan then
/// breaks no rule that it keeps now.
fn rung<'p>(problem: &'p Problem, ahead: &Ahead<'_>, next: NextTime) -> Option<&'p Variant> {
    let planned = ahead.planned;
    let away = |variant: &Variant| match next {
        NextTime::OneUp => variant.difficulty.0 - planned.difficulty.0,
        NextTime::OneDown => planned.difficulty.0 - variant.difficulty.0,
        NextTime::Same => 0.0,
    };
    if next == NextTime::Same {
        return problem.variant(&planned.id);
    }
    let alike = |variant: &&Variant| {
        let VariantId { drill, foot, .. } = &variant.id;
        (drill, foot) == (&planned.id.drill, &planned.id.foot)
            && (variant.foot, &variant.skills) == (planned.foot, &planned.skills)
            && variant.barred.is_none()
            && away(variant) > 1e-9
    };
    // Of two that are as hard the one at the same stage.
    let leaves = |variant: &Variant| variant.stage != planned.stage;
    let nearer = |a: &&Variant, b: &&Variant| away(a).total_cmp(&away(b)).then(leaves(a).cmp(&leaves(b)));
    let nearest = problem.variants.iter().filter(alike).min_by(nearer)?;
    let known = check(problem, &ahead.plan);
    let mut changed = ahead.plan.clone();
    changed.sessions[ahead.at.0][ahead.at.1].variant = nearest.id.clone();
    let legal = check(problem, &changed).iter().all(|breach| known.contains(breach));
    legal.then_some(nearest)
}
