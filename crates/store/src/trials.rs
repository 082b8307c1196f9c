//! Trials: what was measured, and what was taken back.

use jiff::Timestamp;
use jogo_core::results::Trial;
use uuid::Uuid;

use crate::{Store, StoreError, Stored, from_word, parsed, stamp, to_word};

/// One trial of one player, under the id that was made on the device.
#[derive(Clone, Debug, PartialEq)]
pub struct KnownTrial {
    /// Id.
    pub id: Uuid,
    /// What was measured.
    pub trial: Trial<Uuid>,
}

/// A trial, and when it was said.
#[derive(Clone, Debug)]
pub struct NewTrial {
    /// Made on the device.
    pub id: Uuid,
    /// The trial.
    pub trial: Trial<Uuid>,
    /// When it was said, by the device.
    pub said_at: Timestamp,
}

/// A trial to be taken back.
#[derive(Clone, Copy, Debug)]
pub struct TakenBack {
    /// Which.
    pub trial: Uuid,
    /// When that was said, by the device.
    pub said_at: Timestamp,
}

impl Store {
    /// Takes trials in and back, all of it or nothing. What is known already is passed over.
    ///
    /// The caller has checked that the players are of the team and that the values can be true.
    pub async fn add_trials(
        &self,
        team: Uuid,
        trials: &[NewTrial],
        taken_back: &[TakenBack],
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        for NewTrial { id, trial, said_at } in trials {
            let side = trial.side.map(|side| to_word("a side", &side)).transpose()?;
            let (taken_on, said_at) = (trial.taken_on.to_string(), stamp(*said_at));
            sqlx::query!(
                "INSERT INTO trial (id, player, test, taken_on, side, value, taken_by, said_at, received_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
                id,
                trial.player,
                trial.test,
                taken_on,
                side,
                trial.value,
                by,
                said_at,
                at
            )
            .execute(&mut *tx)
            .await?;
        }
        let ids = trials.iter().map(|t| t.id).chain(taken_back.iter().map(|t| t.trial));
        for id in ids {
            let owner = sqlx::query_scalar!(
                r#"SELECT team AS "team: Uuid" FROM trial JOIN player ON player.id = player WHERE trial.id = ?"#,
                id
            )
            .fetch_optional(&mut *tx)
            .await?;
            match owner {
                Some(owner) if owner == team => {}
                Some(_) => {
                    return Err(StoreError::Taken("an id of these entries belongs to another team".into()));
                }
                None => {
                    return Err(StoreError::Taken(format!(
                        "no trial {id} is known: send it before taking it back"
                    )));
                }
            }
        }
        for TakenBack { trial, said_at } in taken_back {
            let said_at = stamp(*said_at);
            sqlx::query!(
                "INSERT INTO trial_taken_back (trial, said_by, said_at) VALUES (?, ?, ?) ON CONFLICT (trial) DO NOTHING",
                trial,
                by,
                said_at
            )
            .execute(&mut *tx)
            .await?;
        }
        Ok(tx.commit().await?)
    }

    /// All trials of a team that count, in the order in which they were said.
    pub async fn trials(&self, team: Uuid) -> Stored<Vec<KnownTrial>> {
        let rows = sqlx::query!(
            r#"SELECT trial.id AS "id: Uuid", player AS "player: Uuid", test, taken_on, side, value
               FROM trial JOIN player ON player.id = player
               WHERE team = ? AND NOT EXISTS (SELECT 1 FROM trial_taken_back WHERE trial = trial.id)
               ORDER BY trial.said_at, trial.id"#,
            team
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                let trial = Trial {
                    player: row.player,
                    test: row.test,
                    taken_on: parsed("the day of a trial", &row.taken_on)?,
                    side: row.side.map(|side| from_word("a side", &side)).transpose()?,
                    value: row.value,
                };
                Ok(KnownTrial { id: row.id, trial })
            })
            .collect()
    }
}
