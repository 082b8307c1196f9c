//! Problems as RFC 9457 describes them: what went wrong, where, and how to mend it.

use std::fmt;

use actix_web::error::{PathError, QueryPayloadError};
use actix_web::http::{StatusCode, header};
use actix_web::{HttpRequest, HttpResponse, ResponseError};
use jogo_core::academy::language::Language;
use jogo_core::fact::Fact;
use jogo_core::input::InputError;
use jogo_core::plan::Clash;
use jogo_store::StoreError;
use jogo_words::{say, spoken};
use serde::Serialize;
use utoipa::ToSchema;

use crate::facts::{Refusal, Thing};

/// What handlers answer.
pub type Answer<T> = Result<T, Problem>;

/// What asks for a code besides the password.
const CODE_NEEDED: &str = "/problems/code-needed";

/// A problem, as `application/problem+json`.
#[derive(Clone, Debug, Serialize, ToSchema)]
pub struct Problem {
    /// A stable name of this kind of problem.
    #[serde(rename = "type")]
    kind: &'static str,
    /// The kind, in English.
    title: String,
    /// The HTTP status.
    status: u16,
    /// What happened here and how to mend it, in English.
    detail: String,
    /// The same as a code with its values.
    #[serde(flatten)]
    fact: Box<Fact>,
    /// Faults of the input, each with its place.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    #[schema(required = false)]
    errors: Vec<InputError>,
    /// Wishes that cannot hold together.
    #[serde(skip_serializing_if = "Option::is_none")]
    clash: Option<Box<Clash>>,
}

impl Problem {
    /// A problem of a kind; the texts of its title and of the fact are in the catalogues.
    fn new(status: StatusCode, kind: &'static str, fact: impl Into<Fact>) -> Problem {
        let fact = fact.into();
        let title = kind.replace("/problems/", "problem-");
        Problem {
            kind,
            title: say(Language::English, Fact::plain(title)),
            status: status.as_u16(),
            detail: say(Language::English, fact.clone()),
            fact: Box::new(fact),
            errors: Vec::new(),
            clash: None,
        }
    }

    /// Nobody is signed in, or the sign-in has ended.
    pub fn signed_out() -> Problem {
        Problem::new(StatusCode::UNAUTHORIZED, "/problems/signed-out", Refusal::SignedOut)
    }

    /// Login or password are wrong.
    pub fn wrong_password() -> Problem {
        Problem::new(StatusCode::UNAUTHORIZED, "/problems/wrong-password", Refusal::WrongPassword)
    }

    /// Too many wrong passwords.
    pub fn slow_down(minutes: u32) -> Problem {
        Problem::new(StatusCode::TOO_MANY_REQUESTS, "/problems/slow-down", Refusal::SlowDown { minutes })
    }

    /// Too many passwords are being looked at.
    pub fn busy() -> Problem {
        Problem::new(StatusCode::TOO_MANY_REQUESTS, "/problems/busy", Refusal::Busy)
    }

    /// A request took longer than any may.
    pub fn too_slow() -> Problem {
        Problem::new(StatusCode::REQUEST_TIMEOUT, "/problems/too-slow", Refusal::TooSlow)
    }

    /// The database cannot be written.
    pub fn not_ready() -> Problem {
        Problem::new(StatusCode::SERVICE_UNAVAILABLE, "/problems/not-ready", Refusal::NotReady)
    }

    /// The address is known, but not asked in this way.
    pub fn other_method() -> Problem {
        Problem::new(StatusCode::METHOD_NOT_ALLOWED, "/problems/other-method", Refusal::OtherMethod)
    }

    /// The password was right; a code of the person's own device is asked for as well.
    pub fn code_needed() -> Problem {
        Problem::new(StatusCode::UNAUTHORIZED, CODE_NEEDED, Refusal::CodeNeeded)
    }

    /// Whether nothing is wrong so far, and only a code is asked for.
    pub fn asks_for_code(&self) -> bool {
        self.kind == CODE_NEEDED
    }

