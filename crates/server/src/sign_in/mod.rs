//! Who sends this request?

pub mod beginning;
pub mod passwords;
pub mod rights;
pub mod second_factor;
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
use jogo_core::academy::keeping::SignIns;
use jogo_core::input::name_in_files;
use jogo_store::academy::teams::Team;
use jogo_store::audit::Deed;
use jogo_store::people::sign_ins::{Device, Known, NewSignIn};
use jogo_store::people::{Person, Role};
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::sign_in::rights::{Act, may};
use crate::sign_in::tries::Counted;
use crate::state::State;

/// The cookie that holds a sign-in. Over TLS it has a prefix that binds it to this host.
pub const COOKIE: &str = "jogo";
const BOUND_COOKIE: &str = "__Host-jogo";
/// Nobody has a longer name to sign in with, in bytes.
const LONGEST_LOGIN: usize = 200;
/// The cookie of a device on which somebody has signed in: their tries there are counted by themselves.
const DEVICE: &str = "jogo-device";
const BOUND_DEVICE: &str = "__Host-jogo-device";
/// How long a device is known.
const DEVICE_DAYS: i64 = 365;

/// The person who sends a request.
pub struct SignedIn(pub Person, Standing);

/// Whether somebody has shown all that the academy asks for.
#[derive(Clone, Copy, PartialEq, Eq)]
enum Standing {
    Whole,
    /// They have to set up a second factor before they do anything else.
    HeldBack,
}

impl SignedIn {
    /// Errs unless the person's role includes an act.
    pub fn may(&self, act: Act) -> Answer<()> {
        match self.1 {
            Standing::HeldBack => Err(Problem::second_factor_first()),
            Standing::Whole if may(self.0.role, act) => Ok(()),
            Standing::Whole => Err(Problem::not_allowed()),
        }
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
            Act::KeepPlayers | Act::SetTimes => may(self.0.role, Act::Review),
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
#[derive(Clone, Debug, PartialEq, Eq, Hash)]
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
            let known = state.store.signed_in(&hash, state.clock.now()).await.map_err(Problem::from)?;
            let Known { person, held_back } = known.ok_or_else(Problem::signed_out)?;
            Ok(SignedIn(person, if held_back { Standing::HeldBack } else { Standing::Whole }))
        })
    }
}

/// What somebody says to sign in.
pub struct Shown {
    /// The name to sign in with, as it was typed.
    pub login: String,
    pub password: String,
    /// A code of their own device, or a recovery code.
    pub code: Option<String>,
}

/// Checks a password, and a code where one is asked for, and makes a sign-in; the cookies go to the reader, only the
/// sign-in's hash stays.
pub async fn sign_in(
    state: &State,
    request: &HttpRequest,
    shown: Shown,
) -> Answer<(Person, [Cookie<'static>; 2])> {
    let login = shown.login.trim().to_lowercase();
    let device = known_device(request, state, &login);
    let counted = Counted::of(&login, device.as_deref());
    // Whoever tries wrongly from the same address does not keep out a device that is known.
    let from = device.is_none().then(|| Counted::from(&state.reached.from(request)));
    for each in from.iter().chain([&counted]) {
        state.tries.begin(each, Timestamp::now()).inspect_err(|_| ended(state, "slowed_down"))?;
    }
    let known = match login.len() {
        ..=LONGEST_LOGIN => state.store.person_by_login(&login).await?,
        _ => None,
    };
    let who = known.as_ref().map(|(person, _)| person.id);
    let shown = right(state, known, shown).await;
    if let (Err(problem), Some(who)) = (&shown, who)
        && !problem.asks_for_code()
    {
        note_failed(state, who);
    }
    let person = shown.inspect_err(|_| ended(state, "wrong"))?;
    state.tries.right(&counted);
    from.iter().for_each(|from| state.tries.was_right(from));
    ended(state, "right");
    state.store.note(state.clock.now(), Some(person.id), Deed::SignedIn, "").await?;
    let device = device.map_or_else(secrets::token, Ok)?;
    let cookies = [signed_in(state, request, person.id).await?, device_cookie(state, &login, &device)];
    Ok((person, cookies))
}

/// Notes that somebody did not get in, beside the answer: it must not take longer where somebody has the name.
fn note_failed(state: &State, who: Uuid) {
    let (store, now) = (state.store.clone(), state.clock.now());
    actix_web::rt::spawn(async move {
        if let Err(error) = store.note(now, Some(who), Deed::SignInFailed, "").await {
            tracing::error!("a failed sign-in was not noted: {error}");
        }
    });
}

fn ended(state: &State, how: &str) {
    state.measures.sign_ins.with_label_values(&[how]).inc();
}

/// Who has shown that they are the person of a login.
async fn right(state: &State, known: Option<(Person, String)>, shown: Shown) -> Answer<Person> {
    let hash = known.as_ref().map_or_else(|| passwords::of_nobody().to_owned(), |(_, hash)| hash.clone());
    let Shown { password, code, .. } = shown;
    // A password is checked even where nobody has the name, so that the answer takes as long.
    let right = passwords::in_turn(move || passwords::verify(&password, &hash)).await?;
    let Some((person, _)) = known.filter(|_| right) else { return Err(Problem::wrong_password()) };
    second_factor::asked(state, &person, code).await?;
    Ok(person)
}

/// The device that a request comes from, if somebody has signed in on it under this login.
fn known_device(request: &HttpRequest, state: &State, login: &str) -> Option<String> {
    let cookie = CookieJar::new().signed(&state.key).verify(request.cookie(device_name(state))?)?;
    let (device, of) = cookie.value().split_once('.')?;
    (of == login).then(|| device.to_owned())
}

fn device_cookie(state: &State, login: &str, device: &str) -> Cookie<'static> {
    signed(state, device_name(state), format!("{device}.{login}"), Duration::days(DEVICE_DAYS))
}

