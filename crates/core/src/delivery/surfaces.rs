//! Surfaces: which parts of the foot does a plan train, and does one of them do nearly everything?
//!
//! The touches of each block go to the strands by their shares, and to the surfaces as its score counts them; where no
//! score does, to the surface that the levers ask for, else to the drill's surfaces alike.

use std::collections::BTreeMap;

use serde::Serialize;

use crate::delivery::edition::Edition;
use crate::delivery::session::Setting;
use crate::drill::Drill;
use crate::drill::timing::FootTouches;
use crate::fact::{Fact, facts};
use crate::plan::{Block, Problem, Variant};
use crate::technique::score::Score;
use crate::technique::skill::{Foot, Strand};
use crate::technique::surface::Surface;
use crate::units::{Minutes, Pace};

/// A surface with more than this share of a strand's touches stands out. An assumption.
const LOPSIDED: f64 = 0.7;

facts! {
    /// What stands out among the surfaces of a plan.
    pub enum SurfaceSaid {
        Lopsided = "surfaces-lopsided" { strand: Strand, surface: Surface, percent: f64 },
        Missing = "surfaces-missing" { skill: String, surface: Surface },
    }
}

/// Touches of one player with a surface over the whole plan.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SurfaceTouches {
    /// The surface.
    pub surface: Surface,
    /// With the strong foot.
    pub strong: u32,
    /// With the other foot.
    pub other: u32,
}

/// The surfaces of a strand, the most touches first.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StrandSurfaces {
    /// The strand.
    pub strand: Strand,
    /// Its surfaces.
    pub surfaces: Vec<SurfaceTouches>,
}

/// The surfaces of a plan.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Surfaces {
    /// Strand by strand; one without touches is left out.
    pub strands: Vec<StrandSurfaces>,
    /// One surface does nearly everything of a strand, or one that a goal needs does nothing.
    pub findings: Vec<Fact>,
}

/// Touches by strand, surface and foot, in fractions until all are summed.
type Sums = BTreeMap<(Strand, Surface, Foot), f64>;

impl Edition {
    /// The touches of one player over the whole plan, by surface and foot. Some milliseconds for a season.
    pub fn surfaces(&self, problem: &Problem) -> Surfaces {
        let mut sums = Sums::new();
        // Blocks of one variant and length are alike: each is laid once.
        let mut known: Vec<(&Variant, Minutes, u32)> = Vec::new();
        for Block { variant, minutes, .. } in self.plan.sessions.iter().flatten() {
            let Some(variant) = problem.variant(variant) else { continue };
            match known.iter_mut().find(|(other, long, _)| other.id == variant.id && long == minutes) {
                Some((.., times)) => *times += 1,
                None => known.push((variant, *minutes, 1)),
            }
        }
        for (variant, minutes, times) in known {
            let Some(drill) = self.drills.iter().find(|drill| drill.id == variant.id.drill) else { continue };
            self.add(drill, variant, (minutes, times), &mut sums);
        }
        Surfaces { strands: by_strand(&sums), findings: self.said_of(&sums) }
    }

    fn add(&self, drill: &Drill, variant: &Variant, (minutes, times): (Minutes, u32), sums: &mut Sums) {
        let setting = Setting {
            ground: &self.curriculum.ground,
            minutes,
            starts: Minutes(0),
            laying_out: Minutes(0),
            staying: 0,
            pace: Pace::default(),
            seed: 0,
        };
        let Some(laid) = self.laid(drill, &variant.levers, variant.foot, &setting) else { return };
        let FootTouches { strong, other } = laid.timing.touches;
        let score = drill.score_for(&variant.levers, &self.band, &self.skills, laid.foot);
        let score = score.filter(|_| laid.timing.from_score);
        for (foot, touches) in [(Foot::Strong, strong), (Foot::Other, other)] {
            let shares = match &score {
                Some(score) => shares_of(score, if strong == other { None } else { Some(foot) }),
                None => shares_without_score(drill, variant),
            };
            for (strand, part) in &drill.strands {
                for (surface, share) in &shares {
                    let touches = f64::from(touches * times) * part.0 * share;
                    *sums.entry((*strand, *surface, foot)).or_default() += touches;
                }
            }
        }
    }

