//! Team plans: the editions that a team works by, and what it has of its own.

use std::cmp::Reverse;
use std::collections::BTreeMap;
use std::sync::Arc;

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::fact::Fact;
use jogo_core::ids::BandId;
use jogo_core::plan::Plan;
use uuid::Uuid;

use crate::delivery::Published;
use crate::upgrade::fresh;
use crate::{Store, StoreError, Stored, from_json, happened, parsed, stamp, to_json};

/// An edition that a team works by.
#[derive(Clone, Debug)]
pub struct Assigned {
    /// What is said of it.
    pub published: Published,
    /// As it was published.
    pub edition: Arc<Edition>,
    /// From which day on; `None` for the first of its curriculum.
    pub from: Option<Date>,
    /// What the team has of its own.
    pub own: TeamPlan,
    /// Its state; 0 if the team has nothing of its own.
    pub version: i64,
    /// What was changed last.
    pub what: Option<Fact>,
}

/// An edition of a team as it is kept.
struct Row {
    team: Uuid,
    id: Uuid,
    curriculum: Uuid,
    number: i64,
    note: String,
    by: String,
    published_at: String,
    from_day: Option<String>,
    own: Option<String>,
    version: Option<i64>,
    what: Option<String>,
}

impl Row {
    fn assigned(self, edition: Arc<Edition>) -> Stored<Assigned> {
        let at = parsed("the day of an edition", &self.published_at)?;
        let Row { id, curriculum, number, note, by, .. } = self;
        let own = self.own.as_deref().map(|doc| from_json("a team's plan", doc)).transpose()?;
        Ok(Assigned {
            published: Published { id, curriculum, number, note, by, at },
            edition,
            from: self.from_day.as_deref().map(|day| parsed("a day", day)).transpose()?,
            own: own.unwrap_or_default(),
            version: self.version.unwrap_or(0),
            what: self.what.map(happened),
        })
    }
}

/// A team that takes a new edition in its own way.
#[derive(Clone, Debug)]
pub struct Joining {
    /// The team.
    pub team: Uuid,
    /// From which day on, if it is running; else from the beginning.
    pub from: Option<Date>,
    /// What it has of its own then.
    pub own: TeamPlan,
}

/// A team's plan in which every block has a name.
pub(crate) fn kept(own: &TeamPlan, published: &Edition) -> TeamPlan {
    let named = |plan: &Plan| plan.clone().continuing(&published.plan).named(fresh);
    TeamPlan { plan: own.plan.as_ref().map(named), ..own.clone() }
}

impl Store {
    /// The editions that a team works by, the curriculum that begins last first, and of each the latest first.
    pub async fn editions_of_team(&self, team: Uuid) -> Stored<Vec<Assigned>> {
        let rows = sqlx::query_as!(
            Row,
            r#"SELECT team_edition.team AS "team: Uuid", edition.id AS "id: Uuid", curriculum AS "curriculum: Uuid",
                   number, note, person.name AS by, published_at, from_day, team_plan.doc AS "own?",
                   version AS "version?", what AS "what?"
               FROM team_edition JOIN edition ON edition.id = team_edition.edition
                   JOIN person ON person.id = published_by
                   LEFT JOIN team_plan ON team_plan.team = team_edition.team AND team_plan.edition = edition.id
                       AND version = (SELECT MAX(version) FROM team_plan AS state
                                      WHERE state.team = team_edition.team AND state.edition = edition.id)
               WHERE team_edition.team = ?"#,
            team
        );
        let assigned = self.assigned(rows.fetch_all(&self.read).await?).await?;
        let mut all: Vec<Assigned> = assigned.into_iter().map(|(_, assigned)| assigned).collect();
        all.sort_by_key(|each| {
            Reverse((each.edition.curriculum.start, each.published.number, each.published.id))
        });
        Ok(all)
    }

