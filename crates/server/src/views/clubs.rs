//! All clubs side by side: levels, milestones, and what was delivered of a curriculum.

use crate::facts::Thing;
use std::borrow::Cow;
use std::collections::hash_map::Entry;
use std::collections::{BTreeMap, HashMap};
use std::sync::Arc;

use actix_web::web::Data;
use jiff::civil::Date;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::levels::Level;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::assessment::milestones::tally::Tally;
use jogo_core::assessment::results::{LevelCount, TestCount};
use jogo_core::delivery::came_off::{ComesOffLess, SeenInClub, comes_off_less};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::{Drift, holding};
use jogo_core::delivery::{WeekTally, Worked, together};
use jogo_core::ids::{BandId, DrillId, MilestoneId, TestId};
use jogo_core::plan::Problem as PlanProblem;
use jogo_core::statistics::interval::{Interval, wilson};
use jogo_core::technique::skill::{Foot, Skill, Stage, Strand};
use jogo_store::academy::teams::Team;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::sign_in::Clubs;
use crate::state::State;
use crate::views::assessment::of_band;
use crate::views::promise::Promise;
use crate::views::skills::strand_of;
use crate::views::squad::TestView;
use crate::views::team_levels::{self, OfTeams};
use crate::views::team_sessions::{TeamEdition, by_editions_of, held};
use crate::worked_out::{Progress, WorkedOut};

/// How many players stand on each level.
#[derive(Serialize, ToSchema)]
pub struct ClubLevels {
    club: String,
    /// Which foot; absent if the test is not taken per foot.
    foot: Option<Foot>,
    /// Players by level, from Starting to Stretching.
    counts: [u32; 4],
    /// Players with a result.
    tested: u32,
    /// Players of the club's teams in this band without a result.
    without: u32,
    /// The share of players who are Secure or better, 0 to 1; `None` without any results.
    share: Option<f64>,
    /// Between what that share may lie (95 %).
    secure: Option<Interval>,
}

#[derive(Serialize, ToSchema)]
pub struct TestLevels {
    test: TestView,
    clubs: Vec<ClubLevels>,
}

/// Levels in all clubs that are seen, by test.
pub async fn levels_in_clubs(
    state: &Data<State>,
    band: &BandId,
    seen: &Clubs,
) -> Answer<WorkedOut<Vec<TestLevels>>> {
    is_there(state, band).await?;
    let standards = state.store.standards(band).await?;
    let tests = of_band(state.store.tests().await?, &standards);
    let teams = team_levels::of_band(state, band).await?;
    Ok(teams.map(|teams| levels(&tests, teams, seen)))
}

fn levels(tests: &[Test], teams: &OfTeams, seen: &Clubs) -> Vec<TestLevels> {
    let mut counts: BTreeMap<(TestId, String, Option<Foot>), LevelCount> = BTreeMap::new();
    for (team, of_team) in teams.iter().filter(|(team, _)| seen.see(&team.club)) {
        for TestCount { test, foot, count } in &of_team.levels {
            let of_club = counts.entry((test.clone(), team.club.clone(), *foot)).or_default();
            *of_club = of_club.and(count);
        }
    }
    let of_test = |test: &Test| TestLevels {
        test: TestView::from(test),
        clubs: counts
            .iter()
            .filter(|((id, ..), _)| *id == test.id)
            .map(|((_, club, foot), count)| ClubLevels::of(club, *foot, count))
            .collect(),
    };
    tests.iter().map(of_test).collect()
}

impl ClubLevels {
    fn of(club: &str, foot: Option<Foot>, LevelCount { counts, without }: &LevelCount) -> ClubLevels {
        let tested = counts.iter().sum();
        ClubLevels {
            club: club.to_owned(),
            foot,
            counts: *counts,
            tested,
            without: *without,
            share: Level::share_secure(counts),
            secure: wilson(Level::secure_or_better(counts), tested),
        }
    }
}

async fn is_there(state: &State, band: &BandId) -> Answer<()> {
    state.store.band(band).await?.map(drop).ok_or_else(|| Problem::not_found(Thing::Band))
}

