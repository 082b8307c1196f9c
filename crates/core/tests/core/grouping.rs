//! Who stands at which station.

use std::collections::BTreeMap;

use jogo_core::delivery::stations::{Mix, order};
use proptest::prelude::*;

fn squad(strengths: &[f64]) -> Vec<(usize, f64)> {
    strengths.iter().copied().enumerate().collect()
}

fn spread(groups: &[Vec<usize>], strengths: &[f64]) -> f64 {
    let means: Vec<f64> =
        groups.iter().map(|g| g.iter().map(|p| strengths[*p]).sum::<f64>() / g.len() as f64).collect();
    let (most, least) = means.iter().fold((f64::MIN, f64::MAX), |(m, l), v| (m.max(*v), l.min(*v)));
    most - least
}

proptest! {
    #[test]
    fn everybody_stands_somewhere_once(
        strengths in prop::collection::vec(0.0_f64..3.0, 1..30), station in 1_u32..6,
        session in 0_usize..24, roll in 0_u64..4
    ) {
        for mix in [Mix::LikeWithLike, Mix::Mixed] {
            let mut all = order(&squad(&strengths), mix, station, session, roll);
            all.sort_unstable();
            prop_assert_eq!(all, (0..strengths.len()).collect::<Vec<_>>());
        }
    }

    #[test]
    fn like_with_like_goes_from_strong_to_less_strong(
        strengths in prop::collection::vec(0.0_f64..3.0, 1..30), session in 0_usize..24, roll in 0_u64..4
    ) {
        let first = order(&squad(&strengths), Mix::LikeWithLike, 3, 0, 0);
        prop_assert!(first.windows(2).all(|pair| strengths[pair[0]] >= strengths[pair[1]]));
        // Later only those change places who are nearly alike: two thirds of a level.
        let later = order(&squad(&strengths), Mix::LikeWithLike, 3, session, roll);
        for (i, one) in later.iter().enumerate() {
            prop_assert!(later[i..].iter().all(|other| strengths[*other] <= strengths[*one] + 2.0 / 3.0));
        }
    }

    #[test]
    fn mixed_stations_are_more_alike_than_tiers(
        strengths in prop::collection::vec(0.0_f64..3.0, 12), session in 0_usize..12, roll in 0_u64..4
    ) {
        let cut = |mix| -> Vec<Vec<usize>> {
            order(&squad(&strengths), mix, 3, session, roll).chunks(3).map(<[usize]>::to_vec).collect()
        };
        let alike = order(&squad(&strengths), Mix::LikeWithLike, 3, 0, 0);
        let alike: Vec<Vec<usize>> = alike.chunks(3).map(<[usize]>::to_vec).collect();
        prop_assert!(spread(&cut(Mix::Mixed), &strengths) <= spread(&alike, &strengths) + 1e-9);
    }
}

// By hand: twelve players at four stations of three. Tiers of four; on session e, player i of tier t stands at the
// station that took place i − t·e (mod 4). Two players of neighbouring tiers meet once in four sessions, of tiers two
// apart twice.
#[test]
fn pairs_change_from_session_to_session() {
    let strengths: Vec<f64> = (0..12).map(|n| 3.0 - f64::from(n) * 0.2).collect();
    let mut met: BTreeMap<(usize, usize), u32> = BTreeMap::new();
    for session in 0..4 {
        for station in order(&squad(&strengths), Mix::Mixed, 3, session, 0).chunks(3) {
            for (i, one) in station.iter().enumerate() {
                for other in &station[i + 1..] {
                    *met.entry((*one.min(other), *one.max(other))).or_default() += 1;
                }
            }
        }
    }
    for ((one, other), times) in met {
        let apart = other / 4 - one / 4;
        assert!(times <= if apart == 2 { 2 } else { 1 }, "{one} and {other} met {times} times");
    }
}

/// How often each two of twelve players, a tenth of a level apart, share a station of two on five sessions.
fn met(mix: Mix) -> BTreeMap<(usize, usize), u32> {
    let strengths: Vec<f64> = (0..12).map(|n| 2.0 - f64::from(n) * 0.1).collect();
    let mut met = BTreeMap::new();
    for session in 0..5 {
        for two in order(&squad(&strengths), mix, 2, session, 0).chunks(2) {
            *met.entry((two[0].min(two[1]), two[0].max(two[1]))).or_default() += 1;
        }
    }
    met
}

#[test]
fn nobody_always_stands_with_the_same_one() {
    for mix in [Mix::LikeWithLike, Mix::Mixed] {
        let met = met(mix);
        assert!(met.values().all(|times| *times <= 2), "{mix:?}: {met:?}");
        // Thirty pairs in five sessions: most of them meet once.
        assert!(met.len() >= 24, "{mix:?}: {met:?}");
    }
}

#[test]
fn another_roll_is_another_split() {
    let strengths: Vec<f64> = (0..12).map(|n| 1.0 + f64::from(n) * 0.05).collect();
    for mix in [Mix::LikeWithLike, Mix::Mixed] {
        let rolls: std::collections::BTreeSet<Vec<usize>> =
            (0..3).map(|roll| order(&squad(&strengths), mix, 3, 0, roll)).collect();
        assert_eq!(rolls.len(), 3, "{mix:?}");
    }
}
