//! The HTTP interface. A handler extracts, calls and answers; what it calls stands in the core and the store.

mod bands;
mod benchmarks;
mod board;
mod calendars;
mod clubs;
mod curricula;
mod desk;
mod drills;
mod evenings;
mod gates;
mod going_on;
mod home;
mod invitations;
mod layouts;
mod letters;
mod log;
mod map;
mod milestones;
mod own;
mod pairs;
mod players;
mod review;
mod session;
mod squad;
mod standards;
mod testing;
#[cfg(test)]
mod tests;

use actix_web::body::MessageBody;
use actix_web::dev::{ServiceFactory, ServiceRequest, ServiceResponse};
use actix_web::http::header::{ETAG, IF_MATCH};
use actix_web::middleware::{Compress, DefaultHeaders, from_fn};
use actix_web::web::{self, Data, JsonConfig, PathConfig, PayloadConfig, QueryConfig};
use actix_web::{App, Error, HttpRequest, HttpResponse};
use jiff::civil::Date;
use jogo_core::input::InputError;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, OpenApi, ToSchema};

use crate::problem::{self, Answer, Problem};
use crate::sign_in::same_origin;
use crate::state::State;
use crate::{clock, shell};

/// The whole application.
pub fn app(
    state: Data<State>,
) -> App<
    impl ServiceFactory<
        ServiceRequest,
        Config = (),
        Response = ServiceResponse<impl MessageBody>,
        Error = Error,
        InitError = (),
    >,
> {
    App::new()
        .app_data(state)
        .app_data(JsonConfig::default().limit(problem::LARGEST_BODY).error_handler(problem::json))
        .app_data(PathConfig::default().error_handler(problem::path))
        .app_data(QueryConfig::default().error_handler(problem::query))
        .app_data(PayloadConfig::new(problem::LARGEST_BODY))
        .wrap(Compress::default())
        .wrap(
            DefaultHeaders::new()
                .add(("X-Content-Type-Options", "nosniff"))
                .add(("Referrer-Policy", "same-origin"))
                .add(("Cross-Origin-Opener-Policy", "same-origin"))
                .add(("Permissions-Policy", "camera=(), microphone=(), geolocation=()")),
        )
        .wrap(from_fn(same_origin))
        .service(
            web::scope("/api/v1")
                .wrap(DefaultHeaders::new().add(("Cache-Control", "no-store")))
                .configure(session::routes)
                .configure(layouts::routes)
                .configure(desk::routes)
                .configure(drills::routes)
                .configure(bands::routes)
                .configure(map::routes)
                .configure(curricula::routes)
                .configure(review::routes)
                .configure(evenings::routes)
                .configure(going_on::routes)
                .configure(log::routes)
                .configure(clubs::routes)
                .configure(invitations::routes)
                .configure(home::routes)
                .configure(own::routes)
                .configure(pairs::routes)
                .configure(letters::routes)
                .configure(calendars::routes)
                .configure(squad::routes)
                .configure(board::routes)
                .configure(players::routes)
                .configure(standards::routes)
                .configure(gates::routes)
                .configure(milestones::routes)
                .configure(benchmarks::routes)
                .configure(testing::routes)
                .route("/openapi.json", web::get().to(openapi))
                .default_service(web::to(nothing_here)),
        )
        .route("/calendar/{token}.ics", web::get().to(calendars::feed))
        .default_service(web::get().to(shell::serve))
}

async fn nothing_here() -> Result<HttpResponse, Problem> {
    Err(Problem::not_found("page of this address"))
}

/// One page of a list.
#[derive(Serialize, ToSchema)]
pub struct Page<T> {
    /// The entries.
    pub items: Vec<T>,
    /// Where the next page begins; nothing after the last.
    pub next: Option<String>,
}

/// Which page of a list.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub struct Cursor {
    /// Where the last page ended.
    after: Option<String>,
    /// How many entries, 1 to 200.
    limit: Option<usize>,
}

impl Cursor {
    /// Cuts a page out of a list whose entries have names of their own.
    pub fn page<T>(&self, all: Vec<T>, name: impl Fn(&T) -> String) -> Page<T> {
        let limit = self.limit.unwrap_or(100).clamp(1, 200);
        let from = match &self.after {
            Some(after) => all.iter().position(|item| name(item) == *after).map_or(all.len(), |at| at + 1),
            None => 0,
        };
        let more = all.len() > from + limit;
        let items: Vec<T> = all.into_iter().skip(from).take(limit).collect();
        let next = items.last().filter(|_| more).map(name);
        Page { items, next }
    }
}

