//! What a term promises: the milestones towards the goals of the curriculum that a band runs.

use jiff::civil::Date;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::ids::BandId;
use jogo_core::plan::curriculum::Curriculum;

use crate::problem::Answer;
use crate::state::State;

/// The wishes of the curricula that run on a day.
pub struct Promise(Vec<Curriculum>);

impl Promise {
    /// What a band's published curricula promise that run on a day, as their latest editions have it; where none runs,
    /// the one that ended last, or else the one that begins next.
    pub async fn of(state: &State, band: &BandId, on: Date) -> Answer<Promise> {
        let mut published = state.store.published_wishes(band).await?;
        let ends = |wishes: &Curriculum| wishes.session_days().last().map_or(wishes.start, |last| last.date);
        let runs = |wishes: &Curriculum| wishes.start <= on && on <= ends(wishes);
        if published.iter().any(runs) {
            published.retain(runs);
            return Ok(Promise(published));
        }
        let (over, ahead): (Vec<_>, Vec<_>) = published.into_iter().partition(|wishes| ends(wishes) < on);
        let nearest = over.into_iter().max_by_key(ends);
        Ok(Promise(
            nearest.or_else(|| ahead.into_iter().min_by_key(|wishes| wishes.start)).into_iter().collect(),
        ))
    }

    /// Whether it promises a milestone.
    pub fn has(&self, milestone: &Milestone) -> bool {
        self.0.iter().any(|wishes| wishes.promises(milestone))
    }
}
