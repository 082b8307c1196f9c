//! Copies of a database, and databases that are not what they should be.

use std::os::unix::fs::PermissionsExt;
use std::path::Path;

use jogo_store::keeping::{back_up, examine};
use jogo_store::{Store, StoreError};
use rstest::rstest;
use sqlx::sqlite::SqliteConnectOptions;
use sqlx::{ConnectOptions, Connection};

use crate::academy::{Academy, academy, at, id, person};
use crate::upgrade::of_version;

// Plain copying would lose what lies in the log of writes.
#[tokio::test]
async fn a_copy_holds_what_was_written_a_moment_ago_and_is_its_owners_alone() {
    let academy = academy().await;
    let Academy { store, folder, .. } = &academy;
    let (file, copy) = (folder.path().join("academy.sqlite"), folder.path().join("copy.sqlite"));
    store.add_person(&person(2, "olo"), at("10:00:00")).await.unwrap();
    let holds = back_up(&file, &copy).await.unwrap();
    assert_eq!((holds.people, holds.teams, holds.players), (2, 2, 0));
    assert_eq!(std::fs::metadata(&copy).unwrap().permissions().mode() & 0o777, 0o600);
    assert_eq!(examine(&copy).await.unwrap(), holds);
    let plain = folder.path().join("plain.sqlite");
    std::fs::copy(&file, &plain).unwrap();
    assert!(examine(&plain).await.map(|holds| holds.people).unwrap_or_default() < 2, "the log is not in it");
    let reopened = Store::open(&copy).await.unwrap();
    assert!(reopened.person_by_login("olo").await.unwrap().is_some());
    let refused = back_up(&file, &copy).await.unwrap_err();
    assert!(refused.to_string().contains("there is one already"), "{refused}");
}

#[tokio::test]
async fn the_moment_is_another_one_after_anybody_has_written() {
    let academy = academy().await;
    let Academy { store, folder, .. } = &academy;
    let first = store.moment().await.unwrap();
    store.teams().await.unwrap();
    assert_eq!(store.moment().await.unwrap(), first, "reading changes nothing");
    store.add_person(&person(2, "olo"), at("10:00:00")).await.unwrap();
    let second = store.moment().await.unwrap();
    assert_ne!(second, first);
    let options = SqliteConnectOptions::new().filename(folder.path().join("academy.sqlite"));
    let mut other = options.connect().await.unwrap();
    sqlx::query("UPDATE person SET name = 'Olo Brae' WHERE login = 'olo'").execute(&mut other).await.unwrap();
    assert_ne!(store.moment().await.unwrap(), second, "another program has written");
}

#[tokio::test]
async fn a_copy_that_fails_leaves_nothing_behind() {
    let academy = academy().await;
    let folder = academy.folder.path();
    let refused = back_up(&folder.join("nothing.sqlite"), &folder.join("copy.sqlite")).await.unwrap_err();
    assert!(matches!(refused, StoreError::Missing { .. }));
    std::fs::write(folder.join("text.sqlite"), "no database ".repeat(1_000)).unwrap();
    let refused = back_up(&folder.join("text.sqlite"), &folder.join("copy.sqlite")).await.unwrap_err();
    assert!(matches!(refused, StoreError::Damaged { .. }), "{refused}");
    assert!(!folder.join("copy.sqlite").exists() && !folder.join("copy.sqlite.part").exists());
}

/// What may happen to a file.
fn spoil(file: &Path, how: &str) {
    let whole = std::fs::read(file).unwrap();
    let half = whole.len() / 2;
    let spoiled = match how {
        "half" => whole[..half].to_vec(),
        "text" => b"no database ".repeat(1_000),
        _ => {
            let page = half / 4096 * 4096;
            let mut torn = whole;
            torn[page..page + 4096].fill(0xab);
            torn
        }
    };
    std::fs::write(file, spoiled).unwrap();
}

#[rstest]
#[tokio::test]
async fn a_damaged_database_is_not_opened_and_it_is_said_how_to_mend_it(
    #[values("half", "text", "torn")] how: &str,
) {
    let Academy { store, folder, .. } = academy().await;
    store.close().await;
    let file = folder.path().join("academy.sqlite");
    spoil(&file, how);
    let refused = Store::open(&file).await.unwrap_err();
    assert!(matches!(refused, StoreError::Damaged { .. }), "{refused}");
    assert!(refused.to_string().contains("restore the latest backup"), "{refused}");
}

