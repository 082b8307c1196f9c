//! The line of a skill: its exposures in order, what they add to the score, and the rules that they break.

use crate::plan::Ladder;
use crate::plan::part::{MAINTENANCE_DAYS, RHYTHM_DAYS, STEP};
use crate::plan::search::table::{Table, When};
use crate::plan::success::EXPOSURE_MIN;
use crate::technique::skill::Stage;

const SCAN: usize = Stage::Scan.index();
const CONTEST: usize = Stage::Contest.index();

/// One exposure of a skill.
#[derive(Clone, Copy, Debug)]
pub(in crate::plan) struct Exposure {
    pub session: usize,
    pub stage: usize,
    pub difficulty: f64,
    /// Minutes of the block; each of its skills has its part of them.
    pub minutes: f64,
    /// Minutes in which a player works.
    pub working: f64,
}

/// What one skill adds.
#[derive(Clone, Copy, Debug)]
pub(in crate::plan) struct Line {
    /// S1, S3, S4, S6 and S17.
    pub points: f64,
    /// What of them is for the sessions until the goal is reached, which no plan is without.
    pub haste: f64,
    /// Minutes times percentage points that the expected success lies outside the window (S12).
    pub outside: f64,
    /// H3, H7 (first exposure) and H9.
    pub breaches: i64,
    pub first: When,
    /// In which session each stage had its first exposure.
    pub begun: [When; 4],
    /// In which session each stage had its last required exposure.
    pub done: [When; 4],
    /// How many exposures each stage has.
    pub count: [u32; 4],
}

impl Line {
    /// From which session on the stage after this one may begin, as far as this one decides it (H3).
    pub fn opens(&self, stage: usize, ladder: Ladder) -> When {
        match ladder {
            Ladder::Strict => self.done[stage].next(),
            Ladder::Overlapping => self.begun[stage].next(),
            Ladder::Open => When::In(0),
        }
    }
}

