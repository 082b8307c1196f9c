//! Drills: the library, and the desk on which one is written.

pub mod desk;
pub mod library;

use actix_web::web::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config.configure(desk::routes).configure(library::routes);
}
