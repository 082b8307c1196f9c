//! Eyes on: whom a coach looks at, what that changes, and what is foreseen of it.

use serde_json::{Value, json};

use super::next_time::{COACH, Next};
use super::{DIRECTOR, academy, id};

const TODAY: &str = "2031-02-10";

fn list(value: &Value) -> Vec<Value> {
    value.as_array().unwrap().clone()
}

/// The first watch of a session in which somebody is proposed.
fn first_watch(session: &Value) -> Value {
    let watches = list(&session["eyes"]["watches"]);
    watches.into_iter().find(|watch| !list(&watch["players"]).is_empty()).unwrap()
}

/// A look at a player, with this mark for every point.
fn look(n: u32, session: &Value, watch: &Value, player: &Value, mark: u8) -> Value {
    let looks = list(&session["running_order"]["looks"]);
    let look = looks.iter().find(|look| look["milestone"] == watch["milestone"]).unwrap();
    let points = list(&look["test_points"]).len();
    json!({"id": id(n), "player": player, "test": look["test"], "taken_on": TODAY, "value": points * mark as usize,
        "marks": vec![mark; points], "said_at": "2031-02-10T18:00:00Z"})
}

#[actix_web::test]
async fn a_look_counts_at_once_and_is_taken_back() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let next = Next::of(&coach).await;
    let today = next.session(&json!(next.session));
    let asked = async || {
        list(&coach.gets(&format!("{}/sessions", next.team)).await.body["looks"])[0]["asked"].clone()
    };
    let (session, before) = (coach.gets(&today).await.body, asked().await.as_u64().unwrap());
    let watch = first_watch(&session);
    assert!(list(&watch["players"]).len() <= 4);
    let player = watch["players"][0].clone();
    let path = format!("{}/trials", next.team);
    let said = look(1, &session, &watch, &player, 2);
    // However often it arrives.
    for _ in 0..2 {
        assert_eq!(coach.posts(&path, json!({"trials": [said]})).await.status, 204);
    }
    let after = coach.gets(&today).await.body;
    let looked = list(&after["eyes"]["looked"]);
    assert_eq!((looked.len(), &looked[0]["player"], &looked[0]["trial"]), (1, &player, &said["id"]));
    let still = list(&after["eyes"]["watches"]);
    let same = still.iter().filter(|each| each["milestone"] == watch["milestone"]);
    assert!(same.clone().count() > 0, "the others of the block are still to be looked at");
    for each in same {
        assert!(!list(&each["players"]).contains(&player) && !list(&each["instead"]).contains(&player));
    }
    assert_eq!(asked().await, json!(before - 1));
    let back =
        json!({"trials": [], "taken_back": [{"trial": said["id"], "said_at": "2031-02-10T18:05:00Z"}]});
    assert_eq!(coach.posts(&path, back).await.status, 204);
    let again = coach.gets(&today).await.body;
    assert_eq!(again["eyes"], session["eyes"]);
}

#[actix_web::test]
async fn nobody_is_looked_at_who_is_not_there() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let next = Next::of(&coach).await;
    let today = next.session(&json!(next.session));
    let session = coach.gets(&today).await.body;
    let (day, player) = (&session["running_order"]["date"], first_watch(&session)["players"][0].clone());
    let away = json!({"presence": [{"id": id(1), "player": player, "day": day, "present": false,
        "said_at": "2031-02-10T17:55:00Z"}]});
    assert_eq!(coach.posts(&format!("{}/log", next.team), away).await.status, 204);
    let without = coach.gets(&today).await.body;
    for watch in list(&without["eyes"]["watches"]) {
        assert!(!list(&watch["players"]).contains(&player) && !list(&watch["instead"]).contains(&player));
    }
    // Somebody else has the place.
    assert!(!list(&first_watch(&without)["players"]).is_empty());
}