    fn said_of(&self, sums: &Sums) -> Vec<Fact> {
        let mut said: Vec<Fact> = Vec::new();
        for strand in Strand::ALL {
            let of = |surface: Option<Surface>| -> f64 {
                let mine =
                    sums.iter().filter(|((s, t, _), _)| *s == strand && surface.is_none_or(|w| w == *t));
                mine.map(|(_, touches)| touches).sum()
            };
            let all = of(None);
            let mut shares = Surface::ALL.into_iter().map(|surface| (surface, of(Some(surface)) / all));
            if let Some((surface, share)) = shares.find(|(_, share)| *share > LOPSIDED) {
                let percent = (share * 100.0).round();
                said.push(SurfaceSaid::Lopsided { strand, surface, percent }.into());
            }
        }
        let used = |surface: &Surface| sums.iter().any(|((_, s, _), touches)| s == surface && *touches > 0.0);
        for goal in &self.curriculum.goals {
            let Some(skill) = self.skills.iter().find(|skill| skill.id == goal.skill) else { continue };
            let score = skill.score.as_ref();
            let score = score.and_then(|text| Score::read(text, self.band.body_size(), &self.skills).ok());
            let needed: BTreeMap<Surface, f64> =
                score.map(|score| shares_of(&score, None)).unwrap_or_default();
            for surface in needed.into_keys().filter(|surface| !used(surface)) {
                said.push(SurfaceSaid::Missing { skill: skill.name.clone(), surface }.into());
            }
        }
        said
    }
}

/// The surfaces of a drill whose score says nothing: the one that its levers ask for, else all of them alike.
fn shares_without_score(drill: &Drill, variant: &Variant) -> BTreeMap<Surface, f64> {
    match variant.levers.surface.surface() {
        Some(surface) => BTreeMap::from([(surface, 1.0)]),
        None => drill.surfaces.iter().map(|s| (*s, 1.0 / drill.surfaces.len() as f64)).collect(),
    }
}

/// The surfaces of a score with their shares of its touches: of one foot, as a right-footed child plays it, or of all.
fn shares_of(score: &Score, foot: Option<Foot>) -> BTreeMap<Surface, f64> {
    let touches = score.touches();
    let (right, left, body) = (&touches.right, &touches.left, &touches.body);
    let counted: Vec<_> = match foot {
        Some(Foot::Strong) if !right.is_empty() => right.iter().collect(),
        Some(Foot::Other) if !left.is_empty() => left.iter().collect(),
        _ => right.iter().chain(left).chain(body).collect(),
    };
    let all: u32 = counted.iter().map(|(_, touches)| **touches).sum();
    let mut shares = BTreeMap::new();
    for (surface, touches) in counted {
        *shares.entry(*surface).or_default() += f64::from(*touches) / f64::from(all.max(1));
    }
    shares
}

fn by_strand(sums: &Sums) -> Vec<StrandSurfaces> {
    let of =
        |strand, surface, foot| sums.get(&(strand, surface, foot)).copied().unwrap_or(0.0).round() as u32;
    let strands = Strand::ALL.into_iter().map(|strand| {
        let rows = Surface::ALL.into_iter().map(|surface| SurfaceTouches {
            surface,
            strong: of(strand, surface, Foot::Strong),
            other: of(strand, surface, Foot::Other),
        });
        let mut surfaces: Vec<SurfaceTouches> = rows.filter(|row| row.strong + row.other > 0).collect();
        surfaces.sort_by_key(|row| std::cmp::Reverse(row.strong + row.other));
        StrandSurfaces { strand, surfaces }
    });
    strands.filter(|strand| !strand.surfaces.is_empty()).collect()
}
