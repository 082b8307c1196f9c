//! The layout notation: what it says, what it measures, and what it answers to mistakes.

use jogo_core::fact::Fact;
use jogo_core::ground::layout::{Layout, Point};
use jogo_core::units::{Metres, Pace};
use proptest::prelude::*;
use rstest::rstest;

fn read(text: &str) -> Layout {
    Layout::read(text, Pace::default()).unwrap_or_else(|faults| panic!("{text}: {}", faults[0]))
}

fn faults(text: &str) -> Vec<String> {
    let faults = Layout::read(text, Pace::default()).unwrap_err();
    faults.into_iter().map(|fault| format!("{:?}", Fact::from(fault))).collect()
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
#[case::face_a_point("unit m; mark A; walk 3; turn right 90; walk 4; face A; walk 10; mark B", (4.0, 3.0))]
#[case::face_ahead("unit m; mark A; turn right 70; face ahead; walk 2; mark B", (0.0, 2.0))]
#[case::a_box_lies_to_the_right_and_ahead("unit m; box 4 by 3 red", (4.0, 3.0))]
#[case::a_turned_box("unit m; turn right 90; box 4 by 3", (3.0, 4.0))]
#[case::a_wall_across_the_way("unit m; mark A; walk 5; wall 6", (6.0, 5.0))]
#[case::a_goal_and_a_ball("unit m; ball; walk 7; goal 3", (3.0, 7.0))]
#[case::repeated_three_times("unit m; repeat 3 { mark A; walk 2 }", (0.0, 4.0))]
// The weave passes 0.4 m to the left and to the right of its markers.
#[case::a_weave_needs_room(
    "unit m; mark A; walk 2; line 4 W every 1; walk 2; mark B; path dribble A -> W* -> B", (0.8, 7.0),
)]
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
fn a_box_names_its_corners_from_near_left_round_to_near_right() {
    let layout =
        read("unit m; walk 1; box Q 4 by 3 red, blue, green, yellow; path run Q1 -> Q2 -> Q3 -> Q4 -> Q");
    let corners: Vec<_> = layout.markers.iter().map(|m| (m.at.x, m.at.y, m.colour.unwrap().word())).collect();
    assert_eq!(corners, [(0.0, 1.0, "red"), (0.0, 4.0, "blue"), (4.0, 4.0, "green"), (4.0, 1.0, "yellow")]);
    assert_eq!(layout.paths[0].stops[4].at, Point { x: 2.0, y: 2.5 });
    // The walker has not moved.
    assert_eq!(read("unit m; box 4 by 3; mark A").markers[4].at, Point { x: 0.0, y: 0.0 });
}

#[test]
fn what_a_repeat_names_carries_its_round() {
    let layout = read(
        "unit m; repeat 2 { mark A; turn right 90\nrepeat 2 { walk 1; mark P; path run A -> P }\ngo A; turn left 90; walk 5 }; path run A.1 -> P.2.1",
    );
    let names: Vec<_> = layout.markers.iter().map(|m| m.name.as_deref().unwrap()).collect();
    assert_eq!(names, ["A.1", "P.1.1", "P.1.2", "A.2", "P.2.1", "P.2.2"]);
    let lengths: Vec<_> = layout.path_measures().iter().map(|p| p.length.0).collect();
    // Inside, `A` and `P` are those of the same round; the last path runs 1 m right and 5 m ahead.
    assert_eq!(lengths[..4], [1.0, 2.0, 1.0, 2.0]);
    assert!((lengths[4] - 26.0_f64.sqrt()).abs() < 1e-9);
}

#[test]
fn unnamed_lines_of_a_repeat_keep_their_letter() {
    let layout = read("unit m; repeat 2 { line 2 every 1; walk 1 }; line 2 every 1; path run L1.2 -> M1");
    assert_eq!(layout.paths[0].measure().length, Metres(2.0));
}

// By hand: markers at 2, 3, 4, 5 m; passing points at x = −0.4, 0.4, −0.4, 0.4. From A (0, 0) to the first is √(0.16
// + 4), three legs of √(0.64 + 1), from the last to B (0, 7) √(0.16 + 4). Coming from B the line is walked backwards:
// left is then x = +0.4.
#[rstest]
#[case::from_the_near_end("path dribble A -> W* -> B", -0.4)]
#[case::from_the_far_end("path dribble B -> W* -> A", 0.4)]
fn a_weave_passes_on_alternate_sides_the_left_one_first(#[case] path: &str, #[case] first: f64) {
    let layout = read(&format!("unit m; mark A; walk 2; line 4 W every 1; walk 2; mark B; {path}"));
    let path = &layout.paths[0];
    assert!((path.stops[1].at.x - first).abs() < 1e-9);
    let by_hand = 2.0 * 4.16_f64.sqrt() + 3.0 * 1.64_f64.sqrt();
    assert!((path.measure().length.0 - by_hand).abs() < 1e-9);
    // At each inner passing point the way turns by 2 × atan(0.8) = 77.3°, at the outer two by atan(0.8) + atan(0.2) =
    // 50.0°.
    assert_eq!(path.measure().direction_changes, 4);
    let turning =
        2.0 * 2.0 * 0.8_f64.atan().to_degrees() + 2.0 * (0.8_f64.atan() + 0.2_f64.atan()).to_degrees();
    assert!((path.measure().turning.0 - turning).abs() < 1e-9);
}

