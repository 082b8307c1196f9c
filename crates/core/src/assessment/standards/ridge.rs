//! A ridge: how do results lie along the scale of a test?
//!
//! The density of results by a normal kernel, with Silverman's rule of thumb (1986) for its width, h = 0.9 · min(SD,
//! IQR ÷ 1.34) · n^(−1/5), and no narrower than half the step to which results are read.
//!
//! ```
//! use jogo_core::assessment::standards::ridge::ridge;
//! let along = ridge(&[14.0, 16.0, 17.0, 17.0, 19.0, 24.0], 0.01, (10.0, 30.0), 5);
//! assert_eq!(along.len(), 5);
//! assert!(along[1].density > along[4].density); // more at 15 than at 30
//! ```

use serde::Serialize;

use super::suggest::quantile;

/// A point of a ridge.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RidgePoint {
    /// A result.
    pub at: f64,
    /// How dense results lie there: shares of all, per unit of the test.
    pub density: f64,
}

/// The width of the kernel for sorted results.
fn width(sorted: &[f64], step: f64) -> f64 {
    let n = sorted.len() as f64;
    let mean = sorted.iter().sum::<f64>() / n;
    let deviation = (sorted.iter().map(|x| (x - mean).powi(2)).sum::<f64>() / (n - 1.0).max(1.0)).sqrt();
    let middle = quantile(sorted, 0.75).unwrap_or(0.0) - quantile(sorted, 0.25).unwrap_or(0.0);
    let spread = if middle > 0.0 { deviation.min(middle / 1.34) } else { deviation };
    (0.9 * spread * n.powf(-0.2)).max(step / 2.0)
}

/// The ridge of sorted results, at this many places of a range; nothing without results.
pub fn ridge(sorted: &[f64], step: f64, (from, to): (f64, f64), places: usize) -> Vec<RidgePoint> {
    if sorted.is_empty() {
        return Vec::new();
    }
    let h = width(sorted, step);
    let scale = 1.0 / (sorted.len() as f64 * h * std::f64::consts::TAU.sqrt());
    let density = |at: f64| {
        // Further than six widths away nothing is added that could be seen.
        let (first, last) =
            (sorted.partition_point(|x| *x < at - 6.0 * h), sorted.partition_point(|x| *x <= at + 6.0 * h));
        scale * sorted[first..last].iter().map(|x| (-0.5 * ((at - x) / h).powi(2)).exp()).sum::<f64>()
    };
    let apart = (to - from) / (places.max(2) - 1) as f64;
    let points = (0..places).map(|i| from + apart * i as f64);
    points.map(|at| RidgePoint { at, density: density(at) }).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn densities_stand_against_an_independent_working() {
        // NumPy 1.24 and SciPy 1.10 give h = 1.05606337 and these densities at 14, 17 and 24.
        let sorted = [14.0, 16.0, 17.0, 17.0, 19.0, 24.0];
        assert!((width(&sorted, 0.01) - 1.056_063_37).abs() < 1e-6);
        let found = ridge(&sorted, 0.01, (14.0, 24.0), 11);
        for (i, density) in [(0, 0.075_666_09), (3, 0.177_725_08), (10, 0.062_961_45)] {
            assert!((found[i].density - density).abs() < 1e-6, "{:?}", found[i]);
        }
    }

    #[test]
    fn equal_results_are_as_wide_as_a_step() {
        let found = ridge(&[7.0; 5], 1.0, (6.0, 8.0), 3);
        assert!(found[1].density > 0.7 && found[0].density > 0.0);
        assert!(ridge(&[], 1.0, (0.0, 1.0), 9).is_empty());
    }
}
