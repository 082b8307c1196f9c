//! What a curriculum promises, on every screen that speaks of it: the session, the board, the levels, the sheet.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, academy, id, own_page};

/// The milestones of a list that are promised, or not, in the order of their sentences.
fn sentences(milestones: &Value, promised: bool) -> Vec<String> {
    let all = milestones.as_array().unwrap().iter().filter(|each| each["promised"] == promised);
    let mut says: Vec<String> = all.map(|each| each["says"].as_str().unwrap().to_owned()).collect();
    says.sort_unstable();
    says
}

/// Whether a goal lies on or beyond the stage of a milestone, and the squad not past it already.
fn leads_to(goal: &Value, milestone: &Value) -> bool {
    let stages = ["form", "flow", "scan", "contest"];
    let place = |stage: &Value| stages.iter().position(|each| stage == *each);
    let at = place(&milestone["stage"]);
    goal["skill"] == milestone["skill"] && at <= place(&goal["goal"]) && place(&goal["present"]) <= at
}

#[actix_web::test]
async fn board_levels_and_sheet_promise_what_the_goals_of_the_running_curriculum_say() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let team = coach.team().await;
    let board = coach.gets(&format!("{team}/board")).await.body;
    let player = board["players"][0]["id"].as_str().unwrap();
    let sheet = coach.gets(&format!("{team}/players/{player}")).await.body;
    let levels = director.gets("/levels/milestones?band=u8-u9").await.body;

    // One curriculum of the band is published; the winter waits.
    let mut goals = Vec::new();
    for line in director.gets("/curricula").await.body["items"].as_array().unwrap() {
        let read = director.gets(&format!("/curricula/{}", line["id"].as_str().unwrap())).await.body;
        if read["wishes"]["band"] == "u8-u9" && read["editions"] != json!([]) {
            goals.extend(read["wishes"]["goals"].as_array().unwrap().clone());
        }
    }
    let all = director.gets("/milestones").await.body;
    let of_band = all.as_array().unwrap().iter().filter(|milestone| milestone["band"] == "u8-u9");
    let (mut promised, mut beyond) = (Vec::new(), Vec::new());
    for milestone in of_band {
        let of = if goals.iter().any(|goal| leads_to(goal, milestone)) { &mut promised } else { &mut beyond };
        of.push(milestone["says"].as_str().unwrap().to_owned());
    }
    promised.sort_unstable();
    beyond.sort_unstable();
    assert!(promised.len() > 5 && !beyond.is_empty(), "{promised:?}, {beyond:?}");
    for list in [&board["milestones"], &levels, &sheet["milestones"]] {
        assert_eq!((sentences(list, true), sentences(list, false)), (promised.clone(), beyond.clone()));
    }
}

#[actix_web::test]
async fn a_session_names_its_tests_before_its_blocks_and_what_is_looked_for() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let mut wishes = read.body["wishes"].clone();
    // Pinned to the first session: nothing else is tested there.
    let sitting = json!({"session": 0, "test": "wall-passes-30", "minutes": 4, "pinned": true});
    wishes["tests"].as_array_mut().unwrap().push(sitting);
    let changed = director.writes(Method::PUT, &winter, &read.etag.unwrap(), wishes).await;
    let etag = changed.etag.unwrap();
    let solved = director.writes(Method::POST, &format!("{winter}/solve"), &etag, json!({"seed": 2})).await;
    assert_eq!(solved.body["breaches"], json!([]));
    let published = json!({"id": id(1), "note": ""});
    let path = format!("{winter}/editions");
    director.writes(Method::POST, &path, &solved.etag.unwrap(), published).await;

    let team = coach.team().await;
    let session = coach.gets(&format!("{team}/sessions/{}/0", id(1))).await.body;
    let order = &session["running_order"];
    let test = &order["tests"][0];
    assert_eq!((&test["test"], &test["minutes"]), (&json!("wall-passes-30"), &json!(4)));
    let how = &director.gets("/tests/wall-passes-30").await.body["test"]["how"];
    assert_eq!(&test["how"], how);
    assert_eq!(order["blocks"][0]["starts"], json!(4), "it begins after the test");
    // Whatever is looked for has its points, and stands in a block that is there.
    let blocks = order["blocks"].as_array().unwrap().len() as u64;
    let mut looks = 0;
    for at in 0..12 {
        let session = coach.gets(&format!("{team}/sessions/{}/{at}", id(1))).await.body;
        for look in session["running_order"]["looks"].as_array().unwrap() {
            assert!(!look["points"].as_array().unwrap().is_empty(), "{look}");
            let there = session["running_order"]["blocks"].as_array().unwrap().len() as u64;
            assert!(look["block"].as_u64().unwrap() < there, "{look} of {there}");
            looks += 1;
        }
    }
    assert!(blocks > 0 && looks > 0);
}

