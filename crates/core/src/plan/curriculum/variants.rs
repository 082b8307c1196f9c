//! Which variants may serve a curriculum, and with which foot?
//!
//! Every rung of a drill is a variant. What else there is follows from the side policy:
//!
//! - *Equal*: the rungs as they are.
//! - *More with the other foot*: each rung that both feet share also with the other foot alone, as far as the drill can
//!   be done so; the plan takes them until the wished share of touches is reached (S9).
//! - *Strong foot first*: at Form and Flow each such rung with either foot alone, and a ladder of its own for the other
//!   foot: a second wish that needs the first at Flow. What both feet do together is an exposure of both ladders. Scan
//!   and Contest have one ladder: the game asks for either foot.

use std::collections::{BTreeMap, BTreeSet};

use super::{Curriculum, Goal};
use crate::academy::Academy;
use crate::academy::band::Band;
use crate::drill::cautions::Caution;
use crate::drill::dose::Schedule;
use crate::drill::levers::Levers;
use crate::drill::timing::Timing;
use crate::drill::{Drill, Rung};
use crate::ground::fit::{Ground, Misfit, fit, laying_out};
use crate::ground::layout::Layout;
use crate::ids::SkillId;
use crate::plan::{Barred, Problem, SidedTouches, SkillWish, Variant, VariantId};
use crate::technique::skill::{Foot, Need, SidePolicy, Skill, Stage};
use crate::units::{Pace, Seconds, Share};

/// The last stage that each foot climbs on its own.
const OWN_LADDER: Stage = Stage::Flow;

impl Goal {
    /// Whether the other foot is not yet beyond the end of the ladder that it could have of its own.
    fn other_foot_has_to_climb(&self) -> bool {
        self.other_foot.is_none_or(|at| at <= self.goal.min(OWN_LADDER))
    }

    /// Whether each stage that a foot has still to climb on its own has a variant for that foot.
    fn each_foot_climbs(&self, variants: &[Variant]) -> bool {
        let Some(other) = self.skill.other_foot() else { return false };
        let way = |present: Option<Stage>| {
            let own = Stage::ALL.into_iter().filter(|stage| *stage <= self.goal.min(OWN_LADDER));
            own.filter(move |stage| present.is_none_or(|at| *stage >= at))
        };
        let any = |stage: Stage, serves: &dyn Fn(&[SkillId]) -> bool| {
            variants.iter().any(|v| v.stage == stage && v.barred.is_none() && serves(&v.skills))
        };
        let strong = |shown: &[SkillId]| shown.contains(&self.skill) && !shown.contains(&other);
        way(self.present).all(|stage| any(stage, &strong))
            && way(self.other_foot).all(|stage| any(stage, &|shown| shown.contains(&other)))
    }
}

/// What a curriculum is joined with.
pub(super) struct Given<'l> {
    pub academy: &'l Academy,
    pub band: &'l Band,
    pub skills: &'l BTreeMap<&'l str, &'l Skill>,
    /// The same in their order.
    pub shelf: &'l [Skill],
    pub wanted: &'l BTreeSet<&'l str>,
    /// Goals that are carried over to the other foot.
    pub carried: BTreeSet<SkillId>,
}

impl Curriculum {
    /// The policy of a skill in this curriculum.
    fn side_of(&self, skill: &str, library: &Given<'_>) -> SidePolicy {
        library.skills.get(skill).map_or(SidePolicy::NotSided, |skill| self.side_for(skill))
    }

    fn side_for(&self, skill: &Skill) -> SidePolicy {
        match skill.side {
            SidePolicy::NotSided => SidePolicy::NotSided,
            own => self.side.unwrap_or(own),
        }
    }

    /// Every variant of some drills. Settles which goals have a ladder for each foot: those with the strong foot first
    /// whose other foot is not there yet, as far as each stage that either foot climbs has a variant for it.
    pub(super) fn all_variants(&self, drills: &[Drill], library: &mut Given<'_>) -> Vec<Variant> {
        let wanted = self.goals.iter().filter(|goal| self.wants_each_foot(goal, library));
        library.carried = wanted.map(|goal| goal.skill.clone()).collect();
        loop {
            let variants: Vec<Variant> =
                drills.iter().flat_map(|drill| self.variants(drill, library)).collect();
            let before = library.carried.len();
            let lacks = |goal: &&Goal| !goal.each_foot_climbs(&variants);
            for goal in self.goals.iter().filter(lacks) {
                library.carried.remove(&goal.skill);
            }
            if library.carried.len() == before {
                return variants;
            }
        }
    }

