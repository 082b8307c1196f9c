//! Outcomes: what coaches said of their blocks.

use jiff::Timestamp;
use jogo_core::delivery::{Outcome, Said};
use jogo_core::units::Minutes;
use uuid::Uuid;

use crate::{Store, StoreError, Stored, from_word, stamp, to_word};

/// One saying.
#[derive(Clone, Debug)]
pub struct OutcomeEntry {
    /// Made on the device.
    pub id: Uuid,
    /// In which edition.
    pub edition: Uuid,
    /// Session, from 0.
    pub session: u32,
    /// Block, from 0.
    pub block: u32,
    /// What became of it.
    pub outcome: Outcome,
    /// Its minutes, if they were said.
    pub minutes: Option<Minutes>,
    /// When it was said, by the device.
    pub said_at: Timestamp,
}

impl Store {
    /// Takes entries in, all of them or none. An entry that is known already is passed over.
    pub async fn add_outcomes(
        &self,
        team: Uuid,
        entries: &[OutcomeEntry],
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        for entry in entries {
            let (outcome, said_at) = (to_word("an outcome", &entry.outcome)?, stamp(entry.said_at));
            let minutes = entry.minutes.map(|m| m.0);
            sqlx::query!(
                "INSERT INTO outcome (id, team, edition, session, block, outcome, minutes, said_by, said_at, received_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
                entry.id,
                team,
                entry.edition,
                entry.session,
                entry.block,
                outcome,
                minutes,
                by,
                said_at,
                at
            )
            .execute(&mut *tx)
            .await?;
            let owner =
                sqlx::query_scalar!(r#"SELECT team AS "team: Uuid" FROM outcome WHERE id = ?"#, entry.id)
                    .fetch_one(&mut *tx)
                    .await?;
            if owner != team {
                return Err(StoreError::Taken("an id of these entries belongs to another team".into()));
            }
        }
        Ok(tx.commit().await?)
    }

    /// What was last said of each block of an edition by a team. Of two sayings of one moment the larger id counts, so
    /// that the order of arrival never matters.
    pub async fn said(&self, team: Uuid, edition: Uuid) -> Stored<Said> {
        let rows = sqlx::query!(
            "SELECT session, block, outcome, minutes FROM outcome WHERE team = ? AND edition = ? ORDER BY said_at, id",
            team,
            edition
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                let outcome = from_word("an outcome", &row.outcome)?;
                Ok((
                    (row.session as usize, row.block as usize),
                    (outcome, row.minutes.map(|m| Minutes(m as u32))),
                ))
            })
            .collect()
    }
}
