//! Curricula, the plans that answer them, and their published editions.

use std::collections::BTreeSet;

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::fact::Fact;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::plan::Plan;
use jogo_core::plan::curriculum::Curriculum;
use uuid::Uuid;

use crate::delivery::Published;
use crate::delivery::team_plans::{Joining, kept};
use crate::upgrade::fresh;
use crate::{Happened, Store, StoreError, Stored, Taken, from_json, happened, parsed, stamp, to_json};

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

/// A curriculum in a list.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct CurriculumLine {
    /// Id.
    pub id: Uuid,
    /// Its name.
    pub name: String,
    /// For which band.
    pub band: BandId,
    /// Its first day.
    pub start: Date,
    /// Weeks.
    pub weeks: u32,
    /// Number of its latest edition.
    pub edition: Option<i64>,
}

/// How many changes of a curriculum can be taken back.
const MOST_CHANGES: i64 = 200;

/// A change of a curriculum: what it is, who makes it, and when.
#[derive(Clone, Copy, Debug)]
pub struct Change<'c> {
    /// What it is, as undo shows it.
    pub what: &'c Fact,
    /// Who.
    pub by: Uuid,
    /// When.
    pub at: Timestamp,
}

/// An edition that is about to be published.
#[derive(Clone, Copy, Debug)]
pub struct NewEdition<'e> {
    /// Id, made by the sender.
    pub id: Uuid,
    /// Of which curriculum.
    pub curriculum: Uuid,
    /// What is frozen.
    pub edition: &'e Edition,
    /// What the director notes; may be empty.
    pub note: &'e str,
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
        let (doc, plan, at) =
            (to_json("a curriculum", curriculum)?, to_json("a plan", &plan.clone().named(fresh))?, stamp(at));
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

    /// A part of the list of curricula, the latest first: at most this many, after one of them or from the beginning.
    pub async fn curriculum_lines(&self, after: Option<Uuid>, most: u32) -> Stored<Vec<CurriculumLine>> {
        let rows = sqlx::query!(
            r#"SELECT id AS "id: Uuid", json_extract(doc, '$.name') AS "name!: String",
                   json_extract(doc, '$.band') AS "band!: String", json_extract(doc, '$.start') AS "start!: String",
                   json_extract(doc, '$.weeks') AS "weeks!: u32",
                   (SELECT MAX(number) FROM edition WHERE curriculum = curriculum.id) AS "edition: i64"
               FROM curriculum
               WHERE ?1 IS NULL OR (json_extract(doc, '$.start'), id)
                   < (SELECT json_extract(doc, '$.start'), id FROM curriculum WHERE id = ?1)
               ORDER BY json_extract(doc, '$.start') DESC, id DESC LIMIT ?2"#,
            after,
            most
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                Ok(CurriculumLine {
                    id: row.id,
                    name: row.name,
                    band: parsed("a band", &row.band)?,
                    start: parsed("the start of a curriculum", &row.start)?,
                    weeks: row.weeks,
                    edition: row.edition,
                })
            })
            .collect()
    }

    /// The skills that are goals of the other curricula of a band that begin on one of some days.
    pub async fn goals_beside(
        &self,
        curriculum: Uuid,
        band: &BandId,
        (first, last): (Date, Date),
    ) -> Stored<BTreeSet<SkillId>> {
        let (band, first, last) = (band.as_str(), first.to_string(), last.to_string());
        let rows = sqlx::query!(
            r#"SELECT DISTINCT json_extract(goal.value, '$.skill') AS "skill!: String"
               FROM curriculum, json_each(doc, '$.goals') AS goal
               WHERE curriculum.id <> ? AND json_extract(doc, '$.band') = ?
                   AND json_extract(doc, '$.start') BETWEEN ? AND ?"#,
            curriculum,
            band,
            first,
            last
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(|row| parsed("a skill", &row.skill)).collect()
    }

    /// The wishes of all curricula of a band that were published, as their latest editions have them.
    pub async fn published_wishes(&self, band: &BandId) -> Stored<Vec<Curriculum>> {
        let band = band.as_str();
        let rows = sqlx::query!(
            r#"SELECT json_extract(doc, '$.curriculum') AS "wishes!: String" FROM edition AS latest
               WHERE json_extract(doc, '$.curriculum.band') = ?
                   AND number = (SELECT MAX(number) FROM edition WHERE curriculum = latest.curriculum)"#,
            band
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(|row| from_json("the wishes of an edition", &row.wishes)).collect()
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

    /// Changes a curriculum and its plan, if it still is the version that was read, and keeps what stood before under
    /// the name of the change. Returns the new version.
    pub async fn change_curriculum(
        &self,
        read: &Draft,
        curriculum: &Curriculum,
        plan: &Plan,
        change: Change<'_>,
    ) -> Stored<i64> {
        let plan = plan.clone().continuing(&read.plan).named(fresh);
        let (doc, plan, at) =
            (to_json("a curriculum", curriculum)?, to_json("a plan", &plan)?, stamp(change.at));
        let what = change.what.to_string();
        let mut tx = self.begin().await?;
        sqlx::query!(
            "INSERT INTO curriculum_history (curriculum, doc, plan, what, changed_by, changed_at)
             SELECT id, doc, plan, ?, ?, ? FROM curriculum WHERE id = ? AND version = ?",
            what,
            change.by,
            at,
            read.id,
            read.version
        )
        .execute(&mut *tx)
        .await?;
        set_state(&mut tx, read, &doc, &plan, change.by, &at).await?;
        sqlx::query!(
            "DELETE FROM curriculum_history WHERE curriculum = ?1 AND change <= (
                 SELECT change FROM curriculum_history WHERE curriculum = ?1
                 ORDER BY change DESC LIMIT 1 OFFSET ?2)",
            read.id,
            MOST_CHANGES
        )
        .execute(&mut *tx)
        .await?;
        tx.commit().await?;
        Ok(read.version + 1)
    }

    /// What the last change of a curriculum was that can be taken back.
    pub async fn last_change(&self, curriculum: Uuid) -> Stored<Option<Fact>> {
        let what = sqlx::query_scalar!(
            "SELECT what FROM curriculum_history WHERE curriculum = ? ORDER BY change DESC LIMIT 1",
            curriculum
        )
        .fetch_optional(&self.read)
        .await?;
        Ok(what.map(happened))
    }

    /// Takes the last change of a curriculum back, if it still is the version that was read. Says what the change was;
    /// `None` if there is none.
    pub async fn take_back(&self, read: &Draft, by: Uuid, at: Timestamp) -> Stored<Option<Fact>> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        let last = sqlx::query!(
            "SELECT change, doc, plan, what FROM curriculum_history WHERE curriculum = ?
             ORDER BY change DESC LIMIT 1",
            read.id
        )
        .fetch_optional(&mut *tx)
        .await?;
        let Some(last) = last else { return Ok(None) };
        set_state(&mut tx, read, &last.doc, &last.plan, by, &at).await?;
        sqlx::query!("DELETE FROM curriculum_history WHERE change = ?", last.change)
            .execute(&mut *tx)
            .await?;
        tx.commit().await?;
        Ok(Some(happened(last.what)))
    }

    /// Publishes an edition under the next number and assigns it to every team of its band; to those that are running,
    /// as they join it. Publishing the same id again changes nothing.
    pub async fn publish(
        &self,
        new: NewEdition<'_>,
        running: &[Joining],
        by: Uuid,
        at: Timestamp,
    ) -> Stored<i64> {
        let NewEdition { id, curriculum, edition, note } = new;
        let edition = Edition { plan: edition.plan.clone().named(fresh), ..edition.clone() };
        let (doc, at) = (to_json("an edition", &edition)?, stamp(at));
        let mut tx = self.begin().await?;
        let known =
            sqlx::query!(r#"SELECT curriculum AS "curriculum: Uuid", number FROM edition WHERE id = ?"#, id)
                .fetch_optional(&mut *tx)
                .await?;
        if let Some(known) = known {
            return if known.curriculum == curriculum {
                Ok(known.number)
            } else {
                Err(Taken::OtherCurriculum.into())
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
            edition.band.id.as_str()
        )
        .execute(&mut *tx)
        .await?;
        for Joining { team, from, own } in running {
            let from = from.map(|day| day.to_string());
            sqlx::query!(
                "UPDATE team_edition SET from_day = ? WHERE team = ? AND edition = ?",
                from,
                team,
                id
            )
            .execute(&mut *tx)
            .await?;
            if *own != TeamPlan::default() {
                let doc = to_json("a team's plan", &kept(own, &edition))?;
                let what = Happened::NewEdition.to_string();
                sqlx::query!(
                    "INSERT INTO team_plan (team, edition, version, doc, what, changed_by, changed_at)
                     VALUES (?, ?, 1, ?, ?, ?, ?)",
                    team,
                    id,
                    doc,
                    what,
                    by,
                    at
                )
                .execute(&mut *tx)
                .await?;
            }
        }
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
}

/// Writes a curriculum's next state, if it still is the version that was read.
async fn set_state(
    tx: &mut sqlx::SqliteConnection,
    read: &Draft,
    doc: &str,
    plan: &str,
    by: Uuid,
    at: &str,
) -> Stored<()> {
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
    .execute(tx)
    .await?;
    if changed.rows_affected() == 0 { Err(StoreError::Stale) } else { Ok(()) }
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
