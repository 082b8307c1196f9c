//! Scores: read, played and measured, worked out by hand.

use jogo_core::technique::score::chain::{join, joined, worth_trying};
use jogo_core::technique::score::measure::{ClosingKind, Measures};
use jogo_core::technique::score::tempo::BodySize;
use jogo_core::technique::score::{Fault, LONGEST_TEXT, Score};
use jogo_core::technique::skill::{Side, Skill};
use jogo_core::units::{Seconds, Share};
use proptest::prelude::*;
use rstest::rstest;
use serde_json::json;

use crate::demo;

const RHYTHM: Seconds = Seconds(0.55);

fn score(text: &str) -> Score {
    Score::read(text, BodySize::default(), &[]).unwrap()
}

fn measured(text: &str) -> Measures {
    score(text).measures(RHYTHM)
}

fn faults(text: &str) -> Vec<Fault> {
    Score::read(text, BodySize::default(), &[]).unwrap_err()
}

/// Line, column and code of each fault, with the code of its mend.
fn told(faults: &[Fault]) -> Vec<String> {
    let code = |value: serde_json::Value| value["code"].as_str().unwrap_or("-").to_owned();
    let told = |fault: &Fault| {
        let [expected, mend] = [json!(fault.expected), json!(fault.mend)].map(code);
        let expected = expected.replace("score-expected-", "");
        format!("{}:{} {expected} / {}", fault.line, fault.column, mend.replace("score-mend-", ""))
    };
    faults.iter().map(told).collect()
}

fn skill(id: &str, score: &str) -> Skill {
    let written = json!({
        "id": id, "name": id, "strand": "ball_mastery", "band": "u8-u9", "needs": [], "score": score,
    });
    serde_json::from_value(written).unwrap()
}

// The example of docs/touch-score.md, figure by figure: two beats of .55 s, the ball .3 m across and .3 m back.
#[test]
fn inside_taps_as_json() {
    let found = json!(measured("right inside tap, left inside tap"));
    let by_hand = json!({
        "beats": 2, "seconds": 1.1,
        "touches": {"right": {"inside": 1}, "left": {"inside": 1}, "body": {}},
        "other_share": 0.5, "foot_changes": 1, "hops": 0, "steps": 0, "turning_deg": 0.0, "looks": 0,
        "track": [[0.15, 0.15], [-0.15, 0.15], [0.15, 0.15]],
        "ground": {"width_m": 0.3, "depth_m": 0.15}, "ball_m": 0.6,
        "closing": {"kind": "closes", "dx_m": 0.0, "dy_m": 0.0, "turn_deg": 0.0}, "rounds_in_30_s": 27,
        "touches_a_minute": 109.1, "longest_eyes_on_ball": 2,
    });
    assert_eq!(found, by_hand);
}

