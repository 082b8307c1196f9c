//! Who was there: what that leaves out for a player, and how much of a squad comes.

use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::Date;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::units::Share;
use jogo_store::academy::teams::Team;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::team_sessions::Editions;

/// The skills that a team has met by the end of a day, and of its players those who were away whenever they were shown.
pub async fn not_met_by(
    state: &State,
    team: &Team,
    editions: &Editions,
    on: Date,
) -> Answer<BTreeMap<Uuid, BTreeSet<SkillId>>> {
    let away = state.store.away(team.id).await?;
    let mut by_player: BTreeMap<Uuid, BTreeSet<SkillId>> = BTreeMap::new();
    for own in editions.values().filter_map(|editions| editions.last()) {
        let problem = own.edition.problem().map_err(Problem::input)?;
        let been = problem.sessions.iter().take_while(|session| session.date <= on).count();
        for (skill, players) in own.edition.not_met(&problem, &own.said, been, &away) {
            for player in players {
                by_player.entry(player).or_default().insert(skill.clone());
            }
        }
    }
    Ok(by_player)
}

/// How much of the squads comes to a session, by what was said of who was there.
#[derive(Serialize, ToSchema)]
pub struct Turnout {
    share: Share,
    /// Sessions of which it was said.
    sessions: u32,
}

impl Turnout {
    /// Of the squads of a band, from a day on; `None` until anybody has said who was there.
    pub async fn of(state: &State, band: &BandId, from: Date) -> Answer<Option<Turnout>> {
        let (mut came, mut all, mut sessions) = (0, 0, 0);
        for team in state.store.teams().await?.into_iter().filter(|team| team.band == *band) {
            for (there, missing) in
                state.store.attendance(team.id).await?.range(from..).map(|(_, said)| *said)
            {
                (came, all, sessions) = (came + there, all + there + missing, sessions + 1);
            }
        }
        let share = || Share(f64::from(came) / f64::from(all));
        Ok((all > 0).then(|| Turnout { share: share(), sessions }))
    }
}
