//! Where every skill stands on the map, so that every client draws the same.
//!
//! Bands go across; inside a band a skill stands one column further than what it needs there, or still further where a
//! later column has room and nothing in the band waits for it. Strands go down, as lanes; inside a lane the skills of a
//! column stand one below the other. Their order begins as the library has it;
//! then two neighbours change places wherever fewer of their lines cross that way, until none do (the transposition
//! step of Gansner, Koutsofios, North and Vo, 1993). Nobody moves for anything else, so a small edit moves little.
//! Places are in columns and rows; a client gives them their size.

use std::collections::BTreeMap;

use serde::Serialize;

use super::Map;
use crate::ids::{BandId, SkillId};
use crate::technique::skill::{Stage, Strand};

/// Sweeps over all columns at most; maps of the size that academies have settle after a few.
const SWEEPS: usize = 24;

/// Where a skill stands.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Plate {
    /// The skill.
    pub skill: SkillId,
    /// Column, from 0 on the left.
    pub column: u32,
    /// Row, from 0 at the top.
    pub row: u32,
    /// Longest chain of hard needs below it.
    pub depth: u32,
}

/// A band's columns.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BandSpan {
    /// The band.
    pub band: BandId,
    /// Its first column.
    pub from: u32,
    /// How many.
    pub columns: u32,
}

/// A strand's rows.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Lane {
    /// The strand.
    pub strand: Strand,
    /// Its first row.
    pub from: u32,
    /// How many.
    pub rows: u32,
}

/// A line between two skills.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Line {
    /// The skill that is needed.
    pub from: SkillId,
    /// The skill that needs it.
    pub to: SkillId,
    /// The stage that is needed; `None` if it only helps.
    pub stage: Option<Stage>,
}

/// The whole map, laid out.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MapSheet {
    /// Bands across.
    pub bands: Vec<BandSpan>,
    /// Strands down.
    pub lanes: Vec<Lane>,
    /// Skills.
    pub plates: Vec<Plate>,
    /// Needs and helps.
    pub lines: Vec<Line>,
}

/// Lays a map out; `None` if it has a circle. Skills of a band that is not named stand in the last one.
///
/// Time: O(sweeps × Σ of the products of the numbers of lines of two neighbours).
pub fn lay_out(map: &Map<'_>, bands: &[BandId]) -> Option<MapSheet> {
    let order = map.order()?;
    let depths = map.depths()?;
    let last = bands.len().saturating_sub(1);
    let band_of: Vec<usize> = map
        .skills
        .iter()
        .map(|skill| bands.iter().position(|band| *band == skill.band).unwrap_or(last))
        .collect();
    // Columns inside the band: one further than the needs that start in the same band.
    let mut inside = vec![0_u32; map.skills.len()];
    for &skill in &order {
        let same = map.needs(skill).filter(|(need, _)| band_of[*need] == band_of[skill]);
        inside[skill] = same.map(|(need, _)| inside[need] + 1).max().unwrap_or(0);
    }
    let widths: Vec<u32> = (0..bands.len())
        .map(|band| {
            (0..map.skills.len()).filter(|s| band_of[*s] == band).map(|s| inside[s] + 1).max().unwrap_or(1)
        })
        .collect();
    spread(map, &order, (&band_of, &widths), &mut inside);
    let starts: Vec<u32> = (0..bands.len()).map(|band| widths[..band].iter().sum()).collect();
    let column: Vec<u32> =
        (0..map.skills.len()).map(|s| starts.get(band_of[s]).copied().unwrap_or(0) + inside[s]).collect();
    let stacks = ordered(map, &column);
    let mut rows = vec![0_u32; map.skills.len()];
    let mut lanes = Vec::new();
    let mut from = 0;
    for strand in Strand::ALL {
        let of_lane = stacks.iter().filter(|((_, lane), _)| *lane == strand);
        let high = of_lane.clone().map(|(_, stack)| stack.len() as u32).max().unwrap_or(0).max(1);
        for (_, stack) in of_lane {
            for (row, skill) in (from..).zip(stack) {
                rows[*skill] = row;
            }
        }
        lanes.push(Lane { strand, from, rows: high });
        from += high;
    }
    let plates = map.skills.iter().enumerate().map(|(s, skill)| Plate {
        skill: skill.id.clone(),
        column: column[s],
        row: rows[s],
        depth: depths[s] as u32,
    });
    Some(MapSheet {
        bands: bands
            .iter()
            .enumerate()
            .map(|(i, band)| BandSpan { band: band.clone(), from: starts[i], columns: widths[i] })
            .collect(),
        lanes,
        plates: plates.collect(),
        lines: lines(map),
    })
}

