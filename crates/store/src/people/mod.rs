//! People who sign in, and their sign-ins.

pub mod invitations;

use jiff::Timestamp;
use jogo_core::academy::language::Language;
use serde::{Deserialize, Serialize};
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::{Store, Stored, Taken, from_word, stamp, to_word};

/// What a person is there for.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
pub enum Role {
    /// Designs, publishes and watches; sees everything.
    Director,
    /// Reads everything of a club, and may coach teams of their own.
    ClubLead,
    /// Delivers and assesses; sees their own teams.
    Coach,
}

/// Somebody who signs in.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Person {
    /// Id.
    pub id: Uuid,
    /// The name they sign in with.
    pub login: String,
    /// The name that is shown.
    pub name: String,
    /// What for.
    pub role: Role,
}

/// A person to be added.
#[derive(Clone, Debug)]
pub struct NewPerson {
    /// Who.
    pub person: Person,
    /// Hash of the password, in PHC form.
    pub password: String,
    /// Whether the sign-in page of the demo may offer them with one tap.
    pub sample: bool,
}

struct Row {
    id: Uuid,
    login: String,
    name: String,
    role: String,
}

impl Row {
    fn person(self) -> Stored<Person> {
        Ok(Person { id: self.id, login: self.login, name: self.name, role: from_word("a role", &self.role)? })
    }
}

impl Store {
    /// Adds a person; errs if the login is taken.
    pub async fn add_person(&self, new: &NewPerson, at: Timestamp) -> Stored<()> {
        let mut tx = self.begin().await?;
        insert_person(&mut tx, new, at).await?;
        Ok(tx.commit().await?)
    }

    /// A person and the hash of their password, by login.
    pub async fn person_by_login(&self, login: &str) -> Stored<Option<(Person, String)>> {
        let row = sqlx::query!(
            r#"SELECT id AS "id: Uuid", login, name, acting_role AS "role!: String", password
               FROM acting JOIN person USING (id, login, name) WHERE login = ?"#,
            login
        )
        .fetch_optional(&self.read)
        .await?;
        row.map(|r| Ok((Row { id: r.id, login: r.login, name: r.name, role: r.role }.person()?, r.password)))
            .transpose()
    }

    /// The people that the demo's sign-in page offers, in the order in which they were added.
    pub async fn samples(&self) -> Stored<Vec<Person>> {
        sqlx::query_as!(
            Row,
            r#"SELECT acting.id AS "id: Uuid", acting.login, acting.name, acting_role AS "role!: String"
               FROM acting JOIN person ON person.id = acting.id WHERE sample = 1 ORDER BY created_at, person.rowid"#
        )
        .fetch_all(&self.read)
        .await?
        .into_iter()
        .map(Row::person)
        .collect()
    }

    /// Keeps a sign-in under the hash of its token, and lets those go that have ended.
    pub async fn sign_in(
        &self,
        token_hash: &[u8],
        person: Uuid,
        at: Timestamp,
        until: Timestamp,
    ) -> Stored<()> {
        let (at, until) = (stamp(at), stamp(until));
        let mut tx = self.begin().await?;
        sqlx::query!("DELETE FROM sign_in WHERE expires_at <= ?", at).execute(&mut *tx).await?;
        sqlx::query!(
            "INSERT INTO sign_in (token_hash, person, created_at, expires_at) VALUES (?, ?, ?, ?)",
            token_hash,
            person,
            at,
            until
        )
        .execute(&mut *tx)
        .await?;
        Ok(tx.commit().await?)
    }

    /// Who is signed in with a token.
    pub async fn signed_in(&self, token_hash: &[u8], at: Timestamp) -> Stored<Option<Person>> {
        let at = stamp(at);
        sqlx::query_as!(
            Row,
            r#"SELECT acting.id AS "id: Uuid", login, name, acting_role AS "role!: String"
               FROM sign_in JOIN acting ON acting.id = sign_in.person WHERE token_hash = ? AND expires_at > ?"#,
            token_hash,
            at
        )
        .fetch_optional(&self.read)
        .await?
        .map(Row::person)
        .transpose()
    }

