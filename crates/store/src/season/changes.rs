//! Season changes: made in one transaction, and taken back until something is logged.

use std::collections::BTreeSet;

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::ids::BandId;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::assessment::counts;
use crate::audit::{self, Deed};
use crate::{Store, Stored, Taken, parsed, stamp, taken};

/// A child who goes on in another team, or leaves.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Moved {
    /// Who.
    pub player: Uuid,
    /// Their team before.
    pub from: Uuid,
    /// Their team from now on; nothing for whoever leaves.
    pub to: Option<Uuid>,
}

/// A team that is added.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct TeamAdded {
    /// Its id.
    pub id: Uuid,
    /// Its name.
    pub name: String,
    /// Its band.
    pub band: BandId,
    /// A team of the club, from which its first children come.
    pub like: Uuid,
    /// Whether it takes over the coaches and times of that team.
    pub takes_over: bool,
}

/// Which change is made, of which season, by whom and when.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Making {
    /// The id of the change.
    pub id: Uuid,
    /// The season that it begins.
    pub season: Uuid,
    /// The academy's day.
    pub today: Date,
    /// Who makes it.
    pub by: Uuid,
    /// When.
    pub at: Timestamp,
}

/// A change that was made.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct MadeChange {
    /// Its id.
    pub id: Uuid,
    /// On which day.
    pub on: Date,
    /// By whom, by name.
    pub by: String,
    /// How many children went on in another team.
    pub moved: i64,
    /// How many left.
    pub left: i64,
    /// Whether it was taken back.
    pub is_taken_back: bool,
    /// Whether something was logged or measured in its teams since then.
    pub is_logged: bool,
}

/// What came of taking a change back.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum TakenBack {
    /// Everybody is where they were, but those who have been moved since then.
    Done {
        /// How many of those there are.
        elsewhere: usize,
    },
    /// Something was logged or measured since then: it stays.
    Logged,
    /// There is no such change, or it was taken back before.
    Unknown,
}

/// A child of a change, as it is kept.
struct MoveRow {
    player: Uuid,
    from_team: Uuid,
    from_place: i64,
    to_team: Option<Uuid>,
}

impl Store {
    /// Makes a season change, all of it or nothing. One that was made already is left as it is. Errs if two children of
    /// one team would have one name.
    pub async fn make_season_change(
        &self,
        making: &Making,
        teams: &[TeamAdded],
        moved: &[Moved],
    ) -> Stored<()> {
        let Making { id, season, today, by, at } = *making;
        let mut tx = self.begin().await?;
        let known = sqlx::query_scalar!("SELECT COUNT(*) FROM season_change WHERE id = ?", id);
        if known.fetch_one(&mut *tx).await? > 0 {
            return Ok(());
        }
        let (on, made_at) = (today.to_string(), stamp(at));
        let leaving = moved.iter().filter(|each| each.to.is_none()).count() as i64;
        let going_on = moved.len() as i64 - leaving;
        sqlx::query!(
            "INSERT INTO season_change (id, season, made_on, made_at, made_by, moved, leaving)
             VALUES (?, ?, ?, ?, ?, ?, ?)",
            id,
            season,
            on,
            made_at,
            by,
            going_on,
            leaving
        )
        .execute(&mut *tx)
        .await?;
        for team in teams {
            add_team(&mut tx, id, team).await?;
        }
        for Moved { player, from, to } in moved {
            sqlx::query!(
                "INSERT INTO season_move (change, player, from_team, from_place, to_team)
                 SELECT ?, id, team, place, ? FROM player WHERE id = ? AND team = ? AND left_on IS NULL",
                id,
                to,
                player,
                from
            )
            .execute(&mut *tx)
            .await?;
        }
        part_pairs(&mut tx, id).await?;
        set_aside(&mut tx, id).await?;
        for Moved { player, from, to } in moved {
            match to {
                None => {
                    sqlx::query!("UPDATE player SET left_on = ? WHERE id = ? AND team = ?", on, player, from)
                        .execute(&mut *tx)
                        .await?;
                }
                Some(to) => seat(&mut tx, *player, *to).await?,
            }
        }
        sqlx::query!(
            "INSERT OR IGNORE INTO player_before (player, team, until, change)
             SELECT player, from_team, ?, change FROM season_move WHERE change = ? AND to_team IS NOT NULL",
            on,
            id
        )
        .execute(&mut *tx)
        .await?;
        forget(&mut tx, id).await?;
        let about = format!("{going_on} moved, {leaving} left, {} teams added", teams.len());
        audit::put(&mut tx, (at, Some(by)), Deed::SeasonChanged, &about).await?;
        Ok(tx.commit().await?)
    }

    /// The changes of a season, the last one first.
    pub async fn season_changes(&self, season: Uuid) -> Stored<Vec<MadeChange>> {
        let rows = sqlx::query!(
            r#"SELECT season_change.id AS "id: Uuid", made_on, person.name AS by, moved, leaving, taken_back_at
               FROM season_change JOIN person ON person.id = made_by WHERE season = ?
               ORDER BY made_at DESC, season_change.id"#,
            season
        );
        let mut changes = Vec::new();
        for row in rows.fetch_all(&self.read).await? {
            changes.push(MadeChange {
                id: row.id,
                on: parsed("the day of a season change", &row.made_on)?,
                by: row.by,
                moved: row.moved,
                left: row.leaving,
                is_taken_back: row.taken_back_at.is_some(),
                is_logged: is_logged(&mut *self.read.acquire().await?, row.id).await?,
            });
        }
        Ok(changes)
    }

