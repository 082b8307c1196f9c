//! A season change and its taking back leave every row as it was.

use std::collections::BTreeMap;

use jiff::civil::date;
use jogo_core::delivery::pairs::Pair;
use jogo_core::season::slots::Slot;
use jogo_store::StoreError;
use jogo_store::delivery::log::{LogEntries, PresenceEntry};
use jogo_store::season::changes::{Making, Moved, TakenBack, TeamAdded};
use rstest::rstest;
use sqlx::sqlite::SqliteConnectOptions;
use sqlx::{ConnectOptions, Row};
use uuid::Uuid;

use crate::academy::{Academy, at, called, id, player, trial, with_squads};

/// Tables that tell of the change itself, and what is worked out from others.
const BESIDE: [&str; 7] =
    ["audit", "season_change", "season_move", "season_pair", "season_team", "sqlite_sequence", "team_levels"];

/// Every row of every other table.
async fn rows(academy: &Academy) -> BTreeMap<String, Vec<String>> {
    let file = SqliteConnectOptions::new().filename(academy.folder.path().join("academy.sqlite"));
    let mut database = file.connect().await.unwrap();
    let tables = sqlx::query_scalar::<_, String>("SELECT name FROM sqlite_master WHERE type = 'table'");
    let mut all = BTreeMap::new();
    for table in tables.fetch_all(&mut database).await.unwrap() {
        if BESIDE.contains(&table.as_str()) {
            continue;
        }
        let about = sqlx::AssertSqlSafe(format!("SELECT name FROM pragma_table_info('{table}')"));
        let columns = sqlx::query_scalar::<_, String>(about).fetch_all(&mut database).await.unwrap();
        let quoted: Vec<String> = columns.iter().map(|column| format!("quote(\"{column}\")")).collect();
        let read = sqlx::AssertSqlSafe(format!(
            "SELECT {} FROM \"{table}\" ORDER BY 1, 2",
            quoted.join(" || ' ' || ")
        ));
        let found = sqlx::query(read).fetch_all(&mut database).await;
        let found = match found {
            Ok(found) => found,
            // A table of one column has no second one to be ordered by.
            Err(_) => {
                let read = sqlx::AssertSqlSafe(format!(
                    "SELECT {} FROM \"{table}\" ORDER BY 1",
                    quoted.join(" || ' ' || ")
                ));
                sqlx::query(read).fetch_all(&mut database).await.unwrap()
            }
        };
        all.insert(table, found.iter().map(|row| row.get::<String, _>(0)).collect());
    }
    all
}

fn making(academy: &Academy) -> Making {
    let (id, season, today) = (id(900), id(901), date(2031, 2, 10));
    Making { id, season, today, by: academy.coach, at: at("20:00:00") }
}

fn moved(player: u128, from: Uuid, to: Option<Uuid>) -> Moved {
    Moved { player: id(player), from, to }
}

fn added(n: u128, like: Uuid, takes_over: bool) -> TeamAdded {
    TeamAdded { id: id(n), name: format!("New {n}"), band: called("u8-u9"), like, takes_over }
}

/// Squads of three and two, with pairs, a slot, and something measured of everybody.
async fn lively() -> Academy {
    let academy = with_squads().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    let pair = |one: u128, other: u128, together| Pair { one: id(one), other: id(other), together };
    store.set_pairs(*team, &[pair(100, 101, true), pair(101, 102, false)]).await.unwrap();
    store.set_pairs(*other_team, &[pair(200, 201, true)]).await.unwrap();
    store
        .add_trials(*team, &[trial(1, 100, 9.0), trial(2, 101, 8.0)], &[], *coach, at("18:00:00"))
        .await
        .unwrap();
    let slot = Slot {
        weekday: 1,
        from: "17:30".parse().unwrap(),
        minutes: jogo_core::units::Minutes(75),
        place: None,
    };
    store.set_slots(*other_team, &[slot]).await.unwrap();
    academy
}

/// Where everybody is.
async fn squads(academy: &Academy, teams: &[Uuid]) -> Vec<Vec<Uuid>> {
    let mut all = Vec::new();
    for team in teams {
        all.push(academy.store.players(*team).await.unwrap().into_iter().map(|player| player.id).collect());
    }
    all
}

