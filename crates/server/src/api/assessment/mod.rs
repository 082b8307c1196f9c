//! Assessment: squads and players, tests and results, standards, milestones and levels.

pub mod benchmarks;
pub mod board;
pub mod handover;
pub mod levels;
pub mod milestones;
pub mod player;
pub mod squad;
pub mod standards;
pub mod test_session;
pub mod timing_gates;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config
        .configure(squad::routes)
        .configure(board::routes)
        .configure(handover::routes)
        .configure(player::routes)
        .configure(standards::routes)
        .configure(timing_gates::routes)
        .configure(milestones::routes)
        .configure(benchmarks::routes)
        .configure(test_session::routes)
        .configure(levels::routes);
}
