//! Simulation: what could have happened?
//!
//! Seeded players and sessions for the demo academy, so that every screen has something true to show. Each player has a
//! knack (standard normal); a result lies around the middle of the Building and Secure range, moved by knack, practice
//! and luck, and lower for the other foot.

use jiff::civil::date;
use rand::RngExt;

use crate::academy::roster::{BirthMonth, NewPlayer};
use crate::assessment::benchmarks::{SEEN, Test};
use crate::assessment::levels::Thresholds;
use crate::delivery::Outcome;
use crate::statistics::chance::Chance;
use crate::technique::skill::Side;
use crate::units::Minutes;

impl Chance {
    /// An invented name, put together from syllables.
    pub fn name(&mut self) -> String {
        const BEGIN: [&str; 14] =
            ["Ar", "Bri", "Cal", "Dov", "Fen", "Gar", "Hal", "Jor", "Ke", "Lor", "Nel", "Pel", "Sel", "Tam"];
        const END: [&str; 8] = ["a", "en", "in", "o", "ik", "ya", "el", "un"];
        const PLACE: [&str; 12] =
            ["Skar", "Holm", "Voe", "Stack", "Norn", "Gair", "Lund", "Torr", "Brin", "Sull", "Merr", "Pell"];
        const TAIL: [&str; 7] = ["ay", "ock", "ett", "by", "wick", "stay", "dale"];
        format!("{}{} {}{}", self.pick(&BEGIN), self.pick(&END), self.pick(&PLACE), self.pick(&TAIL))
    }

    /// A player of a band whose youngest were born from this year on.
    pub fn player(&mut self, born: i16) -> NewPlayer {
        let name = self.name();
        let (year, month) = (born + self.0.random_range(0..2), self.0.random_range(1..=12));
        let strong_foot = if self.0.random::<f64>() < 0.22 { Side::Left } else { Side::Right };
        NewPlayer { name, birth_month: BirthMonth::of(date(year, month, 1)), strong_foot }
    }

    /// What a coach says of a block; a strict keeper of the clock cuts fewer short.
    pub fn outcome(&mut self, keeping: f64, planned: Minutes) -> (Outcome, Option<Minutes>) {
        let luck: f64 = self.0.random();
        if luck < keeping {
            (Outcome::Done, None)
        } else if luck < keeping + 0.6 * (1.0 - keeping) {
            (Outcome::Short, Some(Minutes(planned.0.div_ceil(2))))
        } else {
            (Outcome::Skipped, None)
        }
    }

    /// One trial of a player with this knack on this side, after some practice (0 none, 1 a whole curriculum).
    pub fn trial(
        &mut self,
        test: &Test,
        standard: &Thresholds,
        knack: f64,
        other_foot: bool,
        practice: f64,
    ) -> f64 {
        let middle = (standard.building + standard.secure) / 2.0;
        let spread = (standard.stretching - standard.building) / 3.0;
        let foot = if other_foot { -0.8 } else { 0.0 };
        let luck = 0.35 * self.normal();
        // The spread carries the sign: where less is better, it points down.
        let value = middle + spread * (knack + 0.9 * practice + foot + luck);
        let step = test.protocol.step();
        let read = ((value / step).round() * step * 1e6).round() / 1e6;
        read.clamp(test.least, test.most)
    }

    /// What was seen of this many points, if it sums up to this.
    pub fn marks(&mut self, points: usize, sum: f64) -> Vec<u8> {
        let mut marks = vec![0; points];
        let mut left = (sum as usize).min(points * usize::from(SEEN));
        while left > 0 {
            let point = self.0.random_range(0..points);
            if marks[point] < SEEN {
                marks[point] += 1;
                left -= 1;
            }
        }
        marks
    }
}
