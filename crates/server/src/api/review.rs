//! What the director looks back on: delivery and levels, clubs side by side.

use std::collections::BTreeMap;

use actix_web::web::{Data, Json, Path, Query, ServiceConfig, get};
use jogo_core::delivery::{WeekTally, Worked, together};
use jogo_core::interval::{Interval, wilson};
use jogo_core::milestones::MilestoneId;
use jogo_core::milestones::tally::Tally;
use jogo_core::results::{Foot, LevelCount, TestCount};
use jogo_core::skill::{SkillId, Stage, Strand};
use jogo_core::team_plan::{Drift, holding};
use jogo_core::tests::{Test, TestId};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use super::squad::TestView;
use crate::assessment::of_band;
use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;
use crate::team_evenings::{TeamEdition, editions_of, held};
use crate::team_levels;

pub fn routes(config: &mut ServiceConfig) {
    config
        .route("/curricula/{id}/delivery", get().to(delivery))
        .route("/levels", get().to(levels))
        .route("/levels/milestones", get().to(milestones));
}

#[derive(Serialize, ToSchema)]
pub(super) struct TeamDelivery {
    id: Uuid,
    team: String,
    edition_number: i64,
    weeks: Vec<WeekTally>,
    /// How far the team's plan has come from the edition that holds now.
    drift: Drift,
}

#[derive(Serialize, ToSchema)]
pub(super) struct ClubDelivery {
    club: String,
    teams: Vec<TeamDelivery>,
}

/// Planned against delivered, by club, team and week.
#[derive(Serialize, ToSchema)]
pub(super) struct Delivery {
    curriculum: String,
    clubs: Vec<ClubDelivery>,
}

/// Delivery of a curriculum in all clubs.
#[utoipa::path(get, operation_id = "review_delivery", path = "/curricula/{id}/delivery", params(("id" = Uuid, Path)),
    responses((status = 200, body = Delivery), (status = 404, body = Problem)))]
pub(super) async fn delivery(who: SignedIn, state: Data<State>, id: Path<Uuid>) -> Answer<Json<Delivery>> {
    who.may(Act::Review)?;
    let draft = state.store.curriculum(*id).await?.ok_or_else(|| Problem::not_found("curriculum"))?;
    let (today, seen) = (state.today().await?, who.clubs(&state).await?);
    let mut clubs: BTreeMap<String, Vec<TeamDelivery>> = BTreeMap::new();
    for team in state.store.teams().await?.into_iter().filter(|team| seen.see(&team.club)) {
        let Some(editions) = editions_of(&state, team.id).await?.remove(&id) else { continue };
        let mut tallies = Vec::new();
        let mut drift = Drift::default();
        let days = held(&editions);
        for (place, TeamEdition { assigned, edition, said }) in editions.iter().enumerate() {
            let own = &assigned.own;
            let published = own.on_its_days(&assigned.edition).map_err(Problem::input)?.plan;
            let problem = edition.problem().map_err(Problem::input)?;
            let worked = Worked { published: &published, edition, problem: &problem, said };
            tallies.extend(worked.tally(today, &|day| holding(&days, day) == Some(place)));
            drift = Drift::of(&problem, &published, edition, said, assigned.from);
        }
        clubs.entry(team.club).or_default().push(TeamDelivery {
            id: team.id,
            team: team.name,
            edition_number: editions.last().map_or(0, |latest| latest.assigned.published.number),
            weeks: together(tallies),
            drift,
        });
    }
    let clubs = clubs.into_iter().map(|(club, teams)| ClubDelivery { club, teams }).collect();
    Ok(Json(Delivery { curriculum: draft.curriculum.name, clubs }))
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(super) struct OfBand {
    band: String,
}

/// How many players stand on each level.
#[derive(Serialize, ToSchema)]
pub(super) struct ClubLevels {
    club: String,
    /// Which foot; nothing if the test is not taken per foot.
    foot: Option<Foot>,
    /// Players by level, from Starting to Stretching.
    counts: [u32; 4],
    /// Players of the club's teams in this band without a result.
    without: u32,
    /// Between what the share of Secure and Stretching may lie (95 %); nothing if nobody has a result.
    secure: Option<Interval>,
}

#[derive(Serialize, ToSchema)]
pub(super) struct TestLevels {
    test: TestView,
    clubs: Vec<ClubLevels>,
}

/// Levels in all clubs, by test.
#[utoipa::path(get, operation_id = "review_levels", path = "/levels", params(OfBand),
    responses((status = 200, body = Vec<TestLevels>), (status = 404, body = Problem)))]
