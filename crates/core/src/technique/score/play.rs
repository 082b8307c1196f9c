//! Plays a score: where are the ball and the feet after each beat, and what cannot be done?
//!
//! Everything is said from above, in metres: `x` to the right, `y` ahead, as the body stood when the round began. Seen
//! from the body the feet stand at (−0.15, 0) and (0.15, 0), and the ball starts 0.15 ahead of the foot that touches it
//! first.

use serde::Serialize;

use super::fault::{Expected, Fault, Mend};
use super::lie::{Height, Lie};
use super::notation::Step;
use super::tempo::BodySize;
use super::touch::{Action, Needs, Way};
use super::unfold::{Beat, Move, Touch, Unfolded};
use crate::input::notation::Place;
use crate::technique::skill::Side;
use crate::units::{Metres, Seconds};

/// How far a foot stands beside the body's middle, and how far ahead of it the ball lies.
pub const STANCE: f64 = 0.15;
/// How far a ball may be from the foot that touches it, for children of ten to twelve. An assumption.
const REACH: f64 = 0.60;
/// How far a step takes the body, and a lunge, for children of ten to twelve. Assumptions.
const STEP: f64 = 0.40;
const LUNGE: f64 = 0.70;

/// A place on the floor.
pub type Spot = [f64; 2];

/// Where the ball is, up and down.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = BallLevel))]
#[serde(rename_all = "snake_case")]
pub enum Level {
    /// On the floor.
    Floor,
    /// In the air.
    Air,
    /// Just off the floor.
    Bounced,
    /// In the hands.
    Hands,
    /// Gone: passed or shot.
    Gone,
}

/// What the child stands on.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum Weight {
    Both,
    Left,
    Right,
}

impl Weight {
    fn on(foot: Side) -> Weight {
        match foot {
            Side::Left => Weight::Left,
            Side::Right => Weight::Right,
        }
    }

    /// The same in a mirror.
    pub fn mirrored(self) -> Weight {
        match self {
            Weight::Both => Weight::Both,
            Weight::Left => Weight::Right,
            Weight::Right => Weight::Left,
        }
    }
}

/// Where everything is between two beats.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Pose {
    /// The ball, from above.
    pub ball: Spot,
    /// The ball, up and down.
    pub level: Level,
    /// Metres above the floor that it goes to.
    pub height: Metres,
    /// The middle between the feet.
    pub body: Spot,
    /// Whither the body looks: degrees to the right of where it looked at the start.
    pub heading: f64,
    /// What the child stands on.
    pub weight: Weight,
}

impl Pose {
    /// A place seen from the body, on the floor.
    pub fn outward(&self, [x, y]: Spot) -> Spot {
        let [dx, dy] = turned([x, y], self.heading);
        [self.body[0] + dx, self.body[1] + dy]
    }

    /// A place on the floor, seen from the body.
    pub fn inward(&self, [x, y]: Spot) -> Spot {
        turned([x - self.body[0], y - self.body[1]], -self.heading)
    }

    /// The ball, seen from the body.
    pub fn ball_seen(&self) -> Spot {
        self.inward(self.ball)
    }

    /// A foot.
    pub fn foot(&self, side: Side) -> Spot {
        self.outward([stance(side), 0.0])
    }
}

/// How far to the right of the middle a foot stands.
pub fn stance(side: Side) -> f64 {
    match side {
        Side::Left => -STANCE,
        Side::Right => STANCE,
    }
}

/// Turned to the right by degrees. A quarter turn is exact.
fn turned([x, y]: Spot, degrees: f64) -> Spot {
    let (sin, cos) = match degrees.rem_euclid(360.0) {
        0.0 => (0.0, 1.0),
        90.0 => (1.0, 0.0),
        180.0 => (0.0, -1.0),
        270.0 => (-1.0, 0.0),
        turn => turn.to_radians().sin_cos(),
    };
    [x * cos + y * sin, y * cos - x * sin]
}

/// How far two places are from each other.
pub fn apart(a: Spot, b: Spot) -> f64 {
    (a[0] - b[0]).hypot(a[1] - b[1])
}

