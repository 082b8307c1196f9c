//! A draft, joined with the living library.

use std::collections::BTreeMap;

use jogo_core::academy::band::Band;
use jogo_core::delivery::edition::Edition;
use jogo_core::plan::Plan;
use jogo_core::plan::curriculum::Curriculum;
use jogo_store::{Store, Stored};

/// Wishes and a plan with the library as it is now.
pub async fn joined(store: &Store, band: Band, curriculum: Curriculum, plan: Plan) -> Stored<Edition> {
    Ok(Edition {
        academy: store.settings().await?.0,
        band,
        skills: store.skills().await?,
        drills: store.drills().await?,
        tests: store.tests().await?,
        curriculum,
        plan,
        left: BTreeMap::new(),
        knack: 0.0,
    })
}
