//! Measures a score: how many touches with which foot and surface, how long is a round, and can it be played again?
//!
//! | figure | how |
//! |---|---|
//! | seconds of a round | beats × tempo + times of flight; a flight takes the place of its beat |
//! | share of the other foot | its touches ÷ touches of both feet; a score is written for a right-footed child |
//! | hops | those that are written, and one for two touches of a foot after each other without a step or hop between |
//! | rounds in T seconds | ⌊T ÷ seconds of a round⌋ |

use std::collections::BTreeMap;

use serde::Serialize;

use super::Score;
use super::notation::Step;
use super::play::{Level, Pose, Round, Spot, apart, round};
use super::unfold::Move;
use crate::technique::skill::Side;
use crate::technique::surface::Surface;
use crate::units::{Seconds, Share};

/// What closes may be off by this, in metres and degrees.
const NEAR_M: f64 = 0.15;
const NEAR_DEG: f64 = 15.0;

/// Touches by surface.
pub type BySurface = BTreeMap<Surface, u32>;

/// Touches by foot and surface.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ScoreTouches))]
pub struct Touches {
    /// With the right foot.
    pub right: BySurface,
    /// With the left foot.
    pub left: BySurface,
    /// With thigh, chest, head or shoulder.
    pub body: BySurface,
}

impl Touches {
    /// With a foot.
    pub fn of(&self, foot: Side) -> u32 {
        match foot {
            Side::Right => self.right.values().sum(),
            Side::Left => self.left.values().sum(),
        }
    }

    /// All of them.
    pub fn all(&self) -> u32 {
        self.of(Side::Right) + self.of(Side::Left) + self.body.values().sum::<u32>()
    }
}

/// Whether the end of a round is the start of the next one.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ScoreClosingKind))]
#[serde(rename_all = "snake_case")]
pub enum ClosingKind {
    /// It is: ball, heading and weight are as at the start.
    Closes,
    /// It is in the mirror: the next round begins with the other foot.
    ClosesMirrored,
    /// It is, somewhere else on the floor.
    Travels,
    /// It is not.
    Opens,
}

/// How a round ends.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ScoreClosing))]
pub struct Closing {
    /// Whether it can be played again.
    pub kind: ClosingKind,
    /// How far to the right the body has gone; if it opens, how far the ball has.
    pub dx_m: f64,
    /// How far ahead.
    pub dy_m: f64,
    /// How far the body has turned to the right, −180 to 180.
    pub turn_deg: f64,
}

/// The ground that a round needs.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ScoreGround))]
pub struct Needed {
    /// From the leftmost place of ball and feet to the rightmost.
    pub width_m: f64,
    /// From the hindmost to the foremost.
    pub depth_m: f64,
}

/// A score, measured: metres to the millimetre, seconds to the thousandth, degrees to the tenth.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ScoreMeasures))]
pub struct Measures {
    /// Beats of a round; a flight takes the place of its beat.
    pub beats: u32,
    /// Seconds of a round.
    pub seconds: f64,
    /// Touches by foot and surface.
    pub touches: Touches,
    /// The left foot's share of the touches by foot; none without one.
    pub other_share: Option<Share>,
    /// How often the foot changes from one touch to the next inside the round.
    pub foot_changes: u32,
    /// Hops, around the round where it can be played again.
    pub hops: u32,
    /// Steps and lunges.
    pub steps: u32,
    /// Degrees that the body turns, to whichever side.
    pub turning_deg: f64,
    /// Beats in which the eyes leave the ball.
    pub looks: u32,
    /// Where the ball is at the start and after each touch, as the body stood when the round began.
    #[cfg_attr(feature = "openapi", schema(value_type = Vec<Vec<f64>>))]
    pub track: Vec<Spot>,
    /// The box around the track and both feet.
    pub ground: Needed,
    /// The ball's way along the floor.
    pub ball_m: f64,
    /// How the round ends.
    pub closing: Closing,
    /// Rounds in thirty seconds.
    pub rounds_in_30_s: u32,
    /// Touches a minute.
    pub touches_a_minute: f64,
    /// The most beats after each other with the eyes on the ball.
    pub longest_eyes_on_ball: u32,
}

