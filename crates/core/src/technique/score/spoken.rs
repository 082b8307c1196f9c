//! Words for beats: what is counted aloud, and what is read out.

use super::notation::{Glance, Step};
use super::play::Count;
use super::touch::{Action, Way};
use super::unfold::{Move, Touch};
use crate::fact::{Fact, facts, told_by_word};
use crate::technique::skill::Side;
use crate::technique::surface::Surface;

told_by_word!(Surface, "surface");
told_by_word!(Way, "way");
told_by_word!(Side, "side");

facts! {
    /// What a coach counts: one word a beat.
    pub enum Counted {
        In = "count-in",
        Out = "count-out",
        Sole = "count-sole",
        Laces = "count-laces",
        Toe = "count-toe",
        Heel = "count-heel",
        Roll = "count-roll",
        Drag = "count-drag",
        Rock = "count-rock",
        Stop = "count-stop",
        Chop = "count-chop",
        Up = "count-up",
        Soft = "count-soft",
        Wedge = "count-wedge",
        Away = "count-away",
        Step = "count-step",
        Over = "count-over",
        Round = "count-round",
        Hop = "count-hop",
        Lunge = "count-lunge",
        Fake = "count-fake",
        Drop = "count-drop",
        Turn = "count-turn",
        Look = "count-look",
        Bounce = "count-bounce",
        Toss = "count-toss",
        Wait = "count-wait",
    }

    /// What meets the ball.
    pub enum LimbSaid {
        Foot = "limb-foot" { side: Side, surface: Surface },
        Body = "limb-body" { surface: Surface },
    }

    /// One thing that is done, in words.
    pub enum Said {
        Touch = "move-touch" { limb: LimbSaid, action: Fact },
        TouchTo = "move-touch-to" { limb: LimbSaid, action: Fact, way: Way },
        Lift = "move-lift" { limb: LimbSaid, action: Fact, height: Fact },
        StepOver = "move-step-over" { side: Side, way: Way },
        StepRound = "move-step-round" { side: Side },
        StepTo = "move-step-to" { side: Side, way: Way },
        Hop = "move-hop",
        Lunge = "move-lunge" { way: Way },
        FakePass = "move-fake-pass",
        FakeShot = "move-fake-shot",
        Drop = "move-drop" { side: Side },
        TurnTo = "move-turn-to" { side: Side, degrees: f64 },
        TurnAround = "move-turn-around",
        LookUp = "move-look-up",
        LookTo = "move-look-to" { side: Side },
        LookBehind = "move-look-behind",
        Bounce = "move-bounce",
        Toss = "move-toss",
        Wait = "move-wait",
    }
}

/// The words that are made of other words: what a catalogue must have.
pub fn words() -> impl Iterator<Item = Fact> {
    let surfaces = Surface::ALL.into_iter().map(Fact::from);
    let ways = Way::ALL.into_iter().map(|(_, way)| Fact::from(way));
    let sides = Side::ALL.into_iter().map(Fact::from);
    let actions = Action::ALL.into_iter().map(|(_, action)| action.said());
    let heights = super::lie::Height::LIFTS.into_iter().map(|(_, height)| height.said());
    surfaces.chain(ways).chain(sides).chain(actions).chain(heights)
}

impl Action {
    /// Its name.
    pub fn said(self) -> Fact {
        Fact::plain(format!("action-{}", self.word()))
    }
}

impl super::lie::Height {
    /// Its name.
    pub fn said(self) -> Fact {
        Fact::plain(format!("height-{}", self.word()))
    }
}

