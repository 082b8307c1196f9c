//! Tests that lay themselves: which test is taken when?
//!
//! A curriculum says how it wants to be measured: *before* (in its first two weeks), *on the way*, and *at the end* (in
//! its last two weeks). Which tests those are follows from the milestones of its goals:
//!
//! | when | which tests |
//! |---|---|
//! | at the end | those on which a milestone on the way to a goal rests |
//! | before | those on which a milestone of a skill rests that was met before |
//! | on the way | those on which a milestone before the goal rests, or one that asks for several dates |
//!
//! A test is laid into the session that costs least, those at the end first, and of them the longest first: a session
//! takes no more minutes of tests than [`Testing::most_in_session`] and never more than half of its own, all of them
//! no more than [`Testing::most_in_all`]; the same test comes again after 14 days at the earliest, and a test that is
//! to show a stage not before the session in which that stage can be done. Cost: a third of a point for each session
//! away from the best place (the first for *before*, the last for *at the end*, the middle for *on the way*), up to one
//! for the minutes of tests that are there, half a point less beside a test with the same layout, and two for leaving
//! the session in which it stood. What finds no room is left out, and the benchmark map says so.
//!
//! What a test is to show goes with it, so that the planner brings the stage before the test.

use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use super::{Curriculum, Goal, Sitting};
use crate::assessment::benchmarks::Test;
use crate::assessment::milestones::Milestone;
use crate::ids::{SkillId, TestId};
use crate::input::{InputError, RangeFault};
use crate::plan::upset::MovedTest;
use crate::technique::skill::{Need, Skill, Stage};
use crate::units::Minutes;

/// How long *before* and *at the end* last, and how long after a test the same one comes again, in days.
pub const TWO_WEEKS: i32 = 14;
/// What a session away from the best place costs.
const AWAY: f64 = 1.0 / 3.0;
/// What a test with the same layout in the session takes off.
const SHARED: f64 = 0.5;
/// What it costs that a test leaves the session in which it stood.
const MOVED: f64 = 2.0;

/// How a curriculum wants to be measured.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Testing {
    /// In its first two weeks.
    pub before: bool,
    /// Between them.
    pub on_the_way: bool,
    /// In its last two weeks.
    pub at_the_end: bool,
    /// Most minutes of tests in a session, 1 to 120.
    pub most_in_session: Minutes,
    /// Most minutes of tests in all sessions together, 1 to 2,000.
    pub most_in_all: Minutes,
}

impl Default for Testing {
    /// Nothing is measured; if it is, at most a quarter of an hour in a session, and an hour and a half in all.
    fn default() -> Testing {
        Testing {
            before: false,
            on_the_way: false,
            at_the_end: false,
            most_in_session: Minutes(15),
            most_in_all: Minutes(90),
        }
    }
}

impl Testing {
    /// Measured on the way and at the end.
    pub const USUAL: Testing = Testing {
        before: false,
        on_the_way: true,
        at_the_end: true,
        most_in_session: Minutes(15),
        most_in_all: Minutes(90),
    };

    /// Every number out of its range, with its place.
    pub(super) fn faults(&self) -> Vec<InputError> {
        let numbers =
            [("/most_in_session", self.most_in_session, 120.0), ("/most_in_all", self.most_in_all, 2000.0)];
        let fault = |(at, minutes, most): (&str, Minutes, f64)| {
            let fault = RangeFault::Minutes { value: minutes.0.into(), least: 1.0, most };
            (!fault.holds()).then(|| InputError::at(at, fault))
        };
        numbers.into_iter().filter_map(fault).collect()
    }
}

/// When a test is wanted, in the order in which tests are laid.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
enum Phase {
    End,
    Before,
    Way,
}

/// A test that is to be laid.
struct Wanted<'t> {
    phase: Phase,
    test: &'t Test,
    minutes: Minutes,
    shows: Vec<Need>,
    /// The first session in which it makes sense.
    from: usize,
}

