//! Tests as they are written: what is kept, what results hold fast, and what is refused.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, academy, id, own_page};

/// A test that the demo does not have.
pub fn fresh_test() -> Value {
    json!({"id": "quick-taps", "name": "Quick taps", "short": "Taps", "how": "Sole on the ball, in turn.", "skill": "weave",
        "protocol": {"kind": "count", "seconds": 20}, "per_side": false, "trials": 2, "summary": "best", "least": 0.0,
        "most": 80.0, "rest_s": 30.0})
}

fn put(test: &Value) -> super::TestRequest {
    let path = format!("/tests/{}", test["id"].as_str().unwrap());
    own_page(Method::PUT, &path).set_json(test)
}

#[rstest]
#[case::count(json!({"kind": "count", "seconds": 20}), 80.0, 1.0)]
#[case::course(json!({"kind": "course", "penalty_s": 1.0}), 80.0, 0.01)]
#[case::streak(json!({"kind": "streak", "cap": 40}), 40.0, 1.0)]
#[case::hits(json!({"kind": "hits", "of": 10}), 10.0, 1.0)]
#[case::bounces(json!({"kind": "bounces", "services": 4, "cap": 5}), 5.0, 0.25)]
#[case::distance(json!({"kind": "distance", "better": "lower"}), 30.0, 0.1)]
#[case::points(json!({"kind": "points", "points": ["knees bent", "eyes up"]}), 4.0, 1.0)]
#[actix_web::test]
async fn a_test_of_every_protocol_is_written_and_can_be_taken(
    #[case] protocol: Value,
    #[case] most: f64,
    #[case] step: f64,
) {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let mut test = fresh_test();
    test["protocol"] = protocol.clone();
    let said = ["count", "course", "distance"].contains(&protocol["kind"].as_str().unwrap());
    test["most"] = json!(if said { most } else { 1.5 });
    let kept = director.sends(put(&test)).await;
    assert_eq!(kept.status, 204, "{kept:?}");
    let written = director.gets("/tests/quick-taps").await.body;
    assert_eq!((&written["test"]["protocol"], &written["has_results"]), (&protocol, &json!(false)));
    let listed = director.gets("/standards").await.body.as_array().unwrap().last().unwrap().clone();
    assert_eq!((&listed["test"]["id"], &listed["bands"]), (&json!("quick-taps"), &json!([])));
    let sheet = coach.gets(&format!("{}/tests/quick-taps", coach.team().await)).await.body;
    assert_eq!((&sheet["step"], &sheet["most"]), (&json!(step), &json!(most)));
}

#[actix_web::test]
async fn a_test_keeps_its_place_when_it_is_changed_and_goes_when_nothing_rests_on_it() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    assert_eq!(director.sends(put(&fresh_test())).await.status, 204);
    let mut later = fresh_test();
    later["id"] = json!("slow-taps");
    assert_eq!(director.sends(put(&later)).await.status, 204);
    let mut changed = fresh_test();
    changed["name"] = json!("Taps at speed");
    changed["protocol"]["seconds"] = json!(15);
    assert_eq!(director.sends(put(&changed)).await.status, 204, "nothing was measured with it yet");
    let all = director.gets("/standards").await.body;
    let names: Vec<&str> = all
        .as_array()
        .unwrap()
        .iter()
        .rev()
        .take(2)
        .map(|entry| entry["test"]["name"].as_str().unwrap())
        .collect();
    assert_eq!(names, ["Quick taps", "Taps at speed"]);
    let gone = || director.sends(own_page(Method::DELETE, "/tests/quick-taps"));
    assert_eq!(gone().await.status, 204);
    assert_eq!(gone().await.status, 404);
}

#[actix_web::test]
async fn a_new_test_never_takes_the_place_of_another() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let fresh = || put(&fresh_test()).insert_header(("If-None-Match", "*"));
    assert_eq!(director.sends(fresh()).await.status, 204);
    let mut other = fresh_test();
    other["how"] = json!("In another way.");
    let refused = director.sends(put(&other).insert_header(("If-None-Match", "*"))).await;
    assert_eq!(refused.problem(), "/problems/taken");
    assert_eq!(director.gets("/tests/quick-taps").await.body["test"]["how"], fresh_test()["how"]);
    assert_eq!(director.sends(put(&other)).await.status, 204, "changing it is another matter");
    let first = director.gets("/standards/quick-taps").await.body["first"].clone();
    assert_eq!(first, json!({"building": 20.0, "secure": 40.0, "stretching": 60.0}));
}

type Bad = fn(&mut Value);

#[rstest]
#[case::no_skill(|t: &mut Value| t["skill"] = json!("luck"), &["/skill"])]
#[case::another_name(|t: &mut Value| t["id"] = json!("other-taps"), &["/id"])]
#[case::no_name(|t: &mut Value| t["name"] = json!(" "), &["/name"])]
#[case::out_of_protocol(|t: &mut Value| t["protocol"]["seconds"] = json!(2), &["/protocol/seconds"])]
#[case::no_range(|t: &mut Value| t["least"] = json!(80.0), &["/least"])]
#[case::no_layout(|t: &mut Value| t["layout"] = json!("a pony"), &["/layout"])]
#[case::all_at_once(|t: &mut Value| { t["trials"] = json!(0); t["how"] = json!("") }, &["/how", "/trials"])]
#[actix_web::test]
async fn a_test_that_cannot_be_taken_is_refused(#[case] bad: Bad, #[case] pointers: &[&str]) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut test = fresh_test();
    bad(&mut test);
    let refused = director.sends(own_page(Method::PUT, "/tests/quick-taps").set_json(&test)).await;
    assert_eq!(refused.pointers(), pointers, "{refused:?}");
    assert_eq!(director.gets("/tests/quick-taps").await.status, 404, "nothing was kept");
}

