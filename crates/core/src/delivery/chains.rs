//! Chains to try: which moves that a squad has met can follow each other?
//!
//! They are an offer: for a drill in which players make a chain of their own, and for practice at home. Another seed
//! offers others, so that no two sessions and no two weeks propose the same.

use std::collections::BTreeSet;

use serde::Serialize;

use crate::delivery::edition::Edition;
use crate::ids::SkillId;
use crate::plan::{Problem, Variant};
use crate::technique::score::Score;
use crate::technique::score::chain::{Link, Tried, joined, worth_trying};
use crate::technique::score::feet::MovingFeet;
use crate::technique::skill::{Foot, Stage};

/// Chains looked at for each one that is offered: the same moves may be found several times, with either foot first.
const MIRRORS: usize = 4;

/// A move of a chain, by name.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct NamedLink {
    /// Its skill.
    #[serde(flatten)]
    pub link: Link,
    /// The skill's name.
    pub name: String,
}

/// Moves that the squad has met, one going on where the other ends: to be tried, or to make one's own of.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ChainToTry {
    /// The moves.
    pub links: Vec<NamedLink>,
    /// The whole, beat by beat.
    pub feet: MovingFeet,
}

impl Edition {
    /// Chains of `length` moves that the squad has met up to a session: `most` of them at most, none while it has met
    /// too few that join.
    pub(super) fn chains(
        &self,
        problem: &Problem,
        last: usize,
        (length, most): (usize, usize),
        seed: u64,
    ) -> Vec<ChainToTry> {
        let size = self.band.body_size();
        let moves: Vec<(SkillId, Score)> = self
            .met(problem, last)
            .into_iter()
            .filter_map(|skill| {
                let text = self.skill(&skill)?.score.as_ref()?;
                Some((skill, Score::read(text, size, &self.skills).ok()?))
            })
            .collect();
        // The same moves with the other foot are no other chain.
        let mut seen = BTreeSet::new();
        let skills = |tried: &Tried| tried.links.iter().map(|link| link.skill.clone()).collect::<Vec<_>>();
        let found = worth_trying(&moves, length, MIRRORS * most, seed).into_iter();
        let others = found.filter(|tried| seen.insert(skills(tried)));
        others.filter_map(|tried| self.to_try(tried, &moves)).take(most).collect()
    }

    /// What the squad has met up to a session: what it worked at, and what it had met before the curriculum.
    fn met(&self, problem: &Problem, last: usize) -> Vec<SkillId> {
        let mut met: Vec<SkillId> =
            self.worked_at(problem, last).into_iter().map(|(skill, ..)| skill).collect();
        let before = problem.skills.iter().filter(|wish| wish.present.is_some() && wish.carries.is_none());
        for wish in before {
            if !met.contains(&wish.id) {
                met.push(wish.id.clone());
            }
        }
        met
    }

    fn to_try(&self, tried: Tried, moves: &[(SkillId, Score)]) -> Option<ChainToTry> {
        let played = |link: &Link| {
            let (_, score) = moves.iter().find(|(skill, _)| *skill == link.skill)?;
            Some(if link.mirrored { score.mirrored() } else { score.clone() })
        };
        let scores: Vec<Score> = tried.links.iter().map(played).collect::<Option<_>>()?;
        let (_, whole) = joined(&scores.iter().collect::<Vec<_>>());
        let named = |link: Link| {
            let name =
                self.skill(&link.skill).map_or_else(|| link.skill.to_string(), |skill| skill.name.clone());
            NamedLink { link, name }
        };
        Some(ChainToTry {
            links: tried.links.into_iter().map(named).collect(),
            feet: whole?.moving_feet(self.band.tempos()),
        })
    }

    /// The skills that sessions up to one gave an exposure, each once at the stage of the latest, and with the foot
    /// that was to work alone; the latest first.
    pub(super) fn worked_at(&self, problem: &Problem, last: usize) -> Vec<(SkillId, Stage, Option<Foot>)> {
        let mut seen = BTreeSet::new();
        let sessions = self.plan.sessions.iter().take(last + 1).rev().flatten();
        let variants = sessions.filter_map(|block| problem.variant(&block.variant));
        // The ladder of the other foot is work at the same skill.
        let worked = |id: &SkillId, variant: &Variant| {
            let skill = problem.skill_of(id);
            let foot = if skill == id { variant.id.foot } else { variant.foot };
            (skill.clone(), variant.stage, foot)
        };
        let skills = variants.flat_map(|v| v.skills.iter().map(move |skill| worked(skill, v)));
        skills.filter(|(skill, ..)| seen.insert(skill.clone())).collect()
    }
}
