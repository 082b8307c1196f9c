//! A season change as it is proposed, club by club, and those that were made.

use std::collections::BTreeMap;

use jogo_core::academy::band::CutOff;
use jogo_core::ids::BandId;
use jogo_core::season::change::{Change, ChangeFinding, ChangeWish, Child, GoesTo, Move, Squad};
use jogo_core::season::year::Year;
use jogo_store::academy::clubs::Club;
use jogo_store::season::changes::{MadeChange, Moved, TeamAdded};
use serde::Serialize;
use sha2::{Digest, Sha256};
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::state::State;

/// What a season change begins with.
#[derive(Serialize, ToSchema)]
pub struct ChangeStart {
    /// As most would wish it.
    usual: ChangeWish,
    /// The days on which ages may count.
    days: Vec<AgesOn>,
    /// The changes that were made for this season, the last one first.
    made: Vec<MadeView>,
}

/// A day on which ages may count.
#[derive(Serialize, ToSchema)]
pub struct AgesOn {
    year: i16,
    day: String,
}

/// A change that was made.
#[derive(Serialize, ToSchema)]
pub struct MadeView {
    id: Uuid,
    on: String,
    by: String,
    moved: i64,
    left: i64,
    is_taken_back: bool,
    /// Whether it can be taken back: until something is logged or measured of its children or in their new teams.
    may_take_back: bool,
}

impl From<MadeChange> for MadeView {
    fn from(made: MadeChange) -> MadeView {
        let MadeChange { id, on, by, moved, left, is_taken_back, is_logged } = made;
        let may_take_back = !is_taken_back && !is_logged;
        MadeView { id, on: on.to_string(), by, moved, left, is_taken_back, may_take_back }
    }
}

/// A proposed season change.
#[derive(Serialize, ToSchema)]
pub struct ChangeView {
    /// The day on which ages count.
    ages_on: String,
    moved: usize,
    leaving: usize,
    findings: Vec<ChangeFinding>,
    clubs: Vec<ClubChange>,
    /// Names exactly this proposal: whoever confirms it says so.
    stamp: String,
}

/// What changes in a club.
#[derive(Serialize, ToSchema)]
pub struct ClubChange {
    name: String,
    teams: Vec<TeamChange>,
}

/// What changes in a team.
#[derive(Serialize, ToSchema)]
pub struct TeamChange {
    /// Absent of a team that is added.
    id: Option<Uuid>,
    name: String,
    band: String,
    /// Who coaches it after the change.
    coaches: Vec<String>,
    before: usize,
    after: usize,
    /// Who goes from it, or stays because somebody said so.
    moves: Vec<ChildMove>,
}

/// What changes for a child.
#[derive(Serialize, ToSchema)]
pub struct ChildMove {
    player: Uuid,
    name: String,
    age: i16,
    goes: GoesTo,
    /// The team in which they go on, by name; absent if they leave.
    to: Option<String>,
    said: bool,
}

impl ChangeStart {
    /// For a season.
    pub async fn of(state: &State, season: (Uuid, &Year)) -> Answer<ChangeStart> {
        let cut_off = state.store.settings().await?.0.cut_off;
        let largest =
            state.store.clubs().await?.iter().flat_map(|club| &club.teams).map(|team| team.players).max();
        let most = u32::try_from(largest.unwrap_or_default()).unwrap_or(u32::MAX).clamp(16, 60);
        let year = cut_off.nearest(season.1.first);
        let day = |year| AgesOn { year, day: day_of(cut_off, year) };
        let made = state.store.season_changes(season.0).await?;
        Ok(ChangeStart {
            usual: ChangeWish { year, most, said: Vec::new() },
            days: [year - 1, year, year + 1].map(day).into(),
            made: made.into_iter().map(MadeView::from).collect(),
        })
    }
}

fn day_of(cut_off: CutOff, year: i16) -> String {
    cut_off.in_year(year).to_string()
}

/// A change with what it is proposed for.
pub struct Proposed {
    change: Change,
    ages_on: String,
    clubs: Vec<Club>,
    band_names: BTreeMap<BandId, String>,
}

impl Proposed {
    /// For the academy as it is.
    pub async fn of(state: &State, wish: &ChangeWish) -> Answer<Proposed> {
        let cut_off = state.store.settings().await?.0.cut_off;
        let bands: Vec<_> = state.store.bands().await?.into_iter().map(|kept| kept.band).collect();
        let clubs = state.store.clubs().await?;
        let mut children: BTreeMap<Uuid, Vec<Child>> = BTreeMap::new();
        for (team, player) in state.store.all_players().await? {
            let child = Child { id: player.id, name: player.about.name, born: player.about.birth_month };
            children.entry(team).or_default().push(child);
        }
        let staffed = clubs.iter().flat_map(|club| &club.teams);
        let squads: Vec<Squad> = staffed
            .map(|staffed| Squad {
                id: staffed.team.id,
                name: staffed.team.name.clone(),
                club: staffed.team.club.clone(),
                band: staffed.team.band.clone(),
                coached: !staffed.coaches.is_empty(),
                children: children.remove(&staffed.team.id).unwrap_or_default(),
            })
            .collect();
        let change = Change::propose(&squads, &bands, cut_off, wish);
        let band_names = bands.into_iter().map(|band| (band.id, band.name)).collect();
        Ok(Proposed { change, ages_on: day_of(cut_off, wish.year), clubs, band_names })
    }