    /// Takes a change back: everybody goes back to the team and the place that they had, whoever left is there again,
    /// and teams that were added for it are gone, unless something else has come to hang on them.
    pub async fn take_back_season_change(&self, id: Uuid, by: Uuid, at: Timestamp) -> Stored<TakenBack> {
        let mut tx = self.begin().await?;
        let known = sqlx::query_scalar!(
            "SELECT COUNT(*) FROM season_change WHERE id = ? AND taken_back_at IS NULL",
            id
        );
        if known.fetch_one(&mut *tx).await? == 0 {
            return Ok(TakenBack::Unknown);
        }
        if is_logged(&mut tx, id).await? {
            return Ok(TakenBack::Logged);
        }
        let all = sqlx::query_as!(
            MoveRow,
            r#"SELECT player AS "player: Uuid", from_team AS "from_team: Uuid", from_place,
                   to_team AS "to_team: Uuid"
               FROM season_move WHERE change = ?"#,
            id
        )
        .fetch_all(&mut *tx)
        .await?;
        // Whoever was moved or came back since then stays where they are now.
        let there = sqlx::query_scalar!(
            r#"SELECT player.id AS "id: Uuid" FROM season_move JOIN player ON player.id = player
               WHERE change = ? AND CASE WHEN to_team IS NULL THEN team = from_team AND left_on IS NOT NULL
                   ELSE team = to_team AND left_on IS NULL END"#,
            id
        );
        let there: BTreeSet<Uuid> = there.fetch_all(&mut *tx).await?.into_iter().collect();
        let back: Vec<&MoveRow> = all.iter().filter(|each| there.contains(&each.player)).collect();
        for each in &back {
            sqlx::query!("UPDATE player SET left_on = '0001-01-01' WHERE id = ?", each.player)
                .execute(&mut *tx)
                .await?;
        }
        for each in &back {
            let name = sqlx::query_scalar!("SELECT name FROM player WHERE id = ?", each.player);
            let name = name.fetch_one(&mut *tx).await?;
            sqlx::query!(
                "UPDATE player SET team = ?, place = ?, left_on = NULL WHERE id = ?",
                each.from_team,
                each.from_place,
                each.player
            )
            .execute(&mut *tx)
            .await
            .map_err(|e| taken(e, Taken::PlayerName { name }))?;
            if each.to_team.is_some() {
                sqlx::query!("DELETE FROM player_before WHERE change = ? AND player = ?", id, each.player)
                    .execute(&mut *tx)
                    .await?;
            }
        }
        sqlx::query!(
            "INSERT OR IGNORE INTO pair_wish (one, other, together)
             SELECT one, other, together FROM season_pair WHERE change = ?
                 AND (SELECT team FROM player WHERE id = one) = (SELECT team FROM player WHERE id = other)",
            id
        )
        .execute(&mut *tx)
        .await?;
        forget(&mut tx, id).await?;
        take_teams_away(&mut tx, id).await?;
        let now = stamp(at);
        sqlx::query!("UPDATE season_change SET taken_back_at = ? WHERE id = ?", now, id)
            .execute(&mut *tx)
            .await?;
        audit::put(&mut tx, (at, Some(by)), Deed::SeasonChangeTakenBack, &format!("{} back", back.len()))
            .await?;
        tx.commit().await?;
        Ok(TakenBack::Done { elsewhere: all.len() - back.len() })
    }
}

async fn add_team(tx: &mut Transaction<'static, Sqlite>, change: Uuid, added: &TeamAdded) -> Stored<()> {
    let TeamAdded { id, name, band, like, takes_over } = added;
    let band = band.as_str();
    sqlx::query!(
        "INSERT INTO team (id, club, band, name) SELECT ?, club, ?, ? FROM team WHERE id = ?",
        id,
        band,
        name,
        like
    )
    .execute(&mut **tx)
    .await
    .map_err(|e| taken(e, Taken::TeamName { name: name.clone() }))?;
    sqlx::query!(
        "INSERT INTO season_team (change, team, like, takes_over) VALUES (?, ?, ?, ?)",
        change,
        id,
        like,
        takes_over
    )
    .execute(&mut **tx)
    .await?;
    if *takes_over {
        hand_over(tx, *like, *id).await?;
    }
    Ok(())
}

/// The coaches and times of a team go over to another one.
async fn hand_over(tx: &mut Transaction<'static, Sqlite>, from: Uuid, to: Uuid) -> Stored<()> {
    sqlx::query!("UPDATE OR IGNORE team_coach SET team = ? WHERE team = ?", to, from)
        .execute(&mut **tx)
        .await?;
    sqlx::query!("UPDATE OR IGNORE slot SET team = ? WHERE team = ?", to, from).execute(&mut **tx).await?;
    Ok(())
}

