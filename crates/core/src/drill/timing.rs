//! A block: what does one variant take, and what does it give?

use rand::{RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;
use serde::Serialize;

use crate::drill::dose::{Dose, Schedule, SideRule, touches};
use crate::technique::score::measure::rounds_in;
use crate::technique::skill::Foot;
use crate::units::{Seconds, Share};

/// Touches that one player gets, by foot.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FootTouches {
    /// With the strong foot.
    pub strong: u32,
    /// With the other foot.
    pub other: u32,
}

/// What happens in a stretch of the clock.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum PhaseKind {
    /// Explaining and showing.
    Explain,
    /// Work.
    Work,
    /// Rest.
    Rest,
    /// The challenge at the end of a series.
    Challenge,
}

/// A stretch of a block's clock.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Phase {
    /// What happens.
    pub kind: PhaseKind,
    /// How long.
    #[serde(rename = "seconds")]
    pub lasts: Seconds,
    /// The foot whose turn it is, where each has bouts of its own: the other foot begins, and they take turns. In a
    /// series the foot that does the move alone.
    pub foot: Option<Foot>,
    /// Which move of the series, from 0.
    #[serde(rename = "move")]
    pub step: Option<u32>,
}

/// The clock of a block, and the time on the ball that it gives.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Timing {
    /// Explaining and showing.
    #[serde(rename = "explaining_s")]
    pub explaining: Seconds,
    /// What a player does, in the kind that the drill says, filled up to the block.
    pub dose: Dose,
    /// One repetition, lap or try; nothing where the dose has none.
    #[serde(rename = "once_s")]
    pub once: Seconds,
    /// One bout of work.
    #[serde(rename = "work_s")]
    pub work: Seconds,
    /// Rest between bouts.
    #[serde(rename = "rest_s")]
    pub rest: Seconds,
    /// Bouts, turns at the station included.
    pub bouts: u32,
    /// The clock, stretch by stretch.
    pub phases: Vec<Phase>,
    /// Work to rest in lowest terms.
    pub work_to_rest: Option<String>,
    /// Touches per player.
    pub touches: FootTouches,
    /// Whether they are counted from a score: the tempo behind them is an assumption, else the cadence is.
    pub from_score: bool,
    /// Share of the dose in which a player waits.
    pub waiting_share: Share,
}

/// What a round of a score gives.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct RoundTouches {
    /// How long it lasts.
    pub lasts: Seconds,
    /// Touches with the strong foot.
    pub strong: u32,
    /// Touches with the other foot.
    pub other: u32,
    /// Touches with the body.
    pub body: u32,
    /// Whether the next round begins with the other foot.
    pub evens_out: bool,
}

/// How a variant is touched: how often, and with which foot.
#[derive(Clone, Copy, Debug)]
pub struct Touching {
    /// Touches per second of work, where no score counts them.
    pub per_second: f64,
    /// What a round of its score gives.
    pub round: Option<RoundTouches>,
    /// The foot that works alone; `None` where both do.
    pub foot: Option<Foot>,
}

impl Timing {
    /// The clock of a schedule that is done in this many turns, while at any time `working` of the squad are at it.
    pub fn of(
        schedule: &Schedule,
        explaining: Seconds,
        turns: u32,
        touching: Touching,
        working: Share,
    ) -> Timing {
        Timing {
            explaining,
            dose: schedule.dose,
            once: schedule.one(),
            work: schedule.bout(),
            rest: schedule.rest(),
            bouts: schedule.bouts() * turns,
            phases: phases(explaining, schedule, turns),
            work_to_rest: schedule.work_to_rest(),
            touches: foot_touches(schedule, turns, touching, working),
            from_score: touching.round.is_some(),
            waiting_share: schedule.waiting_share(working),
        }
    }
}

/// Explaining, then for each turn work and rest in turn, beginning and ending with work: while one rests after the last
/// bout, the next one works.
fn phases(explaining: Seconds, schedule: &Schedule, turns: u32) -> Vec<Phase> {
    let mut phases = vec![Phase { kind: PhaseKind::Explain, lasts: explaining, foot: None, step: None }];
    for turn in 0..turns {
        match schedule.dose {
            Dose::Series { .. } => series(schedule, &mut phases),
            _ => bouts(schedule, turn, &mut phases),
        }
    }
    phases
}

/// A rest, if there is any.
fn rest(lasts: Seconds, phases: &mut Vec<Phase>) {
    if lasts > Seconds(0.0) {
        phases.push(Phase { kind: PhaseKind::Rest, lasts, foot: None, step: None });
    }
}

