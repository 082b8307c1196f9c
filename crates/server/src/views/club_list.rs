//! A club list beside what is there: which clubs and teams are new, and who is invited.

use std::collections::btree_map::Entry;
use std::collections::{BTreeMap, BTreeSet};

use jogo_core::academy::club_list::{ClubRow, ClubRowFault, ListedTeam, folded};
use jogo_core::ids::BandId;
use jogo_store::academy::clubs::Club;
use jogo_store::academy::listed::KnownCoaches;
use jogo_store::academy::teams::Team;
use jogo_store::people::Role;
use serde::Serialize;
use utoipa::ToSchema;

use crate::problem::Answer;
use crate::state::State;

/// A row of a club list, and what comes of it.
#[derive(Serialize, ToSchema)]
pub struct ClubRowView {
    #[serde(flatten)]
    row: ClubRow,
    /// Whether it adds the club.
    new_club: bool,
    /// Whether it adds the team.
    new_team: bool,
    /// Whom it invites.
    invited: Vec<String>,
}

/// What a club list would add.
#[derive(Serialize, ToSchema)]
pub struct ClubListPreview {
    rows: Vec<ClubRowView>,
    /// Rows that can be added.
    good: usize,
    /// Rows with something wrong.
    faulty: usize,
}

/// Everybody who coaches or is invited, by folded name.
pub async fn known_coaches(state: &State) -> Answer<KnownCoaches> {
    // A club lead may coach as well.
    let people = state.store.people().await?.into_iter().filter(|person| person.role != Role::Director);
    let open = state.store.open_invitations(state.clock.now()).await?.into_iter();
    let open = open.filter(|invitation| invitation.role == Role::Coach);
    Ok(KnownCoaches {
        here: people.map(|person| (folded(&person.name), person.id)).collect(),
        invited: open.map(|invitation| (folded(&invitation.name), invitation.id)).collect(),
    })
}

impl ClubListPreview {
    /// Of the rows of a list. What a row adds is said once, by the first row that adds it.
    pub async fn of(state: &State, rows: Vec<ClubRow>) -> Answer<ClubListPreview> {
        let mut there = There::of(state).await?;
        let rows: Vec<ClubRowView> = rows.into_iter().map(|row| there.with(row)).collect();
        let good = rows.iter().filter(|view| view.row.team.is_some()).count();
        Ok(ClubListPreview { good, faulty: rows.len() - good, rows })
    }
}

/// What an academy has, by folded names, and what the rows so far add to it.
pub struct There {
    clubs: BTreeSet<String>,
    /// The name of each team's band, by club and team.
    teams: BTreeMap<(String, String), (BandId, String)>,
    coaches: BTreeSet<String>,
}

impl There {
    /// What an academy has.
    pub async fn of(state: &State) -> Answer<There> {
        let (clubs, bands, known) =
            (state.store.clubs().await?, state.store.bands().await?, known_coaches(state).await?);
        let name = |id: &BandId| {
            let kept = bands.iter().find(|kept| kept.band.id == *id);
            kept.map_or_else(|| id.to_string(), |kept| kept.band.name.clone())
        };
        let of_club = |club: &Club| -> Vec<_> {
            let place = |team: &Team| (folded(&club.name), folded(&team.name));
            let teams = club.teams.iter().map(|staffed| &staffed.team);
            teams.map(|team| (place(team), (team.band.clone(), name(&team.band)))).collect()
        };
        Ok(There {
            teams: clubs.iter().flat_map(of_club).collect(),
            clubs: clubs.iter().map(|club| folded(&club.name)).collect(),
            coaches: known.here.into_keys().chain(known.invited.into_keys()).collect(),
        })
    }

    /// A team keeps its band: a row that gives it another one is wrong.
    pub fn other_band(&self, listed: &ListedTeam) -> Option<ClubRowFault> {
        let (id, name) = self.teams.get(&(folded(&listed.club), folded(&listed.team)))?;
        (*id != listed.band).then(|| ClubRowFault::HasBand { band: name.clone() })
    }

    /// What comes of a row; it is there from then on.
    fn with(&mut self, mut row: ClubRow) -> ClubRowView {
        if let Some(fault) = row.team.as_ref().and_then(|listed| self.other_band(listed)) {
            row.errors.push(fault.into());
            row.team = None;
        }
        let Some(listed) = &row.team else {
            return ClubRowView { row, new_club: false, new_team: false, invited: Vec::new() };
        };
        let (club, team) = (folded(&listed.club), folded(&listed.team));
        let names = listed.coaches.iter().map(|coach| &coach.name);
        ClubRowView {
            invited: names.filter(|name| self.coaches.insert(folded(name))).cloned().collect(),
            new_club: self.clubs.insert(club.clone()),
            new_team: match self.teams.entry((club, team)) {
                Entry::Vacant(free) => {
                    free.insert((listed.band.clone(), listed.band.to_string()));
                    true
                }
                Entry::Occupied(_) => false,
            },
            row,
        }
    }
}
