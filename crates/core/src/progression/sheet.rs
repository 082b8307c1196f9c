//! Where every skill stands on the map, so that every client draws the same.
//!
//! Bands go across; inside a band a skill stands one column further than what it needs there. Strands go down, as
//! lanes; inside a lane the skills of a column stand one below the other. Their order begins as the library has it and
//! is then changed by the mean place of their neighbours, sweep by sweep, as long as fewer lines cross (the barycentre
//! method of Sugiyama, Tagawa and Toda, 1981). Places are in columns and rows; a client gives them their size.

use std::collections::BTreeMap;

use serde::Serialize;

use super::Map;
use crate::band::BandId;
use crate::skill::{SkillId, Stage, Strand};

/// Sweeps over all columns; more change nothing on maps of the size that academies have.
const SWEEPS: usize = 6;

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
    /// The stage that is needed; nothing if it only helps.
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

/// Lays a map out; nothing if it has a circle. Skills of a band that is not named stand in the last one.
///
/// Time: O(sweeps × lines × log skills).
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
    for skill in order {
        let same = map.needs(skill).filter(|(need, _)| band_of[*need] == band_of[skill]);
        inside[skill] = same.map(|(need, _)| inside[need] + 1).max().unwrap_or(0);
    }
    let widths: Vec<u32> = (0..bands.len())
        .map(|band| {
            (0..map.skills.len()).filter(|s| band_of[*s] == band).map(|s| inside[s] + 1).max().unwrap_or(1)
        })
        .collect();
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

fn lines(map: &Map<'_>) -> Vec<Line> {
    let line = |from: &str, to: &str, stage| Line { from: from.to_owned(), to: to.to_owned(), stage };
    let hard = |skill: &crate::skill::Skill| -> Vec<Line> {
        skill.all_needs().map(|need| line(&need.skill, &skill.id, Some(need.stage))).collect()
    };
    let soft = |skill: &crate::skill::Skill| -> Vec<Line> {
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
    let mut best = (crossings(map, &stacks), stacks.clone());
    for sweep in 0..SWEEPS {
        let heights = heights(&stacks, map.skills.len());
        for stack in stacks.values_mut() {
            let mean = |skill: &usize| {
                // To the right one looks at what is needed, to the left at what needs it.
                let near: Vec<f64> = if sweep % 2 == 0 {
                    map.needs(*skill).map(|(other, _)| heights[other]).collect()
                } else {
                    map.needed_by(*skill).map(|(other, _)| heights[other]).collect()
                };
                if near.is_empty() { heights[*skill] } else { near.iter().sum::<f64>() / near.len() as f64 }
            };
            // Equal means keep their order, so that a small change moves little.
            stack.sort_by(|a, b| mean(a).total_cmp(&mean(b)));
        }
        let crossed = crossings(map, &stacks);
        if crossed < best.0 {
            best = (crossed, stacks.clone());
        }
    }
    best.1
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

/// Lines that cross, counted between lines that begin in the same column and end in the same column.
fn crossings(map: &Map<'_>, stacks: &Stacks) -> usize {
    let heights = heights(stacks, map.skills.len());
    let mut column = vec![0; map.skills.len()];
    for ((at, _), stack) in stacks {
        stack.iter().for_each(|skill| column[*skill] = *at);
    }
    let mut between: BTreeMap<(u32, u32), Vec<(f64, f64)>> = BTreeMap::new();
    for skill in 0..map.skills.len() {
        for (need, _) in map.needs(skill) {
            between.entry((column[need], column[skill])).or_default().push((heights[need], heights[skill]));
        }
    }
    between.into_values().map(inversions).sum()
}

/// Pairs of lines of which one begins above and ends below the other, counted by merging. Time: O(n log n).
fn inversions(mut lines: Vec<(f64, f64)>) -> usize {
    lines.sort_by(|a, b| a.0.total_cmp(&b.0).then(a.1.total_cmp(&b.1)));
    let mut ends: Vec<f64> = lines.into_iter().map(|(_, end)| end).collect();
    merge_count(&mut ends)
}

fn merge_count(ends: &mut [f64]) -> usize {
    if ends.len() < 2 {
        return 0;
    }
    let middle = ends.len() / 2;
    let mut count = merge_count(&mut ends[..middle]) + merge_count(&mut ends[middle..]);
    let (upper, lower) = (ends[..middle].to_vec(), ends[middle..].to_vec());
    let (mut u, mut l) = (0, 0);
    for end in ends.iter_mut() {
        if l == lower.len() || (u < upper.len() && upper[u] <= lower[l]) {
            *end = upper[u];
            u += 1;
        } else {
            *end = lower[l];
            l += 1;
            count += upper.len() - u;
        }
    }
    count
}
