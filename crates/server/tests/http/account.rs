//! One's own account, what a director does with people, and what is noted of it.

use actix_web::http::Method;
use actix_web::test::TestRequest;
use jiff::ToSpan;
use rstest::rstest;
use serde_json::{Value, json};
use totp_rs::{Algorithm, Secret, TOTP};

use super::{Academy, COACH, DIRECTOR, LEAD, NEW_COACH, academy, own_page};
use jogo::demo::PASSWORD;

const NEXT: &str = "a longer way round";

fn signing_in(login: &str, password: &str, code: Option<&str>) -> TestRequest {
    own_page(Method::POST, "/session").set_json(json!({"login": login, "password": password, "code": code}))
}

fn person(people: &Value, login: &str) -> String {
    let found = people.as_array().unwrap().iter().find(|person| person["login"] == login).unwrap();
    found["id"].as_str().unwrap().to_owned()
}

#[actix_web::test]
async fn a_new_password_ends_every_other_sign_in_and_is_the_one_that_works() {
    let academy = academy().await;
    let (phone, desk) = (academy.signed_in(COACH).await, academy.signed_in(COACH).await);
    let put = |now: &str, next: &str| {
        own_page(Method::PUT, "/session/password").set_json(json!({"now": now, "password": next}))
    };
    assert_eq!(phone.sends(put("another-floor", NEXT)).await.pointers(), ["/now"]);
    for weak in ["short", "password1", "my-keya-phrase"] {
        assert_eq!(phone.sends(put(PASSWORD, weak)).await.pointers(), ["/password"], "{weak}");
    }
    assert_eq!(phone.sends(put(PASSWORD, NEXT)).await.status, 204);
    assert_eq!(phone.gets("/session").await.status, 200);
    assert_eq!(desk.gets("/session").await.problem(), "/problems/signed-out");
    assert_eq!(academy.send(signing_in(COACH, PASSWORD, None)).await.problem(), "/problems/wrong-password");
    assert_eq!(academy.send(signing_in(COACH, NEXT, None)).await.status, 200);
}

#[actix_web::test]
async fn wrong_passwords_of_ones_own_are_slowed_down_too() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let wrong = || json!({"password": "another-floor"});
    for _ in 0..8 {
        assert_eq!(coach.posts("/session/second-factor", wrong()).await.pointers(), ["/password"]);
    }
    assert_eq!(coach.posts("/session/second-factor", wrong()).await.problem(), "/problems/slow-down");
    assert_eq!(academy.send(signing_in(COACH, PASSWORD, None)).await.status, 200, "signing in is apart");
}

#[actix_web::test]
async fn where_one_is_signed_in_is_listed_and_ended() {
    let academy = academy().await;
    let agent = |name: &str| signing_in(COACH, PASSWORD, None).insert_header(("user-agent", name.to_owned()));
    let phone = academy.send(agent("Some Browser 1 (Mobile)")).await.cookie.unwrap();
    let desk = academy.signed_in(COACH).await;
    academy.signed_in(LEAD).await;
    let listed = desk.gets("/session/sign-ins").await.body;
    let all: Vec<_> = listed
        .as_array()
        .unwrap()
        .iter()
        .map(|each| (each["device"].as_str().unwrap(), &each["own"]))
        .collect();
    assert!(all.contains(&("phone", &json!(false))) && all.contains(&("other", &json!(true))), "{listed}");
    assert_eq!(all.len(), 2, "nobody sees another person's");
    let of_phone = listed.as_array().unwrap().iter().find(|each| each["device"] == "phone").unwrap();
    let path = format!("/session/sign-ins/{}", of_phone["id"].as_str().unwrap());
    let lead = academy.signed_in(LEAD).await;
    assert_eq!(lead.sends(own_page(Method::DELETE, &path)).await.status, 404, "nor ends it");
    assert_eq!(desk.sends(own_page(Method::DELETE, &path)).await.status, 204);
    assert_eq!(academy.send(own_page(Method::GET, "/session").cookie(phone)).await.status, 401);
    let third = academy.signed_in(COACH).await;
    assert_eq!(desk.sends(own_page(Method::DELETE, "/session/sign-ins")).await.status, 204);
    assert_eq!(
        (third.gets("/session").await.status, desk.gets("/session").await.status),
        (401.try_into().unwrap(), 200.try_into().unwrap())
    );
}

