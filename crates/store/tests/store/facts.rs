//! What was said is kept once, all of it or nothing, and in any order.

use crate::academy::{Academy, academy, at, id, player, trial};
use jogo_store::StoreError;
use jogo_store::assessment::trials::TakenBack;
use rstest::rstest;

async fn with_a_squad() -> Academy {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    store
        .add_players(*team, &[player(100, "Una"), player(101, "Olo")], *coach, at("09:00:00"))
        .await
        .unwrap();
    academy
}

async fn values(academy: &Academy) -> Vec<f64> {
    academy.store.trials(academy.team).await.unwrap().into_iter().map(|known| known.trial.value).collect()
}

#[tokio::test]
async fn a_squad_keeps_its_order_and_takes_a_list_twice() {
    let academy = with_a_squad().await;
    let Academy { store, coach, team, .. } = &academy;
    let again = [player(101, "Olo"), player(102, "Brin")];
    assert_eq!(store.add_players(*team, &again, *coach, at("09:05:00")).await.unwrap(), 1);
    let names: Vec<_> = store.players(*team).await.unwrap().into_iter().map(|p| p.about.name).collect();
    assert_eq!(names, ["Una", "Olo", "Brin"]);
}

#[rstest]
#[case::a_name_twice(103, "UNA", "taken-player-name")]
#[case::an_id_of_another_squad(200, "Kel", "taken-by-other-squad")]
#[tokio::test]
async fn one_player_that_cannot_be_added_keeps_all_out(
    #[case] n: u128,
    #[case] name: &str,
    #[case] says: &str,
) {
    let academy = with_a_squad().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    store.add_players(*other_team, &[player(200, "Sel")], *coach, at("09:00:00")).await.unwrap();
    let list = [player(102, "Brin"), player(n, name)];
    let refused = store.add_players(*team, &list, *coach, at("09:05:00")).await.unwrap_err();
    assert!(matches!(&refused, StoreError::Taken(said) if said.code == says), "{refused}");
    assert_eq!(store.players(*team).await.unwrap().len(), 2);
}

#[tokio::test]
async fn two_squads_may_have_a_player_of_one_name() {
    let academy = with_a_squad().await;
    let Academy { store, coach, other_team, .. } = &academy;
    assert_eq!(
        store.add_players(*other_team, &[player(200, "Una")], *coach, at("09:00:00")).await.unwrap(),
        1
    );
}

#[tokio::test]
async fn a_trial_counts_once_and_can_be_taken_back_once() {
    let academy = with_a_squad().await;
    let Academy { store, coach, team, .. } = &academy;
    let trials = [trial(300, 100, 7.0), trial(301, 100, 9.0)];
    for _ in 0..2 {
        store.add_trials(*team, &trials, &[], *coach, at("18:10:00")).await.unwrap();
    }
    assert_eq!(values(&academy).await, [7.0, 9.0]);
    let back = [TakenBack { trial: id(300), said_at: at("18:05:00") }];
    for _ in 0..2 {
        store.add_trials(*team, &[], &back, *coach, at("18:11:00")).await.unwrap();
    }
    assert_eq!(values(&academy).await, [9.0]);
    // Sent once more, it stays taken back.
    store.add_trials(*team, &trials, &[], *coach, at("18:12:00")).await.unwrap();
    assert_eq!(values(&academy).await, [9.0]);
}

#[tokio::test]
async fn a_trial_and_its_taking_back_may_come_together() {
    let academy = with_a_squad().await;
    let Academy { store, coach, team, .. } = &academy;
    let back = [TakenBack { trial: id(300), said_at: at("18:05:00") }];
    store.add_trials(*team, &[trial(300, 100, 7.0)], &back, *coach, at("18:10:00")).await.unwrap();
    assert!(values(&academy).await.is_empty());
}

#[rstest]
#[case::unknown(999)]
#[case::of_another_team(400)]
#[tokio::test]
async fn a_taking_back_that_cannot_be_keeps_all_out(#[case] n: u128) {
    let academy = with_a_squad().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    store.add_players(*other_team, &[player(200, "Sel")], *coach, at("09:00:00")).await.unwrap();
    store.add_trials(*other_team, &[trial(400, 200, 5.0)], &[], *coach, at("18:00:00")).await.unwrap();
    let back = [TakenBack { trial: id(n), said_at: at("18:05:00") }];
    let refused = store.add_trials(*team, &[trial(300, 100, 7.0)], &back, *coach, at("18:10:00")).await;
    assert!(matches!(refused, Err(StoreError::Taken(_))));
    assert!(values(&academy).await.is_empty());
    assert_eq!(store.trials(*other_team).await.unwrap().len(), 1);
}

#[tokio::test]
async fn what_was_written_is_there_after_the_program_has_ended() {
    let academy = with_a_squad().await;
    let Academy { store, folder, team, .. } = academy;
    store.close().await;
    let again = jogo_store::Store::open(&folder.path().join("academy.sqlite")).await.unwrap();
    assert_eq!(again.players(team).await.unwrap().len(), 2);
    assert_eq!(again.tests().await.unwrap()[0].id, "four-cuts");
}