#[actix_web::test]
async fn the_director_sees_how_many_looks_find_room() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let next = Next::of(&coach).await;
    let session = coach.gets(&next.session(&json!(next.session))).await.body;
    let curriculum = director.named(session["curriculum"].as_str().unwrap()).await;
    let map = director.gets(&format!("{curriculum}/benchmarks")).await.body;
    let of = |key: &str| map["looks"][key].as_u64().unwrap();
    assert!(of("laid") <= of("bound") && of("bound") <= of("asked") && of("laid") > 0, "{}", map["looks"]);
    let missing: u64 =
        map["looks"]["missing"].as_object().unwrap().values().map(|n| n.as_u64().unwrap()).sum();
    assert_eq!(missing, of("asked") - of("laid"));
}

// A player was away on all days: the groups and the sheet say so, and the forecast can count with who comes.
#[actix_web::test]
async fn who_was_away_all_the_time_is_told_in_groups_sheet_and_forecast() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let next = Next::of(&coach).await;
    let session = coach.gets(&next.session(&json!(next.session))).await.body;
    let curriculum = director.named(session["curriculum"].as_str().unwrap()).await;
    let forecast = format!("{curriculum}/forecast");
    let before = director.gets(&forecast).await.body["coming"].clone();
    let player = coach.gets(&format!("{}/squad", next.team)).await.body["players"][0]["id"].clone();
    let read = coach.gets(&format!("{}/sessions", next.team)).await.body;
    let been =
        list(&read["sessions"]).into_iter().filter(|each| each["date"].as_str() < read["today"].as_str());
    let entries: Vec<Value> = been
        .zip(100..)
        .map(|(each, n)| {
            json!({"id": id(n), "player": player, "day": each["date"], "present": false,
                "said_at": "2031-02-09T18:00:00Z"})
        })
        .collect();
    assert_eq!(coach.posts(&format!("{}/log", next.team), json!({"presence": entries})).await.status, 204);
    let sheet = format!("{}/players/{}", next.team, player.as_str().unwrap());
    let away = list(&coach.gets(&sheet).await.body["away_for"]);
    assert!(!away.is_empty());
    let board = coach.gets(&format!("{}/board", next.team)).await.body;
    let own = list(&board["players"]).into_iter().find(|each| each["id"] == player).unwrap();
    assert_eq!((&own["group"], &own["reason"]["kind"]), (&json!("consolidate"), &json!("away")), "{own}");
    let after = director.gets(&forecast).await.body["coming"].clone();
    assert!(after["share"].as_f64() < before["share"].as_f64().or(Some(1.0)), "{before} and {after}");
}

// The library finds what was never run, and what comes off less often than expected; a coach logs both away.
#[actix_web::test]
async fn the_library_finds_drills_by_how_they_were_used() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let next = Next::of(&coach).await;
    let session = coach.gets(&next.session(&json!(next.session))).await.body;
    let found = async |query: &str| -> Vec<String> {
        let found = director.gets(&format!("/drills?limit=200&{query}")).await.body;
        list(&found["items"]).iter().map(|drill| drill["id"].as_str().unwrap().to_owned()).collect()
    };
    let never = found("never_run=true").await;
    assert!(!never.is_empty() && never.len() < found("").await.len());
    // Of all blocks of the session nothing comes off.
    let blocks = list(&session["running_order"]["blocks"]);
    let outcomes: Vec<Value> = (blocks.iter().zip(1..))
        .map(|(block, n)| {
            json!({"id": id(n), "edition": next.edition, "session": next.session, "block": block["id"],
                "day": TODAY, "outcome": "done", "success": 0, "said_at": "2031-02-10T19:00:00Z"})
        })
        .collect();
    let said = coach.posts(&format!("{}/log", next.team), json!({"outcomes": outcomes})).await;
    assert_eq!(said.status, 204, "{said:?}");
    let (after, less) = (found("never_run=true").await, found("less=true").await);
    for drill in blocks.iter().map(|block| block["drill"].as_str().unwrap()) {
        assert!(!after.iter().any(|id| id == drill), "{drill} was run");
    }
    assert!(less.iter().any(|id| blocks.iter().any(|block| block["drill"] == **id)), "{less:?}");
}
