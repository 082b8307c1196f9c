//! Facts: what was found, as a code with its values instead of a sentence.
//!
//! The rules find facts. Words are made of them elsewhere, from the catalogue of the reader's language: the code of a
//! fact is the name of its text there, and its values are what the text shows. A value can be a fact itself, as the
//! stage in “needs Turns at Flow first”.
//!
//! ```
//! use jogo_core::fact::Fact;
//! use jogo_core::input::TextFault;
//! use jogo_core::input::What;
//! let fact = Fact::from(TextFault::Long { what: What::Name, long: 55, most: 40 });
//! assert_eq!(fact.code, "text-long");
//! assert_eq!(
//!     serde_json::to_value(&fact).unwrap(),
//!     serde_json::json!({ "code": "text-long", "what": { "code": "what-name" }, "long": 55, "most": 40 }),
//! );
//! ```

pub mod codes;

use std::borrow::Cow;
use std::fmt;

use jiff::civil::Date;
use serde::ser::SerializeMap;
use serde::{Deserialize, Deserializer, Serialize, Serializer};

/// What was found.
#[derive(Clone)]
pub struct Fact {
    /// Its name in the catalogues, as `plan-needs-first`.
    pub code: Cow<'static, str>,
    /// What it is about: each value with its name.
    pub values: Vec<(Cow<'static, str>, Value)>,
}

impl PartialEq for Fact {
    /// In whatever order the values stand: what was written down is read back in another one.
    fn eq(&self, other: &Fact) -> bool {
        let same = self.code == other.code && self.values.len() == other.values.len();
        same && self.values.iter().all(|value| other.values.contains(value))
    }
}

/// A value of a fact.
#[derive(Clone, PartialEq)]
pub enum Value {
    /// As somebody has written it: a name, a title.
    Text(String),
    /// A number.
    Number(f64),
    /// Something that the catalogues have words for.
    Fact(Fact),
    /// Several of them.
    All(Vec<Value>),
}

impl Fact {
    /// A fact without values.
    pub fn plain(code: impl Into<Cow<'static, str>>) -> Fact {
        Fact { code: code.into(), values: Vec::new() }
    }

    /// Words that somebody has written, as they are.
    pub fn written(text: impl Into<String>) -> Fact {
        Fact { code: "as-written".into(), values: vec![("text".into(), Value::Text(text.into()))] }
    }

