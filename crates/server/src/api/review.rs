//! What the director looks back on: delivery and levels, clubs side by side.

use std::collections::BTreeMap;

use actix_web::web::{Data, Json, Path, Query, ServiceConfig, get};
use jogo_core::delivery::{WeekTally, tally};
use jogo_core::levels::Level;
use jogo_core::skill::Side;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use super::squad::{TestView, latest, results};
use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.route("/curricula/{id}/delivery", get().to(delivery)).route("/levels", get().to(levels));
}

#[derive(Serialize, ToSchema)]
pub(super) struct TeamDelivery {
    id: Uuid,
    team: String,
    edition_number: i64,
    weeks: Vec<WeekTally>,
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
    let today = state.today().await?;
    let mut clubs: BTreeMap<String, Vec<TeamDelivery>> = BTreeMap::new();
    for team in state.store.teams().await? {
        let editions = state.store.editions_of_team(team.id).await?;
        let Some((published, edition)) = editions.into_iter().find(|(p, _)| p.curriculum == *id) else {
            continue;
        };
        let problem = edition.problem().map_err(Problem::input)?;
        let said = state.store.said(team.id, published.id).await?;
        clubs.entry(team.club).or_default().push(TeamDelivery {
            id: team.id,
            team: team.name,
            edition_number: published.number,
            weeks: tally(&edition, &problem, &said, today),
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
pub(super) struct LevelCount {
    club: String,
    /// Which foot; nothing if the test is not taken per foot.
    foot: Option<Foot>,
    /// Players by level, from Starting to Stretching.
    counts: [u32; 4],
    /// Players of the club's teams in this band without a result.
    without: u32,
}

/// A foot as the player has it.
#[derive(Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub(super) enum Foot {
    Strong,
    Other,
}

#[derive(Serialize, ToSchema)]
pub(super) struct TestLevels {
    test: TestView,
    clubs: Vec<LevelCount>,
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
    let tests = state.store.tests().await?;
    let standards = state.store.standards(&of.band).await?;
    // By test, club and foot: a count for each level, and of players without a result.
    let mut counts: BTreeMap<(usize, String, Option<Foot>), [u32; 5]> = BTreeMap::new();
    for team in state.store.teams().await?.into_iter().filter(|t| t.band == of.band) {
        let results = results(&tests, &standards, &state.store.trials(team.id).await?);
        for player in state.store.players(team.id).await? {
            let latest = latest(results.iter().filter(|(p, _)| *p == player.id).map(|(_, r)| r.clone()));
            for (i, test) in tests.iter().enumerate() {
                let sides: &[Option<Side>] =
                    if test.per_side { &[Some(Side::Left), Some(Side::Right)] } else { &[None] };
                for side in sides {
                    let foot =
                        side.map(|s| if s == player.about.strong_foot { Foot::Strong } else { Foot::Other });
                    let level =
                        latest.iter().find(|r| r.test == test.id && r.side == *side).and_then(|r| r.level);
                    let place =
                        level.and_then(|l| Level::ALL.iter().position(|known| *known == l)).unwrap_or(4);
                    counts.entry((i, team.club.clone(), foot)).or_default()[place] += 1;
                }
            }
        }
    }
    let mut all: Vec<TestLevels> =
        tests.iter().map(|t| TestLevels { test: TestView::from(t), clubs: Vec::new() }).collect();
    for ((test, club, foot), [a, b, c, d, without]) in counts {
        all[test].clubs.push(LevelCount { club, foot, counts: [a, b, c, d], without });
    }
    Ok(Json(all))
}
