//! Answers that are kept for a moment: pages that many open again and again are put together once, packed, for each
//! who asks, and stand until anything at all is written.

use std::collections::HashMap;
use std::sync::{Mutex, MutexGuard, PoisonError};
use std::time::{Duration, Instant};

use actix_web::body::{BoxBody, MessageBody, to_bytes};
use actix_web::dev::{ServiceRequest, ServiceResponse};
use actix_web::http::header::{ACCEPT_ENCODING, DATE, HeaderMap};
use actix_web::http::{Method, StatusCode};
use actix_web::middleware::Next;
use actix_web::web::{Bytes, Data};
use actix_web::{Error, HttpResponse};
use jiff::civil::Date;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::state::State;

/// The pages that are kept: they follow from the database, the day and who asks, and from nothing else.
const KEPT: [&str; 6] = [
    "/api/v1/levels",
    "/api/v1/levels/milestones",
    "/api/v1/teams/{team}/board",
    "/api/v1/teams/{team}/sessions",
    "/api/v1/teams/{team}/sessions/{edition}/{session}",
    "/api/v1/teams/{team}/squad",
];
/// For how long an answer stands at most: what is worked out aside may be renewed without anything being written.
const STANDS: Duration = Duration::from_secs(60);
/// How many bytes of answers are kept; the oldest go first.
const MOST_BYTES: usize = 16 << 20;

/// Who asks for what, and how it may be packed.
#[derive(Clone, Debug, PartialEq, Eq, Hash)]
struct Asked {
    by: Uuid,
    page: String,
    packed: Option<Vec<u8>>,
}

/// What an answer follows from: it changes with everything that is written, and with the day.
type Moment = (i64, Date);

#[derive(Clone, Debug)]
struct Kept {
    moment: Moment,
    since: Instant,
    headers: HeaderMap,
    body: Bytes,
}

/// The answers that are kept.
#[derive(Debug, Default)]
pub struct Answers(Mutex<HashMap<Asked, Kept>>);

impl Answers {
    fn all(&self) -> MutexGuard<'_, HashMap<Asked, Kept>> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner)
    }

    fn find(&self, asked: &Asked, moment: Moment, now: Instant) -> Option<Kept> {
        let stands = |kept: &Kept| kept.moment == moment && now.duration_since(kept.since) < STANDS;
        self.all().get(asked).filter(|kept| stands(kept)).cloned()
    }

    /// Keeps one, and lets those go that no longer stand; then the oldest, until there is room.
    fn keep(&self, asked: Asked, new: Kept) {
        let (mut all, now, moment) = (self.all(), new.since, new.moment);
        all.insert(asked, new);
        all.retain(|_, kept| kept.moment == moment && now.duration_since(kept.since) < STANDS);
        while all.values().map(|kept| kept.body.len()).sum::<usize>() > MOST_BYTES {
            let oldest = all.iter().min_by_key(|(_, kept)| kept.since).map(|(asked, _)| asked.clone());
            let Some(oldest) = oldest else { break };
            all.remove(&oldest);
        }
    }
}

/// Answers as before where nothing was written since, else keeps what is answered.
pub async fn kept(
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

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use super::*;
    use jiff::civil::date;

    fn asked(page: &str) -> Asked {
        Asked { by: Uuid::nil(), page: page.to_owned(), packed: None }
    }

    fn kept(moment: Moment, since: Instant, bytes: usize) -> Kept {
        Kept { moment, since, headers: HeaderMap::new(), body: vec![0; bytes].into() }
    }

    #[test]
    fn an_answer_stands_until_something_is_written_or_the_day_ends_or_a_minute_has_passed() {
        let (answers, now, today) = (Answers::default(), Instant::now(), date(2031, 2, 10));
        answers.keep(asked("/board"), kept((7, today), now, 10));
        let finds = |page, moment, seconds| {
            answers.find(&asked(page), moment, now + Duration::from_secs(seconds)).is_some()
        };
        assert!(finds("/board", (7, today), 59));
        assert!(!finds("/board", (7, today), 60));
        assert!(!finds("/board", (8, today), 1));
        assert!(!finds("/board", (7, date(2031, 2, 11)), 1));
        assert!(!finds("/squad", (7, today), 1));
        let other = Asked { by: Uuid::max(), ..asked("/board") };
        assert!(answers.find(&other, (7, today), now).is_none(), "it is somebody else who asks");
    }

    #[test]
    fn the_oldest_go_when_there_is_no_more_room() {
        let (answers, now, moment) = (Answers::default(), Instant::now(), (7, date(2031, 2, 10)));
        let page = |n: u64| format!("/{n}");
        for n in 0..4 {
            answers.keep(asked(&page(n)), kept(moment, now + Duration::from_secs(n), MOST_BYTES / 3));
        }
        let there = [0, 1, 2, 3].map(|n| answers.find(&asked(&page(n)), moment, now).is_some());
        assert_eq!(there, [false, true, true, true]);
        answers.keep(asked("/later"), kept((8, moment.1), now, 1));
        assert_eq!(answers.all().len(), 1, "what no longer stands is not kept");
    }
}
