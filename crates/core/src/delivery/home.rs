//! Home practice: what can a player do alone, on little floor, in ten minutes?
//!
//! A card holds two or three drills that can be done at home and that serve what the team has worked at of late, at the
//! stage it was worked at: the sessions of the card's week count first, then those before it, the latest first; for a
//! player who was away whenever a skill was shown, that skill comes before all of them. Each
//! strand comes once as long as there is another. The ten minutes are shared alike; the dose fills them. One drill is
//! the week's challenge: it is another one from week to week, and whoever does it writes down their best.
//!
//! What players write down is *self-reported*: it shows that they practised, and is never evidence for a level.

use std::collections::BTreeSet;

use jiff::civil::Date;
use serde::Serialize;

use crate::delivery::chains::ChainToTry;
use crate::delivery::edition::Edition;
use crate::delivery::series::SeriesRun;
use crate::delivery::session::{Laid, Setting};
use crate::drill::cautions::Caution;
use crate::drill::{Drill, HomeSpace, StandIn};
use crate::ground::fit::Ground;
use crate::ids::{DrillId, SkillId};
use crate::plan::Problem;
use crate::technique::skill::{Foot, Stage, Strand};
use crate::units::{Metres, Minutes, Pace, Seconds};

/// Minutes of a card.
pub const MINUTES: Minutes = Minutes(10);
/// The most drills of a card.
pub const MOST_DRILLS: usize = 3;
/// How many moves a chain to try has: three if that many join, else two.
const CHAIN_LENGTHS: std::ops::RangeInclusive<usize> = 2..=3;
/// The challenge lasts so long.
pub const CHALLENGE: Seconds = Seconds(30.0);

/// A drill to be done at home.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct HomeDrill {
    /// Name of the drill in files.
    pub drill: DrillId,
    /// Its title.
    pub title: String,
    /// What it is for.
    pub purpose: String,
    /// The strand that takes most of it.
    pub strand: Strand,
    /// Minutes of it.
    pub minutes: Minutes,
    /// How it is laid.
    #[serde(flatten)]
    pub laid: Laid,
    /// The least floor that it needs.
    pub space: HomeSpace,
    /// What does instead, where kit is missing.
    pub stand_ins: Vec<StandIn>,
    /// What to look for.
    pub points: Vec<String>,
    /// What could hurt.
    pub cautions: Vec<Caution>,
    /// The moves that follow each other, where it is a series.
    pub series: Option<SeriesRun>,
}

/// What a player can do at home in a week.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct HomeCard {
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// One to three drills; none if the library has none that fits.
    pub drills: Vec<HomeDrill>,
    /// The drill of the week's challenge, by its place; `None` if there are no drills.
    pub challenge: Option<usize>,
    /// A chain to try, another one from week to week; `None` while the squad has met too few moves that join.
    pub chain: Option<ChainToTry>,
    /// How long the challenge lasts.
    #[serde(rename = "challenge_s")]
    pub challenge_lasts: Seconds,
}

impl Edition {
    /// The card of the week in which a day lies, from the drills of a library. Before the first session the card is
    /// that of the first week, after the last one that of the last week.
    pub fn home_card(&self, problem: &Problem, shelf: &[Drill], day: Date, pace: Pace) -> HomeCard {
        self.home_card_for(&BTreeSet::new(), problem, shelf, day, pace)
    }

    /// The same for a player who has not met some skills: they come first, of what the team has worked at.
    pub fn home_card_for(
        &self,
        not_met: &BTreeSet<SkillId>,
        problem: &Problem,
        shelf: &[Drill],
        day: Date,
        pace: Pace,
    ) -> HomeCard {
        let sessions = &problem.sessions;
        let begun = sessions.iter().rposition(|wish| wish.date <= day).unwrap_or(0);
        let week = sessions.get(begun).map_or(1, |wish| wish.week);
        let last = sessions.iter().rposition(|wish| wish.week <= week).unwrap_or(0);
        let mut worked = self.worked_at(problem, last);
        worked.sort_by_key(|(skill, ..)| !not_met.contains(skill));
        let mut chosen: Vec<(&Drill, Stage, Option<Foot>)> = Vec::new();
        for new_strands in [true, false] {
            for (skill, stage, foot) in &worked {
                let strands: BTreeSet<Strand> =
                    chosen.iter().map(|(drill, ..)| drill.main_strand()).collect();
                let fits = |drill: &&Drill| {
                    !chosen.iter().any(|(other, ..)| other.id == drill.id)
                        && (!new_strands || !strands.contains(&drill.main_strand()))
                        && self.at_home(drill, skill, *stage)
                };
                if chosen.len() < MOST_DRILLS
                    && let Some(drill) = shelf.iter().find(fits)
                {
                    chosen.push((drill, *stage, *foot));
                }
            }
        }
        let share = |place: usize| {
            let (each, more) = (MINUTES.0 / chosen.len() as u32, MINUTES.0 as usize % chosen.len());
            Minutes(each + u32::from(place < more))
        };
        let drills = chosen.iter().enumerate();
        let drills = drills
            .filter_map(|(i, (drill, stage, foot))| self.home_drill(drill, (*stage, *foot), share(i), pace));
        let drills: Vec<HomeDrill> = drills.collect();
        let challenge = (!drills.is_empty()).then(|| week as usize % drills.len());
        HomeCard {
            week,
            drills,
            challenge,
            chain: self.chain(problem, week, last),
            challenge_lasts: CHALLENGE,
        }
    }

    /// A chain of what the squad has met up to a session, the longest that there is.
    fn chain(&self, problem: &Problem, week: u32, last: usize) -> Option<ChainToTry> {
        CHAIN_LENGTHS.rev().find_map(|length| self.chains(problem, last, (length, 1), week.into()).pop())
    }

    fn at_home(&self, drill: &Drill, skill: &SkillId, stage: Stage) -> bool {
        drill.home.is_some()
            && drill.doses.contains_key(&self.band.id)
            && drill.blocked(&self.band, &self.academy).is_none()
            && drill.skills_at(stage).any(|served| served == skill)
            && drill.rung_at(stage, &self.academy.lever_points).is_some()
    }

    fn home_drill(
        &self,
        drill: &Drill,
        (stage, foot): (Stage, Option<Foot>),
        minutes: Minutes,
        pace: Pace,
    ) -> Option<HomeDrill> {
        let space = drill.home?;
        let foot = foot.filter(|foot| drill.can_use_only(*foot, &self.band));
        let rung = drill.rung_at(stage, &self.academy.lever_points)?.levers;
        let levers = foot.map_or(rung, |foot| rung.with_foot(foot));
        // One player, with room to spare: whether it fits at home is told by the space, not by a hall.
        let ground = Ground {
            width: Metres(60.0),
            depth: Metres(60.0),
            squad: drill.station.min.max(1),
            ..self.curriculum.ground
        };
        let setting = Setting {
            ground: &ground,
            minutes,
            starts: Minutes(0),
            laying_out: Minutes(0),
            staying: 0,
            pace,
            seed: 0,
        };
        Some(HomeDrill {
            drill: drill.id.clone(),
            title: drill.title.clone(),
            purpose: drill.purpose.clone(),
            strand: drill.main_strand(),
            minutes,
            laid: self.laid(drill, &levers, foot, &setting)?,
            space,
            stand_ins: drill.stand_ins.clone(),
            points: drill.points.clone(),
            cautions: drill.cautions.clone(),
            series: self.series(drill),
        })
    }
}
