//! Milestones: states from results in date order, whatever the order in which they arrive.

use std::collections::BTreeSet;

use jiff::ToSpan;
use jiff::civil::{Date, date};
use jogo_core::assessment::benchmarks::{Protocol, Summary, Test};
use jogo_core::assessment::levels::{Level, Thresholds};
use jogo_core::assessment::milestones::check::MilestoneFault;
use jogo_core::assessment::milestones::check::{left_without_answer, left_without_milestone};
use jogo_core::assessment::milestones::ready::MissingSaid;
use jogo_core::assessment::milestones::ready::{Missing, for_skill, stage_reached};
use jogo_core::assessment::milestones::{
    Evidence, Feet, Measured, Milestone, MilestoneState, Override, Reach, Seen, Shown, Standing, Verdict,
};
use jogo_core::assessment::results::{Trial, results};
use jogo_core::assessment::standards::Standard;
use jogo_core::review::groups::{FootBehind, Group, Reason, next_week, urgency};
use jogo_core::technique::skill::{Gate, Need, Side, Skill, Stage, Strand};
use jogo_core::units::Seconds;
use proptest::prelude::*;
use rstest::rstest;

use crate::demo::{self, called, told};

fn test(id: &str, protocol: Protocol, per_side: bool) -> Test {
    Test {
        id: called(id),
        name: id.into(),
        short: id.into(),
        how: "As always".into(),
        skill: called("taps"),
        protocol,
        per_side,
        trials: 1,
        summary: Summary::Best,
        least: 0.0,
        most: 60.0,
        rest_s: Seconds(0.0),
        layout: String::new(),
        score: None,
    }
}

fn tests() -> [Test; 3] {
    let points = ["looks up", "soft knees", "both feet"].map(str::to_owned).to_vec();
    [
        test("taps", Protocol::Count { seconds: 30 }, false),
        test("passes", Protocol::Count { seconds: 30 }, true),
        test("eyes", Protocol::Points { points }, false),
    ]
}

fn milestone(evidence: Evidence) -> Milestone {
    Milestone {
        id: called("ten-taps"),
        says: "I can do ten taps".into(),
        short: "Ten taps".into(),
        skill: called("taps"),
        stage: Stage::Flow,
        band: called("u8-u9"),
        evidence,
    }
}

fn ten(test: &str, feet: Feet, times: u32, of_last: u32) -> Evidence {
    Evidence::Measured(Measured { test: called(test), reach: Reach::Value(10.0), feet, times, of_last })
}

fn eyes_up(points: &[u32], days: u32) -> Evidence {
    Evidence::Seen(Seen { test: called("eyes"), points: points.to_vec(), days })
}

const FIRST: Date = date(2031, 1, 6);

fn day(after: i32) -> Date {
    FIRST + after.days()
}

fn taps(after: i32, value: f64) -> Trial<u8> {
    Trial { player: 1, test: called("taps"), side: None, taken_on: day(after), value, marks: Vec::new() }
}

fn passes(after: i32, side: Side, value: f64) -> Trial<u8> {
    Trial { test: called("passes"), side: Some(side), ..taps(after, value) }
}

fn eyes(after: i32, marks: [u8; 3]) -> Trial<u8> {
    let value = marks.iter().map(|mark| f64::from(*mark)).sum();
    Trial { test: called("eyes"), marks: marks.to_vec(), ..taps(after, value) }
}

fn standing(evidence: Evidence, trials: &[Trial<u8>], said: &[Override], on: Date) -> Standing {
    let thresholds = Thresholds { building: 5.0, secure: 10.0, stretching: 20.0 };
    let standard = Standard { test: called("taps"), band: called("u8-u9"), from: day(-100), thresholds };
    let results = results(&tests(), &[standard], trials);
    let shown = Shown { player: 1, strong: Side::Right, results: &results };
    milestone(evidence).standing(&tests(), &shown, said, on)
}