    /// Names exactly this proposal.
    pub fn stamp(&self) -> Answer<String> {
        let json = serde_json::to_vec(&self.change).map_err(|e| Problem::internal(&e))?;
        let digest = Sha256::digest(json);
        Ok(digest.iter().take(16).map(|byte| format!("{byte:02x}")).collect())
    }

    /// What has to be mended before it can be made.
    pub fn stopped_by(&self) -> impl Iterator<Item = &ChangeFinding> {
        self.change.findings.iter().filter(|finding| finding.stops)
    }

    /// As it is read.
    pub fn view(&self) -> Answer<ChangeView> {
        let leaving = |each: &&Move| each.goes == GoesTo::Leaves;
        let moved = |each: &&Move| !leaving(each) && each.goes != GoesTo::Team { team: each.from };
        let all = &self.change.moves;
        Ok(ChangeView {
            ages_on: self.ages_on.clone(),
            moved: all.iter().filter(moved).count(),
            leaving: all.iter().filter(leaving).count(),
            findings: self.change.findings.clone(),
            clubs: self.clubs.iter().map(|club| self.of_club(club)).collect(),
            stamp: self.stamp()?,
        })
    }

    fn of_club(&self, club: &Club) -> ClubChange {
        let mut moves: BTreeMap<Uuid, Vec<ChildMove>> = BTreeMap::new();
        let own = |team: Uuid| club.teams.iter().any(|staffed| staffed.team.id == team);
        for each in self.change.moves.iter().filter(|each| own(each.from)) {
            moves.entry(each.from).or_default().push(self.of_child(each));
        }
        let band = |id: &BandId| self.band_names.get(id).cloned().unwrap_or_else(|| id.to_string());
        let new: Vec<_> = self.change.new_teams.iter().filter(|team| team.club == club.name).collect();
        let names_of = |team: Uuid| -> Vec<String> {
            let staffed = club.teams.iter().find(|staffed| staffed.team.id == team);
            staffed
                .map(|each| each.coaches.iter().map(|coach| coach.name.clone()).collect())
                .unwrap_or_default()
        };
        let gives = |team: Uuid| new.iter().any(|each| each.takes_over && each.like == team);
        let there = club.teams.iter().map(|staffed| {
            let id = staffed.team.id;
            let size = self.change.sizes.iter().find(|size| size.team == id);
            TeamChange {
                id: Some(id),
                name: staffed.team.name.clone(),
                band: band(&staffed.team.band),
                coaches: if gives(id) { Vec::new() } else { names_of(id) },
                before: size.map_or(0, |size| size.before),
                after: size.map_or(0, |size| size.after),
                moves: moves.remove(&id).unwrap_or_default(),
            }
        });
        let mut teams: Vec<TeamChange> = there.collect();
        teams.extend(new.iter().map(|added| TeamChange {
            id: None,
            name: added.name.clone(),
            band: band(&added.band),
            coaches: if added.takes_over { names_of(added.like) } else { Vec::new() },
            before: 0,
            after: added.players,
            moves: Vec::new(),
        }));
        ClubChange { name: club.name.clone(), teams }
    }

    fn of_child(&self, each: &Move) -> ChildMove {
        let to = match each.goes {
            GoesTo::Leaves => None,
            GoesTo::New { at } => self.change.new_teams.get(at).map(|team| team.name.clone()),
            GoesTo::Team { team } => {
                let mut all = self.clubs.iter().flat_map(|club| &club.teams);
                all.find(|staffed| staffed.team.id == team).map(|staffed| staffed.team.name.clone())
            }
        };
        let Move { player, age, goes, said, .. } = *each;
        ChildMove { player, name: each.name.clone(), age, goes, to, said }
    }

    /// As it is kept: the teams that are added, with ids, and who goes where.
    pub fn kept(&self) -> (Vec<TeamAdded>, Vec<Moved>) {
        let added = self.change.new_teams.iter().map(|team| TeamAdded {
            id: Uuid::now_v7(),
            name: team.name.clone(),
            band: team.band.clone(),
            like: team.like,
            takes_over: team.takes_over,
        });
        let added: Vec<TeamAdded> = added.collect();
        let moved = self.change.moves.iter().map(|each| {
            let to = match each.goes {
                GoesTo::Leaves => None,
                GoesTo::Team { team } => Some(team),
                GoesTo::New { at } => added.get(at).map(|team| team.id),
            };
            Moved { player: each.player, from: each.from, to }
        });
        let moved = moved.filter(|each| each.to != Some(each.from)).collect();
        (added, moved)
    }
}
