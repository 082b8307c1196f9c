//! People, their sign-ins, and who coaches what.

use crate::academy::{Academy, academy, at, id, person};
use jiff::{SignedDuration, Timestamp};
use jogo_store::StoreError;
use jogo_store::audit::{Deed, Sought};
use jogo_store::people::sign_ins::{Device, NewSignIn};
use jogo_store::people::{NewPerson, Person, Role};
use rstest::rstest;
use uuid::Uuid;

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
    academy.store.sign_in(sign_in(&token, academy.coach, at("10:00:00"), at("12:00:00"))).await.unwrap();
    assert_eq!(academy.store.signed_in(&token, at(now)).await.unwrap().is_some(), holds);
    assert!(academy.store.signed_in(&[8; 32], at(now)).await.unwrap().is_none(), "another token");
}

#[tokio::test]
async fn signing_out_ends_one_sign_in_and_a_new_password_ends_all() {
    let academy = academy().await;
    let store = &academy.store;
    for token in [[1_u8; 32], [2; 32], [3; 32]] {
        store.sign_in(sign_in(&token, academy.coach, at("10:00:00"), at("12:00:00"))).await.unwrap();
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

fn sign_in(token_hash: &[u8], person: Uuid, at: Timestamp, until: Timestamp) -> NewSignIn<'_> {
    NewSignIn { token_hash, person, device: Device::Phone, at, until }
}

#[tokio::test]
async fn a_sign_in_that_is_used_lasts_longer_up_to_its_whole_limit_and_is_written_once_a_day() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let (token, day, begun) = ([7; 32], SignedDuration::from_hours(24), at("08:00:00"));
    store.sign_in(sign_in(&token, *coach, begun, begun + 30 * day)).await.unwrap();
    let prolong = async |now: Timestamp| store.prolong_sign_in(&token, now, (30, 40)).await.unwrap();
    assert!(!prolong(at("20:00:00")).await, "half a day later nothing is written");
    let next_week = begun + 7 * day;
    assert!(prolong(next_week).await && !prolong(next_week).await);
    let there = async |now: Timestamp| store.signed_in(&token, now).await.unwrap().is_some();
    assert!(there(begun + 36 * day).await && !there(begun + 37 * day).await, "30 days after it was used");
    assert!(prolong(begun + 20 * day).await);
    assert!(there(begun + 39 * day).await && !there(begun + 40 * day).await, "40 days after it began");
    assert!(!prolong(begun + 41 * day).await);
    assert!(!there(begun + 41 * day).await, "one that has ended is not brought back");
}

#[tokio::test]
async fn sign_ins_are_listed_and_ended_one_by_one() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store.add_person(&person(2, "olo"), at("08:00:00")).await.unwrap();
    for (token, hour) in [([1; 32], "10:00:00"), ([2; 32], "11:00:00"), ([3; 32], "09:00:00")] {
        store.sign_in(sign_in(&token, *coach, at(hour), at("23:00:00"))).await.unwrap();
    }
    let listed = async || store.sign_ins(*coach, &[1; 32], at("12:00:00")).await.unwrap();
    let all = listed().await;
    let since: Vec<_> = all.iter().map(|each| (each.since, each.own, each.device)).collect();
    let phone = Device::Phone;
    assert_eq!(
        since,
        [(at("11:00:00"), false, phone), (at("10:00:00"), true, phone), (at("09:00:00"), false, phone)]
    );
    assert!(!store.end_sign_in(id(2), all[0].id).await.unwrap(), "nobody ends another person's");
    assert!(store.end_sign_in(*coach, all[0].id).await.unwrap());
    assert_eq!(store.end_other_sign_ins(*coach, &[1; 32]).await.unwrap(), 1);
    assert_eq!(listed().await.iter().map(|each| each.own).collect::<Vec<_>>(), [true]);
}

#[tokio::test]
async fn whoever_is_shut_out_has_no_way_in_and_stays_the_author_of_what_they_wrote() {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    let director =
        NewPerson { person: Person { role: Role::Director, ..person(2, "olo").person }, ..person(2, "olo") };
    store.add_person(&director, at("08:00:00")).await.unwrap();
    store.sign_in(sign_in(&[1; 32], *coach, at("10:00:00"), at("23:00:00"))).await.unwrap();
    store.set_feed(*coach, &[2; 32], at("10:00:00")).await.unwrap();
    store.make_password_link(&[3; 32], *coach, id(2), at("23:00:00")).await.unwrap();
    store.note(at("10:00:00"), Some(*coach), Deed::SignedIn, "").await.unwrap();
    assert!(store.shut_out(*coach, Some(id(2)), at("11:00:00")).await.unwrap());
    assert!(!store.shut_out(*coach, Some(id(2)), at("11:00:00")).await.unwrap(), "they are already");
    assert!(store.person_by_login("una").await.unwrap().is_none());
    assert!(store.signed_in(&[1; 32], at("12:00:00")).await.unwrap().is_none());
    assert!(store.feed(&[2; 32]).await.unwrap().is_none());
    assert!(store.password_link(&[3; 32], at("12:00:00")).await.unwrap().is_none());
    assert!(store.teams_of(*coach).await.unwrap().is_empty() && store.team(*team).await.unwrap().is_some());
    assert_eq!(store.people().await.unwrap().iter().map(|each| each.id).collect::<Vec<_>>(), [id(2)]);
    assert_eq!(store.shut_out_people().await.unwrap()[0].id, *coach);
    let noted = store.noted(Sought::default(), 10).await.unwrap();
    let lines: Vec<_> = noted.iter().map(|line| (line.what, line.by.as_deref())).collect();
    assert_eq!(lines, [(Deed::ShutOut, Some("Una Skar")), (Deed::SignedIn, Some("Una Skar"))]);
    let last = store.shut_out(id(2), None, at("11:30:00")).await.unwrap_err();
    assert!(matches!(&last, StoreError::Taken(taken) if taken.code == "taken-last-director"), "{last}");
    assert!(store.let_in_again(*coach, id(2), at("12:00:00")).await.unwrap());
    assert!(store.person_by_login("una").await.unwrap().is_some());
    assert!(store.teams_of(*coach).await.unwrap().is_empty(), "teams are given anew");
}

