//! The planner: what it lays is legal, what it scores is right, what it refuses cannot be done.

mod benchmarks;
mod carry_over;
mod check;
mod clash;
mod edit;
mod hinge;
mod score;
mod so_far;
mod solve;
mod testing;
mod upset;
mod why;

use crate::demo::{self, called};
use std::collections::BTreeMap;

use jiff::ToSpan;
use jiff::civil::{Date, date};
use jogo_core::plan::{
    Approach, Block, Ladder, Limits, Plan, Problem, SessionWish, SkillWish, Variant, stitches,
};
use jogo_core::technique::skill::{Need, Stage, Strand};
use jogo_core::units::{Difficulty, Minutes, Share};

/// A rule or a part of the score as it is written in files.
fn code(of: impl serde::Serialize) -> &'static str {
    serde_json::to_value(of).unwrap().as_str().unwrap().to_owned().leak()
}

const START: Date = date(2031, 1, 6);

/// A skill with its present stage, its goal, and what it needs.
type Wished<'s> = (&'s str, Option<Stage>, Stage, &'s [(&'s str, Stage)]);

/// Skills `a`, `b`, … of ball mastery, each with one drill of 5 to 10 minutes for every stage up to Scan.
fn problem(skills: &[Wished<'_>], minutes: &[u32]) -> Problem {
    let all = BTreeMap::from([(Strand::BallMastery, Share(1.0))]);
    let variants = skills.iter().flat_map(|(id, ..)| {
        let strands = all.clone();
        [Stage::Form, Stage::Flow, Stage::Scan].into_iter().map(move |stage| Variant {
            strands: strands.clone(),
            title: format!("drill-{id}"),
            difficulty: Difficulty(2.0),
            ..Variant::of(&called(id), stage, &[called(id)])
        })
    });
    Problem {
        version: 2,
        skills_per_session: 4,
        themes: BTreeMap::new(),
        knack: 0.0,
        weekly: Vec::new(),
        new_skills_per_week: 2,
        sessions: minutes
            .iter()
            .enumerate()
            .map(|(i, m)| SessionWish {
                // Two sessions a week, four and three days apart.
                date: START + ((i / 2 * 7 + i % 2 * 4) as i64).days(),
                week: i as u32 / 2 + 1,
                minutes: Minutes(*m),
                tests: Vec::new(),
            })
            .collect(),
        limits: Limits::default(),
        locks: Vec::new(),
        layout_changes: Vec::new(),
        hinges: Vec::new(),
        shares: all.clone(),
        approach: Approach { ladder: Ladder::Strict, ..Approach::BALANCED },
        variants: variants.collect(),
        skills: skills
            .iter()
            .map(|(id, present, goal, needs)| SkillWish {
                id: called(id),
                name: id.to_uppercase(),
                strand: Strand::BallMastery,
                present: *present,
                goal: *goal,
                needs: needs.iter().map(|(s, at)| Need { skill: called(s), stage: *at }).collect(),
                carries: None,
                last_shown: None,
            })
            .collect(),
    }
}

/// A plan as `a@form 5 | a@flow+a@scan 5, b@form 5 |`: sessions between bars, minutes behind each variant, what lies
/// beside it behind a plus.
fn plan(sessions: &str) -> Plan {
    let block = |text: &str| {
        let (variant, minutes) = text.trim().split_once(' ').unwrap();
        let (variant, beside) =
            variant.split_once('+').map_or((variant, None), |(v, b)| (v, Some(called(b))));
        Block { beside, ..Block::of(&called(variant), Minutes(minutes.parse().unwrap())) }
    };
    let session = |text: &str| text.split(',').filter(|t| !t.trim().is_empty()).map(block).collect();
    Plan { sessions: sessions.split('|').map(session).collect() }
}

const A_AND_B: &[Wished<'static>] =
    &[("a", None, Stage::Flow, &[]), ("b", None, Stage::Form, &[("a", Stage::Form)])];

/// A variant of a problem, to be changed.
fn variant_of<'p>(problem: &'p mut Problem, id: &str) -> &'p mut Variant {
    problem.variants.iter_mut().find(|v| v.id == called(id)).unwrap()
}

// By hand: a on 6 and 10 January in Form, on 17 January (after 7 days) in Flow, then b; and a rest of 11 days frays.
#[test]
fn stitches_say_which_exposure_they_are_and_where_the_line_frays() {
    let wished = problem(A_AND_B, &[20, 20, 20, 20]);
    let laid = plan("a@form 5 | a@form 7 |  | a@flow 5, b@form 6");
    let found: Vec<_> = stitches(&wished, &laid)
        .into_iter()
        .map(|s| (s.skill, s.session, s.block, s.stage, s.minutes.0, s.nth, s.of, s.first, s.frayed))
        .collect();
    let a =
        |session, stage, minutes, nth, first| (called("a"), session, 0, stage, minutes, nth, 2, first, false);
    assert_eq!(
        found,
        [
            a(0, Stage::Form, 5, 1, true),
            a(1, Stage::Form, 7, 2, false),
            a(3, Stage::Flow, 5, 1, false),
            (called("b"), 3, 1, Stage::Form, 6, 1, 2, true, false),
        ]
    );
    let rested = stitches(&wished, &plan("a@form 5 |  |  | a@form 5"));
    assert_eq!(rested.iter().map(|s| s.frayed).collect::<Vec<_>>(), [false, true]);
    // Two blocks of a session count as one exposure.
    let twice = stitches(&wished, &plan("a@form 5, a@form 5 | a@form 5 |  | "));
    assert_eq!(
        twice.iter().map(|s| (s.nth, s.again)).collect::<Vec<_>>(),
        [(1, false), (1, true), (2, false)]
    );
    // Reached goals may rest: a has nothing left to do here.
    let reached = problem(&[("a", None, Stage::Form, &[])], &[20, 20, 20, 20]);
    let rested = stitches(&reached, &plan("a@form 5 | a@form 5 |  | a@form 5"));
    assert!(rested.iter().all(|s| !s.frayed));
}
