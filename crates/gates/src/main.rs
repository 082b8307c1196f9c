//! A simulated pair of timing gates: joins a test session and plays runs of seeded players, with the faults of real
//! gates.
//!
//! What it sends is Jogo's open line protocol, described in docs/formats.md; whoever builds gates can begin here.

use std::process::ExitCode;
use std::thread::sleep;
use std::time::Duration;

use clap::Parser;
use jogo_core::assessment::timing_gates::simulated::{Faults, lines};
use tungstenite::{Message, connect};

/// A simulated pair of timing gates.
#[derive(Debug, Parser)]
#[command(name = "jogo-gates", version)]
struct Gates {
    /// The address that the test session shows under Gates, as ws://localhost:7300/api/v1/gates/0123456789ab.
    #[arg(long)]
    to: String,
    /// How many players run.
    #[arg(long, default_value_t = 10, value_parser = clap::value_parser!(u32).range(1..=500))]
    players: u32,
    /// The same seed plays the same runs.
    #[arg(long, default_value_t = 1)]
    seed: u64,
    /// What goes wrong: late, doubled, out-of-order, missing, bounced, with commas between; all or none.
    #[arg(long, default_value = "none")]
    faults: Faults,
    /// How much faster than in a hall.
    #[arg(long, default_value_t = 10.0, value_parser = faster)]
    faster: f64,
}

fn faster(text: &str) -> Result<f64, String> {
    let faster: f64 = text.parse().map_err(|_| format!("`{text}` is no number"))?;
    if (0.1..=10_000.0).contains(&faster) { Ok(faster) } else { Err("between 0.1 and 10000".into()) }
}

fn main() -> ExitCode {
    match play(&Gates::parse()) {
        Ok(lines) => {
            println!("{lines} lines sent, each acknowledged");
            ExitCode::SUCCESS
        }
        Err(says) => {
            eprintln!("{says}");
            ExitCode::FAILURE
        }
    }
}

fn play(wanted: &Gates) -> Result<usize, String> {
    let refused = |e: tungstenite::Error| format!("{}: {e}: is this the address of the test?", wanted.to);
    let (mut line, _) = connect(&wanted.to).map_err(refused)?;
    let lines = lines(wanted.players, wanted.seed, wanted.faults);
    for sent in &lines {
        sleep(Duration::from_secs_f64(sent.after_ms as f64 / 1000.0 / wanted.faster));
        let text = serde_json::to_string(&sent.event).map_err(|e| e.to_string())?;
        println!("{text}");
        line.send(Message::text(text)).map_err(refused)?;
        // What is not acknowledged would be sent again by gates with a memory; this pair stops and says so.
        let answer = line.read().map_err(refused)?.to_string();
        if !answer.contains("\"ack\"") {
            return Err(format!("{}: {answer}", wanted.to));
        }
    }
    line.close(None).map_err(refused)?;
    Ok(lines.len())
}
