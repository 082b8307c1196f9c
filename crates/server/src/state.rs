//! What every request can reach.

use std::fmt;

use actix_web::cookie::Key;
use jiff::civil::Date;
use jiff::tz::TimeZone;
use jogo_core::ids::BandId;
use jogo_store::Store;

use crate::clock::Clock;
use crate::post::transport::Post;
use crate::problem::{Answer, Problem};
use crate::searches::Searches;
use crate::serving::answers::Answers;
use crate::serving::measures::Measures;
use crate::serving::reached::Reached;
use crate::serving::tried::Tried;
use crate::sign_in::beginning::Beginning;
use crate::sign_in::tries::Tries;
use crate::timing_gates::Timing;
use crate::views::repeatability::{Known, Repeats};
use crate::worked_out::{Aside, Stamp};

/// The academy that is served.
pub struct State {
    /// What is remembered.
    pub store: Store,
    /// What time it is.
    pub clock: Clock,
    /// Signs cookies.
    pub key: Key,
    /// Whether this is the demo.
    pub demo: bool,
    /// How letters leave.
    pub post: Post,
    /// Timing gates that are joined.
    pub timing: Timing,
    /// How well each test repeats itself.
    pub repeats: Repeats,
    /// Wrong passwords of late.
    pub tries: Tries,
    /// The secret with which an academy is begun.
    pub beginning: Beginning,
    /// Better plans that are looked for.
    pub searches: Searches,
    /// What takes long and is worked out aside.
    pub aside: Aside,
    /// How Jogo is reached.
    pub reached: Reached,
    /// Answers that are kept for a moment.
    pub answers: Answers,
    /// What is measured.
    pub measures: Measures,
    /// Whether the database could be written of late.
    pub tried: Tried,
}

impl State {
    /// Brings the parts together.
    pub fn new(store: Store, clock: Clock, key: Key, demo: bool, post: Post) -> State {
        let (timing, repeats, tries, beginning, searches, reached) = Default::default();
        let (measures, tried, aside, answers) = Default::default();
        State {
            store,
            clock,
            key,
            demo,
            post,
            timing,
            repeats,
            tries,
            beginning,
            searches,
            aside,
            reached,
            answers,
            measures,
            tried,
        }
    }

    /// The academy's time zone.
    pub async fn zone(&self) -> Answer<TimeZone> {
        match self.store.time_zone().await? {
            Some(name) => TimeZone::get(&name).map_err(|e| Problem::internal(&e)),
            None => Ok(TimeZone::UTC),
        }
    }

    /// Today in the academy's time zone.
    pub async fn today(&self) -> Answer<Date> {
        Ok(self.clock.today(&self.zone().await?))
    }

    /// What a result follows from that is worked out aside: the day, what directors have set for all and what
    /// else was `set`, and all that was measured and logged.
    pub async fn stamp(&self, set: &impl fmt::Debug) -> Answer<Stamp> {
        let set = (format!("{set:?}"), self.today().await?, self.store.changes_set().await?);
        Ok(Stamp::of(&set, self.store.changes_shown().await?))
    }

    /// How well the tests of a band repeat themselves by today.
    pub async fn repeatability(&self, band: &BandId) -> Answer<Known> {
        self.repeats.of(&self.store, band, self.today().await?).await
    }
}
