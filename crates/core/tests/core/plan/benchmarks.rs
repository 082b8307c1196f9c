//! The benchmark map, and tests that lay themselves: worked out by hand on small plans, and laws over many.

use std::collections::{BTreeMap, BTreeSet};

use jogo_core::academy::Academy;
use jogo_core::assessment::milestones::{Evidence, Measured, Milestone, Seen};
use jogo_core::plan::benchmark_map::{BenchmarkFinding, BenchmarkMend, Given, Library};
use jogo_core::plan::curriculum::{Curriculum, Sitting, TWO_WEEKS, Testing};
use jogo_core::plan::search::solve::usual_steps;
use jogo_core::plan::{
    BenchmarkMap, Part, Plan, Problem, Rule, TestWish, benchmark_map, check, score, solve,
};
use jogo_core::technique::skill::{Need, Stage};
use jogo_core::units::Minutes;
use proptest::prelude::*;
use rstest::rstest;

use super::demo::{self, called};
use super::{plan, problem};

/// One skill to Flow: six sessions on 6 and 10 January and so on, Form in the first two, Flow in the next two.
const A: &str = "a@form 5 | a@form 5 | a@flow 5 | a@flow 5 | | ";

fn milestone(id: &str, skill: &str, stage: Stage, evidence: Evidence) -> Milestone {
    let (says, short) = (format!("I can {id}"), id.to_owned());
    Milestone { id: called(id), says, short, skill: called(skill), stage, band: called("u8-u9"), evidence }
}

