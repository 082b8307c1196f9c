//! The library as files: bands, skills, tests, milestones, drills and their translations in and out as JSON.

use crate::json::found;
use jogo_core::academy::language::Language;
use jogo_words::say;
use std::path::{Path, PathBuf};

use jiff::Timestamp;
use jogo_core::academy::band::Band;
use jogo_core::academy::phrases::Phrases;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::assessment::milestones::check::check as check_milestone;
use jogo_core::drill::{Drill, Shelf};
use jogo_core::progression::check::{check, circle_in};
use jogo_core::technique::skill::{Skill, Strand};
use jogo_store::Store;
use jogo_store::library::Library;
use serde::Serialize;
use serde::de::DeserializeOwned;
use serde_json::Value;

use super::Stopped;
use crate::json::pointer;

/// The largest file that is read.
const LARGEST_FILE: u64 = 4_000_000;
/// How many faults are said at once.
const MOST_FAULTS: usize = 100;

/// What files hold, each piece with the file and place where it stands.
#[derive(Default)]
struct Pieces {
    bands: Vec<(String, Band)>,
    skills: Vec<(String, Skill)>,
    tests: Vec<(String, Test)>,
    drills: Vec<(String, Drill)>,
    milestones: Vec<(String, Milestone)>,
    phrases: Vec<(String, Phrases)>,
    faults: Vec<String>,
}

/// Reads files and folders of JSON and puts what they hold into the library: all of it, or nothing.
pub async fn import(store: &Store, paths: &[PathBuf], at: Timestamp) -> Result<String, Stopped> {
    let mut pieces = Pieces::default();
    for path in paths {
        pieces.read(path);
    }
    pieces.check(store).await.map_err(Stopped::failed)?;
    if !pieces.faults.is_empty() {
        let more = pieces.faults.len().saturating_sub(MOST_FAULTS);
        pieces.faults.truncate(MOST_FAULTS);
        let tail = if more > 0 { format!("\n… and {more} more") } else { String::new() };
        let says = format!("nothing was imported:\n{}{tail}", pieces.faults.join("\n"));
        return Err(Stopped::input(says));
    }
    let Pieces { bands, skills, tests, drills, milestones, phrases, .. } = pieces;
    let says = format!(
        "{} bands, {} skills, {} tests, {} drills, {} milestones, {} translated texts",
        bands.len(),
        skills.len(),
        tests.len(),
        drills.len(),
        milestones.len(),
        phrases.iter().map(|(_, book)| book.texts.len() + book.calls.len()).sum::<usize>()
    );
    let library = Library {
        bands: second(bands),
        skills: second(skills),
        tests: second(tests),
        drills: second(drills),
        standards: Vec::new(),
        milestones: second(milestones),
        phrases: second(phrases),
    };
    store.put_library(&library, at).await.map_err(|e| Stopped::failed(e.to_string()))?;
    Ok(format!("imported {says}\n"))
}

fn second<T>(pieces: Vec<(String, T)>) -> Vec<T> {
    pieces.into_iter().map(|(_, piece)| piece).collect()
}

impl Pieces {
    fn read(&mut self, path: &Path) {
        if path.is_dir() {
            let mut inside: Vec<PathBuf> =
                std::fs::read_dir(path).into_iter().flatten().flatten().map(|entry| entry.path()).collect();
            inside.sort();
            let wanted = |p: &&PathBuf| p.is_dir() || p.extension().is_some_and(|e| e == "json");
            inside.iter().filter(wanted).for_each(|path| self.read(path));
            return;
        }
        match text_of(path)
            .and_then(|text| serde_json::from_str(&text).map_err(|e| format!("is no JSON: {e}")))
        {
            Ok(Value::Array(all)) => {
                for (i, piece) in all.into_iter().enumerate() {
                    self.take(&format!("{}: /{i}", path.display()), piece);
                }
            }
            Ok(piece) => self.take(&format!("{}: ", path.display()), piece),
            Err(says) => self.faults.push(format!("{}: {says}", path.display())),
        }
    }

