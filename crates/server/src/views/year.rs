//! The curricula of a season, or of a band before a day, each with what it asks of its plan.

use actix_web::web::block;
use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::academy::Academy;
use jogo_core::academy::band::Band;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::delivery::edition::Edition;
use jogo_core::drill::Drill;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::plan::benchmark_map::{Given, Library, MilestoneLine, benchmark_map};
use jogo_core::plan::carry_over::{Believed, Brought, brought};
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::plan::{Plan, Problem as PlanProblem};
use jogo_core::season::calendar::last_day;
use jogo_core::season::days_off::DaysOff;
use jogo_core::season::year::Year;
use jogo_core::season::year_sheet::{Laid, OfBand, Outline, YearSheet, that_count, year_sheet};
use jogo_core::technique::skill::Skill;
use jogo_store::plan::Draft;
use serde::Serialize;
use std::collections::BTreeMap;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::state::State;

/// What curricula are joined with.
pub struct Shelf {
    academy: Academy,
    bands: Vec<Band>,
    skills: Vec<Skill>,
    drills: Vec<Drill>,
    tests: Vec<Test>,
    shown_with: Library,
}

/// A curriculum with what it asks of its plan.
pub struct Opened {
    /// As it is on the desk.
    pub draft: Draft,
    /// With the living library.
    pub edition: Edition,
    /// What it asks.
    pub problem: PlanProblem,
    shown: Vec<MilestoneLine>,
}

/// A curriculum that cannot be read: the library has changed under it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, ToSchema)]
pub struct Unread {
    id: Uuid,
    name: String,
}

/// How far back curricula count as what squads bring, in days.
const YEAR_DAYS: i64 = 364;

impl Shelf {
    /// The living library.
    pub async fn of(state: &State) -> Answer<Shelf> {
        let bands: Vec<Band> = state.store.bands().await?.into_iter().map(|kept| kept.band).collect();
        let (skills, drills) = (state.store.skills().await?, state.store.drills().await?);
        let tests = state.store.tests().await?;
        let mut shown_with = Library {
            milestones: state.store.milestones().await?,
            tests: tests.clone(),
            ..Library::default()
        };
        for band in &bands {
            shown_with.standards.extend(state.store.standards(&band.id).await?);
        }
        Ok(Shelf { academy: state.store.settings().await?.0, bands, skills, drills, tests, shown_with })
    }

    /// Wishes and a plan joined with the library; `None` if there is no such band.
    pub fn edition(&self, curriculum: Curriculum, plan: Plan) -> Option<Edition> {
        let band = self.bands.iter().find(|band| band.id == curriculum.band)?.clone();
        Some(Edition {
            academy: self.academy.clone(),
            band,
            skills: self.skills.clone(),
            drills: self.drills.clone(),
            tests: self.tests.clone(),
            curriculum,
            plan,
            left: BTreeMap::new(),
            knack: 0.0,
        })
    }

    /// The milestones of the library.
    pub fn milestones(&self) -> &[Milestone] {
        &self.shown_with.milestones
    }

    /// A draft with what it asks of its plan; `None` if it cannot be read.
    pub fn opened(&self, draft: Draft) -> Option<Opened> {
        let edition = self.edition(draft.curriculum.clone(), draft.plan.clone())?;
        let problem = edition.problem().ok()?;
        let given = Given {
            curriculum: &edition.curriculum,
            problem: &problem,
            plan: &edition.plan,
            library: &self.shown_with,
        };
        let shown = benchmark_map(&given).lines.into_iter().flat_map(|line| line.milestones).collect();
        Some(Opened { draft, edition, problem, shown })
    }
}

impl Opened {
    fn laid(&self) -> Laid<'_> {
        let Opened { draft, edition, problem, shown } = self;
        Laid { id: draft.id, published: draft.edition.is_some(), edition, problem, shown }
    }
}

