//! Sign-ins that are tried: too many wrong passwords for one login close it for a while.
//!
//! A try is counted before its password is looked at, so that forty at once are no more than forty one after another.
//! A device on which somebody has signed in before has tries of its own for their login: whoever tries wrong passwords
//! elsewhere does not keep them out.

use std::collections::HashMap;
use std::sync::{Mutex, PoisonError};

use jiff::{Timestamp, ToSpan};

use super::secrets;
use crate::problem::{Answer, Problem};

/// How many wrong passwords for one login…
const WRONG: usize = 8;
/// …in this many minutes close it until they have passed.
const WITHIN_MINUTES: u32 = 5;
/// How many logins are watched at once. Beyond that the one of which nothing was heard for longest is forgotten, but
/// never one that is closed: as long as all of them are, nobody new may try.
const WATCHED: usize = 10_000;

/// Whose tries are counted together.
#[derive(Clone, PartialEq, Eq, Hash)]
pub struct Counted(Vec<u8>);

impl Counted {
    /// The tries for a login from anywhere, or from a device that is known for it. However long the login is, what is
    /// kept of it is short.
    pub fn of(login: &str, device: Option<&str>) -> Counted {
        let device = device.unwrap_or_default();
        Counted(secrets::hashed(&format!("{}:{login}{device}", login.len())))
    }
}

/// When passwords were tried that have not turned out to be right.
#[derive(Default)]
pub struct Tries(Mutex<HashMap<Counted, Vec<Timestamp>>>);

impl Tries {
    /// Counts a try as a wrong one; errs if there were too many of them.
    pub fn begin(&self, of: &Counted, now: Timestamp) -> Answer<()> {
        let mut all = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        if !all.contains_key(of) && all.len() >= WATCHED {
            make_room(&mut all, now)?;
        }
        let tries = all.entry(of.clone()).or_default();
        tries.retain(|at| is_late(*at, now));
        if tries.len() >= WRONG {
            return Err(Problem::slow_down(WITHIN_MINUTES));
        }
        tries.push(now);
        Ok(())
    }

    /// The password was right: what was tried before is forgotten.
    pub fn right(&self, of: &Counted) {
        self.0.lock().unwrap_or_else(PoisonError::into_inner).remove(of);
    }
}

/// Forgets the tries of which nothing was heard for longest.
fn make_room(all: &mut HashMap<Counted, Vec<Timestamp>>, now: Timestamp) -> Answer<()> {
    all.retain(|_, tries| tries.iter().any(|at| is_late(*at, now)));
    if all.len() < WATCHED {
        return Ok(());
    }
    let open = all.iter().filter(|(_, tries)| tries.len() < WRONG);
    let oldest = open.min_by_key(|(_, tries)| tries.last().copied()).map(|(of, _)| of.clone());
    oldest.and_then(|of| all.remove(&of)).map(drop).ok_or_else(|| Problem::slow_down(WITHIN_MINUTES))
}

fn is_late(at: Timestamp, now: Timestamp) -> bool {
    at > now - i64::from(WITHIN_MINUTES).minutes()
}

#[cfg(test)]
mod tests {
    use super::*;

    const MONDAY: Timestamp = Timestamp::constant(1_928_000_000, 0);

    fn of(login: &str) -> Counted {
        Counted::of(login, None)
    }

    #[test]
    fn a_login_is_closed_after_eight_and_opens_again_after_five_minutes() {
        let tries = Tries::default();
        for wrong in 0..WRONG as i64 {
            assert!(tries.begin(&of("una"), MONDAY + wrong.seconds()).is_ok());
        }
        assert!(tries.begin(&of("una"), MONDAY + 10.seconds()).is_err());
        assert!(tries.begin(&of("olo"), MONDAY + 10.seconds()).is_ok(), "nobody else is kept out");
        assert!(tries.begin(&of("una"), MONDAY + 5.minutes()).is_ok(), "the first of them has passed");
    }

    #[test]
    fn a_right_password_forgets_the_wrong_ones_before_it() {
        let tries = Tries::default();
        for _ in 0..3 * WRONG {
            assert!(tries.begin(&of("una"), MONDAY).is_ok());
            tries.right(&of("una"));
        }
    }

    #[test]
    fn a_device_that_is_known_is_not_kept_out_by_others() {
        let tries = Tries::default();
        (0..WRONG).for_each(|_| assert!(tries.begin(&of("una"), MONDAY).is_ok()));
        assert!(tries.begin(&of("una"), MONDAY).is_err());
        let known = Counted::of("una", Some("phone"));
        (0..WRONG).for_each(|_| assert!(tries.begin(&known, MONDAY).is_ok()));
        assert!(tries.begin(&known, MONDAY).is_err(), "it has no more tries than anybody");
        assert!(Counted::of("un", Some("a")) != Counted::of("una", None));
    }

    #[test]
    fn who_tries_ten_thousand_other_names_does_not_open_the_one_that_is_closed() {
        let tries = Tries::default();
        (0..WRONG).for_each(|_| assert!(tries.begin(&of("una"), MONDAY).is_ok()));
        for other in 0..WATCHED + 10 {
            assert!(tries.begin(&of(&other.to_string()), MONDAY + 1.minutes()).is_ok());
        }
        assert!(tries.begin(&of("una"), MONDAY + 2.minutes()).is_err());
        let all = tries.0.lock().unwrap_or_else(PoisonError::into_inner);
        assert!(all.len() <= WATCHED, "{} are kept", all.len());
    }
}
