//! Practice at home: the open page, and what players say that they did.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, NEW_COACH, academy, id, own_page};

#[actix_web::test]
async fn the_page_is_open_and_knows_no_player() {
    let academy = academy().await;
    let coach = academy.signed_in("selo").await;
    let team = coach.team().await;
    let handout = coach.gets(&format!("{team}/home")).await.body;
    assert!(handout["code"].as_str().unwrap().contains("<svg"));
    assert_eq!(handout["card"]["week"], 6);
    let path = handout["path"].as_str().unwrap();
    let page = academy.send(own_page(Method::GET, path)).await;
    assert_eq!((page.status.as_u16(), &page.body["card"]), (200, &handout["card"]));
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let says = page.body.to_string();
    for player in squad["players"].as_array().unwrap() {
        assert!(!says.contains(player["name"].as_str().unwrap()));
    }
    assert_eq!(academy.send(own_page(Method::GET, "/home/guessed")).await.status, 404);
}

#[actix_web::test]
async fn the_page_is_translated_and_tells_no_more_of_the_library_than_it_shows() {
    let academy = academy().await;
    let coach = academy.signed_in("selo").await;
    let team = coach.team().await;
    let path = coach.gets(&format!("{team}/home")).await.body["path"].as_str().unwrap().to_owned();
    let page = academy.send(own_page(Method::GET, &path)).await.body;
    let phrases = academy.send(own_page(Method::GET, &format!("{path}/phrases/de"))).await;
    assert_eq!(phrases.status, 200);
    let texts = phrases.body["texts"].as_object().unwrap();
    for drill in page["card"]["drills"].as_array().unwrap() {
        assert!(texts.contains_key(drill["title"].as_str().unwrap()), "{}", drill["title"]);
    }
    let page = page.to_string();
    assert!(texts.keys().all(|text| page.contains(text.as_str())));
    for (path, status) in [("/home/guessed/phrases/de".to_owned(), 404), (format!("{path}/phrases/xx"), 404)]
    {
        assert_eq!(academy.send(own_page(Method::GET, &path)).await.status, status, "{path}");
    }
}

#[actix_web::test]
async fn a_team_that_runs_nothing_has_no_card() {
    let academy = academy().await;
    let coach = academy.signed_in(NEW_COACH).await;
    let team = coach.team().await;
    assert_eq!(coach.gets(&format!("{team}/home")).await.body["card"], Value::Null);
}

#[actix_web::test]
async fn the_last_word_of_a_player_counts_and_never_as_a_result() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let before = coach.gets(&format!("{team}/squad")).await.body;
    let player = before["players"][0]["id"].clone();
    let said = |n: u32, best: u32, minute: u32| {
        json!({"reports": [{"id": id(n), "player": player, "drill": "toe-taps-rounds", "day": "2031-02-10",
            "best": best, "said_at": format!("2031-02-10T10:{minute:02}:00Z")}]})
    };
    for report in [said(2, 40, 9), said(1, 31, 5), said(2, 40, 9)] {
        assert_eq!(coach.posts(&format!("{team}/home/reports"), report).await.status, 204);
    }
    let reported = coach.gets(&format!("{team}/home")).await.body["reported"].clone();
    let expected = json!([{"player": player, "drill": "toe-taps-rounds", "day": "2031-02-10", "best": 40}]);
    assert_eq!(reported, expected);
    assert_eq!(coach.gets(&format!("{team}/squad")).await.body, before, "it is no evidence");
}

#[rstest]
#[case::a_stranger(json!({"player": id(999)}), "/reports/0/player")]
#[case::beyond_belief(json!({"best": 1001}), "/reports/0/best")]
#[case::no_drill(json!({"drill": "../x"}), "/reports/0/drill")]
#[case::no_day(json!({"day": "today"}), "/reports/0/day")]
#[case::no_time(json!({"said_at": ""}), "/reports/0/said_at")]
#[actix_web::test]
async fn what_cannot_be_said_is_refused(#[case] wrong: Value, #[case] pointer: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let player = coach.gets(&format!("{team}/squad")).await.body["players"][0]["id"].clone();
    let mut report = json!({"id": id(1), "player": player, "drill": "toe-taps-rounds", "day": "2031-02-10", "best": 3, "said_at": "2031-02-10T10:00:00Z"});
    for (key, value) in wrong.as_object().unwrap() {
        report[key] = value.clone();
    }
    let answered = coach.posts(&format!("{team}/home/reports"), json!({"reports": [report]})).await;
    assert_eq!(answered.pointers(), [pointer]);
}
