//! Assessment: trials, milestones, and how many stand on each level.

pub(crate) mod counts;
pub mod levels;
pub mod milestones;
pub mod trials;
