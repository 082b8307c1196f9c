//! Assessment: what is measured, which level is that, and can they do it?

pub mod benchmarks;
pub mod levels;
pub mod milestones;
pub mod other_foot;
pub mod progress;
pub mod reliability;
pub mod results;
pub mod standards;
pub mod taking;
pub mod tempo;
pub mod timing_gates;
