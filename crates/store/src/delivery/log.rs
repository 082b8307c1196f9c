//! The log of sessions: what coaches said of their blocks, who was there, and a line of note.
//!
//! Nothing is overwritten: of two sayings of one thing the later one counts, and of one moment the larger id, so that
//! the order of arrival never matters.

use std::collections::BTreeMap;

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::delivery::log::{BlockSaid, Saying};
use jogo_core::delivery::presence::Away;
use jogo_core::delivery::{Said, Went};
use jogo_core::plan::BlockId;
use jogo_core::units::Minutes;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::academy::clubs::Named;
use crate::academy::players::of_team;
use crate::academy::teams::Team;
use crate::audit::{self, Deed};
use crate::erasure::{self, Erased};
use crate::{Store, Stored, Taken, from_word, parsed, stamp, to_word};

/// One saying of a block, in a session (from 0) of an edition.
#[derive(Clone, Debug)]
pub struct OutcomeEntry {
    /// Made on the device.
    pub id: Uuid,
    /// In which edition.
    pub edition: Uuid,
    /// Session, from 0.
    pub session: u32,
    /// What is said.
    pub said: BlockSaid,
    /// When it was said, by the device.
    pub said_at: Timestamp,
}

/// One saying of a player's presence.
#[derive(Clone, Debug)]
pub struct PresenceEntry {
    /// Made on the device.
    pub id: Uuid,
    /// Who. The caller has checked that they are of the team.
    pub player: Uuid,
    /// On which day.
    pub day: Date,
    /// Whether they were there.
    pub present: bool,
    /// When it was said, by the device.
    pub said_at: Timestamp,
}

/// A line of note on a session.
#[derive(Clone, Debug)]
pub struct NoteEntry {
    /// Made on the device.
    pub id: Uuid,
    /// Of which day.
    pub day: Date,
    /// The line; empty if the earlier one is taken away.
    pub says: String,
    /// The players whom it is about.
    pub about: Vec<Uuid>,
    /// When it was said, by the device.
    pub said_at: Timestamp,
}

/// How a session went in all teams together.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Delivered {
    /// Session, from 0.
    pub session: usize,
    /// Blocks of which something was said.
    pub said: u32,
    /// Blocks that were run, in full or cut short.
    pub run: u32,
}

/// What is taken in at once.
#[derive(Clone, Debug, Default)]
pub struct LogEntries {
    /// Of blocks.
    pub outcomes: Vec<OutcomeEntry>,
    /// Of players.
    pub presence: Vec<PresenceEntry>,
    /// Of sessions.
    pub notes: Vec<NoteEntry>,
}

impl LogEntries {
    /// When each of them was said: of blocks, of players, of sessions.
    pub fn times(&mut self) -> impl Iterator<Item = &mut Timestamp> {
        let outcomes = self.outcomes.iter_mut().map(|entry| &mut entry.said_at);
        let presence = self.presence.iter_mut().map(|entry| &mut entry.said_at);
        outcomes.chain(presence).chain(self.notes.iter_mut().map(|entry| &mut entry.said_at))
    }
}

pub(crate) fn owned(owner: Uuid, team: Uuid) -> Stored<()> {
    match owner == team {
        true => Ok(()),
        false => Err(Taken::OtherTeam.into()),
    }
}

