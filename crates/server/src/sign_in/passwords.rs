//! Passwords and the key that signs cookies.

use crate::facts::Entered;
use crate::problem::{Answer, Problem};
use jogo_core::fact::Fact;
use std::io::Write;
use std::os::unix::fs::OpenOptionsExt;
use std::path::Path;
use std::sync::LazyLock;
use std::time::Duration;

use actix_web::cookie::Key;
use argon2::Argon2;
use argon2::password_hash::{PasswordHasher, PasswordVerifier};
use tokio::sync::Semaphore;

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

/// A hash that no password has been made for: where nobody has a name, checking against it takes as long.
pub fn of_nobody() -> &'static str {
    static NOBODY: LazyLock<String> = LazyLock::new(|| hash("nobody signs in with this").unwrap_or_default());
    &NOBODY
}

/// How many passwords are looked at at once: each takes 19 MiB and a processor.
const AT_ONCE: usize = 3;
/// How long a password waits for its turn.
const PATIENCE: Duration = Duration::from_secs(10);
/// Turns to look at a password.
static TURNS: Semaphore = Semaphore::const_new(AT_ONCE);

/// Does something slow with a password, in its turn and beside everything else.
pub async fn in_turn<T: Send + 'static>(work: impl FnOnce() -> T + Send + 'static) -> Answer<T> {
    let turn = tokio::time::timeout(PATIENCE, TURNS.acquire()).await;
    let _turn = turn.map_err(|_| Problem::busy())?.map_err(|e| Problem::internal(&e))?;
    actix_web::web::block(work).await.map_err(|e| Problem::internal(&e))
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
