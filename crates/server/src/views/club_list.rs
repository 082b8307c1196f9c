//! A club list beside what is there: which clubs and teams are new, and who is invited.

use jogo_core::academy::club_list::{ClubRow, ClubRowFault, ListedTeam, folded};
use jogo_store::academy::clubs::Club;
use jogo_store::academy::listed::KnownCoaches;
use jogo_store::academy::teams::Team;
use jogo_store::people::Role;
use serde::Serialize;
use utoipa::ToSchema;

use crate::problem::Answer;
use crate::state::State;

/// A line of a club list, and what comes of it.
#[derive(Serialize, ToSchema)]
pub struct ClubRowView {
    #[serde(flatten)]
    row: ClubRow,
    /// Whether the club is added.
    new_club: bool,
    /// Whether the team is added.
    new_team: bool,
    /// Who is invited by it.
    invited: Vec<String>,
}

/// What a club list would add.
#[derive(Serialize, ToSchema)]
pub struct ClubListPreview {
    rows: Vec<ClubRowView>,
    /// Lines that can be taken.
    good: usize,
    /// Lines with something wrong.
    faulty: usize,
}

/// Everybody who coaches or is invited, by folded name.
pub async fn known_coaches(state: &State) -> Answer<KnownCoaches> {
    let people = state.store.people().await?.into_iter().filter(|person| person.role == Role::Coach);
    let open = state.store.open_invitations(state.clock.now()).await?.into_iter();
    let open = open.filter(|invitation| invitation.role == Role::Coach);
    Ok(KnownCoaches {
        here: people.map(|person| (folded(&person.name), person.id)).collect(),
        invited: open.map(|invitation| (folded(&invitation.name), invitation.id)).collect(),
    })
}

impl ClubListPreview {
    /// Of the lines of a list.
    pub async fn of(state: &State, rows: Vec<ClubRow>) -> Answer<ClubListPreview> {
        let (clubs, known) = (state.store.clubs().await?, known_coaches(state).await?);
        let rows: Vec<ClubRowView> =
            rows.into_iter().map(|row| ClubRowView::of(row, &clubs, &known)).collect();
        let good = rows.iter().filter(|view| view.row.team.is_some()).count();
        Ok(ClubListPreview { good, faulty: rows.len() - good, rows })
    }
}

/// The team of a line, if the academy has it already.
fn there<'a>(listed: &ListedTeam, clubs: &'a [Club]) -> Option<&'a Team> {
    let club = clubs.iter().find(|club| folded(&club.name) == folded(&listed.club))?;
    let mut teams = club.teams.iter().map(|each| &each.team);
    teams.find(|team| folded(&team.name) == folded(&listed.team))
}

/// A team keeps its band: a line that says another one is wrong.
pub fn other_band(listed: &ListedTeam, clubs: &[Club]) -> Option<ClubRowFault> {
    let band = &there(listed, clubs)?.band;
    (*band != listed.band).then(|| ClubRowFault::HasBand { band: band.to_string() })
}

impl ClubRowView {
    fn of(mut row: ClubRow, clubs: &[Club], known: &KnownCoaches) -> ClubRowView {
        let Some(listed) = row.team.take() else {
            return ClubRowView { row, new_club: false, new_team: false, invited: Vec::new() };
        };
        let there = there(&listed, clubs);
        if let Some(fault) = other_band(&listed, clubs) {
            row.errors.push(fault.into());
            return ClubRowView { row, new_club: false, new_team: false, invited: Vec::new() };
        }
        let names = listed.coaches.iter().map(|coach| &coach.name);
        let invited = names.filter(|name| !known.has(name)).cloned().collect();
        let new_club = clubs.iter().all(|club| folded(&club.name) != folded(&listed.club));
        let new_team = there.is_none();
        row.team = Some(listed);
        ClubRowView { row, new_club, new_team, invited }
    }
}
