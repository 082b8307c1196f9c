//! One player: everything that is kept of them, correcting it, and erasing it.

use std::collections::BTreeMap;

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::academy::roster::NewPlayer;
use jogo_core::assessment::milestones::Verdict;
use jogo_core::technique::skill::Side;
use serde::Serialize;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::academy::teams::{Player, Team};
use crate::audit::{self, Deed};
use crate::erasure::{self, Erased};
use crate::{Store, Stored, Taken, assessment::counts, from_json, from_word, parsed, taken, to_word};

/// A player who has left.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Left {
    /// Id.
    pub id: Uuid,
    /// Of which team.
    pub team: Uuid,
    /// Their name.
    pub name: String,
    /// Since when.
    pub on: Date,
}

/// Everything that is kept of one player.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct PlayerFacts {
    /// Who they are.
    pub about: NewPlayer,
    /// Their team.
    pub team: String,
    /// Their club.
    pub club: String,
    /// The teams that they were in before, each up to a day.
    pub earlier_teams: Vec<EarlierFact>,
    /// What was measured, also what was taken back.
    pub trials: Vec<TrialFact>,
    /// On which days they were there: everything that was said of it, in its order.
    pub presence: Vec<PresenceFact>,
    /// What coaches said against the evidence.
    pub words: Vec<WordFact>,
    /// What they said that they did at home.
    pub self_reported: Vec<ReportFact>,
    /// The notes of sessions that are about them.
    pub notes: Vec<NoteFact>,
    /// With how many others they stay together at the stations; who those are is kept of them, too, and not said here.
    pub kept_together_with: i64,
    /// From how many others they are kept apart.
    pub kept_apart_from: i64,
}

/// A team that a player was in before.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct EarlierFact {
    /// By name.
    pub team: String,
    /// The first day on which they were in it no more.
    pub until: String,
}

/// A note of a session.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct NoteFact {
    /// On which day.
    pub day: String,
    /// What it says.
    pub says: String,
    /// Who said so, when, and when it arrived.
    pub said: SaidFact,
}

/// Who said something.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct SaidFact {
    /// By name.
    pub by: String,
    /// When it was said.
    pub at: String,
    /// When it reached the academy.
    pub received_at: String,
}

/// A trial.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct TrialFact {
    /// In which test.
    pub test: String,
    /// On which day.
    pub taken_on: String,
    /// With which foot.
    pub side: Option<Side>,
    /// What was measured.
    pub value: f64,
    /// What was seen of each point.
    pub marks: Vec<u8>,
    /// Whether it was taken back.
    pub taken_back: bool,
    /// Who said so, when, and when it arrived.
    pub said: SaidFact,
}

/// Whether they were there.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct PresenceFact {
    /// On which day.
    pub day: String,
    /// Whether they were.
    pub present: bool,
    /// Who said so, when, and when it arrived.
    pub said: SaidFact,
}

/// The word of a coach.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct WordFact {
    /// On which milestone.
    pub milestone: String,
    /// From which day on.
    pub day: String,
    /// What it says.
    pub verdict: Verdict,
    /// Why.
    pub reason: String,
    /// Who said so, when, and when it arrived.
    pub said: SaidFact,
}

/// A report from home.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct ReportFact {
    /// Of which drill.
    pub drill: String,
    /// On which day.
    pub day: String,
    /// Their best.
    pub best: i64,
    /// Who said so, when, and when it arrived.
    pub said: SaidFact,
}

