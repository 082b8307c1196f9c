//! A small academy in a database file of its own.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]
#![allow(dead_code, reason = "each test file uses a part of it")]

use jiff::Timestamp;
use jogo_core::band::{Band, Speeds};
use jogo_core::roster::NewPlayer;
use jogo_core::skill::Side;
use jogo_core::tests::{Protocol, Summary, Test};
use jogo_core::units::{Minutes, Seconds};
use jogo_store::Store;
use jogo_store::library::Library;
use jogo_store::people::{NewPerson, Person, Role};
use jogo_store::teams::Player;
use uuid::Uuid;

pub struct Academy {
    pub store: Store,
    pub folder: tempfile::TempDir,
    pub coach: Uuid,
    pub team: Uuid,
    pub other_team: Uuid,
}

pub fn at(text: &str) -> Timestamp {
    format!("2031-02-10T{text}Z").parse().unwrap()
}

pub fn id(n: u128) -> Uuid {
    Uuid::from_u128(n)
}

pub fn person(n: u128, login: &str) -> NewPerson {
    let person = Person { id: id(n), login: login.into(), name: "Una Skar".into(), role: Role::Coach };
    NewPerson { person, password: "a hash".into(), sample: false }
}

pub fn player(n: u128, name: &str) -> Player {
    let about =
        NewPlayer { name: name.into(), birth_month: "2022-04".parse().unwrap(), strong_foot: Side::Left };
    Player { id: id(n), about }
}

pub async fn academy() -> Academy {
    let folder = tempfile::tempdir().unwrap();
    let store = Store::open(&folder.path().join("academy.sqlite")).await.unwrap();
    let band = Band {
        id: "u8-u9".into(),
        name: "U8–U9".into(),
        youngest: 7,
        oldest: 8,
        ball_size: 3,
        session: Minutes(40),
        new_skills_per_week: 2,
        longest_bout: Seconds(40.0),
        longest_block: Minutes(10),
        explaining: Seconds(60.0),
        speeds: Speeds::default(),
        sources: Default::default(),
    };
    let test = Test {
        id: "four-cuts".into(),
        name: "Four cuts".into(),
        short: "Cuts".into(),
        how: "Count.".into(),
        skill: "cut".into(),
        protocol: Protocol::Count { seconds: 30 },
        per_side: false,
        trials: 2,
        summary: Summary::Best,
        least: 0.0,
        most: 40.0,
        rest_s: Default::default(),
        layout: String::new(),
    };
    let library = Library { bands: vec![band], tests: vec![test], ..Library::default() };
    store.put_library(&library, at("08:00:00")).await.unwrap();
    store.add_person(&person(1, "una"), at("08:00:00")).await.unwrap();
    store.add_club(id(10), "Tern Cove").await.unwrap();
    store.add_team(id(20), id(10), "u8-u9", "Tern Cove Blue", &[id(1)]).await.unwrap();
    store.add_team(id(21), id(10), "u8-u9", "Tern Cove White", &[]).await.unwrap();
    Academy { store, folder, coach: id(1), team: id(20), other_team: id(21) }
}
