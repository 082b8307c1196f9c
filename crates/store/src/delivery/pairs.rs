//! Who is kept apart, and who stays together.

use jogo_core::delivery::pairs::Pair;
use uuid::Uuid;

use crate::{Store, Stored};

impl Store {
    /// The wishes of a team.
    pub async fn pairs(&self, team: Uuid) -> Stored<Vec<Pair<Uuid>>> {
        Ok(sqlx::query_as!(
            Pair,
            r#"SELECT one AS "one: Uuid", other AS "other: Uuid", together AS "together: bool"
               FROM pair_wish JOIN player ON player.id = one
               WHERE team = ? AND left_on IS NULL AND (SELECT left_on IS NULL FROM player WHERE id = other)
               ORDER BY one, other"#,
            team
        )
        .fetch_all(&self.read)
        .await?)
    }

    /// Sets the wishes of a team instead of those that there were. The caller has checked that all are of the team.
    pub async fn set_pairs(&self, team: Uuid, pairs: &[Pair<Uuid>]) -> Stored<()> {
        let mut tx = self.begin().await?;
        sqlx::query!("DELETE FROM pair_wish WHERE one IN (SELECT id FROM player WHERE team = ?)", team)
            .execute(&mut *tx)
            .await?;
        for Pair { one, other, together } in pairs {
            let (one, other) = (one.min(other), one.max(other));
            sqlx::query!(
                "INSERT INTO pair_wish (one, other, together) VALUES (?, ?, ?)",
                one,
                other,
                together
            )
            .execute(&mut *tx)
            .await?;
        }
        Ok(tx.commit().await?)
    }
}
