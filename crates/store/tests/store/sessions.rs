//! Who was there, and the line of note: in any order, by the last word.

use std::collections::BTreeMap;

use crate::academy::{Academy, at, id, person, publishes_winter, with_squads};
use jiff::civil::{Date, date};
use jogo_core::delivery::log::BlockSaid;
use jogo_core::delivery::{Outcome, Ran};
use jogo_core::plan::BlockId;
use jogo_core::units::Minutes;
use jogo_store::StoreError;
use jogo_store::delivery::devices::Sending;
use jogo_store::delivery::log::{LogEntries, NoteEntry, OutcomeEntry, PresenceEntry};
use jogo_store::erasure::Erased;
use rstest::rstest;

const MONDAY: Date = date(2031, 2, 10);

fn presence(n: u128, player: u128, day: Date, present: bool, said: &str) -> PresenceEntry {
    PresenceEntry { id: id(n), player: id(player), day, present, said_at: at(said) }
}

fn note(n: u128, says: &str, said: &str) -> NoteEntry {
    NoteEntry { id: id(n), day: MONDAY, says: says.into(), about: Vec::new(), said_at: at(said) }
}

// The name of a child, say, that should not have been written.
#[tokio::test]
async fn a_deleted_note_is_gone_with_what_it_said_before_and_a_phone_does_not_bring_it_back() {
    let academy = with_squads().await;
    let Academy { store, coach, team, folder, .. } = &academy;
    let notes = vec![note(700, "Quillen was tired", "18:00:00"), note(701, "Wet floor", "18:05:00")];
    let entries = LogEntries { notes, ..LogEntries::default() };
    store.add_log(*team, &entries, *coach, at("19:00:00")).await.unwrap();
    let team = store.team(*team).await.unwrap().unwrap();
    let deleted = store.delete_notes(&team, MONDAY, *coach, at("20:00:00")).await.unwrap();
    assert_eq!(deleted, Some(Erased::Wholly));
    store.add_log(team.id, &entries, *coach, at("20:01:00")).await.unwrap();
    assert!(store.note_sayings(team.id, MONDAY).await.unwrap().is_empty());
    assert_eq!(store.delete_notes(&team, MONDAY, *coach, at("20:02:00")).await.unwrap(), None);
    store.close().await;
    for file in std::fs::read_dir(folder.path()).unwrap() {
        let bytes = std::fs::read(file.unwrap().path()).unwrap();
        assert!(!bytes.windows(7).any(|part| part == b"Quillen"));
    }
}

#[rstest]
#[case::in_their_order([0, 1, 2, 3])]
#[case::turned([3, 2, 1, 0])]
#[case::twice([2, 0, 2, 1])]
#[tokio::test]
async fn attendance_counts_the_last_word_of_each_player_and_day(#[case] order: [usize; 4]) {
    let academy = with_squads().await;
    let Academy { store, coach, team, .. } = &academy;
    let all = [
        presence(600, 100, MONDAY, true, "17:00:00"),
        presence(601, 101, MONDAY, true, "17:00:00"),
        presence(602, 101, MONDAY, false, "17:05:00"),
        presence(603, 100, date(2031, 2, 12), false, "17:00:00"),
    ];
    for i in order {
        let entries = LogEntries { presence: vec![all[i].clone()], ..LogEntries::default() };
        store.add_log(*team, &entries, *coach, at("19:00:00")).await.unwrap();
    }
    let mut counted = BTreeMap::from([(MONDAY, (1, 1))]);
    if order.contains(&3) {
        counted.insert(date(2031, 2, 12), (0, 1));
    }
    assert_eq!(store.attendance(*team).await.unwrap(), counted, "nobody has said anything of Brin");
    assert!(store.attendance(academy.other_team).await.unwrap().is_empty());
}

#[tokio::test]
async fn every_word_of_a_day_stays_with_who_said_it_and_when() {
    let academy = with_squads().await;
    let Academy { store, coach, team, .. } = &academy;
    let helper = person(2, "olo");
    store.add_person(&helper, at("09:00:00")).await.unwrap();
    let first = LogEntries {
        presence: vec![presence(600, 100, MONDAY, true, "17:00:00")],
        notes: vec![note(700, "Half of the hall", "18:00:00")],
        ..LogEntries::default()
    };
    let second = LogEntries {
        presence: vec![presence(601, 100, MONDAY, false, "17:10:00")],
        notes: vec![note(701, "", "18:20:00")],
        ..LogEntries::default()
    };
    store.add_log(*team, &second, id(2), at("19:00:00")).await.unwrap();
    store.add_log(*team, &first, *coach, at("19:05:00")).await.unwrap();
    let there = store.presence_sayings(*team, MONDAY).await.unwrap();
    let there: Vec<_> = there.iter().map(|said| (said.what, said.at)).collect();
    assert_eq!(there, [((id(100), true), at("17:00:00")), ((id(100), false), at("17:10:00"))]);
    let notes = store.note_sayings(*team, MONDAY).await.unwrap();
    let notes: Vec<_> = notes.iter().map(|said| (said.what.as_str(), said.by.as_str())).collect();
    assert_eq!(notes, [("Half of the hall", "Una Skar"), ("", helper.person.name.as_str())]);
    assert!(store.note_sayings(academy.other_team, MONDAY).await.unwrap().is_empty());
    assert!(store.presence_sayings(*team, date(2031, 2, 11)).await.unwrap().is_empty());
}