/// Moves skills of full columns to later ones of their band with fewer skills, so that the lane is less high. Each goes
/// as far as what needs it there leaves room, and the library's later skills make way for its earlier ones: a newcomer
/// at the end moves nobody.
fn spread(map: &Map<'_>, order: &[usize], (band_of, widths): (&[usize], &[u32]), inside: &mut [u32]) {
    // How many columns stand after a skill at least, and the last skill in the library that it waits for.
    let mut after = vec![0_u32; map.skills.len()];
    for &skill in order.iter().rev() {
        let waiting = map.needed_by(skill).filter(|(other, _)| band_of[*other] == band_of[skill]);
        after[skill] = waiting.map(|(other, _)| after[other] + 1).max().unwrap_or(0);
    }
    let mut waits_for = vec![0; map.skills.len()];
    for &skill in order {
        let needs = map.needs(skill).map(|(need, _)| waits_for[need]);
        waits_for[skill] = needs.max().unwrap_or(0).max(skill);
    }
    let mut one_by_one = order.to_vec();
    one_by_one.sort_by_key(|skill| waits_for[*skill]);
    let mut full: BTreeMap<(usize, Strand, u32), usize> = BTreeMap::new();
    for skill in one_by_one {
        let band = band_of[skill];
        let needs = map.needs(skill).filter(|(need, _)| band_of[*need] == band);
        let first = needs.map(|(need, _)| inside[need] + 1).max().unwrap_or(0);
        let last = widths[band] - 1 - after[skill];
        let many = |column: u32| full.get(&(band, map.skills[skill].strand, column)).copied().unwrap_or(0);
        let other = (first..=last).min_by_key(|column| many(*column)).unwrap_or(first);
        inside[skill] = if many(other) + 1 < many(first) { other } else { first };
        *full.entry((band, map.skills[skill].strand, inside[skill])).or_default() += 1;
    }
}

fn lines(map: &Map<'_>) -> Vec<Line> {
    let line = |from: &SkillId, to: &SkillId, stage| Line { from: from.clone(), to: to.clone(), stage };
    let hard = |skill: &crate::technique::skill::Skill| -> Vec<Line> {
        skill.all_needs().map(|need| line(&need.skill, &skill.id, Some(need.stage))).collect()
    };
    let soft = |skill: &crate::technique::skill::Skill| -> Vec<Line> {
        skill.helps.iter().map(|helps| line(helps, &skill.id, None)).collect()
    };
    let all = map.skills.iter().flat_map(|skill| hard(skill).into_iter().chain(soft(skill)));
    all.filter(|line| map.place(&line.from).is_some()).collect()
}

/// The skills of each column and lane, from top to bottom.
type Stacks = BTreeMap<(u32, Strand), Vec<usize>>;

fn ordered(map: &Map<'_>, column: &[u32]) -> Stacks {
    let mut stacks = Stacks::new();
    for (s, skill) in map.skills.iter().enumerate() {
        stacks.entry((column[s], skill.strand)).or_default().push(s);
    }
    let ends: Vec<Vec<usize>> = (0..map.skills.len())
        .map(|s| map.needs(s).chain(map.needed_by(s)).map(|(other, _)| other).collect())
        .collect();
    let mut heights = heights(&stacks, map.skills.len());
    for _ in 0..SWEEPS {
        let mut moved = false;
        for stack in stacks.values_mut() {
            for upper in 1..stack.len() {
                let (above, below) = (stack[upper - 1], stack[upper]);
                let (now, turned) = crossings(&ends[above], &ends[below], &heights, column);
                if turned < now {
                    stack.swap(upper - 1, upper);
                    heights.swap(above, below);
                    moved = true;
                }
            }
        }
        if !moved {
            break;
        }
    }
    stacks
}

/// How far down each skill stands: lanes one below the other, and its place in its stack.
fn heights(stacks: &Stacks, skills: usize) -> Vec<f64> {
    let mut heights = vec![0.0; skills];
    for ((_, strand), stack) in stacks {
        for (place, skill) in stack.iter().enumerate() {
            heights[*skill] = strand.index() as f64 * 1_000.0 + place as f64;
        }
    }
    heights
}

/// How many lines of two neighbours cross that go to the same column, as they stand and turned round.
fn crossings(above: &[usize], below: &[usize], heights: &[f64], column: &[u32]) -> (usize, usize) {
    let (mut now, mut turned) = (0, 0);
    for upper in above {
        for lower in below.iter().filter(|lower| column[**lower] == column[*upper]) {
            now += usize::from(heights[*upper] > heights[*lower]);
            turned += usize::from(heights[*upper] < heights[*lower]);
        }
    }
    (now, turned)
}
