//! Unfolds a score: repeats, mirrors and parts become the beats that are played, one after the other.

use std::collections::BTreeMap;

use super::MOST_BEATS;
use super::fault::{Expected, Fault, Mend};
use super::lie::{Height, Lie};
use super::notation::{Deed, Glance, Limb, Named, Placed, Statement, Step, parse};
use super::touch::{Action, Way};
use crate::input::notation::Place;
use crate::technique::skill::{Side, Skill};
use crate::technique::surface::Surface;
use crate::units::Metres;

/// A touch of the ball.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Touch {
    /// What meets the ball.
    pub surface: Surface,
    /// On which side; the chest and the head have none.
    pub side: Option<Side>,
    /// What it does.
    pub action: Action,
    /// Where the ball goes along the floor; of a foot never left or right.
    pub way: Option<Way>,
    /// How far.
    pub length: Metres,
    /// How high it goes.
    pub up: Option<Height>,
}

impl Touch {
    /// The foot that touches it; `None` if it is the body.
    pub fn foot(&self) -> Option<Side> {
        self.side.filter(|_| self.surface.of_foot())
    }

    /// The same with another surface; `None` if that cannot do it. The ball goes where the surface usually sends it if
    /// it cannot send it the same way.
    fn played_with(self, surface: Surface) -> Option<Touch> {
        let ways = self.action.ways(surface)?;
        let way = self.way.filter(|way| ways.contains(way));
        let side = surface.is_paired().then(|| self.side.unwrap_or(Side::Right));
        let usual = || self.way.and_then(|_| self.action.usual_way(surface));
        Some(Touch { surface, side, way: way.or_else(usual), ..self })
    }

    /// The leg that it takes off the floor, and that lands afterwards.
    pub fn leg(&self) -> Option<Side> {
        self.side.filter(|_| self.surface != Surface::Shoulder)
    }
}

/// What is done in a beat, with every foot known.
#[derive(Clone, Copy, Debug, PartialEq)]
#[allow(missing_docs)]
pub enum Move {
    Touch(Touch),
    Step {
        foot: Side,
        step: Step,
    },
    Hop,
    Lunge(Way),
    FakePass,
    FakeShot,
    Drop(Side),
    /// Degrees to the right; to the left if negative.
    Turn(f64),
    Look(Option<Glance>),
    Bounce,
    Toss,
    Wait,
}

impl Move {
    /// The touch, if it is one.
    fn touch(&self) -> Option<Touch> {
        match self {
            Move::Touch(touch) => Some(*touch),
            _ => None,
        }
    }

    /// The foot or leg that moves, if one does.
    pub fn foot(&self) -> Option<Side> {
        match self {
            Move::Touch(touch) => touch.side,
            Move::Step { foot, .. } => Some(*foot),
            _ => None,
        }
    }

    /// The same with the feet exchanged.
    pub fn mirrored(self) -> Move {
        match self {
            Move::Touch(touch) => Move::Touch(Touch {
                side: touch.side.map(Side::other),
                way: touch.way.map(Way::mirrored),
                ..touch
            }),
            Move::Step { foot, step } => {
                let step = match step {
                    Step::To(way) => Step::To(way.mirrored()),
                    step => step,
                };
                Move::Step { foot: foot.other(), step }
            }
            Move::Lunge(way) => Move::Lunge(way.mirrored()),
            Move::Drop(shoulder) => Move::Drop(shoulder.other()),
            Move::Turn(degrees) => Move::Turn(-degrees),
            Move::Look(Some(Glance::To(side))) => Move::Look(Some(Glance::To(side.other()))),
            same => same,
        }
    }
}

/// One beat.
#[derive(Clone, Debug, PartialEq)]
pub struct Beat {
    /// Where its statement stands.
    pub place: Place,
    /// What is done in it.
    pub moves: Vec<Move>,
}

/// A score, unfolded.
#[derive(Clone, Debug, Default, PartialEq)]
pub struct Unfolded {
    /// Where the ball is before the first beat, if it is said.
    pub start: Option<Lie>,
    /// How far body and ball go each beat.
    pub travel: Option<(Way, Metres)>,
    /// The beats.
    pub beats: Vec<Beat>,
}

impl Unfolded {
    /// The same with another surface in the place of the leading one; `None` without a touch, or if it cannot be done.
    pub(super) fn played_with(&self, surface: Surface) -> Option<Unfolded> {
        let mut moves = self.beats.iter().flat_map(|beat| &beat.moves);
        let leads = moves.find_map(Move::touch)?;
        let alike = |touch: &Touch| (touch.surface, touch.action) == (leads.surface, leads.action);
        let replaced = |each: &Move| match each.touch().filter(alike) {
            Some(touch) => touch.played_with(surface).map(Move::Touch),
            None => Some(*each),
        };
        let beat = |beat: &Beat| {
            let moves = beat.moves.iter().map(replaced).collect::<Option<_>>()?;
            Some(Beat { place: beat.place, moves })
        };
        Some(Unfolded { beats: self.beats.iter().map(beat).collect::<Option<_>>()?, ..self.clone() })
    }

