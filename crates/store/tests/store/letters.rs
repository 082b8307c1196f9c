//! A letter is written once, waits until it has left, and says why it could not.

use crate::academy::{Academy, academy, at, id, person};
use jiff::civil::{Date, date};
use jogo_core::academy::language::Language;
use jogo_store::post::letters::{Addressee, Kind, NewLetter};
use uuid::Uuid;

const MONDAY: Date = date(2031, 2, 10);

fn letter(person: Uuid, kind: Kind, subject: &str) -> NewLetter {
    NewLetter {
        person,
        kind,
        week: MONDAY,
        address: "una@tern-cove.example".into(),
        subject: subject.into(),
        body: "…".into(),
    }
}

#[tokio::test]
async fn post_goes_to_those_who_want_it() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store.add_person(&person(2, "olo"), at("09:00:00")).await.unwrap();
    assert!(store.who_want_post().await.unwrap().is_empty());
    store.set_email(*coach, Some("una@tern-cove.example")).await.unwrap();
    let una = Addressee { person: *coach, address: "una@tern-cove.example".into(), language: None };
    assert_eq!(store.who_want_post().await.unwrap(), std::slice::from_ref(&una));
    store.set_language(*coach, Some(Language::German)).await.unwrap();
    assert_eq!(store.language(*coach).await.unwrap(), Some(Language::German));
    let in_german = Addressee { language: Some(Language::German), ..una };
    assert_eq!(store.who_want_post().await.unwrap(), [in_german]);
    store.set_language(*coach, None).await.unwrap();
    assert_eq!(store.language(*coach).await.unwrap(), None);
    assert_eq!(store.email(id(2)).await.unwrap(), None);
    store.set_email(*coach, None).await.unwrap();
    assert_eq!(store.email(*coach).await.unwrap(), None);
    assert!(store.who_want_post().await.unwrap().is_empty());
}

#[tokio::test]
async fn one_of_a_kind_is_written_once_a_week() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let week = letter(*coach, Kind::Week, "This week");
    store.write_letters(std::slice::from_ref(&week), at("06:00:00")).await.unwrap();
    let again = [
        NewLetter { subject: "Once more".into(), ..week.clone() },
        letter(*coach, Kind::LogsMissing, "Not written down yet"),
        NewLetter { week: date(2031, 2, 17), subject: "Next week".into(), ..week },
    ];
    store.write_letters(&again, at("07:00:00")).await.unwrap();
    let mut subjects: Vec<_> = store.letters(10).await.unwrap().into_iter().map(|one| one.subject).collect();
    subjects.sort();
    assert_eq!(subjects, ["Next week", "Not written down yet", "This week"]);
}

#[tokio::test]
async fn one_that_failed_waits_and_one_that_left_does_not() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    store.write_letters(&[letter(*coach, Kind::Week, "This week")], at("06:00:00")).await.unwrap();
    store.write_letters(&[letter(*coach, Kind::LogsMissing, "Missing")], at("07:00:00")).await.unwrap();
    let waiting = store.letters_that_wait().await.unwrap();
    assert_eq!(waiting.iter().map(|one| one.subject.as_str()).collect::<Vec<_>>(), ["This week", "Missing"]);
    assert_eq!((waiting[0].to.as_str(), waiting[0].written_at), ("Una Skar", at("06:00:00")));
    store.letter_left(waiting[0].id, at("08:00:00"), Some("the server does not answer")).await.unwrap();
    store.letter_left(waiting[1].id, at("08:00:00"), None).await.unwrap();
    let still = store.letters_that_wait().await.unwrap();
    assert_eq!((still.len(), still[0].failed.as_deref()), (1, Some("the server does not answer")));
    store.letter_left(still[0].id, at("09:00:00"), None).await.unwrap();
    assert!(store.letters_that_wait().await.unwrap().is_empty());
    let all = store.letters(10).await.unwrap();
    assert_eq!(all.iter().map(|one| one.subject.as_str()).collect::<Vec<_>>(), ["Missing", "This week"]);
    assert_eq!((all[1].left_at, all[1].failed.as_deref()), (Some(at("09:00:00")), None));
    assert_eq!(store.letters(1).await.unwrap().len(), 1);
}
