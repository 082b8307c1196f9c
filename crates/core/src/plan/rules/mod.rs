//! The hard rules: which are broken, which wishes clash, and what mends a breach?

pub mod check;
pub mod clash;
pub mod mend;
pub(in crate::plan) mod prove;
