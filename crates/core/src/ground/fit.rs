//! Fit: does it fit the hall, the kit and the squad?
//!
//! In a free area A × B, with a margin g between stations and a run-off r on every side of a footprint w × d, there is
//! room for ⌊(A + g) / (w + 2r + g)⌋ × ⌊(B + g) / (d + 2r + g)⌋ stations, in the better of the two orientations. The
//! squad is split so that most players work at any time, and into as few stations as that allows.
//!
//! ```
//! use jogo_core::ground::fit::{Ground, Station, split};
//! use jogo_core::units::Metres;
//!
//! let two_or_three = Station { min: 2, usual: 2, max: 3, working: 1 };
//! assert_eq!(split(13, &two_or_three, 20).unwrap(), [3, 2, 2, 2, 2, 2]); // 5 stations of 2, 1 of 3
//! ```

use serde::{Deserialize, Serialize};

use crate::fact::{Fact, facts};
use crate::ground::layout::Layout;
use crate::ground::layout::measure::Footprint;
use crate::input::{InputError, RangeFault};
use crate::units::{Metres, Minutes, Seconds, Share};

/// How many players one station takes, and how many of them work at once.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Station {
    /// At least.
    pub min: u32,
    /// Usually.
    pub usual: u32,
    /// At most.
    pub max: u32,
    /// How many of them work at any time.
    pub working: u32,
}

/// The floor, the kit and the people that a session has.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Ground {
    /// Free width.
    #[serde(rename = "width_m")]
    pub width: Metres,
    /// Free depth.
    #[serde(rename = "depth_m")]
    pub depth: Metres,
    /// Between stations.
    #[serde(rename = "margin_m")]
    pub margin: Metres,
    /// Around each station.
    #[serde(rename = "run_off_m")]
    pub run_off: Metres,
    /// Players.
    pub squad: u32,
    /// Markers in the bag.
    pub markers: u32,
    /// Adults who lay out.
    pub adults: u32,
    /// Whether there is a wall, or a board, that gives the ball back.
    #[serde(default = "yes", skip_serializing_if = "is_yes")]
    pub wall: bool,
}

fn yes() -> bool {
    true
}

fn is_yes(wall: &bool) -> bool {
    *wall
}

impl Ground {
    /// A small hall, where nothing is known yet: an assumption.
    pub const ASSUMED: Ground = Ground {
        width: Metres(20.0),
        depth: Metres(15.0),
        margin: Metres(1.0),
        run_off: Metres(0.5),
        squad: 14,
        markers: 60,
        adults: 1,
        wall: true,
    };

    /// Half of it, with half of the squad and kit, cut either way: where two variants stand side by side.
    pub fn halves(&self) -> [Ground; 2] {
        let half = Ground { squad: self.squad.div_ceil(2), markers: self.markers / 2, ..*self };
        [Ground { width: self.width * 0.5, ..half }, Ground { depth: self.depth * 0.5, ..half }]
    }

    /// Every number out of its range, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let lengths = [
            ("/width_m", self.width, 1.0..=120.0),
            ("/depth_m", self.depth, 1.0..=120.0),
            ("/margin_m", self.margin, 0.0..=20.0),
            ("/run_off_m", self.run_off, 0.0..=20.0),
        ];
        let counts = [
            ("/squad", self.squad, 1..=60),
            ("/markers", self.markers, 0..=500),
            ("/adults", self.adults, 1..=20),
        ];
        let long = lengths.into_iter().map(|(at, m, range)| {
            (at, RangeFault::Metres { value: m.0, least: *range.start(), most: *range.end() })
        });
        let many = counts.into_iter().map(|(at, n, range)| {
            let (least, most): (u32, u32) = range.into_inner();
            (at, RangeFault::Between { value: n.into(), least: least.into(), most: most.into() })
        });
        let wrong = long.chain(many).filter(|(_, fault)| !fault.holds());
        wrong.map(|(at, fault)| InputError::at(at, fault)).collect()
    }
}