// Each worked out by hand from the table in the module's head.
#[rstest]
#[case::nothing(&[], MilestoneState::NotSeen, None)]
#[case::one_date_of_two(&[(0, 12.0)], MilestoneState::OnTheWay, Some(0))]
#[case::two_in_a_row(&[(0, 12.0), (7, 10.0)], MilestoneState::Met, Some(7))]
#[case::two_of_the_last_three(&[(0, 12.0), (7, 9.0), (14, 11.0)], MilestoneState::Met, Some(14))]
#[case::the_first_is_too_long_ago(&[(0, 12.0), (7, 9.0), (14, 9.0), (21, 11.0)], MilestoneState::OnTheWay, Some(0))]
#[case::once_against_it(&[(0, 12.0), (7, 12.0), (14, 3.0)], MilestoneState::Met, Some(7))]
#[case::twice_against_it(&[(0, 12.0), (7, 12.0), (14, 3.0), (16, 4.0)], MilestoneState::Slipped, Some(16))]
#[case::not_yet_kept(&[(0, 12.0), (7, 12.0), (27, 12.0)], MilestoneState::Met, Some(7))]
#[case::kept_after_21_days(&[(0, 12.0), (7, 12.0), (28, 12.0)], MilestoneState::Kept, Some(28))]
#[case::not_kept_by_a_miss(&[(0, 12.0), (7, 12.0), (27, 12.0), (28, 3.0)], MilestoneState::Met, Some(7))]
#[case::slipped_and_back(
    &[(0, 12.0), (7, 12.0), (9, 3.0), (11, 4.0), (13, 12.0), (15, 12.0)], MilestoneState::Met, Some(15),
)]
#[case::slipped_and_back_later(
    &[(0, 12.0), (7, 12.0), (28, 3.0), (30, 4.0), (40, 12.0), (42, 12.0)], MilestoneState::Met, Some(42),
)]
#[case::kept_21_days_after_it_was_met_again(
    &[(0, 12.0), (7, 12.0), (28, 3.0), (30, 4.0), (40, 12.0), (42, 12.0), (62, 12.0), (63, 12.0)],
    MilestoneState::Kept, Some(63),
)]
fn two_of_the_last_three_dates(
    #[case] on_days: &[(i32, f64)],
    #[case] state: MilestoneState,
    #[case] since: Option<i32>,
) {
    let trials: Vec<_> = on_days.iter().map(|(after, value)| taps(*after, *value)).collect();
    let stands = standing(ten("taps", Feet::Both, 2, 3), &trials, &[], day(100));
    assert_eq!((stands.state, stands.since), (state, since.map(day)));
}

#[rstest]
#[case::both_on_one_day(Feet::Both, &[(0, Side::Left, 10.0), (0, Side::Right, 12.0)], MilestoneState::Met)]
#[case::one_after_the_other(Feet::Both, &[(0, Side::Left, 10.0), (7, Side::Right, 12.0)], MilestoneState::Met)]
#[case::one_foot_missing(Feet::Both, &[(0, Side::Right, 12.0)], MilestoneState::OnTheWay)]
#[case::either(Feet::Either, &[(0, Side::Left, 3.0), (0, Side::Right, 12.0)], MilestoneState::Met)]
#[case::the_strong_one(Feet::Strong, &[(0, Side::Left, 3.0), (0, Side::Right, 12.0)], MilestoneState::Met)]
#[case::the_other_one(Feet::Other, &[(0, Side::Left, 3.0), (0, Side::Right, 12.0)], MilestoneState::OnTheWay)]
#[case::only_what_is_not_asked(Feet::Other, &[(0, Side::Right, 12.0)], MilestoneState::NotSeen)]
fn feet_count_as_the_rule_says(
    #[case] feet: Feet,
    #[case] shown: &[(i32, Side, f64)],
    #[case] state: MilestoneState,
) {
    let trials: Vec<_> = shown.iter().map(|(after, side, value)| passes(*after, *side, *value)).collect();
    assert_eq!(standing(ten("passes", feet, 1, 1), &trials, &[], day(100)).state, state);
}

#[rstest]
#[case::all_points_on_two_days(&[], &[(0, [2, 2, 2]), (7, [2, 2, 2])], MilestoneState::Met)]
#[case::one_day_is_not_two(&[], &[(0, [2, 2, 2])], MilestoneState::OnTheWay)]
#[case::partly_is_not_seen(&[], &[(0, [2, 2, 2]), (7, [2, 1, 2])], MilestoneState::OnTheWay)]
#[case::only_the_named_ones(&[1, 3], &[(0, [2, 0, 2]), (7, [2, 1, 2])], MilestoneState::Met)]
#[case::a_point_that_is_not_there(&[4], &[(0, [2, 2, 2]), (7, [2, 2, 2])], MilestoneState::OnTheWay)]
fn points_are_seen_on_different_days(
    #[case] points: &[u32],
    #[case] seen: &[(i32, [u8; 3])],
    #[case] state: MilestoneState,
) {
    let trials: Vec<_> = seen.iter().map(|(after, marks)| eyes(*after, *marks)).collect();
    assert_eq!(standing(eyes_up(points, 2), &trials, &[], day(100)).state, state);
}

