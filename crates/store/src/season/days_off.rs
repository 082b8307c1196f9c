//! Days off of the academy, of clubs and of teams.

use jogo_core::season::days_off::{DaysOff, Whose};
use uuid::Uuid;

use crate::{Store, StoreError, Stored, parsed};

/// Days off as they are kept.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct KeptDaysOff {
    /// Id.
    pub id: Uuid,
    /// Whose.
    pub whose: Whose,
    /// Which days.
    pub days: DaysOff,
}

struct Row {
    id: Uuid,
    club: Option<Uuid>,
    team: Option<Uuid>,
    name: String,
    first_day: String,
    last_day: String,
}

impl TryFrom<Row> for KeptDaysOff {
    type Error = StoreError;

    fn try_from(row: Row) -> Stored<KeptDaysOff> {
        let day = |text: &str| parsed("a day off", text);
        let whose = match (row.club, row.team) {
            (Some(club), _) => Whose::Club { club },
            (None, Some(team)) => Whose::Team { team },
            (None, None) => Whose::Academy,
        };
        let days = DaysOff { name: row.name, first: day(&row.first_day)?, last: day(&row.last_day)? };
        Ok(KeptDaysOff { id: row.id, whose, days })
    }
}

impl Store {
    /// All days off, by their first days.
    pub async fn days_off(&self) -> Stored<Vec<KeptDaysOff>> {
        let rows = sqlx::query_as!(
            Row,
            r#"SELECT id AS "id: Uuid", club AS "club: Uuid", team AS "team: Uuid", name, first_day, last_day
               FROM days_off WHERE NOT dropped ORDER BY first_day, id"#
        );
        rows.fetch_all(&self.read).await?.into_iter().map(KeptDaysOff::try_from).collect()
    }

    /// Those that concern a club: of the academy, its own, and of its teams.
    pub async fn days_off_of_club(&self, club: &str) -> Stored<Vec<KeptDaysOff>> {
        let rows = sqlx::query_as!(
            Row,
            r#"SELECT days_off.id AS "id: Uuid", days_off.club AS "club: Uuid", team AS "team: Uuid", days_off.name,
                   first_day, last_day
               FROM days_off LEFT JOIN team ON team.id = days_off.team
                   LEFT JOIN club ON club.id = COALESCE(days_off.club, team.club)
               WHERE NOT dropped AND (club.name = ? OR club.id IS NULL) ORDER BY first_day, days_off.id"#,
            club
        );
        rows.fetch_all(&self.read).await?.into_iter().map(KeptDaysOff::try_from).collect()
    }

    /// Days off that are there, or were.
    pub async fn whose_days_off(&self, id: Uuid) -> Stored<Option<Whose>> {
        let row = sqlx::query_as!(
            Row,
            r#"SELECT id AS "id: Uuid", club AS "club: Uuid", team AS "team: Uuid", name, first_day, last_day
               FROM days_off WHERE id = ?"#,
            id
        );
        row.fetch_optional(&self.read).await?.map(|row| Ok(KeptDaysOff::try_from(row)?.whose)).transpose()
    }

    /// Adds days off, or changes their days; whose they are stays. Returns their version, which rises when anything is
    /// different.
    pub async fn put_days_off(&self, id: Uuid, whose: Whose, days: &DaysOff) -> Stored<i64> {
        let (club, team) = match whose {
            Whose::Academy => (None, None),
            Whose::Club { club } => (Some(club), None),
            Whose::Team { team } => (None, Some(team)),
        };
        let (first, last) = (days.first.to_string(), days.last.to_string());
        let version = sqlx::query_scalar!(
            r#"INSERT INTO days_off (id, club, team, name, first_day, last_day, version) VALUES (?, ?, ?, ?, ?, ?, 1)
               ON CONFLICT (id) DO UPDATE SET name = excluded.name, first_day = excluded.first_day,
                   last_day = excluded.last_day, dropped = 0,
                   version = version + (dropped OR (name, first_day, last_day)
                       <> (excluded.name, excluded.first_day, excluded.last_day))
               RETURNING version AS "version!: i64""#,
            id,
            club,
            team,
            days.name,
            first,
            last
        );
        Ok(version.fetch_one(&self.write).await?)
    }

    /// Takes days off away. Returns their version; `None` if there never were such.
    pub async fn drop_days_off(&self, id: Uuid) -> Stored<Option<i64>> {
        let version = sqlx::query_scalar!(
            r#"UPDATE days_off SET version = version + NOT dropped, dropped = 1 WHERE id = ?
               RETURNING version AS "version!: i64""#,
            id
        );
        Ok(version.fetch_optional(&self.write).await?)
    }
}