impl Score {
    /// Everything that can be counted, at a tempo in seconds a beat. It costs a few microseconds.
    ///
    /// ```
    /// use jogo_core::{technique::score::{Score, tempo::BodySize}, units::Seconds};
    /// let taps = Score::read("right inside tap, left inside tap", BodySize::default(), &[]).unwrap();
    /// let measures = taps.measures(Seconds(0.55));
    /// assert_eq!((measures.seconds, measures.rounds_in_30_s), (1.1, 27)); // 30 ÷ 1.1 = 27.3
    /// ```
    pub fn measures(&self, tempo: Seconds) -> Measures {
        let round_of = &self.round;
        let seconds = self.seconds(tempo);
        let touches = self.touches();
        let feet: Vec<Side> = round_of.touches().filter_map(|touch| touch.foot()).collect();
        let both = touches.of(Side::Right) + touches.of(Side::Left);
        let closing = closing(round_of);
        Measures {
            beats: self.beats(),
            seconds: round(seconds.0, 1e3),
            other_share: (both > 0).then(|| Share(f64::from(touches.of(Side::Left)) / f64::from(both))),
            foot_changes: feet.windows(2).filter(|pair| pair[0] != pair[1]).count() as u32,
            hops: hops(round_of, closing.kind),
            steps: count(round_of, |each| matches!(each, Move::Step { .. } | Move::Lunge(_))),
            turning_deg: round(turning(round_of), 10.0),
            looks: round_of.counts.iter().filter(|count| count.eyes_up()).count() as u32,
            track: track(round_of).into_iter().map(|[x, y]| [round(x, 1e3), round(y, 1e3)]).collect(),
            ground: needed(round_of),
            ball_m: round(round_of.counts.iter().map(|count| count.ball_way.0).sum(), 1e3),
            closing,
            rounds_in_30_s: rounds_in(Seconds(30.0), seconds),
            touches_a_minute: round(f64::from(touches.all()) * 60.0 / seconds.0, 10.0),
            longest_eyes_on_ball: longest_on_ball(round_of),
            touches,
        }
    }

    /// Beats of a round.
    pub fn beats(&self) -> u32 {
        self.round.counts.iter().filter(|count| count.flight.is_none()).count() as u32
    }

    /// Seconds of a round at a tempo: beats × tempo + times of flight.
    pub fn seconds(&self, tempo: Seconds) -> Seconds {
        let flights = self.round.counts.iter().filter_map(|count| count.flight).sum::<Seconds>();
        tempo * f64::from(self.beats()) + flights
    }

    /// The tempo at which this many rounds fill a time: (T ÷ r − times of flight) ÷ beats; `None` where no beat
    /// could last that.
    ///
    /// ```
    /// use jogo_core::{technique::score::{Score, tempo::BodySize}, units::Seconds};
    /// let taps = Score::read("right inside tap, left inside tap", BodySize::default(), &[]).unwrap();
    /// assert_eq!(taps.tempo_of(25.0, Seconds(30.0)), Some(Seconds(0.6))); // 30 ÷ 25 ÷ 2
    /// ```
    pub fn tempo_of(&self, rounds: f64, within: Seconds) -> Option<Seconds> {
        let flights = self.seconds(Seconds(0.0)).0;
        let tempo = (within.0 / rounds - flights) / f64::from(self.beats());
        (tempo.is_finite() && tempo > 0.0).then_some(Seconds(tempo))
    }

    /// Touches by foot and surface.
    pub fn touches(&self) -> Touches {
        let mut touches = Touches::default();
        for touch in self.round.touches() {
            let by_surface = match touch.foot() {
                Some(Side::Right) => &mut touches.right,
                Some(Side::Left) => &mut touches.left,
                None => &mut touches.body,
            };
            *by_surface.entry(touch.surface).or_default() += 1;
        }
        touches
    }

    /// How a round ends.
    pub fn closing(&self) -> Closing {
        closing(&self.round)
    }
}

/// Whole rounds in a time: ⌊T ÷ seconds of a round⌋.
pub fn rounds_in(within: Seconds, round: Seconds) -> u32 {
    // What is whole but for the arithmetic is whole.
    if round.0 > 0.0 { (within.0 / round.0 + 1e-9).floor() as u32 } else { 0 }
}

fn count(round: &Round, what: impl Fn(&Move) -> bool) -> u32 {
    round.counts.iter().flat_map(|count| &count.moves).filter(|each| what(each)).count() as u32
}

