//! Fit: does it fit the hall, the kit and the squad?
//!
//! In a free area A × B, with a margin g between stations and a run-off r on every side of a footprint w × d, there is
//! room for ⌊(A + g) / (w + 2r + g)⌋ × ⌊(B + g) / (d + 2r + g)⌋ stations, in the better of the two orientations. The
//! squad is split so that most players work at any time, and into as few stations as that allows.
//!
//! ```
//! use jogo_core::fit::{Ground, Station, split};
//! use jogo_core::units::Metres;
//!
//! let two_or_three = Station { min: 2, usual: 2, max: 3, working: 1 };
//! assert_eq!(split(13, &two_or_three, 20).unwrap(), [3, 2, 2, 2, 2, 2]); // 5 stations of 2, 1 of 3
//! ```

use serde::{Deserialize, Serialize};

use crate::layout::Layout;
use crate::layout::measure::Footprint;
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

/// The floor, the kit and the people that an evening has.
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
}

/// How a drill stands on a ground.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Fit {
    /// Players at each station, the larger ones first.
    pub station_sizes: Vec<u32>,
    /// For how many stations the floor has room.
    pub stations_possible: u32,
    /// Markers for all stations together.
    pub markers_needed: u32,
    /// Players who work at any time, as a share of the squad.
    pub working_share: Share,
}

/// Why a drill does not fit.
#[derive(Clone, Debug, PartialEq, thiserror::Error)]
#[allow(missing_docs)]
pub enum Misfit {
    #[error("the floor has room for {possible} stations, and {squad} players need at least {needed}")]
    Floor { possible: u32, needed: u32, squad: u32 },
    #[error("{squad} players need at least {needed} markers, and there are {markers}")]
    Kit { needed: u32, markers: u32, squad: u32 },
    #[error("{squad} players cannot be split into stations of {min} to {max}")]
    Squad { squad: u32, min: u32, max: u32 },
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

/// Splits a squad into at most so many stations: most players at work, then fewest stations. Larger stations first;
/// nothing if it cannot be done.
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

/// Fits a drill to a ground, or says what does not fit.
pub fn fit(layout: &Layout, station: &Station, ground: &Ground) -> Result<Fit, Misfit> {
    let squad = ground.squad;
    let room = stations_possible(layout.footprint(), ground);
    let per_station = layout.markers.len() as u32;
    let kits = ground.markers.checked_div(per_station).unwrap_or(u32::MAX);
    if let Some(sizes) = split(squad, station, room.min(kits)) {
        let stations = sizes.len() as u32;
        return Ok(Fit {
            stations_possible: room,
            markers_needed: stations * per_station,
            working_share: Share(f64::from(working(&sizes, station)) / f64::from(squad.max(1))),
            station_sizes: sizes,
        });
    }
    let needed = squad.div_ceil(station.max.max(1)).max(1);
    if needed > squad / station.min.max(1) {
        Err(Misfit::Squad { squad, min: station.min, max: station.max })
    } else if needed > room {
        Err(Misfit::Floor { possible: room, needed, squad })
    } else {
        Err(Misfit::Kit { needed: needed * per_station, markers: ground.markers, squad })
    }
}

/// How long laying out takes between two blocks: 6 s per marker shared by the adults, at least 30 s, in whole minutes.
///
/// ```
/// use jogo_core::{fit::laying_out, units::Minutes};
/// assert_eq!(laying_out(8, 1), Minutes(1)); // 48 s
/// assert_eq!(laying_out(64, 2), Minutes(4)); // 192 s
/// ```
pub fn laying_out(markers: u32, adults: u32) -> Minutes {
    Seconds((6.0 * f64::from(markers) / f64::from(adults.max(1))).max(30.0)).minutes_up()
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
        }
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
    #[case::no_room("mark A; walk 40m; mark B", Station { min: 2, usual: 4, max: 4, working: 1 }, "the floor has room for 0 stations, and 16 players need at least 4")]
    #[case::no_markers("line 30 every 0.2m", Station { min: 2, usual: 4, max: 4, working: 1 }, "16 players need at least 120 markers, and there are 80")]
    #[case::no_split("mark A", Station { min: 9, usual: 10, max: 12, working: 1 }, "16 players cannot be split into stations of 9 to 12")]
    fn a_misfit_says_what_is_missing(#[case] text: &str, #[case] station: Station, #[case] says: &str) {
        let layout = Layout::read(text, Pace::default()).unwrap();
        assert_eq!(fit(&layout, &station, &hall(16)).unwrap_err().to_string(), says);
    }

    proptest! {
        #[test]
        fn nobody_is_lost_in_a_split(squad in 1u32..60, min in 1u32..6, more in 0u32..6, working in 1u32..6, possible in 0u32..40) {
            let station = Station { min, usual: min, max: min + more, working };
            if let Some(sizes) = split(squad, &station, possible) {
                prop_assert_eq!(sizes.iter().sum::<u32>(), squad);
                prop_assert!(sizes.iter().all(|s| (min..=min + more).contains(s)));
                prop_assert!(sizes.len() as u32 <= possible);
            }
        }
    }
}
