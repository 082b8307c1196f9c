//! The description of the interface as OpenAPI: collected from the routes themselves, and completed by what holds for
//! every one of them.

use actix_web::App;
use utoipa::OpenApi;
use utoipa::openapi::content::Content;
use utoipa::openapi::path::{Operation, Parameter, ParameterIn, PathItem};
use utoipa::openapi::security::{ApiKey, ApiKeyValue, SecurityRequirement, SecurityScheme};
use utoipa::openapi::{Ref, RefOr, Response, ResponseBuilder};
use utoipa_actix_web::AppExt;

use super::limits;
use crate::problem::Problem;
use crate::sign_in::COOKIE;

/// What a problem is sent as.
const PROBLEM: &str = "application/problem+json";
/// The name of the way in which somebody is known.
const SIGN_IN: &str = "sign_in";

#[derive(OpenApi)]
#[openapi(
    info(title = "Jogo", description = "Plan, deliver and assess technical football for children.\n\n\
        Whatever goes wrong is said as a problem (RFC 9457). A body has at most 256 kB."),
    servers((url = "/api/v1")),
    components(schemas(Problem))
)]
struct Head;

/// What any route of a kind may answer, beside what it says of itself.
const COMMON: [(&str, &str); 10] = [
    ("400", "The request cannot be read."),
    ("401", "Nobody is signed in."),
    ("403", "The person’s role does not include this, or it was sent from another site."),
    ("404", "There is no such thing that this person can see."),
    ("408", "It took longer than a request may."),
    ("412", "It has been changed meanwhile."),
    ("413", "The body is larger than is taken."),
    ("422", "The body can be read, but not used; `errors` says where and how to mend it."),
    ("428", "If-Match does not say which version is changed."),
    ("500", "Something went wrong in Jogo; nothing was changed."),
];

/// The description of every route.
pub fn description() -> utoipa::openapi::OpenApi {
    let (_, mut api) =
        App::new().into_utoipa_app().openapi(Head::openapi()).configure(super::routes).split_for_parts();
    let cookie = ApiKeyValue::with_description(COOKIE, "Set by signing in: POST /session.");
    if let Some(components) = &mut api.components {
        components.add_security_scheme(SIGN_IN, SecurityScheme::ApiKey(ApiKey::Cookie(cookie)));
        limits::add_to(components);
        for (status, says) in COMMON {
            let mut problem = ResponseBuilder::new().description(says).build();
            as_problem(&mut problem);
            components.responses.insert(format!("Problem{status}"), RefOr::T(problem));
        }
    }
    for item in api.paths.paths.values_mut() {
        for (operation, writes) in operations(item) {
            complete(operation, writes);
        }
    }
    api
}

/// By which methods an address is asked.
pub fn methods(item: &PathItem) -> Vec<&'static str> {
    let PathItem { get, put, post, delete, .. } = item;
    let known = [(get, &["GET", "HEAD"][..]), (put, &["PUT"]), (post, &["POST"]), (delete, &["DELETE"])];
    known
        .into_iter()
        .filter(|(operation, _)| operation.is_some())
        .flat_map(|(_, names)| names)
        .copied()
        .collect()
}

fn operations(item: &mut PathItem) -> impl Iterator<Item = (&mut Operation, bool)> {
    let PathItem { get, put, post, delete, .. } = item;
    [(get, false), (put, true), (post, true), (delete, true)]
        .into_iter()
        .filter_map(|(operation, writes)| Some((operation.as_mut()?, writes)))
}

/// Adds what every route may answer by the way in which it is asked.
fn complete(operation: &mut Operation, writes: bool) {
    let open = operation.security.is_some();
    if !open {
        operation.security = Some(vec![SecurityRequirement::new(SIGN_IN, Vec::<String>::new())]);
    }
    let parameters = operation.parameters.as_deref().unwrap_or_default();
    let known: Vec<&Parameter> = parameters.iter().filter_map(said_here).collect();
    let has = |place: ParameterIn| known.iter().any(|parameter| parameter.parameter_in == place);
    let versioned = known.iter().any(|parameter| parameter.name == "If-Match");
    let reads_body = operation.request_body.is_some();
    let may_be = |status: &str| match status {
        "400" => has(ParameterIn::Query) || reads_body,
        "401" => !open,
        "403" => !open || writes,
        "404" => has(ParameterIn::Path),
        "412" | "428" => versioned,
        "413" | "422" => reads_body,
        _ => true,
    };
    for (status, _) in COMMON.iter().filter(|(status, _)| may_be(status)) {
        let common = || RefOr::Ref(Ref::from_response_name(format!("Problem{status}")));
        operation.responses.responses.entry((*status).to_owned()).or_insert_with(common);
    }
    for (status, response) in &mut operation.responses.responses {
        if let (RefOr::T(response), true) = (response, status.starts_with(['4', '5'])) {
            as_problem(response);
        }
    }
}

fn said_here<T>(said: &RefOr<T>) -> Option<&T> {
    match said {
        RefOr::T(said) => Some(said),
        RefOr::Ref(_) => None,
    }
}

/// Whatever goes wrong is said as a problem.
fn as_problem(response: &mut Response) {
    response.content.clear();
    let schema = Ref::from_schema_name("Problem");
    response.content.insert(PROBLEM.to_owned(), RefOr::T(Content::new(Some(schema))));
}
