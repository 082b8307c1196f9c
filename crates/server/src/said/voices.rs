//! What coaches tell the director of drills.

use jogo_core::delivery::voices::Voice;
use jogo_core::ids::DrillId;
use jogo_core::input::{Unknown, What, short_text};
use jogo_store::delivery::voices::NewVoice;
use serde::Deserialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::{Faults, Sender, Wrong, at_most, said_at, set_times};
use crate::problem::Answer;
use crate::state::State;

/// What a coach says of a drill.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct VoiceSaid {
    /// Made on the device.
    id: Uuid,
    drill: DrillId,
    voice: Voice,
    /// A line about it; empty if there is none.
    #[serde(default)]
    says: String,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct VoicesSaid {
    voices: Vec<VoiceSaid>,
    sender: Option<Sender>,
}

/// The most voices that are taken in at once.
pub const MOST_VOICES: usize = 100;
/// The longest line, in characters.
pub const LONGEST_LINE: usize = 200;

impl VoicesSaid {
    /// The voices, or what is wrong with them.
    pub async fn read(self, state: &State) -> Answer<Vec<NewVoice>> {
        let VoicesSaid { voices, sender } = self;
        at_most(MOST_VOICES, voices.len(), "/voices")?;
        let counts: Vec<Option<i64>> = voices.iter().map(|said| said.count).collect();
        // Also of a drill that was put away meanwhile.
        let mut known = state.store.kept_drills(false).await?;
        known.extend(state.store.kept_drills(true).await?);
        let known: Vec<DrillId> = known.into_iter().map(|kept| kept.drill.id).collect();
        let mut faults = Faults::default();
        let mut voices = faults.reading("/voices", voices, |said| new_voice(&known, said));
        faults.none()?;
        set_times(state, sender, counts, voices.iter_mut().map(|voice| &mut voice.said_at)).await?;
        Ok(voices)
    }
}

fn new_voice(known: &[DrillId], said: VoiceSaid) -> Result<NewVoice, Wrong> {
    if !known.contains(&said.drill) {
        return Err(("drill", Unknown::Drill { id: said.drill.to_string() }.into()));
    }
    let says = match said.says.trim() {
        "" => String::new(),
        says => short_text(says, LONGEST_LINE, What::Note).map_err(|fault| ("says", fault.into()))?,
    };
    let at = said_at(&said.said_at)?;
    Ok(NewVoice { id: said.id, drill: said.drill, voice: said.voice, says, said_at: at })
}
