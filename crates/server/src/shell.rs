//! The front end, which the program carries inside itself.

use crate::facts::Thing;
use actix_web::http::header;
use actix_web::{HttpRequest, HttpResponse};
use rust_embed::Embed;

use crate::problem::Problem;

#[derive(Embed)]
#[folder = "../../web/dist"]
struct Built;

/// Stands in the page where each answer puts a number that is used once.
const NONCE: &str = "__NONCE__";

/// A file of the front end, or its page for every other address.
pub async fn serve(request: HttpRequest) -> Result<HttpResponse, Problem> {
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
        None => page(),
    }
}

fn page() -> Result<HttpResponse, Problem> {
    let page = Built::get("index.html").ok_or_else(|| Problem::not_found(Thing::Interface))?;
    let mut random = [0_u8; 16];
    getrandom::fill(&mut random).map_err(|e| Problem::internal(&e))?;
    let nonce: String = random.iter().map(|byte| format!("{byte:02x}")).collect();
    let policy = format!(
        "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{nonce}'; img-src 'self' data:; font-src 'self'; \
         connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
    );
    Ok(HttpResponse::Ok()
        .insert_header((header::CONTENT_SECURITY_POLICY, policy))
        .insert_header((header::CACHE_CONTROL, "no-store"))
        .content_type("text/html; charset=utf-8")
        .body(String::from_utf8_lossy(&page.data).replace(NONCE, &nonce)))
}
