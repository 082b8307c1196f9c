//! An academy from nothing: the first director, the library that comes with Jogo, and what is still to do.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{DIRECTOR, Visitor, academy, id, nothing_yet, own_page};

fn una() -> Value {
    json!({"academy": "Skerrow Islands", "time_zone": "Europe/Lisbon", "name": "Una Torrwick", "login": "Una",
        "password": "ebb and flood"})
}

/// What is still to do, by name.
fn left(read: &Value) -> Vec<&str> {
    let steps = read["steps"].as_array().unwrap().iter();
    steps.filter(|step| step["done"] == false).map(|step| step["step"].as_str().unwrap()).collect()
}

#[actix_web::test]
async fn whoever_has_the_secret_begins_once() {
    let (academy, secret) = nothing_yet().await;
    let at = format!("/beginning/{secret}");
    assert_eq!(academy.send(own_page(Method::GET, "/beginning/guess")).await.status, 404);
    assert_eq!(academy.send(own_page(Method::POST, "/beginning/guess").set_json(una())).await.status, 404);
    assert_eq!(academy.send(own_page(Method::GET, &at)).await.status, 204);

    let begun = academy.send(own_page(Method::POST, &at).set_json(una())).await;
    assert_eq!(
        (begun.status.as_u16(), &begun.body["role"], &begun.body["academy"]),
        (200, &json!("director"), &json!("Skerrow Islands"))
    );
    assert_eq!(academy.send(own_page(Method::GET, &at)).await.status, 404, "it works once");
    // Whoever typed a capital signs in as they typed it, and with small letters.
    for login in ["Una", "una"] {
        let body = json!({"login": login, "password": "ebb and flood"});
        assert_eq!(academy.send(own_page(Method::POST, "/session").set_json(body)).await.status, 200);
    }
}

#[rstest]
#[case::no_name("academy", json!("  "), "/academy")]
#[case::no_such_zone("time_zone", json!("Skerrow/Harbour"), "/time_zone")]
#[case::no_director("name", json!(""), "/name")]
#[case::a_sign_in_name_with_spaces("login", json!("una torrwick"), "/login")]
#[case::a_short_password("password", json!("ebb"), "/password")]
#[actix_web::test]
async fn what_is_missing_is_said_and_the_secret_still_works(
    #[case] field: &str,
    #[case] said: Value,
    #[case] pointer: &str,
) {
    let (academy, secret) = nothing_yet().await;
    let at = format!("/beginning/{secret}");
    let mut wrong = una();
    wrong[field] = said;
    let refused = academy.send(own_page(Method::POST, &at).set_json(wrong)).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec![pointer]));
    assert_eq!(academy.send(own_page(Method::POST, &at).set_json(una())).await.status, 200);
}

#[actix_web::test]
async fn an_academy_from_nothing_comes_to_its_first_plan() {
    let (academy, secret) = nothing_yet().await;
    let begun = academy.send(own_page(Method::POST, &format!("/beginning/{secret}")).set_json(una())).await;
    let una = Visitor { academy: &academy, cookie: begun.cookie.unwrap() };
    let steps = async || una.gets("/beginning").await.body;
    assert_eq!(left(&steps().await), ["bands", "library", "teams", "coaches", "curriculum", "edition"]);
    assert_eq!(una.gets("/standards").await.body, json!([]));

    // Templates name skills, tests and bands: these come with them; standards can be left out.
    let taken = una.posts("/starter", json!({"parts": ["templates"]})).await.body;
    let missing = |part: &str| {
        let all: &Vec<Value> = taken.as_array().unwrap();
        all.iter().find(|each| each["part"] == part).unwrap()["missing"].as_u64().unwrap()
    };
    assert_eq!(["bands", "library", "templates"].map(missing), [0, 0, 0]);
    assert!(missing("standards") > 50);
    assert_eq!(left(&steps().await), ["teams", "coaches", "curriculum", "edition"]);
    assert_eq!(una.gets("/questions").await.body, json!([]), "the library answers every question");

    let club = una.posts("/clubs", json!({"id": id(1), "name": "Harbour Lane"})).await;
    assert_eq!(club.status, 204, "{club:?}");
    let team = json!({"id": id(2), "name": "Harbour Lane Blue", "band": "u8-u9", "coaches": []});
    assert_eq!(una.posts(&format!("/clubs/{}/teams", id(1)), team).await.status, 204);
    let keya = json!({"id": id(3), "name": "Keya Gairlow", "role": "coach", "teams": [id(2)]});
    assert_eq!(una.posts("/invitations", keya).await.status, 200);
    assert_eq!(left(&steps().await), ["curriculum", "edition"]);
    let made = una.posts("/curricula", super::planning::new_curriculum("u8-u9")).await;
    assert_eq!((made.status.as_u16(), &made.body["breaches"]), (200, &json!([])), "{made:?}");
    let curriculum = format!("/curricula/{}", made.body["id"].as_str().unwrap());
    let (editions, first) = (format!("{curriculum}/editions"), json!({"id": id(4), "note": ""}));
    let out = una.writes(Method::POST, &editions, made.etag.as_deref().unwrap(), first).await;
    assert_eq!(out.status, 200, "{out:?}");
    assert_eq!(left(&steps().await), Vec::<&str>::new());
}

#[actix_web::test]
async fn what_comes_with_jogo_replaces_nothing() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let read = director.gets("/drills/weave-six").await;
    let mut drill = read.body["drill"].clone();
    drill["title"] = "Weave, our own way".into();
    let saved = director.writes(Method::PUT, "/drills/weave-six", &read.etag.unwrap(), drill).await;
    assert_eq!(saved.status, 200);
    let parts = json!({"parts": ["bands", "library", "standards", "templates"]});
    let taken = director.posts("/starter", parts).await.body;
    assert!(taken.as_array().unwrap().iter().all(|part| part["missing"] == 0), "{taken}");
    let kept = director.gets("/drills/weave-six").await.body;
    assert_eq!((&kept["drill"]["title"], &kept["version"]), (&json!("Weave, our own way"), &json!(2)));
}

#[actix_web::test]
async fn an_academy_is_named_again_and_keeps_its_settings() {
    let (academy, secret) = nothing_yet().await;
    let begun = academy.send(own_page(Method::POST, &format!("/beginning/{secret}")).set_json(una())).await;
    let una = Visitor { academy: &academy, cookie: begun.cookie.unwrap() };
    let read = una.gets("/academy").await;
    let mut settings = read.body["academy"].clone();
    settings["cut_off"] = "08-01".into();
    let saved = una.writes(Method::PUT, "/academy", &read.etag.unwrap(), settings).await;
    assert_eq!((saved.status.as_u16(), &saved.body["academy"]["cut_off"]), (200, &json!("08-01")));
    let names = async |body: Value| una.writes(Method::PUT, "/academy/name", "", body).await;
    assert_eq!(names(json!({"name": "Skerrow", "time_zone": "Mars"})).await.pointers(), ["/time_zone"]);
    let named = names(json!({"name": "Skerrow", "time_zone": "america/los_angeles"})).await;
    assert_eq!(
        (&named.body["name"], &named.body["time_zone"], &named.body["academy"]["cut_off"]),
        (&json!("Skerrow"), &json!("America/Los_Angeles"), &json!("08-01"))
    );
}
