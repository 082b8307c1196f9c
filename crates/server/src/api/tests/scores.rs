//! Scores over HTTP: looked at while they are written, kept with skills and drills, shown wherever they are played.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, academy};

fn find<'m>(map: &'m Value, id: &str) -> &'m Value {
    map["skills"].as_array().unwrap().iter().find(|skill| skill["id"] == id).unwrap()
}

#[actix_web::test]
async fn a_score_is_answered_while_it_is_written() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let look = |text: &'static str| json!({"text": text, "band": "u10-u12"});
    let wrong = coach.posts("/scores", look("right inside tap, right inside push out")).await.body;
    let fault = &wrong["faults"][0];
    assert_eq!((&fault["line"], &fault["column"]), (&json!(1), &json!(37)));
    assert_eq!(fault["mend"]["detail"], "For out use outside.");
    assert_eq!((&wrong["measures"], wrong["feet"]["counts"].as_array().unwrap().len()), (&Value::Null, 1));
    // By hand: two beats of .55 s; 30 ÷ 1.1 = 27 rounds.
    let right = coach.posts("/scores", look("right inside tap, left inside tap")).await.body;
    assert_eq!((&right["faults"], &right["measures"]["rounds_in_30_s"]), (&json!([]), &json!(27)));
    let counts = right["feet"]["counts"].as_array().unwrap();
    assert_eq!(counts.iter().map(|count| &count["counted"]["detail"]).collect::<Vec<_>>(), ["in", "in"]);
    assert_eq!(counts[0]["said"][0]["detail"], "right inside: tap in");
    let nowhere = json!({"text": "hop", "band": "u99"});
    assert_eq!(coach.posts("/scores", nowhere).await.pointers(), ["/band"]);
}

// By hand: at .6 s a beat two beats take 1.2 s, 25 rounds in 30 s.
#[actix_web::test]
async fn the_tempos_of_a_band_are_its_own_once_somebody_has_written_them() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let bands = director.gets("/bands").await.body;
    let kept = bands.as_array().unwrap().iter().find(|kept| kept["band"]["id"] == "u10-u12").unwrap();
    assert_eq!((&kept["tempos"]["in_rhythm"], &kept["band"]["tempos_s"]), (&json!(0.55), &Value::Null));
    let mut band = kept["band"].clone();
    band["tempos_s"] = json!({"own_pace": 0.9, "in_rhythm": 0.6, "fast": 0.4});
    let etag = format!("\"{}\"", kept["version"]);
    assert_eq!(director.writes(Method::PUT, "/bands/u10-u12", &etag, band.clone()).await.status, 200);
    let asked = json!({"text": "right inside tap, left inside tap", "band": "u10-u12"});
    assert_eq!(director.posts("/scores", asked).await.body["measures"]["rounds_in_30_s"], 25);
    band["tempos_s"]["fast"] = json!(0.01);
    let refused = director.writes(Method::PUT, "/bands/u10-u12", "\"2\"", band).await;
    assert_eq!(refused.pointers(), ["/tempos_s/fast"]);
}

#[actix_web::test]
async fn the_parts_of_a_skill_propose_its_score() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let asked = json!({"text": "hop", "band": "u8-u9", "skill": "four-taps-chain"});
    let proposed = director.posts("/scores", asked).await.body["proposed"].clone();
    assert_eq!(proposed, "do skill four-taps-stop\ndo skill step-over-outside");
}

fn scored(score: &str) -> impl Fn(&mut Value) + use<'_> {
    move |skill| skill["score"] = score.into()
}

#[rstest]
#[case::a_fault_of_its_text("toe-taps", "right sole push", "/put/0/score", "a surface that can push")]
#[case::one_that_another_plays("four-taps-stop", "right laces", "/put/0/score", "what the touch does")]
#[case::itself("toe-taps", "do skill toe-taps", "/put/0/score", "parts that do not play themselves")]
#[actix_web::test]
async fn a_score_with_a_fault_is_not_kept(
    #[case] id: &str,
    #[case] score: &str,
    #[case] at: &str,
    #[case] says: &str,
) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let read = director.gets("/map").await;
    let mut skill = find(&read.body, id).clone();
    scored(score)(&mut skill);
    let put = json!({"put": [skill]});
    let refused = director.writes(Method::POST, "/map", &read.etag.unwrap(), put).await;
    assert_eq!((refused.status.as_u16(), refused.pointers().first().copied()), (422, Some(at)));
    assert!(refused.body.to_string().contains(says), "{refused:?}");
    assert_eq!(director.gets("/map").await.body["version"], read.body["version"]);
}

// “Four taps, stop, step over, out” plays both of its parts.
#[actix_web::test]
async fn a_score_that_another_one_plays_is_not_taken_away() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let read = director.gets("/map").await;
    let mut taps = find(&read.body, "four-taps-stop").clone();
    taps["score"] = Value::Null;
    let put = json!({"put": [taps]});
    let refused = director.writes(Method::POST, "/map", &read.etag.unwrap(), put).await;
    assert_eq!(refused.pointers(), ["/put", "/put"]);
    assert!(refused.body.to_string().contains("Four taps, stop, step over, out"), "{refused:?}");
}

#[actix_web::test]
async fn kin_are_proposed_and_parts_that_do_not_join_are_found() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let read = director.gets("/map").await;
    let kin = read.body["kin"].as_array().unwrap();
    // Cuts with the sole and the drag-and-turn: the same foot, surface and way, another action: 3 of 4.
    let turns = kin.iter().find(|kin| kin["skill"] == "sole-cuts" || kin["help"] == "sole-cuts").unwrap();
    assert_eq!((&turns["share"], &turns["of"]), (&json!(0.75), &json!(1)));
    assert!(kin.iter().all(|kin| kin["share"].as_f64().unwrap() > 0.6));
    let chain = json!({
        "id": "juggle-and-taps", "name": "Juggle, then taps", "strand": "receiving", "band": "u10-u12",
        "needs": [], "parts": ["juggle", "toe-taps"],
    });
    let put = json!({"put": [chain]});
    let changed = director.writes(Method::POST, "/map", &read.etag.unwrap(), put).await;
    let findings = changed.body["findings"].as_array().unwrap();
    let unset = findings.iter().find(|finding| finding["kind"] == "unjoined").unwrap();
    assert_eq!(unset["says"]["code"], "map-unset", "{unset}");
    assert!(unset["says"]["touch"].as_str().unwrap().ends_with("cushion"), "{unset}");
}

#[actix_web::test]
async fn the_feet_are_on_today_and_at_home() {
    let academy = academy().await;
    let coach = academy.signed_in("selo").await;
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let edition = sessions["sessions"][0]["edition"].as_str().unwrap().to_owned();
    let mut moving = 0;
    for session in 0..4 {
        let read = coach.gets(&format!("{team}/sessions/{edition}/{session}")).await.body;
        let blocks = read["running_order"]["blocks"].as_array().unwrap();
        moving += blocks.iter().filter(|block| block["feet"]["counts"].is_array()).count();
        // What is counted from a score is what the score gives.
        for block in blocks.iter().filter(|block| block["from_score"] == true) {
            assert!(block["touches"]["strong"].as_u64().unwrap() > 0, "{}", block["title"]);
        }
    }
    assert!(moving > 0, "no block of four sessions shows the feet");
    let card = coach.gets(&format!("{team}/home")).await.body["card"].clone();
    let chain = &card["chain"];
    assert!(chain["links"].as_array().unwrap().len() >= 2, "{chain}");
    assert!(chain["feet"]["counts"].as_array().unwrap().len() >= 2);
}
