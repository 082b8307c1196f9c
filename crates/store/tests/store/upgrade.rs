//! A database of an earlier version is brought up to date, and what it held is still there.

use std::path::Path;

use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Said};
use jogo_core::plan::{Block, Plan};
use jogo_core::units::Minutes;
use jogo_store::Store;
use jogo_store::delivery::log::{BlockSaid, LogEntries, OutcomeEntry};
use sqlx::sqlite::{SqliteConnectOptions, SqlitePoolOptions};
use uuid::Uuid;

use crate::academy::{Academy, academy, at, edition, id, new, wishes};

/// The drill that the first version kept; how a drill is written is not the schema's business.
const DRILL: &str = include_str!("../../../../demo/drills/weave-six.json");

/// A database as the first version left it: the schema of its migration, a person, a band and a drill.
async fn first_version(file: &Path) {
    let migrations = tempfile::tempdir().unwrap();
    let first = "0001_academy.sql";
    let original = Path::new(env!("CARGO_MANIFEST_DIR")).join("migrations").join(first);
    std::fs::copy(original, migrations.path().join(first)).unwrap();
    let options = SqliteConnectOptions::new().filename(file).create_if_missing(true);
    let pool = SqlitePoolOptions::new().max_connections(1).connect_with(options).await.unwrap();
    sqlx::migrate::Migrator::new(migrations.path()).await.unwrap().run(&pool).await.unwrap();
    let band = r#"{"id":"u8-u9","name":"U8–U9","youngest":7,"oldest":8,"ball_size":3,"session_min":40,"new_skills_per_week":2,
        "longest_bout_s":40,"longest_block_min":10,"explaining_s":60,"speeds_m_per_s":{"dribble":1.5,"run":2.6,"pass":5,"serve":4.5},"sources":{}}"#;
    for (statement, value) in [
        ("INSERT INTO academy (id, name, time_zone) VALUES (1, ?, 'UTC')", "Skerrow Islands Youth Football"),
        ("INSERT INTO band (id, doc) VALUES ('u8-u9', ?)", band),
        ("INSERT INTO drill (id, doc) VALUES ('weave-six', ?)", DRILL),
    ] {
        sqlx::query(statement).bind(value).execute(&pool).await.unwrap();
    }
    sqlx::query("INSERT INTO person (id, login, name, role, password, created_at) VALUES (?, 'una', 'Una Skar', 'coach', 'a hash', '2031-01-01T00:00:00.000000Z')")
        .bind(Uuid::from_u128(1))
        .execute(&pool)
        .await
        .unwrap();
    pool.close().await;
}

#[tokio::test]
async fn a_database_of_the_first_version_keeps_its_drills_bands_and_people() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("academy.sqlite");
    first_version(&file).await;
    let store = Store::open(&file).await.unwrap();
    assert_eq!(store.academy().await.unwrap().as_deref(), Some("Skerrow Islands Youth Football"));
    assert_eq!(store.settings().await.unwrap().1, 1);
    assert_eq!(store.bands().await.unwrap()[0].band.id, "u8-u9");
    assert_eq!(store.pace(Uuid::from_u128(1)).await.unwrap(), None);
    let kept = store.kept_drill("weave-six").await.unwrap().unwrap();
    assert_eq!((kept.version, kept.archived_at), (1, None));
    assert_eq!(store.drill_version("weave-six", 1).await.unwrap().unwrap(), kept.drill);
    // And it goes on from there.
    let mut drill = kept.drill;
    drill.title = "Weave".into();
    let now = "2031-02-10T12:00:00Z".parse().unwrap();
    store.change_drill(&drill, 1, Uuid::from_u128(1), now).await.unwrap();
    let history = store.drill_history("weave-six").await.unwrap();
    assert_eq!(history.iter().map(|saved| saved.version).collect::<Vec<_>>(), [2, 1]);
    assert_eq!(history[0].by.as_deref(), Some("Una Skar"));
}

/// Takes the names out of a document, as versions before had it.
fn unnamed(doc: &str) -> String {
    fn plan(plan: &mut serde_json::Value) {
        for block in plan
            .get_mut("sessions")
            .and_then(serde_json::Value::as_array_mut)
            .into_iter()
            .flatten()
            .flat_map(|s| s.as_array_mut().unwrap())
        {
            block.as_object_mut().unwrap().remove("id");
        }
    }
    let mut value: serde_json::Value = serde_json::from_str(doc).unwrap();
    plan(&mut value);
    if let Some(inner) = value.get_mut("plan") {
        plan(inner);
    }
    value.to_string()
}

