//! The published schemas of the forms that other programs read and write.

use clap::ValueEnum;
use jogo_core::drill::Drill;
use jogo_core::plan::{PlanForm, Problem};
use serde_json::Value;
use utoipa::ToSchema;
use utoipa::openapi::RefOr;
use utoipa::openapi::schema::Schema;

use super::Stopped;

/// A form that has a schema.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
pub enum Form {
    /// A drill.
    Drill,
    /// What a plan has to do.
    Problem,
    /// What is done in each session.
    Plan,
}

/// The JSON Schema (2020-12) of a form.
pub fn of(form: Form) -> Result<String, Stopped> {
    match form {
        Form::Drill => schema::<Drill>("drill", "A drill, as Jogo reads and writes it"),
        Form::Problem => schema::<Problem>("problem", "A problem for a planner, as Jogo reads and writes it"),
        Form::Plan => schema::<PlanForm>("plan", "A plan, as Jogo reads and writes it"),
    }
}

fn schema<T: ToSchema>(name: &str, title: &str) -> Result<String, Stopped> {
    let wrong = |e: serde_json::Error| Stopped::failed(e.to_string());
    let mut parts: Vec<(String, RefOr<Schema>)> = Vec::new();
    T::schemas(&mut parts);
    let mut schema = serde_json::to_value(T::schema()).map_err(wrong)?;
    let mut definitions = serde_json::Map::new();
    for (name, part) in parts {
        definitions.insert(name, serde_json::to_value(part).map_err(wrong)?);
    }
    schema["$schema"] = "https://json-schema.org/draft/2020-12/schema".into();
    schema["$id"] = format!("urn:jogo:{name}:1").into();
    schema["title"] = title.into();
    schema["$defs"] = Value::Object(definitions);
    let text = serde_json::to_string_pretty(&schema).map_err(wrong)?;
    Ok(text.replace("#/components/schemas/", "#/$defs/") + "\n")
}
