//! Drives Jogo as people use it: a server of its own on a fresh demo, and headless Chromium.
//!
//! | file | what it holds |
//! |---|---|
//! | `server.rs` | a server on a fresh demo, and gates that play into it |
//! | `browser.rs` | a browser with a screen, a profile and a network that can be lost |
//! | `person/` | somebody before it: what they see (`eyes.rs`) and what they do (`hands.rs`) |

mod browser;
mod person;
mod server;

use std::time::Duration;

pub use browser::{Browser, DESK, PHONE, Screen};
pub use person::{Person, Printed};
pub use server::{Server, simulated_gates};

/// The day at which tests and pictures hold the calendar.
pub const TODAY: &str = "2031-02-10";
/// How long a page may take to show something.
const PATIENCE: Duration = Duration::from_secs(30);
/// How soon it is looked at again.
const AGAIN: Duration = Duration::from_millis(100);

/// What can go wrong on the way.
pub type Failed = Box<dyn std::error::Error>;
