//! The command line.

mod folder;
mod keep;
mod layout;
mod library;
mod plan;
mod schema;
mod score;
mod serve;
mod text;
mod user;

use std::io::Write;
use std::path::PathBuf;

use clap::Parser;
use jogo_store::audit::Deed;

use crate::api;
use crate::clock::Clock;
use crate::demo;
use crate::post::transport::Post;
use crate::sign_in::passwords;
use crate::state::State;
use folder::Known;
use serve::{Listen, Nights};

/// Plan, deliver and assess technical football for children.
#[derive(Debug, Parser)]
#[command(name = "jogo", version)]
pub enum Command {
    /// Serve an academy. An empty folder begins one: an address is printed at which its first director signs in.
    Serve {
        /// Folder of the academy. Only the usual one is made if it is not there.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
        #[command(flatten)]
        listen: Listen,
        #[command(flatten)]
        nights: Nights,
    },
    /// Make a fresh demo academy and serve it.
    Demo {
        /// Folder for the demo's database, which is made again unless it is kept; a temporary one unless it is given.
        #[arg(long)]
        data: Option<PathBuf>,
        /// Go on with the demo that is in the folder, if one is there.
        #[arg(long, requires = "data", conflicts_with = "scale")]
        keep: bool,
        /// How many times as large, to see how Jogo bears it; 100 makes 2,300 squads with 33,000 players.
        #[arg(long, default_value_t = 1, value_parser = clap::value_parser!(u32).range(1..=200))]
        scale: u32,
        #[command(flatten)]
        listen: Listen,
    },
    /// Recompute what is kept beside the facts, and say whether it was what follows from them.
    Rebuild {
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
    /// Copy an academy's database into a file, also while it is served, and examine the copy.
    Backup {
        /// The file to write; it must not be there.
        file: PathBuf,
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
        /// Copy the key that signs cookies as well, into FILE.key: then nobody has to sign in again after a restore.
        #[arg(long)]
        with_key: bool,
    },
    /// Put a copy in the place of an academy that is not there, after examining it.
    Restore {
        /// The copy; its key is taken from FILE.key if that is there.
        file: PathBuf,
        /// Folder of the academy; made if it is not there.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
    /// Examine an academy: every page and row of its database, and whether what is kept beside the facts follows from
    /// them. Nothing is changed.
    Check {
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
    /// List people, add them, set their passwords, shut them out.
    #[command(subcommand)]
    User(user::Command),
    /// Read a layout text: measure it, draw it, fit it to a floor.
    #[command(subcommand)]
    Layout(layout::Command),
    /// Measure, draw or join scores: techniques written beat by beat.
    #[command(subcommand)]
    Score(score::Command),
    /// Read a library in files as a whole.
    #[command(subcommand)]
    Library(library::Command),
    /// Read drills, skills, tests and bands from JSON files or folders of them: all, or nothing if anything is wrong.
    Import {
        /// Files and folders.
        #[arg(required = true)]
        paths: Vec<PathBuf>,
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
    /// Write drills, skills, tests and bands as JSON files.
    Export {
        /// Folder to write into; made if it is not there.
        folder: PathBuf,
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
    /// Solve and check plans as files, for other programs too.
    #[command(subcommand)]
    Plan(plan::Command),
    /// Print the JSON Schema of a form.
    Schema {
        /// Of which form.
        #[arg(value_enum, default_value_t = schema::Form::Drill)]
        form: schema::Form,
    },
    /// Print the description of the HTTP interface (OpenAPI).
    Openapi,
}

/// Why a command ended without doing its work.
#[derive(Debug)]
pub struct Stopped {
    /// What went wrong, where, and how to mend it.
    pub says: String,
    /// What the program ends with: 2 if what was given is wrong, else 1.
    pub code: u8,
}

impl Stopped {
    fn failed(says: impl Into<String>) -> Stopped {
        Stopped { says: says.into(), code: 1 }
    }

    fn input(says: impl Into<String>) -> Stopped {
        Stopped { says: says.into(), code: 2 }
    }
}

impl From<String> for Stopped {
    fn from(says: String) -> Stopped {
        Stopped::failed(says)
    }
}

/// Does what the command line says.
pub async fn run(command: Command) -> Result<(), Stopped> {
    match command {
        Command::Layout(command) => print(&layout::run(&command)?),
        Command::Score(command) => print(&score::run(&command)?),
        Command::Library(command) => print(&library::run(&command)?),
        Command::Import { paths, data } => {
            let store = folder::open(&data, Known::MayBegin).await?;
            let (says, now) =
                (library::import(&store, &paths, Clock::Running.now()).await?, Clock::Running.now());
            store.note(now, None, Deed::Imported, "").await.map_err(|e| e.to_string())?;
            print(&says)
        }
        Command::Export { folder, data } => {
            print(&library::export(&folder::open(&data, Known::MustBeThere).await?, &folder).await?)
        }
        Command::Plan(command) => {
            let (text, end) = plan::run(&command).await;
            print(&text)?;
            end
        }
        Command::Schema { form } => print(&schema::of(form)?),
        Command::Serve { data, listen, nights } => serve_academy(data, &listen, &nights).await,
        Command::Demo { data, keep, scale, listen } => serve_demo(data, keep, scale, &listen).await,
        Command::Rebuild { data } => print(&keep::rebuild(&data).await?),
        Command::Backup { file, data, with_key } => print(&keep::back_up(&data, &file, with_key).await?),
        Command::Restore { file, data } => print(&keep::restore(&file, &data).await?),
        Command::Check { data } => print(&keep::check(&data).await?),
        Command::User(command) => print(&user::run(command).await?),
        Command::Openapi => print(&(api::openapi_json().map_err(|e| e.to_string())? + "\n")),
    }
}

async fn serve_academy(data: PathBuf, listen: &Listen, nights: &Nights) -> Result<(), Stopped> {
    let key_was_there = passwords::key_file(&data).exists();
    folder::made(&data, Known::MayBegin)?;
    let _served_here = folder::lock(&data)?;
    if key_was_there {
        // It was served before: an academy that is gone is never replaced by an empty one silently.
        folder::must_be_there(&data)?;
    }
    let store = folder::open(&data, Known::MayBegin).await?;
    let (key, post) = (passwords::key(&data)?, Post::from_environment(&data)?);
    let state = State::new(store, listen.clock()?, key, false, post);
    Ok(serve::serve(state, listen, nights.nightly(&data)?, &data).await?)
}

async fn serve_demo(data: Option<PathBuf>, keep: bool, scale: u32, listen: &Listen) -> Result<(), Stopped> {
    let own = std::env::temp_dir().join(format!("jogo-demo-{}", std::process::id()));
    let temporary = data.is_none();
    let data = data.unwrap_or_else(|| own.clone());
    let clock = listen.clock()?;
    folder::made(&data, Known::Anything)?;
    let _served_here = folder::lock(&data)?;
    let mut store = folder::open(&data, Known::Anything).await?;
    let is_demo = !store.samples().await.map_err(|e| e.to_string())?.is_empty();
    if !is_demo && folder::holds_anything(&store).await.map_err(|e| e.to_string())? {
        let says = "holds an academy that is no demo: give another folder with --data";
        return Err(Stopped::failed(format!("{} {says}", data.display())));
    }
    if !(keep && is_demo) {
        store.close().await;
        folder::remove_old(&data)?;
        store = folder::open(&data, Known::Anything).await?;
        demo::fill(&store, &clock, scale).await.map_err(|e| e.to_string())?;
    }
    let post = Post::Outbox(data.join("outbox"));
    let served =
        serve::serve(State::new(store, clock, passwords::key(&data)?, true, post), listen, None, &data).await;
    if temporary {
        std::fs::remove_dir_all(&own).map_err(|e| format!("{} stays behind: {e}", own.display()))?;
    }
    Ok(served?)
}

fn print(text: &str) -> Result<(), Stopped> {
    match std::io::stdout().write_all(text.as_bytes()) {
        // Whoever reads may have read enough.
        Err(e) if e.kind() != std::io::ErrorKind::BrokenPipe => Err(Stopped::failed(e.to_string())),
        _ => Ok(()),
    }
}
