//! What an academy does one after another until its first plan is out.

use jiff::Timestamp;
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
    let begun = store.begun().await?;
    let invited = !begun.coaches && !store.open_invitations(now).await?.is_empty();
    let steps = [
        (BeginningStep::Bands, begun.bands),
        (BeginningStep::Library, begun.library),
        (BeginningStep::Teams, begun.teams),
        (BeginningStep::Coaches, begun.coaches || invited),
        (BeginningStep::Curriculum, begun.curriculum),
        (BeginningStep::Edition, begun.edition),
    ];
    Ok(steps.map(|(step, done)| ToDo { step, done }).into())
}
