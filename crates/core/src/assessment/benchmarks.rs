//! Tests: what is measured, and how?

use serde::{Deserialize, Serialize};

use crate::fact::{Fact, facts};
use crate::ground::layout::Layout;
use crate::ids::{SkillId, TestId};
use crate::input::{InputError, RangeFault, What, short_text};
use crate::statistics::interval::Interval;
use crate::units::{Pace, Seconds};

/// What is recorded in one trial.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub enum Protocol {
    /// How many in this many seconds; a whole number, higher is better.
    Count {
        /// The time.
        seconds: u32,
    },
    /// Seconds for a course, to 0.01; lower is better.
    Course {
        /// Seconds added for each marker that was missed.
        penalty_s: f64,
    },
    /// How many in a row, as touches in the air; a whole number, higher is better.
    Streak {
        /// Nobody goes on beyond this.
        cap: u32,
    },
    /// How many of this many tries; higher is better.
    Hits {
        /// Tries.
        of: u32,
    },
    /// Bounces before the ball is under control, the mean over some services; lower is better.
    Bounces {
        /// Services of one trial.
        services: u32,
        /// More bounces than this in one service are counted as this.
        cap: u32,
    },
    /// Metres, to 0.1.
    Distance {
        /// Whether far or near is better.
        better: Better,
    },
    /// What is seen of each point: 0 no, 1 partly, 2 yes. The result is the sum; higher is better.
    Points {
        /// The points, in the order in which they are looked at.
        points: Vec<String>,
    },
}

/// The mark of a point that was seen in full.
pub const SEEN: u8 = 2;

/// Which results are better.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Better {
    /// More.
    Higher,
    /// Less.
    Lower,
}

impl Protocol {
    /// Which results are better.
    pub fn better(&self) -> Better {
        match self {
            Protocol::Course { .. } | Protocol::Bounces { .. } => Better::Lower,
            Protocol::Distance { better } => *better,
            _ => Better::Higher,
        }
    }

    /// The smallest difference that is recorded.
    pub fn step(&self) -> f64 {
        match self {
            Protocol::Course { .. } => 0.01,
            Protocol::Distance { .. } => 0.1,
            Protocol::Bounces { .. } => 1.0 / f64::from(self.parts()),
            _ => 1.0,
        }
    }

    /// How many values are entered together and divided by their number: bounces are counted over all services.
    pub fn parts(&self) -> u32 {
        match self {
            Protocol::Bounces { services, .. } => (*services).max(1),
            _ => 1,
        }
    }

    /// The word behind a result.
    pub fn unit(&self) -> &'static str {
        match self {
            Protocol::Course { .. } => "s",
            Protocol::Distance { .. } => "m",
            _ => "",
        }
    }

    /// Whether the smallest and the largest value follow from the protocol alone: hits of ten are 0 to 10.
    pub fn decides_range(&self) -> bool {
        self.range().1.is_finite()
    }

    /// The range that the protocol itself allows.
    pub fn range(&self) -> (f64, f64) {
        match self {
            Protocol::Streak { cap } | Protocol::Bounces { cap, .. } => (0.0, f64::from(*cap)),
            Protocol::Hits { of } => (0.0, f64::from(*of)),
            Protocol::Points { points } => (0.0, f64::from(SEEN) * points.len() as f64),
            _ => (0.0, f64::INFINITY),
        }
    }

    fn faults(&self) -> Option<(&'static str, Fact)> {
        let range = |key, fault: RangeFault| (!fault.holds()).then(|| (key, Fact::from(fault)));
        let between = |key, n: u32, least: u32, most: u32| {
            range(key, RangeFault::Between { value: n.into(), least: least.into(), most: most.into() })
        };
        match self {
            Protocol::Count { seconds } => between("seconds", *seconds, 5, 600),
            Protocol::Course { penalty_s } => {
                range("penalty_s", RangeFault::Seconds { value: *penalty_s, least: 0.0, most: 30.0 })
            }
            Protocol::Streak { cap } => between("cap", *cap, 2, 1000),
            Protocol::Hits { of } => between("of", *of, 2, 50),
            Protocol::Bounces { services, cap } => {
                between("services", *services, 1, 20).or_else(|| between("cap", *cap, 1, 20))
            }
            Protocol::Distance { .. } => None,
            Protocol::Points { points } => {
                let number = between("points", points.len() as u32, 1, 12);
                number.or_else(|| {
                    let fault = points.iter().find_map(|point| short_text(point, 80, What::Point).err());
                    fault.map(|fault| ("points", fault.into()))
                })
            }
        }
    }
}

