//! The HTTP interface. A handler extracts, calls and answers; what it calls is in the core and the store.

mod academy;
mod assessment;
mod delivery;
mod description;
mod drill;
mod ground;
mod limits;
mod people;
mod plan;
mod post;
mod progression;
mod season;
mod technique;

use std::sync::LazyLock;

use actix_web::body::MessageBody;
use actix_web::dev::{ResourceDef, ServiceFactory, ServiceRequest, ServiceResponse};
use actix_web::http::Method;
use actix_web::http::header::{ALLOW, ETAG, HeaderValue, IF_MATCH};
use actix_web::middleware::{Compress, Condition, DefaultHeaders, from_fn};
use actix_web::web::{self, Data, PathConfig, PayloadConfig, QueryConfig};
use actix_web::{App, Error, HttpRequest, HttpResponse, ResponseError};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::facts::{Entered, Thing};
use crate::json::answered;
use crate::problem::{self, Answer, Problem};
use crate::serving::again::as_kept;
use crate::serving::health;
use crate::serving::requests::watched;
use crate::shell;
use crate::sign_in::same_origin;
use crate::state::State;
pub use academy::clubs::LONGEST_NAME;

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
    let tls = state.reached.is_https();
    App::new()
        .app_data(state)
        .app_data(PathConfig::default().error_handler(problem::path))
        .app_data(QueryConfig::default().error_handler(problem::query))
        .app_data(PayloadConfig::new(problem::LARGEST_BODY))
        .wrap(Compress::default())
        .wrap(from_fn(as_kept))
        .wrap(
            DefaultHeaders::new()
                .add(("X-Content-Type-Options", "nosniff"))
                .add(("Referrer-Policy", "same-origin"))
                .add(("Cross-Origin-Opener-Policy", "same-origin"))
                .add(("Permissions-Policy", "camera=(), microphone=(), geolocation=()")),
        )
        .wrap(Condition::new(tls, DefaultHeaders::new().add(("Strict-Transport-Security", ONE_YEAR))))
        .wrap(from_fn(same_origin))
        .wrap(from_fn(watched))
        .configure(health::routes)
        .service(
            web::scope("/api/v1")
                .wrap(DefaultHeaders::new().add(("Cache-Control", "no-store")))
                .configure(|config| routes(&mut ServiceConfig::new(config)))
                .route("/openapi.json", web::get().to(openapi))
                .default_service(web::to(nothing_here)),
        )
        .route("/calendar/{token}.ics", web::get().to(post::calendars::feed))
        .default_service(web::to(shell::serve))
}

/// The routes of all rooms.
fn routes(config: &mut ServiceConfig) {
    config
        .configure(people::routes)
        .configure(ground::routes)
        .configure(technique::routes)
        .configure(drill::routes)
        .configure(academy::routes)
        .configure(progression::routes)
        .configure(plan::routes)
        .configure(season::routes)
        .configure(delivery::routes)
        .configure(post::routes)
        .configure(assessment::routes);
}

/// Browsers ask over TLS alone for so long.
const ONE_YEAR: &str = "max-age=31536000";

/// The addresses of the interface, each with the methods by which it is asked.
static ASKED: LazyLock<Vec<(ResourceDef, Vec<&'static str>)>> = LazyLock::new(|| {
    let paths = description::description().paths.paths.into_iter();
    paths
        .map(|(path, item)| (ResourceDef::new(format!("/api/v1{path}")), description::methods(&item)))
        .collect()
});

/// Answers what no route has answered: how an address that there is can be asked, or that there is none.
async fn nothing_here(request: HttpRequest) -> Result<HttpResponse, Problem> {
    let known = ASKED.iter().filter(|(path, _)| path.is_match(request.path()));
    let mut methods: Vec<&str> = known.flat_map(|(_, methods)| methods).copied().collect();
    if methods.is_empty() {
        return Err(Problem::not_found(Thing::Page));
    }
    methods.sort_unstable();
    methods.dedup();
    methods.push("OPTIONS");
    let mut answer = match *request.method() {
        Method::OPTIONS => HttpResponse::NoContent().finish(),
        _ => Problem::other_method().error_response(),
    };
    let allowed = HeaderValue::from_str(&methods.join(", ")).map_err(|e| Problem::internal(&e))?;
    answer.headers_mut().insert(ALLOW, allowed);
    Ok(answer)
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
    /// How many entries a page has.
    pub fn limit(&self) -> usize {
        self.limit.unwrap_or(100).clamp(1, 200)
    }

    /// Where the last page ended, of a list whose entries are named by ids.
    pub fn after(&self) -> Answer<Option<Uuid>> {
        let parsed = self.after.as_deref().map(str::parse).transpose();
        parsed.map_err(|_| Problem::fault("/after", Entered::Cursor))
    }

    /// Cuts a page out of a whole list, where what is looked for is worked out by the rules and not by the store.
    pub fn page<T>(&self, all: Vec<T>, name: impl Fn(&T) -> String) -> Page<T> {
        let from = match &self.after {
            Some(after) => all.iter().position(|item| name(item) == *after).map_or(all.len(), |at| at + 1),
            None => 0,
        };
        self.begun(all.into_iter().skip(from).collect(), name)
    }

    /// A page of entries that begin with it, if there are more than its limit.
    pub fn begun<T>(&self, mut items: Vec<T>, name: impl Fn(&T) -> String) -> Page<T> {
        let more = items.len() > self.limit();
        items.truncate(self.limit());
        let next = items.last().filter(|_| more).map(name);
        Page { items, next }
    }
}

/// The description of the interface, as OpenAPI in JSON.
pub fn openapi_json() -> serde_json::Result<String> {
    description::description().to_pretty_json()
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
    let mut answer = HttpResponse::Ok();
    answer.insert_header((ETAG, format!("\"{version}\"")));
    answered(body, answer)
}
