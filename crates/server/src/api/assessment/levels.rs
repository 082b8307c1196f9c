//! Levels and milestones in all clubs, side by side.

use std::collections::BTreeMap;

use actix_web::get;
use actix_web::web::{Data, Query};
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::milestones::tally::Tally;
use jogo_core::assessment::results::{Foot, LevelCount, TestCount};
use jogo_core::ids::{BandId, MilestoneId, SkillId, TestId};
use jogo_core::statistics::interval::{Interval, wilson};
use jogo_core::technique::skill::{Stage, Strand};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;

use crate::api::assessment::squad::TestView;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::assessment::of_band;
use crate::views::team_levels;

pub fn routes(config: &mut ServiceConfig) {
    config.service(levels).service(milestones);
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct OfBand {
    band: BandId,
}

/// How many players stand on each level.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct ClubLevels {
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
pub(in crate::api) struct TestLevels {
    test: TestView,
    clubs: Vec<ClubLevels>,
}

/// Levels in all clubs, by test.
#[utoipa::path(operation_id = "review_levels", params(OfBand),
    responses((status = 200, body = Vec<TestLevels>), (status = 404, body = Problem)))]
#[get("/levels")]
pub(in crate::api) async fn levels(
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
pub(in crate::api) struct ShareOfPlayers {
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
pub(in crate::api) struct ClubShare {
    club: String,
    share: ShareOfPlayers,
}

/// A milestone in all clubs.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct MilestoneShares {
    milestone: MilestoneId,
    says: String,
    short: String,
    /// Nothing if the library has the skill no more.
    strand: Option<Strand>,
    stage: Stage,
    /// All clubs together.
    all: ShareOfPlayers,
    /// By name; clubs without a team in the band are not among them.
    clubs: Vec<ClubShare>,
}

/// Milestones in all clubs, in the order of strands and stages.
#[utoipa::path(operation_id = "review_milestones", params(OfBand),
    responses((status = 200, body = Vec<MilestoneShares>), (status = 404, body = Problem)))]
#[get("/levels/milestones")]
pub(in crate::api) async fn milestones(
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
    let strand_of = |skill: &SkillId| skills.iter().find(|s| s.id == *skill).map(|s| s.strand);
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
