//! Drills: what is done, with which layout, dose and points to look for?

pub mod cautions;
pub mod cues;
pub mod desk;
pub mod dose;
mod feet;
pub mod levers;
pub mod library;
pub mod series;
pub mod technique;
pub mod timing;

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use crate::academy::Academy;
use crate::academy::band::Band;
use crate::drill::cautions::{Blocked, Caution, blocked};
use crate::drill::cues::CueWish;
use crate::drill::dose::{Dose, Schedule};
use crate::drill::levers::{Intensity, Lever, LeverPoints, Levers, Offered, Pressure, Space, TIGHT};
use crate::drill::series::Series;
use crate::ground::fit::{Fit, Station};
use crate::ground::layout::{Fault, Layout};
use crate::ids::{BandId, DrillId, SkillId, TestId};
use crate::technique::skill::{Stage, Strand};
use crate::technique::surface::Surface;
use crate::units::{Difficulty, Metres, Minutes, Pace, Share};

mod check;

pub use check::{DrillFault, Shelf};

/// No block is planned shorter than this: below it a drill is over before it has begun (an assumption).
pub const SHORTEST_BLOCK: Minutes = Minutes(5);

/// A skill that a drill serves.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Serves {
    /// The skill.
    pub skill: SkillId,
    /// At which stages.
    pub stages: Vec<Stage>,
}

/// One rung of a drill: the settings of its levers.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Rung {
    /// The settings.
    pub levers: Levers,
    /// A stage that does not follow from the settings, and why.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub stage: Option<StageSaid>,
}

impl Rung {
    /// The stage that a child works at: what the rung says, else what its settings give.
    pub fn stage(&self) -> Stage {
        self.stage.as_ref().map_or_else(|| self.levers.stage(), |said| said.stage)
    }
}

/// A stage that somebody has set, with the reason.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct StageSaid {
    /// The stage.
    pub stage: Stage,
    /// Why it is not the one that the settings give.
    pub reason: String,
}

/// What does instead, where kit is missing.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct StandIn {
    /// What the drill asks for: "markers".
    pub kit: String,
    /// What does instead: "stones, hats, bottles".
    pub instead: String,
}

/// Floor for one player at home.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct HomeSpace {
    /// At least so wide.
    #[serde(rename = "width_m")]
    pub width: Metres,
    /// At least so deep.
    #[serde(rename = "depth_m")]
    pub depth: Metres,
    /// Whether it is for home alone: no session takes it.
    #[serde(default, skip_serializing_if = "is_no")]
    pub only: bool,
}

fn is_no(only: &bool) -> bool {
    !only
}

/// What goes wrong, why, and what to say or change.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct FaultSeen {
    /// What you see.
    pub see: String,
    /// Why it happens.
    pub why: String,
    /// What to say or change.
    pub say: String,
}

/// An exercise.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Drill {
    /// As `weave-there-and-back`.
    pub id: DrillId,
    /// As a coach says it.
    pub title: String,
    /// One sentence: what it is for.
    pub purpose: String,
    /// When it is used in a game.
    pub in_game: String,
    /// Which skills it serves, at which stages.
    pub serves: Vec<Serves>,
    /// How its minutes count for the strands; the shares sum to one.
    pub strands: BTreeMap<Strand, Share>,
    /// Surfaces of the foot and body that play the ball.
    pub surfaces: Vec<Surface>,
    /// Players at one station.
    pub station: Station,
    /// The layout text.
    pub layout: String,
    /// What the feet do, beat by beat, where it is another score than that of the skill that leads the drill.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub score: Option<String>,
    /// The dose for each band that does it.
    pub doses: BTreeMap<BandId, Dose>,
    /// Base difficulty, 0 to 10.
    pub difficulty: Difficulty,
    /// The levers that apply to it, with the settings that it offers.
    pub levers: Offered,
    /// Its sensible variants.
    pub rungs: Vec<Rung>,
    /// Touches per second of work at each stage; assumptions until somebody counts.
    pub touches_per_s: BTreeMap<Stage, f64>,
    /// The same for bands that touch the ball more or less often than others.
    #[serde(default, skip_serializing_if = "BTreeMap::is_empty")]
    pub touches_by_band: BTreeMap<BandId, BTreeMap<Stage, f64>>,
    /// What to look for, in order, short enough to say aloud.
    pub points: Vec<String>,
    /// The usual faults and their mends.
    pub faults: Vec<FaultSeen>,
    /// What does instead, where kit is missing.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub stand_ins: Vec<StandIn>,
    /// What could hurt.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub cautions: Vec<Caution>,
    /// The test that measures it.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub test: Option<TestId>,
    /// The least floor for one player at home, if it can be done there.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub home: Option<HomeSpace>,
    /// What is called, if it answers calls.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub cues: Option<CueWish>,
    /// The number of moves in the chain that players make up themselves, if they do; chains to try are offered with it.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub own_chain: Option<u32>,
    /// The moves that follow each other on one clock, where a dose is a series.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub series: Option<Series>,
}

