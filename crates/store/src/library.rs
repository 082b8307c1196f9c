//! The library: bands, skills, drills, tests and their standards, templates, and its texts in other languages.

use jiff::Timestamp;
use jogo_core::academy::band::Band;
use jogo_core::academy::phrases::Phrases;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::levels::Thresholds;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::assessment::standards::Standard;
use jogo_core::drill::Drill;
use jogo_core::ids::{BandId, TestId};
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::technique::skill::Skill;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::audit::{self, Deed};
use crate::{
    Store, StoreError, Stored, academy::phrases, assessment::counts, assessment::milestones, from_json,
    parsed, progression, stamp, to_json,
};

/// Everything that a library holds.
#[derive(Clone, Debug, Default)]
pub struct Library {
    /// Bands.
    pub bands: Vec<Band>,
    /// Skills, in the order in which they are shown.
    pub skills: Vec<Skill>,
    /// Drills.
    pub drills: Vec<Drill>,
    /// Tests, in the order in which they are shown.
    pub tests: Vec<Test>,
    /// Standards of the tests.
    pub standards: Vec<Standard>,
    /// Milestones, in the order in which they are shown.
    pub milestones: Vec<Milestone>,
    /// Its texts in other languages.
    pub phrases: Vec<Phrases>,
    /// Curricula to begin from, by their names in files, in the order in which they are shown.
    pub templates: Vec<(String, Curriculum)>,
}

impl Store {
    /// Puts a library in: first all that drills may name, then the drills. What has the same name is replaced.
    pub async fn put_library(&self, library: &Library, at: Timestamp) -> Stored<()> {
        let mut tx = self.begin().await?;
        for (place, band) in (0_i64..).zip(&library.bands) {
            let doc = to_json("a band", band)?;
            sqlx::query!(
                "INSERT INTO band (id, place, doc) VALUES (?, ?, ?)
                 ON CONFLICT (id) DO UPDATE SET place = excluded.place, doc = excluded.doc, version = version + 1",
                band.id.as_str(),
                place,
                doc
            )
            .execute(&mut *tx)
            .await?;
        }
        for (place, skill) in (0_i64..).zip(&library.skills) {
            progression::put(&mut tx, skill, Some(place), None, at).await?;
        }
        for (place, test) in (0_i64..).zip(&library.tests) {
            put_test(&mut tx, test, place).await?;
        }
        for standard in &library.standards {
            put_standard(&mut tx, standard, None, at).await?;
        }
        for (place, milestone) in (0_i64..).zip(&library.milestones) {
            milestones::put(&mut tx, milestone, place).await?;
        }
        for book in &library.phrases {
            phrases::put(&mut tx, book).await?;
        }
        for (place, (id, template)) in (0_i64..).zip(&library.templates) {
            put_template(&mut tx, id, place, template).await?;
        }
        counts::forget_band(&mut tx, None).await?;
        tx.commit().await?;
        self.put_drills(&library.drills, None, at).await?;
        Ok(())
    }

    /// All tests.
    pub async fn tests(&self) -> Stored<Vec<Test>> {
        let docs =
            sqlx::query_scalar!("SELECT doc FROM test ORDER BY place, id").fetch_all(&self.read).await?;
        docs.iter().map(|doc| from_json("a test", doc)).collect()
    }

    /// A test.
    pub async fn test(&self, id: &TestId) -> Stored<Option<Test>> {
        let id = id.as_str();
        let doc =
            sqlx::query_scalar!("SELECT doc FROM test WHERE id = ?", id).fetch_optional(&self.read).await?;
        doc.map(|doc| from_json("a test", &doc)).transpose()
    }

    /// Whether results were ever taken with a test; those that were taken back count too.
    pub async fn has_results(&self, id: &TestId) -> Stored<bool> {
        let id = id.as_str();
        let found = sqlx::query_scalar!(
            r#"SELECT EXISTS (SELECT 1 FROM trial WHERE test = ?) AS "found!: bool""#,
            id
        );
        Ok(found.fetch_one(&self.read).await?)
    }

    /// Keeps a test, and notes who did: a new one comes last, a changed one stays in its place.
    pub async fn put_test(&self, test: &Test, by: Uuid, at: Timestamp) -> Stored<()> {
        let mut tx = self.begin().await?;
        let place = sqlx::query_scalar!(
            r#"SELECT COALESCE((SELECT place FROM test WHERE id = ?), (SELECT MAX(place) + 1 FROM test), 0) AS "place!: i64""#,
            test.id.as_str()
        );
        let place = place.fetch_one(&mut *tx).await?;
        put_test(&mut tx, test, place).await?;
        counts::forget_band(&mut tx, None).await?;
        audit::put(&mut tx, (at, Some(by)), Deed::TestSet, &test.id).await?;
        Ok(tx.commit().await?)
    }

    /// Takes a test out, and notes who did; false if results or a standard are kept of it.
    pub async fn drop_test(&self, id: &TestId, by: Uuid, at: Timestamp) -> Stored<bool> {
        let id = id.as_str();
        let mut tx = self.begin().await?;
        let gone = sqlx::query!(
            "DELETE FROM test WHERE id = ?1 AND NOT EXISTS (SELECT 1 FROM trial WHERE test = ?1)
             AND NOT EXISTS (SELECT 1 FROM standard WHERE test = ?1)",
            id
        );
        if gone.execute(&mut *tx).await?.rows_affected() == 0 {
            return Ok(false);
        }
        audit::put(&mut tx, (at, Some(by)), Deed::TestDropped, id).await?;
        tx.commit().await?;
        Ok(true)
    }

