//! Levers: what makes a drill easier or harder?
//!
//! A variant is a drill with its levers set. Its difficulty is the drill's base plus the points of the settings; its
//! stage follows from the settings: pressure above none gives Contest, else a call to answer gives Scan, else tempo
//! above own pace or motion above on the spot gives Flow, else Form. The points are first values, assumptions that an
//! academy may edit.
//!
//! ```
//! use jogo_core::drill::levers::{LeverPoints, Levers, Motion, Tempo};
//! use jogo_core::technique::skill::Stage;
//!
//! let mut levers = Levers::default();
//! assert_eq!(levers.stage(), Stage::Form);
//! levers.tempo = Tempo::InRhythm;
//! levers.motion = Motion::BothDirections;
//! assert_eq!(levers.stage(), Stage::Flow);
//! assert_eq!(levers.points(&LeverPoints::default()), 1.5);
//! ```

use std::collections::BTreeMap;

use serde::{Deserialize, Deserializer, Serialize};

use crate::fact::{facts, told_by_word};
use crate::input::InputError;
use crate::technique::skill::Stage;
use crate::technique::surface::Surface;

/// A drill laid tight takes so much of the lengths that its text says. An assumption.
pub const TIGHT: f64 = 0.75;
/// A drill laid wide takes so much of the lengths that its text says. An assumption.
pub const WIDE: f64 = 1.25;
/// Points of a setting lie between nothing and this.
pub const MOST_POINTS: f64 = 5.0;

facts! {
    /// What is wrong with the points of a lever.
    pub enum LeverFault {
        Points = "lever-points-missing" { setting: String, most: f64 },
    }
}

