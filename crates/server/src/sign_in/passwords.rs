//! Passwords and the key that signs cookies.

use crate::facts::Entered;
use crate::problem::{Answer, Problem};
use jogo_core::fact::Fact;
use std::cell::RefCell;
use std::io::Write;
use std::os::unix::fs::OpenOptionsExt;
use std::path::{Path, PathBuf};
use std::sync::{Arc, LazyLock, Mutex, PoisonError, mpsc};
use std::time::Duration;

use actix_web::cookie::Key;
use argon2::password_hash::PasswordHasher;
use argon2::password_hash::phc::{Output, PasswordHash};
use argon2::{Algorithm, Argon2, Block, Params, Version};
use tokio::sync::{Semaphore, oneshot};
use zxcvbn::zxcvbn;

/// The shortest password that is taken.
pub const SHORTEST: usize = 8;
/// Passwords that are found with fewer guesses than this power of ten are not taken.
const GUESSES_LOG10: f64 = 6.0;
/// The longest; more would only keep the server busy.
pub const LONGEST: usize = 200;

/// Says what is wrong with a password that somebody chooses: its length, that it is one of the first that are guessed,
/// or that it contains the name they sign in with.
pub fn chosen(password: &str, login: &str) -> Result<(), Fact> {
    let long = password.chars().count();
    if !(SHORTEST..=LONGEST).contains(&long) {
        return Err(Entered::Password { least: SHORTEST, most: LONGEST, long }.into());
    }
    if login.chars().count() > 2 && password.to_lowercase().contains(login) {
        return Err(Entered::PasswordNames { name: login.to_owned() }.into());
    }
    // Fewer guesses than this take no time for whoever has the hash, and less than a season online.
    if zxcvbn(password, &[login]).guesses_log10() < GUESSES_LOG10 {
        return Err(Entered::PasswordGuessed.into());
    }
    Ok(())
}

/// Hashes a password (Argon2id, with a salt of its own).
pub fn hash(password: &str) -> Result<String, Fact> {
    let hash = Argon2::default().hash_password(password.as_bytes());
    let hash = hash.map_err(|e| Fact::written(e.to_string()))?;
    Ok(hash.to_string())
}

thread_local! {
    /// What looking at a password works in. It is kept: memory of this size would be given back in pieces that nothing
    /// else fits into.
    static BLOCKS: RefCell<Vec<Block>> = const { RefCell::new(Vec::new()) };
}

/// Whether a password is the one behind a hash.
pub fn verify(password: &str, hash: &str) -> bool {
    password.len() <= LONGEST * 4 && looked_at(password.as_bytes(), hash).unwrap_or(false)
}

fn looked_at(password: &[u8], hash: &str) -> Option<bool> {
    let kept = PasswordHash::new(hash).ok()?;
    let (params, version) = (Params::try_from(&kept).ok()?, Version::try_from(kept.version?).ok()?);
    let (algorithm, salt, expected) = (Algorithm::new(kept.algorithm.as_str()).ok()?, kept.salt?, kept.hash?);
    let mut found = vec![0; expected.len()];
    BLOCKS.with_borrow_mut(|blocks| {
        blocks.resize(params.block_count(), Block::default());
        let argon2 = Argon2::new(algorithm, version, params);
        argon2.hash_password_into_with_memory(password, salt.as_ref(), &mut found, blocks.as_mut_slice()).ok()
    })?;
    // Compared in constant time.
    Some(Output::new(&found).ok()? == expected)
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

type Job = Box<dyn FnOnce() + Send>;

/// Threads that look at passwords, and do nothing else: each keeps the memory that it needed, so that many threads that
/// take turns would keep it many times.
struct Lookers {
    turns: Semaphore,
    jobs: mpsc::Sender<Job>,
}

static LOOKERS: LazyLock<Lookers> = LazyLock::new(|| {
    let (jobs, waiting) = mpsc::channel::<Job>();
    let waiting = Arc::new(Mutex::new(waiting));
    for _ in 0..AT_ONCE {
        let waiting = waiting.clone();
        let next = move || waiting.lock().unwrap_or_else(PoisonError::into_inner).recv();
        std::thread::spawn(move || {
            while let Ok(job) = next() {
                job()
            }
        });
    }
    Lookers { turns: Semaphore::new(AT_ONCE), jobs }
});

/// Does something slow with a password, in its turn and beside everything else.
pub async fn in_turn<T: Send + 'static>(work: impl FnOnce() -> T + Send + 'static) -> Answer<T> {
    let turn = tokio::time::timeout(PATIENCE, LOOKERS.turns.acquire()).await;
    let _turn = turn.map_err(|_| Problem::busy())?.map_err(|e| Problem::internal(&e))?;
    let (done, result) = oneshot::channel();
    // Whoever asked may have gone: then nobody hears.
    let job: Job = Box::new(move || drop(done.send(work())));
    LOOKERS.jobs.send(job).map_err(|e| Problem::internal(&e))?;
    result.await.map_err(|e| Problem::internal(&e))
}

