//! How Jogo is reached, and what it answers to whoever watches over it.

use actix_web::App;
use actix_web::http::{Method, header};
use actix_web::test::{TestRequest, call_service, init_service, read_body};
use actix_web::web::{self, Data};
use rstest::rstest;
use serde_json::json;

use super::{COACH, academy, academy_reached, own_page};
use jogo::demo::PASSWORD;
use jogo::{Reached, State};

fn https() -> Reached {
    Reached { public: Some("https://jogo.example".parse().unwrap()), behind_proxy: true }
}

#[actix_web::test]
async fn over_tls_cookies_are_bound_to_it_and_browsers_are_told_to_stay_with_it() {
    let academy = academy_reached(https()).await;
    let asked = |origin: &str| {
        TestRequest::with_uri("/api/v1/session")
            .method(Method::POST)
            .insert_header((header::HOST, "127.0.0.1:7300"))
            .insert_header((header::ORIGIN, origin.to_owned()))
            .set_json(json!({"login": COACH, "password": PASSWORD}))
    };
    // A proxy that rewrites the host does not keep anybody from writing.
    let answered = academy.send(asked("https://jogo.example")).await;
    assert_eq!(answered.status, 200);
    for cookie in [answered.cookie.unwrap(), answered.device.unwrap()] {
        assert!(cookie.name().starts_with("__Host-jogo") && cookie.secure().unwrap(), "{cookie}");
    }
    for elsewhere in ["http://jogo.example", "https://127.0.0.1:7300", "https://evil.example", "null"] {
        assert_eq!(academy.send(asked(elsewhere)).await.problem(), "/problems/foreign-origin", "{elsewhere}");
    }
}

#[actix_web::test]
async fn own_addresses_are_those_of_the_public_one_whatever_a_request_says() {
    let academy = academy_reached(https()).await;
    let signed_in = TestRequest::with_uri("/api/v1/session")
        .method(Method::POST)
        .insert_header((header::ORIGIN, "https://jogo.example"))
        .set_json(json!({"login": COACH, "password": PASSWORD}));
    let cookie = academy.send(signed_in).await.cookie.unwrap();
    let session = TestRequest::with_uri("/api/v1/session").cookie(cookie.clone());
    let team = academy.send(session).await.body["teams"][0]["id"].as_str().unwrap().to_owned();
    let gates = TestRequest::with_uri(&format!("/api/v1/teams/{team}/gates"))
        .method(Method::POST)
        .insert_header((header::ORIGIN, "https://jogo.example"))
        .insert_header((header::HOST, "evil.example"))
        .insert_header(("x-forwarded-host", "evil.example"))
        .cookie(cookie);
    let address = academy.send(gates).await.body["address"].as_str().unwrap().to_owned();
    assert!(address.starts_with("wss://jogo.example/api/v1/gates/"), "{address}");
}

#[actix_web::test]
async fn many_wrong_passwords_close_the_address_that_they_come_from_and_no_other() {
    let academy = academy_reached(https()).await;
    let tried = |n: u32, from: &str| {
        TestRequest::with_uri("/api/v1/session")
            .method(Method::POST)
            .insert_header((header::ORIGIN, "https://jogo.example"))
            .insert_header(("x-forwarded-for", format!("203.0.113.{}, {from}", n % 200)))
            .set_json(json!({"login": format!("nobody-{n}"), "password": "another-floor"}))
    };
    for n in 0..200 {
        assert_eq!(academy.send(tried(n, "198.51.100.7")).await.problem(), "/problems/wrong-password", "{n}");
    }
    assert_eq!(academy.send(tried(200, "198.51.100.7")).await.problem(), "/problems/slow-down");
    assert_eq!(academy.send(tried(201, "198.51.100.8")).await.problem(), "/problems/wrong-password");
}

#[rstest]
#[case::alive("/healthz", 200)]
#[case::ready("/readyz", 200)]
#[case::measures_have_an_address_of_their_own("/metrics", 404)]
#[case::a_page("/today", 200)]
#[case::a_page_of_a_thing("/drills/weave-six", 200)]
#[case::the_page_that_is_kept_for_no_network("/index.html", 200)]
#[case::a_page_of_an_earlier_version("/tonight", 200)]
#[case::no_page("/wp-login.php", 404)]
#[case::no_file("/assets/nothing.js", 404)]
#[case::nothing_of_the_interface("/api/v1/nothing", 404)]
#[case::nothing_of_another_version("/api/v2/session", 404)]
#[actix_web::test]
async fn addresses_say_what_they_are(#[case] path: &str, #[case] status: u16) {
    let academy = academy().await;
    let answered = academy.send(TestRequest::with_uri(path)).await;
    assert_eq!(answered.status.as_u16(), status, "{answered:?}");
    let of_program = path.starts_with("/api") || path.starts_with("/assets");
    assert_eq!(answered.kind == "application/problem+json", of_program, "{answered:?}");
}

