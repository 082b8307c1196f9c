//! From wishes to levels: the way through the interface.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, NEW_COACH, academy, id, own_page};

#[actix_web::test]
async fn shorter_sessions_break_the_plan_and_solving_mends_it() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    assert_eq!(read.body["breaches"], json!([]));
    let mut wishes = read.body["wishes"].clone();
    wishes["minutes"][0] = json!(20);
    let changed = director.writes(Method::PUT, &winter, &read.etag.unwrap(), wishes).await;
    assert_eq!(changed.body["breaches"][0]["rule"], "H1");
    let etag = changed.etag.unwrap();
    let refused = director
        .writes(Method::POST, &format!("{winter}/editions"), &etag, json!({"id": id(1), "note": ""}))
        .await;
    assert_eq!(refused.problem(), "/problems/input");
    let solved = director.writes(Method::POST, &format!("{winter}/solve"), &etag, json!({"seed": 3})).await;
    assert_eq!(solved.body["breaches"], json!([]));
    let order = director.gets(&format!("{winter}/sessions/0")).await.body;
    let blocks = order["blocks"].as_array().unwrap();
    let used: u64 =
        blocks.iter().map(|b| b["minutes"].as_u64().unwrap() + b["laying_out"].as_u64().unwrap()).sum();
    assert!(used <= 20 && !blocks.is_empty());
}

#[rstest]
#[case::fewer_weeks(5, 10)]
#[case::more_weeks(7, 14)]
#[actix_web::test]
async fn another_number_of_weeks_waits_for_another_plan(#[case] weeks: u32, #[case] sessions: usize) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let mut wishes = read.body["wishes"].clone();
    wishes["weeks"] = json!(weeks);
    wishes["minutes"] = json!(vec![50; sessions]);
    let changed = director.writes(Method::PUT, &winter, &read.etag.unwrap(), wishes).await;
    assert_eq!(
        (changed.status.as_u16(), &changed.body["breaches"][0]["rule"]),
        (200, &json!("form")),
        "{changed:?}"
    );
    let last = director.gets(&format!("{winter}/sessions/{}", sessions - 1)).await;
    assert!(last.status == 200 || last.status == 404, "{last:?}");
    let etag = changed.etag.unwrap();
    let solved = director.writes(Method::POST, &format!("{winter}/solve"), &etag, json!({"seed": 3})).await;
    assert_eq!((solved.status.as_u16(), &solved.body["breaches"]), (200, &json!([])), "{solved:?}");
}

#[actix_web::test]
async fn wishes_that_clash_are_answered_with_a_sentence() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let mut wishes = read.body["wishes"].clone();
    wishes["minutes"][4] = json!(3);
    let changed = director.writes(Method::PUT, &winter, &read.etag.unwrap(), wishes).await;
    let answered = director
        .writes(Method::POST, &format!("{winter}/solve"), &changed.etag.unwrap(), json!({"seed": 1}))
        .await;
    assert_eq!((answered.status.as_u16(), &answered.body["breaches"]), (200, &json!([])));
    let clash = &answered.body["came"]["clash"];
    assert_eq!(clash["of"], json!({"kind": "session", "session": 4}));
    assert!(clash["says"]["detail"].as_str().unwrap().starts_with("Session 5 on 24 February has 3 min"));
    assert_eq!((&clash["says"]["code"], &clash["says"]["session"]), (&json!("clash-session"), &json!(5)));
    // What can be done is done: that session alone stays empty.
    let empty = |at: usize| answered.body["sessions"][at]["blocks"] == json!([]);
    assert!(empty(4) && !empty(3));
}

#[actix_web::test]
async fn an_edition_reaches_the_team_once_and_never_changes() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    let (winter, team) = (director.winter().await, coach.team().await);
    assert_eq!(coach.gets(&format!("{team}/sessions")).await.body["sessions"], json!([]));
    let read = director.gets(&winter).await;
    let etag = read.etag.unwrap();
    for _ in 0..2 {
        let published = director
            .writes(
                Method::POST,
                &format!("{winter}/editions"),
                &etag,
                json!({"id": id(1), "note": "Off we go"}),
            )
            .await;
        assert_eq!(published.body["editions"].as_array().unwrap().len(), 1, "{published:?}");
    }
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    assert_eq!(sessions["sessions"][0]["date"], "2031-02-10");
    let page = format!("{team}/sessions/{}/0", sessions["sessions"][0]["edition"].as_str().unwrap());
    let today = coach.gets(&page).await.body;
    assert!(today["running_order"]["blocks"][0]["drawing"].as_str().unwrap().starts_with("<svg"));

    let mut wishes = read.body["wishes"].clone();
    wishes["minutes"][0] = json!(60);
    let changed = director.writes(Method::PUT, &winter, &etag, wishes).await;
    let solved = director
        .writes(Method::POST, &format!("{winter}/solve"), &changed.etag.unwrap(), json!({"seed": 9}))
        .await;
    assert_eq!(solved.body["changed_since_edition"], json!(true));
    assert_eq!(coach.gets(&page).await.body, today);
}

