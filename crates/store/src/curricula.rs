//! Curricula, the plans that answer them, and their published editions.

use jiff::Timestamp;
use jogo_core::curriculum::Curriculum;
use jogo_core::edition::Edition;
use jogo_core::plan::Plan;
use uuid::Uuid;

use crate::{Store, StoreError, Stored, from_json, parsed, stamp, to_json};

/// A curriculum on the director's desk.
#[derive(Clone, Debug)]
pub struct Draft {
    /// Id.
    pub id: Uuid,
    /// The wishes.
    pub curriculum: Curriculum,
    /// The plan that answers them.
    pub plan: Plan,
    /// Rises with every change.
    pub version: i64,
    /// When it was changed last.
    pub changed_at: Timestamp,
    /// Number of its latest edition.
    pub edition: Option<i64>,
}

/// What is said of a published edition.
#[derive(Clone, Debug)]
pub struct Published {
    /// Id.
    pub id: Uuid,
    /// Its curriculum.
    pub curriculum: Uuid,
    /// From 1.
    pub number: i64,
    /// What the director noted.
    pub note: String,
    /// Who published it.
    pub by: String,
    /// When.
    pub at: Timestamp,
}

impl Store {
    /// Adds a curriculum.
    pub async fn add_curriculum(
        &self,
        id: Uuid,
        curriculum: &Curriculum,
        plan: &Plan,
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let (doc, plan, at) = (to_json("a curriculum", curriculum)?, to_json("a plan", plan)?, stamp(at));
        sqlx::query!(
            "INSERT INTO curriculum (id, doc, plan, version, changed_by, changed_at) VALUES (?, ?, ?, 1, ?, ?)",
            id,
            doc,
            plan,
            by,
            at
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// All curricula, the latest first.
    pub async fn curricula(&self) -> Stored<Vec<Draft>> {
        let rows = sqlx::query!(
            r#"SELECT id AS "id: Uuid", doc, plan, version, changed_at,
                   (SELECT MAX(number) FROM edition WHERE curriculum = curriculum.id) AS "edition: i64"
               FROM curriculum ORDER BY json_extract(doc, '$.start') DESC, id DESC"#
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(|r| draft(r.id, &r.doc, &r.plan, r.version, &r.changed_at, r.edition)).collect()
    }

    /// A curriculum.
    pub async fn curriculum(&self, id: Uuid) -> Stored<Option<Draft>> {
        let row = sqlx::query!(
            r#"SELECT doc, plan, version, changed_at,
                   (SELECT MAX(number) FROM edition WHERE curriculum = curriculum.id) AS "edition: i64"
               FROM curriculum WHERE id = ?"#,
            id
        )
        .fetch_optional(&self.read)
        .await?;
        row.map(|r| draft(id, &r.doc, &r.plan, r.version, &r.changed_at, r.edition)).transpose()
    }

    /// Changes a curriculum and its plan, if it still is the version that was read. Returns the new version.
    pub async fn change_curriculum(
        &self,
        read: &Draft,
        curriculum: &Curriculum,
        plan: &Plan,
        by: Uuid,
        at: Timestamp,
    ) -> Stored<i64> {
        let (doc, plan, at) = (to_json("a curriculum", curriculum)?, to_json("a plan", plan)?, stamp(at));
        let changed = sqlx::query!(
            "UPDATE curriculum SET doc = ?, plan = ?, version = version + 1, changed_by = ?, changed_at = ?
             WHERE id = ? AND version = ?",
            doc,
            plan,
            by,
            at,
            read.id,
            read.version
        )
        .execute(&self.write)
        .await?;
        if changed.rows_affected() == 0 { Err(StoreError::Stale) } else { Ok(read.version + 1) }
    }

    /// Publishes an edition under the next number and assigns it to every team of its band. Publishing the same id again
    /// changes nothing.
    pub async fn publish(
        &self,
        id: Uuid,
        curriculum: Uuid,
        edition: &Edition,
        note: &str,
        by: Uuid,
        at: Timestamp,
    ) -> Stored<i64> {
        let (doc, at) = (to_json("an edition", edition)?, stamp(at));
        let mut tx = self.begin().await?;
        let known =
            sqlx::query!(r#"SELECT curriculum AS "curriculum: Uuid", number FROM edition WHERE id = ?"#, id)
                .fetch_optional(&mut *tx)
                .await?;
        if let Some(known) = known {
            return if known.curriculum == curriculum {
                Ok(known.number)
            } else {
                Err(StoreError::Taken("this id belongs to an edition of another curriculum".into()))
            };
        }
        let number = sqlx::query_scalar!(
            r#"SELECT COALESCE(MAX(number) + 1, 1) AS "number!: i64" FROM edition WHERE curriculum = ?"#,
            curriculum
        )
        .fetch_one(&mut *tx)
        .await?;
        sqlx::query!(
            "INSERT INTO edition (id, curriculum, number, note, doc, published_by, published_at)
             VALUES (?, ?, ?, ?, ?, ?, ?)",
            id,
            curriculum,
            number,
            note,
            doc,
            by,
            at
        )
        .execute(&mut *tx)
        .await?;
        sqlx::query!(
            "INSERT INTO team_edition (team, edition, assigned_at) SELECT id, ?, ? FROM team WHERE band = ?",
            id,
            at,
            edition.band.id
        )
        .execute(&mut *tx)
        .await?;
        tx.commit().await?;
        Ok(number)
    }

    /// The editions of a curriculum, the latest first.
    pub async fn editions(&self, curriculum: Uuid) -> Stored<Vec<Published>> {
        let rows = sqlx::query!(
            r#"SELECT edition.id AS "id: Uuid", number, note, person.name AS by, published_at
               FROM edition JOIN person ON person.id = published_by WHERE curriculum = ? ORDER BY number DESC"#,
            curriculum
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|r| {
                let at = parsed("the day of an edition", &r.published_at)?;
                Ok(Published { id: r.id, curriculum, number: r.number, note: r.note, by: r.by, at })
            })
            .collect()
    }

    /// A published edition in full.
    pub async fn edition(&self, id: Uuid) -> Stored<Option<(Published, Edition)>> {
        let row = sqlx::query!(
            r#"SELECT curriculum AS "curriculum: Uuid", number, note, person.name AS by, published_at, doc
               FROM edition JOIN person ON person.id = published_by WHERE edition.id = ?"#,
            id
        )
        .fetch_optional(&self.read)
        .await?;
        row.map(|r| {
            let at = parsed("the day of an edition", &r.published_at)?;
            let published =
                Published { id, curriculum: r.curriculum, number: r.number, note: r.note, by: r.by, at };
            Ok((published, from_json("an edition", &r.doc)?))
        })
        .transpose()
    }

    /// The editions that a team works by: of each curriculum the latest that was assigned to it; the curriculum that
    /// begins last comes first.
    pub async fn editions_of_team(&self, team: Uuid) -> Stored<Vec<(Published, Edition)>> {
        let rows = sqlx::query!(
            r#"SELECT edition.id AS "id: Uuid", curriculum AS "curriculum: Uuid", number, note, person.name AS by,
                   published_at, doc
               FROM team_edition JOIN edition ON edition.id = team_edition.edition
                   JOIN person ON person.id = published_by
               WHERE team_edition.team = ?1 AND number = (
                   SELECT MAX(later.number) FROM edition AS later JOIN team_edition AS given ON given.edition = later.id
                   WHERE given.team = ?1 AND later.curriculum = edition.curriculum)
               ORDER BY json_extract(edition.doc, '$.curriculum.start') DESC, edition.id DESC"#,
            team
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|r| {
                let at = parsed("the day of an edition", &r.published_at)?;
                let published = Published {
                    id: r.id,
                    curriculum: r.curriculum,
                    number: r.number,
                    note: r.note,
                    by: r.by,
                    at,
                };
                Ok((published, from_json("an edition", &r.doc)?))
            })
            .collect()
    }
}

fn draft(
    id: Uuid,
    doc: &str,
    plan: &str,
    version: i64,
    changed_at: &str,
    edition: Option<i64>,
) -> Stored<Draft> {
    Ok(Draft {
        id,
        curriculum: from_json("a curriculum", doc)?,
        plan: from_json("a plan", plan)?,
        version,
        changed_at: parsed("the time of a change", changed_at)?,
        edition,
    })
}