impl Count {
    /// What a coach counts with it. Of what is joined in a beat the feet are counted, not the eyes.
    ///
    /// ```
    /// use jogo_core::fact::Fact;
    /// use jogo_core::technique::score::{Score, tempo::BodySize};
    /// let text = "right inside tap, right outside tap and look, left sole stop";
    /// let score = Score::read(text, BodySize::default(), &[]).unwrap();
    /// let counted: Vec<_> = score.round.counts.iter().map(|count| Fact::from(count.counted()).code).collect();
    /// assert_eq!(counted, ["count-in", "count-out", "count-stop"]);
    /// ```
    pub fn counted(&self) -> Counted {
        let feet = self.moves.iter().find(|each| !matches!(each, Move::Look(_)));
        feet.or(self.moves.first()).map_or(Counted::Wait, counted)
    }

    /// Everything that is done in it, in words.
    pub fn said(&self) -> Vec<Said> {
        self.moves.iter().map(said).collect()
    }
}

fn counted(each: &Move) -> Counted {
    match each {
        Move::Touch(touch) => counted_touch(touch),
        Move::Step { step: Step::Over(_), .. } => Counted::Over,
        Move::Step { step: Step::Round, .. } => Counted::Round,
        Move::Step { step: Step::To(_), .. } => Counted::Step,
        Move::Hop => Counted::Hop,
        Move::Lunge(_) => Counted::Lunge,
        Move::FakePass | Move::FakeShot => Counted::Fake,
        Move::Drop(_) => Counted::Drop,
        Move::Turn(_) => Counted::Turn,
        Move::Look(_) => Counted::Look,
        Move::Bounce => Counted::Bounce,
        Move::Toss => Counted::Toss,
        Move::Wait => Counted::Wait,
    }
}

fn counted_touch(touch: &Touch) -> Counted {
    match touch.action {
        Action::Roll => Counted::Roll,
        Action::Drag => Counted::Drag,
        Action::Rock => Counted::Rock,
        Action::Stop => Counted::Stop,
        Action::Chop => Counted::Chop,
        Action::Lift => Counted::Up,
        Action::Cushion => Counted::Soft,
        Action::Wedge => Counted::Wedge,
        Action::Strike => Counted::Away,
        Action::Tap | Action::Push | Action::Cut | Action::Touch => match touch.surface {
            Surface::Inside => Counted::In,
            Surface::Outside => Counted::Out,
            Surface::Laces => Counted::Laces,
            Surface::Toe => Counted::Toe,
            Surface::Heel => Counted::Heel,
            _ => Counted::Sole,
        },
    }
}

fn said(each: &Move) -> Said {
    match *each {
        Move::Touch(touch) => said_touch(&touch),
        Move::Step { foot, step: Step::Over(way) } => Said::StepOver { side: foot, way },
        Move::Step { foot, step: Step::Round } => Said::StepRound { side: foot },
        Move::Step { foot, step: Step::To(way) } => Said::StepTo { side: foot, way },
        Move::Hop => Said::Hop,
        Move::Lunge(way) => Said::Lunge { way },
        Move::FakePass => Said::FakePass,
        Move::FakeShot => Said::FakeShot,
        Move::Drop(side) => Said::Drop { side },
        Move::Turn(degrees) if degrees.abs() == 180.0 => Said::TurnAround,
        Move::Turn(degrees) => {
            let side = if degrees < 0.0 { Side::Left } else { Side::Right };
            Said::TurnTo { side, degrees: degrees.abs() }
        }
        Move::Look(None) => Said::LookUp,
        Move::Look(Some(Glance::To(side))) => Said::LookTo { side },
        Move::Look(Some(Glance::Behind)) => Said::LookBehind,
        Move::Bounce => Said::Bounce,
        Move::Toss => Said::Toss,
        Move::Wait => Said::Wait,
    }
}

fn said_touch(touch: &Touch) -> Said {
    let surface = touch.surface;
    let limb = touch.side.map_or(LimbSaid::Body { surface }, |side| LimbSaid::Foot { side, surface });
    let action = touch.action.said();
    match (touch.up, touch.way) {
        (Some(height), _) => Said::Lift { limb, action, height: height.said() },
        (None, Some(way)) => Said::TouchTo { limb, action, way },
        (None, None) => Said::Touch { limb, action },
    }
}
