//! The outbox: what the academy wrote to its coaches; and where somebody gets post.

use actix_web::HttpResponse;
use actix_web::web::Data;
use actix_web::{get, post, put};
use jogo_store::post::letters::{Kind, Letter};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::json::Json;
use crate::post;
use crate::post::transport::Post;
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.service(list).service(deliver).service(set_address);
}

/// A letter.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct LetterView {
    id: Uuid,
    to: String,
    address: String,
    /// Whether it asks for logs; else it tells the week.
    asks_for_logs: bool,
    subject: String,
    body: String,
    written_at: String,
    left_at: Option<String>,
    /// Why it could not be sent the last time.
    failed: Option<String>,
}

impl From<Letter> for LetterView {
    fn from(letter: Letter) -> LetterView {
        LetterView {
            id: letter.id,
            to: letter.to,
            address: letter.address,
            asks_for_logs: letter.kind == Kind::LogsMissing,
            subject: letter.subject,
            body: letter.body,
            written_at: letter.written_at.to_string(),
            left_at: letter.left_at.map(|at| at.to_string()),
            failed: letter.failed,
        }
    }
}

/// The last letters, and how they leave.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Outbox {
    /// Whether a mail server takes them; else they lie in a folder.
    by_mail_server: bool,
    letters: Vec<LetterView>,
}

/// How many letters are shown.
const SHOWN: u32 = 200;

async fn outbox(state: &State) -> Answer<Json<Outbox>> {
    let letters = state.store.letters(SHOWN).await?.into_iter().map(LetterView::from).collect();
    Ok(Json(Outbox { by_mail_server: matches!(state.post, Post::Smtp(..)), letters }))
}

/// What the academy wrote.
#[utoipa::path(operation_id = "letters_list", responses((status = 200, body = Outbox)))]
#[get("/letters")]
pub(in crate::api) async fn list(who: SignedIn, state: Data<State>) -> Answer<Json<Outbox>> {
    who.may(Act::KeepPeople)?;
    outbox(&state).await
}

/// Writes what is due now, and sends what has not left.
#[utoipa::path(operation_id = "letters_deliver", responses((status = 200, body = Outbox)))]
#[post("/letters")]
pub(in crate::api) async fn deliver(who: SignedIn, state: Data<State>) -> Answer<Json<Outbox>> {
    who.may(Act::KeepPeople)?;
    post::deliver(&state).await?;
    outbox(&state).await
}

/// Where somebody gets post.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct EmailSaid {
    /// A mail address; absent for no post.
    email: Option<String>,
}

/// Keeps where one gets post.
#[utoipa::path(operation_id = "letters_set_address", request_body = EmailSaid,
    responses((status = 204)))]
#[put("/session/email")]
pub(in crate::api) async fn set_address(
    who: SignedIn,
    state: Data<State>,
    said: Json<EmailSaid>,
) -> Answer<HttpResponse> {
    let email = said.email.as_deref().filter(|said| !said.trim().is_empty());
    let email = email.map(post::address).transpose()?;
    state.store.set_email(who.0.id, email.as_deref()).await?;
    Ok(HttpResponse::NoContent().finish())
}
