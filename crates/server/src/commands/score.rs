//! Scores on the command line: measured, drawn, joined.

use std::path::{Path, PathBuf};
use std::str::FromStr;

use clap::{Args, Subcommand};
use jogo_core::academy::language::Language;
use jogo_core::technique::score::Score;
use jogo_core::technique::score::chain::joined;
use jogo_core::technique::score::measure::Measures;
use jogo_core::technique::score::tempo::{BodySize, Tempos};
use jogo_core::technique::skill::Skill;
use jogo_core::units::Seconds;
use jogo_words::say;
use serde::Serialize;

use super::Stopped;
use super::text::{faulty, json, text_of};

/// What can be done with a score.
#[derive(Debug, Subcommand)]
pub enum Command {
    /// Print beats, touches, the ball's way and how it ends as JSON.
    Measure {
        /// File with the score; `-` reads the standard input.
        file: PathBuf,
        #[command(flatten)]
        player: Player,
    },
    /// Print the strip as SVG.
    Draw {
        /// File with the score; `-` reads the standard input.
        file: PathBuf,
        #[command(flatten)]
        player: Player,
    },
    /// Print whether each score goes on where the one before it ends, and measure the whole, as JSON.
    Chain {
        /// Files with the scores, in their order.
        #[arg(required = true, num_args = 2..)]
        files: Vec<PathBuf>,
        #[command(flatten)]
        player: Player,
    },
}

/// Who plays it.
#[derive(Debug, Args)]
pub struct Player {
    /// Seconds of a beat; else those of the band in rhythm.
    #[arg(long, value_parser = seconds)]
    tempo: Option<f64>,
    /// The band, as u8-u9.
    #[arg(long, default_value = "u10-u12")]
    band: Ages,
    /// File with skills as JSON, whose scores `do skill` may play.
    #[arg(long)]
    skills: Vec<PathBuf>,
}

/// The oldest age of a band that is named by its ages.
#[derive(Clone, Copy, Debug)]
struct Ages {
    oldest: u8,
}

impl FromStr for Ages {
    type Err = String;

    fn from_str(text: &str) -> Result<Ages, String> {
        let under =
            |age: &str| age.strip_prefix('u')?.parse::<u8>().ok().filter(|age| (4..=22).contains(age));
        let ages = text.split_once('-').and_then(|(from, to)| Some((under(from)?, under(to)?)));
        match ages.filter(|(from, to)| from <= to) {
            // Under twelve is eleven at most.
            Some((_, to)) => Ok(Ages { oldest: to - 1 }),
            None => Err("write the band by its ages, as u8-u9".into()),
        }
    }
}

fn seconds(text: &str) -> Result<f64, String> {
    let seconds = text.parse().ok().filter(|seconds| (0.05..=10.0).contains(seconds));
    seconds.ok_or_else(|| "seconds of a beat, 0.05 to 10".into())
}

/// A chain: how its scores join, and the whole if they do.
#[derive(Serialize)]
struct Chain {
    joins: Vec<Joined>,
    #[serde(flatten)]
    whole: Option<Measures>,
}

#[derive(Serialize)]
struct Joined {
    from: String,
    to: String,
    direct: bool,
    setting: Option<String>,
}

/// Does it, and returns what is to be printed.
pub fn run(command: &Command) -> Result<String, Stopped> {
    match command {
        Command::Measure { file, player } => json(&player.read(file)?.measures(player.tempo())),
        Command::Draw { file, player } => {
            let score = player.read(file)?;
            let counted = score.round.counts.iter().map(|count| say(Language::English, count.counted()));
            Ok(score.draw(&counted.collect::<Vec<_>>()) + "\n")
        }
        Command::Chain { files, player } => player.chain(files),
    }
}

impl Player {
    fn tempo(&self) -> Seconds {
        self.tempo.map_or_else(|| Tempos::up_to(self.band.oldest).in_rhythm, Seconds)
    }

    fn skills(&self) -> Result<Vec<Skill>, Stopped> {
        let read = |file: &PathBuf| {
            let skills: Result<Vec<Skill>, _> = serde_json::from_str(&text_of(file)?);
            skills
                .map_err(|e| Stopped::input(format!("{}: a list of skills is expected: {e}", file.display())))
        };
        Ok(self.skills.iter().map(read).collect::<Result<Vec<_>, Stopped>>()?.concat())
    }

    fn read(&self, file: &Path) -> Result<Score, Stopped> {
        let size = BodySize::up_to(self.band.oldest);
        Score::read(&text_of(file)?, size, &self.skills()?).map_err(|faults| faulty(file, faults))
    }

    fn chain(&self, files: &[PathBuf]) -> Result<String, Stopped> {
        let scores = files.iter().map(|file| self.read(file)).collect::<Result<Vec<_>, _>>()?;
        let (joins, whole) = joined(&scores.iter().collect::<Vec<_>>());
        let name = |file: &PathBuf| file.display().to_string();
        let joins = joins.into_iter().zip(files.windows(2)).map(|(join, pair)| Joined {
            from: name(&pair[0]),
            to: name(&pair[1]),
            direct: join.direct,
            setting: join.setting,
        });
        json(&Chain { joins: joins.collect(), whole: whole.map(|whole| whole.measures(self.tempo())) })
    }
}
