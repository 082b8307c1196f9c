//! What devices and lists send about a team, read entry by entry. Each entry is checked against what is known; every
//! fault names its place and how to fix it. Either all of it is accepted, or nothing.

pub mod log;
pub mod map;
pub mod newcomers;
pub mod next_times;
pub mod reports;
pub mod trials;
pub mod voices;
pub mod words;

use crate::facts::Entered;
use jogo_core::fact::Fact;
use std::collections::{BTreeMap, BTreeSet};

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::input::InputError;
use jogo_store::delivery::devices::Sending;
use serde::Deserialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::state::State;

/// The field that is wrong, and how to mend it.
type Wrong = (&'static str, Fact);

/// What is known of a team, to check what devices send about it.
struct TeamNow {
    today: Date,
    squad: BTreeSet<Uuid>,
    /// Who was in the squad before, each with the first day on which they were in it no more.
    earlier: BTreeMap<Uuid, Date>,
}

impl TeamNow {
    async fn of(state: &State, team: Uuid) -> Answer<TeamNow> {
        let squad = state.store.players(team).await?.into_iter().map(|player| player.id).collect();
        let earlier = state.store.earlier_players(team).await?;
        Ok(TeamNow { today: state.today().await?, squad, earlier })
    }

    /// A player who was in the squad on a day. An entry about them may have waited on a device while they moved to
    /// another squad.
    fn player(&self, said: Uuid, day: Date) -> Result<Uuid, Wrong> {
        let was_there = self.earlier.get(&said).is_some_and(|until| day < *until);
        match was_there || self.squad.contains(&said) {
            true => Ok(said),
            false => Err(("player", Entered::NotInSquad.into())),
        }
    }

    /// A day from a device, in the field of this name.
    fn day(&self, field: &'static str, said: &str) -> Result<Date, Wrong> {
        day_of_season(said, self.today).map_err(|fault| (field, fault.into()))
    }
}

/// Refuses more entries than one request may carry.
fn at_most(most: usize, said: usize, list: &'static str) -> Answer<()> {
    match said <= most {
        true => Ok(()),
        false => Err(Problem::fault(list, Entered::AtMost { most })),
    }
}

/// What is wrong with the entries that were read so far.
#[derive(Default)]
struct Faults(Vec<InputError>);

impl Faults {
    /// Reads a list, each entry on its own.
    fn reading<S, T>(&mut self, list: &str, said: Vec<S>, read: impl Fn(S) -> Result<T, Wrong>) -> Vec<T> {
        let mut all = Vec::new();
        for (i, entry) in said.into_iter().enumerate() {
            match read(entry) {
                Ok(entry) => all.push(entry),
                Err((key, fact)) => self.0.push(InputError::at(format!("{list}/{i}/{key}"), fact)),
            }
        }
        all
    }

    /// Refuses everything if anything was wrong.
    fn none(self) -> Answer<()> {
        Problem::if_any(self.0)
    }
}

/// From which device something is sent, and what its clock says just then.
#[derive(Clone, Copy, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Sender {
    device: Uuid,
    #[schema(value_type = String, format = DateTime)]
    sent_at: Timestamp,
}

/// A time that a device says.
fn said_at(said: &str) -> Result<Timestamp, Wrong> {
    said.parse().map_err(|_| ("said_at", Entered::Time { written: said.chars().take(40).collect() }.into()))
}

/// Sets when each of some entries counts as said: within what one device said by its own count, and by its clock only
/// beside other devices. Without a sender, or where one entry has no count, the device's clock is taken at its word,
/// but nothing is said in the future.
async fn set_times<'a>(
    state: &State,
    sender: Option<Sender>,
    counts: impl IntoIterator<Item = Option<i64>>,
    times: impl IntoIterator<Item = &'a mut Timestamp>,
) -> Answer<()> {
    let received_at = Timestamp::now();
    let times: Vec<&mut Timestamp> = times.into_iter().collect();
    let counted: Option<Vec<(i64, Timestamp)>> =
        counts.into_iter().zip(&times).map(|(count, at)| Some((count?, **at))).collect();
    let when = match (sender, counted) {
        (Some(Sender { device, sent_at }), Some(counted)) => {
            state.store.said_when(Sending { device, sent_at, received_at }, &counted).await?
        }
        _ => times.iter().map(|at| (**at).min(state.clock.now().max(received_at))).collect(),
    };
    times.into_iter().zip(when).for_each(|(at, when)| *at = when);
    Ok(())
}

/// How long an entry may wait on a device before it is sent.
const LONGEST_UNSENT_DAYS: i32 = 400;

/// A day that a device says. It may have been without network for long, and of two clocks either may be wrong:
/// nothing is refused because one of them is.
pub fn day_of_season(said: &str, today: Date) -> Result<Date, Entered> {
    let day: Date = said.parse().map_err(|_| Entered::Day)?;
    match (-LONGEST_UNSENT_DAYS..=LONGEST_UNSENT_DAYS).contains(&(today - day).get_days()) {
        true => Ok(day),
        false => Err(Entered::OtherSeason { day: day.to_string() }),
    }
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use jiff::civil::date;
    use rstest::rstest;

    use super::*;

    const TODAY: Date = date(2031, 2, 10);

    #[rstest]
    #[case::today("2031-02-10", true)]
    #[case::as_long_as_an_entry_may_wait("2030-01-06", true)]
    #[case::a_day_longer("2030-01-05", false)]
    #[case::by_a_clock_that_is_ahead("2032-03-16", true)]
    #[case::ahead_by_more_than_a_season("2032-03-17", false)]
    #[case::no_day("2031-02-30", false)]
    #[case::another_order("10.2.2031", false)]
    fn a_day_is_of_this_season(#[case] said: &str, #[case] taken: bool) {
        assert_eq!(day_of_season(said, TODAY).is_ok(), taken);
    }

    #[test]
    fn only_players_of_the_squad_are_spoken_of() {
        let (known, stranger) = (Uuid::from_u128(1), Uuid::from_u128(2));
        let gone = Uuid::from_u128(3);
        let team = TeamNow { today: TODAY, squad: [known].into(), earlier: [(gone, TODAY)].into() };
        assert_eq!(team.player(known, TODAY), Ok(known));
        assert_eq!(team.player(stranger, TODAY).unwrap_err().0, "player");
        // Of whoever has moved, what was seen before still comes in.
        assert_eq!(team.player(gone, date(2031, 2, 9)), Ok(gone));
        assert_eq!(team.player(gone, TODAY).unwrap_err().0, "player");
        assert_eq!(team.day("taken_on", "soon").unwrap_err().0, "taken_on");
    }

    #[test]
    fn whatever_is_wrong_is_said_with_its_place_and_the_rest_is_read() {
        let mut faults = Faults::default();
        let even = |n: u32| if n.is_multiple_of(2) { Ok(n) } else { Err(("number", Fact::written("odd"))) };
        assert_eq!(faults.reading("/numbers", vec![2, 3, 4, 5], even), [2, 4]);
        assert!(faults.reading("/others", vec![7], even).is_empty());
        let places: Vec<_> = faults.0.iter().map(|fault| fault.pointer.as_str()).collect();
        assert_eq!(places, ["/numbers/1/number", "/numbers/3/number", "/others/0/number"]);
        assert!(faults.none().is_err());
        assert!(Faults::default().none().is_ok());
    }

    #[rstest]
    #[case(0, true)]
    #[case(3, true)]
    #[case(4, false)]
    fn no_more_than_so_many_are_taken(#[case] said: usize, #[case] taken: bool) {
        assert_eq!(at_most(3, said, "/list").is_ok(), taken);
    }
}
