//! Stations: who stands where?
//!
//! Stations are filled from an order of the whole squad: whoever is missing is passed over, and the rest is cut into
//! stations of the sizes that the drill has for this many players. So a phone without network can split whoever has
//! come.
//!
//! - *Like with like*: the strongest first, so that neighbours in the order are alike. From session to session those
//!   who are nearly alike change places, so that nobody always stands with the same ones.
//! - *Mixed*: the squad, from strong to less strong, is cut into as many tiers as a station has places; each station
//!   takes one of every tier. From session to session a tier is turned by its number, so that two players of
//!   different tiers share a station again only after as many sessions as there are stations.
//!
//! Another roll gives another split of the same kind: like with like moves those who are nearly alike, mixed turns the
//! tiers further.

use serde::Serialize;

use crate::assessment::levels::Level;
use crate::statistics::chance::Chance;

/// How players are put together.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Mix {
    /// Those who are alike stand together.
    LikeWithLike,
    /// Every station has some of all.
    Mixed,
}

/// A player who has no result yet counts as one between Building and Secure.
pub const UNKNOWN: f64 = 1.5;
/// Players whose strengths differ by less than twice this are nearly alike: a third of a level. An assumption.
const NEARLY: f64 = 1.0 / 3.0;

/// How strong a player is: the mean of their latest levels, 0 for Starting to 3 for Stretching.
///
/// ```
/// use jogo_core::delivery::stations::{UNKNOWN, strength};
/// use jogo_core::assessment::levels::Level;
/// assert_eq!(strength([Level::Starting, Level::Secure]), 1.0);
/// assert_eq!(strength([]), UNKNOWN);
/// ```
pub fn strength(levels: impl IntoIterator<Item = Level>) -> f64 {
    let (sum, n) = levels.into_iter().fold((0.0, 0), |(sum, n), level| (sum + level as u8 as f64, n + 1));
    if n == 0 { UNKNOWN } else { sum / f64::from(n) }
}

/// The order in which a squad fills stations of a size, on a session (counted from 0) and for a roll.
///
/// ```
/// use jogo_core::delivery::stations::{Mix, order};
/// let squad = [("Ada", 3.0), ("Ben", 0.0), ("Cil", 2.0), ("Dov", 1.0)];
/// assert_eq!(order(&squad, Mix::LikeWithLike, 2, 0, 0), ["Ada", "Cil", "Dov", "Ben"]);
/// assert_eq!(order(&squad, Mix::Mixed, 2, 0, 0), ["Ada", "Dov", "Cil", "Ben"]);
/// assert_eq!(order(&squad, Mix::Mixed, 2, 1, 0), ["Ada", "Ben", "Cil", "Dov"]);
/// ```
pub fn order<P: Copy>(squad: &[(P, f64)], mix: Mix, station: u32, session: usize, roll: u64) -> Vec<P> {
    let mut chance = Chance::seeded((session as u64) << 32 | roll);
    let moves = mix == Mix::LikeWithLike && (roll, session) != (0, 0);
    let mut moved = || if moves { NEARLY * chance.normal().clamp(-1.0, 1.0) } else { 0.0 };
    let mut sorted: Vec<(P, f64)> =
        squad.iter().map(|(player, strong)| (*player, strong + moved())).collect();
    sorted.sort_by(|a, b| b.1.total_cmp(&a.1));
    let players: Vec<P> = sorted.into_iter().map(|(player, _)| player).collect();
    if mix == Mix::LikeWithLike {
        return players;
    }
    let stations = players.len().div_ceil(station.max(1) as usize).max(1);
    let tiers: Vec<&[P]> = players.chunks(stations).collect();
    let turned = |tier: usize, at: usize| {
        let of_tier = tiers[tier];
        let place = (at + tier * (session + roll as usize)) % stations;
        of_tier.get(place).copied()
    };
    (0..stations).flat_map(|at| (0..tiers.len()).filter_map(move |tier| turned(tier, at))).collect()
}
