//! What coaches say of drills, and what the director answers.

use std::collections::{BTreeMap, BTreeSet};

use jiff::Timestamp;
use jogo_core::delivery::Outcome;
use jogo_core::delivery::came_off::{SeenInClub, comes_off_less};
use jogo_core::delivery::session::RunningOrder;
use jogo_core::delivery::voices::{Heard, Voice, heard};
use jogo_core::ids::DrillId;
use jogo_core::units::Share;
use jogo_store::delivery::voices::{Answered, KnownVoice};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, editions_of};

/// What the director answered.
#[derive(Clone, Serialize, ToSchema)]
pub struct AnswerView {
    says: String,
    by: String,
    at: String,
}

impl From<&Answered> for AnswerView {
    fn from(answer: &Answered) -> AnswerView {
        AnswerView { says: answer.says.clone(), by: answer.by.clone(), at: answer.at.to_string() }
    }
}

/// What a coach said of a drill last.
#[derive(Serialize, ToSchema)]
pub struct VoiceView {
    club: String,
    team: String,
    by: String,
    voice: Voice,
    /// A line about it; empty if there is none.
    says: String,
    at: String,
    /// Whether it was said before the last answer.
    answered: bool,
}

/// How often a drill was run, by what the teams' coaches logged, and how it came off.
#[derive(Default, Serialize, ToSchema)]
pub struct DrillUse {
    /// Teams that have run it.
    teams: usize,
    /// Blocks that were run, at least in part.
    runs: usize,
    /// Those of which it was said how much came off.
    counted: usize,
    /// What came off of those, on average; absent if nobody has said so.
    came_off: Option<Share>,
}

/// What the logs of all teams say of the drills that were run.
#[derive(Default)]
pub struct Run {
    used: BTreeMap<DrillId, DrillUse>,
    /// Those that come off less often than expected, everywhere or in a club.
    less: BTreeSet<DrillId>,
}

impl Run {
    /// All that is logged.
    pub async fn of(state: &State) -> Answer<Run> {
        let (mut run, mut glances) = (Run::default(), Vec::new());
        for team in state.store.teams().await? {
            let mut ran: BTreeMap<DrillId, Vec<Option<u8>>> = BTreeMap::new();
            let editions = editions_of(state, team.id).await?.into_values().flatten();
            for TeamEdition { edition, said, .. } in editions.filter(|own| !own.said.is_empty()) {
                for ((session, _), block) in edition.plan.places() {
                    let went = said.of(session, block).filter(|went| went.outcome != Outcome::Skipped);
                    ran.entry(block.variant.drill.clone()).or_default().extend(went.map(|went| went.success));
                }
                let problem = edition.problem().map_err(Problem::input)?;
                let seen = edition.glances_at_drills(&problem, &said).into_iter();
                let club = &team.club;
                glances.extend(seen.map(|(drill, glance)| SeenInClub { club: club.clone(), drill, glance }));
            }
            for (drill, blocks) in ran.into_iter().filter(|(_, blocks)| !blocks.is_empty()) {
                run.used.entry(drill).or_default().and(&blocks);
            }
        }
        run.less = comes_off_less(&glances).into_iter().map(|less| less.drill).collect();
        Ok(run)
    }

    /// Whether a drill was run, at least in part.
    pub fn has(&self, drill: &DrillId) -> bool {
        self.used.contains_key(drill)
    }

    /// Whether it comes off less often than expected, everywhere or in a club.
    pub fn is_hard(&self, drill: &DrillId) -> bool {
        self.less.contains(drill)
    }

    /// How a drill was used.
    pub fn take(mut self, drill: &DrillId) -> DrillUse {
        self.used.remove(drill).unwrap_or_default()
    }
}

impl DrillUse {
    /// With the blocks that one more team has run, each with the percent that came off, if that was said.
    fn and(&mut self, blocks: &[Option<u8>]) {
        let said: Vec<f64> = blocks.iter().flatten().map(|percent| f64::from(*percent) / 100.0).collect();
        let all = self.came_off.map_or(0.0, |share| share.0) * self.counted as f64 + said.iter().sum::<f64>();
        self.teams += 1;
        self.runs += blocks.len();
        self.counted += said.len();
        self.came_off = (self.counted > 0).then(|| Share(all / self.counted as f64));
    }
}

