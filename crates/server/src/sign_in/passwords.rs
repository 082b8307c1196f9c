//! Passwords and the key that signs cookies.

use crate::facts::Entered;
use jogo_core::fact::Fact;
use std::io::Write;
use std::os::unix::fs::OpenOptionsExt;
use std::path::Path;

use actix_web::cookie::Key;
use argon2::Argon2;
use argon2::password_hash::{PasswordHasher, PasswordVerifier};

/// The shortest password that is taken.
pub const SHORTEST: usize = 8;
/// The longest; more would only keep the server busy.
pub const LONGEST: usize = 200;

/// Hashes a password (Argon2id, with a salt of its own).
pub fn hash(password: &str) -> Result<String, Fact> {
    let long = password.chars().count();
    if !(SHORTEST..=LONGEST).contains(&long) {
        return Err(Entered::Password { least: SHORTEST, most: LONGEST, long }.into());
    }
    let hash = Argon2::default().hash_password(password.as_bytes());
    let hash = hash.map_err(|e| Fact::written(e.to_string()))?;
    Ok(hash.to_string())
}

/// Whether a password is the one behind a hash.
pub fn verify(password: &str, hash: &str) -> bool {
    password.len() <= LONGEST * 4 && Argon2::default().verify_password(password.as_bytes(), hash).is_ok()
}

/// The key that signs cookies, made at the first start and readable by the owner alone.
pub fn key(data: &Path) -> Result<Key, String> {
    let file = data.join("cookie.key");
    let says = |e: std::io::Error| format!("the key {}: {e}", file.display());
    match std::fs::read(&file) {
        Ok(bytes) if bytes.len() >= 64 => Ok(Key::from(&bytes)),
        Ok(_) => {
            Err(format!("the key {} is damaged: remove it, and everybody signs in again", file.display()))
        }
        Err(e) if e.kind() == std::io::ErrorKind::NotFound => {
            let key = Key::generate();
            std::fs::OpenOptions::new()
                .write(true)
                .create_new(true)
                .mode(0o600)
                .open(&file)
                .and_then(|mut f| f.write_all(key.master()))
                .map_err(says)?;
            Ok(key)
        }
        Err(e) => Err(says(e)),
    }
}
