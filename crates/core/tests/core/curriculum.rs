//! From wishes and the library to a problem for the planner.

use jiff::civil::date;
use jogo_core::academy::Academy;
use jogo_core::ground::fit::Ground;
use jogo_core::plan::curriculum::{Curriculum, Goal};
use jogo_core::plan::{Problem, VariantId};
use jogo_core::technique::skill::{Skill, Stage, Strand};
use jogo_core::units::{Difficulty, Metres, Minutes, Share};
use rstest::rstest;
use serde_json::json;

use crate::demo::{self, called};

fn problem_of(change: impl Fn(&mut Curriculum)) -> Problem {
    let mut curriculum = demo::curriculum();
    change(&mut curriculum);
    curriculum
        .problem(&Academy::default(), &demo::band(), &demo::skills(), &demo::drills(), &demo::tests())
        .unwrap()
}

fn has(problem: &Problem, variant: &str) -> bool {
    problem.variant(&called(variant)).is_some_and(|v| v.barred.is_none())
}

#[test]
fn each_drill_gives_a_variant_for_every_stage_that_it_serves() {
    let problem = problem_of(|_| ());
    for variant in ["weave-six@form", "weave-six@flow", "weave-six@scan", "turn-with-a-shadow@contest"] {
        assert!(has(&problem, variant), "{variant}");
    }
    assert!(!has(&problem, "weave-six@contest"), "it serves no Contest");
}

// By hand: weave-six has difficulty 3; Form is its plain rung, Flow adds 0.5 for going forward and 0.5 for the
// rhythm, Scan 0.5 and 1.5 for the call. It is 8.25 m long and .8 m wide, so 6 stations stand in the hall (19 m ÷ 2.8 m
// in one direction), some of them for three, of whom two work at once: everything is done in two turns. A set is 20 s a
// side, with 20 s of rest between: two sets (half of three, rounded up) make 2 × (4 × 20 + 3 × 20) = 280 s, with 60 s
// of explaining 6 min; five sets (one and a half times three, rounded up) 2 × (10 × 20 + 9 × 20) + 60 = 820 s, more
// than the longest block of 10 min.
#[rstest]
#[case::form("weave-six@form", 3.0)]
#[case::flow("weave-six@flow", 4.0)]
#[case::scan("weave-six@scan", 5.0)]
fn a_variant_is_as_hard_and_as_long_as_its_rung_and_dose_say(#[case] id: &str, #[case] difficulty: f64) {
    let problem = problem_of(|_| ());
    let variant = problem.variant(&called(id)).unwrap();
    assert_eq!(variant.difficulty, Difficulty(difficulty));
    assert_eq!((variant.least, variant.most), (Minutes(6), Minutes(10)));
}

#[rstest]
#[case::a_corridor(|c: &mut Curriculum| c.ground.width = Metres(2.0))]
#[case::no_markers(|c: &mut Curriculum| c.ground.markers = 7)]
#[case::a_crowd(|c: &mut Curriculum| c.ground.squad = 60)]
fn a_drill_that_does_not_stand_on_the_ground_takes_no_part(#[case] spoil: fn(&mut Curriculum)) {
    assert!(has(&problem_of(|_| ()), "weave-six@form"));
    assert!(!has(&problem_of(spoil), "weave-six@form"));
}

#[test]
fn a_drill_for_a_skill_that_is_no_goal_takes_no_part() {
    let problem = problem_of(|c| c.goals.retain(|g| g.skill != "weave"));
    assert!(!has(&problem, "weave-six@form"));
    assert!(!has(&problem, "cuts-four-in-a-row@flow"), "it would expose the weave as well");
    assert!(has(&problem, "cut-rounds@flow"));
}

