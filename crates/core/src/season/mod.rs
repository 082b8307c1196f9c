//! The season: on which days?

pub mod calendar;
