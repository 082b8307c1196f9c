//! Age bands: which ages, ball, minutes and limits?

use serde::{Deserialize, Serialize};

use crate::units::{Minutes, Seconds};

/// The name by which a band is known in files and addresses, as `u8-u9`.
pub type BandId = String;

/// An age band of the academy. The limits are rules of thumb (assumptions) that the academy can edit.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Band {
    /// As `u8-u9`.
    pub id: BandId,
    /// As people say it: "U8–U9".
    pub name: String,
    /// Youngest age on the academy's cut-off date, in years.
    pub youngest: u8,
    /// Oldest age on the academy's cut-off date, in years.
    pub oldest: u8,
    /// How many skills may be met for the first time in one week.
    pub new_skills_per_week: u32,
    /// Longest unbroken piece of work.
    #[serde(rename = "longest_bout_s")]
    pub longest_bout: Seconds,
    /// Longest block of one variant.
    #[serde(rename = "longest_block_min")]
    pub longest_block: Minutes,
    /// How long a coach needs to explain and show a drill.
    #[serde(rename = "explaining_s")]
    pub explaining: Seconds,
}
