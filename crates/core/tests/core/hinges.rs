//! A team that is not ready for a skill goes on without it, and meets it later.

use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::hinges::Ahead;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Said};
use jogo_core::ids::SkillId;
use jogo_core::plan::curriculum::Mastery;
use jogo_core::plan::{Plan, check, solve};
use jogo_core::units::Share;

use crate::demo;

fn skill() -> SkillId {
    demo::called("drag-turn")
}

/// The demo's edition, in which the turn waits for six of ten.
fn edition() -> Edition {
    let mut edition = demo::edition(demo::named(solve(&demo::problem(), 1, 20_000).unwrap().plan, 1));
    edition.curriculum.mastery = vec![Mastery { skill: skill(), share: Some(Share(0.6)) }];
    edition
}

fn day(edition: &Edition, session: usize) -> Date {
    edition.curriculum.session_days()[session].date
}

fn hinges(own: &TeamPlan, published: &Edition, said: &Said, today: Date) -> Vec<Ahead> {
    let laid = own.edition(published).unwrap();
    own.hinges(&laid, &laid.problem().unwrap(), said, today)
}

/// The session in which the turn begins.
fn begins(edition: &Edition) -> usize {
    hinges(&TeamPlan::default(), edition, &Said::default(), day(edition, 0) - 1.days())[0].session
}

fn shows(edition: &Edition, plan: &Plan, session: usize) -> bool {
    let problem = edition.problem().unwrap();
    let turns = |id| problem.variant(id).is_some_and(|variant| variant.skills.contains(&skill()));
    plan.sessions[session].iter().any(|block| turns(&block.variant))
}

#[test]
fn it_is_settled_once_the_session_before_it_is_over() {
    let edition = edition();
    let at = begins(&edition);
    assert!(at > 0, "the demo's turn needs something first");
    let due = |today| {
        let found = hinges(&TeamPlan::default(), &edition, &Said::default(), today);
        found.first().map(|hinge| (hinge.session, hinge.due))
    };
    assert_eq!(due(day(&edition, at - 1)), Some((at, false)));
    assert_eq!(due(day(&edition, at - 1) + 1.days()), Some((at, true)));
    assert_eq!(due(day(&edition, at)), Some((at, true)));
    assert_eq!(due(day(&edition, at) + 1.days()), None, "it has begun");
    let logged = demo::said(&edition.plan, [((at, 0), (Outcome::Done, None))]);
    assert!(hinges(&TeamPlan::default(), &edition, &logged, day(&edition, at)).is_empty());
    // Of a session in which it was left out nobody says that it has begun: its hinge is the next one.
    let turns = edition.problem().unwrap();
    let here = edition.plan.sessions[at].iter().filter(|block| {
        turns.variant(&block.variant).is_some_and(|variant| variant.skills.contains(&skill()))
    });
    let left_out: Said = here.map(|block| ((at, block.id.unwrap()), (Outcome::Skipped, None))).collect();
    let next = hinges(&TeamPlan::default(), &edition, &left_out, day(&edition, at) + 1.days());
    assert!(next[0].session > at);
    let let_begin = TeamPlan { let_begin: [skill()].into(), ..TeamPlan::default() };
    assert!(hinges(&let_begin, &edition, &Said::default(), day(&edition, at)).is_empty());
}

#[test]
fn a_team_that_waits_meets_the_skill_later_and_breaks_no_rule() {
    let edition = edition();
    let (at, said) = (begins(&edition), Said::default());
    let own = TeamPlan::default().waited(&edition, &said, at, &skill()).unwrap().unwrap();
    let laid = own.edition(&edition).unwrap();
    assert_eq!(laid.plan.sessions[..at], edition.plan.sessions[..at]);
    assert!(!shows(&edition, &laid.plan, at));
    assert!(!laid.plan.sessions[at].is_empty(), "the session takes place");
    let later = hinges(&own, &edition, &said, day(&edition, at));
    assert!(later[0].session > at && !later[0].due);
    assert_eq!(check(&laid.problem().unwrap(), &laid.plan), []);
    // Once it is reached it goes on: the next hinge is another session, and nothing has to be done there.
    let next = later[0].session;
    assert!(shows(&edition, &laid.plan, next));
    // It can wait again.
    let again = own.waited(&edition, &said, next, &skill()).unwrap().unwrap();
    assert_eq!(again.waits.len(), 2);
    assert!(
        hinges(&again, &edition, &said, day(&edition, next)).first().is_none_or(|hinge| hinge.session > next)
    );
}

#[test]
fn by_the_coachs_word_it_begins_where_it_was_meant_to() {
    let edition = edition();
    let (at, said) = (begins(&edition), Said::default());
    let waiting = TeamPlan::default().waited(&edition, &said, at, &skill()).unwrap().unwrap();
    let begun = waiting.clone().with_begun(&edition, &said, &skill(), day(&edition, at)).unwrap();
    let laid = begun.edition(&edition).unwrap();
    assert!(shows(&edition, &laid.plan, at) && begun.waits.is_empty());
    assert_eq!(check(&laid.problem().unwrap(), &laid.plan), []);
    // What lies behind stays as it was run.
    let late = waiting.with_begun(&edition, &said, &skill(), day(&edition, at) + 1.days()).unwrap();
    assert_eq!(late.waits.len(), 1);
}

#[test]
fn who_takes_a_wait_back_lets_the_skill_begin() {
    let edition = edition();
    let (at, said) = (begins(&edition), Said::default());
    let waiting = TeamPlan::default().waited(&edition, &said, at, &skill()).unwrap().unwrap();
    let back = waiting.taken_back(TeamPlan::default());
    assert_eq!(back, TeamPlan { let_begin: [skill()].into(), ..TeamPlan::default() });
    assert!(hinges(&back, &edition, &said, day(&edition, at)).is_empty(), "else the team would wait again");
}

#[test]
fn a_goal_that_is_met_already_has_no_hinge() {
    let mut edition = edition();
    edition.curriculum.mastery = vec![Mastery { skill: demo::called("inside-taps"), share: None }];
    assert!(edition.problem().unwrap().hinges.is_empty());
    edition.curriculum.mastery[0].skill = demo::called("inside-outside-cut");
    let hinge = edition.problem().unwrap().hinges.remove(0);
    // Its gate is a test of toe taps, and it needs inside taps.
    assert_eq!(hinge.meanwhile, ["toe-taps", "inside-taps"].map(demo::called::<SkillId>));
}