#[test]
fn a_goal_without_what_it_needs_says_what_to_add() {
    let mut curriculum = demo::curriculum();
    curriculum.goals = vec![Goal::new(called("half-turn"), None, Stage::Flow)];
    let faults = curriculum
        .problem(&Academy::default(), &demo::band(), &demo::skills(), &demo::drills(), &demo::tests())
        .unwrap_err();
    assert_eq!(
        format!("{:?}", faults[0].fact),
        "curriculum-need-is-no-goal skill=Look, half-turn, away need=Receive and set, inside stage=stage-flow"
    );
    // A squad that has met the skill already needs nothing more to go on with it.
    curriculum.goals[0].present = Some(Stage::Form);
    assert!(
        curriculum
            .problem(&Academy::default(), &demo::band(), &demo::skills(), &demo::drills(), &demo::tests())
            .is_ok()
    );
}

#[test]
fn sessions_take_their_minutes_in_the_order_of_their_dates() {
    let problem = problem_of(|c| c.minutes[1] = Minutes(25));
    let first: Vec<_> =
        problem.sessions[..3].iter().map(|s| (s.date.to_string(), s.week, s.minutes.0)).collect();
    let date = |text: &str, week, minutes| (text.to_owned(), week, minutes);
    assert_eq!(first, [date("2031-01-06", 1, 40), date("2031-01-09", 1, 25), date("2031-01-13", 2, 40)]);
}

#[test]
fn the_forms_of_problem_and_plan_can_be_written_and_read_back() {
    let problem = problem_of(|_| ());
    let text = serde_json::to_string(&problem).unwrap();
    assert_eq!(serde_json::from_str::<Problem>(&text).unwrap(), problem);
}

fn skill(id: &str, strand: &str, band: &str, needs: serde_json::Value) -> Skill {
    let skill = json!({"id": id, "name": id, "strand": strand, "band": band, "needs": needs});
    serde_json::from_value(skill).unwrap()
}

fn first(skills: &[Skill]) -> Option<Curriculum> {
    Curriculum::first(&demo::band(), &[], skills, Ground::ASSUMED, date(2031, 9, 1))
}

fn goals(wishes: &Curriculum) -> Vec<(&str, Option<Stage>, Stage)> {
    wishes.goals.iter().map(|goal| (goal.skill.as_str(), goal.present, goal.goal)).collect()
}

#[test]
fn every_skill_of_the_band_is_to_come_to_flow() {
    let skills = [
        skill("tap", "ball_mastery", "u8-u9", json!([])),
        skill("roll", "ball_mastery", "u6-u7", json!([])),
        skill("weave", "dribbling", "u8-u9", json!([])),
    ];
    let wishes = first(&skills).unwrap();
    assert_eq!(goals(&wishes), [("tap", None, Stage::Flow), ("weave", None, Stage::Flow)]);
    assert_eq!(wishes.faults(), []);
    let share = |strand| wishes.shares[&strand];
    assert_eq!(
        [Strand::BallMastery, Strand::Dribbling, Strand::Passing].map(share),
        [0.5, 0.5, 0.0].map(Share)
    );
}

#[test]
fn one_that_another_needs_further_is_to_come_as_far() {
    let skills = [
        skill("tap", "ball_mastery", "u8-u9", json!([])),
        skill("weave", "dribbling", "u8-u9", json!([{"skill": "tap", "stage": "scan"}])),
    ];
    assert_eq!(goals(&first(&skills).unwrap())[0], ("tap", None, Stage::Scan));
}

#[test]
fn what_they_need_of_other_bands_is_taken_to_be_there_as_far_as_the_furthest_needs_it() {
    let skills = [
        skill("roll", "ball_mastery", "u6-u7", json!([])),
        skill("weave", "dribbling", "u8-u9", json!([{"skill": "roll", "stage": "flow"}])),
        skill("turn", "dribbling", "u8-u9", json!([{"skill": "roll", "stage": "form"}])),
    ];
    let wishes = first(&skills).unwrap();
    assert_eq!(goals(&wishes)[2], ("roll", Some(Stage::Flow), Stage::Flow));
    // It has minutes of its own only where drills for the others serve it.
    assert_eq!(wishes.shares[&Strand::BallMastery], Share(0.0));
}

