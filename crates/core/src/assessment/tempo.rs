//! Tempo: how long is a beat where a test counts a score, and what would no child of an age keep up?
//!
//! A test that counts names what it counts, beat by beat, and says whether each touch or each whole round is one. So a
//! result tells its tempo, and a threshold that asks for more than feet can do is found:
//!
//! | figure | how |
//! |---|---|
//! | rounds of a count | the count, or the count ÷ touches of a round where each touch is one |
//! | seconds of a beat | (time of the test ÷ rounds − times of flight) ÷ beats of a round |
//! | seconds of a touch | time of the test ÷ (rounds × touches of a round) |
//! | the shortest beat that can be asked for | ¾ of the band's fastest tempo, and never less than 0.2 s |
//!
//! ```
//! use jogo_core::assessment::benchmarks::{Counted, CountedScore};
//! use jogo_core::technique::score::tempo::BodySize;
//! use jogo_core::units::Seconds;
//!
//! let taps = CountedScore { text: "right inside tap, left inside tap".into(), counted: Counted::Touches };
//! let round = taps.round(Seconds(30.0), BodySize::default(), &[]).unwrap();
//! assert_eq!(round.beat(50.0), Some(Seconds(0.6))); // 30 ÷ 25 ÷ 2
//! assert_eq!(round.most_at(Seconds(0.4)), 75.0); // 30 ÷ 0.4
//! ```

use serde::Serialize;

use crate::academy::band::Band;
use crate::assessment::benchmarks::{Counted, CountedScore, Protocol, Test, TestFault};
use crate::assessment::levels::Thresholds;
use crate::assessment::standards::suggest::{StandardFault, quantile};
use crate::input::InputError;
use crate::progression::check::SkillFault;
use crate::technique::score::Score;
use crate::technique::score::measure::ClosingKind;
use crate::technique::score::play::round;
use crate::technique::score::tempo::{BodySize, Tempos};
use crate::technique::skill::Skill;
use crate::units::Seconds;

/// No child's beat is shorter than this.
const SHORTEST_BEAT: Seconds = Seconds(0.2);
/// Nor shorter than this share of the band's fast tempo.
const OF_THE_FASTEST: f64 = 0.75;

impl CountedScore {
    /// The round as children of that size play it, counted for this long; `None` if the score has faults.
    pub fn round(&self, within: Seconds, size: BodySize, skills: &[Skill]) -> Option<CountedRound> {
        let score = Score::read(&self.text, size, skills).ok()?;
        Some(CountedRound { score, counted: self.counted, within })
    }

    /// Every fault: those of the text, or a round that cannot be counted.
    fn faults(&self, skills: &[Skill]) -> Vec<InputError> {
        let at = |fault| InputError::at("/score/text", fault);
        match Score::read(&self.text, BodySize::default(), skills) {
            Err(faults) => faults.into_iter().map(|fault| InputError::at("/score/text", fault)).collect(),
            Ok(score) if score.round.touches().next().is_none() => vec![at(TestFault::ScoreWithoutTouch)],
            Ok(score) if score.closing().kind == ClosingKind::Opens => vec![at(TestFault::ScoreOpens)],
            Ok(_) => Vec::new(),
        }
    }
}

/// How long it takes from touch to touch at the thresholds of a test; none where nothing is counted.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct TouchTimes {
    /// Where Building begins.
    pub building: Option<Seconds>,
    /// Where Secure begins.
    pub secure: Option<Seconds>,
    /// Where Stretching begins.
    pub stretching: Option<Seconds>,
}

/// A round that a test counts for some time.
#[derive(Clone, Debug, PartialEq)]
pub struct CountedRound {
    score: Score,
    counted: Counted,
    within: Seconds,
}

impl CountedRound {
    fn touches_of_a_round(&self) -> f64 {
        f64::from(self.score.touches().all())
    }

    /// What one round adds to the count.
    fn a_round_counts(&self) -> f64 {
        match self.counted {
            Counted::Rounds => 1.0,
            Counted::Touches => self.touches_of_a_round(),
        }
    }

