//! Letters: what the academy writes to its coaches, and whether it went out.

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::academy::language::Language;
use serde::{Deserialize, Serialize};
use uuid::Uuid;

use crate::{Store, StoreError, Stored, from_word, parsed, stamp, to_word};

/// What a letter is about.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
pub enum Kind {
    /// The sessions of the week.
    Week,
    /// Sessions without a log.
    LogsMissing,
}

/// A letter that is to be written.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct NewLetter {
    /// To whom.
    pub person: Uuid,
    /// What about.
    pub kind: Kind,
    /// Of the week that begins on this day.
    pub week: Date,
    /// The address.
    pub address: String,
    /// The subject.
    pub subject: String,
    /// The text.
    pub body: String,
}

/// A letter.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Letter {
    /// Id.
    pub id: Uuid,
    /// The name of who gets it.
    pub to: String,
    /// The address.
    pub address: String,
    /// What about.
    pub kind: Kind,
    /// The subject.
    pub subject: String,
    /// The text.
    pub body: String,
    /// When it was written.
    pub written_at: Timestamp,
    /// When it left.
    pub left_at: Option<Timestamp>,
    /// Why it could not be sent the last time.
    pub failed: Option<String>,
}

struct Row {
    id: Uuid,
    name: String,
    address: String,
    kind: String,
    subject: String,
    body: String,
    written_at: String,
    left_at: Option<String>,
    failed: Option<String>,
}

impl TryFrom<Row> for Letter {
    type Error = StoreError;

    fn try_from(r: Row) -> Stored<Letter> {
        Ok(Letter {
            id: r.id,
            to: r.name,
            address: r.address,
            kind: from_word("the kind of a letter", &r.kind)?,
            subject: r.subject,
            body: r.body,
            written_at: parsed("the time of a letter", &r.written_at)?,
            left_at: r.left_at.map(|at| parsed("the time of a letter", &at)).transpose()?,
            failed: r.failed,
        })
    }
}

/// Somebody who wants post.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Addressee {
    /// Who.
    pub person: Uuid,
    /// Their address.
    pub address: String,
    /// The language that they have chosen.
    pub language: Option<Language>,
}

impl Store {
    /// Where somebody gets post.
    pub async fn email(&self, person: Uuid) -> Stored<Option<String>> {
        Ok(sqlx::query_scalar!("SELECT email FROM person WHERE id = ?", person)
            .fetch_optional(&self.read)
            .await?
            .flatten())
    }

    /// Keeps where somebody gets post, or that they want none.
    pub async fn set_email(&self, person: Uuid, email: Option<&str>) -> Stored<()> {
        sqlx::query!("UPDATE person SET email = ? WHERE id = ?", email, person).execute(&self.write).await?;
        Ok(())
    }

    /// Everybody who wants post.
    pub async fn who_want_post(&self) -> Stored<Vec<Addressee>> {
        let rows = sqlx::query!(
            r#"SELECT id AS "id: Uuid", email AS "email!", language FROM person WHERE email IS NOT NULL
               ORDER BY name, id"#
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|r| {
                let language = r.language.map(|word| from_word("a language", &word)).transpose()?;
                Ok(Addressee { person: r.id, address: r.email, language })
            })
            .collect()
    }

    /// Writes letters that are not there yet.
    pub async fn write_letters(&self, letters: &[NewLetter], at: Timestamp) -> Stored<()> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        for letter in letters {
            let (id, week) = (Uuid::now_v7(), letter.week.to_string());
            let kind = to_word("the kind of a letter", &letter.kind)?;
            sqlx::query!(
                "INSERT INTO letter (id, person, kind, week, address, subject, body, written_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (person, kind, week) DO NOTHING",
                id,
                letter.person,
                kind,
                week,
                letter.address,
                letter.subject,
                letter.body,
                at
            )
            .execute(&mut *tx)
            .await?;
        }
        Ok(tx.commit().await?)
    }

    /// The last letters, the latest first.
    pub async fn letters(&self, most: u32) -> Stored<Vec<Letter>> {
        let rows = sqlx::query_as!(
            Row,
            r#"SELECT letter.id AS "id: Uuid", name, address, kind, subject, body, written_at, left_at, failed
               FROM letter JOIN person ON person.id = person ORDER BY written_at DESC, letter.id DESC LIMIT ?"#,
            most
        );
        rows.fetch_all(&self.read).await?.into_iter().map(Letter::try_from).collect()
    }

    /// Every letter that has not left yet, the oldest first.
    pub async fn letters_that_wait(&self) -> Stored<Vec<Letter>> {
        let rows = sqlx::query_as!(
            Row,
            r#"SELECT letter.id AS "id: Uuid", name, address, kind, subject, body, written_at, left_at, failed
               FROM letter JOIN person ON person.id = person WHERE left_at IS NULL ORDER BY written_at, letter.id"#
        );
        rows.fetch_all(&self.read).await?.into_iter().map(Letter::try_from).collect()
    }

    /// Notes that a letter left, or why it did not.
    pub async fn letter_left(&self, id: Uuid, at: Timestamp, failed: Option<&str>) -> Stored<()> {
        let left = failed.is_none().then(|| stamp(at));
        sqlx::query!("UPDATE letter SET left_at = ?, failed = ? WHERE id = ?", left, failed, id)
            .execute(&self.write)
            .await?;
        Ok(())
    }
}
