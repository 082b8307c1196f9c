//! Sign-ins: who is there, on which device, and for how long?

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use uuid::Uuid;

use crate::people::{Person, Row};
use crate::{Store, Stored, from_word, parsed, stamp, to_word};

/// On what somebody signed in, as far as a browser says.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Device {
    Phone,
    Computer,
    Other,
}

/// A sign-in to be kept.
#[derive(Clone, Copy, Debug)]
pub struct NewSignIn<'a> {
    /// Hash of its token.
    pub token_hash: &'a [u8],
    /// Whose.
    pub person: Uuid,
    /// On what.
    pub device: Device,
    /// When.
    pub at: Timestamp,
    /// Until when it lasts, unless it is prolonged.
    pub until: Timestamp,
}

/// A sign-in that lasts.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct SignIn {
    /// Id; it opens nothing.
    pub id: Uuid,
    /// On what.
    pub device: Device,
    /// When it was made.
    pub since: Timestamp,
    /// When it was used last, to about a day.
    pub seen_at: Timestamp,
    /// Whether it is the one that asks.
    pub own: bool,
}

/// Whoever is signed in.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Known {
    /// Who.
    pub person: Person,
    /// Whether they have to set up a second factor before they do anything else.
    pub held_back: bool,
}

impl Store {
    /// Keeps a sign-in, and lets those go that have ended.
    pub async fn sign_in(&self, new: NewSignIn<'_>) -> Stored<()> {
        let NewSignIn { token_hash, person, device, at, until } = new;
        let (at, until, id) = (stamp(at), stamp(until), Uuid::now_v7());
        let device = to_word("a device", &device)?;
        let mut tx = self.begin().await?;
        sqlx::query!("DELETE FROM sign_in WHERE expires_at <= ?", at).execute(&mut *tx).await?;
        sqlx::query!(
            "INSERT INTO sign_in (id, token_hash, person, device, created_at, seen_at, expires_at)
             VALUES (?, ?, ?, ?, ?5, ?5, ?6)",
            id,
            token_hash,
            person,
            device,
            at,
            until
        )
        .execute(&mut *tx)
        .await?;
        Ok(tx.commit().await?)
    }

    /// Who is signed in with a token.
    pub async fn signed_in(&self, token_hash: &[u8], at: Timestamp) -> Stored<Option<Known>> {
        let at = stamp(at);
        let row = sqlx::query!(
            r#"SELECT acting.id AS "id: Uuid", login, name, acting_role AS "role!: String",
                   acting_role = 'director'
                   AND COALESCE((SELECT doc ->> '$.sign_ins.directors_need_code' FROM academy), 0)
                   AND NOT EXISTS (SELECT 1 FROM second_factor WHERE person = acting.id AND since IS NOT NULL)
                       AS "held_back!: bool"
               FROM sign_in JOIN acting ON acting.id = sign_in.person WHERE token_hash = ? AND expires_at > ?"#,
            token_hash,
            at
        )
        .fetch_optional(&self.read)
        .await?;
        row.map(|r| {
            let person = Row { id: r.id, login: r.login, name: r.name, role: r.role }.person()?;
            Ok(Known { person, held_back: r.held_back })
        })
        .transpose()
    }

    /// Lets a sign-in last for so many days from now, but no longer than so many days from its beginning. Does nothing
    /// if it was used less than a day ago, so that not every request writes. True if it lasts longer now.
    pub async fn prolong_sign_in(
        &self,
        token_hash: &[u8],
        at: Timestamp,
        (idle_days, whole_days): (u32, u32),
    ) -> Stored<bool> {
        let day = |days: u32| jiff::SignedDuration::from_hours(24 * i64::from(days));
        let row = sqlx::query!(
            "SELECT created_at, seen_at, expires_at FROM sign_in WHERE token_hash = ?",
            token_hash
        )
        .fetch_optional(&self.read)
        .await?;
        let Some(row) = row else { return Ok(false) };
        let seen: Option<Timestamp> =
            row.seen_at.map(|seen| parsed("the last use of a sign-in", &seen)).transpose()?;
        if seen.is_some_and(|seen| at.duration_since(seen) < day(1)) {
            return Ok(false);
        }
        let since: Timestamp = parsed("the beginning of a sign-in", &row.created_at)?;
        let until = stamp((at + day(idle_days)).min(since + day(whole_days)));
        let at = stamp(at);
        sqlx::query!(
            "UPDATE sign_in SET expires_at = ?1, seen_at = ?2 WHERE token_hash = ?3 AND expires_at > ?2",
            until,
            at,
            token_hash
        )
        .execute(&self.write)
        .await?;
        Ok(until > row.expires_at)
    }

    /// The sign-ins of a person that last, the one used last first.
    pub async fn sign_ins(&self, person: Uuid, own: &[u8], at: Timestamp) -> Stored<Vec<SignIn>> {
        let at = stamp(at);
        let rows = sqlx::query!(
            r#"SELECT id AS "id!: Uuid", device, created_at, seen_at AS "seen_at!", token_hash = ?1 AS "own!: bool"
               FROM sign_in WHERE person = ?2 AND expires_at > ?3 ORDER BY seen_at DESC, created_at DESC"#,
            own,
            person,
            at
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                Ok(SignIn {
                    id: row.id,
                    device: from_word("a device", &row.device)?,
                    since: parsed("the beginning of a sign-in", &row.created_at)?,
                    seen_at: parsed("the last use of a sign-in", &row.seen_at)?,
                    own: row.own,
                })
            })
            .collect()
    }

    /// Ends the sign-in of a token.
    pub async fn sign_out(&self, token_hash: &[u8]) -> Stored<()> {
        sqlx::query!("DELETE FROM sign_in WHERE token_hash = ?", token_hash).execute(&self.write).await?;
        Ok(())
    }

    /// Ends one sign-in of a person; false if it is none of theirs.
    pub async fn end_sign_in(&self, person: Uuid, id: Uuid) -> Stored<bool> {
        let ended = sqlx::query!("DELETE FROM sign_in WHERE id = ? AND person = ?", id, person)
            .execute(&self.write)
            .await?;
        Ok(ended.rows_affected() > 0)
    }

    /// Ends every sign-in of a person but one.
    pub async fn end_other_sign_ins(&self, person: Uuid, but: &[u8]) -> Stored<u64> {
        let ended = sqlx::query!("DELETE FROM sign_in WHERE person = ? AND token_hash <> ?", person, but)
            .execute(&self.write)
            .await?;
        Ok(ended.rows_affected())
    }
}