#[test]
fn once_around_a_marker_adds_a_circle() {
    let layout = read("unit m; mark A; walk 3; mark B; walk 3; mark C; path dribble A -> B~ -> C x 2");
    let path = layout.paths[0].measure();
    // 6 m and a circle of 0.4 m radius, twice.
    assert!((path.length.0 - 2.0 * (6.0 + 0.8 * std::f64::consts::PI)).abs() < 1e-9);
    assert_eq!((path.direction_changes, path.turning.0), (0, 720.0));
}

#[test]
fn everything_is_counted() {
    let layout =
        read("player A; ball; walk 3; server S; ball B; walk 3; defender D; goal 3m; walk 2; wall 4m; mark");
    let measures = serde_json::to_value(layout.measures()).unwrap();
    assert_eq!(measures["kit"], serde_json::json!({ "balls": 2, "goals": 1, "walls": 1 }));
    assert_eq!(measures["roles"], serde_json::json!({ "players": 1, "servers": 1, "defenders": 1 }));
    assert_eq!(measures["markers"], serde_json::json!({ "total": 1, "by_colour": { "any": 1 } }));
}

#[test]
fn laid_tighter_it_is_smaller_by_as_much() {
    let layout = Layout::read_scaled("unit m; box 4 by 8", Pace::default(), 0.75).unwrap();
    assert_eq!((layout.footprint().width, layout.footprint().depth), (Metres(3.0), Metres(6.0)));
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
    assert_eq!(path.direction_changes, 4);
    assert!((path.turning.0 - 2.0 * (90.0 + 180.0 - 36.869_897_645_844)).abs() < 1e-9);
}

#[rstest]
#[case::misspelt(
    "wlak 3",
    "layout-fault-mendable line=1 column=1 expected=layout-expected-statement mend=(layout-mend-did-you-mean word=walk)"
)]
#[case::no_length("mark A; walk", "layout-fault line=1 column=13 expected=layout-expected-length")]
#[case::no_such_colour(
    "mark A purple",
    "layout-fault-mendable line=1 column=8 expected=layout-expected-colour mend=(layout-mend-one-of known=[white, yellow, orange, red, blue, green, black, pink])"
)]
#[case::too_far(
    "walk 121m",
    "layout-fault-mendable line=1 column=1 expected=(layout-expected-length-between least=0.1 most=120) mend=(layout-mend-this-length metres=121)"
)]
#[case::off_the_sheet(
    "walk 100m; walk 100m",
    "layout-fault-mendable line=1 column=12 expected=(layout-expected-within most=150) mend=(layout-mend-leads-to right=0 ahead=200)"
)]
#[case::unknown_point(
    "mark Start; go Strat",
    "layout-fault-mendable line=1 column=16 expected=layout-expected-point-name mend=(layout-mend-did-you-mean word=Start)"
)]
#[case::name_twice(
    "mark A\nwalk 1\nmark A",
    "layout-fault-mendable line=3 column=6 expected=layout-expected-free-name mend=(layout-mend-name-taken name=A line=1)"
)]
#[case::path_of_one_point(
    "mark A; path run A",
    "layout-fault line=1 column=19 expected=layout-expected-second-point"
)]
#[case::unknown_path(
    "mark A; path fly A -> A",
    "layout-fault line=1 column=14 expected=layout-expected-path-kind"
)]
#[case::left_over(
    "walk 3 quickly",
    "layout-fault-mendable line=1 column=8 expected=layout-expected-end mend=(layout-mend-new-statement written=quickly)"
)]
#[case::half_a_marker(
    "line 2.5 every 1",
    "layout-fault line=1 column=6 expected=(layout-expected-markers most=100)"
)]
#[case::a_crowd(
    "line 101 every 1",
    "layout-fault line=1 column=6 expected=(layout-expected-markers most=100)"
)]
#[case::a_line_is_no_point(
    "line 3 W every 1; mark A; path run A -> W",
    "layout-fault-mendable line=1 column=41 expected=layout-expected-point-name mend=(layout-mend-line-not-point name=W count=3)"
)]
#[case::weave_through_a_marker(
    "line 3 W every 1; mark A; path run A -> A*",
    "layout-fault-mendable line=1 column=41 expected=layout-expected-line-name mend=(layout-mend-lines-known known=[W*])"
)]
#[case::around_a_player(
    "player A; walk 2; mark B; path run B -> A~",
    "layout-fault-mendable line=1 column=41 expected=layout-expected-marker-name mend=(layout-mend-no-marker-there name=A)"
)]
#[case::two_colours_of_four(
    "box 4 by 4 red, blue",
    "layout-fault-mendable line=1 column=12 expected=layout-expected-colours mend=layout-mend-colour-order"
)]
#[case::looking_at_oneself(
    "mark A; face A",
    "layout-fault-mendable line=1 column=14 expected=layout-expected-point-to-face mend=(layout-mend-turn-instead name=A)"
)]
#[case::a_repeat_without_braces(
    "repeat 3 mark A",
    "layout-fault-mendable line=1 column=10 expected=layout-expected-opening mend=layout-mend-write-repeat"
)]
#[case::a_repeat_without_an_end(
    "mark A\nrepeat 3 { walk 1",
    "layout-fault-mendable line=2 column=1 expected=layout-expected-closing mend=layout-mend-close"
)]
#[case::an_end_without_a_repeat(
    "mark A }",
    "layout-fault-mendable line=1 column=8 expected=layout-expected-statement mend=layout-mend-closes-nothing"
)]
#[case::an_unknown_round(
    "repeat 2 { mark A; walk 1 }; go A.3",
    "layout-fault-mendable line=1 column=33 expected=layout-expected-point-name mend=(layout-mend-did-you-mean word=A.1)"
)]
#[case::letters_beyond_ascii(
    "mark A; walk 3; schließen",
    "layout-fault-mendable line=1 column=17 expected=layout-expected-statement mend=(layout-mend-one-of known=[unit, mark, walk, back, turn, face, go, line, gate, box, wall, goal, player, server, defender, ball, repeat, path])"
)]
fn a_mistake_is_answered_with_its_place_and_a_mend(#[case] text: &str, #[case] says: &str) {
    assert_eq!(faults(text)[0], says);
}

