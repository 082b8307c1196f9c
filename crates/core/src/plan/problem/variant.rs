//! The id of a variant: which drill, at which stage?

use std::fmt;
use std::str::FromStr;

use serde::{Deserialize, Deserializer, Serialize, Serializer};

use crate::fact::{Value, facts};
use crate::ids::{DrillId, NotAnId};
use crate::technique::skill::Stage;

/// The id of a drill at a stage, written as `weave-there-and-back@flow`.
///
/// ```
/// use jogo_core::plan::VariantId;
/// use jogo_core::technique::skill::Stage;
/// let variant: VariantId = "weave-six@flow".parse().unwrap();
/// assert_eq!((variant.drill.as_ref(), variant.stage), ("weave-six", Stage::Flow));
/// assert_eq!(variant.to_string(), "weave-six@flow");
/// assert!("weave-six".parse::<VariantId>().is_err());
/// ```
#[derive(Clone, Debug, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub struct VariantId {
    /// The drill.
    pub drill: DrillId,
    /// The stage.
    pub stage: Stage,
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
        let known = text.split_once('@').and_then(|(drill, stage)| {
            let stage = Stage::ALL.into_iter().find(|known| known.word() == stage)?;
            Some((drill, stage))
        });
        let (drill, stage) = known.ok_or_else(|| {
            NotAVariant::Stage(NoStage::Written { written: text.chars().take(40).collect() })
        })?;
        Ok(VariantId { drill: drill.parse()?, stage })
    }
}

impl From<VariantId> for Value {
    fn from(id: VariantId) -> Value {
        Value::Text(id.to_string())
    }
}

impl fmt::Display for VariantId {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{}@{}", self.drill, self.stage.word())
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
            .description(Some("The id of a drill at a stage, as `weave-there-and-back@flow`."))
            .pattern(Some(format!("^[a-z0-9]+(-[a-z0-9]+)*@({stages})$")))
            .into()
    }
}

#[cfg(feature = "openapi")]
impl utoipa::ToSchema for VariantId {}
