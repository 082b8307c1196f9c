//! Layout texts: read, measured and drawn.

use actix_web::post;
use actix_web::web::Data;
use jogo_core::ground::layout::Layout;
use jogo_core::ground::layout::measure::Measures;
use jogo_core::input::InputError;
use jogo_core::input::RangeFault;
use jogo_core::units::{Metres, Pace};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.service(read);
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct LayoutText {
    text: String,
    /// A pace; that of whoever asks if it is not given.
    pace_m: Option<Metres>,
}

#[derive(Serialize, ToSchema)]
pub(super) struct LayoutRead {
    #[serde(flatten)]
    measures: Measures,
    /// SVG.
    drawing: String,
}

/// A pace that may be somebody's.
pub fn measured(metres: Metres) -> Answer<Pace> {
    Pace::measured(metres).ok_or_else(|| {
        let range = RangeFault::Metres { value: metres.0, least: 0.3, most: 1.5 };
        Problem::fault("/pace_m", range)
    })
}

/// Reads a layout text. Its faults come back together, each with line and column.
#[utoipa::path(operation_id = "layouts_read", request_body = LayoutText,
    responses((status = 200, body = LayoutRead)))]
#[post("/layouts")]
pub(super) async fn read(
    who: SignedIn,
    state: Data<State>,
    said: Json<LayoutText>,
) -> Answer<Json<LayoutRead>> {
    who.may(Act::SeeLibrary)?;
    let pace = match said.pace_m {
        None => who.pace(&state).await?,
        Some(metres) => measured(metres)?,
    };
    let layout = Layout::read(&said.text, pace).map_err(|faults| {
        // A text with thousands of faults is mended from its first ones.
        Problem::input(faults.iter().take(50).map(|fault| InputError::at("/text", fault.clone())).collect())
    })?;
    Ok(Json(LayoutRead { measures: layout.measures(), drawing: layout.draw() }))
}