fn bouts(schedule: &Schedule, turn: u32, phases: &mut Vec<Phase>) {
    for bout in 0..schedule.bouts() {
        if bout > 0 {
            rest(schedule.rest(), phases);
        }
        let foot = if bout % 2 == 0 { Foot::Other } else { Foot::Strong };
        let in_turn = schedule.sides() == SideRule::Each;
        let lasts = match schedule.dose {
            Dose::UntilTold { least, most, .. } => until_told(least, most, turn * schedule.bouts() + bout),
            _ => schedule.bout(),
        };
        phases.push(Phase { kind: PhaseKind::Work, lasts, foot: in_turn.then_some(foot), step: None });
    }
}

/// When the change is called, to the second: nobody can guess it, and it is the same whenever the clock is looked at.
fn until_told(least: Seconds, most: Seconds, bout: u32) -> Seconds {
    if least >= most {
        return most;
    }
    let mut chance = ChaCha8Rng::seed_from_u64(u64::from(bout) << 32 | (most.0 * 10.0) as u64);
    Seconds(chance.random_range(least.0..=most.0).round().clamp(least.0, most.0))
}

fn series(schedule: &Schedule, phases: &mut Vec<Phase>) {
    let Dose::Series { moves, work, rounds, pause, challenge, .. } = schedule.dose else { return };
    for (round, step) in (0..rounds).flat_map(|round| (0..moves).map(move |step| (round, step))) {
        match (round, step) {
            (0, 0) => {}
            (_, 0) => rest(pause, phases),
            _ => rest(schedule.rest(), phases),
        }
        let foot = schedule.foot_of_move(step);
        phases.push(Phase { kind: PhaseKind::Work, lasts: work, foot, step: Some(step) });
    }
    if let Some(lasts) = challenge {
        rest(pause, phases);
        phases.push(Phase { kind: PhaseKind::Challenge, lasts, foot: None, step: None });
    }
}

/// All turns of a block count as work; at any time only the working share of the squad is at it. Both feet share the
/// touches alike, unless one works alone.
fn foot_touches(schedule: &Schedule, turns: u32, touching: Touching, working: Share) -> FootTouches {
    if let Some(round) = touching.round {
        return counted(schedule, turns, &round, touching.foot, working);
    }
    let all = touches(touching.per_second, schedule.work() * f64::from(turns), working);
    match touching.foot {
        Some(Foot::Strong) => FootTouches { strong: all, other: 0 },
        Some(Foot::Other) => FootTouches { strong: 0, other: all },
        None => {
            let [strong, other] = [Foot::Strong, Foot::Other].map(|foot| schedule.share_of(foot).0);
            let of_other = (f64::from(all) * (1.0 - strong + other) / 2.0).floor() as u32;
            FootTouches { strong: all - of_other.min(all), other: of_other.min(all) }
        }
    }
}

