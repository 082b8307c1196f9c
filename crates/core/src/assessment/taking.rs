//! Taking a test: how long does it take a squad?
//!
//! Players work in turn. In most tests one player works and a partner counts, so half of the squad is at it at a time;
//! a course is run by one player for each adult who times; points are looked at in two players for each adult. A trial
//! takes as long as its protocol says, or as long as is assumed here, and its result is written down. A player's rest
//! passes while others are at it.
//!
//! minutes = ⌈(explaining + turns × trials × (trial + writing) + what is left of the rests) ÷ 60⌉, where trials are
//! counted on each side. Everything here but what the protocol says is an assumption; a director may say otherwise.

use crate::assessment::benchmarks::{Protocol, Test};
use crate::units::Minutes;

/// Said before anybody begins, in seconds.
const EXPLAINING_S: u32 = 60;
/// Writing down one result and changing over, in seconds.
const WRITING_S: u32 = 10;
/// One run over a course, in seconds.
const COURSE_S: u32 = 20;
/// A streak until it breaks, in seconds; few come to its cap.
const STREAK_S: u32 = 30;
/// One try or one service, in seconds.
const TRY_S: u32 = 6;
/// One carry and measuring it, in seconds.
const DISTANCE_S: u32 = 15;
/// Looking at one player, in seconds.
const LOOKING_S: u32 = 30;

impl Test {
    /// How long it takes a squad with this many adults, to the next whole minute; of an empty squad, explaining it.
    ///
    /// ```
    /// # let tests: Vec<jogo_core::assessment::benchmarks::Test> =
    /// #     serde_json::from_str(include_str!("../../../../demo/tests.json")).unwrap();
    /// # let test = |id: &str| tests.iter().find(|test| test.id == *id).unwrap();
    /// use jogo_core::units::Minutes;
    /// // Two turns of half a minute and what is written: 60 + 2 × 40 s.
    /// assert_eq!(test("toe-taps-30").takes(14, 2), Minutes(3));
    /// // Two run at a time, seven turns of two runs with each foot: 60 + 7 × 4 × 30 s.
    /// assert_eq!(test("weave-time").takes(14, 2), Minutes(15));
    /// ```
    pub fn takes(&self, squad: u32, adults: u32) -> Minutes {
        let adults = adults.max(1);
        let (trial, at_once) = match &self.protocol {
            Protocol::Count { seconds } => (*seconds, squad.div_ceil(2)),
            Protocol::Course { .. } => (COURSE_S, adults),
            Protocol::Streak { .. } => (STREAK_S, squad.div_ceil(2)),
            Protocol::Hits { of } => (of * TRY_S, squad.div_ceil(2)),
            Protocol::Bounces { services, .. } => (services * TRY_S, squad.div_ceil(2)),
            Protocol::Distance { .. } => (DISTANCE_S, squad.div_ceil(2)),
            Protocol::Points { .. } => (LOOKING_S, 2 * adults),
        };
        let turns = squad.div_ceil(at_once.max(1));
        let trials = self.trials * if self.per_side { 2 } else { 1 };
        let each = trial + WRITING_S;
        let others = turns.saturating_sub(1) * each;
        let rests = trials.saturating_sub(1) * (self.rest_s.0.max(0.0) as u32).saturating_sub(others);
        Minutes((EXPLAINING_S + turns * trials * each + rests).div_ceil(60))
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::assessment::benchmarks::{Better, plain};
    use crate::units::Seconds;
    use rstest::rstest;

    // By hand: seconds = 60 + turns × trials × (trial + 10) + rests not passed by others.
    #[rstest]
    #[case::half_count(Protocol::Count { seconds: 30 }, 1, false, 0.0, (15, 1), 3)] // 60 + 2·40 = 140
    #[case::each_foot_twice(Protocol::Hits { of: 10 }, 2, true, 0.0, (14, 2), 11)] // 60 + 2·4·70 = 620
    #[case::one_runs_at_a_time(Protocol::Course { penalty_s: 1.0 }, 1, false, 0.0, (12, 1), 7)] // 60 + 12·30 = 420
    #[case::four_are_looked_at(Protocol::Points { points: vec![] }, 1, false, 0.0, (14, 2), 4)] // 60 + 4·40 = 220
    #[case::two_services_a_turn(Protocol::Bounces { services: 5, cap: 6 }, 1, true, 0.0, (10, 1), 4)] // 60 + 2·2·40
    #[case::metres(Protocol::Distance { better: Better::Higher }, 2, false, 0.0, (8, 1), 3)]
    // 60 + 2·2·25 = 160
    // One turn of the partner, 40 s, passes while a player rests 60 s: 20 s are left, once. 60 + 2·2·40 + 20 = 240.
    #[case::a_rest_is_partly_passed(Protocol::Streak { cap: 20 }, 2, false, 60.0, (14, 1), 4)]
    #[case::a_rest_is_passed(Protocol::Course { penalty_s: 1.0 }, 2, false, 60.0, (12, 2), 7)] // 60 + 6·2·30 = 420
    #[case::nobody(Protocol::Count { seconds: 30 }, 1, false, 0.0, (0, 0), 1)]
    fn a_squad_takes_its_turns(
        #[case] protocol: Protocol,
        #[case] trials: u32,
        #[case] per_side: bool,
        #[case] rest: f64,
        #[case] (squad, adults): (u32, u32),
        #[case] minutes: u32,
    ) {
        let rest_s = Seconds(rest);
        let test = Test { trials, rest_s, ..plain("test", protocol, per_side, 100.0) };
        assert_eq!(test.takes(squad, adults), Minutes(minutes));
    }
}
