//! How many players of a team stand on each level and have each milestone: read from what is kept, or recomputed
//! and kept.

use jogo_store::Store;
use jogo_store::academy::teams::Team;
use jogo_store::assessment::levels::{KeptLevels, TeamCounts};

use crate::problem::Answer;
use crate::views::assessment::Assessment;
use jogo_core::ids::BandId;

/// The counts of all teams of a band. What is not kept is worked out and kept.
pub async fn of_teams(store: &Store, band: &BandId) -> Answer<Vec<(Team, TeamCounts)>> {
    let mut all = Vec::new();
    for KeptLevels { team, version, counts } in store.kept_levels(band).await? {
        let counts = match counts {
            Some(counts) => counts,
            None => {
                let counts = Assessment::counts(store, &team).await?;
                store.keep_levels(team.id, version, &counts).await?;
                counts
            }
        };
        all.push((team, counts));
    }
    Ok(all)
}

/// Works out what is kept of every team, says how many teams differed, and keeps what follows.
pub async fn rebuild(store: &Store) -> Answer<(usize, usize)> {
    let (mut teams, mut differed) = (0, 0);
    for kept in store.bands().await? {
        for KeptLevels { team, version, counts } in store.kept_levels(&kept.band.id).await? {
            let follows = Assessment::counts(store, &team).await?;
            teams += 1;
            if counts.as_ref() != Some(&follows) {
                differed += usize::from(counts.is_some());
                store.keep_levels(team.id, version, &follows).await?;
            }
        }
    }
    Ok((teams, differed))
}
