//! Scores over HTTP: looked at while they are written, kept with skills and drills, shown wherever they are played.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, academy, own_page};

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
        for block in blocks {
            let floor = &block["footprint"];
            assert_eq!(block["on_the_spot"], floor["width_m"] == 0.0 && floor["depth_m"] == 0.0, "{block}");
        }
    }
    assert!(moving > 0, "no block of four sessions shows the feet");
    let card = coach.gets(&format!("{team}/home")).await.body["card"].clone();
    let chain = &card["chain"];
    assert!(chain["links"].as_array().unwrap().len() >= 2, "{chain}");
    assert!(chain["feet"]["counts"].as_array().unwrap().len() >= 2);
}

// The second session of the squad of 13 to 15: what it met there, and what it had met before, joined two by two.
#[actix_web::test]
async fn a_drill_of_own_chains_offers_some_of_what_the_squad_has_met() {
    let academy = academy().await;
    let coach = academy.signed_in("hala").await;
    let me = coach.gets("/session").await.body;
    let team = me["teams"].as_array().unwrap().iter().find(|team| team["band"] == "u13-u15").unwrap();
    let team = format!("/teams/{}", team["id"].as_str().unwrap());
    let edition = coach.gets(&format!("{team}/sessions")).await.body["sessions"][0]["edition"].clone();
    let at = format!("{team}/sessions/{}/1", edition.as_str().unwrap());
    let blocks = coach.gets(&at).await.body["running_order"]["blocks"].as_array().unwrap().clone();
    let (own, others): (Vec<_>, Vec<_>) =
        blocks.iter().partition(|block| block["drill"] == "free-chain-of-two");
    assert!(!own.is_empty() && others.iter().all(|block| block["chains"] == json!([])));
    let mut offered = std::collections::BTreeSet::new();
    for chain in own[0]["chains"].as_array().unwrap() {
        let skills: Vec<_> =
            chain["links"].as_array().unwrap().iter().map(|link| link["skill"].clone()).collect();
        assert!(skills.len() == 2 && skills[0] != skills[1], "{chain}");
        assert!(offered.insert(format!("{skills:?}")), "{chain} is offered twice");
    }
    assert!(!offered.is_empty());
    // Another block of the same session is offered others, or the same in another order.
    assert!(own.len() < 2 || own[0]["chains"] != own[1]["chains"]);
}

// “Toe taps in 30 s” counts the touches of a round of two beats. By hand: 55 in 30 s are a touch every 0.545 s. Fast is
// 0.45 s for U8–U9; ¾ of it is 0.3375 s, at which 88 touches fit.
#[actix_web::test]
async fn a_count_knows_its_touches() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let read = director.gets("/standards/toe-taps-30").await.body;
    let band = read["bands"].as_array().unwrap().iter().find(|band| band["id"] == "u8-u9").unwrap().clone();
    let asked = band["tempo"]["asked"]["stretching"].as_f64().unwrap();
    assert!((asked - 30.0 / 55.0).abs() < 1e-9, "{asked}");
    assert_eq!((&band["tempo"]["fast_s"], &read["findings"]), (&json!(0.45), &json!([])));
    // Besides, it is more than the band above is asked for.
    let thought = json!({"bands": {"u8-u9": {"building": 28, "secure": 42, "stretching": 89}}});
    let weighed = director.posts("/standards/toe-taps-30/weighed", thought).await.body;
    let said = weighed["findings"][1]["detail"].as_str().unwrap().to_owned();
    assert_eq!(
        said,
        "Stretching in U8–U9 asks for 89: a beat every 0.337 s. Nobody that age keeps up a beat shorter than \
         0.338 s. Ask for 88 at most."
    );
    assert_eq!(weighed["asked"]["u8-u9"]["building"].as_f64().unwrap(), 30.0 / 28.0);
    // A course counts nothing.
    assert_eq!(director.gets("/standards/weave-time").await.body["bands"][0]["tempo"], Value::Null);
}

#[actix_web::test]
async fn results_tell_a_tempo_that_a_band_can_take_over() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let shown = director.gets("/bands/u8-u9/tempos").await.body;
    let taps = shown.as_array().unwrap().iter().find(|test| test["name"] == "Toe taps in 30 s").unwrap();
    let on_scale = director.gets("/standards/toe-taps-30").await.body;
    let band = on_scale["bands"].as_array().unwrap().iter().find(|band| band["id"] == "u8-u9").unwrap();
    assert_eq!(
        (&taps["measured"], taps["measured"]["results"].as_u64() >= Some(10)),
        (&band["tempo"]["measured"], true)
    );
    assert_eq!(director.gets("/bands/u99/tempos").await.status, 404);
    // The same of one player: the result in the sheet, and the time from touch to touch beside it.
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let players = coach.gets(&format!("{team}/squad")).await.body["players"].clone();
    let page = format!("{team}/players/{}", players[0]["id"].as_str().unwrap());
    let sheet = coach.gets(&page).await.body;
    let result =
        sheet["results"].as_array().unwrap().iter().find(|r| r["result"]["test"] == "toe-taps-30").unwrap();
    let (value, touch) = (result["result"]["value"].as_f64().unwrap(), result["touch_s"].as_f64().unwrap());
    assert!((touch * value - 30.0).abs() < 1e-9, "{result}");
}

#[rstest]
#[case::it_opens("right inside push", "The round does not end where it began")]
#[case::it_does_not_read("right inside push out", "For out use outside.")]
#[actix_web::test]
async fn what_a_test_counts_can_be_counted(#[case] text: &str, #[case] says: &str) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut test = director.gets("/tests/toe-taps-30").await.body["test"].clone();
    test["score"]["text"] = text.into();
    let refused = director.sends(own_page(Method::PUT, "/tests/toe-taps-30").set_json(test)).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec!["/score/text"]));
    assert!(refused.body.to_string().contains(says), "{refused:?}");
}

#[actix_web::test]
async fn a_skill_keeps_a_score_that_a_test_counts() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let read = director.gets("/map").await;
    let mut skill = find(&read.body, "inside-outside-cut").clone();
    skill["score"] = "right inside push 2".into();
    let refused = director.writes(Method::POST, "/map", &read.etag.unwrap(), json!({"put": [skill]})).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec!["/put"]));
    assert!(
        refused.body.to_string().contains("The test “Chains of four cuts in 30 s” counts this score"),
        "{refused:?}"
    );
}
