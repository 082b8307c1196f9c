//! Secrets that open something by themselves: sign-ins, invitations, calendars. Only their hashes are kept.

use sha2::{Digest, Sha256};

use crate::problem::{Answer, Problem};

/// A new secret of 32 random bytes, in hexadecimal digits.
pub fn token() -> Answer<String> {
    let mut token = [0_u8; 32];
    getrandom::fill(&mut token).map_err(|e| Problem::internal(&e))?;
    Ok(token.iter().map(|byte| format!("{byte:02x}")).collect())
}

/// What is kept of a secret.
pub fn hashed(token: &str) -> Vec<u8> {
    Sha256::digest(token).to_vec()
}