/// How many have a milestone, and between what the share may lie.
#[derive(Serialize, ToSchema)]
pub struct ShareOfPlayers {
    #[serde(flatten)]
    tally: Tally,
    /// 95 %; nothing without players.
    interval: Option<Interval>,
}

impl From<Tally> for ShareOfPlayers {
    fn from(tally: Tally) -> ShareOfPlayers {
        ShareOfPlayers { tally, interval: tally.interval() }
    }
}

#[derive(Serialize, ToSchema)]
pub struct ClubShare {
    club: String,
    share: ShareOfPlayers,
}

/// A milestone in all clubs.
#[derive(Serialize, ToSchema)]
pub struct MilestoneShares {
    milestone: MilestoneId,
    says: String,
    short: String,
    /// Absent if the library no longer has the skill.
    strand: Option<Strand>,
    stage: Stage,
    /// Whether this term promises it: it is on the way to a goal of the curriculum that the band runs.
    promised: bool,
    /// All clubs together.
    all: ShareOfPlayers,
    /// By name; clubs without a team in the band are not among them.
    clubs: Vec<ClubShare>,
}

/// Milestones in all clubs that are seen: first those that this term promises, then in the order of strands and stages.
pub async fn milestones_in_clubs(
    state: &Data<State>,
    band: &BandId,
    seen: &Clubs,
) -> Answer<WorkedOut<Vec<MilestoneShares>>> {
    is_there(state, band).await?;
    let skills = state.store.skills().await?;
    let mut all = state.store.milestones().await?;
    all.retain(|milestone| milestone.band == *band);
    let promise = Promise::of(state, band, state.today().await?).await?;
    all.sort_by_key(|milestone| {
        (!promise.has(milestone), strand_of(&skills, &milestone.skill), milestone.stage)
    });
    let teams = team_levels::of_band(state, band).await?;
    Ok(teams.map(|teams| shares(all, teams, seen, &skills, &promise)))
}

fn shares(
    milestones: Vec<Milestone>,
    teams: &OfTeams,
    seen: &Clubs,
    skills: &[Skill],
    promise: &Promise,
) -> Vec<MilestoneShares> {
    let mut tallies: BTreeMap<&MilestoneId, BTreeMap<String, Tally>> = BTreeMap::new();
    for (team, of_team) in teams.iter().filter(|(team, _)| seen.see(&team.club)) {
        for (milestone, tally) in &of_team.milestones {
            let of_club = tallies.entry(milestone).or_default().entry(team.club.clone()).or_default();
            *of_club = of_club.and(*tally);
        }
    }
    let shares = milestones.into_iter().map(|milestone| {
        let clubs = tallies.remove(&milestone.id).unwrap_or_default();
        MilestoneShares {
            all: clubs.values().copied().fold(Tally::default(), Tally::and).into(),
            clubs: clubs.into_iter().map(|(club, tally)| ClubShare { club, share: tally.into() }).collect(),
            strand: strand_of(skills, &milestone.skill),
            stage: milestone.stage,
            promised: promise.has(&milestone),
            says: milestone.says,
            short: milestone.short,
            milestone: milestone.id,
        }
    });
    shares.collect()
}

/// The problems that editions answer, each worked out once for all the teams that have nothing of their own.
#[derive(Default)]
struct Problems {
    all: HashMap<*const Edition, PlanProblem>,
    /// The editions, which are kept so that no other one comes to lie where one was.
    of: Vec<Arc<Edition>>,
}

impl Problems {
    fn of(&mut self, edition: &Arc<Edition>) -> Answer<&PlanProblem> {
        match self.all.entry(Arc::as_ptr(edition)) {
            Entry::Occupied(known) => Ok(known.into_mut()),
            Entry::Vacant(free) => {
                self.of.push(edition.clone());
                Ok(free.insert(edition.problem().map_err(Problem::input)?))
            }
        }
    }
}

#[derive(Serialize, ToSchema)]
pub struct TeamDelivery {
    id: Uuid,
    team: String,
    edition_number: i64,
    weeks: Vec<WeekTally>,
    /// How far the team's plan has come from the edition that holds now.
    drift: Drift,
}