// Beats, seconds at .55 s, hops, steps, looks and the way of closing, by hand.
#[rstest]
#[case::taps("right inside tap, left inside tap", 2, 1.1, 0, 0, 0, ClosingKind::Closes)]
// Two touches of one foot, and again around the round: two hops.
#[case::one_foot("right inside tap, right outside tap", 2, 1.1, 2, 0, 0, ClosingKind::Closes)]
// A written hop takes the place of the one that would be needed; the one around the round stays.
#[case::a_hop_that_is_written(
    "right inside tap, hop, right outside tap",
    3,
    1.65,
    2,
    0,
    0,
    ClosingKind::Closes
)]
// .6 m to the left: nobody is where he began.
#[case::four_taps_stop_step_out(
    "repeat 2 { right inside tap, left inside tap }; right sole stop; right step over out; left outside push",
    7,
    3.85,
    0,
    1,
    0,
    ClosingKind::Opens
)]
// .3 m to the left, which is the left foot's start: the next round is the mirror of this one.
#[case::one_tap("right inside tap", 1, 0.55, 0, 0, 0, ClosingKind::ClosesMirrored)]
#[case::on_the_move(
    "travel ahead 0.5; right inside tap, left inside tap",
    2,
    1.1,
    0,
    0,
    0,
    ClosingKind::Travels
)]
#[case::eyes_up(
    "right sole touch and look, left sole touch, wait 2, look left",
    5,
    2.75,
    0,
    0,
    2,
    ClosingKind::Closes
)]
// Ends on the right foot alone.
#[case::steps("right step over out, left step round, right step back", 3, 1.65, 0, 3, 0, ClosingKind::Opens)]
#[case::any_case_and_remarks(
    "RIGHT Inside TAP # across\n\nLeft inside tap;",
    2,
    1.1,
    0,
    0,
    0,
    ClosingKind::Closes
)]
// √(8 × .4 ÷ 9.81) = .571 s of flight, then a beat.
#[case::a_lift("right laces lift knee, left laces cushion", 1, 1.121, 0, 0, 0, ClosingKind::Closes)]
fn counted_by_hand(
    #[case] text: &str,
    #[case] beats: u32,
    #[case] seconds: f64,
    #[case] hops: u32,
    #[case] steps: u32,
    #[case] looks: u32,
    #[case] closing: ClosingKind,
) {
    let found = measured(text);
    assert_eq!((found.beats, found.seconds, found.hops), (beats, seconds, hops));
    assert_eq!((found.steps, found.looks, found.closing.kind), (steps, looks, closing));
}

// Where the ball is in the end, by hand; feet at (±.15, 0).
#[rstest]
#[case::out_to_the_left("left outside push", [-0.75, 0.15])]
#[case::a_diagonal("right inside push ahead-in", [0.15 - 0.6 * 0.5_f64.sqrt(), 0.15 + 0.6 * 0.5_f64.sqrt()])]
#[case::in_yards("right inside tap 1yd", [0.15 - 0.9144, 0.15])]
#[case::a_chop_behind_the_leg("right inside chop", [0.15 - 0.45 * 0.5_f64.sqrt(), 0.15 - 0.45 * 0.5_f64.sqrt()])]
#[case::a_rock_moves_nothing("right sole rock", [0.15, 0.15])]
#[case::left_is_out_for_the_left_foot("left outside tap left", [-0.45, 0.15])]
#[case::drawn_back("right sole drag", [0.15, -0.25])]
// The body turns to the right, so that ahead is +x: .3 m from (.15, .15).
#[case::after_a_turn("right sole stop, turn right 90, right laces tap", [0.45, 0.15])]
// The heading is 30° to the right: ahead is (sin 30°, cos 30°).
#[case::after_a_slanted_turn("turn right 30, right laces tap 0.2", [0.15 + 0.2 * 0.5, 0.15 + 0.2 * 0.75_f64.sqrt()])]
#[case::beats_travel("travel right 0.5; wait 2, right sole stop", [0.15 + 3.0 * 0.5, 0.15])]
fn where_the_ball_is(#[case] text: &str, #[case] by_hand: [f64; 2]) {
    let [x, y] = score(text).round.end().ball;
    assert!((x - by_hand[0]).hypot(y - by_hand[1]) < 1e-9, "({x}, {y})");
}

#[test]
fn toss_to_head_height_flies_a_second_before_the_thigh() {
    let found = measured("toss, right thigh cushion, right laces stop");
    assert_eq!(found.beats, 2);
    assert_eq!(found.seconds, 2.13); // √(8 × 1.3 ÷ 9.81) = 1.0296, + 2 × .55
    assert_eq!(json!(found.touches), json!({"right": {"laces": 1}, "left": {}, "body": {"thigh": 1}}));
    let smaller = Score::read("toss, right thigh cushion", BodySize::up_to(6), &[]).unwrap();
    let flight = smaller.round.counts[0].flight.unwrap().0;
    assert!((flight - (8.0_f64 * 1.3 * 0.75 / 9.81).sqrt()).abs() < 1e-12);
}

