//! Tests: what is measured, and how?

use serde::{Deserialize, Serialize};

use crate::skill::SkillId;

/// The name by which a test is known in files and addresses, as `four-cuts`.
pub type TestId = String;

/// What is recorded in one trial.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub enum Protocol {
    /// How many in so many seconds; a whole number, higher is better.
    Count {
        /// The time.
        seconds: u32,
    },
    /// Seconds for a course, to 0.01; lower is better.
    Course {
        /// Seconds added for each marker that was missed.
        penalty_s: f64,
    },
}

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
    pub fn better(self) -> Better {
        match self {
            Protocol::Count { .. } => Better::Higher,
            Protocol::Course { .. } => Better::Lower,
        }
    }

    /// The smallest difference that is recorded.
    pub fn step(self) -> f64 {
        match self {
            Protocol::Count { .. } => 1.0,
            Protocol::Course { .. } => 0.01,
        }
    }

    /// The word behind a result.
    pub fn unit(self) -> &'static str {
        match self {
            Protocol::Count { .. } => "",
            Protocol::Course { .. } => "s",
        }
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
}

impl Test {
    /// Checks a value: in range, and recorded as finely as the protocol says. The error says the range.
    pub fn value(&self, value: f64) -> Result<f64, String> {
        let step = self.protocol.step();
        let steps = (value / step).round();
        if !value.is_finite() || value < self.least || value > self.most {
            return Err(format!(
                "{value} is out of range: {} lies between {} and {}",
                self.name, self.least, self.most
            ));
        }
        if (value / step - steps).abs() > 1e-6 {
            return Err(format!("{value} is finer than this test is read: give it to {step}"));
        }
        Ok(steps * step)
    }

    /// The result of a date's trials; nothing if there are none.
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

#[cfg(test)]
mod cases {
    use super::*;
    use rstest::rstest;

    fn test(protocol: Protocol, summary: Summary) -> Test {
        Test {
            id: "t".into(),
            name: "Weave".into(),
            short: "Weave".into(),
            how: String::new(),
            skill: "weave".into(),
            protocol,
            per_side: false,
            trials: 3,
            summary,
            least: 5.0,
            most: 60.0,
        }
    }
    const COUNT: Protocol = Protocol::Count { seconds: 30 };
    const COURSE: Protocol = Protocol::Course { penalty_s: 1.0 };

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
    #[case::below(COUNT, 4.0, Err("4 is out of range: Weave lies between 5 and 60"))]
    #[case::above(COUNT, 61.0, Err("61 is out of range: Weave lies between 5 and 60"))]
    #[case::not_a_number(COUNT, f64::NAN, Err("NaN is out of range: Weave lies between 5 and 60"))]
    #[case::half_a_touch(COUNT, 7.5, Err("7.5 is finer than this test is read: give it to 1"))]
    #[case::hundredths(COURSE, 9.41, Ok(9.41))]
    fn a_value_is_taken_or_refused(
        #[case] protocol: Protocol,
        #[case] value: f64,
        #[case] says: Result<f64, &str>,
    ) {
        assert_eq!(test(protocol, Summary::Best).value(value), says.map_err(str::to_owned));
    }
}