#[tokio::test]
async fn a_row_that_belongs_to_nothing_is_found() {
    let Academy { store, folder, .. } = academy().await;
    store.close().await;
    let file = folder.path().join("academy.sqlite");
    let mut database =
        SqliteConnectOptions::new().filename(&file).foreign_keys(false).connect().await.unwrap();
    let orphan = "INSERT INTO team_coach (team, person) VALUES (?, ?)";
    sqlx::query(orphan).bind(id(98)).bind(id(99)).execute(&mut database).await.unwrap();
    database.close().await.unwrap();
    let found = examine(&file).await.unwrap_err();
    assert!(found.to_string().contains("a row of team_coach belongs to nothing"), "{found}");
}

#[tokio::test]
async fn the_database_of_another_program_is_left_alone() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("academy.sqlite");
    let options = SqliteConnectOptions::new().filename(&file).create_if_missing(true);
    let mut other = options.connect().await.unwrap();
    sqlx::query("CREATE TABLE rain (mm REAL)").execute(&mut other).await.unwrap();
    other.close().await.unwrap();
    let refused = Store::open(&file).await.unwrap_err();
    assert!(matches!(refused, StoreError::Foreign { .. }), "{refused}");
    assert!(matches!(examine(&file).await.unwrap_err(), StoreError::Foreign { .. }));
}

/// The copies that were made before a newer version changed a database.
fn copies_before(folder: &Path) -> Vec<std::path::PathBuf> {
    let files = std::fs::read_dir(folder).unwrap().map(|entry| entry.unwrap().path());
    files.filter(|path| path.file_name().unwrap().to_string_lossy().starts_with("academy-before-")).collect()
}

// The power went while the first one was written.
#[tokio::test]
async fn a_copy_before_an_update_that_was_cut_off_is_made_again() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("academy.sqlite");
    of_version(18, &file).await.close().await;
    Store::open(&file).await.unwrap().close().await;
    let copy = copies_before(folder.path()).remove(0);
    let again = tempfile::tempdir().unwrap();
    let file = again.path().join("academy.sqlite");
    of_version(18, &file).await.close().await;
    let cut_off = format!("{}.part", copy.file_name().unwrap().to_string_lossy());
    std::fs::write(again.path().join(&cut_off), "half of it").unwrap();
    Store::open(&file).await.unwrap().close().await;
    assert_eq!(copies_before(again.path()), [again.path().join(copy.file_name().unwrap())]);
    examine(&copies_before(again.path())[0]).await.unwrap();
}

#[tokio::test]
async fn a_first_start_that_was_cut_off_is_no_other_programs_database() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("academy.sqlite");
    let options = SqliteConnectOptions::new().filename(&file).create_if_missing(true);
    let mut begun = options.connect().await.unwrap();
    sqlx::raw_sql("CREATE TABLE begun (at TEXT); DROP TABLE begun").execute(&mut begun).await.unwrap();
    begun.close().await.unwrap();
    assert!(std::fs::metadata(&file).unwrap().len() > 0);
    let store = Store::open(&file).await.unwrap();
    assert!(store.people().await.unwrap().is_empty() && copies_before(folder.path()).is_empty());
}

#[tokio::test]
async fn an_earlier_database_is_copied_before_it_is_changed_and_a_later_one_is_refused() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("academy.sqlite");
    of_version(18, &file).await.close().await;
    Store::open(&file).await.unwrap().close().await;
    let copies = copies_before(folder.path());
    assert_eq!(copies.len(), 1);
    let mut before = SqliteConnectOptions::new().filename(&copies[0]).connect().await.unwrap();
    let last: i64 =
        sqlx::query_scalar("SELECT MAX(version) FROM _sqlx_migrations").fetch_one(&mut before).await.unwrap();
    assert_eq!(last, 18);
    let mut later = SqliteConnectOptions::new().filename(&file).connect().await.unwrap();
    let next = "INSERT INTO _sqlx_migrations (version, description, success, checksum, execution_time)
                SELECT 9999, 'later', success, checksum, 0 FROM _sqlx_migrations LIMIT 1";
    sqlx::query(next).execute(&mut later).await.unwrap();
    later.close().await.unwrap();
    let refused = Store::open(&file).await.unwrap_err();
    assert!(matches!(refused, StoreError::Newer { .. }), "{refused}");
}
