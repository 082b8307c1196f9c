//! The ground: what is laid on it, and does it fit?

pub mod fit;
pub mod layout;