impl Store {
    /// Takes entries in, all of them or none. An entry that is known already is passed over.
    pub async fn add_log(&self, team: Uuid, entries: &LogEntries, by: Uuid, at: Timestamp) -> Stored<()> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        for entry in &entries.outcomes {
            add_outcome(&mut tx, team, entry, by, &at).await?;
        }
        for entry in &entries.presence {
            add_presence(&mut tx, team, entry, by, &at).await?;
        }
        for entry in &entries.notes {
            add_note(&mut tx, team, entry, by, &at).await?;
        }
        Ok(tx.commit().await?)
    }

    /// How the sessions of a curriculum went in all teams together: of how many blocks something was said, by
    /// session, and how many of those were run.
    pub async fn delivered(&self, curriculum: Uuid) -> Stored<Vec<Delivered>> {
        let rows = sqlx::query!(
            r#"SELECT session, COUNT(*) AS "said: u32", SUM(outcome <> 'skipped') AS "run: u32"
               FROM (SELECT session, outcome,
                         ROW_NUMBER() OVER (PARTITION BY team, edition, block ORDER BY said_at DESC, id DESC) AS back
                     FROM outcome WHERE edition IN (SELECT id FROM edition WHERE curriculum = ?))
               WHERE back = 1 GROUP BY session ORDER BY session"#,
            curriculum
        )
        .fetch_all(&self.read)
        .await?;
        let delivered = rows.into_iter().map(|row| Delivered {
            session: row.session as usize,
            said: row.said,
            run: row.run,
        });
        Ok(delivered.collect())
    }

    /// What was last said of each block of an edition by a team.
    pub async fn said(&self, team: Uuid, edition: Uuid) -> Stored<Said> {
        let rows = sqlx::query!(
            r#"SELECT session, block AS "block: Uuid", outcome, minutes, success, ran FROM outcome
               WHERE team = ? AND edition = ? ORDER BY said_at, id"#,
            team,
            edition
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                let went = Went {
                    outcome: from_word("an outcome", &row.outcome)?,
                    minutes: row.minutes.map(|m| Minutes(m as u32)),
                    success: row.success.map(|of_hundred| of_hundred as u8),
                    ran: row.ran.map(|ran| from_word("a rung that was run", &ran)).transpose()?,
                };
                Ok(((row.session as usize, BlockId(row.block)), went))
            })
            .collect()
    }

    /// What was last said of each block of the editions of a curriculum, by team and edition.
    pub async fn said_of_curriculum(&self, curriculum: Uuid) -> Stored<BTreeMap<(Uuid, Uuid), Said>> {
        let rows = sqlx::query!(
            r#"SELECT team AS "team: Uuid", edition AS "edition: Uuid", session, block AS "block: Uuid", outcome,
                   minutes, success, ran
               FROM outcome WHERE edition IN (SELECT id FROM edition WHERE curriculum = ?)
               ORDER BY team, edition, said_at, id"#,
            curriculum
        )
        .fetch_all(&self.read)
        .await?;
        let mut all: BTreeMap<(Uuid, Uuid), Vec<_>> = BTreeMap::new();
        for row in rows {
            let went = Went {
                outcome: from_word("an outcome", &row.outcome)?,
                minutes: row.minutes.map(|m| Minutes(m as u32)),
                success: row.success.map(|of_hundred| of_hundred as u8),
                ran: row.ran.map(|ran| from_word("a rung that was run", &ran)).transpose()?,
            };
            let said = ((row.session as usize, BlockId(row.block)), went);
            all.entry((row.team, row.edition)).or_default().push(said);
        }
        Ok(all.into_iter().map(|(of, said)| (of, said.into_iter().collect())).collect())
    }

    /// Everything that a team said of the blocks of a session, in the order in which it was said.
    pub async fn block_sayings(
        &self,
        team: Uuid,
        edition: Uuid,
        session: u32,
    ) -> Stored<Vec<Saying<BlockSaid>>> {
        let rows = sqlx::query!(
            r#"SELECT block AS "block: Uuid", outcome, minutes, success, ran, person.name, said_at
               FROM outcome JOIN person ON person.id = said_by
               WHERE team = ? AND edition = ? AND session = ? ORDER BY said_at, outcome.id"#,
            team,
            edition,
            session
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                let what = BlockSaid {
                    block: BlockId(row.block),
                    outcome: from_word("an outcome", &row.outcome)?,
                    minutes: row.minutes.map(|m| Minutes(m as u32)),
                    success: row.success.map(|of_hundred| of_hundred as u8),
                    ran: row.ran.map(|ran| from_word("a rung that was run", &ran)).transpose()?,
                };
                Ok(Saying { what, by: row.name, at: parsed("the time of an outcome", &row.said_at)? })
            })
            .collect()
    }

    /// Everything that was said of who of a team was there on a day, in the order in which it was said.
    pub async fn presence_sayings(&self, team: Uuid, day: Date) -> Stored<Vec<Saying<(Uuid, bool)>>> {
        let day = day.to_string();
        let rows = sqlx::query!(
            r#"SELECT player AS "player: Uuid", present AS "present: bool", person.name, presence.said_at
               FROM player CROSS JOIN presence ON presence.player = player.id
                   JOIN person ON person.id = presence.said_by
               WHERE team = ? AND left_on IS NULL AND day = ? AND NOT EXISTS (
                   SELECT 1 FROM player_before WHERE player_before.player = player.id AND day < until)
               ORDER BY presence.said_at, presence.id"#,
            team,
            day
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                let at = parsed("the time of a presence", &row.said_at)?;
                Ok(Saying { what: (row.player, row.present), by: row.name, at })
            })
            .collect()
    }

    /// The lines of note of a team on a day, in the order in which they were said.
    pub async fn note_sayings(&self, team: Uuid, day: Date) -> Stored<Vec<Saying<String>>> {
        let day = day.to_string();
        let rows = sqlx::query!(
            "SELECT says, person.name, said_at FROM note JOIN person ON person.id = said_by
             WHERE team = ? AND day = ? ORDER BY said_at, note.id",
            team,
            day
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                Ok(Saying { what: row.says, by: row.name, at: parsed("the time of a note", &row.said_at)? })
            })
            .collect()
    }

    /// The players of a team whom its last line of note on a day is about, by name.
    pub async fn note_about(&self, team: Uuid, day: Date) -> Stored<Vec<Named>> {
        let day = day.to_string();
        Ok(sqlx::query_as!(
            Named,
            r#"SELECT player.id AS "id: Uuid", player.name FROM note_about JOIN player ON player.id = player
               WHERE note = (SELECT id FROM note WHERE team = ? AND day = ? ORDER BY said_at DESC, id DESC LIMIT 1)
               ORDER BY player.name"#,
            team,
            day
        )
        .fetch_all(&self.read)
        .await?)
    }

    /// Deletes the lines of note of a team on a day, with all that they said before, so that nothing of them is left;
    /// false if there are none.
    pub async fn delete_notes(
        &self,
        team: &Team,
        day: Date,
        by: Uuid,
        at: Timestamp,
    ) -> Stored<Option<Erased>> {
        let said_on = day.to_string();
        let mut tx = self.begin().await?;
        sqlx::query!(
            "INSERT INTO note_deleted (id) SELECT id FROM note WHERE team = ? AND day = ?",
            team.id,
            said_on
        )
        .execute(&mut *tx)
        .await?;
        let gone = sqlx::query!("DELETE FROM note WHERE team = ? AND day = ?", team.id, said_on)
            .execute(&mut *tx)
            .await?;
        if gone.rows_affected() == 0 {
            return Ok(None);
        }
        audit::put(&mut tx, (at, Some(by)), Deed::NoteDeleted, &format!("{}, {day}", team.name)).await?;
        erasure::begin(&mut tx, at).await?;
        tx.commit().await?;
        Ok(Some(self.finish_erasures(at).await?))
    }

    /// How many players of a team were there and how many were missing, by day.
    pub async fn attendance(&self, team: Uuid) -> Stored<BTreeMap<Date, (u32, u32)>> {
        let mut by_day: BTreeMap<Date, (u32, u32)> = BTreeMap::new();
        for ((day, _), present) in self.last_presence(team).await? {
            let (there, missing) = by_day.entry(day).or_default();
            *there += u32::from(present);
            *missing += u32::from(!present);
        }
        Ok(by_day)
    }

    /// Which players of a team were missing, by day.
    pub async fn away(&self, team: Uuid) -> Stored<Away<Uuid>> {
        let mut by_day = Away::new();
        for ((day, player), _) in self.last_presence(team).await?.into_iter().filter(|(_, present)| !present)
        {
            by_day.entry(day).or_default().insert(player);
        }
        Ok(by_day)
    }

    /// What was last said of each player on each day.
    async fn last_presence(&self, team: Uuid) -> Stored<BTreeMap<(Date, Uuid), bool>> {
        let rows = sqlx::query!(
            r#"SELECT day, present AS "present: bool", player AS "player: Uuid"
               FROM presence JOIN player ON player.id = player
               WHERE team = ? AND left_on IS NULL AND NOT EXISTS (
                   SELECT 1 FROM player_before WHERE player_before.player = player.id AND day < until)
               ORDER BY said_at, presence.id"#,
            team
        )
        .fetch_all(&self.read)
        .await?;
        let said = |(day, player, present): (String, Uuid, bool)| {
            Ok(((parsed("the day of a presence", &day)?, player), present))
        };
        rows.into_iter().map(|row| said((row.day, row.player, row.present))).collect()
    }
}

