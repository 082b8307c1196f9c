//! A small academy in a database file of its own.

use std::collections::BTreeMap;
use std::fmt::Debug;
use std::str::FromStr;

use jiff::Timestamp;
use jiff::civil::date;
use jogo_core::academy::band::{Band, Speeds};
use jogo_core::academy::roster::NewPlayer;
use jogo_core::assessment::benchmarks::{Protocol, Summary, Test};
use jogo_core::assessment::levels::Level;
use jogo_core::assessment::milestones::{Evidence, Feet, Measured, Milestone, Override, Reach, Verdict};
use jogo_core::assessment::results::{Origin, Trial};
use jogo_core::delivery::edition::Edition;
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::plan::{Block, BlockId, Plan};
use jogo_core::technique::skill::{Side, Stage};
use jogo_core::units::{Minutes, Seconds};
use jogo_store::Store;
use jogo_store::academy::teams::Player;
use jogo_store::assessment::milestones::NewWord;
use jogo_store::assessment::trials::NewTrial;
use jogo_store::library::Library;
use jogo_store::people::{NewPerson, Person, Role};
use jogo_store::plan::NewEdition;
use uuid::Uuid;

pub struct Academy {
    pub store: Store,
    pub folder: tempfile::TempDir,
    pub coach: Uuid,
    pub team: Uuid,
    pub other_team: Uuid,
}

/// An id that a test names.
pub fn called<T: FromStr<Err: Debug>>(id: &str) -> T {
    id.parse().unwrap()
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

pub fn band(id: &str) -> Band {
    Band {
        id: called(id),
        name: id.to_uppercase(),
        youngest: 7,
        oldest: 8,
        ball_size: 3,
        session: Minutes(40),
        new_skills_per_week: 2,
        longest_bout: Seconds(40.0),
        longest_block: Minutes(10),
        explaining: Seconds(60.0),
        speeds: Speeds::default(),
        tempos: None,
        sources: Default::default(),
    }
}

pub fn milestone(id: &str, says: &str) -> Milestone {
    let measured = Measured {
        test: called("four-cuts"),
        reach: Reach::Level(Level::Building),
        feet: Feet::Both,
        times: 1,
        of_last: 2,
    };
    Milestone {
        id: called(id),
        says: says.into(),
        short: says.into(),
        skill: called("cut"),
        stage: Stage::Form,
        band: called("u8-u9"),
        evidence: Evidence::Measured(measured),
    }
}

/// The word of a coach that a player can do it.
pub fn word_on(n: u128, player: u128, milestone: &str) -> NewWord {
    let word =
        Override { on: date(2031, 2, 10), verdict: Verdict::Met, reason: "Seen".into(), by: String::new() };
    NewWord { id: id(n), player: id(player), milestone: called(milestone), word, said_at: at("18:00:00") }
}

pub async fn academy() -> Academy {
    let folder = tempfile::tempdir().unwrap();
    let store = Store::open(&folder.path().join("academy.sqlite")).await.unwrap();
    let test = Test {
        id: called("four-cuts"),
        name: "Four cuts".into(),
        short: "Cuts".into(),
        how: "Count.".into(),
        skill: called("cut"),
        protocol: Protocol::Count { seconds: 30 },
        per_side: false,
        trials: 2,
        summary: Summary::Best,
        least: 0.0,
        most: 40.0,
        rest_s: Default::default(),
        layout: String::new(),
        score: None,
    };
    let library = Library { bands: vec![band("u8-u9")], tests: vec![test], ..Library::default() };
    store.put_library(&library, at("08:00:00")).await.unwrap();
    store.add_person(&person(1, "una"), at("08:00:00")).await.unwrap();
    store.add_club(id(10), "Tern Cove").await.unwrap();
    store.add_team(id(20), id(10), &called("u8-u9"), "Tern Cove Blue", &[id(1)]).await.unwrap();
    store.add_team(id(21), id(10), &called("u8-u9"), "Tern Cove White", &[]).await.unwrap();
    Academy { store, folder, coach: id(1), team: id(20), other_team: id(21) }
}

/// The same with a squad of three in its team, and one of two in the other.
pub async fn with_squads() -> Academy {
    let academy = academy().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    let squad = [player(100, "Una"), player(101, "Olo"), player(102, "Brin")];
    store.add_players(*team, &squad, *coach, at("09:00:00")).await.unwrap();
    let other = [player(200, "Sel"), player(201, "Kel")];
    store.add_players(*other_team, &other, *coach, at("09:00:00")).await.unwrap();
    academy
}

pub fn wishes(name: &str, start: &str) -> Curriculum {
    let text = include_str!("../../../../demo/curriculum.json");
    let curriculum: Curriculum = serde_json::from_str(text).unwrap();
    Curriculum { name: name.into(), start: start.parse().unwrap(), ..curriculum }
}

pub fn plan() -> Plan {
    let block = Block { id: Some(BlockId(id(90))), ..Block::of(&called("wall-of-two@form"), Minutes(6)) };
    Plan { sessions: vec![vec![block]] }
}

pub async fn edition(academy: &Academy, curriculum: Curriculum) -> Edition {
    let band = academy.store.band(&called("u8-u9")).await.unwrap().unwrap();
    Edition {
        academy: Default::default(),
        curriculum,
        band,
        skills: vec![],
        drills: vec![],
        tests: vec![],
        plan: plan(),
        left: BTreeMap::new(),
        knack: 0.0,
    }
}

pub fn new(n: u128, curriculum: u128, edition: &Edition) -> NewEdition<'_> {
    NewEdition { id: id(n), curriculum: id(curriculum), edition, note: "" }
}

/// A result of the four cuts.
pub fn trial(n: u128, player: u128, value: f64) -> NewTrial {
    let trial = Trial {
        player: id(player),
        test: called("four-cuts"),
        side: None,
        taken_on: date(2031, 2, 10),
        value,
        marks: Vec::new(),
    };
    NewTrial { id: id(n), trial, said_at: at("18:00:00"), origin: Origin::Entered }
}

/// Publishes an edition of the winter to both teams.
pub async fn publishes_winter(academy: &Academy) {
    let Academy { store, coach, .. } = academy;
    let winter = edition(academy, wishes("Winter", "2031-01-06")).await;
    store.add_curriculum(id(50), &winter.curriculum, &plan(), *coach, at("09:00:00")).await.unwrap();
    store.publish(new(60, 50, &winter), &[], *coach, at("10:00:00")).await.unwrap();
}
