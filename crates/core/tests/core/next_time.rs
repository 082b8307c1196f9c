//! What came off decides how hard the next block of a skill is, for one team.

use jiff::civil::Date;
use jiff::{Timestamp, ToSpan};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::next_time::{Coming, Decision};
use jogo_core::delivery::team_plan::{Drift, TeamPlan};
use jogo_core::delivery::{NextTime, Outcome, Said};
use jogo_core::plan::{BlockId, Plan, Problem, Variant, check, solve};
use rstest::rstest;

use crate::demo;

fn edition() -> Edition {
    demo::edition(demo::named(solve(&demo::problem(), 1, 20_000).unwrap().plan, 1))
}

fn day(edition: &Edition, session: usize) -> Date {
    edition.curriculum.session_days()[session].date
}

fn minute(n: i64) -> Timestamp {
    Timestamp::from_second(1_900_000_000 + 60 * n).unwrap()
}

/// What comes after each block of a session, for a team without logs, on the day of that session.
fn coming(own: &TeamPlan, published: &Edition, session: usize) -> Vec<(BlockId, Coming)> {
    let laid = own.edition(published).unwrap();
    let problem = laid.problem().unwrap();
    let all = own.coming(&laid, &problem, &Said::default(), session, day(published, session));
    all.into_iter().map(|coming| (coming.after, coming)).collect()
}

fn decide(own: TeamPlan, published: &Edition, after: BlockId, next: NextTime, at: i64) -> TeamPlan {
    let session = published.plan.place_of(after).unwrap().0;
    let decision = Decision { after, next, at: minute(at) };
    own.with_next_time(published, &Said::default(), &decision, day(published, session)).unwrap()
}

fn plan(own: &TeamPlan, published: &Edition) -> Plan {
    own.edition(published).unwrap().plan
}

/// The first block with a harder and an easier rung for the next time.
fn with_both(edition: &Edition) -> (BlockId, Coming) {
    let all =
        (0..edition.plan.sessions.len()).flat_map(|session| coming(&TeamPlan::default(), edition, session));
    all.into_iter().find(|(_, coming)| coming.one_up.is_some() && coming.one_down.is_some()).unwrap()
}

/// The variants of the blocks that differ between two plans.
fn changed<'p>(problem: &'p Problem, before: &Plan, after: &Plan) -> Vec<(usize, &'p Variant, &'p Variant)> {
    let variant = |plan: &Plan, (session, place): (usize, usize)| {
        problem.variant(&plan.sessions[session][place].variant).unwrap()
    };
    let differ = before.places().map(|(at, _)| at).filter(|at| {
        let block = |plan: &Plan| plan.sessions[at.0][at.1].clone();
        block(before) != block(after)
    });
    differ.map(|at| (at.0, variant(before, at), variant(after, at))).collect()
}

// By the plan itself: the first later block that shares a skill, whatever its drill.
#[test]
fn next_is_the_first_later_block_of_a_skill() {
    let edition = edition();
    let problem = edition.problem().unwrap();
    let skills = |id: BlockId| {
        let (session, place) = edition.plan.place_of(id).unwrap();
        problem.variant(&edition.plan.sessions[session][place].variant).unwrap().skills.clone()
    };
    let mut found = 0;
    for session in 0..edition.plan.sessions.len() {
        let known: std::collections::BTreeMap<_, _> =
            coming(&TeamPlan::default(), &edition, session).into_iter().collect();
        for block in &edition.plan.sessions[session] {
            let id = block.id.unwrap();
            let later = edition.plan.places().find(|((at, _), other)| {
                *at > session && skills(other.id.unwrap()).iter().any(|skill| skills(id).contains(skill))
            });
            assert_eq!(known.get(&id).map(|coming| coming.session), later.map(|((at, _), _)| at));
            found += usize::from(later.is_some());
        }
    }
    assert!(found > 20, "{found} blocks have one that follows");
}

#[test]
fn it_becomes_the_nearest_rung_and_nothing_else_changes() {
    let edition = edition();
    let problem = edition.problem().unwrap();
    let (after, coming) = with_both(&edition);
    for (next, sign) in [(NextTime::OneUp, 1.0), (NextTime::OneDown, -1.0)] {
        let own = decide(TeamPlan::default(), &edition, after, next, 0);
        let differ = changed(&problem, &edition.plan, &plan(&own, &edition));
        let [(session, was, became)] = differ[..] else { panic!("{} blocks changed", differ.len()) };
        assert_eq!(session, coming.session);
        assert_eq!((&was.drill, &was.skills), (&became.drill, &became.skills));
        let harder = sign * (became.difficulty.0 - was.difficulty.0);
        let between = problem.variants.iter().filter(|variant| {
            let away = sign * (variant.difficulty.0 - was.difficulty.0);
            variant.drill == was.drill
                && variant.skills == was.skills
                && variant.foot == was.foot
                && variant.id.foot == was.id.foot
                && away > 1e-9
                && away < harder - 1e-9
        });
        let stepped = own.stepped(&plan(&own, &edition), session);
        assert_eq!(stepped.iter().map(|each| each.next).collect::<Vec<_>>(), [next]);
        assert!(harder > 0.0, "{harder}");
        assert_eq!(between.count(), 0, "another rung lies between");
    }
    let same = decide(TeamPlan::default(), &edition, after, NextTime::Same, 0);
    assert_eq!(same.plan, None);
    assert_eq!(same.next_times[&after].next, NextTime::Same);
    assert_eq!(same.stepped(&edition.plan, coming.session), []);
}

