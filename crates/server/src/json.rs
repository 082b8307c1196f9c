//! JSON in and out: a body that cannot be read says where it stops being right.

use std::future::Future;
use std::ops::Deref;
use std::pin::Pin;

use actix_web::body::BoxBody;
use actix_web::dev::Payload;
use actix_web::error::PayloadError;
use actix_web::http::header::ContentType;
use actix_web::web::Bytes;
use actix_web::{
    FromRequest, HttpMessage, HttpRequest, HttpResponse, HttpResponseBuilder, Responder, ResponseError,
};
use jogo_core::fact::Fact;
use jogo_words::spoken;
use serde::Serialize;
use serde::de::DeserializeOwned;
use serde_path_to_error::{Path, Segment};

use crate::facts::Refusal;
use crate::problem::{LARGEST_BODY, Problem};

/// A body in JSON: what a request says, or what an answer is.
#[derive(Debug)]
pub struct Json<T>(pub T);

impl<T> Json<T> {
    /// What it holds.
    pub fn into_inner(self) -> T {
        self.0
    }
}

impl<T> Deref for Json<T> {
    type Target = T;

    fn deref(&self) -> &T {
        &self.0
    }
}

impl<T: Serialize> Responder for Json<T> {
    type Body = BoxBody;

    fn respond_to(self, _: &HttpRequest) -> HttpResponse {
        answered(&self.0, HttpResponse::Ok())
    }
}

/// An answer with a body in JSON, in which every fact says itself in English.
pub fn answered(body: &impl Serialize, mut answer: HttpResponseBuilder) -> HttpResponse {
    match spoken(body) {
        Ok(body) => answer.content_type(ContentType::json()).body(body),
        Err(error) => Problem::internal(&error).error_response(),
    }
}

impl<T: DeserializeOwned> FromRequest for Json<T> {
    type Error = Problem;
    type Future = Pin<Box<dyn Future<Output = Result<Json<T>, Problem>>>>;

    fn from_request(request: &HttpRequest, payload: &mut Payload) -> Self::Future {
        let is_json = request.content_type().eq_ignore_ascii_case("application/json");
        let body = Bytes::from_request(request, payload);
        Box::pin(async move {
            if !is_json {
                return Err(Problem::unreadable(Refusal::NoJson));
            }
            read(&body.await.map_err(unread)?).map(Json)
        })
    }
}

fn unread(error: actix_web::Error) -> Problem {
    match error.as_error::<PayloadError>() {
        Some(PayloadError::Overflow) => Problem::too_large(LARGEST_BODY),
        _ => Problem::unreadable(Fact::written(error.to_string())),
    }
}

/// Reads a body. What is no JSON cannot be read; what is JSON of another form is a fault at its place.
fn read<T: DeserializeOwned>(body: &[u8]) -> Result<T, Problem> {
    let mut json = serde_json::Deserializer::from_slice(body);
    let read = serde_path_to_error::deserialize(&mut json).map_err(|error| {
        let pointer = pointer(error.path());
        let error = error.into_inner();
        let says = error.to_string();
        match error.is_data() {
            // The place says more than line and column of a text that nobody has typed.
            true => Problem::fault(&pointer, found(says.split(" at line ").next().unwrap_or_default())),
            false => Problem::unreadable(Fact::written(says)),
        }
    })?;
    json.end().map_err(|error| Problem::unreadable(Fact::written(error.to_string())))?;
    Ok(read)
}

/// What a reader of a form found: a fact that went through its error as a text, or the reader's own words.
pub fn found(says: &str) -> Fact {
    serde_json::from_str(says).unwrap_or_else(|_| Fact::written(says))
}

/// A place in a document as a JSON pointer (RFC 6901), as `/rungs/2/levers`.
pub fn pointer(place: &Path) -> String {
    let segment = |segment: &Segment| match segment {
        Segment::Seq { index } => format!("/{index}"),
        Segment::Map { key } => format!("/{}", key.replace('~', "~0").replace('/', "~1")),
        Segment::Enum { variant } => format!("/{variant}"),
        Segment::Unknown => String::new(),
    };
    place.iter().map(segment).collect()
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use super::*;
    use jogo_core::technique::skill::Skill;
    use rstest::rstest;

    const SKILL: &str =
        r#"{"id": "tap", "name": "Tap", "strand": "ball_mastery", "band": "u6-u7", "needs": []"#;

    #[rstest]
    #[case::an_id(r#"{"id": "../tap"}"#, 422, "/id", "cannot be a name in files")]
    #[case::deep(&format!(r#"{SKILL}, "parts": ["tap", "Tap!"]}}"#), 422, "/parts/1", "cannot be a name in files")]
    #[case::a_key(&format!(r#"{SKILL}, "luck": 1}}"#), 422, "/luck", "unknown field `luck`")]
    #[case::too_little(r#"{"id": "tap"}"#, 422, "", "missing field `name`")]
    #[case::half(SKILL, 400, "", "EOF while parsing")]
    #[case::more_behind(&format!("{SKILL}}} 7"), 400, "", "trailing characters")]
    fn a_body_says_where_it_stops_being_right(
        #[case] body: &str,
        #[case] status: u16,
        #[case] pointer: &str,
        #[case] says: &str,
    ) {
        let problem = serde_json::to_value(read::<Skill>(body.as_bytes()).unwrap_err()).unwrap();
        assert_eq!(problem["status"], status);
        assert!(problem["detail"].as_str().unwrap().contains(says), "{problem}");
        let place = problem["errors"][0]["pointer"].as_str();
        assert_eq!(place.unwrap_or_default(), pointer, "{problem}");
    }
}
