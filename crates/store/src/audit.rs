//! The audit log: who changed rights, published or took something out?

use jiff::Timestamp;
use uuid::Uuid;

use crate::{Store, Stored, stamp};

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
