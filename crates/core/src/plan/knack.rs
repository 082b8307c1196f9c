//! A squad's knack: do things come off more or less often for it than is expected?
//!
//! Coaches say of a block how many of ten tries came off. Each saying is held against what [`super::success`] expects
//! of that block. The knack θ is the number that, added to every expected logit, makes what was said the most likely,
//! where before any saying θ is thought to lie around 0 as a normal variable of variance 1 does, and what a coach sees
//! at a glance is worth as much as a beta-binomial count of precision 8:
//!
//! θ maximises −θ²/2 + Σ ln BetaBinomial(k | n = 10, α = 8p, β = 8(1 − p)), p = σ(logit + θ)
//!
//! Its interval of 90 % is θ ± 1.645 ÷ √(−curvature there). The variance and the precision are assumptions.
//!
//! ```
//! use jogo_core::plan::knack::{Glance, Knack};
//! // Seven of ten were expected (logit 0.847), and nine came off, three times.
//! let knack = Knack::of(&[Glance { expected: 0.847, tenths: 9 }; 3]);
//! assert!(knack.theta > 0.5 && knack.least < knack.theta && knack.theta < knack.most);
//! // Of whom nothing was said, nothing is known.
//! assert_eq!(Knack::of(&[]).theta, 0.0);
//! ```

use serde::Serialize;

use crate::units::Share;

/// How far the knacks of squads lie apart: the variance of the normal distribution that is thought of before.
pub const VARIANCE: f64 = 1.0;
/// What a glance of a coach is worth: the precision α + β of the beta distribution behind a count.
pub const PRECISION: f64 = 8.0;
/// Tries that a coach thinks of.
pub const TRIES: u8 = 10;
/// Standard deviations from the middle of a normal distribution to the ends of its middle 90 %.
const NINETY: f64 = 1.644_853_626_951_472_7;
/// No knack is looked for beyond this.
const FURTHEST: f64 = 8.0;

/// What a coach saw of one block.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Glance {
    /// The logit of the success that was expected of it.
    pub expected: f64,
    /// How many of ten tries came off, from 0 to 10; more count as 10.
    pub tenths: u8,
}

/// How much more often than expected things come off for a squad.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Knack {
    /// What is added to every expected logit; 0 until something was said.
    pub theta: f64,
    /// Where its interval of 90 % begins.
    pub least: f64,
    /// Where that interval ends.
    pub most: f64,
    /// Blocks of which it was said how much came off.
    pub logs: usize,
    /// What was expected of those blocks, on average.
    pub expected: Share,
    /// What came off, on average.
    pub came_off: Share,
}

impl Knack {
    /// The knack that glances tell of. Time: O(glances).
    pub fn of(glances: &[Glance]) -> Knack {
        let (mut below, mut above) = (-FURTHEST, FURTHEST);
        // The slope is positive at the lower end and negative at the upper one, by the prior alone.
        for _ in 0..60 {
            let middle = (below + above) / 2.0;
            match slope_and_curvature(glances, middle).0 > 0.0 {
                true => below = middle,
                false => above = middle,
            }
        }
        let theta = if glances.is_empty() { 0.0 } else { (below + above) / 2.0 };
        let curvature = slope_and_curvature(glances, theta).1;
        let half = NINETY / (-curvature).max(1.0 / VARIANCE).sqrt();
        let mean =
            |of: fn(&Glance) -> f64| Share(glances.iter().map(of).sum::<f64>() / glances.len().max(1) as f64);
        Knack {
            theta,
            least: theta - half,
            most: theta + half,
            logs: glances.len(),
            expected: mean(|glance| logistic(glance.expected)),
            came_off: mean(|glance| f64::from(glance.tenths.min(TRIES)) / f64::from(TRIES)),
        }
    }
}

fn logistic(logit: f64) -> f64 {
    1.0 / (1.0 + (-logit).exp())
}

