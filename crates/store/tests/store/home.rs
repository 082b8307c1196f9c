//! Secret addresses work until they are renewed; what players say of themselves is kept by its last word.

use crate::academy::{Academy, academy, at, called, id, player};
use jiff::civil::date;
use jogo_store::StoreError;
use jogo_store::delivery::home::SelfReport;
use uuid::Uuid;

fn report(n: u128, player: u128, drill: &str, best: u32, said: &str) -> SelfReport {
    SelfReport {
        id: id(n),
        player: id(player),
        drill: called(drill),
        day: date(2031, 2, 10),
        best,
        said_at: at(said),
    }
}

async fn bests(academy: &Academy) -> Vec<(Uuid, String, u32)> {
    let all = academy.store.self_reported(academy.team).await.unwrap();
    all.into_iter().map(|said| (said.player, said.drill.to_string(), said.best)).collect()
}

#[tokio::test]
async fn a_teams_page_keeps_its_address_until_it_is_renewed() {
    let academy = academy().await;
    let Academy { store, team, other_team, .. } = &academy;
    assert_eq!(store.home_token(*team, "first", at("09:00:00")).await.unwrap(), "first");
    assert_eq!(store.home_token(*team, "second", at("09:01:00")).await.unwrap(), "first");
    assert_eq!(store.home_token(*other_team, "other", at("09:02:00")).await.unwrap(), "other");
    store.renew_home_token(*team, "third", at("09:03:00")).await.unwrap();
    assert_eq!(store.home_team("first").await.unwrap(), None);
    assert_eq!(store.home_team("third").await.unwrap(), Some(*team));
    assert_eq!(store.home_team("other").await.unwrap(), Some(*other_team));
}

#[tokio::test]
async fn a_calendars_address_is_its_owners_and_the_earlier_one_ends() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    assert_eq!(store.feed_made_at(*coach).await.unwrap(), None);
    store.set_feed(*coach, &[1; 32], at("09:00:00")).await.unwrap();
    store.set_feed(*coach, &[2; 32], at("10:00:00")).await.unwrap();
    assert!(store.feed(&[1; 32]).await.unwrap().is_none());
    assert_eq!(store.feed(&[2; 32]).await.unwrap().unwrap().name, "Una Skar");
    assert_eq!(store.feed_made_at(*coach).await.unwrap(), Some(at("10:00:00")));
    store.end_feed(*coach).await.unwrap();
    assert!(store.feed(&[2; 32]).await.unwrap().is_none());
    assert_eq!(store.feed_made_at(*coach).await.unwrap(), None);
}

#[tokio::test]
async fn of_what_a_player_says_of_a_drill_the_last_word_counts() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    store
        .add_players(*team, &[player(100, "Una"), player(101, "Olo")], *coach, at("09:00:00"))
        .await
        .unwrap();
    let late = [report(502, 100, "wall", 14, "18:10:00"), report(503, 101, "wall", 3, "18:10:00")];
    let early = [report(500, 100, "wall", 30, "18:00:00"), report(501, 100, "taps", 40, "18:00:00")];
    for reports in [&late, &early, &late] {
        store.add_self_reports(*team, reports, *coach, at("19:00:00")).await.unwrap();
    }
    let said = |player, drill: &str, best| (id(player), drill.to_owned(), best);
    assert_eq!(bests(&academy).await, [said(100, "taps", 40), said(100, "wall", 14), said(101, "wall", 3)]);
    assert!(store.self_reported(academy.other_team).await.unwrap().is_empty());
}

#[tokio::test]
async fn a_report_of_another_team_keeps_all_out() {
    let academy = academy().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    store.add_players(*team, &[player(100, "Una")], *coach, at("09:00:00")).await.unwrap();
    store.add_players(*other_team, &[player(200, "Sel")], *coach, at("09:00:00")).await.unwrap();
    let mixed = [report(500, 100, "wall", 30, "18:00:00"), report(501, 200, "wall", 9, "18:00:00")];
    let refused = store.add_self_reports(*team, &mixed, *coach, at("19:00:00")).await;
    assert!(matches!(refused, Err(StoreError::Taken(_))));
    assert!(bests(&academy).await.is_empty());
}
