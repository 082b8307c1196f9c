//! People: who signs in, their accounts and rights, how somebody is invited, and what was done by whom.

mod account;
mod audit;
pub mod invitations;
mod rights;
pub mod sign_in;

use utoipa_actix_web::service_config::ServiceConfig;

/// The routes of this room.
pub fn routes(config: &mut ServiceConfig) {
    config
        .configure(account::routes)
        .configure(sign_in::routes)
        .configure(rights::routes)
        .configure(audit::routes)
        .configure(invitations::routes);
}
