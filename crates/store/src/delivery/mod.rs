//! Delivery: what a team works by, and what really happened.

pub mod devices;
pub mod home;
pub mod log;
pub mod pairs;
pub mod team_plans;
