//! The season change: in which team does every child go on?
//!
//! On the day on which ages count, a child belongs to the band of its age. Whoever grows out of a band goes on in a
//! team of the next one in the same club. Children of one team stay together if one team has room for all of them;
//! where the teams have no room left, a new one is proposed. Whoever is too old for every band leaves. Nothing changes
//! before the proposal is confirmed, and what somebody says of a child goes before its age.
//!
//! ```
//! use jogo_core::academy::band::{Band, CutOff};
//! use jogo_core::season::change::{Change, ChangeWish, Child, GoesTo, Squad};
//! use uuid::Uuid;
//!
//! let bands: Vec<Band> = serde_json::from_str(include_str!("../../../../demo/bands.json")).unwrap();
//! let child = |id, name: &str, born: &str| Child {
//!     id: Uuid::from_u128(id), name: name.into(), born: born.parse().unwrap(),
//! };
//! let squad = |id, band: &str, children| Squad {
//!     id: Uuid::from_u128(id),
//!     name: format!("Harbour Lane {band}"),
//!     club: "Harbour Lane".into(),
//!     band: band.parse().unwrap(),
//!     coached: true,
//!     children,
//! };
//! let squads = [
//!     squad(1, "u8-u9", vec![child(11, "Una", "2022-05"), child(12, "Olo", "2023-05")]),
//!     squad(2, "u10-u12", vec![]),
//! ];
//! // On 1 January 2032 Una is nine years old, Olo eight.
//! let wish = ChangeWish { year: 2032, most: 16, said: vec![] };
//! let change = Change::propose(&squads, &bands, CutOff::default(), &wish);
//! assert_eq!(change.moves.len(), 1);
//! assert_eq!(change.moves[0].player, Uuid::from_u128(11));
//! assert_eq!(change.moves[0].goes, GoesTo::Team { team: Uuid::from_u128(2) });
//! ```

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};
use uuid::Uuid;

use crate::academy::band::{Band, CutOff};
use crate::academy::roster::BirthMonth;
use crate::fact::{Fact, facts};
use crate::ids::BandId;
use crate::input::{InputError, RangeFault};

facts! {
    /// What somebody should know before a season change is confirmed.
    pub enum ChangeFound {
        TooMany = "season-change-too-many" { team: String, players: usize, most: u32 },
        Empty = "season-change-empty" { team: String },
        NoCoach = "season-change-no-coach" { team: String },
        OneName = "season-change-one-name" { name: String, team: String },
        OutOfAges = "season-change-out-of-ages" { players: usize, team: String },
        NoBand = "season-change-no-band" { players: usize, team: String },
        Unsure = "season-change-unsure" { players: usize },
    }
}

/// A team before the change.
#[derive(Clone, Debug, PartialEq)]
pub struct Squad {
    /// Which.
    pub id: Uuid,
    /// Its name.
    pub name: String,
    /// Its club, by name.
    pub club: String,
    /// Its band.
    pub band: BandId,
    /// Whether somebody coaches it.
    pub coached: bool,
    /// Its squad, in its order.
    pub children: Vec<Child>,
}

/// A child in a squad.
#[derive(Clone, Debug, PartialEq)]
pub struct Child {
    /// Who.
    pub id: Uuid,
    /// The name that is shown.
    pub name: String,
    /// When they were born.
    pub born: BirthMonth,
}

/// What is wished of a season change.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct ChangeWish {
    /// Ages count on the academy's cut-off day of this year.
    pub year: i16,
    /// The most children of a team.
    pub most: u32,
    /// What was said of single children.
    pub said: Vec<Exception>,
}

/// What was said of one child.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Exception {
    /// Of whom.
    pub player: Uuid,
    /// The team in which they go on, which may be their own; absent if they leave the academy.
    pub team: Option<Uuid>,
}

/// Where a child goes on.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum GoesTo {
    /// In a team that there is.
    Team {
        /// Which.
        team: Uuid,
    },
    /// In a new team.
    New {
        /// Its place among the new ones, from 0.
        at: usize,
    },
    /// They leave the academy.
    Leaves,
}

/// One child of whom something changes, or of whom somebody said that nothing does.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct Move {
    /// Who.
    pub player: Uuid,
    /// The name that is shown.
    pub name: String,
    /// Their team before.
    pub from: Uuid,
    /// Their age on the day on which ages count, in years.
    pub age: i16,
    /// Where they go on.
    pub goes: GoesTo,
    /// Whether somebody said so; else their age does.
    pub said: bool,
}

