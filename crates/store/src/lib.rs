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
pub mod library;
pub mod people;
pub mod plan;
pub mod post;
pub mod progression;
mod upgrade;

use std::path::Path;
use std::str::FromStr;
use std::time::Duration;

use jiff::Timestamp;
use jogo_core::fact::{Fact, facts};
use serde::Serialize;
use serde::de::DeserializeOwned;
use sqlx::sqlite::{SqliteConnectOptions, SqliteJournalMode, SqlitePoolOptions, SqliteSynchronous};
use sqlx::{Sqlite, SqlitePool, Transaction};

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
        Login = "taken-login" { login: String },
        Invitation = "taken-invitation",
        Begun = "taken-begun",
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

/// What can go wrong in the store.
#[derive(Debug, thiserror::Error)]
pub enum StoreError {
    /// The database said no.
    #[error("the database: {0}")]
    Database(#[from] sqlx::Error),
    /// The schema could not be brought up to date.
    #[error("the database's schema: {0}")]
    Schema(#[from] sqlx::migrate::MigrateError),
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

/// What the store answers.
pub type Stored<T> = Result<T, StoreError>;

/// The database of one academy.
#[derive(Clone, Debug)]
pub struct Store {
    read: SqlitePool,
    write: SqlitePool,
}

impl Store {
    /// Opens a database, makes it if it is not there, and brings its schema up to date.
    pub async fn open(file: &Path) -> Stored<Store> {
        let options = SqliteConnectOptions::new()
            .filename(file)
            .create_if_missing(true)
            .journal_mode(SqliteJournalMode::Wal)
            .synchronous(SqliteSynchronous::Full)
            .foreign_keys(true)
            // What is erased is written over.
            .pragma("secure_delete", "ON")
            .busy_timeout(Duration::from_secs(10));
        let write = SqlitePoolOptions::new().max_connections(1).connect_with(options.clone()).await?;
        sqlx::migrate!("./migrations").run(&write).await?;
        let read = SqlitePoolOptions::new()
            .max_connections(4)
            .connect_with(options.read_only(true).create_if_missing(false))
            .await?;
        let store = Store { read, write };
        upgrade::name_blocks(&store).await?;
        Ok(store)
    }

    async fn begin(&self) -> Stored<Transaction<'static, Sqlite>> {
        // Taken as a writer at once, so that two writers queue instead of failing half way.
        Ok(self.write.begin_with("BEGIN IMMEDIATE").await?)
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
