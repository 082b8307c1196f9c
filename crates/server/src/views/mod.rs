//! Read models: what a surface shows, put together from the store by the rules of the core.

pub mod assessment;
pub mod board;
pub mod clubs;
pub mod drafts;
pub mod drills;
pub mod eyes;
pub mod hinges;
pub mod map;
pub mod named;
pub mod presence;
pub mod progress;
pub mod promise;
pub mod questions;
pub mod repeatability;
pub mod scores;
pub mod session_log;
pub mod sheet;
pub mod skills;
pub mod squad;
pub mod standards;
pub mod starter;
pub mod stations;
pub mod team_levels;
pub mod team_sessions;
pub mod to_do;
pub mod voices;
