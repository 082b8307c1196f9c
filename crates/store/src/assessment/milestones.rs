//! Milestones, and what coaches say against the evidence.

use jiff::Timestamp;
use jogo_core::assessment::milestones::{Milestone, Override};
use jogo_core::ids::MilestoneId;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::academy::players::of_team;
use crate::audit::{self, Deed};
use crate::{Store, Stored, assessment::counts, from_json, from_word, parsed, stamp, to_json, to_word};

/// A word of a coach on a player and a milestone, under the id that was made on the device.
#[derive(Clone, Debug)]
pub struct NewWord {
    /// Id.
    pub id: Uuid,
    /// On whom.
    pub player: Uuid,
    /// On what.
    pub milestone: MilestoneId,
    /// What it says; who says it is known.
    pub word: Override,
    /// When it was said, by the device.
    pub said_at: Timestamp,
}

/// A word that was said.
#[derive(Clone, Debug, PartialEq)]
pub struct KnownWord {
    /// On whom.
    pub player: Uuid,
    /// On what.
    pub milestone: MilestoneId,
    /// What it says.
    pub word: Override,
}

pub(crate) async fn put(
    tx: &mut Transaction<'static, Sqlite>,
    milestone: &Milestone,
    place: i64,
) -> Stored<()> {
    let doc = to_json("a milestone", milestone)?;
    sqlx::query!(
        "INSERT INTO milestone (id, place, doc) VALUES (?, ?, ?)
         ON CONFLICT (id) DO UPDATE SET doc = excluded.doc, version = version + 1",
        milestone.id.as_str(),
        place,
        doc
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

impl Store {
    /// All milestones of the academy, in their order.
    pub async fn milestones(&self) -> Stored<Vec<Milestone>> {
        let docs =
            sqlx::query_scalar!("SELECT doc FROM milestone ORDER BY place, id").fetch_all(&self.read).await?;
        docs.iter().map(|doc| from_json("a milestone", doc)).collect()
    }

    /// Keeps a milestone: a new one comes last.
    pub async fn put_milestone(&self, milestone: &Milestone) -> Stored<()> {
        let mut tx = self.begin().await?;
        let last =
            sqlx::query_scalar!(r#"SELECT COALESCE(MAX(place) + 1, 0) AS "place!: i64" FROM milestone"#)
                .fetch_one(&mut *tx)
                .await?;
        put(&mut tx, milestone, last).await?;
        counts::forget_band(&mut tx, None).await?;
        Ok(tx.commit().await?)
    }

    /// Takes a milestone out; one that a gate asks for, or on which a coach has said something, stays.
    pub async fn drop_milestone(&self, id: &MilestoneId) -> Stored<bool> {
        let id = id.as_str();
        let mut tx = self.begin().await?;
        let gone = sqlx::query!(
            "DELETE FROM milestone WHERE id = ?
             AND NOT EXISTS (SELECT 1 FROM milestone_word WHERE milestone = milestone.id)
             AND NOT EXISTS (SELECT 1 FROM skill WHERE json_extract(skill.doc, '$.gate.milestone') = milestone.id)",
            id
        );
        let gone = gone.execute(&mut *tx).await?.rows_affected() > 0;
        if gone {
            counts::forget_band(&mut tx, None).await?;
        }
        tx.commit().await?;
        Ok(gone)
    }

    /// Keeps words on players of a team, each once, and notes that there were such: not on whom, since a player can be
    /// erased and what is noted stays.
    pub async fn add_words(&self, team: Uuid, words: &[NewWord], by: Uuid, now: Timestamp) -> Stored<()> {
        let at = stamp(now);
        let mut tx = self.begin().await?;
        for NewWord { id, player, milestone, word, said_at } in words {
            let (day, said_at) = (word.on.to_string(), stamp(*said_at));
            let verdict = to_word("a verdict", &word.verdict)?;
            let milestone = milestone.as_str();
            let added = sqlx::query!(
                "INSERT INTO milestone_word (id, player, milestone, day, verdict, reason, said_by, said_at, received_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
                id,
                player,
                milestone,
                day,
                verdict,
                word.reason,
                by,
                said_at,
                at
            )
            .execute(&mut *tx)
            .await?;
            if added.rows_affected() > 0 {
                audit::put(&mut tx, (now, Some(by)), Deed::WordAgainst, milestone).await?;
            }
            let of = sqlx::query_scalar!(
                r#"SELECT player AS "player: Uuid" FROM milestone_word WHERE id = ?"#,
                id
            );
            let of = of.fetch_one(&mut *tx).await?;
            of_team(&mut tx, of, team).await?;
            counts::forget_of_player(&mut tx, of).await?;
        }
        Ok(tx.commit().await?)
    }

    /// Every word on the players of a team, in the order in which it was said.
    pub async fn words(&self, team: Uuid) -> Stored<Vec<KnownWord>> {
        let rows = sqlx::query!(
            r#"SELECT player AS "player: Uuid", milestone, day, verdict, reason, person.name AS by
               FROM milestone_word JOIN player ON player.id = player JOIN person ON person.id = said_by
               WHERE team = ? AND left_on IS NULL ORDER BY milestone_word.said_at, milestone_word.id"#,
            team
        )
        .fetch_all(&self.read)
        .await?;
        let known = rows.into_iter().map(|row| {
            Ok(KnownWord {
                player: row.player,
                milestone: parsed("the milestone of a word", &row.milestone)?,
                word: Override {
                    on: parsed("the day of a word", &row.day)?,
                    verdict: from_word("a verdict", &row.verdict)?,
                    reason: row.reason,
                    by: row.by,
                },
            })
        });
        known.collect()
    }
}
