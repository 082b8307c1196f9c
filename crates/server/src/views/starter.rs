//! The library that comes with Jogo: what it holds, and what an academy does not have of it yet.

use std::collections::BTreeSet;

use jogo_core::academy::band::Band;
use jogo_core::academy::phrases::Phrases;
use jogo_store::library::Library;
use jogo_store::{Store, StoreError, Stored};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::demo;

/// A part of the library that can be taken by itself, with what it rests on.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum StarterPart {
    /// Bands, with their limits.
    Bands,
    /// Skills, drills, tests and milestones: they name each other.
    Library,
    /// Standards of the tests, all of them assumptions.
    Standards,
    /// Curricula to begin from.
    Templates,
}

impl StarterPart {
    const ALL: [StarterPart; 4] =
        [StarterPart::Bands, StarterPart::Library, StarterPart::Standards, StarterPart::Templates];

    /// The parts that it names pieces of.
    fn rests_on(self) -> &'static [StarterPart] {
        match self {
            StarterPart::Bands => &[],
            StarterPart::Library => &[StarterPart::Bands],
            StarterPart::Standards | StarterPart::Templates => &[StarterPart::Bands, StarterPart::Library],
        }
    }
}

/// A part, and how much of it the academy has.
#[derive(Serialize, ToSchema)]
pub struct StarterView {
    part: StarterPart,
    /// The parts that come with it.
    rests_on: &'static [StarterPart],
    /// How many pieces it has.
    pieces: usize,
    /// How many of them the academy does not have.
    missing: usize,
}

/// The library that comes with Jogo, beside that of an academy.
pub struct Starter {
    whole: Library,
    /// What of it the academy does not have.
    missing: Library,
}

impl Starter {
    /// The bands that come with Jogo.
    pub fn bands(self) -> Vec<Band> {
        self.whole.bands
    }

    /// What comes with Jogo, beside what is there.
    pub async fn of(store: &Store) -> Stored<Starter> {
        let read = |error: Box<dyn std::error::Error>| StoreError::Unreadable {
            what: "the library that comes with Jogo",
            why: error.to_string(),
        };
        let whole = demo::library().map_err(read)?;
        let mut missing = whole.clone();
        let bands: BTreeSet<_> = store.bands().await?.into_iter().map(|kept| kept.band.id).collect();
        missing.bands.retain(|band| !bands.contains(&band.id));
        let skills: BTreeSet<_> = store.skills().await?.into_iter().map(|skill| skill.id).collect();
        missing.skills.retain(|skill| !skills.contains(&skill.id));
        let mut drills = BTreeSet::new();
        for away in [false, true] {
            drills.extend(store.kept_drills(away).await?.into_iter().map(|kept| kept.drill.id));
        }
        missing.drills.retain(|drill| !drills.contains(&drill.id));
        let tests: BTreeSet<_> = store.tests().await?.into_iter().map(|test| test.id).collect();
        missing.tests.retain(|test| !tests.contains(&test.id));
        let standards: BTreeSet<_> =
            store.all_standards().await?.into_iter().map(|standard| (standard.test, standard.band)).collect();
        missing
            .standards
            .retain(|standard| !standards.contains(&(standard.test.clone(), standard.band.clone())));
        let milestones: BTreeSet<_> = store.milestones().await?.into_iter().map(|each| each.id).collect();
        missing.milestones.retain(|milestone| !milestones.contains(&milestone.id));
        let templates: BTreeSet<_> = store.templates().await?.into_iter().map(|(id, _)| id).collect();
        missing.templates.retain(|(id, _)| !templates.contains(id));
        Ok(Starter { whole, missing })
    }

    /// Its parts, in their order.
    pub fn parts(&self) -> Vec<StarterView> {
        let view = |part| StarterView {
            part,
            rests_on: part.rests_on(),
            pieces: pieces(part, &self.whole),
            missing: pieces(part, &self.missing),
        };
        StarterPart::ALL.map(view).into()
    }

    /// What is missing of some parts and of what they rest on, with the translated texts of all.
    pub fn library(self, parts: &[StarterPart]) -> Library {
        let Starter { whole, missing } = self;
        let wanted =
            |part: StarterPart| parts.iter().any(|each| *each == part || each.rests_on().contains(&part));
        let phrases: Vec<Phrases> = if parts.is_empty() { Vec::new() } else { whole.phrases };
        Library {
            bands: taken(missing.bands, wanted(StarterPart::Bands)),
            skills: taken(missing.skills, wanted(StarterPart::Library)),
            drills: taken(missing.drills, wanted(StarterPart::Library)),
            tests: taken(missing.tests, wanted(StarterPart::Library)),
            milestones: taken(missing.milestones, wanted(StarterPart::Library)),
            standards: taken(missing.standards, wanted(StarterPart::Standards)),
            templates: taken(missing.templates, wanted(StarterPart::Templates)),
            phrases,
        }
    }
}

fn taken<T>(pieces: Vec<T>, wanted: bool) -> Vec<T> {
    if wanted { pieces } else { Vec::new() }
}

/// How many pieces a library has of a part.
fn pieces(part: StarterPart, library: &Library) -> usize {
    match part {
        StarterPart::Bands => library.bands.len(),
        StarterPart::Library => {
            library.skills.len() + library.drills.len() + library.tests.len() + library.milestones.len()
        }
        StarterPart::Standards => library.standards.len(),
        StarterPart::Templates => library.templates.len(),
    }
}