/// A team that is proposed because the others have no room.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct NewTeam {
    /// Its name: that of the club and of the band, with a number if there is such a team already.
    pub name: String,
    /// Its club, by name.
    pub club: String,
    /// Its band.
    pub band: BandId,
    /// The team that its first children come from.
    pub like: Uuid,
    /// Whether it takes over the coaches and times of that team, in which nobody stays.
    pub takes_over: bool,
    /// How many children it has.
    pub players: usize,
}

/// How many children a team has.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
pub struct Size {
    /// Which team.
    pub team: Uuid,
    /// Before the change.
    pub before: usize,
    /// After it.
    pub after: usize,
}

/// Something that somebody should know.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ChangeFinding {
    /// What it is.
    pub says: Fact,
    /// Whether the change cannot be made before it is mended.
    pub stops: bool,
}

/// A proposed season change.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct Change {
    /// Team by team, in the order of the squads.
    pub moves: Vec<Move>,
    /// The teams that are added.
    pub new_teams: Vec<NewTeam>,
    /// How many children the teams have, in their order.
    pub sizes: Vec<Size>,
    /// What somebody should know: first what stops the change.
    pub findings: Vec<ChangeFinding>,
}

impl ChangeWish {
    /// Every fault, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let numbers = [
            ("/year", RangeFault::Between { value: f64::from(self.year), least: 1900.0, most: 2200.0 }),
            ("/most", RangeFault::Between { value: f64::from(self.most), least: 1.0, most: 60.0 }),
        ];
        let wrong = numbers.into_iter().filter(|(_, fault)| !fault.holds());
        wrong.map(|(at, fault)| InputError::at(at, fault)).collect()
    }
}

/// Where a child of a known age belongs.
enum Belongs<'b> {
    /// In a band.
    In(&'b BandId),
    /// In none any more.
    GrownOut,
    /// Between two bands, or below the youngest.
    Nowhere,
}

fn belongs<'b>(age: i16, own: &BandId, bands: &'b [Band]) -> Belongs<'b> {
    let has = |band: &&Band| (i16::from(band.youngest)..=i16::from(band.oldest)).contains(&age);
    let fitting = || bands.iter().filter(has);
    let found = fitting().find(|band| band.id == *own).or_else(|| fitting().min_by_key(|band| band.youngest));
    match found {
        Some(band) => Belongs::In(&band.id),
        None if bands.iter().all(|band| i16::from(band.oldest) < age) => Belongs::GrownOut,
        None => Belongs::Nowhere,
    }
}

/// Children who are seated together: of one team, going on in one band.
struct Group {
    from: usize,
    band: BandId,
    /// Places among the moves.
    moves: Vec<usize>,
}

/// A change that is being put together.
struct Seating<'a> {
    squads: &'a [Squad],
    bands: &'a [Band],
    most: usize,
    /// Children by team, those that there are first, then the new ones.
    sizes: Vec<usize>,
    new_teams: Vec<NewTeam>,
    moves: Vec<Move>,
}

