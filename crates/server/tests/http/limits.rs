//! The lengths that are described are those that hold: the longest text passes, one character more is refused there.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::benchmarks::fresh_test;
use super::{Answered, COACH, DIRECTOR, academy, described, id};

/// A form with this text in it.
type Filled = fn(&str) -> Value;

fn note(text: &str) -> Value {
    json!({"notes": [{"id": id(1), "day": "2031-02-10", "says": text, "said_at": "2031-02-10T17:00:00Z"}]})
}

fn club(text: &str) -> Value {
    json!({"id": id(2), "name": text})
}

fn test(field: &str, text: &str) -> Value {
    let mut test = fresh_test();
    test[field] = json!(text);
    test
}

fn milestone(field: &str, text: &str) -> Value {
    let mut milestone = json!({
        "id": "longest", "says": "I can stand still", "short": "Still", "skill": "weave", "stage": "scan", "band": "u8-u9",
        "evidence": {"seen": {"test": "sole-turn-seen", "days": 1}},
    });
    milestone[field] = json!(text);
    milestone
}

#[rstest]
#[case::note("NoteSaid", "says", COACH, "{team}/log", "/notes/0/says", note)]
#[case::club("NewClub", "name", DIRECTOR, "/clubs", "/name", club)]
#[case::test_name("Test", "name", DIRECTOR, "/tests/quick-taps", "/name", |text: &str| test("name", text))]
#[case::test_short("Test", "short", DIRECTOR, "/tests/quick-taps", "/short", |text: &str| test("short", text))]
#[case::test_how("Test", "how", DIRECTOR, "/tests/quick-taps", "/how", |text: &str| test("how", text))]
#[case::milestone("Milestone", "says", DIRECTOR, "/milestones/longest", "/says", |text: &str| milestone("says", text))]
#[case::milestone_short(
    "Milestone", "short", DIRECTOR, "/milestones/longest", "/short", |text: &str| milestone("short", text),
)]
#[actix_web::test]
async fn a_text_is_as_long_as_described_and_no_longer(
    #[case] form: &str,
    #[case] field: &str,
    #[case] who: &str,
    #[case] path: &str,
    #[case] pointer: &str,
    #[case] filled: Filled,
) {
    let academy = academy().await;
    let who = academy.signed_in(who).await;
    let path = if path.contains("{team}") { path.replace("{team}", &who.team().await) } else { path.into() };
    let method = if ["Test", "Milestone"].contains(&form) { Method::PUT } else { Method::POST };
    let longest = described::limit(form, field, "maxLength");
    let refused = |answered: &Answered| answered.status == 422 && answered.pointers().contains(&pointer);
    for (length, too_long) in [(longest, false), (longest + 1, true)] {
        let body = filled(&"é".repeat(length));
        let answered = who.sends(super::own_page(method.clone(), &path).set_json(body)).await;
        assert_eq!(refused(&answered), too_long, "{length} characters: {answered:?}");
    }
}

#[rstest]
#[case::trials("TrialsSaid", "trials", "trials", "/trials")]
#[case::words("WordsSaid", "words", "words", "/words")]
#[case::reports("ReportsSaid", "reports", "home/reports", "/reports")]
#[case::players("Newcomers", "players", "players", "/players")]
#[actix_web::test]
async fn a_list_is_as_long_as_described_and_no_longer(
    #[case] form: &str,
    #[case] list: &str,
    #[case] path: &str,
    #[case] pointer: &str,
) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let path = format!("{}/{path}", coach.team().await);
    let entry = match list {
        "trials" => {
            json!({"id": id(1), "player": id(9), "test": "weave", "taken_on": "x", "value": 1, "said_at": "x"})
        }
        "words" => json!({
            "id": id(1), "player": id(9), "milestone": "x", "verdict": "met", "reason": "x", "day": "x", "said_at": "x",
        }),
        "reports" => {
            json!({"id": id(1), "player": id(9), "drill": "x", "day": "x", "best": 1, "said_at": "x"})
        }
        _ => json!({"id": id(1), "name": "x", "birth_month": "x", "strong_foot": "left"}),
    };
    let most = described::limit(form, list, "maxItems");
    for (count, too_many) in [(most, false), (most + 1, true)] {
        let answered = coach.posts(&path, json!({list: vec![entry.clone(); count]})).await;
        assert_eq!(answered.status, 422, "nobody is called that: {answered:?}");
        assert_eq!(answered.pointers().contains(&pointer), too_many, "{count} entries");
    }
}