// Each is one thing that a foot cannot do, with where and how to mend it.
#[rstest]
#[case::an_inside_push_cannot_go_out(
    "right sole drag back 0.4, right inside push out",
    "1:45 way-for / other-surface"
)]
#[case::a_sole_cannot_push("right sole push", "1:7 surface-for / one-of")]
#[case::a_cut_needs_a_way("right inside cut", "1:17 way-asked / one-of")]
#[case::misspelt("rihgt inside tap", "1:1 statement / did-you-mean")]
#[case::no_such_surface("right shin tap", "1:7 surface / one-of")]
#[case::misspelt_action("right inside psuh", "1:14 action / did-you-mean")]
#[case::what_is_left_over("right inside tap in 0.3 hard", "1:25 end / new-statement")]
#[case::too_far("right outside push 0.9\nright inside tap", "2:1 reach / less-or-step")]
#[case::the_standing_foot("right step over out, right inside tap", "1:22 free-foot / other-foot-first")]
#[case::in_the_air("right laces lift, left sole stop", "1:19 ball-on-floor / bounce-or-cushion")]
#[case::on_the_floor("right thigh cushion", "1:1 ball-in-air / lift-or-toss")]
#[case::in_the_hands("start ball hands; right sole stop", "1:19 ball-thrown / toss-first")]
#[case::a_late_toss("right sole stop, toss", "1:18 ball-in-hands / start-in-hands")]
#[case::struck_away("right laces strike, left inside tap", "1:21 ball-still / strike-last")]
#[case::a_bounce_on_the_floor("bounce", "1:1 ball-in-air / lift-or-toss")]
#[case::no_beat("repeat 2 { travel ahead 1 }; right sole stop", "1:1 a-beat / add-beat")]
#[case::nothing_at_all("# only a remark", "1:1 a-beat / add-beat")]
#[case::an_empty_part("part a { }; right sole stop", "1:1 a-beat / add-beat")]
#[case::no_such_part("right sole stop; do b", "1:18 part / no-part")]
#[case::a_part_twice("part a { hop }\npart A { hop }\ndo a", "2:1 free-name / name-taken")]
#[case::in_a_circle("part a { do b }; part b { do a }; do a", "1:27 no-circle / leave-out")]
#[case::no_such_skill("do skill spin-away", "1:1 skill / no-skill")]
#[case::start_too_late("right sole stop; start ball left", "1:18 before-first-beat / move-up")]
#[case::not_closed("repeat 2 { hop", "1:1 closing / close")]
#[case::closes_nothing("hop }", "1:5 statement / closes-nothing")]
#[case::too_many("repeat 300 { hop, hop }", "1:14 beats-at-most / repeat-less")]
#[case::thigh_without_side("thigh cushion", "1:1 left / which-side")]
#[case::too_long("right inside push ahead 21", "1:25 length-between / this-length")]
#[case::two_parts_of_a_beat("right sole stop and wait 2", "1:21 joinable / on-its-own")]
#[case::over_what("right step over", "1:16 over / one-of")]
#[case::the_other_way_for_that_foot(
    "right inside tap, other inside tap left",
    "1:19 way-for / other-surface"
)]
fn faults_with_place_and_mend(#[case] text: &str, #[case] by_hand: &str) {
    assert_eq!(told(&faults(text)), [by_hand]);
}

#[test]
fn all_faults_come_at_once() {
    let text = "right sole push\nlefft inside tap\nrepeat 2 {\n  right inside cut\n}\nright step over out, right sole stop";
    let found = told(&faults(text));
    let places: Vec<&str> = found.iter().map(|fault| fault.split(' ').next().unwrap()).collect();
    assert_eq!(places, ["1:7", "2:1", "4:19", "6:22"]);
}

#[test]
fn what_is_wrong_in_a_repeat_is_wrong_once() {
    assert_eq!(told(&faults("repeat 5 { right step over out, right sole stop }")).len(), 1);
}

