//! Clubs, teams and coaches from one list, all of it or nothing.

use std::collections::BTreeMap;

use jiff::Timestamp;
use jogo_core::academy::club_list::{ListedTeam, folded};
use jogo_core::ids::BandId;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::people::Role;
use crate::{Store, Stored, Taken, stamp, taken, to_word};

/// A coach who is to be invited, and the hash of the token that the link carries.
#[derive(Clone, Debug)]
pub struct ToInvite {
    /// Id of the invitation.
    pub id: Uuid,
    /// Who.
    pub name: String,
    /// The hash of the token.
    pub token_hash: Vec<u8>,
    /// Until when the link works.
    pub until: Timestamp,
}

/// Coaches who are known by name, folded.
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
    /// Adds the clubs and teams that are not there yet, lets coaches who are there already coach their teams, and keeps
    /// the invitations of the others. Clubs, teams and people are known by name; teams keep the coaches that they have.
    /// Gives the teams that are new.
    pub async fn add_listed(
        &self,
        teams: &[ListedTeam],
        known: &KnownCoaches,
        invited: &[ToInvite],
        by: Uuid,
        at: Timestamp,
    ) -> Stored<Vec<(Uuid, BandId)>> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        for ToInvite { id, name, token_hash, until } in invited {
            let (role, until) = (to_word("a role", &Role::Coach)?, stamp(*until));
            sqlx::query!(
                "INSERT INTO invitation (id, token_hash, name, role, invited_by, invited_at, expires_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?)",
                id,
                token_hash,
                name,
                role,
                by,
                at,
                until
            )
            .execute(&mut *tx)
            .await?;
        }
        let mut added = Vec::new();
        for listed in teams {
            let club = club(&mut tx, &listed.club).await?;
            let (team, is_new) = team(&mut tx, club, listed).await?;
            added.extend(is_new.then(|| (team, listed.band.clone())));
            for name in listed.coaches.iter().map(|coach| folded(&coach.name)) {
                let new = invited.iter().find(|each| folded(&each.name) == name).map(|each| each.id);
                if let Some(person) = known.here.get(&name) {
                    sqlx::query!(
                        "INSERT INTO team_coach (team, person) VALUES (?, ?) ON CONFLICT DO NOTHING",
                        team,
                        person
                    )
                    .execute(&mut *tx)
                    .await?;
                } else if let Some(invitation) = new.or_else(|| known.invited.get(&name).copied()) {
                    sqlx::query!(
                        "INSERT INTO invitation_team (invitation, team) VALUES (?, ?) ON CONFLICT DO NOTHING",
                        invitation,
                        team
                    )
                    .execute(&mut *tx)
                    .await?;
                }
            }
        }
        tx.commit().await?;
        Ok(added)
    }
}

/// The club of a name; a new one if there is none.
async fn club(tx: &mut Transaction<'static, Sqlite>, name: &str) -> Stored<Uuid> {
    let clubs = sqlx::query!(r#"SELECT id AS "id: Uuid", name FROM club"#).fetch_all(&mut **tx).await?;
    if let Some(known) = clubs.into_iter().find(|club| folded(&club.name) == folded(name)) {
        return Ok(known.id);
    }
    let id = Uuid::now_v7();
    sqlx::query!("INSERT INTO club (id, name) VALUES (?, ?)", id, name).execute(&mut **tx).await?;
    Ok(id)
}

/// The team of a name in a club, and whether it is a new one.
async fn team(
    tx: &mut Transaction<'static, Sqlite>,
    club: Uuid,
    listed: &ListedTeam,
) -> Stored<(Uuid, bool)> {
    let teams = sqlx::query!(r#"SELECT id AS "id: Uuid", name FROM team WHERE club = ?"#, club);
    let teams = teams.fetch_all(&mut **tx).await?;
    if let Some(known) = teams.into_iter().find(|team| folded(&team.name) == folded(&listed.team)) {
        return Ok((known.id, false));
    }
    let (id, band) = (Uuid::now_v7(), listed.band.as_str());
    sqlx::query!("INSERT INTO team (id, club, band, name) VALUES (?, ?, ?, ?)", id, club, band, listed.team)
        .execute(&mut **tx)
        .await
        .map_err(|e| taken(e, Taken::TeamName { name: listed.team.clone() }))?;
    Ok((id, true))
}
