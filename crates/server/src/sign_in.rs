//! Who sends this request?

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
use jiff::ToSpan;
use jogo_store::people::Person;
use jogo_store::teams::Team;
use sha2::{Digest, Sha256};
use uuid::Uuid;

use crate::passwords;
use crate::problem::{Answer, Problem};
use crate::rights::{Act, may};
use crate::state::State;

const COOKIE: &str = "jogo";
/// A coach who trains once a week stays signed in over the season.
const DAYS: i64 = 60;

/// The person who sends a request.
pub struct SignedIn(pub Person);

impl SignedIn {
    /// Errs unless the person's role includes an act.
    pub fn may(&self, act: Act) -> Answer<()> {
        if may(self.0.role, act) { Ok(()) } else { Err(Problem::not_allowed()) }
    }

    /// A team that the person may act for: any if they review, else one of their own.
    pub async fn team(&self, state: &State, id: Uuid, act: Act) -> Answer<Team> {
        self.may(act)?;
        let team = if may(self.0.role, Act::Review) {
            state.store.team(id).await?
        } else {
            state.store.teams_of(self.0.id).await?.into_iter().find(|team| team.id == id)
        };
        team.ok_or_else(|| Problem::not_found("team"))
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

/// Checks a password and makes a sign-in; the cookie goes to the reader, only its hash stays.
pub async fn sign_in(state: &State, login: &str, password: String) -> Answer<(Person, Cookie<'static>)> {
    let login = login.trim().to_lowercase();
    state.may_try(&login)?;
    let known = state.store.person_by_login(&login).await?;
    let hash = known.as_ref().map(|(_, hash)| hash.clone());
    // A password is checked even where nobody has the name, so that the answer takes as long.
    let right = actix_web::web::block(move || match hash {
        Some(hash) => passwords::verify(&password, &hash),
        None => passwords::hash(&password).is_ok_and(|_| false),
    });
    let right = right.await.map_err(|e| Problem::internal(&e))?;
    let Some((person, _)) = known.filter(|_| right) else {
        state.note_wrong(&login);
        return Err(Problem::wrong_password());
    };
    let mut token = [0_u8; 32];
    getrandom::fill(&mut token).map_err(|e| Problem::internal(&e))?;
    let token: String = token.iter().map(|byte| format!("{byte:02x}")).collect();
    let now = state.clock.now();
    state.store.sign_in(&Sha256::digest(&token), person.id, now, now + (24 * DAYS).hours()).await?;
    Ok((person, signed(state, token, Duration::days(DAYS))))
}

/// Ends the sign-in of a request.
pub async fn sign_out(state: &State, request: &HttpRequest) -> Answer<Cookie<'static>> {
    if let Some(hash) = token_hash(request, state) {
        state.store.sign_out(&hash).await?;
    }
    Ok(signed(state, String::new(), Duration::ZERO))
}

fn signed(state: &State, token: String, for_so_long: Duration) -> Cookie<'static> {
    let cookie = Cookie::build(COOKIE, token)
        .path("/")
        .http_only(true)
        .same_site(SameSite::Lax)
        .max_age(for_so_long)
        .finish();
    let mut jar = CookieJar::new();
    jar.signed_mut(&state.key).add(cookie.clone());
    jar.get(COOKIE).cloned().unwrap_or(cookie)
}

fn token_hash(request: &HttpRequest, state: &State) -> Option<Vec<u8>> {
    let token = CookieJar::new().signed(&state.key).verify(request.cookie(COOKIE)?)?;
    Some(Sha256::digest(token.value()).to_vec())
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
