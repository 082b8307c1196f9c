//! A score, looked at: faults, figures, moving feet, and what its skill's parts propose.

use jogo_core::drill::levers::Tempo;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::progression::techniques::chained;
use jogo_core::technique::score::feet::MovingFeet;
use jogo_core::technique::score::measure::Measures;
use jogo_core::technique::score::{Fault, Score};
use serde::Serialize;
use utoipa::ToSchema;

use super::drills::known_band;
use crate::problem::Answer;
use crate::state::State;

/// The most faults that are shown at once: a text with thousands of them is mended from its first ones.
const MOST_FAULTS: usize = 50;

/// A score, looked at.
#[derive(Serialize, ToSchema)]
pub struct ScoreView {
    /// Every fault of the text, with its place.
    faults: Vec<Fault>,
    /// What the feet do, as far as the text reads.
    feet: MovingFeet,
    /// The figures; `None` while the text has faults.
    measures: Option<Measures>,
    /// The text that the parts of the skill make, with the touches that set the ball between them; `None` if it has no
    /// parts, or if they do not join.
    proposed: Option<String>,
}

impl ScoreView {
    /// As children of a band play it.
    pub async fn of(
        state: &State,
        text: &str,
        band: &BandId,
        tempo: Tempo,
        skill: Option<&SkillId>,
    ) -> Answer<ScoreView> {
        let band = known_band(state, band).await?;
        let skills = state.store.skills().await?;
        let (score, faults) = Score::read_partly(text, band.body_size(), &skills);
        let tempos = band.tempos();
        let whole = skill.and_then(|id| skills.iter().find(|known| known.id == *id));
        Ok(ScoreView {
            feet: score.moving_feet(tempos),
            measures: faults.is_empty().then(|| score.measures(tempo.beat(&tempos))),
            proposed: whole.and_then(|skill| chained(skill, &skills)?.1),
            faults: faults.into_iter().take(MOST_FAULTS).collect(),
        })
    }
}