fn measured(test: &str, times: u32) -> Evidence {
    let json =
        format!(r#"{{"test": "{test}", "reach": {{"level": "secure"}}, "times": {times}, "of_last": 3}}"#);
    Evidence::Measured(serde_json::from_str::<Measured>(&json).unwrap())
}

fn seen(test: &str, days: u32) -> Evidence {
    Evidence::Seen(Seen { test: called(test), points: vec![], days })
}

fn sitting(session: usize) -> Sitting {
    let (test, minutes) = (called("four-cuts"), Minutes(5));
    Sitting { session, test, minutes, pinned: true, shows: vec![] }
}

/// The demo's tests and standards with these milestones.
fn library(milestones: Vec<Milestone>) -> Library {
    let (tests, standards) = (demo::tests(), demo::standards());
    Library {
        milestones,
        tests,
        standards,
        skills: demo::skills(),
        drills: demo::drills(),
        ..Library::default()
    }
}

fn wishes(sessions: &[usize]) -> Curriculum {
    Curriculum { tests: sessions.iter().copied().map(sitting).collect(), ..demo::curriculum() }
}

fn drawn(problem: &Problem, laid: &str, curriculum: &Curriculum, library: &Library) -> BenchmarkMap {
    benchmark_map(&Given { curriculum, problem, plan: &plan(laid), library })
}

fn codes(findings: &[BenchmarkFinding]) -> Vec<&str> {
    findings.iter().map(|finding| &*finding.says.code).collect()
}

// Flow is done in session 3 (from 0); a test comes before the blocks of its session, so it counts from session 4 on.
// Sessions 3 and 5 are 17 − 10… January: 0 is the 6th, 1 the 10th, 2 the 13th, 3 the 17th, 4 the 20th, 5 the 24th.
#[rstest]
#[case::after_it(&[4], 1, true, &[])]
#[case::never(&[], 1, false, &["benchmarks-no-session"])]
#[case::with_its_last_exposure(&[3], 1, false, &["benchmarks-too-early"])]
#[case::long_before(&[0], 1, false, &["benchmarks-too-early"])]
#[case::before_and_after(&[1, 5], 1, true, &[])]
#[case::one_of_two(&[5], 2, false, &["benchmarks-few-dates"])]
#[case::two_of_two(&[4, 5], 2, true, &[])]
fn a_test_shows_what_was_done_before_it(
    #[case] sessions: &[usize],
    #[case] times: u32,
    #[case] shown: bool,
    #[case] found: &[&str],
) {
    let problem = problem(&[("a", None, Stage::Flow, &[])], &[20; 6]);
    let library = library(vec![milestone("flow", "a", Stage::Flow, measured("four-cuts", times))]);
    let map = drawn(&problem, A, &wishes(sessions), &library);
    assert_eq!((map.shown, map.week), (u32::from(shown), 3));
    assert_eq!(codes(&map.findings), found);
    let line = &map.lines[0];
    assert_eq!((line.exposures, line.can_be_shown), (4, shown));
    assert_eq!((&line.milestones[0].taken[..], line.milestones[0].standard), (sessions, Some(true)));
}

// Points are looked for in every session with a block at the stage or a later one.
#[rstest]
#[case::two_days(A, 2, Stage::Flow, &[2, 3], &[])]
#[case::a_day_too_few(A, 3, Stage::Flow, &[2, 3], &["benchmarks-no-look"])]
#[case::two_in_one_session("a@form 5 | a@form 5 | a@flow 5, a@flow 6 | a@flow 5 | |", 3, Stage::Flow, &[2, 3], &["benchmarks-no-look"])]
#[case::later_stages_too(A, 4, Stage::Form, &[0, 1, 2, 3], &[])]
fn points_are_looked_for_in_ordinary_blocks(
    #[case] laid: &str,
    #[case] days: u32,
    #[case] stage: Stage,
    #[case] sessions: &[usize],
    #[case] found: &[&str],
) {
    let problem = problem(&[("a", None, stage, &[])], &[20; 6]);
    let library = library(vec![milestone("seen", "a", stage, seen("cuts-seen", days))]);
    let map = drawn(&problem, laid, &wishes(&[]), &library);
    assert_eq!(
        (&map.lines[0].milestones[0].looked_for[..], codes(&map.findings)),
        (sessions, found.to_vec())
    );
}

#[rstest]
#[case::none(vec![], &["benchmarks-no-milestone"])]
#[case::of_an_earlier_stage(
    vec![milestone("form", "a", Stage::Form, seen("cuts-seen", 1))], &["benchmarks-no-milestone"],
)]
#[case::without_a_standard(
    vec![milestone("flow", "a", Stage::Flow, measured("goals-60", 1))],
    &["benchmarks-no-standard", "benchmarks-no-session"],
)]
#[case::scan_taken_alone(
    vec![
        milestone("flow", "a", Stage::Flow, seen("cuts-seen", 1)),
        milestone("scan", "b", Stage::Scan, measured("four-cuts", 1)),
    ],
    &["benchmarks-untaught"],
)]
fn what_is_missing_is_found(#[case] milestones: Vec<Milestone>, #[case] found: &[&str]) {
    let problem = problem(&[("a", None, Stage::Flow, &[])], &[20; 6]);
    let map = drawn(&problem, A, &wishes(&[]), &library(milestones));
    assert_eq!(codes(&map.findings), found);
}

#[test]
fn scan_is_not_shown_by_a_test_taken_alone() {
    let problem = problem(&[("a", Some(Stage::Scan), Stage::Scan, &[])], &[20; 3]);
    let library = library(vec![milestone("scan", "a", Stage::Scan, measured("four-cuts", 1))]);
    let map = drawn(&problem, "a@scan 5 | a@scan 5 | ", &wishes(&[2]), &library);
    assert_eq!((map.shown, codes(&map.findings)), (1, vec!["benchmarks-taken-alone"]));
    let Some(BenchmarkMend::Milestone { evidence: Evidence::Both { .. }, milestone, .. }) =
        &map.findings[0].mend
    else {
        panic!("it is to rest on points as well: {:?}", map.findings[0].mend)
    };
    assert_eq!(milestone.as_str(), "scan", "the same one");
}

#[test]
fn what_the_plan_does_not_come_to_has_no_single_mend() {
    let problem = problem(&[("a", None, Stage::Flow, &[])], &[20; 6]);
    let library = library(vec![milestone("flow", "a", Stage::Flow, measured("four-cuts", 1))]);
    let map = drawn(&problem, "a@form 5 | a@form 5 | a@flow 5 | | | ", &wishes(&[5]), &library);
    assert_eq!(codes(&map.findings), ["benchmarks-not-reached"]);
    assert_eq!(map.findings[0].mend, None);
}

