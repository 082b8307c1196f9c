//! Problems and plans as files: solve, check, make an example. The forms are described in docs/formats.md.

use jogo_core::academy::language::Language;
use jogo_words::say;
use std::path::{Path, PathBuf};
use std::time::{Duration, Instant};

use clap::{Args, Subcommand};
use jogo_core::input::InputError;
use jogo_core::plan::Clash;
use jogo_core::plan::problem::example::{ExampleSize, example};
use jogo_core::plan::search::solve::{Progress, STEPS_NEAR, usual_steps};
use jogo_core::plan::{Breach, Plan, PlanForm, Problem, Score, check, score, solve_while};
use jogo_store::plan::Draft;
use jogo_store::{Store, StoreError};
use serde::Serialize;
use serde::de::DeserializeOwned;

use super::Stopped;
use super::folder::{self, Known};
use super::library::{text_of, typed, write};
use crate::views::drafts::joined;

/// What can be done with problems and plans.
#[derive(Debug, Subcommand)]
pub enum Command {
    /// Lay a plan and print it as JSON; score and clashes go to the error output.
    Solve {
        /// The problem, as JSON.
        problem: PathBuf,
        /// Another seed may find another plan; the same one finds the same.
        #[arg(long, default_value_t = 1)]
        seed: u64,
        /// Search for so long, instead of the usual number of steps. The plan then depends on the machine.
        #[arg(long, value_parser = seconds)]
        seconds: Option<Duration>,
        /// Stay near this plan: every block that leaves its session costs a point.
        #[arg(long)]
        near: Option<PathBuf>,
    },
    /// Check a plan: print every breach and every part of the score as JSON. Ends with code 1 if a rule is broken.
    Check {
        /// The problem, as JSON.
        problem: PathBuf,
        /// The plan, as JSON.
        plan: PathBuf,
    },
    /// Write a curriculum's problem and plan into a folder, as `problem.json` and `plan.json`.
    Export {
        /// Its name, or its id.
        curriculum: String,
        /// Folder to write into; made if it is not there.
        folder: PathBuf,
        /// Folder of the database.
        #[arg(long, default_value = "jogo-data")]
        data: PathBuf,
    },
    /// Print an invented problem, random but like those of an academy.
    Example(Example),
}

/// How large an example is.
#[derive(Debug, Args)]
pub struct Example {
    /// Weeks.
    #[arg(long, default_value_t = 12, value_parser = clap::value_parser!(u32).range(1..=20))]
    weeks: u32,
    /// Sessions in a week.
    #[arg(long, default_value_t = 3, value_parser = clap::value_parser!(u32).range(1..=7))]
    sessions: u32,
    /// Skills to be reached.
    #[arg(long, default_value_t = 40, value_parser = clap::value_parser!(u32).range(1..=200))]
    skills: u32,
    /// Variants that may be laid.
    #[arg(long, default_value_t = 200, value_parser = clap::value_parser!(u32).range(1..=2000))]
    variants: u32,
    /// The same seed makes the same problem.
    #[arg(long, default_value_t = 1)]
    seed: u64,
}

fn seconds(text: &str) -> Result<Duration, String> {
    let seconds = text.parse::<f64>().ok().filter(|seconds| (0.0..=3_600.0).contains(seconds));
    seconds.map(Duration::from_secs_f64).ok_or_else(|| "give seconds from 0 to 3600".into())
}

/// What `check` prints.
#[derive(Serialize)]
struct Report {
    legal: bool,
    breaches: Vec<Breach>,
    score: Score,
}

/// Does what the command says; answers what is to be printed, and why the program ends otherwise than well.
pub async fn run(command: &Command) -> (String, Result<(), Stopped>) {
    match try_run(command).await {
        Ok((text, end)) => (text, end),
        Err(stopped) => (String::new(), Err(stopped)),
    }
}

async fn try_run(command: &Command) -> Result<(String, Result<(), Stopped>), Stopped> {
    match command {
        Command::Solve { problem, seed, seconds, near } => {
            let problem = problem_of(problem)?;
            let near = near.as_ref().map(|path| plan_of(path)).transpose()?;
            Ok((solve(&problem, *seed, *seconds, near.as_ref())?, Ok(())))
        }
        Command::Check { problem, plan } => {
            let (problem, plan) = (problem_of(problem)?, plan_of(plan)?);
            let breaches = check(&problem, &plan);
            let count = breaches.len();
            let report = Report { legal: count == 0, breaches, score: score(&problem, &plan) };
            let broken = match count {
                0 => Ok(()),
                1 => Err(Stopped::failed("the plan breaks a rule in one place")),
                _ => Err(Stopped::failed(format!("the plan breaks rules in {count} places"))),
            };
            Ok((json(&report)?, broken))
        }
        Command::Export { curriculum, folder, data } => {
            Ok((export(&folder::open(data, Known::MustBeThere).await?, curriculum, folder).await?, Ok(())))
        }
        Command::Example(Example { weeks, sessions, skills, variants, seed }) => {
            let size =
                ExampleSize { weeks: *weeks, sessions: *sessions, skills: *skills, variants: *variants };
            Ok((json(&example(size, *seed))?, Ok(())))
        }
    }
}

