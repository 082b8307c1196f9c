//! A phrase book: the library's texts in another language.
//!
//! Drills, skills, tests and milestones are written in one language. A phrase book lies beside them and says what each
//! text is in another: text by text, so that a text that was changed is read as it was written until its translation
//! has followed. Words that are called during a drill are kept apart, since some are settings too (`left`).
//!
//! ```
//! use jogo_core::academy::language::Language;
//! use jogo_core::academy::phrases::Phrases;
//! let book: Phrases = serde_json::from_str(
//!     r#"{"language": "de", "texts": {"Toe taps": "Sohlentippen"}, "calls": {"left": "links"}}"#,
//! )?;
//! assert_eq!((book.language, book.faults()), (Language::German, vec![]));
//! assert_eq!(book.said("Toe taps"), "Sohlentippen");
//! assert_eq!(book.said("Toe taps, faster"), "Toe taps, faster");
//! # Ok::<(), serde_json::Error>(())
//! ```

use std::collections::{BTreeMap, BTreeSet};

use serde::{Deserialize, Serialize};
use serde_json::Value;

use crate::academy::language::Language;
use crate::input::{InputError, RangeFault, What, short_text};

/// The library's texts in one other language.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Phrases {
    /// The language that the texts are translated into.
    pub language: Language,
    /// Texts as they were written, each with its translation. An empty translation says that it is still missing.
    #[serde(default)]
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub texts: BTreeMap<String, String>,
    /// Words that are called, each with its translation.
    #[serde(default)]
    #[cfg_attr(feature = "openapi", schema(required = true))]
    pub calls: BTreeMap<String, String>,
}

/// A phrase has at most this many characters, as the longest text of a library.
const LONGEST_PHRASE: usize = 1_000;
/// A book has at most this many phrases.
const MOST_PHRASES: usize = 20_000;
/// The keys of a drill, skill, test, milestone or curriculum under which texts stand.
const TEXTS: [&str; 13] = [
    "title", "purpose", "in_game", "points", "see", "why", "say", "kit", "instead", "name", "short", "how",
    "says",
];
/// The key under which words stand that are called.
const CALLS: &str = "words";

impl Phrases {
    /// What a text is in this language; the text itself if the book does not have it.
    pub fn said<'p>(&'p self, text: &'p str) -> &'p str {
        self.texts.get(text).filter(|said| !said.is_empty()).map_or(text, String::as_str)
    }

    /// What cannot be kept: too many phrases, or one that is too long.
    pub fn faults(&self) -> Vec<InputError> {
        let count = self.texts.len() + self.calls.len();
        let many = RangeFault::Most { count, most: MOST_PHRASES };
        let too_many = (!many.holds()).then(|| InputError::at("", many));
        let of = |key: &'static str, all: &BTreeMap<String, String>| -> Vec<InputError> {
            let long = |(original, said): (&String, &String)| {
                let place = format!("/{key}/{}", original.replace('~', "~0").replace('/', "~1"));
                let given = [original, said].into_iter().filter(|text| !text.is_empty());
                let fault =
                    given.map(|text| short_text(text, LONGEST_PHRASE, What::Phrase)).find_map(Result::err);
                fault.map(|fault| InputError::at(place, fault))
            };
            all.iter().filter_map(long).collect()
        };
        too_many.into_iter().chain(of("texts", &self.texts)).chain(of("calls", &self.calls)).collect()
    }

    /// The part of the book that a document needs: phrases whose originals stand in it.
    ///
    /// ```
    /// use jogo_core::academy::phrases::Phrases;
    /// let mut book = Phrases::default();
    /// book.texts.insert("Toe taps".into(), "Sohlentippen".into());
    /// book.texts.insert("Chest control".into(), "Annahme mit der Brust".into());
    /// let needed = book.needed_in(&serde_json::json!({"drills": [{"title": "Toe taps"}]}));
    /// assert_eq!(needed.texts.len(), 1);
    /// ```
    pub fn needed_in(&self, document: &Value) -> Phrases {
        let mut strings = BTreeSet::new();
        strings_in(document, &mut strings);
        let of = |all: &BTreeMap<String, String>| {
            let wanted = all.iter().filter(|(original, _)| strings.contains(original.as_str()));
            wanted.map(|(original, said)| (original.clone(), said.clone())).collect()
        };
        Phrases { language: self.language, texts: of(&self.texts), calls: of(&self.calls) }
    }

    /// The book with every text of a library's piece in it; those that it lacked are there empty, so that whoever
    /// translates sees what is missing.
    ///
    /// ```
    /// use jogo_core::academy::phrases::Phrases;
    /// let mut book = Phrases::default();
    /// book.learn(&serde_json::json!({"id": "toe-taps", "title": "Toe taps", "cues": {"words": ["left"]}}));
    /// assert_eq!((book.texts["Toe taps"].as_str(), book.calls["left"].as_str()), ("", ""));
    /// ```
    pub fn learn(&mut self, piece: &Value) {
        match piece {
            Value::Array(all) => all.iter().for_each(|each| self.learn(each)),
            Value::Object(all) => {
                for (key, value) in all {
                    match key.as_str() {
                        CALLS => add(&mut self.calls, value),
                        key if TEXTS.contains(&key) => add(&mut self.texts, value),
                        _ => {}
                    }
                    self.learn(value);
                }
            }
            _ => {}
        }
    }
}