impl Store {
    /// Everything that is kept of a player.
    pub async fn player_facts(&self, team: &Team, player: &Player) -> Stored<PlayerFacts> {
        let id = player.id;
        let trials = sqlx::query!(
            r#"SELECT test, taken_on, side, value, marks, said_at, received_at, person.name AS by,
                   EXISTS (SELECT 1 FROM trial_taken_back WHERE trial = trial.id) AS "taken_back: bool"
               FROM trial JOIN person ON person.id = taken_by WHERE player = ?
               ORDER BY taken_on, said_at, trial.id"#,
            id
        )
        .fetch_all(&self.read)
        .await?
        .into_iter()
        .map(|row| {
            Ok(TrialFact {
                test: row.test,
                taken_on: row.taken_on,
                side: row.side.map(|side| from_word("a side", &side)).transpose()?,
                value: row.value,
                marks: row.marks.map(|marks| from_json("marks", &marks)).transpose()?.unwrap_or_default(),
                taken_back: row.taken_back,
                said: SaidFact { by: row.by, at: row.said_at, received_at: row.received_at },
            })
        })
        .collect::<Stored<_>>()?;
        let presence = sqlx::query!(
            r#"SELECT day, present AS "present: bool", said_at, received_at, person.name AS by
               FROM presence JOIN person ON person.id = said_by WHERE player = ? ORDER BY day, said_at, presence.id"#,
            id
        )
        .fetch_all(&self.read)
        .await?
        .into_iter()
        .map(|row| PresenceFact {
            day: row.day,
            present: row.present,
            said: SaidFact { by: row.by, at: row.said_at, received_at: row.received_at },
        })
        .collect();
        let words = sqlx::query!(
            "SELECT milestone, day, verdict, reason, said_at, received_at, person.name AS by
             FROM milestone_word JOIN person ON person.id = said_by WHERE player = ?
             ORDER BY said_at, milestone_word.id",
            id
        )
        .fetch_all(&self.read)
        .await?
        .into_iter()
        .map(|row| {
            let verdict = from_word("a verdict", &row.verdict)?;
            let said = SaidFact { by: row.by, at: row.said_at, received_at: row.received_at };
            Ok(WordFact { milestone: row.milestone, day: row.day, verdict, reason: row.reason, said })
        })
        .collect::<Stored<_>>()?;
        let self_reported = sqlx::query!(
            "SELECT drill, day, best, said_at, received_at, person.name AS by
             FROM self_reported JOIN person ON person.id = said_by WHERE player = ? ORDER BY day, said_at",
            id
        )
        .fetch_all(&self.read)
        .await?
        .into_iter()
        .map(|row| ReportFact {
            drill: row.drill,
            day: row.day,
            best: row.best,
            said: SaidFact { by: row.by, at: row.said_at, received_at: row.received_at },
        })
        .collect();
        let notes = sqlx::query!(
            "SELECT day, says, person.name AS by, said_at, received_at
             FROM note_about JOIN note ON note.id = note JOIN person ON person.id = said_by
             WHERE player = ? AND NOT EXISTS (
                 SELECT 1 FROM note AS later WHERE later.team = note.team AND later.day = note.day
                     AND (later.said_at, later.id) > (note.said_at, note.id))
             ORDER BY day",
            id
        )
        .fetch_all(&self.read)
        .await?
        .into_iter()
        .map(|row| NoteFact {
            day: row.day,
            says: row.says,
            said: SaidFact { by: row.by, at: row.said_at, received_at: row.received_at },
        })
        .collect();
        let earlier_teams = sqlx::query_as!(
            EarlierFact,
            "SELECT team.name AS team, until FROM player_before JOIN team ON team.id = player_before.team
             WHERE player = ? ORDER BY until",
            id
        )
        .fetch_all(&self.read)
        .await?;
        let pairs = sqlx::query!(
            r#"SELECT COALESCE(SUM(together), 0) AS "together!: i64", COUNT(*) AS "all!: i64"
               FROM pair_wish WHERE one = ?1 OR other = ?1"#,
            id
        )
        .fetch_one(&self.read)
        .await?;
        Ok(PlayerFacts {
            about: player.about.clone(),
            team: team.name.clone(),
            club: team.club.clone(),
            earlier_teams,
            trials,
            presence,
            words,
            self_reported,
            notes,
            kept_together_with: pairs.together,
            kept_apart_from: pairs.all - pairs.together,
        })
    }

