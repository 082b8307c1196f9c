//! Touches: which surface can do what, and where does the ball go?

use std::f64::consts::FRAC_1_SQRT_2;

use crate::technique::skill::Side;
use crate::technique::surface::Surface;
use crate::units::Metres;

/// A way that the ball or a foot goes, seen from the body.
///
/// `In` is toward and across the other foot, `Out` away from it: both depend on the foot.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
#[allow(missing_docs)]
pub enum Way {
    In,
    Out,
    Ahead,
    Back,
    Left,
    Right,
    AheadIn,
    AheadOut,
    BackIn,
    BackOut,
}

impl Way {
    /// All ways, with their words.
    pub const ALL: [(&'static str, Way); 10] = [
        ("in", Way::In),
        ("out", Way::Out),
        ("ahead", Way::Ahead),
        ("back", Way::Back),
        ("left", Way::Left),
        ("right", Way::Right),
        ("ahead-in", Way::AheadIn),
        ("ahead-out", Way::AheadOut),
        ("back-in", Way::BackIn),
        ("back-out", Way::BackOut),
    ];

    /// Its word.
    pub fn word(self) -> &'static str {
        Way::ALL[self as usize].0
    }

    /// The same said of a foot: left is in for the right foot, and out for the left one.
    pub fn of_foot(self, foot: Side) -> Way {
        match (self, foot) {
            (Way::Left, Side::Right) | (Way::Right, Side::Left) => Way::In,
            (Way::Left, Side::Left) | (Way::Right, Side::Right) => Way::Out,
            (way, _) => way,
        }
    }

    /// The same in a mirror: left and right change places; in and out stay, since the foot changes.
    pub fn mirrored(self) -> Way {
        match self {
            Way::Left => Way::Right,
            Way::Right => Way::Left,
            way => way,
        }
    }

    /// Whether it needs a foot to be understood.
    pub fn needs_foot(self) -> bool {
        !matches!(self, Way::Ahead | Way::Back | Way::Left | Way::Right)
    }

    /// One metre this way: to the right, and ahead. A diagonal goes as far to the side as ahead or back.
    ///
    /// ```
    /// use jogo_core::technique::{score::touch::Way, skill::Side};
    /// assert_eq!(Way::In.of_one_metre(Side::Right), (-1.0, 0.0));
    /// assert_eq!(Way::In.of_one_metre(Side::Left), (1.0, 0.0));
    /// ```
    pub fn of_one_metre(self, foot: Side) -> (f64, f64) {
        let out = match foot {
            Side::Right => 1.0,
            Side::Left => -1.0,
        };
        let slant = FRAC_1_SQRT_2;
        match self {
            Way::In => (-out, 0.0),
            Way::Out => (out, 0.0),
            Way::Ahead => (0.0, 1.0),
            Way::Back => (0.0, -1.0),
            Way::Left => (-1.0, 0.0),
            Way::Right => (1.0, 0.0),
            Way::AheadIn => (-out * slant, slant),
            Way::AheadOut => (out * slant, slant),
            Way::BackIn => (-out * slant, -slant),
            Way::BackOut => (out * slant, -slant),
        }
    }
}

/// What a touch does with the ball.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub enum Action {
    /// A short touch, after which the ball rests.
    Tap,
    /// A longer one, after which it rolls.
    Push,
    /// A sharp change of its way.
    Cut,
    /// The sole rolls it.
    Roll,
    /// Sole or laces draw it.
    Drag,
    /// The sole rolls it away and back.
    Rock,
    /// A touch on top: nothing moves.
    Touch,
    /// It lies dead.
    Stop,
    /// The inside plays it behind the standing leg.
    Chop,
    /// It goes up.
    Lift,
    /// It is taken out of the air.
    Cushion,
    /// It is taken as it leaves the floor.
    Wedge,
    /// It leaves: a pass or shot.
    Strike,
}

use Surface::{Chest, Head, Heel, Inside, Laces, Outside, Shoulder, Sole, Thigh, Toe};
use Way::{Ahead, AheadIn, AheadOut, Back, BackIn, BackOut, In, Out};

const ALL_ROUND: &[Way] = &[In, Out, Ahead, Back, AheadIn, AheadOut, BackIn, BackOut];
const ANY_OF_FOOT: &[Way] = ALL_ROUND;
const OF_BODY: &[Way] = &[Ahead, Back, Way::Left, Way::Right];

