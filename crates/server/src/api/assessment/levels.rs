//! Levels and milestones in all clubs, side by side.

use actix_web::get;
use actix_web::web::{Data, Query};
use jogo_core::ids::BandId;
use serde::Deserialize;
use utoipa::IntoParams;
use utoipa_actix_web::service_config::ServiceConfig;

use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::clubs::{MilestoneShares, TestLevels, levels_in_clubs, milestones_in_clubs};
use crate::worked_out::{UnderWay, WorkedOut};

pub fn routes(config: &mut ServiceConfig) {
    config.service(levels).service(milestones);
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct OfBand {
    band: BandId,
}

/// Levels in all clubs, by test.
#[utoipa::path(operation_id = "review_levels", params(OfBand),
    responses((status = 200, body = Vec<TestLevels>), (status = 202, body = UnderWay),
        (status = 404, body = Problem)))]
#[get("/levels")]
pub(in crate::api) async fn levels(
    who: SignedIn,
    state: Data<State>,
    of: Query<OfBand>,
) -> Answer<WorkedOut<Vec<TestLevels>>> {
    who.may(Act::Review)?;
    levels_in_clubs(&state, &of.band, &who.clubs(&state).await?).await
}

/// Milestones in all clubs, in the order of strands and stages.
#[utoipa::path(operation_id = "review_milestones", params(OfBand),
    responses((status = 200, body = Vec<MilestoneShares>), (status = 202, body = UnderWay),
        (status = 404, body = Problem)))]
#[get("/levels/milestones")]
pub(in crate::api) async fn milestones(
    who: SignedIn,
    state: Data<State>,
    of: Query<OfBand>,
) -> Answer<WorkedOut<Vec<MilestoneShares>>> {
    who.may(Act::Review)?;
    milestones_in_clubs(&state, &of.band, &who.clubs(&state).await?).await
}
