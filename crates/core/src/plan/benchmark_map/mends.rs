//! What mends a finding, in a single step each.

use std::str::FromStr;

use serde::{Deserialize, Serialize};

use super::Looking;
use crate::assessment::benchmarks::{Protocol, Test};
use crate::assessment::levels::{Level, Thresholds};
use crate::assessment::milestones::{Evidence, Feet, Measured, Milestone, Reach, Seen};
use crate::drill::Drill;
use crate::ids::{MilestoneId, SkillId, TestId};
use crate::plan::curriculum::{Curriculum, Goal, Sitting, TWO_WEEKS};
use crate::technique::skill::{Need, Skill, Stage};
use crate::units::Minutes;

/// On how many days points of Scan and Contest are to be seen in a milestone that is proposed; those of Form and Flow
/// on one.
const OPEN_DAYS: u32 = 2;
/// A test that is proposed looks for no more points than this.
const POINTS: usize = 4;
/// The longest beginning of an id that leaves room for a number after it.
const LONGEST_STEM: usize = 55;

/// What mends a finding.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub enum BenchmarkMend {
    /// A milestone, to be put in words and edited: a new one, or one that is to rest on other evidence.
    Milestone {
        /// The one that is changed, or a name that none has for a new one.
        milestone: MilestoneId,
        /// The skill that it shows.
        skill: SkillId,
        /// How far the skill has come with it.
        stage: Stage,
        /// What meets it.
        evidence: Evidence,
        /// Points of a test that is not there yet and that the evidence names; empty if the test is there.
        points: Vec<String>,
    },
    /// A test is taken, and pinned to its session: once for each date that is missing.
    Schedule {
        /// When, and what for.
        sittings: Vec<Sitting>,
    },
    /// A test moves to a later session, and is pinned to it.
    Move {
        /// Which test.
        test: TestId,
        /// The session in which it stands.
        from: usize,
        /// The session to which it goes.
        to: usize,
    },
    /// The band gets a standard for a test.
    Standard {
        /// Which test.
        test: TestId,
        /// What results suggest, or a beginning where there are too few.
        thresholds: Thresholds,
        /// Whether results suggest it.
        from_results: bool,
    },
    /// Skills become goals: the one that is missing, and what it needs first, taken to be there.
    Goals {
        /// The goals.
        goals: Vec<Goal>,
    },
}

impl BenchmarkMend {
    /// The wishes with what the mend changes of them; the others change the library.
    ///
    /// ```
    /// use jogo_core::plan::benchmark_map::BenchmarkMend;
    /// # let wishes = include_str!("../../../../../demo/curriculum.json");
    /// # let mut wishes: jogo_core::plan::curriculum::Curriculum = serde_json::from_str(wishes).unwrap();
    /// # wishes.tests = serde_json::from_str(r#"[{"session": 2, "test": "four-cuts", "minutes": 4}]"#).unwrap();
    /// let later = BenchmarkMend::Move { test: "four-cuts".parse().unwrap(), from: 2, to: 9 };
    /// assert_eq!(later.of_wishes(&wishes).tests[0].session, 9);
    /// ```
    pub fn of_wishes(&self, wishes: &Curriculum) -> Curriculum {
        let mut mended = wishes.clone();
        match self {
            BenchmarkMend::Schedule { sittings } => mended.tests.extend(sittings.iter().cloned()),
            BenchmarkMend::Move { test, from, to } => {
                let moves = |sitting: &&mut Sitting| sitting.test == *test && sitting.session == *from;
                if let Some(sitting) = mended.tests.iter_mut().find(moves) {
                    (sitting.session, sitting.pinned) = (*to, true);
                }
            }
            BenchmarkMend::Goals { goals } => mended.goals.extend(goals.iter().cloned()),
            BenchmarkMend::Milestone { .. } | BenchmarkMend::Standard { .. } => (),
        }
        mended
    }
}

