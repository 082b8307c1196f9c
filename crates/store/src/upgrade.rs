//! Upgrades that need more than SQL. Each is done once, as one transaction, and noted when it is done.

use jiff::Timestamp;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::plan::{BlockId, Plan};
use sqlx::SqliteConnection;
use uuid::Uuid;

use crate::{Store, StoreError, Stored, from_json, stamp, to_json};

/// A fresh name for a block.
pub(crate) fn fresh() -> BlockId {
    BlockId(Uuid::now_v7())
}

const BLOCK_NAMES: &str = "block names";

/// Gives every block that is kept a name, and brings what was said of blocks by their places over to their names.
///
/// A block that goes on from one edition to the next, into the draft, or into a team's plan has one name there.
pub(crate) async fn name_blocks(store: &Store) -> Stored<()> {
    let mut tx = store.begin().await?;
    let done = sqlx::query_scalar!("SELECT what FROM upgraded WHERE what = ?", BLOCK_NAMES)
        .fetch_optional(&mut *tx)
        .await?;
    if done.is_some() {
        return Ok(());
    }
    let curricula =
        sqlx::query_scalar!(r#"SELECT id AS "id: Uuid" FROM curriculum"#).fetch_all(&mut *tx).await?;
    for curriculum in curricula {
        let latest = editions(&mut tx, curriculum).await?;
        draft(&mut tx, curriculum, &latest).await?;
    }
    let at = stamp(Timestamp::now());
    sqlx::query!("INSERT INTO upgraded (what, at) VALUES (?, ?)", BLOCK_NAMES, at).execute(&mut *tx).await?;
    Ok(tx.commit().await?)
}

/// The editions of a curriculum in their order, with the plans of their teams. Returns the plan of the latest one.
async fn editions(tx: &mut SqliteConnection, curriculum: Uuid) -> Stored<Plan> {
    let rows = sqlx::query!(
        r#"SELECT id AS "id: Uuid", doc FROM edition WHERE curriculum = ? ORDER BY number"#,
        curriculum
    )
    .fetch_all(&mut *tx)
    .await?;
    let mut before = Plan::default();
    for row in rows {
        let mut edition: Edition = from_json("an edition", &row.doc)?;
        edition.plan = edition.plan.continuing(&before).named(fresh);
        let doc = to_json("an edition", &edition)?;
        sqlx::query!("UPDATE edition SET doc = ? WHERE id = ?", doc, row.id).execute(&mut *tx).await?;
        let teams =
            sqlx::query_scalar!(r#"SELECT team AS "team: Uuid" FROM team_edition WHERE edition = ?"#, row.id)
                .fetch_all(&mut *tx)
                .await?;
        for team in teams {
            of_team(&mut *tx, team, row.id, &edition).await?;
        }
        before = edition.plan;
    }
    Ok(before)
}

/// The draft of a curriculum, and what can be taken back of it.
async fn draft(tx: &mut SqliteConnection, curriculum: Uuid, latest: &Plan) -> Stored<()> {
    let doc = sqlx::query_scalar!("SELECT plan FROM curriculum WHERE id = ?", curriculum)
        .fetch_one(&mut *tx)
        .await?;
    let plan = from_json::<Plan>("a plan", &doc)?.continuing(latest).named(fresh);
    let doc = to_json("a plan", &plan)?;
    sqlx::query!("UPDATE curriculum SET plan = ? WHERE id = ?", doc, curriculum).execute(&mut *tx).await?;
    let changes =
        sqlx::query!("SELECT change, plan FROM curriculum_history WHERE curriculum = ?", curriculum)
            .fetch_all(&mut *tx)
            .await?;
    for row in changes {
        let earlier = from_json::<Plan>("a plan", &row.plan)?.continuing(&plan).named(fresh);
        let doc = to_json("a plan", &earlier)?;
        sqlx::query!("UPDATE curriculum_history SET plan = ? WHERE change = ?", doc, row.change)
            .execute(&mut *tx)
            .await?;
    }
    Ok(())
}

/// Every state of a team's plan, and what it said: by the places of its latest state, as it was shown so far.
async fn of_team(tx: &mut SqliteConnection, team: Uuid, edition: Uuid, published: &Edition) -> Stored<()> {
    let unreadable = |faults: Vec<jogo_core::input::InputError>| StoreError::Unreadable {
        what: "a team's plan",
        why: faults.first().map_or_else(String::new, |fault| fault.fact.to_string()),
    };
    let rows = sqlx::query!(
        "SELECT version, doc FROM team_plan WHERE team = ? AND edition = ? ORDER BY version",
        team,
        edition
    )
    .fetch_all(&mut *tx)
    .await?;
    let mut own = TeamPlan::default();
    let mut before = published.plan.clone();
    for row in rows {
        own = from_json("a team's plan", &row.doc)?;
        let meant = own.on_its_days(published).map_err(unreadable)?.plan;
        own.plan = own.plan.map(|plan| plan.continuing(&before).continuing(&meant).named(fresh));
        before = own.plan.clone().unwrap_or(meant);
        let doc = to_json("a team's plan", &own)?;
        sqlx::query!(
            "UPDATE team_plan SET doc = ? WHERE team = ? AND edition = ? AND version = ?",
            doc,
            team,
            edition,
            row.version
        )
        .execute(&mut *tx)
        .await?;
    }
    let laid = own.edition(published).map_err(unreadable)?.plan;
    let places = sqlx::query!(
        "SELECT DISTINCT session, block FROM outcome_by_place WHERE team = ? AND edition = ?",
        team,
        edition
    )
    .fetch_all(&mut *tx)
    .await?;
    for row in places {
        let there = laid.sessions.get(row.session as usize).and_then(|blocks| blocks.get(row.block as usize));
        // What was said of a place that the plan no longer has stays in the history, under a name of its own.
        let BlockId(name) = there.and_then(|block| block.id).unwrap_or_else(fresh);
        sqlx::query!(
            "INSERT INTO outcome (id, team, edition, session, block, outcome, minutes, success, ran,
                 said_by, said_at, received_at)
             SELECT id, team, edition, session, ?, outcome, minutes, success, ran, said_by, said_at, received_at
             FROM outcome_by_place WHERE team = ? AND edition = ? AND session = ? AND block = ?",
            name,
            team,
            edition,
            row.session,
            row.block
        )
        .execute(&mut *tx)
        .await?;
    }
    sqlx::query!("DELETE FROM outcome_by_place WHERE team = ? AND edition = ?", team, edition)
        .execute(&mut *tx)
        .await?;
    Ok(())
}