#[test]
fn both_kinds_of_evidence_have_to_hold() {
    let Evidence::Measured(measured) = ten("taps", Feet::Both, 1, 1) else { unreachable!() };
    let both = || Evidence::Both {
        measured: measured.clone(),
        seen: Seen { test: called("eyes"), points: Vec::new(), days: 1 },
    };
    let measured_only = [taps(0, 12.0)];
    assert_eq!(standing(both(), &measured_only, &[], day(100)).state, MilestoneState::OnTheWay);
    let with_eyes = [taps(0, 12.0), eyes(3, [2, 2, 2])];
    assert_eq!(standing(both(), &with_eyes, &[], day(100)).state, MilestoneState::Met);
    assert_eq!(
        standing(both(), &with_eyes, &[], day(2)).state,
        MilestoneState::OnTheWay,
        "as it was two days on"
    );
}

#[test]
fn a_test_that_becomes_another_is_told_which_milestones_it_would_leave_without_an_answer() {
    let [taps, _, eyes] = tests();
    let both = match (ten("taps", Feet::Both, 1, 2), eyes_up(&[3], 1)) {
        (Evidence::Measured(measured), Evidence::Seen(seen)) => Evidence::Both { measured, seen },
        _ => unreachable!(),
    };
    let resting = [milestone(both)];
    assert!(
        left_without_answer(&taps, &resting).is_empty(),
        "what is asked of other tests is not its matter"
    );
    assert!(left_without_answer(&eyes, &resting).is_empty());
    let two = Protocol::Points { points: vec!["one".into(), "two".into()] };
    let found = left_without_answer(&Test { protocol: two, ..eyes.clone() }, &resting);
    assert_eq!(found.len(), 1);
    assert!(
        found[0].pointer == "/protocol"
            && format!("{:?}", found[0].fact).contains("milestone-no-such-point point=3 points=2"),
        "{found:?}"
    );
    let narrow = Test { most: 5.0, ..taps };
    let found = left_without_answer(&narrow, &resting);
    assert!(
        format!("{:?}", found[0].fact).contains("result-out-of-range"),
        "ten cannot be reached any more: {found:?}"
    );
    assert!(left_without_answer(&Test { id: called("other"), ..eyes }, &resting).is_empty());
}

#[test]
fn a_level_is_that_of_its_day() {
    let secure = Evidence::Measured(Measured {
        test: called("taps"),
        reach: Reach::Level(Level::Secure),
        feet: Feet::Both,
        times: 1,
        of_last: 1,
    });
    assert_eq!(standing(secure.clone(), &[taps(0, 9.0)], &[], day(0)).state, MilestoneState::OnTheWay);
    assert_eq!(standing(secure, &[taps(0, 10.0)], &[], day(0)).state, MilestoneState::Met);
}

#[test]
fn a_coach_has_the_last_word_with_a_reason() {
    let word = |after, verdict| Override {
        on: day(after),
        verdict,
        reason: "Did it all session".into(),
        by: "Keya".into(),
    };
    let said = [word(2, Verdict::Met), word(9, Verdict::NotYet), word(9, Verdict::AsEvidence)];
    let at = |after| standing(ten("taps", Feet::Both, 2, 3), &[taps(0, 12.0)], &said, day(after));
    assert_eq!((at(1).state, at(1).overridden), (MilestoneState::OnTheWay, None));
    assert_eq!((at(2).state, at(2).by_evidence), (MilestoneState::Met, MilestoneState::OnTheWay));
    assert_eq!(at(2).overridden.unwrap().reason, "Did it all session");
    assert_eq!(
        (at(9).state, at(9).overridden),
        (MilestoneState::OnTheWay, None),
        "taken back on the same day"
    );
    let not_yet = standing(ten("taps", Feet::Both, 1, 1), &[taps(0, 12.0)], &said[..2], day(9));
    assert_eq!((not_yet.state, not_yet.by_evidence), (MilestoneState::OnTheWay, MilestoneState::Met));
}

