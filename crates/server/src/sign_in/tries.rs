//! Sign-ins that are tried: too many wrong passwords close a login for a while, and the address that they come from.
//!
//! A try is counted before its password is looked at, so that forty at once are no more than forty one after another.
//! A device on which somebody has signed in before has tries of its own for their login: whoever tries wrong passwords
//! elsewhere does not keep them out. Whoever goes on waits twice as long each time.

use std::collections::HashMap;
use std::sync::{Mutex, PoisonError};

use jiff::{SignedDuration, Timestamp};

use super::secrets;
use crate::problem::{Answer, Problem};

/// Wrong passwords for one login, within `WITHIN`, that close it.
const WRONG: usize = 8;
/// The same from one address, which a whole club may share.
const WRONG_FROM_ADDRESS: usize = 200;
/// Wrong passwords are counted for this long; the first closure lasts as long.
const WITHIN: SignedDuration = SignedDuration::from_mins(5);
/// The longest that it stays closed at once.
const LONGEST: SignedDuration = SignedDuration::from_hours(2);
/// After so long without a try nothing is remembered.
const FORGOTTEN: SignedDuration = SignedDuration::from_hours(24);
/// How much is watched at once. Beyond that the one of which nothing was heard for longest is forgotten, but never one
/// that is closed: as long as all of them are, nobody new may try.
const WATCHED: usize = 10_000;

/// Whose tries are counted together.
#[derive(Clone, PartialEq, Eq, Hash)]
pub struct Counted {
    of: Vec<u8>,
    most: usize,
}

impl Counted {
    /// The tries for a login from anywhere, or from a device that is known for it. However long the login is, what is
    /// kept of it is short.
    pub fn of(login: &str, device: Option<&str>) -> Counted {
        let device = device.unwrap_or_default();
        Counted { of: secrets::hashed(&format!("{}:{login}{device}", login.len())), most: WRONG }
    }

    /// The tries from an address, for whatever login.
    pub fn from(address: &str) -> Counted {
        Counted { of: secrets::hashed(&format!("from {address}")), most: WRONG_FROM_ADDRESS }
    }
}

/// What was tried and has not turned out to be right.
#[derive(Default)]
struct Tried {
    at: Vec<Timestamp>,
    heard: Timestamp,
    closed_until: Timestamp,
    /// How often it was closed.
    closed: u32,
}

impl Tried {
    fn is_closed(&self, now: Timestamp) -> bool {
        now < self.closed_until
    }
}

/// When passwords were tried that have not turned out to be right.
#[derive(Default)]
pub struct Tries(Mutex<HashMap<Counted, Tried>>);

impl Tries {
    /// Counts a try as a wrong one; errs if there were too many of them.
    pub fn begin(&self, of: &Counted, now: Timestamp) -> Answer<()> {
        let mut all = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        if !all.contains_key(of) && all.len() >= WATCHED {
            make_room(&mut all, now)?;
        }
        let tried = all.entry(of.clone()).or_default();
        if now.duration_since(tried.heard) >= FORGOTTEN {
            *tried = Tried::default();
        }
        if tried.is_closed(now) {
            return Err(closed(tried.closed_until.duration_since(now)));
        }
        tried.heard = now;
        tried.at.retain(|at| now.duration_since(*at) < WITHIN);
        if tried.at.len() >= of.most {
            let long = WITHIN.checked_mul(1 << tried.closed.min(10)).unwrap_or(LONGEST).min(LONGEST);
            (tried.closed_until, tried.closed) = (now + long, tried.closed + 1);
            tried.at.clear();
            return Err(closed(long));
        }
        tried.at.push(now);
        Ok(())
    }

    /// The password was right: what was tried before for this login is forgotten.
    pub fn right(&self, of: &Counted) {
        self.0.lock().unwrap_or_else(PoisonError::into_inner).remove(of);
    }

    /// The password was right: the try from this address counts no longer, those before it do.
    pub fn was_right(&self, from: &Counted) {
        let mut all = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        all.get_mut(from).map(|tried| tried.at.pop());
    }
}

/// What is said while it is closed: in so many whole minutes it opens again.
fn closed(long: SignedDuration) -> Problem {
    Problem::slow_down(u32::try_from((long.as_secs() + 59) / 60).unwrap_or(u32::MAX))
}

/// Forgets that of which nothing was heard for longest.
fn make_room(all: &mut HashMap<Counted, Tried>, now: Timestamp) -> Answer<()> {
    all.retain(|_, tried| now.duration_since(tried.heard) < FORGOTTEN);
    if all.len() < WATCHED {
        return Ok(());
    }
    // One that has no try left is about to be closed.
    let open = all.iter().filter(|(of, tried)| !tried.is_closed(now) && tried.at.len() < of.most);
    let oldest = open.min_by_key(|(_, tried)| tried.heard).map(|(of, _)| of.clone());
    oldest.and_then(|of| all.remove(&of)).map(drop).ok_or_else(|| closed(WITHIN))
}

#[cfg(test)]
mod tests {
    use jiff::ToSpan;

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
        assert!(tries.begin(&of("una"), MONDAY + 10.seconds() + 4.minutes()).is_err());
        assert!(tries.begin(&of("una"), MONDAY + 10.seconds() + 5.minutes()).is_ok());
    }

    // 5, 10, 20, 40, 80 minutes, and never more than two hours; forgotten after a day.
    #[test]
    fn whoever_goes_on_waits_twice_as_long_each_time() {
        let (tries, mut now) = (Tries::default(), MONDAY);
        for minutes in [5, 10, 20, 40, 80, 120, 120] {
            (0..WRONG).for_each(|_| assert!(tries.begin(&of("una"), now).is_ok()));
            assert!(tries.begin(&of("una"), now).is_err());
            assert!(tries.begin(&of("una"), now + minutes.minutes() - 1.second()).is_err(), "{minutes}");
            now += minutes.minutes();
        }
        now += 24.hours();
        (0..=WRONG).for_each(|_| drop(tries.begin(&of("una"), now)));
        assert!(tries.begin(&of("una"), now + 5.minutes()).is_ok());
    }

    #[test]
    fn an_address_is_closed_after_many_wrong_ones_and_right_ones_do_not_count() {
        let (tries, hall) = (Tries::default(), Counted::from("192.0.2.1"));
        for _ in 0..2 * WRONG_FROM_ADDRESS {
            assert!(tries.begin(&hall, MONDAY).is_ok());
            tries.was_right(&hall);
        }
        (0..WRONG_FROM_ADDRESS).for_each(|_| assert!(tries.begin(&hall, MONDAY).is_ok()));
        assert!(tries.begin(&hall, MONDAY).is_err());
        assert!(tries.begin(&Counted::from("192.0.2.2"), MONDAY).is_ok());
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
