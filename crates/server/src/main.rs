//! Jogo: plan, deliver and assess technical football for children.

mod api;
mod clock;
mod commands;
mod demo;
mod facts;
mod json;
mod post;
mod problem;
mod said;
mod searches;
mod shell;
mod sign_in;
mod spreadsheet;
mod state;
mod timing_gates;
mod views;

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
