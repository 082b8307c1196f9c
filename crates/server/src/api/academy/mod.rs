//! The academy, its beginning, bands, clubs and teams.

pub mod bands;
mod beginning;
mod club_list;
pub mod clubs;
mod places;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config
        .configure(bands::routes)
        .configure(beginning::routes)
        .configure(club_list::routes)
        .configure(clubs::routes)
        .configure(places::routes);
}
