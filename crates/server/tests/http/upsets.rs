//! Sessions that are cancelled, and new editions for teams that are running.

use actix_web::body::MessageBody;
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, NEW_COACH, Visitor, academy, id};

/// Publishes the winter as it stands.
async fn publish<S, B>(director: &Visitor<'_, S>, n: u32) -> Value
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let winter = director.winter().await;
    let etag = director.gets(&winter).await.etag.unwrap();
    let edition = json!({"id": id(n), "note": ""});
    let published = director.writes(Method::POST, &format!("{winter}/editions"), &etag, edition).await;
    assert_eq!(published.status, 200, "{published:?}");
    published.body
}

fn blocks(sessions: &Value) -> Vec<u64> {
    sessions["sessions"].as_array().unwrap().iter().map(|e| e["blocks"].as_u64().unwrap()).collect()
}

#[actix_web::test]
async fn a_session_that_falls_out_is_squeezed_into_the_next_ones_and_can_be_taken_back() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    publish(&director, 1).await;
    let team = coach.team().await;
    let before = coach.gets(&format!("{team}/sessions")).await.body;
    let of_edition = format!("{team}/sessions/{}", id(1));
    let found = coach.gets(&format!("{of_edition}/1/remedies?left=0")).await.body;
    let names: Vec<_> =
        found["remedies"].as_array().unwrap().iter().map(|r| r["remedy"].as_str().unwrap()).collect();
    assert_eq!((names, &found["version"]), (vec!["shift", "squeeze", "skip"], &json!(0)));
    let short = |at: usize| found["remedies"][at]["short"].as_array().unwrap().len();
    assert!(short(1) <= short(2), "{found}");

    let chosen = json!({"version": 0, "left": 0, "remedy": "squeeze"});
    assert_eq!(coach.posts(&format!("{of_edition}/1/upset"), chosen.clone()).await.status, 204);
    assert_eq!(
        coach.posts(&format!("{of_edition}/1/upset"), chosen).await.status,
        412,
        "chosen from another state"
    );
    let after = coach.gets(&format!("{team}/sessions")).await.body;
    assert_eq!(after["sessions"][1]["upset"], json!({"left": 0, "remedy": "squeeze"}));
    assert_eq!((blocks(&after)[0], blocks(&after)[1]), (blocks(&before)[0], 0));
    assert_eq!(coach.gets(&format!("{of_edition}/1")).await.body["running_order"]["blocks"], json!([]));

    let winter = director.winter().await;
    let delivery = director.gets(&format!("{winter}/delivery")).await.body;
    let teams = delivery["clubs"][0]["teams"].as_array().unwrap();
    let mine = teams.iter().find(|t| team.ends_with(t["id"].as_str().unwrap())).unwrap();
    assert_eq!(mine["weeks"][0]["cancelled"], 1);
    assert!(mine["drift"]["moved"].as_u64().unwrap() >= blocks(&before)[1], "{mine}");
    let other = teams.iter().find(|t| t["id"] != mine["id"]).unwrap();
    assert_eq!((&other["weeks"][0]["cancelled"], &other["drift"]["moved"]), (&json!(0), &json!(0)));
    assert_eq!(mine["weeks"][0]["planned"], other["weeks"][0]["planned"], "planned is what was published");

    let back = json!({"version": after["changes"][0]["version"]});
    assert_eq!(coach.posts(&format!("{team}/editions/{}/back", id(1)), back).await.status, 204);
    let taken_back = coach.gets(&format!("{team}/sessions")).await.body;
    assert_eq!(taken_back["sessions"], before["sessions"]);
}

#[rstest]
#[case::more_than_there_is("1/remedies?left=99", 422)]
#[case::less_than_nothing("1/remedies?left=-1", 400)]
#[case::no_such_session("99/remedies?left=0", 404)]
#[case::after_a_log("0/remedies?left=0", 422)]
#[actix_web::test]
async fn what_cannot_fall_out(#[case] asked: &str, #[case] status: u16) {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    publish(&director, 1).await;
    let team = coach.team().await;
    let said = json!({"outcomes": [{"id": id(9), "edition": id(1), "session": 0, "block": 0, "outcome": "done",
                                   "said_at": "2031-02-10T18:00:00Z"}]});
    assert_eq!(coach.posts(&format!("{team}/log"), said).await.status, 204);
    let answered = coach.gets(&format!("{team}/sessions/{}/{asked}", id(1))).await;
    assert_eq!(answered.status.as_u16(), status, "{answered:?}");
    assert!(answered.problem().starts_with("/problems/"));
}

#[actix_web::test]
async fn only_its_coaches_change_a_teams_plan() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    publish(&director, 1).await;
    let team = coach.team().await;
    let other = academy.signed_in(COACH).await;
    let chosen = json!({"version": 0, "left": 0, "remedy": "skip"});
    let page = format!("{team}/sessions/{}/1/upset", id(1));
    assert_eq!(other.posts(&page, chosen.clone()).await.status, 404);
    assert_eq!(director.posts(&page, chosen).await.status, 403);
    let back = json!({"version": 0});
    assert_eq!(other.posts(&format!("{team}/editions/{}/back", id(1)), back).await.status, 404);
}

