//! The HTTP interface against a real database file: what it answers, to whom, and to bad input.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

mod account;
mod assess;
mod bad_input;
mod beginning;
mod benchmarks;
mod calendars;
mod children;
mod club_list;
mod deliver;
mod described;
mod drills;
mod eyes;
mod goals;
mod handover;
mod hinges;
mod home;
mod hostile;
mod letters;
mod limits;
mod lists;
mod log;
mod map;
mod next_time;
mod own;
mod pairs;
mod people;
mod planning;
mod publishing;
mod rights;
mod scores;
mod season_changes;
mod seasons;
mod serving;
mod times;
mod upsets;

use actix_http::Request;
use actix_web::body::MessageBody;
use actix_web::cookie::{Cookie, Key};
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::{Method, StatusCode};
use actix_web::test::{TestRequest, call_service, init_service, read_body};
use actix_web::web::Data;
use actix_web::{Error, http};
use jiff::civil::date;
use serde_json::{Value, json};
use tokio::sync::OnceCell;

use jogo::{Clock, Post, Reached, State, demo};

/// The demo's people, by login.
pub const DIRECTOR: &str = "director";
/// Leads North Beacon.
pub const LEAD: &str = "nelun";
/// Coaches Harbour Lane Blue, which has a squad.
pub const COACH: &str = "keya";
/// Coaches Harbour Lane White, which has none.
pub const NEW_COACH: &str = "doven";

/// A demo academy on 10 February 2031, in a database file of its own.
pub struct Academy<S> {
    service: S,
    /// What the server itself holds.
    pub state: Data<State>,
    /// Where its database and its letters lie.
    pub folder: tempfile::TempDir,
}

/// An id that a device could have made.
pub fn id(n: u32) -> String {
    format!("00000000-0000-4000-8000-{n:012}")
}

/// What came back.
#[derive(Debug)]
pub struct Answered {
    /// As a number.
    pub status: StatusCode,
    /// The media type.
    pub kind: String,
    /// Null unless it is JSON.
    pub body: Value,
    /// The version of what was read.
    pub etag: Option<String>,
    /// Who was signed in.
    pub cookie: Option<Cookie<'static>>,
    /// By what the device is known again.
    pub device: Option<Cookie<'static>>,
}

impl Answered {
    /// The problem's stable name.
    pub fn problem(&self) -> &str {
        assert_eq!(self.kind, "application/problem+json", "{self:?}");
        self.body["type"].as_str().unwrap()
    }

    /// The places of the input's faults.
    pub fn pointers(&self) -> Vec<&str> {
        self.body["errors"].as_array().unwrap().iter().map(|e| e["pointer"].as_str().unwrap()).collect()
    }
}

/// The demo is made once; each test has a copy of its own.
static FILLED: OnceCell<Vec<u8>> = OnceCell::const_new();

async fn filled(clock: &Clock) -> &'static [u8] {
    let fill = || async {
        let folder = tempfile::tempdir().unwrap();
        let database = folder.path().join("academy.sqlite");
        let store = jogo_store::Store::open(&database).await.unwrap();
        demo::fill(&store, clock, 1).await.unwrap();
        store.close().await;
        std::fs::read(&database).unwrap()
    };
    FILLED.get_or_init(fill).await
}

/// The demo with its server.
pub async fn academy()
-> Academy<impl Service<Request, Response = ServiceResponse<impl MessageBody>, Error = Error>> {
    academy_reached(Reached::default()).await
}

/// The demo with its server, reached in some way.
pub async fn academy_reached(
    reached: Reached,
) -> Academy<impl Service<Request, Response = ServiceResponse<impl MessageBody>, Error = Error>> {
    academy_with(|state| state.reached = reached).await
}

/// The demo with its server, with something about it that is different.
pub async fn academy_with(
    different: impl FnOnce(&mut State),
) -> Academy<impl Service<Request, Response = ServiceResponse<impl MessageBody>, Error = Error>> {
    let clock = Clock::held(date(2031, 2, 10)).unwrap();
    let folder = tempfile::tempdir().unwrap();
    let database = folder.path().join("academy.sqlite");
    std::fs::write(&database, filled(&clock).await).unwrap();
    let store = jogo_store::Store::open(&database).await.unwrap();
    let post = Post::Outbox(folder.path().join("outbox"));
    let mut state = State::new(store, clock, Key::generate(), true, post);
    different(&mut state);
    let state = Data::new(state);
    Academy { service: init_service(jogo::app(state.clone())).await, state, folder }
}

