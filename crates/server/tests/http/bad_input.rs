//! Bad input gets a sentence that mends it, never a 500, and never leaves half a write.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, NEW_COACH, academy, own_page};

#[rstest]
#[case::not_json("{\"login\": ", 400, "/problems/unreadable")]
#[case::wrong_shape("{\"login\": 7, \"password\": \"x\"}", 422, "/problems/input")]
#[case::too_much_said("{\"login\": \"a\", \"password\": \"b\", \"admin\": true}", 422, "/problems/input")]
#[case::deep(&"[".repeat(200_000), 422, "/problems/input")]
#[case::huge(&" ".repeat(300_000), 413, "/problems/too-large")]
#[actix_web::test]
async fn bodies_that_cannot_be_read(#[case] body: &str, #[case] status: u16, #[case] problem: &str) {
    let academy = academy().await;
    let request = own_page(Method::POST, "/session")
        .insert_header(("content-type", "application/json"))
        .set_payload(body.to_owned());
    let answered = academy.send(request).await;
    assert_eq!((answered.status.as_u16(), answered.problem()), (status, problem));
}

#[rstest]
#[case::no_such_page("/nowhere")]
#[case::id_that_is_none("/curricula/17")]
#[case::unknown_curriculum("/curricula/00000000-0000-7000-8000-000000000000")]
#[case::session_beyond_the_last("{winter}/sessions/99")]
#[case::session_below_the_first("{winter}/sessions/-1")]
#[case::unknown_band("/levels?band=u99")]
#[actix_web::test]
async fn addresses_that_lead_nowhere(#[case] path: &str) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let path = path.replace("{winter}", &director.winter().await);
    let answered = director.gets(&path).await;
    assert_eq!((answered.status.as_u16(), answered.problem()), (404, "/problems/not-found"));
}

type Spoil = fn(&mut Value);

#[rstest]
#[case::minutes_of_a_day(|w: &mut Value| w["minutes"][0] = json!(1440), &["/minutes/0"])]
#[case::negative_minutes(|w: &mut Value| w["minutes"][0] = json!(-5), &["/minutes/0"])]
#[case::impossible_date(|w: &mut Value| w["start"] = json!("2031-02-30"), &["/start"])]
#[case::a_skill_that_leaves_the_folder(
    |w: &mut Value| w["goals"][3]["skill"] = json!("../juggle"), &["/goals/3/skill"],
)]
#[case::a_thousand_weeks(|w: &mut Value| w["weeks"] = json!(1000), &["/weeks"])]
#[case::over_long_name(|w: &mut Value| w["name"] = json!("x".repeat(5000)), &["/name"])]
#[case::unknown_skill(
    |w: &mut Value| w["goals"][0]["skill"] = json!("flying"), &["/goals/0/skill", "/goals/3/skill", "/goals/4/skill"],
)]
#[case::unknown_band(|w: &mut Value| w["band"] = json!("u99"), &["/band"])]
#[case::shares_of_more_than_all(|w: &mut Value| w["shares"]["passing"] = json!(0.9), &["/shares"])]
#[actix_web::test]
async fn wishes_that_cannot_be(#[case] spoil: Spoil, #[case] pointers: &[&str]) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await;
    let mut wishes = before.body["wishes"].clone();
    spoil(&mut wishes);
    let answered = director.writes(Method::PUT, &winter, before.etag.as_deref().unwrap(), wishes).await;
    assert_eq!((answered.status.as_u16(), answered.pointers().as_slice()), (422, pointers), "{answered:?}");
    assert_eq!(director.gets(&winter).await.body, before.body);
}

#[actix_web::test]
async fn a_change_of_an_old_version_is_refused() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let (etag, wishes) = (read.etag.unwrap(), read.body["wishes"].clone());
    assert_eq!(director.writes(Method::PUT, &winter, &etag, wishes.clone()).await.status, 200);
    let again = director.writes(Method::PUT, &winter, &etag, wishes.clone()).await;
    assert_eq!((again.status.as_u16(), again.problem()), (412, "/problems/stale"));
    let unsaid = director.sends(own_page(Method::PUT, &winter).set_json(wishes)).await;
    assert_eq!((unsaid.status.as_u16(), unsaid.problem()), (428, "/problems/version-missing"));
}

#[actix_web::test]
async fn a_layout_of_a_megabyte_or_with_many_faults_is_answered() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let megabyte = coach.posts("/layouts", json!({"text": "mark ".repeat(200_000)})).await;
    assert_eq!(megabyte.problem(), "/problems/too-large");
    let long = coach.posts("/layouts", json!({"text": "mark A\n".repeat(20_000)})).await;
    assert_eq!((long.status.as_u16(), long.pointers()), (422, vec!["/text"]));
    let faults = coach.posts("/layouts", json!({"text": "mark A\nwalk\nbax 4 by 4"})).await;
    assert_eq!(
        faults.body["errors"][1]["detail"].as_str().unwrap().split(':').next(),
        Some("Line 3, column 1")
    );
    let sound = coach.posts("/layouts", json!({"text": "mark A; walk 4; mark B", "pace_m": 0.8})).await;
    assert_eq!(sound.body["footprint"], json!({"width_m": 0.0, "depth_m": 3.2}));
}