/// Which surfaces an action admits, and which ways each of them can send the ball; the first way is the one that is
/// meant where none is said.
fn admitted(action: Action) -> &'static [(Surface, &'static [Way])] {
    match action {
        Action::Tap | Action::Push => &[
            (Inside, &[In, Ahead, AheadIn]),
            (Outside, &[Out, Ahead, AheadOut]),
            (Laces, &[Ahead, AheadIn, AheadOut]),
            (Toe, &[Ahead, AheadIn, AheadOut]),
            (Heel, &[Back, BackIn, BackOut]),
        ],
        Action::Cut => &[
            (Inside, &[In, Back, AheadIn, BackIn]),
            (Outside, &[Out, Back, AheadOut, BackOut]),
            (Sole, &[In, Out, Back, BackIn, BackOut]),
        ],
        Action::Roll => &[(Sole, ALL_ROUND)],
        Action::Drag => {
            &[(Sole, &[Back, In, Out, BackIn, BackOut]), (Laces, &[Back, In, Out, BackIn, BackOut])]
        }
        Action::Rock => &[(Sole, &[Out, In, Ahead, Back])],
        Action::Touch => &[(Sole, &[]), (Toe, &[])],
        Action::Stop => &[(Sole, &[]), (Laces, &[])],
        Action::Chop => &[(Inside, &[BackIn, Back])],
        Action::Lift => &[
            (Inside, &[]),
            (Outside, &[]),
            (Sole, &[]),
            (Laces, &[]),
            (Toe, &[]),
            (Heel, &[]),
            (Thigh, &[]),
            (Chest, &[]),
            (Head, &[]),
            (Shoulder, &[]),
        ],
        Action::Cushion => &[
            (Inside, ANY_OF_FOOT),
            (Outside, ANY_OF_FOOT),
            (Sole, ANY_OF_FOOT),
            (Laces, ANY_OF_FOOT),
            (Thigh, ANY_OF_FOOT),
            (Chest, OF_BODY),
            (Head, OF_BODY),
            (Shoulder, ANY_OF_FOOT),
        ],
        Action::Wedge => {
            &[(Inside, &[In, Ahead, AheadIn, BackIn]), (Outside, &[Out, Ahead, AheadOut, BackOut])]
        }
        Action::Strike => &[
            (Inside, &[Ahead, In, AheadIn, AheadOut]),
            (Outside, &[Ahead, Out, AheadIn, AheadOut]),
            (Laces, &[Ahead, AheadIn, AheadOut]),
            (Toe, &[Ahead, AheadIn, AheadOut]),
            (Heel, &[Back, BackIn, BackOut]),
            (Head, OF_BODY),
        ],
    }
}

impl Action {
    /// All actions, with their words.
    pub const ALL: [(&'static str, Action); 13] = [
        ("tap", Action::Tap),
        ("push", Action::Push),
        ("cut", Action::Cut),
        ("roll", Action::Roll),
        ("drag", Action::Drag),
        ("rock", Action::Rock),
        ("touch", Action::Touch),
        ("stop", Action::Stop),
        ("chop", Action::Chop),
        ("lift", Action::Lift),
        ("cushion", Action::Cushion),
        ("wedge", Action::Wedge),
        ("strike", Action::Strike),
    ];

    /// Its word.
    pub fn word(self) -> &'static str {
        Action::ALL[self as usize].0
    }

    /// The surfaces that can do it.
    pub fn surfaces(self) -> impl Iterator<Item = Surface> {
        admitted(self).iter().map(|(surface, _)| *surface)
    }

    /// The ways that a surface can send the ball by it, the usual one first; `None` if the surface cannot do it. Empty
    /// where nothing moves along the floor.
    ///
    /// ```
    /// use jogo_core::technique::{score::touch::{Action, Way}, surface::Surface};
    /// assert_eq!(Action::Push.ways(Surface::Sole), None); // a sole cannot be pushed with
    /// assert_eq!(Action::Push.ways(Surface::Inside), Some(&[Way::In, Way::Ahead, Way::AheadIn][..]));
    /// ```
    pub fn ways(self, surface: Surface) -> Option<&'static [Way]> {
        admitted(self).iter().find(|(known, _)| *known == surface).map(|(_, ways)| *ways)
    }

    /// The way that is meant where none is said. A cut has none: its way must be said.
    pub fn usual_way(self, surface: Surface) -> Option<Way> {
        match self {
            Action::Cut | Action::Cushion => None,
            _ => self.ways(surface)?.first().copied(),
        }
    }

    /// How far the ball goes where no length is said. Assumptions.
    pub fn usual_length(self) -> Metres {
        Metres(match self {
            Action::Tap => 0.30,
            Action::Push | Action::Wedge => 0.60,
            Action::Cut => 0.50,
            Action::Roll | Action::Chop => 0.45,
            Action::Drag => 0.40,
            Action::Rock => 0.15,
            Action::Cushion => 0.30,
            Action::Touch | Action::Stop | Action::Lift | Action::Strike => 0.0,
        })
    }

    /// Which ball it can be done with.
    pub fn needs(self) -> Needs {
        match self {
            Action::Lift | Action::Strike => Needs::Any,
            Action::Cushion | Action::Wedge => Needs::Air,
            _ => Needs::Floor,
        }
    }
}

/// Where the ball must be for an action.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Needs {
    /// On the floor, or just off it after a bounce.
    Floor,
    /// In the air, or just off the floor after a bounce.
    Air,
    /// Either.
    Any,
}

#[cfg(test)]
mod tests {
    use super::*;
    use rstest::rstest;

    #[test]
    fn words_stand_where_their_numbers_say() {
        assert!(Action::ALL.iter().all(|(word, action)| action.word() == *word));
        assert!(Way::ALL.iter().all(|(word, way)| way.word() == *word));
    }

    // As a coach would say it: what cannot be done with the foot is no touch.
    #[rstest]
    #[case::an_inside_push_cannot_go_out(Action::Push, Surface::Inside, Way::Out, false)]
    #[case::an_outside_push_goes_out(Action::Push, Surface::Outside, Way::Out, true)]
    #[case::a_heel_sends_it_back(Action::Tap, Surface::Heel, Way::Ahead, false)]
    #[case::a_sole_rolls_any_way(Action::Roll, Surface::Sole, Way::AheadOut, true)]
    #[case::laces_cannot_roll(Action::Roll, Surface::Laces, Way::In, false)]
    #[case::a_chop_goes_behind(Action::Chop, Surface::Inside, Way::Ahead, false)]
    fn surfaces_admit_ways(
        #[case] action: Action,
        #[case] surface: Surface,
        #[case] way: Way,
        #[case] can: bool,
    ) {
        assert_eq!(action.ways(surface).is_some_and(|ways| ways.contains(&way)), can);
    }
}
