//! The demo library that ships with Jogo keeps its own rules.

use jogo_core::academy::Academy;
use jogo_core::academy::phrases::Phrases;
use jogo_core::drill::desk::{Setting, look};
use jogo_core::drill::levers::{LeverPoints, Levers, Tempo};
use jogo_core::drill::library::{Entry, Wanted, allowed};
use jogo_core::drill::{Drill, Shelf};
use jogo_core::ground::fit::{Ground, fit};
use jogo_core::technique::skill::{Skill, Stage};
use jogo_core::units::{Metres, Pace, Share};
use rstest::rstest;

use crate::demo;

/// Grass in spring, for the older ones.
fn grass() -> Ground {
    Ground { width: Metres(50.0), depth: Metres(40.0), ..demo::curriculum().ground }
}

#[test]
fn there_are_as_many_as_promised_and_each_keeps_the_rules_of_a_drill() {
    let (bands, skills, drills) = (demo::bands(), demo::skills(), demo::drills());
    assert!(drills.len() >= 120 && skills.len() >= 70, "{} drills, {} skills", drills.len(), skills.len());
    let tests: Vec<_> = demo::tests().into_iter().map(|test| test.id).collect();
    let milestones: Vec<_> = demo::milestones().into_iter().map(|milestone| milestone.id).collect();
    let shelf = Shelf { bands: &bands, skills: &skills, tests: &tests, milestones: &milestones };
    let wrong: Vec<String> = drills
        .iter()
        .flat_map(|drill| {
            drill.check(&shelf).into_iter().map(|f| format!("{}{}: {:?}", drill.id, f.pointer, f.fact))
        })
        .chain(bands.iter().flat_map(|band| band.faults()).map(|f| format!("{f:?}")))
        .collect();
    assert!(wrong.is_empty(), "{}", wrong.join("\n"));
}

#[test]
fn every_drill_stands_in_the_school_hall_or_on_grass() {
    let hall = demo::curriculum().ground;
    let mut crowded = Vec::new();
    for drill in demo::drills() {
        let ground = if drill.doses.contains_key("u8-u9") { hall } else { grass() };
        for rung in &drill.rungs {
            let layout = drill.layout_at(&rung.levers, Pace::default()).unwrap();
            let found = fit(&layout, &drill.station, &ground, None);
            if let Some(misfit) = found.misfit {
                crowded.push(format!("{}, {:?}: {misfit}", drill.id, layout.footprint()));
            }
        }
    }
    crowded.dedup();
    assert!(crowded.is_empty(), "{}", crowded.join("\n"));
}

#[test]
fn every_skill_can_be_learned_and_needs_only_what_is_there() {
    let (skills, drills) = (demo::skills(), demo::drills());
    for Skill { id, needs, .. } in &skills {
        let served = |stage: &Stage| {
            drills.iter().flat_map(|d| &d.serves).any(|s| s.skill == *id && s.stages.contains(stage))
        };
        assert!(served(&Stage::Form) && served(&Stage::Flow), "{id}");
        for need in needs {
            assert!(skills.iter().any(|skill| skill.id == need.skill), "{id} needs {}", need.skill);
        }
    }
}

#[test]
fn headers_are_blocked_until_the_association_has_spoken() {
    let (bands, drills) = (demo::bands(), demo::drills());
    let oldest = bands.last().unwrap();
    let can =
        |academy: &Academy| allowed(&drills, oldest, academy).any(|drill| drill.id == "header-to-partner");
    assert!(!can(&Academy::default()));
    let rule = r#"{"heading": {"from_age": 12, "text": "Skerrow youth rules, part 4", "most_per_week": 10}}"#;
    assert!(can(&serde_json::from_str(rule).unwrap()));
}

fn drill(id: &str) -> Drill {
    demo::drills().into_iter().find(|drill| drill.id == id).unwrap()
}

