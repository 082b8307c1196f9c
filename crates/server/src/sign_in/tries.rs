//! Wrong passwords of late: too many for one login close it for a while.

use std::collections::HashMap;
use std::sync::{Mutex, PoisonError};

use jiff::{Timestamp, ToSpan};

use crate::problem::{Answer, Problem};

/// How many wrong passwords for one login…
const WRONG: usize = 8;
/// …in this many minutes close it until they have passed.
const WITHIN_MINUTES: u32 = 5;
/// How many logins are watched at once; beyond that those of which nothing was heard of late are forgotten.
const WATCHED: usize = 10_000;

/// When wrong passwords came, by login.
#[derive(Default)]
pub struct Tries(Mutex<HashMap<String, Vec<Timestamp>>>);

impl Tries {
    /// Errs if too many wrong passwords came for a login.
    pub fn may(&self, login: &str, now: Timestamp) -> Answer<()> {
        let wrong = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        let of_late =
            wrong.get(login).map_or(0, |tries| tries.iter().filter(|at| is_late(**at, now)).count());
        if of_late >= WRONG { Err(Problem::slow_down(WITHIN_MINUTES)) } else { Ok(()) }
    }

    /// Notes a wrong password.
    pub fn note(&self, login: &str, now: Timestamp) {
        let mut wrong = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        if wrong.len() >= WATCHED {
            wrong.retain(|_, tries| tries.iter().any(|at| is_late(*at, now)));
        }
        let tries = wrong.entry(login.to_owned()).or_default();
        tries.retain(|at| is_late(*at, now));
        tries.push(now);
    }
}

fn is_late(at: Timestamp, now: Timestamp) -> bool {
    at > now - i64::from(WITHIN_MINUTES).minutes()
}

#[cfg(test)]
mod tests {
    use super::*;

    const MONDAY: Timestamp = Timestamp::constant(1_928_000_000, 0);

    #[test]
    fn a_login_is_closed_after_eight_and_opens_again_after_five_minutes() {
        let tries = Tries::default();
        for wrong in 0..WRONG as i64 {
            assert!(tries.may("una", MONDAY + wrong.seconds()).is_ok());
            tries.note("una", MONDAY + wrong.seconds());
        }
        assert!(tries.may("una", MONDAY + 10.seconds()).is_err());
        assert!(tries.may("olo", MONDAY + 10.seconds()).is_ok(), "nobody else is kept out");
        assert!(tries.may("una", MONDAY + 5.minutes()).is_ok(), "the first of them has passed");
    }

    #[test]
    fn who_tries_ten_thousand_other_names_does_not_open_the_one_that_is_closed() {
        let tries = Tries::default();
        (0..WRONG).for_each(|_| tries.note("una", MONDAY));
        (0..WATCHED + 10).for_each(|other| tries.note(&format!("{other}"), MONDAY + 1.minutes()));
        assert!(tries.may("una", MONDAY + 2.minutes()).is_err());
    }
}
