//! The audit log: who changed rights, published or took something out?

use jiff::Timestamp;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::{Store, Stored, stamp};

/// Notes an act together with what it does.
pub(crate) async fn put(
    tx: &mut Transaction<'static, Sqlite>,
    (at, person): (Timestamp, Uuid),
    what: &str,
    about: &str,
) -> Stored<()> {
    let at = stamp(at);
    sqlx::query!("INSERT INTO audit (at, person, what, about) VALUES (?, ?, ?, ?)", at, person, what, about)
        .execute(&mut **tx)
        .await?;
    Ok(())
}

impl Store {
    /// Notes an act.
    pub async fn note(&self, at: Timestamp, person: Option<Uuid>, what: &str, about: &str) -> Stored<()> {
        let at = stamp(at);
        sqlx::query!(
            "INSERT INTO audit (at, person, what, about) VALUES (?, ?, ?, ?)",
            at,
            person,
            what,
            about
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }
}
