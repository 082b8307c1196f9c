//! The library as files: bands, skills, tests with their standards, milestones, drills, templates and translations in
//! and out as JSON, and read as a whole.

use crate::json::found;
use jogo_core::academy::language::Language;
use jogo_words::say;
use std::path::{Path, PathBuf};

use clap::Subcommand;
use jiff::Timestamp;
use jogo_core::academy::band::Band;
use jogo_core::academy::phrases::Phrases;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::assessment::milestones::check::check as check_milestone;
use jogo_core::assessment::standards::Standard;
use jogo_core::drill::{Drill, Shelf};
use jogo_core::ids::MilestoneId;
use jogo_core::input::{InputError, Unknown};
use jogo_core::library::{Finding, Piece, Whole, lint};
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::progression::check::{check, circle_in};
use jogo_core::technique::skill::{Skill, Strand};
use jogo_store::library::Library;
use jogo_store::{Store, StoreError};
use serde::Serialize;
use serde::de::DeserializeOwned;
use serde_json::Value;

use super::Stopped;
use crate::json::pointer;

/// The largest file that is read.
const LARGEST_FILE: u64 = 4_000_000;
/// The message for a piece that is none of these.
const NO_PIECE: &str = "is not a drill (`layout`), skill (`needs`), test (`protocol`), standard (`thresholds`), milestone \
    (`evidence`), band (`longest_bout_s`), template (`goals`) or translation (`language`): see docs/formats.md";
/// How many faults are said at once.
const MOST_FAULTS: usize = 100;

/// What can be done with a library that lies in files.
#[derive(Debug, Subcommand)]
pub enum Command {
    /// Read it as a whole, and say what a good coach would ask: file, place, and how to mend it.
    Check {
        /// Files and folders that hold all of it.
        #[arg(required = true)]
        paths: Vec<PathBuf>,
    },
}

/// What files hold, each piece with the file and place where it stands.
#[derive(Default)]
struct Pieces {
    bands: Vec<(String, Band)>,
    skills: Vec<(String, Skill)>,
    tests: Vec<(String, Test)>,
    drills: Vec<(String, Drill)>,
    standards: Vec<(String, Standard)>,
    milestones: Vec<(String, Milestone)>,
    curricula: Vec<(String, Curriculum)>,
    /// What each curriculum is called in files.
    templates: Vec<String>,
    phrases: Vec<(String, Phrases)>,
    faults: Vec<String>,
}

/// Reads files and folders of JSON and puts what they hold into the library: all of it, or nothing.
pub async fn import(store: &Store, paths: &[PathBuf], at: Timestamp) -> Result<String, Stopped> {
    let mut pieces = Pieces::of(paths);
    pieces.check(&Kept::of(store).await.map_err(|e| Stopped::failed(e.to_string()))?);
    if !pieces.faults.is_empty() {
        return Err(Stopped::input(format!("nothing was imported:\n{}", at_once(&pieces.faults))));
    }
    let Pieces { bands, skills, tests, drills, standards, milestones, curricula, templates, phrases, .. } =
        pieces;
    let says = format!(
        "{} bands, {} skills, {} tests, {} drills, {} standards, {} milestones, {} templates, {} translated texts",
        bands.len(),
        skills.len(),
        tests.len(),
        drills.len(),
        standards.len(),
        milestones.len(),
        curricula.len(),
        phrases.iter().map(|(_, book)| book.texts.len() + book.calls.len()).sum::<usize>()
    );
    let library = Library {
        bands: second(bands),
        skills: second(skills),
        tests: second(tests),
        drills: second(drills),
        standards: second(standards),
        milestones: second(milestones),
        phrases: second(phrases),
        templates: templates.into_iter().zip(second(curricula)).collect(),
    };
    store.put_library(&library, at).await.map_err(|e| Stopped::failed(e.to_string()))?;
    Ok(format!("imported {says}\n"))
}

/// Reads the files of a whole library, and says what is wrong with a piece or what would be asked of the whole.
pub fn run(command: &Command) -> Result<String, Stopped> {
    let Command::Check { paths } = command;
    let mut pieces = Pieces::of(paths);
    pieces.check(&Kept::default());
    if pieces.faults.is_empty() {
        pieces.lint();
    }
    if !pieces.faults.is_empty() {
        return Err(Stopped::input(format!("{}\n{} in all", at_once(&pieces.faults), pieces.faults.len())));
    }
    Ok(format!(
        "{} skills, {} drills, {} tests, {} milestones: nothing to ask\n",
        pieces.skills.len(),
        pieces.drills.len(),
        pieces.tests.len(),
        pieces.milestones.len(),
    ))
}

/// As many faults as can be read at once, one a line.
fn at_once(faults: &[String]) -> String {
    let more = faults.len().saturating_sub(MOST_FAULTS);
    let tail = if more > 0 { format!("\n… and {more} more") } else { String::new() };
    format!("{}{tail}", faults[..faults.len() - more].join("\n"))
}

