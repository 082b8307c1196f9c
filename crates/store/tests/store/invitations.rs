//! An invitation works once, until its day, and brings all that it promises or nothing.

use crate::academy::{Academy, academy, at, id, person};
use jogo_store::StoreError;
use jogo_store::people::Role;
use jogo_store::people::invitations::Invitation;
use rstest::rstest;
use uuid::Uuid;

fn to_a_team(n: u128, team: Uuid, until: &str) -> Invitation {
    Invitation {
        id: id(n),
        name: "Olo Brand".into(),
        role: Role::Coach,
        club: None,
        teams: vec![team],
        until: at(until),
    }
}

#[rstest]
#[case::before_its_end("11:59:59", true)]
#[case::at_its_end("12:00:00", false)]
#[tokio::test]
async fn it_is_open_until_its_end(#[case] now: &str, #[case] open: bool) {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    let invitation = to_a_team(40, *team, "12:00:00");
    store.invite(&invitation, &[7; 32], *coach, at("09:00:00")).await.unwrap();
    assert_eq!(store.invitation(&[7; 32], at(now)).await.unwrap(), open.then_some(invitation));
    assert_eq!(store.invitation(&[8; 32], at(now)).await.unwrap(), None, "another token");
    assert_eq!(store.open_invitations(at(now)).await.unwrap().len(), usize::from(open));
}

#[tokio::test]
async fn the_latest_comes_first_each_with_its_own_teams() {
    let academy = academy().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    store.invite(&to_a_team(40, *team, "20:00:00"), &[1; 32], *coach, at("09:00:00")).await.unwrap();
    store.invite(&to_a_team(41, *other_team, "20:00:00"), &[2; 32], *coach, at("10:00:00")).await.unwrap();
    let open = store.open_invitations(at("11:00:00")).await.unwrap();
    let teams: Vec<_> = open.iter().map(|one| (one.id, one.teams.as_slice())).collect();
    assert_eq!(teams, [(id(41), &[*other_team][..]), (id(40), &[*team][..])]);
}

#[tokio::test]
async fn whoever_takes_it_up_coaches_the_team_and_it_works_no_more() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    let invitation = to_a_team(40, *team, "20:00:00");
    store.invite(&invitation, &[7; 32], *coach, at("09:00:00")).await.unwrap();
    store.take_up(&invitation, &person(2, "olo"), at("10:00:00")).await.unwrap();
    assert_eq!(store.teams_of(id(2)).await.unwrap()[0].id, *team);
    assert_eq!(store.invitation(&[7; 32], at("10:01:00")).await.unwrap(), None);
    let second = store.take_up(&invitation, &person(3, "brin"), at("10:02:00")).await;
    assert!(matches!(second, Err(StoreError::Stale)));
    assert!(store.person_by_login("brin").await.unwrap().is_none(), "nobody is left half way in");
    assert!(!store.withdraw(id(40)).await.unwrap(), "what was taken up is not withdrawn");
}

#[tokio::test]
async fn a_login_that_is_taken_leaves_it_open() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    let invitation = to_a_team(40, *team, "20:00:00");
    store.invite(&invitation, &[7; 32], *coach, at("09:00:00")).await.unwrap();
    let refused = store.take_up(&invitation, &person(2, "una"), at("10:00:00")).await;
    assert!(matches!(refused, Err(StoreError::Taken(_))));
    assert_eq!(store.invitation(&[7; 32], at("10:01:00")).await.unwrap(), Some(invitation));
}

#[tokio::test]
async fn a_lead_who_takes_it_up_has_the_club() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let invitation = Invitation {
        role: Role::ClubLead,
        club: Some(id(10)),
        teams: Vec::new(),
        ..to_a_team(40, id(0), "20:00:00")
    };
    store.invite(&invitation, &[7; 32], *coach, at("09:00:00")).await.unwrap();
    store.take_up(&invitation, &person(2, "olo"), at("10:00:00")).await.unwrap();
    assert_eq!(store.clubs_led_by(id(2)).await.unwrap()[0].name, "Tern Cove");
    assert!(store.teams_of(id(2)).await.unwrap().is_empty());
}

#[tokio::test]
async fn one_that_was_withdrawn_works_no_more() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    store.invite(&to_a_team(40, *team, "20:00:00"), &[7; 32], *coach, at("09:00:00")).await.unwrap();
    assert!(store.withdraw(id(40)).await.unwrap());
    assert!(!store.withdraw(id(40)).await.unwrap());
    assert!(store.open_invitations(at("10:00:00")).await.unwrap().is_empty());
    // A phone that still shows the page is told.
    let late = store.take_up(&to_a_team(40, *team, "20:00:00"), &person(2, "olo"), at("10:00:00")).await;
    assert!(matches!(late, Err(StoreError::Stale)));
}

#[rstest]
#[case::the_same_token(10, 1, "taken-invitation")]
#[case::a_club_that_is_not_there(99, 2, "taken-no-club")]
#[tokio::test]
async fn what_cannot_be_kept_is_refused_with_a_sentence(
    #[case] club: u128,
    #[case] token: u8,
    #[case] says: &str,
) {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    store.invite(&to_a_team(40, *team, "20:00:00"), &[1; 32], *coach, at("09:00:00")).await.unwrap();
    let lead = Invitation {
        role: Role::ClubLead,
        club: Some(id(club)),
        teams: Vec::new(),
        ..to_a_team(41, id(0), "20:00:00")
    };
    let refused = store.invite(&lead, &[token; 32], *coach, at("09:05:00")).await.unwrap_err();
    assert!(matches!(&refused, StoreError::Taken(said) if said.code == says), "{refused}");
    assert_eq!(store.open_invitations(at("10:00:00")).await.unwrap().len(), 1);
}

#[tokio::test]
async fn one_for_a_team_that_is_not_there_is_not_kept() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    assert!(
        store.invite(&to_a_team(40, id(999), "20:00:00"), &[1; 32], *coach, at("09:00:00")).await.is_err()
    );
    assert!(store.open_invitations(at("10:00:00")).await.unwrap().is_empty());
}
