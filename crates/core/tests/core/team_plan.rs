//! What a team has of its own beside its edition.

use jiff::ToSpan;
use jiff::civil::{Date, date};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::{Drift, TeamPlan, as_run, takes_over};
use jogo_core::delivery::{Outcome, Said, WeekTally, Worked, together};
use jogo_core::plan::curriculum::Sitting;
use jogo_core::plan::{Block, BlockId, Plan, Remedy, Rule, check, solve};
use jogo_core::units::{Metres, Minutes};
use rstest::rstest;

use crate::demo;

fn edition(seed: u64) -> Edition {
    demo::edition(demo::named(solve(&demo::problem(), seed, 6_000).unwrap().plan, u128::from(seed) << 32))
}

fn day(edition: &Edition, session: usize) -> Date {
    edition.curriculum.session_days()[session].date
}

/// A team that skipped a session.
fn without(edition: &Edition, session: usize, remedy: Remedy) -> TeamPlan {
    let team = TeamPlan::default();
    let found = team.remedies(edition, &Said::default(), session, Minutes(0)).unwrap();
    let chosen = found.into_iter().find(|each| each.remedy == remedy).unwrap();
    team.gone_on(session, Minutes(0), chosen)
}

#[test]
fn a_team_with_nothing_of_its_own_works_by_the_edition() {
    let published = edition(1);
    let own = TeamPlan::default().edition(&published).unwrap();
    assert_eq!(own, published);
    let drift = Drift::of(&published.problem().unwrap(), &published.plan, &own, &Said::default(), None);
    assert_eq!(drift, Drift::default());
}

#[test]
fn a_team_trains_on_its_own_days_and_ground() {
    let published = edition(1);
    let mut season = published.curriculum.season();
    season.start += 7.days();
    season.weekdays = season.weekdays.iter().map(|day| day % 7 + 1).collect();
    let mut ground = published.curriculum.ground;
    ground.width = Metres(11.0);
    let own = TeamPlan { season: Some(season), ground: Some(ground), ..TeamPlan::default() };
    let laid = own.edition(&published).unwrap();
    assert_eq!(day(&laid, 0), day(&published, 0) + 8.days());
    assert_eq!((laid.plan, laid.curriculum.ground), (published.plan, ground));
}

#[test]
fn a_cancelled_session_has_no_minutes_and_counts_as_cancelled() {
    let published = edition(1);
    let own = without(&published, 1, Remedy::Skip);
    let laid = own.edition(&published).unwrap();
    let problem = laid.problem().unwrap();
    assert_eq!((problem.sessions[1].minutes, laid.plan.sessions[1].len()), (Minutes(0), 0));
    let worked =
        Worked { published: &published.plan, edition: &laid, problem: &problem, said: &Said::default() };
    let week = &worked.tally(day(&published, 1) + 1.days(), &|_| true)[0];
    assert_eq!((week.sessions, week.cancelled, week.logs_missing), (2, 1, 1), "the first session has no log");
    let as_planned = Worked { edition: &published, problem: &published.problem().unwrap(), ..worked };
    assert_eq!(as_planned.tally(day(&published, 1), &|_| true)[0].planned, week.planned);
}

#[test]
fn two_editions_of_a_season_count_together() {
    let published = edition(1);
    let problem = published.problem().unwrap();
    let worked =
        Worked { published: &published.plan, edition: &published, problem: &problem, said: &Said::default() };
    let (cut, today) = (day(&published, 3), date(2031, 1, 1));
    let parts = [worked.tally(today, &|day| day < cut), worked.tally(today, &|day| day >= cut)];
    let joined = together(parts.into_iter().flatten());
    let whole = worked.tally(today, &|_| true);
    let plain =
        |weeks: &[WeekTally]| -> Vec<_> { weeks.iter().map(|w| (w.week, w.sessions, w.ahead)).collect() };
    assert_eq!(plain(&joined), plain(&whole));
    for (part, all) in joined.iter().zip(&whole) {
        assert!(part.planned.iter().zip(all.planned).all(|(a, b)| (a - b).abs() < 1e-9));
    }
}

#[test]
fn a_block_that_was_left_out_was_not_shown() {
    let published = edition(1);
    let said =
        demo::said(&published.plan, [((0, 0), (Outcome::Skipped, None)), ((0, 1), (Outcome::Short, None))]);
    let run = as_run(&published.plan, &said);
    assert_eq!(run.sessions[0], published.plan.sessions[0][1..]);
    assert_eq!(run.sessions[1..], published.plan.sessions[1..]);
}

