//! The log of a session: what devices say in any order, what two of them say of one thing, and what is refused.

use std::collections::BTreeSet;

use proptest::prelude::*;
use proptest::strategy::ValueTree;
use proptest::test_runner::{Config, RngSeed, TestRunner};
use rstest::rstest;
use serde_json::{Value, json};

use super::{Answered, COACH, DIRECTOR, Visitor, academy, id};

/// The session of a session of the autumn, as the coach sees it.
async fn session_of<S, B>(coach: &Visitor<'_, S>, session: usize) -> Value
where
    S: super::Service<super::Request, Response = super::ServiceResponse<B>, Error = super::Error>,
    B: super::MessageBody,
{
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let edition = sessions["sessions"][session]["edition"].as_str().unwrap();
    coach.gets(&format!("{team}/sessions/{edition}/{session}")).await.body
}

/// What devices say of one session: two words on one block, one on another, two on one player, two lines of note.
fn said(shown: &Value, edition: &str, players: &[String], case: u32) -> Vec<Value> {
    let (session, day) = (&shown["running_order"]["session"], &shown["running_order"]["date"]);
    let key = |n: u32| id(case * 100 + n);
    let at = |minute: u32| format!("2031-02-10T10:{minute:02}:00Z");
    let block = |n, block, outcome, success: Option<u8>, minute| {
        json!({"outcomes": [{"id": key(n), "edition": edition, "session": session, "block": block,
            "outcome": outcome, "success": success, "ran": "one_up", "said_at": at(minute)}]})
    };
    let here = |n, player: &str, present, minute| json!({"presence": [{"id": key(n), "player": player, "day": day, "present": present, "said_at": at(minute)}]});
    let note =
        |n, says, minute| json!({"notes": [{"id": key(n), "day": day, "says": says, "said_at": at(minute)}]});
    vec![
        block(1, 0, "skipped", None, 5),
        block(2, 0, "done", Some(80), 9),
        block(3, 1, "short", None, 12),
        here(4, &players[0], true, 1),
        here(5, &players[0], false, 2),
        here(6, &players[1], true, 2),
        note(7, "Balls were flat", 20),
        note(8, "Balls were flat, two gone", 21),
    ]
}

/// How often something was said of blocks, and how many lines were written.
fn told(log: &Value) -> [usize; 2] {
    let history = log["history"].as_array().unwrap();
    ["block", "note"].map(|of| history.iter().filter(|entry| entry["told"]["of"] == of).count())
}

/// What counts of a log, whatever the ids, and what was added to its history.
fn counts(before: &Value, log: &Value, players: &[String]) -> Value {
    let blocks = before["running_order"]["blocks"].as_array().unwrap();
    let by_place = |outcome: &Value| {
        let mut outcome = outcome.clone();
        outcome["block"] = json!(blocks.iter().position(|block| block["id"] == outcome["block"]));
        outcome
    };
    let mut firsts: Vec<Value> = log["outcomes"].as_array().unwrap().iter().map(by_place).collect();
    firsts.sort_by_key(|outcome| outcome["block"].as_u64());
    firsts.truncate(2);
    let missing = log["missing"].as_array().unwrap();
    let gone: Vec<bool> = players[..2].iter().map(|player| missing.contains(&json!(player))).collect();
    let ([blocks, notes], [blocks_before, notes_before]) = (told(log), told(&before["log"]));
    json!([firsts, gone, log["note"], [blocks - blocks_before, notes - notes_before]])
}

// Every entry at least once, any order, any repetition: by hand, block 0 is done with 8 of ten, block 1 short, one
// player is missing (and that was said differently before), and the later line counts; three words on blocks and two
// lines are history.
#[actix_web::test]
async fn any_order_and_repetition_of_entries_gives_the_same_log() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let players: Vec<String> =
        squad["players"].as_array().unwrap().iter().map(|p| p["id"].as_str().unwrap().to_owned()).collect();
    let list = coach.gets(&format!("{team}/sessions")).await.body;
    let edition = list["sessions"][0]["edition"].as_str().unwrap().to_owned();
    let mut chance = TestRunner::new(Config { rng_seed: RngSeed::Fixed(7), ..Config::default() });
    let orders = prop::collection::vec(0_usize..8, 0..8)
        .prop_flat_map(|again| Just((0..8).chain(again).collect::<Vec<usize>>()).prop_shuffle());
    let mut logs = BTreeSet::new();
    for case in 0..12 {
        let before = session_of(&coach, case).await;
        let all = said(&before, &edition, &players, 1 + case as u32);
        for i in orders.new_tree(&mut chance).unwrap().current() {
            let answered = coach.posts(&format!("{team}/log"), all[i].clone()).await;
            assert_eq!(answered.status, 204, "{answered:?}");
        }
        logs.insert(counts(&before, &session_of(&coach, case).await["log"], &players).to_string());
    }
    let expected = json!([
        [
            {"block": 0, "outcome": "done", "minutes": null, "success": 80, "ran": "one_up"},
            {"block": 1, "outcome": "short", "minutes": null, "success": null, "ran": "one_up"},
        ],
        [true, false],
        "Balls were flat, two gone",
        [3, 2]
    ]);
    assert_eq!(logs, BTreeSet::from([expected.to_string()]));
}