/// Turns a database into what the version before blocks had names would have kept: places in the place of names.
async fn before_names(file: &Path) {
    let pool = SqlitePoolOptions::new()
        .max_connections(1)
        .connect_with(SqliteConnectOptions::new().filename(file))
        .await
        .unwrap();
    let outcomes: Vec<(Vec<u8>, Vec<u8>, i64)> =
        sqlx::query_as("SELECT id, block, session FROM outcome").fetch_all(&pool).await.unwrap();
    let places = |doc: &str| -> Vec<Vec<String>> {
        let value: serde_json::Value = serde_json::from_str(doc).unwrap();
        let named = |block: &serde_json::Value| block["id"].as_str().unwrap().to_owned();
        let session = |blocks: &serde_json::Value| blocks.as_array().unwrap().iter().map(named).collect();
        value["plan"]["sessions"].as_array().unwrap().iter().map(session).collect()
    };
    let (edition,): (String,) =
        sqlx::query_as("SELECT doc FROM team_plan ORDER BY version DESC").fetch_one(&pool).await.unwrap();
    let places = places(&edition);
    for (id, block, session) in outcomes {
        let name = Uuid::from_slice(&block).unwrap().to_string();
        let place = places[session as usize].iter().position(|known| *known == name).unwrap() as i64;
        sqlx::query(
            "INSERT INTO outcome_by_place (id, team, edition, session, block, outcome, minutes, success, ran,
                 said_by, said_at, received_at)
             SELECT id, team, edition, session, ?, outcome, minutes, success, ran, said_by, said_at, received_at
             FROM outcome WHERE id = ?",
        )
        .bind(place)
        .bind(id)
        .execute(&pool)
        .await
        .unwrap();
    }
    sqlx::query("DELETE FROM outcome").execute(&pool).await.unwrap();
    sqlx::query("DELETE FROM upgraded").execute(&pool).await.unwrap();
    for (table, column) in
        [("edition", "doc"), ("team_plan", "doc"), ("curriculum", "plan"), ("curriculum_history", "plan")]
    {
        let read = format!("SELECT rowid, {column} FROM {table}");
        let rows: Vec<(i64, String)> =
            sqlx::query_as(sqlx::AssertSqlSafe(read)).fetch_all(&pool).await.unwrap();
        for (row, doc) in rows {
            let write = format!("UPDATE {table} SET {column} = ? WHERE rowid = ?");
            sqlx::query(sqlx::AssertSqlSafe(write))
                .bind(unnamed(&doc))
                .bind(row)
                .execute(&pool)
                .await
                .unwrap();
        }
    }
    pool.close().await;
}

// A team with a plan of its own in which two sessions have changed places, an outcome for each block said by its
// place, and a draft that has moved on: the names differ, what they say is the same.
#[tokio::test]
async fn what_was_said_by_place_is_said_of_the_same_drills_by_name() {
    let academy = academy().await;
    let Academy { store, coach, team, folder, .. } = &academy;
    let block = |variant: &str, minutes| Block::of(variant, Minutes(minutes));
    let first = Plan {
        sessions: vec![
            vec![block("a@form", 6), block("b@form", 7)],
            vec![block("c@flow", 8)],
            vec![],
            vec![],
        ],
    };
    let mut winter = edition(&academy, wishes("Winter", "2031-01-06")).await;
    winter.plan = first.clone();
    store.add_curriculum(id(50), &winter.curriculum, &first, *coach, at("09:00:00")).await.unwrap();
    let draft = store.curriculum(id(50)).await.unwrap().unwrap();
    winter.plan = draft.plan.clone();
    store.publish(new(60, 50, &winter), &[], *coach, at("10:00:00")).await.unwrap();
    let assigned = store.editions_of_team(*team).await.unwrap().remove(0);
    let mut swapped = draft.plan.clone();
    swapped.sessions.swap(0, 1);
    let own = TeamPlan { plan: Some(swapped.clone()), ..TeamPlan::default() };
    store.change_team_plan(*team, &assigned, &own, "swapped", *coach, at("11:00:00")).await.unwrap();
    let entry = |n, (session, place): (usize, usize), outcome| OutcomeEntry {
        id: id(n),
        edition: id(60),
        session: session as u32,
        said: BlockSaid {
            block: swapped.sessions[session][place].id.unwrap(),
            outcome,
            minutes: None,
            success: None,
            ran: None,
        },
        said_at: at("18:00:00"),
    };
    let outcomes = vec![
        entry(70, (0, 0), Outcome::Done),
        entry(71, (1, 0), Outcome::Short),
        entry(72, (1, 1), Outcome::Skipped),
    ];
    let log = LogEntries { outcomes, ..LogEntries::default() };
    store.add_log(*team, &log, *coach, at("19:00:00")).await.unwrap();
    let told = |plan: &Plan, said: &Said| -> Vec<_> {
        plan.places().map(|((at, _), block)| (at, block.unnamed(), said.of(at, block).copied())).collect()
    };
    let before = told(&swapped, &store.said(*team, id(60)).await.unwrap());
    let file = folder.path().join("academy.sqlite");
    store.close().await;
    before_names(&file).await;

    let store = Store::open(&file).await.unwrap();
    let kept = store.editions_of_team(*team).await.unwrap().remove(0);
    let own = kept.own.plan.unwrap();
    assert_eq!(told(&own, &store.said(*team, id(60)).await.unwrap()), before);
    assert_eq!(own.sessions[0], kept.edition.plan.sessions[1], "a block that has moved is the same block");
    assert_eq!(store.curriculum(id(50)).await.unwrap().unwrap().plan, kept.edition.plan, "in the draft too");
    assert!(kept.edition.plan.places().all(|(_, block)| block.id.is_some()));
    // Opened once more, nothing changes.
    store.close().await;
    let again = Store::open(&file).await.unwrap();
    assert_eq!(again.editions_of_team(*team).await.unwrap().remove(0).own.plan, Some(own));
}
