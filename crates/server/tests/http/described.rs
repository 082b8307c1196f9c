//! The description of the interface agrees with what is answered: every answer of every test is held against it.

use std::sync::OnceLock;

use actix_web::http::Method;
use serde_json::Value;

use super::Answered;

pub fn description() -> &'static Value {
    static DESCRIPTION: OnceLock<Value> = OnceLock::new();
    DESCRIPTION.get_or_init(|| serde_json::from_str(&jogo::openapi_json().unwrap()).unwrap())
}

/// A limit that is described for a field of a form.
pub fn limit(form: &str, field: &str, what: &str) -> usize {
    let said = &description()["components"]["schemas"][form]["properties"][field][what];
    said.as_u64().unwrap_or_else(|| panic!("{form} says no {what} of {field}")) as usize
}

/// What is described for a route.
fn operation((method, path): &(Method, String)) -> Option<&'static Value> {
    let path = path.strip_prefix("/api/v1")?;
    let parts: Vec<&str> = path.split('/').collect();
    let fits = |route: &str| {
        let route: Vec<&str> = route.split('/').collect();
        let alike = |(part, said): (&&str, &&str)| part.starts_with('{') || part == said;
        route.len() == parts.len() && route.iter().zip(&parts).all(alike)
    };
    let mut routes: Vec<_> =
        description()["paths"].as_object()?.iter().filter(|(route, _)| fits(route)).collect();
    // A route that names the place goes before one that takes any.
    routes.sort_by_key(|(route, _)| route.matches('{').count());
    routes.into_iter().find_map(|(_, item)| item.get(method.as_str().to_lowercase()))
}

/// Fails if an answer is not described: its status, or the way in which it is written.
pub fn holds(asked: &(Method, String), answered: &Answered) {
    let (status, kind) = (answered.status.as_str(), answered.kind.split(';').next().unwrap());
    let Some(operation) = operation(asked) else {
        let elsewhere = !asked.1.starts_with("/api/v1/") || asked.1 == "/api/v1/openapi.json";
        assert!(elsewhere || status == "404", "{asked:?} is not described: {answered:?}");
        return;
    };
    let said = &operation["responses"][status];
    let response = match said["$ref"].as_str() {
        Some(common) => description().pointer(common.trim_start_matches('#')).unwrap(),
        None => said,
    };
    assert!(response.is_object(), "{asked:?} may answer {status}, which is not described: {answered:?}");
    let written = response["content"].as_object().map(|content| content.keys().cloned().collect::<Vec<_>>());
    let written = written.unwrap_or_default();
    let told = kind.is_empty() && written.is_empty() || written.iter().any(|known| known == kind);
    assert!(told, "{asked:?} answers {status} as `{kind}`, described as {written:?}");
}

#[test]
fn the_limit_that_is_described_is_the_one_that_holds() {
    let says = description()["info"]["description"].as_str().unwrap();
    assert!(says.contains(&format!("at most {} kB", jogo::LARGEST_BODY / 1000)), "{says}");
}

#[test]
fn whoever_must_be_signed_in_is_told_how() {
    let scheme = &description()["components"]["securitySchemes"]["sign_in"];
    assert_eq!(
        (&scheme["type"], &scheme["in"], &scheme["name"]),
        (&"apiKey".into(), &"cookie".into(), &"jogo".into())
    );
    let paths = description()["paths"].as_object().unwrap();
    let operations =
        paths.iter().flat_map(|(path, item)| item.as_object().unwrap().iter().map(move |it| (path, it)));
    let open: Vec<String> = operations
        .filter(|(_, (_, operation))| operation["security"] == serde_json::json!([{}]))
        .map(|(path, (method, _))| format!("{method} {path}"))
        .collect();
    let expected = [
        "get /gates/{code}",
        "get /home/{token}",
        "get /home/{token}/phrases/{language}",
        "get /beginning/{secret}",
        "post /beginning/{secret}",
        "get /join/{token}",
        "post /join/{token}",
        "get /password/{token}",
        "post /password/{token}",
        "get /samples",
        "post /session",
        "delete /session",
    ];
    let (mut open, mut expected) = (open, expected.map(str::to_owned).to_vec());
    open.sort();
    expected.sort();
    assert_eq!(open, expected);
}