#[rstest]
#[case::test_passed(Gate::Test { test: called("taps"), value: 10.0, times: 2, of_last: 3 }, 7, true)]
#[case::test_not_yet(Gate::Test { test: called("taps"), value: 10.0, times: 2, of_last: 3 }, 6, false)]
#[case::test_is_not_there(Gate::Test { test: called("luck"), value: 1.0, times: 1, of_last: 1 }, 7, false)]
#[case::milestone(Gate::Milestone { milestone: called("ten-taps"), times: 2, of_last: 2 }, 7, true)]
#[case::milestone_not_yet(Gate::Milestone { milestone: called("ten-taps"), times: 3, of_last: 4 }, 7, false)]
#[case::milestone_is_not_there(Gate::Milestone { milestone: called("fly"), times: 1, of_last: 1 }, 7, false)]
fn gates_are_answered(#[case] gate: Gate, #[case] after: i32, #[case] passed: bool) {
    let results = results(&tests(), &[], &[taps(0, 12.0), taps(7, 11.0)]);
    let shown = Shown { player: 1, strong: Side::Right, results: &results };
    let milestones = [milestone(ten("taps", Feet::Both, 1, 1))];
    assert_eq!(gate.is_passed(&milestones, &tests(), &shown, &[], day(after)), passed);
    let reworded = milestones.map(|milestone| Milestone { says: "Ten taps, easily".into(), ..milestone });
    let again = gate.is_passed(&reworded, &tests(), &shown, &[], day(after));
    assert_eq!(again, passed, "a sentence that is reworded changes no gate");
}

#[test]
fn a_coach_opens_and_shuts_a_gate_with_a_reason() {
    let gate = Gate::Milestone { milestone: called("ten-taps"), times: 1, of_last: 1 };
    let milestones = [milestone(ten("taps", Feet::Both, 1, 1))];
    let word = |verdict| Override { on: day(3), verdict, reason: "All session".into(), by: "Keya".into() };
    let passed = |value, said: &[Override], after| {
        let results = results(&tests(), &[], &[taps(0, value)]);
        let shown = Shown { player: 1, strong: Side::Right, results: &results };
        gate.is_passed(&milestones, &tests(), &shown, said, day(after))
    };
    let met = [word(Verdict::Met)];
    assert!(!passed(5.0, &met, 2) && passed(5.0, &met, 3), "from the day on which it was said");
    assert!(!passed(12.0, &[word(Verdict::NotYet)], 3));
    assert!(passed(12.0, &[word(Verdict::NotYet), word(Verdict::AsEvidence)], 3), "and taken back");
}

#[test]
fn a_milestone_that_a_gate_asks_for_names_what_would_lose_its_answer() {
    let skills = demo::skills();
    let asked = |id: &str| left_without_milestone(&called(id), &skills);
    let skill = "One against one".to_owned();
    assert_eq!(asked("drag-turn-scan-u8-u9"), [MilestoneFault::AskedByGate { skill }]);
    assert!(asked("weave-flow-u8-u9").is_empty());
}

fn stands(state: MilestoneState) -> Standing {
    Standing { state, by_evidence: state, ..Standing::default() }
}

