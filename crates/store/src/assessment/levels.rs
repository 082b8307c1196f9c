//! How many players of each team stand on each level and have each milestone: kept beside what it follows from.

use jogo_core::assessment::milestones::tally::Tally;
use jogo_core::assessment::results::TestCount;
use jogo_core::ids::{BandId, MilestoneId};
use serde::{Deserialize, Serialize};
use uuid::Uuid;

use crate::academy::teams::Team;
use crate::{Store, Stored, from_json, to_json};

/// What is counted in a team.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
pub struct TeamCounts {
    /// Players by level, test by test.
    pub levels: Vec<TestCount>,
    /// Players who have a milestone of the band, in the order of the milestones.
    pub milestones: Vec<(MilestoneId, Tally)>,
}

/// What is kept of a team.
#[derive(Clone, Debug, PartialEq)]
pub struct KeptLevels {
    /// The team.
    pub team: Team,
    /// Under this version it is read and kept.
    pub version: i64,
    /// The counts; `None` if they have to be recomputed.
    pub counts: Option<TeamCounts>,
}

impl Store {
    /// What is kept of the teams of a band, by club and name.
    pub async fn kept_levels(&self, band: &BandId) -> Stored<Vec<KeptLevels>> {
        let id = band.as_str();
        let rows = sqlx::query!(
            r#"SELECT team.id AS "id: Uuid", team.name, club.name AS club, COALESCE(version, 0) AS "version!: i64", doc
               FROM team JOIN club ON club.id = club LEFT JOIN team_levels ON team_levels.team = team.id
               WHERE band = ? ORDER BY club.name, team.name"#,
            id
        )
        .fetch_all(&self.read)
        .await?;
        let kept = rows.into_iter().map(|row| {
            let team = Team { id: row.id, name: row.name, club: row.club, band: band.clone() };
            let counts = row.doc.map(|doc| from_json("counts of a team", &doc)).transpose()?;
            Ok(KeptLevels { team, version: row.version, counts })
        });
        kept.collect()
    }

    /// A number that grows with everything that is measured, seen and logged, with every player who comes or goes and
    /// every plan of a team.
    pub async fn changes_shown(&self) -> Stored<u64> {
        let changes = sqlx::query_scalar!(
            r#"SELECT (SELECT COALESCE(SUM(version), 0) + COUNT(*) FROM team_levels) + (SELECT COUNT(*) FROM team)
                   + COALESCE((SELECT MAX(rowid) FROM outcome), 0) + COALESCE((SELECT MAX(rowid) FROM team_plan), 0)
                   + COALESCE((SELECT MAX(rowid) FROM team_edition), 0) AS "changes!: i64""#
        );
        Ok(changes.fetch_one(&self.read).await? as u64)
    }

    /// A number that grows with everything that directors set for the assessment of all.
    pub async fn changes_set(&self) -> Stored<u64> {
        let last = sqlx::query_scalar!(
            r#"SELECT COALESCE(MAX(id), 0) AS "last!: i64" FROM audit
               WHERE what IN ('band_added', 'band_changed', 'imported', 'milestone_dropped', 'milestone_set',
                   'settings_changed', 'standard_set', 'starter_taken', 'test_dropped', 'test_set')"#
        );
        Ok(last.fetch_one(&self.read).await? as u64)
    }

    /// Keeps what was recomputed, unless something has changed since.
    pub async fn keep_levels(&self, team: Uuid, version: i64, counts: &TeamCounts) -> Stored<()> {
        let doc = to_json("counts of a team", counts)?;
        sqlx::query!(
            "INSERT INTO team_levels (team, version, doc) VALUES (?, ?, ?)
             ON CONFLICT (team) DO UPDATE SET doc = excluded.doc WHERE version = excluded.version",
            team,
            version,
            doc
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }
}
