//! Scores: what do the feet do, beat by beat?
//!
//! A coach counts a technique aloud: "in, out, sole, out". A score is exactly that text, and Jogo computes the rest:
//! [`notation`] reads it, [`unfold`] writes its repeats and parts out, [`play`] moves ball and feet and finds what
//! cannot be done, [`measure`] counts, [`chain`] joins scores, [`kinship`] compares them, [`strip`] draws them, and [`feet`] is
//! what a picture of the moving feet needs.
//! `docs/touch-score.md` explains the notation to coaches.
//!
//! ```
//! use jogo_core::technique::score::{Score, tempo::BodySize};
//!
//! let cut = Score::read("right inside tap, right outside tap", BodySize::default(), &[]).unwrap();
//! assert_eq!(cut.round.end().ball, cut.round.start.ball); // it closes
//!
//! let faults = Score::read("right inside push out", BodySize::default(), &[]).unwrap_err();
//! assert_eq!((faults[0].line, faults[0].column), (1, 19)); // an inside push cannot go out
//! ```

pub mod chain;
mod fault;
pub mod feet;
pub mod kinship;
pub mod lie;
pub mod measure;
pub mod notation;
pub mod play;
pub mod spoken;
pub mod strip;
pub mod tempo;
pub mod touch;
pub mod unfold;

pub use fault::{Expected, Fault, Mend, ScoreFault};

use crate::technique::skill::Skill;
use crate::technique::surface::Surface;
use crate::units::Metres;
use play::{Round, opening};
use tempo::BodySize;
use touch::Way;
use unfold::Unfolded;

/// The longest text that is read, in bytes.
pub const LONGEST_TEXT: usize = 100_000;
/// The most beats of a score, repeats written out.
pub const MOST_BEATS: usize = 300;

/// A technique, beat by beat.
#[derive(Clone, Debug, PartialEq)]
pub struct Score {
    /// Its beats, repeats and parts written out.
    pub unfolded: Unfolded,
    /// Ball and feet, beat by beat.
    pub round: Round,
    /// For children of which size it is played.
    pub size: BodySize,
}

impl Score {
    /// Reads a score. `skills` are those whose scores it may play by `do skill`.
    ///
    /// Errs with every fault at once, in the order of their places. Never panics, and ends after at most 300 beats.
    pub fn read(text: &str, size: BodySize, skills: &[Skill]) -> Result<Score, Vec<Fault>> {
        match Score::read_partly(text, size, skills) {
            (score, faults) if faults.is_empty() => Ok(score),
            (_, faults) => Err(faults),
        }
    }

    /// What reads of a text, and the faults of the rest: while somebody writes, the picture follows what stands
    /// already.
    ///
    /// ```
    /// use jogo_core::technique::score::{Score, tempo::BodySize};
    /// let (score, faults) = Score::read_partly("right inside tap, lef", BodySize::default(), &[]);
    /// assert_eq!((score.round.counts.len(), faults.len()), (1, 1));
    /// ```
    pub fn read_partly(text: &str, size: BodySize, skills: &[Skill]) -> (Score, Vec<Fault>) {
        let (statements, mut faults) = notation::parse(text);
        let (unfolded, more) = unfold::unfold(&statements, skills);
        // What could not be read may have been what is missing.
        if faults.is_empty() {
            faults.extend(more);
        } else {
            faults.extend(more.into_iter().filter(|fault| fault.expected != Expected::ABeat));
        }
        let (round, more) = play::play(&unfolded, opening(&unfolded), size);
        faults.extend(more);
        faults.sort_by_key(|fault| (fault.line, fault.column));
        (Score { unfolded, round, size }, faults)
    }

    /// The same on the move: body and ball go so far each beat.
    pub fn travelling(&self, way: Way, length: Metres) -> Score {
        let unfolded = Unfolded { travel: Some((way, length)), ..self.unfolded.clone() };
        let (round, _) = play::play(&unfolded, opening(&unfolded), self.size);
        Score { unfolded, round, size: self.size }
    }

    /// The same with another surface in the place of the leading one: the first touch, and every touch that does the
    /// same with the same surface. `None` if the surface cannot do it, or if the ball is then out of reach.
    ///
    /// ```
    /// use jogo_core::technique::score::{Score, tempo::BodySize};
    /// use jogo_core::technique::surface::Surface;
    ///
    /// let score = Score::read("toss, right thigh cushion, right laces stop", BodySize::default(), &[]).unwrap();
    /// assert_eq!(score.played_with(Surface::Inside).unwrap().touches().right[&Surface::Inside], 1);
    ///
    /// let roll = Score::read("right sole roll in, left sole stop", BodySize::default(), &[]).unwrap();
    /// assert!(roll.played_with(Surface::Laces).is_none()); // laces cannot roll
    /// ```
    pub fn played_with(&self, surface: Surface) -> Option<Score> {
        let unfolded = self.unfolded.played_with(surface)?;
        let (round, faults) = play::play(&unfolded, opening(&unfolded), self.size);
        faults.is_empty().then_some(Score { unfolded, round, size: self.size })
    }

    /// The same with the feet exchanged: every sum stays, left and right change places.
    pub fn mirrored(&self) -> Score {
        let unfolded = self.unfolded.mirrored();
        let (round, _) = play::play(&unfolded, opening(&unfolded), self.size);
        Score { unfolded, round, size: self.size }
    }
}