#[tokio::test]
async fn everybody_is_where_the_change_puts_them_and_back_again_afterwards() {
    let academy = lively().await;
    let Academy { store, team, other_team, coach, .. } = &academy;
    let before = rows(&academy).await;
    let all = [
        moved(101, *team, Some(*other_team)),
        moved(102, *team, None),
        moved(200, *other_team, Some(id(50))),
        moved(201, *other_team, Some(id(50))),
    ];
    store.make_season_change(&making(&academy), &[added(50, *other_team, true)], &all).await.unwrap();
    let now = squads(&academy, &[*team, *other_team, id(50)]).await;
    assert_eq!(now, [vec![id(100)], vec![id(101)], vec![id(200), id(201)]]);
    assert_eq!(store.left_players(None).await.unwrap()[0].id, id(102));
    // Whoever goes on together stays a pair; the others are parted.
    assert_eq!(store.pairs(id(50)).await.unwrap().len(), 1);
    assert_eq!(store.pairs(*team).await.unwrap(), []);
    // The new team has the times of the one that nobody stays in.
    assert_eq!(
        (store.slots(id(50)).await.unwrap().len(), store.slots(*other_team).await.unwrap().len()),
        (1, 0)
    );
    let made = store.season_changes(id(901)).await.unwrap();
    assert_eq!((made[0].moved, made[0].left, made[0].is_logged), (3, 1, false));

    let back = store.take_back_season_change(id(900), *coach, at("20:30:00")).await.unwrap();
    assert_eq!(back, TakenBack::Done { elsewhere: 0 });
    assert_eq!(rows(&academy).await, before);
    let again = store.take_back_season_change(id(900), *coach, at("20:31:00")).await.unwrap();
    assert_eq!(again, TakenBack::Unknown);
}

#[rstest]
fn any_change_that_is_taken_back_leaves_every_row_as_it_was(#[values(1, 2, 3, 4, 5, 6)] seed: u64) {
    let run = tokio::runtime::Builder::new_current_thread().enable_all().build().unwrap();
    run.block_on(async {
        let academy = lively().await;
        let Academy { store, team, other_team, coach, .. } = &academy;
        let before = rows(&academy).await;
        let mut dice = seed;
        let mut throw = |of: u64| {
            dice = dice.wrapping_mul(6364136223846793005).wrapping_add(1442695040888963407);
            (dice >> 33) % of
        };
        let all = [(100, *team), (101, *team), (102, *team), (200, *other_team), (201, *other_team)];
        let goes = [Some(*team), Some(*other_team), Some(id(50)), Some(id(51)), None];
        let to = all.map(|(player, from)| moved(player, from, goes[throw(5) as usize]));
        let to: Vec<Moved> = to.into_iter().filter(|each| each.to != Some(each.from)).collect();
        let teams = [added(50, *team, throw(2) == 0), added(51, *other_team, throw(2) == 0)];
        store.make_season_change(&making(&academy), &teams, &to).await.unwrap();
        assert_ne!(rows(&academy).await, before);
        store.take_back_season_change(id(900), *coach, at("20:30:00")).await.unwrap();
        assert_eq!(rows(&academy).await, before, "{to:?}");
    });
}

#[tokio::test]
async fn names_are_free_for_those_who_come_once_others_have_gone() {
    let academy = lively().await;
    let Academy { store, team, other_team, coach, .. } = &academy;
    let name = store.players(*team).await.unwrap()[0].about.name.clone();
    store.add_players(*other_team, &[player(202, &name)], *coach, at("18:00:00")).await.unwrap();
    let change = [moved(100, *team, Some(*other_team)), moved(202, *other_team, Some(*team))];
    store.make_season_change(&making(&academy), &[], &change).await.unwrap();
    assert_eq!(squads(&academy, &[*other_team]).await[0].last(), Some(&id(100)));

    let academy = lively().await;
    let Academy { store, team, other_team, coach, .. } = &academy;
    store.add_players(*other_team, &[player(202, &name)], *coach, at("18:00:00")).await.unwrap();
    let before = rows(&academy).await;
    let clash = store.make_season_change(&making(&academy), &[added(50, *team, false)], &change[..1]).await;
    assert!(matches!(clash, Err(StoreError::Taken(taken)) if taken.code == "taken-player-name"));
    assert_eq!(rows(&academy).await, before, "all of it or nothing");
}

#[tokio::test]
async fn a_change_stays_once_something_was_logged_in_a_new_team() {
    let academy = lively().await;
    let Academy { store, team, other_team, coach, .. } = &academy;
    store.make_season_change(&making(&academy), &[], &[moved(100, *team, Some(*other_team))]).await.unwrap();
    let there = PresenceEntry {
        id: id(700),
        player: id(100),
        day: date(2031, 2, 10),
        present: true,
        said_at: at("19:00:00"),
    };
    let log = LogEntries { presence: vec![there], ..LogEntries::default() };
    store.add_log(*other_team, &log, *coach, at("20:10:00")).await.unwrap();
    assert!(store.season_changes(id(901)).await.unwrap()[0].is_logged);
    let before = rows(&academy).await;
    let back = store.take_back_season_change(id(900), *coach, at("20:30:00")).await.unwrap();
    assert_eq!((back, rows(&academy).await == before), (TakenBack::Logged, true));
}

