//! Technique: what the foot learns.

pub mod skill;
