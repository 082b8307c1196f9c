//! The year sheet: what do the curricula of a season come to, one after the other and beside each other?
//!
//! A band has a **strip** for each curriculum and each outline; a **path** for each skill that they teach, week by
//! week; **figures** of what one child gets in the year; and **findings**, each with the curriculum that it leads to.
//! Where two curricula of a band lie in the same weeks, the published one counts, else the one that begins first; the
//! other is shown beside it.

mod findings;
mod path;

use std::collections::{BTreeMap, BTreeSet};

use jiff::ToSpan;
use jiff::civil::Date;
use serde::{Deserialize, Serialize};
use uuid::Uuid;

use crate::academy::band::Band;
use crate::delivery::edition::Edition;
use crate::ids::{BandId, DrillId, SkillId};
use crate::input::{InputError, RangeFault, What, short_text};
use crate::plan::benchmark_map::MilestoneLine;
use crate::plan::curriculum::Curriculum;
use crate::plan::score::minutes_by_strand;
use crate::plan::{Plan, Problem};
use crate::season::calendar::last_day;
use crate::season::days_off::DaysOff;
use crate::technique::skill::{Skill, Strand};
use crate::technique::surface::Surface;
use crate::units::Share;

pub use findings::{YearFinding, YearFound};
pub use path::{PathWeek, SkillPath};

/// A curriculum that is planned as an outline only.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Outline {
    /// As people will say it.
    pub name: String,
    /// For which band.
    pub band: BandId,
    /// First day of the first week.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub start: Date,
    /// How many weeks, 1 to 20.
    pub weeks: u32,
    /// What it will mainly be about, at most 12 skills.
    #[serde(default)]
    pub skills: Vec<SkillId>,
}

impl Outline {
    /// The most skills of an outline.
    pub const MOST_SKILLS: usize = 12;

    /// Every fault, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        if let Err(fault) = short_text(&self.name, Curriculum::LONGEST_NAME, What::Name) {
            faults.push(InputError::at("/name", fault));
        }
        let weeks = RangeFault::Between { value: self.weeks.into(), least: 1.0, most: 20.0 };
        if !weeks.holds() {
            faults.push(InputError::at("/weeks", weeks));
        }
        if self.skills.len() > Outline::MOST_SKILLS {
            let fault = RangeFault::Most { count: self.skills.len(), most: Outline::MOST_SKILLS };
            faults.push(InputError::at("/skills", fault));
        }
        faults
    }
}

/// A curriculum of the year, with what is worked out of it.
#[derive(Clone, Copy, Debug)]
pub struct Laid<'y> {
    /// Its id.
    pub id: Uuid,
    /// Whether teams work by it.
    pub published: bool,
    /// The wishes and the plan.
    pub edition: &'y Edition,
    /// What the wishes ask of the plan.
    pub problem: &'y Problem,
    /// What can be shown of its goals.
    pub shown: &'y [MilestoneLine],
}

/// What a band has in a year.
#[derive(Clone, Copy, Debug)]
pub struct OfBand<'y> {
    /// The band.
    pub band: &'y Band,
    /// Its curricula, in any order.
    pub laid: &'y [Laid<'y>],
    /// Its outlines, in any order.
    pub outlines: &'y [(Uuid, Outline)],
}

/// The year of all bands.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct YearSheet {
    /// Band by band, as they were given.
    pub bands: Vec<BandYear>,
}

/// The year of one band.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BandYear {
    /// Which band.
    pub band: BandId,
    /// Its name.
    pub name: String,
    /// Its curricula and outlines, by their first days.
    pub strips: Vec<Strip>,
    /// Its skills, by strand and by when they come first.
    pub paths: Vec<SkillPath>,
    /// What a child gets.
    pub figures: Figures,
    /// What does not go together.
    pub findings: Vec<YearFinding>,
}

/// How far a curriculum has come.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Made {
    /// Nothing but a name and skills.
    Outline,
    /// On the director's desk.
    Draft,
    /// Teams work by it.
    Published,
}

/// A curriculum or an outline in its weeks.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Strip {
    /// Of the curriculum, or of the outline.
    pub id: Uuid,
    /// Its name.
    pub name: String,
    /// How far it has come.
    pub made: Made,
    /// Whether another curriculum counts in these weeks.
    pub beside: bool,
    /// Its first day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub first: Date,
    /// The last day of its last week.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub last: Date,
    /// Minutes by strand, for each week with a session.
    pub weeks: Vec<WeekMinutes>,
    /// Tests that are taken.
    pub tests: Vec<Peg>,
    /// How many of its milestones can be shown by its end.
    pub can_be_shown: u32,
    /// Milestones on the way to its goals.
    pub milestones: u32,
    /// Sessions.
    pub sessions: u32,
    /// Drills that no earlier curriculum of the year has, in the week that has most of them.
    pub new_drills_a_week: u32,
    /// The skills of an outline.
    pub skills: Vec<SkillId>,
}

