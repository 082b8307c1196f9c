//! The plan: what comes when?
//!
//! A [`Problem`] holds the wishes of a curriculum and the variants that may serve them; a [`Plan`] lays blocks into its
//! sessions. [`solve`] makes a plan that keeps the hard rules, [`check`] finds every breach of them (written on its own,
//! from the rules), [`score`] says how good a plan is, and [`clash`] names wishes that cannot hold together.
//!
//! The hard rules kept so far:
//!
//! - **H1 time**: minutes and layout changes stay within the session's minutes; the first layout is free.
//! - **H2 needs**: a skill is first met in a later session than the last required exposure of what it needs.
//! - **H3 ladder**: a stage begins in a later session than the last required exposure of the stage before.
//! - **H4 newness**: no more skills are met for the first time in a week than the band takes.

pub mod check;
pub mod clash;
mod problem;
pub mod score;
pub mod solve;
mod stitch;

pub use check::{Breach, check};
pub use clash::{Clash, clash};
pub use problem::{Approach, Block, Plan, Problem, SessionWish, SkillWish, Variant, VariantId};
pub use score::{Part, Score, score};
pub use solve::solve;
pub use stitch::{Stitch, stitches};

/// A day as people say it within a season: "17 February".
fn spoken(day: jiff::civil::Date) -> String {
    day.strftime("%-d %B").to_string()
}
