//! What coaches tell the director of drills, and what the director answers.

use jiff::Timestamp;
use jogo_core::delivery::voices::Voice;
use jogo_core::ids::DrillId;
use uuid::Uuid;

use super::log::owned;
use crate::{Store, StoreError, Stored, from_word, parsed, stamp, to_word};

/// What a coach says of a drill, under the id that was made on the device.
#[derive(Clone, Debug)]
pub struct NewVoice {
    /// Made on the device.
    pub id: Uuid,
    /// Which drill.
    pub drill: DrillId,
    /// What is said.
    pub voice: Voice,
    /// A line about it; empty if there is none.
    pub says: String,
    /// When.
    pub said_at: Timestamp,
}

/// What was said of a drill.
#[derive(Clone, Debug)]
pub struct KnownVoice {
    /// Which drill.
    pub drill: DrillId,
    /// The club of the team.
    pub club: String,
    /// The team with which it was run.
    pub team: Uuid,
    /// Its name.
    pub team_name: String,
    /// Who.
    pub by: Uuid,
    /// Their name.
    pub by_name: String,
    /// What was said.
    pub voice: Voice,
    /// A line about it; empty if there is none.
    pub says: String,
    /// When.
    pub at: Timestamp,
}

/// What the director answered.
#[derive(Clone, Debug)]
pub struct Answered {
    /// To what was said of which drill.
    pub drill: DrillId,
    /// The words.
    pub says: String,
    /// Who.
    pub by: String,
    /// When.
    pub at: Timestamp,
}

/// What was said, as it is kept.
struct Row {
    drill: String,
    club: String,
    team: Uuid,
    team_name: String,
    by: Uuid,
    by_name: String,
    voice: String,
    says: String,
    said_at: String,
}

impl TryFrom<Row> for KnownVoice {
    type Error = StoreError;

    fn try_from(row: Row) -> Stored<KnownVoice> {
        Ok(KnownVoice {
            drill: parsed("the drill of a voice", &row.drill)?,
            club: row.club,
            team: row.team,
            team_name: row.team_name,
            by: row.by,
            by_name: row.by_name,
            voice: from_word("what is said of a drill", &row.voice)?,
            says: row.says,
            at: parsed("the time of a voice", &row.said_at)?,
        })
    }
}

impl Store {
    /// Keeps what a team's coach says, each once.
    pub async fn add_voices(&self, team: Uuid, voices: &[NewVoice], by: Uuid, now: Timestamp) -> Stored<()> {
        let received_at = stamp(now);
        let mut tx = self.begin().await?;
        for NewVoice { id, drill, voice, says, said_at } in voices {
            let (voice, said_at, drill) =
                (to_word("what is said of a drill", voice)?, stamp(*said_at), drill.as_str());
            let added = sqlx::query!(
                "INSERT INTO drill_voice (id, drill, team, voice, says, said_by, said_at, received_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
                id,
                drill,
                team,
                voice,
                says,
                by,
                said_at,
                received_at
            )
            .execute(&mut *tx)
            .await?;
            if added.rows_affected() == 0 {
                let owner =
                    sqlx::query_scalar!(r#"SELECT team AS "team: Uuid" FROM drill_voice WHERE id = ?"#, id)
                        .fetch_one(&mut *tx)
                        .await?;
                owned(owner, team)?;
            }
        }
        Ok(tx.commit().await?)
    }

    /// All that was said of drills, in the order in which it was said.
    pub async fn voices(&self) -> Stored<Vec<KnownVoice>> {
        let rows = sqlx::query_as!(
            Row,
            r#"SELECT drill, club.name AS club, team AS "team: Uuid", team.name AS team_name,
                   said_by AS "by: Uuid", person.name AS by_name, voice, says, said_at
               FROM drill_voice JOIN team ON team.id = team JOIN club ON club.id = team.club
                   JOIN person ON person.id = said_by
               ORDER BY said_at, drill_voice.id"#
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(KnownVoice::try_from).collect()
    }

    /// What a person said of drills with a team, in the order in which it was said.
    pub async fn voices_of(&self, team: Uuid, by: Uuid) -> Stored<Vec<KnownVoice>> {
        let rows = sqlx::query_as!(
            Row,
            r#"SELECT drill, club.name AS club, team AS "team: Uuid", team.name AS team_name,
                   said_by AS "by: Uuid", person.name AS by_name, voice, says, said_at
               FROM drill_voice JOIN team ON team.id = team JOIN club ON club.id = team.club
                   JOIN person ON person.id = said_by
               WHERE team = ? AND said_by = ? ORDER BY said_at, drill_voice.id"#,
            team,
            by
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(KnownVoice::try_from).collect()
    }

    /// The last answer for each drill that has one.
    pub async fn answers(&self) -> Stored<Vec<Answered>> {
        let rows = sqlx::query!(
            r#"SELECT drill, says, person.name AS by, answered_at
               FROM drill_answer JOIN person ON person.id = answered_by
               WHERE drill_answer.id =
                   (SELECT MAX(id) FROM drill_answer AS later WHERE later.drill = drill_answer.drill)
               ORDER BY drill"#
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                Ok(Answered {
                    drill: parsed("the drill of an answer", &row.drill)?,
                    says: row.says,
                    by: row.by,
                    at: parsed("the time of an answer", &row.answered_at)?,
                })
            })
            .collect()
    }

    /// Answers all who have spoken of a drill.
    pub async fn answer(&self, drill: &DrillId, says: &str, by: Uuid, now: Timestamp) -> Stored<()> {
        let (drill, at) = (drill.as_str(), stamp(now));
        sqlx::query!(
            "INSERT INTO drill_answer (drill, says, answered_by, answered_at) VALUES (?, ?, ?, ?)",
            drill,
            says,
            by,
            at
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }
}
