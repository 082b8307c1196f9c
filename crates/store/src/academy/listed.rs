//! Clubs, teams and coaches from one list, all of it or nothing.

use std::collections::BTreeMap;

use jiff::Timestamp;
use jogo_core::academy::club_list::{ListedTeam, folded};
use jogo_core::ids::BandId;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::people::invitations::{self, Invitation};
use crate::{Store, Stored, Taken, taken};

/// Coaches by name, folded.
#[derive(Clone, Debug, Default)]
pub struct KnownCoaches {
    /// Those who sign in already.
    pub here: BTreeMap<String, Uuid>,
    /// The invitations of those who are invited already.
    pub invited: BTreeMap<String, Uuid>,
}

impl KnownCoaches {
    /// Whether a coach of this name signs in already, or is invited.
    pub fn has(&self, name: &str) -> bool {
        self.here.contains_key(&folded(name)) || self.invited.contains_key(&folded(name))
    }
}

impl Store {
    /// Adds the clubs and teams that do not exist yet, gives their teams to coaches who are known, and keeps the
    /// invitations of the others, each under the hash of its token. Clubs, teams and people are known by name; teams
    /// keep the coaches that they have. Gives the teams that are new.
    pub async fn add_listed(
        &self,
        teams: &[ListedTeam],
        mut known: KnownCoaches,
        new: &[(Invitation, Vec<u8>)],
        by: Uuid,
        at: Timestamp,
    ) -> Stored<Vec<(Uuid, BandId)>> {
        let mut tx = self.begin().await?;
        for (invitation, token_hash) in new {
            invitations::put(&mut tx, invitation, token_hash, by, at).await?;
            known.invited.insert(folded(&invitation.name), invitation.id);
        }
        let mut there = There::read(&mut tx).await?;
        let mut added = Vec::new();
        for listed in teams {
            let (team, is_new) = there.team(&mut tx, listed).await?;
            added.extend(is_new.then(|| (team, listed.band.clone())));
            for name in listed.coaches.iter().map(|coach| folded(&coach.name)) {
                match (known.here.get(&name), known.invited.get(&name)) {
                    (Some(person), _) => coaches(&mut tx, team, *person).await?,
                    (None, Some(invitation)) => invitations::add_team(&mut tx, *invitation, team).await?,
                    (None, None) => {}
                }
            }
        }
        tx.commit().await?;
        Ok(added)
    }
}

/// The clubs and teams that exist, by their folded names.
struct There {
    clubs: BTreeMap<String, Uuid>,
    teams: BTreeMap<(Uuid, String), Uuid>,
}

impl There {
    async fn read(tx: &mut Transaction<'static, Sqlite>) -> Stored<There> {
        let clubs = sqlx::query!(r#"SELECT id AS "id: Uuid", name FROM club"#).fetch_all(&mut **tx).await?;
        let teams = sqlx::query!(r#"SELECT id AS "id: Uuid", club AS "club: Uuid", name FROM team"#);
        let teams = teams.fetch_all(&mut **tx).await?;
        Ok(There {
            clubs: clubs.into_iter().map(|club| (folded(&club.name), club.id)).collect(),
            teams: teams.into_iter().map(|team| ((team.club, folded(&team.name)), team.id)).collect(),
        })
    }

    /// The club of a name; a new one if there is none.
    async fn club(&mut self, tx: &mut Transaction<'static, Sqlite>, name: &str) -> Stored<Uuid> {
        if let Some(known) = self.clubs.get(&folded(name)) {
            return Ok(*known);
        }
        let id = Uuid::now_v7();
        sqlx::query!("INSERT INTO club (id, name) VALUES (?, ?)", id, name)
            .execute(&mut **tx)
            .await
            .map_err(|e| taken(e, Taken::ClubName { name: name.to_owned() }))?;
        self.clubs.insert(folded(name), id);
        Ok(id)
    }

    /// The team of a name in its club, and whether it is a new one.
    async fn team(
        &mut self,
        tx: &mut Transaction<'static, Sqlite>,
        listed: &ListedTeam,
    ) -> Stored<(Uuid, bool)> {
        let club = self.club(tx, &listed.club).await?;
        if let Some(known) = self.teams.get(&(club, folded(&listed.team))) {
            return Ok((*known, false));
        }
        let (id, band) = (Uuid::now_v7(), listed.band.as_str());
        sqlx::query!(
            "INSERT INTO team (id, club, band, name) VALUES (?, ?, ?, ?)",
            id,
            club,
            band,
            listed.team
        )
        .execute(&mut **tx)
        .await
        .map_err(|e| taken(e, Taken::TeamName { name: listed.team.clone() }))?;
        self.teams.insert((club, folded(&listed.team)), id);
        Ok((id, true))
    }
}

async fn coaches(tx: &mut Transaction<'static, Sqlite>, team: Uuid, person: Uuid) -> Stored<()> {
    sqlx::query!("INSERT INTO team_coach (team, person) VALUES (?, ?) ON CONFLICT DO NOTHING", team, person)
        .execute(&mut **tx)
        .await?;
    Ok(())
}
