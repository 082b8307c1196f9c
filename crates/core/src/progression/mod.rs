//! Progressions: what rests on what, what opens what, and what is wrong with the map?
//!
//! A [`Map`] is the directed graph of skills: a way leads from each skill to those that need it. Hard needs carry a
//! stage; helps are soft and never hold anything back. [`findings`] says what is wrong with a map and how to mend it,
//! [`lay_out`](sheet) gives every skill its place so that every client draws the same, and [`ways`] answers what a
//! skill rests on, what it opens, and what it costs at least to get there.
//!
//! ```
//! use jogo_core::progression::Map;
//! use jogo_core::technique::skill::Skill;
//!
//! let json = r#"[
//!     {"id": "tap", "name": "Tap", "strand": "ball_mastery", "band": "u6-u7", "needs": []},
//!     {"id": "stop", "name": "Stop", "strand": "ball_mastery", "band": "u6-u7", "needs": [{"skill": "tap", "stage":
//! "flow"}]},
//!     {"id": "turn", "name": "Turn", "strand": "dribbling", "band": "u8-u9", "needs": [{"skill": "stop", "stage":
//! "form"}]} ]"#;
//! let skills: Vec<Skill> = serde_json::from_str(json).unwrap();
//! let map = Map::of(&skills);
//! assert_eq!(map.depths().unwrap(), [0, 1, 2]);
//! assert_eq!(map.circle(), None);
//! ```

pub mod check;
pub mod compare;
pub mod findings;
pub mod sheet;
pub mod techniques;
pub mod ways;

use std::collections::{BTreeMap, HashMap, VecDeque};

use petgraph::algo::{tarjan_scc, toposort};
use petgraph::graph::{DiGraph, NodeIndex};
use petgraph::visit::EdgeRef;

use crate::technique::skill::{Skill, Stage};

/// The skills of a library and the hard needs between them. Needs of skills that are not there are left out.
pub struct Map<'s> {
    /// The skills, in the order in which they were given.
    pub skills: &'s [Skill],
    /// From each skill to those that need it; the weight is the stage that is needed.
    graph: DiGraph<(), Stage>,
    places: HashMap<&'s str, usize>,
}

impl<'s> Map<'s> {
    /// Puts the skills together. Time: O(skills + needs).
    pub fn of(skills: &'s [Skill]) -> Map<'s> {
        let places: HashMap<&str, usize> =
            skills.iter().enumerate().map(|(place, skill)| (skill.id.as_str(), place)).collect();
        let mut graph = DiGraph::with_capacity(skills.len(), skills.len() * 4);
        for _ in skills {
            graph.add_node(());
        }
        for (place, skill) in skills.iter().enumerate() {
            for need in skill.all_needs() {
                if let Some(under) = places.get(need.skill.as_str()) {
                    graph.add_edge(NodeIndex::new(*under), NodeIndex::new(place), need.stage);
                }
            }
        }
        Map { skills, graph, places }
    }

    /// Where a skill is in the list.
    pub fn place(&self, id: &str) -> Option<usize> {
        self.places.get(id).copied()
    }

    /// What a skill needs: place and stage.
    pub fn needs(&self, skill: usize) -> impl Iterator<Item = (usize, Stage)> + '_ {
        self.along(skill, petgraph::Direction::Incoming)
    }

    /// What needs a skill: place and stage.
    pub fn needed_by(&self, skill: usize) -> impl Iterator<Item = (usize, Stage)> + '_ {
        self.along(skill, petgraph::Direction::Outgoing)
    }

    fn along(&self, skill: usize, way: petgraph::Direction) -> impl Iterator<Item = (usize, Stage)> + '_ {
        self.graph.edges_directed(NodeIndex::new(skill), way).map(move |edge| {
            let other = if way == petgraph::Direction::Incoming { edge.source() } else { edge.target() };
            (other.index(), *edge.weight())
        })
    }

    /// The length of the longest chain of hard needs below each skill; `None` if some lead in a circle.
    pub fn depths(&self) -> Option<Vec<usize>> {
        let order = self.order()?;
        let mut depths = vec![0; self.skills.len()];
        for skill in order {
            depths[skill] = self.needs(skill).map(|(under, _)| depths[under] + 1).max().unwrap_or(0);
        }
        Some(depths)
    }

    /// The skills in an order in which every need comes before what needs it; `None` if some lead in a circle.
    fn order(&self) -> Option<Vec<usize>> {
        toposort(&self.graph, None).ok().map(|order| order.into_iter().map(NodeIndex::index).collect())
    }

    /// A circle of hard needs, as places: each needs the one before it, and the first needs the last. The shortest
    /// one through its first skill; `None` if there is no circle.
    pub fn circle(&self) -> Option<Vec<usize>> {
        let turns = |part: &Vec<NodeIndex>| part.len() > 1 || self.graph.contains_edge(part[0], part[0]);
        let part = tarjan_scc(&self.graph).into_iter().find(turns)?;
        let first = part.iter().min()?.index();
        self.shortest(first, first)
    }

    /// The shortest chain from a skill over those that need it to another one, of at least one step. Breadth first.
    fn shortest(&self, from: usize, to: usize) -> Option<Vec<usize>> {
        let mut came: BTreeMap<usize, usize> = BTreeMap::new();
        let mut open = VecDeque::from([from]);
        while let Some(at) = open.pop_front() {
            for (next, _) in self.needed_by(at) {
                if next == to {
                    let mut way = vec![at];
                    while let Some(before) =
                        came.get(&way[way.len() - 1]).filter(|_| way[way.len() - 1] != from)
                    {
                        way.push(*before);
                    }
                    way.reverse();
                    if from != to {
                        way.push(to);
                    }
                    return Some(way);
                }
                if next != from && !came.contains_key(&next) {
                    came.insert(next, at);
                    open.push_back(next);
                }
            }
        }
        None
    }
}
