//! Calendars that are read through a secret address, one for each person.

use jiff::Timestamp;
use uuid::Uuid;

use crate::academy::clubs::Named;
use crate::{Store, Stored, parsed, stamp};

impl Store {
    /// Keeps the address of somebody's calendar under the hash of its token, in the place of the earlier one.
    pub async fn set_feed(&self, person: Uuid, token_hash: &[u8], at: Timestamp) -> Stored<()> {
        let at = stamp(at);
        sqlx::query!(
            "INSERT INTO feed (person, token_hash, made_at) VALUES (?, ?, ?)
             ON CONFLICT (person) DO UPDATE SET token_hash = excluded.token_hash, made_at = excluded.made_at",
            person,
            token_hash,
            at
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// Lets the address of somebody's calendar go.
    pub async fn end_feed(&self, person: Uuid) -> Stored<()> {
        sqlx::query!("DELETE FROM feed WHERE person = ?", person).execute(&self.write).await?;
        Ok(())
    }

    /// Whose calendar an address shows.
    pub async fn feed(&self, token_hash: &[u8]) -> Stored<Option<Named>> {
        Ok(sqlx::query_as!(
            Named,
            r#"SELECT id AS "id: Uuid", name FROM feed JOIN acting ON acting.id = person WHERE token_hash = ?"#,
            token_hash
        )
        .fetch_optional(&self.read)
        .await?)
    }

    /// When the address of somebody's calendar was made; `None` if there is none.
    pub async fn feed_made_at(&self, person: Uuid) -> Stored<Option<Timestamp>> {
        let at = sqlx::query_scalar!("SELECT made_at FROM feed WHERE person = ?", person)
            .fetch_optional(&self.read)
            .await?;
        at.map(|at| parsed("the time of a calendar's address", &at)).transpose()
    }
}
