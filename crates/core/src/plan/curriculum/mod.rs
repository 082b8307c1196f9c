//! The curriculum: what is wished for, in which weeks?
//!
//! A curriculum holds the director's wishes; [`Curriculum::problem`] joins them with the library into the problem that
//! the planner solves.

mod first;
mod layouts;
mod mastery;
mod season;
mod testing;
mod variants;

use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::{Date, Weekday};
use serde::{Deserialize, Serialize};

use crate::academy::Academy;
use crate::academy::band::Band;
use crate::assessment::benchmarks::Test;
use crate::assessment::milestones::Milestone;
use crate::drill::Drill;
use crate::fact::{Fact, facts};
use crate::ground::fit::Ground;
use crate::ids::{BandId, SkillId, TestId};
use crate::input::{InputError, RangeFault, Unknown, What, short_text};
use crate::plan::forecast::Assumptions;
use crate::plan::problem::{ProblemFault, VERSION};
use crate::plan::{
    Approach, Limits, Lock, Problem, SessionWish, SkillWish, TestWish, Theme, Variant, Weekly, WeeklyOf,
};
use crate::season::calendar::{SessionDay, session_days};
use crate::technique::skill::{Need, SidePolicy, Skill, Stage, Strand};
use crate::units::{Minutes, Share};

pub use mastery::Mastery;
pub use season::Season;
pub use testing::{TWO_WEEKS, Testing};
use variants::Given;

facts! {
    /// What is wrong with the settings of a curriculum.
    pub enum WishFault {
        NoSession = "curriculum-no-session" { session: usize },
        MinutesForEach = "curriculum-minutes-for-each" { numbers: usize, sessions: usize },
        TestsTooLong = "curriculum-tests-too-long" { minutes: Minutes, taken: u32 },
        TestTwice = "curriculum-test-twice" { test: TestId },
        LockWithoutSession = "curriculum-lock-without-session" { session: usize },
        NoGoal = "curriculum-no-goal",
        NeedIsNoGoal = "curriculum-need-is-no-goal" { skill: String, need: String, stage: Stage },
        Weekdays = "curriculum-weekdays",
        Holiday = "curriculum-holiday" { week: u32, weeks: u32 },
        NoWeekLeft = "curriculum-no-week-left",
    }
}

/// A skill to be reached.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Goal {
    /// Which skill.
    pub skill: SkillId,
    /// How far the squad has come with it; `None` if it has not met it.
    pub present: Option<Stage>,
    /// How far it is to come.
    pub goal: Stage,
    /// How far the squad has come with the other foot, where the strong foot comes first; `None` if the other foot waits
    /// until the strong one has done Flow.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub other_foot: Option<Stage>,
    /// The last day before the curriculum on which the squad worked at it, if that is known: its rest counts from then.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = Date))]
    pub last_shown: Option<Date>,
}

impl Goal {
    /// A goal for the strong foot or both.
    pub fn new(skill: SkillId, present: Option<Stage>, goal: Stage) -> Goal {
        Goal { skill, present, goal, other_foot: None, last_shown: None }
    }

    /// Whether a stage still has to be worked at on the way to the goal.
    fn is_on_the_way(&self, stage: Stage) -> bool {
        stage <= self.goal && self.present.is_none_or(|present| stage >= present)
    }
}

/// A test that is to be taken in a session, before anything else.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Sitting {
    /// In which session, from 0.
    pub session: usize,
    /// Which test.
    pub test: TestId,
    /// How long it takes the squad.
    pub minutes: Minutes,
    /// Whether it stays in this session; else it is laid with the plan.
    #[serde(default = "pinned", skip_serializing_if = "is_pinned")]
    pub pinned: bool,
    /// What it is to show: best taken once these skills have come so far.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub shows: Vec<Need>,
}

/// A test that somebody has put into a session stays there.
fn pinned() -> bool {
    true
}

fn is_pinned(pinned: &bool) -> bool {
    *pinned
}

