//! The academy: what holds for all of its bands.

pub mod band;
pub mod club_list;
pub mod keeping;
pub mod language;
pub mod phrases;
pub mod roster;

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use crate::academy::band::CutOff;
use crate::academy::keeping::{MonthsKept, SignIns};
use crate::academy::language::Language;
use crate::drill::cautions::HeadingRule;
use crate::drill::levers::LeverPoints;
use crate::ground::fit::Ground;
use crate::input::{InputError, RangeFault, What, short_text};

/// What the director has set for the whole academy. What is not set stands at its first value.
#[derive(Clone, Debug, Default, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Academy {
    /// The day on which ages are counted.
    #[cfg_attr(feature = "openapi", schema(value_type = String, required = true))]
    pub cut_off: CutOff,
    /// What each setting of a lever adds to the difficulty.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub lever_points: LeverPoints,
    /// What the association says of headers; without it they are off.
    pub heading: Option<HeadingRule>,
    /// In which language letters and prints are written, unless whoever gets a letter has chosen one.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub language: Language,
    /// Halls and pitches with their usual kit and squad, by their names.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub grounds: BTreeMap<String, Ground>,
    /// How long sign-ins last.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub sign_ins: SignIns,
    /// How long is kept what is known of children who left.
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub keep_left_months: MonthsKept,
}

/// How many grounds are kept.
const MOST_GROUNDS: usize = 50;

impl Academy {
    /// The largest of its grounds, on which most drills stand; a small hall, if it keeps none.
    ///
    /// ```
    /// use jogo_core::academy::Academy;
    /// use jogo_core::ground::fit::Ground;
    /// use jogo_core::units::Metres;
    /// let mut academy = Academy::default();
    /// assert_eq!(academy.largest_ground(), Ground::ASSUMED);
    /// let grass = Ground { width: Metres(50.0), depth: Metres(40.0), ..Ground::ASSUMED };
    /// let corner = Ground { width: Metres(4.0), depth: Metres(60.0), ..Ground::ASSUMED };
    /// academy.grounds = [("Grass".into(), grass), ("A corner".into(), corner)].into();
    /// assert_eq!(academy.largest_ground(), grass);
    /// ```
    pub fn largest_ground(&self) -> Ground {
        let area = |ground: &&Ground| ground.width.0 * ground.depth.0;
        let largest = self.grounds.values().max_by(|one, other| area(one).total_cmp(&area(other)));
        largest.copied().unwrap_or(Ground::ASSUMED)
    }

    /// Every fault, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let inside = |place: &str, faults: Vec<InputError>| -> Vec<InputError> {
            faults.into_iter().map(|fault| fault.inside(place)).collect()
        };
        let mut faults = inside("/lever_points", self.lever_points.faults());
        faults.extend(inside("/heading", self.heading.iter().flat_map(HeadingRule::faults).collect()));
        faults.extend(inside("/sign_ins", self.sign_ins.faults()));
        faults.extend(self.keep_left_months.fault().map(|fault| InputError::at("/keep_left_months", fault)));
        if self.grounds.len() > MOST_GROUNDS {
            let count = self.grounds.len();
            faults.push(InputError::at("/grounds", RangeFault::Most { count, most: MOST_GROUNDS }));
        }
        for (name, ground) in self.grounds.iter().take(MOST_GROUNDS) {
            let place = format!("/grounds/{}", name.replace('~', "~0").replace('/', "~1"));
            if let Err(fault) = short_text(name, 40, What::Name) {
                faults.push(InputError::at(&place, fault));
            }
            faults.extend(inside(&place, ground.faults()));
        }
        faults
    }
}
