//! Who stays together, all that is kept of one player, and erasing it.

use crate::academy::{Academy, at, called, id, milestone, player, trial, with_squads, word_on};
use jiff::civil::date;
use jogo_core::academy::roster::NewPlayer;
use jogo_core::assessment::results::Trial;
use jogo_core::delivery::pairs::Pair;
use jogo_core::technique::skill::Side;
use jogo_store::StoreError;
use jogo_store::academy::players::EarlierFact;
use jogo_store::assessment::trials::{NewTrial, TakenBack};
use jogo_store::delivery::home::SelfReport;
use jogo_store::delivery::log::{LogEntries, PresenceEntry};
use jogo_store::erasure::Erased;
use sqlx::sqlite::SqliteConnectOptions;
use sqlx::{ConnectOptions, Connection};
use uuid::Uuid;

fn pair(one: u128, other: u128, together: bool) -> Pair<Uuid> {
    Pair { one: id(one), other: id(other), together }
}

#[tokio::test]
async fn wishes_are_kept_whichever_way_they_are_said_and_set_anew_as_a_whole() {
    let academy = with_squads().await;
    let Academy { store, team, other_team, .. } = &academy;
    store.set_pairs(*other_team, &[pair(200, 201, false)]).await.unwrap();
    store.set_pairs(*team, &[pair(102, 100, true), pair(100, 101, false)]).await.unwrap();
    assert_eq!(store.pairs(*team).await.unwrap(), [pair(100, 101, false), pair(100, 102, true)]);
    store.set_pairs(*team, &[pair(101, 102, false)]).await.unwrap();
    assert_eq!(store.pairs(*team).await.unwrap(), [pair(101, 102, false)]);
    assert_eq!(
        store.pairs(*other_team).await.unwrap(),
        [pair(200, 201, false)],
        "another team's are its own"
    );
}

#[tokio::test]
async fn a_pair_that_is_wished_twice_leaves_the_earlier_wishes() {
    let academy = with_squads().await;
    let Academy { store, team, .. } = &academy;
    store.set_pairs(*team, &[pair(100, 101, true)]).await.unwrap();
    assert!(store.set_pairs(*team, &[pair(100, 102, true), pair(102, 100, false)]).await.is_err());
    assert!(
        store.set_pairs(*team, &[pair(100, 100, true)]).await.is_err(),
        "nobody is apart from themselves"
    );
    assert_eq!(store.pairs(*team).await.unwrap(), [pair(100, 101, true)]);
}

async fn says_something_of_everything(academy: &Academy) {
    let Academy { store, coach, team, .. } = academy;
    store.put_milestone(&milestone("sole-turn", "I can turn")).await.unwrap();
    let with_the_left = |n, value| {
        let both = trial(n, 100, value);
        NewTrial { trial: Trial { side: Some(Side::Left), ..both.trial }, ..both }
    };
    let back = [TakenBack { trial: id(300), said_at: at("18:05:00") }];
    store
        .add_trials(
            *team,
            &[with_the_left(300, 70.0), with_the_left(301, 7.0)],
            &back,
            *coach,
            at("18:10:00"),
        )
        .await
        .unwrap();
    let there = |n, present, said: &str| PresenceEntry {
        id: id(n),
        player: id(100),
        day: date(2031, 2, 10),
        present,
        said_at: at(said),
    };
    let presence = vec![there(600, false, "17:00:00"), there(601, true, "17:10:00")];
    store
        .add_log(*team, &LogEntries { presence, ..LogEntries::default() }, *coach, at("19:00:00"))
        .await
        .unwrap();
    store.add_words(*team, &[word_on(800, 100, "sole-turn")], *coach, at("19:00:00")).await.unwrap();
    let report = SelfReport {
        id: id(500),
        player: id(100),
        drill: called("wall"),
        day: date(2031, 2, 9),
        best: 14,
        said_at: at("18:00:00"),
    };
    store.add_self_reports(*team, &[report], *coach, at("19:00:00")).await.unwrap();
    store.set_pairs(*team, &[pair(100, 101, true), pair(102, 100, false)]).await.unwrap();
}

