//! The drill desk: how does a drill stand, last and feel just now?
//!
//! Everything that the desk shows beside a drill while it is written: the floor of one station, how it fits a hall
//! and a squad, the time strip, touches by foot, the stage and difficulty of the levers as they are set, and what
//! could hurt.

use serde::Serialize;

use crate::academy::Academy;
use crate::academy::band::Band;
use crate::drill::cautions::Caution;
use crate::drill::levers::Levers;
use crate::drill::timing::Timing;
use crate::drill::{Drill, Step};
use crate::fact::Fact;
use crate::ground::fit::{Fit, Ground, fit, laying_out};
use crate::ground::layout::Fault;
use crate::ground::layout::measure::{InPaces, Measures};
use crate::technique::score::feet::MovingFeet;
use crate::technique::skill::{Skill, Stage, Strand};
use crate::units::{Difficulty, Minutes, Pace};

/// For whom and where a drill is looked at.
#[derive(Clone, Copy, Debug)]
pub struct Setting<'s> {
    /// The band.
    pub band: &'s Band,
    /// The skills, whose scores it may show.
    pub skills: &'s [Skill],
    /// What holds for the whole academy.
    pub academy: &'s Academy,
    /// Hall, kit and squad.
    pub ground: &'s Ground,
    /// The pace of whoever lays the markers.
    pub pace: Pace,
}

/// A drill, looked at.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Desk {
    /// The strand that takes most of it.
    pub strand: Strand,
    /// The stage with the levers set so.
    pub stage: Stage,
    /// The difficulty with the levers set so.
    pub difficulty: Difficulty,
    /// The drill's sensible variants, the easiest first.
    pub ladder: Vec<Step>,
    /// The next easier rung.
    pub one_down: Option<Step>,
    /// The next harder rung.
    pub one_up: Option<Step>,
    /// What could hurt.
    pub cautions: Vec<Caution>,
    /// Why this band does not do it.
    pub blocked: Option<Fact>,
    /// Every fault of the layout text.
    pub faults: Vec<Fault>,
    /// The drawing of one station as far as the text reads, as SVG; whatever a line puts down carries its number as
    /// `data-line`.
    pub drawing: String,
    /// What the feet do with the levers set so; `None` where no score says it.
    pub feet: Option<MovingFeet>,
    /// What stands on the floor; `None` while the text, the station or the dose has faults.
    pub floor: Option<Floor>,
}

/// What stands on the floor, how it fits, and how long it takes.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Floor {
    /// Markers, kit, roles, footprint, paths.
    pub measures: Measures,
    /// The floor of one station in the pace of whoever lays it.
    pub in_paces: InPaces,
    /// Whether they work on the spot, so that what the feet do says more than the ground.
    pub on_the_spot: bool,
    /// How it stands on the ground.
    pub fit: Fit,
    /// Laying it out between two blocks.
    pub laying_out: Minutes,
    /// The clock; `None` if the band does not do this drill.
    pub timing: Option<Timing>,
    /// Minutes of the block, to the half.
    pub block_min: Option<f64>,
}

/// Looks at a drill with its levers set so.
///
/// ```no_run
/// # use jogo_core::{drill::desk::{Setting, look}, drill::Drill, drill::levers::Levers};
/// # fn show(drill: &Drill, setting: &Setting<'_>) {
/// let desk = look(drill, &Levers::default(), setting);
/// for fault in &desk.faults {
///     println!("{fault}");
/// }
/// # }
/// ```
pub fn look(drill: &Drill, levers: &Levers, setting: &Setting<'_>) -> Desk {
    let table = &setting.academy.lever_points;
    let (layout, faults) = drill.layout_partly(levers, setting.pace);
    Desk {
        strand: drill.main_strand(),
        stage: drill.stage_at(levers),
        difficulty: drill.difficulty_at(levers, table),
        ladder: drill.ladder(table),
        one_down: drill.one_down(levers, table),
        one_up: drill.one_up(levers, table),
        cautions: drill.cautions.clone(),
        blocked: drill.blocked(setting.band, setting.academy).map(Fact::from),
        drawing: layout.draw(),
        feet: drill
            .score_for(levers, setting.band, setting.skills, drill.foot_at(levers, setting.band))
            .map(|score| score.moving_feet(setting.band.tempos())),
        floor: (faults.is_empty() && drill.can_be_laid(setting.band))
            .then(|| floor(drill, levers, setting, &layout)),
        faults,
    }
}

fn floor(
    drill: &Drill,
    levers: &Levers,
    setting: &Setting<'_>,
    layout: &crate::ground::layout::Layout,
) -> Floor {
    let Setting { band, ground, pace, .. } = *setting;
    let tighter = drill.tighter(pace);
    let fit = fit(layout, &drill.station, ground, tighter.as_ref());
    let turns = drill.turns(&fit);
    let foot = drill.foot_at(levers, band);
    let schedule = drill.schedule(band, layout).map(|schedule| schedule.for_foot(foot));
    let touching = drill.touching(levers, band, setting.skills, (layout, foot));
    let explaining = band.explaining;
    Floor {
        measures: layout.measures(),
        in_paces: layout.footprint().in_paces(pace),
        on_the_spot: layout.footprint().is_a_dot(),
        laying_out: laying_out(fit.markers_needed, ground.adults),
        timing: schedule.map(|s| Timing::of(&s, explaining, turns, touching, fit.working_share)),
        block_min: schedule.map(|s| s.whole(explaining, turns).half_minutes_up()),
        fit,
    }
}
