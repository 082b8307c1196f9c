//! Second factors: secrets from which a person's own device makes codes, and codes for the day on which it is lost.

use jiff::Timestamp;
use uuid::Uuid;

use crate::{Store, Stored, stamp};

/// A second factor.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct SecondFactor {
    /// From it codes are made.
    pub secret: Vec<u8>,
    /// Whether codes are asked for: somebody has shown once that their device makes them.
    pub on: bool,
}

impl Store {
    /// The second factor of a person, set up or being set up.
    pub async fn second_factor(&self, person: Uuid) -> Stored<Option<SecondFactor>> {
        let row = sqlx::query!(
            r#"SELECT secret, since IS NOT NULL AS "on!: bool" FROM second_factor WHERE person = ?"#,
            person
        )
        .fetch_optional(&self.read)
        .await?;
        Ok(row.map(|row| SecondFactor { secret: row.secret, on: row.on }))
    }

    /// Begins to set a second factor up; one that asks already stays as it is, and false is answered.
    pub async fn begin_second_factor(&self, person: Uuid, secret: &[u8]) -> Stored<bool> {
        let begun = sqlx::query!(
            "INSERT INTO second_factor (person, secret) VALUES (?, ?)
             ON CONFLICT (person) DO UPDATE SET secret = excluded.secret WHERE since IS NULL",
            person,
            secret
        )
        .execute(&self.write)
        .await?;
        Ok(begun.rows_affected() > 0)
    }

    /// From now on codes are asked for; these are the ones for the day on which the device is lost.
    pub async fn turn_on_second_factor(
        &self,
        person: Uuid,
        step: i64,
        recovery: &[Vec<u8>],
        at: Timestamp,
    ) -> Stored<()> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        sqlx::query!("UPDATE second_factor SET since = ?, last_step = ? WHERE person = ?", at, step, person)
            .execute(&mut *tx)
            .await?;
        sqlx::query!("DELETE FROM recovery_code WHERE person = ?", person).execute(&mut *tx).await?;
        for hash in recovery {
            sqlx::query!("INSERT INTO recovery_code (person, code_hash) VALUES (?, ?)", person, hash)
                .execute(&mut *tx)
                .await?;
        }
        Ok(tx.commit().await?)
    }

    /// Uses the code of a time step; false if that step, or a later one, was used before.
    pub async fn use_step(&self, person: Uuid, step: i64) -> Stored<bool> {
        let used = sqlx::query!(
            "UPDATE second_factor SET last_step = ?1 WHERE person = ?2 AND last_step < ?1",
            step,
            person
        )
        .execute(&self.write)
        .await?;
        Ok(used.rows_affected() > 0)
    }

    /// Uses a recovery code, which works once; false if it is none.
    pub async fn use_recovery_code(&self, person: Uuid, hash: &[u8]) -> Stored<bool> {
        let used = sqlx::query!("DELETE FROM recovery_code WHERE person = ? AND code_hash = ?", person, hash)
            .execute(&self.write)
            .await?;
        Ok(used.rows_affected() > 0)
    }

    /// From now on no codes are asked for; false if none were.
    pub async fn drop_second_factor(&self, person: Uuid) -> Stored<bool> {
        let mut tx = self.begin().await?;
        sqlx::query!("DELETE FROM recovery_code WHERE person = ?", person).execute(&mut *tx).await?;
        let gone =
            sqlx::query!("DELETE FROM second_factor WHERE person = ?", person).execute(&mut *tx).await?;
        tx.commit().await?;
        Ok(gone.rows_affected() > 0)
    }
}
