//! Jogo: plan, deliver and assess technical football for children.

mod api;
mod assessment;
mod clock;
mod commands;
mod demo;
mod passwords;
mod post;
mod problem;
mod rights;
mod secrets;
mod shell;
mod sign_in;
mod spreadsheet;
mod state;
mod team_evenings;
mod team_levels;
mod timing;

use std::process::ExitCode;

use clap::Parser;

#[tokio::main]
async fn main() -> ExitCode {
    match commands::run(commands::Command::parse()).await {
        Ok(()) => ExitCode::SUCCESS,
        Err(stopped) => {
            eprintln!("jogo: {}", stopped.says);
            ExitCode::from(stopped.code)
        }
    }
}