#[actix_web::test]
async fn sign_ins_last_as_long_as_the_academy_says() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let read = director.gets("/academy").await;
    let mut settings = read.body["academy"].clone();
    settings["sign_ins"] = json!({"idle_days": 20, "whole_days": 10, "directors_need_code": false});
    let etag = read.etag.unwrap();
    let refused = director.writes(Method::PUT, "/academy", &etag, settings.clone()).await;
    assert_eq!(refused.pointers(), ["/sign_ins/idle_days"], "nobody stays longer than the whole limit");
    settings["sign_ins"]["idle_days"] = json!(5);
    assert_eq!(director.writes(Method::PUT, "/academy", &etag, settings).await.status, 200);
    let session = academy.send(signing_in(COACH, PASSWORD, None)).await;
    let kept_for = session.cookie.unwrap().max_age().unwrap();
    assert_eq!(kept_for.whole_days(), 10, "the browser keeps it for the whole limit");
    let coach = session.body["id"].as_str().unwrap().parse().unwrap();
    let there = async |days: i64| {
        let later = academy.state.clock.now() + (24 * days).hours();
        academy.state.store.sign_ins(coach, &[], later).await.unwrap().len()
    };
    assert_eq!((there(4).await, there(5).await), (1, 0), "and the server for as long as nobody is there");
}

/// The code that an app shows now, or so many steps of half a minute later.
fn code(secret: &str, later: u64) -> String {
    let secret = Secret::Encoded(secret.to_owned()).to_bytes().unwrap();
    let codes = TOTP::new_unchecked(Algorithm::SHA1, 6, 0, 30, secret);
    let now = std::time::SystemTime::now().duration_since(std::time::UNIX_EPOCH).unwrap().as_secs();
    codes.generate(now + 30 * later)
}

#[actix_web::test]
async fn with_a_second_factor_the_password_alone_does_not_let_anybody_in() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let begun = coach.posts("/session/second-factor", json!({"password": PASSWORD})).await.body;
    let secret = begun["secret"].as_str().unwrap();
    assert!(begun["code"].as_str().unwrap().contains("<svg"));
    let on = |code: &str| own_page(Method::PUT, "/session/second-factor").set_json(json!({"code": code}));
    assert_eq!(academy.send(signing_in(COACH, PASSWORD, None)).await.status, 200, "it is not on yet");
    assert_eq!(coach.sends(on("000000x")).await.pointers(), ["/code"]);
    let codes = coach.sends(on(&code(secret, 0))).await.body;
    let recovery: Vec<&str> =
        codes["codes"].as_array().unwrap().iter().map(|c| c.as_str().unwrap()).collect();
    assert_eq!(recovery.len(), 8);
    let tried = async |code: Option<&str>| academy.send(signing_in(COACH, PASSWORD, code)).await;
    assert_eq!(tried(None).await.problem(), "/problems/code-needed");
    assert_eq!(tried(Some(&code(secret, 0))).await.problem(), "/problems/wrong-code", "it was used");
    let next = code(secret, 1);
    assert_eq!(tried(Some(&next)).await.status, 200);
    assert_eq!(tried(Some(&next)).await.problem(), "/problems/wrong-code");
    let typed = recovery[0].to_uppercase().replace('-', " ");
    assert_eq!(tried(Some(&typed)).await.status, 200);
    assert_eq!(tried(Some(&typed)).await.problem(), "/problems/wrong-code");
    let wrong = academy.send(signing_in(COACH, "another-floor", Some(recovery[1]))).await;
    assert_eq!(wrong.problem(), "/problems/wrong-password", "a wrong password does not tell of the code");
    // Three codes and one password were wrong; that a code was asked for is nothing to note.
    assert_eq!(lines(&academy, "&what=sign_in_failed").await.len(), 4);
    assert_eq!(coach.posts("/session/second-factor/off", json!({"password": PASSWORD})).await.status, 204);
    assert_eq!(tried(None).await.status, 200);
}

