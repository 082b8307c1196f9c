//! How many players of a team stand on each level and have each milestone: read from what is kept, or recomputed
//! and kept.

use actix_web::web::Data;
use jogo_core::ids::BandId;
use jogo_store::Store;
use jogo_store::academy::teams::Team;
use jogo_store::assessment::levels::{KeptLevels, TeamCounts};

use crate::problem::Answer;
use crate::state::State;
use crate::views::assessment::{Assessment, Yardsticks};
use crate::worked_out::{Progress, WorkedOut};

/// The counts of all teams of a band.
pub type OfTeams = Vec<(Team, TeamCounts)>;

/// The counts of all teams of a band, aside if that takes long.
pub async fn of_band(state: &Data<State>, band: &BandId) -> Answer<WorkedOut<OfTeams>> {
    let (aside, of, stamp) = (state.clone(), band.clone(), state.stamp(&()).await?);
    let work = move |progress| async move { of_teams(&aside.store, &of, &progress).await };
    state.aside.results().of(band.clone(), stamp, work).await
}

/// The counts of all teams of a band. What is not kept is worked out and kept.
pub async fn of_teams(store: &Store, band: &BandId, progress: &Progress) -> Answer<OfTeams> {
    let (kept, yardsticks) = (store.kept_levels(band).await?, Yardsticks::of_levels(store, band).await?);
    progress.of(kept.len());
    let mut all = Vec::new();
    for KeptLevels { team, version, counts } in kept {
        let counts = match counts {
            Some(counts) => counts,
            None => {
                let counts = Assessment::counts(&yardsticks, store, &team).await?;
                store.keep_levels(team.id, version, &counts).await?;
                counts
            }
        };
        all.push((team, counts));
        progress.step();
    }
    Ok(all)
}

/// Works out what is kept of every team, says how many teams differed, and keeps what follows.
pub async fn rebuild(store: &Store) -> Answer<(usize, usize)> {
    let (mut teams, mut differed) = (0, 0);
    for kept in store.bands().await? {
        let yardsticks = Yardsticks::of_levels(store, &kept.band.id).await?;
        for KeptLevels { team, version, counts } in store.kept_levels(&kept.band.id).await? {
            let follows = Assessment::counts(&yardsticks, store, &team).await?;
            teams += 1;
            if counts.as_ref() != Some(&follows) {
                differed += usize::from(counts.is_some());
                store.keep_levels(team.id, version, &follows).await?;
            }
        }
    }
    Ok((teams, differed))
}
