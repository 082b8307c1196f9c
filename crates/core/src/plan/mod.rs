//! The plan: what comes when?
//!
//! A [`Problem`] holds the wishes of a curriculum and the variants that may serve them; a [`Plan`] lays blocks into
//! its sessions. [`solve`] makes a plan that keeps the hard rules, [`check`] finds every breach of them (written on
//! its own, from the rules), [`score`] says how good a plan is, and [`clash`] names wishes that cannot hold together.
//!
//! A plan that breaks a hard rule is not offered; one that was edited by hand shows each breach where it stands.
//!
//! - **H1 time**: tests, minutes and layout changes stay within the session's minutes; the first layout is free.
//! - **H2 needs**: a skill is first met in a later session than the last required exposure of what it needs.
//! - **H3 ladder**: a stage begins in a later session than the last required exposure of the stage before (strict), or
//!   than its first one (overlapping), or in any session (open; then a Contest block of a skill whose Scan is not done
//!   comes after another block of it in the same session). Several blocks of a stage in a session count once.
//! - **H4 newness**: no more skills are met for the first time in a week than the band takes.
//! - **H5 fits**: every layout fits the ground, kit and squad; two side by side fit on half of it each.
//! - **H6 safety**: no blocked drill, no bout or block longer than the band's, no more aerial minutes a session or
//!   headers a week than the band allows.
//! - **H7 order inside a session**: it begins with a block that warms up; a skill that is met for the first time begins
//!   before half of the session's minutes are over; Contest comes after every other block of the same skill; never two
//!   blocks of the highest intensity in a row; no variant twice, and no drill in several blocks for over 40 % of the
//!   minutes, unless all of them are locked.
//! - **H8 locks**: what is locked into a session is there, with its minutes.
//! - **H9 tests**: tests come first, and a skill is tested only after a session in which it was met.

pub mod benchmark_map;
pub mod carry_over;
pub mod compare;
pub mod curriculum;
pub mod edit;
pub mod exposure;
pub mod forecast;
pub mod hinge;
pub mod knack;
pub mod part;
pub mod problem;
pub mod rules;
pub mod score;
pub mod search;
mod stitch;
pub mod success;
mod themes;
pub mod upset;
pub mod why;

pub use benchmark_map::{BenchmarkMap, benchmark_map};
pub use compare::{Comparison, compare};
pub use edit::{Edit, Edited, Price, edit, price};
pub use part::{Part, Weights};
pub use problem::{
    Approach, Barred, Block, BlockId, Ladder, Limits, Lock, OpenPlay, Plan, PlanForm, Problem, SessionWish,
    SidedTouches, SkillWish, SuccessWindow, TestWish, Theme, Variant, VariantId, Weekly, WeeklyOf,
    left_their_session,
};
pub use rules::check::{Breach, Rule, check};
pub use rules::clash::{Clash, Clashing, TestTaken, clash};
pub use rules::mend::{Mending, mend};
pub use score::{PartPoints, Score, score};
pub use search::solve::{Solved, improve, improve_while, solve, solve_near, solve_rest, solve_while};
pub use stitch::{Stitch, stitches};
pub use themes::{WeekTheme, week_theme, week_themes};
pub use upset::{GoingOn, Remedy, advised, remedies};
pub use why::{Alternative, BlockWhy, why_block, why_skill};
