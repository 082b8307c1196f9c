//! The library: which drill is there for this?
//!
//! A [`Wanted`] names what is looked for; what it does not name does not matter. Space is free floor for one station
//! with its run-off, or, for practice at home, the drill's own least space.

use serde::Deserialize;

use crate::academy::Academy;
use crate::academy::band::Band;
use crate::academy::phrases::Phrases;
use crate::drill::Drill;
use crate::drill::cautions::Caution;
use crate::ground::fit::{Fit, Ground, fit, stations_possible};
use crate::ground::layout::Layout;
use crate::ids::{BandId, SkillId};
use crate::technique::skill::{Stage, Strand};
use crate::technique::surface::Surface;
use crate::units::{Metres, Minutes, Pace};

/// What is looked for.
#[derive(Clone, Debug, Default, PartialEq, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::IntoParams))]
#[cfg_attr(feature = "openapi", into_params(parameter_in = Query))]
#[serde(default)]
pub struct Wanted {
    /// Words in the title, purpose, points or skills; all of them.
    pub text: Option<String>,
    /// A band that does it.
    pub band: Option<BandId>,
    /// A strand that takes some of its minutes.
    pub strand: Option<Strand>,
    /// A skill that it serves.
    pub skill: Option<SkillId>,
    /// A stage that it serves, of that skill if one is named.
    pub stage: Option<Stage>,
    /// A surface that plays the ball.
    pub surface: Option<Surface>,
    /// At most this many markers at a station.
    pub markers: Option<u32>,
    /// Whether balls and markers are all the kit there is: no wall, no goal.
    pub plain: Option<bool>,
    /// Free floor, in metres.
    pub width_m: Option<f64>,
    /// Free floor, in metres.
    pub depth_m: Option<f64>,
    /// How many players at one station.
    pub players: Option<u32>,
    /// A block of this many minutes can be filled with it, for the named band.
    pub minutes: Option<u32>,
    /// Whether it can be done at home.
    pub home: Option<bool>,
    /// A caution that it must not carry.
    pub without: Option<Caution>,
}

/// A drill with what is asked of it again and again.
pub struct Entry<'l> {
    /// The drill.
    pub drill: &'l Drill,
    /// Its floor; `None` if the text has faults.
    pub layout: Option<Layout>,
    /// Names of its skills.
    pub skills: Vec<&'l str>,
}

impl Wanted {
    /// Whether a drill is one of those looked for. `band` is the band that is named, if the library has it; `phrases`
    /// are the texts in the language of whoever looks.
    pub fn takes(&self, entry: &Entry<'_>, band: Option<&Band>, phrases: &Phrases) -> bool {
        let Entry { drill, layout, .. } = entry;
        let served = |serves: &&crate::drill::Serves| {
            self.skill.as_ref().is_none_or(|skill| serves.skill == *skill)
                && self.stage.is_none_or(|stage| serves.stages.contains(&stage))
        };
        self.text.as_ref().is_none_or(|text| reads(entry, text, phrases))
            && self.band.as_ref().is_none_or(|band| drill.doses.contains_key(band))
            && self.strand.is_none_or(|strand| drill.strands.get(&strand).is_some_and(|share| share.0 > 0.0))
            && drill.serves.iter().any(|serves| served(&serves))
            && self.surface.is_none_or(|surface| drill.surfaces.contains(&surface))
            && self.players.is_none_or(|n| (drill.station.min..=drill.station.max).contains(&n))
            && self.home.is_none_or(|home| drill.home.is_some() == home)
            && self.without.is_none_or(|caution| !drill.cautions.contains(&caution))
            && self.plain.is_none_or(|plain| layout.as_ref().is_some_and(|l| l.barriers.is_empty() == plain))
            && self.markers.is_none_or(|n| layout.as_ref().is_some_and(|l| l.markers.len() as u32 <= n))
            && self.has_room(drill, layout.as_ref())
            && self.fills(drill, layout.as_ref(), band)
    }

    fn has_room(&self, drill: &Drill, layout: Option<&Layout>) -> bool {
        if self.width_m.is_none() && self.depth_m.is_none() {
            return true;
        }
        let (width, depth) = (self.width_m.unwrap_or(f64::INFINITY), self.depth_m.unwrap_or(f64::INFINITY));
        if let (Some(true), Some(home)) = (self.home, drill.home) {
            let holds = |w: Metres, d: Metres| w.0 <= width && d.0 <= depth;
            return holds(home.width, home.depth) || holds(home.depth, home.width);
        }
        let ground = Ground {
            width: Metres(width.min(1_000.0)),
            depth: Metres(depth.min(1_000.0)),
            margin: Metres(0.0),
            run_off: RUN_OFF,
            squad: 1,
            markers: u32::MAX,
            adults: 1,
            wall: true,
        };
        layout.is_some_and(|layout| stations_possible(layout.footprint(), &ground) > 0)
    }

    fn fills(&self, drill: &Drill, layout: Option<&Layout>, band: Option<&Band>) -> bool {
        let (Some(minutes), Some(band)) = (self.minutes, band) else { return true };
        let turns = drill.station.usual.div_ceil(drill.station.working.max(1)).max(1);
        layout
            .and_then(|layout| drill.minutes(drill.schedule(band, layout)?, band, turns))
            .is_some_and(|(least, most)| (least..=most).contains(&Minutes(minutes)))
    }
}

/// Free floor around a station, when one is looked for by its space.
const RUN_OFF: Metres = Metres(0.5);

/// Whether all words of a text stand somewhere in a drill, as it was written or as it is translated.
fn reads(entry: &Entry<'_>, text: &str, phrases: &Phrases) -> bool {
    let drill = entry.drill;
    let all =
        [&drill.title, &drill.purpose, &drill.in_game].into_iter().chain(&drill.points).map(String::as_str);
    let all = all.chain(entry.skills.iter().copied()).flat_map(|text| [text, phrases.said(text)]);
    let words = all.collect::<Vec<_>>().join("\n").to_lowercase();
    text.to_lowercase().split_whitespace().all(|word| words.contains(word))
}

/// How every drill stands on a ground, each at its text's own size; drills whose text has faults are left out.
pub fn fits<'l>(drills: &'l [Drill], ground: &Ground, pace: Pace) -> Vec<(&'l Drill, Fit)> {
    let stand = |drill: &'l Drill| {
        let layout = Layout::read(&drill.layout, pace).ok()?;
        Some((drill, fit(&layout, &drill.station, ground, drill.tighter(pace).as_ref())))
    };
    drills.iter().filter_map(stand).collect()
}

/// The drills that a band may do, those that are blocked for it left out.
pub fn allowed<'l>(
    drills: &'l [Drill],
    band: &'l Band,
    academy: &'l Academy,
) -> impl Iterator<Item = &'l Drill> {
    drills.iter().filter(|drill| drill.doses.contains_key(&band.id) && drill.blocked(band, academy).is_none())
}
