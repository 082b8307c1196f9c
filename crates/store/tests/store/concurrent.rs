//! Several writers at the same moment: nothing is lost, and of two changes of the same thing one is told.

use crate::academy::{Academy, academy, at, called, id, with_squads};
use jiff::civil::date;
use jogo_core::drill::Drill;
use jogo_core::ids::DrillId;
use jogo_store::delivery::log::{LogEntries, PresenceEntry};
use jogo_store::{Store, StoreError};
use tokio::task::JoinSet;
use uuid::Uuid;

const WRITERS: u128 = 12;

#[tokio::test(flavor = "multi_thread", worker_threads = 4)]
async fn of_many_who_change_the_same_drill_one_is_kept_and_the_others_are_told() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let mut drill: Drill =
        serde_json::from_str(include_str!("../../../../demo/drills/weave-six.json")).unwrap();
    let name: DrillId = called("weave-six");
    store.add_drill(&drill, *coach, at("09:00:00")).await.unwrap();
    let mut all = JoinSet::new();
    for writer in 0..WRITERS {
        drill.title = format!("Weave {writer}");
        let (store, drill, coach) = (store.clone(), drill.clone(), *coach);
        all.spawn(async move {
            (drill.title.clone(), store.change_drill(&drill, 1, coach, at("10:00:00")).await)
        });
    }
    let mut kept = Vec::new();
    for (title, answer) in all.join_all().await {
        match answer {
            Ok(()) => kept.push(title),
            Err(error) => assert!(matches!(error, StoreError::Stale), "{error}"),
        }
    }
    assert_eq!(kept.len(), 1, "{kept:?}");
    assert_eq!(store.kept_drill(&name).await.unwrap().unwrap().drill.title, kept[0]);
    assert_eq!(store.drill_history(&name).await.unwrap().len(), 2);
}

/// Half of the writers have opened the database on their own, as a second program would.
#[tokio::test(flavor = "multi_thread", worker_threads = 4)]
async fn what_many_phones_send_at_once_is_all_kept_and_reading_goes_on_meanwhile() {
    let academy = with_squads().await;
    let Academy { store, coach, team, folder, .. } = &academy;
    let another = Store::open(&folder.path().join("academy.sqlite")).await.unwrap();
    let mut all = JoinSet::new();
    for writer in 0..WRITERS {
        let store = if writer % 2 == 0 { store.clone() } else { another.clone() };
        let (team, coach) = (*team, *coach);
        all.spawn(async move {
            for nth in 0..5_u128 {
                let day = date(2031, 2, 1 + nth as i8);
                let entry = |player: u128, on: u128| PresenceEntry {
                    id: id(10_000 + writer * 100 + nth * 10 + on),
                    player: Uuid::from_u128(player),
                    day,
                    present: true,
                    said_at: at("18:00:00"),
                };
                let presence = vec![entry(100, 0), entry(101, 1)];
                let log = LogEntries { presence, ..LogEntries::default() };
                store.add_log(team, &log, coach, at("19:00:00")).await.unwrap();
                // Both of a session, or neither: half of what is written is never read.
                let counted = store.attendance(team).await.unwrap();
                assert_eq!(counted[&day], (2, 0), "{counted:?}");
            }
        });
    }
    all.join_all().await;
    assert_eq!(store.attendance(*team).await.unwrap().len(), 5);
    another.close().await;
}
