//! Cue calls: what is called when, so that nobody can guess it?
//!
//! Never more than two alike in a row; each word within one of an even count over any 4 × |words| calls, that is 3, 4
//! or 5 times; gaps uniform in ±40 % of the mean and never under the time to get back. Same seed, same sequence.
//!
//! Each call is drawn among the words that keep these laws; where a draw leads to a dead end, the last draws are taken
//! back and drawn again.
//!
//! ```
//! use jogo_core::drill::cues::{CueWish, calls};
//! use jogo_core::units::Seconds;
//!
//! let colours = CueWish { words: vec!["red".into(), "blue".into()], gap: Seconds(4.0), back: Seconds(3.0) };
//! let called = calls(&colours, 20, 7).unwrap();
//! assert_eq!(called.len(), 20);
//! assert_eq!(called, calls(&colours, 20, 7).unwrap());
//! assert!(called.windows(3).all(|three| !(three[0].word == three[1].word && three[1].word == three[2].word)));
//! ```

use rand::seq::SliceRandom;
use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;
use serde::{Deserialize, Serialize};

use crate::input::{InputError, RangeFault, What, short_text};
use crate::units::Seconds;

/// How many words may be called.
pub const WORDS: std::ops::RangeInclusive<usize> = 2..=12;
/// How many calls at most.
pub const MOST_CALLS: usize = 600;
/// A mean gap lies between these, in seconds.
pub const GAPS: std::ops::RangeInclusive<f64> = 0.5..=60.0;
/// Gaps lie so far around their mean.
const SPREAD: f64 = 0.4;
/// Any stretch of this many calls for each word is even to within one.
const EVEN_OVER: usize = 4;

/// What may be called, and how fast.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct CueWish {
    /// Colours, numbers, sides, or names that the coach gives.
    pub words: Vec<String>,
    /// Mean time between two calls.
    #[serde(rename = "gap_s")]
    pub gap: Seconds,
    /// Time to get back from a call; no gap is shorter.
    #[serde(rename = "back_s")]
    pub back: Seconds,
}

/// One call.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Call {
    /// What is called.
    pub word: String,
    /// When, from the beginning of the work.
    #[serde(rename = "at_s")]
    pub at: Seconds,
}

impl CueWish {
    /// Every fault of a wish, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        if !WORDS.contains(&self.words.len()) {
            let (count, least, most) = (self.words.len(), *WORDS.start(), *WORDS.end());
            faults.push(InputError::at("/words", RangeFault::Count { count, least, most }));
        }
        for (i, word) in self.words.iter().enumerate().take(*WORDS.end()) {
            let at = format!("/words/{i}");
            if let Err(fault) = short_text(word, 20, What::Word) {
                faults.push(InputError::at(at, fault));
            } else if self.words[..i].contains(word) {
                faults.push(InputError::at(at, RangeFault::Twice { id: word.clone() }));
            }
        }
        for (place, seconds, range) in [("/gap_s", self.gap, GAPS), ("/back_s", self.back, 0.0..=60.0)] {
            let fault = RangeFault::Seconds { value: seconds.0, least: *range.start(), most: *range.end() };
            if !fault.holds() {
                faults.push(InputError::at(place, fault));
            }
        }
        faults
    }
}

/// A sequence of calls, at most [`MOST_CALLS`]. Errs with the faults of the wish.
pub fn calls(wish: &CueWish, count: usize, seed: u64) -> Result<Vec<Call>, Vec<InputError>> {
    let faults = wish.faults();
    if !faults.is_empty() {
        return Err(faults);
    }
    let mut rng = ChaCha8Rng::seed_from_u64(seed);
    let order = order(wish.words.len(), count.min(MOST_CALLS), &mut rng);
    let shortest = (wish.gap.0 * (1.0 - SPREAD)).max(wish.back.0);
    let longest = (wish.gap.0 * (1.0 + SPREAD)).max(shortest);
    let mut at = 0.0;
    Ok(order
        .into_iter()
        .map(|word| {
            at += shortest + (longest - shortest) * rng.random::<f64>();
            Call { word: wish.words[word].clone(), at: Seconds(at) }
        })
        .collect())
}

