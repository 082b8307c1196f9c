//! Chance that can be told again: the same seed gives the same numbers.

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

/// A source of chance: same seed, same story.
pub struct Chance(pub(crate) ChaCha8Rng);

impl Chance {
    /// Begins a story.
    ///
    /// ```
    /// use jogo_core::statistics::chance::Chance;
    /// let told = |seed| Chance::seeded(seed).normal();
    /// assert_eq!(told(7), told(7));
    /// assert_ne!(told(7), told(8));
    /// ```
    pub fn seeded(seed: u64) -> Chance {
        Chance(ChaCha8Rng::seed_from_u64(seed))
    }

    /// Begins a story that belongs to a name, whatever else is told before it.
    pub fn named(name: &str) -> Chance {
        // FNV-1a (Fowler, Noll, Vo) makes a seed of a name.
        let hash = name.bytes().fold(0xcbf2_9ce4_8422_2325, |hash: u64, byte| {
            (hash ^ u64::from(byte)).wrapping_mul(0x0000_0100_0000_01b3)
        });
        Chance::seeded(hash)
    }

    /// A standard normal number (Box and Muller's transform).
    pub fn normal(&mut self) -> f64 {
        let (u, v): (f64, f64) = (self.0.random(), self.0.random());
        (-2.0 * (1.0 - u).ln()).sqrt() * (std::f64::consts::TAU * v).cos()
    }

    /// Whether something happens that happens with this probability.
    pub fn happens(&mut self, probability: f64) -> bool {
        self.0.random::<f64>() < probability
    }

    /// Puts them into another order, each as likely as every other.
    pub fn shuffle<T>(&mut self, all: &mut [T]) {
        for last in (1..all.len()).rev() {
            all.swap(last, self.0.random_range(0..=last));
        }
    }

    /// One of several words.
    pub(crate) fn pick<'a>(&mut self, from: &[&'a str]) -> &'a str {
        from[self.0.random_range(0..from.len())]
    }
}
