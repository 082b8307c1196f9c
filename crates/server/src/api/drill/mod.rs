//! Drills: the library, what is asked of it, and the desk on which one is written.

pub mod desk;
pub mod library;
mod questions;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config.configure(desk::routes).configure(library::routes).configure(questions::routes);
}