/// Minutes of a calendar week.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WeekMinutes {
    /// Its Monday.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub monday: Date,
    /// Minutes of blocks by strand, in the order of the strands.
    pub by_strand: [f64; 4],
}

/// A test that is taken.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Peg {
    /// On which day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub day: Date,
    /// Its name.
    pub test: String,
}

/// What one child gets in a year, if it is always there.
#[derive(Clone, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Figures {
    /// Sessions.
    pub sessions: u32,
    /// Minutes of work with the ball: of each block its minutes times the share in which a player works.
    pub working_min: f64,
    /// Share of the minutes of blocks by strand, in the order of the strands.
    pub shares: [f64; 4],
    /// The wished shares, each curriculum with its minutes of blocks.
    pub wished: [f64; 4],
    /// Touches with the strong foot…
    pub strong: u32,
    /// …and with the other.
    pub other: u32,
    /// Touches by surface, the most first.
    pub surfaces: Vec<YearSurface>,
}

/// Touches with a surface of either foot.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct YearSurface {
    /// The surface.
    pub surface: Surface,
    /// Touches.
    pub touches: u32,
}

/// Draws the year sheet. `skills` are those of the map, `off` the days off of the whole academy. Time: some ten
/// milliseconds for each curriculum, which the touches take.
pub fn year_sheet(bands: &[OfBand<'_>], skills: &[Skill], off: &[DaysOff]) -> YearSheet {
    let years: Vec<Year<'_>> = bands.iter().map(Year::of).collect();
    let mut all: Vec<BandYear> = years.iter().map(|year| year.drawn(skills)).collect();
    for (at, found) in findings::of(&years, &all, skills, off).into_iter().enumerate() {
        all[at].findings = found;
    }
    YearSheet { bands: all }
}

/// A band's year: the curricula that count, in their order.
struct Year<'y> {
    of: &'y OfBand<'y>,
    counts: Vec<&'y Laid<'y>>,
}

/// The Monday of a day's week.
fn monday(day: Date) -> Date {
    day.saturating_sub(i64::from(day.weekday().to_monday_zero_offset()).days())
}

impl Laid<'_> {
    fn first(&self) -> Date {
        self.edition.curriculum.start
    }

    fn last(&self) -> Date {
        last_day(self.edition.curriculum.start, self.edition.curriculum.weeks)
    }

    fn meets(&self, other: &Laid<'_>) -> bool {
        self.first() <= other.last() && other.first() <= self.last()
    }
}

/// Of some curricula of one band those that count, by their first days: of two in the same weeks the published one,
/// else the one that begins first, else the one with the earlier id.
pub fn that_count<'l, 'y>(laid: &'l [Laid<'y>]) -> Vec<&'l Laid<'y>> {
    let mut all: Vec<&Laid<'_>> = laid.iter().collect();
    all.sort_by_key(|each| (!each.published, each.first(), each.id));
    let mut count: Vec<&Laid<'_>> = Vec::new();
    for each in all {
        if !count.iter().any(|other| other.meets(each)) {
            count.push(each);
        }
    }
    count.sort_by_key(|each| each.first());
    count
}