    /// The goals for which the strong foot should come first, and whose feet share one ladder all the same: at some
    /// stage no drill is for one foot alone.
    pub fn feet_not_parted(&self, problem: &Problem, skills: &[Skill]) -> Vec<SkillId> {
        let strong_first = |goal: &&Goal| {
            let skill = skills.iter().find(|skill| skill.id == goal.skill);
            skill.is_some_and(|skill| self.side_for(skill) == SidePolicy::StrongFirst)
                && goal.other_foot_has_to_climb()
        };
        let parted =
            |goal: &&Goal| problem.skills.iter().any(|wish| wish.carries.as_ref() == Some(&goal.skill));
        let all = self.goals.iter().filter(strong_first).filter(|goal| !parted(goal));
        all.map(|goal| goal.skill.clone()).collect()
    }

    fn wants_each_foot(&self, goal: &Goal, library: &Given<'_>) -> bool {
        let free = |id: &SkillId| !library.wanted.contains(id.as_str());
        self.side_of(&goal.skill, library) == SidePolicy::StrongFirst
            && goal.skill.other_foot().is_some_and(|id| free(&id))
            && goal.other_foot_has_to_climb()
    }

    /// The wishes, each that is carried over followed by that of the other foot.
    pub(super) fn with_other_feet(
        &self,
        wishes: Vec<SkillWish>,
        carried: &BTreeSet<SkillId>,
    ) -> Vec<SkillWish> {
        let other = |wish: &SkillWish| {
            let goal = self.goals.iter().find(|goal| goal.skill == wish.id && carried.contains(&wish.id))?;
            let upto = wish.goal.min(OWN_LADDER);
            Some(SkillWish {
                id: wish.id.other_foot()?,
                present: goal.other_foot,
                goal: upto,
                needs: vec![Need { skill: wish.id.clone(), stage: upto }],
                carries: Some(wish.id.clone()),
                last_shown: None,
                ..wish.clone()
            })
        };
        wishes.into_iter().flat_map(|wish| [other(&wish), Some(wish)].into_iter().rev().flatten()).collect()
    }

    /// The skills that a drill shows at a stage; `None` if it shows none, or one that is no goal.
    fn serves(&self, drill: &Drill, stage: Stage, library: &Given<'_>) -> Option<Vec<SkillId>> {
        let skills: Vec<SkillId> = drill.skills_at(stage).cloned().collect();
        let all_wanted = skills.iter().all(|skill| library.wanted.contains(skill.as_str()));
        (!skills.is_empty() && all_wanted).then_some(skills)
    }

    /// The variants of a drill: its rungs, and what the side policy makes of them.
    fn variants(&self, drill: &Drill, library: &Given<'_>) -> Vec<Variant> {
        let mut all = Vec::new();
        for stage in Stage::ALL {
            let Some(skills) = self.serves(drill, stage, library) else { continue };
            let rungs = drill.rungs_at(stage, &library.academy.lever_points);
            let mut alone: Vec<Levers> = Vec::new();
            for (number, rung) in (1..).zip(&rungs) {
                let id = |foot| VariantId { drill: drill.id.clone(), stage, rung: number, foot };
                all.extend(self.variant(drill, id(None), &rung.levers, library));
                for foot in self.feet_alone(drill, stage, rung, &skills, library) {
                    let levers = rung.levers.with_foot(foot);
                    let is_rung = |rung: &&Rung| {
                        rung.levers == levers && drill.foot_at(&levers, library.band) == Some(foot)
                    };
                    if !alone.contains(&levers) && !rungs.iter().any(is_rung) {
                        all.extend(self.variant(drill, id(Some(foot)), &levers, library));
                        alone.push(levers);
                    }
                }
            }
        }
        all
    }

    /// With which foot alone a rung that both share is also laid.
    fn feet_alone(
        &self,
        drill: &Drill,
        stage: Stage,
        rung: &Rung,
        skills: &[SkillId],
        library: &Given<'_>,
    ) -> Vec<Foot> {
        let more = |skill: &SkillId| self.side_of(skill, library) == SidePolicy::OtherMore;
        let wished: &[Foot] =
            if stage <= OWN_LADDER && skills.iter().any(|skill| library.carried.contains(skill)) {
                &Foot::ALL
            } else if skills.iter().any(more) {
                &[Foot::Other]
            } else {
                &[]
            };
        let shared = drill.foot_at(&rung.levers, library.band).is_none();
        wished.iter().copied().filter(|foot| shared && drill.can_use_only(*foot, library.band)).collect()
    }

