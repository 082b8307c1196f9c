//! Seasons and outlines; the days off stand in [`days_off`], the changes of season in [`changes`].

pub mod changes;
pub mod days_off;

use jogo_core::season::year::Year;
use jogo_core::season::year_sheet::Outline;
use uuid::Uuid;

use crate::{Store, Stored, from_json, to_json};

impl Store {
    /// All seasons, the latest first.
    pub async fn seasons(&self) -> Stored<Vec<(Uuid, Year)>> {
        let rows = sqlx::query!(r#"SELECT id AS "id: Uuid", doc FROM season ORDER BY first_day DESC, id"#);
        let rows = rows.fetch_all(&self.read).await?;
        rows.into_iter().map(|row| Ok((row.id, from_json("a season", &row.doc)?))).collect()
    }

    /// Adds a season, or changes it.
    pub async fn put_season(&self, id: Uuid, season: &Year) -> Stored<()> {
        let (doc, first) = (to_json("a season", season)?, season.first.to_string());
        sqlx::query!(
            "INSERT INTO season (id, first_day, doc) VALUES (?, ?, ?)
             ON CONFLICT (id) DO UPDATE SET first_day = excluded.first_day, doc = excluded.doc",
            id,
            first,
            doc
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// Takes a season away; its curricula stay. False if there is none.
    pub async fn drop_season(&self, id: Uuid) -> Stored<bool> {
        let dropped = sqlx::query!("DELETE FROM season WHERE id = ?", id).execute(&self.write).await?;
        Ok(dropped.rows_affected() > 0)
    }

    /// All outlines, by their first days.
    pub async fn outlines(&self) -> Stored<Vec<(Uuid, Outline)>> {
        let rows = sqlx::query!(
            r#"SELECT id AS "id: Uuid", doc FROM outline ORDER BY json_extract(doc, '$.start'), id"#
        );
        let rows = rows.fetch_all(&self.read).await?;
        rows.into_iter().map(|row| Ok((row.id, from_json("an outline", &row.doc)?))).collect()
    }

    /// Adds an outline, or changes it.
    pub async fn put_outline(&self, id: Uuid, outline: &Outline) -> Stored<()> {
        let doc = to_json("an outline", outline)?;
        sqlx::query!(
            "INSERT INTO outline (id, doc) VALUES (?, ?) ON CONFLICT (id) DO UPDATE SET doc = excluded.doc",
            id,
            doc
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// Takes an outline away. False if there is none.
    pub async fn drop_outline(&self, id: Uuid) -> Stored<bool> {
        let dropped = sqlx::query!("DELETE FROM outline WHERE id = ?", id).execute(&self.write).await?;
        Ok(dropped.rows_affected() > 0)
    }
}
