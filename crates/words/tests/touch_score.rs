//! Every example of docs/touch-score.md is read; those with a fault say what the page says.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

use jogo_core::academy::language::Language;
use jogo_core::technique::score::Score;
use jogo_core::technique::score::measure::ClosingKind;
use jogo_core::technique::score::tempo::BodySize;
use jogo_core::units::Seconds;
use jogo_words::say;

const PAGE: &str = include_str!("../../../docs/touch-score.md");

/// The texts between fences of a kind.
fn fenced(kind: &str) -> Vec<&'static str> {
    let open = format!("```{kind}\n");
    PAGE.split(open.as_str()).skip(1).map(|rest| rest.split("```").next().unwrap()).collect()
}

#[test]
fn every_example_can_be_played() {
    let examples = fenced("score");
    assert!(examples.len() >= 8);
    for text in examples {
        let read = Score::read(text, BodySize::default(), &[]);
        let score = read.unwrap_or_else(|faults| panic!("{text}\n{faults:?}"));
        assert!(score.measures(Seconds(0.55)).seconds > 0.0, "{text}");
    }
}

// As the page says of it: two beats, and it closes.
#[test]
fn the_first_touches_close() {
    let taps = Score::read(fenced("score")[1], BodySize::default(), &[]).unwrap();
    assert_eq!((taps.beats(), taps.closing().kind), (2, ClosingKind::Closes));
}

#[test]
fn every_fault_says_what_the_page_says() {
    let examples = fenced("faulty");
    assert!(examples.len() >= 3);
    for example in examples {
        let (text, says) = example.split_once("> ").unwrap();
        let faults = Score::read(text.trim_end(), BodySize::default(), &[]).unwrap_err();
        let told: Vec<String> = faults.into_iter().map(|fault| say(Language::English, fault)).collect();
        // What is too long for a line goes on in the next one.
        assert_eq!(told, [says.trim_end().replace("\n> ", " ")], "{text}");
    }
}
