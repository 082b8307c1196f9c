//! Expected success: how many of ten will come off?
//!
//! For a squad, a skill and a block:
//!
//! p = σ(logit 0.70 + 0.25 · E − 0.35 · (d − d₀) + θ)
//!
//! σ is the logistic function; E is what the squad has behind it in the skill, in exposures of six working minutes, and
//! halves with every 28 days of rest; d is the difficulty of the block's variant, and d₀ that of the easiest variant of
//! the skill at Form (of any stage, if none is at Form). A stage that was done before the curriculum begins counts as
//! the exposures that the approach asks for it; where it is known when the squad last worked at the skill, they too
//! have halved with every 28 days since. θ is the squad's own, from what its coaches logged as coming off: see
//! [`super::knack`]; 0 for a squad of which nothing is known. All the numbers are assumptions.
//!
//! ```
//! use jogo_core::plan::success::{Experience, expected};
//! // The easiest rung of a new skill: seven of ten.
//! assert!((expected(Experience::default(), 0.0, 0.0).0 - 0.70).abs() < 1e-12);
//! // After two exposures of six minutes, a rung that is a point and a half harder: logit = 0.847 + 0.5 − 0.525.
//! let practised = Experience::default().and(12.0);
//! assert!((expected(practised, 1.5, 0.0).0 - 0.695).abs() < 0.0005);
//! // Four weeks later half of it is left: logit = 0.847 + 0.25.
//! assert!((expected(practised.rested(28), 0.0, 0.0).0 - 0.750).abs() < 0.0005);
//! ```

use std::collections::BTreeMap;

use jiff::civil::Date;

use crate::ids::SkillId;
use crate::plan::problem::SuccessWindow;
use crate::plan::{Problem, SkillWish, Variant};
use crate::technique::skill::Stage;
use crate::units::{Minutes, Share};

/// Success at the easiest rung of a skill that is new.
pub const AT_FIRST: f64 = 0.70;
/// What an exposure adds to the logit.
pub const GAIN: f64 = 0.25;
/// What a point of difficulty takes off the logit.
pub const HARDER: f64 = 0.35;
/// Working minutes of one exposure.
pub const EXPOSURE_MIN: f64 = 6.0;
/// After this many days of rest half of the experience is left.
pub const HALF_LIFE_DAYS: f64 = 28.0;

/// What a squad has behind it in a skill, in exposures.
#[derive(Clone, Copy, Debug, Default, PartialEq)]
pub struct Experience(pub f64);

impl Experience {
    /// What a squad begins with: the exposures that its done stages ask for, less what it has lost since it last worked
    /// at the skill, if that is known.
    pub fn before(problem: &Problem, wish: &SkillWish) -> Experience {
        let done = Stage::ALL.into_iter().filter(|stage| wish.has_done(*stage));
        let exposures = Experience(done.map(|stage| f64::from(problem.approach.needed(stage))).sum());
        let rest =
            problem.sessions.first().zip(wish.last_shown).map(|(first, last)| (first.date - last).get_days());
        exposures.rested(rest.unwrap_or(0))
    }

    /// The same after these working minutes.
    pub fn and(self, working_min: f64) -> Experience {
        Experience(self.0 + working_min / EXPOSURE_MIN)
    }

    /// The same after this many days without the skill.
    pub fn rested(self, days: i32) -> Experience {
        Experience(self.0 * kept(days))
    }
}

/// How much of an experience is left after a rest.
pub fn kept(days: i32) -> f64 {
    (-f64::from(days.max(0)) / HALF_LIFE_DAYS).exp2()
}

/// The logit of the success that is expected of a squad without a knack.
pub(crate) fn logit_of(experience: f64, harder: f64) -> f64 {
    logit(AT_FIRST) + GAIN * experience - HARDER * harder
}

/// The success that is expected with an experience and a knack, of a rung that is so much harder than the easiest.
pub fn expected(experience: Experience, harder: f64, knack: f64) -> Share {
    Share(1.0 / (1.0 + (-logit_of(experience.0, harder) - knack).exp()))
}

/// How much more comes off for a squad with a knack than for one without, where seven of ten are expected of the
/// latter. What a squad learns in an exposure is taken to grow with what comes off in it; an assumption.
///
/// ```
/// use jogo_core::plan::success::comes_off_more;
/// assert_eq!(comes_off_more(0.0), 1.0);
/// // Logit 0.847 + 0.5 is 79.4 of a hundred: 1.134 times 70.
/// assert!((comes_off_more(0.5) - 1.134).abs() < 0.0005);
/// ```
pub fn comes_off_more(knack: f64) -> f64 {
    expected(Experience::default(), 0.0, knack).0 / AT_FIRST
}

/// The logit of a share.
pub(in crate::plan) fn logit(share: f64) -> f64 {
    (share / (1.0 - share)).ln()
}

/// From how much harder than the easiest to how much harder a rung may be for its expected success to lie within a
/// window.
///
/// ```
/// use jogo_core::plan::Approach;
/// use jogo_core::plan::success::{Experience, expected, fitting};
/// let window = Approach::BALANCED.success_window;
/// let [least, most] = fitting(Experience(4.0), 0.0, window);
/// assert_eq!(expected(Experience(4.0), least, 0.0).percent().round(), 90.0);
/// assert_eq!(expected(Experience(4.0), most, 0.0).percent().round(), 70.0);
/// // For whom more comes off, a rung may be that much harder.
/// assert!((fitting(Experience(4.0), 0.35, window)[0] - least - 1.0).abs() < 1e-9);
/// ```
pub fn fitting(experience: Experience, knack: f64, window: SuccessWindow) -> [f64; 2] {
    let easiest = logit_of(experience.0, 0.0) + knack;
    [window.most, window.least].map(|share| (easiest - logit(share.0)) / HARDER)
}