/// What the director wishes for one band.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Curriculum {
    /// As people say it: "Autumn with the ball".
    pub name: String,
    /// For which band.
    pub band: BandId,
    /// First day of the first week.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub start: Date,
    /// How many weeks, 1 to 20.
    pub weeks: u32,
    /// Weekdays with a session, Monday 1 to Sunday 7.
    pub weekdays: Vec<i8>,
    /// Technical minutes of each session, in order of their dates.
    pub minutes: Vec<Minutes>,
    /// How the minutes are to be shared among the strands, summing to one.
    pub shares: BTreeMap<Strand, Share>,
    /// How to go about it.
    pub approach: Approach,
    /// Skills to be reached.
    pub goals: Vec<Goal>,
    /// The floor, kit and squad to plan for.
    pub ground: Ground,
    /// Weeks without sessions, from 1.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub holidays: Vec<u32>,
    /// Single days without a session.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    #[cfg_attr(feature = "openapi", schema(value_type = Vec<String>, format = Date))]
    pub days_off: Vec<Date>,
    /// What weeks are to be about, by their numbers; the others are about what the plan leads to.
    #[serde(default, skip_serializing_if = "BTreeMap::is_empty")]
    pub themes: BTreeMap<u32, Theme>,
    /// What should come up every week, and how often.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub weekly: Vec<Weekly>,
    /// Skills that a squad begins only when it is ready for them.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub mastery: Vec<Mastery>,
    /// How it is to be measured.
    #[serde(default)]
    pub testing: Testing,
    /// Tests to be taken: those that were laid, and those that are pinned to a session.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub tests: Vec<Sitting>,
    /// How the feet share the work in all skills that are side-specific; each skill's own policy if nothing is said.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub side: Option<SidePolicy>,
    /// Blocks that stay where they are.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub locks: Vec<Lock>,
    /// What the forecast assumes.
    #[serde(default, skip_serializing_if = "Assumptions::are_first")]
    pub forecast: Assumptions,
}

impl Curriculum {
    /// The same with squads that stand where `reached` says, skill by skill; a skill of which it says nothing stays
    /// as it was. A goal never lies before the present stage.
    pub fn from_where_they_stand(mut self, reached: &BTreeMap<SkillId, Stage>) -> Curriculum {
        for goal in &mut self.goals {
            if let Some(stage) = reached.get(&goal.skill) {
                goal.present = Some(*stage);
                goal.goal = goal.goal.max(*stage);
            }
        }
        self
    }

    /// Whether a milestone belongs to what it promises: its skill is a goal, and its stage on the way there.
    ///
    /// ```
    /// # let wishes = include_str!("../../../../../demo/curriculum.json");
    /// # let wishes: jogo_core::plan::curriculum::Curriculum = serde_json::from_str(wishes).unwrap();
    /// # let all = include_str!("../../../../../demo/milestones.json");
    /// # let all: Vec<jogo_core::assessment::milestones::Milestone> = serde_json::from_str(all).unwrap();
    /// # let milestone = |id: &str| all.iter().find(|milestone| milestone.id == *id).unwrap();
    /// assert!(wishes.promises(milestone("drag-turn-contest-u8-u9")));
    /// assert!(!wishes.promises(milestone("drag-turn-contest-u10-u12"))); // another band
    /// assert!(!wishes.promises(milestone("inside-outside-cut-contest-u8-u9"))); // beyond the goal
    /// ```
    pub fn promises(&self, milestone: &Milestone) -> bool {
        let towards = |goal: &Goal| goal.skill == milestone.skill && goal.is_on_the_way(milestone.stage);
        milestone.band == self.band && self.goals.iter().any(towards)
    }

    /// Its sessions, in order; holiday weeks and days off have none.
    pub fn session_days(&self) -> Vec<SessionDay> {
        let mut all = session_days(self.start, self.weeks, &self.days());
        all.retain(|SessionDay { week, date }| {
            !self.holidays.contains(week) && !self.days_off.contains(date)
        });
        all
    }

    fn days(&self) -> Vec<Weekday> {
        self.weekdays.iter().filter_map(|d| Weekday::from_monday_one_offset(*d).ok()).collect()
    }

