//! An evening: in which order, with which kit, and what to look for?

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::Serialize;

use crate::dose::{Dose, SideRule, touches};
use crate::drill::{Drill, FaultSeen, Rung};
use crate::edition::Edition;
use crate::fit::{Fit, fit};
use crate::layout::Layout;
use crate::layout::measure::Footprint;
use crate::levers::Sides;
use crate::plan::{Problem, Variant};
use crate::skill::{Stage, Strand};
use crate::units::{Minutes, Pace, Seconds, Share};

/// One evening, ready to be run.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Evening {
    /// Its place in the curriculum, from 0.
    pub session: usize,
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// The day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub date: Date,
    /// Minutes that there are.
    pub minutes: Minutes,
    /// Minutes that nothing is planned for.
    pub unused: Minutes,
    /// Markers to bring, by colour: the most that any block needs.
    pub kit: BTreeMap<String, u32>,
    /// What is done, in order.
    pub blocks: Vec<RunningBlock>,
}

/// Touches that one player gets, by foot.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FootTouches {
    /// With the strong foot.
    pub strong: u32,
    /// With the other foot.
    pub other: u32,
}

/// What happens in a stretch of the clock.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum PhaseKind {
    /// Explaining and showing.
    Explain,
    /// Work.
    Work,
    /// Rest.
    Rest,
}

/// A stretch of a block's clock.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Phase {
    /// What happens.
    pub kind: PhaseKind,
    /// How long.
    #[serde(rename = "seconds")]
    pub lasts: Seconds,
}

/// The clock of a block: explaining, then work and rest in turn, beginning and ending with work.
fn phases(explaining: Seconds, dose: &Dose, bouts: u32) -> Vec<Phase> {
    let mut phases = vec![Phase { kind: PhaseKind::Explain, lasts: explaining }];
    for bout in 0..bouts {
        if bout > 0 && dose.rest() > Seconds(0.0) {
            phases.push(Phase { kind: PhaseKind::Rest, lasts: dose.rest() });
        }
        phases.push(Phase { kind: PhaseKind::Work, lasts: dose.bout() });
    }
    phases
}

/// A block of an evening, with all that a coach needs to run it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RunningBlock {
    /// Name of the drill in files.
    pub drill: String,
    /// Its title.
    pub title: String,
    /// What it is for.
    pub purpose: String,
    /// When it is used in a game.
    pub in_game: String,
    /// The stage worked at.
    pub stage: Stage,
    /// The strand that takes most of it.
    pub strand: Strand,
    /// Skills that get an exposure, by name.
    pub skills: Vec<String>,
    /// Minutes after the evening's start at which it begins, laying out included.
    pub starts: Minutes,
    /// Laying out before it.
    pub laying_out: Minutes,
    /// Length of the block.
    pub minutes: Minutes,
    /// Explaining and showing.
    #[serde(rename = "explaining_s")]
    pub explaining: Seconds,
    /// One bout of work.
    #[serde(rename = "work_s")]
    pub work: Seconds,
    /// Rest between bouts.
    #[serde(rename = "rest_s")]
    pub rest: Seconds,
    /// Bouts, turns at the station included.
    pub bouts: u32,
    /// The clock, stretch by stretch.
    pub phases: Vec<Phase>,
    /// Work to rest in lowest terms.
    pub work_to_rest: Option<String>,
    /// Players at each station.
    pub station_sizes: Vec<u32>,
    /// Markers for all stations, by colour.
    pub markers: BTreeMap<String, u32>,
    /// Floor of one station.
    pub footprint: Footprint,
    /// Touches per player. The cadence behind it is an assumption.
    pub touches: FootTouches,
    /// Share of the dose in which a player waits.
    pub waiting_share: Share,
    /// The floor, as SVG.
    pub drawing: String,
    /// The layout text.
    pub layout: String,
    /// What to look for.
    pub points: Vec<String>,
    /// The usual faults.
    pub faults: Vec<FaultSeen>,
    /// What could hurt.
    pub cautions: Vec<String>,
}

