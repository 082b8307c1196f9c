//! People: who signs in, and how somebody is invited.

pub mod invitations;
pub mod sign_in;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config.configure(sign_in::routes).configure(invitations::routes);
}