#[test]
fn who_has_the_needs_is_ready_and_who_has_not_learns_what_is_missing() {
    let flow = milestone(ten("taps", Feet::Both, 1, 1));
    let form = Milestone { id: called("taps-form"), stage: Stage::Form, ..flow.clone() };
    let skill = Skill {
        id: called("chain"),
        name: "Chain".into(),
        strand: Strand::BallMastery,
        band: called("u8-u9"),
        needs: vec![
            Need { skill: called("taps"), stage: Stage::Flow },
            Need { skill: called("hop"), stage: Stage::Form },
        ],
        parts: Vec::new(),
        helps: Vec::new(),
        side: Default::default(),
        gate: None,
        score: None,
    };
    let (kept, way) = (stands(MilestoneState::Kept), stands(MilestoneState::OnTheWay));
    let half = [(&form, &kept), (&flow, &way)];
    assert_eq!(stage_reached(&half, "taps"), Some(Stage::Form));
    let readiness = for_skill(&skill, &half, Some(false));
    let need = Missing::Need { skill: called("taps"), stage: Stage::Flow };
    assert_eq!(readiness.missing, [need, Missing::Gate]);
    let named = |id: &str| id.to_uppercase();
    let sentence = |id: &str| (flow.id == id).then(|| flow.says.clone());
    let gated = Skill {
        gate: Some(Gate::Test { test: called("taps"), value: 10.0, times: 2, of_last: 3 }),
        ..skill.clone()
    };
    let said = told(readiness.missing.iter().map(|missing| missing.said(&gated, named, sentence)));
    let test = "missing-test test=taps value=10 times=2 of_last=3";
    assert_eq!(said, ["missing-need skill=TAPS stage=stage-flow", test]);
    let asks = |id: &str| {
        let gate = Some(Gate::Milestone { milestone: called(id), times: 3, of_last: 4 });
        Missing::Gate.said(&Skill { gate, ..skill.clone() }, named, sentence)
    };
    let milestone = "I can do ten taps".to_owned();
    assert_eq!(asks("ten-taps"), MissingSaid::Milestone { milestone, times: 3, of_last: 4 });
    assert_eq!(asks("fly"), MissingSaid::NoMilestone { milestone: called("fly") });
    assert_eq!(readiness.unspoken, ["hop"], "no milestone speaks of it");
    assert!(for_skill(&skill, &[(&form, &kept), (&flow, &kept)], Some(true)).is_ready());
}

#[rstest]
#[case::all_met(MilestoneState::Kept, 0.4, Some(Level::Secure), Group::MoveOn)]
#[case::other_foot(MilestoneState::OnTheWay, 0.4, Some(Level::Secure), Group::OtherFoot)]
#[case::neither_foot_is_there(MilestoneState::OnTheWay, 0.4, Some(Level::Building), Group::Consolidate)]
#[case::nothing_seen(MilestoneState::NotSeen, 0.0, None, Group::Consolidate)]
#[case::slipped(MilestoneState::Slipped, 0.0, None, Group::Consolidate)]
fn groups_have_reasons(
    #[case] state: MilestoneState,
    #[case] deficit: f64,
    #[case] strong: Option<Level>,
    #[case] group: Group,
) {
    let (milestone, standing) = (milestone(ten("passes", Feet::Both, 1, 1)), stands(state));
    let behind = [FootBehind { test: called("passes"), deficit, strong }];
    let (found, reason) = next_week(&[(&milestone, &standing)], &behind, &BTreeSet::new());
    assert_eq!(found, group);
    let ids = vec![called("ten-taps")];
    let expected = match (group, state) {
        (Group::MoveOn, _) => Reason::AllMet { milestones: ids },
        (Group::OtherFoot, _) => {
            Reason::OtherFoot { test: called("passes"), deficit: jogo_core::units::Share(deficit) }
        }
        (_, MilestoneState::NotSeen) => Reason::NothingSeen,
        _ => Reason::Missing { milestones: ids },
    };
    assert_eq!(reason, expected);
}

// Away whenever it was shown comes before the other foot, and says nothing of what is there all the same.
#[rstest]
#[case::nothing_seen(MilestoneState::NotSeen, true)]
#[case::on_the_way(MilestoneState::OnTheWay, true)]
#[case::met_elsewhere(MilestoneState::Met, false)]
fn whoever_was_away_consolidates_what_they_missed(#[case] state: MilestoneState, #[case] away: bool) {
    let (milestone, standing) = (milestone(ten("passes", Feet::Both, 1, 1)), stands(state));
    let behind = [FootBehind { test: called("passes"), deficit: 0.4, strong: Some(Level::Secure) }];
    let not_met = BTreeSet::from([milestone.skill.clone(), called("fly")]);
    let (group, reason) = next_week(&[(&milestone, &standing)], &behind, &not_met);
    let missed = Reason::Away { skills: vec![milestone.skill.clone()] };
    assert_eq!((group == Group::Consolidate, reason == missed), (away, away));
}

