//! Places in a text: which line, which column?

use super::fault::{Expected, Fault, Mend};

/// A place in the text.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Place {
    /// Line, from 1.
    pub line: u32,
    /// Column in characters, from 1.
    pub column: u32,
}

impl Place {
    /// A fault at this place.
    pub(super) fn fault(self, expected: Expected, mend: Option<Mend>) -> Fault {
        Fault { line: self.line, column: self.column, expected, mend }
    }
}

/// Turns byte offsets of a text into lines and columns.
pub(super) struct Places<'t> {
    text: &'t str,
    /// Where each line begins.
    starts: Vec<usize>,
    /// In a text of plain letters a column is a difference of offsets.
    plain: bool,
}

impl<'t> Places<'t> {
    pub(super) fn of(text: &'t str) -> Places<'t> {
        let after_breaks = text.match_indices('\n').map(|(at, _)| at + 1);
        Places { text, starts: std::iter::once(0).chain(after_breaks).collect(), plain: text.is_ascii() }
    }

    pub(super) fn at(&self, offset: usize) -> Place {
        let line = self.starts.partition_point(|start| *start <= offset);
        let start = self.starts.get(line.saturating_sub(1)).copied().unwrap_or(0);
        let before = if self.plain { offset - start } else { self.text[start..offset].chars().count() };
        Place { line: line as u32, column: before as u32 + 1 }
    }
}
