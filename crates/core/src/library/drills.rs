//! What is asked of drills.

use super::alike::alike;
use super::{Finding, LibraryFound, Piece, Whole};
use crate::drill::Drill;
use crate::drill::cautions::Caution;
use crate::drill::levers::{Pressure, Service};
use crate::ground::layout::Layout;
use crate::technique::surface::Surface;
use crate::units::Pace;

/// A point of more words than this is not called across a hall.
const MOST_WORDS: usize = 9;
/// Many answer a call at once where more than this share a station.
const A_CROWD: u32 = 4;

pub(super) fn lint(library: &Whole<'_>) -> Vec<Finding> {
    let all = library.drills;
    let texts = |pointer: &'static str, text: fn(&Drill) -> &str| {
        alike(all.iter().map(move |drill| (piece(drill), drill.title.as_str(), pointer, text(drill))))
    };
    let own = all.iter().flat_map(|drill| {
        let layout = Layout::read(&drill.layout, Pace::default()).unwrap_or_default();
        let found = [
            on_the_ground(drill, &layout),
            cautions(drill),
            rungs(drill),
            words(drill),
            planned(drill, &layout, library),
        ];
        found.into_iter().flatten().map(|(pointer, says)| Finding::new(piece(drill), pointer, says))
    });
    own.chain(texts("/title", |drill| &drill.title))
        .chain(texts("/purpose", |drill| &drill.purpose))
        .chain(texts("/in_game", |drill| &drill.in_game))
        .collect()
}

fn piece(drill: &Drill) -> Piece {
    Piece::Drill(drill.id.clone())
}

type Found = Vec<(String, LibraryFound)>;

/// The layout, the people in it, and the space at home.
fn on_the_ground(drill: &Drill, layout: &Layout) -> Found {
    let mut found = Found::new();
    let touched = drill.touches_per_s.values().any(|touches| *touches > 0.0);
    if touched && layout.balls.is_empty() {
        found.push(("/layout".into(), LibraryFound::NoBall));
    }
    let (people, least) = (layout.people.len() as u32, drill.station.min);
    if people > least {
        found.push(("/station/min".into(), LibraryFound::TooFew { least, people }));
    }
    if let Some(home) = drill.home {
        let needs = layout.footprint();
        let fits = |width: f64, depth: f64| needs.width.0 <= width + 1e-9 && needs.depth.0 <= depth + 1e-9;
        let (width, depth) = (home.width.0, home.depth.0);
        if !fits(width, depth) && !fits(depth, width) {
            let (needs_width, needs_depth) = (needs.width.0, needs.depth.0);
            found.push((
                "/home".into(),
                LibraryFound::HomeTooSmall { width, depth, needs_width, needs_depth },
            ));
        }
        if people.max(least) > 1 {
            found.push(("/home".into(), LibraryFound::HomeForMore { people: people.max(least) }));
        }
    }
    found
}

/// What could hurt, by what the drill does.
fn cautions(drill: &Drill) -> Found {
    let plays = |surface: Surface| drill.surfaces.contains(&surface);
    let served = |service: Service| drill.levers.service.contains(&service);
    let wants = |pressure: Pressure| drill.levers.pressure.contains(&pressure);
    let in_the_air =
        plays(Surface::Chest) || plays(Surface::Thigh) || plays(Surface::Head) || served(Service::High);
    // Whether there must be one, and whether there may.
    let rules = [
        (Caution::Heading, plays(Surface::Head), plays(Surface::Head)),
        (Caution::Aerial, in_the_air, true),
        (Caution::BallUnderfoot, plays(Surface::Sole), plays(Surface::Sole)),
        (Caution::Contact, wants(Pressure::Live), !drill.levers.pressure.is_empty()),
        (Caution::ReactionCrowding, drill.cues.is_some() && drill.station.working > A_CROWD, true),
    ];
    let mut found = Found::new();
    for (caution, must, may) in rules {
        match drill.cautions.contains(&caution) {
            false if must => {
                found.push(("/cautions".into(), LibraryFound::CautionMissing { caution: caution.tag() }))
            }
            true if !may => {
                found.push(("/cautions".into(), LibraryFound::CautionWithout { caution: caution.tag() }))
            }
            _ => {}
        }
    }
    found
}

/// Rungs at a stage at which no skill is served: nothing ever plans them.
fn rungs(drill: &Drill) -> Found {
    let serves = |rung: &crate::drill::Rung| drill.skills_at(rung.stage()).next().is_some();
    let idle = drill.rungs.iter().enumerate().filter(|(_, rung)| !serves(rung));
    idle.map(|(i, rung)| (format!("/rungs/{i}"), LibraryFound::RungServesNothing { stage: rung.stage() }))
        .collect()
}

/// What is called has to be short.
fn words(drill: &Drill) -> Found {
    let long = drill.points.iter().enumerate().filter_map(|(i, point)| {
        let words = point.split_whitespace().count();
        (words > MOST_WORDS).then(|| {
            (
                format!("/points/{i}"),
                LibraryFound::LongPoint { point: point.clone(), words, most: MOST_WORDS },
            )
        })
    });
    long.collect()
}

/// Whether a plan of each band that it has a dose for can hold it.
fn planned(drill: &Drill, layout: &Layout, library: &Whole<'_>) -> Found {
    let mut found = Found::new();
    let home_alone = drill.home.is_some_and(|home| home.only);
    for id in drill.doses.keys() {
        let Some(band) = library.bands.iter().find(|band| band.id == *id) else { continue };
        let pointer = format!("/doses/{id}");
        // A skill that an older band begins is no goal of this one.
        let begun = drill.serves.iter().any(|serves| {
            let skill = library.skills.iter().find(|skill| skill.id == serves.skill);
            let begins = skill.and_then(|skill| library.bands.iter().find(|known| known.id == skill.band));
            begins.is_some_and(|begins| begins.youngest <= band.youngest)
        });
        if !begun {
            found.push((pointer.clone(), LibraryFound::NeverBegun { band: band.name.clone() }));
        }
        let turns = drill.station.usual.div_ceil(drill.station.working.max(1)).max(1);
        let fits = drill.schedule(band, layout).and_then(|schedule| drill.minutes(schedule, band, turns));
        if !home_alone && fits.is_none() {
            found.push((pointer, LibraryFound::NeverPlanned { band: band.name.clone() }));
        }
    }
    found
}
