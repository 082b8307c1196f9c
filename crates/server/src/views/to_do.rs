//! What an academy does one after another until its first plan is out.

use jiff::Timestamp;
use jogo_store::people::Role;
use jogo_store::{Store, Stored};
use serde::Serialize;
use utoipa::ToSchema;

/// A step, and whether it is done.
#[derive(Serialize, ToSchema)]
pub struct ToDo {
    step: BeginningStep,
    done: bool,
}

/// The steps, in their order.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum BeginningStep {
    /// Bands: which ages.
    Bands,
    /// Skills and drills.
    Library,
    /// A club with a team.
    Teams,
    /// A coach, or an invitation for one.
    Coaches,
    /// A curriculum.
    Curriculum,
    /// An edition that teams work by.
    Edition,
}

/// Every step, and whether it is done.
pub async fn to_do(store: &Store, now: Timestamp) -> Stored<Vec<ToDo>> {
    let coach = store.people().await?.iter().any(|person| person.role != Role::Director);
    let drafts = store.curricula().await?;
    let steps = [
        (BeginningStep::Bands, !store.bands().await?.is_empty()),
        (BeginningStep::Library, !store.skills().await?.is_empty() && !store.drills().await?.is_empty()),
        (BeginningStep::Teams, !store.teams().await?.is_empty()),
        (BeginningStep::Coaches, coach || !store.open_invitations(now).await?.is_empty()),
        (BeginningStep::Curriculum, !drafts.is_empty()),
        (BeginningStep::Edition, drafts.iter().any(|draft| draft.edition.is_some())),
    ];
    Ok(steps.map(|(step, done)| ToDo { step, done }).into())
}