impl<'y> Year<'y> {
    fn of(of: &'y OfBand<'y>) -> Year<'y> {
        Year { of, counts: that_count(of.laid) }
    }

    fn drawn(&self, skills: &[Skill]) -> BandYear {
        let mut strips: Vec<Strip> = self.of.laid.iter().map(|laid| self.strip(laid)).collect();
        strips.extend(self.of.outlines.iter().map(|(id, outline)| outlined(*id, outline)));
        strips.sort_by_key(|strip| (strip.first, strip.id));
        BandYear {
            band: self.of.band.id.clone(),
            name: self.of.band.name.clone(),
            strips,
            paths: path::of(&self.counts, skills),
            figures: self.figures(),
            findings: Vec::new(),
        }
    }

    fn strip(&self, laid: &Laid<'_>) -> Strip {
        let Laid { edition, problem, .. } = *laid;
        let mut weeks: BTreeMap<Date, [f64; 4]> = BTreeMap::new();
        for (session, blocks) in problem.sessions.iter().zip(&edition.plan.sessions) {
            let alone = Plan { sessions: vec![blocks.clone()] };
            add(weeks.entry(monday(session.date)).or_default(), minutes_by_strand(problem, &alone));
        }
        let tests = problem.sessions.iter().flat_map(|session| {
            session.tests.iter().map(|test| Peg { day: session.date, test: test.name.clone() })
        });
        let on_way = || laid.shown.iter().filter(|line| !line.behind);
        Strip {
            id: laid.id,
            name: edition.curriculum.name.clone(),
            made: if laid.published { Made::Published } else { Made::Draft },
            beside: !self.counts.iter().any(|counts| counts.id == laid.id),
            first: laid.first(),
            last: laid.last(),
            weeks: weeks.into_iter().map(|(monday, by_strand)| WeekMinutes { monday, by_strand }).collect(),
            tests: tests.collect(),
            can_be_shown: on_way().filter(|line| line.can_be_shown).count() as u32,
            milestones: on_way().count() as u32,
            sessions: problem.sessions.len() as u32,
            new_drills_a_week: self.new_drills(laid),
            skills: Vec::new(),
        }
    }

    /// Drills that a coach has not seen in an earlier curriculum of the year, in the week that brings most of them.
    fn new_drills(&self, laid: &Laid<'_>) -> u32 {
        let drills = |laid: &Laid<'y>| -> BTreeSet<&'y DrillId> {
            laid.edition.plan.sessions.iter().flatten().map(|block| &block.variant.drill).collect()
        };
        let earlier = self.counts.iter().filter(|other| other.first() < laid.first());
        let mut known: BTreeSet<&DrillId> = earlier.flat_map(|other| drills(other)).collect();
        let mut weeks: BTreeMap<u32, u32> = BTreeMap::new();
        for (session, blocks) in laid.problem.sessions.iter().zip(&laid.edition.plan.sessions) {
            for block in blocks {
                let is_new = known.insert(&block.variant.drill);
                *weeks.entry(session.week).or_default() += u32::from(is_new);
            }
        }
        weeks.into_values().max().unwrap_or(0)
    }

    fn figures(&self) -> Figures {
        let mut figures = Figures::default();
        let (mut minutes, mut wished) = ([0.0; 4], [0.0; 4]);
        let mut surfaces: BTreeMap<Surface, u32> = BTreeMap::new();
        for Laid { edition, problem, .. } in &self.counts {
            figures.sessions += problem.sessions.len() as u32;
            for block in edition.plan.sessions.iter().flatten() {
                let working = problem.variant(&block.variant).map_or(0.0, |variant| variant.working.0);
                figures.working_min += f64::from(block.minutes.0) * working;
            }
            let of_plan = minutes_by_strand(problem, &edition.plan);
            add(&mut minutes, of_plan);
            let all: f64 = of_plan.iter().sum();
            for (strand, share) in &edition.curriculum.shares {
                wished[strand.index()] += all * share.0;
            }
            for row in edition.surfaces(problem).strands.into_iter().flat_map(|strand| strand.surfaces) {
                figures.strong += row.strong;
                figures.other += row.other;
                *surfaces.entry(row.surface).or_default() += row.strong + row.other;
            }
        }
        figures.shares = shares(minutes);
        figures.wished = shares(wished);
        figures.surfaces =
            surfaces.into_iter().map(|(surface, touches)| YearSurface { surface, touches }).collect();
        figures.surfaces.sort_by_key(|row| std::cmp::Reverse(row.touches));
        figures
    }
}

/// Adds minutes strand by strand.
fn add(minutes: &mut [f64; 4], more: [f64; 4]) {
    minutes.iter_mut().zip(more).for_each(|(minutes, more)| *minutes += more);
}

/// What part each has of the sum; nothing of nothing.
fn shares(minutes: [f64; 4]) -> [f64; 4] {
    let all: f64 = minutes.iter().sum();
    minutes.map(|part| if all > 0.0 { part / all } else { 0.0 })
}

/// By how much a share of the year may miss its wish before that is said. An assumption.
const OFF_WISH: Share = Share(0.05);

impl Figures {
    /// The strands whose share misses the wish, with both in percent.
    fn off_wish(&self) -> impl Iterator<Item = (Strand, f64, f64)> + '_ {
        let of = |strand: Strand| (strand, self.shares[strand.index()], self.wished[strand.index()]);
        let misses = |(_, share, wished): &(Strand, f64, f64)| (share - wished).abs() > OFF_WISH.0;
        Strand::ALL
            .into_iter()
            .map(of)
            .filter(misses)
            .map(|(strand, share, wished)| (strand, (100.0 * share).round(), (100.0 * wished).round()))
    }
}

fn outlined(id: Uuid, outline: &Outline) -> Strip {
    Strip {
        id,
        name: outline.name.clone(),
        made: Made::Outline,
        beside: false,
        first: outline.start,
        last: last_day(outline.start, outline.weeks),
        weeks: Vec::new(),
        tests: Vec::new(),
        can_be_shown: 0,
        milestones: 0,
        sessions: 0,
        new_drills_a_week: 0,
        skills: outline.skills.clone(),
    }
}