facts! {
    /// What is wrong with a test, or with what was measured in it.
    pub enum TestFault {
        Range = "test-range" { from: f64, to: f64, least: f64, most: f64 },
        OtherProtocol = "test-other-protocol",
        OtherFeet = "test-other-feet",
        NoPoints = "test-no-points" { test: String },
        Marks = "test-marks" { test: String, marks: usize, points: usize },
        NoSuchMark = "test-no-such-mark" { mark: u8 },
        OutOfRange = "result-out-of-range" { test: String, value: f64, least: f64, most: f64 },
        TooFine = "test-too-fine" { value: f64, step: f64 },
        ScoreWithoutCount = "test-score-without-count",
        ScoreOpens = "test-score-opens",
        ScoreWithoutTouch = "test-score-without-touch",
    }
}

/// How the valid trials of one date become a result.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Summary {
    /// The best trial.
    Best,
    /// Their mean.
    Mean,
    /// Their median.
    Median,
}

/// What adds one to a count.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Counted {
    /// Every touch.
    Touches,
    /// The whole round.
    Rounds,
}

/// What a test counts, beat by beat.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct CountedScore {
    /// As a touch score; `do skill toe-taps` is the score of that skill.
    pub text: String,
    /// What adds one to the count.
    pub counted: Counted,
}

/// A measured benchmark.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Test {
    /// As `four-cuts`.
    pub id: TestId,
    /// As a coach says it.
    pub name: String,
    /// As it stands in a narrow table.
    pub short: String,
    /// How it is taken, in one or two sentences.
    pub how: String,
    /// The skill that it shows.
    pub skill: SkillId,
    /// What is recorded.
    pub protocol: Protocol,
    /// Whether each foot is measured on its own.
    pub per_side: bool,
    /// Trials on one date, per side.
    pub trials: u32,
    /// How they become one result.
    pub summary: Summary,
    /// Smallest value that can be true.
    pub least: f64,
    /// Largest value that can be true.
    pub most: f64,
    /// Rest between two trials of one player.
    #[serde(default, skip_serializing_if = "is_zero")]
    pub rest_s: Seconds,
    /// The markers, in the layout notation; empty if there is nothing to lay out.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub layout: String,
    /// What a count counts, beat by beat, if results are to show their tempo.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub score: Option<CountedScore>,
}

fn is_zero(seconds: &Seconds) -> bool {
    seconds.0 == 0.0
}

/// A result further from a player's own last one than this many typical errors asks "sure?".
pub const SURE_ERRORS: f64 = 4.0;

impl Test {
    /// The longest name, in characters.
    pub const LONGEST_NAME: usize = 60;
    /// The longest short name, in characters.
    pub const LONGEST_SHORT: usize = 16;
    /// The longest text on how it is done, in characters.
    pub const LONGEST_HOW: usize = 400;

    /// The same test from the smallest to the largest value that its protocol allows, where the protocol decides them.
    pub fn in_its_range(mut self) -> Test {
        if self.protocol.decides_range() {
            (self.least, self.most) = self.protocol.range();
        }
        self
    }