#[derive(Serialize, ToSchema)]
pub struct ClubDelivery {
    club: String,
    teams: Vec<TeamDelivery>,
}

/// Planned against delivered, by club, team and week.
#[derive(Serialize, ToSchema)]
pub struct Delivery {
    curriculum: String,
    clubs: Vec<ClubDelivery>,
    /// Drills of which less comes off than was expected.
    less: Vec<LessOfDrill>,
}

/// A drill of which less comes off than was expected.
#[derive(Serialize, ToSchema)]
pub struct LessOfDrill {
    title: String,
    #[serde(flatten)]
    less: ComesOffLess,
}

impl Delivery {
    /// What the clubs that are seen delivered of a curriculum by today, aside if that takes long.
    pub async fn aside(state: &Data<State>, curriculum: Uuid, seen: Clubs) -> Answer<WorkedOut<Delivery>> {
        let (aside, stamp, of) = (state.clone(), state.stamp(&()).await?, seen.clone());
        let work = move |progress| async move { Delivery::of(&aside, curriculum, &of, &progress).await };
        state.aside.results().of((curriculum, seen), stamp, work).await
    }

    async fn of(state: &State, curriculum: Uuid, seen: &Clubs, progress: &Progress) -> Answer<Delivery> {
        let draft = state.store.curriculum(curriculum).await?;
        let draft = draft.ok_or_else(|| Problem::not_found(Thing::Curriculum))?;
        let today = state.today().await?;
        let mut clubs: BTreeMap<String, Vec<TeamDelivery>> = BTreeMap::new();
        let (mut glances, mut titles) = (Vec::new(), BTreeMap::new());
        let (mut by_editions, mut problems) = (by_editions_of(state, curriculum).await?, Problems::default());
        progress.of(by_editions.len());
        for team in state.store.teams().await?.into_iter().filter(|team| seen.see(&team.club)) {
            let Some(editions) = by_editions.remove(&team.id) else { continue };
            progress.step();
            let club = team.club.clone();
            for TeamEdition { edition, said, .. } in &editions {
                if said.is_empty() {
                    continue;
                }
                let seen = edition.glances_at_drills(problems.of(edition)?, said).into_iter();
                glances.extend(seen.map(|(drill, glance)| SeenInClub { club: club.clone(), drill, glance }));
            }
            clubs.entry(club).or_default().push(TeamDelivery::of(team, &editions, today, &mut problems)?);
        }
        for edition in &problems.of {
            titles.extend(edition.drills.iter().map(|drill| (drill.id.clone(), drill.title.clone())));
        }
        let clubs = clubs.into_iter().map(|(club, teams)| ClubDelivery { club, teams }).collect();
        let title = |drill: &DrillId| titles.get(drill).cloned().unwrap_or_default();
        let less = comes_off_less(&glances).into_iter();
        let less = less.map(|less| LessOfDrill { title: title(&less.drill), less }).collect();
        Ok(Delivery { curriculum: draft.curriculum.name, clubs, less })
    }
}

impl TeamDelivery {
    /// What a team delivered of the editions of one curriculum, by today.
    fn of(
        team: Team,
        editions: &[TeamEdition],
        today: Date,
        problems: &mut Problems,
    ) -> Answer<TeamDelivery> {
        let (mut tallies, mut drift) = (Vec::new(), Drift::default());
        let days = held(editions);
        for (place, TeamEdition { assigned, edition, said }) in editions.iter().enumerate() {
            let problem = problems.of(edition)?;
            let published = match Arc::ptr_eq(edition, &assigned.edition) {
                true => Cow::Borrowed(&edition.plan),
                false => {
                    let own = assigned.own.on_its_days(&assigned.edition).map_err(Problem::input)?;
                    Cow::Owned(own.plan)
                }
            };
            let worked = Worked { published: &published, edition, problem, said };
            tallies.extend(worked.tally(today, &|day| holding(&days, day) == Some(place)));
            drift = Drift::of(problem, &published, edition, said, assigned.from);
        }
        Ok(TeamDelivery {
            id: team.id,
            team: team.name,
            edition_number: editions.last().map_or(0, |latest| latest.assigned.published.number),
            weeks: together(tallies),
            drift,
        })
    }
}
