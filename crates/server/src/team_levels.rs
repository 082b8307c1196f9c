//! How many players of a team stand on each level: read from what is kept, or worked out anew and kept.

use jogo_core::results::{TestCount, counts, latest, results};
use jogo_core::skill::Side;
use jogo_store::Store;
use jogo_store::levels::KeptLevels;
use jogo_store::teams::Team;
use uuid::Uuid;

use crate::assessment::of_band;
use crate::problem::Answer;

/// The counts of a team, from its trials.
pub async fn counted(store: &Store, team: &Team) -> Answer<Vec<TestCount>> {
    let standards = store.standards(&team.band).await?;
    let tests = of_band(store.tests().await?, &standards);
    let trials: Vec<_> = store.trials(team.id).await?.into_iter().map(|known| known.trial).collect();
    let latest = latest(&results(&tests, &standards, &trials));
    let players: Vec<(Uuid, Side)> =
        store.players(team.id).await?.into_iter().map(|p| (p.id, p.about.strong_foot)).collect();
    Ok(counts(&tests, &players, &latest))
}

/// The counts of all teams of a band. What is not kept is worked out and kept.
pub async fn of_teams(store: &Store, band: &str) -> Answer<Vec<(Team, Vec<TestCount>)>> {
    let mut all = Vec::new();
    for KeptLevels { team, version, counts } in store.kept_levels(band).await? {
        let counts = match counts {
            Some(counts) => counts,
            None => {
                let counts = counted(store, &team).await?;
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
            let follows = counted(store, &team).await?;
            teams += 1;
            if counts.as_ref() != Some(&follows) {
                differed += usize::from(counts.is_some());
                store.keep_levels(team.id, version, &follows).await?;
            }
        }
    }
    Ok((teams, differed))
}
