//! Keeping what is kept: is a database sound, can it be written, and is there a copy of it?

use std::fs::{File, OpenOptions};
use std::os::unix::fs::OpenOptionsExt;
use std::path::{Path, PathBuf};
use std::time::Duration;

use jiff::Timestamp;
use sqlx::migrate::{MigrateError, Migrator};
use sqlx::sqlite::{SqliteConnectOptions, SqliteConnection};
use sqlx::{ConnectOptions, Connection, SqlitePool};

use crate::{Store, StoreError, Stored, stamp};

/// What a database holds, counted.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
#[allow(missing_docs)]
pub struct Holds {
    pub people: i64,
    pub teams: i64,
    pub players: i64,
    pub trials: i64,
    pub outcomes: i64,
    pub editions: i64,
}

/// Whether there is anything in a file: a database that has never been written is empty.
pub fn is_there(file: &Path) -> bool {
    std::fs::metadata(file).is_ok_and(|file| file.len() > 0)
}

/// What the database says of a file that is none, or that is damaged.
pub(crate) fn damaged(file: &Path, why: impl std::fmt::Display) -> StoreError {
    StoreError::Damaged { file: file.to_owned(), why: why.to_string() }
}

/// The words of SQLite for a file that is damaged or no database (`SQLITE_CORRUPT`, `SQLITE_NOTADB`); others are passed
/// on.
pub(crate) fn judged(file: &Path, error: sqlx::Error) -> StoreError {
    let code = error.as_database_error().and_then(|e| e.code()).and_then(|code| code.parse::<u32>().ok());
    match code.map(|code| code & 0xff) {
        Some(11 | 26) => damaged(file, error),
        Some(8 | 14) => StoreError::ReadOnly { file: file.to_owned(), why: error.to_string() },
        _ => error.into(),
    }
}

/// Errs unless a database that is there is whole.
pub(crate) async fn sound(database: &SqlitePool, file: &Path) -> Stored<()> {
    let says: String = sqlx::query_scalar("PRAGMA quick_check(1)")
        .fetch_one(database)
        .await
        .map_err(|error| judged(file, error))?;
    if says == "ok" { Ok(()) } else { Err(damaged(file, says)) }
}

/// How the name of a copy begins that was made before a newer version changed the database.
pub const COPY_BEFORE_NAME: &str = "academy-before-";

/// Copies a database that is about to be changed by a newer version, and keeps the copy beside it.
pub(crate) async fn copy_before(database: &SqlitePool, migrations: &Migrator, file: &Path) -> Stored<()> {
    let tables = "SELECT COUNT(*), COALESCE(SUM(name = '_sqlx_migrations'), 0) FROM sqlite_schema";
    match sqlx::query_as::<_, (i64, i64)>(tables).fetch_one(database).await? {
        // The first start was cut off before it wrote anything.
        (0, _) => return Ok(()),
        // It may be the database of another program: nothing is written into it.
        (_, 0) => return Err(StoreError::Foreign { file: file.to_owned() }),
        _ => {}
    }
    let done: i64 = sqlx::query_scalar("SELECT COALESCE(MAX(version), 0) FROM _sqlx_migrations")
        .fetch_one(database)
        .await?;
    let newest = migrations.iter().map(|migration| migration.version).max().unwrap_or_default();
    if done >= newest {
        return Ok(());
    }
    let copy = file.with_file_name(format!("{COPY_BEFORE_NAME}{newest:04}.sqlite"));
    match copy.exists() {
        true => Ok(()),
        false => finished(&copy, async |unfinished| copied(file, unfinished).await).await,
    }
}

/// What the database's schema says of a version of Jogo that does not know it.
pub(crate) fn not_migrated(error: MigrateError, file: &Path) -> StoreError {
    match error {
        MigrateError::VersionMissing(_) | MigrateError::VersionTooNew(..) => {
            StoreError::Newer { file: file.to_owned() }
        }
        other => other.into(),
    }
}

/// An empty file that only its owner reads.
fn made_for_the_owner(file: &Path) -> Stored<File> {
    let made = OpenOptions::new().write(true).create_new(true).mode(0o600).open(file);
    made.map_err(|error| StoreError::NotWritten { file: file.to_owned(), why: error.to_string() })
}

async fn opened(file: &Path) -> Stored<SqliteConnection> {
    let options = SqliteConnectOptions::new().filename(file).busy_timeout(Duration::from_secs(10));
    options.connect().await.map_err(|error| judged(file, error))
}

/// Copies a database as it is at one moment, while it is being written, and examines the copy. The copy holds nothing
/// of what was erased, and only its owner reads it.
///
/// Errs if there is a file already, if the database is damaged, or if the copy cannot be written whole; then no copy is
/// left behind.
pub async fn back_up(file: &Path, to: &Path) -> Stored<Holds> {
    if !is_there(file) {
        return Err(StoreError::Missing { file: file.to_owned() });
    }
    finished(to, async |unfinished| {
        copied(file, unfinished).await?;
        examine(unfinished).await
    })
    .await
}

