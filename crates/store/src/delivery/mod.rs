//! Delivery: what a team works by, and what really happened.

pub mod devices;
pub(crate) mod editions;
pub mod home;
pub mod log;
pub mod pairs;
pub mod team_plans;
pub mod voices;

use jiff::Timestamp;
use uuid::Uuid;

/// What is said of a published edition.
#[derive(Clone, Debug)]
pub struct Published {
    /// Id.
    pub id: Uuid,
    /// Its curriculum.
    pub curriculum: Uuid,
    /// From 1.
    pub number: i64,
    /// What the director noted.
    pub note: String,
    /// Who published it.
    pub by: String,
    /// When.
    pub at: Timestamp,
}
