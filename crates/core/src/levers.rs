//! Levers: what makes a drill easier or harder?
//!
//! A variant is a drill with its levers set. Its difficulty is the drill's base plus the points of the settings; its
//! stage follows from the settings: pressure above none gives Contest, else a call to answer gives Scan, else tempo
//! above own pace or motion above on the spot gives Flow, else Form. The points are first values, assumptions that an
//! academy may edit.
//!
//! ```
//! use jogo_core::levers::{Levers, Motion, Tempo};
//! use jogo_core::skill::Stage;
//!
//! let mut levers = Levers::default();
//! assert_eq!(levers.stage(), Stage::Form);
//! levers.tempo = Tempo::InRhythm;
//! levers.motion = Motion::BothDirections;
//! assert_eq!(levers.stage(), Stage::Flow);
//! assert_eq!(levers.points(), 1.5);
//! ```

use serde::{Deserialize, Serialize};

use crate::skill::Stage;

macro_rules! lever {
    ($(#[$about:meta])* $name:ident { $($(#[$said:meta])* $setting:ident = $points:literal,)+ }) => {
        $(#[$about])*
        #[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        #[serde(rename_all = "snake_case")]
        pub enum $name { $($(#[$said])* $setting,)+ }

        impl $name {
            /// What this setting adds to the difficulty.
            pub fn points(self) -> f64 {
                match self { $($name::$setting => $points,)+ }
            }
        }
    };
}

lever! {
    /// How fast the feet go.
    Tempo {
        /// Each at their own pace.
        #[default] OwnPace = 0.0,
        /// In an even rhythm.
        InRhythm = 0.5,
        /// As fast as you can.
        Fast = 1.5,
    }
}
lever! {
    /// Where the body goes.
    Motion {
        /// On the spot.
        #[default] OnTheSpot = 0.0,
        /// Forward.
        Forward = 0.5,
        /// Forward and back, or to both sides.
        BothDirections = 1.0,
    }
}
lever! {
    /// Where the eyes are.
    Eyes {
        /// Wherever they like.
        #[default] Free = 0.0,
        /// Up, once the rhythm has come.
        Up = 0.5,
        /// Calling out a number or colour that is shown.
        Call = 1.5,
    }
}
lever! {
    /// Which foot works.
    Sides {
        /// The strong foot.
        #[default] Strong = 0.0,
        /// Left and right in turn.
        Alternate = 0.5,
        /// The other foot only.
        Other = 1.5,
    }
}
lever! {
    /// How many touches are allowed.
    Touches {
        /// As many as you like.
        #[default] Free = 0.0,
        /// Two.
        Two = 0.5,
        /// One.
        One = 1.5,
    }
}
lever! {
    /// How the ball comes.
    Service {
        /// Tossed by oneself.
        #[default] OwnToss = 0.0,
        /// Rolled.
        Rolled = 0.0,
        /// Firm.
        Firm = 1.0,
    }
}
lever! {
    /// Who is in the way.
    Pressure {
        /// Nobody.
        #[default] None = 0.0,
        /// Someone who moves along and does not tackle.
        Shadow = 1.0,
        /// Someone who closes the way.
        Passive = 2.0,
        /// Someone who wants the ball.
        Live = 3.0,
    }
}

/// A setting of every lever. What is not said stands at its easiest.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Levers {
    /// How fast the feet go.
    pub tempo: Tempo,
    /// Where the body goes.
    pub motion: Motion,
    /// Where the eyes are.
    pub eyes: Eyes,
    /// Which foot works.
    pub side: Sides,
    /// How many touches are allowed.
    pub touches: Touches,
    /// How the ball comes.
    pub service: Service,
    /// Who is in the way.
    pub pressure: Pressure,
}

impl Levers {
    /// What the settings add to the drill's base difficulty.
    pub fn points(&self) -> f64 {
        self.tempo.points()
            + self.motion.points()
            + self.eyes.points()
            + self.side.points()
            + self.touches.points()
            + self.service.points()
            + self.pressure.points()
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
    #[case::other_foot_one_touch_firm(
        r#"{"side":"other","touches":"one","service":"firm"}"#,
        Stage::Form,
        4.0
    )]
    fn stage_and_points_follow_from_the_settings(
        #[case] settings: &str,
        #[case] stage: Stage,
        #[case] points: f64,
    ) {
        let levers: Levers = serde_json::from_str(settings).unwrap();
        assert_eq!((levers.stage(), levers.points()), (stage, points));
    }
}