#[actix_web::test]
async fn a_director_who_lacks_the_second_factor_that_is_asked_for_can_only_set_it_up() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let read = director.gets("/academy").await;
    let mut settings = read.body["academy"].clone();
    settings["sign_ins"]["directors_need_code"] = json!(true);
    let written = director.writes(Method::PUT, "/academy", &read.etag.unwrap(), settings).await;
    assert_eq!(written.status, 200);
    assert_eq!(director.gets("/curricula").await.problem(), "/problems/second-factor-first");
    assert_eq!(director.gets("/session").await.body["second_factor_first"], json!(true));
    assert_eq!(
        academy.signed_in(COACH).await.gets("/session").await.body["second_factor_first"],
        json!(false)
    );
    let begun = director.posts("/session/second-factor", json!({"password": PASSWORD})).await.body;
    let first = code(begun["secret"].as_str().unwrap(), 0);
    let on = own_page(Method::PUT, "/session/second-factor").set_json(json!({"code": first}));
    assert_eq!(director.sends(on).await.status, 200);
    assert_eq!(director.gets("/curricula").await.status, 200);
}

#[actix_web::test]
async fn a_director_gives_somebody_a_new_way_in() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let id = person(&director.gets("/people").await.body, COACH);
    let link = director.posts(&format!("/people/{id}/password-link"), json!(null)).await.body;
    let path = link["path"].as_str().unwrap();
    let shown = academy.send(own_page(Method::GET, path)).await.body;
    assert_eq!(shown["login"], json!(COACH));
    let used = |password: &str| own_page(Method::POST, path).set_json(json!({"password": password}));
    assert_eq!(academy.send(used("password1")).await.pointers(), ["/password"]);
    assert_eq!(academy.send(used(NEXT)).await.status, 204);
    assert_eq!(academy.send(used(NEXT)).await.status, 404, "it works once");
    assert_eq!(coach.gets("/session").await.status, 401);
    assert_eq!(academy.send(signing_in(COACH, NEXT, None)).await.status, 200);
}

#[actix_web::test]
async fn whoever_is_shut_out_is_out_at_once_and_their_gates_and_calendar_with_them() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let people = director.gets("/people").await.body;
    let (id, own) = (person(&people, COACH), person(&people, DIRECTOR));
    let calendar = coach.posts("/session/calendar", json!(null)).await.body;
    let team = coach.team().await;
    let gates = coach.posts(&format!("{team}/gates"), json!(null)).await.body;
    let gates = format!("/gates/{}", gates["code"].as_str().unwrap());
    let feed = || TestRequest::with_uri(calendar["path"].as_str().unwrap());
    let joins = || own_page(Method::GET, &gates);
    assert_eq!(academy.send(feed()).await.status, 200);
    assert_ne!(academy.send(joins()).await.status, 404);
    assert_eq!(director.posts(&format!("/people/{own}/shut-out"), json!(null)).await.status, 422);
    assert_eq!(director.posts(&format!("/people/{id}/shut-out"), json!(null)).await.status, 204);
    assert_eq!(coach.gets("/session").await.status, 401);
    assert_eq!(academy.send(feed()).await.status, 404);
    assert_eq!(academy.send(joins()).await.status, 404);
    assert_eq!(academy.send(signing_in(COACH, PASSWORD, None)).await.problem(), "/problems/wrong-password");
    let out = director.gets("/people/shut-out").await.body;
    assert_eq!(out[0]["id"], json!(id));
    assert_eq!(director.posts(&format!("/people/{id}/let-in"), json!(null)).await.status, 204);
    let back = academy.send(signing_in(COACH, PASSWORD, None)).await.body;
    assert_eq!(back["teams"], json!([]), "teams are given anew");
}

