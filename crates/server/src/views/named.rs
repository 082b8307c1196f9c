//! Somebody or something of which only the name is shown.

use jogo_store::academy::clubs::Named;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

/// Somebody, by name.
#[derive(Serialize, ToSchema)]
pub struct NamedView {
    id: Uuid,
    name: String,
}

impl From<Named> for NamedView {
    fn from(Named { id, name }: Named) -> NamedView {
        NamedView { id, name }
    }
}
