//! Rights: who may do what?

use jogo_store::people::Role;

/// Something that a request does.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Act {
    /// Read drills, try layouts.
    SeeLibrary,
    /// Write, copy, change and put away drills.
    KeepLibrary,
    /// Change what holds for the whole academy and its bands.
    SetUp,
    /// Change curricula, solve, publish.
    Plan,
    /// See delivery and levels of clubs: of all, or of those that one leads.
    Review,
    /// See a team: one's own, or any of the clubs that one may review.
    SeeTeam,
    /// Give a team days and a ground of its own.
    SetTeam,
    /// Say when and where a team meets.
    SetTimes,
    /// Keep the halls and pitches of a club.
    KeepPlaces,
    /// Add clubs and teams, invite people.
    KeepPeople,
    /// Correct, take out and erase players: of one's own teams, or of any of the clubs that one may review.
    KeepPlayers,
    /// Read what was done by whom.
    Audit,
    /// Run its sessions, keep its squad, take its tests.
    Coach,
}

/// The one table of rights.
const TABLE: [(Act, &[Role]); 13] = [
    (Act::SeeLibrary, &[Role::Director, Role::ClubLead, Role::Coach]),
    (Act::KeepLibrary, &[Role::Director]),
    (Act::SetUp, &[Role::Director]),
    (Act::Plan, &[Role::Director]),
    (Act::Review, &[Role::Director, Role::ClubLead]),
    (Act::SeeTeam, &[Role::Director, Role::ClubLead, Role::Coach]),
    (Act::SetTeam, &[Role::Director, Role::ClubLead, Role::Coach]),
    (Act::SetTimes, &[Role::Director, Role::ClubLead, Role::Coach]),
    (Act::KeepPlaces, &[Role::Director, Role::ClubLead]),
    (Act::KeepPeople, &[Role::Director]),
    (Act::KeepPlayers, &[Role::Director, Role::ClubLead, Role::Coach]),
    (Act::Audit, &[Role::Director]),
    (Act::Coach, &[Role::ClubLead, Role::Coach]),
];

/// Whether a role may do something.
pub fn may(role: Role, act: Act) -> bool {
    TABLE.iter().any(|(listed, roles)| *listed == act && roles.contains(&role))
}