impl Looking<'_> {
    /// A milestone for a skill at a stage. Form and Flow rest on a test of the skill that measures, at Building and at
    /// Secure; Scan and Contest, and skills without such a test, on points that are seen.
    pub(super) fn proposed(&self, skill: &SkillId, stage: Stage) -> Option<BenchmarkMend> {
        let measures =
            |test: &&Test| test.skill == *skill && !matches!(test.protocol, Protocol::Points { .. });
        let measuring = self.given.library.tests.iter().find(measures).filter(|_| stage <= Stage::Flow);
        let (evidence, points) = match measuring {
            Some(test) => {
                let level = if stage == Stage::Form { Level::Building } else { Level::Secure };
                let (test, reach) = (test.id.clone(), Reach::Level(level));
                (
                    Evidence::Measured(Measured { test, reach, feet: Feet::Both, times: 1, of_last: 2 }),
                    Vec::new(),
                )
            }
            None => {
                let (seen, points) = self.seen(skill, stage)?;
                (Evidence::Seen(seen), points)
            }
        };
        let known = &self.given.library.milestones;
        let stem = format!("{skill}-{}-{}", stage.word(), self.given.curriculum.band);
        let milestone = free_name(&stem, known.iter().map(|milestone| &milestone.id))?;
        Some(BenchmarkMend::Milestone { milestone, skill: skill.clone(), stage, evidence, points })
    }

    /// A milestone that rested on a test alone, with points that are seen beside it.
    pub(super) fn with_points(&self, milestone: &Milestone) -> Option<BenchmarkMend> {
        let (seen, points) = self.seen(&milestone.skill, milestone.stage)?;
        let evidence = match milestone.evidence.measured() {
            Some(measured) => Evidence::Both { measured: measured.clone(), seen },
            None => Evidence::Seen(seen),
        };
        let (skill, stage) = (milestone.skill.clone(), milestone.stage);
        Some(BenchmarkMend::Milestone { milestone: milestone.id.clone(), skill, stage, evidence, points })
    }

    /// Points of a skill to be seen: of a test that has them, or of a new one with the coaching points of the skill's
    /// drills, those at the stage first.
    fn seen(&self, skill: &SkillId, stage: Stage) -> Option<(Seen, Vec<String>)> {
        let library = self.given.library;
        let days = if stage >= Stage::Scan { OPEN_DAYS } else { 1 };
        let looks = |test: &&Test| test.skill == *skill && matches!(test.protocol, Protocol::Points { .. });
        if let Some(test) = library.tests.iter().find(looks) {
            return Some((Seen { test: test.id.clone(), points: Vec::new(), days }, Vec::new()));
        }
        let serves = |drill: &&Drill| drill.serves.iter().any(|served| served.skill == *skill);
        let mut drills: Vec<&Drill> = library.drills.iter().filter(serves).collect();
        drills.sort_by_key(|drill| !drill.skills_at(stage).any(|served| served == skill));
        let mut points: Vec<String> = Vec::new();
        for point in drills.into_iter().flat_map(|drill| &drill.points) {
            if points.len() < POINTS && !points.contains(point) {
                points.push(point.clone());
            }
        }
        let test = free_name(&format!("{skill}-seen"), library.tests.iter().map(|test| &test.id))?;
        Some((Seen { test, points: Vec::new(), days }, points))
    }

    /// The thresholds that results suggest; else an even spread, to begin with.
    pub(super) fn standard_for(&self, test: &TestId) -> Option<BenchmarkMend> {
        if let Some(thresholds) = self.given.library.suggested.get(test) {
            return Some(BenchmarkMend::Standard {
                test: test.clone(),
                thresholds: *thresholds,
                from_results: true,
            });
        }
        let known = self.given.library.tests.iter().find(|known| known.id == *test)?;
        let (protocol, range) = (&known.protocol, (known.least, known.most));
        let thresholds = Thresholds::spread(protocol.better(), range, protocol.step());
        Some(BenchmarkMend::Standard { test: test.clone(), thresholds, from_results: false })
    }

    /// Sittings of a test for a milestone, as many as dates are missing, none in the sessions that count already.
    /// `None` if there is no room for them after its stage.
    pub(super) fn scheduled(
        &self,
        milestone: &Milestone,
        test: &TestId,
        missing: u32,
        counted: &[usize],
    ) -> Option<BenchmarkMend> {
        let known = self.given.library.tests.iter().find(|known| known.id == *test)?;
        let ground = &self.given.curriculum.ground;
        let minutes = known.takes(ground.squad, ground.adults);
        let mut mended = self.given.curriculum.clone();
        let mut sittings = Vec::new();
        for _ in 0..missing {
            let session = self.room(&mended, milestone, (test, minutes), counted)?;
            let shows = vec![Need { skill: milestone.skill.clone(), stage: milestone.stage }];
            let sitting = Sitting { session, test: test.clone(), minutes, pinned: true, shows };
            mended.tests.push(sitting.clone());
            sittings.push(sitting);
        }
        Some(BenchmarkMend::Schedule { sittings })
    }

    /// The same test in a later session.
    pub(super) fn moved(&self, milestone: &Milestone, test: &TestId, from: usize) -> Option<BenchmarkMend> {
        let mut without = self.given.curriculum.clone();
        let at = without.tests.iter().position(|s| s.test == *test && s.session == from)?;
        let minutes = without.tests.remove(at).minutes;
        let to = self.room(&without, milestone, (test, minutes), &[])?;
        Some(BenchmarkMend::Move { test: test.clone(), from, to })
    }

    /// The session after the stage of a milestone in which the fewest minutes of tests are taken, two weeks from the
    /// same test; of those alike the last one.
    fn room(
        &self,
        wishes: &Curriculum,
        milestone: &Milestone,
        (test, minutes): (&TestId, Minutes),
        counted: &[usize],
    ) -> Option<usize> {
        let wish = self.given.problem.skills.iter().find(|wish| wish.id == milestone.skill)?;
        let (done, sessions) = (self.done(wish, milestone.stage), &self.given.problem.sessions);
        let too_near = |session: usize, sitting: &Sitting| {
            let other = sessions.get(sitting.session);
            let days = other.map(|other| (sessions[session].date - other.date).get_days().abs());
            sitting.test == *test && days.is_some_and(|days| days < TWO_WEEKS)
        };
        let taken = |session: usize| -> u32 {
            wishes.tests.iter().filter(|s| s.session == session).map(|s| s.minutes.0).sum()
        };
        let fits = |session: &usize| {
            done.is_before(*session)
                && !counted.contains(session)
                && taken(*session) + minutes.0 <= sessions[*session].minutes.0
                && !wishes.tests.iter().any(|sitting| too_near(*session, sitting))
        };
        let free = (0..sessions.len()).filter(fits);
        free.min_by_key(|session| (taken(*session), std::cmp::Reverse(*session)))
    }

    /// A skill as a goal at a stage, and everything that it needs and that is no goal yet, taken to be there.
    pub(super) fn taught(&self, skill: &SkillId, stage: Stage) -> BenchmarkMend {
        let known = |id: &SkillId| self.given.library.skills.iter().find(|skill| skill.id == *id);
        let wanted = |id: &SkillId, goals: &[Goal]| {
            self.given.problem.skill_index(id).is_some() || goals.iter().any(|goal| goal.skill == *id)
        };
        let mut goals = vec![Goal::new(skill.clone(), None, stage)];
        for need in known(skill).into_iter().flat_map(Skill::all_needs) {
            if !wanted(&need.skill, &goals) {
                goals.push(Goal::new(need.skill, Some(need.stage), need.stage));
            }
        }
        BenchmarkMend::Goals { goals }
    }
}

/// A name in files that none of the known things has: the stem, or the stem with a number.
fn free_name<'k, T>(stem: &str, known: impl ExactSizeIterator<Item = &'k T> + Clone) -> Option<T>
where
    T: FromStr + PartialEq + 'k,
{
    let short: String = stem.chars().take(LONGEST_STEM).collect();
    let short = short.trim_end_matches('-');
    let numbered = |n: usize| if n == 1 { short.to_owned() } else { format!("{short}-{n}") };
    let names = (1..=known.len() + 1).filter_map(|n| numbered(n).parse::<T>().ok());
    names.into_iter().find(|name| known.clone().all(|taken| taken != name))
}