impl Curriculum {
    /// The same with every test laid that its wishes ask for; those that are pinned stay where they are.
    ///
    /// Time: O(tests × sessions²).
    ///
    /// ```
    /// use jogo_core::plan::curriculum::{Curriculum, Testing};
    /// # let of = |json: &str| serde_json::from_str::<serde_json::Value>(json).unwrap();
    /// # let wishes = of(include_str!("../../../../../demo/curriculum.json"));
    /// # let mut wishes: Curriculum = serde_json::from_value(wishes).unwrap();
    /// # let milestones = serde_json::from_str::<Vec<_>>(include_str!("../../../../../demo/milestones.json")).unwrap();
    /// # let tests = serde_json::from_str::<Vec<_>>(include_str!("../../../../../demo/tests.json")).unwrap();
    /// # let mut skills = Vec::new();
    /// # for file in [include_str!("../../../../../demo/skills/dribbling.json"),
    /// #     include_str!("../../../../../demo/skills/ball_mastery.json")] {
    /// #     skills.extend(serde_json::from_str::<Vec<jogo_core::technique::skill::Skill>>(file).unwrap());
    /// # }
    /// wishes.testing = Testing { at_the_end: true, ..Testing::default() };
    /// let laid = wishes.with_tests_laid(&skills, &milestones, &tests);
    /// // Six weeks with two sessions: the last two weeks are sessions 8 to 11.
    /// assert!(!laid.tests.is_empty() && laid.tests.iter().all(|sitting| sitting.session >= 8));
    /// ```
    pub fn with_tests_laid(&self, skills: &[Skill], milestones: &[Milestone], tests: &[Test]) -> Curriculum {
        let (were, pinned): (Vec<Sitting>, Vec<Sitting>) =
            self.tests.iter().cloned().partition(|sitting| !sitting.pinned);
        let mut floor = Floor { wishes: self, tests, days: self.dates(), laid: pinned };
        for wanted in self.wanted(skills, milestones, tests) {
            let were = were.iter().filter(|sitting| sitting.test == wanted.test.id);
            let were: Vec<usize> = were.map(|sitting| sitting.session).collect();
            if let Some(session) = floor.best(&wanted, &were) {
                let (test, minutes) = (wanted.test.id.clone(), wanted.minutes);
                floor.laid.push(Sitting { session, test, minutes, pinned: false, shows: wanted.shows });
            }
        }
        floor.laid.sort_by(|a, b| (a.session, &a.test).cmp(&(b.session, &b.test)));
        Curriculum { tests: floor.laid, ..self.clone() }
    }

    /// The same with the tests of a session that no longer fit into it moved to later ones: each to the first that
    /// has room for it, two weeks from the same test. What finds none is dropped.
    pub fn with_tests_moved(&self, session: usize, left: Minutes) -> (Curriculum, Vec<MovedTest>) {
        let mut floor = Floor { wishes: self, tests: &[], days: self.dates(), laid: Vec::new() };
        let (mut lost, mut taken) = (Vec::new(), 0);
        for sitting in &self.tests {
            taken += if sitting.session == session { sitting.minutes.0 } else { 0 };
            let stays = sitting.session != session || taken <= left.0;
            if stays { floor.laid.push(sitting.clone()) } else { lost.push(sitting.clone()) }
        }
        let mut moved = Vec::new();
        for sitting in lost {
            let later = (session + 1..floor.days.len())
                .find(|at| floor.has_room(*at, &sitting.test, sitting.minutes));
            moved.push(MovedTest { test: sitting.test.clone(), from: session, to: later });
            floor.laid.extend(later.map(|session| Sitting { session, ..sitting }));
        }
        (Curriculum { tests: floor.laid, ..self.clone() }, moved)
    }

    /// The same without the tests that were laid into a session that there is no more, or that have become longer than
    /// it; one that is pinned stays, and is a fault.
    pub fn without_lost_tests(mut self) -> Curriculum {
        let mut taken: BTreeMap<usize, u32> = BTreeMap::new();
        let minutes = &self.minutes;
        self.tests.retain(|sitting| {
            let taken = taken.entry(sitting.session).or_default();
            let there = minutes.get(sitting.session).map_or(0, |minutes| minutes.0);
            let fits = taken.saturating_add(sitting.minutes.0) <= there;
            *taken = taken.saturating_add(sitting.minutes.0);
            fits || sitting.pinned
        });
        self
    }