/// How a drill stands on a ground.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Fit {
    /// For how many stations the floor has room.
    pub stations_possible: u32,
    /// How many stations the squad is split into; if it does not fit, the fewest that would do.
    pub stations_needed: u32,
    /// Players at each station, the larger ones first.
    pub station_sizes: Vec<u32>,
    /// Players who work at any time, as a share of the squad.
    pub working_share: Share,
    /// Markers for all stations together.
    pub markers_needed: u32,
    /// How many of them the bag does not hold.
    pub markers_missing: u32,
    /// Free floor beside all stations, at its narrower side; `None` if it does not fit.
    #[serde(rename = "spare_m")]
    pub spare: Option<Metres>,
    /// Whether floor, kit and squad suffice.
    pub fits: bool,
    /// What does not fit.
    pub misfit: Option<Fact>,
    /// The nearest thing that would fit.
    pub nearest: Option<Nearest>,
}

facts! {
    /// Why a drill does not fit.
    pub enum Misfit {
        Ground = "misfit-ground" { possible: u32, needed: u32, squad: u32 },
        Kit = "misfit-kit" { needed: u32, markers: u32, squad: u32 },
        Squad = "misfit-squad" { squad: u32, least: u32, most: u32 },
        Wall = "misfit-wall",
        HomeOnly = "misfit-home-only",
    }

    /// What would fit.
    pub enum WouldFit {
        Margin = "would-fit-margin" { metres: f64 },
        Groups = "would-fit-groups" { players: u32 },
        Tighter = "would-fit-tighter" { width: f64, depth: f64 },
        Fewer = "would-fit-fewer" { players: u32, others: u32 },
    }
}

/// What could be changed so that a drill fits.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Change {
    /// Less room between the stations.
    Margin,
    /// More players at a station.
    Groups,
    /// The layout laid tighter.
    Tighter,
    /// Fewer players at once; the others do something else.
    Squad,
}

/// The least change with which a drill fits.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Nearest {
    /// What is changed.
    pub change: Change,
    /// To what: metres of margin, players at the largest station, share of the lengths, or players at once.
    pub to: f64,
    /// The same, with what comes with it.
    pub says: Fact,
}

/// How many stations of a footprint the ground has room for.
pub fn stations_possible(footprint: Footprint, ground: &Ground) -> u32 {
    let along = |area: Metres, side: Metres| {
        let each = side.0 + 2.0 * ground.run_off.0 + ground.margin.0;
        // Without margin and run-off a single point needs no floor at all: one step apart is as near as people stand.
        (((area.0 + ground.margin.0) / each.max(0.5)) + 1e-9).floor().max(0.0) as u32
    };
    let (w, d) = (footprint.width, footprint.depth);
    let upright = along(ground.width, w) * along(ground.depth, d);
    let turned = along(ground.width, d) * along(ground.depth, w);
    upright.max(turned)
}

/// Splits a squad into at most this many stations: most players at work, then fewest stations. Larger stations first;
/// `None` if it cannot be done.
pub fn split(squad: u32, station: &Station, possible: u32) -> Option<Vec<u32>> {
    let fewest = squad.div_ceil(station.max.max(1)).max(1);
    let most = (squad / station.min.max(1)).min(possible);
    (fewest..=most)
        .map(|stations| even(squad, stations))
        // `max_by_key` would take the last of equals; the first, with fewest stations, is wanted.
        .reduce(|best, next| if working(&next, station) > working(&best, station) { next } else { best })
}

fn even(squad: u32, stations: u32) -> Vec<u32> {
    let larger = squad % stations;
    (0..stations).map(|i| squad / stations + u32::from(i < larger)).collect()
}

fn working(sizes: &[u32], station: &Station) -> u32 {
    sizes.iter().map(|size| station.working.min(*size)).sum()
}

