//! Lists in pages, wishes and notes at their limits, and what devices say of the time.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, academy};

#[actix_web::test]
async fn a_list_comes_in_pages() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let names = |page: &Value| -> Vec<String> {
        page["items"].as_array().unwrap().iter().map(|c| c["name"].as_str().unwrap().to_owned()).collect()
    };
    let first = director.gets("/curricula?limit=1").await.body;
    assert_eq!(names(&first), ["To goal"]);
    let next = first["next"].as_str().unwrap();
    let second = director.gets(&format!("/curricula?limit=1&after={next}")).await.body;
    assert_eq!(
        (names(&second), &second["next"]),
        (vec!["Past somebody".to_owned()], &second["items"][0]["id"])
    );
    let after = second["next"].as_str().unwrap();
    let rest = director.gets(&format!("/curricula?limit=30&after={after}")).await.body;
    assert_eq!(
        (names(&rest).last().unwrap().as_str(), &rest["next"]),
        ("First weeks with the ball", &Value::Null)
    );
    // Today is the first day of the winter; the autumn is over, the spring to come.
    let stands = |name: &str| {
        let lines = rest["items"].as_array().unwrap();
        lines.iter().find(|line| line["name"] == name).unwrap()["stands"].clone()
    };
    assert_eq!(
        ["Turn and go", "Winter with the ball", "Two feet, one ball"].map(stands),
        ["coming", "running", "over"]
    );
    let beyond = director.gets(&format!("/curricula?after={}", super::id(99))).await.body;
    assert_eq!(beyond, json!({"items": [], "next": null}));
    let wrong = director.gets("/curricula?after=nowhere").await;
    assert_eq!((wrong.status.as_u16(), &wrong.body["errors"][0]["pointer"]), (422, &json!("/after")));
    assert_eq!(director.gets("/curricula?limit=many").await.problem(), "/problems/unreadable");
}

#[rstest]
#[case::none("", 200)]
#[case::as_long_as_it_may_be(&"x".repeat(200), 200)]
#[case::a_letter_longer(&"x".repeat(201), 422)]
#[case::with_a_line_break("first\nsecond", 422)]
#[actix_web::test]
async fn a_note_of_an_edition(#[case] note: &str, #[case] status: u16) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let etag = director.gets(&winter).await.etag.unwrap();
    let body = json!({"id": "00000000-0000-4000-8000-000000000001", "note": note});
    let answered = director.writes(Method::POST, &format!("{winter}/editions"), &etag, body).await;
    assert_eq!(answered.status, status, "{answered:?}");
    let editions = director.gets(&winter).await.body["editions"].as_array().unwrap().len();
    assert_eq!(editions, usize::from(status == 200));
}

#[actix_web::test]
async fn a_plan_is_the_same_for_the_same_seed_and_wishes() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let mut plans = Vec::new();
    for seed in [5, 6, 5] {
        let etag = director.gets(&winter).await.etag.unwrap();
        let solved =
            director.writes(Method::POST, &format!("{winter}/solve"), &etag, json!({"seed": seed})).await;
        assert_eq!(solved.body["breaches"], json!([]));
        plans.push(solved.body["stitches"].clone());
    }
    assert_eq!(plans[0], plans[2]);
    assert_ne!(plans[0], plans[1]);
}

#[actix_web::test]
async fn shares_move_the_minutes() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await;
    let passing = |view: &Value| {
        let minutes: Vec<f64> =
            view["minutes_by_strand"].as_array().unwrap().iter().map(|m| m.as_f64().unwrap()).collect();
        minutes[3] / minutes.iter().sum::<f64>()
    };
    let mut wishes = before.body["wishes"].clone();
    wishes["shares"] = json!({"ball_mastery": 0.2, "dribbling": 0.2, "receiving": 0.25, "passing": 0.35});
    let changed = director.writes(Method::PUT, &winter, &before.etag.clone().unwrap(), wishes).await;
    assert_eq!(changed.status, 200, "{changed:?}");
    let etag = changed.etag.unwrap();
    let solve = async |etag: &str| {
        director.writes(Method::POST, &format!("{winter}/solve"), etag, json!({"seed": 1})).await
    };
    let solved = solve(&etag).await;
    // A plan has to weigh the wish against all others; where the strands count three times, it comes much nearer.
    let mut wishes = solved.body["wishes"].clone();
    wishes["approach"]["weights"] = json!({"S2": 3});
    let etag =
        director.writes(Method::PUT, &winter, &solved.etag.clone().unwrap(), wishes).await.etag.unwrap();
    let weighed = solve(&etag).await;
    for less in [&before, &solved] {
        let (less, more) = (passing(&less.body), passing(&weighed.body));
        assert!(more > less + 0.02, "{less} {more}");
    }
    let mut wishes = weighed.body["wishes"].clone();
    wishes["approach"]["weights"] = json!({"S2": 4});
    let refused = director.writes(Method::PUT, &winter, &weighed.etag.unwrap(), wishes).await;
    assert_eq!(
        (refused.status.as_u16(), &refused.body["errors"][0]["pointer"]),
        (422, &json!("/approach/weights/S2"))
    );
}

