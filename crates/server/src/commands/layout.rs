//! Layout texts on the command line: measured, drawn, fitted.

use std::path::PathBuf;
use std::str::FromStr;

use clap::{Args, Subcommand};
use jogo_core::fact::Fact;
use jogo_core::ground::fit::{Fit, Ground, Station, fit};
use jogo_core::ground::layout::Layout;
use jogo_core::units::{Metres, Pace};
use serde::Serialize;

use super::Stopped;
use super::text::{faulty, json, text_of};

/// What can be done with a layout text.
#[derive(Debug, Subcommand)]
pub enum Command {
    /// Print markers, kit, roles, footprint and paths as JSON.
    Measure {
        #[command(flatten)]
        text: Text,
    },
    /// Print the drawing as SVG.
    Draw {
        #[command(flatten)]
        text: Text,
    },
    /// Print how it stands on a floor, for a squad, as JSON.
    Fit {
        #[command(flatten)]
        text: Text,
        /// Free floor in metres, as 18x12.
        #[arg(long)]
        area: Area,
        /// Players.
        #[arg(long, value_parser = clap::value_parser!(u32).range(1..=1000))]
        squad: u32,
        /// Players at a station, as MIN,USUAL,MAX,WORKING.
        #[arg(long)]
        station: Players,
        /// Metres between stations.
        #[arg(long, default_value_t = 2.0, value_parser = metres)]
        margin: f64,
        /// Metres around each station.
        #[arg(long, default_value_t = 1.0, value_parser = metres)]
        run_off: f64,
    },
}

/// Where the text is, and who lays it.
#[derive(Debug, Args)]
pub struct Text {
    /// File with the layout text; `-` reads the standard input.
    file: PathBuf,
    /// Metres of one pace.
    #[arg(long, default_value_t = 0.75, value_parser = pace)]
    pace: f64,
}

/// A free floor.
#[derive(Clone, Copy, Debug)]
pub struct Area {
    width: f64,
    depth: f64,
}

/// How many players a station takes.
#[derive(Clone, Copy, Debug)]
pub struct Players(Station);

impl FromStr for Area {
    type Err = String;

    fn from_str(text: &str) -> Result<Area, String> {
        let sides = text.split_once(['x', '×']).and_then(|(w, d)| Some((w.parse().ok()?, d.parse().ok()?)));
        match sides {
            Some((width, depth)) if (0.1..=1000.0).contains(&width) && (0.1..=1000.0).contains(&depth) => {
                Ok(Area { width, depth })
            }
            _ => Err("write width and depth in metres, 0.1 to 1000, as 18x12".into()),
        }
    }
}

impl FromStr for Players {
    type Err = String;

    fn from_str(text: &str) -> Result<Players, String> {
        let numbers: Result<Vec<u32>, _> = text.split(',').map(|n| n.trim().parse()).collect();
        match numbers.as_deref() {
            Ok(&[min, usual, max, working])
                if 1 <= min
                    && min <= usual
                    && usual <= max
                    && max <= 1000
                    && (1..=max).contains(&working) =>
            {
                Ok(Players(Station { min, usual, max, working }))
            }
            _ => Err(
                "write MIN,USUAL,MAX,WORKING with 1 ≤ MIN ≤ USUAL ≤ MAX and 1 ≤ WORKING ≤ MAX, as 2,3,4,2"
                    .into(),
            ),
        }
    }
}

fn metres(text: &str) -> Result<f64, String> {
    let metres = text.parse().ok().filter(|metres| (0.0..=100.0).contains(metres));
    metres.ok_or_else(|| "metres, 0 to 100".into())
}

fn pace(text: &str) -> Result<f64, String> {
    let pace = text.parse().ok().filter(|pace| Pace::measured(Metres(*pace)).is_some());
    pace.ok_or_else(|| "a pace in metres, 0.3 to 1.5".into())
}

/// Does it, and returns what is to be printed.
pub fn run(command: &Command) -> Result<String, Stopped> {
    match command {
        Command::Measure { text } => json(&text.read()?.measures()),
        Command::Draw { text } => Ok(text.read()?.draw() + "\n"),
        Command::Fit { text, area, squad, station, margin, run_off } => {
            let ground = Ground {
                width: Metres(area.width),
                depth: Metres(area.depth),
                margin: Metres(*margin),
                run_off: Metres(*run_off),
                squad: *squad,
                markers: u32::MAX,
                adults: 1,
                wall: true,
            };
            json(&Answer::from(fit(&text.read()?, &station.0, &ground, None)))
        }
    }
}

/// How it stands, in the form that docs/formats.md describes.
#[derive(Serialize)]
struct Answer {
    stations_possible: u32,
    stations_needed: u32,
    station_sizes: Vec<u32>,
    working_share: f64,
    markers_needed: u32,
    fits: bool,
    misfit: Option<Fact>,
    nearest: Option<jogo_core::ground::fit::Nearest>,
}

impl From<Fit> for Answer {
    fn from(fit: Fit) -> Answer {
        Answer {
            stations_possible: fit.stations_possible,
            stations_needed: fit.stations_needed,
            station_sizes: fit.station_sizes,
            working_share: fit.working_share.0,
            markers_needed: fit.markers_needed,
            fits: fit.fits,
            misfit: fit.misfit,
            nearest: fit.nearest,
        }
    }
}

impl Text {
    fn read(&self) -> Result<Layout, Stopped> {
        let text = text_of(&self.file)?;
        Layout::read(&text, Pace(Metres(self.pace))).map_err(|faults| faulty(&self.file, faults))
    }
}
