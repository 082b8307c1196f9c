//! Assessment: trials, milestones, and how many stand on each level.

pub mod levels;
pub mod milestones;
pub mod trials;
