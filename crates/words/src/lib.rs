//! Facts in words: what does a reader of this language read?
//!
//! The core finds facts, codes with values; the catalogues in `locales/` have a text for each code in each language.
//! This crate joins the two for letters, calendars, the command line and the `detail` of answers; the browser joins
//! them in the same way from the same files.
//!
//! ```
//! use jogo_core::academy::language::Language;
//! use jogo_core::input::{TextFault, What};
//! use jogo_words::say;
//! let fact = TextFault::Long { what: What::Name, long: 55, most: 40 };
//! assert_eq!(say(Language::English, fact), "Name: 55 characters. Use 40 at most.");
//! ```

mod catalogue;
mod numbers;

use std::borrow::Cow;

use fluent_bundle::types::{FluentNumber, FluentNumberOptions};
use fluent_bundle::{FluentArgs, FluentValue};
use jogo_core::academy::language::Language;
use jogo_core::fact::{Fact, Value};
use serde::Serialize;
use serde_json::Value as Json;

use catalogue::bundle;

pub use catalogue::FILES;

/// A value as JSON, in which every fact says itself in English as its `detail`.
pub fn spoken(value: &impl Serialize) -> serde_json::Result<String> {
    let text = serde_json::to_string(value)?;
    match text.contains(r#""code":""#) {
        true => serde_json::to_string(&with_details(value)?),
        false => Ok(text),
    }
}

/// The same on lines of its own, for people.
pub fn spoken_pretty(value: &impl Serialize) -> serde_json::Result<String> {
    serde_json::to_string_pretty(&with_details(value)?)
}

fn with_details(value: &impl Serialize) -> serde_json::Result<Json> {
    let mut json = serde_json::to_value(value)?;
    detail(&mut json);
    Ok(json)
}

/// Says every fact in a document.
fn detail(json: &mut Json) {
    match json {
        Json::Array(all) => all.iter_mut().for_each(detail),
        Json::Object(object) => {
            object.values_mut().for_each(detail);
            let known = object.get("code").and_then(Json::as_str).is_some_and(has_text);
            if known && !object.contains_key("detail") {
                let fact: Option<Fact> = serde_json::from_value(Json::Object(object.clone())).ok();
                object.extend(fact.map(|fact| ("detail".to_owned(), say(Language::English, fact).into())));
            }
        }
        _ => {}
    }
}

/// Whether there is a text of this code: a `code` in a document may be something else.
fn has_text(code: &str) -> bool {
    bundle(Language::English).has_message(code)
}

/// A fact in a language. What the catalogue of the language lacks is said in English, and what English lacks is shown
/// as its code.
pub fn say(language: Language, fact: impl Into<Fact>) -> String {
    let fact = fact.into();
    find(language, &fact).or_else(|| find(Language::English, &fact)).unwrap_or_else(|| fact.code.into_owned())
}

fn find(language: Language, fact: &Fact) -> Option<String> {
    let bundle = bundle(language);
    let pattern = bundle.get_message(&fact.code)?.value()?;
    let mut values = FluentArgs::with_capacity(fact.values.len());
    for (name, value) in &fact.values {
        values.set(name.clone(), value_in(language, value));
    }
    // A value that the text wants and the fact lacks is found by the tests, not by the reader.
    Some(bundle.format_pattern(pattern, Some(&values), &mut Vec::new()).into_owned())
}

fn value_in(language: Language, value: &Value) -> FluentValue<'_> {
    match value {
        Value::Text(text) => FluentValue::String(Cow::Borrowed(text)),
        Value::Number(number) => {
            FluentValue::Number(FluentNumber::new(*number, FluentNumberOptions::default()))
        }
        Value::Fact(fact) => say(language, fact.clone()).into(),
        Value::All(all) => join(language, all).into(),
    }
}

/// Several values as the language joins them: “A, B and C”.
fn join(language: Language, all: &[Value]) -> String {
    let said = |value: &Value| match value {
        Value::Text(text) => text.clone(),
        Value::Number(number) => numbers::plain(*number, language),
        Value::Fact(fact) => say(language, fact.clone()),
        Value::All(all) => join(language, all),
    };
    let pair = |code: &'static str, one: String, other: String| {
        let values = vec![("one".into(), Value::Text(one)), ("other".into(), Value::Text(other))];
        say(language, Fact { code: code.into(), values })
    };
    match all {
        [] => String::new(),
        [one] => said(one),
        [first @ .., last] => {
            let first = first.iter().map(said).reduce(|some, one| pair("joined-more", some, one));
            pair("joined-last", first.unwrap_or_default(), said(last))
        }
    }
}