    /// What a piece is shows in what it says.
    fn take(&mut self, at: &str, piece: Value) {
        let says = |key: &str| piece.get(key).is_some();
        if says("protocol") {
            self.tests.extend(typed(at, piece, &mut self.faults));
        } else if says("layout") {
            self.drills.extend(typed(at, piece, &mut self.faults));
        } else if says("evidence") {
            self.milestones.extend(typed(at, piece, &mut self.faults));
        } else if says("needs") {
            self.skills.extend(typed(at, piece, &mut self.faults));
        } else if says("longest_bout_s") {
            self.bands.extend(typed(at, piece, &mut self.faults));
        } else if says("language") {
            self.phrases.extend(typed(at, piece, &mut self.faults));
        } else {
            let says = "is not a drill (`layout`), skill (`needs`), test (`protocol`), milestone (`evidence`), band \
                (`longest_bout_s`) or translation (`language`)";
            self.faults.push(format!("{at}{says}: see docs/formats.md"));
        }
    }

    /// What the pieces say of each other and of what is in the library.
    async fn check(&mut self, store: &Store) -> Result<(), String> {
        let stored = |e: jogo_store::StoreError| e.to_string();
        let known = store.bands().await.map_err(stored)?.into_iter().map(|kept| kept.band);
        let bands: Vec<Band> = self.bands.iter().map(|(_, band)| band.clone()).chain(known).collect();
        let known = store.skills().await.map_err(stored)?;
        let skills: Vec<Skill> = self.skills.iter().map(|(_, skill)| skill.clone()).chain(known).collect();
        let known = store.tests().await.map_err(stored)?;
        let tests: Vec<Test> = self.tests.iter().map(|(_, test)| test.clone()).chain(known).collect();
        let named: Vec<_> = tests.iter().map(|test| test.id.clone()).collect();
        let own = self.milestones.iter().map(|(_, milestone)| milestone.id.clone());
        let kept = store.milestones().await.map_err(stored)?;
        let milestones: Vec<_> = own.chain(kept.into_iter().map(|milestone| milestone.id)).collect();
        let shelf = Shelf { bands: &bands, skills: &skills, tests: &named, milestones: &milestones };
        let band_faults = self.bands.iter().map(|(at, band)| (at, band.faults()));
        let skill_faults = self.skills.iter().map(|(at, skill)| (at, check(skill, &shelf)));
        let drill_faults = self.drills.iter().map(|(at, drill)| (at, drill.check(&shelf)));
        let test_faults =
            self.tests.iter().map(|(at, test)| (at, [test.faults(), test.score_faults(&skills)].concat()));
        let milestone_faults = self
            .milestones
            .iter()
            .map(|(at, milestone)| (at, check_milestone(milestone, &bands, &skills, &tests)));
        let phrase_faults = self.phrases.iter().map(|(at, book)| (at, book.faults()));
        let found: Vec<String> = band_faults
            .chain(phrase_faults)
            .chain(skill_faults)
            .chain(drill_faults)
            .chain(test_faults)
            .chain(milestone_faults)
            .flat_map(|(at, faults)| {
                faults
                    .into_iter()
                    .map(move |f| format!("{at}{}: {}", f.pointer, say(Language::English, f.fact)))
            })
            .collect();
        self.faults.extend(found);
        // What is imported takes the place of what has the same name.
        let mut seen = std::collections::BTreeSet::new();
        let after: Vec<Skill> = skills.iter().filter(|skill| seen.insert(&skill.id)).cloned().collect();
        self.faults.extend(circle_in(&after).map(|circle| say(Language::English, circle)));
        self.faults.extend(twice("drill", self.drills.iter().map(|(at, d)| (at, d.id.as_str()))));
        self.faults.extend(twice("skill", self.skills.iter().map(|(at, s)| (at, s.id.as_str()))));
        self.faults.extend(twice("test", self.tests.iter().map(|(at, t)| (at, t.id.as_str()))));
        self.faults.extend(twice("milestone", self.milestones.iter().map(|(at, m)| (at, m.id.as_str()))));
        self.faults.extend(twice("band", self.bands.iter().map(|(at, b)| (at, b.id.as_str()))));
        Ok(())
    }
}

