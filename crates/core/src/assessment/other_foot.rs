//! The other foot: how far behind the strong one is it?
//!
//! > deficit = (strong − other) ÷ strong where more is better, (other − strong) ÷ strong where less is
//!
//! Both results are of the same date. It is only *called* a deficit when the difference is larger than the smallest
//! real difference of the test.
//!
//! ```
//! use jogo_core::assessment::other_foot::deficit;
//! use jogo_core::assessment::benchmarks::Better;
//! assert_eq!(deficit(20.0, 15.0, Better::Higher), Some(0.25)); // 20 wall passes and 15
//! assert_eq!(deficit(16.0, 20.0, Better::Lower), Some(0.25)); // 16 s and 20 s
//! assert_eq!(deficit(0.0, 3.0, Better::Higher), None); // nothing to compare with
//! ```

use std::collections::BTreeMap;

use jiff::civil::Date;

use crate::assessment::benchmarks::{Better, Test};
use crate::assessment::reliability::Repeatability;
use crate::assessment::results::TestResult;
use crate::technique::skill::Side;

/// The deficit of the other foot as a share of the strong one; below zero where the other foot was better. `None` if
/// the strong foot's result is not above zero.
pub fn deficit(strong: f64, other: f64, better: Better) -> Option<f64> {
    let behind = match better {
        Better::Higher => strong - other,
        Better::Lower => other - strong,
    };
    (strong > 0.0).then(|| behind / strong)
}

/// Both feet in one test on one date.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct BothFeet {
    /// The date.
    pub date: Date,
    /// The strong foot's result.
    pub strong: f64,
    /// The other foot's.
    pub other: f64,
    /// The deficit, as a share.
    pub deficit: f64,
    /// Whether it is larger than the noise of the test; never, while nothing is known of that.
    pub called: bool,
}

/// Every date on which a player was tested with both feet, in order: the trend is theirs to see.
pub fn both_feet<P: Ord + Copy>(
    test: &Test,
    player: (P, Side),
    results: &[TestResult<P>],
    known: Option<&Repeatability>,
) -> Vec<BothFeet> {
    let (player, strong_side) = player;
    let mut dates: BTreeMap<Date, (Option<f64>, Option<f64>)> = BTreeMap::new();
    for result in results.iter().filter(|r| r.player == player && r.test == test.id) {
        let feet = dates.entry(result.date).or_default();
        match result.side {
            Some(side) if side == strong_side => feet.0 = Some(result.value),
            Some(_) => feet.1 = Some(result.value),
            None => {}
        }
    }
    let better = test.protocol.better();
    let both = dates.into_iter().filter_map(|(date, (strong, other))| {
        let (strong, other) = (strong?, other?);
        let deficit = deficit(strong, other, better)?;
        let called = deficit > 0.0 && known.is_some_and(|known| known.is_real(strong - other));
        Some(BothFeet { date, strong, other, deficit, called })
    });
    both.collect()
}

/// The one of several that is to be looked at first: the largest deficit of those that are called, or of all if none
/// is.
pub fn foremost<T>(feet: &[(T, BothFeet)]) -> Option<&(T, BothFeet)> {
    feet.iter().max_by(|(_, a), (_, b)| a.called.cmp(&b.called).then(a.deficit.total_cmp(&b.deficit)))
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::assessment::benchmarks::{Protocol, plain};
    use crate::ids::called;
    use jiff::civil::date;

    fn both(deficit: f64, called: bool) -> BothFeet {
        BothFeet { date: date(2031, 1, 6), strong: 20.0, other: 20.0 * (1.0 - deficit), deficit, called }
    }

    #[test]
    fn a_deficit_is_called_only_beyond_the_noise_and_with_both_feet_of_one_date() {
        let test = plain("passes", Protocol::Count { seconds: 30 }, true, 60.0);
        let result = |side, day, value| TestResult {
            player: 1,
            test: called("passes"),
            side: Some(side),
            date: date(2031, 1, day),
            value,
            level: None,
            marks: Vec::new(),
        };
        let results = [
            result(Side::Left, 6, 20.0),
            result(Side::Right, 6, 12.0),
            result(Side::Left, 13, 20.0),
            result(Side::Left, 20, 20.0),
            result(Side::Right, 20, 18.0),
        ];
        // Twelve pairs with differences of 2 and −2 in turn: SD 2.0889, typical error 1.4771, smallest real
        // difference 4.094.
        let pairs: Vec<(f64, f64)> = (0..12).map(|i| (10.0, if i % 2 == 0 { 12.0 } else { 8.0 })).collect();
        let known = Repeatability::of(&pairs).unwrap();
        let found = both_feet(&test, (1, Side::Left), &results, Some(&known));
        let says: Vec<_> = found.iter().map(|both| (both.date.day(), both.deficit, both.called)).collect();
        assert_eq!(says, [(6, 0.4, true), (20, 0.1, false)]);
        assert!(both_feet(&test, (1, Side::Left), &results, None).iter().all(|both| !both.called));
        assert_eq!(
            foremost(&[("noise", both(0.6, false)), ("a", both(0.2, true)), ("b", both(0.3, true))])
                .unwrap()
                .0,
            "b"
        );
        assert_eq!(foremost(&[("less", both(0.1, false)), ("more", both(0.2, false))]).unwrap().0, "more");
        assert!(both_feet(&test, (2, Side::Left), &results, None).is_empty());
    }
}
