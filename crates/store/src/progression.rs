//! Skills of the living library, with every state that was ever kept.

use jiff::Timestamp;
use jogo_core::ids::SkillId;
use jogo_core::technique::skill::Skill;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::{Store, StoreError, Stored, from_json, parsed, stamp, to_json};

/// A change of the map.
#[derive(Clone, Debug)]
pub enum SkillChange {
    /// A skill is added, or becomes this.
    Put(Skill),
    /// A skill is taken out.
    TakeOut(SkillId),
}

/// When the map was changed, and by whom.
#[derive(Clone, Debug)]
pub struct MapChange {
    /// Number of the change.
    pub change: i64,
    /// Which skill.
    pub skill: SkillId,
    /// Who; nobody if it came with the program or a file.
    pub by: Option<String>,
    /// When.
    pub at: Timestamp,
}

impl Store {
    /// All skills, in the order in which they are shown.
    pub async fn skills(&self) -> Stored<Vec<Skill>> {
        let docs =
            sqlx::query_scalar!("SELECT doc FROM skill ORDER BY place, id").fetch_all(&self.read).await?;
        docs.iter().map(|doc| from_json("a skill", doc)).collect()
    }

    /// The number of the map's last change: it rises with every one.
    pub async fn map_version(&self) -> Stored<i64> {
        let last =
            sqlx::query_scalar!(r#"SELECT COALESCE(MAX(change), 0) AS "last!: i64" FROM skill_history"#);
        Ok(last.fetch_one(&self.read).await?)
    }

    /// The skills as they stood at a moment.
    pub async fn skills_at(&self, at: Timestamp) -> Stored<Vec<Skill>> {
        let at = stamp(at);
        let docs = sqlx::query_scalar!(
            r#"SELECT doc AS "doc!: String" FROM skill_history AS state WHERE doc IS NOT NULL AND change = (
                   SELECT MAX(change) FROM skill_history WHERE skill = state.skill AND saved_at <= ?)
               ORDER BY (SELECT MIN(change) FROM skill_history WHERE skill = state.skill)"#,
            at
        )
        .fetch_all(&self.read)
        .await?;
        docs.iter().map(|doc| from_json("a skill", doc)).collect()
    }

    /// The last changes of the map, the latest first.
    pub async fn map_changes(&self, most: u32) -> Stored<Vec<MapChange>> {
        let rows = sqlx::query!(
            r#"SELECT change, skill, person.name AS "by?", saved_at FROM skill_history
               LEFT JOIN person ON person.id = saved_by ORDER BY change DESC LIMIT ?"#,
            most
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                let at = parsed("when a skill was kept", &row.saved_at)?;
                Ok(MapChange {
                    change: row.change,
                    skill: parsed("a skill’s id", &row.skill)?,
                    by: row.by,
                    at,
                })
            })
            .collect()
    }

    /// Changes the map, if it still is the version that was read: all of it or nothing.
    pub async fn change_map(
        &self,
        changes: &[SkillChange],
        version: i64,
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let mut tx = self.begin().await?;
        let last =
            sqlx::query_scalar!(r#"SELECT COALESCE(MAX(change), 0) AS "last!: i64" FROM skill_history"#)
                .fetch_one(&mut *tx)
                .await?;
        if last != version {
            return Err(StoreError::Stale);
        }
        for change in changes {
            match change {
                SkillChange::Put(skill) => put(&mut tx, skill, None, Some(by), at).await?,
                SkillChange::TakeOut(id) => take_out(&mut tx, id, by, at).await?,
            }
        }
        Ok(tx.commit().await?)
    }
}

/// Keeps a state of a skill, at a place of the list or, if none is given, where it stands or last.
pub(crate) async fn put(
    tx: &mut Transaction<'static, Sqlite>,
    skill: &Skill,
    place: Option<i64>,
    by: Option<Uuid>,
    at: Timestamp,
) -> Stored<()> {
    let (doc, at) = (to_json("a skill", skill)?, stamp(at));
    sqlx::query!(
        "INSERT INTO skill (id, place, doc)
         VALUES (?1, COALESCE(?2, (SELECT COALESCE(MAX(place) + 1, 0) FROM skill)), ?3)
         ON CONFLICT (id) DO UPDATE SET doc = excluded.doc, place = COALESCE(?2, place), version = version + 1",
        skill.id.as_str(),
        place,
        doc
    )
    .execute(&mut **tx)
    .await?;
    sqlx::query!(
        "INSERT INTO skill_history (skill, doc, saved_by, saved_at) VALUES (?, ?, ?, ?)",
        skill.id.as_str(),
        doc,
        by,
        at
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

async fn take_out(
    tx: &mut Transaction<'static, Sqlite>,
    id: &SkillId,
    by: Uuid,
    at: Timestamp,
) -> Stored<()> {
    let id = id.as_str();
    let at = stamp(at);
    sqlx::query!("DELETE FROM skill WHERE id = ?", id).execute(&mut **tx).await?;
    sqlx::query!(
        "INSERT INTO skill_history (skill, doc, saved_by, saved_at) VALUES (?, NULL, ?, ?)",
        id,
        by,
        at
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}