/// Writes a file under another name, and gives it its own once it is whole and on the disk; what fails is not left
/// behind. Errs if there is one already.
async fn finished<T>(to: &Path, write: impl AsyncFnOnce(&Path) -> Stored<T>) -> Stored<T> {
    let not_written = |why: String| StoreError::NotWritten { file: to.to_owned(), why };
    if to.exists() {
        return Err(not_written("there is one already".into()));
    }
    let unfinished = PathBuf::from(format!("{}.part", to.display()));
    // Left by one that was cut off.
    std::fs::remove_file(&unfinished).ok();
    made_for_the_owner(&unfinished)?;
    let written = write(&unfinished).await.and_then(|written| {
        let kept = File::open(&unfinished).and_then(|copy| copy.sync_all());
        kept.and_then(|()| std::fs::rename(&unfinished, to)).map_err(|e| not_written(e.to_string()))?;
        Ok(written)
    });
    if written.is_err() {
        std::fs::remove_file(&unfinished).ok();
    }
    written
}

async fn copied(file: &Path, to: &Path) -> Stored<()> {
    let mut from = opened(file).await?;
    let done = sqlx::query("VACUUM INTO ?").bind(to.to_string_lossy()).execute(&mut from).await;
    from.close().await?;
    done.map(drop).map_err(|error| judged(file, error))
}

/// Looks at every page and every row of a database of an academy, and says what it holds. Errs at the first thing that
/// is wrong. Nothing is written.
pub async fn examine(file: &Path) -> Stored<Holds> {
    if !is_there(file) {
        return Err(StoreError::Missing { file: file.to_owned() });
    }
    let mut database = opened(file).await?;
    let held = examined(&mut database, file).await;
    database.close().await?;
    held
}

async fn examined(database: &mut SqliteConnection, file: &Path) -> Stored<Holds> {
    let says: String = sqlx::query_scalar("PRAGMA integrity_check(1)")
        .fetch_one(&mut *database)
        .await
        .map_err(|error| judged(file, error))?;
    if says != "ok" {
        return Err(damaged(file, says));
    }
    let orphan: Option<(String,)> = sqlx::query_as(r#"SELECT "table" FROM pragma_foreign_key_check LIMIT 1"#)
        .fetch_optional(&mut *database)
        .await?;
    if let Some((table,)) = orphan {
        return Err(damaged(file, format!("a row of {table} belongs to nothing")));
    }
    let counted = sqlx::query_as!(
        Holds,
        r#"SELECT (SELECT COUNT(*) FROM person) AS "people!: i64", (SELECT COUNT(*) FROM team) AS "teams!: i64",
               (SELECT COUNT(*) FROM player) AS "players!: i64", (SELECT COUNT(*) FROM trial) AS "trials!: i64",
               (SELECT COUNT(*) FROM outcome) AS "outcomes!: i64",
               (SELECT COUNT(*) FROM edition) AS "editions!: i64""#
    );
    counted.fetch_one(&mut *database).await.map_err(|_| StoreError::Foreign { file: file.to_owned() })
}

impl Store {
    /// Writes a line, so that it is known whether writing works: a full disk lets everything be read.
    pub async fn beat(&self, at: Timestamp) -> Stored<()> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        sqlx::query!(
            "INSERT INTO beat (id, at) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET at = excluded.at",
            at
        )
        .execute(&mut *tx)
        .await?;
        Ok(tx.commit().await?)
    }

    /// How large the database is, in bytes.
    pub async fn bytes(&self) -> Stored<i64> {
        let pages = "SELECT page_count * page_size FROM pragma_page_count, pragma_page_size";
        Ok(sqlx::query_scalar(pages).fetch_one(&self.read).await?)
    }
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use super::*;

    // SQLite ends a transaction by itself when the disk is full; whoever tries to end it once more fails.
    #[tokio::test]
    async fn a_disk_that_was_full_once_does_not_keep_the_writer_from_writing() {
        let folder = tempfile::tempdir().unwrap();
        let store = Store::open(&folder.path().join("academy.sqlite")).await.unwrap();
        let pages: i64 = sqlx::query_scalar("PRAGMA page_count").fetch_one(&store.write).await.unwrap();
        sqlx::query(sqlx::AssertSqlSafe(format!("PRAGMA max_page_count = {pages}")))
            .execute(&store.write)
            .await
            .unwrap();
        let (long, at) = ("long ".repeat(20_000), Timestamp::UNIX_EPOCH);
        let full = async {
            let mut tx = store.begin().await?;
            sqlx::query("INSERT INTO audit (at, what, about) VALUES ('', '', ?)")
                .bind(&long)
                .execute(&mut *tx)
                .await?;
            Stored::Ok(tx.commit().await?)
        };
        let says = full.await.unwrap_err().to_string();
        assert!(says.contains("full"), "{says}");
        store.beat(at).await.unwrap();
    }
}
