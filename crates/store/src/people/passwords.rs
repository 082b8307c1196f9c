//! Passwords: changing them, and links through which somebody chooses a new one.

use jiff::Timestamp;
use uuid::Uuid;

use crate::people::{Person, Row};
use crate::{Store, StoreError, Stored, stamp};

impl Store {
    /// The hash of a person's password.
    pub async fn password(&self, person: Uuid) -> Stored<Option<String>> {
        Ok(sqlx::query_scalar!("SELECT password FROM person WHERE id = ?", person)
            .fetch_optional(&self.read)
            .await?)
    }

    /// Sets another password and ends every sign-in of a person but one; links for a new password no longer work.
    pub async fn change_password(&self, person: Uuid, password: &str, but: &[u8]) -> Stored<()> {
        let mut tx = self.begin().await?;
        sqlx::query!("DELETE FROM sign_in WHERE person = ? AND token_hash <> ?", person, but)
            .execute(&mut *tx)
            .await?;
        sqlx::query!("DELETE FROM password_link WHERE person = ?", person).execute(&mut *tx).await?;
        sqlx::query!("UPDATE person SET password = ? WHERE id = ?", password, person)
            .execute(&mut *tx)
            .await?;
        Ok(tx.commit().await?)
    }

    /// Sets another password and ends every sign-in of a person; false if nobody has that login.
    pub async fn set_password(&self, login: &str, password: &str) -> Stored<bool> {
        match self.person_by_login(login).await? {
            Some((person, _)) => {
                self.change_password(person.id, password, &[]).await?;
                Ok(true)
            }
            None => Ok(false),
        }
    }

    /// Keeps a link for a new password under the hash of its token, in the place of an earlier one.
    pub async fn make_password_link(
        &self,
        token_hash: &[u8],
        person: Uuid,
        by: Uuid,
        until: Timestamp,
    ) -> Stored<()> {
        let until = stamp(until);
        sqlx::query!(
            "INSERT INTO password_link (token_hash, person, made_by, expires_at) VALUES (?, ?, ?, ?)
             ON CONFLICT (person) DO UPDATE SET
                 token_hash = excluded.token_hash, made_by = excluded.made_by, expires_at = excluded.expires_at",
            token_hash,
            person,
            by,
            until
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// Whose password a link changes, if it still does.
    pub async fn password_link(&self, token_hash: &[u8], at: Timestamp) -> Stored<Option<Person>> {
        let at = stamp(at);
        sqlx::query_as!(
            Row,
            r#"SELECT acting.id AS "id: Uuid", login, name, acting_role AS "role!: String"
               FROM password_link JOIN acting ON acting.id = person WHERE token_hash = ? AND expires_at > ?"#,
            token_hash,
            at
        )
        .fetch_optional(&self.read)
        .await?
        .map(Row::person)
        .transpose()
    }

    /// Uses a link: the password is another one, every sign-in has ended, and the link is gone. Errs if it was used
    /// meanwhile.
    pub async fn use_password_link(&self, token_hash: &[u8], person: Uuid, password: &str) -> Stored<()> {
        let mut tx = self.begin().await?;
        let used =
            sqlx::query!("DELETE FROM password_link WHERE token_hash = ? AND person = ?", token_hash, person)
                .execute(&mut *tx)
                .await?;
        if used.rows_affected() == 0 {
            return Err(StoreError::Stale);
        }
        sqlx::query!("DELETE FROM sign_in WHERE person = ?", person).execute(&mut *tx).await?;
        sqlx::query!("UPDATE person SET password = ? WHERE id = ?", password, person)
            .execute(&mut *tx)
            .await?;
        Ok(tx.commit().await?)
    }
}