/// The curriculum of that id; else the latest of that name.
async fn export(store: &Store, wanted: &str, folder: &Path) -> Result<String, Stopped> {
    let stored = |e: StoreError| Stopped::failed(e.to_string());
    let drafts = store.curricula().await.map_err(stored)?;
    let named = |draft: &&Draft| draft.id.to_string() == wanted || draft.curriculum.name == wanted;
    let Some(Draft { curriculum, plan, .. }) = drafts.iter().find(named).cloned() else {
        let names: Vec<&str> = drafts.iter().map(|draft| draft.curriculum.name.as_str()).collect();
        let says = format!("there is no curriculum `{wanted}`; there are: {}", names.join(", "));
        return Err(Stopped::input(says));
    };
    let no_band = || Stopped::failed(format!("the band {} is gone", curriculum.band));
    let band = store.band(&curriculum.band).await.map_err(stored)?.ok_or_else(no_band)?;
    let name = curriculum.name.clone();
    let edition = joined(store, band, curriculum, plan.clone()).await.map_err(stored)?;
    let all = |faults: Vec<InputError>| {
        let told = faults.into_iter().map(|f| format!("{}: {}", f.pointer, say(Language::English, f.fact)));
        Stopped::input(told.collect::<Vec<_>>().join("\n"))
    };
    let problem = edition.problem().map_err(all)?;
    write(&folder.join("problem.json"), &problem)?;
    write(&folder.join("plan.json"), &PlanForm::from(plan))?;
    Ok(format!("exported “{name}” into {}\n", folder.display()))
}

fn solve(
    problem: &Problem,
    seed: u64,
    seconds: Option<Duration>,
    near: Option<&Plan>,
) -> Result<String, Stopped> {
    let steps = if near.is_some() { STEPS_NEAR } else { usual_steps(problem) };
    let begun = Instant::now();
    let mut done = |standing: Progress| match seconds {
        Some(most) => begun.elapsed().as_secs_f64() / most.as_secs_f64().max(1e-9),
        None => standing.steps as f64 / steps as f64,
    };
    let solved =
        solve_while(problem, seed, near, &mut done).map_err(|clash| Stopped::failed(said(&clash)))?;
    eprintln!("score {:.1} after {} steps", solved.score.total, solved.steps);
    if let Some(clash) = &solved.clash {
        eprintln!("not everything can be reached: {}", said(clash));
    }
    json(&PlanForm::from(solved.plan))
}

/// A clash, and what would lift it.
fn said(clash: &Clash) -> String {
    let relax = clash.relax.iter().map(|relax| format!("\n- {}", say(Language::English, relax.clone())));
    say(Language::English, clash.says.clone()) + &relax.collect::<String>()
}

fn json(value: &impl Serialize) -> Result<String, Stopped> {
    let text = jogo_words::spoken_pretty(value).map_err(|e| Stopped::failed(e.to_string()))?;
    Ok(text + "\n")
}

fn problem_of(path: &Path) -> Result<Problem, Stopped> {
    let problem: Problem = read(path)?;
    let faults = problem.faults();
    if faults.is_empty() {
        return Ok(problem);
    }
    let all = faults.into_iter().map(|f| at_place(path, f));
    Err(Stopped::input(all.collect::<Vec<_>>().join("\n")))
}

/// A fault with its file and its place there.
fn at_place(path: &Path, InputError { pointer, fact }: InputError) -> String {
    format!("{}: {pointer}: {}", path.display(), say(Language::English, fact))
}

fn plan_of(path: &Path) -> Result<Plan, Stopped> {
    read::<PlanForm>(path)?.plan().map_err(|fault| Stopped::input(at_place(path, fault)))
}

fn read<T: DeserializeOwned>(path: &Path) -> Result<T, Stopped> {
    let at = path.display();
    let text = text_of(path).map_err(|e| Stopped::input(format!("{at}: {e}")))?;
    let value = serde_json::from_str(&text).map_err(|e| Stopped::input(format!("{at}: is no JSON: {e}")))?;
    let mut faults = Vec::new();
    let piece = typed("", value, &mut faults);
    // A fault of the whole has no place.
    let told = |fault: &String| format!("{at}: {}", fault.trim_start_matches(": "));
    let all = || faults.iter().map(told).collect::<Vec<_>>().join("\n");
    piece.map(|(_, piece)| piece).ok_or_else(|| Stopped::input(all()))
}