#[rstest]
#[case::not_begun(0, None, None)]
#[case::begun_yesterday(1, None, Some(1))]
#[case::logged_today(0, Some(0), Some(1))]
#[case::logged_ahead_of_time(0, Some(2), Some(8))]
fn a_new_edition_holds_from_the_first_day_without_a_log(
    #[case] today: i64,
    #[case] logged: Option<usize>,
    #[case] from: Option<i64>,
) {
    // The third session is a week after the first.
    let published = edition(1);
    let first = day(&published, 0);
    let first_of = |session: usize| published.plan.sessions[session][0].id.unwrap();
    let said: Said =
        logged.into_iter().map(|session| ((session, first_of(session)), (Outcome::Done, None))).collect();
    let found = takes_over(&TeamPlan::default(), &published, &said, first + today.days());
    assert_eq!(found, from.map(|days| first + days.days()));
}

#[test]
fn a_running_team_takes_a_new_edition_from_a_day_on() {
    let (old, new) = (edition(1), edition(2));
    let own = without(&old, 5, Remedy::Squeeze);
    let skipped =
        demo::said(&old.plan, [((0, 1), (Outcome::Skipped, None)), ((1, 0), (Outcome::Done, None))]);
    let merged = own.merged(&old, &new, &skipped, day(&old, 2)).unwrap();
    let laid = merged.edition(&new).unwrap();
    assert_eq!(merged.upsets, own.upsets, "a session that will be cancelled still is");
    assert_eq!(laid.plan.sessions[5], []);
    // What was run before stands in the plan, and the rest keeps the rules from there on.
    assert_eq!(laid.plan.sessions[..2], as_run(&old.plan, &skipped).sessions[..2]);
    let problem = laid.problem().unwrap();
    let broken = check(&problem, &laid.plan);
    assert_eq!(broken.iter().filter(|breach| breach.session >= 2).count(), 0, "{broken:?}");
    let all_ahead = own.merged(&old, &new, &Said::default(), day(&old, 0)).unwrap();
    assert_eq!(TeamPlan { plan: None, ..all_ahead }, TeamPlan { plan: None, ..own });
    // What has been is no drift from the new edition.
    let plain = TeamPlan::default().merged(&old, &new, &Said::default(), day(&old, 2)).unwrap();
    let drift =
        Drift::of(&problem, &new.plan, &plain.edition(&new).unwrap(), &Said::default(), Some(day(&old, 2)));
    let rest = |plan: &Plan| plan.sessions[2..].to_vec();
    let stayed = plain.plan.as_ref().is_some_and(|plan| rest(plan) == rest(&new.plan));
    assert_eq!(drift.moved == 0, stayed, "{drift:?}");
}

#[test]
fn a_drill_that_the_new_edition_has_no_more_still_counts_as_run() {
    let old = edition(1).trimmed();
    let mut new = edition(2);
    let gone = &old.plan.sessions[0][0].variant.drill;
    for blocks in &mut new.plan.sessions {
        blocks.retain(|block| block.variant.drill != *gone);
    }
    new.drills.retain(|drill| drill.id != *gone);
    let new = new.trimmed();
    assert!(new.drill(gone).is_none());
    let merged = TeamPlan::default().merged(&old, &new, &Said::default(), day(&old, 1)).unwrap();
    assert!(merged.drills.iter().any(|drill| drill.id == *gone));
    assert!(merged.drills.iter().all(|drill| new.drill(&drill.id).is_none()));
    let laid = merged.edition(&new).unwrap();
    assert_eq!(laid.plan.sessions[0], old.plan.sessions[0]);
    // A third edition goes on from there.
    let third = merged.merged(&new, &old, &Said::default(), day(&old, 2)).unwrap();
    assert_eq!(third.edition(&old).unwrap().plan.sessions[..2], laid.plan.sessions[..2]);
}

#[test]
fn two_states_differ_from_the_first_session_that_changed() {
    let published = edition(1);
    let (before, after) = (TeamPlan::default(), without(&published, 4, Remedy::Shift));
    assert_eq!(before.changed_since(&before, &published), Ok(None));
    assert_eq!(before.changed_since(&after, &published), Ok(Some(4)));
}

// Session 4 was cancelled and everything moved on by one; then a phone that had no network says that its first block
// was done and its second one skipped.
#[test]
fn a_late_log_lands_on_the_drill_that_was_run() {
    let published = edition(1);
    let planned = &published.plan.sessions[4];
    let shifted = without(&published, 4, Remedy::Shift);
    let said =
        demo::said(&published.plan, [((4, 0), (Outcome::Done, None)), ((4, 1), (Outcome::Skipped, None))]);
    let own = shifted.with_run(&published, &shifted.misplaced(&published, &said).unwrap(), &[]).unwrap();
    let laid = own.edition(&published).unwrap();
    assert_eq!(laid.plan.sessions[4], planned[..1], "what was run is where it was run");
    assert!(!laid.plan.sessions[5].contains(&planned[0]), "and is not planned once more");
    let rest = |edition: &Edition| -> Vec<_> {
        edition.plan.sessions[5].iter().filter(|block| block.id != planned[0].id).cloned().collect()
    };
    assert_eq!(laid.plan.sessions[5], rest(&shifted.edition(&published).unwrap()));
    assert_eq!(own.upsets.get(&4), None, "a session with a log was not cancelled");
    assert_eq!(own.misplaced(&published, &said).unwrap(), [], "all of it is where it was run");
    let problem = laid.problem().unwrap();
    let worked = Worked { published: &published.plan, edition: &laid, problem: &problem, said: &said };
    let delivered: f64 = worked.tally(day(&published, 4), &|_| true)[2].delivered.iter().sum();
    assert!((delivered - f64::from(planned[0].minutes.0)).abs() < 1e-9, "{delivered}");
}