    /// Every fault, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        let mut wrong = |at: &str, fact: Fact| faults.push(InputError::at(at, fact));
        for (at, what, text, longest) in [
            ("/name", What::Name, &self.name, Test::LONGEST_NAME),
            ("/short", What::ShortName, &self.short, Test::LONGEST_SHORT),
            ("/how", What::Instruction, &self.how, Test::LONGEST_HOW),
        ] {
            if let Err(fault) = short_text(text, longest, what) {
                wrong(at, fault.into());
            }
        }
        if let Some((key, fault)) = self.protocol.faults() {
            wrong(&format!("/protocol/{key}"), fault);
        }
        let numbers = [
            ("/trials", RangeFault::Between { value: self.trials.into(), least: 1.0, most: 10.0 }),
            ("/rest_s", RangeFault::Seconds { value: self.rest_s.0, least: 0.0, most: 600.0 }),
        ];
        for (at, fault) in numbers.into_iter().filter(|(_, fault)| !fault.holds()) {
            wrong(at, fault.into());
        }
        let (least, most) = self.protocol.range();
        if !(self.least >= least && self.least < self.most && self.most <= most.min(10_000.0)) {
            let (from, to, most) = (self.least, self.most, most.min(10_000.0));
            wrong("/least", TestFault::Range { from, to, least, most }.into());
        }
        if !self.layout.is_empty()
            && let Err(found) = Layout::read(&self.layout, Pace::default())
        {
            found.into_iter().for_each(|fault| wrong("/layout", fault.into()));
        }
        faults
    }

    /// Why a test that has results cannot become another: what was measured then would not be what is measured now.
    ///
    /// Words, trials, range, rest and layout may change; what is recorded, and whether each foot is measured, may not.
    /// Points may be said in other words, but none comes or goes.
    ///
    /// ```
    /// use jogo_core::assessment::benchmarks::{Protocol, Summary, Test};
    /// use jogo_core::units::Seconds;
    ///
    /// let taps = Test {
    ///     id: "taps".parse().unwrap(), name: "Taps".into(), short: "Taps".into(),
    ///     how: "Sole on the ball, in turn".into(),
    ///     skill: "toe-taps".parse().unwrap(), protocol: Protocol::Count { seconds: 30 }, per_side: false,
    ///     trials: 2, summary: Summary::Best, least: 0.0, most: 120.0, rest_s: Seconds(30.0), layout: String::new(),
    ///     score: None,
    /// };
    /// let shorter = Test { protocol: Protocol::Count { seconds: 20 }, ..taps.clone() };
    /// assert_eq!(taps.unlike(&shorter)[0].pointer, "/protocol");
    /// assert!(taps.unlike(&Test { trials: 3, ..taps.clone() }).is_empty());
    /// ```
    pub fn unlike(&self, next: &Test) -> Vec<InputError> {
        let kept = match (&self.protocol, &next.protocol) {
            (Protocol::Points { points: now }, Protocol::Points { points: next }) => now.len() == next.len(),
            (now, next) => now == next,
        };
        let mut faults = Vec::new();
        if !kept {
            faults.push(InputError::at("/protocol", TestFault::OtherProtocol));
        }
        if self.per_side != next.per_side {
            faults.push(InputError::at("/per_side", TestFault::OtherFeet));
        }
        faults
    }

    /// Checks what was seen of each point, and sums it up.
    pub fn marked(&self, marks: &[u8]) -> Result<f64, TestFault> {
        let Protocol::Points { points } = &self.protocol else {
            return Err(TestFault::NoPoints { test: self.name.clone() });
        };
        if marks.len() != points.len() {
            return Err(TestFault::Marks {
                test: self.name.clone(),
                marks: marks.len(),
                points: points.len(),
            });
        }
        if let Some(mark) = marks.iter().find(|mark| **mark > SEEN) {
            return Err(TestFault::NoSuchMark { mark: *mark });
        }
        Ok(marks.iter().map(|mark| f64::from(*mark)).sum())
    }

    /// The values that need no question after a player's last result: within [`SURE_ERRORS`] typical errors of it.
    ///
    /// A value outside is kept if it is confirmed.
    pub fn unsurprising(&self, last: f64, typical_error: f64) -> Interval {
        let off = SURE_ERRORS * typical_error;
        Interval { low: last - off, high: last + off }
    }

    /// Checks a value: in range, and recorded as finely as the protocol says. The error says the range.
    pub fn value(&self, value: f64) -> Result<f64, TestFault> {
        let step = self.protocol.step();
        let steps = (value / step).round();
        if !value.is_finite() || value < self.least || value > self.most {
            let (test, least, most) = (self.name.clone(), self.least, self.most);
            return Err(TestFault::OutOfRange { test, value, least, most });
        }
        if (value / step - steps).abs() > 1e-6 {
            return Err(TestFault::TooFine { value, step });
        }
        // Whole steps of a fifth or a hundredth end in a row of nines: said as finely as a value is written.
        Ok((steps * step * 1e6).round() / 1e6)
    }

    /// The result of a date's trials; `None` if there are none.
    ///
    /// The median of an even number of trials is the mean of the middle two.
    pub fn result(&self, trials: &[f64]) -> Option<f64> {
        let mut sorted = trials.to_vec();
        sorted.sort_by(f64::total_cmp);
        let (first, last) = (*sorted.first()?, *sorted.last()?);
        let n = sorted.len();
        Some(match (self.summary, self.protocol.better()) {
            (Summary::Best, Better::Higher) => last,
            (Summary::Best, Better::Lower) => first,
            (Summary::Mean, _) => sorted.iter().sum::<f64>() / n as f64,
            (Summary::Median, _) => (sorted[(n - 1) / 2] + sorted[n / 2]) / 2.0,
        })
    }
}