#[actix_web::test]
async fn a_cancelled_session_says_where_its_tests_go() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let mut wishes = read.body["wishes"].clone();
    // 10 February is the first session, 13 February the second.
    wishes["tests"] = json!([{"session": 0, "test": "wall-passes-30", "minutes": 4, "pinned": true}]);
    wishes["testing"]["at_the_end"] = json!(false);
    wishes["testing"]["on_the_way"] = json!(false);
    let changed = director.writes(Method::PUT, &winter, &read.etag.unwrap(), wishes).await;
    let path = format!("{winter}/solve");
    let solved = director.writes(Method::POST, &path, &changed.etag.unwrap(), json!({"seed": 2})).await;
    let path = format!("{winter}/editions");
    let published = json!({"id": id(1), "note": ""});
    director.writes(Method::POST, &path, &solved.etag.unwrap(), published).await;
    let session = format!("{}/sessions/{}/0", coach.team().await, id(1));
    let remedies = coach.gets(&format!("{session}/remedies?left=0")).await.body;
    let name = director.gets("/tests/wall-passes-30").await.body["test"]["name"].clone();
    assert_eq!(remedies["tests"], json!([{"name": name, "day": "2031-02-13"}]));
    let whole = coach.gets(&format!("{session}/remedies?left=20")).await.body;
    assert_eq!(whole["tests"], json!([]), "there is time for it");
}

// The last word counts: a block that was skipped was not run, one that was cut short was.
#[actix_web::test]
async fn what_was_delivered_of_a_curriculum_counts_what_coaches_say() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let last = sessions["sessions"].as_array().unwrap().last().unwrap().clone();
    let (edition, at) = (last["edition"].as_str().unwrap(), last["session"].as_u64().unwrap());
    let page = coach.gets(&format!("{team}/sessions/{edition}/{at}")).await.body;
    let name = page["curriculum"].as_str().unwrap();
    let path = format!("{}/delivered", director.named(name).await);
    let delivered = async || {
        let read = director.gets(&path).await.body;
        assert_eq!(read["today"], "2031-02-10");
        let of = read["sessions"].as_array().unwrap().iter().find(|each| each["session"] == at).cloned();
        of.map_or((0, 0), |each| (each["said"].as_u64().unwrap(), each["run"].as_u64().unwrap()))
    };
    let block = &page["running_order"]["blocks"][0]["id"];
    let mut counted = Vec::new();
    for (n, outcome) in (1..).zip(["done", "skipped", "short"]) {
        let outcome = json!({"id": id(n), "edition": edition, "session": at, "block": block,
            "outcome": outcome, "said_at": format!("2031-02-10T11:00:0{n}Z")});
        let sent = coach.posts(&format!("{team}/log"), json!({"outcomes": [outcome]})).await;
        assert_eq!(sent.status, 204, "{sent:?}");
        counted.push(delivered().await);
    }
    let (said, run) = counted[0];
    assert!(said >= run && run > 0);
    assert_eq!(counted, [(said, run), (said, run - 1), (said, run)]);
}

#[rstest]
#[case::of_what_is_not_there(json!({"kind": "move", "test": "four-cuts", "from": 0, "to": 9}))]
#[case::moved_to_nowhere(json!({"kind": "move", "test": "weave-time", "from": 11, "to": 999}))]
#[case::of_an_unknown_test(json!({"kind": "schedule", "sittings": [{"session": 3, "test": "luck", "minutes": 5}]}))]
#[case::for_ever(json!({"kind": "schedule", "sittings": [{"session": 3, "test": "four-cuts", "minutes": 4_000_000}]}))]
#[case::of_the_library(json!({"kind": "standard", "test": "four-cuts", "from_results": false,
    "thresholds": {"building": 1, "secure": 2, "stretching": 3}}))]
#[case::an_unknown_skill(json!({"kind": "goals", "goals": [{"skill": "flying", "present": null, "goal": "flow"}]}))]
#[case::no_mend(json!({"kind": "burn"}))]
#[actix_web::test]
async fn a_mend_that_cannot_be_says_so_and_changes_nothing(#[case] mend: Value) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let path = format!("{winter}/benchmarks/mend");
    let etag = read.etag.unwrap();
    let refused = director.writes(Method::POST, &path, &etag, mend.clone()).await;
    assert!(refused.status.is_client_error(), "{}", refused.status);
    assert!(!refused.body["detail"].as_str().unwrap().is_empty());
    let unread = director.sends(own_page(Method::POST, &path).set_json(mend)).await;
    assert!(unread.status.is_client_error(), "{}", unread.status);
    let after = director.gets(&winter).await;
    assert_eq!((after.body["wishes"].clone(), after.etag.unwrap()), (read.body["wishes"].clone(), etag));
}
