//! People who sign in.

pub mod invitations;
pub mod leaving;
pub mod passwords;
pub mod second_factor;
pub mod sign_ins;

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
