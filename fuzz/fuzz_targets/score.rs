//! Any text is read or answered, and whatever reads is measured, mirrored, drawn and joined to itself.
#![no_main]

use jogo_core::technique::score::chain::joined;
use jogo_core::technique::score::tempo::{BodySize, Tempos};
use jogo_core::technique::score::{MOST_BEATS, Score};
use jogo_core::units::Seconds;
use libfuzzer_sys::fuzz_target;

fuzz_target!(|text: &str| {
    let (score, faults) = Score::read_partly(text, BodySize::default(), &[]);
    assert!(score.round.counts.len() <= MOST_BEATS);
    assert!(score.round.counts.iter().all(|count| count.after.ball.iter().all(|at| at.is_finite())));
    assert!(score.draw(&[]).ends_with("</svg>"));
    assert_eq!(score.moving_feet(Tempos::up_to(11)).counts.len(), score.round.counts.len());
    let lines = text.lines().count().max(1) as u32 + 1;
    assert!(faults.iter().all(|fault| (1..=lines).contains(&fault.line) && fault.column >= 1));
    if faults.is_empty() {
        let measures = score.measures(Seconds(0.55));
        assert!(measures.seconds > 0.0 && measures.ball_m.is_finite());
        assert_eq!(score.mirrored().mirrored(), score);
        assert_eq!(joined(&[&score, &score]).0.len(), 1);
    }
});