#[actix_web::test]
async fn a_new_edition_is_merged_into_a_running_team_and_what_was_delivered_stays() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    publish(&director, 1).await;
    let team = coach.team().await;
    let first = coach.gets(&format!("{team}/sessions/{}/0", id(1))).await.body;
    let said = json!({"outcomes": [{"id": id(9), "edition": id(1), "session": 0, "block": 0, "outcome": "done",
                                   "said_at": "2031-02-10T18:00:00Z"}]});
    assert_eq!(coach.posts(&format!("{team}/log"), said).await.status, 204);
    let chosen = json!({"version": 0, "left": 0, "remedy": "skip"});
    assert_eq!(coach.posts(&format!("{team}/sessions/{}/3/upset", id(1)), chosen).await.status, 204);

    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let solved = director
        .writes(Method::POST, &format!("{winter}/solve"), &read.etag.unwrap(), json!({"seed": 5}))
        .await;
    assert_eq!(solved.status, 200);
    publish(&director, 2).await;

    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let of: Vec<_> = sessions["sessions"]
        .as_array()
        .unwrap()
        .iter()
        .map(|e| e["edition_number"].as_i64().unwrap())
        .collect();
    assert_eq!(of[..3], [1, 2, 2], "the session with a log stays with its edition");
    assert_eq!(sessions["sessions"][0]["done"], 1);
    assert_eq!(sessions["sessions"][3]["upset"]["left"], 0, "a session that will be cancelled still is");
    assert_eq!(blocks(&sessions)[3], 0);
    // A phone that was without network logs the third session as the first edition had it.
    let late = json!({"outcomes": [{"id": id(10), "edition": id(1), "session": 2, "block": 0, "outcome": "done",
                                   "said_at": "2031-02-10T18:30:00Z"}]});
    assert_eq!(coach.posts(&format!("{team}/log"), late).await.status, 204);
    let with_late = coach.gets(&format!("{team}/sessions")).await.body;
    assert_eq!(
        (&with_late["sessions"][2]["edition_number"], &with_late["sessions"][2]["done"]),
        (&json!(1), &json!(1))
    );
    let same = coach.gets(&format!("{team}/sessions/{}/0", id(1))).await.body;
    assert_eq!(same["running_order"], first["running_order"]);
    let delivery = director.gets(&format!("{winter}/delivery")).await.body;
    let teams = delivery["clubs"][0]["teams"].as_array().unwrap();
    let mine = teams.iter().find(|t| team.ends_with(t["id"].as_str().unwrap())).unwrap();
    let delivered: f64 =
        mine["weeks"][0]["delivered"].as_array().unwrap().iter().map(|m| m.as_f64().unwrap()).sum();
    assert!(delivered > 0.0 && mine["weeks"][0]["sessions"] == 2, "{mine}");
}

// A phone without network has the second session open. Meanwhile another coach says that it is cancelled, and
// everything moves on by one session. Then the phone says that the first block was done and the second one skipped.
#[actix_web::test]
async fn a_late_log_lands_on_the_drill_that_was_run() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    publish(&director, 1).await;
    let team = coach.team().await;
    let page = |session: usize| format!("{team}/sessions/{}/{session}", id(1));
    let open = coach.gets(&page(1)).await.body;
    let (block, other) = (&open["running_order"]["blocks"][0], &open["running_order"]["blocks"][1]);
    let chosen = json!({"version": 0, "left": 0, "remedy": "shift"});
    assert_eq!(coach.posts(&format!("{}/upset", page(1)), chosen).await.status, 204);
    assert_eq!(coach.gets(&page(2)).await.body["running_order"]["blocks"][0]["id"], block["id"]);

    let said = |n, block: &Value, outcome| {
        json!({"id": id(n), "edition": id(1), "session": 1, "day": open["running_order"]["date"], "block": block["id"],
               "outcome": outcome, "said_at": "2031-02-10T18:00:00Z"})
    };
    let late = json!({"outcomes": [said(9, block, "done"), said(10, other, "skipped")]});
    assert_eq!(coach.posts(&format!("{team}/log"), late).await.status, 204);
    let (run, next) = (coach.gets(&page(1)).await.body, coach.gets(&page(2)).await.body);
    let drills = |shown: &Value| -> Vec<Value> {
        shown["running_order"]["blocks"].as_array().unwrap().iter().map(|block| block["id"].clone()).collect()
    };
    assert_eq!(drills(&run), [block["id"].clone()]);
    assert_eq!((&run["upset"], &run["log"]["outcomes"][0]["block"]), (&Value::Null, &block["id"]));
    assert!(!drills(&next).contains(&block["id"]), "what was run is not planned once more");
    assert_eq!(next["log"]["outcomes"], json!([]), "what was skipped has its turn before it");
    let told = |at: usize| run["log"]["history"][at]["told"]["title"].clone();
    assert_eq!((told(0), told(1)), (block["title"].clone(), other["title"].clone()));
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    assert_eq!(
        (&sessions["sessions"][1]["done"], &sessions["sessions"][2]["skipped"]),
        (&json!(1), &json!(0))
    );
    let delivery = director.gets(&format!("{}/delivery", director.winter().await)).await.body;
    let teams = delivery["clubs"][0]["teams"].as_array().unwrap();
    let mine = teams.iter().find(|t| team.ends_with(t["id"].as_str().unwrap())).unwrap();
    let delivered: f64 =
        mine["weeks"][0]["delivered"].as_array().unwrap().iter().filter_map(Value::as_f64).sum();
    assert_eq!((delivered, &mine["weeks"][0]["cancelled"]), (block["minutes"].as_f64().unwrap(), &json!(0)));
}

#[actix_web::test]
async fn a_block_that_no_edition_has_is_refused() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    publish(&director, 1).await;
    let team = coach.team().await;
    let said = json!({"outcomes": [{"id": id(9), "edition": id(1), "session": 1, "block": id(77), "outcome": "done",
                                   "said_at": "2031-02-10T18:00:00Z"}]});
    let answered = coach.posts(&format!("{team}/log"), said).await;
    assert_eq!((answered.status.as_u16(), answered.pointers()), (422, vec!["/outcomes/0/block"]));
}