// Sole drags: base 1.5; tempo 0.5 / 1.5, motion 0.5, eyes 0.5 / 1.5.
#[test]
fn one_up_and_one_down_are_the_neighbours_on_the_ladder() {
    let (drags, table) = (drill("sole-drags-sides"), LeverPoints::default());
    let ladder: Vec<_> = drags.ladder(&table).iter().map(|step| step.difficulty.0).collect();
    assert_eq!(ladder, [1.5, 2.0, 2.5, 2.5, 3.0, 3.5]);
    let rhythm = Levers { tempo: Tempo::InRhythm, ..Levers::default() };
    assert_eq!(drags.one_up(&rhythm, &table).unwrap().difficulty.0, 2.5);
    assert_eq!(drags.one_down(&rhythm, &table).unwrap().levers, Levers::default());
    assert_eq!(drags.one_down(&Levers::default(), &table), None);
}

// Between 0.8 and 0.95 nothing is proposed. Above, the smallest step up is 0.5: tempo comes before motion and eyes.
#[rstest]
#[case::too_easy(0.97, Some(2.0))]
#[case::just_right(0.9, None)]
#[case::too_hard_but_nothing_is_easier(0.5, None)]
fn the_success_window_proposes_the_cheapest_lever(#[case] success: f64, #[case] difficulty: Option<f64>) {
    let (drags, table) = (drill("sole-drags-sides"), LeverPoints::default());
    let window = (Share(0.8), Share(0.95));
    let proposed = drags.propose(&Levers::default(), Share(success), window, &table);
    assert_eq!(proposed.map(|p| p.difficulty.0), difficulty);
}

fn found(wanted: &Wanted) -> Vec<String> {
    found_in(wanted, &Phrases::default())
}

fn found_in(wanted: &Wanted, phrases: &Phrases) -> Vec<String> {
    let (drills, skills) = (demo::drills(), demo::skills());
    let band = demo::band();
    let takes = |drill: &&Drill| {
        let layout = drill.layout_at(&Levers::default(), Pace::default()).ok();
        let names = drill.serves.iter().filter_map(|s| skills.iter().find(|skill| skill.id == s.skill));
        let entry = Entry { drill, layout, skills: names.map(|skill| skill.name.as_str()).collect() };
        wanted.takes(&entry, Some(&band), phrases)
    };
    drills.iter().filter(takes).map(|drill| drill.id.to_string()).collect()
}

// Sohlentippen is what toe taps are called in German; half of the words may be of one language, half of the other.
#[rstest]
#[case::in_its_own_language("toe taps rounds", true, true)]
#[case::in_german("Sohlentippen Runden", false, true)]
#[case::in_both("toe Runden", false, true)]
#[case::in_none("Sohlentippen underwater", false, false)]
fn words_are_looked_for_in_the_readers_language_too(
    #[case] text: &str,
    #[case] as_written: bool,
    #[case] in_german: bool,
) {
    let wanted = Wanted { text: Some(text.into()), ..Wanted::default() };
    let holds = |found: Vec<String>| found.contains(&"toe-taps-rounds".to_owned());
    assert_eq!((holds(found(&wanted)), holds(found_in(&wanted, &demo::phrases()))), (as_written, in_german));
}

// The starter library speaks German as a whole, and its book holds nothing that no longer stands in it.
#[test]
fn every_text_of_the_library_is_translated_and_no_other() {
    let (mut book, mut learnt) = (demo::phrases(), Phrases::default());
    let pieces = [
        serde_json::to_value(demo::drills()),
        serde_json::to_value(demo::skills()),
        serde_json::to_value(demo::tests()),
        serde_json::to_value(demo::milestones()),
        serde_json::to_value(demo::bands()),
        serde_json::to_value(demo::templates()),
    ];
    for piece in pieces {
        learnt.learn(piece.as_ref().unwrap());
        book.learn(&piece.unwrap());
    }
    let all = || book.texts.iter().chain(&book.calls);
    let missing: Vec<_> = all().filter(|(_, said)| said.is_empty()).map(|(text, _)| text).collect();
    assert_eq!((missing.len(), book.faults()), (0, vec![]), "{missing:?}");
    let known = |text: &&String| !learnt.texts.contains_key(*text) && !learnt.calls.contains_key(*text);
    let left_over: Vec<_> = all().map(|(text, _)| text).filter(known).collect();
    // The season that the demo runs has a name of its own.
    assert_eq!(left_over, ["Autumn with the ball", "Winter with the ball"]);
}