#[rstest]
#[case::another_encoding(b"name,birth month,strong foot\nJ\xf8rn,2022-01,left\n".to_vec(), 422, "UTF-8")]
#[case::twenty_thousand_rows(
    format!("name,birth month,strong foot\n{}", "A,2022-01,left\n".repeat(20_000)).into_bytes(), 413, "256 kB",
)]
#[case::more_rows_than_a_squad(
    format!("name,birth month,strong foot\n{}", "A,2022-01,left\n".repeat(61)).into_bytes(), 422,
    "60 players at most",
)]
#[case::more_rows_than_any_list(
    format!("name,birth month,strong foot\n{}", "A,2022-01,left\n".repeat(5_000)).into_bytes(), 422,
    "more than 2,000 lines",
)]
#[case::no_rows(b"hello".to_vec(), 422, "no rows")]
#[actix_web::test]
async fn squad_lists_that_cannot_be_read(#[case] file: Vec<u8>, #[case] status: u16, #[case] says: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(NEW_COACH).await;
    let team = coach.team().await;
    let answered = coach.sends(own_page(Method::POST, &format!("{team}/roster")).set_payload(file)).await;
    assert_eq!(answered.status, status, "{answered:?}");
    assert!(answered.body["detail"].as_str().unwrap().contains(says), "{answered:?}");
    assert_eq!(coach.gets(&format!("{team}/squad")).await.body["players"], json!([]));
}

#[actix_web::test]
async fn one_wrong_player_keeps_all_out() {
    let academy = academy().await;
    let coach = academy.signed_in(NEW_COACH).await;
    let team = coach.team().await;
    let player = |n: u32, name: &str, born: &str| json!({"id": format!("00000000-0000-4000-8000-{n:012}"), "name": name, "birth_month": born, "strong_foot": "left"});
    let list = json!({"players": [player(1, "Una", "2022-01"), player(2, "", "2022-01"), player(3, "Olo", "2022-13")]});
    let answered = coach.posts(&format!("{team}/players"), list).await;
    assert_eq!(answered.pointers(), ["/players/1/name", "/players/2/birth_month"]);
    let twins = json!({"players": [player(1, "Una", "2022-01"), player(2, "UNA", "2022-01")]});
    assert_eq!(coach.posts(&format!("{team}/players"), twins).await.problem(), "/problems/taken");
    assert_eq!(coach.gets(&format!("{team}/squad")).await.body["players"], json!([]));
}

type SpoilTrial = fn(&mut Value);

#[rstest]
#[case::out_of_range(|t: &mut Value| t["value"] = json!(400), "/trials/1/value")]
#[case::half_a_chain(|t: &mut Value| t["value"] = json!(3.5), "/trials/1/value")]
#[case::foot_that_is_not_asked(|t: &mut Value| t["side"] = json!("left"), "/trials/1/side")]
#[case::unknown_test(|t: &mut Value| t["test"] = json!("flying"), "/trials/1/test")]
#[case::foreign_player(|t: &mut Value| t["player"] = json!("00000000-0000-7000-8000-000000000000"), "/trials/1/player")]
#[case::last_year(|t: &mut Value| t["taken_on"] = json!("2029-02-10"), "/trials/1/taken_on")]
#[case::day_to_come(|t: &mut Value| t["taken_on"] = json!("2033-02-10"), "/trials/1/taken_on")]
#[case::no_time(|t: &mut Value| t["said_at"] = json!("soon"), "/trials/1/said_at")]
#[actix_web::test]
async fn one_wrong_trial_keeps_all_out(#[case] spoil: SpoilTrial, #[case] pointer: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let sheet = coach.gets(&format!("{team}/tests/four-cuts")).await;
    let trial = |n: u32| {
        json!({"id": format!("00000000-0000-4000-8000-{n:012}"), "player": sheet.body["players"][0]["id"], "test": "four-cuts",
               "taken_on": "2031-02-10", "side": null, "value": 8, "said_at": "2031-02-10T18:00:00Z"})
    };
    let mut wrong = trial(2);
    spoil(&mut wrong);
    let answered = coach.posts(&format!("{team}/trials"), json!({"trials": [trial(1), wrong]})).await;
    assert_eq!((answered.status.as_u16(), answered.pointers()), (422, vec![pointer]));
    assert_eq!(coach.gets(&format!("{team}/tests/four-cuts")).await.body, sheet.body);
}