#[test]
fn a_block_that_the_plan_has_no_more_comes_back_as_it_was() {
    let published = edition(1);
    let dropped = without(&published, 4, Remedy::Skip);
    let last = published.plan.sessions[4].len() - 1;
    let said =
        demo::said(&published.plan, [((4, last), (Outcome::Short, None)), ((4, 0), (Outcome::Done, None))]);
    let laid = dropped
        .with_run(&published, &dropped.misplaced(&published, &said).unwrap(), &[])
        .unwrap()
        .edition(&published)
        .unwrap();
    let planned = &published.plan.sessions[4];
    assert_eq!(laid.plan.sessions[4], [planned[0].clone(), planned[last].clone()]);
    // One that no edition had, but an earlier state of the team's plan.
    let mut earlier = TeamPlan { plan: Some(published.plan.clone()), ..TeamPlan::default() };
    let block = Block { id: Some(BlockId(uuid::Uuid::from_u128(7))), ..planned[0].clone() };
    earlier.plan.as_mut().unwrap().sessions[4].push(block.clone());
    let misplaced = [(4, block.id.unwrap())];
    let laid = dropped.with_run(&published, &misplaced, &[earlier]).unwrap().edition(&published).unwrap();
    assert_eq!(laid.plan.sessions[4], [block]);
}

/// An edition with a test of 5 min in a session.
fn with_test(session: usize) -> Edition {
    let mut published = edition(1);
    let (test, minutes) = (demo::called("four-cuts"), Minutes(5));
    published.curriculum.tests = vec![Sitting { session, test, minutes, pinned: false, shows: vec![] }];
    published
}

// By hand: the test stood in session 4 of twelve; the next one that has 5 min for tests is session 5, and one that has
// the same test within two weeks is passed over.
#[rstest]
#[case::to_the_next(Minutes(0), None, Some(5))]
#[case::it_still_fits(Minutes(5), None, None)]
#[case::it_fits_no_longer(Minutes(4), None, Some(5))]
#[case::not_so_soon_again(Minutes(0), Some(6), Some(10))]
fn a_test_of_a_cancelled_session_moves_on(
    #[case] left: Minutes,
    #[case] another: Option<usize>,
    #[case] to: Option<usize>,
) {
    let mut published = with_test(4);
    let again = |session| Sitting { session, ..published.curriculum.tests[0].clone() };
    published.curriculum.tests =
        another.map(again).into_iter().chain(published.curriculum.tests.clone()).collect();
    let team = TeamPlan::default();
    for found in team.remedies(&published, &Said::default(), 4, left).unwrap() {
        let moved: Vec<_> = found.tests.iter().map(|moved| (moved.from, moved.to)).collect();
        assert_eq!(moved, to.map(|to| (4, Some(to))).into_iter().collect::<Vec<_>>());
        let remedy = found.remedy;
        let own = team.clone().gone_on(4, left, found);
        let laid = own.edition(&published).unwrap();
        let mut sessions: Vec<_> = laid.curriculum.tests.iter().map(|sitting| sitting.session).collect();
        sessions.sort_unstable();
        let mut wanted: Vec<_> = another.into_iter().chain([to.unwrap_or(4)]).collect();
        wanted.sort_unstable();
        assert_eq!(sessions, wanted, "{remedy:?}");
        let problem = laid.problem().unwrap();
        let full = check(&problem, &laid.plan).into_iter().filter(|breach| breach.rule == Rule::Time);
        assert_eq!(full.collect::<Vec<_>>(), [], "{remedy:?}: its new session has room for it");
        // Taking it back brings the test back; a new edition on the same days keeps it where it went.
        assert_eq!(own.changed_since(&team, &published).unwrap(), Some(4));
        let merged = own.merged(&published, &published, &Said::default(), day(&published, 0)).unwrap();
        assert_eq!(merged.edition(&published).unwrap().curriculum.tests, laid.curriculum.tests);
    }
}

#[test]
fn a_test_without_room_in_a_later_session_is_named() {
    let published = with_test(11);
    let found = TeamPlan::default().remedies(&published, &Said::default(), 11, Minutes(0)).unwrap();
    assert_eq!((found[0].tests[0].from, found[0].tests[0].to), (11, None));
    let own = TeamPlan::default().gone_on(11, Minutes(0), found.into_iter().next().unwrap());
    assert_eq!(own.edition(&published).unwrap().curriculum.tests, []);
}