#[rstest]
#[case::in_their_order(&[0, 1, 2])]
#[case::the_other_way_round(&[2, 1, 0])]
#[case::over_and_over(&[1, 2, 1, 0, 2, 2])]
#[actix_web::test]
async fn outcomes_arrive_in_any_order_and_the_latest_counts(#[case] order: &[usize]) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let edition = sessions["sessions"][0]["edition"].as_str().unwrap();
    let entry = |n: u32, block: u32, outcome: &str, minute: u32| {
        json!({"id": id(n), "edition": edition, "session": 11, "block": block, "outcome": outcome, "minutes": null,
               "said_at": format!("2031-02-10T18:{minute:02}:00Z")})
    };
    let entries = [entry(1, 0, "skipped", 5), entry(2, 0, "done", 9), entry(3, 1, "short", 12)];
    for i in order {
        let answered = coach.posts(&format!("{team}/log"), json!({"outcomes": [entries[*i]]})).await;
        assert_eq!(answered.status, 204, "{answered:?}");
    }
    let page = coach.gets(&format!("{team}/sessions/{edition}/11")).await.body;
    let said: Vec<_> =
        page["log"]["outcomes"].as_array().unwrap().iter().map(|o| o["outcome"].as_str().unwrap()).collect();
    assert_eq!(said[..2], ["done", "short"]);
}

#[actix_web::test]
async fn an_outcome_of_a_block_that_is_not_there_is_refused() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let edition = &sessions["sessions"][0]["edition"];
    let entry = |session: u32, block: u32| json!({"id": id(session * 100 + block), "edition": edition, "session": session, "block": block, "outcome": "done", "said_at": "2031-02-10T18:00:00Z"});
    let answered = coach
        .posts(&format!("{team}/log"), json!({"outcomes": [entry(0, 0), entry(0, 99), entry(99, 0)]}))
        .await;
    assert_eq!(answered.pointers(), ["/outcomes/1/block", "/outcomes/2/session"]);
}

#[actix_web::test]
async fn a_squad_is_loaded_tested_and_levelled() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(NEW_COACH).await, academy.signed_in(DIRECTOR).await);
    let team = coach.team().await;
    let file = "name;born;foot\nUna Brae;2022-03;left\nOlo Voe;03/2023;r\nBad;2022-13;left\n";
    let preview = coach.sends(own_page(Method::POST, &format!("{team}/roster")).set_payload(file)).await.body;
    assert_eq!((&preview["good"], &preview["faulty"]), (&json!(2), &json!(1)));
    assert_eq!(
        coach.gets(&format!("{team}/squad")).await.body["players"],
        json!([]),
        "a preview writes nothing"
    );

    let mut players: Vec<Value> = preview["rows"]
        .as_array()
        .unwrap()
        .iter()
        .filter(|r| !r["player"].is_null())
        .map(|r| r["player"].clone())
        .collect();
    for (n, player) in (1..).zip(&mut players) {
        player["id"] = json!(id(n));
    }
    for _ in 0..2 {
        assert_eq!(coach.posts(&format!("{team}/players"), json!({"players": players})).await.status, 204);
    }
    assert_eq!(coach.gets(&format!("{team}/squad")).await.body["players"].as_array().unwrap().len(), 2);

    // Thresholds of the weave: 22 Building, 17.5 Secure, 14.5 Stretching; the best of two trials counts, per foot.
    let trial = |n: u32, side: &str, value: f64| {
        json!({"id": id(n), "player": id(1), "test": "weave-time", "taken_on": "2031-02-10", "side": side, "value": value,
               "said_at": "2031-02-10T18:00:00Z"})
    };
    let trials = json!({"trials": [trial(11, "left", 16.2), trial(12, "left", 17.9), trial(13, "right", 14.4), trial(14, "right", 22.01)]});
    assert_eq!(coach.posts(&format!("{team}/trials"), trials).await.status, 204);
    let level = |squad: &Value, side: &str| {
        let latest = squad["players"][0]["latest"].as_array().unwrap();
        latest.iter().find(|r| r["side"] == side).unwrap()["level"].clone()
    };
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    assert_eq!((level(&squad, "left"), level(&squad, "right")), (json!("secure"), json!("stretching")));

    let back = json!({"trials": [], "taken_back": [{"trial": id(13), "said_at": "2031-02-10T18:05:00Z"}]});
    assert_eq!(coach.posts(&format!("{team}/trials"), back).await.status, 204);
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    assert_eq!(level(&squad, "right"), json!("starting"), "22.01 s is left");

    let levels = director.gets("/levels?band=u8-u9").await.body;
    let weave = levels.as_array().unwrap().iter().find(|t| t["test"]["id"] == "weave-time").unwrap();
    let clubs: Vec<_> = weave["clubs"]
        .as_array()
        .unwrap()
        .iter()
        .map(|c| (c["club"].as_str().unwrap(), c["foot"].as_str().unwrap()))
        .collect();
    let named = ["Harbour Lane", "North Beacon", "Old Quarry", "Peat Hill", "Tern Cove"];
    let both = named.iter().flat_map(|club| [(*club, "strong"), (*club, "other")]);
    assert_eq!(clubs, both.collect::<Vec<_>>(), "the clubs with teams in this band");
    // Una is left-footed: her left is the strong foot. Olo has no result.
    assert_eq!(weave["clubs"][0]["without"], json!(1));
}

#[actix_web::test]
async fn the_director_sees_delivery_of_all_clubs() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let autumn = director.named("Autumn with the ball").await;
    let delivery = director.gets(&format!("{autumn}/delivery")).await.body;
    let clubs: Vec<_> =
        delivery["clubs"].as_array().unwrap().iter().map(|c| c["club"].as_str().unwrap()).collect();
    assert_eq!(clubs, ["Harbour Lane", "North Beacon", "Old Quarry", "Peat Hill", "Tern Cove"]);
    for week in delivery["clubs"][1]["teams"][0]["weeks"].as_array().unwrap() {
        let total =
            |key: &str| week[key].as_array().unwrap().iter().map(|m| m.as_f64().unwrap()).sum::<f64>();
        assert!(total("delivered") <= total("planned") && total("planned") > 0.0);
        assert_eq!(week["ahead"], json!(false));
    }
}
