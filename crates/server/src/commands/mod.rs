//! The command line.

mod layout;
mod library;
mod plan;
mod schema;
mod score;
mod text;

use jogo_core::academy::language::Language;
use jogo_core::input::TextFault;
use jogo_core::input::What;
use jogo_words::say;
use std::fs::{File, OpenOptions, TryLockError};
use std::io::{Read, Write};
use std::net::TcpListener;
use std::os::unix::fs::{DirBuilderExt, OpenOptionsExt};
use std::path::{Path, PathBuf};

use actix_web::HttpServer;
use clap::{Args, Parser, Subcommand};
use jiff::civil::Date;
use jogo_core::input::{name_in_files, short_text};
use jogo_store::people::{NewPerson, Person, Role};
use jogo_store::{Store, StoreError, Stored};
use tracing_subscriber::filter::LevelFilter;
use uuid::Uuid;

use crate::clock::Clock;
use crate::post::transport::Post;
use crate::problem::Answer;
use crate::state::State;
use crate::{api, demo, post, sign_in::passwords, views::team_levels};

/// Plan, deliver and assess technical football for children.
#[derive(Debug, Parser)]
#[command(name = "jogo", version)]
pub enum Command {
    /// Serve an academy's database.
    Serve {
        /// Folder of the database; made if it is not there.
        #[arg(long, default_value = "jogo-data")]
        data: PathBuf,
        #[command(flatten)]
        listen: Listen,
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
        /// Folder of the database.
        #[arg(long, default_value = "jogo-data")]
        data: PathBuf,
    },
    /// Add people, or set their passwords.
    #[command(subcommand)]
    User(User),
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
        /// Folder of the database.
        #[arg(long, default_value = "jogo-data")]
        data: PathBuf,
    },
    /// Write drills, skills, tests and bands as JSON files.
    Export {
        /// Folder to write into; made if it is not there.
        folder: PathBuf,
        /// Folder of the database.
        #[arg(long, default_value = "jogo-data")]
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

/// Where to listen.
#[derive(Debug, Args)]
pub struct Listen {
    /// Address; only this machine unless another is given.
    #[arg(long, default_value = "127.0.0.1")]
    address: String,
    /// Port; 0 takes a free one and prints it.
    #[arg(long, default_value_t = 7300)]
    port: u16,
    /// Hold the calendar at a day, for tests and pictures.
    #[arg(long)]
    today: Option<Date>,
}

/// What can be done with people. The password is read from the standard input.
#[derive(Debug, Subcommand)]
pub enum User {
    /// Add somebody who signs in.
    Add {
        /// Name to sign in with.
        login: String,
        /// Name that is shown.
        #[arg(long)]
        name: String,
        /// What for.
        #[arg(long, value_parser = ["director", "coach"])]
        role: String,
        /// Folder of the database.
        #[arg(long, default_value = "jogo-data")]
        data: PathBuf,
    },
    /// Set another password, and end every sign-in of that person.
    Password {
        /// Name to sign in with.
        login: String,
        /// Folder of the database.
        #[arg(long, default_value = "jogo-data")]
        data: PathBuf,
    },
}

/// Does what the command line says.
pub async fn run(command: Command) -> Result<(), Stopped> {
    match command {
        Command::Layout(command) => print(&layout::run(&command)?),
        Command::Score(command) => print(&score::run(&command)?),
        Command::Library(command) => print(&library::run(&command)?),
        Command::Import { paths, data } => {
            print(&library::import(&open(&data).await?, &paths, Clock::Running.now()).await?)
        }
        Command::Export { folder, data } => print(&library::export(&open(&data).await?, &folder).await?),
        Command::Plan(command) => {
            let (text, end) = plan::run(&command).await;
            print(&text)?;
            end
        }
        Command::Schema { form } => print(&schema::of(form)?),
        Command::Serve { data, listen } => {
            let _served_here = lock(&data)?;
            let store = open(&data).await?;
            Ok(serve(
                State::new(
                    store,
                    clock(&listen)?,
                    passwords::key(&data)?,
                    false,
                    Post::from_environment(&data)?,
                ),
                &listen,
            )
            .await?)
        }
        Command::Demo { data, keep, scale, listen } => {
            let own = std::env::temp_dir().join(format!("jogo-demo-{}", std::process::id()));
            let temporary = data.is_none();
            let data = data.unwrap_or_else(|| own.clone());
            let clock = clock(&listen)?;
            let _served_here = lock(&data)?;
            let mut store = open(&data).await?;
            let is_demo = !store.samples().await.map_err(|e| e.to_string())?.is_empty();
            if !is_demo && holds_anything(&store).await.map_err(|e| e.to_string())? {
                let says = "holds an academy that is no demo: give another folder with --data";
                return Err(Stopped::failed(format!("{} {says}", data.display())));
            }
            if !(keep && is_demo) {
                store.close().await;
                remove_old(&data)?;
                store = open(&data).await?;
                demo::fill(&store, &clock, scale).await.map_err(|e| e.to_string())?;
            }
            let post = Post::Outbox(data.join("outbox"));
            let served = serve(State::new(store, clock, passwords::key(&data)?, true, post), &listen).await;
            if temporary {
                std::fs::remove_dir_all(&own).map_err(|e| format!("{} stays behind: {e}", own.display()))?;
            }
            Ok(served?)
        }
        Command::Rebuild { data } => {
            let (teams, differed) =
                team_levels::rebuild(&open(&data).await?).await.map_err(|e| e.to_string())?;
            print(&format!(
                "levels of {teams} teams worked out again, {differed} of them were kept otherwise\n"
            ))
        }
        Command::User(user) => Ok(change_user(user).await?),
        Command::Openapi => print(&(api::openapi_json().map_err(|e| e.to_string())? + "\n")),
    }
}

fn print(text: &str) -> Result<(), Stopped> {
    match std::io::stdout().write_all(text.as_bytes()) {
        // Whoever reads may have read enough.
        Err(e) if e.kind() != std::io::ErrorKind::BrokenPipe => Err(Stopped::failed(e.to_string())),
        _ => Ok(()),
    }
}

async fn open(data: &Path) -> Result<Store, String> {
    folder(data)?;
    let database = data.join("academy.sqlite");
    // The files beside it get the same rights.
    own(&database).map_err(|e| format!("{} cannot be opened: {e}", database.display()))?;
    Store::open(&database).await.map_err(|e| e.to_string())
}

/// Makes the folder of an academy: what is known of children is for the owner's eyes.
fn folder(data: &Path) -> Result<(), String> {
    std::fs::DirBuilder::new()
        .recursive(true)
        .mode(0o700)
        .create(data)
        .map_err(|e| format!("the folder {} cannot be made: {e}", data.display()))
}

/// Opens a file that only the owner reads, and makes it if it is not there.
fn own(file: &Path) -> std::io::Result<File> {
    OpenOptions::new().read(true).write(true).create(true).truncate(false).mode(0o600).open(file)
}

/// One program serves a folder: the lock is held until it ends, however it ends.
fn lock(data: &Path) -> Result<File, String> {
    folder(data)?;
    let says = |e: &dyn std::fmt::Display| format!("{} cannot be locked: {e}", data.display());
    let file = own(&data.join("lock")).map_err(|e| says(&e))?;
    match file.try_lock() {
        Ok(()) => Ok(file),
        Err(TryLockError::WouldBlock) => {
            Err(format!("{} is served by another Jogo: end that one, or give another folder", data.display()))
        }
        Err(TryLockError::Error(e)) => Err(says(&e)),
    }
}

/// Whether an academy has been begun: somebody signs in, or a library was read.
async fn holds_anything(store: &Store) -> Stored<bool> {
    Ok(!store.people().await?.is_empty()
        || !store.bands().await?.is_empty()
        || !store.skills().await?.is_empty()
        || !store.kept_drills(false).await?.is_empty()
        || !store.kept_drills(true).await?.is_empty()
        || !store.tests().await?.is_empty())
}

/// A demo starts again, but never takes away a folder that holds anything else.
fn remove_old(data: &Path) -> Result<(), String> {
    for file in ["academy.sqlite", "academy.sqlite-wal", "academy.sqlite-shm"] {
        match std::fs::remove_file(data.join(file)) {
            Err(e) if e.kind() != std::io::ErrorKind::NotFound => {
                return Err(format!("the old demo in {} cannot be removed: {e}", data.display()));
            }
            _ => {}
        }
    }
    Ok(())
}

fn clock(listen: &Listen) -> Result<Clock, String> {
    match listen.today {
        Some(day) => Clock::held(day).map_err(|e| format!("--today {day}: {e}")),
        None => Ok(Clock::Running),
    }
}

async fn serve(state: State, listen: &Listen) -> Result<(), String> {
    tracing_subscriber::fmt().with_max_level(LevelFilter::WARN).with_writer(std::io::stderr).init();
    let at = format!("{}:{}", listen.address, listen.port);
    let listener =
        TcpListener::bind(&at).map_err(|e| format!("{at} cannot be used ({e}): give another --port"))?;
    let at = listener.local_addr().map_err(|e| e.to_string())?;
    // Nobody may be reading; the academy is open all the same.
    let _ = std::io::stdout().write_all(welcome(&state, &format!("http://{at}")).await?.as_bytes());
    let state = actix_web::web::Data::new(state);
    tokio::spawn(post::look_after(state.clone()));
    tokio::spawn(look_ahead(state.clone()));
    HttpServer::new(move || api::app(state.clone()))
        .workers(2)
        .listen(listener)
        .map_err(|e| e.to_string())?
        .run()
        .await
        .map_err(|e| e.to_string())
}

/// How often it is looked ahead.
const LOOK_AHEAD: std::time::Duration = std::time::Duration::from_secs(600);

/// Works out what would keep the first reader of a day waiting: how well tests repeat themselves, and what follows
/// from trials.
async fn look_ahead(state: actix_web::web::Data<State>) {
    loop {
        if let Err(problem) = ready(&state).await {
            tracing::error!("looking ahead: {problem}");
        }
        tokio::time::sleep(LOOK_AHEAD).await;
    }
}

async fn ready(state: &State) -> Answer<()> {
    for kept in state.store.bands().await? {
        state.repeatability(&kept.band.id).await?;
        team_levels::of_teams(&state.store, &kept.band.id).await?;
    }
    Ok(())
}

/// Where the academy is open, and whom the demo offers.
async fn welcome(state: &State, address: &str) -> Result<String, String> {
    let mut says = format!("Jogo is open at {address}\n");
    if state.demo {
        says +=
            &format!("\nSample people (one tap on the sign-in page, or password “{}”):\n", demo::PASSWORD);
        for person in state.store.samples().await.map_err(|e| e.to_string())? {
            let role = match person.role {
                Role::Director => "director",
                Role::ClubLead => "club lead",
                Role::Coach => "coach",
            };
            says += &format!("  {:<9} {:<18} {role}\n", person.login, person.name);
        }
    }
    if state.store.people().await.map_err(|e| e.to_string())?.is_empty() {
        let secret = state.beginning.open(state.clock.now()).map_err(|e| e.to_string())?;
        says += "\nNobody is there yet. Begin the academy within a day, in a browser, at\n";
        says += &format!("  {address}/begin/{secret}\n");
    }
    Ok(says)
}

async fn change_user(user: User) -> Result<(), String> {
    let mut password = String::new();
    std::io::stdin().take(4096).read_to_string(&mut password).map_err(|e| e.to_string())?;
    let hash = passwords::hash(password.trim_end_matches(['\r', '\n']));
    let hash = hash.map_err(|fault| say(Language::English, fault))?;
    match user {
        User::Add { login, name, role, data } => {
            let said = |fault: TextFault| say(Language::English, fault);
            // The same names as on screen: whoever types capitals means small letters.
            let login = login.trim().to_lowercase();
            name_in_files(&login).map_err(|fault| say(Language::English, fault))?;
            let name = short_text(&name, 40, What::Name).map_err(said)?;
            let role = if role == "director" { Role::Director } else { Role::Coach };
            let person = Person { id: Uuid::now_v7(), login, name, role };
            let store = open(&data).await?;
            let new = NewPerson { person, password: hash, sample: false };
            store.add_person(&new, Clock::Running.now()).await.map_err(|error| match error {
                StoreError::Taken(fact) => say(Language::English, fact),
                error => error.to_string(),
            })
        }
        User::Password { login, data } => {
            match open(&data).await?.set_password(&login.trim().to_lowercase(), &hash).await {
                Ok(true) => Ok(()),
                Ok(false) => Err(format!("Nobody signs in as “{login}”.")),
                Err(e) => Err(e.to_string()),
            }
        }
    }
}
