//! Who was away whenever something was shown has not met it.

use std::collections::BTreeSet;

use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::home::HomeCard;
use jogo_core::delivery::presence::Away;
use jogo_core::delivery::{Outcome, Said};
use jogo_core::ids::SkillId;
use jogo_core::plan::{Block, Plan};
use jogo_core::season::calendar::SessionDay;
use jogo_core::technique::skill::Stage;
use jogo_core::units::{Minutes, Pace};
use rstest::rstest;

use crate::demo::{self, called};

fn block(variant: &str) -> Block {
    Block::of(&called(variant), Minutes(6))
}

/// Toe taps in the first three sessions; all else of the demo's curriculum is not laid.
fn edition() -> Edition {
    let mut sessions = vec![vec![block("toe-taps-rounds@form")]; 3];
    sessions.resize(12, Vec::new());
    demo::edition(demo::named(Plan { sessions }, 1))
}

/// Who was away in the sessions from the first one on: each letter is a player.
fn away(edition: &Edition, sessions: &[&str]) -> Away<char> {
    let days = edition.curriculum.session_days();
    let on = |(day, players): (&SessionDay, &&str)| (day.date, players.chars().collect());
    days.iter().zip(sessions).map(on).collect()
}

// Worked out by hand: away at each showing before the session, and at least one showing.
#[rstest]
#[case::before_it_began(0, &["ab"], "")]
#[case::away_when_it_began(1, &["ab"], "ab")]
#[case::back_for_the_second(2, &["ab", "b"], "b")]
#[case::away_for_the_second_alone(2, &["", "a"], "")]
#[case::away_all_the_time(3, &["abc", "bc", "c"], "c")]
#[case::nobody_said_who_was_here(2, &[], "")]
fn whoever_was_away_whenever_it_was_shown_starts_one_down(
    #[case] session: usize,
    #[case] sessions: &[&str],
    #[case] wanted: &str,
) {
    let edition = edition();
    let problem = edition.problem().unwrap();
    let away = away(&edition, sessions);
    let found = edition.not_met(&problem, &Said::default(), session, &away);
    let players: BTreeSet<char> = found.values().flatten().copied().collect();
    assert_eq!(players, wanted.chars().collect());
    if session < 3 {
        let blocks = edition.start_one_down(&problem, &Said::default(), session, &away);
        let one_down: BTreeSet<char> = blocks.iter().flat_map(|block| block.players.clone()).collect();
        assert_eq!(one_down, players);
    }
}

#[test]
fn what_was_left_out_was_not_shown() {
    let edition = edition();
    let problem = edition.problem().unwrap();
    // It was left out when everybody was here, and shown when one was away.
    let said = demo::said(&edition.plan, [((0, 0), (Outcome::Skipped, None))]);
    let found = edition.not_met(&problem, &said, 2, &away(&edition, &["", "a"]));
    assert_eq!(found, [(called::<SkillId>("toe-taps"), BTreeSet::from(['a']))].into());
}

#[test]
fn what_the_squad_brought_with_it_is_new_to_nobody() {
    let mut edition = edition();
    for goal in &mut edition.curriculum.goals {
        if goal.skill == *"toe-taps" {
            goal.present = Some(Stage::Form);
        }
    }
    let problem = edition.problem().unwrap();
    assert!(edition.not_met(&problem, &Said::default(), 2, &away(&edition, &["a", "a"])).is_empty());
}

// At home it comes before what the others do.
#[test]
fn at_home_comes_first_what_was_missed() {
    let mut edition = edition();
    for session in 1..4 {
        edition.plan.sessions[session] = vec![block("cut-rounds@form")];
    }
    let problem = edition.problem().unwrap();
    let (shelf, day) = (demo::drills(), edition.curriculum.session_days()[3].date);
    let toe_taps = BTreeSet::from([called::<SkillId>("toe-taps")]);
    let serves = |card: &HomeCard| {
        let first = &card.drills[0].drill;
        let drill = shelf.iter().find(|drill| drill.id == *first).unwrap();
        drill.serves.iter().any(|serves| serves.skill == *"toe-taps")
    };
    assert!(!serves(&edition.home_card(&problem, &shelf, day, Pace::default())));
    assert!(serves(&edition.home_card_for(&toe_taps, &problem, &shelf, day, Pace::default())));
}
