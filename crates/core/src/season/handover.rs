//! Handover: what does a squad bring to the curriculum that it begins, and what is missing for how many?
//!
//! A curriculum expects skills at some stage: those that it takes as known already, and what its new skills need. A
//! child has a stage if a milestone of it, or of a later one, is met or kept. Where at least a third of a squad comes
//! short, a bridge is proposed: as many exposures as the curriculum asks for the stages that are missing, in its first
//! three weeks.

use serde::Serialize;

use crate::assessment::milestones::MilestoneState;
use crate::assessment::milestones::ready::{Stands, stage_reached, stages_had};
use crate::ids::{MilestoneId, SkillId};
use crate::plan::curriculum::Curriculum;
use crate::technique::skill::{Skill, Stage};

/// A child with where they stand.
#[derive(Clone, Debug)]
pub struct Child<'a, P> {
    /// Who.
    pub player: P,
    /// With the milestones of their band and of younger ones.
    pub stands: Vec<Stands<'a>>,
}

/// A skill that a curriculum expects at a stage.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Expected {
    /// Which.
    pub skill: SkillId,
    /// How far the squad should have come with it.
    pub stage: Stage,
    /// The new skills that need it; none where the curriculum takes it as known and goes on from there.
    pub needed_by: Vec<SkillId>,
}

impl Curriculum {
    /// What it expects of a squad that begins it: first what it goes on from, in the order of its goals, then what its
    /// new skills need and do not get from itself.
    ///
    /// ```
    /// use jogo_core::plan::curriculum::{Curriculum, Goal};
    /// use jogo_core::technique::skill::{Skill, Stage};
    /// # let wishes = include_str!("../../../../demo/curriculum.json");
    /// # let mut wishes: Curriculum = serde_json::from_str(wishes).unwrap();
    /// let skill = |id: &str, needs: &str| -> Skill {
    ///     let json = format!(
    ///         r#"{{"id": "{id}", "name": "{id}", "strand": "passing", "band": "u8-u9", "needs": {needs}}}"#
    ///     );
    ///     serde_json::from_str(&json).unwrap()
    /// };
    /// let skills = [
    ///     skill("tap", "[]"),
    ///     skill("stop", "[]"),
    ///     skill("turn", r#"[{"skill": "tap", "stage": "flow"}, {"skill": "stop", "stage": "form"}]"#),
    /// ];
    /// let goal = |id: &str, present| Goal::new(id.parse().unwrap(), present, Stage::Scan);
    /// wishes.goals = vec![goal("tap", Some(Stage::Form)), goal("turn", None)];
    /// let expected = wishes.expects(&skills);
    /// let said = expected.iter().map(|each| (each.skill.as_str(), each.stage, each.needed_by.len()));
    /// let said: Vec<_> = said.collect();
    /// // The turn needs the tap in Flow, but there the curriculum itself leads.
    /// assert_eq!(said, [("tap", Stage::Form, 0), ("stop", Stage::Form, 1)]);
    /// ```
    pub fn expects(&self, skills: &[Skill]) -> Vec<Expected> {
        let known = self.goals.iter().filter_map(|goal| {
            Some(Expected { skill: goal.skill.clone(), stage: goal.present?, needed_by: Vec::new() })
        });
        let mut all: Vec<Expected> = known.collect();
        for goal in self.goals.iter().filter(|goal| goal.present.is_none()) {
            let Some(skill) = skills.iter().find(|skill| skill.id == goal.skill) else { continue };
            for need in skill.all_needs() {
                if self.goals.iter().any(|other| other.skill == need.skill) {
                    continue;
                }
                match all.iter_mut().find(|known| known.skill == need.skill) {
                    Some(known) => {
                        known.stage = known.stage.max(need.stage);
                        known.needed_by.push(goal.skill.clone());
                    }
                    None => all.push(Expected {
                        skill: need.skill,
                        stage: need.stage,
                        needed_by: vec![goal.skill.clone()],
                    }),
                }
            }
        }
        all
    }
}