#[rstest]
#[case::the_later_one_holds([(NextTime::OneUp, 1), (NextTime::OneDown, 2)], NextTime::OneDown)]
#[case::also_if_it_came_first([(NextTime::OneDown, 2), (NextTime::OneUp, 1)], NextTime::OneDown)]
#[case::back_to_what_was_planned([(NextTime::OneUp, 1), (NextTime::Same, 2)], NextTime::Same)]
#[case::once_however_often_it_comes([(NextTime::OneUp, 1), (NextTime::OneUp, 1)], NextTime::OneUp)]
#[case::the_last_of_one_moment([(NextTime::OneUp, 1), (NextTime::OneDown, 1)], NextTime::OneDown)]
#[case::not_two_rungs_for_two_words([(NextTime::OneUp, 1), (NextTime::OneUp, 2)], NextTime::OneUp)]
fn of_two_decisions(#[case] said: [(NextTime, i64); 2], #[case] holds: NextTime) {
    let edition = edition();
    let (after, _) = with_both(&edition);
    let alone = decide(TeamPlan::default(), &edition, after, holds, 9);
    let both =
        said.into_iter().fold(TeamPlan::default(), |own, (next, at)| decide(own, &edition, after, next, at));
    assert_eq!(plan(&both, &edition), plan(&alone, &edition));
    assert_eq!(both.next_times[&after].next, holds);
    let session = edition.plan.place_of(after).unwrap().0;
    let again = coming(&both, &edition, session).into_iter().find(|(id, _)| *id == after).unwrap().1;
    let before =
        coming(&TeamPlan::default(), &edition, session).into_iter().find(|(id, _)| *id == after).unwrap().1;
    assert_eq!(again, Coming { decided: Some(holds), ..before }, "what was planned is still named");
}

// Every block of the demo's plan, one up and one down: the plan stays as legal as it was, and what was offered is what
// comes.
#[test]
fn no_decision_breaks_a_rule() {
    let edition = edition();
    let problem = Problem { locks: Vec::new(), ..edition.problem().unwrap() };
    assert_eq!(check(&problem, &edition.plan), []);
    let (mut up, mut down) = (0, 0);
    for session in 0..edition.plan.sessions.len() {
        for (after, coming) in coming(&TeamPlan::default(), &edition, session) {
            for (next, offered) in [(NextTime::OneUp, &coming.one_up), (NextTime::OneDown, &coming.one_down)]
            {
                let own = decide(TeamPlan::default(), &edition, after, next, 0);
                let then = plan(&own, &edition);
                assert_eq!(check(&problem, &then), []);
                assert_eq!(then != edition.plan, offered.is_some());
                assert_eq!(own.next_times[&after].change.is_some(), offered.is_some());
            }
            up += usize::from(coming.one_up.is_some());
            down += usize::from(coming.one_down.is_some());
        }
    }
    assert!(up > 10 && down > 10, "{up} could be harder, {down} easier");
}

#[test]
fn what_is_over_or_was_logged_does_not_change() {
    let edition = edition();
    let problem = edition.problem().unwrap();
    let (after, next) = with_both(&edition);
    let session = edition.plan.place_of(after).unwrap().0;
    let of = |said: &Said, today| {
        let all = TeamPlan::default().coming(&edition, &problem, said, session, today);
        all.into_iter().find(|coming| coming.after == after).map(|coming| coming.session)
    };
    assert_eq!(of(&Said::default(), next.date), Some(next.session));
    assert_ne!(of(&Said::default(), next.date + 1.days()), Some(next.session), "its day is over");
    let logged: Said = edition.plan.sessions[next.session]
        .iter()
        .map(|block| ((next.session, block.id.unwrap()), (Outcome::Done, None)))
        .collect();
    assert_ne!(of(&logged, next.date), Some(next.session), "it was run already");
    // After the last day nothing comes, and the decision is kept all the same.
    let decision = Decision { after, next: NextTime::OneUp, at: minute(0) };
    let end = day(&edition, edition.plan.sessions.len() - 1) + 1.days();
    let late = TeamPlan::default().with_next_time(&edition, &Said::default(), &decision, end).unwrap();
    assert_eq!((late.plan, late.next_times[&after].block), (None, None));
}

#[test]
fn a_block_that_nobody_knows_changes_nothing() {
    let edition = edition();
    let decision =
        Decision { after: BlockId(uuid::Uuid::from_u128(u128::MAX)), next: NextTime::OneUp, at: minute(0) };
    let first = day(&edition, 0);
    let own = TeamPlan::default().with_next_time(&edition, &Said::default(), &decision, first).unwrap();
    assert_eq!(own.plan, None);
}

// A new edition in which nothing has changed: what was decided about it holds there as well.
#[rstest]
#[case::one_up(NextTime::OneUp, (1, 0))]
#[case::one_down(NextTime::OneDown, (0, 1))]
#[case::same(NextTime::Same, (0, 0))]
fn a_new_edition_keeps_what_was_decided(#[case] next: NextTime, #[case] rungs: (usize, usize)) {
    let edition = edition();
    let problem = edition.problem().unwrap();
    let (after, _) = with_both(&edition);
    let own = decide(TeamPlan::default(), &edition, after, next, 0);
    let from = day(&edition, edition.plan.place_of(after).unwrap().0);
    let merged = own.merged(&edition, &edition, &Said::default(), from).unwrap();
    assert_eq!(plan(&merged, &edition), plan(&own, &edition));
    assert_eq!(merged.next_times, own.next_times);
    let laid = own.edition(&edition).unwrap();
    let drift = Drift::of(&problem, &edition.plan, &laid, &Said::default(), None);
    assert_eq!((drift.harder, drift.easier, drift.moved), (rungs.0, rungs.1, 0));
}