#[test]
fn all_mistakes_show_at_once_in_their_order() {
    let text = "mark A # the start\nwalk\n go Z ; mark B purple\nrepaet 2 { go X\nwalk }\nmark A";
    let places: Vec<_> =
        Layout::read(text, Pace::default()).unwrap_err().iter().map(|f| (f.line, f.column)).collect();
    assert_eq!(places, [(2, 5), (3, 5), (3, 16), (4, 1), (4, 15), (5, 6), (6, 6)]);
}

#[rstest]
#[case::a_megabyte("mark ".repeat(200_000), "bytes-at-most most=100000")]
#[case::endless_statements("walk 1m; back 1m; ".repeat(1_500), "statements-at-most most=2000")]
#[case::endless_rounds(
    "repeat 100 { repeat 100 { repeat 100 { walk 1m; back 1m } } }".into(),
    "unrolled-at-most most=2000",
)]
#[case::a_tower_of_repeats("repeat 2 { ".repeat(9) + "walk 1m" + &"}".repeat(9), "repeats-at-most most=8")]
#[case::endless_markers("line 100 every 0.1m; turn around; ".repeat(6), "markers-at-most most=500")]
fn size_is_bounded(#[case] text: String, #[case] says: &str) {
    assert!(faults(&text).iter().any(|f| f.contains(says)), "{:?}", faults(&text).first());
}

#[test]
fn a_drawing_is_to_scale_and_reads_without_colour() {
    let svg = read("unit m; mark A red; walk 4; mark B; player P; path dribble A -> B").draw();
    // 4 m deep in 190 of the drawing's units: 47.5 a metre, with an edge of 34 around; a path keeps 3 to its right.
    assert!(svg.contains(r#"<polyline points="37.0,224.0 37.0,34.0""#), "{svg}");
    assert!(svg.contains(">R</text>") && svg.contains("2 m</text>") && svg.contains("<title>A</title>"));
}

/// Words of the notation in any order, so that the texts come near to what people mistype.
fn near_layout() -> impl Strategy<Value = String> {
    let word = prop_oneof![
        "(mark|walk|back|turn|line|gate|go|face|player|defender|ball|path|unit|box|wall|goal|repeat) ?",
        "(A|B|every|wide|by|left|right|around|ahead|red|dribble|run|->|x|pace|m|;|\n|#|\\{|\\}|A\\*|A1~|,) ?",
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
                for svg in [layout.draw(), layout.draw_small(11.0)] {
                    prop_assert!(roxmltree::Document::parse(&svg).is_ok(), "{}", svg);
                }
            }
            Err(faults) => prop_assert!(!faults.is_empty()),
        }
    }
}
