//! Texts that say the same.

use std::collections::BTreeMap;

use super::{Finding, LibraryFound, Piece};

/// A text as it is compared: its words in small letters, without what stands between them.
fn bare(text: &str) -> String {
    let small = text.to_lowercase();
    let words = small.split(|c: char| !c.is_alphanumeric()).filter(|word| !word.is_empty());
    words.collect::<Vec<_>>().join(" ")
}

/// Texts that say what an earlier one says; each with its piece, the name of that piece, and its place.
pub(super) fn alike<'l>(texts: impl IntoIterator<Item = (Piece, &'l str, &'l str, &'l str)>) -> Vec<Finding> {
    let mut said = BTreeMap::new();
    let mut found = Vec::new();
    for (of, name, pointer, text) in texts {
        match said.get(&bare(text)) {
            None => drop(said.insert(bare(text), name)),
            Some(other) => {
                let (text, other) = (text.to_owned(), (*other).to_owned());
                found.push(Finding::new(of, pointer, LibraryFound::Alike { text, other }));
            }
        }
    }
    found
}
