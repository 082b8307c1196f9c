//! Seasons with their terms, days off, and the year sheet.

mod changes;
mod days_off;
mod outlines;
mod seasons;
mod year;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config
        .configure(seasons::routes)
        .configure(days_off::routes)
        .configure(outlines::routes)
        .configure(year::routes)
        .configure(changes::routes);
}
