//! A database of an earlier version is brought up to date, and what it held is still there.

use std::path::Path;

use jogo_store::Store;
use sqlx::sqlite::{SqliteConnectOptions, SqlitePoolOptions};
use uuid::Uuid;

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