    fn dates(&self) -> Vec<Date> {
        self.session_days().into_iter().map(|session_day| session_day.date).collect()
    }

    /// The tests that are wanted, in the order in which they are laid.
    fn wanted<'t>(&self, skills: &[Skill], milestones: &[Milestone], tests: &'t [Test]) -> Vec<Wanted<'t>> {
        let soonest = self.soonest(skills);
        let mut all = Vec::new();
        for test in tests {
            // Milestones of the band that rest on results of it, each with its goal.
            let of_test = milestones.iter().filter(|milestone| {
                let measured = milestone.evidence.measured();
                milestone.band == self.band && measured.is_some_and(|measured| measured.test == test.id)
            });
            let goal = |skill: &SkillId| self.goals.iter().find(|goal| goal.skill == *skill);
            let served: Vec<(&Milestone, &Goal)> =
                of_test.filter_map(|milestone| Some((milestone, goal(&milestone.skill)?))).collect();
            let on_way = || served.iter().filter(|(m, goal)| goal.is_on_the_way(m.stage));
            // Every stage that rests on it; or the first of each skill. A ladder may let a stage be done before an
            // earlier one.
            let shows = |of: &mut dyn Iterator<Item = &(&Milestone, &Goal)>, all: bool| {
                let stages: BTreeSet<(&SkillId, Stage)> = of.map(|(m, _)| (&m.skill, m.stage)).collect();
                let mut stages: Vec<(&SkillId, Stage)> = stages.into_iter().collect();
                if !all {
                    stages.dedup_by_key(|(skill, _)| *skill);
                }
                let need = |(skill, stage): (&SkillId, Stage)| Need { skill: skill.clone(), stage };
                stages.into_iter().map(need).collect::<Vec<_>>()
            };
            let of_skill = self.goals.iter().find(|goal| goal.skill == test.skill);
            let met = of_skill.is_none_or(|goal| goal.present.is_some());
            let form = soonest.get(&(test.skill.clone(), Stage::Form)).filter(|_| !met);
            // It is taken after a session in which its own skill was met.
            let first = form.map_or(0, |done| done + 2 - self.approach.needed(Stage::Form).max(1) as usize);
            let asks_again = |m: &Milestone| m.evidence.measured().is_some_and(|measured| measured.times > 1);
            let Testing { before, on_the_way, at_the_end, .. } = self.testing;
            let mut want = |phase: Phase, shows: Vec<Need>| {
                let minutes = test.takes(self.ground.squad, self.ground.adults);
                let known = |need: &Need| soonest.get(&(need.skill.clone(), need.stage)).map(|done| done + 1);
                let from = shows.iter().filter_map(known).max().unwrap_or(0).max(first);
                all.push(Wanted { phase, test, minutes, shows, from });
            };
            if at_the_end && on_way().next().is_some() {
                want(Phase::End, shows(&mut on_way(), true));
            }
            if before && met && !served.is_empty() {
                want(Phase::Before, Vec::new());
            }
            let earlier = || on_way().filter(|(m, goal)| m.stage < goal.goal || asks_again(m));
            if on_the_way && earlier().next().is_some() {
                want(Phase::Way, shows(&mut earlier(), false));
            }
        }
        all.sort_by_key(|wanted| (wanted.phase, std::cmp::Reverse(wanted.minutes.0)));
        all
    }

    /// The session in which a stage of a skill can be done at the soonest, with one exposure a session and everything
    /// that it needs done before.
    fn soonest(&self, skills: &[Skill]) -> BTreeMap<(SkillId, Stage), usize> {
        let mut done: BTreeMap<(SkillId, Stage), usize> = BTreeMap::new();
        // Needs have no circle; each round reaches one skill further.
        for _ in 0..self.goals.len() {
            for goal in &self.goals {
                let needs = skills.iter().find(|skill| skill.id == goal.skill);
                let needs = needs.filter(|_| goal.present.is_none());
                let needed = needs.into_iter().flat_map(Skill::all_needs);
                let after =
                    needed.filter_map(|need| done.get(&(need.skill, need.stage)).map(|done| done + 1));
                let mut begins = after.max().unwrap_or(0);
                for stage in Stage::ALL.into_iter().filter(|stage| goal.is_on_the_way(*stage)) {
                    let needed = self.approach.needed(stage) as usize;
                    done.insert((goal.skill.clone(), stage), begins + needed - 1);
                    begins += self.approach.ladder.waits(needed);
                }
            }
        }
        done
    }
}