    /// A value by its name.
    pub fn value(&self, name: &str) -> Option<&Value> {
        self.values.iter().find(|(each, _)| each == name).map(|(_, value)| value)
    }
}

impl Value {
    /// Names as they stand in a sentence: in quotation marks.
    pub fn quoted<T: Into<String>>(names: impl IntoIterator<Item = T>) -> Value {
        Value::All(names.into_iter().map(|name| Quoted::Name { name: name.into() }.into()).collect())
    }
}

/// Declares kinds of facts: each with its code in the catalogues and the values that it has.
///
/// ```
/// jogo_core::facts! {
///     /// What can be wrong with a bag.
///     pub enum BagFault {
///         Empty = "bag-empty",
///         Heavy = "bag-heavy" { kilograms: f64 },
///     }
/// }
/// let fact = jogo_core::fact::Fact::from(BagFault::Heavy { kilograms: 12.0 });
/// assert_eq!(fact.to_string(), r#"{"code":"bag-heavy","kilograms":12}"#);
/// ```
#[macro_export]
macro_rules! facts {
    ($(
        $(#[$meta:meta])*
        $vis:vis enum $Kind:ident {
            $( $(#[$says:meta])* $Variant:ident = $code:literal $({ $($field:ident : $Type:ty),* $(,)? })? ),* $(,)?
        }
    )*) => {$(
        $(#[$meta])*
        #[derive(Clone, Debug, PartialEq)]
        #[allow(missing_docs, reason = "the catalogue says each in words, by its code")]
        $vis enum $Kind {
            $( $(#[$says])* $Variant $({ $($field: $Type),* })? ),*
        }

        impl $Kind {
            /// The codes of this kind, each with the names of its values.
            pub const CODES: &[(&str, &[&str])] = &[$( ($code, &[$( $(stringify!($field)),* )?]) ),*];
        }

        impl From<$Kind> for $crate::fact::Fact {
            fn from(fact: $Kind) -> $crate::fact::Fact {
                match fact {
                    $( $Kind::$Variant $({ $($field),* })? => $crate::fact::Fact {
                        code: $code.into(),
                        values: vec![$( $( (stringify!($field).into(), $field.into()) ),* )?],
                    } ),*
                }
            }
        }

        impl From<$Kind> for $crate::fact::Value {
            fn from(fact: $Kind) -> $crate::fact::Value {
                $crate::fact::Value::Fact(fact.into())
            }
        }

        impl serde::Serialize for $Kind {
            fn serialize<S: serde::Serializer>(&self, to: S) -> Result<S::Ok, S::Error> {
                $crate::fact::Fact::from(self.clone()).serialize(to)
            }
        }

        impl std::fmt::Display for $Kind {
            fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
                $crate::fact::Fact::from(self.clone()).fmt(f)
            }
        }
    )*};
}
pub use crate::facts;

facts! {
    /// Names and days inside of other facts.
    pub enum Quoted {
        Name = "quoted-name" { name: String },
        At = "quoted-at" { name: String, stage: Value },
        Rung = "quoted-rung" { name: String, stage: Value, rung: u32 },
        Foot = "quoted-foot" { name: String, stage: Value, rung: u32, foot: Value },
        OtherFoot = "quoted-other-foot" { name: String },
        Date = "quoted-date" { day: i8, month: i8, year: String },
        AsWritten = "as-written" { text: String },
    }
}

/// In short, for tests and logs: `broken-needs skill=Chain need=Tap stage=stage-flow`.
impl fmt::Debug for Fact {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        f.write_str(&self.code)?;
        self.values.iter().try_for_each(|(name, value)| write!(f, " {name}={value:?}"))
    }
}

impl fmt::Debug for Value {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        match self {
            Value::Text(text) => f.write_str(text),
            Value::Number(number) => write!(f, "{number}"),
            Value::Fact(fact) if fact.values.is_empty() => write!(f, "{fact:?}"),
            Value::Fact(fact) => write!(f, "({fact:?})"),
            Value::All(all) => f.debug_list().entries(all).finish(),
        }
    }
}

/// Its JSON: so it can be read again where it went through an error that knows texts alone.
impl fmt::Display for Fact {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        f.write_str(&serde_json::to_string(self).map_err(|_| fmt::Error)?)
    }
}

/// A JSON object: its code, and its values beside it.
impl Serialize for Fact {
    fn serialize<S: Serializer>(&self, to: S) -> Result<S::Ok, S::Error> {
        let mut map = to.serialize_map(Some(1 + self.values.len()))?;
        map.serialize_entry("code", &self.code)?;
        for (name, value) in &self.values {
            map.serialize_entry(name, value)?;
        }
        map.end()
    }
}

impl Serialize for Value {
    fn serialize<S: Serializer>(&self, to: S) -> Result<S::Ok, S::Error> {
        match self {
            Value::Text(text) => to.serialize_str(text),
            // A whole number is written as one.
            Value::Number(number) if number.fract() == 0.0 && number.abs() < 1e15 => {
                to.serialize_i64(*number as i64)
            }
            Value::Number(number) => to.serialize_f64(*number),
            Value::Fact(fact) => fact.serialize(to),
            Value::All(all) => to.collect_seq(all),
        }
    }
}

/// As it was written, or a text that somebody else has put in its place.
impl<'de> Deserialize<'de> for Fact {
    fn deserialize<D: Deserializer<'de>>(from: D) -> Result<Fact, D::Error> {
        #[derive(Deserialize)]
        #[serde(untagged)]
        enum Read {
            Text(String),
            Fact {
                code: String,
                #[serde(flatten)]
                values: std::collections::BTreeMap<String, Value>,
            },
        }
        Ok(match Read::deserialize(from)? {
            Read::Text(text) => Fact::written(text),
            Read::Fact { code, values } => Fact {
                code: code.into(),
                values: values.into_iter().map(|(name, value)| (name.into(), value)).collect(),
            },
        })
    }
}

impl<'de> Deserialize<'de> for Value {
    fn deserialize<D: Deserializer<'de>>(from: D) -> Result<Value, D::Error> {
        #[derive(Deserialize)]
        #[serde(untagged)]
        enum Read {
            Number(f64),
            Text(String),
            All(Vec<Value>),
            Fact(Fact),
        }
        Ok(match Read::deserialize(from)? {
            Read::Number(number) => Value::Number(number),
            Read::Text(text) => Value::Text(text),
            Read::All(all) => Value::All(all),
            Read::Fact(fact) => Value::Fact(fact),
        })
    }
}

/// In the interface's description: an object with a code, its words and its values.
#[cfg(feature = "openapi")]
impl utoipa::PartialSchema for Fact {
    fn schema() -> utoipa::openapi::RefOr<utoipa::openapi::Schema> {
        use utoipa::openapi::schema::{AdditionalProperties, ObjectBuilder, Type};
        let text = |says: &str| ObjectBuilder::new().schema_type(Type::String).description(Some(says));
        ObjectBuilder::new()
            .schema_type(Type::Object)
            .description(Some("What was found: a code, the same in English, and the values that it has."))
            .property("code", text("Its name in the catalogues of texts."))
            .property("detail", text("The same in English."))
            .required("code")
            .additional_properties(Some(AdditionalProperties::FreeForm(true)))
            .into()
    }
}

#[cfg(feature = "openapi")]
impl utoipa::ToSchema for Fact {}

/// Facts in short, for the tests of the rooms.
#[cfg(test)]
pub(crate) fn told<F: Into<Fact>>(facts: impl IntoIterator<Item = F>) -> Vec<String> {
    facts.into_iter().map(|fact| format!("{:?}", fact.into())).collect()
}

macro_rules! numbers {
    ($($Number:ty),*) => {$(
        impl From<$Number> for Value {
            fn from(number: $Number) -> Value {
                Value::Number(number as f64)
            }
        }
    )*};
}
numbers!(u8, i8, i16, u32, i32, u64, usize, f64);

impl From<String> for Value {
    fn from(text: String) -> Value {
        Value::Text(text)
    }
}

impl From<&str> for Value {
    fn from(text: &str) -> Value {
        Value::Text(text.to_owned())
    }
}

impl From<Date> for Value {
    fn from(date: Date) -> Value {
        Quoted::Date { day: date.day(), month: date.month(), year: date.year().to_string() }.into()
    }
}

impl From<Fact> for Value {
    fn from(fact: Fact) -> Value {
        Value::Fact(fact)
    }
}

impl<T: Into<Value>> From<Vec<T>> for Value {
    fn from(all: Vec<T>) -> Value {
        Value::All(all.into_iter().map(Into::into).collect())
    }
}

/// Says how a kind with words of its own is told: its code is a prefix and its word.
macro_rules! told_by_word {
    ($Kind:ty, $prefix:literal) => {
        impl From<$Kind> for $crate::fact::Fact {
            fn from(kind: $Kind) -> $crate::fact::Fact {
                $crate::fact::Fact::plain(format!(concat!($prefix, "-{}"), kind.word()))
            }
        }

        impl From<$Kind> for $crate::fact::Value {
            fn from(kind: $Kind) -> $crate::fact::Value {
                $crate::fact::Value::Fact(kind.into())
            }
        }
    };
}
pub(crate) use told_by_word;