/// A rung of a drill's ladder.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Step {
    /// The settings.
    pub levers: Levers,
    /// The stage worked at.
    pub stage: Stage,
    /// How hard.
    pub difficulty: Difficulty,
}

/// The next step that a logged success share proposes.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Proposal {
    /// The lever to change.
    pub lever: Lever,
    /// All settings after it.
    pub levers: Levers,
    /// How hard it then is.
    pub difficulty: Difficulty,
}

/// Steps that differ by less than this are equally hard.
const SAME: f64 = 1e-9;

impl Drill {
    /// The same drill with the dose of one band for another as well; `None` if it has no such dose, or has one for the
    /// other band already.
    pub fn dosed_as(mut self, like: &BandId, band: &BandId) -> Option<Drill> {
        let dose = self.doses.get(like).cloned().filter(|_| !self.doses.contains_key(band))?;
        self.doses.insert(band.clone(), dose);
        Some(self)
    }

    /// The skills that get an exposure when the drill is done at a stage.
    pub fn skills_at(&self, stage: Stage) -> impl Iterator<Item = &SkillId> {
        self.serves.iter().filter(move |s| s.stages.contains(&stage)).map(|s| &s.skill)
    }

    /// The strand that takes most of it.
    pub fn main_strand(&self) -> Strand {
        let most = self.strands.iter().max_by(|a, b| a.1.0.total_cmp(&b.1.0));
        most.map_or(Strand::BallMastery, |(strand, _)| *strand)
    }

    /// The easiest rung for each stage, in the order of the stages.
    ///
    /// A stage that no rung reaches is left out.
    pub fn stages(&self, table: &LeverPoints) -> Vec<(Stage, &Rung)> {
        Stage::ALL.into_iter().filter_map(|stage| Some((stage, self.rung_at(stage, table)?))).collect()
    }

    /// The easiest rung of a stage.
    pub fn rung_at(&self, stage: Stage, table: &LeverPoints) -> Option<&Rung> {
        self.rungs_at(stage, table).first().copied()
    }

    /// The rungs of a stage, the easiest first; each once, however often it was written.
    pub fn rungs_at(&self, stage: Stage, table: &LeverPoints) -> Vec<&Rung> {
        let mut rungs: Vec<&Rung> = Vec::new();
        for rung in self.rungs.iter().filter(|rung| rung.stage() == stage) {
            if !rungs.iter().any(|known| known.levers == rung.levers) {
                rungs.push(rung);
            }
        }
        rungs.sort_by(|a, b| a.levers.points(table).total_cmp(&b.levers.points(table)));
        rungs
    }

    /// A rung of a stage by its number, from 1: the easiest; `None` if the drill has no such rung.
    pub fn rung(&self, stage: Stage, number: u8, table: &LeverPoints) -> Option<&Rung> {
        self.rungs_at(stage, table).get(usize::from(number).checked_sub(1)?).copied()
    }

    /// How hard it is with its levers set so: its base plus their points.
    pub fn difficulty_at(&self, levers: &Levers, table: &LeverPoints) -> Difficulty {
        self.difficulty + Difficulty(levers.points(table))
    }

    /// The stage with its levers set so: what a rung with these settings says, or one that differs by the foot alone,
    /// else what the settings give.
    pub fn stage_at(&self, levers: &Levers) -> Stage {
        let but_for_the_foot = |rung: &&Rung| Levers { side: levers.side, ..rung.levers } == *levers;
        let exact = self.rungs.iter().find(|rung| rung.levers == *levers);
        exact.or_else(|| self.rungs.iter().find(but_for_the_foot)).map_or_else(|| levers.stage(), Rung::stage)
    }

    /// Its sensible variants by difficulty, the easiest first.
    pub fn ladder(&self, table: &LeverPoints) -> Vec<Step> {
        let step = |rung: &Rung| Step {
            levers: rung.levers,
            stage: rung.stage(),
            difficulty: self.difficulty_at(&rung.levers, table),
        };
        let mut steps: Vec<Step> = self.rungs.iter().map(step).collect();
        steps.sort_by(|a, b| a.difficulty.0.total_cmp(&b.difficulty.0));
        steps
    }

    /// The next harder rung than these settings.
    pub fn one_up(&self, levers: &Levers, table: &LeverPoints) -> Option<Step> {
        let now = self.difficulty_at(levers, table).0;
        self.ladder(table).into_iter().find(|step| step.difficulty.0 > now + SAME)
    }