/// A name to sign in with, as it is kept: small letters, however it was typed.
pub fn login(said: &str) -> Answer<String> {
    let login = said.trim().to_lowercase();
    name_in_files(&login).map_err(|fault| Problem::fault("/login", fault))?;
    Ok(login)
}

/// What is kept of a password that somebody chooses.
pub async fn hashed(login: &str, password: String) -> Answer<String> {
    let login = login.to_owned();
    let hash = move || passwords::chosen(&password, &login).and_then(|()| passwords::hash(&password));
    passwords::in_turn(hash).await?.map_err(|says| Problem::fault("/password", says))
}

/// Makes a sign-in for somebody who has shown who they are.
pub async fn signed_in(state: &State, request: &HttpRequest, person: Uuid) -> Answer<Cookie<'static>> {
    let (token, at) = (secrets::token()?, state.clock.now());
    let limits = state.store.settings().await?.0.sign_ins;
    let until = at + (24 * i64::from(limits.idle_days)).hours();
    let (token_hash, device) = (secrets::hashed(&token), device_of(request));
    state.store.sign_in(NewSignIn { token_hash: &token_hash, person, device, at, until }).await?;
    Ok(kept(state, token, &limits))
}

/// On what somebody signs in, as far as the browser says.
fn device_of(request: &HttpRequest) -> Device {
    let said = request.headers().get(header::USER_AGENT).and_then(|value| value.to_str().ok());
    match said {
        Some(said) if said.contains("Mobi") => Device::Phone,
        Some(_) => Device::Computer,
        None => Device::Other,
    }
}

/// The cookie of a sign-in: the browser keeps it for as long as it could be prolonged, and the server decides.
fn kept(state: &State, token: String, limits: &SignIns) -> Cookie<'static> {
    signed(state, cookie(state), token, Duration::days(limits.whole_days.into()))
}

/// Lets the sign-in of a request last for as long again, at most once a day; the cookie that says so, if it does.
pub async fn prolonged(state: &State, request: &HttpRequest) -> Answer<Option<Cookie<'static>>> {
    let Some(token) = token(request, state) else { return Ok(None) };
    let limits = state.store.settings().await?.0.sign_ins;
    let days = (limits.idle_days, limits.whole_days);
    let longer = state.store.prolong_sign_in(&secrets::hashed(&token), state.clock.now(), days).await?;
    Ok(longer.then(|| kept(state, token, &limits)))
}

/// Ends the sign-in of a request.
pub async fn sign_out(state: &State, request: &HttpRequest) -> Answer<Cookie<'static>> {
    if let Some(hash) = token_hash(request, state) {
        state.store.sign_out(&hash).await?;
    }
    Ok(signed(state, cookie(state), String::new(), Duration::ZERO))
}

fn signed(state: &State, name: &'static str, token: String, for_so_long: Duration) -> Cookie<'static> {
    let cookie = Cookie::build(name, token)
        .path("/")
        .http_only(true)
        .secure(state.reached.is_https())
        .same_site(SameSite::Lax)
        .max_age(for_so_long)
        .finish();
    let mut jar = CookieJar::new();
    jar.signed_mut(&state.key).add(cookie.clone());
    jar.get(name).cloned().unwrap_or(cookie)
}

/// The name of the cookie that holds a sign-in.
fn cookie(state: &State) -> &'static str {
    if state.reached.is_https() { BOUND_COOKIE } else { COOKIE }
}

/// The name of the cookie of a device.
fn device_name(state: &State) -> &'static str {
    if state.reached.is_https() { BOUND_DEVICE } else { DEVICE }
}

fn token(request: &HttpRequest, state: &State) -> Option<String> {
    let token = CookieJar::new().signed(&state.key).verify(request.cookie(cookie(state))?)?;
    Some(token.value().to_owned())
}

/// What is kept of the sign-in of a request.
pub fn token_hash(request: &HttpRequest, state: &State) -> Option<Vec<u8>> {
    token(request, state).map(|token| secrets::hashed(&token))
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
        Some(origin) => request
            .app_data::<Data<State>>()
            .is_some_and(|state| state.reached.is_own(origin, request.headers())),
        None => said(header::HeaderName::from_static("sec-fetch-site")) == Some("same-origin"),
    }
}