    /// Corrects what is known of a player. Errs if another one of the squad has the name.
    pub async fn correct_player(
        &self,
        team: &Team,
        player: Uuid,
        about: &NewPlayer,
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let (born, foot) = (about.birth_month.to_string(), to_word("a strong foot", &about.strong_foot)?);
        let mut tx = self.begin().await?;
        sqlx::query!(
            "UPDATE player SET name = ?, birth_month = ?, strong_foot = ? WHERE id = ? AND team = ?",
            about.name,
            born,
            foot,
            player,
            team.id
        )
        .execute(&mut *tx)
        .await
        .map_err(|e| taken(e, Taken::PlayerName { name: about.name.clone() }))?;
        counts::forget(&mut tx, team.id).await?;
        audit::put(&mut tx, (at, Some(by)), Deed::PlayerCorrected, &of(team)).await?;
        Ok(tx.commit().await?)
    }

    /// A player goes on in another team, at the end of its squad, with everything that is kept of them but whom they
    /// stay with at the stations. Errs if another one there has the name.
    pub async fn move_player(
        &self,
        (from, to): (&Team, &Team),
        player: &Player,
        today: Date,
        (by, at): (Uuid, Timestamp),
    ) -> Stored<()> {
        let until = today.to_string();
        let mut tx = self.begin().await?;
        sqlx::query!(
            "UPDATE player SET team = ?1, place = (SELECT COALESCE(MAX(place), 0) + 1 FROM player WHERE team = ?1)
             WHERE id = ?2 AND team = ?3",
            to.id,
            player.id,
            from.id
        )
        .execute(&mut *tx)
        .await
        .map_err(|e| taken(e, Taken::PlayerName { name: player.about.name.clone() }))?;
        sqlx::query!(
            "INSERT OR IGNORE INTO player_before (player, team, until) VALUES (?, ?, ?)",
            player.id,
            from.id,
            until
        )
        .execute(&mut *tx)
        .await?;
        sqlx::query!("DELETE FROM pair_wish WHERE one = ?1 OR other = ?1", player.id)
            .execute(&mut *tx)
            .await?;
        counts::forget(&mut tx, from.id).await?;
        counts::forget(&mut tx, to.id).await?;
        let about = format!("{} → {}", of(from), of(to));
        audit::put(&mut tx, (at, Some(by)), Deed::PlayerMoved, &about).await?;
        Ok(tx.commit().await?)
    }

    /// A player has left the squad on a day, or is back. What is kept of them stays until its time has passed. Errs if
    /// somebody who comes back has the name of another one by now.
    pub async fn set_left(
        &self,
        team: &Team,
        player: Uuid,
        left_on: Option<Date>,
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let on = left_on.map(|day| day.to_string());
        let mut tx = self.begin().await?;
        let name = sqlx::query_scalar!("SELECT name FROM player WHERE id = ?", player);
        let name = name.fetch_one(&mut *tx).await?;
        sqlx::query!("UPDATE player SET left_on = ? WHERE id = ? AND team = ?", on, player, team.id)
            .execute(&mut *tx)
            .await
            .map_err(|e| taken(e, Taken::PlayerName { name }))?;
        counts::forget(&mut tx, team.id).await?;
        let deed = if left_on.is_some() { Deed::PlayerLeft } else { Deed::PlayerBack };
        audit::put(&mut tx, (at, Some(by)), deed, &of(team)).await?;
        Ok(tx.commit().await?)
    }

