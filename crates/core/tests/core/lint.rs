//! What is asked of a library as a whole: a library of one drill that nothing is asked of, and what each change of it
//! brings up.

use jogo_core::library::{Whole, lint};
use jogo_core::plan::curriculum::Curriculum;
use rstest::rstest;
use serde_json::{Value, json};

/// Six taps on the spot, with all that belongs to them.
fn whole() -> Value {
    let mut curriculum: Value =
        serde_json::from_str(include_str!("../../../../demo/templates/u8-u9-winter.json")).unwrap();
    curriculum["goals"] = json!([{"skill": "tap", "goal": "flow"}]);
    json!({
        "bands": serde_json::from_str::<Value>(include_str!("../../../../demo/bands.json")).unwrap(),
        "skills": [{"id": "tap", "name": "Tap", "strand": "ball_mastery", "band": "u8-u9", "needs": []}],
        "drills": [{
            "id": "taps", "title": "Taps", "purpose": "Tap the ball.", "in_game": "Keeping it close.",
            "serves": [{"skill": "tap", "stages": ["form", "flow"]}], "strands": {"ball_mastery": 1.0},
            "surfaces": ["inside"], "station": {"min": 1, "usual": 1, "max": 2, "working": 2},
            "layout": "mark A; player P; ball; walk 2m; mark B",
            "doses": {"u8-u9": {"kind": "timed", "work_s": 30, "rest_s": 30, "sets": 5, "sides": "together"}},
            "difficulty": 1.0, "levers": {"tempo": ["own_pace", "fast"]},
            "rungs": [{"levers": {}}, {"levers": {"tempo": "fast"}}], "touches_per_s": {"form": 1.0, "flow": 2.0},
            "points": ["Soft knees", "Up on the toes", "Both feet alike"], "faults": [], "test": "seen",
            "home": {"width_m": 2.0, "depth_m": 1.0},
        }],
        "tests": [
            {"id": "taps-30", "name": "Taps in 30 s", "short": "Taps", "how": "The better of two counts.",
             "skill": "tap", "protocol": {"kind": "count", "seconds": 30}, "per_side": false, "trials": 2,
             "summary": "best", "least": 0, "most": 100},
            {"id": "seen", "name": "Taps, looked at", "short": "Taps", "how": "Look at the feet.", "skill": "tap",
             "protocol": {"kind": "points", "points": ["Soft knees", "Up on the toes"]}, "per_side": false,
             "trials": 1, "summary": "best", "least": 0, "most": 4},
            {"id": "weave", "name": "Weave there and back", "short": "Weave", "how": "There and back.", "skill": "tap",
             "protocol": {"kind": "course", "penalty_s": 1}, "per_side": false, "trials": 2, "summary": "best",
             "least": 1, "most": 90, "layout": "mark A; walk 10m; mark B; path dribble A -> B -> A"},
        ],
        "curriculum": curriculum,
        "standards": [
            {"test": "taps-30", "band": "u8-u9", "from": "2030-08-01",
             "thresholds": {"building": 20, "secure": 30, "stretching": 40}},
            {"test": "weave", "band": "u8-u9", "from": "2030-08-01",
             "thresholds": {"building": 20, "secure": 15, "stretching": 10}},
        ],
        "milestones": [
            {"id": "quick", "says": "I can tap", "short": "Taps", "skill": "tap", "stage": "flow", "band": "u8-u9",
             "evidence": {"measured": {"test": "taps-30", "reach": {"level": "secure"}, "times": 1, "of_last": 2}}},
            {"id": "seen", "says": "My taps look good", "short": "Looks", "skill": "tap", "stage": "form",
             "band": "u8-u9", "evidence": {"seen": {"test": "seen", "days": 1}}},
            {"id": "weave", "says": "I can weave", "short": "Weave", "skill": "tap", "stage": "flow", "band": "u8-u9",
             "evidence": {"measured": {"test": "weave", "reach": {"level": "secure"}, "times": 1, "of_last": 2}}},
        ],
    })
}

/// What is found, as place and code.
fn found(whole: &Value) -> Vec<String> {
    fn all<T: serde::de::DeserializeOwned>(whole: &Value, key: &str) -> Vec<T> {
        serde_json::from_value(whole[key].clone()).unwrap()
    }
    let (bands, skills, drills) = (all(whole, "bands"), all(whole, "skills"), all(whole, "drills"));
    let (tests, standards, milestones) =
        (all(whole, "tests"), all(whole, "standards"), all(whole, "milestones"));
    let curriculum: Curriculum = serde_json::from_value(whole["curriculum"].clone()).unwrap();
    let library = Whole {
        bands: &bands,
        skills: &skills,
        drills: &drills,
        tests: &tests,
        standards: &standards,
        milestones: &milestones,
        curricula: &[curriculum],
    };
    lint(&library).into_iter().map(|found| format!("{} {}", found.pointer, found.says.code)).collect()
}

#[test]
fn of_a_library_that_is_right_nothing_is_asked() {
    assert_eq!(found(&whole()), [""; 0]);
}