#[test]
fn a_milestone_is_proposed_from_what_the_library_has() {
    let proposed = |skill: &str, stage| {
        let mut problem = problem(&[("a", None, stage, &[])], &[20; 2]);
        problem.skills[0].id = called(skill);
        match drawn(&problem, "| ", &wishes(&[]), &library(vec![])).findings[0].mend.clone() {
            Some(BenchmarkMend::Milestone { evidence, points, .. }) => (evidence, points),
            other => panic!("{other:?}"),
        }
    };
    // A test of the skill measures Flow at Secure; Scan is seen by the points of one.
    let (evidence, points) = proposed("weave", Stage::Flow);
    assert_eq!((evidence.measured().unwrap().test.as_str(), points.len()), ("weave-time", 0));
    let (evidence, points) = proposed("weave", Stage::Scan);
    assert_eq!((evidence.seen().unwrap().test.as_str(), points.len()), ("weave-seen", 0));
    // Without a test, a new one looks for the coaching points of its drills.
    let (evidence, points) = proposed("roll-step-over", Stage::Flow);
    assert_eq!(evidence.seen().unwrap().test.as_str(), "roll-step-over-seen");
    assert!((1..=4).contains(&points.len()), "{points:?}");
}

// Names are taken by what is there: a milestone of another skill may have the name that comes first, and a skill's own
// name may leave no room.
#[test]
fn a_proposed_milestone_takes_no_other_ones_name() {
    let mut problem = problem(&[("a", None, Stage::Flow, &[])], &[20; 2]);
    let long = "a-skill-with-a-name-as-long-as-names-of-files-may-be-at-most";
    for (skill, taken, name) in [
        ("weave", vec![], "weave-flow-u8-u9"),
        ("weave", vec!["weave-flow-u8-u9"], "weave-flow-u8-u9-2"),
        ("weave", vec!["weave-flow-u8-u9", "weave-flow-u8-u9-2"], "weave-flow-u8-u9-3"),
        (long, vec![], "a-skill-with-a-name-as-long-as-names-of-files-may-be-at"),
    ] {
        problem.skills[0].id = called(skill);
        let taken =
            taken.into_iter().map(|id| milestone(id, "b", Stage::Form, seen("cuts-seen", 1))).collect();
        let findings = drawn(&problem, "| ", &wishes(&[]), &library(taken)).findings;
        let Some(BenchmarkMend::Milestone { milestone, evidence, .. }) = &findings[0].mend else {
            panic!("{findings:?}")
        };
        assert_eq!(milestone.as_str(), name);
        assert!(evidence.tests().all(|test| test.len() <= 60));
    }
}

/// The wishes and the library after a mend.
fn mended(mend: &BenchmarkMend, wishes: &Curriculum, library: &Library) -> (Curriculum, Library) {
    let mut library = library.clone();
    match mend {
        BenchmarkMend::Milestone { milestone: id, skill, stage, evidence, .. } => {
            library.milestones.retain(|known| known.id != *id);
            library.milestones.push(milestone(id, skill, *stage, evidence.clone()));
        }
        BenchmarkMend::Standard { test, thresholds, .. } => {
            let from = jiff::civil::date(2020, 8, 1);
            let (test, band, thresholds) = (test.clone(), called("u8-u9"), *thresholds);
            library.standards.push(jogo_core::assessment::standards::Standard {
                test,
                band,
                from,
                thresholds,
            });
        }
        _ => (),
    }
    (mend.of_wishes(wishes), library)
}

