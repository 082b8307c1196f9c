//! A database of an earlier version is brought up to date, and what it held is still there.

use jogo_core::fact::Fact;
use std::path::Path;

use jogo_core::delivery::log::BlockSaid;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Said, Went};
use jogo_core::drill::Drill;
use jogo_core::plan::{Block, Plan};
use jogo_core::technique::skill::Skill;
use jogo_core::units::Minutes;
use jogo_store::Store;
use jogo_store::delivery::log::{LogEntries, OutcomeEntry};
use rstest::rstest;
use sqlx::SqlitePool;
use sqlx::sqlite::{SqliteConnectOptions, SqlitePoolOptions};
use uuid::Uuid;

use crate::academy::{Academy, academy, at, called, edition, id, new, wishes};

/// The drill that the first version kept; how a drill is written is not the schema's business.
const DRILL: &str = include_str!("../../../../demo/drills/weave-six.json");

/// An empty database with the schema of a version.
pub async fn of_version(version: usize, file: &Path) -> SqlitePool {
    let folder = Path::new(env!("CARGO_MANIFEST_DIR")).join("migrations");
    let mut all: Vec<_> = std::fs::read_dir(folder).unwrap().map(|entry| entry.unwrap().path()).collect();
    all.sort();
    let so_far = tempfile::tempdir().unwrap();
    for migration in &all[..version] {
        std::fs::copy(migration, so_far.path().join(migration.file_name().unwrap())).unwrap();
    }
    let options = SqliteConnectOptions::new().filename(file).create_if_missing(true);
    let pool = SqlitePoolOptions::new().max_connections(1).connect_with(options).await.unwrap();
    sqlx::migrate::Migrator::new(so_far.path()).await.unwrap().run(&pool).await.unwrap();
    pool
}

const BAND: &str = r#"{"id":"u8-u9","name":"U8–U9","youngest":7,"oldest":8,"ball_size":3,"session_min":40,
    "new_skills_per_week":2,
    "longest_bout_s":40,"longest_block_min":10,"explaining_s":60,"speeds_m_per_s":{"dribble":1.5,"run":2.6,"pass":5,
    "serve":4.5},"sources":{}}"#;
const TEST: &str = r#"{"id":"four-cuts","name":"Four cuts","short":"Cuts","how":"Count.","skill":"cut",
    "protocol":{"kind":"count","seconds":30},"per_side":false,"trials":2,"summary":"best","least":0,"most":40}"#;
const SKILL: &str = r#"{"id":"cut","name":"Cut","strand":"ball_mastery","band":"u8-u9","needs":[],
    "gate":{"kind":"milestone","milestone":"I can do four cuts","times":2,"of_last":3}}"#;
const UNANSWERED: &str = r#"{"id":"chop","name":"Chop","strand":"dribbling","band":"u8-u9","needs":[],
    "gate":{"kind":"milestone","milestone":"I can fly","times":1,"of_last":1}}"#;
const FOUR_CUTS: &str = r#"{"id":"four-cuts-form","says":"I can do four cuts","short":"Four cuts","skill":"cut",
    "stage":"form",
    "band":"u8-u9","evidence":{"measured":{"test":"four-cuts","reach":{"value":10},"times":1,"of_last":2}}}"#;