/// A child who comes short of what is expected.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Short<P> {
    /// Who.
    pub player: P,
    /// How far they have come; absent if no stage was shown.
    pub reached: Option<Stage>,
    /// Whether nothing of the skill was looked at.
    pub unseen: bool,
}

/// What a squad brings of a skill that is expected.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Brings<P> {
    /// What is expected.
    pub expected: Expected,
    /// How many children have it.
    pub have: u32,
    /// Who comes short, those first who have come least far.
    pub short: Vec<Short<P>>,
    /// Whether no milestone speaks of it: then the coach's eye decides, and nobody is short.
    pub unspoken: bool,
    /// Exposures to add to the first three weeks, if at least a third of the squad comes short.
    pub bridge: Option<u32>,
}

/// What a squad brings of everything that is expected. `exposures` says how many each stage needs.
pub fn brings<P: Copy>(
    expected: Vec<Expected>,
    squad: &[Child<'_, P>],
    exposures: [u32; 4],
) -> Vec<Brings<P>> {
    expected.into_iter().map(|expected| of_one(expected, squad, exposures)).collect()
}

fn of_one<P: Copy>(expected: Expected, squad: &[Child<'_, P>], exposures: [u32; 4]) -> Brings<P> {
    let Expected { skill, stage, .. } = &expected;
    let speaks = |(milestone, _): &Stands<'_>| milestone.skill == *skill && milestone.stage >= *stage;
    if !squad.iter().any(|child| child.stands.iter().any(speaks)) {
        return Brings { expected, have: 0, short: Vec::new(), unspoken: true, bridge: None };
    }
    let comes_short = |child: &Child<'_, P>| {
        let reached = stage_reached(&child.stands, skill);
        let unseen = stages_had(&child.stands, skill).is_none();
        (reached < Some(*stage)).then_some(Short { player: child.player, reached, unseen })
    };
    let mut short: Vec<Short<P>> = squad.iter().filter_map(comes_short).collect();
    short.sort_by_key(|short| short.reached);
    let have = (squad.len() - short.len()) as u32;
    // Where the middle of those stands who come short; of two, the one who has come less far.
    let middle = short.get(short.len().saturating_sub(1) / 2).map(|short| short.reached);
    let missing = |reached: Option<Stage>| {
        let from = reached.map_or(0, |stage| stage.index() + 1);
        exposures[from..=stage.index()].iter().sum()
    };
    let bridge = middle.filter(|_| 3 * short.len() >= squad.len()).map(missing);
    Brings { expected, have, short, unspoken: false, bridge }
}

/// How a squad stands with a milestone.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MilestoneBrought {
    /// Which.
    pub milestone: MilestoneId,
    /// How many have it: met or kept.
    pub have: u32,
    /// How many had it and show it no more.
    pub slipped: u32,
    /// How many have shown something of it.
    pub on_the_way: u32,
    /// Of how many nothing was seen.
    pub never_seen: u32,
}