    /// The wishes that a variant is an exposure of.
    fn exposes(
        &self,
        drill: &Drill,
        id: &VariantId,
        foot: Option<Foot>,
        library: &Given<'_>,
    ) -> Option<Vec<SkillId>> {
        let skills = self.serves(drill, id.stage, library)?;
        let has_own = |skill: &SkillId| id.stage <= OWN_LADDER && library.carried.contains(skill);
        // Who has no choice does not open the other foot's ladder.
        let both = foot.is_none() && drill.can_use_only(Foot::Other, library.band);
        let of_skill = |skill: SkillId| {
            let other = skill.other_foot().filter(|_| has_own(&skill) && (both || foot == Some(Foot::Other)));
            let first = (other.is_none() || both).then_some(skill);
            first.into_iter().chain(other)
        };
        Some(skills.into_iter().flat_map(of_skill).collect())
    }

    /// A drill with its levers set so; `None` if the band does not do it, or if it serves a skill that is no goal.
    fn variant(&self, drill: &Drill, id: VariantId, levers: &Levers, library: &Given<'_>) -> Option<Variant> {
        let Given { academy, band, .. } = library;
        let (stage, foot) = (id.stage, id.foot.or_else(|| drill.foot_at(levers, band)));
        let layout = drill.layout_at(levers, Pace::default()).ok()?;
        let fit = fit(&layout, &drill.station, &self.ground, None);
        let schedule = drill.schedule(band, &layout)?.for_foot(foot);
        let turns = drill.turns(&fit);
        let (least, most) = drill.minutes(schedule, band, turns)?;
        let usual = schedule.block(band.explaining, turns).clamp(least, most);
        let filled = schedule.filling(usual, band.explaining, turns);
        let touching = drill.touching(levers, band, library.shelf, (&layout, foot));
        let timing = Timing::of(&filled, band.explaining, turns, touching, fit.working_share);
        let per_min = |touches: u32| f64::from(touches) / f64::from(usual.0.max(1));
        let (strong, other) = (per_min(timing.touches.strong), per_min(timing.touches.other));
        let work = filled.work().0 * f64::from(turns) * fit.working_share.0;
        let home_only = drill.home.filter(|home| home.only).map(|_| Misfit::HomeOnly.into());
        let misfit = home_only.or(fit.misfit);
        let heads = drill.cautions.contains(&Caution::Heading);
        let blocked = drill.blocked(band, academy).map(|why| Barred::H6(why.into()));
        let of_drill = Variant::of(&drill.id, stage, &[]);
        Some(Variant {
            levers: *levers,
            foot,
            title: drill.title.clone(),
            parts: parts(drill, &schedule),
            strands: drill.strands.clone(),
            least,
            most,
            usual,
            laying_out: laying_out(fit.markers_needed, self.ground.adults),
            difficulty: drill.difficulty_at(levers, &academy.lever_points),
            intensity: levers.intensity(),
            warm_up: drill.warms_up(levers),
            bout: if schedule.dose.is_unbroken() { schedule.longest() } else { Seconds(0.0) },
            aerial: drill.cautions.contains(&Caution::Aerial),
            // Touches are shared alike among the surfaces that play the ball.
            headers_per_min: if heads { (strong + other) / drill.surfaces.len().max(1) as f64 } else { 0.0 },
            touches: self.other_foot(drill, stage, library).map_or(SidedTouches::default(), |wanted| {
                SidedTouches { strong_per_min: strong, other_per_min: other, other_wanted: wanted }
            }),
            waiting: timing.waiting_share,
            working: Share((work / usual.seconds().0.max(1.0)).clamp(0.0, 1.0)),
            halves: self.ground.halves().iter().any(|half| fit_on(drill, &layout, half)),
            barred: blocked.or(misfit.map(Barred::H5)),
            skills: self.exposes(drill, &id, foot, library)?,
            id,
            ..of_drill
        })
    }

    /// The share of touches that the other foot is to get in skills done together: their mean; `None` if none of
    /// them is side-specific.
    fn other_foot(&self, drill: &Drill, stage: Stage, library: &Given<'_>) -> Option<Share> {
        let of_skill = |id: &SkillId| self.side_of(id, library).other_foot();
        let shares: Vec<f64> = drill.skills_at(stage).filter_map(of_skill).map(|share| share.0).collect();
        (!shares.is_empty()).then(|| Share(shares.iter().sum::<f64>() / shares.len() as f64))
    }
}

/// Which share of the work of a series each of its skills has; nothing of a drill that is none.
fn parts(drill: &Drill, schedule: &Schedule) -> BTreeMap<SkillId, Share> {
    let mut parts: BTreeMap<SkillId, Share> = BTreeMap::new();
    let moves = drill.series.iter().flat_map(|series| series.of_dose(&schedule.dose));
    for skill in moves.filter_map(|each| each.skill.clone()) {
        let part = parts.entry(skill).or_default();
        *part = *part + schedule.share_of_a_move();
    }
    parts
}

fn fit_on(drill: &Drill, layout: &Layout, ground: &Ground) -> bool {
    fit(layout, &drill.station, ground, None).fits
}