/// A test that is as plain as can be, for the tests of other modules.
#[cfg(test)]
pub(crate) fn plain(id: &str, protocol: Protocol, per_side: bool, most: f64) -> Test {
    Test {
        id: crate::ids::called(id),
        name: format!("The {id}"),
        short: id.into(),
        how: "As always".into(),
        skill: crate::ids::called("taps"),
        protocol,
        per_side,
        trials: 2,
        summary: Summary::Best,
        least: 0.0,
        most,
        rest_s: Seconds(0.0),
        layout: String::new(),
        score: None,
    }
}

#[cfg(test)]
mod cases {
    use super::*;
    use rstest::rstest;

    fn test(protocol: Protocol, summary: Summary) -> Test {
        Test { name: "Weave".into(), summary, least: 5.0, ..plain("t", protocol, false, 60.0) }
    }
    const COUNT: Protocol = Protocol::Count { seconds: 30 };
    const COURSE: Protocol = Protocol::Course { penalty_s: 1.0 };
    const BOUNCES: Protocol = Protocol::Bounces { services: 5, cap: 60 };
    const CARRY: Protocol = Protocol::Distance { better: Better::Higher };

    fn chest() -> Protocol {
        Protocol::Points { points: vec!["knees bent".into(), "arms wide".into(), "ball drops dead".into()] }
    }

    #[rstest]
    #[case::count(COUNT, Better::Higher, 1.0)]
    #[case::course(COURSE, Better::Lower, 0.01)]
    #[case::bounces(BOUNCES, Better::Lower, 0.2)]
    #[case::carried(CARRY, Better::Higher, 0.1)]
    #[case::nearest(Protocol::Distance { better: Better::Lower }, Better::Lower, 0.1)]
    #[case::points(chest(), Better::Higher, 1.0)]
    fn a_protocol_says_what_is_better_and_how_finely(
        #[case] protocol: Protocol,
        #[case] better: Better,
        #[case] step: f64,
    ) {
        assert_eq!((protocol.better(), protocol.step()), (better, step));
    }

