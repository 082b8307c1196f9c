//! What holds for the whole academy: its settings and its bands.

pub mod clubs;
pub mod listed;
pub(crate) mod phrases;
pub mod places;
pub mod players;
pub mod teams;

use jiff::Timestamp;
use jogo_core::academy::Academy;
use jogo_core::academy::band::Band;
use jogo_core::drill::Drill;
use jogo_core::ids::BandId;
use sqlx::SqliteExecutor;
use uuid::Uuid;

use crate::audit::{self, Deed};
use crate::drill;
use crate::people::{NewPerson, insert_person};
use crate::{Store, StoreError, Stored, Taken, from_json, taken, to_json};

/// A band as it is kept.
#[derive(Clone, Debug)]
pub struct KeptBand {
    /// The band.
    pub band: Band,
    /// Rises with every change.
    pub version: i64,
}

/// What an academy has of all that it needs for its first plan.
#[derive(Clone, Copy, Debug)]
#[allow(missing_docs)]
pub struct Begun {
    pub bands: bool,
    /// Skills, and drills that are not archived.
    pub library: bool,
    pub teams: bool,
    pub coaches: bool,
    pub curriculum: bool,
    pub edition: bool,
}

/// Names the academy, which may have no row yet.
pub(crate) async fn put_academy(writer: impl SqliteExecutor<'_>, name: &str, time_zone: &str) -> Stored<()> {
    sqlx::query!(
        "INSERT INTO academy (id, name, time_zone) VALUES (1, ?, ?)
             ON CONFLICT (id) DO UPDATE SET name = excluded.name, time_zone = excluded.time_zone",
        name,
        time_zone
    )
    .execute(writer)
    .await?;
    Ok(())
}

impl Store {
    /// What is set for the whole academy, and its version.
    pub async fn settings(&self) -> Stored<(Academy, i64)> {
        let row = sqlx::query!("SELECT doc, version FROM academy").fetch_optional(&self.read).await?;
        match row {
            Some(row) => Ok((from_json("the academy's settings", &row.doc)?, row.version)),
            None => Ok((Academy::default(), 1)),
        }
    }

    /// What a new academy has already. Reads no document.
    pub async fn begun(&self) -> Stored<Begun> {
        let row = sqlx::query_as!(
            Begun,
            r#"SELECT EXISTS (SELECT 1 FROM band) AS "bands!: bool",
                   EXISTS (SELECT 1 FROM skill) AND EXISTS (SELECT 1 FROM drill WHERE archived_at IS NULL)
                       AS "library!: bool",
                   EXISTS (SELECT 1 FROM team) AS "teams!: bool",
                   EXISTS (SELECT 1 FROM person WHERE role = 'coach') AS "coaches!: bool",
                   EXISTS (SELECT 1 FROM curriculum) AS "curriculum!: bool",
                   EXISTS (SELECT 1 FROM edition) AS "edition!: bool""#
        );
        Ok(row.fetch_one(&self.read).await?)
    }

    /// Begins an academy: its name, its time zone and its first director, all or nothing. Errs if anybody is there.
    pub async fn begin_academy(
        &self,
        (name, time_zone): (&str, &str),
        director: &NewPerson,
        at: Timestamp,
    ) -> Stored<()> {
        let mut tx = self.begin().await?;
        let begun = sqlx::query_scalar!(r#"SELECT EXISTS (SELECT 1 FROM person) AS "begun!: bool""#);
        if begun.fetch_one(&mut *tx).await? {
            return Err(Taken::Begun.into());
        }
        put_academy(&mut *tx, name, time_zone).await?;
        insert_person(&mut tx, director, at).await?;
        audit::put(&mut tx, (at, Some(director.person.id)), Deed::AcademyBegun, name).await?;
        Ok(tx.commit().await?)
    }

    /// Changes what is set for the whole academy, if it still is the version that was read.
    pub async fn change_settings(&self, academy: &Academy, version: i64) -> Stored<()> {
        let doc = to_json("the academy's settings", academy)?;
        // An academy that was begun without a name has no row yet, and is at its first version.
        let changed = sqlx::query!(
            "INSERT INTO academy (id, name, time_zone, doc, version) SELECT 1, '', 'UTC', ?1, 1 + ?2
                 WHERE ?2 = 1 OR EXISTS (SELECT 1 FROM academy)
             ON CONFLICT (id) DO UPDATE SET doc = excluded.doc, version = version + 1 WHERE version = ?2",
            doc,
            version
        )
        .execute(&self.write)
        .await?;
        if changed.rows_affected() == 0 { Err(StoreError::Stale) } else { Ok(()) }
    }

    /// A band.
    pub async fn band(&self, id: &BandId) -> Stored<Option<Band>> {
        let id = id.as_str();
        let doc =
            sqlx::query_scalar!("SELECT doc FROM band WHERE id = ?", id).fetch_optional(&self.read).await?;
        doc.map(|doc| from_json("a band", &doc)).transpose()
    }

    /// All bands, the youngest first.
    pub async fn bands(&self) -> Stored<Vec<KeptBand>> {
        let rows = sqlx::query!(
            "SELECT doc, version FROM band
                 ORDER BY json_extract(doc, '$.youngest'), json_extract(doc, '$.oldest'), place, id"
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| Ok(KeptBand { band: from_json("a band", &row.doc)?, version: row.version }))
            .collect()
    }

    /// Adds a band, with the drills that it does: as they are from now on.
    pub async fn add_band(&self, band: &Band, drills: &[Drill], by: Uuid, at: Timestamp) -> Stored<()> {
        let doc = to_json("a band", band)?;
        let mut tx = self.begin().await?;
        sqlx::query!("INSERT INTO band (id, place, doc) VALUES (?, 0, ?)", band.id.as_str(), doc)
            .execute(&mut *tx)
            .await
            .map_err(|e| taken(e, Taken::BandName { name: band.name.clone() }))?;
        for drill in drills {
            drill::put(&mut tx, drill, Some(by), at).await?;
        }
        Ok(tx.commit().await?)
    }

    /// Changes a band, if it still is the version that was read.
    pub async fn change_band(&self, band: &Band, version: i64) -> Stored<()> {
        let doc = to_json("a band", band)?;
        let changed = sqlx::query!(
            "UPDATE band SET doc = ?, version = version + 1 WHERE id = ? AND version = ?",
            doc,
            band.id.as_str(),
            version
        )
        .execute(&self.write)
        .await?;
        if changed.rows_affected() == 0 { Err(StoreError::Stale) } else { Ok(()) }
    }
}