/// The sessions with the tests that are laid so far.
struct Floor<'c> {
    wishes: &'c Curriculum,
    tests: &'c [Test],
    days: Vec<Date>,
    laid: Vec<Sitting>,
}

impl Floor<'_> {
    /// The session that costs least, or `None` if there is room in none; of two alike the earlier.
    fn best(&self, wanted: &Wanted<'_>, were: &[usize]) -> Option<usize> {
        let all: u32 = self.laid.iter().map(|sitting| sitting.minutes.0).sum();
        if all + wanted.minutes.0 > self.wishes.testing.most_in_all.0 {
            return None;
        }
        let sessions = self.window(wanted.phase).filter(|session| *session >= wanted.from);
        let sessions: Vec<usize> =
            sessions.filter(|session| self.has_room(*session, &wanted.test.id, wanted.minutes)).collect();
        let priced = sessions.into_iter().map(|session| (self.cost(session, wanted, were), session));
        priced.min_by(|a, b| a.0.total_cmp(&b.0)).map(|(_, session)| session)
    }

    /// The sessions of a phase, in order.
    fn window(&self, phase: Phase) -> impl Iterator<Item = usize> + '_ {
        let (first, last) = (self.days.first().copied(), self.days.last().copied());
        let of_phase = move |day: Date| {
            let since = first.map_or(0, |first| (day - first).get_days());
            let until = last.map_or(0, |last| (last - day).get_days());
            match phase {
                Phase::Before => since < TWO_WEEKS,
                Phase::Way => since >= TWO_WEEKS && until >= TWO_WEEKS,
                Phase::End => until < TWO_WEEKS,
            }
        };
        (0..self.days.len()).filter(move |session| of_phase(self.days[*session]))
    }

    fn has_room(&self, session: usize, test: &TestId, takes: Minutes) -> bool {
        let there = self.minutes_in(session) + takes.0;
        let minutes = self.wishes.minutes.get(session).map_or(0, |minutes| minutes.0);
        let too_near = |sitting: &Sitting| {
            let days = self.days.get(sitting.session).map(|day| (self.days[session] - *day).get_days());
            sitting.test == *test && days.is_some_and(|days| days.abs() < TWO_WEEKS)
        };
        there <= self.wishes.testing.most_in_session.0.min(minutes / 2) && !self.laid.iter().any(too_near)
    }

    fn minutes_in(&self, session: usize) -> u32 {
        self.laid.iter().filter(|s| s.session == session).map(|s| s.minutes.0).sum()
    }

    fn cost(&self, session: usize, wanted: &Wanted<'_>, were: &[usize]) -> f64 {
        let last = self.days.len().saturating_sub(1);
        let best = match wanted.phase {
            Phase::Before => 0,
            Phase::Way => last / 2,
            Phase::End => last,
        };
        let most = f64::from(self.wishes.testing.most_in_session.0);
        let layout = |sitting: &Sitting| self.tests.iter().find(|test| test.id == sitting.test);
        let shares = self.laid.iter().filter(|sitting| sitting.session == session).any(|sitting| {
            layout(sitting).is_some_and(|test| !test.layout.is_empty() && test.layout == wanted.test.layout)
        });
        let stood_elsewhere = {
            let near = |was: &&usize| self.window(wanted.phase).any(|session| session == **was);
            let was: Vec<&usize> = were.iter().filter(near).collect();
            !was.is_empty() && !was.contains(&&session)
        };
        AWAY * best.abs_diff(session) as f64 + f64::from(self.minutes_in(session)) / most
            - if shares { SHARED } else { 0.0 }
            + if stood_elsewhere { MOVED } else { 0.0 }
    }
}