#[rstest]
#[case::nobody_begins_it("/skills/0/band", json!("u6-u7"), "/band library-skill-not-dosed")]
#[case::begun_at_flow("/drills/0/serves/0/stages", json!(["flow"]), "/band library-skill-not-dosed")]
#[case::no_ball("/drills/0/layout", json!("mark A; player P; walk 2m; mark B"), "/layout library-no-ball")]
#[case::three_stand_there(
    "/drills/0/layout", json!("mark A; player P; ball; walk 1m; player Q; server R"), "/station/min library-too-few"
)]
#[case::no_room("/drills/0/home", json!({"width_m": 1.9, "depth_m": 1.9}), "/home library-home-too-small")]
#[case::room_the_other_way("/drills/0/home", json!({"width_m": 0.5, "depth_m": 2.0}), "")]
#[case::two_at_home(
    "/drills/0/station", json!({"min": 2, "usual": 2, "max": 2, "working": 2}), "/home library-home-for-more"
)]
#[case::a_rung_for_nothing("/drills/0/rungs/1/levers", json!({"eyes": "call"}), "/rungs/1 library-rung-serves-nothing")]
#[case::sole("/drills/0/surfaces", json!(["sole"]), "/cautions library-caution-missing")]
#[case::no_sole("/drills/0/cautions", json!(["ball_underfoot"]), "/cautions library-caution-without")]
#[case::somebody_wants_it("/drills/0/levers/pressure", json!(["none", "live"]), "/cautions library-caution-missing")]
#[case::chest("/drills/0/surfaces", json!(["chest"]), "/cautions library-caution-missing")]
#[case::no_header("/drills/0/cautions", json!(["heading"]), "/cautions library-caution-without")]
#[case::too_long("/drills/0/points/2", json!("One two three four five six seven eight nine ten"), "/points/2 library-long-point")]
#[case::just_short("/drills/0/points/2", json!("One two three four five six seven eight nine"), "")]
#[case::nothing_plans_it(
    "/drills/0/doses/u8-u9", json!({"kind": "timed", "work_s": 30, "rest_s": 90, "sets": 12, "sides": "each"}),
    "/doses/u8-u9 library-never-planned"
)]
#[case::nothing_begun(
    "/drills/0/doses/u6-u7", json!({"kind": "timed", "work_s": 20, "rest_s": 20, "sets": 5, "sides": "together"}),
    "/doses/u6-u7 library-never-begun"
)]
#[case::other_seconds("/tests/0/name", json!("Taps in 20 s"), "/name library-says-other")]
#[case::other_trials("/tests/0/how", json!("The best of five counts."), "/how library-says-other")]
#[case::more_words_than_numbers("/tests/0/name", json!("Chains of four taps in 30 s"), "")]
#[case::tries("/tests/0/protocol", json!({"kind": "hits", "of": 8}), "")]
#[case::other_tries("/tests/0", json!({
    "id": "taps-30", "name": "Hits of 10", "short": "Taps", "how": "Ten tries.", "skill": "tap",
    "protocol": {"kind": "hits", "of": 8}, "per_side": false, "trials": 2, "summary": "best", "least": 0, "most": 8
}), "/name library-says-other")]
#[case::other_point("/drills/0/points/1", json!("Heels down"), "/protocol/points/1 library-other-points")]
#[case::measures_for_nothing("/milestones/0/evidence/measured/test", json!("weave"), " library-not-asked")]
#[case::nobody_is_so_fast("/standards/1/thresholds/stretching", json!(5), "/thresholds/stretching library-too-quick")]
#[case::as_fast_as_they_run("/standards/1/thresholds/stretching", json!(7.7), "")]
#[case::levels_meet("/standards/0/thresholds/secure", json!(20), " standard-levels-meet")]
#[case::skill_of_another("/milestones/1/skill", json!("other"), "/evidence/seen/test library-other-skill")]
#[case::nothing_shows_the_goal("/curriculum/goals/0/goal", json!("scan"), "/goals/0 library-goal-not-shown")]
#[case::one_sentence_twice("/milestones/1/says", json!("I can tap!"), "/says library-alike")]
fn each_change_brings_up_what_it_breaks(#[case] at: &str, #[case] value: Value, #[case] asks: &str) {
    let mut whole = whole();
    let (inside, key) = at.rsplit_once('/').unwrap();
    match whole.pointer_mut(inside).unwrap() {
        Value::Array(all) => all[key.parse::<usize>().unwrap()] = value,
        other => other[key] = value,
    }
    let found = found(&whole);
    match asks {
        "" => assert_eq!(found, [""; 0]),
        asks => assert!(found.iter().any(|found| found == asks), "{found:?}"),
    }
}

#[test]
fn a_test_that_only_a_challenge_asks_for_is_asked_for() {
    let mut whole = whole();
    whole["milestones"][0]["evidence"]["measured"]["test"] = json!("weave");
    assert_eq!(found(&whole), [" library-not-asked"]);
    let challenge = json!({"says": "How many?", "test": "taps-30"});
    whole["drills"][0]["series"] = json!({"moves": [{"skill": "tap"}], "challenge": challenge});
    assert_eq!(found(&whole), [""; 0]);
}

#[test]
fn what_two_bands_ask_of_older_and_younger_is_compared() {
    let mut whole = whole();
    let mut older = whole["standards"][0].clone();
    older["band"] = json!("u10-u12");
    older["thresholds"]["stretching"] = json!(39);
    whole["standards"].as_array_mut().unwrap().push(older);
    assert_eq!(found(&whole), [" standard-falls-with-age"]);
}

#[test]
fn a_drill_that_another_one_says_already_is_named() {
    let mut whole = whole();
    let mut same = whole["drills"][0].clone();
    (same["id"], same["title"], same["in_game"]) =
        (json!("again"), json!("taps?"), json!("When it is close."));
    whole["drills"].as_array_mut().unwrap().push(same);
    assert_eq!(found(&whole), ["/title library-alike", "/purpose library-alike"]);
}