#[actix_web::test]
async fn what_results_were_taken_with_stays() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let written = director.gets("/tests/weave-time").await.body;
    assert_eq!(written["has_results"], json!(true));
    let test = &written["test"];
    let mut other = test.clone();
    other["protocol"]["penalty_s"] = json!(3.0);
    other["per_side"] = json!(!test["per_side"].as_bool().unwrap());
    let refused = director.sends(put(&other)).await;
    assert_eq!(refused.pointers(), ["/protocol", "/per_side"]);
    let mut worded = test.clone();
    worded["how"] = json!("There and back through six markers.");
    assert_eq!(director.sends(put(&worded)).await.status, 204);
    let sheet = coach.gets(&format!("{}/tests/weave-time", coach.team().await)).await.body;
    assert_eq!(sheet["test"]["how"], worded["how"]);
    // Points may be said in other words, but none goes.
    let seen = director.gets("/tests/sole-turn-seen").await.body["test"].clone();
    let mut said = seen.clone();
    said["protocol"]["points"][0] = json!("the sole stays on the ball");
    assert_eq!(director.sends(put(&said)).await.status, 204);
    said["protocol"]["points"].as_array_mut().unwrap().pop();
    said["most"] = json!(4.0);
    assert_eq!(director.sends(put(&said)).await.pointers()[0], "/protocol");
}

#[actix_web::test]
async fn what_summarises_a_test_moves_what_follows_from_it() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let team = coach.team().await;
    let player = coach.gets(&format!("{team}/board")).await.body["players"][0]["id"].clone();
    let mut test = fresh_test();
    assert_eq!(director.sends(put(&test)).await.status, 204);
    let trial = |n: u32, value: f64| {
        json!({"id": id(n), "player": player, "test": "quick-taps", "taken_on": "2031-02-10",
        "side": null, "value": value, "said_at": "2031-02-10T11:00:00Z"})
    };
    let said =
        coach.posts(&format!("{team}/trials"), json!({"trials": [trial(1, 20.0), trial(2, 30.0)]})).await;
    assert_eq!(said.status, 204, "{said:?}");
    let thresholds = json!({"building": 10.0, "secure": 20.0, "stretching": 30.0});
    let set = json!({"from": "2031-02-10", "bands": {"u8-u9": thresholds}});
    let set = director.sends(own_page(Method::PUT, "/standards/quick-taps").set_json(set)).await;
    assert_eq!(set.status, 204, "{set:?}");
    let result = async || {
        let squad = coach.gets(&format!("{team}/players/{}", player.as_str().unwrap())).await.body;
        let results = squad["results"].as_array().unwrap().clone();
        let result =
            results.into_iter().find(|r| r["result"]["test"] == "quick-taps").unwrap()["result"].clone();
        (result["value"].clone(), result["level"].clone())
    };
    assert_eq!(result().await, (json!(30.0), json!("stretching")), "the best");
    test["summary"] = json!("mean");
    assert_eq!(director.sends(put(&test)).await.status, 204);
    assert_eq!(result().await, (json!(25.0), json!("secure")), "the mean");
    let gone = director.sends(own_page(Method::DELETE, "/tests/quick-taps")).await;
    assert_eq!(gone.problem(), "/problems/taken", "results are kept of it");
}

#[actix_web::test]
async fn a_test_on_which_something_rests_can_neither_go_nor_leave_it_without_answer() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let gone = |test: &'static str| director.sends(own_page(Method::DELETE, test));
    let mut test = fresh_test();
    test["protocol"] = json!({"kind": "points", "points": ["knees bent", "eyes up", "both feet"]});
    test["most"] = json!(6.0);
    assert_eq!(director.sends(put(&test)).await.status, 204);
    let milestone = json!({"id": "taps-seen-u8-u9", "says": "I can tap with either foot", "short": "Taps", "skill": "weave",
        "stage": "form", "band": "u8-u9", "evidence": {"seen": {"test": "quick-taps", "points": [3], "days": 1}}});
    let kept = director.sends(own_page(Method::PUT, "/milestones/taps-seen-u8-u9").set_json(milestone)).await;
    assert_eq!(kept.status, 204, "{kept:?}");
    test["protocol"]["points"].as_array_mut().unwrap().pop();
    test["most"] = json!(4.0);
    let refused = director.sends(put(&test)).await;
    assert_eq!(refused.pointers(), ["/protocol"]);
    assert!(refused.body.to_string().contains("I can tap with either foot"), "{refused:?}");
    let stays = gone("/tests/quick-taps").await;
    assert_eq!(stays.problem(), "/problems/taken");
    assert!(
        stays.body.to_string().contains("I can tap with either foot"),
        "it says what rests on it: {stays:?}"
    );
    assert_eq!(director.sends(own_page(Method::DELETE, "/milestones/taps-seen-u8-u9")).await.status, 204);
    assert_eq!(gone("/tests/quick-taps").await.status, 204);
}
