//! A curriculum as a book.

use actix_web::get;
use actix_web::web::{Data, Path};
use uuid::Uuid;

use super::drafts::opened;
use crate::json::Json;
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::book::Book;

/// Everything of a curriculum that is handed out on paper, as it is on the desk.
#[utoipa::path(operation_id = "curricula_book", params(("id" = Uuid, Path)),
    responses((status = 200, body = Book)))]
#[get("/curricula/{id}/book")]
pub(crate) async fn book(who: SignedIn, state: Data<State>, id: Path<Uuid>) -> Answer<Json<Book>> {
    who.may(Act::Plan)?;
    let (edition, problem) = opened(&state, *id).await?;
    let pace = who.pace(&state).await?;
    Ok(Json(Book::of(&state, *id, &edition, &problem, pace).await?))
}