    /// The editions of a curriculum by which teams work, of each team in the order of their numbers.
    pub async fn teams_by_editions_of(&self, curriculum: Uuid) -> Stored<BTreeMap<Uuid, Vec<Assigned>>> {
        let rows = sqlx::query_as!(
            Row,
            r#"SELECT team_edition.team AS "team: Uuid", edition.id AS "id: Uuid", curriculum AS "curriculum: Uuid",
                   number, note, person.name AS by, published_at, from_day, team_plan.doc AS "own?",
                   version AS "version?", what AS "what?"
               FROM edition JOIN team_edition ON edition.id = team_edition.edition
                   JOIN person ON person.id = published_by
                   LEFT JOIN team_plan ON team_plan.team = team_edition.team AND team_plan.edition = edition.id
                       AND version = (SELECT MAX(version) FROM team_plan AS state
                                      WHERE state.team = team_edition.team AND state.edition = edition.id)
               WHERE curriculum = ? ORDER BY number"#,
            curriculum
        );
        let mut teams: BTreeMap<Uuid, Vec<Assigned>> = BTreeMap::new();
        for (team, assigned) in self.assigned(rows.fetch_all(&self.read).await?).await? {
            teams.entry(team).or_default().push(assigned);
        }
        Ok(teams)
    }

    async fn assigned(&self, rows: Vec<Row>) -> Stored<Vec<(Uuid, Assigned)>> {
        let editions = self.editions_read(rows.iter().map(|row| row.id).collect()).await?;
        rows.into_iter()
            .map(|row| {
                let edition = editions.get(&row.id).cloned().ok_or(StoreError::Stale)?;
                Ok((row.team, row.assigned(edition)?))
            })
            .collect()
    }

    /// The latest editions of all curricula of a band.
    pub async fn latest_editions(&self, band: &BandId) -> Stored<Vec<(Uuid, Edition)>> {
        let band = band.as_str();
        let rows = sqlx::query!(
            r#"SELECT id AS "id: Uuid", doc FROM edition
               WHERE json_extract(doc, '$.band.id') = ?
                   AND number =
                       (SELECT MAX(number) FROM edition AS other WHERE other.curriculum = edition.curriculum)"#,
            band
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(|r| Ok((r.id, from_json("an edition", &r.doc)?))).collect()
    }

    /// Lets a team work by an edition from a day on.
    pub async fn assign(&self, team: Uuid, edition: Uuid, from: Date, at: Timestamp) -> Stored<()> {
        let (from, at) = (from.to_string(), stamp(at));
        sqlx::query!(
            "INSERT INTO team_edition (team, edition, assigned_at, from_day) VALUES (?, ?, ?, ?) ON CONFLICT DO NOTHING",
            team,
            edition,
            at,
            from
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// Keeps the next state of what a team has of its own, if it still is as it was read.
    pub async fn change_team_plan(
        &self,
        team: Uuid,
        read: &Assigned,
        own: &TeamPlan,
        what: &Fact,
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let (doc, at, version) =
            (to_json("a team's plan", &kept(own, &read.edition))?, stamp(at), read.version + 1);
        let what = what.to_string();
        sqlx::query!(
            "INSERT INTO team_plan (team, edition, version, doc, what, changed_by, changed_at)
             VALUES (?, ?, ?, ?, ?, ?, ?)",
            team,
            read.published.id,
            version,
            doc,
            what,
            by,
            at
        )
        .execute(&self.write)
        .await
        .map_err(|error| match error.as_database_error() {
            Some(e) if e.is_unique_violation() => StoreError::Stale,
            _ => error.into(),
        })?;
        Ok(())
    }

    /// Every state of what a team had of its own beside an edition, the earliest first.
    pub async fn team_plan_states(&self, team: Uuid, edition: Uuid) -> Stored<Vec<TeamPlan>> {
        let docs = sqlx::query_scalar!(
            "SELECT doc FROM team_plan WHERE team = ? AND edition = ? ORDER BY version",
            team,
            edition
        )
        .fetch_all(&self.read)
        .await?;
        docs.iter().map(|doc| from_json("a team's plan", doc)).collect()
    }

    /// What a team had of its own before its last change.
    pub async fn team_plan_before(&self, team: Uuid, read: &Assigned) -> Stored<TeamPlan> {
        let before = read.version - 1;
        let doc = sqlx::query_scalar!(
            "SELECT doc FROM team_plan WHERE team = ? AND edition = ? AND version = ?",
            team,
            read.published.id,
            before
        )
        .fetch_optional(&self.read)
        .await?;
        Ok(doc.map(|doc| from_json("a team's plan", &doc)).transpose()?.unwrap_or_default())
    }
}