#[test]
fn a_part_plays_its_text() {
    let written = score("right inside tap, left inside tap, right sole stop");
    let parted = score("part taps { right inside tap, left inside tap }\ndo taps; right sole stop");
    assert_eq!(parted.measures(RHYTHM), written.measures(RHYTHM));
}

#[test]
fn a_skill_plays_another_one_and_its_faults_are_named() {
    let skills =
        [skill("taps", "start ball left; left inside tap, right inside tap"), skill("broken", "right tap")];
    let read = |text| Score::read(text, BodySize::default(), &skills);
    // The ball starts at the left foot, which touches it first, though the start of a part does not count.
    let found = read("do skill taps, left sole stop").unwrap().measures(RHYTHM);
    assert_eq!((found.beats, found.track[0]), (3, [-0.15, 0.15]));
    assert_eq!(told(&read("hop; do skill broken").unwrap_err()), ["1:6 sound-skill / mend-skill"]);
    let itself = [skill("again", "do skill again")];
    let found = Score::read("do skill again", BodySize::default(), &itself).unwrap_err();
    assert_eq!(told(&found), ["1:1 no-circle / leave-out"]);
}

#[test]
fn parts_that_double_come_to_an_end() {
    let doubles: String = (0..40).map(|i| format!("part p{i} {{ do p{0}; do p{0} }}\n", i + 1)).collect();
    assert!(!faults(&format!("{doubles} part p40 {{ travel ahead 1 }}\ndo p0")).is_empty());
    let deep: String = (0..1_900).map(|i| format!("part p{i} {{ do p{} }}\n", i + 1)).collect();
    assert!(!faults(&format!("{deep} part p1900 {{ hop }}\ndo p0")).is_empty());
}

// Only where the bound is passed, and nothing of what stands deeper is played.
#[test]
fn blocks_that_stand_too_deep_are_one_fault_and_not_played() {
    let nested =
        |deep: usize| format!("hop; {}left sole stop{}", "mirror { ".repeat(deep), " }".repeat(deep));
    assert_eq!(score(&nested(6)).round.counts.len(), 2);
    for deep in [7, 1_900] {
        let (played, faults) = Score::read_partly(&nested(deep), BodySize::default(), &[]);
        assert_eq!(told(&faults), ["1:60 nested-at-most / write-out"]);
        assert_eq!(played.round.counts.len(), 1);
    }
}

#[test]
fn a_text_that_is_too_long_is_not_read() {
    let long = "hop\n".repeat(LONGEST_TEXT / 4 + 1);
    assert_eq!(told(&faults(&long)), ["1:1 bytes-at-most / split-text"]);
}

#[rstest]
#[case::rests_between("right inside tap, left inside tap", "right outside push", true, None)]
// After the step the weight is on the right foot: the left one may touch, the right one may not.
#[case::the_wrong_foot(
    "right sole stop, right step over out",
    "right outside push",
    false,
    Some("left sole stop")
)]
#[case::out_of_the_air("right laces lift", "left sole stop", false, Some("right laces cushion"))]
#[case::gone("right laces strike", "left sole stop", false, None)]
#[case::from_the_hands("right sole stop", "toss, right thigh cushion", false, None)]
fn joins(#[case] one: &str, #[case] next: &str, #[case] direct: bool, #[case] setting: Option<&str>) {
    let (one, next) = (score(one), score(next));
    let found = join(&one, &next);
    assert_eq!((found.direct, found.setting.as_deref()), (direct, setting));
    let (joins, whole) = joined(&[&one, &next]);
    assert_eq!(joins, [found]);
    let beats = one.round.counts.len() + next.round.counts.len() + usize::from(setting.is_some());
    assert_eq!(whole.map(|whole| whole.round.counts.len()), (direct || setting.is_some()).then_some(beats));
}

