//! The demo academy's library, read from the files that ship with Jogo.
#![allow(dead_code, reason = "the benches use a part of it")]

use std::fmt::Debug;
use std::path::PathBuf;
use std::str::FromStr;

use jogo_core::academy::Academy;
use jogo_core::academy::band::Band;
use jogo_core::academy::phrases::Phrases;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::assessment::standards::Standard;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::{Outcome, Said};
use jogo_core::drill::Drill;
use jogo_core::fact::Fact;
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::plan::problem::Place;
use jogo_core::plan::{BlockId, Plan, Problem};
use jogo_core::technique::skill::Skill;
use jogo_core::units::Minutes;
use serde::de::DeserializeOwned;

/// Facts in short: their codes with their values.
pub fn told<F: Into<Fact>>(facts: impl IntoIterator<Item = F>) -> Vec<String> {
    facts.into_iter().map(|fact| format!("{:?}", fact.into())).collect()
}

/// An id that a test names.
pub fn called<T: FromStr<Err: Debug>>(id: &str) -> T {
    id.parse().unwrap()
}

fn folder() -> PathBuf {
    PathBuf::from(env!("CARGO_MANIFEST_DIR")).join("../../demo")
}

fn read<T: DeserializeOwned>(file: &str) -> T {
    let text = std::fs::read_to_string(folder().join(file)).unwrap();
    serde_json::from_str(&text).unwrap_or_else(|error| panic!("{file}: {error}"))
}

pub fn bands() -> Vec<Band> {
    read("bands.json")
}

pub fn band() -> Band {
    bands().into_iter().find(|band| band.id == "u8-u9").unwrap()
}

pub fn skills() -> Vec<Skill> {
    ["ball_mastery", "dribbling", "receiving", "passing"]
        .iter()
        .flat_map(|strand| read::<Vec<Skill>>(&format!("skills/{strand}.json")))
        .collect()
}

/// The library's texts in German.
pub fn phrases() -> Phrases {
    read("translations/de.json")
}

pub fn tests() -> Vec<Test> {
    read("tests.json")
}

pub fn standards() -> Vec<Standard> {
    read("standards.json")
}

pub fn milestones() -> Vec<Milestone> {
    read("milestones.json")
}

pub fn curriculum() -> Curriculum {
    read("curriculum.json")
}

/// The terms of a year, as the names of the templates call them.
pub const TERMS: [&str; 3] = ["autumn", "winter", "spring"];

/// The templates of all bands, term by term.
pub fn templates() -> Vec<Curriculum> {
    bands().iter().flat_map(|band| TERMS.map(|term| template(&format!("{}-{term}", band.id)))).collect()
}

/// A template by its name: `u8-u9-winter`.
pub fn template(name: &str) -> Curriculum {
    read(&format!("templates/{name}.json"))
}

pub fn drills() -> Vec<Drill> {
    let mut files: Vec<String> = std::fs::read_dir(folder().join("drills"))
        .unwrap()
        .map(|entry| format!("drills/{}", entry.unwrap().file_name().to_str().unwrap()))
        .collect();
    files.sort();
    files.iter().map(|file| read(file)).collect()
}

pub fn problem() -> Problem {
    curriculum().problem(&Academy::default(), &band(), &skills(), &drills(), &tests()).unwrap()
}

/// A plan whose blocks are named in their order, from a number on.
pub fn named(plan: Plan, from: u128) -> Plan {
    let mut next = from;
    plan.named(|| {
        next += 1;
        BlockId(uuid::Uuid::from_u128(next))
    })
}

/// What is said of the block at a place.
pub type Saying = (Place, (Outcome, Option<Minutes>));

/// What was said, by session and place in a plan.
pub fn said<const N: usize>(plan: &Plan, of: [Saying; N]) -> Said {
    let at = |((session, place), what): Saying| ((session, plan.sessions[session][place].id.unwrap()), what);
    of.into_iter().map(at).collect()
}

/// The demo's curriculum with a plan, and the whole library beside it.
pub fn edition(plan: Plan) -> Edition {
    Edition {
        academy: Academy::default(),
        curriculum: curriculum(),
        band: band(),
        skills: skills(),
        drills: drills(),
        tests: tests(),
        plan,
        left: Default::default(),
        knack: 0.0,
    }
}