/// What a season leaves behind, each row with the version from which on it could be there.
const ROWS: [(usize, &str); 21] = [
    (1, "INSERT INTO academy (id, name, time_zone) VALUES (1, 'Skerrow Islands Youth Football', 'UTC')"),
    (1, "INSERT INTO band (id, doc) VALUES ('u8-u9', $1)"),
    (1, "INSERT INTO drill (id, doc) VALUES ('weave-six', $2)"),
    (1, "INSERT INTO test (id, place, doc) VALUES ('four-cuts', 0, $3)"),
    (
        1,
        "INSERT INTO standard (test, band, from_date, building, secure, stretching)
         VALUES ('four-cuts', 'u8-u9', '2030-09-01', 4, 7, 10)",
    ),
    (1, "INSERT INTO skill (id, place, doc) VALUES ('cut', 0, $4), ('chop', 1, $5)"),
    (
        2,
        "INSERT INTO drill_history (drill, version, doc, saved_at)
         VALUES ('weave-six', 1, $2, '2031-01-02T00:00:00.000000Z')",
    ),
    (3, "INSERT INTO skill_history (skill, doc, saved_at) VALUES ('cut', $4, '2031-01-02T00:00:00.000000Z')"),
    (10, "INSERT INTO milestone (id, place, doc) VALUES ('four-cuts-form', 0, $6), ('later', 1, $6)"),
    (
        1,
        "INSERT INTO person (id, login, name, role, password, created_at)
         VALUES ($8, 'una', 'Una Skar', 'coach', 'a hash', '2031-01-01T00:00:00.000000Z')",
    ),
    (1, "INSERT INTO club (id, name) VALUES ($9, 'Tern Cove')"),
    (1, "INSERT INTO team (id, club, band, name) VALUES ($10, $9, 'u8-u9', 'Tern Cove Blue')"),
    (
        1,
        "INSERT INTO player (id, team, name, birth_month, strong_foot, place, added_by, added_at)
         VALUES ($11, $10, 'Brin', '2022-04', 'left', 0, $8, '2031-01-01T00:00:00.000000Z')",
    ),
    (
        1,
        "INSERT INTO trial (id, player, test, taken_on, value, taken_by, said_at, received_at)
         VALUES ($12, $11, 'four-cuts', '2031-01-20', 8, $8, '2031-01-20T18:00:00.000000Z',
             '2031-01-20T19:00:00.000000Z')",
    ),
    (
        10,
        "INSERT INTO milestone_word (id, player, milestone, day, verdict, reason, said_by, said_at, received_at)
         VALUES ($12, $11, 'later', '2031-01-20', 'met', 'Seen', $8, '2031-01-20T18:00:00.000000Z',
             '2031-01-20T19:00:00.000000Z')",
    ),
    (
        1,
        "INSERT INTO curriculum (id, doc, plan, version, changed_by, changed_at)
         SELECT $13, json_extract($7, '$.curriculum'), json_extract($7, '$.plan'), 1, $8,
             '2031-01-01T00:00:00.000000Z'",
    ),
    (
        1,
        "INSERT INTO edition (id, curriculum, number, note, doc, published_by, published_at)
         VALUES ($14, $13, 1, '', $7, $8, '2031-01-01T00:00:00.000000Z')",
    ),
    (
        1,
        "INSERT INTO team_edition (team, edition, assigned_at) VALUES ($10, $14, '2031-01-01T00:00:00.000000Z')",
    ),
    (
        1,
        "INSERT INTO outcome (id, team, edition, session, block, outcome, minutes, said_by, said_at, received_at)
         VALUES ($15, $10, $14, 0, 1, 'short', 4, $8, '2031-01-20T18:00:00.000000Z', '2031-01-20T19:00:00.000000Z')",
    ),
    (
        6,
        "INSERT INTO presence (id, player, day, present, said_by, said_at, received_at)
         VALUES ($15, $11, '2031-01-20', 1, $8, '2031-01-20T18:00:00.000000Z', '2031-01-20T19:00:00.000000Z')",
    ),
    (
        1,
        "INSERT INTO audit (at, what, about) VALUES ('2031-01-01T00:00:00.000000Z', 'academy set up', 'Skerrow')",
    ),
];

/// An edition as versions before had it: its blocks have no names, its gates hold sentences.
async fn old_edition() -> String {
    let academy = academy().await;
    let mut winter = edition(&academy, wishes("Winter", "2031-01-06")).await;
    winter.plan = Plan {
        sessions: vec![vec![
            Block::of(&called("a@form"), Minutes(6)),
            Block::of(&called("b@form"), Minutes(7)),
        ]],
    };
    let mut doc: serde_json::Value = serde_json::to_value(&winter).unwrap();
    doc["skills"] = [UNANSWERED, SKILL]
        .map(|skill| serde_json::from_str::<serde_json::Value>(skill).unwrap())
        .to_vec()
        .into();
    doc.to_string()
}

/// A database as a version left it, with everything that it could hold of a season.
async fn left_by(version: usize, file: &Path) {
    let pool = of_version(version, file).await;
    let edition = old_edition().await;
    let ids = [1, 10, 20, 100, 300, 50, 60, 70].map(id);
    for (_, row) in ROWS.iter().filter(|(since, _)| *since <= version) {
        // Each block had a place, and has a name since.
        let row = if version >= 14 {
            row.replace("INSERT INTO outcome ", "INSERT INTO outcome_by_place ")
        } else {
            row.to_string()
        };
        let mut query = sqlx::query(sqlx::AssertSqlSafe(row));
        for doc in [BAND, DRILL, TEST, SKILL, UNANSWERED, FOUR_CUTS, &edition] {
            query = query.bind(doc.to_owned());
        }
        for id in ids {
            query = query.bind(id);
        }
        query.execute(&pool).await.unwrap();
    }
    pool.close().await;
}