#[test]
fn chains_to_try_join_even_out_and_repeat_nothing() {
    let texts = [
        "right inside tap, left inside tap",
        "right inside tap, right outside tap",
        "right sole roll in, left sole roll in",
        "right sole drag, right inside tap ahead",
        "left outside tap, left inside tap",
    ];
    let moves: Vec<_> =
        texts.iter().enumerate().map(|(i, text)| (format!("m{i}").parse().unwrap(), score(text))).collect();
    let found = worth_trying(&moves, 3, 8, 7);
    assert!(!found.is_empty());
    for tried in &found {
        let scores: Vec<Score> = tried
            .links
            .iter()
            .map(|link| {
                let (_, score) = moves.iter().find(|(id, _)| *id == link.skill).unwrap();
                if link.mirrored { score.mirrored() } else { score.clone() }
            })
            .collect();
        assert!(scores.windows(2).all(|pair| join(&pair[0], &pair[1]).direct));
        let touches = |side| scores.iter().map(|score| score.touches().of(side)).sum::<u32>();
        assert!(touches(Side::Right).abs_diff(touches(Side::Left)) <= 1);
        let mut skills: Vec<_> = tried.links.iter().map(|link| &link.skill).collect();
        skills.dedup();
        skills.sort();
        skills.dedup();
        assert_eq!(skills.len(), 3);
    }
    assert!(found.windows(2).all(|pair| pair[0].kinship >= pair[1].kinship));
    assert_eq!(found, worth_trying(&moves, 3, 8, 7));
}