impl Edition {
    /// The running order of a session; nothing if the plan has no such session.
    pub fn evening(&self, problem: &Problem, session: usize) -> Option<Evening> {
        let wish = problem.sessions.get(session)?;
        let mut blocks = Vec::new();
        let mut clock = Minutes(0);
        let mut before: Option<&Variant> = None;
        for laid in self.plan.sessions.get(session)? {
            let Some(variant) = problem.variant(&laid.variant) else { continue };
            let laying_out = problem.change(before, variant);
            if let Some(block) = self.block(variant, laid.minutes, clock, laying_out) {
                clock = clock + laying_out + laid.minutes;
                before = Some(variant);
                blocks.push(block);
            }
        }
        let mut kit: BTreeMap<String, u32> = BTreeMap::new();
        for (colour, count) in blocks.iter().flat_map(|b| &b.markers) {
            let most = kit.entry(colour.clone()).or_default();
            *most = (*most).max(*count);
        }
        Some(Evening {
            session,
            week: wish.week,
            date: wish.date,
            minutes: wish.minutes,
            unused: Minutes(wish.minutes.0.saturating_sub(clock.0)),
            kit,
            blocks,
        })
    }

    fn block(
        &self,
        variant: &Variant,
        minutes: Minutes,
        starts: Minutes,
        laying_out: Minutes,
    ) -> Option<RunningBlock> {
        let drill = self.drill(&variant.drill)?;
        let rung = drill.rung_at(variant.stage)?;
        let layout = Layout::read(&drill.layout, Pace::default()).ok()?;
        let fit = fit(&layout, &drill.station, &self.curriculum.ground).ok()?;
        let turns = drill.turns(&fit);
        let explaining = self.band.explaining;
        let dose = drill.doses.get(&self.band.id)?.filling(minutes, explaining, turns);
        let stations = fit.station_sizes.len() as u32;
        let markers = layout.markers_by_colour();
        Some(RunningBlock {
            drill: drill.id.clone(),
            title: drill.title.clone(),
            purpose: drill.purpose.clone(),
            in_game: drill.in_game.clone(),
            stage: variant.stage,
            strand: main_strand(drill),
            skills: variant.skills.iter().filter_map(|id| Some(self.skill(id)?.name.clone())).collect(),
            starts,
            laying_out,
            minutes,
            explaining,
            work: dose.bout(),
            rest: dose.rest(),
            bouts: dose.bouts() * turns,
            phases: phases(explaining, &dose, dose.bouts() * turns),
            work_to_rest: dose.work_to_rest(),
            markers: markers.into_iter().map(|(colour, n)| (colour.to_owned(), n * stations)).collect(),
            footprint: layout.footprint(),
            touches: foot_touches(rung, &dose, turns, &fit),
            waiting_share: dose.waiting_share(fit.working_share),
            station_sizes: fit.station_sizes,
            drawing: layout.draw(),
            layout: drill.layout.clone(),
            points: drill.points.clone(),
            faults: drill.faults.clone(),
            cautions: drill.cautions.clone(),
        })
    }
}

fn main_strand(drill: &Drill) -> Strand {
    drill
        .strands
        .iter()
        .max_by(|a, b| a.1.0.total_cmp(&b.1.0))
        .map_or(Strand::BallMastery, |(strand, _)| *strand)
}

/// All turns of a block count as work; at any time only the working share of the squad is at it. Both feet share the
/// touches alike, unless the rung asks for one foot and the dose does not give the other its own bouts.
fn foot_touches(rung: &Rung, dose: &Dose, turns: u32, fit: &Fit) -> FootTouches {
    let all = touches(rung.touches_per_s, dose.work() * f64::from(turns), fit.working_share);
    match (rung.levers.side, dose.sides()) {
        (Sides::Strong, SideRule::Together) => FootTouches { strong: all, other: 0 },
        (Sides::Other, _) => FootTouches { strong: 0, other: all },
        _ => FootTouches { strong: all - all / 2, other: all / 2 },
    }
}
