//! Counts of a team are let go when something that they follow from changes.

use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::Stored;

/// Takes away what is kept of a team, since something that it follows from has changed.
pub(crate) async fn forget(tx: &mut Transaction<'static, Sqlite>, team: Uuid) -> Stored<()> {
    sqlx::query!(
        "INSERT INTO team_levels (team, version) VALUES (?, 1)
         ON CONFLICT (team) DO UPDATE SET version = version + 1, doc = NULL",
        team
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

/// The same for the team in which a player is now.
pub(crate) async fn forget_of_player(tx: &mut Transaction<'static, Sqlite>, player: Uuid) -> Stored<()> {
    sqlx::query!(
        "INSERT INTO team_levels (team, version) SELECT team, 1 FROM player WHERE id = ?
         ON CONFLICT (team) DO UPDATE SET version = version + 1, doc = NULL",
        player
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}

/// The same for all teams of a band, or of all bands.
pub(crate) async fn forget_band(tx: &mut Transaction<'static, Sqlite>, band: Option<&str>) -> Stored<()> {
    sqlx::query!(
        "INSERT INTO team_levels (team, version) SELECT id, 1 FROM team WHERE ?1 IS NULL OR band = ?1
         ON CONFLICT (team) DO UPDATE SET version = version + 1, doc = NULL",
        band
    )
    .execute(&mut **tx)
    .await?;
    Ok(())
}
