//! Post: letters that wait or have left, and the secret addresses of calendars.

pub mod feeds;
pub mod letters;
