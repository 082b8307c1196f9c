//! The layout notation: what it says, what it measures, and what it answers to mistakes.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

use jogo_core::layout::{Layout, Point};
use jogo_core::units::{Metres, Pace};
use proptest::prelude::*;
use rstest::rstest;

fn read(text: &str) -> Layout {
    Layout::read(text, Pace::default()).unwrap_or_else(|faults| panic!("{text}: {}", faults[0]))
}

fn faults(text: &str) -> Vec<String> {
    Layout::read(text, Pace::default()).unwrap_err().iter().map(ToString::to_string).collect()
}

// By hand, a pace being 0.75 m, a yard 0.9144 m and a foot 0.3048 m.
#[rstest]
#[case::paces("mark A; walk 4; mark B", (0.0, 3.0))]
#[case::unit_said_once("unit m; mark A; walk 4; mark B", (0.0, 4.0))]
#[case::unit_beside_the_number("mark A; walk 10 yd; mark B", (0.0, 9.144))]
#[case::feet_without_a_blank("mark A; walk 10ft; mark B", (0.0, 3.048))]
#[case::three_paces("unit m; mark A; walk 3 paces; mark B", (0.0, 2.25))]
#[case::a_right_angle("unit m; mark A; walk 3; turn right 90; walk 4; mark B", (4.0, 3.0))]
#[case::back_is_against_the_heading("unit m; mark A; turn left 90; back 2; mark B", (2.0, 0.0))]
#[case::go_keeps_the_heading("unit m; mark A; walk 2; turn right 90; go A; walk 3; mark B", (3.0, 0.0))]
#[case::around("unit m; mark A; turn around; walk 2; mark B", (0.0, 2.0))]
#[case::words_in_any_case("UNIT M; Mark A; WALK 2; mark B RED", (0.0, 2.0))]
fn footprints(#[case] text: &str, #[case] (width, depth): (f64, f64)) {
    let footprint = read(text).footprint();
    assert!(
        (footprint.width.0 - width).abs() < 1e-9 && (footprint.depth.0 - depth).abs() < 1e-9,
        "{footprint:?}"
    );
}

#[test]
fn a_measured_pace_changes_the_metres() {
    let pace = Pace::measured(Metres(0.8)).unwrap();
    assert_eq!(Layout::read("mark A; walk 10; mark B", pace).unwrap().footprint().depth, Metres(8.0));
}

#[test]
fn a_line_ends_on_its_last_marker_and_a_gate_lies_across() {
    let layout = read("unit m; line 3 W every 1 white; gate wide 2 blue; path run W1 -> G1a -> G1b");
    let names: Vec<_> = layout.markers.iter().map(|m| m.name.as_deref().unwrap()).collect();
    assert_eq!(names, ["W1", "W2", "W3", "G1a", "G1b"]);
    assert_eq!(layout.markers[3].at, Point { x: -1.0, y: 2.0 });
    assert_eq!(layout.markers[4].at, Point { x: 1.0, y: 2.0 });
    assert_eq!(layout.markers_by_colour(), [("blue", 2), ("white", 3)].into());
}

#[test]
fn unnamed_lines_take_letters_from_l_on() {
    let layout = read("line 2 every 1; walk 1; line 2 every 1; path run L1 -> M2");
    assert_eq!(layout.paths[0].measure().length, Metres(2.25));
}

// By hand: 3 m ahead, a right angle, 4 m, then home along the hypotenuse of 5 m: turns of 90° and 180° − atan(3/4).
#[test]
fn a_path_is_measured_with_its_turns() {
    let layout = read(
        "unit m; mark A; walk 3; mark B; turn right 90; walk 4; mark C; path dribble A -> B->C -> A x 2",
    );
    let path = layout.paths[0].measure();
    assert_eq!(path.length, Metres(24.0));
    assert_eq!(path.direction_changes, 2);
    assert!((path.turning.0 - (90.0 + 180.0 - 36.869_897_645_844)).abs() < 1e-9);
}

