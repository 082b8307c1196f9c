//! Who may do what: every route, for every role.

use actix_http::Request;
use actix_web::Error;
use actix_web::body::MessageBody;
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::Method;
use actix_web::http::header::IF_MATCH;
use actix_web::test::TestRequest;
use rstest::rstest;
use serde_json::{Value, json};
use uuid::Uuid;

use super::{COACH, DIRECTOR, LEAD, NEW_COACH, Visitor, academy, id, own_page};

/// Every route that asks who one is. `{id}`, `{team}` and `{edition}` are filled in with real ones.
const ROUTES: [(&str, &str, &[&str]); 91] = [
    ("GET", "/session", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/session/pace", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/session/language", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/drills", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/drills", &[DIRECTOR]),
    ("GET", "/drills/weave-six", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/drills/weave-six", &[DIRECTOR]),
    ("GET", "/drills/weave-six/versions/1", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/drills/weave-six/archive", &[DIRECTOR]),
    ("GET", "/questions", &[DIRECTOR]),
    ("GET", "/skills", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/phrases/de", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/desk", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/scores", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/cues", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/map", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/map", &[DIRECTOR]),
    ("GET", "/map/way?skill=weave&stage=flow", &[DIRECTOR]),
    ("GET", "/map/compared?since=2031-02-09", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/bands", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/bands", &[DIRECTOR]),
    ("PUT", "/bands/u8-u9", &[DIRECTOR]),
    ("GET", "/bands/u8-u9/tempos", &[DIRECTOR]),
    ("GET", "/academy", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/academy", &[DIRECTOR]),
    ("PUT", "/academy/name", &[DIRECTOR]),
    ("GET", "/beginning", &[DIRECTOR]),
    ("GET", "/starter", &[DIRECTOR]),
    ("POST", "/starter", &[DIRECTOR]),
    ("POST", "/layouts", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/curricula", &[DIRECTOR, LEAD]),
    ("GET", "/curricula/{id}", &[DIRECTOR]),
    ("PUT", "/curricula/{id}", &[DIRECTOR]),
    ("POST", "/curricula", &[DIRECTOR]),
    ("GET", "/curricula/beginnings", &[DIRECTOR]),
    ("POST", "/curricula/{id}/solve", &[DIRECTOR]),
    ("PUT", "/curricula/{id}/season", &[DIRECTOR]),
    ("POST", "/curricula/{id}/edits", &[DIRECTOR]),
    ("POST", "/curricula/{id}/undo", &[DIRECTOR]),
    ("GET", "/curricula/{id}/why", &[DIRECTOR]),
    ("POST", "/curricula/{id}/compare", &[DIRECTOR]),
    ("GET", "/curricula/{published}/editions/1/compared", &[DIRECTOR]),
    ("GET", "/curricula/{id}/forecast", &[DIRECTOR]),
    ("POST", "/curricula/{id}/improve", &[DIRECTOR]),
    ("POST", "/curricula/{id}/offer", &[DIRECTOR]),
    ("GET", "/curricula/{id}/problem", &[DIRECTOR]),
    ("GET", "/curricula/{id}/plan", &[DIRECTOR]),
    ("GET", "/curricula/{id}/so-far", &[DIRECTOR]),
    ("GET", "/curricula/{id}/surfaces", &[DIRECTOR]),
    ("GET", "/curricula/{id}/delivered", &[DIRECTOR]),
    ("GET", "/curricula/{id}/benchmarks", &[DIRECTOR]),
    ("POST", "/curricula/{id}/benchmarks/mend", &[DIRECTOR]),
    ("GET", "/curricula/{id}/goals", &[DIRECTOR]),
    ("GET", "/curricula/{id}/sessions/0", &[DIRECTOR]),
    ("POST", "/curricula/{id}/editions", &[DIRECTOR]),
    ("GET", "/curricula/{id}/delivery", &[DIRECTOR, LEAD]),
    ("GET", "/levels?band=u8-u9", &[DIRECTOR, LEAD]),
    ("GET", "/levels/milestones?band=u8-u9", &[DIRECTOR, LEAD]),
    ("GET", "/teams/{team}/sessions", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/teams/{team}/sessions/{edition}/0", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/teams/{team}/sessions/{edition}/0/remedies?left=0", &[LEAD, COACH]),
    ("POST", "/teams/{team}/sessions/{edition}/0/upset", &[LEAD, COACH]),
    ("POST", "/teams/{team}/editions/{edition}/hinges/drag-turn", &[LEAD, COACH]),
    ("POST", "/teams/{team}/editions/{edition}/back", &[LEAD, COACH]),
    ("GET", "/teams/{team}/editions/{edition}/own", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/teams/{team}/editions/{edition}/own", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/teams/{team}/log", &[LEAD, COACH]),
    ("POST", "/teams/{team}/next-times", &[LEAD, COACH]),
    ("POST", "/teams/{team}/voices", &[LEAD, COACH]),
    ("GET", "/drills/weave-six/voices", &[DIRECTOR]),
    ("PUT", "/drills/weave-six/answer", &[DIRECTOR]),
    ("GET", "/clubs", &[DIRECTOR, LEAD]),
    ("POST", "/clubs", &[DIRECTOR]),
    ("POST", "/club-list/add", &[DIRECTOR]),
    ("PUT", "/clubs/{club}", &[DIRECTOR]),
    ("POST", "/clubs/{club}/teams", &[DIRECTOR]),
    ("PUT", "/teams/{team}", &[DIRECTOR]),
    ("GET", "/people", &[DIRECTOR]),
    ("GET", "/invitations", &[DIRECTOR]),
    ("POST", "/invitations", &[DIRECTOR]),
    ("GET", "/letters", &[DIRECTOR]),
    ("POST", "/letters", &[DIRECTOR]),
    ("PUT", "/session/email", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/session/calendar", &[LEAD, COACH]),
    ("DELETE", "/session/calendar", &[LEAD, COACH]),
    ("GET", "/teams/{team}/home", &[LEAD, COACH]),
    ("POST", "/teams/{team}/home/address", &[LEAD, COACH]),
    ("POST", "/teams/{team}/home/reports", &[LEAD, COACH]),
    ("GET", "/teams/{team}/squad", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/teams/{team}/players", &[LEAD, COACH]),
    ("POST", "/teams/{team}/trials", &[LEAD, COACH]),
];
/// These have bodies or names of their own, but the same rights as their neighbours.
const MORE: [(&str, &str, &[&str]); 25] = [
    ("POST", "/club-list", &[DIRECTOR]),
    ("GET", "/teams/{team}/board", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/teams/{team}/words", &[LEAD, COACH]),
    ("PUT", "/teams/{team}/pairs", &[LEAD, COACH]),
    ("GET", "/teams/{team}/players/{player}/export", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/teams/{team}/players/{player}", &[DIRECTOR, LEAD, COACH]),
    ("DELETE", "/teams/{team}/players/{player}", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/teams/{team}/results?form=csv", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/teams/{team}/results", &[LEAD, COACH]),
    ("POST", "/teams/{team}/gates", &[LEAD, COACH]),
    ("GET", "/teams/{team}/gates/{code}?test=weave-time", &[LEAD, COACH]),
    ("GET", "/standards", &[DIRECTOR]),
    ("GET", "/standards/weave-time", &[DIRECTOR]),
    ("PUT", "/standards/weave-time", &[DIRECTOR]),
    ("POST", "/standards/weave-time/weighed", &[DIRECTOR]),
    ("GET", "/tests/weave-time", &[DIRECTOR]),
    ("PUT", "/tests/quick-taps", &[DIRECTOR]),
    ("DELETE", "/tests/quick-taps", &[DIRECTOR]),
    ("GET", "/milestones", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/milestones/weave-flow-u8-u9", &[DIRECTOR]),
    ("DELETE", "/milestones/weave-flow-u8-u9", &[DIRECTOR]),
    ("DELETE", "/invitations/{invitation}", &[DIRECTOR]),
    ("POST", "/teams/{team}/roster", &[LEAD, COACH]),
    ("GET", "/teams/{team}/roster?form=xlsx", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/teams/{team}/tests/four-cuts", &[DIRECTOR, LEAD, COACH]),
];

/// What these change is there once at most, or only for somebody else: whoever may do it is told that it is not there.
const ONCE: [(&str, &str, &[&str]); 46] = [
    ("GET", "/seasons", &[DIRECTOR]),
    ("PUT", "/seasons/{season}", &[DIRECTOR]),
    ("DELETE", "/seasons/{season}", &[DIRECTOR]),
    ("GET", "/seasons/{season}/year", &[DIRECTOR]),
    ("POST", "/seasons/{season}/plans", &[DIRECTOR]),
    ("GET", "/teams/{team}/handover", &[DIRECTOR, COACH, LEAD]),
    ("GET", "/curricula/{id}/book", &[DIRECTOR]),
    ("GET", "/seasons/{season}/changes", &[DIRECTOR]),
    ("POST", "/seasons/{season}/changes/preview", &[DIRECTOR]),
    ("PUT", "/seasons/{season}/changes/{change}", &[DIRECTOR]),
    ("DELETE", "/seasons/{season}/changes/{change}", &[DIRECTOR]),
    ("GET", "/days-off", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/days-off/{days_off}", &[DIRECTOR]),
    ("DELETE", "/days-off/{days_off}", &[DIRECTOR]),
    ("PUT", "/outlines/{outline}", &[DIRECTOR]),
    ("DELETE", "/outlines/{outline}", &[DIRECTOR]),
    ("GET", "/clubs/{club}/times", &[DIRECTOR, LEAD]),
    ("PUT", "/clubs/{club}/places/{place}", &[DIRECTOR, LEAD]),
    ("DELETE", "/clubs/{club}/places/{place}", &[DIRECTOR, LEAD]),
    ("GET", "/teams/{team}/times", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/teams/{team}/times", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/session/password", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/session/sign-ins", &[DIRECTOR, LEAD, COACH]),
    ("DELETE", "/session/sign-ins/{person}", &[DIRECTOR, LEAD, COACH]),
    ("DELETE", "/session/sign-ins", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/session/second-factor", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/session/second-factor", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/session/second-factor", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/session/second-factor/off", &[DIRECTOR, LEAD, COACH]),
    ("GET", "/people/shut-out", &[DIRECTOR]),
    ("POST", "/people/{person}/password-link", &[DIRECTOR]),
    ("DELETE", "/people/{person}/second-factor", &[DIRECTOR]),
    ("POST", "/people/{person}/shut-out", &[DIRECTOR]),
    ("POST", "/people/{person}/let-in", &[DIRECTOR]),
    ("DELETE", "/clubs/{club}/leads/{person}", &[DIRECTOR]),
    ("GET", "/audit", &[DIRECTOR]),
    ("GET", "/audit/export", &[DIRECTOR]),
    ("GET", "/left", &[DIRECTOR]),
    ("GET", "/teams/{team}/left", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/teams/{team}/players/{player}", &[DIRECTOR, LEAD, COACH]),
    ("PUT", "/teams/{team}/players/{player}/team", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/teams/{team}/players/{player}/leave", &[DIRECTOR, LEAD, COACH]),
    ("POST", "/teams/{team}/players/{player}/return", &[DIRECTOR, LEAD, COACH]),
    ("DELETE", "/teams/{team}/notes/2031-02-10", &[DIRECTOR, LEAD, COACH]),
    ("DELETE", "/session/clubs/{club}", &[DIRECTOR, LEAD, COACH]),
    ("DELETE", "/session/teams/{team}", &[DIRECTOR, LEAD, COACH]),
];

/// What is there before anything is changed.
pub struct Read {
    wishes: Value,
    drill: Value,
    band: Value,
    academy: Value,
    coach: Value,
}

impl Read {
    /// Reads it as the director and a coach.
    pub async fn of<S, B>(director: &Visitor<'_, S>, coach: &Visitor<'_, S>) -> Read
    where
        S: Service<Request, Response = ServiceResponse<B>, Error = Error>,
        B: MessageBody,
    {
        Read {
            wishes: director.gets(&director.winter().await).await.body["wishes"].clone(),
            drill: director.gets("/drills/weave-six").await.body["drill"].clone(),
            band: director.gets("/bands").await.body[1]["band"].clone(),
            academy: director.gets("/academy").await.body["academy"].clone(),
            coach: coach.gets("/session").await.body["id"].clone(),
        }
    }
}

/// A body that each route can read, so that only the rights decide.
pub fn body(route: &str, read: &Read) -> Value {
    match route.rsplit('/').next().unwrap() {
        "{id}" => read.wishes.clone(),
        "drills" | "weave-six" => read.drill.clone(),
        "u8-u9" => read.band.clone(),
        "academy" => read.academy.clone(),
        "name" => json!({"name": "Skerrow Islands", "time_zone": "UTC"}),
        "starter" => json!({"parts": []}),
        "map" => json!({"put": [], "take_out": []}),
        "times" => json!({"slots": []}),
        "{season}" => super::seasons::season(),
        "preview" => json!({"year": 2031, "most": 20, "said": []}),
        "{change}" => json!({"wish": {"year": 2031, "most": 20, "said": []}, "stamp": "another one"}),
        "plans" => json!({"id": id(4), "band": "u8-u9", "believed": "planned"}),
        "{days_off}" => json!({"whose": {"kind": "academy"},
            "days": {"name": "Break", "first": "2031-06-01", "last": "2031-06-01"}}),
        "{outline}" => {
            json!({"name": "Summer", "band": "u8-u9", "start": "2031-06-23", "weeks": 4, "skills": []})
        }
        "{place}" => super::times::hall("Skerrow hall", 2),
        "password" => json!({"now": jogo::demo::PASSWORD, "password": "a longer way round"}),
        "second-factor" => json!({"password": jogo::demo::PASSWORD}),
        "off" => json!({"password": "a longer way round"}),
        "team" => json!({"team": id(1)}),
        "{player}" => json!({"name": "Corrected", "birth_month": "2022-04", "strong_foot": "left"}),
        "pace" => json!({"pace_m": null}),
        "archive" => json!({"away": false}),
        "desk" => super::drills::looking(&read.drill),
        "cues" => json!({"cues": {"words": ["a", "b"], "gap_s": 4, "back_s": 2}, "calls": 4, "seed": 1}),
        "solve" => json!({"seed": 1}),
        "improve" => json!({"round": 0}),
        "offer" => json!({"version": 2, "sessions": []}),
        "curricula" => super::planning::new_curriculum("u8-u9"),
        "season" => json!({"start": "2031-02-10", "weeks": 6, "weekdays": [1, 4]}),
        "edits" => json!({"edit": "lock", "session": 0, "block": 0}),
        "compare" => json!({"approach": {"exposures": [1, 1, 1, 1]}, "seed": 1}),
        "editions" => json!({"id": Uuid::now_v7(), "note": ""}),
        "upset" => json!({"version": 0, "left": 0, "remedy": "skip"}),
        "own" => json!({"version": 0, "season": null, "ground": null}),
        "back" => json!({"version": 0}),
        "log" => json!({"outcomes": []}),
        "voices" => json!({"voices": []}),
        "answer" => json!({"says": "Use two markers less."}),
        "next-times" => json!({"next_times": []}),
        "players" => json!({"players": []}),
        "trials" => json!({"trials": []}),
        "bands" => json!({"youngest": 15, "oldest": 16}),
        "add" => json!({"teams": []}),
        "clubs" => json!({"id": id(1), "name": "Long Strand"}),
        "{club}" => json!({"name": "Harbour Lane"}),
        "teams" => json!({"id": id(2), "name": "Harbour Lane Grey", "band": "u6-u7", "coaches": []}),
        "{team}" => json!({"name": "Harbour Lane Blue", "coaches": [read.coach]}),
        "email" => json!({"email": "somebody@skerrow.example"}),
        "weave-flow-u8-u9" => {
            json!({"id": "weave-flow-u8-u9", "says": "I can weave", "short": "Weave", "skill": "weave",
            "stage": "flow", "band": "u8-u9", "evidence": {"seen": {"test": "sole-turn-seen", "days": 1}}})
        }
        "quick-taps" => super::benchmarks::fresh_test(),
        "mend" => json!({"kind": "move", "test": "four-cuts", "from": 0, "to": 1}),
        "scores" => json!({"text": "hop", "band": "u8-u9"}),
        "pairs" => json!({"pairs": []}),
        "words" => json!({"words": []}),
        "weighed" => json!({"bands": {}}),
        "weave-time" => json!({"from": "2031-02-10", "bands": {}}),
        "reports" => json!({"reports": []}),
        "invitations" => json!({"id": id(3), "name": "Sela Holmwick", "role": "coach", "teams": []}),
        _ => json!({"text": "mark"}),
    }
}

#[actix_web::test]
async fn every_route_lets_in_the_roles_of_the_table_and_nobody_else() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let lead = academy.signed_in(LEAD).await;
    let (winter, autumn) = (director.winter().await, director.named("Autumn with the ball").await);
    let read = Read::of(&director, &coach).await;
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await;
    let edition = sessions.body["sessions"][0]["edition"].as_str().unwrap();
    let clubs = director.gets("/clubs").await.body;
    let club = clubs[0]["id"].as_str().unwrap();
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let [player, next_player] = [13, 12].map(|place| squad["players"][place]["id"].as_str().unwrap());
    let gates = coach.posts(&format!("{team}/gates"), json!(null)).await.body;
    let code = gates["code"].as_str().unwrap();
    let people = director.gets("/people").await.body;
    let other = people.as_array().unwrap().iter().find(|person| person["login"] == NEW_COACH).unwrap();
    for (method, route, roles) in ROUTES.into_iter().chain(MORE).chain(ONCE) {
        let path = route
            .replace("/curricula/{id}", &winter)
            .replace("/curricula/{published}", &autumn)
            .replace("/teams/{team}", &team)
            .replace("{edition}", edition)
            .replace("{club}", club)
            .replace(
                "{player}",
                if ONCE.iter().any(|(_, each, _)| *each == route) { next_player } else { player },
            )
            .replace("{person}", other["id"].as_str().unwrap())
            .replace("/session/teams/{team}", &format!("/session{team}"))
            .replace("{place}", &id(5))
            .replace("{season}", &id(7))
            .replace("{days_off}", &id(5))
            .replace("{outline}", &id(5))
            .replace("{change}", &id(6))
            .replace("{code}", code)
            .replace("{invitation}", &id(3));
        let request = || {
            own_page(method.parse::<Method>().unwrap(), &path)
                .insert_header((IF_MATCH, "\"1\""))
                .set_json(body(route, &read))
        };
        let nobody = academy.send(request()).await;
        assert_eq!(
            (nobody.status.as_u16(), nobody.problem()),
            (401, "/problems/signed-out"),
            "{method} {route}"
        );
        for (login, visitor) in [(LEAD, &lead), (DIRECTOR, &director), (COACH, &coach)] {
            let status = visitor.sends(request()).await.status.as_u16();
            assert_eq!(status != 403, roles.contains(&login), "{method} {route} as {login}: {status}");
            // The lead's club is another one than this team's.
            let hidden = login == LEAD && route.starts_with("/teams");
            assert!(status < 500 && status != 401, "{method} {route} as {login}: {status}");
            let once = ONCE.iter().any(|(_, each, _)| *each == route);
            assert!(status != 404 || hidden || once, "{method} {route} as {login}: {status}");
        }
    }
}

#[actix_web::test]
async fn the_table_of_routes_is_whole() {
    let described: serde_json::Value = serde_json::from_str(&jogo::openapi_json().unwrap()).unwrap();
    let paths = described["paths"].as_object().unwrap();
    let routes: usize = paths.values().map(|methods| methods.as_object().unwrap().len()).sum();
    // Signing in, signing out, the sample people, the two pages of an invitation and the two of a beginning, the page
    // for practice at home with its translation, the two of a link for a new password, and the line of timing gates ask
    // nobody who they are.
    assert_eq!(routes, ROUTES.len() + MORE.len() + ONCE.len() + 12);
}

#[rstest]
#[case::squad("/squad")]
#[case::sessions("/sessions")]
#[case::test("/tests/four-cuts")]
#[actix_web::test]
async fn a_coach_sees_no_other_team(#[case] page: &str) {
    let academy = academy().await;
    let (coach, other) = (academy.signed_in(COACH).await, academy.signed_in(NEW_COACH).await);
    let foreign = other.team().await;
    let answered = coach.gets(&format!("{foreign}{page}")).await;
    assert_eq!((answered.status.as_u16(), answered.problem()), (404, "/problems/not-found"));
}

#[actix_web::test]
async fn a_sign_in_ends_for_good_and_cannot_be_forged() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    assert!(coach.cookie.http_only().unwrap() && coach.cookie.same_site().unwrap().is_lax());
    assert_eq!(coach.sends(own_page(Method::DELETE, "/session")).await.status, 204);
    assert_eq!(coach.gets("/session").await.problem(), "/problems/signed-out");
    let mut forged = coach.cookie.clone();
    forged.set_value(format!("{}0", forged.value()));
    assert_eq!(academy.send(own_page(Method::GET, "/session").cookie(forged)).await.status, 401);
}

#[actix_web::test]
async fn wrong_passwords_are_refused_and_then_slowed_down() {
    let academy = academy().await;
    let tried = |login: &'static str| {
        own_page(Method::POST, "/session").set_json(json!({"login": login, "password": "wrong-floor"}))
    };
    for _ in 0..8 {
        assert_eq!(academy.send(tried(COACH)).await.problem(), "/problems/wrong-password");
    }
    assert_eq!(academy.send(tried(COACH)).await.problem(), "/problems/slow-down");
    assert_eq!(academy.send(tried("nobody")).await.problem(), "/problems/wrong-password");
}

// Forty at once used to be tried all of them, since a try was counted only once it had failed.
#[actix_web::test]
async fn many_wrong_passwords_at_once_are_no_more_than_one_after_another() {
    let academy = academy().await;
    let tried = async || {
        let wrong = json!({"login": COACH, "password": "wrong-floor"});
        academy.send(own_page(Method::POST, "/session").set_json(wrong)).await.problem().to_owned()
    };
    let six =
        async || <[String; 6]>::from(tokio::join!(tried(), tried(), tried(), tried(), tried(), tried()));
    let (one, other) = tokio::join!(six(), six());
    let wrong = one.iter().chain(&other).filter(|said| *said == "/problems/wrong-password").count();
    let slowed = one.iter().chain(&other).filter(|said| *said == "/problems/slow-down").count();
    assert_eq!((wrong, slowed), (8, 4));
}

#[actix_web::test]
async fn whoever_has_signed_in_on_a_device_is_not_kept_out_by_wrong_passwords_from_elsewhere() {
    let academy = academy().await;
    let asks = |password: &str| {
        own_page(Method::POST, "/session").set_json(json!({"login": COACH, "password": password}))
    };
    let device = academy.send(asks(jogo::demo::PASSWORD)).await.device.unwrap();
    assert!(device.http_only().unwrap());
    for _ in 0..9 {
        academy.send(asks("wrong-floor")).await;
    }
    assert_eq!(academy.send(asks(jogo::demo::PASSWORD)).await.problem(), "/problems/slow-down");
    let known = asks(jogo::demo::PASSWORD).cookie(device.clone());
    assert_eq!(academy.send(known).await.status, 200);
    // It is known for one login alone, and cannot be made up.
    let other =
        own_page(Method::POST, "/session").set_json(json!({"login": COACH, "password": "wrong-floor"}));
    let mut forged = device;
    forged.set_value(format!("{}0", forged.value()));
    assert_eq!(academy.send(other.cookie(forged)).await.problem(), "/problems/slow-down");
}

#[rstest]
#[case::another_site(&[("host", "jogo.test"), ("origin", "http://elsewhere.test")])]
#[case::no_word_of_its_site(&[("host", "jogo.test")])]
#[case::cross_site(&[("host", "jogo.test"), ("sec-fetch-site", "cross-site")])]
#[actix_web::test]
async fn a_write_from_elsewhere_is_refused(#[case] headers: &[(&str, &str)]) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let mut request = TestRequest::delete().uri("/api/v1/session");
    for header in headers {
        request = request.insert_header(*header);
    }
    assert_eq!(coach.sends(request).await.problem(), "/problems/foreign-origin");
    assert_eq!(coach.gets("/session").await.status, 200);
}