/// Names that are in two places.
fn twice<'a>(kind: &str, all: impl Iterator<Item = (&'a String, &'a str)>) -> Vec<String> {
    let mut seen = std::collections::BTreeMap::new();
    let doubled = all.filter_map(|(at, id)| {
        let first = seen.insert(id, at)?;
        Some(format!("{at}/id: a {kind} `{id}` already stands in {first}: keep one"))
    });
    doubled.collect()
}

pub(super) fn typed<T: DeserializeOwned>(
    at: &str,
    piece: Value,
    faults: &mut Vec<String>,
) -> Option<(String, T)> {
    match serde_path_to_error::deserialize(piece) {
        Ok(piece) => Some((at.to_owned(), piece)),
        Err(error) => {
            let pointer = pointer(error.path());
            let says = say(Language::English, found(&error.into_inner().to_string()));
            faults.push(format!("{at}{pointer}: {says}"));
            None
        }
    }
}

pub(super) fn text_of(path: &Path) -> Result<String, String> {
    let size = std::fs::metadata(path).map_err(|e| format!("cannot be read: {e}"))?.len();
    if size > LARGEST_FILE {
        return Err(format!("has {size} bytes, and at most {LARGEST_FILE} are read: split it"));
    }
    std::fs::read_to_string(path).map_err(|e| format!("cannot be read: {e}"))
}

/// Writes the library into a folder: `bands.json`, `tests.json`, `milestones.json`, a file of skills for each strand,
/// a file for each drill, and one of translations for each language that has some; in these, what is missing is
/// empty.
pub async fn export(store: &Store, folder: &Path) -> Result<String, Stopped> {
    let stored = |e: jogo_store::StoreError| Stopped::failed(e.to_string());
    let bands: Vec<Band> = store.bands().await.map_err(stored)?.into_iter().map(|kept| kept.band).collect();
    let (skills, tests) = (store.skills().await.map_err(stored)?, store.tests().await.map_err(stored)?);
    let drills = store.drills().await.map_err(stored)?;
    let milestones = store.milestones().await.map_err(stored)?;
    write(&folder.join("bands.json"), &bands)?;
    write(&folder.join("tests.json"), &tests)?;
    write(&folder.join("milestones.json"), &milestones)?;
    for strand in Strand::ALL {
        let of_strand: Vec<&Skill> = skills.iter().filter(|skill| skill.strand == strand).collect();
        write(&folder.join(format!("skills/{}.json", strand.word())), &of_strand)?;
    }
    for drill in &drills {
        write(&folder.join(format!("drills/{}.json", drill.id)), drill)?;
    }
    let pieces = serde_json::json!([bands, skills, tests, milestones, drills]);
    for language in Language::ALL {
        let mut book = store.phrases(language).await.map_err(stored)?;
        if book.texts.is_empty() && book.calls.is_empty() {
            continue;
        }
        book.learn(&pieces);
        write(&folder.join(format!("translations/{}.json", language.code())), &book)?;
    }
    Ok(format!("exported {} skills and {} drills into {}\n", skills.len(), drills.len(), folder.display()))
}

pub(super) fn write(file: &Path, value: &impl Serialize) -> Result<(), Stopped> {
    let wrong = |e: std::io::Error| Stopped::failed(format!("{} cannot be written: {e}", file.display()));
    let json = serde_json::to_string_pretty(value).map_err(|e| Stopped::failed(e.to_string()))?;
    if let Some(folder) = file.parent() {
        std::fs::create_dir_all(folder).map_err(wrong)?;
    }
    std::fs::write(file, json + "\n").map_err(wrong)
}
