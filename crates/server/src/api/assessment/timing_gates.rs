//! Timing gates: a pair joins a test session under a code, and its runs are read from there.

use crate::facts::{Refusal, Thing};
use actix_web::rt;
use actix_web::web::{Data, Path, Payload, Query};
use actix_web::{HttpRequest, HttpResponse, get, post};
use actix_ws::{AggregatedMessage, MessageStream, Session};
use jogo_core::assessment::timing_gates::{Event, Run};
use jogo_core::ids::TestId;
use serde::{Deserialize, Serialize};
use serde_json::json;
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::rights::Act;
use crate::sign_in::{SignedIn, secrets};
use crate::state::State;
use crate::timing_gates::Timing;

pub fn routes(config: &mut ServiceConfig) {
    config.service(open).service(runs).service(join);
}

/// Where a pair of gates joins.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct GatesJoin {
    /// Known to whoever sets the gates up; it opens nothing else.
    code: String,
    /// The address that the gates are given.
    address: String,
}

/// Lets a pair of gates join a team's test session.
#[utoipa::path(operation_id = "gates_open", params(("team" = Uuid, Path)),
    responses((status = 200, body = GatesJoin)))]
#[post("/teams/{team}/gates")]
pub(in crate::api) async fn open(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    request: HttpRequest,
) -> Answer<Json<GatesJoin>> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let code = secrets::token()?[..12].to_owned();
    state.timing.open(&code, team.id, who.0.id);
    // A line that stays open has the scheme ws where pages have http, and wss where they have https.
    let page = state.reached.address(&request, &format!("/api/v1/gates/{code}"));
    let address = page.replacen("http", "ws", 1);
    Ok(Json(GatesJoin { code, address }))
}

/// What a pair of gates saw.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct SeenRuns {
    /// Whether the gates are there.
    connected: bool,
    runs: Vec<Run>,
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct InTest {
    /// The test, whose range says which times can be true.
    test: TestId,
}

/// The runs of a pair of gates so far.
#[utoipa::path(operation_id = "gates_runs", params(("team" = Uuid, Path), ("code" = String, Path), InTest),
    responses((status = 200, body = SeenRuns)),
)]
#[get("/teams/{team}/gates/{code}")]
pub(in crate::api) async fn runs(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, String)>,
    asked: Query<InTest>,
) -> Answer<Json<SeenRuns>> {
    let (team, code) = path.into_inner();
    let team = who.team(&state, team, Act::Coach).await?;
    let test = state.store.test(&asked.test).await?.ok_or_else(|| Problem::not_found(Thing::Test))?;
    let seen = state.timing.runs(&code, team.id, (test.least, test.most));
    let (connected, runs) = seen.ok_or_else(|| Problem::not_found(Thing::Gates))?;
    Ok(Json(SeenRuns { connected, runs }))
}

/// The longest line that gates send, in bytes.
const LONGEST_LINE: usize = 1_000;

/// A pair of gates joins: lines as docs/formats.md describes them. The code says who it is.
#[utoipa::path(operation_id = "gates_join", params(("code" = String, Path)), security(()),
    responses((status = 101, description = "The line is open."),
        (status = 400, body = Problem, description = "It was not asked for a line that stays open.")))]
#[get("/gates/{code}")]
pub(in crate::api) async fn join(
    state: Data<State>,
    code: Path<String>,
    request: HttpRequest,
    body: Payload,
) -> Result<HttpResponse, actix_web::Error> {
    state.timing.joined(&code, true).ok_or_else(|| Problem::not_found(Thing::Gates))?;
    let upgraded = actix_ws::handle(&request, body).map_err(|_| {
        state.timing.joined(&code, false);
        Problem::unreadable(Refusal::NoLine)
    });
    let (answer, session, lines) = upgraded?;
    rt::spawn(listen(state, code.into_inner(), session, lines));
    Ok(answer)
}

async fn listen(state: Data<State>, code: String, mut session: Session, lines: MessageStream) {
    let mut lines =
        lines.max_frame_size(LONGEST_LINE).aggregate_continuations().max_continuation_size(LONGEST_LINE);
    while let Some(Ok(message)) = lines.recv().await {
        let said = match message {
            AggregatedMessage::Text(line) => session.text(answer(&state.timing, &code, &line)).await,
            AggregatedMessage::Ping(bytes) => session.pong(&bytes).await,
            AggregatedMessage::Close(_) => break,
            _ => Ok(()),
        };
        if said.is_err() {
            break;
        }
    }
    state.timing.joined(&code, false);
    session.close(None).await.ok();
}

/// What gates are answered to a line: that it is there, or what is wrong with it.
fn answer(timing: &Timing, code: &str, line: &str) -> String {
    match serde_json::from_str::<Event>(line) {
        Ok(event) => match timing.take(code, event) {
            Some(()) => json!({"ack": event.seq}).to_string(),
            None => json!({"error": "the test is over: ask the coach for a new address"}).to_string(),
        },
        Err(error) => json!({"error": format!("this is no line of gates: {error}")}).to_string(),
    }
}

#[cfg(test)]
mod tests {
    use rstest::rstest;
    use uuid::Uuid;

    use super::*;

    #[rstest]
    #[case::a_line(r#"{"seq": 1, "kind": "arm", "device_ms": 5}"#, r#"{"ack":1}"#)]
    #[case::no_number(r#"{"kind": "arm", "device_ms": 5}"#, "missing field `seq`")]
    #[case::no_such_kind(r#"{"seq": 1, "kind": "fly", "device_ms": 5}"#, "unknown variant `fly`")]
    #[case::no_json("start!", "this is no line of gates")]
    fn gates_are_answered_line_by_line(#[case] line: &str, #[case] says: &str) {
        let timing = Timing::default();
        timing.open("code", Uuid::nil(), Uuid::nil());
        let answered = answer(&timing, "code", line);
        assert!(answered.contains(says), "{answered}");
        let over = answer(&timing, "another", r#"{"seq": 1, "kind": "arm", "device_ms": 5}"#);
        assert!(over.contains("the test is over"), "{over}");
    }
}