/// Goals added by a mend, as the problem has them.
fn with_goals(problem: &Problem, mend: &BenchmarkMend) -> Problem {
    let mut problem = problem.clone();
    if let BenchmarkMend::Goals { goals } = mend {
        for goal in goals {
            let like = problem.skills[0].clone();
            let (id, present, goal) = (goal.skill.clone(), goal.present, goal.goal);
            problem.skills.push(jogo_core::plan::SkillWish { id, present, goal, needs: vec![], ..like });
        }
    }
    problem
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(256))]

    /// Mending a finding removes it, and makes no other of its kind.
    #[test]
    fn a_mend_removes_its_finding(
        sittings in prop::collection::vec((0usize..16, 0usize..3), 0..5),
        evidences in prop::collection::vec((0usize..4, 0usize..4, 0usize..3, 1u32..3, any::<bool>()), 0..6),
    ) {
        let tests = ["four-cuts", "goals-60", "weave-time"];
        let problem = problem(
            &[("a", None, Stage::Flow, &[]), ("b", Some(Stage::Flow), Stage::Scan, &[]), ("c", None, Stage::Form, &[])],
            &[30; 16],
        );
        let laid = "a@form 5 | a@form 5, b@flow 5 | a@flow 5 | a@flow 5, b@flow 5 | b@scan 5 | b@scan 5, c@form 5 | \
                    c@form 5 | | | | | | | | | ";
        let laid = plan(laid);
        let mut wishes = wishes(&[]);
        for (session, test) in sittings {
            let sitting = Sitting { test: called(tests[test]), ..sitting(session) };
            if !wishes.tests.contains(&sitting) {
                wishes.tests.push(sitting);
            }
        }
        let milestones = evidences.into_iter().enumerate().map(|(i, (skill, stage, test, times, points))| {
            let evidence = if points { seen("cuts-seen", times) } else { measured(tests[test], times) };
            milestone(&format!("m{i}"), ["a", "b", "c", "weave"][skill], Stage::ALL[stage], evidence)
        });
        let library = library(milestones.collect());
        let draw = |problem: &Problem, curriculum: &Curriculum, library: &Library| {
            benchmark_map(&Given { curriculum, problem, plan: &laid, library }).findings
        };
        let before = draw(&problem, &wishes, &library);
        for finding in &before {
            let Some(mend) = &finding.mend else { continue };
            let (wishes, library) = mended(mend, &wishes, &library);
            let after = draw(&with_goals(&problem, mend), &wishes, &library);
            let same = |of: &&BenchmarkFinding| of.says.code == finding.says.code;
            let gone = |of: &BenchmarkFinding| (of.skill.clone(), of.milestone.clone());
            let (had, has): (BTreeSet<_>, BTreeSet<_>) =
                (before.iter().filter(same).map(gone).collect(), after.iter().filter(same).map(gone).collect());
            prop_assert!(!has.contains(&gone(finding)), "{:?} is still there after {:?}", finding.says, mend);
            prop_assert!(has.is_subset(&had), "{:?} made {:?}", mend, has);
        }
    }

    /// Tests that lay themselves keep to the bounds, and those that are pinned stay.
    #[test]
    fn laid_tests_keep_the_bounds(
        before: bool, on_the_way: bool, at_the_end: bool, in_session in 1u32..30, in_all in 1u32..120,
        pin in 0usize..20, template in 0usize..12,
    ) {
        let mut wishes = demo::templates().swap_remove(template);
        let (most_in_session, most_in_all) = (Minutes(in_session), Minutes(in_all));
        wishes.testing = Testing { before, on_the_way, at_the_end, most_in_session, most_in_all };
        let days: Vec<_> = wishes.session_days().iter().map(|day| day.date).collect();
        let pinned = sitting(pin % days.len());
        wishes.tests = vec![pinned.clone()];
        let laid = wishes.with_tests_laid(&demo::skills(), &demo::milestones(), &demo::tests());
        prop_assert!(laid.tests.contains(&pinned));
        prop_assert_eq!(&laid.faults(), &vec![]);
        let mut in_session: BTreeMap<usize, u32> = BTreeMap::new();
        for each in laid.tests.iter().filter(|each| !each.pinned) {
            *in_session.entry(each.session).or_default() += each.minutes.0;
            let day = days[each.session];
            let (since, until) = ((day - days[0]).get_days(), (days[days.len() - 1] - day).get_days());
            let wanted = match (since < TWO_WEEKS, until < TWO_WEEKS) {
                (true, _) if before => true,
                (_, true) => at_the_end,
                (false, false) => on_the_way,
                _ => false,
            };
            prop_assert!(wanted, "{each:?} in a phase that nobody asked for");
            let near = laid.tests.iter().filter(|other| {
                other.test == each.test && (days[other.session] - days[each.session]).get_days().abs() < TWO_WEEKS
            });
            prop_assert_eq!(near.count(), 1, "itself");
        }
        prop_assert!(in_session.values().all(|minutes| *minutes <= most_in_session.0));
        let all: u32 = laid.tests.iter().map(|each| each.minutes.0).sum();
        prop_assert!(all <= most_in_all.0.max(pinned.minutes.0));
        // Laid again, nothing moves.
        prop_assert_eq!(&laid.with_tests_laid(&demo::skills(), &demo::milestones(), &demo::tests()).tests, &laid.tests);
    }
}