#[test]
fn the_strip_has_a_column_a_count_with_its_line() {
    let taps = score("right inside tap\nleft inside tap and look\nright step over out");
    let columns = taps.columns();
    assert_eq!(columns.len(), 3);
    for (i, column) in columns.iter().enumerate() {
        assert!(column.starts_with("<svg") && column.ends_with("</svg>"));
        assert!(column.contains(&format!(r#"data-line="{}""#, i + 1)));
    }
    let words = ["in".to_owned(), "in".to_owned()];
    assert_eq!(taps.draw(&words).matches("<text").count(), 2);
}

#[test]
fn every_score_of_the_library_can_be_played() {
    let (skills, bands) = (demo::skills(), demo::bands());
    let mut scored = 0;
    for skill in &skills {
        let Some(text) = &skill.score else { continue };
        let band = bands.iter().find(|band| band.id == skill.band).unwrap();
        let read = Score::read(text, band.body_size(), &skills);
        let score = read.unwrap_or_else(|faults| panic!("{}: {:?}", skill.id, told(&faults)));
        println!("{} {:?}", skill.id, score.measures(band.tempos().in_rhythm));
        scored += 1;
    }
    assert!(scored >= 30, "{scored}");
}

// A chained skill plays its parts: the score of its first part ends where that of the second one can begin.
#[test]
fn chained_skills_of_the_library_join() {
    let skills = demo::skills();
    let read = |id: &str| {
        let text = skills.iter().find(|skill| skill.id == *id)?.score.as_ref()?;
        Score::read(text, BodySize::default(), &skills).ok()
    };
    let chained = skills.iter().filter(|skill| skill.parts.len() > 1);
    let parts = chained.map(|skill| skill.parts.iter().map(|part| read(part)).collect::<Option<Vec<_>>>());
    let parts: Vec<Vec<Score>> = parts.flatten().collect();
    assert!(parts.len() >= 3);
    for scores in parts {
        let (joins, whole) = joined(&scores.iter().collect::<Vec<_>>());
        assert!(whole.is_some(), "{joins:?}");
    }
}

/// Texts as a coach might write them, some of them impossible.
fn texts() -> impl Strategy<Value = String> {
    let touch = prop::sample::select(vec![
        "right inside tap",
        "left inside tap",
        "right outside tap",
        "left outside tap",
        "right sole roll in",
        "left sole roll out",
        "same sole touch",
        "other sole touch",
        "right sole drag",
        "left sole stop",
        "right inside cut back-in",
        "other inside chop",
        "right step over out",
        "left step ahead",
        "hop",
        "turn right 90",
        "turn left 30",
        "look left",
        "wait 1",
        "right laces lift",
        "left laces cushion",
        "bounce",
        "right inside tap left",
        "drop left",
        "lunge right",
        "right sole touch and look",
    ]);
    prop::collection::vec(touch, 1..8).prop_map(|all| all.join(", "))
}

/// Those that can be played.
fn playable() -> impl Strategy<Value = String> {
    texts().prop_filter("can be played", |text| Score::read(text, BodySize::default(), &[]).is_ok())
}

proptest! {
    #[test]
    fn any_text_is_answered(text in "(right|left|inside|sole|tap|push|repeat|part|do|mirror|[{},;# 0-9a-z\n.-]){0,60}") {
        let (score, faults) = Score::read_partly(&text, BodySize::default(), &[]);
        let lines = text.lines().count().max(1) as u32 + 1;
        prop_assert!(faults.iter().all(|fault| (1..=lines).contains(&fault.line) && fault.column >= 1));
        prop_assert!(score.round.counts.iter().all(|count| count.after.ball.iter().all(|at| at.is_finite())));
        prop_assert!(score.draw(&[]).ends_with("</svg>"));
    }

    #[test]
    fn a_mirror_of_a_mirror_is_the_same(text in playable().prop_map(|text| format!("{text}, right sole touch"))
        .prop_filter("can be played", |text| Score::read(text, BodySize::default(), &[]).is_ok())) {
        let plain = score(&text);
        let mirrored = score(&format!("mirror {{ {text} }}"));
        prop_assert_eq!(plain.mirrored().mirrored(), plain.clone());
        let (here, there) = (plain.measures(RHYTHM), mirrored.measures(RHYTHM));
        prop_assert_eq!(&there.touches.left, &here.touches.right);
        prop_assert_eq!(&there.touches.right, &here.touches.left);
        prop_assert_eq!((there.seconds, there.hops, there.steps), (here.seconds, here.hops, here.steps));
        prop_assert_eq!((there.ball_m, there.ground, there.turning_deg), (here.ball_m, here.ground, here.turning_deg));
        prop_assert_eq!(there.closing.kind, here.closing.kind);
        prop_assert_eq!(mirrored.mirrored().measures(RHYTHM), here);
    }

    // What closes exactly, closes again when it is played twice. (Within the tolerance a drift would add up, and what
    // says “other” begins its second round with the other foot.)
    #[test]
    fn what_closes_closes_again(text in playable().prop_filter("names its feet", |text| !text.contains("same") && !text.contains("other"))) {
        let once = measured(&text);
        let exact = once.closing.kind == ClosingKind::Closes
            && once.track.first() == once.track.last() && once.closing.turn_deg == 0.0;
        if exact && let Ok(twice) = Score::read(&format!("repeat 2 {{ {text} }}"), BodySize::default(), &[]) {
            let twice = twice.measures(RHYTHM);
            prop_assert_eq!(twice.closing.kind, ClosingKind::Closes);
            prop_assert_eq!(twice.hops, 2 * once.hops);
            prop_assert!((twice.ball_m - 2.0 * once.ball_m).abs() < 2e-3);
        }
    }

    #[test]
    fn a_part_equals_its_text(text in playable()) {
        let parted = score(&format!("part p {{ {text} }}\ndo p"));
        prop_assert_eq!(parted.measures(RHYTHM), measured(&text));
    }

    #[test]
    fn shares_and_sums_hold(text in playable()) {
        let found = measured(&text);
        let (right, left) = (found.touches.of(Side::Right), found.touches.of(Side::Left));
        match found.other_share {
            Some(Share(share)) => prop_assert!((share * f64::from(right + left) - f64::from(left)).abs() < 1e-9),
            None => prop_assert_eq!(right + left, 0),
        }
        prop_assert!(found.foot_changes < (right + left).max(1));
        prop_assert!(found.ground.width_m >= 0.3 && found.ground.depth_m >= 0.0);
    }
}