/// By how many percentage points a share lies outside a window.
pub fn outside(share: Share, window: SuccessWindow) -> f64 {
    100.0 * (window.least.0 - share.0).max(share.0 - window.most.0).max(0.0)
}

/// The easiest variant of each skill: at Form, or at any stage if none is at Form; of two alike the first.
pub fn easiest(problem: &Problem) -> BTreeMap<&SkillId, &Variant> {
    let mut easiest: BTreeMap<&SkillId, &Variant> = BTreeMap::new();
    // False comes before true: what is at Form counts first.
    let rank = |variant: &Variant| (variant.stage != Stage::Form, variant.difficulty.0);
    for variant in &problem.variants {
        for skill in &variant.skills {
            let known = easiest.entry(skill).or_insert(variant);
            if rank(variant) < rank(known) {
                *known = variant;
            }
        }
    }
    easiest
}

/// What a squad has behind it in each skill, as the sessions of a plan go by.
pub struct Practice<'p> {
    problem: &'p Problem,
    easiest: BTreeMap<&'p SkillId, &'p Variant>,
    /// By skill: its experience, on the day on which it was last looked at.
    behind: Vec<(Experience, Option<Date>)>,
}

impl<'p> Practice<'p> {
    /// Before the first session.
    pub fn before(problem: &'p Problem) -> Practice<'p> {
        let first = problem.sessions.first().map(|session| session.date);
        let of = |wish: &SkillWish| (Experience::before(problem, wish), first);
        Practice { problem, easiest: easiest(problem), behind: problem.skills.iter().map(of).collect() }
    }

    /// What is expected of a variant with an experience of a skill.
    pub fn expects(&self, brought: Experience, skill: usize, variant: &Variant) -> Share {
        expected(brought, self.harder(skill, variant), self.problem.knack)
    }

    /// How much harder a variant is than the easiest of a skill.
    pub fn harder(&self, skill: usize, variant: &Variant) -> f64 {
        let easiest = self.problem.skills.get(skill).and_then(|wish| self.easiest.get(&wish.id));
        variant.difficulty.0 - easiest.map_or(variant.difficulty.0, |easiest| easiest.difficulty.0)
    }

    /// What a squad brings to a block of a skill, by its place in the problem; the block then lies behind it.
    pub fn after(&mut self, skill: usize, variant: &Variant, minutes: Minutes, day: Date) -> Experience {
        let (experience, known) = &mut self.behind[skill];
        let rested = experience.rested(known.map_or(0, |known| (day - known).get_days()));
        *experience = rested.and(f64::from(minutes.0) * variant.working.0);
        *known = Some(day);
        rested
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use jiff::ToSpan;
    use rstest::rstest;

    // By hand with a calculator: logit 0.70 = ln(7 ÷ 3) = 0.8473.
    #[rstest]
    #[case::new_and_easy(0.0, 0.0, 0.0, 0.7000)]
    #[case::new_and_two_points_harder(0.0, 2.0, 0.0, 0.5368)] // 0.8473 − 0.7 = 0.1473
    #[case::five_exposures(5.0, 0.0, 0.0, 0.8906)] // 0.8473 + 1.25 = 2.0973
    #[case::five_exposures_four_points_harder(5.0, 4.0, 0.0, 0.6676)] // 2.0973 − 1.4 = 0.6973
    #[case::easier_than_the_easiest(0.0, -1.0, 0.0, 0.7680)] // 0.8473 + 0.35 = 1.1973
    #[case::with_a_knack(5.0, 4.0, 0.5, 0.7680)] // 0.6973 + 0.5 = 1.1973
    fn what_is_expected(
        #[case] experience: f64,
        #[case] harder: f64,
        #[case] knack: f64,
        #[case] share: f64,
    ) {
        let found = expected(Experience(experience), harder, knack).0;
        assert!((found - share).abs() < 5e-5, "{found} against {share}");
    }

    #[rstest]
    #[case::below(0.65, 5.0)]
    #[case::at_its_edge(0.70, 0.0)]
    #[case::inside(0.8, 0.0)]
    #[case::above(0.97, 7.0)]
    fn outside_of_a_window(#[case] share: f64, #[case] points: f64) {
        let window = SuccessWindow { least: Share(0.7), most: Share(0.9) };
        assert!((outside(Share(share), window) - points).abs() < 1e-9);
    }

    // By hand: two exposures of Form are done; after 28 days one of them is left, after 56 half of one.
    #[rstest]
    #[case::nobody_knows(None, 2.0)]
    #[case::four_weeks_before(Some(28), 1.0)]
    #[case::eight_weeks_before(Some(56), 0.5)]
    fn what_was_done_before_fades_until_the_plan_begins(#[case] days: Option<i32>, #[case] left: f64) {
        let mut problem = crate::plan::search::ledger::tests::any_problem(2, 0);
        problem.approach.exposures = [2, 2, 2, 2];
        let wish = SkillWish {
            present: Some(Stage::Flow),
            last_shown: days.map(|days| problem.sessions[0].date - days.days()),
            ..problem.skills[0].clone()
        };
        assert!((Experience::before(&problem, &wish).0 - left).abs() < 1e-12);
    }

    #[rstest]
    #[case::no_day(0, 1.0)]
    #[case::a_week(7, 0.8409)]
    #[case::four_weeks(28, 0.5)]
    #[case::backwards(-3, 1.0)]
    fn experience_halves_in_four_weeks(#[case] days: i32, #[case] left: f64) {
        assert!((kept(days) - left).abs() < 5e-5);
    }
}