/// Where the key that signs cookies lies.
pub fn key_file(data: &Path) -> PathBuf {
    data.join("cookie.key")
}

/// The key that signs cookies, made at the first start and readable by the owner alone.
pub fn key(data: &Path) -> Result<Key, String> {
    let file = key_file(data);
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

#[cfg(test)]
mod tests {
    use std::sync::atomic::{AtomicUsize, Ordering};

    use argon2::password_hash::PasswordVerifier;
    use rstest::rstest;

    use super::*;

    // Beside the library's own way.
    #[rstest]
    #[case::right("skerrow-floor", true)]
    #[case::wrong("skerrow-flood", false)]
    #[case::nothing("", false)]
    fn a_password_is_known_by_its_hash(#[case] password: &str, #[case] right: bool) {
        let made = hash("skerrow-floor").unwrap_or_default();
        assert!(made.starts_with("$argon2id$v=19$m=19456,t=2,p=1$"), "{made}");
        assert_eq!((verify(password, &made), verify(password, "$argon2id$nonsense")), (right, false));
        assert_eq!(Argon2::default().verify_password(password.as_bytes(), made.as_str()).is_ok(), right);
    }

    #[rstest]
    #[case::some_words("skerrow-floor", None)]
    #[case::a_sentence("three cones and no rain", None)]
    #[case::short("8ter!Mo", Some("entered-password"))]
    #[case::long(&"ab".repeat(LONGEST), Some("entered-password"))]
    #[case::common("password1", Some("entered-password-guessed"))]
    #[case::keys_in_a_row("qwertyuiop", Some("entered-password-guessed"))]
    #[case::a_day("12031999", Some("entered-password-guessed"))]
    #[case::one_sign("aaaaaaaaaaaa", Some("entered-password-guessed"))]
    #[case::the_name("My-Keya-phrase-17", Some("entered-password-names"))]
    fn what_is_guessed_first_is_no_password(#[case] password: &str, #[case] refused: Option<&str>) {
        let fact = chosen(password, "keya").err();
        assert_eq!(fact.as_ref().map(|fact| &*fact.code), refused);
    }

    // Each bears a moment, so that many would meet if they were not kept apart.
    #[actix_web::test]
    async fn few_are_looked_at_at_once_and_each_gets_its_own_answer() -> Answer<()> {
        static NOW: AtomicUsize = AtomicUsize::new(0);
        static MOST: AtomicUsize = AtomicUsize::new(0);
        let look = |n: usize| {
            in_turn(move || {
                MOST.fetch_max(NOW.fetch_add(1, Ordering::SeqCst) + 1, Ordering::SeqCst);
                std::thread::sleep(Duration::from_millis(20));
                NOW.fetch_sub(1, Ordering::SeqCst);
                n
            })
        };
        let five = tokio::try_join!(look(1), look(2), look(3), look(4), look(5))?;
        assert_eq!(five, (1, 2, 3, 4, 5));
        assert_eq!(MOST.load(Ordering::SeqCst), AT_ONCE);
        Ok(())
    }
}
