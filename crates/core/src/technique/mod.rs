//! Technique: what the foot learns.

pub mod score;
pub mod skill;
pub mod surface;
