//! The library's texts in other languages.

use jogo_core::academy::language::Language;
use jogo_core::academy::phrases::Phrases;
use sqlx::{Sqlite, Transaction};

use crate::{Store, Stored};

impl Store {
    /// The phrase book of a language; empty if nothing was translated into it.
    pub async fn phrases(&self, language: Language) -> Stored<Phrases> {
        let code = language.code();
        let rows = sqlx::query!(
            r#"SELECT called AS "called: bool", original, said FROM phrase WHERE language = ?"#,
            code
        );
        let mut book = Phrases { language, ..Phrases::default() };
        for row in rows.fetch_all(&self.read).await? {
            let half = if row.called { &mut book.calls } else { &mut book.texts };
            half.insert(row.original, row.said);
        }
        Ok(book)
    }
}

/// Puts a book in: its phrases replace those of the same originals, and an empty one takes a translation back.
pub async fn put(tx: &mut Transaction<'static, Sqlite>, book: &Phrases) -> Stored<()> {
    let language = book.language.code();
    let texts = book.texts.iter().map(|phrase| (false, phrase));
    for (called, (original, said)) in texts.chain(book.calls.iter().map(|phrase| (true, phrase))) {
        if said.is_empty() {
            sqlx::query!(
                "DELETE FROM phrase WHERE language = ? AND called = ? AND original = ?",
                language,
                called,
                original
            )
            .execute(&mut **tx)
            .await?;
        } else {
            sqlx::query!(
                "INSERT INTO phrase (language, called, original, said) VALUES (?, ?, ?, ?)
                 ON CONFLICT (language, called, original) DO UPDATE SET said = excluded.said",
                language,
                called,
                original,
                said
            )
            .execute(&mut **tx)
            .await?;
        }
    }
    Ok(())
}
