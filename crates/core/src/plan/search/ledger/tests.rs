//! A ledger knows what its plan allows, owes and costs, after any edits.

use super::*;
use crate::ids::{DrillId, called};
use crate::plan::problem::LayoutChange;
use crate::plan::problem::example::{ExampleSize, example};
use crate::plan::{
    Approach, Ladder, Part, Problem, SessionWish, SkillWish, TestWish, Theme, Variant, Weekly, WeeklyOf,
    Weights, check, score,
};
use crate::technique::skill::{Need, Stage, Strand};
use crate::units::Minutes;
use jiff::ToSpan;
use proptest::prelude::*;
use proptest::sample::Index;

/// One edit: a session, what is cut out of it, what is put in with its minutes, and which block then begins.
pub type Edit = (Index, Index, Vec<(Index, u32, Option<Index>)>, Index);

pub fn any_edits() -> impl Strategy<Value = Vec<Edit>> {
    let put = (any::<Index>(), 1u32..14, prop::option::weighted(0.1, any::<Index>()));
    let edit = (any::<Index>(), any::<Index>(), prop::collection::vec(put, 0..4), any::<Index>());
    prop::collection::vec(edit, 1..25)
}

/// An edited session of a plan.
pub fn edited(ledger: &Ledger<'_>, (session, cut, put, turn): &Edit) -> (usize, Vec<BlockRow>) {
    let session = session.index(ledger.sessions.len());
    let mut blocks = ledger.session(session).to_vec();
    blocks.truncate(cut.index(blocks.len() + 1));
    let variants = ledger.table.variants.len();
    blocks.extend(put.iter().map(|(variant, minutes, beside)| BlockRow {
        variant: variant.index(variants),
        minutes: *minutes,
        beside: beside.map(|beside| beside.index(variants)),
        locked: false,
    }));
    if !blocks.is_empty() {
        let turn = turn.index(blocks.len());
        blocks.rotate_left(turn);
    }
    (session, blocks)
}

/// A small problem with everything in it that is summed.
pub fn any_problem(made: u64, most_headers: u32) -> Problem {
    let mut problem = example(ExampleSize { weeks: 4, sessions: 2, skills: 9, variants: 26 }, made);
    problem.limits.headers_per_week = Some(most_headers % 30);
    problem.approach.ladder = [Ladder::Strict, Ladder::Overlapping, Ladder::Open][(made / 3 % 3) as usize];
    problem.knack = (made / 5 % 5) as f64 / 2.0 - 1.0;
    // One part counts more than once, or less.
    let weight = (made / 16 % 7) as f64 / 2.0;
    problem.approach.weights = Weights::PLAIN.with(Part::ALL[(made % 17) as usize], weight);
    // The second week is about a strand, the third about two skills.
    let skills = problem.skills.iter().take(2).map(|skill| skill.id.clone()).collect();
    problem.themes = [(2, Theme::Strand(Strand::Receiving)), (3, Theme::Skills(skills))].into();
    for (i, variant) in problem.variants.iter_mut().enumerate() {
        variant.usual = Minutes(4 + (i % 7) as u32);
        variant.headers_per_min = if i % 7 == 0 { 1.0 } else { 0.0 };
    }
    // One drill leaves markers for the next: what is left to do takes 0 to 2 minutes.
    let drills: Vec<DrillId> = problem.variants.iter().map(|variant| variant.drill.clone()).collect();
    let changes = drills.windows(2).filter(|pair| pair[0] != pair[1]).enumerate();
    problem.layout_changes = changes
        .map(|(i, pair)| LayoutChange {
            from: pair[0].clone(),
            to: pair[1].clone(),
            stay: 4,
            laying_out: Minutes((i % 3) as u32),
        })
        .collect();
    // A skill is wished two or three times a week, a drill at most once.
    let (skill, drill) = (problem.skills[1].id.clone(), problem.variants[2].drill.clone());
    problem.weekly = vec![
        Weekly { of: WeeklyOf::Skill(skill), least: 2, most: 3 },
        Weekly { of: WeeklyOf::Drill(drill), least: 0, most: 1 },
    ];
    // The last skill carries the first one over to the other foot.
    if made.is_multiple_of(2) {
        let first = problem.skills[0].id.clone();
        if let Some(last) = problem.skills.last_mut() {
            (last.present, last.carries) = (None, Some(first.clone()));
            last.needs = vec![Need { skill: first, stage: Stage::Flow }];
        }
    }
    // Of every other problem it is known when skills were last shown: from yesterday to six weeks ago.
    let first = problem.sessions[0].date;
    for (i, skill) in (1..).zip(&mut problem.skills).filter(|_| made % 4 < 2) {
        skill.last_shown = Some(first - ((13 * i) % 43).days());
    }
    // Its tests are to show every skill at Form or Flow.
    for test in problem.sessions.iter_mut().flat_map(|session| &mut session.tests) {
        let need =
            |(i, skill): (usize, &SkillWish)| Need { skill: skill.id.clone(), stage: Stage::ALL[i % 2] };
        test.shows = problem.skills.iter().enumerate().map(need).collect();
    }
    problem
}