    /// The same with the feet exchanged.
    pub fn mirrored(&self) -> Unfolded {
        let beat = |beat: &Beat| Beat {
            place: beat.place,
            moves: beat.moves.iter().map(|each| each.mirrored()).collect(),
        };
        Unfolded {
            start: self.start.map(Lie::mirrored),
            travel: self.travel.map(|(way, length)| (way.mirrored(), length)),
            beats: self.beats.iter().map(beat).collect(),
        }
    }
}

/// How deep parts and skills may play each other.
const DEEPEST: usize = 20;
/// The most statements that are followed: parts that play each other twice would never come to an end.
const MOST_FOLLOWED: usize = 20_000;

/// Unfolds statements; `skills` are those whose scores can be played.
pub fn unfold(statements: &[Placed<Statement>], skills: &[Skill]) -> (Unfolded, Vec<Fault>) {
    let mut unfolder = Unfolder { skills, ..Unfolder::default() };
    let scope = unfolder.parts(statements);
    unfolder.body(statements, At { mirrored: false, inside: None }, &scope);
    if unfolder.done.beats.is_empty() && unfolder.faults.is_empty() {
        let nothing = Fault::at(Place { line: 1, column: 1 }, Expected::ABeat, Mend::AddBeat);
        unfolder.faults.push(nothing);
    }
    (unfolder.done, unfolder.faults)
}

type Parts<'s> = BTreeMap<&'s str, (Place, &'s [Placed<Statement>])>;

/// How a body is played.
#[derive(Clone, Copy)]
struct At {
    mirrored: bool,
    /// The statement that plays another skill's score, if one does: its faults stand there.
    inside: Option<Place>,
}

#[derive(Default)]
struct Unfolder<'l> {
    skills: &'l [Skill],
    done: Unfolded,
    faults: Vec<Fault>,
    /// The foot that moved last.
    last: Option<Side>,
    /// What is just being played, parts and skills, from the outermost.
    playing: Vec<String>,
    followed: usize,
    full: bool,
}

