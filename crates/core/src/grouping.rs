//! Grouping: who stands at which station?
//!
//! Stations are filled from an order of the whole squad: whoever is missing is passed over, and the rest is cut into
//! stations of the sizes that the drill has for so many players. So a phone without network can split whoever has come.
//!
//! - *Like with like*: the strongest first, so that neighbours in the order are alike. From evening to evening those who are
//!   nearly alike change places, so that nobody always stands with the same ones.
//! - *Mixed*: the squad, from strong to less strong, is cut into as many tiers as a station has places; each station takes
//!   one of every tier. From evening to evening a tier is turned by its number, so that two players of different tiers
//!   share a station again only after as many evenings as there are stations.
//!
//! *Groups for next week* are another matter: who consolidates, who moves on, who works on the other foot ([`next_week`]).
//!
//! Another roll gives another split of the same kind: like with like moves those who are nearly alike, mixed turns the
//! tiers further.

use serde::Serialize;

use crate::chance::Chance;
use crate::levels::Level;
use crate::milestones::ready::Stands;
use crate::milestones::{MilestoneId, State};
use crate::tests::TestId;
use crate::units::Share;

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
/// use jogo_core::grouping::{UNKNOWN, strength};
/// use jogo_core::levels::Level;
/// assert_eq!(strength([Level::Starting, Level::Secure]), 1.0);
/// assert_eq!(strength([]), UNKNOWN);
/// ```
pub fn strength(levels: impl IntoIterator<Item = Level>) -> f64 {
    let (sum, n) = levels.into_iter().fold((0.0, 0), |(sum, n), level| (sum + level as u8 as f64, n + 1));
    if n == 0 { UNKNOWN } else { sum / f64::from(n) }
}

/// The order in which a squad fills stations of a size, on an evening (counted from 0) and for a roll.
///
/// ```
/// use jogo_core::grouping::{Mix, order};
/// let squad = [("Ada", 3.0), ("Ben", 0.0), ("Cil", 2.0), ("Dov", 1.0)];
/// assert_eq!(order(&squad, Mix::LikeWithLike, 2, 0, 0), ["Ada", "Cil", "Dov", "Ben"]);
/// assert_eq!(order(&squad, Mix::Mixed, 2, 0, 0), ["Ada", "Dov", "Cil", "Ben"]);
/// assert_eq!(order(&squad, Mix::Mixed, 2, 1, 0), ["Ada", "Ben", "Cil", "Dov"]);
/// ```
pub fn order<P: Copy>(squad: &[(P, f64)], mix: Mix, station: u32, evening: usize, roll: u64) -> Vec<P> {
    let mut chance = Chance::seeded((evening as u64) << 32 | roll);
    let moves = mix == Mix::LikeWithLike && (roll, evening) != (0, 0);
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
        let place = (at + tier * (evening + roll as usize)) % stations;
        of_tier.get(place).copied()
    };
    (0..stations).flat_map(|at| (0..tiers.len()).filter_map(move |tier| turned(tier, at))).collect()
}

/// What a player does next week.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Group {
    /// Goes one up.
    MoveOn,
    /// Works on the other foot.
    OtherFoot,
    /// Stays with it until it is there.
    Consolidate,
}

/// Why a player is in a group.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Reason {
    /// Nothing was measured or seen yet.
    NothingSeen,
    /// These are not met.
    Missing {
        /// Milestones.
        milestones: Vec<MilestoneId>,
    },
    /// All of these are met.
    AllMet {
        /// Milestones.
        milestones: Vec<MilestoneId>,
    },
    /// The strong foot is Secure or better, and the other one is behind by more than the noise of the test.
    OtherFoot {
        /// In which test.
        test: TestId,
        /// By how much, as a share of the strong foot's result.
        deficit: Share,
    },
}

/// A test in which the other foot is called behind, and the level of the strong one.
#[derive(Clone, Debug, PartialEq)]
pub struct FootBehind {
    /// In which test.
    pub test: TestId,
    /// By how much, as a share.
    pub deficit: f64,
    /// How good the strong foot is.
    pub strong: Option<Level>,
}

/// In which order a coach decides on players: those who move on, then those who work on the other foot, then the others, and
/// among them whoever is nearest to having everything. The smaller comes first.
pub fn urgency(group: Group, stands: &[Stands<'_>]) -> (Group, usize) {
    (group, stands.iter().filter(|(_, standing)| !standing.state.is_had()).count())
}

/// The group of a player for next week, by the milestones of what comes then.
///
/// Whoever has them all moves on. Of the rest, whoever is Secure with the strong foot and clearly behind with the other
/// one, in a test that a missing milestone rests on, works on that, where the deficit is largest; everybody else
/// consolidates.
pub fn next_week(stands: &[Stands<'_>], behind: &[FootBehind]) -> (Group, Reason) {
    let ids = |had: bool| -> Vec<MilestoneId> {
        stands.iter().filter(|(_, s)| s.state.is_had() == had).map(|(m, _)| m.id.clone()).collect()
    };
    let (met, missing) = (ids(true), ids(false));
    if missing.is_empty() && !met.is_empty() {
        return (Group::MoveOn, Reason::AllMet { milestones: met });
    }
    let asked = |test: &TestId| stands.iter().any(|(m, s)| !s.state.is_had() && m.evidence.rests_on(test));
    let able =
        |foot: &&FootBehind| foot.strong.is_some_and(|level| level >= Level::Secure) && asked(&foot.test);
    let able = behind.iter().filter(able);
    if let Some(worst) = able.max_by(|a, b| a.deficit.total_cmp(&b.deficit)) {
        let reason = Reason::OtherFoot { test: worst.test.clone(), deficit: Share(worst.deficit) };
        return (Group::OtherFoot, reason);
    }
    if stands.iter().all(|(_, standing)| standing.state == State::NotSeen) {
        return (Group::Consolidate, Reason::NothingSeen);
    }
    (Group::Consolidate, Reason::Missing { milestones: missing })
}
