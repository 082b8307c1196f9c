//! Quantities with their units: how long is a pace, a minute, a share?
//!
//! Lengths are kept in metres; 1 yd = 0.9144 m and 1 ft = 0.3048 m exactly (the international yard and foot of
//! 1959). A pace is the pace of whoever lays the markers, 0.75 m until they have measured theirs.
//!
//! ```
//! use jogo_core::units::{LengthUnit, Metres, Pace};
//!
//! let pace = Pace::default();
//! assert_eq!(LengthUnit::Pace.in_metres(4.0, pace), Metres(3.0));
//! assert_eq!(LengthUnit::Yard.in_metres(10.0, pace), Metres(9.144));
//! ```

use std::fmt;
use std::iter::Sum;
use std::ops::{Add, Mul, Sub};

use serde::{Deserialize, Serialize};

use crate::fact::Value;

macro_rules! quantity {
    ($(#[$about:meta])* $name:ident) => {
        $(#[$about])*
        #[derive(Clone, Copy, Debug, Default, PartialEq, PartialOrd, Serialize, Deserialize)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        #[serde(transparent)]
        pub struct $name(pub f64);

        impl Add for $name {
            type Output = $name;
            fn add(self, other: $name) -> $name {
                $name(self.0 + other.0)
            }
        }

        impl Sub for $name {
            type Output = $name;
            fn sub(self, other: $name) -> $name {
                $name(self.0 - other.0)
            }
        }

        impl Mul<f64> for $name {
            type Output = $name;
            fn mul(self, by: f64) -> $name {
                $name(self.0 * by)
            }
        }

        impl Sum for $name {
            fn sum<I: Iterator<Item = $name>>(all: I) -> $name {
                all.fold($name(0.0), Add::add)
            }
        }
    };
}

quantity! {
    /// A length on the ground, in metres.
    Metres
}
quantity! {
    /// A time span, in seconds.
    Seconds
}
quantity! {
    /// An angle, in degrees.
    Degrees
}
quantity! {
    /// A part of a whole, 0 to 1.
    Share
}
quantity! {
    /// How hard a variant is: base difficulty of the drill (0 to 10) plus the points of its levers.
    Difficulty
}

/// Whole minutes, as a plan counts them.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(transparent)]
pub struct Minutes(pub u32);

impl Minutes {
    /// The same span in seconds.
    pub fn seconds(self) -> Seconds {
        Seconds(f64::from(self.0) * 60.0)
    }
}

impl Add for Minutes {
    type Output = Minutes;
    fn add(self, other: Minutes) -> Minutes {
        Minutes(self.0 + other.0)
    }
}

impl From<Minutes> for Value {
    fn from(minutes: Minutes) -> Value {
        minutes.0.into()
    }
}

impl Sum for Minutes {
    fn sum<I: Iterator<Item = Minutes>>(all: I) -> Minutes {
        all.fold(Minutes(0), Add::add)
    }
}

impl fmt::Display for Minutes {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{} min", self.0)
    }
}

impl Seconds {
    /// Whole minutes, rounded up.
    ///
    /// ```
    /// use jogo_core::units::{Minutes, Seconds};
    /// assert_eq!(Seconds(61.0).minutes_up(), Minutes(2));
    /// assert_eq!(Seconds(120.0).minutes_up(), Minutes(2));
    /// ```
    pub fn minutes_up(self) -> Minutes {
        // A hair's breadth is forgiven, so that 0.1 + 0.2 minutes do not cost a minute more.
        Minutes(((self.0 / 60.0) - 1e-9).ceil().max(0.0) as u32)
    }

    /// Minutes, rounded up to halves.
    ///
    /// ```
    /// use jogo_core::units::Seconds;
    /// assert_eq!(Seconds(61.0).half_minutes_up(), 1.5);
    /// ```
    pub fn half_minutes_up(self) -> f64 {
        f64::from(Seconds(self.0 * 2.0).minutes_up().0) / 2.0
    }
}

impl Share {
    /// A share as a percentage, 0 to 100.
    pub fn percent(self) -> f64 {
        self.0 * 100.0
    }
}

/// The pace of the person who lays the markers.
#[derive(Clone, Copy, Debug, PartialEq, PartialOrd, Serialize, Deserialize)]
#[serde(transparent)]
pub struct Pace(pub Metres);

impl Pace {
    /// A measured pace; between 0.3 m and 1.5 m, else `None`.
    ///
    /// ```
    /// use jogo_core::units::{Metres, Pace};
    /// assert!(Pace::measured(Metres(0.8)).is_some());
    /// assert!(Pace::measured(Metres(8.0)).is_none()); // ten paces were entered as one
    /// ```
    pub fn measured(metres: Metres) -> Option<Pace> {
        (0.3..=1.5).contains(&metres.0).then_some(Pace(metres))
    }
}

impl Default for Pace {
    /// 0.75 m, an assumption until the coach has measured theirs.
    fn default() -> Pace {
        Pace(Metres(0.75))
    }
}

/// What a number in a layout text counts.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub enum LengthUnit {
    /// The pace of whoever lays the markers.
    #[default]
    Pace,
    /// Metres.
    Metre,
    /// Yards, 0.9144 m.
    Yard,
    /// Feet, 0.3048 m.
    Foot,
}

impl LengthUnit {
    /// This many of this unit, in metres.
    pub fn in_metres(self, count: f64, pace: Pace) -> Metres {
        match self {
            LengthUnit::Pace => pace.0 * count,
            LengthUnit::Metre => Metres(count),
            LengthUnit::Yard => Metres(count * 0.9144),
            LengthUnit::Foot => Metres(count * 0.3048),
        }
    }
}