#[tokio::test]
async fn all_that_is_kept_of_a_player_can_be_read() {
    let academy = with_squads().await;
    says_something_of_everything(&academy).await;
    let Academy { store, team, .. } = &academy;
    let team = store.team(*team).await.unwrap().unwrap();
    let facts = store.player_facts(&team, &player(100, "Una")).await.unwrap();
    assert_eq!(
        (facts.about.name.as_str(), facts.team.as_str(), facts.club.as_str()),
        ("Una", "Tern Cove Blue", "Tern Cove")
    );
    let trials: Vec<_> =
        facts.trials.iter().map(|trial| (trial.value, trial.side, trial.taken_back)).collect();
    assert_eq!(trials, [(70.0, Some(Side::Left), true), (7.0, Some(Side::Left), false)]);
    assert_eq!(
        facts.presence.iter().map(|day| (day.day.as_str(), day.present)).collect::<Vec<_>>(),
        [("2031-02-10", false), ("2031-02-10", true)]
    );
    let said = &facts.presence[0].said;
    assert_eq!(
        [&said.by, &said.at, &said.received_at],
        ["Una Skar", "2031-02-10T17:00:00.000000Z", "2031-02-10T19:00:00.000000Z"]
    );
    assert_eq!((facts.words.len(), facts.self_reported[0].best), (1, 14));
    assert_eq!((facts.kept_together_with, facts.kept_apart_from), (1, 1));
    let nobody_spoke_of = store.player_facts(&team, &player(102, "Brin")).await.unwrap();
    assert!(nobody_spoke_of.trials.is_empty() && nobody_spoke_of.words.is_empty());
    assert_eq!((nobody_spoke_of.kept_together_with, nobody_spoke_of.kept_apart_from), (0, 1));
}

#[tokio::test]
async fn of_an_erased_player_nothing_is_left_not_even_in_the_file() {
    let academy = with_squads().await;
    let Academy { store, coach, team, folder, .. } = &academy;
    let name = "Quillen";
    store.add_players(*team, &[player(103, name)], *coach, at("09:10:00")).await.unwrap();
    says_something_of_everything(&academy).await;
    let team = store.team(*team).await.unwrap().unwrap();
    for erased in [100, 103] {
        store.erase_player(&team, id(erased), *coach, at("20:00:00")).await.unwrap();
    }
    let left: Vec<_> =
        store.players(team.id).await.unwrap().into_iter().map(|player| player.about.name).collect();
    assert_eq!(left, ["Olo", "Brin"]);
    assert!(
        store.trials(team.id).await.unwrap().is_empty() && store.words(team.id).await.unwrap().is_empty()
    );
    assert!(
        store.self_reported(team.id).await.unwrap().is_empty()
            && store.pairs(team.id).await.unwrap().is_empty()
    );
    assert!(store.attendance(team.id).await.unwrap().is_empty());
    store.close().await;
    for file in std::fs::read_dir(folder.path()).unwrap() {
        let bytes = std::fs::read(file.unwrap().path()).unwrap();
        assert!(!bytes.windows(name.len()).any(|part| part == name.as_bytes()));
    }
}

#[tokio::test]
async fn a_player_is_corrected_and_keeps_what_was_measured() {
    let academy = with_squads().await;
    says_something_of_everything(&academy).await;
    let Academy { store, coach, team, .. } = &academy;
    let team = store.team(*team).await.unwrap().unwrap();
    let about =
        NewPlayer { name: "Unna".into(), birth_month: "2022-05".parse().unwrap(), strong_foot: Side::Right };
    store.correct_player(&team, id(100), &about, *coach, at("20:00:00")).await.unwrap();
    let first = store.players(team.id).await.unwrap().remove(0);
    assert_eq!((first.id, first.about), (id(100), about.clone()));
    assert_eq!(store.trials(team.id).await.unwrap().len(), 1);
    let taken = store.correct_player(&team, id(101), &about, *coach, at("20:01:00")).await.unwrap_err();
    assert!(matches!(&taken, StoreError::Taken(taken) if taken.code == "taken-player-name"), "{taken}");
}

#[tokio::test]
async fn whoever_goes_on_in_another_team_takes_everything_along_but_the_pairs() {
    let academy = with_squads().await;
    says_something_of_everything(&academy).await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    let from = store.team(*team).await.unwrap().unwrap();
    let to = store.team(*other_team).await.unwrap().unwrap();
    let player = store.players(from.id).await.unwrap().remove(0);
    let before = store.player_facts(&from, &player).await.unwrap();
    let squads = (store.players(from.id).await.unwrap().len(), store.players(to.id).await.unwrap().len());
    store.move_player((&from, &to), &player, date(2031, 2, 10), (*coach, at("20:00:00"))).await.unwrap();
    let now = (store.players(from.id).await.unwrap().len(), store.players(to.id).await.unwrap().len());
    assert_eq!(now, (squads.0 - 1, squads.1 + 1));
    assert_eq!(store.players(to.id).await.unwrap().last().unwrap().id, player.id);
    let after = store.player_facts(&to, &player).await.unwrap();
    assert_eq!((after.trials, after.presence, after.words), (before.trials, before.presence, before.words));
    let earlier = EarlierFact { team: from.name.clone(), until: "2031-02-10".into() };
    assert_eq!((before.earlier_teams, after.earlier_teams), (vec![], vec![earlier]));
    assert_eq!((after.kept_together_with, after.kept_apart_from), (0, 0));
    assert!(store.pairs(from.id).await.unwrap().is_empty());
}

