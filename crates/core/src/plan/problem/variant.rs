//! The id of a variant: which drill, at which rung, with which foot?

use std::fmt;
use std::str::FromStr;

use serde::{Deserialize, Deserializer, Serialize, Serializer};

use crate::fact::{Quoted, Value, facts};
use crate::ids::{DrillId, NotAnId};
use crate::technique::skill::{Foot, Stage};

/// The id of a drill at a rung: its stage, and which of the drill's rungs of that stage, the easiest first. The easiest
/// is written as `weave-there-and-back@flow`, the next as `weave-there-and-back@flow-2`. Where one foot is to work alone
/// at a rung that both could do, the foot stands behind: `weave-there-and-back@flow-2-other`.
///
/// ```
/// use jogo_core::plan::VariantId;
/// use jogo_core::technique::skill::{Foot, Stage};
/// let easiest: VariantId = "weave-six@flow".parse().unwrap();
/// assert_eq!((easiest.drill.as_ref(), easiest.stage, easiest.rung), ("weave-six", Stage::Flow, 1));
/// let harder: VariantId = "weave-six@flow-3".parse().unwrap();
/// assert_eq!((harder.rung, harder.to_string().as_str()), (3, "weave-six@flow-3"));
/// let strong: VariantId = "weave-six@flow-strong".parse().unwrap();
/// assert_eq!((strong.foot, strong.to_string().as_str()), (Some(Foot::Strong), "weave-six@flow-strong"));
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
    /// The foot that works alone at a rung that both could do.
    pub foot: Option<Foot>,
}

impl VariantId {
    /// The easiest rung of a drill at a stage.
    pub fn easiest(drill: &DrillId, stage: Stage) -> VariantId {
        VariantId { drill: drill.clone(), stage, rung: 1, foot: None }
    }

    /// A drill's title with the stage, the rung if it is not the easiest, and the foot that is to work alone.
    pub fn titled(&self, title: &str) -> Value {
        let (name, stage) = (title.to_owned(), self.stage.into());
        let rung = u32::from(self.rung);
        match (rung, self.foot) {
            (1, None) => Quoted::At { name, stage }.into(),
            (_, None) => Quoted::Rung { name, stage, rung }.into(),
            (_, Some(foot)) => Quoted::Foot { name, stage, rung, foot: foot.word().into() }.into(),
        }
    }
}

/// The stage, the rung and the foot that stand behind the `@`.
fn rung(text: &str) -> Option<(Stage, u8, Option<Foot>)> {
    let of_foot = |foot: Foot| Some((text.strip_suffix(foot.word())?.strip_suffix('-')?, Some(foot)));
    let (text, foot) = Foot::ALL.into_iter().find_map(of_foot).unwrap_or((text, None));
    let (stage, rung) = match text.split_once('-') {
        // One way to write each: no sign, no zero in front, and nothing for the easiest.
        Some((stage, rung)) => {
            let number = rung.parse().ok().filter(|n: &u8| (2..100).contains(n) && n.to_string() == rung)?;
            (stage, number)
        }
        None => (text, 1),
    };
    Some((Stage::ALL.into_iter().find(|known| known.word() == stage)?, rung, foot))
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
        let (drill, (stage, rung, foot)) = known.ok_or_else(|| {
            NotAVariant::Stage(NoStage::Written { written: text.chars().take(40).collect() })
        })?;
        Ok(VariantId { drill: drill.parse()?, stage, rung, foot })
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
        if self.rung > 1 {
            write!(f, "-{}", self.rung)?;
        }
        self.foot.map_or(Ok(()), |foot| write!(f, "-{}", foot.word()))
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
                "The id of a drill at a rung: `weave-there-and-back@flow`, `weave-there-and-back@flow-2` for the next, and \
                 with a foot behind it where that one is to work alone: `weave-there-and-back@flow-2-other`.",
            ))
            .pattern(Some(format!("^[a-z0-9]+(-[a-z0-9]+)*@({stages})(-([2-9]|[1-9][0-9]))?(-(strong|other))?$")))
            .into()
    }
}

#[cfg(feature = "openapi")]
impl utoipa::ToSchema for VariantId {}
