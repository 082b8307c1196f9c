//! The address at which an academy is begun: a secret that works until somebody has begun, for a day at most.

use std::sync::{Mutex, PoisonError};

use jiff::{Timestamp, ToSpan};

use super::secrets;
use crate::problem::Answer;

/// How long the secret works.
const HOURS: i64 = 24;

/// The secret with which an academy is begun, if one is given out. It is gone when the program ends.
#[derive(Default)]
pub struct Beginning(Mutex<Option<Open>>);

struct Open {
    hash: Vec<u8>,
    until: Timestamp,
}

impl Beginning {
    /// A new secret; an earlier one no longer works.
    pub fn open(&self, now: Timestamp) -> Answer<String> {
        let token = secrets::token()?;
        let open = Open { hash: secrets::hashed(&token), until: now + HOURS.hours() };
        *self.0.lock().unwrap_or_else(PoisonError::into_inner) = Some(open);
        Ok(token)
    }

    /// Whether this is the secret.
    pub fn opens(&self, token: &str, now: Timestamp) -> bool {
        let open = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        open.as_ref().is_some_and(|open| now < open.until && open.hash == secrets::hashed(token))
    }

    /// From now on no secret works.
    pub fn close(&self) {
        *self.0.lock().unwrap_or_else(PoisonError::into_inner) = None;
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    const SUNDAY: Timestamp = Timestamp::constant(1_928_000_000, 0);

    #[test]
    fn a_secret_works_for_a_day_until_another_is_given_out_or_somebody_has_begun() -> Answer<()> {
        let beginning = Beginning::default();
        assert!(!beginning.opens("", SUNDAY), "nothing is given out");
        let first = beginning.open(SUNDAY)?;
        assert!(beginning.opens(&first, SUNDAY + 23.hours()) && !beginning.opens("guess", SUNDAY));
        assert!(!beginning.opens(&first, SUNDAY + 24.hours()));
        let second = beginning.open(SUNDAY)?;
        assert!(!beginning.opens(&first, SUNDAY) && beginning.opens(&second, SUNDAY));
        beginning.close();
        assert!(!beginning.opens(&second, SUNDAY));
        Ok(())
    }
}
