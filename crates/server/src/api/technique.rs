//! Scores: techniques beat by beat, looked at while they are written.

use actix_web::post;
use actix_web::web::Data;
use jogo_core::drill::levers::Tempo;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::technique::score::LONGEST_TEXT;
use serde::Deserialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;

use crate::json::Json;
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::scores::ScoreView;

pub fn routes(config: &mut ServiceConfig) {
    config.service(look);
}

/// The longest score that is taken, in characters.
pub(super) const LONGEST_SCORE: usize = LONGEST_TEXT;

/// A score as it is just being written.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct ScoreText {
    text: String,
    /// Whose size and tempo count.
    band: BandId,
    /// In rhythm if it is not given.
    tempo: Option<Tempo>,
    /// The skill that it is of: its parts propose a score.
    skill: Option<SkillId>,
}

/// Looks at a score: what is wrong with it, its figures and its moving feet as far as it reads. Nothing is kept.
#[utoipa::path(operation_id = "scores_look", request_body = ScoreText,
    responses((status = 200, body = ScoreView)))]
#[post("/scores")]
pub(super) async fn look(
    who: SignedIn,
    state: Data<State>,
    said: Json<ScoreText>,
) -> Answer<Json<ScoreView>> {
    who.may(Act::SeeLibrary)?;
    let ScoreText { text, band, tempo, skill } = said.into_inner();
    Ok(Json(ScoreView::of(&state, &text, &band, tempo.unwrap_or(Tempo::InRhythm), skill.as_ref()).await?))
}