/// Rounds that a bout has time for × touches of a round × bouts; a bout that ends within its first round has its share
/// of it. The feet have what the score gives them; over the rounds of a score that begins with the other foot each
/// time, and over bouts in which each foot has its turn, they even out.
fn counted(
    schedule: &Schedule,
    turns: u32,
    round: &RoundTouches,
    foot: Option<Foot>,
    working: Share,
) -> FootTouches {
    let whole = rounds_in(schedule.bout(), round.lasts);
    let rounds = if whole > 0 { f64::from(whole) } else { schedule.bout().0 / round.lasts.0 };
    let bouts = f64::from(schedule.bouts() * turns) * working.0;
    let all = |touches: f64| (touches * rounds * bouts).round() as u32;
    let (strong, other) = (f64::from(round.strong), f64::from(round.other));
    // What the body touches is counted for the feet alike, as a dose without a score does.
    let body = f64::from(round.body) / 2.0;
    let even = (strong + other) / 2.0;
    let takes_turns = foot.is_none() && schedule.dose.sides() != SideRule::Together;
    let (strong, other) = if round.evens_out || takes_turns { (even, even) } else { (strong, other) };
    FootTouches { strong: all(strong + body), other: all(other + body) }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::drill::dose::{Dose, SideRule};
    use rstest::rstest;

    fn rounds(sides: SideRule) -> Schedule {
        Dose::Timed { work: Seconds(20.0), rest: Seconds(10.0), sets: 2, sides }.scheduled(Seconds(0.0))
    }

    // By hand: explaining 60, then twice (20, 10, 20).
    #[test]
    fn the_clock_lasts_as_long_as_the_block() {
        let schedule = rounds(SideRule::Together);
        let touching = Touching { per_second: 2.0, round: None, foot: None };
        let timing = Timing::of(&schedule, Seconds(60.0), 2, touching, Share(0.5));
        let clock: Vec<_> = timing.phases.iter().map(|phase| phase.lasts.0).collect();
        assert_eq!(clock, [60.0, 20.0, 10.0, 20.0, 20.0, 10.0, 20.0]);
        assert_eq!(clock.iter().sum::<f64>(), schedule.whole(Seconds(60.0), 2).0);
        assert_eq!(timing.bouts, 4);
    }

    // By hand: explaining 60, two rounds of (20, 10, 20) with a break of 30 between them, 30 + 15 for the challenge.
    #[test]
    fn the_clock_of_a_series_names_its_moves() {
        let dose = Dose::Series {
            moves: 2,
            work: Seconds(20.0),
            rest: Seconds(10.0),
            rounds: 2,
            pause: Seconds(30.0),
            challenge: Some(Seconds(15.0)),
        };
        let schedule = dose.scheduled(Seconds(0.0)).with_feet([None, Some(Foot::Other)]);
        let touching = Touching { per_second: 2.0, round: None, foot: None };
        let timing = Timing::of(&schedule, Seconds(60.0), 1, touching, Share(1.0));
        let clock: Vec<_> = timing.phases.iter().map(|phase| (phase.lasts.0, phase.step)).collect();
        let (first, second) = (Some(0), Some(1));
        assert_eq!(
            clock,
            [
                (60.0, None),
                (20.0, first),
                (10.0, None),
                (20.0, second),
                (30.0, None),
                (20.0, first),
                (10.0, None),
                (20.0, second),
                (30.0, None),
                (15.0, None),
            ]
        );
        assert_eq!(clock.iter().map(|(lasts, _)| lasts).sum::<f64>(), schedule.whole(Seconds(60.0), 1).0);
        assert_eq!(timing.phases.last().map(|phase| phase.kind), Some(PhaseKind::Challenge));
        assert_eq!((timing.phases[1].foot, timing.phases[3].foot), (None, Some(Foot::Other)));
        // 2 touches a second × 95 s; 40 of the 95 s are the other foot's alone: 190 × (1 + 40 ÷ 95) ÷ 2 = 135.
        assert_eq!(timing.touches, FootTouches { strong: 55, other: 135 });
    }

    #[test]
    fn a_change_that_is_called_comes_within_its_bounds_and_not_as_regularly_as_a_clock() {
        let (least, most, rest) = (Seconds(10.0), Seconds(40.0), Seconds(0.0));
        let dose = Dose::UntilTold { least, most, rest, sets: 12, sides: SideRule::Together };
        let touching = Touching { per_second: 2.0, round: None, foot: None };
        let clock = || Timing::of(&dose.scheduled(rest), rest, 1, touching, Share(1.0)).phases;
        let bouts: Vec<f64> = clock().iter().skip(1).map(|phase| phase.lasts.0).collect();
        assert!(bouts.iter().all(|lasts| (10.0..=40.0).contains(lasts)), "{bouts:?}");
        let different = bouts.iter().map(|lasts| *lasts as u32).collect::<std::collections::BTreeSet<_>>();
        assert!(different.len() > 6, "{bouts:?}");
        assert_eq!(clock(), clock());
    }

    // 2 touches a second × 40 s (80 s for each side on its own) × half the squad at work.
    #[rstest]
    #[case::strong_foot_alone(SideRule::Together, Some(Foot::Strong), (40, 0))]
    #[case::both_in_turn(SideRule::Together, None, (20, 20))]
    #[case::each_has_its_bouts(SideRule::Each, None, (40, 40))]
    #[case::the_other_alone(SideRule::Alternate, Some(Foot::Other), (0, 40))]
    fn touches_by_foot(
        #[case] sides: SideRule,
        #[case] foot: Option<Foot>,
        #[case] (strong, other): (u32, u32),
    ) {
        let touching = Touching { per_second: 2.0, round: None, foot };
        let found = foot_touches(&rounds(sides), 1, touching, Share(0.5));
        assert_eq!(found, FootTouches { strong, other });
    }

    // A round of three touches in 1.5 s: 13 rounds in 20 s, two bouts (four for each side on its own), half at work.
    #[rstest]
    #[case::as_the_score_says(SideRule::Together, None, false, (26, 13))]
    #[case::the_next_round_begins_with_the_other_foot(SideRule::Together, None, true, (20, 20))]
    #[case::each_has_its_bouts(SideRule::Each, None, false, (39, 39))]
    #[case::one_foot_works(SideRule::Together, Some(Foot::Strong), false, (26, 13))]
    fn touches_from_a_score(
        #[case] sides: SideRule,
        #[case] foot: Option<Foot>,
        #[case] evens_out: bool,
        #[case] (strong, other): (u32, u32),
    ) {
        let round = RoundTouches { lasts: Seconds(1.5), strong: 2, other: 1, body: 0, evens_out };
        let touching = Touching { per_second: 2.0, round: Some(round), foot };
        let found = foot_touches(&rounds(sides), 1, touching, Share(0.5));
        assert_eq!(found, FootTouches { strong, other });
    }
}