    #[rstest]
    #[case::all(&[2, 1, 0], Ok(3.0))]
    #[case::one_missing(&[2, 1], Err("test-marks test=Weave marks=2 points=3"))]
    #[case::too_much(&[2, 3, 0], Err("test-no-such-mark mark=3"))]
    fn points_are_summed(#[case] marks: &[u8], #[case] says: Result<f64, &str>) {
        let summed = test(chest(), Summary::Best).marked(marks);
        assert_eq!(summed.map_err(|fault| format!("{:?}", Fact::from(fault))), says.map_err(str::to_owned));
    }

    #[rstest]
    #[case::more_than_the_points(|t: &mut Test| t.protocol = chest(), "/least", "test-range from=5 to=60 least=0 most=6")]
    #[case::backwards(|t: &mut Test| t.least = 70.0, "/least", "test-range from=70 to=60 least=0 most=10000")]
    #[case::no_trial(|t: &mut Test| t.trials = 0, "/trials", "range-between value=0 least=1 most=10")]
    #[case::no_time(
        |t: &mut Test| t.protocol = Protocol::Count { seconds: 0 }, "/protocol/seconds", "range-between value=0 least=5 most=600",
    )]
    #[case::no_such_walk(|t: &mut Test| t.layout = "fly".into(), "/layout", "layout-fault-mendable line=1 column=1")]
    fn a_test_says_what_is_wrong(#[case] spoil: fn(&mut Test), #[case] at: &str, #[case] says: &str) {
        let mut test = test(COUNT, Summary::Best);
        assert_eq!(test.faults(), []);
        spoil(&mut test);
        let faults = test.faults();
        assert!(
            faults.len() == 1 && faults[0].pointer == at && format!("{:?}", faults[0].fact).starts_with(says),
            "{faults:?}"
        );
    }

    #[rstest]
    #[case::most_counted(COUNT, Summary::Best, &[7.0, 11.0, 9.0], Some(11.0))]
    #[case::quickest(COURSE, Summary::Best, &[9.41, 8.9, 12.0], Some(8.9))]
    #[case::mean_of_two(COURSE, Summary::Mean, &[9.0, 10.0], Some(9.5))]
    #[case::middle_of_three(COURSE, Summary::Median, &[9.0, 30.0, 10.0], Some(10.0))]
    #[case::middle_of_four(COUNT, Summary::Median, &[6.0, 7.0, 10.0, 30.0], Some(8.5))]
    #[case::nothing_tried(COUNT, Summary::Best, &[], None)]
    fn trials_become_a_result(
        #[case] protocol: Protocol,
        #[case] summary: Summary,
        #[case] trials: &[f64],
        #[case] result: Option<f64>,
    ) {
        assert_eq!(test(protocol, summary).result(trials), result);
    }

    #[rstest]
    #[case::below(COUNT, 4.0, Err("result-out-of-range test=Weave value=4 least=5 most=60"))]
    #[case::above(COUNT, 61.0, Err("result-out-of-range test=Weave value=61 least=5 most=60"))]
    #[case::not_a_number(COUNT, f64::NAN, Err("result-out-of-range test=Weave value=NaN least=5 most=60"))]
    #[case::half_a_touch(COUNT, 7.5, Err("test-too-fine value=7.5 step=1"))]
    #[case::hundredths(COURSE, 9.41, Ok(9.41))]
    #[case::fifths(BOUNCES, 6.6, Ok(6.6))]
    #[case::no_fifth(BOUNCES, 6.5, Err("test-too-fine value=6.5 step=0.2"))]
    fn a_value_is_taken_or_refused(
        #[case] protocol: Protocol,
        #[case] value: f64,
        #[case] says: Result<f64, &str>,
    ) {
        let taken = test(protocol, Summary::Best).value(value);
        assert_eq!(taken.map_err(|fault| format!("{:?}", Fact::from(fault))), says.map_err(str::to_owned));
    }
}
