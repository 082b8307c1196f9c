//! Moving feet: everything that a picture needs to show a score beat by beat.
//!
//! The figures are those of [`super::play`]; whoever shows them only moves between one count and the next, at the tempo
//! that is wished.

use serde::Serialize;

use super::Score;
use super::measure::Closing;
use super::notation::Step;
use super::play::{Count, Level, Pose, Spot, round};
use super::spoken::{Counted, Said};
use super::strip::Sole;
use super::tempo::Tempos;
use super::touch::Way;
use super::unfold::Move;
use crate::technique::skill::Side;
use crate::technique::surface::Surface;
use crate::units::{Metres, Seconds};

/// A score, ready to be shown.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MovingFeet {
    /// Before the first count.
    pub start: Standing,
    /// Count by count.
    pub counts: Vec<Shown>,
    /// The floor that ball and feet need.
    pub floor: Floor,
    /// How the round ends.
    pub closing: Closing,
    /// Seconds of a beat.
    pub tempos: Tempos,
    /// The soles as they are drawn.
    pub sole: Sole,
}

/// Where everything is between two counts, to the millimetre, as the body stood when the round began.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = FeetStanding))]
pub struct Standing {
    /// The ball, from above.
    #[cfg_attr(feature = "openapi", schema(value_type = Vec<f64>))]
    pub ball: Spot,
    /// The ball, up and down.
    pub level: Level,
    /// How high it goes.
    #[serde(rename = "height_m")]
    pub height: Metres,
    /// The left foot.
    #[cfg_attr(feature = "openapi", schema(value_type = Vec<f64>))]
    pub left: Spot,
    /// The right foot.
    #[cfg_attr(feature = "openapi", schema(value_type = Vec<f64>))]
    pub right: Spot,
    /// Degrees to the right of where the body looked at the start.
    pub heading: f64,
}

/// What is done, as far as the picture needs it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = FeetAct))]
#[serde(rename_all = "snake_case")]
pub enum Act {
    /// The ball is met.
    Touch,
    /// A step over the ball, inward.
    OverIn,
    /// A step over the ball, outward.
    OverOut,
    /// A step round the ball.
    Round,
    /// A step that takes the body along.
    Step,
    /// A hop.
    Hop,
    /// A feint, a turn, a look, a bounce, a throw, or nothing.
    Rest,
}

/// Something that is done in a count.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = FeetDone))]
pub struct Done {
    /// What.
    pub act: Act,
    /// With which foot or leg.
    pub side: Option<Side>,
    /// What meets the ball.
    pub surface: Option<Surface>,
}

/// One count, ready to be shown.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = FeetCount))]
pub struct Shown {
    /// The line of the text, from 1.
    pub line: u32,
    /// What is counted aloud.
    #[cfg_attr(feature = "openapi", schema(value_type = crate::fact::Fact))]
    pub counted: Counted,
    /// What is done, in words.
    #[cfg_attr(feature = "openapi", schema(value_type = Vec<crate::fact::Fact>))]
    pub said: Vec<Said>,
    /// What is done, for the picture.
    pub done: Vec<Done>,
    /// Whether the eyes leave the ball.
    pub eyes_up: bool,
    /// How long the ball flies, where that takes the place of the beat.
    pub flight_s: Option<Seconds>,
    /// Its column of the strip, as SVG.
    pub column: String,
    /// Where everything is afterwards.
    pub after: Standing,
}

/// A box on the floor, in metres.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = FeetFloor))]
#[allow(missing_docs)]
pub struct Floor {
    pub left: f64,
    pub right: f64,
    pub back: f64,
    pub ahead: f64,
}

impl Score {
    /// Everything that a picture of the moving feet needs.
    pub fn moving_feet(&self, tempos: Tempos) -> MovingFeet {
        let start = standing(&self.round.start);
        let shown = |(count, column): (&Count, String)| Shown {
            line: count.place.line,
            counted: count.counted(),
            said: count.said(),
            done: count.moves.iter().map(done).collect(),
            eyes_up: count.eyes_up(),
            flight_s: count.flight.map(|flight| Seconds(round(flight.0, 1e3))),
            column,
            after: standing(&count.after),
        };
        let counts: Vec<Shown> = self.round.counts.iter().zip(self.columns()).map(shown).collect();
        MovingFeet {
            floor: floor(std::iter::once(&start).chain(counts.iter().map(|count| &count.after))),
            start,
            counts,
            closing: self.closing(),
            tempos,
            sole: Sole::drawn(),
        }
    }
}

fn standing(pose: &Pose) -> Standing {
    let near = |[x, y]: Spot| [round(x, 1e3), round(y, 1e3)];
    Standing {
        ball: near(pose.ball),
        level: pose.level,
        height: if pose.level == Level::Air { pose.height } else { Metres(0.0) },
        left: near(pose.foot(Side::Left)),
        right: near(pose.foot(Side::Right)),
        heading: round(pose.heading, 10.0),
    }
}

fn done(each: &Move) -> Done {
    let (act, side, surface) = match each {
        Move::Touch(touch) => (Act::Touch, touch.side, Some(touch.surface)),
        Move::Step { foot, step: Step::Over(Way::In) } => (Act::OverIn, Some(*foot), None),
        Move::Step { foot, step: Step::Over(_) } => (Act::OverOut, Some(*foot), None),
        Move::Step { foot, step: Step::Round } => (Act::Round, Some(*foot), None),
        Move::Step { foot, step: Step::To(_) } => (Act::Step, Some(*foot), None),
        Move::Lunge(_) => (Act::Step, None, None),
        Move::Hop => (Act::Hop, None, None),
        _ => (Act::Rest, None, None),
    };
    Done { act, side, surface }
}

fn floor<'s>(all: impl Iterator<Item = &'s Standing>) -> Floor {
    let spots = all.flat_map(|standing| [standing.ball, standing.left, standing.right]);
    let start = Floor { left: 0.0, right: 0.0, back: 0.0, ahead: 0.0 };
    spots.fold(start, |floor, [x, y]| Floor {
        left: floor.left.min(x),
        right: floor.right.max(x),
        back: floor.back.min(y),
        ahead: floor.ahead.max(y),
    })
}