pub(super) async fn levels(
    who: SignedIn,
    state: Data<State>,
    of: Query<OfBand>,
) -> Answer<Json<Vec<TestLevels>>> {
    who.may(Act::Review)?;
    if state.store.band(&of.band).await?.is_none() {
        return Err(Problem::not_found("band"));
    }
    let standards = state.store.standards(&of.band).await?;
    let tests = of_band(state.store.tests().await?, &standards);
    let seen = who.clubs(&state).await?;
    let mut counts: BTreeMap<(TestId, String, Option<Foot>), LevelCount> = BTreeMap::new();
    let teams = team_levels::of_teams(&state.store, &of.band).await?;
    for (team, of_team) in teams.into_iter().filter(|(team, _)| seen.see(&team.club)) {
        for TestCount { test, foot, count } in of_team.levels {
            let of_club = counts.entry((test, team.club.clone(), foot)).or_default();
            *of_club = of_club.and(&count);
        }
    }
    let of_test = |test: &Test| TestLevels {
        test: TestView::from(test),
        clubs: counts
            .iter()
            .filter(|((id, ..), _)| *id == test.id)
            .map(|((_, club, foot), LevelCount { counts, without })| ClubLevels {
                club: club.clone(),
                foot: *foot,
                counts: *counts,
                without: *without,
                secure: wilson(counts[2] + counts[3], counts.iter().sum()),
            })
            .collect(),
    };
    Ok(Json(tests.iter().map(of_test).collect()))
}

/// How many have a milestone, and between what the share may lie.
#[derive(Serialize, ToSchema)]
pub(super) struct ShareOfPlayers {
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
pub(super) struct ClubShare {
    club: String,
    share: ShareOfPlayers,
}

/// A milestone in all clubs.
#[derive(Serialize, ToSchema)]
pub(super) struct MilestoneShares {
    milestone: MilestoneId,
    says: String,
    short: String,
    strand: Strand,
    stage: Stage,
    /// All clubs together.
    all: ShareOfPlayers,
    /// By name; clubs without a team in the band are not among them.
    clubs: Vec<ClubShare>,
}

/// Milestones in all clubs, in the order of strands and stages.
#[utoipa::path(get, operation_id = "review_milestones", path = "/levels/milestones", params(OfBand),
    responses((status = 200, body = Vec<MilestoneShares>), (status = 404, body = Problem)))]
pub(super) async fn milestones(
    who: SignedIn,
    state: Data<State>,
    of: Query<OfBand>,
) -> Answer<Json<Vec<MilestoneShares>>> {
    who.may(Act::Review)?;
    if state.store.band(&of.band).await?.is_none() {
        return Err(Problem::not_found("band"));
    }
    let seen = who.clubs(&state).await?;
    let mut tallies: BTreeMap<MilestoneId, BTreeMap<String, Tally>> = BTreeMap::new();
    let teams = team_levels::of_teams(&state.store, &of.band).await?;
    for (team, of_team) in teams.into_iter().filter(|(team, _)| seen.see(&team.club)) {
        for (milestone, tally) in of_team.milestones {
            let of_club = tallies.entry(milestone).or_default().entry(team.club.clone()).or_default();
            *of_club = of_club.and(tally);
        }
    }
    let skills = state.store.skills().await?;
    let strand_of =
        |skill: &SkillId| skills.iter().find(|s| s.id == *skill).map_or(Strand::BallMastery, |s| s.strand);
    let mut all = state.store.milestones().await?;
    all.retain(|milestone| milestone.band == of.band);
    all.sort_by_key(|milestone| (strand_of(&milestone.skill), milestone.stage));
    let shares = all.into_iter().map(|milestone| {
        let clubs = tallies.remove(&milestone.id).unwrap_or_default();
        MilestoneShares {
            all: clubs.values().copied().fold(Tally::default(), Tally::and).into(),
            clubs: clubs.into_iter().map(|(club, tally)| ClubShare { club, share: tally.into() }).collect(),
            strand: strand_of(&milestone.skill),
            stage: milestone.stage,
            says: milestone.says,
            short: milestone.short,
            milestone: milestone.id,
        }
    });
    Ok(Json(shares.collect()))
}
