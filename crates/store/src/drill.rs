//! Drills of the living library, with every state that was ever kept. Published editions keep copies of their own.

use jiff::Timestamp;
use jogo_core::drill::Drill;
use jogo_core::ids::DrillId;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::{Store, StoreError, Stored, Taken, from_json, parsed, stamp, to_json};

/// A drill as it is kept.
#[derive(Clone, Debug)]
pub struct KeptDrill {
    /// The drill.
    pub drill: Drill,
    /// Rises with every change.
    pub version: i64,
    /// When it was archived, if it was: from then on it is neither found nor planned.
    pub archived_at: Option<Timestamp>,
}

/// An earlier state of a drill.
#[derive(Clone, Debug)]
pub struct Saved {
    /// Which.
    pub version: i64,
    /// Who kept it; nobody if it came with the program or a file.
    pub by: Option<String>,
    /// When.
    pub at: Timestamp,
}

fn kept(doc: &str, version: i64, archived_at: Option<&str>) -> Stored<KeptDrill> {
    let archived_at = archived_at.map(|at| parsed("when a drill was put away", at)).transpose()?;
    Ok(KeptDrill { drill: from_json("a drill", doc)?, version, archived_at })
}

impl Store {
    /// All drills that are not put away, by their names.
    pub async fn drills(&self) -> Stored<Vec<Drill>> {
        let docs = sqlx::query_scalar!("SELECT doc FROM drill WHERE archived_at IS NULL ORDER BY id")
            .fetch_all(&self.read)
            .await?;
        docs.iter().map(|doc| from_json("a drill", doc)).collect()
    }

    /// All drills that are put away, or all that are not, by their names.
    pub async fn kept_drills(&self, away: bool) -> Stored<Vec<KeptDrill>> {
        let rows = sqlx::query!(
            "SELECT doc, version, archived_at FROM drill WHERE (archived_at IS NOT NULL) = ? ORDER BY id",
            away
        )
        .fetch_all(&self.read)
        .await?;
        rows.iter().map(|row| kept(&row.doc, row.version, row.archived_at.as_deref())).collect()
    }

    /// A drill.
    pub async fn kept_drill(&self, id: &DrillId) -> Stored<Option<KeptDrill>> {
        let id = id.as_str();
        let row = sqlx::query!("SELECT doc, version, archived_at FROM drill WHERE id = ?", id)
            .fetch_optional(&self.read)
            .await?;
        row.map(|row| kept(&row.doc, row.version, row.archived_at.as_deref())).transpose()
    }

    /// Every state of a drill that was kept, the latest first.
    pub async fn drill_history(&self, id: &DrillId) -> Stored<Vec<Saved>> {
        let id = id.as_str();
        let rows = sqlx::query!(
            r#"SELECT version, person.name AS "by?", saved_at FROM drill_history
               LEFT JOIN person ON person.id = saved_by WHERE drill = ? ORDER BY version DESC"#,
            id
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                let at = parsed("when a drill was kept", &row.saved_at)?;
                Ok(Saved { version: row.version, by: row.by, at })
            })
            .collect()
    }

    /// An earlier state of a drill.
    pub async fn drill_version(&self, id: &DrillId, version: i64) -> Stored<Option<Drill>> {
        let id = id.as_str();
        let doc =
            sqlx::query_scalar!("SELECT doc FROM drill_history WHERE drill = ? AND version = ?", id, version)
                .fetch_optional(&self.read)
                .await?;
        doc.map(|doc| from_json("a drill", &doc)).transpose()
    }

    /// Published editions that keep a copy of a drill in their plans, by curriculum and number.
    pub async fn editions_with_drill(&self, id: &DrillId) -> Stored<Vec<String>> {
        let id = id.as_str();
        // Variants are called by their drill and stage.
        Ok(sqlx::query_scalar!(
            r#"SELECT DISTINCT json_extract(edition.doc, '$.curriculum.name') || ', edition ' || number AS "name!: String"
               FROM edition, json_tree(edition.doc, '$.plan.sessions') AS block
               WHERE block.key = 'variant' AND block.value LIKE ? || '@%' ORDER BY published_at DESC"#,
            id
        )
        .fetch_all(&self.read)
        .await?)
    }

    /// Adds a drill; errs if its name is taken by another one. Adding the same again changes nothing.
    pub async fn add_drill(&self, drill: &Drill, by: Uuid, at: Timestamp) -> Stored<()> {
        let mut tx = self.begin().await?;
        let known = sqlx::query_scalar!("SELECT doc FROM drill WHERE id = ?", drill.id.as_str())
            .fetch_optional(&mut *tx)
            .await?;
        match known {
            Some(doc) if from_json::<Drill>("a drill", &doc)? == *drill => return Ok(()),
            Some(_) => {
                return Err(Taken::DrillName { title: drill.id.to_string() }.into());
            }
            None => put(&mut tx, drill, Some(by), at).await?,
        }
        Ok(tx.commit().await?)
    }

    /// Changes a drill, if it still is the version that was read.
    pub async fn change_drill(&self, drill: &Drill, version: i64, by: Uuid, at: Timestamp) -> Stored<()> {
        let mut tx = self.begin().await?;
        let standing = sqlx::query_scalar!("SELECT version FROM drill WHERE id = ?", drill.id.as_str())
            .fetch_optional(&mut *tx)
            .await?;
        if standing != Some(version) {
            return Err(StoreError::Stale);
        }
        put(&mut tx, drill, Some(by), at).await?;
        Ok(tx.commit().await?)
    }

    /// Puts a drill away, or brings it back; false if there is none of that name.
    pub async fn archive_drill(&self, id: &DrillId, away: Option<Timestamp>) -> Stored<bool> {
        let id = id.as_str();
        let away = away.map(stamp);
        let changed = sqlx::query!("UPDATE drill SET archived_at = ? WHERE id = ?", away, id)
            .execute(&self.write)
            .await?;
        Ok(changed.rows_affected() > 0)
    }

    /// Puts drills in, all of them or none. What has the same name becomes the next state of that drill, unless it is
    /// the same already. Returns how many were new or changed.
    pub async fn put_drills(&self, drills: &[Drill], by: Option<Uuid>, at: Timestamp) -> Stored<usize> {
        let mut tx = self.begin().await?;
        let mut changed = 0;
        for drill in drills {
            let known = sqlx::query_scalar!("SELECT doc FROM drill WHERE id = ?", drill.id.as_str())
                .fetch_optional(&mut *tx)
                .await?;
            if let Some(doc) = known
                && from_json::<Drill>("a drill", &doc)? == *drill
            {
                continue;
            }
            put(&mut tx, drill, by, at).await?;
            changed += 1;
        }
        tx.commit().await?;
        Ok(changed)
    }
}

/// Keeps a state of a drill, and remembers it.
pub(crate) async fn put(
    tx: &mut Transaction<'static, Sqlite>,
    drill: &Drill,
    by: Option<Uuid>,
    at: Timestamp,
) -> Stored<()> {
    let (doc, at) = (to_json("a drill", drill)?, stamp(at));
    sqlx::query!(
        "INSERT INTO drill (id, doc) VALUES (?, ?)
         ON CONFLICT (id) DO UPDATE SET doc = excluded.doc, version = version + 1",
        drill.id.as_str(),
        doc
    )
    .execute(&mut **tx)
    .await?;
    sqlx::query!(
        "INSERT INTO drill_history (drill, version, doc, saved_by, saved_at)
         SELECT id, version, doc, ?, ? FROM drill WHERE id = ?",
        by,
        at,
        drill.id.as_str()
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}
