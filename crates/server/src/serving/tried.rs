//! Whether the database can be written, as it was tried last: whoever asks often does not make Jogo write often.

use std::time::{Duration, Instant};

use jogo_store::Stored;
use tokio::sync::Mutex;

/// For so long what was found holds.
const HOLDS: Duration = Duration::from_secs(2);

/// When it was last tried whether the database can be written, and whether it could.
#[derive(Default)]
pub struct Tried(Mutex<Option<(Instant, bool)>>);

impl Tried {
    /// Whether the database can be written, as it was found a moment ago or is tried now.
    pub async fn or_try<F: Future<Output = Stored<()>>>(&self, writing: impl FnOnce() -> F) -> bool {
        let mut tried = self.0.lock().await;
        if let Some((_, could)) = tried.filter(|(at, _)| at.elapsed() < HOLDS) {
            return could;
        }
        let written = writing().await;
        if let Err(error) = &written {
            tracing::error!("the database cannot be written: {error}");
        }
        *tried = Some((Instant::now(), written.is_ok()));
        written.is_ok()
    }
}

#[cfg(test)]
mod tests {
    use std::cell::Cell;

    use jogo_store::StoreError;

    use super::*;

    #[actix_web::test]
    async fn it_is_tried_once_in_a_moment_and_said_as_it_was_found() {
        let (tried, times) = (Tried::default(), Cell::new(0));
        let fails = async || {
            times.set(times.get() + 1);
            Err(StoreError::Stale)
        };
        assert!(!tried.or_try(fails).await);
        assert!(!tried.or_try(async || Ok(())).await, "it was found a moment ago");
        assert_eq!(times.get(), 1);
    }
}