#[derive(OpenApi)]
#[openapi(
    info(title = "Jogo", description = "Plan, deliver and assess technical football for children."),
    servers((url = "/api/v1")),
    paths(
        session::show, session::create, session::end, session::samples, session::pace,
        layouts::read,
        desk::look, desk::call,
        drills::list, drills::show, drills::earlier, drills::create, drills::change, drills::archive, drills::skills,
        map::show, map::change, map::way, map::compared,
        bands::list, bands::change, bands::academy, bands::change_academy,
        curricula::list, curricula::beginnings, curricula::create, curricula::goals_of_squads, curricula::show, curricula::change,
        curricula::change_season, curricula::edits, curricula::undo, curricula::solve_again, curricula::why,
        curricula::compared, curricula::compared_with_edition, curricula::foreseen, curricula::reached_so_far, curricula::evening, curricula::publish,
        review::delivery, review::levels, review::milestones,
        evenings::list, evenings::show, log::say, going_on::remedies, going_on::go_on, going_on::back,
        clubs::list, clubs::add, clubs::rename, clubs::add_team, clubs::change_team, clubs::people,
        invitations::list, invitations::invite, invitations::withdraw, invitations::show, invitations::join,
        calendars::make, calendars::end,
        own::show, own::settle, pairs::set,
        letters::list, letters::deliver, letters::set_address,
        home::page, home::card, home::renew, home::report,
        squad::show, squad::export, squad::preview, squad::add,
        testing::sheet, testing::say, testing::export, testing::preview,
        board::show, board::say, players::passport, players::export, players::erase,
        standards::list, standards::show, standards::weigh, standards::set,
        gates::open, gates::runs,
        milestones::list, milestones::put_one, milestones::drop_one,
        benchmarks::show, benchmarks::put_one, benchmarks::drop_one,
    ),
    components(schemas(Problem))
)]
struct Description;

/// The description of the interface, as OpenAPI in JSON.
pub fn openapi_json() -> serde_json::Result<String> {
    Description::openapi().to_pretty_json()
}

async fn openapi() -> Result<HttpResponse, Problem> {
    let json = openapi_json().map_err(|e| Problem::internal(&e))?;
    Ok(HttpResponse::Ok().content_type("application/json").body(json))
}

/// The version that a write changes, from `If-Match`.
pub fn version(request: &HttpRequest) -> Answer<i64> {
    let said = request.headers().get(IF_MATCH).and_then(|value| value.to_str().ok());
    said.and_then(|tag| tag.trim_matches('"').parse().ok()).ok_or_else(Problem::version_missing)
}

/// An answer that carries the version of what it shows.
pub fn versioned<T: Serialize>(version: i64, body: &T) -> HttpResponse {
    HttpResponse::Ok().insert_header((ETAG, format!("\"{version}\""))).json(body)
}

/// Reads what a device says, each entry on its own: whatever is wrong is noted with its place in the list.
fn read_each<S, T>(
    list: &str,
    said: Vec<S>,
    faults: &mut Vec<InputError>,
    read: impl Fn(S) -> Result<T, (&'static str, String)>,
) -> Vec<T> {
    let mut all = Vec::new();
    for (i, entry) in said.into_iter().enumerate() {
        match read(entry) {
            Ok(entry) => all.push(entry),
            Err((key, says)) => faults.push(InputError::at(format!("{list}/{i}/{key}"), says)),
        }
    }
    all
}

/// A time that a device says. A device whose clock runs ahead loses nothing: what it says counts as said just now.
fn said_at(said: &str, clock: &clock::Clock) -> Result<jiff::Timestamp, String> {
    let at: jiff::Timestamp =
        said.parse().map_err(|_| format!("`{said}` is no time: write it as 2031-02-10T18:30:00Z"))?;
    Ok(at.min(clock.now().max(jiff::Timestamp::now())))
}

/// How long an entry may wait on a device before it is sent.
const LONGEST_UNSENT_DAYS: i32 = 400;

/// A day that a device says. It may have been without network for long, and its day may already be tomorrow's.
fn day_of_season(said: &str, today: Date) -> Result<Date, String> {
    let day: Date = said.parse().map_err(|_| "write the day as 2031-02-10".to_owned())?;
    match (-1..=LONGEST_UNSENT_DAYS).contains(&(today - day).get_days()) {
        true => Ok(day),
        false => Err(format!("{day} is not a day of this season: check the day")),
    }
}
