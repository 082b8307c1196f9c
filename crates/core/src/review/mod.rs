//! Review: who moves on, who works on the other foot, who consolidates?

pub mod groups;
