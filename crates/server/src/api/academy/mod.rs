//! The academy, its beginning, bands, clubs and teams.

pub mod bands;
mod beginning;
pub mod clubs;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config.configure(bands::routes).configure(beginning::routes).configure(clubs::routes);
}