#[actix_web::test]
async fn a_coach_gives_up_a_team_and_a_lead_a_club() {
    let academy = academy().await;
    let (coach, lead) = (academy.signed_in(NEW_COACH).await, academy.signed_in(LEAD).await);
    let team = coach.team().await;
    assert_eq!(coach.sends(own_page(Method::DELETE, &format!("/session{team}"))).await.status, 204);
    assert_eq!(coach.gets("/session").await.body["teams"], json!([]));
    assert_eq!(coach.gets(&format!("{team}/squad")).await.status, 404);
    let led = lead.gets("/session").await.body["leads"][0]["id"].as_str().unwrap().to_owned();
    assert_eq!(lead.sends(own_page(Method::DELETE, &format!("/session/clubs/{led}"))).await.status, 204);
    assert_eq!(lead.gets("/session").await.body["role"], json!("coach"));
    assert_eq!(lead.gets("/clubs").await.status, 403);
}

/// What the log says, the latest first.
async fn lines<S, B>(academy: &Academy<S>, filter: &str) -> Vec<(String, String)>
where
    S: actix_web::dev::Service<
            actix_http::Request,
            Response = actix_web::dev::ServiceResponse<B>,
            Error = actix_web::Error,
        >,
    B: actix_web::body::MessageBody,
{
    let read = academy.signed_in(DIRECTOR).await.gets(&format!("/audit?limit=200{filter}")).await.body;
    let text = |line: &Value, key: &str| line[key].as_str().unwrap_or_default().to_owned();
    read["items"].as_array().unwrap().iter().map(|line| (text(line, "what"), text(line, "by"))).collect()
}

#[actix_web::test]
async fn what_was_done_is_read_by_directors_and_names_no_child() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    academy.send(signing_in(COACH, "another-floor", None)).await;
    academy.send(signing_in("nobody", "another-floor", None)).await;
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let first = &squad["players"][0];
    let player = format!("{team}/players/{}", first["id"].as_str().unwrap());
    coach.gets(&format!("{player}/export")).await;
    coach.gets(&format!("{team}/roster?form=csv")).await;
    coach.gets(&format!("{team}/results?form=csv")).await;
    let about = json!({"name": "Quillen", "birth_month": "2022-04", "strong_foot": "left"});
    assert_eq!(coach.sends(own_page(Method::PUT, &player).set_json(about)).await.status, 204);
    assert_eq!(coach.sends(own_page(Method::DELETE, &player)).await.status, 200);
    let all = lines(&academy, "").await;
    let deeds: Vec<&str> = all.iter().map(|(what, _)| what.as_str()).collect();
    assert_eq!(
        deeds[1..8],
        [
            "player_erased",
            "player_corrected",
            "results_exported",
            "squad_exported",
            "player_exported",
            "sign_in_failed",
            "signed_in"
        ]
    );
    let director = academy.signed_in(DIRECTOR).await;
    let list = director.gets("/audit/export").await;
    assert!(list.kind.starts_with("text/csv"), "{}", list.kind);
    let whole = director.gets("/audit?limit=200").await.body.to_string();
    assert!(!whole.contains("Quillen") && !whole.contains(first["name"].as_str().unwrap()), "{whole}");
    let failed = lines(&academy, "&what=sign_in_failed").await;
    assert_eq!(failed.len(), 1, "nobody is noted whom nobody knows");
    let page = director.gets("/audit?limit=2").await.body;
    let next = director.gets(&format!("/audit?limit=2&after={}", page["next"].as_str().unwrap())).await.body;
    assert_ne!(page["items"], next["items"]);
}

#[rstest]
#[case::no_deed("/audit?what=flying", 400)]
#[case::no_number("/audit?after=x", 422)]
#[actix_web::test]
async fn a_log_that_is_asked_wrongly_says_so(#[case] path: &str, #[case] status: u16) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    assert_eq!(director.gets(path).await.status.as_u16(), status);
}