    /// The code is wrong, or was used.
    pub fn wrong_code() -> Problem {
        Problem::new(StatusCode::UNAUTHORIZED, "/problems/wrong-code", Refusal::WrongCode)
    }

    /// A director has to set up a second factor first.
    pub fn second_factor_first() -> Problem {
        Problem::new(StatusCode::FORBIDDEN, "/problems/second-factor-first", Refusal::SecondFactorFirst)
    }

    /// Signed in, but not for this.
    pub fn not_allowed() -> Problem {
        Problem::new(StatusCode::FORBIDDEN, "/problems/not-allowed", Refusal::NotAllowed)
    }

    /// A write that comes from another site.
    pub fn foreign_origin() -> Problem {
        Problem::new(StatusCode::FORBIDDEN, "/problems/foreign-origin", Refusal::OtherSite)
    }

    /// There is no such thing, or not for this person.
    pub fn not_found(what: Thing) -> Problem {
        Problem::new(StatusCode::NOT_FOUND, "/problems/not-found", Refusal::NotFound { what })
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
        let says = errors.iter().map(|error| say(Language::English, error.fact.clone()));
        let detail = says.collect::<Vec<_>>().join(" ");
        let fact = Fact::plain("problem-input");
        let problem = Problem::new(StatusCode::UNPROCESSABLE_ENTITY, "/problems/input", fact);
        Problem { errors, detail, ..problem }
    }

    /// One fault of the input.
    pub fn fault(pointer: &str, fact: impl Into<Fact>) -> Problem {
        Problem::input(vec![InputError::at(pointer, fact)])
    }

    /// Wishes that cannot hold together.
    pub fn clash(clash: Box<Clash>) -> Problem {
        let problem = Problem::new(StatusCode::UNPROCESSABLE_ENTITY, "/problems/clash", clash.says.clone());
        Problem { clash: Some(clash), ..problem }
    }

    /// The write does not say which version it changes.
    pub fn version_missing() -> Problem {
        let status = StatusCode::PRECONDITION_REQUIRED;
        Problem::new(status, "/problems/version-missing", Refusal::VersionMissing)
    }

    /// The body cannot be read.
    pub fn unreadable(fact: impl Into<Fact>) -> Problem {
        Problem::new(StatusCode::BAD_REQUEST, "/problems/unreadable", fact)
    }

    /// The body is too large.
    pub fn too_large(most: usize) -> Problem {
        let fact = Refusal::TooLarge { kilobytes: most / 1000 };
        Problem::new(StatusCode::PAYLOAD_TOO_LARGE, "/problems/too-large", fact)
    }

    /// A spreadsheet holds more than is taken.
    pub fn large_sheet(fact: impl Into<Fact>) -> Problem {
        Problem::new(StatusCode::PAYLOAD_TOO_LARGE, "/problems/too-large", fact)
    }

    /// Not the reader's fault. What happened goes into the log, not to the reader.
    pub fn internal(error: &dyn std::error::Error) -> Problem {
        tracing::error!("{error}");
        Problem::new(StatusCode::INTERNAL_SERVER_ERROR, "/problems/internal", Refusal::Internal)
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
            .body(spoken(self).unwrap_or_default())
    }
}

impl From<StoreError> for Problem {
    fn from(error: StoreError) -> Problem {
        match error {
            StoreError::Stale => {
                Problem::new(StatusCode::PRECONDITION_FAILED, "/problems/stale", Refusal::Stale)
            }
            StoreError::Taken(fact) => Problem::new(StatusCode::CONFLICT, "/problems/taken", fact),
            other => Problem::internal(&other),
        }
    }
}

/// The largest JSON body, in bytes.
pub const LARGEST_BODY: usize = 256_000;

/// What is wrong with an address.
pub fn path(_: PathError, _: &HttpRequest) -> actix_web::Error {
    Problem::not_found(Thing::Page).into()
}

/// What is wrong with the part of an address behind the question mark.
pub fn query(error: QueryPayloadError, _: &HttpRequest) -> actix_web::Error {
    Problem::unreadable(Fact::written(error.to_string())).into()
}