/// What pieces may name that is in the library already.
#[derive(Default)]
struct Kept {
    bands: Vec<Band>,
    skills: Vec<Skill>,
    tests: Vec<Test>,
    milestones: Vec<MilestoneId>,
}

impl Kept {
    async fn of(store: &Store) -> Result<Kept, StoreError> {
        Ok(Kept {
            bands: store.bands().await?.into_iter().map(|kept| kept.band).collect(),
            skills: store.skills().await?,
            tests: store.tests().await?,
            milestones: store.milestones().await?.into_iter().map(|milestone| milestone.id).collect(),
        })
    }
}

fn second<T>(pieces: Vec<(String, T)>) -> Vec<T> {
    pieces.into_iter().map(|(_, piece)| piece).collect()
}

impl Pieces {
    /// What files and folders hold.
    fn of(paths: &[PathBuf]) -> Pieces {
        let mut pieces = Pieces::default();
        paths.iter().for_each(|path| pieces.read(path));
        pieces
    }

    fn read(&mut self, path: &Path) {
        if path.is_dir() {
            let mut inside: Vec<PathBuf> =
                std::fs::read_dir(path).into_iter().flatten().flatten().map(|entry| entry.path()).collect();
            inside.sort();
            let wanted = |p: &&PathBuf| p.is_dir() || p.extension().is_some_and(|e| e == "json");
            inside.iter().filter(wanted).for_each(|path| self.read(path));
            return;
        }
        let name = path.file_stem().unwrap_or_default().to_string_lossy().into_owned();
        match text_of(path)
            .and_then(|text| serde_json::from_str(&text).map_err(|e| format!("is no JSON: {e}")))
        {
            Ok(Value::Array(all)) => {
                for (i, piece) in all.into_iter().enumerate() {
                    self.take(&format!("{}: /{i}", path.display()), &format!("{name}-{}", i + 1), piece);
                }
            }
            Ok(piece) => self.take(&format!("{}: ", path.display()), &name, piece),
            Err(says) => self.faults.push(format!("{}: {says}", path.display())),
        }
    }

    /// What a piece is shows in what it says. A template has no name but that of its file.
    fn take(&mut self, at: &str, name: &str, piece: Value) {
        let says = |key: &str| piece.get(key).is_some();
        if says("thresholds") {
            self.standards.extend(typed(at, piece, &mut self.faults));
        } else if says("protocol") {
            self.tests.extend(typed(at, piece, &mut self.faults));
        } else if says("layout") {
            self.drills.extend(typed(at, piece, &mut self.faults));
        } else if says("evidence") {
            self.milestones.extend(typed(at, piece, &mut self.faults));
        } else if says("needs") {
            self.skills.extend(typed(at, piece, &mut self.faults));
        } else if says("longest_bout_s") {
            self.bands.extend(typed(at, piece, &mut self.faults));
        } else if says("goals") {
            let known = typed(at, piece, &mut self.faults);
            self.templates.extend(known.is_some().then(|| name.to_owned()));
            self.curricula.extend(known);
        } else if says("language") {
            self.phrases.extend(typed(at, piece, &mut self.faults));
        } else {
            self.faults.push(format!("{at}{NO_PIECE}"));
        }
    }

    /// What the pieces say of each other and of what is in the library.
    fn check(&mut self, kept: &Kept) {
        let bands = beside(&self.bands, &kept.bands);
        let skills = beside(&self.skills, &kept.skills);
        let tests = beside(&self.tests, &kept.tests);
        let named: Vec<_> = tests.iter().map(|test| test.id.clone()).collect();
        let own = self.milestones.iter().map(|(_, milestone)| milestone.id.clone());
        let milestones: Vec<_> = own.chain(kept.milestones.iter().cloned()).collect();
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
        let standard_faults =
            self.standards.iter().map(|(at, standard)| (at, wrong_with(standard, &tests, &bands)));
        let template_faults =
            self.curricula.iter().map(|(at, wishes)| (at, wrong_with_template(wishes, &skills, &bands)));
        let phrase_faults = self.phrases.iter().map(|(at, book)| (at, book.faults()));
        let found: Vec<String> = band_faults
            .chain(phrase_faults)
            .chain(skill_faults)
            .chain(drill_faults)
            .chain(test_faults)
            .chain(standard_faults)
            .chain(milestone_faults)
            .chain(template_faults)
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
        let templates = self.curricula.iter().zip(&self.templates);
        self.faults.extend(twice("template", templates.map(|((at, _), name)| (at, name.as_str()))));
        self.faults.extend(twice("band", self.bands.iter().map(|(at, b)| (at, b.id.as_str()))));
    }

