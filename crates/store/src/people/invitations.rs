//! Invitations: how somebody signs in for the first time, through a link that works once.

use jiff::Timestamp;
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::people::{NewPerson, Role, insert_person};
use crate::{Store, StoreError, Stored, Taken, from_word, parsed, stamp, to_word};

/// An invitation.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Invitation {
    /// Id.
    pub id: Uuid,
    /// The name of who is invited.
    pub name: String,
    /// What for.
    pub role: Role,
    /// Which club a lead reads.
    pub club: Option<Uuid>,
    /// Which teams they will have.
    pub teams: Vec<Uuid>,
    /// Until when the link works.
    pub until: Timestamp,
}

/// Keeps an invitation under the hash of its token, with its teams.
pub(crate) async fn put(
    tx: &mut Transaction<'_, Sqlite>,
    invitation: &Invitation,
    token_hash: &[u8],
    by: Uuid,
    at: Timestamp,
) -> Stored<()> {
    let Invitation { id, name, role, club, teams, until } = invitation;
    let (role, at, until) = (to_word("a role", role)?, stamp(at), stamp(*until));
    sqlx::query!(
        "INSERT INTO invitation (id, token_hash, name, role, club, invited_by, invited_at, expires_at)
             VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
        id,
        token_hash,
        name,
        role,
        club,
        by,
        at,
        until
    )
    .execute(&mut **tx)
    .await
    .map_err(|error| match error.as_database_error() {
        Some(e) if e.is_unique_violation() => StoreError::from(Taken::Invitation),
        Some(e) if e.is_foreign_key_violation() => Taken::NoClub.into(),
        _ => error.into(),
    })?;
    for team in teams {
        add_team(tx, *id, *team).await?;
    }
    Ok(())
}

/// Adds a team to an invitation, once.
pub(crate) async fn add_team(tx: &mut Transaction<'_, Sqlite>, invitation: Uuid, team: Uuid) -> Stored<()> {
    sqlx::query!(
        "INSERT INTO invitation_team (invitation, team) VALUES (?, ?) ON CONFLICT DO NOTHING",
        invitation,
        team
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

impl Store {
    /// Keeps an invitation under the hash of its token.
    pub async fn invite(
        &self,
        invitation: &Invitation,
        token_hash: &[u8],
        by: Uuid,
        at: Timestamp,
    ) -> Stored<()> {
        let mut tx = self.begin().await?;
        put(&mut tx, invitation, token_hash, by, at).await?;
        Ok(tx.commit().await?)
    }

    /// The invitations that can still be taken up, the latest first.
    pub async fn open_invitations(&self, at: Timestamp) -> Stored<Vec<Invitation>> {
        let at = stamp(at);
        let rows = sqlx::query!(
            r#"SELECT id AS "id: Uuid", name, role, club AS "club: Uuid", expires_at FROM invitation
               WHERE used_by IS NULL AND expires_at > ? ORDER BY invited_at DESC, id DESC"#,
            at
        )
        .fetch_all(&self.read)
        .await?;
        let teams = sqlx::query!(
            r#"SELECT invitation AS "invitation: Uuid", team AS "team: Uuid" FROM invitation_team"#
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|r| {
                let own = teams.iter().filter(|t| t.invitation == r.id).map(|t| t.team);
                Ok(Invitation {
                    id: r.id,
                    name: r.name,
                    role: from_word("a role", &r.role)?,
                    club: r.club,
                    teams: own.collect(),
                    until: parsed("the end of an invitation", &r.expires_at)?,
                })
            })
            .collect()
    }

    /// The invitation of a token, if it can still be taken up.
    pub async fn invitation(&self, token_hash: &[u8], at: Timestamp) -> Stored<Option<Invitation>> {
        let id = sqlx::query_scalar!(
            r#"SELECT id AS "id: Uuid" FROM invitation WHERE token_hash = ?"#,
            token_hash
        )
        .fetch_optional(&self.read)
        .await?;
        Ok(self.open_invitations(at).await?.into_iter().find(|invitation| Some(invitation.id) == id))
    }

    /// Takes an invitation back; false if it is not open any more.
    pub async fn withdraw(&self, id: Uuid) -> Stored<bool> {
        let gone = sqlx::query!("DELETE FROM invitation WHERE id = ? AND used_by IS NULL", id)
            .execute(&self.write)
            .await?;
        Ok(gone.rows_affected() > 0)
    }

    /// Takes an invitation up: whoever was invited can sign in, and has their teams or club. Errs if somebody has
    /// taken it up meanwhile, or the login is taken; then nothing is written.
    pub async fn take_up(&self, invitation: &Invitation, new: &NewPerson, at: Timestamp) -> Stored<()> {
        let mut tx = self.begin().await?;
        let id = new.person.id;
        insert_person(&mut tx, new, at).await?;
        let used = sqlx::query!(
            "UPDATE invitation SET used_by = ? WHERE id = ? AND used_by IS NULL",
            id,
            invitation.id
        )
        .execute(&mut *tx)
        .await?;
        if used.rows_affected() == 0 {
            return Err(StoreError::Stale);
        }
        for team in &invitation.teams {
            sqlx::query!("INSERT INTO team_coach (team, person) VALUES (?, ?)", team, id)
                .execute(&mut *tx)
                .await?;
        }
        if let Some(club) = invitation.club {
            sqlx::query!("INSERT INTO club_lead (club, person) VALUES (?, ?)", club, id)
                .execute(&mut *tx)
                .await?;
        }
        Ok(tx.commit().await?)
    }
}
