//! What the store keeps, what it refuses, and what it leaves alone.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

mod academy;
mod clubs;
mod concurrent;
mod editions;
mod facts;
mod home;
mod invitations;
mod keeping;
mod letters;
mod levels;
mod library;
mod milestones;
mod people;
mod places;
mod season_changes;
mod seasons;
mod sessions;
mod settings;
mod squad;
mod team_plans;
mod upgrade;
