//! How long people stay signed in, and how long is kept what is known of children who left.

use serde::{Deserialize, Serialize};

use crate::input::{InputError, RangeFault};

/// How long a sign-in lasts, and who has to show more than a password.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct SignIns {
    /// Days after which somebody is signed out who was not there, 1 to 365; 30 at first.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub idle_days: u32,
    /// Days after which everybody signs in again, however often they were there, 1 to 365; 180 at first.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub whole_days: u32,
    /// Whether a director signs in with a code of their own device besides the password.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub directors_need_code: bool,
}

impl Default for SignIns {
    fn default() -> SignIns {
        SignIns { idle_days: 30, whole_days: 180, directors_need_code: false }
    }
}

impl SignIns {
    /// Every fault, with its place.
    ///
    /// ```
    /// use jogo_core::academy::keeping::SignIns;
    /// assert!(SignIns::default().faults().is_empty());
    /// let never = SignIns { idle_days: 0, ..SignIns::default() };
    /// assert_eq!(never.faults()[0].pointer, "/idle_days");
    /// // Nobody who comes back every day would be there longer than the whole limit allows.
    /// let idle = SignIns { idle_days: 90, whole_days: 60, ..SignIns::default() };
    /// assert_eq!(idle.faults()[0].pointer, "/idle_days");
    /// ```
    pub fn faults(&self) -> Vec<InputError> {
        let between = |value: u32, most: u32| RangeFault::Between {
            value: value.into(),
            least: 1.0,
            most: most.into(),
        };
        let limits = [
            ("/idle_days", between(self.idle_days, self.whole_days.clamp(1, 365))),
            ("/whole_days", between(self.whole_days, 365)),
        ];
        let wrong = limits.into_iter().filter(|(_, fault)| !fault.holds());
        wrong.map(|(at, fault)| InputError::at(at, fault)).collect()
    }
}

/// For how many months what is known of a child is kept after they left.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MonthsKept(pub u32);

impl Default for MonthsKept {
    fn default() -> MonthsKept {
        MonthsKept(12)
    }
}

impl MonthsKept {
    /// What is wrong with it: from none, so that it is erased at once, to ten years.
    pub fn fault(self) -> Option<RangeFault> {
        let fault = RangeFault::Between { value: self.0.into(), least: 0.0, most: 120.0 };
        (!fault.holds()).then_some(fault)
    }
}
