//! Problems as RFC 9457 describes them: what went wrong, where, and how to mend it.

use std::fmt;

use actix_web::error::{PathError, QueryPayloadError};
use actix_web::http::{StatusCode, header};
use actix_web::{HttpRequest, HttpResponse, ResponseError};
use jogo_core::input::InputError;
use jogo_core::plan::Clash;
use jogo_store::StoreError;
use serde::Serialize;
use utoipa::ToSchema;

/// What handlers answer.
pub type Answer<T> = Result<T, Problem>;

/// A problem, as `application/problem+json`.
#[derive(Debug, Serialize, ToSchema)]
pub struct Problem {
    /// A stable name of this kind of problem.
    #[serde(rename = "type")]
    kind: &'static str,
    /// The kind in words.
    title: &'static str,
    /// The HTTP status.
    status: u16,
    /// What happened here, and how to mend it.
    detail: String,
    /// Faults of the input, each with its place.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    #[schema(required = false)]
    errors: Vec<InputError>,
    /// Wishes that cannot hold together.
    #[serde(skip_serializing_if = "Option::is_none")]
    clash: Option<Box<Clash>>,
}

impl Problem {
    fn new(
        status: StatusCode,
        kind: &'static str,
        title: &'static str,
        detail: impl Into<String>,
    ) -> Problem {
        let status = status.as_u16();
        Problem { kind, title, status, detail: detail.into(), errors: Vec::new(), clash: None }
    }

    /// Nobody is signed in, or the sign-in has ended.
    pub fn signed_out() -> Problem {
        let detail = "You are not signed in, or your sign-in has ended: sign in again.";
        Problem::new(StatusCode::UNAUTHORIZED, "/problems/signed-out", "Not signed in", detail)
    }

    /// Login or password are wrong.
    pub fn wrong_password() -> Problem {
        let detail =
            "Name and password do not belong together: check both, the password in upper and lower case.";
        Problem::new(StatusCode::UNAUTHORIZED, "/problems/wrong-password", "Wrong name or password", detail)
    }

    /// Too many wrong passwords.
    pub fn slow_down(minutes: i64) -> Problem {
        let detail = format!("Too many wrong passwords for this name: wait {minutes} minutes and try again.");
        Problem::new(StatusCode::TOO_MANY_REQUESTS, "/problems/slow-down", "Too many tries", detail)
    }

    /// Signed in, but not for this.
    pub fn not_allowed() -> Problem {
        let detail = "Your role does not include this: ask the technical director.";
        Problem::new(StatusCode::FORBIDDEN, "/problems/not-allowed", "Not allowed", detail)
    }

    /// A write that comes from another site.
    pub fn foreign_origin() -> Problem {
        let detail = "This change was sent from another site: open Jogo itself and do it there.";
        Problem::new(StatusCode::FORBIDDEN, "/problems/foreign-origin", "Sent from elsewhere", detail)
    }

    /// There is no such thing, or not for this person.
    pub fn not_found(what: &str) -> Problem {
        let detail = format!("There is no {what} here that you can see: go back and choose again.");
        Problem::new(StatusCode::NOT_FOUND, "/problems/not-found", "Not found", detail)
    }

    /// Refuses input with which something is wrong.
    pub fn if_any(faults: Vec<InputError>) -> Answer<()> {
        match faults.is_empty() {
            true => Ok(()),
            false => Err(Problem::input(faults)),
        }
    }

    /// The input can be read, but not used.
    pub fn input(errors: Vec<InputError>) -> Problem {
        let detail = errors.iter().map(|e| e.detail.as_str()).collect::<Vec<_>>().join("; ");
        Problem {
            errors,
            ..Problem::new(
                StatusCode::UNPROCESSABLE_ENTITY,
                "/problems/input",
                "Please check what you entered",
                detail,
            )
        }
    }

    /// One fault of the input.
    pub fn fault(pointer: &str, detail: impl Into<String>) -> Problem {
        Problem::input(vec![InputError::at(pointer, detail)])
    }

    /// Wishes that cannot hold together.
    pub fn clash(clash: Box<Clash>) -> Problem {
        let title = "These wishes cannot hold together";
        let detail = clash.says.clone();
        let problem = Problem::new(StatusCode::UNPROCESSABLE_ENTITY, "/problems/clash", title, detail);
        Problem { clash: Some(clash), ..problem }
    }

    /// The write does not say which version it changes.
    pub fn version_missing() -> Problem {
        let detail = "Say in If-Match which version you change.";
        Problem::new(
            StatusCode::PRECONDITION_REQUIRED,
            "/problems/version-missing",
            "Version missing",
            detail,
        )
    }

    /// The body cannot be read.
    pub fn unreadable(detail: impl Into<String>) -> Problem {
        Problem::new(StatusCode::BAD_REQUEST, "/problems/unreadable", "Not readable", detail)
    }

    /// The body is too large.
    pub fn too_large(most: usize) -> Problem {
        let detail = format!("At most {} kB are taken at once: send less.", most / 1000);
        Problem::new(StatusCode::PAYLOAD_TOO_LARGE, "/problems/too-large", "Too large", detail)
    }

    /// Not the reader's fault. What happened goes into the log, not to the reader.
    pub fn internal(error: &dyn std::error::Error) -> Problem {
        tracing::error!("{error}");
        let detail = "Jogo could not do this, and it is not your fault. Nothing was changed; try again.";
        Problem::new(StatusCode::INTERNAL_SERVER_ERROR, "/problems/internal", "Something went wrong", detail)
    }
}

impl fmt::Display for Problem {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{}: {}", self.title, self.detail)
    }
}

impl ResponseError for Problem {
    fn status_code(&self) -> StatusCode {
        StatusCode::from_u16(self.status).unwrap_or(StatusCode::INTERNAL_SERVER_ERROR)
    }

    fn error_response(&self) -> HttpResponse {
        HttpResponse::build(self.status_code())
            .insert_header((header::CONTENT_TYPE, "application/problem+json"))
            .body(serde_json::to_string(self).unwrap_or_default())
    }
}

impl From<StoreError> for Problem {
    fn from(error: StoreError) -> Problem {
        match error {
            StoreError::Stale => {
                let detail =
                    "Somebody else has changed this meanwhile: look at their change, then make yours again.";
                Problem::new(StatusCode::PRECONDITION_FAILED, "/problems/stale", "Changed meanwhile", detail)
            }
            StoreError::Taken(says) => {
                Problem::new(StatusCode::CONFLICT, "/problems/taken", "Already there", says)
            }
            other => Problem::internal(&other),
        }
    }
}

/// The largest JSON body, in bytes.
pub const LARGEST_BODY: usize = 256_000;

/// What is wrong with an address.
pub fn path(_: PathError, _: &HttpRequest) -> actix_web::Error {
    Problem::not_found("page of this address").into()
}

/// What is wrong with the part of an address behind the question mark.
pub fn query(error: QueryPayloadError, _: &HttpRequest) -> actix_web::Error {
    Problem::unreadable(error.to_string()).into()
}