// A device whose clock runs years ahead still loses nothing, and cannot keep later sayings from counting for ever:
// what it says counts as said when it arrives.
#[actix_web::test]
async fn a_clock_that_runs_ahead_loses_nothing() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let edition = coach.gets(&format!("{team}/sessions")).await.body["sessions"][0]["edition"].clone();
    let saying = |n: u32, outcome: &str, said_at: &str| {
        json!({"outcomes": [{"id": format!("00000000-0000-4000-8000-{n:012}"), "edition": edition, "session": 11,
                            "block": 0, "outcome": outcome, "said_at": said_at}]})
    };
    for (n, outcome, said_at) in
        [(1, "skipped", "2099-01-01T00:00:00Z"), (2, "short", "2099-01-01T00:00:01Z")]
    {
        assert_eq!(coach.posts(&format!("{team}/log"), saying(n, outcome, said_at)).await.status, 204);
    }
    let page = coach.gets(&format!("{team}/sessions/{}/11", edition.as_str().unwrap())).await.body;
    assert_eq!(page["log"]["outcomes"][0]["outcome"], "short");
}

#[actix_web::test]
async fn too_much_at_once_is_sent_back_whole() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let edition = coach.gets(&format!("{team}/sessions")).await.body["sessions"][0]["edition"].clone();
    let entries: Vec<Value> = (0..501)
        .map(|n| {
            json!({"id": format!("00000000-0000-4000-8000-{n:012}"), "edition": edition, "session": 11, "block": 0,
                   "outcome": "done", "said_at": "2031-02-10T18:00:00Z"})
        })
        .collect();
    let answered = coach.posts(&format!("{team}/log"), json!({"outcomes": entries})).await;
    assert_eq!((answered.status.as_u16(), answered.pointers()), (422, vec![""]));
}

// Half of a week's minutes are to be for its theme: the wish is said back, and the plan follows it.
#[actix_web::test]
async fn a_week_is_about_what_the_director_says() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await;
    let week =
        |view: &Value| view["themes"].as_array().unwrap().iter().find(|w| w["week"] == 4).unwrap().clone();
    assert_eq!(week(&before.body)["wished"], false);
    let mut wishes = before.body["wishes"].clone();
    wishes["themes"] = json!({"4": {"strand": "passing"}});
    let changed = director.writes(Method::PUT, &winter, &before.etag.unwrap(), wishes.clone()).await;
    let etag = changed.etag.unwrap();
    let solved = director.writes(Method::POST, &format!("{winter}/solve"), &etag, json!({"seed": 1})).await;
    let (was, now) = (week(&changed.body), week(&solved.body));
    assert_eq!((&now["wished"], &now["theme"]), (&json!(true), &json!({"strand": "passing"})));
    assert!(now["share"].as_f64() > was["share"].as_f64(), "{was} {now}");
    for (themes, at) in [
        (json!({"7": {"strand": "passing"}}), "/themes/7"),
        (json!({"4": {"skills": []}}), "/themes/4/skills"),
        (json!({"4": {"strand": "golf"}}), "/themes/4/strand"),
    ] {
        wishes["themes"] = themes;
        let refused =
            director.writes(Method::PUT, &winter, solved.etag.as_ref().unwrap(), wishes.clone()).await;
        assert_eq!(
            (refused.status.as_u16(), &refused.body["errors"][0]["pointer"]),
            (422, &json!(at)),
            "{refused:?}"
        );
    }
}