#[tokio::test]
async fn whoever_left_is_seen_nowhere_comes_back_whole_and_is_erased_when_the_time_has_passed() {
    let academy = with_squads().await;
    says_something_of_everything(&academy).await;
    let Academy { store, coach, team, .. } = &academy;
    let team = store.team(*team).await.unwrap().unwrap();
    let seen = async || {
        let squad = store.players(team.id).await.unwrap().len();
        let (trials, words) = (store.trials(team.id).await.unwrap(), store.words(team.id).await.unwrap());
        let (pairs, there) = (store.pairs(team.id).await.unwrap(), store.attendance(team.id).await.unwrap());
        (squad, trials.len(), words.len(), pairs.len(), there.len())
    };
    let before = seen().await;
    let (now, day) = (at("20:00:00"), date(2031, 2, 10));
    store.set_left(&team, id(100), Some(day), *coach, now).await.unwrap();
    assert_eq!(seen().await, (2, 0, 0, 0, 0));
    let left = store.left_players(Some(team.id)).await.unwrap();
    assert_eq!(left.iter().map(|left| (left.id, left.on)).collect::<Vec<_>>(), [(id(100), day)]);
    store.set_left(&team, id(100), None, *coach, now).await.unwrap();
    assert_eq!(seen().await, before);
    store.set_left(&team, id(100), Some(day), *coach, now).await.unwrap();
    assert_eq!(store.erase_left(day, now).await.unwrap(), 0, "not before the day");
    assert_eq!(store.erase_left(date(2031, 2, 11), now).await.unwrap(), 1);
    assert!(store.left_players(None).await.unwrap().is_empty());
    assert_eq!(store.birth_months(&called("u8-u9")).await.unwrap().len(), 4, "nothing is kept of them");
}

#[tokio::test]
async fn the_name_of_a_child_who_left_is_free_and_two_of_one_name_are_not_let_in() {
    let academy = with_squads().await;
    let Academy { store, coach, team, .. } = &academy;
    let team = store.team(*team).await.unwrap().unwrap();
    let now = at("20:00:00");
    store.set_left(&team, id(100), Some(date(2031, 2, 10)), *coach, now).await.unwrap();
    assert_eq!(store.add_players(team.id, &[player(150, "Una")], *coach, now).await.unwrap(), 1);
    let back = store.set_left(&team, id(100), None, *coach, now).await.unwrap_err();
    assert!(matches!(&back, StoreError::Taken(taken) if taken.code == "taken-player-name"), "{back}");
    let about = NewPlayer { name: "Una S".into(), ..player(150, "Una").about };
    store.correct_player(&team, id(150), &about, *coach, now).await.unwrap();
    store.set_left(&team, id(100), None, *coach, now).await.unwrap();
    assert_eq!(store.players(team.id).await.unwrap().len(), 4);
}

// A long reader, as a copy that is being made, sees the database as it was before.
#[tokio::test]
async fn an_erasure_waits_for_whoever_still_reads_and_says_so() {
    let academy = with_squads().await;
    let Academy { store, coach, team, folder, .. } = &academy;
    let name = "Quillen";
    store.add_players(*team, &[player(103, name)], *coach, at("09:10:00")).await.unwrap();
    let team = store.team(*team).await.unwrap().unwrap();
    let file = folder.path().join("academy.sqlite");
    let mut reader = SqliteConnectOptions::new().filename(&file).connect().await.unwrap();
    sqlx::raw_sql("BEGIN; SELECT COUNT(*) FROM player").execute(&mut reader).await.unwrap();
    let erased = store.erase_player(&team, id(103), *coach, at("20:00:00")).await.unwrap();
    assert_eq!((erased, store.erasures_that_wait().await.unwrap()), (Erased::NotYetInTheLog, 1));
    let left = || {
        let files = std::fs::read_dir(folder.path()).unwrap();
        let bytes = files.map(|file| std::fs::read(file.unwrap().path()).unwrap());
        bytes.filter(|bytes| bytes.windows(name.len()).any(|part| part == name.as_bytes())).count()
    };
    assert!(left() > 0, "the log of writes still holds it");
    reader.close().await.unwrap();
    assert_eq!(store.finish_erasures(at("20:05:00")).await.unwrap(), Erased::Wholly);
    assert_eq!((store.erasures_that_wait().await.unwrap(), left()), (0, 0));
}

#[tokio::test]
async fn birth_months_are_known_by_band() {
    let academy = with_squads().await;
    let months = academy.store.birth_months(&called("u8-u9")).await.unwrap();
    assert_eq!((months.len(), months[&id(200)]), (5, "2022-04".parse().unwrap()));
    assert!(academy.store.birth_months(&called("u10-u12")).await.unwrap().is_empty());
}
