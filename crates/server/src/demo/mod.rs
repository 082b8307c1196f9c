//! The demo academy: seven clubs in the middle of their season, a winter for the U8–U9 that waits to be published, and
//! drafts of the terms before and after.

mod academy;
mod scale;
mod story;

use jiff::ToSpan;
use jiff::civil::Date;
use jiff::tz::TimeZone;
use jogo_core::academy::band::Band;
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::season::days_off::{DaysOff, Whose};
use jogo_core::season::year::{Term, Year};
use jogo_core::statistics::chance::Chance;
use jogo_core::technique::skill::{Skill, Strand};
use jogo_store::Store;
use jogo_store::library::Library;
use rust_embed::Embed;
use serde::de::DeserializeOwned;
use uuid::Uuid;

use crate::clock::Clock;
use academy::{Cast, SKETCHES};
use story::Story;

/// The password of every sample person.
pub const PASSWORD: &str = "skerrow-floor";

#[derive(Embed)]
#[folder = "../../demo"]
struct Files;

/// Why the demo could not be made.
type Failed = Box<dyn std::error::Error>;

fn file<T: DeserializeOwned>(name: &str) -> Result<T, Failed> {
    let file = Files::get(name).ok_or_else(|| format!("demo/{name} is missing"))?;
    serde_json::from_slice(&file.data).map_err(|e| format!("demo/{name}: {e}").into())
}

/// The names of the files in a folder.
fn names_in(folder: &str) -> Vec<String> {
    let mut names: Vec<_> = Files::iter().filter(|name| name.starts_with(folder)).map(String::from).collect();
    names.sort();
    names
}

/// The terms of a year, as the files of the templates call them.
const TERMS: [&str; 3] = ["autumn", "winter", "spring"];

/// The templates of every band, term by term.
fn templates(bands: &[Band]) -> Result<Vec<(String, Curriculum)>, Failed> {
    let names = bands.iter().flat_map(|band| TERMS.map(|term| format!("{}-{term}", band.id)));
    names.map(|name| Ok((name.clone(), file(&format!("templates/{name}.json"))?))).collect()
}

/// The demo's library.
pub fn library() -> Result<Library, Failed> {
    let mut skills = Vec::new();
    for strand in Strand::ALL {
        skills.extend(file::<Vec<Skill>>(&format!("skills/{}.json", strand.word()))?);
    }
    let bands: Vec<Band> = file("bands.json")?;
    Ok(Library {
        templates: templates(&bands)?,
        bands,
        skills,
        drills: names_in("drills/").iter().map(|name| file(name)).collect::<Result<_, _>>()?,
        tests: file("tests.json")?,
        standards: file("standards.json")?,
        milestones: file("milestones.json")?,
        phrases: vec![file("translations/de.json")?],
    })
}

/// Fills an empty database: always on the same day the same academy, but for the ids; `scale` times as large, if it
/// is more than one.
pub async fn fill(store: &Store, clock: &Clock, scale: u32) -> Result<(), Failed> {
    let (now, today) = (clock.now(), clock.today(&TimeZone::UTC));
    let library = library()?;
    store.set_academy("Skerrow Islands Youth Football", "UTC").await?;
    store.change_settings(&file("academy.json")?, 1).await?;
    store.put_library(&library, now).await?;
    let mut cast = Cast::new(store, now)?;
    let director = cast.director().await?;
    let mut story = Story { store, shelf: &library, chance: Chance::seeded(2037), now, today, director };
    let mut running = Vec::new();
    for Running { band, wishes, name, begun, weeks, seed, sittings } in RUNNING {
        let season = (today - i64::from(begun).weeks(), weeks);
        let told = story.curriculum(wishes, name, season, seed).await?;
        let of_band: Vec<_> = SKETCHES.iter().filter(|s| s.band == band && s.squad > 0).collect();
        let mut teams = Vec::new();
        for sketch in &of_band {
            teams.push(cast.team(sketch).await?);
        }
        let published = story.publishes(told).await?;
        for (sketch, team) in of_band.into_iter().zip(teams) {
            story.tells(sketch, team, &published, sittings).await?;
        }
        running.push(published);
    }
    // A team without a squad is new this winter.
    for sketch in SKETCHES.iter().filter(|sketch| sketch.squad == 0) {
        cast.team(sketch).await?;
    }
    cast.trains().await?;
    scale::add(&story, &mut cast, &running, scale.saturating_sub(1)).await?;
    seasons(store, today).await?;
    cast.lead("nelun", "Nelun Torrby", "North Beacon").await?;
    story.curriculum("curriculum.json", Some("Winter with the ball"), (today, 6), 7).await?;
    for (seed, band) in (41..).zip(&library.bands) {
        for (term, from_today, weeks) in OTHER_TERMS {
            let season = (today + from_today.weeks(), weeks);
            story.curriculum(&format!("templates/{}-{term}.json", band.id), None, season, seed).await?;
        }
    }
    Ok(())
}

/// The season with its three terms, in the second of which today lies, and the breaks between them.
async fn seasons(store: &Store, today: Date) -> Result<(), Failed> {
    let day = |weeks: i64| today + weeks.weeks();
    let eve = |weeks: i64| day(weeks).yesterday();
    let term = |name: &str, from, to| {
        Ok::<Term, Failed>(Term { name: name.into(), first: day(from), last: eve(to)? })
    };
    let terms = vec![term("Autumn", -23, -13)?, term("Winter", -6, 7)?, term("Spring", 8, 18)?];
    let (first, last) = (day(-26), eve(26)?);
    let name = format!("{}/{:02}", first.year(), (first.year() + 1) % 100);
    store.put_season(Uuid::now_v7(), &Year { name, first, last, terms }).await?;
    for (name, from, to) in [("Winter break", -8, -6), ("Spring break", 7, 8)] {
        let days = DaysOff { name: name.into(), first: day(from), last: eve(to)? };
        store.put_days_off(Uuid::now_v7(), Whose::Academy, &days).await?;
    }
    Ok(())
}

/// The terms before and after: from how many weeks after today, and how many weeks. The autumn was run on paper, and
/// the spring is a draft.
const OTHER_TERMS: [(&str, i64, u32); 2] = [("autumn", -23, 10), ("spring", 8, 10)];

/// A curriculum that teams run.
struct Running {
    band: &'static str,
    /// The file of its wishes.
    wishes: &'static str,
    name: Option<&'static str>,
    /// Weeks ago.
    begun: u8,
    weeks: u32,
    seed: u64,
    /// The sessions, from 0, at which tests were taken.
    sittings: &'static [usize],
}

/// The U8–U9 have finished their autumn; the others are in the sixth of twelve weeks.
const RUNNING: [Running; 4] = [
    Running {
        band: "u8-u9",
        wishes: "curriculum.json",
        name: Some("Autumn with the ball"),
        begun: 6,
        weeks: 6,
        seed: 12,
        sittings: &[1, 11],
    },
    Running {
        band: "u6-u7",
        wishes: "templates/u6-u7-winter.json",
        name: None,
        begun: 5,
        weeks: 12,
        seed: 21,
        sittings: &[1, 9],
    },
    Running {
        band: "u10-u12",
        wishes: "templates/u10-u12-winter.json",
        name: None,
        begun: 5,
        weeks: 12,
        seed: 23,
        sittings: &[1, 9],
    },
    Running {
        band: "u13-u15",
        wishes: "templates/u13-u15-winter.json",
        name: None,
        begun: 5,
        weeks: 12,
        seed: 25,
        sittings: &[1, 9],
    },
];
