//! Paths: in which weeks of the year is a skill met, worked at, reached and kept?

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::Serialize;

use super::{Laid, monday};
use crate::ids::SkillId;
use crate::plan::curriculum::Goal;
use crate::plan::{Stitch, stitches};
use crate::technique::skill::{Skill, Stage, Strand};

/// A skill's way through the year.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SkillPath {
    /// Which skill.
    pub skill: SkillId,
    /// Its name.
    pub name: String,
    /// Its strand.
    pub strand: Strand,
    /// The weeks in which it is shown.
    pub weeks: Vec<PathWeek>,
}

/// A week in which a skill is shown.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PathWeek {
    /// Its Monday.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub monday: Date,
    /// The furthest stage of the week.
    pub stage: Stage,
    /// Whether the skill is met in this week.
    pub met: bool,
    /// The goal of the curriculum, if it is reached in this week.
    pub reached: Option<Stage>,
    /// Whether the goal was reached before: the skill is kept.
    pub kept: bool,
}

/// The paths of all skills in curricula that follow each other: by strand, then by when they are shown first.
pub(super) fn of(counts: &[&Laid<'_>], skills: &[Skill]) -> Vec<SkillPath> {
    let mut weeks: BTreeMap<SkillId, BTreeMap<Date, PathWeek>> = BTreeMap::new();
    for laid in counts {
        let stitches = stitches(laid.problem, &laid.edition.plan);
        // A skill whose goal was reached before the curriculum began is kept from the start.
        let mut still: BTreeMap<&SkillId, usize> = BTreeMap::new();
        for wish in laid.problem.goals() {
            still.insert(&wish.id, wish.way().count());
        }
        for stitch in &stitches {
            // The ladder of the other foot is a way of the same skill.
            let Some(left) = still.get_mut(&stitch.skill) else { continue };
            let monday = monday(laid.problem.sessions[stitch.session].date);
            let kept = *left == 0;
            let goal = laid.edition.curriculum.goals.iter().find(|goal| goal.skill == stitch.skill);
            if !stitch.again && stitch.nth == stitch.of && goal.is_some_and(|goal| is_on_way(goal, stitch)) {
                *left = left.saturating_sub(1);
            }
            let reached = goal.filter(|_| !kept && *left == 0).map(|goal| goal.goal);
            let week = weeks.entry(stitch.skill.clone()).or_default().entry(monday);
            let week =
                week.or_insert(PathWeek { monday, stage: stitch.stage, met: false, reached: None, kept });
            week.stage = week.stage.max(stitch.stage);
            week.met |= stitch.first;
            week.reached = week.reached.max(reached);
        }
    }
    let path = |skill: &Skill| {
        let weeks = weeks.get(&skill.id)?.values().cloned().collect();
        Some(SkillPath { skill: skill.id.clone(), name: skill.name.clone(), strand: skill.strand, weeks })
    };
    let mut paths: Vec<SkillPath> = skills.iter().filter_map(path).collect();
    paths.sort_by_key(|path| (path.strand, path.weeks[0].monday));
    paths
}

fn is_on_way(goal: &Goal, stitch: &Stitch) -> bool {
    stitch.stage <= goal.goal && goal.present.is_none_or(|present| stitch.stage >= present)
}