// By hand: Flow is done in session 3; a test of it in session 3 costs 20 points, in session 4 none (S17).
#[rstest]
#[case(2, 20.0)]
#[case(3, 20.0)]
#[case(4, 0.0)]
fn a_test_before_what_it_is_to_show_costs_points(#[case] session: usize, #[case] points: f64) {
    let mut wished = problem(&[("a", None, Stage::Flow, &[])], &[20; 6]);
    let shows = vec![Need { skill: called("a"), stage: Stage::Flow }];
    let (id, name, minutes) = (called("t"), "T".to_owned(), Minutes(5));
    wished.sessions[session].tests = vec![TestWish { id, name, minutes, skills: vec![called("a")], shows }];
    let score = score(&wished, &plan(A));
    let part = score.parts.iter().find(|part| part.part == Part::Evidence).unwrap();
    assert_eq!(part.points, points);
}

// Without a drill for weaves the squad never meets them, and a test of them would leave no plan.
#[test]
fn what_the_squad_never_meets_is_not_tested() {
    let mut edition = demo::edition(Plan::default());
    edition.drills.retain(|drill| !drill.serves.iter().any(|served| served.skill == "weave"));
    let laid = edition.clone().with_tests_laid(&demo::milestones()).unwrap();
    let tests: Vec<&str> = laid.curriculum.tests.iter().map(|sitting| sitting.test.as_str()).collect();
    assert!(!tests.contains(&"weave-time") && tests.contains(&"toe-taps-30"), "{tests:?}");
    // One that is pinned stays: the clash says why there is no plan.
    edition.curriculum.tests = vec![Sitting { test: called("weave-time"), ..sitting(11) }];
    assert_eq!(
        edition
            .with_tests_laid(&demo::milestones())
            .unwrap()
            .curriculum
            .tests
            .iter()
            .filter(|s| s.pinned)
            .count(),
        1
    );
}

#[rstest]
fn every_template_can_show_all_its_goals(
    #[values("u6-u7", "u8-u9", "u10-u12", "u13-u15")] band: &str,
    #[values("autumn", "winter", "spring")] term: &str,
) {
    shows_every_goal(&demo::template(&format!("{band}-{term}")));
}

#[test]
fn the_demo_curriculum_can_show_all_its_goals() {
    shows_every_goal(&demo::curriculum());
}

fn shows_every_goal(wishes: &Curriculum) {
    let band = demo::bands().into_iter().find(|band| band.id == wishes.band).unwrap();
    let mut library = library(demo::milestones());
    // What the other terms teach is taught in the same year.
    let year = demo::templates().into_iter().filter(|term| term.band == wishes.band);
    library.taught_elsewhere = year.flat_map(|term| term.goals).map(|goal| goal.skill).collect();
    let wishes = wishes.with_tests_laid(&library.skills, &library.milestones, &library.tests);
    let problem =
        wishes.problem(&Academy::default(), &band, &library.skills, &library.drills, &library.tests);
    let problem = problem.unwrap();
    let solved = solve(&problem, 1, usual_steps(&problem)).unwrap();
    let broken = check(&problem, &solved.plan);
    assert!(broken.iter().all(|breach| breach.rule != Rule::Tests), "{broken:?}");
    let (curriculum, plan): (&Curriculum, &Plan) = (&wishes, &solved.plan);
    let map = benchmark_map(&Given { curriculum, problem: &problem, plan, library: &library });
    assert_eq!(
        map.findings.iter().map(|found| found.says.to_string()).collect::<Vec<_>>(),
        Vec::<String>::new()
    );
    assert_eq!(map.shown as usize, map.lines.len());
}