/// An academy that nobody has begun, and the secret with which it can be.
pub async fn nothing_yet()
-> (Academy<impl Service<Request, Response = ServiceResponse<impl MessageBody>, Error = Error>>, String) {
    let folder = tempfile::tempdir().unwrap();
    let store = jogo_store::Store::open(&folder.path().join("academy.sqlite")).await.unwrap();
    let post = Post::Outbox(folder.path().join("outbox"));
    let clock = Clock::held(date(2031, 2, 10)).unwrap();
    let state = Data::new(State::new(store, clock, Key::generate(), false, post));
    let secret = state.beginning.open(state.clock.now()).unwrap();
    (Academy { service: init_service(jogo::app(state.clone())).await, state, folder }, secret)
}

impl<S, B> Academy<S>
where
    S: Service<Request, Response = ServiceResponse<B>, Error = Error>,
    B: MessageBody,
{
    /// Sends a request as it is.
    pub async fn send(&self, request: TestRequest) -> Answered {
        let request = request.to_request();
        let asked = (request.method().clone(), request.path().to_owned());
        let response = call_service(&self.service, request).await;
        let header = |name| response.headers().get(name).and_then(|v| v.to_str().ok()).map(str::to_owned);
        let (kind, etag) =
            (header(http::header::CONTENT_TYPE).unwrap_or_default(), header(http::header::ETAG));
        let mut cookies = response.response().cookies().map(Cookie::into_owned);
        let (cookie, device) = (cookies.next(), cookies.next());
        drop(cookies);
        let status = response.status();
        let body = serde_json::from_slice(&read_body(response).await).unwrap_or(Value::Null);
        let answered = Answered { status, kind, body, etag, cookie, device };
        described::holds(&asked, &answered);
        answered
    }

    /// Sends a request, and hears the answer as it is.
    pub async fn heard(&self, request: TestRequest) -> ServiceResponse<B> {
        call_service(&self.service, request.to_request()).await
    }

    /// Signs in as a sample person.
    pub async fn signed_in(&self, login: &str) -> Visitor<'_, S> {
        let request =
            own_page(Method::POST, "/session").set_json(json!({"login": login, "password": demo::PASSWORD}));
        let answered = self.send(request).await;
        assert_eq!(answered.status, 200, "{answered:?}");
        Visitor { academy: self, cookie: answered.cookie.unwrap() }
    }
}

/// Somebody who is signed in.
pub struct Visitor<'a, S> {
    /// Where.
    pub academy: &'a Academy<S>,
    /// What says who it is.
    pub cookie: Cookie<'static>,
}

/// A request as a page of Jogo's own sends it.
pub fn own_page(method: Method, path: &str) -> TestRequest {
    TestRequest::with_uri(&format!("/api/v1{path}"))
        .method(method)
        .insert_header((http::header::HOST, "jogo.test"))
        .insert_header((http::header::ORIGIN, "http://jogo.test"))
}

impl<S, B> Visitor<'_, S>
where
    S: Service<Request, Response = ServiceResponse<B>, Error = Error>,
    B: MessageBody,
{
    /// Sends a request as this person.
    pub async fn sends(&self, request: TestRequest) -> Answered {
        self.academy.send(request.cookie(self.cookie.clone())).await
    }

    /// Asks until what is worked out aside is there: on a slow machine that takes longer than an answer waits.
    pub async fn patiently(&self, request: impl Fn() -> TestRequest) -> Answered {
        loop {
            let answered = self.sends(request()).await;
            if answered.status != StatusCode::ACCEPTED {
                return answered;
            }
        }
    }

    /// Reads.
    pub async fn gets(&self, path: &str) -> Answered {
        self.patiently(|| own_page(Method::GET, path)).await
    }

    /// Adds.
    pub async fn posts(&self, path: &str, body: Value) -> Answered {
        self.patiently(|| own_page(Method::POST, path).set_json(body.clone())).await
    }

    /// Changes something of which a version was read.
    pub async fn writes(&self, method: Method, path: &str, etag: &str, body: Value) -> Answered {
        let if_match = (http::header::IF_MATCH, etag.to_owned());
        let request =
            || own_page(method.clone(), path).insert_header(if_match.clone()).set_json(body.clone());
        self.patiently(request).await
    }

    /// The curriculum that waits to be published.
    pub async fn winter(&self) -> String {
        self.named("Winter with the ball").await
    }

    /// A curriculum by its name.
    pub async fn named(&self, name: &str) -> String {
        let all = self.gets("/curricula").await.body;
        let found = all["items"].as_array().unwrap().iter().find(|c| c["name"] == name).unwrap();
        format!("/curricula/{}", found["id"].as_str().unwrap())
    }

    /// The first team of a coach.
    pub async fn team(&self) -> String {
        let session = self.gets("/session").await;
        format!("/teams/{}", session.body["teams"][0]["id"].as_str().unwrap())
    }
}