    /// The longest name, in characters.
    pub const LONGEST_NAME: usize = 80;

    /// Every fault of the wishes, each with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        if let Err(fault) = short_text(&self.name, Curriculum::LONGEST_NAME, What::Name) {
            faults.push(InputError::at("/name", fault));
        }
        faults.extend(self.season_faults());
        let mut wrong = |at: String, fact: Fact| faults.push(InputError::at(at, fact));
        // Only counted once the weeks are known to be few.
        let sessions = if self.weeks <= 20 { self.session_days().len() } else { self.minutes.len() };
        if self.minutes.len() != sessions {
            let fault = WishFault::MinutesForEach { numbers: self.minutes.len(), sessions };
            wrong("/minutes".into(), fault.into());
        }
        for (i, minutes) in self.minutes.iter().enumerate().filter(|(_, m)| !(1..=240).contains(&m.0)) {
            let fault = RangeFault::Minutes { value: minutes.0.into(), least: 1.0, most: 240.0 };
            wrong(format!("/minutes/{i}"), fault.into());
        }
        let all: Share = self.shares.values().copied().sum();
        for (strand, share) in self.shares.iter().filter(|(_, s)| !(0.0..=1.0).contains(&s.0)) {
            let fault = RangeFault::Percent { percent: share.percent() };
            wrong(format!("/shares/{}", strand.word()), fault.into());
        }
        if (all.0 - 1.0).abs() > 0.005 {
            let fault = RangeFault::Shares { percent: all.percent().round() };
            wrong("/shares".into(), fault.into());
        }
        for (i, sitting) in self.tests.iter().enumerate() {
            let at = |name: &str| format!("/tests/{i}/{name}");
            // With the tests that were named before it: together they take no more than there is.
            let earlier = self.tests[..i].iter().filter(|t| t.session == sitting.session);
            let taken = earlier.fold(sitting.minutes.0, |sum, test| sum.saturating_add(test.minutes.0));
            match self.minutes.get(sitting.session) {
                None => {
                    wrong(at("session"), WishFault::NoSession { session: sitting.session + 1 }.into());
                }
                Some(there) if sitting.minutes.0 == 0 || taken > there.0 => {
                    let fault = WishFault::TestsTooLong { minutes: *there, taken };
                    wrong(at("minutes"), fault.into());
                }
                Some(_) => (),
            }
            if self.tests[..i].iter().any(|t| (t.session, &t.test) == (sitting.session, &sitting.test)) {
                wrong(at("test"), WishFault::TestTwice { test: sitting.test.clone() }.into());
            }
        }
        for (i, lock) in self.locks.iter().enumerate().filter(|(_, l)| l.session >= sessions) {
            let fault = WishFault::LockWithoutSession { session: lock.session + 1 };
            wrong(format!("/locks/{i}/session"), fault.into());
        }
        let mut seen = BTreeSet::new();
        for (i, goal) in self.goals.iter().enumerate() {
            if !seen.insert(&goal.skill) {
                let twice = RangeFault::Twice { id: goal.skill.to_string() };
                wrong(format!("/goals/{i}/skill"), twice.into());
            }
        }
        for week in self.themes.keys().filter(|week| !(1..=self.weeks).contains(*week)) {
            wrong(format!("/themes/{week}"), ProblemFault::ThemeWeek { week: *week }.into());
        }
        if self.weekly.len() > Weekly::MOST_WISHES {
            let fault = RangeFault::Most { count: self.weekly.len(), most: Weekly::MOST_WISHES };
            wrong("/weekly".into(), fault.into());
        }
        if self.goals.is_empty() {
            wrong("/goals".into(), WishFault::NoGoal.into());
        }
        for (i, wish) in self.mastery.iter().enumerate() {
            let twice = self.mastery[..i].iter().any(|other| other.skill == wish.skill);
            let twice = twice.then(|| RangeFault::Twice { id: wish.skill.to_string() }.into());
            if let Some(fault) = twice.or_else(|| wish.fault()) {
                wrong(format!("/mastery/{i}"), fault);
            }
        }
        for (i, wish) in self.weekly.iter().enumerate() {
            faults.extend(wish.fault().map(|fault| fault.inside(&format!("/weekly/{i}"))));
        }
        for (week, theme) in &self.themes {
            faults.extend(theme.fault().map(|fault| fault.inside(&format!("/themes/{week}"))));
        }
        faults.extend(self.approach.faults().into_iter().map(|fault| fault.inside("/approach")));
        faults.extend(self.forecast.faults().into_iter().map(|fault| fault.inside("/forecast")));
        faults.extend(self.ground.faults().into_iter().map(|fault| fault.inside("/ground")));
        faults.extend(self.testing.faults().into_iter().map(|fault| fault.inside("/testing")));
        faults
    }

    /// The faults of its season alone.
    fn season_faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        let mut wrong = |at: String, fact: Fact| faults.push(InputError::at(at, fact));
        let weeks = RangeFault::Between { value: self.weeks.into(), least: 1.0, most: 20.0 };
        if !weeks.holds() {
            wrong("/weeks".into(), weeks.into());
        }
        let distinct: BTreeSet<_> = self.weekdays.iter().collect();
        if self.weekdays.is_empty()
            || distinct.len() < self.weekdays.len()
            || self.days().len() < self.weekdays.len()
        {
            wrong("/weekdays".into(), WishFault::Weekdays.into());
        }
        for (i, week) in self.holidays.iter().enumerate() {
            if !(1..=self.weeks).contains(week) || self.holidays[..i].contains(week) {
                let fault = WishFault::Holiday { week: *week, weeks: self.weeks };
                wrong(format!("/holidays/{i}"), fault.into());
            }
        }
        if self.weeks > 0 && self.holidays.len() >= self.weeks as usize {
            wrong("/holidays".into(), WishFault::NoWeekLeft.into());
        }
        if self.days_off.len() > Season::MOST_DAYS_OFF {
            let fault = RangeFault::Most { count: self.days_off.len(), most: Season::MOST_DAYS_OFF };
            wrong("/days_off".into(), fault.into());
        } else if faults.is_empty() && self.session_days().is_empty() {
            faults.push(InputError::at("/days_off", WishFault::NoWeekLeft));
        }
        faults
    }

    /// Joins the wishes with the library into a problem for the planner.
    ///
    /// A drill takes part if the band does it and every skill that it serves at a stage is among the goals; one that
    /// is blocked or does not stand on the ground is barred, and says why. Errs with the faults of the wishes, of
    /// skills and tests that the library lacks, and of needs that no goal serves.
    pub fn problem(
        &self,
        academy: &Academy,
        band: &Band,
        skills: &[Skill],
        drills: &[Drill],
        tests: &[Test],
    ) -> Result<Problem, Vec<InputError>> {
        let mut faults = self.faults();
        let by_id: BTreeMap<&str, &Skill> = skills.iter().map(|s| (s.id.as_str(), s)).collect();
        let wanted: BTreeSet<&str> = self.goals.iter().map(|g| g.skill.as_str()).collect();
        let mut wishes = Vec::new();
        for (i, goal) in self.goals.iter().enumerate() {
            let Some(skill) = by_id.get(goal.skill.as_str()) else {
                let unknown = Unknown::Skill { id: goal.skill.to_string() };
                faults.push(InputError::at(format!("/goals/{i}/skill"), unknown));
                continue;
            };
            let missing = |need: &Need| goal.present.is_none() && !wanted.contains(need.skill.as_str());
            for need in skill.all_needs().filter(missing) {
                let needed = by_id.get(need.skill.as_str()).map_or(need.skill.as_str(), |s| s.name.as_str());
                let (skill, need, stage) = (skill.name.clone(), needed.to_owned(), need.stage);
                let fault = WishFault::NeedIsNoGoal { skill, need, stage };
                faults.push(InputError::at(format!("/goals/{i}/skill"), fault));
            }
            wishes.push(SkillWish {
                id: skill.id.clone(),
                name: skill.name.clone(),
                strand: skill.strand,
                present: goal.present,
                goal: goal.goal,
                needs: skill.all_needs().filter(|need| wanted.contains(need.skill.as_str())).collect(),
                carries: None,
                last_shown: goal.last_shown.filter(|last| *last < self.start),
            });
        }
        for (i, sitting) in self.tests.iter().enumerate() {
            if !tests.iter().any(|test| test.id == sitting.test) {
                let unknown = Unknown::Test { id: sitting.test.to_string() };
                faults.push(InputError::at(format!("/tests/{i}/test"), unknown));
            }
        }
        if !faults.is_empty() {
            return Err(faults);
        }
        let mut library =
            Given { academy, band, skills: &by_id, shelf: skills, wanted: &wanted, carried: BTreeSet::new() };
        let variants = self.all_variants(drills, &mut library);
        let wishes = self.with_other_feet(wishes, &library.carried);
        Ok(Problem {
            version: VERSION,
            skills_per_session: band.skills_per_session(),
            new_skills_per_week: band.new_skills_per_week,
            limits: Limits {
                longest_bout: band.longest_bout,
                longest_block: band.longest_block,
                aerial_per_session: Limits::AERIAL,
                headers_per_week: academy.heading.as_ref().map(|rule| rule.most_per_week),
            },
            sessions: self
                .session_days()
                .into_iter()
                .zip(&self.minutes)
                .enumerate()
                .map(|(session, (session_day, minutes))| SessionWish {
                    date: session_day.date,
                    week: session_day.week,
                    minutes: *minutes,
                    tests: self.sittings(session, tests, &wanted),
                })
                .collect(),
            shares: self.shares.clone(),
            approach: self.approach,
            themes: self.themes_of(&wanted),
            knack: 0.0,
            weekly: self.weekly_of(&wanted, &variants),
            hinges: self.hinges(&wishes, &by_id, tests),
            skills: wishes,
            layout_changes: self.layout_changes(drills, &variants),
            variants,
            locks: self.locks.clone(),
        })
    }

    /// The wished themes, as far as their weeks and goals are still there.
    fn themes_of(&self, wanted: &BTreeSet<&str>) -> BTreeMap<u32, Theme> {
        let weeks: BTreeSet<u32> = self.session_days().into_iter().map(|day| day.week).collect();
        let there = |theme: &Theme| match theme {
            Theme::Strand(_) => Some(theme.clone()),
            Theme::Skills(skills) => {
                let left = skills.iter().filter(|skill| wanted.contains(skill.as_str())).cloned();
                let left: Vec<SkillId> = left.collect();
                (!left.is_empty()).then_some(Theme::Skills(left))
            }
        };
        let wished = self.themes.iter().filter(|(week, _)| weeks.contains(week));
        wished.filter_map(|(week, theme)| Some((*week, there(theme)?))).collect()
    }

    /// The weekly wishes, as far as their goals and drills are still there.
    fn weekly_of(&self, wanted: &BTreeSet<&str>, variants: &[Variant]) -> Vec<Weekly> {
        let there = |wish: &&Weekly| match &wish.of {
            WeeklyOf::Skill(skill) => wanted.contains(skill.as_str()),
            WeeklyOf::Drill(drill) => variants.iter().any(|variant| variant.drill == *drill),
        };
        self.weekly.iter().filter(there).cloned().collect()
    }

    fn sittings(&self, session: usize, tests: &[Test], wanted: &BTreeSet<&str>) -> Vec<TestWish> {
        let of_session = self.tests.iter().filter(|sitting| sitting.session == session);
        let wish = |sitting: &Sitting| {
            let test = tests.iter().find(|test| test.id == sitting.test)?;
            let skills = wanted.contains(test.skill.as_str()).then(|| test.skill.clone());
            Some(TestWish {
                id: test.id.clone(),
                name: test.name.clone(),
                minutes: sitting.minutes,
                skills: skills.into_iter().collect(),
                shows: sitting
                    .shows
                    .iter()
                    .filter(|need| wanted.contains(need.skill.as_str()))
                    .cloned()
                    .collect(),
            })
        };
        of_session.filter_map(wish).collect()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ids::called;
    use crate::units::Metres;
    use jiff::civil::date;
    use rstest::rstest;

    pub(super) fn sound() -> Curriculum {
        Curriculum {
            name: "Autumn with the ball".into(),
            themes: BTreeMap::new(),
            weekly: Vec::new(),
            mastery: Vec::new(),
            band: called("u8-u9"),
            start: date(2031, 9, 1),
            weeks: 2,
            weekdays: vec![1, 4],
            minutes: vec![Minutes(40); 4],
            shares: [(Strand::BallMastery, Share(0.6)), (Strand::Passing, Share(0.4))].into(),
            approach: Approach::BALANCED,
            goals: vec![Goal::new(called("taps"), None, Stage::Flow)],
            ground: Ground {
                width: Metres(18.0),
                depth: Metres(12.0),
                margin: Metres(2.0),
                run_off: Metres(1.0),
                squad: 14,
                markers: 60,
                adults: 1,
                wall: true,
            },
            holidays: Vec::new(),
            days_off: Vec::new(),
            testing: Testing::default(),
            tests: Vec::new(),
            side: None,
            locks: Vec::new(),
            forecast: Assumptions::default(),
        }
    }

    fn sitting(session: usize, minutes: u32) -> Sitting {
        Sitting { session, test: called("four-cuts"), minutes: Minutes(minutes), pinned: true, shows: vec![] }
    }

    #[rstest]
    #[case::nothing_wrong(|_: &mut Curriculum| (), &[])]
    #[case::no_name(|c: &mut Curriculum| c.name.clear(), &["/name"])]
    #[case::a_century(|c: &mut Curriculum| c.weeks = 5200, &["/weeks"])]
    #[case::eighth_day(|c: &mut Curriculum| c.weekdays = vec![1, 8], &["/weekdays", "/minutes"])]
    #[case::a_session_too_few(|c: &mut Curriculum| { c.minutes.pop(); }, &["/minutes"])]
    #[case::no_time_at_all(|c: &mut Curriculum| c.minutes[2] = Minutes(0), &["/minutes/2"])]
    #[case::more_than_all(|c: &mut Curriculum| { c.shares.insert(Strand::Passing, Share(0.9)); }, &["/shares"])]
    #[case::not_a_number(
        |c: &mut Curriculum| { c.shares.insert(Strand::Passing, Share(f64::NAN)); }, &["/shares/passing"],
    )]
    #[case::a_goal_twice(|c: &mut Curriculum| c.goals.push(c.goals[0].clone()), &["/goals/1/skill"])]
    #[case::a_holiday_after_the_end(|c: &mut Curriculum| c.holidays = vec![3], &["/holidays/0"])]
    #[case::always_holidays(|c: &mut Curriculum| { c.holidays = vec![1, 2]; c.minutes.clear(); }, &["/holidays"])]
    #[case::a_test_without_a_session(|c: &mut Curriculum| c.tests.push(sitting(9, 5)), &["/tests/0/session"])]
    #[case::a_test_longer_than_its_session(|c: &mut Curriculum| c.tests.push(sitting(0, 41)), &["/tests/0/minutes"])]
    #[case::tests_longer_than_their_session(
        |c: &mut Curriculum| c.tests = vec![sitting(0, 25), Sitting { test: called("weave-time"), ..sitting(0, 16) }],
        &["/tests/1/minutes"],
    )]
    #[case::a_window_without_width(
        |c: &mut Curriculum| c.approach.success_window.least = Share(0.9), &["/approach/success_window/least"],
    )]
    #[case::nobody_comes(|c: &mut Curriculum| c.ground.squad = 0, &["/ground/squad"])]
    fn faults_name_their_places(#[case] spoil: fn(&mut Curriculum), #[case] places: &[&str]) {
        let mut curriculum = sound();
        spoil(&mut curriculum);
        let found: Vec<String> = curriculum.faults().into_iter().map(|f| f.pointer).collect();
        assert_eq!(found, places);
    }
}
