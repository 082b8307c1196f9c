//! Places of clubs, and the slots of their teams.

use std::collections::BTreeMap;

use jogo_core::season::slots::{Place, Slot};
use jogo_core::units::Minutes;
use uuid::Uuid;

use crate::academy::teams::Team;
use crate::{Store, StoreError, Stored, Taken, from_json, parsed, taken, to_json};

/// The slots of a team.
#[derive(Clone, Debug, PartialEq)]
pub struct TeamSlots {
    /// The team.
    pub team: Team,
    /// Its slots, by weekday.
    pub slots: Vec<Slot>,
}

/// A slot as it is kept.
struct SlotRow {
    weekday: i64,
    starts: String,
    minutes: i64,
    place: Option<Uuid>,
}

impl TryFrom<SlotRow> for Slot {
    type Error = StoreError;

    fn try_from(row: SlotRow) -> Stored<Slot> {
        let from = parsed("the time of a slot", &row.starts)?;
        Ok(Slot { weekday: row.weekday as i8, from, minutes: Minutes(row.minutes as u32), place: row.place })
    }
}

impl Store {
    /// The places of a club, by id.
    pub async fn places(&self, club: &str) -> Stored<BTreeMap<Uuid, Place>> {
        let rows = sqlx::query!(
            r#"SELECT place.id AS "id: Uuid", doc FROM place JOIN club ON club.id = club WHERE club.name = ?"#,
            club
        );
        let rows = rows.fetch_all(&self.read).await?;
        rows.into_iter().map(|row| Ok((row.id, from_json("a place", &row.doc)?))).collect()
    }

    /// The club to which a place belongs.
    pub async fn club_of_place(&self, place: Uuid) -> Stored<Option<String>> {
        let club = sqlx::query_scalar!(
            "SELECT club.name FROM place JOIN club ON club.id = club WHERE place.id = ?",
            place
        );
        Ok(club.fetch_optional(&self.read).await?)
    }

    /// Adds a place to a club, or changes it.
    pub async fn put_place(&self, id: Uuid, club: Uuid, place: &Place) -> Stored<()> {
        let doc = to_json("a place", place)?;
        sqlx::query!(
            "INSERT INTO place (id, club, name, doc) VALUES (?, ?, ?, ?)
             ON CONFLICT (id) DO UPDATE SET name = excluded.name, doc = excluded.doc",
            id,
            club,
            place.name,
            doc
        )
        .execute(&self.write)
        .await
        .map_err(|e| taken(e, Taken::PlaceName { name: place.name.clone() }))?;
        Ok(())
    }

    /// Takes a place away; teams that meet there keep their times. False if there is none.
    pub async fn drop_place(&self, id: Uuid) -> Stored<bool> {
        let dropped = sqlx::query!("DELETE FROM place WHERE id = ?", id).execute(&self.write).await?;
        Ok(dropped.rows_affected() > 0)
    }

    /// The slots of a team, by weekday.
    pub async fn slots(&self, team: Uuid) -> Stored<Vec<Slot>> {
        let rows = sqlx::query_as!(
            SlotRow,
            r#"SELECT weekday, starts, minutes, place AS "place: Uuid" FROM slot WHERE team = ? ORDER BY weekday"#,
            team
        );
        rows.fetch_all(&self.read).await?.into_iter().map(Slot::try_from).collect()
    }

    /// The slots of the teams of a club, by the names of the teams.
    pub async fn slots_of_club(&self, club: &str) -> Stored<Vec<TeamSlots>> {
        let rows = sqlx::query!(
            r#"SELECT team.id AS "id: Uuid", team.name, band, weekday AS "weekday?: i64", starts AS "starts?: String",
                   minutes AS "minutes?: i64", place AS "place?: Uuid"
               FROM club JOIN team ON team.club = club.id LEFT JOIN slot ON slot.team = team.id
               WHERE club.name = ? ORDER BY team.name, weekday"#,
            club
        );
        let mut all: Vec<TeamSlots> = Vec::new();
        for row in rows.fetch_all(&self.read).await? {
            if all.last().is_none_or(|last| last.team.id != row.id) {
                let band = parsed("the band of a team", &row.band)?;
                let team = Team { id: row.id, name: row.name, club: club.to_owned(), band };
                all.push(TeamSlots { team, slots: Vec::new() });
            }
            let slot = row.weekday.zip(row.starts).zip(row.minutes);
            let slot = slot.map(|((weekday, starts), minutes)| SlotRow {
                weekday,
                starts,
                minutes,
                place: row.place,
            });
            if let (Some(slot), Some(of_team)) = (slot, all.last_mut()) {
                of_team.slots.push(slot.try_into()?);
            }
        }
        Ok(all)
    }

    /// Gives a team these slots instead of those that it has.
    pub async fn set_slots(&self, team: Uuid, slots: &[Slot]) -> Stored<()> {
        let mut tx = self.begin().await?;
        sqlx::query!("DELETE FROM slot WHERE team = ?", team).execute(&mut *tx).await?;
        for Slot { weekday, from, minutes, place } in slots {
            let (starts, minutes) = (from.to_string(), minutes.0);
            sqlx::query!(
                "INSERT INTO slot (team, weekday, starts, minutes, place) VALUES (?, ?, ?, ?, ?)",
                team,
                weekday,
                starts,
                minutes,
                place
            )
            .execute(&mut *tx)
            .await?;
        }
        Ok(tx.commit().await?)
    }
}