async fn add_outcome(
    tx: &mut Transaction<'_, Sqlite>,
    team: Uuid,
    entry: &OutcomeEntry,
    by: Uuid,
    at: &str,
) -> Stored<()> {
    let OutcomeEntry { id, edition, session, said, said_at } = entry;
    let (outcome, said_at) = (to_word("an outcome", &said.outcome)?, stamp(*said_at));
    let ran = said.ran.map(|ran| to_word("a rung that was run", &ran)).transpose()?;
    let minutes = said.minutes.map(|m| m.0);
    sqlx::query!(
        "INSERT INTO outcome (id, team, edition, session, block, outcome, minutes, success, ran,
             said_by, said_at, received_at)
         VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
        id,
        team,
        edition,
        session,
        said.block.0,
        outcome,
        minutes,
        said.success,
        ran,
        by,
        said_at,
        at
    )
    .execute(&mut **tx)
    .await?;
    let owner = sqlx::query_scalar!(r#"SELECT team AS "team: Uuid" FROM outcome WHERE id = ?"#, id)
        .fetch_one(&mut **tx)
        .await?;
    owned(owner, team)
}

async fn add_presence(
    tx: &mut Transaction<'_, Sqlite>,
    team: Uuid,
    entry: &PresenceEntry,
    by: Uuid,
    at: &str,
) -> Stored<()> {
    let PresenceEntry { id, player, day, present, said_at } = entry;
    let (day, said_at) = (day.to_string(), stamp(*said_at));
    sqlx::query!(
        "INSERT INTO presence (id, player, day, present, said_by, said_at, received_at)
         VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
        id,
        player,
        day,
        present,
        by,
        said_at,
        at
    )
    .execute(&mut **tx)
    .await?;
    let of = sqlx::query_scalar!(r#"SELECT player AS "player: Uuid" FROM presence WHERE id = ?"#, id);
    let of = of.fetch_one(&mut **tx).await?;
    of_team(tx, of, team).await
}

async fn add_note(
    tx: &mut Transaction<'_, Sqlite>,
    team: Uuid,
    entry: &NoteEntry,
    by: Uuid,
    at: &str,
) -> Stored<()> {
    let NoteEntry { id, day, says, about, said_at } = entry;
    let (day, said_at) = (day.to_string(), stamp(*said_at));
    let deleted = sqlx::query_scalar!(
        r#"SELECT EXISTS (SELECT 1 FROM note_deleted WHERE id = ?) AS "deleted!: bool""#,
        id
    );
    if deleted.fetch_one(&mut **tx).await? {
        return Ok(());
    }
    sqlx::query!(
        "INSERT INTO note (id, team, day, says, said_by, said_at, received_at)
         VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
        id,
        team,
        day,
        says,
        by,
        said_at,
        at
    )
    .execute(&mut **tx)
    .await?;
    let owner = sqlx::query_scalar!(r#"SELECT team AS "team: Uuid" FROM note WHERE id = ?"#, id)
        .fetch_one(&mut **tx)
        .await?;
    owned(owner, team)?;
    for player in about {
        sqlx::query!(
            "INSERT INTO note_about (note, player) VALUES (?, ?) ON CONFLICT DO NOTHING",
            id,
            player
        )
        .execute(&mut **tx)
        .await?;
    }
    Ok(())
}
