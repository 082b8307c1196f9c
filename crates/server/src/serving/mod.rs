//! Serving: how Jogo is reached, what it says of itself, and what it does by itself while it runs.

pub mod again;
pub mod answers;
pub mod health;
pub mod housekeeping;
pub mod measures;
pub mod reached;
pub mod requests;
pub mod tried;