#[rstest]
#[tokio::test]
async fn a_database_of_every_version_keeps_what_it_held(
    #[values(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14)] version: usize,
) {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("academy.sqlite");
    left_by(version, &file).await;
    let store = Store::open(&file).await.unwrap();
    assert_eq!(store.academy().await.unwrap().as_deref(), Some("Skerrow Islands Youth Football"));
    let brin = store.players(id(20)).await.unwrap().remove(0);
    assert_eq!((brin.id, brin.about.name.as_str()), (id(100), "Brin"));
    let trials = store.trials(id(20)).await.unwrap();
    assert_eq!(
        trials.iter().map(|taken| (taken.trial.player, taken.trial.value)).collect::<Vec<_>>(),
        [(id(100), 8.0)]
    );
    assert_eq!(store.standards(&called("u8-u9")).await.unwrap()[0].thresholds.secure, 7.0);
    // What was said of a block by its place is said of the block.
    let kept = store.editions_of_team(id(20)).await.unwrap().remove(0);
    let blocks = &kept.edition.plan.sessions[0];
    let said = store.said(id(20), id(60)).await.unwrap();
    assert_eq!(said.of(0, &blocks[0]), None);
    assert_eq!(said.of(0, &blocks[1]).copied(), Some(Went::from((Outcome::Short, Some(Minutes(4))))));
    // What was a sentence is a milestone, and a sentence that nobody says opens nothing.
    let gates = |skills: &[Skill]| -> Vec<(String, String)> {
        let gate = |skill: &Skill| skill.gate.as_ref().unwrap().milestone().unwrap().to_string();
        skills.iter().map(|skill| (skill.id.to_string(), gate(skill))).collect()
    };
    let named = if version >= 10 { "four-cuts-form" } else { "no-such-milestone" };
    let pair = |skill: &str, milestone: &str| (skill.to_owned(), milestone.to_owned());
    assert_eq!(
        gates(&store.skills().await.unwrap()),
        [pair("cut", named), pair("chop", "no-such-milestone")]
    );
    assert_eq!(gates(&kept.edition.skills), [pair("chop", "no-such-milestone"), pair("cut", named)]);
    assert!(
        gates(&store.skills_at("2031-06-01T00:00:00Z".parse().unwrap()).await.unwrap())
            .contains(&pair("cut", named))
    );
    // What was lost is noted, in the words in which it stood.
    let pool = SqlitePool::connect_with(SqliteConnectOptions::new().filename(&file)).await.unwrap();
    let noted: Vec<(String,)> = sqlx::query_as("SELECT about FROM audit").fetch_all(&pool).await.unwrap();
    assert!(noted.contains(&("chop: I can fly".to_owned(),)), "{noted:?}");
    pool.close().await;
    // And drills go on from there.
    let kept = store.kept_drill(&called("weave-six")).await.unwrap().unwrap();
    assert_eq!((kept.version, kept.archived_at), (1, None));
    let drill = Drill { title: "Weave".into(), ..kept.drill };
    store.change_drill(&drill, 1, id(1), at("12:00:00")).await.unwrap();
    let history = store.drill_history(&called("weave-six")).await.unwrap();
    let saved: Vec<_> = history.iter().map(|saved| (saved.version, saved.by.as_deref())).collect();
    // Where no history was kept yet, the state that was found is its first.
    assert_eq!(saved, [(2, Some("Una Skar")), (1, None)]);
    if version >= 10 {
        assert_eq!(store.words(id(20)).await.unwrap().len(), 1);
        assert!(!store.drop_milestone(&called("four-cuts-form")).await.unwrap(), "a gate asks for it");
    }
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
    let block = |variant: &str, minutes| Block::of(&called(variant), Minutes(minutes));
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
    store
        .change_team_plan(*team, &assigned, &own, &Fact::written("swapped"), *coach, at("11:00:00"))
        .await
        .unwrap();
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