    /// The next easier rung than these settings.
    pub fn one_down(&self, levers: &Levers, table: &LeverPoints) -> Option<Step> {
        let now = self.difficulty_at(levers, table).0;
        self.ladder(table).into_iter().rev().find(|step| step.difficulty.0 < now - SAME)
    }

    /// What a logged success share proposes: above the window the next harder setting, below it the next easier one,
    /// of the cheapest lever. A lever that needs no new layout is cheaper than the space; among those the smallest
    /// change of difficulty is cheapest. Nothing inside the window, or where no lever is left.
    pub fn propose(
        &self,
        levers: &Levers,
        success: Share,
        window: (Share, Share),
        table: &LeverPoints,
    ) -> Option<Proposal> {
        let harder = if success > window.1 {
            true
        } else if success < window.0 {
            false
        } else {
            return None;
        };
        let now = self.difficulty_at(levers, table).0;
        let changes = Lever::ALL.iter().flat_map(|lever| {
            self.levers.of(*lever).into_iter().map(move |at| (*lever, levers.with(*lever, at)))
        });
        changes
            .map(|(lever, levers)| Proposal { lever, levers, difficulty: self.difficulty_at(&levers, table) })
            .filter(
                |next| if harder { next.difficulty.0 > now + SAME } else { next.difficulty.0 < now - SAME },
            )
            .min_by(|a, b| {
                let cost = |next: &Proposal| (next.lever == Lever::Space, (next.difficulty.0 - now).abs());
                let (a, b) = (cost(a), cost(b));
                a.0.cmp(&b.0).then(a.1.total_cmp(&b.1))
            })
    }

    /// The floor with the levers set so. A drill that offers its space takes less or more of the lengths that it says.
    pub fn layout_at(&self, levers: &Levers, pace: Pace) -> Result<Layout, Vec<Fault>> {
        match self.layout_partly(levers, pace) {
            (layout, faults) if faults.is_empty() => Ok(layout),
            (_, faults) => Err(faults),
        }
    }

    /// The same, with what reads of a text that has faults.
    pub fn layout_partly(&self, levers: &Levers, pace: Pace) -> (Layout, Vec<Fault>) {
        let scale = if self.levers.space.is_empty() { 1.0 } else { levers.scale() };
        Layout::read_partly(&self.layout, pace, scale)
    }

    /// The floor laid tight, if the drill offers that.
    pub fn tighter(&self, pace: Pace) -> Option<Layout> {
        if !self.levers.space.contains(&Space::Tight) {
            return None;
        }
        Layout::read_scaled(&self.layout, pace, TIGHT).ok()
    }

    /// The band's dose with its seconds known; `None` if the band does not do this drill.
    pub fn schedule(&self, band: &Band, layout: &Layout) -> Option<Schedule> {
        let schedule = self.doses.get(&band.id)?.scheduled(band.speeds.once_through(layout));
        Some(schedule.with_feet(self.series.iter().flat_map(Series::feet)))
    }

    /// Touches per second of work at a stage in a band.
    pub fn cadence(&self, stage: Stage, band: &str) -> f64 {
        let of_band = self.touches_by_band.get(band).and_then(|touches| touches.get(&stage));
        of_band.or_else(|| self.touches_per_s.get(&stage)).copied().unwrap_or(0.0)
    }

    /// The least and most minutes of a block: from half the band's sets to one and a half times, but never under
    /// [`SHORTEST_BLOCK`] nor over the band's longest block. `None` if the band has no room for it.
    pub fn minutes(&self, schedule: Schedule, band: &Band, turns: u32) -> Option<(Minutes, Minutes)> {
        let block = |sets: u32| schedule.with_sets(sets).block(band.explaining, turns);
        let least = block(schedule.sets().div_ceil(2).max(1)).max(SHORTEST_BLOCK);
        let most = block((schedule.sets() * 3).div_ceil(2)).max(least).min(band.longest_block);
        (least <= most).then_some((least, most))
    }

    /// How often the dose is done in turns at the largest station.
    pub fn turns(&self, fit: &Fit) -> u32 {
        let largest = fit.station_sizes.iter().max().copied().unwrap_or(1);
        largest.div_ceil(self.station.working.max(1)).max(1)
    }

    /// Whether a session may begin with it, its levers set so: nobody goes all out or is in the way, and nothing in
    /// it asks for warm muscles.
    pub fn warms_up(&self, levers: &Levers) -> bool {
        const COLD: [Caution; 4] = [Caution::Jumping, Caution::Aerial, Caution::Heading, Caution::Contact];
        levers.intensity() < Intensity::Hard
            && levers.pressure == Pressure::None
            && !self.cautions.iter().any(|caution| COLD.contains(caution))
    }

    /// Why it is not done in a band; `None` if it is.
    pub fn blocked(&self, band: &Band, academy: &Academy) -> Option<Blocked> {
        blocked(&self.cautions, band.youngest, academy.heading.as_ref())
    }
}
