//! Practice at home: the address of a team's page, and what players say that they did.

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::ids::DrillId;
use uuid::Uuid;

use crate::academy::players::of_team;
use crate::{Store, Stored, parsed, stamp};

/// What a player says that they did.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct SelfReport {
    /// Made on the device.
    pub id: Uuid,
    /// Who. The caller has checked that they are of the team.
    pub player: Uuid,
    /// Name of the drill in files.
    pub drill: DrillId,
    /// On which day it was said.
    pub day: Date,
    /// Their best.
    pub best: u32,
    /// When it was entered, by the device.
    pub said_at: Timestamp,
}

/// The last that a player says of a drill.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Reported {
    /// Who.
    pub player: Uuid,
    /// Name of the drill in files.
    pub drill: DrillId,
    /// On which day.
    pub day: Date,
    /// Their best.
    pub best: u32,
}

impl Store {
    /// The secret in the address of a team's page; the one that is given if it has none yet.
    pub async fn home_token(&self, team: Uuid, new: &str, at: Timestamp) -> Stored<String> {
        let at = stamp(at);
        sqlx::query!(
            "INSERT INTO home_page (team, token, made_at) VALUES (?, ?, ?) ON CONFLICT (team) DO NOTHING",
            team,
            new,
            at
        )
        .execute(&self.write)
        .await?;
        Ok(sqlx::query_scalar!("SELECT token FROM home_page WHERE team = ?", team)
            .fetch_one(&self.write)
            .await?)
    }

    /// Gives a team's page another address; the earlier one no longer works.
    pub async fn renew_home_token(&self, team: Uuid, new: &str, at: Timestamp) -> Stored<()> {
        let at = stamp(at);
        sqlx::query!(
            "INSERT INTO home_page (team, token, made_at) VALUES (?, ?, ?)
             ON CONFLICT (team) DO UPDATE SET token = excluded.token, made_at = excluded.made_at",
            team,
            new,
            at
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// The team of an address.
    pub async fn home_team(&self, token: &str) -> Stored<Option<Uuid>> {
        Ok(sqlx::query_scalar!(r#"SELECT team AS "team: Uuid" FROM home_page WHERE token = ?"#, token)
            .fetch_optional(&self.read)
            .await?)
    }

    /// Takes in what players say, all of it or nothing. What is known already is passed over.
    pub async fn add_self_reports(
        &self,
        team: Uuid,
        reports: &[SelfReport],
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        for SelfReport { id, player, drill, day, best, said_at } in reports {
            let (drill, day, said_at) = (drill.as_str(), day.to_string(), stamp(*said_at));
            sqlx::query!(
                "INSERT INTO self_reported (id, player, drill, day, best, said_by, said_at, received_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
                id,
                player,
                drill,
                day,
                best,
                by,
                said_at,
                at
            )
            .execute(&mut *tx)
            .await?;
            let of =
                sqlx::query_scalar!(r#"SELECT player AS "player: Uuid" FROM self_reported WHERE id = ?"#, id);
            let of = of.fetch_one(&mut *tx).await?;
            of_team(&mut tx, of, team).await?;
        }
        Ok(tx.commit().await?)
    }

    /// What the players of a team said last, by player and drill.
    pub async fn self_reported(&self, team: Uuid) -> Stored<Vec<Reported>> {
        let rows = sqlx::query!(
            r#"SELECT player AS "player: Uuid", drill, day, best FROM self_reported AS said
               JOIN player ON player.id = player
               WHERE team = ? AND left_on IS NULL AND NOT EXISTS (
                   SELECT 1 FROM self_reported AS later
                   WHERE later.player = said.player AND later.drill = said.drill
                       AND (later.said_at, later.id) > (said.said_at, said.id))
               ORDER BY place, drill"#,
            team
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|r| {
                let day = parsed("the day of a self-report", &r.day)?;
                let drill = parsed("the drill of a self-report", &r.drill)?;
                Ok(Reported { player: r.player, drill, day, best: r.best as u32 })
            })
            .collect()
    }
}
