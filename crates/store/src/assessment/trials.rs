//! Trials: what was measured, and what was taken back.

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::results::{Origin, Trial};
use jogo_core::ids::{BandId, TestId};
use jogo_core::technique::skill::Side;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::academy::players::of_team;
use crate::{Store, Stored, Taken, assessment::counts, from_json, stamp, to_json, to_word};

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
    /// How it came.
    pub origin: Origin,
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
        for NewTrial { id, trial, said_at, origin } in trials {
            let side = trial.side.map(|side| to_word("a side", &side)).transpose()?;
            let marks = (!trial.marks.is_empty()).then(|| to_json("marks", &trial.marks)).transpose()?;
            let (taken_on, said_at) = (trial.taken_on.to_string(), stamp(*said_at));
            let origin = to_word("the origin of a trial", origin)?;
            let added = sqlx::query!(
                "INSERT INTO trial (id, player, test, taken_on, side, value, marks, origin, taken_by, said_at,
                     received_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
                id,
                trial.player,
                trial.test.as_str(),
                taken_on,
                side,
                trial.value,
                marks,
                origin,
                by,
                said_at,
                at
            )
            .execute(&mut *tx)
            .await?;
            match added.rows_affected() {
                0 => owned(&mut tx, *id, team).await?,
                _ => counts::forget_of_player(&mut tx, trial.player).await?,
            }
        }
        for back in taken_back {
            owned(&mut tx, back.trial, team).await?;
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

    /// All trials of the players of a team that count, in the order in which they were said.
    pub async fn trials(&self, team: Uuid) -> Stored<Vec<KnownTrial>> {
        let packed = sqlx::query_scalar!(
            r#"SELECT json_group_array(json_array(hex(trial.id), hex(player), test, taken_on, side, value, json(marks))
                   ORDER BY trial.said_at, trial.id) AS "packed!: String"
               FROM player JOIN trial ON trial.player = player.id
               WHERE team = ? AND left_on IS NULL
                   AND NOT EXISTS (SELECT 1 FROM trial_taken_back WHERE trial = trial.id)"#,
            team
        );
        unpacked(&packed.fetch_one(&self.read).await?)
    }

    /// The same taken from a day on and before another, with those of players who have left.
    pub async fn trials_between(&self, team: Uuid, (from, before): (Date, Date)) -> Stored<Vec<Trial<Uuid>>> {
        let (from, before) = (from.to_string(), before.to_string());
        let packed = sqlx::query_scalar!(
            r#"SELECT json_group_array(json_array(hex(trial.id), hex(player), test, taken_on, side, value, json(marks))
                   ORDER BY trial.said_at, trial.id) AS "packed!: String"
               FROM player JOIN trial ON trial.player = player.id
               WHERE team = ? AND taken_on >= ? AND taken_on < ?
                   AND NOT EXISTS (SELECT 1 FROM trial_taken_back WHERE trial = trial.id)"#,
            team,
            from,
            before
        );
        Ok(unpacked(&packed.fetch_one(&self.read).await?)?.into_iter().map(|known| known.trial).collect())
    }

    /// All trials of one test that count, taken from a day on and before another by players who were in a team of a
    /// band on that day: team by team in the order in which they were said, then those of players who have moved
    /// since.
    pub async fn trials_of_band(
        &self,
        test: &Test,
        band: &BandId,
        (from, before): (Date, Date),
    ) -> Stored<Vec<KnownTrial>> {
        let band = band.as_str();
        let (from, before) = (from.to_string(), before.to_string());
        let teams = sqlx::query_scalar!(
            r#"SELECT (SELECT json_group_array(
                           json_array(hex(trial.id), hex(player), test, taken_on, side, value, json(marks))
                           ORDER BY trial.said_at, trial.id)
                       FROM player CROSS JOIN trial ON trial.player = player.id
                       WHERE team = team.id AND test = ? AND taken_on >= ? AND taken_on < ?
                           AND NOT EXISTS (SELECT 1 FROM trial_taken_back WHERE trial = trial.id)
                           AND NOT EXISTS (SELECT 1 FROM player_before
                               WHERE player_before.player = player.id AND taken_on < until)) AS "packed!: String"
               FROM team WHERE band = ?"#,
            test.id.as_str(),
            from,
            before,
            band
        );
        let moved = sqlx::query_scalar!(
            r#"SELECT json_group_array(
                   json_array(hex(trial.id), hex(trial.player), test, taken_on, side, value, json(marks))
                   ORDER BY trial.said_at, trial.id) AS "packed!: String"
               FROM player_before AS then_in JOIN team ON team.id = then_in.team
                   JOIN trial ON trial.player = then_in.player
               WHERE band = ? AND test = ? AND taken_on >= ? AND taken_on < ? AND taken_on < until
                   AND NOT EXISTS (SELECT 1 FROM player_before AS sooner
                       WHERE sooner.player = then_in.player AND sooner.until < then_in.until
                           AND taken_on < sooner.until)
                   AND NOT EXISTS (SELECT 1 FROM trial_taken_back WHERE trial = trial.id)"#,
            band,
            test.id.as_str(),
            from,
            before
        );
        let mut all = Vec::new();
        for packed in teams.fetch_all(&self.read).await? {
            all.append(&mut unpacked(&packed)?);
        }
        all.append(&mut unpacked(&moved.fetch_one(&self.read).await?)?);
        Ok(all)
    }
}

/// Refuses a trial that is not of this team.
async fn owned(tx: &mut Transaction<'static, Sqlite>, id: Uuid, team: Uuid) -> Stored<()> {
    let of = sqlx::query_scalar!(r#"SELECT player AS "player: Uuid" FROM trial WHERE id = ?"#, id);
    match of.fetch_optional(&mut **tx).await? {
        Some(player) => {
            of_team(tx, player, team).await?;
            counts::forget_of_player(tx, player).await
        }
        None => Err(Taken::TrialUnknown { id: id.to_string() }.into()),
    }
}

/// A trial as queries pack it: its id, whose it is, the test, the day, the side, the value, the marks. A thousand rows
/// take several times as long as one text of a thousand parts.
type Packed = (Uuid, Uuid, TestId, Date, Option<Side>, f64, Option<Vec<u8>>);

fn unpacked(packed: &str) -> Stored<Vec<KnownTrial>> {
    let all: Vec<Packed> = from_json("trials", packed)?;
    let known = all.into_iter().map(|(id, player, test, taken_on, side, value, marks)| KnownTrial {
        id,
        trial: Trial { player, test, side, taken_on, value, marks: marks.unwrap_or_default() },
    });
    Ok(known.collect())
}
