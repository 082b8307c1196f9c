//! Is Jogo alive, can it work, and what does it measure? Asked by whatever watches over it.

use actix_web::web::{self, Data};
use actix_web::{HttpResponse, http::header};
use serde::Serialize;

use crate::problem::{Answer, Problem};
use crate::state::State;

/// Of what version it is.
#[derive(Serialize)]
struct Alive {
    version: &'static str,
}

const ALIVE: Alive = Alive { version: env!("CARGO_PKG_VERSION") };

pub fn routes(config: &mut web::ServiceConfig) {
    config.route("/healthz", web::get().to(alive)).route("/readyz", web::get().to(ready));
}

/// The program runs.
async fn alive() -> HttpResponse {
    HttpResponse::Ok().insert_header((header::CACHE_CONTROL, "no-store")).json(ALIVE)
}

/// The database can be read and written.
async fn ready(state: Data<State>) -> Answer<HttpResponse> {
    match is_writable(&state).await {
        true => Ok(alive().await),
        false => Err(Problem::not_ready()),
    }
}

/// Tries to write, unless it was tried a moment ago.
async fn is_writable(state: &State) -> bool {
    let could = state.tried.or_try(|| state.store.beat(state.clock.now())).await;
    state.measures.writable.set(i64::from(could));
    could
}

/// What is measured, at an address of its own.
pub async fn measures(state: Data<State>) -> Answer<HttpResponse> {
    is_writable(&state).await;
    state.measures.database_bytes.set(state.store.bytes().await?);
    state.measures.erasures_waiting.set(state.store.erasures_that_wait().await?);
    Ok(HttpResponse::Ok().content_type("text/plain; version=0.0.4").body(state.measures.text()?))
}
