//! Delivery: the sessions of a team, their log, and what a team has of its own.

pub mod board;
pub mod hinges;
pub mod home;
pub mod log;
pub mod next_time;
pub mod own;
pub mod pairs;
pub mod session;
pub mod upset;
pub mod voices;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config
        .configure(board::routes)
        .configure(session::routes)
        .configure(upset::routes)
        .configure(hinges::routes)
        .configure(next_time::routes)
        .configure(voices::routes)
        .configure(log::routes)
        .configure(home::routes)
        .configure(own::routes)
        .configure(pairs::routes);
}