#[rstest]
#[case::a_player_of_another_team(Some(200), None)]
#[case::a_player_that_is_not_there(Some(999), None)]
#[case::a_note_of_another_team(None, Some(799))]
#[tokio::test]
async fn one_entry_that_cannot_be_keeps_all_out(#[case] strange: Option<u128>, #[case] known: Option<u128>) {
    let academy = with_squads().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    let theirs = LogEntries { notes: vec![note(799, "Theirs", "18:00:00")], ..LogEntries::default() };
    store.add_log(*other_team, &theirs, *coach, at("18:30:00")).await.unwrap();
    let mut entries = LogEntries {
        presence: vec![presence(600, 100, MONDAY, true, "17:00:00")],
        notes: vec![note(700, "Ours", "18:00:00")],
        ..LogEntries::default()
    };
    entries.presence.extend(strange.map(|player| presence(601, player, MONDAY, true, "17:00:00")));
    entries.notes.extend(known.map(|n| note(n, "Ours", "18:00:00")));
    assert!(store.add_log(*team, &entries, *coach, at("19:00:00")).await.is_err());
    assert!(store.attendance(*team).await.unwrap().is_empty());
    assert!(store.note_sayings(*team, MONDAY).await.unwrap().is_empty());
    let theirs = store.note_sayings(*other_team, MONDAY).await.unwrap();
    assert_eq!(theirs.iter().map(|said| said.what.as_str()).collect::<Vec<_>>(), ["Theirs"]);
}

#[tokio::test]
async fn a_block_keeps_all_that_was_said_of_it() {
    let academy = with_squads().await;
    let Academy { store, coach, team, .. } = &academy;
    publishes_winter(&academy).await;
    let harder = BlockSaid {
        block: BlockId(id(80)),
        outcome: Outcome::Short,
        minutes: Some(Minutes(4)),
        success: Some(70),
        ran: Some(Ran::OneUp),
    };
    let plain =
        BlockSaid { block: BlockId(id(81)), outcome: Outcome::Done, minutes: None, success: None, ran: None };
    let entry = |n, session, said, said_at: &str| OutcomeEntry {
        id: id(n),
        edition: id(60),
        session,
        said,
        said_at: at(said_at),
    };
    let entries = LogEntries {
        outcomes: vec![
            entry(70, 0, plain, "18:20:00"),
            entry(71, 0, harder, "18:05:00"),
            entry(72, 1, plain, "18:20:00"),
        ],
        ..LogEntries::default()
    };
    store.add_log(*team, &entries, *coach, at("19:00:00")).await.unwrap();
    let said = store.block_sayings(*team, id(60), 0).await.unwrap();
    assert_eq!(said.iter().map(|saying| saying.what).collect::<Vec<_>>(), [harder, plain]);
    assert_eq!((said[0].by.as_str(), said[0].at), ("Una Skar", at("18:05:00")));
    assert_eq!(store.said(*team, id(60)).await.unwrap().run().len(), 3);
    assert!(store.said(academy.other_team, id(60)).await.unwrap().is_empty());
    // Nothing is kept of an edition that is not there.
    let nowhere = OutcomeEntry { edition: id(61), ..entry(73, 0, plain, "18:30:00") };
    let entries = LogEntries { outcomes: vec![nowhere], ..LogEntries::default() };
    assert!(matches!(
        store.add_log(*team, &entries, *coach, at("19:00:00")).await,
        Err(StoreError::Database(_))
    ));
}

// The clock of the first phone is three minutes ahead, and is put right while an entry waits on it. By hand: what it
// said at 18:03 by its own clock was said at 18:00, before the 18:02 of the second phone; what it said after that, at
// 18:01 by the clock put right, comes after what it said itself.
#[tokio::test]
async fn clocks_order_what_devices_said_and_a_devices_count_what_it_said_itself() {
    let academy = with_squads().await;
    let store = &academy.store;
    let sending = |device, sent: &str, received: &str| Sending {
        device: id(device),
        sent_at: at(sent),
        received_at: at(received),
    };
    let first = store.said_when(sending(1, "18:06:00", "18:03:00"), &[(1, at("18:03:00"))]).await.unwrap();
    let second = store.said_when(sending(2, "18:04:00", "18:04:00"), &[(1, at("18:02:00"))]).await.unwrap();
    assert_eq!((first[0], second[0]), (at("18:00:00"), at("18:02:00")));
    // Counted in another order than listed; the clock was set back between the two.
    let both = [(3, at("18:01:00")), (2, at("18:05:00"))];
    let later = store.said_when(sending(1, "18:07:00", "18:07:00"), &both).await.unwrap();
    assert_eq!(later[1], at("18:05:00"));
    assert!(later[0] > later[1] && later[0] < at("18:05:01"), "{later:?}");
    // Sent once more, it does not come after itself.
    let again = store.said_when(sending(1, "18:09:00", "18:09:00"), &both[..1]).await.unwrap();
    assert_eq!(again[0], at("18:01:00"));
    // Nothing is said in the server's future, however wrong a clock is.
    let wild = store.said_when(sending(3, "01:00:00", "18:09:00"), &[(1, at("23:00:00"))]).await.unwrap();
    assert_eq!(wild[0], at("18:09:00"));
}
