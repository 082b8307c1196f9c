//! What coaches say against the evidence.

use crate::facts::Entered;
use jogo_core::assessment::milestones::{Milestone, Override, Verdict};
use jogo_core::ids::MilestoneId;
use jogo_core::input::What;
use jogo_core::input::short_text;
use jogo_store::assessment::milestones::NewWord;
use serde::Deserialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::{Faults, Sender, TeamNow, Wrong, at_most, said_at, set_times};
use crate::problem::Answer;
use crate::state::State;

/// What a coach says against the evidence.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct WordSaid {
    /// Made on the device.
    id: Uuid,
    player: Uuid,
    milestone: MilestoneId,
    verdict: Verdict,
    /// Why: it is kept, and shows.
    reason: String,
    day: String,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct WordsSaid {
    words: Vec<WordSaid>,
    sender: Option<Sender>,
}

/// The most words that are taken in at once.
pub const MOST_WORDS: usize = 200;
/// The longest reason, in characters.
pub const LONGEST_REASON: usize = 200;

impl WordsSaid {
    /// The words, or what is wrong with them.
    pub async fn read(self, state: &State, team: Uuid) -> Answer<Vec<NewWord>> {
        let WordsSaid { words, sender } = self;
        at_most(MOST_WORDS, words.len(), "/words")?;
        let counts: Vec<Option<i64>> = words.iter().map(|word| word.count).collect();
        let (now, milestones) = (TeamNow::of(state, team).await?, state.store.milestones().await?);
        let mut faults = Faults::default();
        let mut words = faults.reading("/words", words, |word| new_word(&now, &milestones, word));
        faults.none()?;
        set_times(state, sender, counts, words.iter_mut().map(|word| &mut word.said_at)).await?;
        Ok(words)
    }
}

fn new_word(team: &TeamNow, milestones: &[Milestone], said: WordSaid) -> Result<NewWord, Wrong> {
    let on = team.day("day", &said.day)?;
    let player = team.player(said.player, on)?;
    if !milestones.iter().any(|milestone| milestone.id == said.milestone) {
        return Err(("milestone", Entered::NoMilestone.into()));
    }
    let reason = short_text(&said.reason, LONGEST_REASON, What::Reason);
    let reason = reason.map_err(|fault| ("reason", fault.into()))?;
    let at = said_at(&said.said_at)?;
    let word = Override { on, verdict: said.verdict, reason, by: String::new() };
    Ok(NewWord { id: said.id, player, milestone: said.milestone, word, said_at: at })
}