fn turning(round: &Round) -> f64 {
    let turns = round.counts.iter().flat_map(|count| &count.moves);
    turns.map(|each| if let Move::Turn(degrees) = each { degrees.abs() } else { 0.0 }).sum()
}

/// Where the ball is at the start and after each touch. What is done in the same beat after the touch, and the travel
/// of the beat, count with it.
fn track(round: &Round) -> Vec<Spot> {
    let after = round.counts.iter().filter(|count| count.touches().next().is_some());
    std::iter::once(round.start.ball).chain(after.map(|count| count.after.ball)).collect()
}

fn needed(round_of: &Round) -> Needed {
    let poses = || std::iter::once(round_of.start).chain(round_of.counts.iter().map(|count| count.after));
    let spots =
        track(round_of).into_iter().chain(poses().flat_map(|pose| Side::ALL.map(|side| pose.foot(side))));
    let (mut least, mut most) = ([f64::MAX; 2], [f64::MIN; 2]);
    for spot in spots {
        for axis in 0..2 {
            least[axis] = least[axis].min(spot[axis]);
            most[axis] = most[axis].max(spot[axis]);
        }
    }
    Needed { width_m: round(most[0] - least[0], 1e3), depth_m: round(most[1] - least[1], 1e3) }
}

fn longest_on_ball(round: &Round) -> u32 {
    let runs = round.counts.split(|count| count.eyes_up());
    runs.map(|run| run.iter().filter(|count| count.flight.is_none()).count()).max().unwrap_or(0) as u32
}

/// A round closes where ball, heading and weight are as at the start, seen from the body.
fn closing(round_of: &Round) -> Closing {
    let (start, end) = (&round_of.start, &round_of.end());
    let turn = 180.0 - (180.0 - end.heading).rem_euclid(360.0);
    let gone = [end.body[0] - start.body[0], end.body[1] - start.body[1]];
    let there = |ball: Spot, weight| {
        ground_level(end) == ground_level(start)
            && apart(end.ball_seen(), ball) <= NEAR_M + 1e-9
            && end.weight == weight
    };
    let [x, y] = start.ball_seen();
    let here = gone[0].hypot(gone[1]) <= NEAR_M + 1e-9 && turn.abs() <= NEAR_DEG + 1e-9;
    let kind = if there([x, y], start.weight) {
        if here { ClosingKind::Closes } else { ClosingKind::Travels }
    } else if there([-x, y], start.weight.mirrored()) {
        ClosingKind::ClosesMirrored
    } else {
        ClosingKind::Opens
    };
    let [dx, dy] = match kind {
        ClosingKind::Opens => [end.ball[0] - start.ball[0], end.ball[1] - start.ball[1]],
        _ => gone,
    };
    Closing { kind, dx_m: round(dx, 1e3), dy_m: round(dy, 1e3), turn_deg: round(turn, 10.0) }
}

/// Up and down; a ball that has just bounced is on its way to the floor.
fn ground_level(pose: &Pose) -> Level {
    if pose.level == Level::Bounced { Level::Floor } else { pose.level }
}

/// What happens to the feet, as far as hops are concerned.
enum Footwork {
    Touch(Option<Side>),
    Lands,
}

fn hops(round: &Round, closing: ClosingKind) -> u32 {
    let all = round.counts.iter().flat_map(|count| &count.moves);
    let work: Vec<Footwork> = all
        .filter_map(|each| match each {
            Move::Touch(touch) => Some(Footwork::Touch(touch.foot())),
            Move::Step { step: Step::Over(_) | Step::Round | Step::To(_), .. }
            | Move::Lunge(_)
            | Move::Hop => Some(Footwork::Lands),
            _ => None,
        })
        .collect();
    let pairs = work.windows(2).filter(|pair| needs_hop(&pair[0], &pair[1], false)).count() as u32;
    let around = match (work.first(), work.last()) {
        (Some(first), Some(last)) if closing != ClosingKind::Opens => {
            u32::from(needs_hop(last, first, closing == ClosingKind::ClosesMirrored))
        }
        _ => 0,
    };
    pairs + around + count(round, |each| *each == Move::Hop)
}

/// Two touches of one foot after each other; in the mirror the next one is the other foot's.
fn needs_hop(one: &Footwork, next: &Footwork, mirrored: bool) -> bool {
    match (one, next) {
        (Footwork::Touch(Some(one)), Footwork::Touch(Some(next))) => (one == next) != mirrored,
        _ => false,
    }
}