macro_rules! levers {
    ($(
        $(#[$about:meta])* $field:ident $word:literal $Lever:ident: $Name:ident {
            $($(#[$said:meta])* $Setting:ident = $points:literal,)+
        }
    )+) => {
        $(
            $(#[$about])*
            #[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
            #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
            #[serde(rename_all = "snake_case")]
            pub enum $Name { $($(#[$said])* $Setting,)+ }

            impl $Name {
                /// All settings, the easier ones first.
                pub const ALL: &[$Name] = &[$($Name::$Setting),+];
            }
        )+

        /// One of the things that make a drill easier or harder.
        #[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        #[serde(rename_all = "snake_case")]
        #[allow(missing_docs)]
        pub enum Lever { $($Lever,)+ }

        impl Lever {
            /// All levers, in the order in which they are shown.
            pub const ALL: &[Lever] = &[$(Lever::$Lever),+];

            /// Its word in files.
            pub fn word(self) -> &'static str {
                match self { $(Lever::$Lever => $word),+ }
            }
        }

        told_by_word!(Lever, "lever");

        /// A setting of every lever. What is not said stands at its easiest.
        #[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        #[serde(deny_unknown_fields, default)]
        pub struct Levers { $($(#[$about])* #[serde(skip_serializing_if = "is_easiest")] pub $field: $Name,)+ }

        impl Levers {
            /// What the settings add to the drill's base difficulty.
            pub fn points(&self, table: &LeverPoints) -> f64 {
                [$(table.$field.get(&self.$field).copied().unwrap_or(0.0)),+].iter().sum()
            }

            /// The place of a lever's setting among all of its settings.
            pub fn at(&self, lever: Lever) -> usize {
                match lever { $(Lever::$Lever => self.$field as usize),+ }
            }

            /// The same with one lever at another setting; a place that it does not have changes nothing.
            pub fn with(mut self, lever: Lever, at: usize) -> Levers {
                match lever {
                    $(Lever::$Lever => if let Some(setting) = $Name::ALL.get(at) { self.$field = *setting }),+
                }
                self
            }
        }

        /// The settings that a drill offers for each lever; a lever without settings does not apply to it.
        #[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        #[serde(deny_unknown_fields, default)]
        pub struct Offered { $($(#[$about])* #[serde(skip_serializing_if = "Vec::is_empty")]
            #[cfg_attr(feature = "openapi", schema(required = false))] pub $field: Vec<$Name>,)+ }

        impl Offered {
            /// The places of a lever's settings that the drill offers, the easier ones first.
            pub fn of(&self, lever: Lever) -> Vec<usize> {
                let mut places: Vec<usize> = match lever {
                    $(Lever::$Lever => self.$field.iter().map(|s| *s as usize).collect()),+
                };
                places.sort_unstable();
                places.dedup();
                places
            }
        }

        /// What each setting adds to the difficulty.
        #[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        #[serde(deny_unknown_fields, default)]
        pub struct LeverPoints {
            $($(#[$about])* #[serde(deserialize_with = "completed")] pub $field: BTreeMap<$Name, f64>,)+
        }

        $(impl FirstPoints for $Name {
            const FIRST: &[($Name, f64)] = &[$(($Name::$Setting, $points)),+];
        })+

        impl Default for LeverPoints {
            /// First values, all of them assumptions.
            fn default() -> LeverPoints {
                LeverPoints { $($field: [$(($Name::$Setting, $points)),+].into(),)+ }
            }
        }

        impl LeverPoints {
            /// The points of a setting, by its place.
            pub fn of(&self, lever: Lever, at: usize) -> f64 {
                match lever {
                    $(Lever::$Lever => {
                        $Name::ALL.get(at).and_then(|s| self.$field.get(s)).copied().unwrap_or(0.0)
                    }),+
                }
            }

            /// Every setting that is missing or out of its range, with its place in the JSON form.
            pub fn faults(&self) -> Vec<InputError> {
                let mut faults = Vec::new();
                $(
                    for setting in $Name::ALL {
                        let points = self.$field.get(setting);
                        if !points.is_some_and(|p| (0.0..=MOST_POINTS).contains(p)) {
                            let name = word(setting);
                            let at = format!("/{}/{name}", $word);
                            faults.push(InputError::at(at, LeverFault::Points { setting: name, most: MOST_POINTS }));
                        }
                    }
                )+
                faults
            }
        }
    };
}

levers! {
    /// How fast the feet go.
    tempo "tempo" Tempo: Tempo {
        /// Each at their own pace.
        #[default] OwnPace = 0.0,
        /// In an even rhythm.
        InRhythm = 0.5,
        /// As fast as you can.
        Fast = 1.5,
    }
    /// Where the body goes.
    motion "motion" Motion: Motion {
        /// On the spot.
        #[default] OnTheSpot = 0.0,
        /// Forward.
        Forward = 0.5,
        /// Forward and back, or to both sides.
        BothDirections = 1.0,
    }
    /// Where the eyes are.
    eyes "eyes" Eyes: Eyes {
        /// Wherever they like.
        #[default] Free = 0.0,
        /// Up, once the rhythm has come.
        Up = 0.5,
        /// Calling out a number or colour that is shown.
        Call = 1.5,
    }
    /// Which foot works.
    side "side" Side: Sides {
        /// The strong foot.
        #[default] Strong = 0.0,
        /// Left and right in turn.
        Alternate = 0.5,
        /// The other foot only.
        Other = 1.5,
    }
    /// What of the foot or body takes the ball.
    surface "surface" Surface: PlayedWith {
        /// As the drill says it.
        #[default] AsDrilled = 0.0,
        /// The inside.
        Inside = 0.0,
        /// The sole.
        Sole = 0.5,
        /// The outside.
        Outside = 0.5,
        /// The laces.
        Laces = 0.5,
        /// The thigh.
        Thigh = 1.0,
        /// The chest.
        Chest = 1.5,
    }
    /// How many touches are allowed.
    touches "touches" Touches: Touches {
        /// As many as you like.
        #[default] Free = 0.0,
        /// Two.
        Two = 0.5,
        /// One.
        One = 1.5,
    }
    /// How much room there is.
    space "space" Space: Space {
        /// More than the layout says.
        #[default] Wide = 0.0,
        /// As the layout says.
        Usual = 0.5,
        /// Less than the layout says.
        Tight = 1.5,
    }
    /// Which ball.
    ball "ball" Ball: BallSize {
        /// The size of the age.
        #[default] AgeSize = 0.0,
        /// One size smaller.
        OneSmaller = 1.0,
        /// A tennis ball.
        TennisBall = 2.0,
    }
    /// How the ball comes.
    service "service" Service: Service {
        /// Tossed by oneself.
        #[default] OwnToss = 0.0,
        /// Rolled.
        Rolled = 0.0,
        /// Kicked up by oneself.
        SelfKicked = 0.5,
        /// Thrown, underarm.
        Thrown = 0.5,
        /// Firm.
        Firm = 1.0,
        /// Now soft, now firm.
        MixedSpeeds = 1.5,
        /// High.
        High = 2.0,
    }
    /// How much is joined.
    chain "chain" Chain: Chain {
        /// One thing.
        #[default] Single = 0.0,
        /// Two things joined.
        TwoJoined = 1.0,
        /// Three or more, or a turn and a move.
        ThreeOrMore = 2.0,
    }
    /// Who is in the way.
    pressure "pressure" Pressure: Pressure {
        /// Nobody.
        #[default] None = 0.0,
        /// Someone who moves along and does not tackle.
        Shadow = 1.0,
        /// Someone who closes the way.
        Passive = 2.0,
        /// Someone who wants the ball.
        Live = 3.0,
    }
    /// What there is to win.
    contest "contest" Contest: Contest {
        /// Nothing.
        #[default] None = 0.0,
        /// One's own last score.
        OwnScore = 0.5,
        /// A partner, or the clock.
        Partner = 1.0,
    }
}

impl PlayedWith {
    /// The surface that is asked for; `None` where the drill's own are played.
    pub fn surface(self) -> Option<Surface> {
        match self {
            PlayedWith::AsDrilled => None,
            PlayedWith::Inside => Some(Surface::Inside),
            PlayedWith::Sole => Some(Surface::Sole),
            PlayedWith::Outside => Some(Surface::Outside),
            PlayedWith::Laces => Some(Surface::Laces),
            PlayedWith::Thigh => Some(Surface::Thigh),
            PlayedWith::Chest => Some(Surface::Chest),
        }
    }
}

/// What each setting of a lever adds at first.
trait FirstPoints: Sized + 'static {
    const FIRST: &[(Self, f64)];
}

/// The points of a lever; a setting that a table of an earlier version does not know has its first value.
fn completed<'de, D: Deserializer<'de>, S: FirstPoints + Copy + Ord + Deserialize<'de>>(
    from: D,
) -> Result<BTreeMap<S, f64>, D::Error> {
    let mut points = BTreeMap::deserialize(from)?;
    for (setting, first) in S::FIRST {
        points.entry(*setting).or_insert(*first);
    }
    Ok(points)
}

/// What is not said stands at its easiest, so the easiest need not be said.
fn is_easiest<T: Default + PartialEq>(setting: &T) -> bool {
    *setting == T::default()
}

/// A setting as its JSON form spells it: `OwnPace` is `own_pace`.
fn word(setting: &impl std::fmt::Debug) -> String {
    let mut word = String::new();
    for (i, letter) in format!("{setting:?}").char_indices() {
        if i > 0 && letter.is_ascii_uppercase() {
            word.push('_');
        }
        word.push(letter.to_ascii_lowercase());
    }
    word
}

/// How hard the body works.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(rename_all = "snake_case")]
pub enum Intensity {
    /// At each one's own pace, on the spot.
    #[default]
    Easy,
    /// In rhythm or on the move.
    Brisk,
    /// As fast as they can, or against someone who wants the ball: the highest.
    Hard,
}

impl Levers {
    /// How hard the body works with these settings.
    ///
    /// ```
    /// use jogo_core::drill::levers::{Intensity, Levers, Motion, Tempo};
    /// assert_eq!(Levers::default().intensity(), Intensity::Easy);
    /// assert_eq!(Levers { motion: Motion::Forward, ..Levers::default() }.intensity(), Intensity::Brisk);
    /// assert_eq!(Levers { tempo: Tempo::Fast, ..Levers::default() }.intensity(), Intensity::Hard);
    /// ```
    pub fn intensity(&self) -> Intensity {
        if self.tempo == Tempo::Fast || self.pressure == Pressure::Live {
            Intensity::Hard
        } else if self.tempo > Tempo::OwnPace
            || self.motion > Motion::OnTheSpot
            || self.pressure > Pressure::None
        {
            Intensity::Brisk
        } else {
            Intensity::Easy
        }
    }

    /// The stage that a child works at with these settings.
    pub fn stage(&self) -> Stage {
        if self.pressure > Pressure::None {
            Stage::Contest
        } else if self.eyes == Eyes::Call {
            Stage::Scan
        } else if self.tempo > Tempo::OwnPace || self.motion > Motion::OnTheSpot {
            Stage::Flow
        } else {
            Stage::Form
        }
    }

    /// How much of the lengths that the text says the layout takes.
    pub fn scale(&self) -> f64 {
        match self.space {
            Space::Wide => WIDE,
            Space::Usual => 1.0,
            Space::Tight => TIGHT,
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use rstest::rstest;

    #[rstest]
    #[case::nothing_set("{}", Stage::Form, 0.0)]
    #[case::fast_on_the_spot(r#"{"tempo":"fast"}"#, Stage::Flow, 1.5)]
    #[case::slow_but_moving(r#"{"motion":"forward"}"#, Stage::Flow, 0.5)]
    #[case::eyes_up_is_not_yet_a_cue(r#"{"eyes":"up"}"#, Stage::Form, 0.5)]
    #[case::a_call_beats_tempo(r#"{"eyes":"call","tempo":"fast"}"#, Stage::Scan, 3.0)]
    #[case::a_shadow_beats_a_call(r#"{"pressure":"shadow","eyes":"call"}"#, Stage::Contest, 2.5)]
    #[case::a_score_to_beat_is_no_opponent(r#"{"contest":"partner"}"#, Stage::Form, 1.0)]
    #[case::other_foot_one_touch_firm(
        r#"{"side":"other","touches":"one","service":"firm"}"#,
        Stage::Form,
        4.0
    )]
    #[case::with_the_thigh_on_the_spot(r#"{"surface":"thigh"}"#, Stage::Form, 1.0)]
    #[case::everything_at_its_hardest(
        r#"{"tempo":"fast","motion":"both_directions","eyes":"call","side":"other","touches":"one","space":"tight",
            "ball":"tennis_ball","service":"high","chain":"three_or_more","pressure":"live","contest":"partner",
            "surface":"chest"}"#,
        Stage::Contest,
        20.0
    )]
    fn stage_and_points_follow_from_the_settings(
        #[case] settings: &str,
        #[case] stage: Stage,
        #[case] points: f64,
    ) {
        let levers: Levers = serde_json::from_str(settings).unwrap();
        assert_eq!((levers.stage(), levers.points(&LeverPoints::default())), (stage, points));
    }

    #[test]
    fn an_academy_sets_points_of_its_own_within_their_range() {
        let mut table = LeverPoints::default();
        assert!(table.faults().is_empty());
        table.tempo.insert(Tempo::Fast, 2.5);
        assert_eq!(Levers { tempo: Tempo::Fast, ..Levers::default() }.points(&table), 2.5);
        table.space.remove(&Space::Tight);
        table.eyes.insert(Eyes::Call, f64::NAN);
        let places: Vec<_> = table.faults().into_iter().map(|fault| fault.pointer).collect();
        assert_eq!(places, ["/eyes/call", "/space/tight"]);
    }

    #[test]
    fn a_table_that_does_not_know_a_setting_yet_has_its_first_value() {
        let older =
            r#"{"service": {"own_toss": 0.25, "rolled": 0, "firm": 1, "mixed_speeds": 1.5, "high": 2}}"#;
        let table: LeverPoints = serde_json::from_str(older).unwrap();
        assert_eq!((table.service[&Service::OwnToss], table.service[&Service::Thrown]), (0.25, 0.5));
        assert_eq!(table.surface[&PlayedWith::Chest], 1.5); // a lever that it does not know at all
        assert!(table.faults().is_empty());
    }

    #[test]
    fn a_lever_is_set_by_place_and_words_are_those_of_the_json_form() {
        let levers = Levers::default().with(Lever::Pressure, 2).with(Lever::Tempo, 9);
        assert_eq!(levers, Levers { pressure: Pressure::Passive, ..Levers::default() });
        assert_eq!((levers.at(Lever::Pressure), levers.at(Lever::Tempo)), (2, 0));
        for setting in BallSize::ALL {
            assert_eq!(serde_json::to_value(setting).unwrap(), word(setting));
        }
    }
}