/// Parts the pairs of which not both go on in one team.
async fn part_pairs(tx: &mut Transaction<'static, Sqlite>, change: Uuid) -> Stored<()> {
    sqlx::query!(
        "INSERT INTO season_pair (change, one, other, together)
         SELECT ?1, one, other, together FROM pair_wish
             LEFT JOIN season_move AS first ON first.change = ?1 AND first.player = one
             LEFT JOIN season_move AS second ON second.change = ?1 AND second.player = other
         WHERE (first.player IS NOT NULL OR second.player IS NOT NULL)
             AND (first.to_team IS NULL OR second.to_team IS NULL OR first.to_team <> second.to_team)",
        change
    )
    .execute(&mut **tx)
    .await?;
    sqlx::query!(
        "DELETE FROM pair_wish WHERE (one, other) IN (SELECT one, other FROM season_pair WHERE change = ?)",
        change
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

/// Takes everybody out of their squads first, so that nobody's name is in the way of somebody who comes in.
async fn set_aside(tx: &mut Transaction<'static, Sqlite>, change: Uuid) -> Stored<()> {
    sqlx::query!(
        "UPDATE player SET left_on = '0001-01-01'
         WHERE id IN (SELECT player FROM season_move WHERE change = ?)",
        change
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

/// Gives somebody the last place of a squad.
async fn seat(tx: &mut Transaction<'static, Sqlite>, player: Uuid, team: Uuid) -> Stored<()> {
    let name = sqlx::query_scalar!("SELECT name FROM player WHERE id = ?", player);
    let name = name.fetch_optional(&mut **tx).await?.unwrap_or_default();
    sqlx::query!(
        "UPDATE player SET team = ?1, left_on = NULL,
             place = (SELECT COALESCE(MAX(place), 0) + 1 FROM player WHERE team = ?1)
         WHERE id = ?2 AND left_on = '0001-01-01'",
        team,
        player
    )
    .execute(&mut **tx)
    .await
    .map_err(|e| taken(e, Taken::PlayerName { name }))?;
    Ok(())
}

/// Lets go what is kept of the teams of a change.
async fn forget(tx: &mut Transaction<'static, Sqlite>, change: Uuid) -> Stored<()> {
    let teams = sqlx::query_scalar!(
        r#"SELECT from_team AS "team!: Uuid" FROM season_move WHERE change = ?1
           UNION SELECT to_team FROM season_move WHERE change = ?1 AND to_team IS NOT NULL"#,
        change
    );
    for team in teams.fetch_all(&mut **tx).await? {
        counts::forget(tx, team).await?;
    }
    Ok(())
}

/// Takes the teams away that were added, with the coaches and times given back. A team on which something else hangs by
/// now stays, empty.
async fn take_teams_away(tx: &mut Transaction<'static, Sqlite>, change: Uuid) -> Stored<()> {
    let added = sqlx::query!(
        r#"SELECT team AS "team: Uuid", like AS "like: Uuid", takes_over AS "takes_over: bool"
           FROM season_team WHERE change = ?"#,
        change
    );
    for row in added.fetch_all(&mut **tx).await? {
        if row.takes_over {
            hand_over(tx, row.team, row.like).await?;
        }
        sqlx::query!("DELETE FROM season_move WHERE change = ? AND to_team = ?", change, row.team)
            .execute(&mut **tx)
            .await?;
        sqlx::query!("DELETE FROM team_levels WHERE team = ?", row.team).execute(&mut **tx).await?;
        let mut point = sqlx::Acquire::begin(&mut **tx).await?;
        let gone = sqlx::query!("DELETE FROM team WHERE id = ?", row.team).execute(&mut *point).await;
        match gone {
            Ok(_) => point.commit().await?,
            Err(error) if error.as_database_error().is_some_and(|e| e.is_foreign_key_violation()) => {
                point.rollback().await?;
            }
            Err(error) => return Err(error.into()),
        }
    }
    Ok(())
}

/// Whether something was logged or measured of the children of a change, or in their new teams, after it was made.
async fn is_logged(reads: &mut sqlx::SqliteConnection, change: Uuid) -> Stored<bool> {
    let logged = sqlx::query_scalar!(
        r#"SELECT EXISTS (
               SELECT 1 FROM season_change JOIN season_move ON season_move.change = season_change.id
               WHERE season_change.id = ?1 AND (
                   EXISTS (SELECT 1 FROM trial WHERE trial.player = season_move.player AND received_at > made_at)
                   OR EXISTS (SELECT 1 FROM presence
                       WHERE presence.player = season_move.player AND received_at > made_at)
                   OR EXISTS (SELECT 1 FROM milestone_word
                       WHERE milestone_word.player = season_move.player AND received_at > made_at)
                   OR EXISTS (SELECT 1 FROM outcome WHERE team = to_team AND received_at > made_at)
                   OR EXISTS (SELECT 1 FROM note WHERE team = to_team AND received_at > made_at))
           ) AS "logged: bool""#,
        change
    );
    Ok(logged.fetch_one(reads).await?)
}
