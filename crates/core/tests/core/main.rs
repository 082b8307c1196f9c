//! The rules and the computation from outside, in one program: the core is linked once for all of them.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

mod came_off;
mod changes;
mod curriculum;
mod days_off;
mod delivery;
mod demo;
mod eyes_on;
mod feet;
mod grouping;
mod hinges;
mod home;
mod laws;
mod layout;
mod library;
mod lint;
mod milestones;
mod next_time;
mod plan;
mod presence;
mod progress;
mod progression;
mod running_order;
mod score;
mod season_change;
mod series;
mod session_log;
mod simulate;
mod surfaces;
mod team_plan;
mod year_sheet;