    /// The players who have left, of one team or of all, those first who left first.
    pub async fn left_players(&self, team: Option<Uuid>) -> Stored<Vec<Left>> {
        let rows = sqlx::query!(
            r#"SELECT id AS "id: Uuid", team AS "team: Uuid", name, left_on AS "left_on!" FROM player
               WHERE left_on IS NOT NULL AND (?1 IS NULL OR team = ?1) ORDER BY left_on, name"#,
            team
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                let on = parsed("the day on which a player left", &row.left_on)?;
                Ok(Left { id: row.id, team: row.team, name: row.name, on })
            })
            .collect()
    }

    /// The players who were in a squad before, each with the first day on which they were in it no more.
    pub async fn earlier_players(&self, team: Uuid) -> Stored<BTreeMap<Uuid, Date>> {
        let rows = sqlx::query!(
            r#"SELECT player AS "player!: Uuid", MAX(until) AS "until!: String" FROM (
                   SELECT player, until FROM player_before WHERE team = ?1
                   UNION ALL SELECT id, date(left_on, '+1 day') FROM player WHERE team = ?1 AND left_on IS NOT NULL)
               GROUP BY player"#,
            team
        );
        let rows = rows.fetch_all(&self.read).await?.into_iter();
        rows.map(|row| Ok((row.player, parsed("the day on which a player moved", &row.until)?))).collect()
    }

    /// Erases a player and everything that is kept of them. What was written over is not left in the file; until it is
    /// not left in the log of writes either, the erasure waits.
    pub async fn erase_player(&self, team: &Team, player: Uuid, by: Uuid, at: Timestamp) -> Stored<Erased> {
        let mut tx = self.begin().await?;
        erase(&mut tx, player).await?;
        counts::forget(&mut tx, team.id).await?;
        audit::put(&mut tx, (at, Some(by)), Deed::PlayerErased, &of(team)).await?;
        erasure::begin(&mut tx, at).await?;
        tx.commit().await?;
        self.finish_erasures(at).await
    }

    /// Erases the players who left before a day, since what is kept of them has had its time. Says how many.
    pub async fn erase_left(&self, before: Date, at: Timestamp) -> Stored<usize> {
        let due = self.left_players(None).await?.into_iter().filter(|left| left.on < before);
        let mut erased = 0;
        for Left { id, team, .. } in due {
            let mut tx = self.begin().await?;
            erase(&mut tx, id).await?;
            counts::forget(&mut tx, team).await?;
            erasure::begin(&mut tx, at).await?;
            tx.commit().await?;
            erased += 1;
        }
        if erased > 0 {
            self.note(at, None, Deed::PlayerErased, &format!("{erased} who left before {before}")).await?;
            self.finish_erasures(at).await?;
        }
        Ok(erased)
    }
}

/// Refuses an entry about a player who was never in a team. One that waited on a device is accepted after they moved.
pub(crate) async fn of_team(tx: &mut Transaction<'_, Sqlite>, player: Uuid, team: Uuid) -> Stored<()> {
    let was_there = sqlx::query_scalar!(
        r#"SELECT EXISTS (SELECT 1 FROM player WHERE id = ?1 AND team = ?2)
               OR EXISTS (SELECT 1 FROM player_before WHERE player = ?1 AND team = ?2) AS "was_there!: bool""#,
        player,
        team
    );
    match was_there.fetch_one(&mut **tx).await? {
        true => Ok(()),
        false => Err(Taken::OtherTeam.into()),
    }
}

/// How the audit log speaks of a player: by their team, never by their name.
fn of(team: &Team) -> String {
    format!("{} {}", team.club, team.name)
}

async fn erase(tx: &mut Transaction<'_, Sqlite>, player: Uuid) -> Stored<()> {
    sqlx::query!(
        "DELETE FROM trial_taken_back WHERE trial IN (SELECT id FROM trial WHERE player = ?)",
        player
    )
    .execute(&mut **tx)
    .await?;
    sqlx::query!("DELETE FROM trial WHERE player = ?", player).execute(&mut **tx).await?;
    sqlx::query!("DELETE FROM presence WHERE player = ?", player).execute(&mut **tx).await?;
    sqlx::query!("DELETE FROM milestone_word WHERE player = ?", player).execute(&mut **tx).await?;
    sqlx::query!("DELETE FROM self_reported WHERE player = ?", player).execute(&mut **tx).await?;
    sqlx::query!("DELETE FROM note_about WHERE player = ?", player).execute(&mut **tx).await?;
    sqlx::query!("DELETE FROM pair_wish WHERE one = ?1 OR other = ?1", player).execute(&mut **tx).await?;
    sqlx::query!("DELETE FROM player WHERE id = ?", player).execute(&mut **tx).await?;
    Ok(())
}
