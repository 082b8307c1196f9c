//! What happens to every request: it gets a number, is bounded in time, measured, and noted in the log. What is noted
//! names routes, never addresses: these hold secrets, and the ids of children.

use std::time::{Duration, Instant};

use actix_web::Error;
use actix_web::body::MessageBody;
use actix_web::dev::{ServiceRequest, ServiceResponse};
use actix_web::http::Method;
use actix_web::http::header::{HeaderName, HeaderValue};
use actix_web::middleware::Next;
use actix_web::web::Data;
use uuid::Uuid;

use crate::problem::Problem;
use crate::state::State;

/// The longest that a request may take, from its first line to its answer; a body that trickles is cut.
const LONGEST: Duration = Duration::from_secs(60);

/// The header that names a request.
const NUMBER: HeaderName = HeaderName::from_static("x-request-id");

/// Bounds, measures and notes a request.
pub async fn watched<B: MessageBody + 'static>(
    mut request: ServiceRequest,
    next: Next<B>,
) -> Result<ServiceResponse<B>, Error> {
    let (began, number, method) =
        (Instant::now(), Uuid::now_v7().simple().to_string(), request.method().clone());
    // Whoever asks for the head of an answer gets that of the whole; its body is left out where it is written.
    if method == Method::HEAD {
        request.head_mut().method = Method::GET;
    }
    let state = request.app_data::<Data<State>>().cloned();
    let answered = within(LONGEST, next.call(request)).await;
    let (route, status) = match &answered {
        Ok(answered) => (answered.request().match_pattern(), answered.status()),
        Err(error) => (None, error.as_response_error().status_code()),
    };
    let (route, status, took) = (route.unwrap_or_else(|| "other".into()), status.as_u16(), began.elapsed());
    if let Some(state) = state {
        state.measures.answered(method.as_str(), &route, status, took);
    }
    tracing::info!(request = number, %method, route, status, ms = took.as_millis() as u64, "answered");
    let mut answered = answered?;
    if let Ok(number) = HeaderValue::from_str(&number) {
        answered.headers_mut().insert(NUMBER, number);
    }
    Ok(answered)
}

/// What is answered within a time, or that it took too long.
async fn within<T>(longest: Duration, answer: impl Future<Output = Result<T, Error>>) -> Result<T, Error> {
    tokio::time::timeout(longest, answer).await.map_err(|_| Problem::too_slow())?
}

#[cfg(test)]
mod tests {
    use super::*;

    #[actix_web::test]
    async fn what_takes_too_long_is_cut_and_says_so() {
        let slow = within(Duration::from_millis(10), std::future::pending::<Result<(), Error>>()).await;
        let status = slow.map_err(|error| error.as_response_error().status_code().as_u16());
        assert_eq!(status, Err(408));
        assert!(within(LONGEST, async { Ok(()) }).await.is_ok());
    }
}
