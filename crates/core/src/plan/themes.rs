//! The themes of a plan's weeks: those that were wished, and those that the plan itself leads to.

use serde::Serialize;

use super::part::{HALF, OFF_THEME, OFF_WISHED_THEME};
use super::{Plan, Problem, Theme};
use crate::ids::SkillId;
use crate::technique::skill::Strand;
use crate::units::Share;

/// What a week of a plan is about.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WeekTheme {
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// What it is about.
    pub theme: Theme,
    /// Whether the director wished it; else it is the strand that the week's sessions come nearest to.
    pub wished: bool,
    /// The skills that most of the theme's minutes are for, at most two.
    pub skills: Vec<SkillId>,
    /// Which share of the week's minutes serves it.
    pub share: Share,
    /// What it costs that sessions have less than half of their minutes for it (S14).
    pub points: f64,
}

/// The theme of each week that has blocks. Time: O(blocks × skills).
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// use jogo_core::plan::{Theme, solve, week_themes};
/// use jogo_core::technique::skill::Strand;
/// let mut problem = example(ExampleSize { weeks: 3, sessions: 2, skills: 8, variants: 40 }, 1);
/// problem.themes.insert(2, Theme::Strand(Strand::Passing));
/// let plan = solve(&problem, 1, 2_000).unwrap().plan;
/// let themes = week_themes(&problem, &plan);
/// assert_eq!((themes[1].week, themes[1].wished, &themes[1].theme), (2, true, &Theme::Strand(Strand::Passing)));
/// assert!(!themes[0].wished);
/// ```
pub fn week_themes(problem: &Problem, plan: &Plan) -> Vec<WeekTheme> {
    problem.weeks().into_iter().filter_map(|week| week_theme(problem, plan, week)).collect()
}

/// The theme of one week; `None` if it has no blocks. See [`week_themes`].
pub fn week_theme(problem: &Problem, plan: &Plan, week: u32) -> Option<WeekTheme> {
    if let Some(theme) = problem.themes.get(&week) {
        let served = Served::of(problem, plan, week, (theme, OFF_WISHED_THEME))?;
        return Some(served.told(problem, plan, theme.clone(), true));
    }
    let served = |theme: &Theme| Served::of(problem, plan, week, (theme, OFF_THEME));
    let strands = Strand::ALL.into_iter().map(Theme::Strand);
    let all: Vec<(Theme, Served)> =
        strands.filter_map(|theme| Some((theme.clone(), served(&theme)?))).collect();
    let nearest = all
        .into_iter()
        .min_by(|(_, a), (_, b)| a.points.total_cmp(&b.points).then(b.minutes.total_cmp(&a.minutes)));
    nearest.map(|(theme, served)| served.told(problem, plan, theme, false))
}

/// How far the sessions of a week serve a theme.
struct Served {
    week: u32,
    minutes: f64,
    of: f64,
    points: f64,
}

impl Served {
    /// `None` if nothing is laid in the week.
    fn of(problem: &Problem, plan: &Plan, week: u32, (theme, points): (&Theme, f64)) -> Option<Served> {
        let mut sum = Served { week, minutes: 0.0, of: 0.0, points: 0.0 };
        for (blocks, _) in plan.sessions.iter().zip(&problem.sessions).filter(|(_, wish)| wish.week == week) {
            let known =
                blocks.iter().filter_map(|block| Some((block.minutes.0, problem.variant(&block.variant)?)));
            let (mut served, mut all) = (0.0, 0.0);
            for (minutes, variant) in known {
                served += f64::from(minutes) * theme.share_of(variant);
                all += f64::from(minutes);
            }
            if all > 0.0 {
                sum.points += points * (HALF - 100.0 * served / all).max(0.0);
            }
            (sum.minutes, sum.of) = (sum.minutes + served, sum.of + all);
        }
        (sum.of > 0.0).then_some(sum)
    }

    fn told(self, problem: &Problem, plan: &Plan, theme: Theme, wished: bool) -> WeekTheme {
        let mut minutes = vec![0.0; problem.skills.len()];
        for (blocks, _) in
            plan.sessions.iter().zip(&problem.sessions).filter(|(_, wish)| wish.week == self.week)
        {
            for block in blocks {
                let Some(variant) = problem.variant(&block.variant) else { continue };
                let served = f64::from(block.minutes.0) * theme.share_of(variant);
                for skill in variant.skills.iter().filter_map(|skill| problem.skill_index(skill)) {
                    minutes[skill] += served / variant.skills.len() as f64;
                }
            }
        }
        let belongs = |skill: &usize| match &theme {
            Theme::Strand(strand) => problem.skills[*skill].strand == *strand,
            Theme::Skills(skills) => skills.contains(&problem.skills[*skill].id),
        };
        let mut leading: Vec<usize> =
            (0..minutes.len()).filter(|skill| minutes[*skill] > 0.0).filter(belongs).collect();
        leading.sort_by(|a, b| minutes[*b].total_cmp(&minutes[*a]));
        let skills = leading.into_iter().take(2).map(|skill| problem.skills[skill].id.clone()).collect();
        let (week, points, share) = (self.week, self.points, Share(self.minutes / self.of));
        WeekTheme { week, theme, wished, skills, share, points }
    }
}