#[tokio::test]
async fn whoever_was_moved_since_stays_where_they_are() {
    let academy = lively().await;
    let Academy { store, team, other_team, coach, .. } = &academy;
    let change = [moved(100, *team, Some(*other_team)), moved(101, *team, Some(*other_team))];
    store.make_season_change(&making(&academy), &[], &change).await.unwrap();
    store.add_team(id(60), club_of(&academy).await, &called("u8-u9"), "Elsewhere", &[]).await.unwrap();
    let from = store.team(*other_team).await.unwrap().unwrap();
    let to = store.team(id(60)).await.unwrap().unwrap();
    let first =
        store.players(*other_team).await.unwrap().into_iter().find(|each| each.id == id(100)).unwrap();
    store.move_player((&from, &to), &first, date(2031, 2, 11), (*coach, at("20:10:00"))).await.unwrap();
    let back = store.take_back_season_change(id(900), *coach, at("20:30:00")).await.unwrap();
    assert_eq!(back, TakenBack::Done { elsewhere: 1 });
    assert_eq!(squads(&academy, &[id(60)]).await, [vec![id(100)]]);
    assert!(squads(&academy, &[*team]).await[0].contains(&id(101)));
}

async fn club_of(academy: &Academy) -> Uuid {
    let clubs = academy.store.clubs().await.unwrap();
    let has = |club: &&jogo_store::academy::clubs::Club| {
        club.teams.iter().any(|staffed| staffed.team.id == academy.team)
    };
    clubs.iter().find(has).unwrap().id
}

#[tokio::test]
async fn of_whoever_is_erased_no_change_speaks_any_more() {
    let academy = lively().await;
    let Academy { store, team, other_team, coach, .. } = &academy;
    store.make_season_change(&making(&academy), &[], &[moved(101, *team, Some(*other_team))]).await.unwrap();
    let there = store.team(*other_team).await.unwrap().unwrap();
    store.erase_player(&there, id(101), *coach, at("20:10:00")).await.unwrap();
    let kept = rows(&academy).await;
    assert!(kept["player_before"].is_empty());
    let back = store.take_back_season_change(id(900), *coach, at("20:30:00")).await.unwrap();
    assert_eq!(back, TakenBack::Done { elsewhere: 0 });
}

#[tokio::test]
async fn a_result_knows_the_band_of_its_day_and_presence_the_team() {
    let academy = lively().await;
    let Academy { store, team, coach, .. } = &academy;
    store.add_band(&crate::academy::band("u10-u12"), &[], *coach, at("08:30:00")).await.unwrap();
    store.add_team(id(60), club_of(&academy).await, &called("u10-u12"), "Older", &[]).await.unwrap();
    let there = |n: u128, day| PresenceEntry {
        id: id(n),
        player: id(100),
        day,
        present: false,
        said_at: at("19:00:00"),
    };
    let log = LogEntries { presence: vec![there(700, date(2031, 2, 3))], ..LogEntries::default() };
    store.add_log(*team, &log, *coach, at("19:10:00")).await.unwrap();
    let next_day = Making { today: date(2031, 2, 11), ..making(&academy) };
    store.make_season_change(&next_day, &[], &[moved(100, *team, Some(id(60)))]).await.unwrap();
    // What was measured in a band counts there, whoever has moved on since.
    let cuts = store.tests().await.unwrap().remove(0);
    let year = (date(2030, 2, 11), date(2031, 2, 11));
    for (band, counted) in [("u8-u9", vec![id(2), id(1)]), ("u10-u12", vec![])] {
        let trials = store.trials_of_band(&cuts, &called(band), year).await.unwrap();
        assert_eq!(trials.iter().map(|known| known.id).collect::<Vec<_>>(), counted, "{band}");
    }
    assert!(store.birth_months(&called("u8-u9")).await.unwrap().contains_key(&id(100)));
    let bands = store.earlier_bands(id(60)).await.unwrap();
    assert_eq!(bands, [(id(100), vec![(date(2031, 2, 11), called("u8-u9"))])].into());
    assert!(store.away(id(60)).await.unwrap().is_empty(), "missing in another team");
    let log = LogEntries { presence: vec![there(701, date(2031, 2, 11))], ..LogEntries::default() };
    store.add_log(id(60), &log, *coach, at("20:10:00")).await.unwrap();
    assert_eq!(store.away(id(60)).await.unwrap().len(), 1);
}
