//! One player: everything that is kept of them, and erasing it.

use jiff::Timestamp;
use jogo_core::academy::roster::NewPlayer;
use jogo_core::assessment::milestones::Verdict;
use jogo_core::technique::skill::Side;
use serde::Serialize;
use uuid::Uuid;

use crate::academy::teams::{Player, Team};
use crate::{Store, Stored, assessment::counts, audit, from_json, from_word};

/// Everything that is kept of one player.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct PlayerFacts {
    /// Who they are.
    pub about: NewPlayer,
    /// Their team.
    pub team: String,
    /// Their club.
    pub club: String,
    /// What was measured, also what was taken back.
    pub trials: Vec<TrialFact>,
    /// On which days they were there, as it was said last.
    pub presence: Vec<PresenceFact>,
    /// What coaches said against the evidence.
    pub words: Vec<WordFact>,
    /// What they said that they did at home.
    pub self_reported: Vec<ReportFact>,
    /// With how many others they stay together at the stations; who those are is kept of them, too, and not said here.
    pub kept_together_with: i64,
    /// From how many others they are kept apart.
    pub kept_apart_from: i64,
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
}

/// Whether they were there.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct PresenceFact {
    /// On which day.
    pub day: String,
    /// Whether they were.
    pub present: bool,
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
}

impl Store {
    /// Everything that is kept of a player.
    pub async fn player_facts(&self, team: &Team, player: &Player) -> Stored<PlayerFacts> {
        let id = player.id;
        let trials = sqlx::query!(
            r#"SELECT test, taken_on, side, value, marks,
                   EXISTS (SELECT 1 FROM trial_taken_back WHERE trial = trial.id) AS "taken_back: bool"
               FROM trial WHERE player = ? ORDER BY taken_on, said_at, id"#,
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
            })
        })
        .collect::<Stored<_>>()?;
        let presence = sqlx::query_as!(
            PresenceFact,
            r#"SELECT day, present AS "present: bool" FROM presence AS said WHERE player = ?
                   AND NOT EXISTS (SELECT 1 FROM presence WHERE player = said.player AND day = said.day
                       AND (said_at, id) > (said.said_at, said.id))
               ORDER BY day"#,
            id
        )
        .fetch_all(&self.read)
        .await?;
        let words = sqlx::query!(
            "SELECT milestone, day, verdict, reason FROM milestone_word WHERE player = ? ORDER BY said_at, id",
            id
        )
        .fetch_all(&self.read)
        .await?
        .into_iter()
        .map(|row| {
            let verdict = from_word("a verdict", &row.verdict)?;
            Ok(WordFact { milestone: row.milestone, day: row.day, verdict, reason: row.reason })
        })
        .collect::<Stored<_>>()?;
        let self_reported = sqlx::query_as!(
            ReportFact,
            "SELECT drill, day, best FROM self_reported WHERE player = ? ORDER BY day, said_at",
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
            trials,
            presence,
            words,
            self_reported,
            kept_together_with: pairs.together,
            kept_apart_from: pairs.all - pairs.together,
        })
    }

    /// Erases a player and everything that is kept of them, for good: what was written over is not left in the file.
    pub async fn erase_player(&self, team: &Team, player: Uuid, by: Uuid, at: Timestamp) -> Stored<()> {
        let mut tx = self.begin().await?;
        sqlx::query!(
            "DELETE FROM trial_taken_back WHERE trial IN (SELECT id FROM trial WHERE player = ?)",
            player
        )
        .execute(&mut *tx)
        .await?;
        sqlx::query!("DELETE FROM trial WHERE player = ?", player).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM presence WHERE player = ?", player).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM milestone_word WHERE player = ?", player).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM self_reported WHERE player = ?", player).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM pair_wish WHERE one = ?1 OR other = ?1", player).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM player WHERE id = ?", player).execute(&mut *tx).await?;
        counts::forget(&mut tx, team.id).await?;
        audit::put(&mut tx, (at, by), "player erased", &format!("a player of {}", team.name)).await?;
        tx.commit().await?;
        // The log of writes still holds the pages as they were: it is folded in and started again.
        sqlx::query("PRAGMA wal_checkpoint(TRUNCATE)").execute(&self.write).await?;
        Ok(())
    }
}