/// How a squad stands with each milestone that its children are asked about, in their order.
///
/// ```
/// use jogo_core::season::handover::milestones_brought;
/// assert!(milestones_brought::<u32>(&[]).is_empty());
/// ```
pub fn milestones_brought<P>(squad: &[Child<'_, P>]) -> Vec<MilestoneBrought> {
    let Some(first) = squad.first() else { return Vec::new() };
    let count = |(place, (milestone, _)): (usize, &Stands<'_>)| {
        let states =
            || squad.iter().filter_map(|child| child.stands.get(place)).map(|(_, stands)| stands.state);
        let of = |state: MilestoneState| states().filter(|each| *each == state).count() as u32;
        MilestoneBrought {
            milestone: milestone.id.clone(),
            have: states().filter(|state| state.is_had()).count() as u32,
            slipped: of(MilestoneState::Slipped),
            on_the_way: of(MilestoneState::OnTheWay),
            never_seen: of(MilestoneState::NotSeen),
        }
    };
    first.stands.iter().enumerate().map(count).collect()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::assessment::milestones::{Evidence, Milestone, Seen, Standing};
    use crate::ids::called;
    use rstest::rstest;

    fn milestone(id: &str, stage: Stage) -> Milestone {
        Milestone {
            id: called(id),
            says: id.into(),
            short: id.into(),
            skill: called("tap"),
            stage,
            band: called("u8-u9"),
            evidence: Evidence::Seen(Seen { test: called("tap-seen"), points: Vec::new(), days: 1 }),
        }
    }

    fn standing(state: MilestoneState) -> Standing {
        Standing { state, by_evidence: state, since: None, overridden: None }
    }

    const FORM: usize = 0;
    const FLOW: usize = 1;

    /// A squad by the last milestone that each has (none: something was seen; `None`: nothing).
    fn brought(squad: &[Option<&[usize]>], stage: Stage) -> Brings<usize> {
        let milestones = [milestone("form", Stage::Form), milestone("flow", Stage::Flow)];
        let (met, way, nothing) = (
            standing(MilestoneState::Met),
            standing(MilestoneState::OnTheWay),
            standing(MilestoneState::NotSeen),
        );
        let child = |(player, had): (usize, &Option<&[usize]>)| {
            let state = |at: usize| match had {
                None => &nothing,
                Some(had) if had.contains(&at) => &met,
                Some(_) => &way,
            };
            Child { player, stands: milestones.iter().enumerate().map(|(at, m)| (m, state(at))).collect() }
        };
        let squad: Vec<_> = squad.iter().enumerate().map(child).collect();
        let expected = Expected { skill: called("tap"), stage, needed_by: Vec::new() };
        brings(vec![expected], &squad, [3, 4, 2, 2]).remove(0)
    }

    #[rstest]
    // Form needs three exposures, Flow four.
    #[case::all_have_it(&[Some(&[FORM, FLOW][..]); 3], 3, None)]
    #[case::a_later_stage_is_enough(&[Some(&[FLOW][..]); 3], 3, None)]
    #[case::one_of_four_is_too_few(
        &[Some(&[FLOW][..]), Some(&[FLOW][..]), Some(&[FLOW][..]), Some(&[FORM][..])], 3, None,
    )]
    #[case::one_of_three_lacks_flow(&[Some(&[FLOW][..]), Some(&[FLOW][..]), Some(&[FORM][..])], 2, Some(4))]
    #[case::the_middle_of_three_has_nothing(&[Some(&[FORM][..]), Some(&[][..]), None], 0, Some(7))]
    #[case::of_two_the_one_who_has_come_less_far(&[Some(&[FORM][..]), None], 0, Some(7))]
    #[case::the_middle_of_three_has_form(&[Some(&[FORM][..]), Some(&[FORM][..]), None], 0, Some(4))]
    fn who_comes_short_and_what_bridges_it(
        #[case] squad: &[Option<&[usize]>],
        #[case] have: u32,
        #[case] bridge: Option<u32>,
    ) {
        let found = brought(squad, Stage::Flow);
        assert_eq!((found.have, found.bridge), (have, bridge));
        assert_eq!(found.have as usize + found.short.len(), squad.len());
    }

    #[test]
    fn those_who_have_come_least_far_stand_first_and_the_unseen_are_marked() {
        let short = brought(&[Some(&[FORM][..]), None, Some(&[][..])], Stage::Flow).short;
        let said: Vec<_> = short.iter().map(|each| (each.player, each.reached, each.unseen)).collect();
        assert_eq!(said, [(1, None, true), (2, None, false), (0, Some(Stage::Form), false)]);
    }

    #[test]
    fn of_a_stage_that_no_milestone_speaks_of_nobody_is_short() {
        let found = brought(&[None, None], Stage::Contest);
        assert!(found.unspoken && found.short.is_empty() && found.bridge.is_none());
    }

    #[test]
    fn nobody_brings_nothing() {
        let expected = Expected { skill: called("tap"), stage: Stage::Form, needed_by: Vec::new() };
        assert!(brings::<u32>(vec![expected], &[], [1; 4])[0].unspoken);
    }
}