/// Fits a drill to a ground; if it does not fit, says what is missing and the nearest thing that would.
///
/// ```
/// use jogo_core::ground::fit::{Ground, Station, WouldFit, fit};
/// use jogo_core::ground::layout::Layout;
/// use jogo_core::units::{Metres, Pace};
///
/// let weave = Layout::read("mark A; walk 3; line 6 W every 1; walk 3; mark B", Pace::default()).unwrap();
/// let (width, depth, margin, run_off) = (Metres(18.0), Metres(12.0), Metres(2.0), Metres(1.0));
/// let hall = Ground { width, depth, margin, run_off, squad: 16, markers: 80, adults: 1, wall: true };
/// let four = Station { min: 2, usual: 3, max: 4, working: 2 };
/// let found = fit(&weave, &four, &hall, None);
/// // ⌊20 ÷ 4⌋ × ⌊14 ÷ 11.75⌋ = 5 stations are possible, and so 10 of 16 work at any time.
/// assert_eq!((found.stations_possible, found.station_sizes), (5, vec![4, 3, 3, 3, 3]));
/// let pairs = fit(&weave, &Station { max: 3, ..four }, &hall, None);
/// assert_eq!(pairs.nearest.unwrap().says, WouldFit::Margin { metres: 1.0 }.into());
/// ```
pub fn fit(layout: &Layout, station: &Station, ground: &Ground, tighter: Option<&Layout>) -> Fit {
    let needs = Needs::of(layout);
    let possible = stations_possible(needs.footprint, ground);
    let squad = ground.squad.max(1);
    let (sizes, misfit) = match stand(needs, station, ground) {
        Ok(sizes) => (sizes, None),
        Err(misfit) => (even(squad, fewest(squad, station)), Some(misfit)),
    };
    let no_wall = needs.wall && !ground.wall;
    let misfit = if no_wall { Some(Misfit::Wall) } else { misfit };
    let stations = sizes.len() as u32;
    let markers = stations * needs.markers;
    Fit {
        stations_possible: possible,
        stations_needed: stations,
        working_share: Share(f64::from(working(&sizes, station)) / f64::from(squad)),
        markers_needed: markers,
        markers_missing: markers.saturating_sub(ground.markers),
        spare: if misfit.is_none() { spare(needs.footprint, stations, ground) } else { None },
        fits: misfit.is_none(),
        // No other way to stand makes up for a wall.
        nearest: misfit
            .as_ref()
            .filter(|_| !no_wall)
            .and_then(|_| nearest(needs, station, ground, tighter.map(Needs::of))),
        misfit: misfit.map(Fact::from),
        station_sizes: sizes,
    }
}

/// What one station takes.
#[derive(Clone, Copy)]
struct Needs {
    footprint: Footprint,
    markers: u32,
    wall: bool,
}

impl Needs {
    fn of(layout: &Layout) -> Needs {
        Needs {
            footprint: layout.footprint(),
            markers: layout.markers.len() as u32,
            wall: layout.kit().walls > 0,
        }
    }
}

/// The sizes of the stations, if floor, kit and squad suffice.
fn stand(needs: Needs, station: &Station, ground: &Ground) -> Result<Vec<u32>, Misfit> {
    let squad = ground.squad;
    let room = stations_possible(needs.footprint, ground);
    // A station without markers asks for no kit.
    let most = ground.markers.checked_div(needs.markers).map_or(room, |kits| room.min(kits));
    if let Some(sizes) = split(squad, station, most) {
        return Ok(sizes);
    }
    let needed = fewest(squad, station);
    Err(if needed > squad / station.min.max(1) {
        Misfit::Squad { squad, least: station.min, most: station.max }
    } else if needed > room {
        Misfit::Ground { possible: room, needed, squad }
    } else {
        Misfit::Kit { needed: needed * needs.markers, markers: ground.markers, squad }
    })
}

fn fewest(squad: u32, station: &Station) -> u32 {
    squad.div_ceil(station.max.max(1)).max(1)
}