impl<'l> Unfolder<'l> {
    /// The parts of a text by name.
    fn parts<'s>(&mut self, statements: &'s [Placed<Statement>]) -> Parts<'s> {
        let mut found = Parts::new();
        let mut open = vec![statements];
        while let Some(body) = open.pop() {
            for Placed { place, says } in body {
                let (Statement::Repeat(_, inner) | Statement::Mirror(inner) | Statement::Part(_, inner)) =
                    says
                else {
                    continue;
                };
                open.push(inner);
                if let Statement::Part(name, _) = says {
                    if let Some((taken, _)) = found.get(name.as_str()) {
                        let mend = Mend::NameTaken { name: name.clone(), line: taken.line };
                        self.faults.push(Fault::at(*place, Expected::FreeName, mend));
                    } else {
                        found.insert(name, (*place, inner.as_slice()));
                    }
                }
            }
        }
        found
    }

    fn fault(&mut self, place: Place, at: At, expected: Expected, mend: impl Into<Option<Mend>>) {
        let fault = Fault::at(at.inside.unwrap_or(place), expected, mend);
        // What is played twice is wrong once.
        if !self.faults.iter().any(|known| known.is_like(&fault)) {
            self.faults.push(fault);
        }
    }

    fn body(&mut self, body: &[Placed<Statement>], at: At, scope: &Parts<'_>) {
        for statement in body {
            self.followed += 1;
            if self.followed > MOST_FOLLOWED {
                self.overflow(statement.place, at);
            }
            if self.full {
                return;
            }
            self.statement(statement, at, scope);
        }
    }

    fn overflow(&mut self, place: Place, at: At) {
        if !self.full {
            self.fault(place, at, Expected::BeatsAtMost { most: MOST_BEATS }, Mend::RepeatLess);
        }
        self.full = true;
    }

    fn statement(&mut self, Placed { place, says }: &Placed<Statement>, at: At, scope: &Parts<'_>) {
        match says {
            Statement::Start(lie) => self.before_first(*place, at, |done| done.start = Some(*lie)),
            Statement::Travel(way, length) => {
                self.before_first(*place, at, |done| done.travel = Some((*way, *length)));
            }
            Statement::Beat(deeds) => {
                let moves = deeds.iter().map(|deed| self.resolved(deed, at)).collect();
                self.push(*place, at, moves);
            }
            Statement::Wait(beats) => (0..*beats).for_each(|_| self.push(*place, at, vec![Move::Wait])),
            Statement::Part(_, body) => self.has_beat(*place, body, at),
            Statement::Repeat(times, body) => {
                self.has_beat(*place, body, at);
                for _ in 0..*times {
                    self.body(body, at, scope);
                    if self.full {
                        return;
                    }
                }
            }
            Statement::Mirror(body) => {
                self.has_beat(*place, body, at);
                self.body(body, At { mirrored: !at.mirrored, ..at }, scope);
            }
            Statement::Do(name) => match scope.get(name.as_str()) {
                Some((_, body)) => self.play(name, *place, at, |this| this.body(body, at, scope)),
                None => self.fault(*place, at, Expected::Part, Mend::NoPart { name: name.clone() }),
            },
            Statement::DoSkill(id) => self.skill(id, *place, at),
        }
    }

    /// Where the ball starts is said before the first beat. Of another skill it does not count: it goes on from here.
    fn before_first(&mut self, place: Place, at: At, say: impl FnOnce(&mut Unfolded)) {
        if at.inside.is_some() {
            return;
        }
        match self.done.beats.is_empty() && self.playing.is_empty() && !at.mirrored {
            true => say(&mut self.done),
            false => self.fault(place, at, Expected::BeforeFirstBeat, Mend::MoveUp),
        }
    }

    fn has_beat(&mut self, place: Place, body: &[Placed<Statement>], at: At) {
        if !body.iter().any(|each| takes_time(&each.says)) {
            self.fault(place, at, Expected::ABeat, Mend::AddBeat);
        }
    }

    fn push(&mut self, place: Place, at: At, moves: Vec<Move>) {
        if self.done.beats.len() == MOST_BEATS {
            return self.overflow(place, at);
        }
        self.done.beats.push(Beat { place: at.inside.unwrap_or(place), moves });
    }

    /// Plays a part or a skill, unless it is being played already.
    fn play(&mut self, name: &str, place: Place, at: At, play: impl FnOnce(&mut Self)) {
        let from = self.playing.iter().position(|playing| playing == name);
        if let Some(from) = from {
            let path = self.playing[from..].iter().cloned().chain([name.to_owned()]).collect();
            return self.fault(place, at, Expected::NoCircle { path }, Mend::LeaveOut);
        }
        if self.playing.len() == DEEPEST {
            return self.fault(place, at, Expected::NestedAtMost { most: DEEPEST }, Mend::WriteOut);
        }
        self.playing.push(name.to_owned());
        play(self);
        self.playing.pop();
    }

    fn skill(&mut self, id: &str, place: Place, at: At) {
        let skills = self.skills;
        let text = skills.iter().find(|skill| skill.id == *id).and_then(|skill| skill.score.as_deref());
        let Some(text) = text else {
            return self.fault(place, at, Expected::Skill, Mend::NoSkill { id: id.to_owned() });
        };
        let (statements, faults) = parse(text);
        if !faults.is_empty() {
            let mend = Mend::MendSkill { faults: faults.len() };
            return self.fault(place, at, Expected::SoundSkill { skill: id.to_owned() }, mend);
        }
        let inside = At { inside: Some(at.inside.unwrap_or(place)), ..at };
        self.play(&format!("skill {id}"), place, at, |this| {
            let scope = this.parts(&statements);
            this.body(&statements, inside, &scope);
        });
    }

    /// A deed with its foot known, in the mirror if it is played there.
    fn resolved(&mut self, Placed { place, says }: &Placed<Deed>, at: At) -> Move {
        let plain = match *says {
            Deed::Touch { limb: Limb { surface, side: named }, action, way, length, up } => {
                let side = named.map(|named| self.foot(named, at));
                let way = way.map(|way| side.map_or(way, |side| way.of_foot(side)));
                if let Some(way) = way
                    && let Some(ways) = action.ways(surface).filter(|ways| !ways.contains(&way))
                {
                    let mend = Mend::other_surface(action, way, way);
                    self.fault(*place, at, Expected::cannot(surface, action, ways), mend);
                }
                Move::Touch(Touch { surface, side, action, way, length, up })
            }
            Deed::Step { foot, step } => {
                let foot = self.foot(foot, at);
                let step = match step {
                    Step::To(to) => Step::To(to.of_foot(foot)),
                    step => step,
                };
                Move::Step { foot, step }
            }
            Deed::Hop => Move::Hop,
            Deed::Lunge(to) => Move::Lunge(to),
            Deed::FakePass => Move::FakePass,
            Deed::FakeShot => Move::FakeShot,
            Deed::Drop(shoulder) => Move::Drop(shoulder),
            Deed::Turn(degrees) => Move::Turn(degrees),
            Deed::Look(glance) => Move::Look(glance),
            Deed::Bounce => Move::Bounce,
            Deed::Toss => Move::Toss,
        };
        let done = if at.mirrored { plain.mirrored() } else { plain };
        self.last = done.foot().or(self.last);
        done
    }

    /// A foot as it would be named without the mirror. Before any foot has moved, the same one is the right, and the
    /// other one the left.
    fn foot(&self, named: Named, at: At) -> Side {
        let last = self.last.map(|last| if at.mirrored { last.other() } else { last }).unwrap_or(Side::Right);
        match named {
            Named::Side(side) => side,
            Named::Same => last,
            Named::Other => last.other(),
        }
    }
}

/// Whether a statement takes a beat when it is played; of what plays something else that is found there.
fn takes_time(statement: &Statement) -> bool {
    match statement {
        Statement::Start(_) | Statement::Travel(..) | Statement::Part(..) => false,
        Statement::Beat(_) | Statement::Wait(_) | Statement::Do(_) | Statement::DoSkill(_) => true,
        Statement::Repeat(_, body) | Statement::Mirror(body) => {
            body.iter().any(|each| takes_time(&each.says))
        }
    }
}