impl Change {
    /// The change of a season. `squads` are all teams of the academy, by club and name. An exception for somebody who is
    /// in none of them, or with a team that does not exist, is ignored.
    pub fn propose(squads: &[Squad], bands: &[Band], cut_off: CutOff, wish: &ChangeWish) -> Change {
        let place: BTreeMap<Uuid, usize> =
            squads.iter().enumerate().map(|(at, squad)| (squad.id, at)).collect();
        let is_known = |exception: &&Exception| exception.team.is_none_or(|team| place.contains_key(&team));
        let said: BTreeMap<Uuid, Option<Uuid>> =
            wish.said.iter().filter(is_known).map(|each| (each.player, each.team)).collect();
        let mut seating = Seating {
            squads,
            bands,
            most: wish.most.max(1) as usize,
            sizes: squads.iter().map(|squad| squad.children.len()).collect(),
            new_teams: Vec::new(),
            moves: Vec::new(),
        };
        let mut groups: Vec<Group> = Vec::new();
        let mut nowhere = vec![0; squads.len()];
        let mut unsure = 0;
        for (from, squad) in squads.iter().enumerate() {
            for child in &squad.children {
                let age = cut_off.age(child.born, wish.year);
                let mut moves = |goes, said| {
                    let (player, name) = (child.id, child.name.clone());
                    seating.moves.push(Move { player, name, from: squad.id, age, goes, said });
                    seating.moves.len() - 1
                };
                match (said.get(&child.id), belongs(age, &squad.band, bands)) {
                    (Some(Some(team)), _) => {
                        moves(GoesTo::Team { team: *team }, true);
                        seating.sizes[from] -= 1;
                        seating.sizes[place[team]] += 1;
                        continue;
                    }
                    (Some(None), _) => {
                        moves(GoesTo::Leaves, true);
                        seating.sizes[from] -= 1;
                        continue;
                    }
                    (None, Belongs::In(band)) if *band == squad.band => (),
                    (None, Belongs::In(band)) => {
                        // Where is decided once all groups are known.
                        let at = moves(GoesTo::Leaves, false);
                        seating.sizes[from] -= 1;
                        match groups.iter_mut().rev().find(|group| group.from == from && group.band == *band)
                        {
                            Some(group) => group.moves.push(at),
                            None => groups.push(Group { from, band: band.clone(), moves: vec![at] }),
                        }
                    }
                    (None, Belongs::GrownOut) => {
                        moves(GoesTo::Leaves, false);
                        seating.sizes[from] -= 1;
                    }
                    (None, Belongs::Nowhere) => nowhere[from] += 1,
                }
                unsure += usize::from(cut_off.is_unsure(child.born));
            }
        }
        for group in groups {
            seating.seat(&group);
        }
        seating.take_over();
        let findings = seating.findings(&nowhere, unsure, wish.most);
        let Seating { sizes, new_teams, moves, .. } = seating;
        let sizes = squads.iter().zip(sizes).map(|(squad, after)| {
            let before = squad.children.len();
            Size { team: squad.id, before, after }
        });
        Change { moves, new_teams, sizes: sizes.collect(), findings }
    }
}

