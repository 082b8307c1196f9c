//! Pages that many open again and again are put together once, and answered as they were until anything is written.

use std::time::Instant;

use actix_web::body::{BoxBody, MessageBody, to_bytes};
use actix_web::dev::{ServiceRequest, ServiceResponse};
use actix_web::http::header::{ACCEPT_ENCODING, DATE};
use actix_web::http::{Method, StatusCode};
use actix_web::middleware::Next;
use actix_web::web::Data;
use actix_web::{Error, HttpResponse};

use crate::problem::{Answer, Problem};
use crate::serving::answers::{Asked, Kept, Moment};
use crate::sign_in::SignedIn;
use crate::state::State;

/// The pages that are kept: they follow from the database, the day and who asks, and from nothing else.
const KEPT: [&str; 7] = [
    "/api/v1/levels",
    "/api/v1/levels/milestones",
    "/api/v1/seasons/{season}/year",
    "/api/v1/teams/{team}/board",
    "/api/v1/teams/{team}/sessions",
    "/api/v1/teams/{team}/sessions/{edition}/{session}",
    "/api/v1/teams/{team}/squad",
];
/// Answers as before where nothing was written since, else keeps what is answered.
pub async fn as_kept(
    mut request: ServiceRequest,
    next: Next<impl MessageBody + 'static>,
) -> Result<ServiceResponse<BoxBody>, Error> {
    let Some((state, asked, moment)) = looked_at(&mut request).await? else {
        return Ok(next.call(request).await?.map_into_boxed_body());
    };
    if let Some(kept) = state.answers.find(&asked, moment, Instant::now()) {
        state.measures.kept_answers.inc();
        let mut answer = HttpResponse::Ok().body(kept.body);
        *answer.headers_mut() = kept.headers;
        return Ok(request.into_response(answer));
    }
    let answered = next.call(request).await?.map_into_boxed_body();
    if answered.status() != StatusCode::OK {
        return Ok(answered);
    }
    let (request, answer) = answered.into_parts();
    let (mut head, body) = answer.into_parts();
    let body = to_bytes(body).await.map_err(|e| Problem::internal(&*e))?;
    head.headers_mut().remove(DATE);
    let headers = head.headers().clone();
    state.answers.keep(asked, Kept { moment, since: Instant::now(), headers, body: body.clone() });
    Ok(ServiceResponse::new(request, head.set_body(body).map_into_boxed_body()))
}

/// Who asks for which of the pages that are kept, and what it follows from now; `None` for everything else, and for
/// whoever is not signed in.
async fn looked_at(request: &mut ServiceRequest) -> Answer<Option<(Data<State>, Asked, Moment)>> {
    let is_kept = request.match_pattern().is_some_and(|pattern| KEPT.contains(&pattern.as_str()));
    let state = request.app_data::<Data<State>>().cloned();
    let Some(state) = state.filter(|_| is_kept && *request.method() == Method::GET) else { return Ok(None) };
    let Ok(who) = request.extract::<SignedIn>().await else { return Ok(None) };
    let asked = Asked {
        by: who.0.id,
        page: request.uri().to_string(),
        packed: request.headers().get(ACCEPT_ENCODING).map(|said| said.as_bytes().to_vec()),
    };
    let moment = (state.store.moment().await?, state.today().await?);
    Ok(Some((state, asked, moment)))
}
