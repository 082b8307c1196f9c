//! People, their sign-ins, and who coaches what.

use crate::academy::{Academy, academy, at, id, person};
use jogo_store::StoreError;
use rstest::rstest;

#[tokio::test]
async fn a_login_belongs_to_one_person() {
    let academy = academy().await;
    let refused = academy.store.add_person(&person(2, "una"), at("09:00:00")).await.unwrap_err();
    assert!(matches!(&refused, StoreError::Taken(taken) if taken.code == "taken-login"), "{refused}");
    let (found, hash) = academy.store.person_by_login("una").await.unwrap().unwrap();
    assert_eq!((found.id, hash.as_str()), (id(1), "a hash"));
    assert!(academy.store.person_by_login("olo").await.unwrap().is_none());
}

#[rstest]
#[case::before_its_end("11:59:59", true)]
#[case::at_its_end("12:00:00", false)]
#[case::after_it("12:00:01", false)]
#[tokio::test]
async fn a_sign_in_holds_until_its_end(#[case] now: &str, #[case] holds: bool) {
    let academy = academy().await;
    let token = [7_u8; 32];
    academy.store.sign_in(&token, academy.coach, at("10:00:00"), at("12:00:00")).await.unwrap();
    assert_eq!(academy.store.signed_in(&token, at(now)).await.unwrap().is_some(), holds);
    assert!(academy.store.signed_in(&[8; 32], at(now)).await.unwrap().is_none(), "another token");
}

#[tokio::test]
async fn signing_out_ends_one_sign_in_and_a_new_password_ends_all() {
    let academy = academy().await;
    let store = &academy.store;
    for token in [[1_u8; 32], [2; 32], [3; 32]] {
        store.sign_in(&token, academy.coach, at("10:00:00"), at("12:00:00")).await.unwrap();
    }
    store.sign_out(&[1; 32]).await.unwrap();
    let held = async |token: [u8; 32]| store.signed_in(&token, at("11:00:00")).await.unwrap().is_some();
    assert!(!held([1; 32]).await && held([2; 32]).await && held([3; 32]).await);
    assert!(store.set_password("una", "another hash").await.unwrap());
    assert!(!held([2; 32]).await && !held([3; 32]).await);
    assert!(!store.set_password("nobody", "a hash").await.unwrap());
}

#[tokio::test]
async fn a_coach_has_their_own_teams() {
    let academy = academy().await;
    let own = academy.store.teams_of(academy.coach).await.unwrap();
    assert_eq!(
        own.iter().map(|t| (t.name.as_str(), t.club.as_str())).collect::<Vec<_>>(),
        [("Tern Cove Blue", "Tern Cove")]
    );
    assert_eq!(academy.store.teams().await.unwrap().len(), 2);
    assert!(academy.store.team(id(99)).await.unwrap().is_none());
}

#[tokio::test]
async fn a_sign_in_that_is_used_lasts_longer_and_is_written_once_a_day() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let (token, day) = ([7; 32], jiff::SignedDuration::from_hours(24));
    store.sign_in(&token, *coach, at("08:00:00"), at("08:00:00") + 60 * day).await.unwrap();
    let prolong = async |now: jiff::Timestamp| {
        store.prolong_sign_in(&token, now + 60 * day, now + 59 * day).await.unwrap()
    };
    assert!(!prolong(at("20:00:00")).await, "half a day later it is long enough");
    let next_week = at("08:00:00") + 7 * day;
    assert!(prolong(next_week).await && !prolong(next_week).await);
    let later = at("08:00:00") + 66 * day;
    assert!(store.signed_in(&token, later).await.unwrap().is_some());
    assert!(store.signed_in(&token, later + 2 * day).await.unwrap().is_none());
}
