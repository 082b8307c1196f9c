//! Post: letters and calendars.

pub mod calendars;
pub mod letters;

use actix_web::web::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config.configure(letters::routes).configure(calendars::routes);
}
