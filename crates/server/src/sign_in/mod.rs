//! Who sends this request?

pub mod beginning;
pub mod passwords;
pub mod rights;
pub mod secrets;
pub mod tries;

use crate::facts::Thing;
use std::future::Future;
use std::pin::Pin;

use actix_web::body::{EitherBody, MessageBody};
use actix_web::cookie::time::Duration;
use actix_web::cookie::{Cookie, CookieJar, SameSite};
use actix_web::dev::{Payload, ServiceRequest, ServiceResponse};
use actix_web::http::header;
use actix_web::middleware::Next;
use actix_web::web::Data;
use actix_web::{Error, FromRequest, HttpRequest, ResponseError};
use jiff::{Timestamp, ToSpan};
use jogo_core::input::name_in_files;
use jogo_store::academy::teams::Team;
use jogo_store::people::{Person, Role};
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::sign_in::rights::{Act, may};
use crate::sign_in::tries::Counted;
use crate::state::State;

/// The cookie that holds a sign-in.
pub const COOKIE: &str = "jogo";
/// Nobody has a longer name to sign in with, in bytes.
const LONGEST_LOGIN: usize = 200;
/// The cookie of a device on which somebody has signed in: their tries there are counted by themselves.
const DEVICE: &str = "jogo-device";
/// How long a device is known.
const DEVICE_DAYS: i64 = 365;
/// So long somebody stays signed in who does not come back; whoever does is signed in for as long again.
const DAYS: i64 = 60;

/// The person who sends a request.
pub struct SignedIn(pub Person);

impl SignedIn {
    /// Errs unless the person's role includes an act.
    pub fn may(&self, act: Act) -> Answer<()> {
        if may(self.0.role, act) { Ok(()) } else { Err(Problem::not_allowed()) }
    }

    /// A team that the person may act for: one of their own, or any that they may look at.
    pub async fn team(&self, state: &State, id: Uuid, act: Act) -> Answer<Team> {
        self.may(act)?;
        let own = state.store.teams_of(self.0.id).await?.into_iter().find(|team| team.id == id);
        let team = match own {
            None if self.acts_beyond_own(act) => {
                let clubs = self.clubs(state).await?;
                state.store.team(id).await?.filter(|team| clubs.see(&team.club))
            }
            own => own,
        };
        team.ok_or_else(|| Problem::not_found(Thing::Team))
    }

    /// Whether an act is open to the person on teams that they do not coach: reading, and for the director setting up.
    fn acts_beyond_own(&self, act: Act) -> bool {
        match act {
            Act::SeeTeam => may(self.0.role, Act::Review),
            Act::SetTeam => self.0.role == Role::Director,
            _ => false,
        }
    }

    /// The clubs that the person looks at.
    pub async fn clubs(&self, state: &State) -> Answer<Clubs> {
        match self.0.role {
            Role::Director => Ok(Clubs::All),
            _ => Ok(Clubs::Led(
                state.store.clubs_led_by(self.0.id).await?.into_iter().map(|club| club.name).collect(),
            )),
        }
    }
}

/// Clubs that somebody looks at.
pub enum Clubs {
    /// All of the academy.
    All,
    /// Those that they lead, by name.
    Led(Vec<String>),
}

impl Clubs {
    /// Whether a club is one of them.
    pub fn see(&self, club: &str) -> bool {
        match self {
            Clubs::All => true,
            Clubs::Led(names) => names.iter().any(|name| name == club),
        }
    }
}

impl FromRequest for SignedIn {
    type Error = Error;
    type Future = Pin<Box<dyn Future<Output = Result<SignedIn, Error>>>>;

    fn from_request(request: &HttpRequest, _: &mut Payload) -> Self::Future {
        let request = request.clone();
        Box::pin(async move {
            let state = request.app_data::<Data<State>>().ok_or_else(Problem::signed_out)?;
            let hash = token_hash(&request, state).ok_or_else(Problem::signed_out)?;
            let person = state.store.signed_in(&hash, state.clock.now()).await.map_err(Problem::from)?;
            Ok(SignedIn(person.ok_or_else(Problem::signed_out)?))
        })
    }
}