    /// Names of the tests for which some band has a standard.
    pub async fn used_tests(&self) -> Stored<Vec<TestId>> {
        let used = sqlx::query_scalar!("SELECT DISTINCT test FROM standard ORDER BY test");
        used.fetch_all(&self.read).await?.iter().map(|id| parsed("the test of a standard", id)).collect()
    }

    /// Each test with each band that has a standard for it.
    pub async fn tests_by_band(&self) -> Stored<Vec<(TestId, BandId)>> {
        let rows = sqlx::query!("SELECT DISTINCT test, band FROM standard ORDER BY test, band")
            .fetch_all(&self.read);
        let pair = |test: &str, band: &str| {
            Ok((parsed("the test of a standard", test)?, parsed("the band of a standard", band)?))
        };
        rows.await?.iter().map(|row| pair(&row.test, &row.band)).collect()
    }

    /// All standards, by test, band and day.
    pub async fn all_standards(&self) -> Stored<Vec<Standard>> {
        let all = sqlx::query_as!(
            StandardRow,
            "SELECT standard.test, standard.band, from_date, building, secure, stretching FROM standard
             JOIN test ON test.id = standard.test JOIN band ON band.id = standard.band
             ORDER BY test.place, test.id, band.place, from_date"
        );
        all.fetch_all(&self.read).await?.into_iter().map(Standard::try_from).collect()
    }

    /// The templates, in their order.
    pub async fn templates(&self) -> Stored<Vec<(String, Curriculum)>> {
        let rows =
            sqlx::query!("SELECT id, doc FROM template ORDER BY place, id").fetch_all(&self.read).await?;
        rows.into_iter().map(|r| Ok((r.id, from_json("a template", &r.doc)?))).collect()
    }

    /// The standards of a band, for all tests and days.
    pub async fn standards(&self, band: &BandId) -> Stored<Vec<Standard>> {
        let band = band.as_str();
        let all = sqlx::query_as!(
            StandardRow,
            "SELECT test, band, from_date, building, secure, stretching FROM standard WHERE band = ?
             ORDER BY test, from_date",
            band
        );
        all.fetch_all(&self.read).await?.into_iter().map(Standard::try_from).collect()
    }

    /// The standards of a test, for all bands and days.
    pub async fn standards_of_test(&self, test: &TestId) -> Stored<Vec<Standard>> {
        let test = test.as_str();
        let all = sqlx::query_as!(
            StandardRow,
            "SELECT test, band, from_date, building, secure, stretching FROM standard WHERE test = ?
             ORDER BY band, from_date",
            test
        );
        all.fetch_all(&self.read).await?.into_iter().map(Standard::try_from).collect()
    }

    /// Sets standards, all of them or none, and notes who did. One of the same test, band and day is replaced.
    pub async fn set_standards(&self, standards: &[Standard], by: Uuid, at: Timestamp) -> Stored<()> {
        let mut tx = self.begin().await?;
        for standard in standards {
            put_standard(&mut tx, standard, Some(by), at).await?;
            counts::forget_band(&mut tx, Some(&standard.band)).await?;
            let [building, secure, stretching] = standard.thresholds.lines().map(|(_, line)| line);
            let about = format!(
                "{} {} from {}: {building}, {secure}, {stretching}",
                standard.test, standard.band, standard.from
            );
            audit::put(&mut tx, (at, Some(by)), Deed::StandardSet, &about).await?;
        }
        Ok(tx.commit().await?)
    }
}

/// Puts a template in, in the place of one with the same name.
async fn put_template(
    tx: &mut Transaction<'static, Sqlite>,
    id: &str,
    place: i64,
    template: &Curriculum,
) -> Stored<()> {
    let doc = to_json("a template", template)?;
    sqlx::query!("INSERT OR REPLACE INTO template (id, place, doc) VALUES (?, ?, ?)", id, place, doc)
        .execute(&mut **tx)
        .await?;
    Ok(())
}

async fn put_test(tx: &mut Transaction<'static, Sqlite>, test: &Test, place: i64) -> Stored<()> {
    let doc = to_json("a test", test)?;
    sqlx::query!(
        "INSERT INTO test (id, place, doc) VALUES (?, ?, ?)
         ON CONFLICT (id) DO UPDATE SET place = excluded.place, doc = excluded.doc",
        test.id.as_str(),
        place,
        doc
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

async fn put_standard(
    tx: &mut Transaction<'static, Sqlite>,
    standard: &Standard,
    by: Option<Uuid>,
    at: Timestamp,
) -> Stored<()> {
    let (from, at) = (standard.from.to_string(), stamp(at));
    let Thresholds { building, secure, stretching } = standard.thresholds;
    sqlx::query!(
        "INSERT OR REPLACE INTO standard (test, band, from_date, building, secure, stretching, set_by, set_at)
         VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
        standard.test.as_str(),
        standard.band.as_str(),
        from,
        building,
        secure,
        stretching,
        by,
        at
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

/// A standard as it is kept.
struct StandardRow {
    test: String,
    band: String,
    from_date: String,
    building: f64,
    secure: f64,
    stretching: f64,
}

impl TryFrom<StandardRow> for Standard {
    type Error = StoreError;

    fn try_from(row: StandardRow) -> Stored<Standard> {
        let StandardRow { building, secure, stretching, .. } = row;
        Ok(Standard {
            from: parsed("the day of a standard", &row.from_date)?,
            thresholds: Thresholds { building, secure, stretching },
            test: parsed("the test of a standard", &row.test)?,
            band: parsed("the band of a standard", &row.band)?,
        })
    }
}
