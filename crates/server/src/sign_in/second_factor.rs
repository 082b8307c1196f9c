//! Second factors: codes that an app on a person's own device makes from a secret and the time (RFC 6238), and recovery
//! codes for the day on which that device is lost.

use jogo_store::people::Person;
use totp_rs::{Algorithm, TOTP};
use uuid::Uuid;

use super::secrets;
use crate::problem::{Answer, Problem};
use crate::state::State;

/// Digits of a code.
const DIGITS: usize = 6;
/// Seconds for which a code is shown.
const STEP: u64 = 30;
/// A code is accepted this many steps early or late, for clocks that differ.
const SKEW: u64 = 1;
/// How long a secret is, in bytes.
const SECRET: usize = 20;
/// How many recovery codes a person gets.
const RECOVERY_CODES: usize = 8;
/// Hexadecimal digits of a recovery code.
const RECOVERY_DIGITS: usize = 16;

/// A new secret.
pub fn secret() -> Answer<Vec<u8>> {
    let mut secret = vec![0; SECRET];
    getrandom::fill(&mut secret).map_err(|e| Problem::internal(&e))?;
    Ok(secret)
}

fn codes(secret: &[u8]) -> TOTP {
    TOTP::new_unchecked(Algorithm::SHA1, DIGITS, 0, STEP, secret.to_vec())
}

/// A secret as people type it into an app.
pub fn typed(secret: &[u8]) -> String {
    codes(secret).get_secret_base32()
}

/// The address that an app reads from a picture: for whom and where the codes are.
pub fn address(secret: &[u8], academy: &str, login: &str) -> String {
    let plain = |text: &str| -> String {
        text.bytes()
            .map(|byte| match byte {
                b'a'..=b'z' | b'A'..=b'Z' | b'0'..=b'9' | b'-' | b'_' | b'.' => char::from(byte).to_string(),
                other => format!("%{other:02X}"),
            })
            .collect()
    };
    let academy = if academy.is_empty() { "Jogo" } else { academy };
    let (issuer, secret) = (plain(academy), typed(secret));
    format!("otpauth://totp/{issuer}:{}?secret={secret}&issuer={issuer}", plain(login))
}

/// The time step whose code this is, near a moment in seconds since 1970; absent if it is none.
pub fn step_of(secret: &[u8], code: &str, at: u64) -> Option<i64> {
    let code: String = code.chars().filter(|sign| !sign.is_whitespace()).collect();
    let (codes, now) = (codes(secret), at / STEP);
    let near = now.saturating_sub(SKEW)..=now + SKEW;
    let found = near.into_iter().find(|step| codes.generate(step * STEP) == code)?;
    i64::try_from(found).ok()
}

/// New recovery codes, as people keep them: in groups of four.
pub fn recovery_codes() -> Answer<Vec<String>> {
    let code = || {
        let digits = secrets::token()?;
        let groups: Vec<&str> = (0..RECOVERY_DIGITS).step_by(4).map(|at| &digits[at..at + 4]).collect();
        Ok(groups.join("-"))
    };
    (0..RECOVERY_CODES).map(|_| code()).collect()
}

/// What is kept of a recovery code, however it is typed.
pub fn kept(code: &str) -> Vec<u8> {
    let digits: String = code.chars().filter(char::is_ascii_hexdigit).collect();
    secrets::hashed(&digits.to_lowercase())
}

/// The moment by which codes are counted: that of the clock on the wall, even where the calendar is held.
pub fn now() -> u64 {
    u64::try_from(jiff::Timestamp::now().as_second()).unwrap_or_default()
}

/// Errs unless a person who has a second factor shows a code of it.
pub async fn asked(state: &State, person: &Person, code: Option<String>) -> Answer<()> {
    let factor = state.store.second_factor(person.id).await?;
    let Some(factor) = factor.filter(|factor| factor.on) else { return Ok(()) };
    let code = code.filter(|code| !code.trim().is_empty()).ok_or_else(Problem::code_needed)?;
    match used(state, person.id, &factor.secret, &code).await? {
        true => Ok(()),
        false => Err(Problem::wrong_code()),
    }
}

/// Uses a code, of the app or for recovery: each works once.
async fn used(state: &State, person: Uuid, secret: &[u8], code: &str) -> Answer<bool> {
    match step_of(secret, code, now()) {
        Some(step) => Ok(state.store.use_step(person, step).await?),
        None => Ok(state.store.use_recovery_code(person, &kept(code)).await?),
    }
}

#[cfg(test)]
mod tests {
    use rstest::rstest;

    use super::*;

    const KEY: &[u8] = b"12345678901234567890";

    // The table of RFC 6238, appendix B, for SHA-1: the last six of its eight digits.
    #[rstest]
    #[case(59, "287082")]
    #[case(1_111_111_109, "081804")]
    #[case(1_234_567_890, "005924")]
    #[case(20_000_000_000, "353130")]
    fn codes_are_those_of_the_standard(#[case] at: u64, #[case] code: &str) {
        assert_eq!(step_of(KEY, code, at), i64::try_from(at / STEP).ok());
        assert_eq!(
            step_of(KEY, &format!("{} {}", &code[..3], &code[3..]), at + STEP),
            step_of(KEY, code, at)
        );
        assert_eq!(step_of(KEY, code, at + 2 * STEP), None, "too old");
        assert_eq!(step_of(b"another secret......", code, at), None);
    }

    #[test]
    fn an_app_is_told_for_whom_and_where_its_codes_are() {
        let address = address(KEY, "Skerrow Youth Academy", "keya");
        assert_eq!(
            address,
            "otpauth://totp/Skerrow%20Youth%20Academy:keya?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ\
             &issuer=Skerrow%20Youth%20Academy"
        );
    }

    #[test]
    fn recovery_codes_differ_and_are_known_however_they_are_typed() -> Answer<()> {
        let codes = recovery_codes()?;
        assert_eq!(codes.len(), RECOVERY_CODES);
        let first = &codes[0];
        assert!(first.len() == 19 && codes[1..].iter().all(|other| other != first), "{codes:?}");
        assert_eq!(kept(first), kept(&first.replace('-', " ").to_uppercase()));
        Ok(())
    }
}