#[rstest]
#[case::misspelt("wlak 3", "line 1, column 1: expected a statement: did you mean `walk`?")]
#[case::no_length("mark A; walk", "line 1, column 13: expected a length, as `3` or `2.5m`")]
#[case::no_such_colour(
    "mark A purple",
    "line 1, column 8: expected a colour: one of white, yellow, orange, red, blue, green, black, pink"
)]
#[case::too_far("walk 121m", "line 1, column 1: expected a length of 0.1 to 120 m: this one is 121.00 m")]
#[case::off_the_sheet(
    "walk 100m; walk 100m",
    "line 1, column 12: expected to stay within 150 m of the start: this would lead to 0 m right, 200 m ahead"
)]
#[case::unknown_point(
    "mark Start; go Strat",
    "line 1, column 16: expected the name of a point: did you mean `Start`?"
)]
#[case::name_twice(
    "mark A\nwalk 1\nmark A",
    "line 3, column 6: expected a name that is not taken: `A` already stands in line 1: choose another name"
)]
#[case::path_of_one_point("mark A; path run A", "line 1, column 19: expected `->` and a second point")]
#[case::unknown_path("mark A; path fly A -> A", "line 1, column 14: expected dribble, run, pass or serve")]
#[case::left_over(
    "walk 3 quickly",
    "line 1, column 8: expected the end of the statement: `quickly` does not belong here; a new statement stands on its own line or after `;`"
)]
#[case::half_a_marker("line 2.5 every 1", "line 1, column 6: expected how many markers, 1 to 100")]
#[case::a_crowd("line 101 every 1", "line 1, column 6: expected how many markers, 1 to 100")]
#[case::for_later(
    "box 4 by 4",
    "line 1, column 1: expected a statement that this version of Jogo reads: `box` is not yet known here; known are unit, mark, walk, back, turn, line, gate, go, player, server, path"
)]
#[case::weave_for_later(
    "line 3 W every 1; path dribble W* -> W1",
    "line 1, column 33: expected the end of the name: `*` (weave and go round) is not yet known here: name each point"
)]
#[case::letters_beyond_ascii(
    "mark A; walk 3; schließen",
    "line 1, column 17: expected a statement: one of unit, mark, walk, back, turn, line, gate, go, player, server, path"
)]
fn a_mistake_is_answered_with_its_place_and_a_mend(#[case] text: &str, #[case] says: &str) {
    assert_eq!(faults(text)[0], says);
}

#[test]
fn all_mistakes_show_at_once_in_their_order() {
    let text = "mark A # the start\nwalk\n go Z ; mark B purple\nbox 4 by 4";
    let places: Vec<_> =
        Layout::read(text, Pace::default()).unwrap_err().iter().map(|f| (f.line, f.column)).collect();
    assert_eq!(places, [(2, 5), (3, 5), (3, 16), (4, 1)]);
}

#[rstest]
#[case::a_megabyte("mark ".repeat(200_000), "expected a text of at most 100000 bytes")]
#[case::endless_statements("walk 1m; back 1m; ".repeat(1_500), "expected at most 2000 statements")]
#[case::endless_markers("line 100 every 0.1m; turn around; ".repeat(6), "expected at most 500 markers")]
fn size_is_bounded(#[case] text: String, #[case] says: &str) {
    assert!(faults(&text).iter().any(|f| f.contains(says)), "{:?}", faults(&text).first());
}

#[test]
fn a_drawing_is_to_scale_and_reads_without_colour() {
    let svg = read("unit m; mark A red; walk 4; mark B; player P; path dribble A -> B").draw();
    // 4 m deep in 190 of the drawing's units: 47.5 a metre, with an edge of 34 around; a path keeps 3 to its right.
    assert!(svg.contains(r#"<polyline class="path dribble" points="37.0,224.0 37.0,34.0""#), "{svg}");
    assert!(svg.contains(">R</text>") && svg.contains("2 m</text>") && svg.contains("<title>A</title>"));
}

/// Words of the notation in any order, so that the texts come near to what people mistype.
fn near_layout() -> impl Strategy<Value = String> {
    let word = prop_oneof![
        "(mark|walk|back|turn|line|gate|go|player|server|path|unit|box) ?",
        "(A|B|every|wide|left|right|around|red|dribble|run|->|x|pace|m|;|\n|#) ?",
        "[0-9]{1,3}(\\.[0-9])? ?",
        "\\PC{0,3}",
    ];
    prop::collection::vec(word, 0..40).prop_map(|words| words.concat())
}

proptest! {
    #[test]
    fn any_text_is_read_or_answered_and_what_is_read_is_drawn_well_formed(text in near_layout()) {
        match Layout::read(&text, Pace::default()) {
            Ok(layout) => {
                let svg = layout.draw();
                prop_assert!(roxmltree::Document::parse(&svg).is_ok(), "{}", svg);
            }
            Err(faults) => prop_assert!(!faults.is_empty()),
        }
    }
}
