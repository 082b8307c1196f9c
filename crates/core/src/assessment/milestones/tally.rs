//! How many players of a squad, a club, an academy have a milestone?

use serde::{Deserialize, Serialize};

use super::MilestoneState;
use crate::statistics::interval::{Interval, wilson};

/// How many have a milestone, of how many.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Tally {
    /// Players who have it: met or kept.
    pub have: u32,
    /// Players in all, those without any evidence too: a child that nobody has looked at does not have it.
    pub of: u32,
}

impl Tally {
    /// Counts states, one for each player.
    ///
    /// ```
    /// use jogo_core::assessment::milestones::{MilestoneState, tally::Tally};
    /// let squad = [MilestoneState::Kept, MilestoneState::Met, MilestoneState::Slipped, MilestoneState::NotSeen];
    /// let squad = Tally::of(squad);
    /// assert_eq!((squad.have, squad.of), (2, 4));
    /// ```
    pub fn of(states: impl IntoIterator<Item = MilestoneState>) -> Tally {
        let count = |all: Tally, state: MilestoneState| Tally {
            have: all.have + u32::from(state.is_had()),
            of: all.of + 1,
        };
        states.into_iter().fold(Tally::default(), count)
    }

    /// Two squads together.
    pub fn and(self, other: Tally) -> Tally {
        Tally { have: self.have + other.have, of: self.of + other.of }
    }

    /// Between what the share may lie (Wilson, 95 %); nothing without players.
    pub fn interval(self) -> Option<Interval> {
        wilson(self.have, self.of)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn squads_add_up_whatever_their_order() {
        let squads = [Tally { have: 3, of: 14 }, Tally { have: 0, of: 0 }, Tally { have: 16, of: 16 }];
        let forth = squads.into_iter().fold(Tally::default(), Tally::and);
        let back = squads.into_iter().rev().fold(Tally::default(), Tally::and);
        assert_eq!((forth, back), (Tally { have: 19, of: 30 }, Tally { have: 19, of: 30 }));
    }

    #[test]
    fn nobody_is_no_share() {
        assert_eq!((Tally::of([]), Tally::of([]).interval()), (Tally::default(), None));
    }

    #[test]
    fn a_share_has_the_interval_of_wilson() {
        // SciPy: binomtest(2, 4).proportion_ci(method="wilson").
        let squad = Tally::of([
            MilestoneState::Kept,
            MilestoneState::Met,
            MilestoneState::OnTheWay,
            MilestoneState::NotSeen,
        ]);
        let Interval { low, high } = squad.interval().unwrap();
        assert!(
            (low - 0.150_038_989_15).abs() < 1e-9 && (high - 0.849_961_010_85).abs() < 1e-9,
            "{low} {high}"
        );
    }
}