    /// The number of rounds in a count.
    fn rounds(&self, count: f64) -> f64 {
        count / self.a_round_counts()
    }

    /// How long a beat is at a count; `None` for no count, and where no beat could be that short.
    pub fn beat(&self, count: f64) -> Option<Seconds> {
        self.score.tempo_of(self.rounds(count), self.within)
    }

    /// How long it takes from touch to touch at a count; `None` for no count.
    pub fn touch(&self, count: f64) -> Option<Seconds> {
        let touches = self.rounds(count) * self.touches_of_a_round();
        (touches > 0.0).then(|| Seconds(self.within.0 / touches))
    }

    /// From touch to touch at the thresholds of a band.
    pub fn touches(&self, thresholds: &Thresholds) -> TouchTimes {
        let [building, secure, stretching] = thresholds.lines().map(|(_, count)| self.touch(count));
        TouchTimes { building, secure, stretching }
    }

    /// The largest whole count at a tempo.
    pub fn most_at(&self, beat: Seconds) -> f64 {
        let counted = self.within.0 / self.score.seconds(beat).0 * self.a_round_counts();
        // What is whole but for the arithmetic is whole.
        (counted + 1e-9).floor()
    }
}

impl Tempos {
    /// The shortest beat that can be asked of anybody.
    ///
    /// ```
    /// use jogo_core::{technique::score::tempo::Tempos, units::Seconds};
    /// assert_eq!(Tempos::up_to(13).shortest_to_ask(), Seconds(0.24)); // ¾ of 0.32
    /// let quick = Tempos { fast: Seconds(0.25), ..Tempos::up_to(11) };
    /// assert_eq!(quick.shortest_to_ask(), Seconds(0.2));
    /// ```
    pub fn shortest_to_ask(&self) -> Seconds {
        Seconds((self.fast.0 * OF_THE_FASTEST).max(SHORTEST_BEAT.0))
    }
}

impl Test {
    /// Every fault of the score that it counts, if it has one.
    pub fn score_faults(&self, skills: &[Skill]) -> Vec<InputError> {
        match (&self.score, &self.protocol) {
            (None, _) => Vec::new(),
            (Some(score), Protocol::Count { .. }) => score.faults(skills),
            (Some(_), _) => vec![InputError::at("/score", TestFault::ScoreWithoutCount)],
        }
    }

    /// The round that it counts, as a band plays it; `None` if it counts none, or one with faults.
    pub fn counted_round(&self, band: &Band, skills: &[Skill]) -> Option<CountedRound> {
        let Protocol::Count { seconds } = self.protocol else { return None };
        self.score.as_ref()?.round(Seconds(f64::from(seconds)), band.body_size(), skills)
    }

    /// The lowest threshold of a band that asks for a beat which no child of it keeps up, if there is one.
    pub fn too_fast(&self, band: &Band, thresholds: &Thresholds, skills: &[Skill]) -> Option<StandardFault> {
        let counted = self.counted_round(band, skills)?;
        let least = band.tempos().shortest_to_ask();
        let asked = |count: f64| if count > 0.0 { counted.beat(count).unwrap_or_default() } else { least };
        let (level, count) = thresholds.lines().into_iter().find(|(_, count)| asked(*count) < least)?;
        Some(StandardFault::TooFast {
            band: band.name.clone(),
            level,
            count,
            beat_s: round(asked(count).0, 1e3),
            least_s: round(least.0, 1e3),
            most: counted.most_at(least),
        })
    }
}

/// What keeps tests from being counted after a change of the skills: they play one that is gone, or that has faults.
pub fn broken_counts(tests: &[Test], skills: &[Skill]) -> Vec<SkillFault> {
    let broken = tests.iter().filter(|test| !test.score_faults(skills).is_empty());
    broken.map(|test| SkillFault::CountedBy { test: test.name.clone() }).collect()
}

/// The tempo that the results of a band show in a test.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MeasuredTempo {
    /// The median beat, to the hundredth of a second.
    #[serde(rename = "beat_s")]
    pub beat: Seconds,
    /// How many results that is: the latest of each player and side.
    pub results: u32,
}

/// Fewer results than this say nothing about a band.
const LEAST_RESULTS: usize = 10;

