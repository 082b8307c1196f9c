//! An evening: in which order, with which kit, and what to look for?

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::Serialize;

use crate::block::{Timing, Touching};
use crate::cues::{Call, CueWish, calls};
use crate::drill::{Drill, FaultSeen};
use crate::edition::Edition;
use crate::fit::fit;
use crate::layout::measure::{Footprint, InPaces};
use crate::levers::{Eyes, Levers};
use crate::plan::{Problem, Variant};
use crate::skill::{Stage, Strand};
use crate::units::{Minutes, Pace, Seconds};

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
    /// Its clock, and the time on the ball that it gives.
    #[serde(flatten)]
    pub timing: Timing,
    /// Players at each station.
    pub station_sizes: Vec<u32>,
    /// Markers for all stations, by colour.
    pub markers: BTreeMap<String, u32>,
    /// Floor of one station.
    pub footprint: Footprint,
    /// The same in the pace of whoever lays it.
    pub in_paces: InPaces,
    /// What does not fit, laid in this pace; nothing if all does.
    pub misfit: Option<String>,
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
    /// What is called in a bout, if the block answers calls; the same in every bout.
    pub calls: Vec<Call>,
}

impl Edition {
    /// The running order of a session, laid by somebody with this pace; nothing if the plan has no such session.
    pub fn evening(&self, problem: &Problem, session: usize, pace: Pace) -> Option<Evening> {
        let wish = problem.sessions.get(session)?;
        let mut blocks = Vec::new();
        let mut clock = Minutes(0);
        let mut before: Option<&Variant> = None;
        for (place, laid) in self.plan.sessions.get(session)?.iter().enumerate() {
            let Some(variant) = problem.variant(&laid.variant) else { continue };
            let laying_out = problem.change(before, variant);
            // Another evening, another block: other calls.
            let seed = (session * 100 + place) as u64;
            if let Some(block) = self.block(variant, laid.minutes, clock, laying_out, pace, seed) {
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
        pace: Pace,
        seed: u64,
    ) -> Option<RunningBlock> {
        let drill = self.drill(&variant.drill)?;
        let levers = drill.rung_at(variant.stage, &self.academy.lever_points)?.levers;
        let layout = drill.layout_at(&levers, pace).ok()?;
        let fit = fit(&layout, &drill.station, &self.curriculum.ground, drill.tighter(pace).as_ref());
        let turns = drill.turns(&fit);
        let explaining = self.band.explaining;
        let schedule = drill.schedule(&self.band, &layout)?.filling(minutes, explaining, turns);
        let touching =
            Touching { per_second: drill.cadence(variant.stage, &self.band.id), side: levers.side };
        let timing = Timing::of(&schedule, explaining, turns, touching, fit.working_share);
        let stations = fit.station_sizes.len() as u32;
        let markers = layout.markers_by_colour();
        Some(RunningBlock {
            drill: drill.id.clone(),
            title: drill.title.clone(),
            purpose: drill.purpose.clone(),
            in_game: drill.in_game.clone(),
            stage: variant.stage,
            strand: drill.main_strand(),
            skills: variant.skills.iter().filter_map(|id| Some(self.skill(id)?.name.clone())).collect(),
            starts,
            laying_out,
            minutes,
            calls: called(drill, &levers).map(|cues| bout_calls(cues, timing.work, seed)).unwrap_or_default(),
            timing,
            markers: markers.into_iter().map(|(colour, n)| (colour.to_owned(), n * stations)).collect(),
            footprint: layout.footprint(),
            in_paces: layout.footprint().in_paces(pace),
            misfit: fit.misfit.map(|misfit| misfit.to_string()),
            station_sizes: fit.station_sizes,
            drawing: layout.draw(),
            layout: drill.layout.clone(),
            points: drill.points.clone(),
            faults: drill.faults.clone(),
            cautions: drill.cautions.iter().map(|caution| caution.text().to_owned()).collect(),
        })
    }
}

/// What is called: only where the levers ask for an answer.
fn called<'d>(drill: &'d Drill, levers: &Levers) -> Option<&'d CueWish> {
    drill.cues.as_ref().filter(|_| levers.eyes == Eyes::Call)
}

/// The calls of one bout: those that come before its end.
fn bout_calls(cues: &CueWish, bout: Seconds, seed: u64) -> Vec<Call> {
    let most = (bout.0 / (cues.gap.0 * 0.6).max(0.1)).ceil() as usize + 1;
    let called = calls(cues, most, seed).unwrap_or_default();
    called.into_iter().take_while(|call| call.at < bout).collect()
}
