//! A sheet: what stands in a list of rows, before anybody has said which column is which.
//!
//! Read from CSV (RFC 4180; commas or semicolons) or from the cells of a spreadsheet, and written as CSV.
//!
//! ```
//! use jogo_core::input::sheet::{Sheet, to_csv};
//! let sheet = Sheet::from_csv(b"name;foot\nUna Brae;left\n").unwrap();
//! assert_eq!((sheet.head[0].as_str(), sheet.lines[0].1[1].as_str()), ("name", "left"));
//! assert_eq!(to_csv(&[["=1+1"]]), "\"'=1+1\"\r\n"); // no formula
//! ```

use crate::fact::facts;

/// The largest file that is read, in bytes.
pub const LARGEST_FILE: usize = 200_000;
/// The most lines below the first.
pub const MOST_LINES: usize = 2_000;

facts! {
    /// Why a file could not be read at all.
    pub enum SheetError {
        Large = "sheet-large" { bytes: usize, most: usize },
        Encoding = "sheet-encoding" { line: usize },
        Lines = "sheet-lines" { most: usize },
        Csv = "sheet-columns" { line: u64 },
    }
}

/// A list as it was written, before anybody has said which column is which.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Sheet {
    /// The first line.
    pub head: Vec<String>,
    /// The lines below it that hold anything, each with its number in the file, from 1.
    pub lines: Vec<(u64, Vec<String>)>,
}

impl Sheet {
    /// A list from CSV, or from the cells of a spreadsheet as they are pasted: with semicolons or tabs between them if
    /// the first line has more of these than commas.
    ///
    /// ```
    /// use jogo_core::input::sheet::Sheet;
    /// let pasted = Sheet::from_csv("club\tteam\nHarbour Lane\tBlue, the first\n".as_bytes()).unwrap();
    /// assert_eq!(pasted.lines[0].1, ["Harbour Lane", "Blue, the first"]);
    /// ```
    pub fn from_csv(file: &[u8]) -> Result<Sheet, SheetError> {
        if file.len() > LARGEST_FILE {
            return Err(SheetError::Large { bytes: file.len(), most: LARGEST_FILE });
        }
        let text = utf8(file)?;
        let first = text.lines().next().unwrap_or_default();
        // Of those that are there as often, the last.
        let delimiter =
            *b";\t,".iter().max_by_key(|each| first.matches(char::from(**each)).count()).unwrap_or(&b',');
        let mut reader = csv::ReaderBuilder::new()
            .delimiter(delimiter)
            .flexible(true)
            .trim(csv::Trim::All)
            .from_reader(text.as_bytes());
        let head = reader.headers().map_err(csv_error)?.iter().map(str::to_owned).collect();
        let mut lines = Vec::new();
        for record in reader.records() {
            let record = record.map_err(csv_error)?;
            let line = record.position().map_or(0, csv::Position::line);
            lines.push((line, record.iter().map(str::to_owned).collect()));
        }
        Sheet { head, lines }.checked()
    }

    /// A list from the cells of a spreadsheet, from its first line on.
    pub fn from_cells(cells: impl IntoIterator<Item = Vec<String>>) -> Result<Sheet, SheetError> {
        let mut lines = cells.into_iter().zip(1..).map(|(cells, line)| (line, cells));
        let head = lines.next().map(|(_, head)| head).unwrap_or_default();
        Sheet { head, lines: lines.collect() }.checked()
    }

    fn checked(mut self) -> Result<Sheet, SheetError> {
        self.lines.retain(|(_, cells)| cells.iter().any(|cell| !cell.trim().is_empty()));
        if self.lines.len() > MOST_LINES { Err(SheetError::Lines { most: MOST_LINES }) } else { Ok(self) }
    }
}

/// Lines as CSV. A cell that a spreadsheet would take for a formula is written as text.
pub fn to_csv<const N: usize, S: AsRef<str>>(lines: &[[S; N]]) -> String {
    let mut csv = String::new();
    for line in lines {
        let cells = line.each_ref().map(|cell| {
            let cell = cell.as_ref();
            // A number below zero is no formula.
            let formula = cell.starts_with(['=', '+', '-', '@']) && cell.parse::<f64>().is_err();
            let cell = if formula { format!("'{cell}") } else { cell.to_owned() };
            format!("\"{}\"", cell.replace('"', "\"\""))
        });
        csv += &cells.join(",");
        csv += "\r\n";
    }
    csv
}

fn utf8(file: &[u8]) -> Result<&str, SheetError> {
    let file = file.strip_prefix(b"\xEF\xBB\xBF").unwrap_or(file);
    let line_at = |at: usize| file[..at].iter().filter(|b| **b == b'\n').count() + 1;
    match std::str::from_utf8(file) {
        // Text of two bytes a letter may pass for UTF-8, but then every other byte is zero.
        Ok(text) => match text.find('\0') {
            Some(at) => Err(SheetError::Encoding { line: line_at(at) }),
            None => Ok(text),
        },
        Err(error) => Err(SheetError::Encoding { line: line_at(error.valid_up_to()) }),
    }
}

fn csv_error(error: csv::Error) -> SheetError {
    SheetError::Csv { line: error.position().map_or(1, csv::Position::line) }
}

/// What was written, short enough for a sentence.
pub(crate) fn shown(text: &str) -> String {
    let mut shown: String = text.chars().filter(|c| !c.is_control()).take(40).collect();
    if text.chars().count() > 40 {
        shown.push('…');
    }
    shown
}
