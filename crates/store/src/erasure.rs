//! Erasing for good: what is erased is written over in the database at once, but the log of writes holds the pages as
//! they were until it is folded in. As long as somebody reads what was there before, it cannot be: then the erasure
//! waits, and says so.

use jiff::Timestamp;
use sqlx::{Sqlite, Transaction};

use crate::{Store, Stored, stamp};

/// How far an erasure has come.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Erased {
    /// Nothing of it is left in the files.
    Wholly,
    /// It is gone for whoever asks; the log of writes still holds it.
    NotYetInTheLog,
}

/// Notes that an erasure has begun.
pub(crate) async fn begin(tx: &mut Transaction<'_, Sqlite>, at: Timestamp) -> Stored<()> {
    let at = stamp(at);
    sqlx::query!("INSERT INTO erasure (at) VALUES (?)", at).execute(&mut **tx).await?;
    Ok(())
}

impl Store {
    /// Folds the log of writes in and starts it again, if nobody reads what was there before.
    pub async fn finish_erasures(&self, at: Timestamp) -> Stored<Erased> {
        let mut writer = self.write.acquire().await?;
        // Whoever reads may go on: it is tried again later instead of waiting.
        sqlx::query("PRAGMA busy_timeout = 200").execute(&mut *writer).await?;
        let folded =
            sqlx::query_as::<_, (i64, i64, i64)>("PRAGMA wal_checkpoint(TRUNCATE)").fetch_one(&mut *writer);
        let folded = folded.await;
        sqlx::query("PRAGMA busy_timeout = 10000").execute(&mut *writer).await?;
        drop(writer);
        let (busy, ..) = folded?;
        if busy != 0 {
            return Ok(Erased::NotYetInTheLog);
        }
        let at = stamp(at);
        sqlx::query!("UPDATE erasure SET finished_at = ? WHERE finished_at IS NULL", at)
            .execute(&self.write)
            .await?;
        Ok(Erased::Wholly)
    }

    /// How many erasures still wait for the log of writes.
    pub async fn erasures_that_wait(&self) -> Stored<i64> {
        let wait =
            sqlx::query_scalar!(r#"SELECT COUNT(*) AS "wait!: i64" FROM erasure WHERE finished_at IS NULL"#);
        Ok(wait.fetch_one(&self.read).await?)
    }
}