impl Seating<'_> {
    /// The teams of a club and band, by their places among the sizes.
    fn teams(&self, club: &str, band: &BandId) -> Vec<usize> {
        let old = self.squads.iter().map(|squad| (&squad.club, &squad.band));
        let all = old.chain(self.new_teams.iter().map(|team| (&team.club, &team.band)));
        let here = all.enumerate().filter(|(_, (of, its))| *of == club && *its == band);
        here.map(|(at, _)| at).collect()
    }

    /// Finds a team for a group: the smallest that has room for all; else the teams are filled, the smallest first, as
    /// long as they have room for all together; else a new team is added.
    fn seat(&mut self, group: &Group) {
        let club = &self.squads[group.from].club;
        let mut left: &[usize] = &group.moves;
        while !left.is_empty() {
            let room = |at: &usize| self.most.saturating_sub(self.sizes[*at]);
            let teams = self.teams(club, &group.band);
            let all_fit = teams.iter().map(room).sum::<usize>() >= left.len();
            let one_fits = teams.iter().copied().filter(|at| room(at) >= left.len());
            let emptiest = || teams.iter().copied().filter(|at| all_fit && room(at) > 0);
            let at = match one_fits.min_by_key(|at| self.sizes[*at]) {
                Some(at) => at,
                None => match emptiest().min_by_key(|at| self.sizes[*at]) {
                    Some(at) => at,
                    None => self.add_team(group),
                },
            };
            let (now, later) = left.split_at(left.len().min(self.most.saturating_sub(self.sizes[at])));
            for moved in now {
                self.moves[*moved].goes = self.named(at);
            }
            self.sizes[at] += now.len();
            left = later;
        }
    }

    fn named(&self, at: usize) -> GoesTo {
        match self.squads.get(at) {
            Some(squad) => GoesTo::Team { team: squad.id },
            None => GoesTo::New { at: at - self.squads.len() },
        }
    }

    fn add_team(&mut self, group: &Group) -> usize {
        let Squad { club, id: like, .. } = &self.squads[group.from];
        let band = self.bands.iter().find(|band| band.id == group.band);
        let plain = format!("{club} {}", band.map_or(group.band.as_str(), |band| &band.name));
        let old = self.squads.iter().filter(|squad| squad.club == *club).map(|squad| &squad.name);
        let taken: Vec<&String> = old.chain(self.new_teams.iter().map(|team| &team.name)).collect();
        let numbered = (2..).map(|n| format!("{plain} {n}"));
        let name = std::iter::once(plain.clone()).chain(numbered).find(|name| !taken.contains(&name));
        self.new_teams.push(NewTeam {
            name: name.unwrap_or(plain),
            club: club.clone(),
            band: group.band.clone(),
            like: *like,
            takes_over: false,
            players: 0,
        });
        self.sizes.push(0);
        self.sizes.len() - 1
    }

    /// New teams take over from a team in which nobody stays, one from each.
    fn take_over(&mut self) {
        let mut left_over: Vec<Uuid> = Vec::new();
        for (at, squad) in self.squads.iter().enumerate() {
            if self.sizes[at] == 0 && !squad.children.is_empty() {
                left_over.push(squad.id);
            }
        }
        for (at, team) in self.new_teams.iter_mut().enumerate() {
            team.players = self.sizes[self.squads.len() + at];
            if let Some(found) = left_over.iter().position(|id| *id == team.like) {
                team.takes_over = true;
                left_over.swap_remove(found);
            }
        }
    }

    fn findings(&self, nowhere: &[usize], unsure: usize, most: u32) -> Vec<ChangeFinding> {
        let mut found: Vec<ChangeFinding> = Vec::new();
        let mut says = |fact: ChangeFound| {
            let stops = matches!(fact, ChangeFound::OneName { .. });
            found.push(ChangeFinding { says: fact.into(), stops });
        };
        let new = self.new_teams.iter().map(|team| &team.name);
        let names: Vec<&String> = self.squads.iter().map(|squad| &squad.name).chain(new).collect();
        for (at, in_team) in self.seated().into_iter().enumerate() {
            let team = names[at].clone();
            if in_team.len() > self.most {
                says(ChangeFound::TooMany { team: team.clone(), players: in_team.len(), most });
            }
            let mut sorted: Vec<String> = in_team.iter().map(|name| name.to_lowercase()).collect();
            sorted.sort();
            for pair in sorted.windows(2).filter(|pair| pair[0] == pair[1]) {
                let name = in_team.iter().find(|name| name.to_lowercase() == pair[0]);
                let name = name.map_or_else(|| pair[0].clone(), |name| (*name).to_owned());
                says(ChangeFound::OneName { name, team: team.clone() });
            }
            let Some(squad) = self.squads.get(at) else {
                if !self.new_teams[at - self.squads.len()].takes_over || !self.like_is_coached(at) {
                    says(ChangeFound::NoCoach { team });
                }
                continue;
            };
            if in_team.is_empty() && !squad.children.is_empty() {
                says(ChangeFound::Empty { team: team.clone() });
            }
            if !squad.coached && !in_team.is_empty() {
                says(ChangeFound::NoCoach { team: team.clone() });
            }
            let out = self.moves.iter().filter(|moved| self.is_out_of_ages(moved, squad)).count();
            if out > 0 {
                says(ChangeFound::OutOfAges { players: out, team: team.clone() });
            }
            if nowhere[at] > 0 {
                says(ChangeFound::NoBand { players: nowhere[at], team });
            }
        }
        if unsure > 0 {
            says(ChangeFound::Unsure { players: unsure });
        }
        found.sort_by_key(|finding| !finding.stops);
        found
    }

    fn like_is_coached(&self, at: usize) -> bool {
        let like = self.new_teams[at - self.squads.len()].like;
        self.squads.iter().any(|squad| squad.id == like && squad.coached)
    }

    /// Whether somebody said that a child goes on in a team for whose band they are too young or too old.
    fn is_out_of_ages(&self, moved: &Move, squad: &Squad) -> bool {
        let band = self.bands.iter().find(|band| band.id == squad.band);
        let ages = band.map(|band| i16::from(band.youngest)..=i16::from(band.oldest));
        moved.said
            && moved.goes == GoesTo::Team { team: squad.id }
            && ages.is_some_and(|ages| !ages.contains(&moved.age))
    }

    /// The names of the children of every team after the change.
    fn seated(&self) -> Vec<Vec<&str>> {
        let mut all = vec![Vec::new(); self.sizes.len()];
        let place: BTreeMap<Uuid, usize> =
            self.squads.iter().enumerate().map(|(at, squad)| (squad.id, at)).collect();
        let moved: BTreeMap<Uuid, GoesTo> = self.moves.iter().map(|each| (each.player, each.goes)).collect();
        for (at, squad) in self.squads.iter().enumerate() {
            for child in &squad.children {
                let goes = moved.get(&child.id).copied().unwrap_or(GoesTo::Team { team: squad.id });
                let at = match goes {
                    GoesTo::Team { team } => place.get(&team).copied().unwrap_or(at),
                    GoesTo::New { at } => self.squads.len() + at,
                    GoesTo::Leaves => continue,
                };
                all[at].push(child.name.as_str());
            }
        }
        all
    }
}