const A: usize = 0;
const B: usize = 1;
const FORM: usize = 0;
const FLOW: usize = 1;

/// Skills a, to Flow, and b, to Form, which needs a at Form; two exposures of each stage; one session a week.
fn a_and_b(test_of_b_in: Option<usize>) -> Problem {
    let mut problem = any_problem(1, 0);
    let (first, skill) = (problem.sessions[0].clone(), problem.skills[0].clone());
    let wish =
        |id: &str, goal, needs| SkillWish { id: called(id), present: None, goal, needs, ..skill.clone() };
    problem.skills = vec![
        wish("a", Stage::Flow, vec![]),
        wish("b", Stage::Form, vec![Need { skill: called("a"), stage: Stage::Form }]),
    ];
    problem.sessions = (0..8_u32)
        .map(|week| SessionWish {
            date: first.date + i64::from(7 * week).days(),
            week: week + 1,
            tests: Vec::new(),
            minutes: Minutes(40),
        })
        .collect();
    if let Some(session) = test_of_b_in {
        let skills = vec![called("b")];
        problem.sessions[session].tests = vec![TestWish {
            id: called("test"),
            name: "Test".into(),
            minutes: Minutes(5),
            skills,
            shows: vec![],
        }];
    }
    problem.approach = Approach { exposures: [2, 2, 2, 2], ladder: Ladder::Strict, ..Approach::BALANCED };
    problem.new_skills_per_week = 1;
    problem.variants = vec![
        Variant::of(&called("a"), Stage::Form, &[called("a")]),
        Variant::of(&called("a"), Stage::Flow, &[called("a")]),
        Variant::of(&called("b"), Stage::Form, &[called("b")]),
        Variant::of(&called("both"), Stage::Form, &[called("a"), called("b")]),
    ];
    problem
}

/// A ledger of variants, session by session.
fn ledger<'t>(table: &'t Table<'t>, sessions: &[&[usize]]) -> Ledger<'t> {
    let laid = |variant: &usize| BlockRow { variant: *variant, minutes: 6, beside: None, locked: false };
    let mut all: Vec<Vec<BlockRow>> =
        sessions.iter().map(|blocks| blocks.iter().map(laid).collect()).collect();
    all.resize(table.sessions.len(), Vec::new());
    Ledger::of(table, all, None)
}

// a in Form in the sessions 1 and 2, in Flow in 4, b in 5.
const LAID: &[&[usize]] = &[&[], &[0], &[0], &[], &[1], &[2]];

#[test]
fn a_ledger_knows_how_far_a_skill_may_go() {
    let problem = a_and_b(None);
    let table = Table::of(&problem);
    let ledger = ledger(&table, LAID);
    let stages =
        |skill| -> Vec<Option<usize>> { (0..6).map(|session| ledger.stage_at(skill, session)).collect() };
    let (form, flow) = (Some(FORM), Some(FLOW));
    assert_eq!(stages(A), [form, form, form, flow, flow, flow]);
    assert_eq!(stages(B), [None, None, None, form, form, form], "it waits for a at Form");
    assert!(
        ledger.may_show(3, 3) && !ledger.may_show(3, 2) && ledger.may_show(1, 3) && !ledger.may_show(1, 2)
    );
    assert_eq!(ledger.breaches(), 0);
}