#[actix_web::test]
async fn the_director_reads_who_said_what_and_when() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let team = coach.team().await;
    let shown = session_of(&coach, 3).await;
    let day = &shown["running_order"]["date"];
    let line = json!({"notes": [{"id": id(1), "day": day, "says": "  Two balls were flat ", "said_at": "2031-02-10T10:05:00Z"}]});
    assert_eq!(coach.posts(&format!("{team}/log"), line).await.status, 204);
    let list = coach.gets(&format!("{team}/sessions")).await.body;
    let edition = list["sessions"][0]["edition"].as_str().unwrap();
    let read = director.gets(&format!("{team}/sessions/{edition}/3")).await.body;
    let last = read["log"]["history"].as_array().unwrap().last().unwrap();
    let expected =
        json!({"by": "Keya Gairlow", "at": "2031-02-10T10:05:00Z", "told": {"of": "note", "gone": false}});
    assert_eq!((last, &read["log"]["note"]), (&expected, &json!("Two balls were flat")));
}

#[rstest]
#[case::more_than_all(json!({"outcomes": [{"success": 101}]}), &["/outcomes/0/success"])]
#[case::a_stranger(json!({"presence": [{"player": id(999)}]}), &["/presence/0/player"])]
#[case::no_day(json!({"presence": [{"day": "10.2."}]}), &["/presence/0/day"])]
#[case::another_season(json!({"notes": [{"day": "2019-02-10"}]}), &["/notes/0/day"])]
#[case::a_long_line(json!({"notes": [{"says": "x".repeat(201)}]}), &["/notes/0/says"])]
#[case::no_time(json!({"notes": [{"said_at": "yesterday"}]}), &["/notes/0/said_at"])]
#[case::one_of_two(json!({"notes": [{}, {"says": "a\u{7}b"}]}), &["/notes/1/says"])]
#[actix_web::test]
async fn what_cannot_be_is_refused_as_a_whole(#[case] wrong: Value, #[case] pointers: &[&str]) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let before = session_of(&coach, 2).await;
    let list = coach.gets(&format!("{team}/sessions")).await.body;
    let right = |kind: &str, n: u32| match kind {
        "outcomes" => {
            json!({"id": id(n), "edition": list["sessions"][0]["edition"], "session": 2, "block": 0, "outcome": "done", "said_at": "2031-02-10T10:00:00Z"})
        }
        "presence" => {
            json!({"id": id(n), "player": squad["players"][0]["id"], "day": before["running_order"]["date"], "present": true, "said_at": "2031-02-10T10:00:00Z"})
        }
        _ => {
            json!({"id": id(n), "day": before["running_order"]["date"], "says": "Fine", "said_at": "2031-02-10T10:00:00Z"})
        }
    };
    let mut body = json!({});
    for (kind, entries) in wrong.as_object().unwrap() {
        let whole = entries.as_array().unwrap().iter().enumerate().map(|(n, entry)| {
            let mut whole = right(kind, n as u32 + 1);
            for (key, value) in entry.as_object().unwrap() {
                whole[key] = value.clone();
            }
            whole
        });
        body[kind] = whole.collect();
    }
    let answered: Answered = coach.posts(&format!("{team}/log"), body).await;
    assert_eq!((answered.status.as_u16(), answered.pointers()), (422, pointers.to_vec()));
    assert_eq!(session_of(&coach, 2).await["log"], before["log"], "nothing was written");
}

// The server's clock was set back by two days while the phone's was right, and the phone's runs three minutes ahead
// of another one's: nothing is refused for that, and the later word counts.
#[actix_web::test]
async fn no_clock_has_anything_refused_or_turned_round() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let player = &squad["players"][0]["id"];
    let now = jiff::Timestamp::now();
    let sent = |n: u32, device: u32, present: bool, clock: i64, ago: i64| {
        let clock = now + jiff::SignedDuration::from_secs(clock);
        json!({"presence": [{"id": id(n), "player": player, "day": "2031-02-12", "present": present, "count": 1,
                             "said_at": (clock - jiff::SignedDuration::from_secs(ago)).to_string()}],
               "sender": {"device": id(device), "sent_at": clock.to_string()}})
    };
    // Said three minutes ago on the phone that is three minutes ahead; two minutes ago on the other one.
    for body in [sent(1, 900, true, 180, 180), sent(2, 901, false, 0, 120)] {
        let answered = coach.posts(&format!("{team}/log"), body).await;
        assert_eq!(answered.status, 204, "{answered:?}");
    }
    let page = format!("{team}/players/{}/export", player.as_str().unwrap());
    let presence = coach.gets(&page).await.body["presence"].clone();
    let of_day: Vec<&Value> =
        presence.as_array().unwrap().iter().filter(|entry| entry["day"] == "2031-02-12").collect();
    assert_eq!(
        of_day.iter().map(|entry| &entry["present"]).collect::<Vec<_>>(),
        [true, false],
        "the later word counts"
    );
}