/// One beat, or one flight of the ball, played.
#[derive(Clone, Debug, PartialEq)]
pub struct Count {
    /// Where its statement stands.
    pub place: Place,
    /// What is done.
    pub moves: Vec<Move>,
    /// How long the ball flies, if it is thrown or lifted: the flight takes the place of the beat.
    pub flight: Option<Seconds>,
    /// The way of the ball along the floor.
    pub ball_way: Metres,
    /// Where everything is afterwards.
    pub after: Pose,
}

impl Count {
    /// The touches in it.
    pub fn touches(&self) -> impl Iterator<Item = &Touch> {
        self.moves.iter().filter_map(|each| match each {
            Move::Touch(touch) => Some(touch),
            _ => None,
        })
    }

    /// Whether the eyes leave the ball.
    pub fn eyes_up(&self) -> bool {
        self.moves.iter().any(|each| matches!(each, Move::Look(_)))
    }
}

/// A score, played once.
#[derive(Clone, Debug, PartialEq)]
pub struct Round {
    /// Before the first beat.
    pub start: Pose,
    /// Beat by beat.
    pub counts: Vec<Count>,
}

impl Round {
    /// Where everything is in the end.
    pub fn end(&self) -> Pose {
        self.counts.last().map_or(self.start, |count| count.after)
    }

    /// All touches in their order.
    pub fn touches(&self) -> impl Iterator<Item = &Touch> {
        self.counts.iter().flat_map(Count::touches)
    }
}

/// Before the first beat: as the score says, else the ball lies before the foot that touches it first.
pub fn opening(unfolded: &Unfolded) -> Pose {
    let moves = || unfolded.beats.iter().flat_map(|beat| &beat.moves);
    let first = moves().find_map(|each| match each {
        Move::Touch(touch) => Some(touch.side.map_or(0.0, stance)),
        _ => None,
    });
    let first = first.unwrap_or(STANCE);
    let thrown =
        moves().find(|each| matches!(each, Move::Touch(_) | Move::Toss | Move::Bounce)) == Some(&Move::Toss);
    let (x, level) = match unfolded.start {
        Some(Lie::Left) => (-STANCE, Level::Floor),
        Some(Lie::Right) => (STANCE, Level::Floor),
        Some(Lie::Middle) => (0.0, Level::Floor),
        Some(Lie::Hands) => (first, Level::Hands),
        None if thrown => (first, Level::Hands),
        None => (first, Level::Floor),
    };
    Pose {
        ball: [x, STANCE],
        level,
        height: Metres(0.0),
        body: [0.0, 0.0],
        heading: 0.0,
        weight: Weight::Both,
    }
}

/// Plays the beats from a pose on. After a fault it goes on as if the touch had been possible, so that one fault does
/// not bring others.
pub fn play(unfolded: &Unfolded, start: Pose, size: BodySize) -> (Round, Vec<Fault>) {
    let mut player = Player { now: start, size, faults: Vec::new() };
    let counts = unfolded.beats.iter().map(|beat| player.beat(beat, unfolded.travel)).collect();
    (Round { start, counts }, player.faults)
}

/// Whether the beats can be played from a pose on.
pub fn playable(unfolded: &Unfolded, start: Pose, size: BodySize) -> bool {
    let mut player = Player { now: start, size, faults: Vec::new() };
    unfolded.beats.iter().all(|beat| {
        player.does(beat, unfolded.travel);
        player.faults.is_empty()
    })
}

struct Player {
    now: Pose,
    size: BodySize,
    faults: Vec<Fault>,
}

impl Player {
    fn beat(&mut self, beat: &Beat, travel: Option<(Way, Metres)>) -> Count {
        let (flight, way) = self.does(beat, travel);
        Count { place: beat.place, moves: beat.moves.clone(), flight, ball_way: way, after: self.now }
    }