/// Adds a text, or each of a list of texts, without a translation.
fn add(book: &mut BTreeMap<String, String>, value: &Value) {
    match value {
        Value::String(text) if !text.is_empty() => drop(book.entry(text.clone()).or_default()),
        Value::Array(all) => all.iter().for_each(|each| add(book, each)),
        _ => {}
    }
}

fn strings_in<'v>(value: &'v Value, found: &mut BTreeSet<&'v str>) {
    match value {
        Value::String(text) => drop(found.insert(text)),
        Value::Array(all) => all.iter().for_each(|each| strings_in(each, found)),
        Value::Object(all) => all.values().for_each(|each| strings_in(each, found)),
        _ => {}
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use serde_json::json;

    fn book() -> Phrases {
        let texts = [("Toe taps", "Sohlentippen"), ("Eyes up", ""), ("Stiff legs", "Steife Beine")];
        Phrases {
            language: Language::German,
            texts: texts.map(|(from, to)| (from.to_owned(), to.to_owned())).into(),
            calls: [("left".to_owned(), "links".to_owned())].into(),
        }
    }

    #[test]
    fn what_is_missing_or_only_called_is_read_as_it_was_written() {
        let said = ["Toe taps", "Eyes up", "left", "toe taps"].map(|text| book().said(text).to_owned());
        assert_eq!(said, ["Sohlentippen", "Eyes up", "left", "toe taps"]);
    }

    #[test]
    fn a_document_gets_only_the_phrases_that_it_holds() {
        let card =
            json!({"title": "Toe taps", "faults": [{"see": "Stiff legs"}], "cues": {"words": ["left"]}});
        let needed = book().needed_in(&card);
        assert_eq!(needed.texts.keys().collect::<Vec<_>>(), ["Stiff legs", "Toe taps"]);
        assert_eq!(needed.calls, book().calls);
        assert_eq!(book().needed_in(&json!([1, null])).texts.len(), 0);
    }

    #[test]
    fn a_book_learns_texts_and_calls_but_no_settings_and_keeps_what_it_knows() {
        let mut learnt = book();
        let protocol = json!({"kind": "points", "points": ["Looks up", "Eyes up"]});
        learnt.learn(
            &json!([{"id": "toe-taps", "short": "Toe taps", "protocol": protocol, "surfaces": ["sole"]}]),
        );
        let texts: Vec<_> = learnt.texts.iter().map(|(from, to)| (from.as_str(), to.as_str())).collect();
        let known =
            [("Eyes up", ""), ("Looks up", ""), ("Stiff legs", "Steife Beine"), ("Toe taps", "Sohlentippen")];
        assert_eq!(texts, known);
        assert_eq!(learnt.calls.len(), 1);
    }

    #[test]
    fn a_phrase_that_is_too_long_is_named_with_its_place() {
        let mut long = book();
        long.texts.insert("a/b".into(), "x".repeat(1_001));
        long.texts.insert("kept".into(), "x".repeat(1_000));
        let places: Vec<_> = long.faults().into_iter().map(|fault| fault.pointer).collect();
        assert_eq!(places, ["/texts/a~1b"]);
    }

    #[test]
    fn a_book_has_an_end() {
        let many = (0..=MOST_PHRASES).map(|n| (n.to_string(), String::new())).collect();
        let faults = Phrases { texts: many, ..Phrases::default() }.faults();
        assert_eq!(faults.iter().map(|fault| fault.pointer.as_str()).collect::<Vec<_>>(), [""]);
    }
}
