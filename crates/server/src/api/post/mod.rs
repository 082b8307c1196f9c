//! Post: letters and calendars.

pub mod calendars;
pub mod letters;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config.configure(letters::routes).configure(calendars::routes);
}
