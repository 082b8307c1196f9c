//! The server and the command line of Jogo. What the program needs of it, and what its tests ask, is named here; all
//! else stays inside.

mod api;
mod clock;
mod commands;
pub mod demo;
mod facts;
mod json;
mod post;
mod problem;
mod said;
mod scanned;
mod searches;
mod serving;
mod shell;
mod sign_in;
mod spreadsheet;
mod state;
mod timing_gates;
mod views;
mod worked_out;

use clap::Parser;

pub use api::{app, openapi_json};
pub use clock::Clock;
pub use commands::Stopped;
pub use post::transport::Post;
pub use problem::LARGEST_BODY;
pub use serving::health::measures;
pub use serving::housekeeping::forget;
pub use serving::reached::{PublicUrl, Reached};
pub use state::State;
pub use views::team_levels::rebuild;

/// Does what the command line asks for.
///
/// # Errors
///
/// Why the command ended without doing its work, and what the program is to end with.
pub async fn run() -> Result<(), Stopped> {
    commands::run(commands::Command::parse()).await
}
