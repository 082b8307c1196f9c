//! Leaving: people who are shut out, or give up a team or a club.

use jiff::Timestamp;
use uuid::Uuid;

use crate::academy::clubs::Named;
use crate::audit::Deed;
use crate::{Store, Stored, Taken, audit, stamp};

impl Store {
    /// Shuts somebody out: their sign-ins, their calendar's address, the invitations that they sent and a link for a
    /// new password end at once, and they no longer coach or lead. What they wrote stays. False if nobody is there, or
    /// they are shut out already; errs if they are the last director.
    pub async fn shut_out(&self, person: Uuid, by: Option<Uuid>, at: Timestamp) -> Stored<bool> {
        let mut tx = self.begin().await?;
        let found = sqlx::query!(
            r#"SELECT name, acting_role = 'director' AND NOT EXISTS (
                   SELECT 1 FROM acting WHERE acting_role = 'director' AND id <> ?1) AS "last!: bool"
               FROM acting WHERE id = ?1"#,
            person
        );
        let Some(found) = found.fetch_optional(&mut *tx).await? else { return Ok(false) };
        if found.last {
            return Err(Taken::LastDirector.into());
        }
        let when = stamp(at);
        sqlx::query!("UPDATE person SET shut_out_at = ?, email = NULL WHERE id = ?", when, person)
            .execute(&mut *tx)
            .await?;
        sqlx::query!("DELETE FROM sign_in WHERE person = ?", person).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM feed WHERE person = ?", person).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM password_link WHERE person = ?", person).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM invitation WHERE invited_by = ? AND used_by IS NULL", person)
            .execute(&mut *tx)
            .await?;
        sqlx::query!("DELETE FROM team_coach WHERE person = ?", person).execute(&mut *tx).await?;
        sqlx::query!("DELETE FROM club_lead WHERE person = ?", person).execute(&mut *tx).await?;
        audit::put(&mut tx, (at, by), Deed::ShutOut, &found.name).await?;
        tx.commit().await?;
        Ok(true)
    }

    /// Lets somebody in again who was shut out; their teams and clubs have to be given back one by one. False if
    /// they are not shut out.
    pub async fn let_in_again(&self, person: Uuid, by: Uuid, at: Timestamp) -> Stored<bool> {
        let mut tx = self.begin().await?;
        let name = sqlx::query_scalar!(
            "UPDATE person SET shut_out_at = NULL WHERE id = ? AND shut_out_at IS NOT NULL RETURNING name",
            person
        );
        let Some(name) = name.fetch_optional(&mut *tx).await? else { return Ok(false) };
        audit::put(&mut tx, (at, Some(by)), Deed::LetInAgain, &name).await?;
        tx.commit().await?;
        Ok(true)
    }

    /// Everybody who is shut out, by name.
    pub async fn shut_out_people(&self) -> Stored<Vec<Named>> {
        Ok(sqlx::query_as!(
            Named,
            r#"SELECT id AS "id: Uuid", name FROM person WHERE shut_out_at IS NOT NULL ORDER BY name, login"#
        )
        .fetch_all(&self.read)
        .await?)
    }

    /// Somebody no longer leads a club; false if they did not.
    pub async fn leave_club(&self, club: Uuid, person: Uuid, by: Uuid, at: Timestamp) -> Stored<bool> {
        let mut tx = self.begin().await?;
        let left = sqlx::query!("DELETE FROM club_lead WHERE club = ? AND person = ?", club, person)
            .execute(&mut *tx)
            .await?;
        if left.rows_affected() == 0 {
            return Ok(false);
        }
        let about = sqlx::query_scalar!(
            r#"SELECT (SELECT name FROM club WHERE id = ?) || ': ' || (SELECT name FROM person WHERE id = ?)
                   AS "about!: String""#,
            club,
            person
        );
        let about = about.fetch_one(&mut *tx).await?;
        audit::put(&mut tx, (at, Some(by)), Deed::LeftClub, &about).await?;
        tx.commit().await?;
        Ok(true)
    }

    /// Somebody no longer coaches a team; false if they did not.
    pub async fn leave_team(&self, team: Uuid, person: Uuid, at: Timestamp) -> Stored<bool> {
        let mut tx = self.begin().await?;
        let left = sqlx::query!("DELETE FROM team_coach WHERE team = ? AND person = ?", team, person)
            .execute(&mut *tx)
            .await?;
        if left.rows_affected() == 0 {
            return Ok(false);
        }
        let name =
            sqlx::query_scalar!("SELECT name FROM team WHERE id = ?", team).fetch_one(&mut *tx).await?;
        audit::put(&mut tx, (at, Some(person)), Deed::LeftTeam, &name).await?;
        tx.commit().await?;
        Ok(true)
    }
}