/// The first of these that helps: a tighter margin, larger groups (up to twice the size), a tighter layout, fewer
/// players at once.
fn nearest(needs: Needs, station: &Station, ground: &Ground, tighter: Option<Needs>) -> Option<Nearest> {
    let margin = || {
        let halves = (ground.margin.0 * 2.0).ceil() as u32;
        let margin = (0..halves)
            .rev()
            .map(|half| f64::from(half) / 2.0)
            .find(|margin| stand(needs, station, &Ground { margin: Metres(*margin), ..*ground }).is_ok())?;
        let says = WouldFit::Margin { metres: margin }.into();
        Some(Nearest { change: Change::Margin, to: margin, says })
    };
    let groups = || {
        let larger = |max: &u32| stand(needs, &Station { max: *max, ..*station }, ground).is_ok();
        let max = (station.max + 1..=station.max * 2).find(larger)?;
        let says = WouldFit::Groups { players: max }.into();
        Some(Nearest { change: Change::Groups, to: f64::from(max), says })
    };
    let tight = || {
        let tighter = tighter?;
        stand(tighter, station, ground).ok()?;
        let Footprint { width, depth } = tighter.footprint;
        let says = WouldFit::Tighter { width: width.0, depth: depth.0 }.into();
        Some(Nearest { change: Change::Tighter, to: crate::drill::levers::TIGHT, says })
    };
    let fewer = || {
        let at_once = |squad: &u32| stand(needs, station, &Ground { squad: *squad, ..*ground }).is_ok();
        let squad = (1..ground.squad).rev().find(at_once)?;
        let others = ground.squad - squad;
        let says = WouldFit::Fewer { players: squad, others }.into();
        Some(Nearest { change: Change::Squad, to: f64::from(squad), says })
    };
    margin().or_else(groups).or_else(tight).or_else(fewer)
}

/// How much floor stays free beside this many stations, at the narrower side of the best way to place them.
fn spare(footprint: Footprint, stations: u32, ground: &Ground) -> Option<Metres> {
    let (g, r) = (ground.margin.0, ground.run_off.0);
    let takes = |n: u32, side: Metres| f64::from(n) * (side.0 + 2.0 * r) + f64::from(n - 1) * g;
    let (w, d) = (footprint.width, footprint.depth);
    (1..=stations)
        .flat_map(|across| [(across, w, d), (across, d, w)])
        .map(|(across, wide, deep)| {
            let rows = stations.div_ceil(across);
            (ground.width.0 - takes(across, wide)).min(ground.depth.0 - takes(rows, deep))
        })
        .filter(|spare| *spare >= -1e-9)
        .max_by(f64::total_cmp)
        .map(|spare| Metres(spare.max(0.0)))
}

/// How long laying out takes between two blocks: 6 s per marker shared by the adults, at least 30 s, in whole minutes.
///
/// ```
/// use jogo_core::{ground::fit::laying_out, units::Minutes};
/// assert_eq!(laying_out(8, 1), Minutes(1)); // 48 s
/// assert_eq!(laying_out(64, 2), Minutes(4)); // 192 s
/// ```
pub fn laying_out(markers: u32, adults: u32) -> Minutes {
    moving(markers.max(1), adults)
}