impl MeasuredTempo {
    /// Of results: the median of their beats; `None` if fewer than ten have one.
    pub fn of(counted: &CountedRound, results: &[f64]) -> Option<MeasuredTempo> {
        let mut beats: Vec<f64> = results.iter().filter_map(|count| Some(counted.beat(*count)?.0)).collect();
        beats.sort_by(f64::total_cmp);
        if beats.len() < LEAST_RESULTS {
            return None;
        }
        let middle = quantile(&beats, 0.5)?;
        Some(MeasuredTempo { beat: Seconds(round(middle, 100.0)), results: beats.len() as u32 })
    }
}

#[cfg(test)]
mod tests {
    use rstest::rstest;

    use super::*;
    use crate::assessment::benchmarks::plain;
    use crate::assessment::levels::Level;

    const TAPS: &str = "right inside tap, left inside tap";

    fn counting(text: &str, counted: Counted, protocol: Protocol) -> Test {
        let score = Some(CountedScore { text: text.into(), counted });
        Test { score, ..plain("t", protocol, false, 200.0) }
    }

    fn half_a_minute(text: &str, counted: Counted) -> Test {
        counting(text, counted, Protocol::Count { seconds: 30 })
    }

    fn band(id: &str) -> Band {
        let all: Vec<Band> = serde_json::from_str(include_str!("../../../../demo/bands.json")).unwrap();
        all.into_iter().find(|band| band.id == *id).unwrap()
    }

    // By hand: 60 touches of two a round are 30 rounds of 1 s, two beats each. Twelve rounds of the four-beat chain are
    // 48 beats in 30 s. A lift to the knee flies √(8 × 0.4 ÷ 9.81) = 0.5711 s, in place of its own beat: ten rounds of
    // 3 s leave 3 − 0.5711 for the one beat of the cushion.
    #[rstest]
    #[case::each_touch(TAPS, Counted::Touches, 60.0, 0.5, 0.5)]
    #[case::each_round(TAPS, Counted::Rounds, 30.0, 0.5, 0.5)]
    #[case::chains("repeat 2 { right inside tap, right outside tap }", Counted::Rounds, 12.0, 0.625, 0.625)]
    #[case::waiting("right inside tap, wait 2, left inside tap", Counted::Touches, 20.0, 0.75, 1.5)]
    #[case::flight("right laces lift knee, right laces cushion", Counted::Rounds, 10.0, 2.4289, 1.5)]
    fn a_count_tells_its_tempo(
        #[case] text: &str,
        #[case] counted: Counted,
        #[case] count: f64,
        #[case] beat: f64,
        #[case] touch: f64,
    ) {
        let round = half_a_minute(text, counted).counted_round(&band("u10-u12"), &[]).unwrap();
        let found = (round.beat(count).unwrap().0, round.touch(count).unwrap().0);
        assert!((found.0 - beat).abs() < 1e-4 && (found.1 - touch).abs() < 1e-9, "{found:?}");
        assert_eq!((round.beat(0.0), round.touch(0.0)), (None, None));
    }

    // U10–U12: ¾ of 0.38 s are 0.285 s, at which 105 touches (30 ÷ 0.285 = 105.3) or 52 rounds fit; U6–U7: ¾ of 0.55 s
    // are 0.4125 s, 72 touches.
    #[rstest]
    #[case::as_fast_as_can_be(Counted::Touches, "u10-u12", [40.0, 60.0, 105.0], None)]
    #[case::one_more(Counted::Touches, "u10-u12", [40.0, 60.0, 106.0], Some((Level::Stretching, 0.283, 0.285, 105.0)))]
    #[case::the_lowest_is_named(Counted::Touches, "u10-u12", [40.0, 110.0, 120.0], Some((Level::Secure, 0.273, 0.285, 105.0)))]
    #[case::rounds(Counted::Rounds, "u10-u12", [20.0, 40.0, 53.0], Some((Level::Stretching, 0.283, 0.285, 52.0)))]
    #[case::the_youngest(Counted::Touches, "u6-u7", [30.0, 60.0, 80.0], Some((Level::Stretching, 0.375, 0.413, 72.0)))]
    #[case::from_nothing_on(Counted::Touches, "u10-u12", [0.0, 1.0, 2.0], None)]
    fn a_threshold_that_no_feet_keep_up_is_found(
        #[case] counted: Counted,
        #[case] id: &str,
        #[case] at: [f64; 3],
        #[case] says: Option<(Level, f64, f64, f64)>,
    ) {
        let [building, secure, stretching] = at;
        let thresholds = Thresholds { building, secure, stretching };
        let found = half_a_minute(TAPS, counted).too_fast(&band(id), &thresholds, &[]);
        let said = found.map(|fault| match fault {
            StandardFault::TooFast { level, beat_s, least_s, most, .. } => (level, beat_s, least_s, most),
            other => panic!("{other:?}"),
        });
        assert_eq!(said, says);
    }

