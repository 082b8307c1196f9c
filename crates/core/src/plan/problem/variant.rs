//! The id of a variant: which drill, at which rung?

use std::fmt;
use std::str::FromStr;

use serde::{Deserialize, Deserializer, Serialize, Serializer};

use crate::fact::{Quoted, Value, facts};
use crate::ids::{DrillId, NotAnId};
use crate::technique::skill::Stage;

/// The id of a drill at a rung: its stage, and which of the drill's rungs of that stage, the easiest first. The easiest
/// is written as `weave-there-and-back@flow`, the next as `weave-there-and-back@flow-2`.
///
/// ```
/// use jogo_core::plan::VariantId;
/// use jogo_core::technique::skill::Stage;
/// let easiest: VariantId = "weave-six@flow".parse().unwrap();
/// assert_eq!((easiest.drill.as_ref(), easiest.stage, easiest.rung), ("weave-six", Stage::Flow, 1));
/// let harder: VariantId = "weave-six@flow-3".parse().unwrap();
/// assert_eq!((harder.rung, harder.to_string().as_str()), (3, "weave-six@flow-3"));
/// for wrong in ["weave-six", "weave-six@flow-1", "weave-six@flow-03", "weave-six@flow-100", "weave-six@flow-"] {
///     assert!(wrong.parse::<VariantId>().is_err(), "{wrong}");
/// }
/// ```
#[derive(Clone, Debug, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub struct VariantId {
    /// The drill.
    pub drill: DrillId,
    /// The stage.
    pub stage: Stage,
    /// Which rung of the stage, from 1: the easiest.
    pub rung: u8,
}

impl VariantId {
    /// The easiest rung of a drill at a stage.
    pub fn easiest(drill: &DrillId, stage: Stage) -> VariantId {
        VariantId { drill: drill.clone(), stage, rung: 1 }
    }

    /// A drill's title with the stage, and the rung if it is not the easiest.
    pub fn titled(&self, title: &str) -> Value {
        let (name, stage) = (title.to_owned(), self.stage.into());
        match self.rung {
            1 => Quoted::At { name, stage }.into(),
            rung => Quoted::Rung { name, stage, rung: rung.into() }.into(),
        }
    }
}

/// The stage and the rung that stand behind the `@`.
fn rung(text: &str) -> Option<(Stage, u8)> {
    let (stage, rung) = match text.split_once('-') {
        // One way to write each: no sign, no zero in front, and nothing for the easiest.
        Some((stage, rung)) => {
            let number = rung.parse().ok().filter(|n: &u8| (2..100).contains(n) && n.to_string() == rung)?;
            (stage, number)
        }
        None => (text, 1),
    };
    Some((Stage::ALL.into_iter().find(|known| known.word() == stage)?, rung))
}

/// Why a text is no id of a variant.
#[derive(Clone, Debug, PartialEq, thiserror::Error)]
pub enum NotAVariant {
    /// What stands before the `@` is no id.
    #[error(transparent)]
    Drill(#[from] NotAnId),
    /// Nothing says the stage.
    #[error(transparent)]
    Stage(NoStage),
}

facts! {
    /// A drill without a stage.
    pub enum NoStage {
        Written = "variant-no-stage" { written: String },
    }
}

impl std::error::Error for NoStage {}

impl FromStr for VariantId {
    type Err = NotAVariant;

    fn from_str(text: &str) -> Result<VariantId, NotAVariant> {
        let known = text.split_once('@').and_then(|(drill, behind)| Some((drill, rung(behind)?)));
        let (drill, (stage, rung)) = known.ok_or_else(|| {
            NotAVariant::Stage(NoStage::Written { written: text.chars().take(40).collect() })
        })?;
        Ok(VariantId { drill: drill.parse()?, stage, rung })
    }
}

impl From<VariantId> for Value {
    fn from(id: VariantId) -> Value {
        Value::Text(id.to_string())
    }
}

impl fmt::Display for VariantId {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{}@{}", self.drill, self.stage.word())?;
        if self.rung > 1 { write!(f, "-{}", self.rung) } else { Ok(()) }
    }
}

impl Serialize for VariantId {
    fn serialize<S: Serializer>(&self, serializer: S) -> Result<S::Ok, S::Error> {
        serializer.collect_str(self)
    }
}

impl<'de> Deserialize<'de> for VariantId {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<VariantId, D::Error> {
        let text = std::borrow::Cow::<str>::deserialize(deserializer)?;
        text.parse().map_err(serde::de::Error::custom)
    }
}

#[cfg(feature = "openapi")]
impl utoipa::PartialSchema for VariantId {
    fn schema() -> utoipa::openapi::RefOr<utoipa::openapi::schema::Schema> {
        let stages = Stage::ALL.map(Stage::word).join("|");
        utoipa::openapi::ObjectBuilder::new()
            .schema_type(utoipa::openapi::schema::Type::String)
            .description(Some(
                "The id of a drill at a rung: `weave-there-and-back@flow`, or `weave-there-and-back@flow-2` for the next.",
            ))
            .pattern(Some(format!("^[a-z0-9]+(-[a-z0-9]+)*@({stages})(-([2-9]|[1-9][0-9]))?$")))
            .into()
    }
}

#[cfg(feature = "openapi")]
impl utoipa::ToSchema for VariantId {}
