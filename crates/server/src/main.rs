//! Jogo: plan, deliver and assess technical football for children.

use std::process::ExitCode;

#[tokio::main]
async fn main() -> ExitCode {
    match jogo::run().await {
        Ok(()) => ExitCode::SUCCESS,
        Err(stopped) => {
            eprintln!("jogo: {}", stopped.says);
            ExitCode::from(stopped.code)
        }
    }
}
