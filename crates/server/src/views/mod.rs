//! Read models: what a surface shows, put together from the store by the rules of the core.

pub mod assessment;
pub mod repeatability;
pub mod team_levels;
pub mod team_sessions;
