//! The front end, which the program carries inside itself.

use crate::facts::Thing;
use actix_web::http::header::{self, HeaderName, HeaderValue};
use actix_web::http::{Method, StatusCode};
use actix_web::{HttpRequest, HttpResponse, ResponseError};
use rust_embed::Embed;

use crate::problem::Problem;

#[derive(Embed)]
#[folder = "../../web/dist"]
struct Built;

/// The first words of addresses of earlier versions, which lead on to those of today.
const MOVED: [&str; 2] = ["evenings", "tonight"];

/// How files and pages are asked.
const READ_ONLY: (HeaderName, &str) = (header::ALLOW, "GET, HEAD, OPTIONS");

/// Stands in the page where each answer puts a number that is used once.
const NONCE: &str = "__NONCE__";

/// The first words of the addresses of the front end's pages; a test holds them against its routes.
const PAGES: [&str; 22] = [
    "",
    "account",
    "audit",
    "begin",
    "clubs",
    "drills",
    "home",
    "join",
    "levels",
    "outbox",
    "password",
    "plan",
    "print",
    "progressions",
    "sessions",
    "squad",
    "squads",
    "standards",
    "test",
    "today",
    "weeks",
    "year",
];

/// A file of the front end, or its page for every other address; one that it does not know is said not to be there.
pub async fn serve(request: HttpRequest) -> Result<HttpResponse, Problem> {
    match *request.method() {
        Method::GET => {}
        Method::OPTIONS => return Ok(HttpResponse::NoContent().insert_header(READ_ONLY).finish()),
        _ => {
            let mut answer = Problem::other_method().error_response();
            answer.headers_mut().insert(READ_ONLY.0, HeaderValue::from_static(READ_ONLY.1));
            return Ok(answer);
        }
    }
    let path = request.path().trim_start_matches('/');
    match Built::get(path).filter(|_| path != "index.html") {
        Some(file) => {
            // Files under assets/ carry a hash of their content in their names.
            let keep =
                if path.starts_with("assets/") { "public, max-age=31536000, immutable" } else { "no-cache" };
            Ok(HttpResponse::Ok()
                .insert_header((header::CACHE_CONTROL, keep))
                .content_type(mime_guess::from_path(path).first_or_octet_stream().as_ref())
                .body(file.data.into_owned()))
        }
        None if path.starts_with("api/") || path.starts_with("assets/") => {
            Err(Problem::not_found(Thing::Page))
        }
        None if path == "index.html" => page(StatusCode::OK),
        None if is_page(path) => page(StatusCode::OK),
        None => page(StatusCode::NOT_FOUND),
    }
}

fn is_page(path: &str) -> bool {
    let first = path.split('/').next().unwrap_or_default();
    PAGES.contains(&first) || MOVED.contains(&first)
}

fn page(status: StatusCode) -> Result<HttpResponse, Problem> {
    let page = Built::get("index.html").ok_or_else(|| Problem::not_found(Thing::Interface))?;
    let mut random = [0_u8; 16];
    getrandom::fill(&mut random).map_err(|e| Problem::internal(&e))?;
    let nonce: String = random.iter().map(|byte| format!("{byte:02x}")).collect();
    let policy = format!(
        "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{nonce}'; img-src 'self' data:; font-src 'self'; \
         connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
    );
    Ok(HttpResponse::build(status)
        .insert_header((header::CONTENT_SECURITY_POLICY, policy))
        .insert_header((header::CACHE_CONTROL, "no-store"))
        .content_type("text/html; charset=utf-8")
        .body(String::from_utf8_lossy(&page.data).replace(NONCE, &nonce)))
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use std::collections::BTreeSet;

    use super::PAGES;

    #[test]
    fn the_pages_are_those_of_the_front_ends_routes() {
        let app = std::fs::read_to_string("../../web/src/App.tsx").unwrap();
        let routes = app.split("path=\"/").skip(1).map(|rest| rest.split(['"', '/']).next().unwrap());
        let known: BTreeSet<&str> = routes.chain([""]).collect();
        assert_eq!(known, PAGES.into_iter().collect());
    }
}