/// The first and the second derivative of what is maximised. The logarithm of a beta-binomial probability is, but for a
/// constant, Σ ln(α + i) over the k that came off + Σ ln(β + i) over the n − k that did not.
fn slope_and_curvature(glances: &[Glance], theta: f64) -> (f64, f64) {
    let (mut slope, mut curvature) = (-theta / VARIANCE, -1.0 / VARIANCE);
    for glance in glances {
        let p = logistic(glance.expected + theta);
        let (alpha, beta) = (PRECISION * p, PRECISION * (1.0 - p));
        // How alpha grows with theta, and how that growth grows; beta shrinks alike.
        let grows = PRECISION * p * (1.0 - p);
        let (came_off, tries) = (glance.tenths.min(TRIES), TRIES);
        let inverse = |from: f64, i: u8| 1.0 / (from + f64::from(i));
        let off: f64 = (0..came_off).map(|i| inverse(alpha, i)).sum();
        let not: f64 = (0..tries - came_off).map(|i| inverse(beta, i)).sum();
        let off_again: f64 = (0..came_off).map(|i| inverse(alpha, i).powi(2)).sum();
        let not_again: f64 = (0..tries - came_off).map(|i| inverse(beta, i).powi(2)).sum();
        slope += grows * (off - not);
        curvature += grows * (1.0 - 2.0 * p) * (off - not) - grows.powi(2) * (off_again + not_again);
    }
    (slope, curvature)
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;
    use rstest::rstest;

    fn glances(of: &[(f64, u8)]) -> Vec<Glance> {
        of.iter().map(|(expected, tenths)| Glance { expected: *expected, tenths: *tenths }).collect()
    }

    // With mpmath at 40 digits: the logarithm of the posterior by the gamma function, its maximum by a grid and golden
    // sections, its curvature by differences.
    #[rstest]
    #[case::one_as_expected(&[(0.8473, 7)], [-0.058526, -1.172419, 1.055367])]
    #[case::one_above(&[(0.8473, 10)], [0.933342, -0.307287, 2.173970])]
    #[case::one_below(&[(0.8473, 2)], [-1.124641, -2.209376, -0.039906])]
    #[case::three_above(&[(0.8473, 9), (0.8473, 9), (0.8473, 9)], [0.692748, -0.142446, 1.527942])]
    #[case::mixed(&[(0.2, 8), (1.1, 7), (0.5, 9), (2.0, 8), (-0.4, 6)], [0.429765, -0.252171, 1.111700])]
    #[case::many_below(&[(1.5, 6); 20], [-1.100287, -1.418432, -0.782142])]
    #[case::all_came_off(&[(0.0, 10); 8], [2.867848, 2.009123, 3.726574])]
    #[case::nothing_came_off(&[(2.5, 0), (2.5, 0), (2.5, 0), (2.5, 0), (2.5, 0)], [-4.362886, -5.129855, -3.595918])]
    fn the_knack_is_where_what_was_said_is_most_likely(#[case] of: &[(f64, u8)], #[case] wanted: [f64; 3]) {
        let Knack { theta, least, most, .. } = Knack::of(&glances(of));
        for (found, wanted) in [theta, least, most].into_iter().zip(wanted) {
            assert!((found - wanted).abs() < 2e-6, "{found} against {wanted}");
        }
    }

    #[test]
    fn nothing_said_leaves_the_whole_range_of_before() {
        let knack = Knack::of(&[]);
        assert_eq!((knack.theta, knack.logs), (0.0, 0));
        assert!((knack.most - 1.6449).abs() < 1e-4 && (knack.least + 1.6449).abs() < 1e-4);
    }

    #[test]
    fn what_was_expected_and_what_came_off_are_averages() {
        let knack = Knack::of(&glances(&[(0.0, 8), (f64::ln(7.0 / 3.0), 5)]));
        assert!((knack.expected.0 - 0.6).abs() < 1e-9 && (knack.came_off.0 - 0.65).abs() < 1e-9);
    }

    proptest! {
        #[test]
        fn more_that_came_off_is_no_less_of_a_knack(
            expected in prop::collection::vec(-4.0..4.0f64, 1..20),
            tenths in prop::collection::vec(0u8..10, 20),
            at: usize,
        ) {
            let of = |better: Option<usize>| {
                let glance = |(i, (expected, tenths)): (usize, (&f64, &u8))| Glance {
                    expected: *expected,
                    tenths: tenths + u8::from(better == Some(i)),
                };
                Knack::of(&expected.iter().zip(&tenths).enumerate().map(glance).collect::<Vec<_>>())
            };
            let (before, after) = (of(None), of(Some(at % expected.len())));
            prop_assert!(after.theta >= before.theta - 1e-9, "{} after {}", after.theta, before.theta);
            prop_assert!(before.least < before.theta && before.theta < before.most);
            prop_assert!(before.theta.is_finite() && before.theta.abs() <= FURTHEST);
        }
    }
}
