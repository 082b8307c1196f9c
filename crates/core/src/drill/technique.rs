//! What do the feet do in a drill, and how many touches is that?
//!
//! A drill shows the score of the skill that leads it, unless it has one of its own. Its levers change the score: for
//! the other foot it is mirrored, forward it travels, and another surface takes the place of the leading one.

use super::Drill;
use super::levers::{Levers, Motion, Sides, Tempo};
use super::timing::{RoundTouches, Touching};
use crate::academy::band::Band;
use crate::ground::layout::Layout;
use crate::ids::SkillId;
use crate::technique::score::Score;
use crate::technique::score::measure::ClosingKind;
use crate::technique::score::tempo::Tempos;
use crate::technique::score::touch::Way;
use crate::technique::skill::{Foot, Side, Skill, Stage};
use crate::units::{Metres, Seconds};

/// How far a score travels each beat where a lever asks for it. An assumption.
const TRAVEL: Metres = Metres(0.3);

impl Tempo {
    /// Seconds of a beat.
    pub fn beat(self, tempos: &Tempos) -> Seconds {
        match self {
            Tempo::OwnPace => tempos.own_pace,
            Tempo::InRhythm => tempos.in_rhythm,
            Tempo::Fast => tempos.fast,
        }
    }
}

impl Drill {
    /// The text of its score at a stage: its own, else that of the first skill with one that it serves there.
    pub fn score_text<'s>(&'s self, stage: Stage, skills: &'s [Skill]) -> Option<&'s str> {
        let of_skill = |id: &SkillId| skills.iter().find(|skill| skill.id == *id)?.score.as_deref();
        self.score.as_deref().or_else(|| self.skills_at(stage).find_map(of_skill))
    }

    /// The score as children of a band play it with the levers set so; `None` if there is none, or if it has faults.
    ///
    /// ```
    /// # use jogo_core::{academy::band::Band, drill::Drill, drill::levers::{Levers, Sides}};
    /// # use jogo_core::technique::skill::{Side, Skill};
    /// # let json = include_str!("../../../../demo/drills/out-in-push-parts.json");
    /// # let mut drill: Drill = serde_json::from_str(json).unwrap();
    /// # let bands: Vec<Band> = serde_json::from_str(include_str!("../../../../demo/bands.json")).unwrap();
    /// # let band = bands.iter().find(|band| band.id == "u10-u12").unwrap();
    /// drill.score = Some("right outside push 0.4, right inside push 0.4".to_owned());
    /// let with = |side| drill.score_at(&Levers { side, ..Levers::default() }, band, &[]).unwrap();
    /// assert_eq!(with(Sides::Strong).touches().of(Side::Right), 2);
    /// assert_eq!(with(Sides::Other).touches().of(Side::Left), 2); // in the mirror
    /// ```
    ///
    /// `None` also where a lever asks for a surface with which the score cannot be played.
    pub fn score_at(&self, levers: &Levers, band: &Band, skills: &[Skill]) -> Option<Score> {
        let text = self.score_text(self.stage_at(levers), skills)?;
        let mut score = Score::read(text, band.body_size(), skills).ok()?;
        if let Some(surface) = levers.surface.surface() {
            score = score.played_with(surface)?;
        }
        if levers.motion != Motion::OnTheSpot && score.unfolded.travel.is_none() {
            score = score.travelling(Way::Ahead, TRAVEL);
        }
        Some(if levers.side == Sides::Other { score.mirrored() } else { score })
    }

    /// The score where one foot works alone, or both: one that both feet share says nothing of a foot that works alone.
    pub fn score_for(
        &self,
        levers: &Levers,
        band: &Band,
        skills: &[Skill],
        foot: Option<Foot>,
    ) -> Option<Score> {
        let score = self.score_at(levers, band, skills)?;
        let touches = score.touches();
        let shared = Side::ALL.into_iter().all(|side| touches.of(side) > 0);
        (foot.is_none() || !shared).then_some(score)
    }

    /// How it is touched with the levers set so: by its score, else by the cadence of its stage. Where the layout has a
    /// path the score of a skill is played here and there along the way: that counts touches only if it is the drill's
    /// own.
    pub fn touching(
        &self,
        levers: &Levers,
        band: &Band,
        skills: &[Skill],
        (layout, foot): (&Layout, Option<Foot>),
    ) -> Touching {
        let counts = self.score.is_some() || layout.paths.is_empty();
        Touching {
            per_second: self.cadence(self.stage_at(levers), &band.id),
            round: if counts { self.round_touches(levers, band, skills, foot) } else { None },
            foot,
        }
    }

    /// What a round of its score gives at the tempo that the levers ask for; `None` where there is no score.
    fn round_touches(
        &self,
        levers: &Levers,
        band: &Band,
        skills: &[Skill],
        foot: Option<Foot>,
    ) -> Option<RoundTouches> {
        let score = self.score_for(levers, band, skills, foot)?;
        let touches = score.touches();
        let (right, left) = (touches.of(Side::Right), touches.of(Side::Left));
        let body = touches.all() - right - left;
        (touches.all() > 0).then(|| RoundTouches {
            lasts: score.seconds(levers.tempo.beat(&band.tempos())),
            strong: right,
            other: left,
            body,
            evens_out: score.closing().kind == ClosingKind::ClosesMirrored,
        })
    }
}