#[test]
fn a_drill_is_found_by_what_is_asked_of_it() {
    let asked = |query: &str| found(&serde_json::from_str(query).unwrap());
    let home = asked(r#"{"strand": "receiving", "home": true, "width_m": 5, "depth_m": 5}"#);
    assert!(
        home.contains(&"home-wall-and-set".to_owned()) && home.iter().all(|id| drill(id).home.is_some()),
        "{home:?}"
    );
    let narrow = asked(r#"{"strand": "receiving", "home": true, "width_m": 3, "depth_m": 3}"#);
    assert!(!narrow.is_empty() && narrow.len() < home.len(), "{narrow:?}");
    assert_eq!(asked(r#"{"text": "touch more catch"}"#), ["rising-staircase"]);
    assert_eq!(asked(r#"{"skill": "one-v-one", "stage": "contest"}"#), ["one-v-one-to-gates"]);
    assert!(
        asked(r#"{"without": "ball_underfoot", "surface": "toe", "band": "u6-u7"}"#)
            .contains(&"circles-round-the-ball".to_owned())
    );
    let plain = asked(r#"{"plain": true, "strand": "passing"}"#);
    assert!(
        plain.contains(&"give-and-go-gate".to_owned()) && !plain.contains(&"wall-pass-ten-clean".to_owned()),
        "{plain:?}"
    );
    let fewer = asked(r#"{"markers": 0}"#);
    assert!(!fewer.is_empty() && fewer.iter().all(|id| !drill(id).layout.contains("mark")), "{fewer:?}");
    assert_eq!(asked("{}").len(), demo::drills().len());
}

// Each wish alone, then all of them with one more: what is found is always among what was found with fewer wishes.
#[rstest]
#[case::strand("strand", "\"dribbling\"")]
#[case::stage("stage", "\"scan\"")]
#[case::surface("surface", "\"sole\"")]
#[case::markers("markers", "2")]
#[case::plain("plain", "true")]
#[case::space("depth_m", "6")]
#[case::players("players", "2")]
#[case::minutes("minutes", "8")]
#[case::home("home", "true")]
#[case::without("without", "\"ball_underfoot\"")]
fn another_wish_never_finds_more(#[case] key: &str, #[case] value: &str) {
    let asked = |query: String| found(&serde_json::from_str(&query).unwrap());
    for base in ["\"band\": \"u8-u9\"", "\"band\": \"u10-u12\", \"text\": \"the\""] {
        let (fewer, more) = (asked(format!("{{{base}}}")), asked(format!("{{{base}, \"{key}\": {value}}}")));
        assert!(more.iter().all(|id| fewer.contains(id)), "{key}: {more:?}");
        assert!(more.len() < fewer.len(), "{key} narrows nothing");
    }
}

#[test]
fn the_desk_looks_at_a_drill_as_it_is_and_as_it_is_being_written() {
    let (academy, band, ground) = (Academy::default(), demo::band(), demo::curriculum().ground);
    let (skills, pace) = (demo::skills(), Pace::default());
    let setting = Setting { band: &band, skills: &skills, academy: &academy, ground: &ground, pace };
    let mut weave = drill("weave-six");
    let desk = look(&weave, &weave.rungs[0].levers, &setting);
    assert_eq!((desk.strand, desk.one_down.is_none(), desk.faults.len()), (weave.main_strand(), true, 0));
    let floor = desk.floor.unwrap();
    assert_eq!(floor.fit.station_sizes.iter().sum::<u32>(), ground.squad);
    assert!(floor.timing.is_some() && desk.drawing.contains("data-line"));
    weave.layout += "\nwlak 3";
    let writing = look(&weave, &weave.rungs[0].levers, &setting);
    assert_eq!((writing.faults.len(), writing.floor), (1, None));
    assert_eq!(writing.drawing, desk.drawing, "what reads is drawn all the same");
    weave.doses.clear();
    weave.layout = drill("weave-six").layout;
    let undosed = look(&weave, &weave.rungs[0].levers, &setting).floor.unwrap();
    assert_eq!((undosed.timing, undosed.block_min), (None, None));
}

#[rstest]
fn standards_rise_in_the_direction_that_is_better() {
    let tests = demo::tests();
    for standard in demo::standards() {
        let test = tests.iter().find(|t| t.id == standard.test).unwrap();
        assert!(standard.thresholds.in_order(test.protocol.better()), "{}", test.id);
    }
}