// Of two days on which all three points are to be seen, by hand.
#[rstest]
#[case::nothing_yet(&[], Some((2, 0)))]
#[case::one_in_full(&[(0, [2, 2, 2])], Some((1, 1)))]
#[case::one_in_part(&[(0, [2, 1, 2])], Some((2, 1)))]
#[case::in_part_and_in_full(&[(0, [2, 1, 2]), (3, [2, 2, 2])], Some((1, 2)))]
#[case::there(&[(0, [2, 2, 2]), (3, [2, 2, 2])], None)]
#[case::slipped(&[(0, [2, 2, 2]), (3, [2, 2, 2]), (6, [0, 2, 2]), (9, [0, 0, 0])], Some((1, 4)))]
fn what_is_still_to_be_seen(#[case] seen: &[(i32, [u8; 3])], #[case] wanted: Option<(u32, u32)>) {
    let trials: Vec<Trial<u8>> = seen.iter().map(|(after, marks)| eyes(*after, *marks)).collect();
    let results = results(&tests(), &[], &trials);
    let shown = Shown { player: 1, strong: Side::Right, results: &results };
    let found = milestone(eyes_up(&[], 2)).still_to_see(&tests(), &shown, &[], day(20));
    assert_eq!(found.map(|to_see| (to_see.days, to_see.looked)), wanted);
    // Nobody has to look again whom a coach says can do it, nor for what is measured alone.
    let said = [Override { on: day(1), verdict: Verdict::Met, reason: "Saw it".into(), by: "Keya".into() }];
    assert_eq!(milestone(eyes_up(&[], 2)).still_to_see(&tests(), &shown, &said, day(20)), None);
    assert_eq!(milestone(ten("taps", Feet::Both, 1, 1)).still_to_see(&tests(), &shown, &[], day(20)), None);
}

#[test]
fn a_foot_that_no_missing_milestone_asks_for_makes_no_group() {
    let (milestone, way) = (milestone(eyes_up(&[], 1)), stands(MilestoneState::OnTheWay));
    let behind = [FootBehind { test: called("passes"), deficit: 0.4, strong: Some(Level::Secure) }];
    assert_eq!(next_week(&[(&milestone, &way)], &behind, &BTreeSet::new()).0, Group::Consolidate);
}

#[test]
fn whoever_moves_on_is_decided_on_first_and_then_whoever_is_nearest() {
    let (one, other) = (milestone(eyes_up(&[], 1)), milestone(eyes_up(&[], 2)));
    let (met, way) = (stands(MilestoneState::Met), stands(MilestoneState::OnTheWay));
    let (all, half, none) = ([(&one, &met)], [(&one, &met), (&other, &way)], [(&one, &way), (&other, &way)]);
    let mut order = [
        ("none", urgency(Group::Consolidate, &none)),
        ("half", urgency(Group::Consolidate, &half)),
        ("foot", urgency(Group::OtherFoot, &none)),
        ("all", urgency(Group::MoveOn, &all)),
    ];
    order.sort_by_key(|(_, urgency)| *urgency);
    assert_eq!(order.map(|(who, _)| who), ["all", "foot", "half", "none"]);
}

proptest! {
    #[test]
    fn a_state_does_not_depend_on_the_order_of_arrival(
        shown in prop::collection::vec((0_i32..60, 5_u8..15), 0..14).prop_shuffle(),
        again in any::<u64>(), on in 0_i32..70
    ) {
        let trials: Vec<_> = shown.iter().map(|(after, value)| taps(*after, f64::from(*value))).collect();
        let mut other = trials.clone();
        other.rotate_left(again as usize % trials.len().max(1));
        other.reverse();
        let rule = || ten("taps", Feet::Both, 2, 3);
        prop_assert_eq!(standing(rule(), &trials, &[], day(on)), standing(rule(), &other, &[], day(on)));
    }

    #[test]
    fn what_comes_later_does_not_change_a_past_date(
        shown in prop::collection::vec((0_i32..60, 5_u8..15), 0..14), on in 0_i32..70
    ) {
        let trials: Vec<_> = shown.iter().map(|(after, value)| taps(*after, f64::from(*value))).collect();
        let by_then: Vec<_> = trials.iter().filter(|trial| trial.taken_on <= day(on)).cloned().collect();
        let rule = || ten("taps", Feet::Both, 2, 3);
        prop_assert_eq!(standing(rule(), &trials, &[], day(on)), standing(rule(), &by_then, &[], day(on)));
    }
}
