//! What the notations have in common: words, blanks and remarks, and the places of a text.
//!
//! A notation is a text of statements, one a line or parted by `;`. A `#` and what follows it in its line counts as
//! blank. The grammars stand with what they describe: [`crate::ground::layout`], [`crate::technique::score`].

use winnow::combinator::{alt, not, opt, repeat};
use winnow::error::ParserError;
use winnow::prelude::*;
use winnow::stream::{LocatingSlice, Stream};
use winnow::token::{one_of, take_till, take_while};

/// A place in a text.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub struct Place {
    /// Line, from 1.
    pub line: u32,
    /// Column in characters, from 1.
    pub column: u32,
}

/// Turns byte offsets of a text into lines and columns.
pub(crate) struct Places<'t> {
    text: &'t str,
    /// Where each line begins.
    starts: Vec<usize>,
    /// In a text of plain letters a column is a difference of offsets.
    plain: bool,
}

impl<'t> Places<'t> {
    pub(crate) fn of(text: &'t str) -> Places<'t> {
        let after_breaks = text.match_indices('\n').map(|(at, _)| at + 1);
        Places { text, starts: std::iter::once(0).chain(after_breaks).collect(), plain: text.is_ascii() }
    }

    pub(crate) fn at(&self, offset: usize) -> Place {
        let line = self.starts.partition_point(|start| *start <= offset);
        let start = self.starts.get(line.saturating_sub(1)).copied().unwrap_or(0);
        let before = if self.plain { offset - start } else { self.text[start..offset].chars().count() };
        Place { line: line as u32, column: before as u32 + 1 }
    }
}

/// A text that is being read.
pub(crate) type Input<'t> = LocatingSlice<&'t str>;

/// Whether a statement ends before this letter.
pub(crate) fn ends_statement(letter: char) -> bool {
    matches!(letter, '\n' | ';' | '#' | '}')
}

// word = letter { letter | digit | "_" | "-" }
pub(crate) fn letters<'t, E: ParserError<Input<'t>>>(input: &mut Input<'t>) -> Result<&'t str, E> {
    (one_of(|c: char| c.is_ascii_alphabetic()), word_tail).take().parse_next(input)
}

// A dash belongs to the word unless it begins an arrow, as in `A->B`.
fn word_tail<'t, E: ParserError<Input<'t>>>(input: &mut Input<'t>) -> Result<(), E> {
    let plain = one_of(|c: char| c.is_ascii_alphanumeric() || c == '_').void();
    repeat(0.., alt((plain, ('-', not('>')).void()))).parse_next(input)
}

/// Takes the next word if it is this one, in whatever case, and the blanks behind it.
pub(crate) fn opt_keyword<'t, E: ParserError<Input<'t>>>(
    input: &mut Input<'t>,
    word: &str,
) -> Result<bool, E> {
    let before = input.checkpoint();
    let found = opt(letters).parse_next(input)?.is_some_and(|w| w.eq_ignore_ascii_case(word));
    if !found {
        input.reset(&before);
    }
    blanks(input)?;
    Ok(found)
}

// digits = digit { digit } [ "." digit { digit } ]
pub(crate) fn digits<'t, E: ParserError<Input<'t>>>(input: &mut Input<'t>) -> Result<&'t str, E> {
    (take_while(1..=9, '0'..='9'), opt(('.', take_while(1..=9, '0'..='9')))).take().parse_next(input)
}

/// Blanks inside a statement: it ends with its line.
pub(crate) fn blanks<'t, E: ParserError<Input<'t>>>(input: &mut Input<'t>) -> Result<(), E> {
    take_while(0.., |c: char| c.is_whitespace() && c != '\n').void().parse_next(input)
}

/// What stands between two statements, remarks included; `also` parts them too.
pub(crate) fn separators<'t, E: ParserError<Input<'t>>>(
    input: &mut Input<'t>,
    also: Option<char>,
) -> Result<(), E> {
    let between = take_while(1.., |c: char| c.is_whitespace() || c == ';' || Some(c) == also).void();
    let remark = ('#', take_till(0.., '\n')).void();
    repeat(0.., alt((between, remark))).parse_next(input)
}

/// What is left of a statement, as it is shown to whoever wrote it.
pub(crate) fn left_of_statement(input: &Input<'_>, ends: impl Fn(char) -> bool) -> String {
    let shown: String = input.chars().take_while(|c| !ends(*c)).take(20).collect();
    shown.trim_end().to_owned()
}

/// The nearest of some words to what was written; `None` if none is near.
pub(crate) fn nearest<'a>(written: &str, words: impl IntoIterator<Item = &'a str>) -> Option<&'a str> {
    let written: String = written.to_lowercase().chars().take(40).collect();
    words
        .into_iter()
        // Words of another length are further away than two letters: they need not be compared.
        .filter(|word| word.len().abs_diff(written.len()) <= 2)
        .map(|word| (strsim::osa_distance(&written, &word.to_lowercase()), word))
        .filter(|(away, word)| *away <= 2 && *away < word.chars().count())
        .min_by_key(|(away, _)| *away)
        .map(|(_, word)| word)
}