#[tokio::test]
async fn a_link_for_a_new_password_works_once_and_ends_every_sign_in() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store.sign_in(sign_in(&[1; 32], *coach, at("10:00:00"), at("23:00:00"))).await.unwrap();
    for link in [[2; 32], [3; 32]] {
        store.make_password_link(&link, *coach, *coach, at("12:00:00")).await.unwrap();
    }
    let of =
        async |link: [u8; 32], now| store.password_link(&link, now).await.unwrap().map(|person| person.id);
    assert_eq!(of([2; 32], at("11:00:00")).await, None, "a later one takes its place");
    assert_eq!(of([3; 32], at("12:00:00")).await, None, "its time has passed");
    assert_eq!(of([3; 32], at("11:00:00")).await, Some(*coach));
    store.use_password_link(&[3; 32], *coach, "another hash").await.unwrap();
    assert_eq!(store.password(*coach).await.unwrap().as_deref(), Some("another hash"));
    assert!(store.signed_in(&[1; 32], at("11:00:00")).await.unwrap().is_none());
    let again = store.use_password_link(&[3; 32], *coach, "a third hash").await.unwrap_err();
    assert!(matches!(again, StoreError::Stale));
    assert_eq!(store.password(*coach).await.unwrap().as_deref(), Some("another hash"));
}

#[tokio::test]
async fn a_second_factor_asks_once_it_is_on_and_takes_every_code_once() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    assert!(store.begin_second_factor(*coach, b"first").await.unwrap());
    assert!(store.begin_second_factor(*coach, b"second").await.unwrap(), "it is not on yet");
    let factor = store.second_factor(*coach).await.unwrap().unwrap();
    assert_eq!((factor.secret.as_slice(), factor.on), (&b"second"[..], false));
    store.turn_on_second_factor(*coach, 7, &[vec![1; 32], vec![2; 32]], at("10:00:00")).await.unwrap();
    assert!(store.second_factor(*coach).await.unwrap().unwrap().on);
    assert!(!store.begin_second_factor(*coach, b"third").await.unwrap(), "it is on");
    assert!(!store.use_step(*coach, 7).await.unwrap(), "the code that turned it on");
    assert!(store.use_step(*coach, 8).await.unwrap() && !store.use_step(*coach, 8).await.unwrap());
    assert!(store.use_recovery_code(*coach, &[1; 32]).await.unwrap());
    assert!(!store.use_recovery_code(*coach, &[1; 32]).await.unwrap());
    assert!(
        store.drop_second_factor(*coach).await.unwrap() && !store.drop_second_factor(*coach).await.unwrap()
    );
    assert!(!store.use_recovery_code(*coach, &[2; 32]).await.unwrap(), "they go with it");
}

#[rstest]
#[case::nothing_is_asked(false, false, false)]
#[case::it_is_asked(true, false, true)]
#[case::it_is_there(true, true, false)]
#[tokio::test]
async fn a_director_is_held_back_until_a_second_factor_is_on(
    #[case] asked: bool,
    #[case] on: bool,
    #[case] held_back: bool,
) {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let director =
        NewPerson { person: Person { role: Role::Director, ..person(2, "olo").person }, ..person(2, "olo") };
    store.add_person(&director, at("08:00:00")).await.unwrap();
    let (mut settings, version) = store.settings().await.unwrap();
    settings.sign_ins.directors_need_code = asked;
    store.change_settings(&settings, version).await.unwrap();
    store.begin_second_factor(id(2), b"secret").await.unwrap();
    if on {
        store.turn_on_second_factor(id(2), 1, &[], at("08:00:00")).await.unwrap();
    }
    for (token, person, expected) in [([1; 32], id(2), held_back), ([2; 32], *coach, false)] {
        store.sign_in(sign_in(&token, person, at("10:00:00"), at("23:00:00"))).await.unwrap();
        let known = store.signed_in(&token, at("11:00:00")).await.unwrap().unwrap();
        assert_eq!((known.person.id, known.held_back), (person, expected));
    }
}
