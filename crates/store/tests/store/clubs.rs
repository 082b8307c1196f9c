//! Clubs, their teams, and who leads and coaches them.

use crate::academy::{Academy, academy, at, called, id, person, player};
use jogo_core::fact::Fact;
use jogo_store::StoreError;
use jogo_store::Taken;
use jogo_store::academy::clubs::{Club, Named};
use rstest::rstest;

fn names(all: &[Named]) -> Vec<&str> {
    all.iter().map(|one| one.name.as_str()).collect()
}

fn teams(club: &Club) -> Vec<(&str, i64)> {
    club.teams.iter().map(|staffed| (staffed.team.name.as_str(), staffed.players)).collect()
}

#[tokio::test]
async fn clubs_and_their_teams_come_by_name_with_their_people_and_players() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    store.add_club(id(11), "Gull Point").await.unwrap();
    store.add_team(id(30), id(11), &called("u8-u9"), "Gull Point Two", &[]).await.unwrap();
    store.add_team(id(31), id(11), &called("u8-u9"), "Gull Point One", &[*coach]).await.unwrap();
    store.add_lead(id(11), *coach).await.unwrap();
    store
        .add_players(*team, &[player(100, "Una"), player(101, "Olo")], *coach, at("09:00:00"))
        .await
        .unwrap();
    let clubs = store.clubs().await.unwrap();
    let [gull, tern] = clubs.as_slice() else { panic!("{clubs:?}") };
    assert_eq!((gull.name.as_str(), names(&gull.leads)), ("Gull Point", vec!["Una Skar"]));
    assert_eq!(teams(gull), [("Gull Point One", 0), ("Gull Point Two", 0)]);
    assert_eq!(names(&gull.teams[0].coaches), ["Una Skar"]);
    assert!(gull.teams[1].coaches.is_empty() && tern.leads.is_empty());
    assert_eq!(teams(tern), [("Tern Cove Blue", 2), ("Tern Cove White", 0)]);
    assert_eq!(tern.teams[0].team.club, "Tern Cove");
}

#[tokio::test]
async fn a_club_or_team_that_is_added_twice_stays_as_it_was() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    store.add_club(id(10), "Another name").await.unwrap();
    store.add_team(*team, id(10), &called("u8-u9"), "Another name", &[]).await.unwrap();
    let clubs = store.clubs().await.unwrap();
    assert_eq!((clubs.len(), clubs[0].name.as_str()), (1, "Tern Cove"));
    assert_eq!(teams(&clubs[0])[0].0, "Tern Cove Blue");
    assert_eq!(clubs[0].teams[0].coaches[0].id, *coach, "its coach stays");
}

#[tokio::test]
async fn no_two_clubs_and_no_two_teams_of_a_club_have_one_name() {
    let academy = academy().await;
    let Academy { store, team, other_team, .. } = &academy;
    store.add_club(id(11), "Gull Point").await.unwrap();
    let says = |refused: StoreError| match refused {
        StoreError::Taken(says) => says,
        other => panic!("{other}"),
    };
    let club = Fact::from(Taken::ClubName { name: "Tern Cove".into() });
    assert_eq!(says(store.add_club(id(12), "Tern Cove").await.unwrap_err()), club);
    assert_eq!(says(store.rename_club(id(11), "Tern Cove").await.unwrap_err()), club);
    let squad = Fact::from(Taken::TeamName { name: "Tern Cove Blue".into() });
    let added = store.add_team(id(32), id(10), &called("u8-u9"), "Tern Cove Blue", &[]).await;
    assert_eq!(says(added.unwrap_err()), squad);
    assert_eq!(says(store.change_team(*other_team, "Tern Cove Blue", &[]).await.unwrap_err()), squad);
    // Another club may have a team of that name, and a team may keep its own.
    store.add_team(id(33), id(11), &called("u8-u9"), "Tern Cove Blue", &[]).await.unwrap();
    store.change_team(*team, "Tern Cove Blue", &[]).await.unwrap();
}

#[tokio::test]
async fn a_club_is_renamed_if_there_is_one() {
    let academy = academy().await;
    assert!(academy.store.rename_club(id(10), "Tern Bay").await.unwrap());
    assert!(!academy.store.rename_club(id(99), "Nowhere").await.unwrap());
    let clubs = academy.store.clubs().await.unwrap();
    assert_eq!(clubs.iter().map(|club| club.name.as_str()).collect::<Vec<_>>(), ["Tern Bay"]);
    assert_eq!(academy.store.team(academy.team).await.unwrap().unwrap().club, "Tern Bay");
}

#[tokio::test]
async fn a_team_that_gets_other_coaches_loses_those_it_had() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    store.add_person(&person(2, "olo"), at("09:00:00")).await.unwrap();
    store.change_team(*team, "Tern Cove Red", &[id(2)]).await.unwrap();
    assert!(store.teams_of(*coach).await.unwrap().is_empty());
    let own = store.teams_of(id(2)).await.unwrap();
    assert_eq!(own.iter().map(|team| team.name.as_str()).collect::<Vec<_>>(), ["Tern Cove Red"]);
}

#[rstest]
#[case::as_a_coach_of_a_new_team(true)]
#[case::as_another_coach(false)]
#[tokio::test]
async fn a_coach_whom_nobody_knows_leaves_everything_as_it_was(#[case] new: bool) {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    let refused = match new {
        true => store.add_team(id(34), id(10), &called("u8-u9"), "Tern Cove Green", &[*coach, id(999)]).await,
        false => store.change_team(*team, "Tern Cove Green", &[id(999)]).await,
    };
    assert!(matches!(refused, Err(StoreError::Database(_))));
    let clubs = store.clubs().await.unwrap();
    assert_eq!(
        teams(&clubs[0]).iter().map(|(name, _)| *name).collect::<Vec<_>>(),
        ["Tern Cove Blue", "Tern Cove White"]
    );
    assert_eq!(store.teams_of(*coach).await.unwrap().len(), 1);
}

#[tokio::test]
async fn a_lead_has_their_clubs_by_name_and_is_made_one_once() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store.add_club(id(11), "Gull Point").await.unwrap();
    assert!(store.clubs_led_by(*coach).await.unwrap().is_empty());
    for club in [10, 11, 11] {
        store.add_lead(id(club), *coach).await.unwrap();
    }
    assert_eq!(names(&store.clubs_led_by(*coach).await.unwrap()), ["Gull Point", "Tern Cove"]);
}
