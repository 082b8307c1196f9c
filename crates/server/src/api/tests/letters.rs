//! Post: who gets which letter, once, and what lies in the outbox.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, academy, own_page};

fn to<'l>(outbox: &'l Value, name: &str) -> Vec<&'l Value> {
    outbox["letters"].as_array().unwrap().iter().filter(|letter| letter["to"] == name).collect()
}

#[actix_web::test]
async fn every_coach_gets_the_week_once_and_it_lies_in_the_outbox() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    assert_eq!(director.gets("/letters").await.body, json!({"by_mail_server": false, "letters": []}));
    let first = director.sends(own_page(Method::POST, "/letters")).await.body;
    let week: Vec<_> =
        to(&first, "Selo Torrwick").into_iter().filter(|letter| letter["asks_for_logs"] == false).collect();
    assert_eq!(week.len(), 1);
    assert_eq!(week[0]["subject"], "Your sessions from Monday 10 February");
    let body = week[0]["body"].as_str().unwrap();
    for line in [
        "Monday 10 February, Harbour Lane U10–U12: 50 min",
        "Thursday 13 February",
        "  7 min Roll back, catch on the laces",
    ] {
        assert!(body.contains(line), "{line}: {body}");
    }
    assert!(week[0]["left_at"].is_string() && week[0]["failed"].is_null());
    // A coach whose curriculum is over has no evening in this week.
    assert!(to(&first, "Keya Gairlow").iter().all(|letter| letter["asks_for_logs"] == true));
    let again = director.sends(own_page(Method::POST, "/letters")).await.body;
    assert_eq!(again, first, "nothing is written or sent twice");

    let files: Vec<_> = std::fs::read_dir(academy.folder.path().join("outbox")).unwrap().collect();
    assert_eq!(files.len(), first["letters"].as_array().unwrap().len());
    let name = format!("2031-02-10-{}.eml", week[0]["id"].as_str().unwrap());
    let file = std::fs::read_to_string(academy.folder.path().join("outbox").join(name)).unwrap();
    for line in
        ["To: \"Selo Torrwick\" <selo@skerrow.example>", "Subject: Your sessions from Monday 10 February"]
    {
        assert!(file.contains(line) || file.contains(&line.replace('"', "")), "{line}: {file}");
    }
}

#[actix_web::test]
async fn evenings_without_a_log_are_asked_for_by_their_days() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in("torik").await);
    let team = coach.team().await;
    let evenings = coach.gets(&format!("{team}/evenings")).await.body;
    let none = |evening: &&Value| {
        ["done", "short", "skipped"].iter().all(|said| evening[said] == 0)
            && evening["date"].as_str() >= Some("2031-01-27")
    };
    let silent = evenings["evenings"].as_array().unwrap().iter().filter(none).count();
    let outbox = director.sends(own_page(Method::POST, "/letters")).await.body;
    let asked: Vec<_> =
        to(&outbox, "Torik Lundock").into_iter().filter(|letter| letter["asks_for_logs"] == true).collect();
    assert_eq!(asked.len(), usize::from(silent > 0));
    let days = asked
        .first()
        .map_or(0, |letter| letter["body"].as_str().unwrap().matches("North Beacon Green").count());
    assert_eq!(days, silent);
}

#[rstest]
#[case::an_address(json!("new@skerrow.example"), 204, json!("new@skerrow.example"))]
#[case::none(json!(null), 204, json!(null))]
#[case::blanks(json!("  "), 204, json!(null))]
#[case::no_address(json!("keya"), 422, json!("keya@skerrow.example"))]
#[case::two_lines(json!("a@b.example\nBcc: c@d.example"), 422, json!("keya@skerrow.example"))]
#[actix_web::test]
async fn where_somebody_gets_post(#[case] said: Value, #[case] status: u16, #[case] kept: Value) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let answered =
        coach.sends(own_page(Method::PUT, "/session/email").set_json(json!({"email": said}))).await;
    assert_eq!(answered.status.as_u16(), status);
    assert_eq!(coach.gets("/session").await.body["email"], kept);
}