    /// What is asked of the whole, each with the file and place of its piece.
    fn lint(&mut self) {
        let (bands, skills) = (beside(&self.bands, &[]), beside(&self.skills, &[]));
        let (drills, tests) = (beside(&self.drills, &[]), beside(&self.tests, &[]));
        let (standards, milestones) = (beside(&self.standards, &[]), beside(&self.milestones, &[]));
        let curricula = beside(&self.curricula, &[]);
        let whole = Whole {
            bands: &bands,
            skills: &skills,
            drills: &drills,
            tests: &tests,
            standards: &standards,
            milestones: &milestones,
            curricula: &curricula,
        };
        let found = lint(&whole);
        let says = found.into_iter().map(|Finding { of, pointer, says }| {
            format!("{}{pointer}: {}", self.place_of(&of), say(Language::English, says))
        });
        self.faults = says.collect();
    }

    /// Where a piece stands.
    fn place_of(&self, piece: &Piece) -> &str {
        fn of<T>(all: &[(String, T)], is_it: impl Fn(&T) -> bool) -> Option<&String> {
            all.iter().find(|(_, each)| is_it(each)).map(|(at, _)| at)
        }
        let found = match piece {
            Piece::Skill(id) => of(&self.skills, |skill| skill.id == *id),
            Piece::Drill(id) => of(&self.drills, |drill| drill.id == *id),
            Piece::Test(id) => of(&self.tests, |test| test.id == *id),
            Piece::Milestone(id) => of(&self.milestones, |milestone| milestone.id == *id),
            Piece::Standard(i) => self.standards.get(*i).map(|(at, _)| at),
            Piece::Curriculum(i) => self.curricula.get(*i).map(|(at, _)| at),
        };
        found.map_or("", String::as_str)
    }
}

/// The pieces of files, and then what is kept.
fn beside<T: Clone>(pieces: &[(String, T)], kept: &[T]) -> Vec<T> {
    pieces.iter().map(|(_, piece)| piece).chain(kept).cloned().collect()
}

/// What is wrong with a standard beside its test.
fn wrong_with(standard: &Standard, tests: &[Test], bands: &[Band]) -> Vec<InputError> {
    let mut faults = Vec::new();
    if !bands.iter().any(|band| band.id == standard.band) {
        faults.push(InputError::at("/band", Unknown::Band { id: standard.band.to_string() }));
    }
    match tests.iter().find(|test| test.id == standard.test) {
        None => faults.push(InputError::at("/test", Unknown::Test { id: standard.test.to_string() })),
        Some(test) => {
            let wrong = test.threshold_faults(&standard.band, &standard.thresholds);
            faults.extend(wrong.into_iter().map(|fault| fault.inside("/thresholds")));
        }
    }
    faults
}

/// What is wrong with a template beside the library.
fn wrong_with_template(wishes: &Curriculum, skills: &[Skill], bands: &[Band]) -> Vec<InputError> {
    let mut faults = wishes.faults();
    if !bands.iter().any(|band| band.id == wishes.band) {
        faults.push(InputError::at("/band", Unknown::Band { id: wishes.band.to_string() }));
    }
    let unknown =
        wishes.goals.iter().enumerate().filter(|(_, goal)| !skills.iter().any(|s| s.id == goal.skill));
    faults.extend(unknown.map(|(i, goal)| {
        InputError::at(format!("/goals/{i}/skill"), Unknown::Skill { id: goal.skill.to_string() })
    }));
    faults
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

/// Writes the library into a folder: `bands.json`, `tests.json`, `standards.json`, `milestones.json`, a file of skills
/// for each strand, a file for each drill and each template, and one of translations for each language that has some;
/// in these, what is missing is empty.
pub async fn export(store: &Store, folder: &Path) -> Result<String, Stopped> {
    let stored = |e: jogo_store::StoreError| Stopped::failed(e.to_string());
    let bands: Vec<Band> = store.bands().await.map_err(stored)?.into_iter().map(|kept| kept.band).collect();
    let (skills, tests) = (store.skills().await.map_err(stored)?, store.tests().await.map_err(stored)?);
    let drills = store.drills().await.map_err(stored)?;
    let milestones = store.milestones().await.map_err(stored)?;
    write(&folder.join("bands.json"), &bands)?;
    write(&folder.join("tests.json"), &tests)?;
    write(&folder.join("standards.json"), &store.all_standards().await.map_err(stored)?)?;
    write(&folder.join("milestones.json"), &milestones)?;
    let templates = store.templates().await.map_err(stored)?;
    for (name, template) in &templates {
        write(&folder.join(format!("templates/{name}.json")), template)?;
    }
    for strand in Strand::ALL {
        let of_strand: Vec<&Skill> = skills.iter().filter(|skill| skill.strand == strand).collect();
        write(&folder.join(format!("skills/{}.json", strand.word())), &of_strand)?;
    }
    for drill in &drills {
        write(&folder.join(format!("drills/{}.json", drill.id)), drill)?;
    }
    let pieces = serde_json::json!([bands, skills, tests, milestones, drills, templates]);
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