/// Those that count, in the order in which they are run, each by its place among the others.
pub fn in_order(all: &[Opened]) -> Vec<usize> {
    let laid: Vec<Laid<'_>> = all.iter().map(Opened::laid).collect();
    let count = that_count(&laid);
    count.iter().filter_map(|each| all.iter().position(|opened| opened.draft.id == each.id)).collect()
}

/// What squads bring from curricula that follow each other.
pub fn brought_from(all: &[&Opened], believed: Believed) -> BTreeMap<SkillId, Brought> {
    let laid: Vec<Laid<'_>> = all.iter().map(|opened| opened.laid()).collect();
    brought(&laid.iter().map(Laid::as_before).collect::<Vec<_>>(), believed)
}

/// What the squads of a band bring to a curriculum that begins on a day, from the curricula of the year before.
pub async fn brought_to(
    state: &State,
    band: &BandId,
    start: Date,
    believed: Believed,
) -> Answer<BTreeMap<SkillId, Brought>> {
    let since = start.saturating_sub(YEAR_DAYS.days());
    let mut before = state.store.curricula().await?;
    before.retain(|draft| {
        let last = last_day(draft.curriculum.start, draft.curriculum.weeks);
        draft.curriculum.band == *band && since <= last && last < start
    });
    let shelf = Shelf::of(state).await?;
    let worked = move || {
        let opened: Vec<Opened> = before.into_iter().filter_map(|draft| shelf.opened(draft)).collect();
        let count: Vec<&Opened> = in_order(&opened).into_iter().map(|at| &opened[at]).collect();
        brought_from(&count, believed)
    };
    block(worked).await.map_err(|e| Problem::internal(&e))
}

/// The drafts of a season, in the order of their first days.
pub async fn drafts_in(state: &State, season: &Year) -> Answer<Vec<Draft>> {
    let mut drafts = state.store.curricula().await?;
    drafts.retain(|draft| season.meets(draft.curriculum.start, draft.curriculum.weeks));
    drafts.sort_by_key(|draft| (draft.curriculum.start, draft.id));
    Ok(drafts)
}

/// The year sheet of a season with the days off of the academy, and the curricula that it cannot read.
pub async fn sheet(state: &State, season: &Year, off: &[DaysOff]) -> Answer<(YearSheet, Vec<Unread>)> {
    let drafts = drafts_in(state, season).await?;
    let mut outlines = state.store.outlines().await?;
    outlines.retain(|(_, outline)| season.meets(outline.start, outline.weeks));
    let shelf = Shelf::of(state).await?;
    let off = off.to_vec();
    block(move || drawn(&shelf, drafts, &outlines, &off)).await.map_err(|e| Problem::internal(&e))
}

fn drawn(
    shelf: &Shelf,
    drafts: Vec<Draft>,
    outlines: &[(Uuid, Outline)],
    off: &[DaysOff],
) -> (YearSheet, Vec<Unread>) {
    let (mut opened, mut unread) = (Vec::new(), Vec::new());
    for draft in drafts {
        let (id, name) = (draft.id, draft.curriculum.name.clone());
        match shelf.opened(draft) {
            Some(each) => opened.push(each),
            None => unread.push(Unread { id, name }),
        }
    }
    let of_band = |band: &Band| {
        let laid = opened.iter().filter(|each| each.edition.band.id == band.id).map(Opened::laid);
        let outlines = outlines.iter().filter(|(_, outline)| outline.band == band.id).cloned();
        (laid.collect::<Vec<_>>(), outlines.collect::<Vec<_>>())
    };
    let parts: Vec<_> = shelf.bands.iter().map(of_band).collect();
    let bands: Vec<OfBand<'_>> = shelf
        .bands
        .iter()
        .zip(&parts)
        .map(|(band, (laid, outlines))| OfBand { band, laid, outlines })
        .collect();
    (year_sheet(&bands, &shelf.skills, off), unread)
}
