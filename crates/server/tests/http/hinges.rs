//! Skills that begin only when a squad is ready for them.

use actix_web::body::MessageBody;
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, NEW_COACH, Visitor, academy, id};

/// Publishes the winter, whose first session meets a skill only if a squad is ready for it, and tells which.
async fn published<S, B>(director: &Visitor<'_, S>, share: Option<f64>) -> String
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let stitches = read.body["stitches"].as_array().unwrap();
    let first = stitches.iter().find(|stitch| stitch["session"] == 0 && stitch["first"] == true).unwrap();
    let skill = first["skill"].as_str().unwrap().to_owned();
    let mut wishes = read.body["wishes"].clone();
    wishes["mastery"] = json!([{"skill": skill, "share": share}]);
    let kept = director.writes(Method::PUT, &winter, &read.etag.unwrap(), wishes).await;
    assert_eq!(kept.status, 200, "{kept:?}");
    let hinge = &kept.body["hinges"][0];
    assert_eq!((&hinge["skill"], &hinge["session"]), (&json!(skill), &json!(0)));
    let edition = json!({"id": id(1), "note": ""});
    let path = format!("{winter}/editions");
    let published = director.writes(Method::POST, &path, &kept.etag.unwrap(), edition).await;
    assert_eq!(published.status, 200, "{published:?}");
    skill
}

fn waits(session: &Value) -> Vec<bool> {
    session["hinges"].as_array().unwrap().iter().map(|hinge| hinge["waits"].as_bool().unwrap()).collect()
}

#[actix_web::test]
async fn a_skill_waits_for_the_coachs_word() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    let skill = published(&director, None).await;
    let team = coach.team().await;
    let first = format!("{team}/sessions/{}/0", id(1));
    // Who only looks settles nothing.
    let seen = director.gets(&first).await.body;
    assert_eq!(waits(&seen), [false]);
    let named = |session: &Value| session["running_order"]["blocks"].to_string();
    let (meant, name) = (named(&seen), seen["hinges"][0]["name"].as_str().unwrap().to_owned());
    assert!(meant.contains(&name));

    let waiting = coach.gets(&first).await.body;
    assert_eq!(waits(&waiting), [true]);
    assert_eq!(waiting["hinges"][0]["needed"], Value::Null);
    let skills = waiting["running_order"]["blocks"].as_array().unwrap().iter();
    let skills: Vec<&Value> = skills.flat_map(|block| block["skills"].as_array().unwrap()).collect();
    assert!(!skills.contains(&&json!(name)), "the session goes on without it: {skills:?}");
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    assert_eq!(sessions["changes"][0]["what"]["code"], "change-waits");
    // It is settled once.
    assert_eq!(coach.gets(&format!("{team}/sessions")).await.body["changes"], sessions["changes"]);

    let begin = format!("{team}/editions/{}/hinges", id(1));
    assert_eq!(coach.posts(&format!("{begin}/{skill}"), json!(null)).await.status, 204);
    let begun = coach.gets(&first).await.body;
    assert_eq!((named(&begun), waits(&begun)), (meant, vec![]));
    let elsewhere = academy.signed_in(COACH).await;
    assert_eq!(elsewhere.posts(&format!("{begin}/{skill}"), json!(null)).await.status, 404);
    assert_eq!(coach.posts(&format!("{begin}/never-heard-of"), json!(null)).await.status, 404);
}

#[actix_web::test]
async fn a_wait_that_is_taken_back_is_the_coachs_word() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    published(&director, None).await;
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let back = json!({"version": sessions["changes"][0]["version"]});
    assert_eq!(coach.posts(&format!("{team}/editions/{}/back", id(1)), back).await.status, 204);
    let first = coach.gets(&format!("{team}/sessions/{}/0", id(1))).await.body;
    assert_eq!(waits(&first), Vec::<bool>::new(), "it begins, and is asked no more");
}

// A skill without a gate: everybody is ready for it; but of nobody no share is ready.
#[rstest]
#[case::all_are_ready(COACH, false)]
#[case::there_is_no_squad(NEW_COACH, true)]
#[actix_web::test]
async fn a_share_of_the_squad_opens_or_not(#[case] login: &str, #[case] waits_there: bool) {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(login).await);
    published(&director, Some(0.6)).await;
    let team = coach.team().await;
    let first = coach.gets(&format!("{team}/sessions/{}/0", id(1))).await.body;
    assert_eq!(waits(&first), [waits_there], "{}", first["hinges"]);
    let hinge = &first["hinges"][0];
    let (players, needed) = (hinge["players"].as_u64().unwrap(), hinge["needed"].as_u64().unwrap());
    assert_eq!(needed, (players * 6).div_ceil(10).max(1));
}

#[rstest]
#[case::no_share(json!([{"skill": "weave", "share": 0.0}]), "/mastery/0")]
#[case::more_than_all(json!([{"skill": "weave", "share": 1.1}]), "/mastery/0")]
#[case::twice(json!([{"skill": "weave"}, {"skill": "weave", "share": 0.5}]), "/mastery/1")]
#[actix_web::test]
async fn wishes_that_cannot_be(#[case] mastery: Value, #[case] at: &str) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let read = director.gets(&winter).await;
    let mut wishes = read.body["wishes"].clone();
    wishes["mastery"] = mastery;
    let refused = director.writes(Method::PUT, &winter, &read.etag.unwrap(), wishes).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec![at]));
}