/// What is said of a drill.
#[derive(Serialize, ToSchema)]
pub struct VoicesOfDrill {
    used: DrillUse,
    heard: Heard,
    /// Each coach's last words for each team, the latest first.
    voices: Vec<VoiceView>,
    /// What was answered last; absent if nothing was.
    answer: Option<AnswerView>,
}

/// What was said and answered, of all drills.
pub struct AllVoices {
    said: BTreeMap<DrillId, Vec<KnownVoice>>,
    answers: BTreeMap<DrillId, Answered>,
}

impl AllVoices {
    /// All that there is.
    pub async fn of(state: &State) -> Answer<AllVoices> {
        let mut said: BTreeMap<DrillId, Vec<KnownVoice>> = BTreeMap::new();
        for voice in state.store.voices().await? {
            said.entry(voice.drill.clone()).or_default().push(voice);
        }
        let answers = state.store.answers().await?.into_iter().map(|answer| (answer.drill.clone(), answer));
        Ok(AllVoices { said, answers: answers.collect() })
    }

    fn of_drill(&self, drill: &DrillId) -> &[KnownVoice] {
        self.said.get(drill).map_or(&[], Vec::as_slice)
    }

    fn answered(&self, drill: &DrillId) -> Option<Timestamp> {
        self.answers.get(drill).map(|answer| answer.at)
    }

    /// What is heard of a drill.
    pub fn heard(&self, drill: &DrillId) -> Heard {
        let said = self.of_drill(drill).iter().map(|voice| ((voice.team, voice.by), voice.voice, voice.at));
        heard(&said.collect::<Vec<_>>(), self.answered(drill))
    }

    /// The same with who said it, and how the drill was used.
    pub fn whole(&self, drill: &DrillId, used: DrillUse) -> VoicesOfDrill {
        let answered = self.answered(drill);
        let last: BTreeMap<(Uuid, Uuid), &KnownVoice> =
            self.of_drill(drill).iter().map(|voice| ((voice.team, voice.by), voice)).collect();
        let mut last: Vec<&KnownVoice> = last.into_values().collect();
        last.sort_by_key(|voice| std::cmp::Reverse(voice.at));
        let view = |voice: &KnownVoice| VoiceView {
            club: voice.club.clone(),
            team: voice.team_name.clone(),
            by: voice.by_name.clone(),
            voice: voice.voice,
            says: voice.says.clone(),
            at: voice.at.to_string(),
            answered: answered.is_some_and(|answered| voice.at <= answered),
        };
        VoicesOfDrill {
            used,
            heard: self.heard(drill),
            voices: last.into_iter().map(view).collect(),
            answer: self.answers.get(drill).map(AnswerView::from),
        }
    }
}

/// What a coach said of a drill of a session, and what was answered.
#[derive(Serialize, ToSchema)]
pub struct OwnVoice {
    drill: DrillId,
    voice: Voice,
    says: String,
    /// What was answered since; absent if nothing was.
    answer: Option<AnswerView>,
}

/// What a person said of the drills of a session with a team.
pub async fn own_voices(state: &State, team: Uuid, who: Uuid, order: &RunningOrder) -> Answer<Vec<OwnVoice>> {
    let said = state.store.voices_of(team, who).await?;
    let answers = if said.is_empty() { Vec::new() } else { state.store.answers().await? };
    let last: BTreeMap<&DrillId, &KnownVoice> = said.iter().map(|voice| (&voice.drill, voice)).collect();
    let here = last.into_values().filter(|voice| order.blocks.iter().any(|block| block.drill == voice.drill));
    let view = |own: &KnownVoice| {
        let answer = answers.iter().find(|answer| answer.drill == own.drill && answer.at >= own.at);
        OwnVoice {
            drill: own.drill.clone(),
            voice: own.voice,
            says: own.says.clone(),
            answer: answer.map(AnswerView::from),
        }
    };
    Ok(here.map(view).collect())
}
