//! The academy, its bands, clubs and teams.

pub mod bands;
pub mod clubs;

use actix_web::web::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config.configure(bands::routes).configure(clubs::routes);
}