    /// Lets a sign-in last until a time, if it would end before another one: so that using it keeps it, without a
    /// write for every request. True if it lasts longer now.
    pub async fn prolong_sign_in(
        &self,
        token_hash: &[u8],
        until: Timestamp,
        unless_after: Timestamp,
    ) -> Stored<bool> {
        let (until, unless_after) = (stamp(until), stamp(unless_after));
        let longer = sqlx::query!(
            "UPDATE sign_in SET expires_at = ? WHERE token_hash = ? AND expires_at < ?",
            until,
            token_hash,
            unless_after
        )
        .execute(&self.write)
        .await?;
        Ok(longer.rows_affected() > 0)
    }

    /// Everybody who signs in, by name.
    pub async fn people(&self) -> Stored<Vec<Person>> {
        sqlx::query_as!(
            Row,
            r#"SELECT id AS "id: Uuid", login, name, acting_role AS "role!: String" FROM acting ORDER BY name, login"#
        )
        .fetch_all(&self.read)
        .await?
        .into_iter()
        .map(Row::person)
        .collect()
    }

    /// Ends a sign-in.
    pub async fn sign_out(&self, token_hash: &[u8]) -> Stored<()> {
        sqlx::query!("DELETE FROM sign_in WHERE token_hash = ?", token_hash).execute(&self.write).await?;
        Ok(())
    }

    /// The measured pace of a person, in metres.
    pub async fn pace(&self, person: Uuid) -> Stored<Option<f64>> {
        Ok(sqlx::query_scalar!("SELECT pace_m FROM person WHERE id = ?", person)
            .fetch_optional(&self.read)
            .await?
            .flatten())
    }

    /// Keeps the pace that a person has measured, or forgets it.
    pub async fn set_pace(&self, person: Uuid, pace_m: Option<f64>) -> Stored<()> {
        sqlx::query!("UPDATE person SET pace_m = ? WHERE id = ?", pace_m, person)
            .execute(&self.write)
            .await?;
        Ok(())
    }

    /// The language that a person has chosen; `None` for the one of their browser.
    pub async fn language(&self, person: Uuid) -> Stored<Option<Language>> {
        let word = sqlx::query_scalar!("SELECT language FROM person WHERE id = ?", person)
            .fetch_optional(&self.read)
            .await?
            .flatten();
        word.map(|word| from_word("a language", &word)).transpose()
    }

    /// Keeps the language that a person has chosen, or forgets it.
    pub async fn set_language(&self, person: Uuid, language: Option<Language>) -> Stored<()> {
        let word = language.map(|language| to_word("a language", &language)).transpose()?;
        sqlx::query!("UPDATE person SET language = ? WHERE id = ?", word, person)
            .execute(&self.write)
            .await?;
        Ok(())
    }

    /// Sets another password and ends every sign-in of a person; false if nobody has that login.
    pub async fn set_password(&self, login: &str, password: &str) -> Stored<bool> {
        let mut tx = self.begin().await?;
        sqlx::query!("DELETE FROM sign_in WHERE person IN (SELECT id FROM person WHERE login = ?)", login)
            .execute(&mut *tx)
            .await?;
        let changed = sqlx::query!("UPDATE person SET password = ? WHERE login = ?", password, login)
            .execute(&mut *tx)
            .await?;
        tx.commit().await?;
        Ok(changed.rows_affected() > 0)
    }
}

pub(crate) async fn insert_person(
    tx: &mut Transaction<'_, Sqlite>,
    new: &NewPerson,
    at: Timestamp,
) -> Stored<()> {
    let Person { id, login, name, role } = &new.person;
    // A club lead is a coach who leads a club.
    let role = if *role == Role::ClubLead { Role::Coach } else { *role };
    let (role, at) = (to_word("a role", &role)?, stamp(at));
    let added = sqlx::query!(
            "INSERT INTO person (id, login, name, role, password, sample, created_at) VALUES (?, ?, ?, ?, ?, ?, ?)
             ON CONFLICT (login) DO NOTHING",
            id,
            login,
            name,
            role,
            new.password,
            new.sample,
            at
        )
        .execute(&mut **tx)
        .await?;
    match added.rows_affected() {
        0 => Err(Taken::Login { login: login.to_owned() }.into()),
        _ => Ok(()),
    }
}