/// How long it takes to move some markers while the others stay: no time if none has to be moved, else as long as
/// [`laying_out`] them.
///
/// ```
/// use jogo_core::{ground::fit::moving, units::Minutes};
/// assert_eq!([0, 1, 10, 11].map(|markers| moving(markers, 1)), [0, 1, 1, 2].map(Minutes));
/// ```
pub fn moving(markers: u32, adults: u32) -> Minutes {
    match markers {
        0 => Minutes(0),
        _ => Seconds((6.0 * f64::from(markers) / f64::from(adults.max(1))).max(30.0)).minutes_up(),
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::units::Pace;
    use proptest::prelude::*;
    use rstest::rstest;

    fn hall(squad: u32) -> Ground {
        Ground {
            width: Metres(18.0),
            depth: Metres(12.0),
            margin: Metres(2.0),
            run_off: Metres(1.0),
            squad,
            markers: 80,
            adults: 1,
            wall: true,
        }
    }

    #[rstest]
    #[case::with_a_wall("mark A; walk 5; wall 3m", true, None)]
    #[case::without_one("mark A; walk 5; wall 3m", false, Some(Misfit::Wall))]
    #[case::that_needs_none("mark A; walk 5; mark B", false, None)]
    fn a_wall_is_there_or_not(#[case] text: &str, #[case] wall: bool, #[case] misfit: Option<Misfit>) {
        let layout = Layout::read(text, Pace::default()).unwrap_or_default();
        let ground = Ground { wall, ..hall(8) };
        let found = fit(&layout, &Station { min: 1, usual: 2, max: 2, working: 1 }, &ground, None);
        assert_eq!((found.fits, found.misfit), (misfit.is_none(), misfit.map(Fact::from)));
        assert_eq!(found.nearest, None);
    }

    // By hand: an 18 × 12 hall, margin 2, run-off 1.
    // 1 × 9.75: upright ⌊20/5⌋ × ⌊14/13.75⌋ = 4; turned ⌊20/13.75⌋ × ⌊14/5⌋ = 2.
    // 4 × 4: ⌊20/8⌋ × ⌊14/8⌋ = 2. 10 × 2: upright ⌊20/14⌋ × ⌊14/6⌋ = 2; turned ⌊20/6⌋ × ⌊14/14⌋ = 3. 30 × 1: none.
    #[rstest]
    #[case::weave_stands_upright(1.0, 9.75, 4)]
    #[case::square(4.0, 4.0, 2)]
    #[case::better_when_turned(10.0, 2.0, 3)]
    #[case::longer_than_the_hall(30.0, 1.0, 0)]
    fn room_for_stations(#[case] width: f64, #[case] depth: f64, #[case] stations: u32) {
        let footprint = Footprint { width: Metres(width), depth: Metres(depth) };
        assert_eq!(stations_possible(footprint, &hall(16)), stations);
    }

    #[rstest]
    #[case::no_room(
        "mark A; walk 40m; mark B", Station { min: 2, usual: 4, max: 4, working: 1 },
        Misfit::Ground { possible: 0, needed: 4, squad: 16 },
    )]
    #[case::no_markers(
        "line 30 every 0.2m", Station { min: 2, usual: 4, max: 4, working: 1 },
        Misfit::Kit { needed: 120, markers: 80, squad: 16 },
    )]
    #[case::no_split(
        "mark A", Station { min: 9, usual: 10, max: 12, working: 1 },
        Misfit::Squad { squad: 16, least: 9, most: 12 },
    )]
    fn a_misfit_says_what_is_missing(#[case] text: &str, #[case] station: Station, #[case] misfit: Misfit) {
        let layout = Layout::read(text, Pace::default()).unwrap();
        assert_eq!(fit(&layout, &station, &hall(16), None).misfit, Some(misfit.into()));
    }

    const PAIRS: Station = Station { min: 2, usual: 2, max: 2, working: 2 };

    // By hand, 18 × 12 m, run-off 1. Eight stations of 4 × 3 take 6 × 5 each: with margin 2 there are ⌊20/8⌋ × ⌊14/7⌋
    // = 4, with 0.5 ⌊18.5/6.5⌋ × ⌊12.5/5.5⌋ = 4, with 0 ⌊18/6⌋ × ⌊12/5⌋ = 6. So neither helps, and no group of four
    // does (4 stations needed) that is not larger than twice two. 4 × 2 (6 × 4): margin 0 gives 3 × 3 = 9, margin 0.5
    // ⌊18.5/6.5⌋ × ⌊12.5/4.5⌋ = 4.
    #[rstest]
    #[case::a_tighter_margin("unit m; box 4 by 2", PAIRS, Some((Change::Margin, 0.0)))]
    #[case::larger_groups("unit m; box 4 by 3", PAIRS, Some((Change::Groups, 4.0)))]
    #[case::an_odd_one_out("mark A", Station { min: 4, usual: 4, max: 5, working: 4 }, None)]
    #[case::thirteen_in_threes("mark A", Station { min: 3, usual: 3, max: 3, working: 3 }, Some((Change::Groups, 4.0)))]
    #[case::fewer_at_once("unit m; box 14 by 8", PAIRS, Some((Change::Squad, 2.0)))]
    #[case::nothing_helps("unit m; walk 30; mark A; back 30; mark B", PAIRS, None)]
    fn the_nearest_thing_that_fits(
        #[case] text: &str,
        #[case] station: Station,
        #[case] nearest: Option<(Change, f64)>,
    ) {
        let layout = Layout::read(text, Pace::default()).unwrap();
        let found = fit(&layout, &station, &hall(16), None);
        assert_eq!(found.nearest.map(|n| (n.change, n.to)), nearest);
    }

    #[test]
    fn a_layout_that_may_be_laid_tighter_is_proposed_so() {
        let text = "unit m; box 14 by 8";
        let tighter = Layout::read_scaled(text, Pace::default(), 0.75).unwrap(); // 10.5 × 6
        let layout = Layout::read(text, Pace::default()).unwrap();
        let all = Station { min: 8, usual: 8, max: 8, working: 8 };
        let small = Ground { width: Metres(13.0), depth: Metres(9.0), squad: 8, ..hall(8) };
        let found = fit(&layout, &all, &small, Some(&tighter));
        assert_eq!(found.nearest.unwrap().says, WouldFit::Tighter { width: 10.5, depth: 6.0 }.into());
    }

    // By hand: two boxes of 4 × 4 side by side take 6 + 2 + 6 = 14 m of 18 and 6 of 12: 4 m are free at the narrower
    // side.
    #[test]
    fn what_is_free_beside_the_stations_is_said() {
        let layout = Layout::read("unit m; box 4 by 4", Pace::default()).unwrap();
        let eight = Station { min: 8, usual: 8, max: 8, working: 8 };
        assert_eq!(fit(&layout, &eight, &hall(16), None).spare, Some(Metres(4.0)));
    }

    /// Lays stations one beside the other, row by row, from the corner, and counts those that stand on the ground.
    fn laid_by_hand(wide: f64, deep: f64, ground: &Ground) -> u32 {
        let (w, d) = (wide + 2.0 * ground.run_off.0, deep + 2.0 * ground.run_off.0);
        let mut count = 0;
        let mut y = 0.0;
        while y + d <= ground.depth.0 + 1e-6 {
            let mut x = 0.0;
            while x + w <= ground.width.0 + 1e-6 {
                count += 1;
                x += w + ground.margin.0;
            }
            y += d + ground.margin.0;
        }
        count
    }

    proptest! {
        #[test]
        fn no_more_is_promised_than_the_ground_holds(
            wide in 0.5f64..12.0, deep in 0.5f64..12.0, squad in 1u32..40, max in 1u32..6, margin in 0.0f64..4.0
        ) {
            let layout = Layout::read(&format!("unit m; box {wide:.2} by {deep:.2}"), Pace::default()).unwrap();
            let Footprint { width, depth } = layout.footprint();
            let ground = Ground { margin: Metres(margin), squad, ..hall(squad) };
            let station = Station { min: 1, usual: max, max, working: 1 };
            let found = fit(&layout, &station, &ground, None);
            let room = laid_by_hand(width.0, depth.0, &ground).max(laid_by_hand(depth.0, width.0, &ground));
            prop_assert_eq!(found.stations_possible, room);
            prop_assert_eq!(found.station_sizes.iter().sum::<u32>(), squad);
            if found.fits {
                prop_assert!(found.stations_needed <= room && found.markers_needed <= ground.markers);
                prop_assert!(found.spare.is_some());
            } else {
                prop_assert!(found.misfit.is_some());
            }
        }

        #[test]
        fn nobody_is_lost_in_a_split(
            squad in 1u32..60, min in 1u32..6, more in 0u32..6, working in 1u32..6, possible in 0u32..40,
        ) {
            let station = Station { min, usual: min, max: min + more, working };
            if let Some(sizes) = split(squad, &station, possible) {
                prop_assert_eq!(sizes.iter().sum::<u32>(), squad);
                prop_assert!(sizes.iter().all(|s| (min..=min + more).contains(s)));
                prop_assert!(sizes.len() as u32 <= possible);
            }
        }
    }
}