#[rstest]
#[case::asked_otherwise("PATCH", "/api/v1/session", 405, "DELETE, GET, HEAD, POST, OPTIONS")]
#[case::what_can_be_asked("OPTIONS", "/api/v1/drills", 204, "GET, HEAD, POST, OPTIONS")]
#[case::a_thing("OPTIONS", "/api/v1/drills/weave-six", 204, "GET, HEAD, PUT, OPTIONS")]
#[case::a_page("POST", "/today", 405, "GET, HEAD, OPTIONS")]
#[actix_web::test]
async fn an_address_says_how_it_can_be_asked(
    #[case] method: &str,
    #[case] path: &str,
    #[case] status: u16,
    #[case] allow: &str,
) {
    let academy = academy().await;
    let request = TestRequest::with_uri(path)
        .method(method.parse().unwrap())
        .insert_header((header::HOST, "jogo.test"))
        .insert_header((header::ORIGIN, "http://jogo.test"));
    let answered = academy.heard(request).await;
    assert_eq!(answered.status().as_u16(), status);
    assert_eq!(answered.headers().get(header::ALLOW).unwrap(), allow);
}

#[actix_web::test]
async fn the_head_of_an_answer_is_that_of_the_whole_and_every_answer_has_a_number() {
    let academy = academy().await;
    let asked = |method: Method| TestRequest::with_uri("/api/v1/samples").method(method);
    let (whole, head) = (academy.heard(asked(Method::GET)).await, academy.heard(asked(Method::HEAD)).await);
    assert_eq!([whole.status().as_u16(), head.status().as_u16()], [200, 200]);
    let number = |of: &actix_web::dev::ServiceResponse<_>| of.headers().get("x-request-id").cloned().unwrap();
    assert_ne!(number(&whole), number(&head));
}

/// What is said to a program that watches.
async fn measured(state: &Data<State>) -> String {
    let metrics = App::new().app_data(state.clone()).route("/metrics", web::get().to(jogo::measures));
    let service = init_service(metrics).await;
    let response = call_service(&service, TestRequest::with_uri("/metrics").to_request()).await;
    String::from_utf8(read_body(response).await.to_vec()).unwrap()
}

/// A page that is opened again is put together once, until something is written; nobody is given another's.
#[actix_web::test]
async fn a_page_stands_until_something_is_written_and_for_nobody_else() {
    let academy = academy().await;
    let (coach, other) = (academy.signed_in(COACH).await, academy.signed_in("director").await);
    let squad = format!("{}/squad", coach.team().await);
    let given = async || {
        let text = measured(&academy.state).await;
        let line = text.lines().find_map(|line| line.strip_prefix("jogo_kept_answers_total "));
        line.unwrap().parse::<u32>().unwrap()
    };
    let first = coach.gets(&squad).await.body;
    assert_eq!((&coach.gets(&squad).await.body, given().await), (&first, 1));
    let packed = own_page(Method::GET, &squad).insert_header((header::ACCEPT_ENCODING, "gzip"));
    let packed = academy.heard(packed.cookie(coach.cookie.clone())).await;
    assert_eq!(packed.headers().get(header::CONTENT_ENCODING).unwrap(), "gzip");
    assert_eq!(coach.gets(&squad).await.body, first, "it is not given packed to whoever cannot unpack it");
    let before = given().await;
    other.gets(&squad).await;
    assert_eq!(given().await, before, "the director's is another one");
    assert_eq!(academy.send(own_page(Method::GET, &squad)).await.status, 401);
    let newcomer = json!({"players": [{"id": "00000000-0000-4000-8000-000000000009", "name": "Una Brae",
        "birth_month": "2023-04", "strong_foot": "left"}]});
    assert_eq!(coach.posts(&format!("{}/players", coach.team().await), newcomer).await.status, 204);
    assert!(coach.gets(&squad).await.body.to_string().contains("Una Brae"));
}

#[actix_web::test]
async fn measures_name_routes_and_never_addresses() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    coach.gets(&format!("{team}/squad")).await;
    academy
        .send(own_page(Method::POST, "/session").set_json(json!({"login": COACH, "password": "wrong"})))
        .await;
    let text = measured(&academy.state).await;
    let squad = r#"jogo_requests_total{method="GET",route="/api/v1/teams/{team}/squad",status="200"} 1"#;
    for line in [
        squad,
        r#"jogo_sign_ins_total{ended="right"} 1"#,
        r#"jogo_sign_ins_total{ended="wrong"} 1"#,
        "jogo_writable 1",
    ] {
        assert!(text.contains(line), "{line} is not in\n{text}");
    }
    assert!(!text.contains(&team[7..]), "an id is in it");
}