/// Places of words, in an order that keeps the laws.
fn order(words: usize, count: usize, rng: &mut ChaCha8Rng) -> Vec<usize> {
    let mut drawn: Vec<usize> = Vec::with_capacity(count);
    // For each call the words that have not been tried there yet.
    let mut open: Vec<Vec<usize>> = Vec::with_capacity(count);
    while drawn.len() < count {
        if open.len() == drawn.len() {
            let mut candidates: Vec<usize> =
                (0..words).filter(|word| may_follow(&drawn, *word, words)).collect();
            candidates.shuffle(rng);
            open.push(candidates);
        }
        match open.last_mut().and_then(Vec::pop) {
            Some(word) => drawn.push(word),
            None => {
                open.pop();
                // There always is an order (each word once, again and again), so the first call never runs out.
                if drawn.pop().is_none() {
                    return drawn;
                }
            }
        }
    }
    drawn
}

/// Whether a word may be called next: not a third time in a row, not a sixth time in the window, and no word may come
/// to stand below three in a full one.
fn may_follow(drawn: &[usize], word: usize, words: usize) -> bool {
    if let [.., a, b] = drawn
        && *a == word
        && *b == word
    {
        return false;
    }
    let window = EVEN_OVER * words;
    let begin = (drawn.len() + 1).saturating_sub(window);
    let mut counts = vec![0_usize; words];
    drawn[begin..].iter().for_each(|called| counts[*called] += 1);
    counts[word] += 1;
    if counts[word] > EVEN_OVER + 1 {
        return false;
    }
    // What still has to be called to bring every word to three must have room in the rest of the window.
    let room = window - (drawn.len() - begin + 1);
    let owed: usize = counts.iter().map(|count| (EVEN_OVER - 1).saturating_sub(*count)).sum();
    owed <= room
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;
    use rstest::rstest;

    fn wish(words: usize, gap: f64, back: f64) -> CueWish {
        CueWish {
            words: (0..words).map(|i| format!("w{i}")).collect(),
            gap: Seconds(gap),
            back: Seconds(back),
        }
    }

    proptest! {
        #![proptest_config(ProptestConfig::with_cases(96))]

        #[test]
        fn nobody_can_guess_and_nobody_is_left_out(
            words in 2usize..=12, seed: u64, gap in 1.0f64..10.0, back in 0.0f64..15.0,
        ) {
            let wish = wish(words, gap, back);
            let called = calls(&wish, 200, seed).unwrap();
            prop_assert_eq!(called.len(), 200);
            for three in called.windows(3) {
                prop_assert!(three[0].word != three[1].word || three[1].word != three[2].word);
            }
            for window in called.windows(4 * words) {
                for word in &wish.words {
                    let count = window.iter().filter(|call| call.word == *word).count();
                    prop_assert!((3..=5).contains(&count), "{} times {} in {} calls", count, word, window.len());
                }
            }
            let mut before = 0.0;
            for call in &called {
                let pause = call.at.0 - before;
                prop_assert!(pause >= back - 1e-9 && pause <= (1.4 * gap).max(back) + 1e-9, "{}", pause);
                prop_assert!(pause >= 0.6 * gap - 1e-9);
                before = call.at.0;
            }
        }
    }

    #[test]
    fn after_a_word_either_of_two_may_come() {
        let called = calls(&wish(2, 4.0, 0.0), 400, 1).unwrap();
        let alike = called.windows(2).filter(|two| two[0].word == two[1].word).count();
        // Were the words drawn in turns, none would be alike; drawn freely, half of them would.
        assert!((60..200).contains(&alike), "{alike} of 399");
    }

    #[rstest]
    #[case::one_word(wish(1, 4.0, 0.0), &["/words"])]
    #[case::a_crowd_of_words(wish(13, 4.0, 0.0), &["/words"])]
    #[case::said_twice(CueWish { words: vec!["a".into(), "a".into()], ..wish(2, 4.0, 0.0) }, &["/words/1"])]
    #[case::no_time(wish(2, 0.0, -1.0), &["/gap_s", "/back_s"])]
    #[case::not_a_number(wish(2, f64::NAN, 0.0), &["/gap_s"])]
    fn a_wish_that_cannot_be_called(#[case] wish: CueWish, #[case] places: &[&str]) {
        let faults: Vec<_> = calls(&wish, 10, 1).unwrap_err().into_iter().map(|f| f.pointer).collect();
        assert_eq!(faults, places);
    }
}