/// Checks a password and makes a sign-in; the cookies go to the reader, only the sign-in's hash stays.
pub async fn sign_in(
    state: &State,
    request: &HttpRequest,
    login: &str,
    password: String,
) -> Answer<(Person, [Cookie<'static>; 2])> {
    let login = login.trim().to_lowercase();
    let device = known_device(request, state, &login);
    let counted = Counted::of(&login, device.as_deref());
    state.tries.begin(&counted, Timestamp::now())?;
    let known = match login.len() {
        ..=LONGEST_LOGIN => state.store.person_by_login(&login).await?,
        _ => None,
    };
    let hash = known.as_ref().map_or_else(|| passwords::of_nobody().to_owned(), |(_, hash)| hash.clone());
    // A password is checked even where nobody has the name, so that the answer takes as long.
    let right = passwords::in_turn(move || passwords::verify(&password, &hash)).await?;
    let Some((person, _)) = known.filter(|_| right) else { return Err(Problem::wrong_password()) };
    state.tries.right(&counted);
    let device = device.map_or_else(secrets::token, Ok)?;
    let cookies = [signed_in(state, person.id).await?, device_cookie(state, &login, &device)];
    Ok((person, cookies))
}

/// The device that a request comes from, if somebody has signed in on it under this login.
fn known_device(request: &HttpRequest, state: &State, login: &str) -> Option<String> {
    let cookie = CookieJar::new().signed(&state.key).verify(request.cookie(DEVICE)?)?;
    let (device, of) = cookie.value().split_once('.')?;
    (of == login).then(|| device.to_owned())
}

fn device_cookie(state: &State, login: &str, device: &str) -> Cookie<'static> {
    signed(state, DEVICE, format!("{device}.{login}"), Duration::days(DEVICE_DAYS))
}

/// A name to sign in with, as it is kept: small letters, however it was typed.
pub fn login(said: &str) -> Answer<String> {
    let login = said.trim().to_lowercase();
    name_in_files(&login).map_err(|fault| Problem::fault("/login", fault))?;
    Ok(login)
}

/// What is kept of a password that somebody chooses.
pub async fn hashed(password: String) -> Answer<String> {
    let hash = passwords::in_turn(move || passwords::hash(&password)).await?;
    hash.map_err(|says| Problem::fault("/password", says))
}

/// Makes a sign-in for somebody who has shown who they are.
pub async fn signed_in(state: &State, person: Uuid) -> Answer<Cookie<'static>> {
    let (token, now) = (secrets::token()?, state.clock.now());
    state.store.sign_in(&secrets::hashed(&token), person, now, now + (24 * DAYS).hours()).await?;
    Ok(signed(state, COOKIE, token, Duration::days(DAYS)))
}

/// Lets the sign-in of a request last for as long again, at most once a day; the cookie that says so, if it does.
pub async fn prolonged(state: &State, request: &HttpRequest) -> Answer<Option<Cookie<'static>>> {
    let jar = CookieJar::new();
    let cookie = request.cookie(COOKIE).and_then(|cookie| jar.signed(&state.key).verify(cookie));
    let Some(cookie) = cookie else { return Ok(None) };
    let until = state.clock.now() + (24 * DAYS).hours();
    let longer =
        state.store.prolong_sign_in(&secrets::hashed(cookie.value()), until, until - 24.hours()).await?;
    Ok(longer.then(|| signed(state, COOKIE, cookie.value().to_owned(), Duration::days(DAYS))))
}

/// Ends the sign-in of a request.
pub async fn sign_out(state: &State, request: &HttpRequest) -> Answer<Cookie<'static>> {
    if let Some(hash) = token_hash(request, state) {
        state.store.sign_out(&hash).await?;
    }
    Ok(signed(state, COOKIE, String::new(), Duration::ZERO))
}

fn signed(state: &State, name: &'static str, token: String, for_so_long: Duration) -> Cookie<'static> {
    let cookie = Cookie::build(name, token)
        .path("/")
        .http_only(true)
        .same_site(SameSite::Lax)
        .max_age(for_so_long)
        .finish();
    let mut jar = CookieJar::new();
    jar.signed_mut(&state.key).add(cookie.clone());
    jar.get(name).cloned().unwrap_or(cookie)
}

fn token_hash(request: &HttpRequest, state: &State) -> Option<Vec<u8>> {
    let token = CookieJar::new().signed(&state.key).verify(request.cookie(COOKIE)?)?;
    Some(secrets::hashed(token.value()))
}

/// Lets a write through only if the browser says that it comes from Jogo's own pages.
pub async fn same_origin<B: MessageBody + 'static>(
    request: ServiceRequest,
    next: Next<B>,
) -> Result<ServiceResponse<EitherBody<B>>, Error> {
    if request.method().is_safe() || from_own_page(&request) {
        return next.call(request).await.map(ServiceResponse::map_into_left_body);
    }
    let answer = Problem::foreign_origin().error_response();
    Ok(request.into_response(answer).map_into_right_body())
}

fn from_own_page(request: &ServiceRequest) -> bool {
    let said = |name: header::HeaderName| request.headers().get(name).and_then(|value| value.to_str().ok());
    match said(header::ORIGIN) {
        Some(origin) => {
            let host = origin.split_once("://").map(|(_, host)| host);
            host.is_some() && host == said(header::HOST)
        }
        None => said(header::HeaderName::from_static("sec-fetch-site")) == Some("same-origin"),
    }
}