    #[test]
    fn a_round_of_flights_longer_than_the_time_is_found_too() {
        // Forty lifts over the head fly √(8 × 1.7 ÷ 9.81) = 1.177 s each, 47 s in all: no beat is short enough.
        let text = "repeat 20 { right laces lift over, left laces lift over }\nright laces cushion";
        let test = half_a_minute(text, Counted::Rounds);
        let found =
            test.too_fast(&band("u10-u12"), &Thresholds { building: 1.0, secure: 2.0, stretching: 3.0 }, &[]);
        assert!(
            matches!(found, Some(StandardFault::TooFast { level: Level::Building, beat_s: 0.0, .. })),
            "{found:?}"
        );
    }

    #[rstest]
    #[case::sound(TAPS, Protocol::Count { seconds: 30 }, &[])]
    #[case::no_count(TAPS, Protocol::Streak { cap: 50 }, &["/score test-score-without-count"])]
    #[case::opens("right inside strike", Protocol::Count { seconds: 30 }, &["/score/text test-score-opens"])]
    #[case::no_touch("right step ahead", Protocol::Count { seconds: 30 }, &["/score/text test-score-without-touch"])]
    #[case::no_such_skill("do skill juggling", Protocol::Count { seconds: 30 }, &["/score/text score-fault"])]
    fn what_cannot_be_counted_is_a_fault(
        #[case] text: &str,
        #[case] protocol: Protocol,
        #[case] says: &[&str],
    ) {
        let faults = counting(text, Counted::Touches, protocol).score_faults(&[]);
        let said: Vec<String> = faults.into_iter().map(|f| format!("{} {:?}", f.pointer, f.fact)).collect();
        assert!(
            said.len() == says.len() && said.iter().zip(says).all(|(said, says)| said.starts_with(says)),
            "{said:?}"
        );
    }

    #[test]
    fn a_skill_that_a_test_plays_keeps_its_score() {
        let mut skills: Vec<Skill> =
            serde_json::from_str(include_str!("../../../../demo/skills/ball_mastery.json")).unwrap();
        let tests = [half_a_minute("do skill toe-taps", Counted::Touches)];
        assert_eq!(broken_counts(&tests, &skills), []);
        skills.iter_mut().find(|skill| skill.id == "toe-taps").unwrap().score = None;
        assert_eq!(broken_counts(&tests, &skills), [SkillFault::CountedBy { test: "The t".into() }]);
    }

    // Python, statistics.median of 30 ÷ 40, 30 ÷ 42, …, 30 ÷ 58: 0.6125, said as 0.61. Nine results say nothing.
    #[test]
    fn results_show_the_tempo_of_the_one_in_the_middle() {
        let round = half_a_minute(TAPS, Counted::Touches).counted_round(&band("u10-u12"), &[]).unwrap();
        let results: Vec<f64> = (0..10).map(|i| 40.0 + 2.0 * f64::from(i)).collect();
        assert_eq!(
            MeasuredTempo::of(&round, &results),
            Some(MeasuredTempo { beat: Seconds(0.61), results: 10 })
        );
        assert_eq!(MeasuredTempo::of(&round, &results[1..]), None);
        assert_eq!(MeasuredTempo::of(&round, &[0.0; 12]), None);
    }
}
