//! The library: bands, skills, drills, tests and their standards.

use jiff::Timestamp;
use jogo_core::band::Band;
use jogo_core::drill::Drill;
use jogo_core::levels::Thresholds;
use jogo_core::skill::Skill;
use jogo_core::standards::Standard;
use jogo_core::tests::Test;

use crate::{Store, Stored, from_json, parsed, skills, to_json};

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
                band.id,
                place,
                doc
            )
            .execute(&mut *tx)
            .await?;
        }
        for (place, skill) in (0_i64..).zip(&library.skills) {
            skills::put(&mut tx, skill, Some(place), None, at).await?;
        }
        for (place, test) in (0_i64..).zip(&library.tests) {
            let doc = to_json("a test", test)?;
            sqlx::query!(
                "INSERT OR REPLACE INTO test (id, place, doc) VALUES (?, ?, ?)",
                test.id,
                place,
                doc
            )
            .execute(&mut *tx)
            .await?;
        }
        for standard in &library.standards {
            let from = standard.from.to_string();
            let Thresholds { building, secure, stretching } = standard.thresholds;
            sqlx::query!(
                "INSERT OR REPLACE INTO standard (test, band, from_date, building, secure, stretching)
                 VALUES (?, ?, ?, ?, ?, ?)",
                standard.test,
                standard.band,
                from,
                building,
                secure,
                stretching
            )
            .execute(&mut *tx)
            .await?;
        }
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
    pub async fn test(&self, id: &str) -> Stored<Option<Test>> {
        let doc =
            sqlx::query_scalar!("SELECT doc FROM test WHERE id = ?", id).fetch_optional(&self.read).await?;
        doc.map(|doc| from_json("a test", &doc)).transpose()
    }

    /// Names of the tests for which some band has a standard.
    pub async fn used_tests(&self) -> Stored<Vec<String>> {
        Ok(sqlx::query_scalar!("SELECT DISTINCT test FROM standard ORDER BY test")
            .fetch_all(&self.read)
            .await?)
    }

    /// The standards of a band, for all tests and days.
    pub async fn standards(&self, band: &str) -> Stored<Vec<Standard>> {
        let rows = sqlx::query!(
            "SELECT test, band, from_date, building, secure, stretching FROM standard WHERE band = ?
             ORDER BY test, from_date",
            band
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                Ok(Standard {
                    from: parsed("the day of a standard", &row.from_date)?,
                    thresholds: Thresholds {
                        building: row.building,
                        secure: row.secure,
                        stretching: row.stretching,
                    },
                    test: row.test,
                    band: row.band,
                })
            })
            .collect()
    }
}
