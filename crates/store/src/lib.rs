//! What Jogo remembers: SQLite through SQLx.
//!
//! One module for each thing that is kept. Every query is written whole where it is used, and is checked against the
//! schema when it is compiled (the checked form is committed in `.sqlx`; `make queries` renews it). One connection
//! writes, several read. Every write that belongs together is one transaction.

pub mod academy;
pub mod assessment;
pub mod audit;
pub mod delivery;
pub mod drill;
mod editions_read;
pub mod erasure;
pub mod keeping;
pub mod library;
pub mod people;
pub mod plan;
pub mod post;
pub mod progression;
pub mod season;
mod upgrade;

use std::path::{Path, PathBuf};
use std::str::FromStr;
use std::sync::Arc;
use std::time::Duration;

use crate::editions_read::EditionsRead;
use jiff::Timestamp;
use jogo_core::fact::{Fact, facts};
use serde::Serialize;
use serde::de::DeserializeOwned;
use sqlx::sqlite::{SqliteConnectOptions, SqliteJournalMode, SqlitePoolOptions, SqliteSynchronous};
use sqlx::{Connection, Sqlite, SqlitePool, Transaction};

facts! {
    /// Why something cannot be kept or removed as it is.
    pub enum Taken {
        OtherTeam = "taken-by-other-team",
        TrialUnknown = "taken-trial-unknown" { id: String },
        OtherCurriculum = "taken-by-other-curriculum",
        OtherSquad = "taken-by-other-squad",
        PlayerName = "taken-player-name" { name: String },
        ClubName = "taken-club-name" { name: String },
        TeamName = "taken-team-name" { name: String },
        PlaceName = "taken-place-name" { name: String },
        BandName = "taken-band-name" { name: String },
        Login = "taken-login" { login: String },
        Invitation = "taken-invitation",
        Begun = "taken-begun",
        LastDirector = "taken-last-director",
        NoClub = "taken-no-club",
        DrillName = "taken-drill-name" { title: String },
    }
}

facts! {
    /// What the store itself does to a team's plan, as its history shows it.
    pub enum Happened {
        NewEdition = "change-new-edition",
    }
}

/// What a history says of a change: a fact, or the words of an earlier version.
fn happened(said: String) -> Fact {
    serde_json::from_str(&said).unwrap_or_else(|_| Fact::written(said))
}

impl From<Taken> for StoreError {
    fn from(taken: Taken) -> StoreError {
        StoreError::Taken(taken.into())
    }
}

/// What a database that refuses a name says: that somebody or something else has it.
pub(crate) fn taken(error: sqlx::Error, taken: Taken) -> StoreError {
    match error.as_database_error() {
        Some(e) if e.is_unique_violation() => taken.into(),
        _ => error.into(),
    }
}

/// What can go wrong in the store.
#[derive(Debug, thiserror::Error)]
pub enum StoreError {
    /// The database said no.
    #[error("the database: {0}")]
    Database(#[from] sqlx::Error),
    /// The schema could not be brought up to date.
    #[error("the database's schema: {0}")]
    Schema(#[from] sqlx::migrate::MigrateError),
    /// There is no database.
    #[error(
        "there is no academy in {}: give the folder that holds one with --data, or restore a backup into it \
        (jogo restore)",
        shown(file)
    )]
    Missing {
        /// Where it was looked for.
        file: PathBuf,
    },
    /// It cannot be read whole.
    #[error("{} is damaged ({why}): put it aside, and restore the latest backup (jogo restore)", shown(file))]
    Damaged {
        /// Which.
        file: PathBuf,
        /// What was found first.
        why: String,
    },
    /// It cannot be written, or not even opened.
    #[error(
        "{} cannot be written ({why}): see that the folder and its files belong to whoever runs Jogo, and that \
        the disk has room",
        shown(file)
    )]
    ReadOnly {
        /// Which.
        file: PathBuf,
        /// What the database says.
        why: String,
    },
    /// It belongs to another program.
    #[error("{} is a database, but not one of an academy: give another folder with --data", shown(file))]
    Foreign {
        /// Which.
        file: PathBuf,
    },
    /// A newer version of Jogo has written it.
    #[error(
        "{} was written by a newer version of Jogo: start that one, or restore the copy that it made before it \
        changed the database",
        shown(file)
    )]
    Newer {
        /// Which.
        file: PathBuf,
    },
    /// A copy could not be written.
    #[error("{} cannot be written: {why}", shown(file))]
    NotWritten {
        /// Which.
        file: PathBuf,
        /// Why.
        why: String,
    },
    /// What is stored cannot be read.
    #[error("what is stored as {what} cannot be read: {why}")]
    Unreadable {
        /// What.
        what: &'static str,
        /// Why.
        why: String,
    },
    /// Somebody else changed it meanwhile.
    #[error("somebody else has changed this meanwhile")]
    Stale,
    /// It is there already, as something else, or something rests on it.
    #[error("{0}")]
    Taken(Fact),
}

fn shown(file: &Path) -> std::path::Display<'_> {
    file.display()
}