impl Table<'_> {
    /// The line of a skill with these exposures; `late` says whether the first of them begins after half of a session.
    pub fn line(&self, skill: usize, shown: &[Exposure], late: impl Fn(usize) -> bool) -> Line {
        let (row, costs) = (&self.skills[skill], &self.costs);
        let mut missing = row.way;
        let mut still: u32 = missing.iter().sum();
        let mut line = Line {
            points: 0.0,
            haste: 0.0,
            outside: 0.0,
            breaches: 0,
            first: shown.first().map(|first| first.session).into(),
            begun: [When::Never; 4],
            done: [When::Never; 4],
            count: [0; 4],
        };
        let keeping = |days: i32| {
            if days > MAINTENANCE_DAYS {
                costs.maintenance * f64::from(days - MAINTENANCE_DAYS) / 7.0
            } else {
                0.0
            }
        };
        // The day from which a skill rests is no exposure to jump from.
        let mut last: Option<(i32, Option<f64>)> = row.since.map(|day| (day, None));
        let (mut experience, mut known) = (row.experience, 0);
        // In which session each stage was shown last, and of the skill as a whole what is no Contest.
        let (mut latest, mut led_to) = ([When::Never; 4], When::Never);
        for each in shown {
            let day = self.sessions[each.session].day;
            if let Some((before, difficulty)) = last {
                let rested = day - before;
                line.points += if still == 0 {
                    keeping(rested)
                } else {
                    costs.rhythm * f64::from((rested - RHYTHM_DAYS).max(0))
                };
                if let Some(difficulty) = difficulty {
                    line.points += costs.jump * ((each.difficulty - difficulty).abs() - STEP).max(0.0);
                }
            }
            last = Some((day, Some(each.difficulty)));
            experience *= self.kept[(day - known) as usize];
            known = day;
            line.outside += each.minutes * self.edge.outside(experience, each.difficulty - row.easiest);
            experience += each.working / EXPOSURE_MIN;
            let stage = each.stage;
            let now = When::In(each.session);
            if line.count[stage] == 0 {
                line.begun[stage] = now;
                let ready = stage == 0 || row.done[stage - 1] || line.opens(stage - 1, self.ladder) <= now;
                line.breaches += i64::from(!ready);
            }
            if self.ladder == Ladder::Open && stage == CONTEST {
                let ready = led_to == now || row.done[SCAN] || line.done[SCAN].is_before(each.session);
                line.breaches += i64::from(!ready);
            } else if stage != CONTEST {
                led_to = now;
            }
            if latest[stage] == now {
                continue;
            }
            latest[stage] = now;
            line.count[stage] += 1;
            if line.count[stage] == self.needed[stage] {
                line.done[stage] = When::In(each.session);
            }
            if missing[stage] > 0 {
                missing[stage] -= 1;
                still -= 1;
                if still == 0 {
                    line.haste = costs.haste * each.session as f64;
                }
            }
        }
        if let (0, Some((day, _)), Some(end)) = (still, last, self.sessions.last()) {
            line.points += keeping(end.day - day);
        }
        line.points += row.missing * f64::from(still);
        if still > 0 {
            line.haste = costs.haste * self.sessions.len() as f64;
        }
        line.points += line.haste;
        for (stage, session) in &row.shown {
            line.points += if line.done[*stage].is_before(*session) { 0.0 } else { costs.early };
        }
        if row.new {
            line.breaches += i64::from(line.first.session().is_some_and(late));
        }
        if row.tested != When::Never {
            line.breaches += i64::from(line.first >= row.tested);
        }
        line
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ids::called;
    use crate::plan::{Approach, Problem, SkillWish, TestWish};
    use crate::technique::skill::Stage;
    use crate::units::Minutes;
    use jiff::ToSpan;
    use rstest::rstest;

    const FORM: usize = 0;
    const FLOW: usize = 1;

    /// One skill, ten sessions a week apart; two exposures of each stage.
    fn problem(present: Option<Stage>, goal: Stage) -> Problem {
        let mut problem = crate::plan::search::ledger::tests::any_problem(1, 0);
        let (first, skill) = (problem.sessions[0].clone(), problem.skills[0].clone());
        problem.sessions = (0..10)
            .map(|week: i64| crate::plan::SessionWish {
                date: first.date + (7 * week).days(),
                week: week as u32 + 1,
                tests: Vec::new(),
                ..first.clone()
            })
            .collect();
        problem.approach = Approach { exposures: [2, 2, 2, 2], ladder: Ladder::Strict, ..Approach::BALANCED };
        problem.skills = vec![SkillWish { present, goal, needs: vec![], ..skill }];
        problem.variants.clear();
        problem
    }

    fn line(problem: &Problem, shown: &[(usize, usize, f64)]) -> Line {
        let shown: Vec<Exposure> = shown
            .iter()
            .map(|(session, stage, difficulty)| Exposure {
                session: *session,
                stage: *stage,
                difficulty: *difficulty,
                minutes: 6.0,
                working: 6.0,
            })
            .collect();
        Table::of(problem).line(0, &shown, |_| false)
    }

    /// Exposures of the same difficulty.
    fn even(shown: &[(usize, usize)]) -> Vec<(usize, usize, f64)> {
        shown.iter().map(|(session, stage)| (*session, *stage, 2.0)).collect()
    }

    // By hand. On the way to Flow four exposures are asked for, 10 points each (S1); a skill under way may rest 7
    // days, each further day is a point (S3); at its goal it may rest 21 days, each further week costs two points
    // (S4). Each session until the goal is reached costs 0.05: of ten all, where it never is.
    #[rstest]
    #[case::never_shown(&[], 40.5)]
    #[case::met_once(&[(0, FORM)], 30.5)]
    #[case::two_more_of_a_stage_than_it_asks_for(&[(0, FORM), (1, FORM), (2, FORM), (3, FORM)], 20.5)]
    #[case::two_weeks_of_rest_on_the_way(&[(0, FORM), (2, FORM), (3, FLOW), (4, FLOW), (7, FLOW)], 7.2)]
    #[case::at_its_goal_and_kept(&[(0, FORM), (1, FORM), (2, FLOW), (3, FLOW), (6, FLOW)], 0.15)]
    #[case::at_its_goal_and_left_for_four_weeks(&[(0, FORM), (1, FORM), (2, FLOW), (3, FLOW), (7, FLOW)], 2.15)]
    #[case::left_until_the_end(&[(0, FORM), (1, FORM), (2, FLOW), (3, FLOW)], 6.15)]
    fn points_of_a_line_are_counted(#[case] shown: &[(usize, usize)], #[case] points: f64) {
        let line = line(&problem(None, Stage::Flow), &even(shown));
        assert!((line.points - points).abs() < 1e-9, "{} against {points}", line.points);
    }

    // By hand, of a skill at Flow that is to come to Flow, two exposures: a session a week, 0.05 for each session until
    // the second of them. The rest before the first counts from the last day on which it was shown, but at most 7 days
    // of it lie before the first session (S3). After the second exposure it rests until the last session, on day 63
    // (S4).
    #[rstest]
    #[case::nobody_knows(None, &[(1, FLOW), (2, FLOW)], 0.1 + 8.0)] // 49 days of rest at the end
    #[case::at_once(Some(30), &[(0, FLOW), (1, FLOW)], 0.05 + 10.0)] // 56 days
    #[case::a_week_later(Some(30), &[(1, FLOW), (2, FLOW)], 0.1 + 8.0 + 7.0)]
    #[case::shown_three_days_before(Some(3), &[(1, FLOW), (2, FLOW)], 0.1 + 8.0 + 3.0)]
    #[case::two_weeks_later(Some(7), &[(2, FLOW), (3, FLOW)], 0.15 + 6.0 + 14.0)]
    #[case::never(Some(30), &[], 20.5)]
    fn the_rest_before_the_first_exposure_counts(
        #[case] last: Option<i32>,
        #[case] shown: &[(usize, usize)],
        #[case] points: f64,
    ) {
        let mut problem = problem(Some(Stage::Flow), Stage::Flow);
        problem.skills[0].last_shown = last.map(|days| problem.sessions[0].date - days.days());
        let line = line(&problem, &even(shown));
        assert!((line.points - points).abs() < 1e-9, "{} against {points}", line.points);
    }

    // By hand, of a skill that is kept: it may rest 21 days, of which all may lie before the first session; each
    // further week costs two points (S4). Ten sessions, one a week: the last is 63 days after the first.
    #[rstest]
    #[case::nobody_knows(None, &[3], 6.0)] // 21 days, then 42
    #[case::shown_a_week_before(Some(7), &[3], 8.0)] // 28 days, then 42
    #[case::shown_long_before(Some(90), &[3], 12.0)] // 42 days of 21 before the first session, then 42
    #[case::shown_long_before_and_at_once(Some(90), &[0, 3, 6], 0.0)]
    #[case::never_again(Some(7), &[], 14.0)] // 70 days
    fn what_is_kept_rests_from_before(
        #[case] last: Option<i32>,
        #[case] shown: &[usize],
        #[case] points: f64,
    ) {
        let mut problem = problem(Some(Stage::Scan), Stage::Flow);
        problem.skills[0].last_shown = last.map(|days| problem.sessions[0].date - days.days());
        let shown: Vec<_> = shown.iter().map(|session| (*session, FLOW)).collect();
        let line = line(&problem, &even(&shown));
        assert!((line.points - points).abs() < 1e-9, "{} against {points}", line.points);
    }

    // By hand: the same four exposures, of the other foot, 5 points each; and 0.05 for each of ten sessions.
    #[test]
    fn a_ladder_of_the_other_foot_costs_half() {
        let mut problem = problem(None, Stage::Flow);
        problem.skills[0].carries = Some(called("a"));
        assert!((line(&problem, &[]).points - 20.5).abs() < 1e-9);
    }

    // By hand: a step of 1.5 is free, each point over it costs two (S6), up or down. The goal is reached in session 8,
    // which costs 0.4.
    #[rstest]
    #[case::just_as_much([2.0, 3.5, 2.0], 0.4)]
    #[case::one_point_over([2.0, 4.5, 4.5], 2.4)]
    #[case::up_and_down([1.0, 5.0, 1.0], 10.4)]
    fn jumps_of_difficulty_are_counted(#[case] steps: [f64; 3], #[case] points: f64) {
        let problem = problem(None, Stage::Form);
        let shown: Vec<_> = (7..).zip(steps).map(|(at, difficulty)| (at, FORM, difficulty)).collect();
        let line = line(&problem, &shown);
        assert!((line.points - points).abs() < 1e-9, "{} against {points}", line.points);
    }

    #[rstest]
    #[case::in_order(&[(0, FORM), (1, FORM), (2, FLOW)], 0)]
    #[case::one_too_few(&[(0, FORM), (1, FLOW)], 1)]
    #[case::in_the_same_session(&[(0, FORM), (1, FORM), (1, FLOW)], 1)]
    #[case::a_stage_left_out(&[(0, FORM), (1, FORM), (2, SCAN)], 1)]
    #[case::back_to_an_earlier_stage(&[(0, FORM), (1, FORM), (2, FLOW), (3, FORM)], 0)]
    fn each_stage_waits_for_the_one_before(#[case] shown: &[(usize, usize)], #[case] breaches: i64) {
        assert_eq!(line(&problem(None, Stage::Scan), &even(shown)).breaches, breaches);
    }

    // Two exposures of Form and Scan are asked for; the last number is the place of Contest.
    #[rstest]
    #[case::overlapping(Ladder::Overlapping, &[(0, FORM), (1, FLOW), (2, SCAN)], 0)]
    #[case::overlapping_on_one_day(Ladder::Overlapping, &[(0, FORM), (0, FLOW)], 1)]
    #[case::overlapping_with_one_left_out(Ladder::Overlapping, &[(0, FORM), (1, SCAN)], 1)]
    #[case::open(Ladder::Open, &[(0, SCAN), (1, FORM), (2, FLOW)], 0)]
    #[case::contest_alone(Ladder::Open, &[(0, SCAN), (1, 3)], 1)]
    #[case::contest_after_another_block(Ladder::Open, &[(0, SCAN), (1, FLOW), (1, 3)], 0)]
    #[case::contest_before_another_block(Ladder::Open, &[(0, SCAN), (1, 3), (1, FLOW)], 1)]
    #[case::contest_once_scan_is_done(Ladder::Open, &[(0, SCAN), (1, SCAN), (2, 3)], 0)]
    #[case::a_day_counts_once(Ladder::Strict, &[(0, FORM), (0, FORM), (1, FLOW)], 1)]
    fn a_ladder_says_when_a_stage_may_begin(
        #[case] ladder: Ladder,
        #[case] shown: &[(usize, usize)],
        #[case] breaches: i64,
    ) {
        let mut problem = problem(None, Stage::Contest);
        problem.approach.ladder = ladder;
        assert_eq!(line(&problem, &even(shown)).breaches, breaches);
    }

    #[test]
    fn what_the_squad_has_already_is_not_waited_for() {
        // Who is at Flow has done Form.
        let problem = problem(Some(Stage::Flow), Stage::Flow);
        let line = line(&problem, &even(&[(0, FLOW), (1, FLOW)]));
        assert_eq!((line.breaches, line.first), (0, When::In(0)));
        assert_eq!(line.done, [When::Never, When::In(1), When::Never, When::Never]);
    }

    #[test]
    fn a_line_knows_when_each_stage_began_and_was_done() {
        let line = line(
            &problem(None, Stage::Scan),
            &even(&[(1, FORM), (2, FORM), (4, FLOW), (5, FORM), (6, FLOW)]),
        );
        assert_eq!(line.first, When::In(1));
        let never = When::Never;
        assert_eq!(line.begun, [When::In(1), When::In(4), never, never]);
        assert_eq!(line.done, [When::In(2), When::In(6), never, never]);
        assert_eq!(line.count, [3, 2, 0, 0]);
    }

    #[rstest]
    #[case::shown_before(&[(3, FORM)], 0)]
    #[case::shown_in_it(&[(4, FORM)], 1)]
    #[case::shown_after_it(&[(5, FORM)], 1)]
    #[case::never_shown(&[], 1)]
    fn a_test_asks_for_an_exposure_before_it(#[case] shown: &[(usize, usize)], #[case] breaches: i64) {
        let mut problem = problem(None, Stage::Form);
        let skills = vec![problem.skills[0].id.clone()];
        problem.sessions[4].tests = vec![TestWish {
            id: called("test"),
            name: "Test".into(),
            minutes: Minutes(10),
            skills,
            shows: vec![],
        }];
        assert_eq!(line(&problem, &even(shown)).breaches, breaches);
    }

    #[rstest]
    #[case::not_met_before(None, 1)]
    #[case::met_before(Some(Stage::Form), 0)]
    fn what_is_new_begins_early(#[case] present: Option<Stage>, #[case] breaches: i64) {
        let problem = problem(present, Stage::Flow);
        let shown = [Exposure { session: 2, stage: FORM, difficulty: 2.0, minutes: 6.0, working: 6.0 }];
        assert_eq!(Table::of(&problem).line(0, &shown, |first| first == 2).breaches, breaches);
        assert_eq!(Table::of(&problem).line(0, &shown, |first| first != 2).breaches, 0);
    }
}
