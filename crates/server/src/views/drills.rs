//! Drills as they are found, and what lies beside them in the library.

use jogo_core::academy::Academy;
use jogo_core::academy::band::Band;
use jogo_core::academy::language::Language;
use jogo_core::academy::phrases::Phrases;
use jogo_core::delivery::voices::Heard;
use jogo_core::drill::cautions::Caution;
use jogo_core::drill::levers::Levers;
use jogo_core::drill::library::{Entry, Wanted};
use jogo_core::drill::{Drill, HomeSpace, Shelf, Step};
use jogo_core::fact::Fact;
use jogo_core::ground::fit::Station;
use jogo_core::ground::layout::Layout;
use jogo_core::ground::layout::measure::Footprint;
use jogo_core::ids::{BandId, DrillId, MilestoneId, SkillId, TestId};
use jogo_core::input::InputError;
use jogo_core::input::Unknown;
use jogo_core::technique::skill::{Skill, Stage, Strand};
use jogo_core::units::{Difficulty, Pace};
use jogo_store::drill::KeptDrill;
use serde::Serialize;
use utoipa::ToSchema;

use crate::problem::{Answer, Problem};
use crate::state::State;

/// How large a metre is in the small drawings of the list, in their own units. It is the same in all of them.
const SMALL_METRE: f64 = 11.0;

/// A strip with more counts says nothing in so small a picture.
const MOST_COUNTS: usize = 12;

/// A drill in the list.
#[derive(Serialize, ToSchema)]
pub struct DrillEntry {
    /// Its name in files and addresses.
    pub id: DrillId,
    title: String,
    purpose: String,
    strand: Strand,
    /// Stages that it serves.
    stages: Vec<Stage>,
    /// Names of the skills that it serves.
    skills: Vec<String>,
    station: Station,
    /// Markers at one station.
    markers: u32,
    footprint: Option<Footprint>,
    /// Of the easiest rung.
    easiest: Difficulty,
    /// Of the hardest rung.
    hardest: Difficulty,
    home: Option<HomeSpace>,
    /// What could hurt.
    cautions: Vec<Caution>,
    /// Why the band that was asked for does not do it.
    blocked: Option<Fact>,
    archived: bool,
    /// A small drawing, as SVG, in which a metre is as large as in every other one; absent if the text has faults.
    drawing: Option<String>,
    /// What the feet do, as a strip, where the ground is a dot and says nothing; as SVG.
    strip: Option<String>,
    /// What coaches say of it; nothing for whoever does not keep the library.
    pub heard: Heard,
}

impl DrillEntry {
    /// An entry for the band that was asked for, if one was.
    fn of(
        entry: Entry<'_>,
        band: Option<&Band>,
        academy: &Academy,
        archived: bool,
        library: &LibraryShelf,
    ) -> DrillEntry {
        let Entry { drill, layout, skills } = entry;
        let ladder = drill.ladder(&academy.lever_points);
        let hardness = |step: Option<&Step>| step.map_or(drill.difficulty, |s| s.difficulty);
        DrillEntry {
            strand: drill.main_strand(),
            stages: drill.stages(&academy.lever_points).into_iter().map(|(stage, _)| stage).collect(),
            skills: skills.into_iter().map(str::to_owned).collect(),
            station: drill.station,
            markers: layout.as_ref().map_or(0, |layout| layout.markers.len() as u32),
            footprint: layout.as_ref().map(|layout| layout.footprint()),
            easiest: hardness(ladder.first()),
            hardest: hardness(ladder.last()),
            home: drill.home,
            cautions: drill.cautions.clone(),
            blocked: band.and_then(|band| drill.blocked(band, academy)).map(Fact::from),
            archived,
            drawing: layout.as_ref().map(|layout| layout.draw_small(SMALL_METRE)),
            strip: library.strip(drill, layout.as_ref()),
            heard: Heard::default(),
            id: drill.id.clone(),
            title: drill.title.clone(),
            purpose: drill.purpose.clone(),
        }
    }
}

/// The drills that are looked for, by strand and title, drawn for a pace. Words are looked for in the texts as they
/// were written and in those of a language.
pub async fn listed(
    state: &State,
    wanted: &Wanted,
    archived: bool,
    language: Option<Language>,
    pace: Pace,
) -> Answer<Vec<DrillEntry>> {
    let phrases = match (language, &wanted.text) {
        (Some(language), Some(_)) => state.store.phrases(language).await?,
        _ => Phrases::default(),
    };
    let academy = state.store.settings().await?.0;
    let library = LibraryShelf::of(state).await?;
    let band = library.bands.iter().find(|band| wanted.band.as_ref() == Some(&band.id));
    let mut found = Vec::new();
    for KeptDrill { drill, .. } in state.store.kept_drills(archived).await? {
        let layout = drill.layout_at(&first_levers(&drill), pace).ok();
        let entry = Entry { drill: &drill, layout, skills: library.names(&drill) };
        if wanted.takes(&entry, band, &phrases) {
            found.push(DrillEntry::of(entry, band, &academy, archived, &library));
        }
    }
    found.sort_by(|a, b| (a.strand, &a.title).cmp(&(b.strand, &b.title)));
    Ok(found)
}

fn first_levers(drill: &Drill) -> Levers {
    drill.rungs.first().map(|rung| rung.levers).unwrap_or_default()
}

/// What else is in the library.
pub struct LibraryShelf {
    bands: Vec<Band>,
    skills: Vec<Skill>,
    tests: Vec<TestId>,
    milestones: Vec<MilestoneId>,
}

impl LibraryShelf {
    /// Names of the bands, the youngest first.
    pub fn bands(&self) -> Vec<BandId> {
        self.bands.iter().map(|band| band.id.clone()).collect()
    }

    /// The same beside other skills.
    pub fn shelf<'l>(&'l self, skills: &'l [Skill]) -> Shelf<'l> {
        Shelf { bands: &self.bands, skills, tests: &self.tests, milestones: &self.milestones }
    }

    /// Reads it.
    pub async fn of(state: &State) -> Answer<LibraryShelf> {
        Ok(LibraryShelf {
            bands: state.store.bands().await?.into_iter().map(|kept| kept.band).collect(),
            skills: state.store.skills().await?,
            tests: state.store.tests().await?.into_iter().map(|test| test.id).collect(),
            milestones: state.store.milestones().await?.into_iter().map(|m| m.id).collect(),
        })
    }

    /// Every fault of a drill beside it.
    pub fn check(&self, drill: &Drill) -> Vec<InputError> {
        drill.check(&self.shelf(&self.skills))
    }

    /// The strip of a drill whose ground is a dot.
    fn strip(&self, drill: &Drill, layout: Option<&Layout>) -> Option<String> {
        layout.filter(|layout| layout.footprint().is_a_dot())?;
        let band = self.bands.iter().find(|band| drill.doses.contains_key(&band.id))?;
        let score = drill.score_at(&first_levers(drill), band, &self.skills)?;
        (score.round.counts.len() <= MOST_COUNTS).then(|| score.draw(&[]))
    }

    fn names(&self, drill: &Drill) -> Vec<&str> {
        let name =
            |id: &SkillId| self.skills.iter().find(|skill| skill.id == *id).map(|skill| skill.name.as_str());
        drill.serves.iter().filter_map(|serves| name(&serves.skill)).collect()
    }
}

/// The band that a form names; an unknown name is quoted, cut to 40 characters.
pub async fn known_band(state: &State, id: &BandId) -> Answer<Band> {
    let unknown = || Problem::fault("/band", Unknown::Band { id: id.chars().take(40).collect() });
    state.store.band(id).await?.ok_or_else(unknown)
}