/// What the store answers.
pub type Stored<T> = Result<T, StoreError>;

/// The database of one academy.
#[derive(Clone, Debug)]
pub struct Store {
    read: SqlitePool,
    write: SqlitePool,
    /// One that never writes, and is always the same: it is asked whether anybody else has written.
    watch: SqlitePool,
    editions: Arc<EditionsRead>,
}

impl Store {
    /// Opens a database, makes it if it is not there, and brings its schema up to date; a database that an earlier
    /// version has written is copied first. Errs if it is damaged, or cannot be written.
    pub async fn open(file: &Path) -> Stored<Store> {
        let was_there = keeping::is_there(file);
        let options = SqliteConnectOptions::new()
            .filename(file)
            .create_if_missing(true)
            .journal_mode(SqliteJournalMode::Wal)
            .synchronous(SqliteSynchronous::Full)
            .foreign_keys(true)
            // What is erased is written over.
            .pragma("secure_delete", "ON")
            .busy_timeout(Duration::from_secs(10));
        // A transaction that a full disk has ended cannot be ended again: its connection is of no use any more.
        let writer = SqlitePoolOptions::new()
            .max_connections(1)
            .before_acquire(|connection, _| Box::pin(async move { Ok(!connection.is_in_transaction()) }));
        let write = writer.connect_with(options.clone()).await.map_err(|e| keeping::judged(file, e))?;
        let migrations = sqlx::migrate!("./migrations");
        if was_there {
            keeping::sound(&write, file).await?;
            keeping::copy_before(&write, &migrations, file).await?;
        }
        migrations.run(&write).await.map_err(|e| keeping::not_migrated(e, file))?;
        let reading = options.read_only(true).create_if_missing(false);
        let watch = SqlitePoolOptions::new().max_connections(1).idle_timeout(None).max_lifetime(None);
        let watch = watch.connect_with(reading.clone()).await?;
        let read = SqlitePoolOptions::new().max_connections(4).connect_with(reading).await?;
        let store = Store { read, write, watch, editions: Arc::default() };
        store.beat(Timestamp::now()).await.map_err(|error| match error {
            StoreError::Database(error) => StoreError::ReadOnly { file: file.into(), why: error.to_string() },
            other => other,
        })?;
        upgrade::name_blocks(&store).await?;
        Ok(store)
    }

    async fn begin(&self) -> Stored<Transaction<'static, Sqlite>> {
        // Taken as a writer at once, so that two writers queue instead of failing half way.
        Ok(self.write.begin_with("BEGIN IMMEDIATE").await?)
    }

    /// A number that is another one after anything was written, by this program or by any other.
    pub async fn moment(&self) -> Stored<i64> {
        Ok(sqlx::query_scalar("PRAGMA data_version").fetch_one(&self.watch).await?)
    }

    /// The academy's name, if one has been set up.
    pub async fn academy(&self) -> Stored<Option<String>> {
        Ok(sqlx::query_scalar!("SELECT name FROM academy").fetch_optional(&self.read).await?)
    }

    /// Sets up the academy.
    pub async fn set_academy(&self, name: &str, time_zone: &str) -> Stored<()> {
        academy::put_academy(&self.write, name, time_zone).await
    }

    /// The academy's time zone, by its name in the time zone database.
    pub async fn time_zone(&self) -> Stored<Option<String>> {
        Ok(sqlx::query_scalar!("SELECT time_zone FROM academy").fetch_optional(&self.read).await?)
    }

    /// Closes every connection.
    pub async fn close(&self) {
        self.watch.close().await;
        self.read.close().await;
        self.write.close().await;
    }
}

fn from_json<T: DeserializeOwned>(what: &'static str, doc: &str) -> Stored<T> {
    serde_json::from_str(doc).map_err(|error| StoreError::Unreadable { what, why: error.to_string() })
}

fn to_json<T: Serialize>(what: &'static str, value: &T) -> Stored<String> {
    serde_json::to_string(value).map_err(|error| StoreError::Unreadable { what, why: error.to_string() })
}

/// A word of a small set, as `left` or `done`, in the spelling that its JSON form has.
fn from_word<T: DeserializeOwned>(what: &'static str, word: &str) -> Stored<T> {
    serde_json::from_value(word.into())
        .map_err(|error| StoreError::Unreadable { what, why: error.to_string() })
}

fn to_word<T: Serialize>(what: &'static str, value: &T) -> Stored<String> {
    match serde_json::to_value(value) {
        Ok(serde_json::Value::String(word)) => Ok(word),
        _ => Err(StoreError::Unreadable { what, why: "is not a word".into() }),
    }
}

fn parsed<T: FromStr>(what: &'static str, text: &str) -> Stored<T>
where
    T::Err: std::fmt::Display,
{
    text.parse().map_err(|error: T::Err| StoreError::Unreadable { what, why: error.to_string() })
}

/// Times sort as text only if all have the same number of digits.
fn stamp(at: Timestamp) -> String {
    format!("{at:.6}")
}