    /// Does what a beat says; how long the ball flies, and its way along the floor.
    fn does(&mut self, beat: &Beat, travel: Option<(Way, Metres)>) -> (Option<Seconds>, Metres) {
        let mut flight = None;
        let mut way = 0.0;
        for each in &beat.moves {
            let before = self.now.ball;
            match each {
                Move::Touch(touch) => {
                    self.touch(touch, beat.place);
                    way += if touch.action == Action::Rock { 2.0 * touch.length.0 } else { 0.0 };
                    if touch.action == Action::Lift {
                        flight = touch.up.map(|up| up.flight(self.size));
                    }
                }
                Move::Step { foot, step } => {
                    self.now.weight = Weight::on(*foot);
                    if let Step::To(to) = step {
                        self.body_goes(*to, *foot, STEP);
                    }
                }
                Move::Lunge(to) => {
                    self.now.weight = match to {
                        Way::Left => Weight::Left,
                        Way::Right => Weight::Right,
                        _ => Weight::Both,
                    };
                    self.body_goes(*to, Side::Right, LUNGE);
                }
                Move::Turn(degrees) => self.now.heading += degrees,
                Move::Bounce => {
                    if self.now.level != Level::Air {
                        self.fault(beat.place, Expected::BallInAir, Mend::LiftOrToss);
                    }
                    self.now.level = Level::Bounced;
                }
                Move::Toss => {
                    if self.now.level != Level::Hands {
                        self.fault(beat.place, Expected::BallInHands, Mend::StartInHands);
                    }
                    self.goes_up(Height::Head);
                    flight = Some(Height::Head.flight(self.size));
                }
                Move::Hop | Move::FakePass | Move::FakeShot | Move::Drop(_) | Move::Look(_) | Move::Wait => {}
            }
            way += apart(before, self.now.ball);
        }
        if let Some((to, length)) = travel {
            let by = turned(along(to, Side::Right, length.0), self.now.heading);
            self.now.body = sum(self.now.body, by);
            self.now.ball = sum(self.now.ball, by);
            way += length.0;
        }
        (flight, Metres(way))
    }

    fn touch(&mut self, touch: &Touch, place: Place) {
        self.check(touch, place);
        if let Some(way) = touch.way.filter(|_| touch.action != Action::Rock) {
            let by = along(way, touch.side.unwrap_or(Side::Right), touch.length.0);
            self.now.ball = sum(self.now.ball, turned(by, self.now.heading));
        }
        match touch.up {
            Some(height) => self.goes_up(height),
            None => self.now.level = if touch.action == Action::Strike { Level::Gone } else { Level::Floor },
        }
        if touch.leg().is_some() {
            self.now.weight = Weight::Both;
        }
    }

    fn check(&mut self, touch: &Touch, place: Place) {
        match (self.now.level, touch.action.needs()) {
            (Level::Gone, _) => self.fault(place, Expected::BallStill, Mend::StrikeLast),
            (Level::Hands, _) => self.fault(place, Expected::BallThrown, Mend::TossFirst),
            (Level::Air, Needs::Floor) => self.fault(place, Expected::BallOnFloor, Mend::BounceOrCushion),
            (Level::Floor, Needs::Air) => self.fault(place, Expected::BallInAir, Mend::LiftOrToss),
            _ => {}
        }
        if touch.leg().is_some_and(|leg| self.now.weight == Weight::on(leg)) {
            self.fault(place, Expected::FreeFoot, Mend::OtherFootFirst);
        }
        let from = touch.side.map_or(0.0, stance);
        let away = apart(self.now.ball_seen(), [from, 0.0]);
        let most = REACH * self.size.0;
        if away > most + 1e-9 {
            self.fault(
                place,
                Expected::Reach {
                    from: touch.side.map_or("body", Side::word),
                    most: round(most, 100.0),
                    away: round(away, 100.0),
                },
                Mend::LessOrStep,
            );
            self.now.ball = self.now.outward([from, STANCE]);
        }
    }

    fn fault(&mut self, place: Place, expected: Expected, mend: Mend) {
        let fault = Fault::at(place, expected, mend);
        // What is played twice is wrong once.
        if !self.faults.iter().any(|known| known.is_like(&fault)) {
            self.faults.push(fault);
        }
    }

    fn goes_up(&mut self, height: Height) {
        self.now.level = Level::Air;
        self.now.height = height.metres(self.size);
    }

    fn body_goes(&mut self, way: Way, foot: Side, length: f64) {
        let by = turned(along(way, foot, length * self.size.0), self.now.heading);
        self.now.body = sum(self.now.body, by);
    }
}

fn along(way: Way, foot: Side, length: f64) -> Spot {
    let (x, y) = way.of_one_metre(foot);
    [x * length, y * length]
}

fn sum(a: Spot, b: Spot) -> Spot {
    [a[0] + b[0], a[1] + b[1]]
}

/// To so many parts of a unit; never −0.
pub(crate) fn round(value: f64, parts: f64) -> f64 {
    (value * parts).round() / parts + 0.0
}