#[test]
fn a_ledger_knows_where_a_block_may_stand() {
    let problem = a_and_b(None);
    let table = Table::of(&problem);
    let ledger = ledger(&table, LAID);
    assert_eq!(ledger.room(0), room(0, When::In(4)), "Flow of a, and b, wait for it");
    assert_eq!(ledger.room(1), room(3, When::Never));
    assert_eq!(ledger.room(2), room(3, When::Never));
    // One exposure more than is asked for: nothing waits for any one of them.
    let problem = a_and_b(None);
    let table = Table::of(&problem);
    assert_eq!(self::ledger(&table, &[&[0], &[0], &[0], &[], &[1], &[2]]).room(0), room(0, When::Never));
}

fn room(from: usize, until: When) -> Room {
    Room { from: When::In(from), until }
}

#[test]
fn a_ledger_knows_what_is_owed_and_until_when() {
    let problem = a_and_b(None);
    let table = Table::of(&problem);
    let owed = |sessions: &[&[usize]], skill| {
        ledger(&table, sessions)
            .owed(skill)
            .map(|owed| (owed.skill, owed.stage, owed.after.session(), owed.before))
    };
    assert_eq!(owed(LAID, A), None);
    assert_eq!(owed(LAID, B), None);
    assert_eq!(owed(&[&[], &[0], &[], &[1]], A), Some((A, FORM, Some(0), 3)), "Flow came after one of Form");
    assert_eq!(owed(&[&[0], &[0], &[], &[2]], B), None);
    assert_eq!(owed(&[&[0], &[], &[2]], B), Some((A, FORM, Some(0), 2)), "b came after one of a");
}

#[test]
fn a_test_owes_its_skill_an_exposure_before_it() {
    let problem = a_and_b(Some(4));
    let table = Table::of(&problem);
    let ledger = ledger(&table, &[&[0], &[0]]);
    let owed = ledger.owed(B).map(|owed| (owed.skill, owed.stage, owed.after.session(), owed.before));
    assert_eq!(owed, Some((B, FORM, Some(0), 4)));
    assert_eq!((ledger.breaches(), ledger.breaches_before(4), ledger.breaches_before(5)), (1, 0, 1));
}

#[test]
fn a_ledger_knows_the_weeks_with_too_much_that_is_new() {
    let mut problem = a_and_b(None);
    problem.skills[B].needs.clear();
    let table = Table::of(&problem);
    let crowded = ledger(&table, &[&[], &[3]]);
    assert_eq!((crowded.crowded_by(A), crowded.crowded_by(B), crowded.breaches()), (Some(1), Some(1), 1));
    let fine = ledger(&table, &[&[0], &[2]]);
    assert_eq!((fine.crowded_by(A), fine.crowded_by(B), fine.breaches()), (None, None, 0));
}

#[test]
fn blocks_that_left_their_session_are_counted() {
    let problem = a_and_b(None);
    let table = Table::of(&problem);
    let before = ledger(&table, &[&[0, 0, 1], &[2]]).sessions;
    let mut near = Ledger::of(&table, before.clone(), Some(before));
    assert_eq!(near.sum.sessions.moved, 0);
    let block = |variant| BlockRow { variant, minutes: 7, beside: None, locked: false };
    near.replace(0, &[block(1), block(0)]);
    assert_eq!(near.sum.sessions.moved, 1, "longer and in another order, one of two alike is gone");
    near.replace(1, &[]);
    assert_eq!(near.sum.sessions.moved, 2);
    near.replace(0, &[block(0), block(0), block(1), block(3)]);
    assert_eq!(near.sum.sessions.moved, 1, "what comes beside moves nothing");
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(96))]

    #[test]
    fn after_any_edits_score_and_breaches_are_those_of_the_whole_plan(made: u64, edits in any_edits(), most: u32) {
        let problem = any_problem(made, most);
        let table = Table::of(&problem);
        let mut ledger = Ledger::of(&table, vec![Vec::new(); problem.sessions.len()], None);
        for edit in edits {
            let (session, blocks) = edited(&ledger, &edit);
            ledger.replace(session, &blocks);
        }
        let plan = table.plan(ledger.sessions());
        let whole = score(&problem, &plan);
        prop_assert!((ledger.score() - whole.total).abs() < 1e-6, "{} against {:?}", ledger.score(), whole);
        let breaches = check(&problem, &plan);
        prop_assert_eq!(ledger.breaches() == 0, breaches.is_empty(), "{} against {:?}", ledger.breaches(), breaches);
    }
}