// Two new skills a week, and two weeks for the last of them.
#[rstest]
#[case::few(3, 10)]
#[case::many(21, 13)]
#[case::more_than_any_season_takes(90, 20)]
fn there_are_as_many_weeks_as_it_takes_to_meet_all(#[case] skills: usize, #[case] weeks: u32) {
    let skills: Vec<Skill> =
        (0..skills).map(|i| skill(&format!("s{i}"), "passing", "u8-u9", json!([]))).collect();
    let wishes = first(&skills).unwrap();
    assert_eq!((wishes.weeks, wishes.minutes.len()), (weeks, 2 * weeks as usize));
    assert_eq!(wishes.faults(), []);
}

#[test]
fn a_band_that_begins_no_skill_has_none() {
    assert_eq!(first(&[skill("roll", "ball_mastery", "u6-u7", json!([]))]), None);
}

#[test]
fn a_band_without_skills_of_its_own_begins_with_those_of_the_nearest_band_that_has_some() {
    let bands = demo::bands();
    let new = bands[3].with_ages(15, 16).unwrap();
    let skills =
        [skill("roll", "ball_mastery", "u6-u7", json!([])), skill("turn", "dribbling", "u8-u9", json!([]))];
    let wishes = Curriculum::first(&new, &bands, &skills, Ground::ASSUMED, date(2031, 9, 1)).unwrap();
    assert_eq!(goals(&wishes), [("turn", None, Stage::Flow)]);
    assert_eq!((wishes.band.as_str(), wishes.minutes[0]), ("u16-u17", new.session));
}

#[rstest]
fn every_band_of_the_demo_can_begin_with_its_skills(
    #[values("u6-u7", "u8-u9", "u10-u12", "u13-u15")] id: &str,
) {
    let band = demo::bands().into_iter().find(|band| band.id == id).unwrap();
    let wishes = Curriculum::first(&band, &[], &demo::skills(), Ground::ASSUMED, date(2031, 9, 1)).unwrap();
    let problem =
        wishes.problem(&Academy::default(), &band, &demo::skills(), &demo::drills(), &demo::tests());
    assert_eq!(problem.unwrap().goals().count(), wishes.goals.len());
}

// By hand: the base is 2. Left and right in turn adds 0.5, the other foot alone 1.5, the rhythm 0.5, two touches 0.5
// and one 1.5.
#[rstest]
#[case::form("pairs-change-the-foot@form", 2.0, json!({}))]
#[case::form_2("pairs-change-the-foot@form-2", 2.5, json!({"side": "alternate"}))]
#[case::flow("pairs-change-the-foot@flow", 3.5, json!({"tempo": "in_rhythm", "side": "alternate", "touches": "two"}))]
#[case::flow_2("pairs-change-the-foot@flow-2", 4.0, json!({"tempo": "in_rhythm", "side": "other"}))]
#[case::flow_3(
    "pairs-change-the-foot@flow-3", 4.5, json!({"tempo": "in_rhythm", "side": "alternate", "touches": "one"}),
)]
fn every_rung_of_a_stage_is_a_variant_the_easiest_first(
    #[case] id: &str,
    #[case] difficulty: f64,
    #[case] levers: serde_json::Value,
) {
    let problem = problem_of(|_| ());
    let variant = problem.variant(&called(id)).unwrap();
    assert_eq!(variant.difficulty, Difficulty(difficulty));
    assert_eq!(serde_json::to_value(variant.levers).unwrap(), levers);
}

#[test]
fn rungs_of_a_drill_are_numbered_by_how_hard_they_are_and_each_is_there_once() {
    let problem = problem_of(|_| ());
    let mut higher = 0;
    for variant in problem.variants.iter().filter(|v| v.id.rung > 1 && v.id.foot.is_none()) {
        let before = VariantId { rung: variant.id.rung - 1, ..variant.id.clone() };
        let before = problem.variant(&before).unwrap();
        assert!(before.difficulty.0 <= variant.difficulty.0, "{}", variant.id);
        assert_ne!(before.levers, variant.levers, "{}", variant.id);
        higher += 1;
    }
    assert!(higher > 20, "{higher} rungs above the easiest of their stage");
    assert_eq!(problem.faults(), []);
}
